package isokinon.server.work.bench;

import isokinon.core.act.Act;
import isokinon.core.act.BenchEvent;
import isokinon.core.act.JobAct;
import isokinon.core.act.PartAct;
import isokinon.core.act.Stage;
import isokinon.core.rebuild.Rebuild;
import isokinon.core.rules.ActRefusal;
import isokinon.core.rules.Actor;
import isokinon.core.rules.BenchRules;
import isokinon.core.sheet.Sheet;
import isokinon.core.stock.LotStatus;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.db.rebuilds.BenchMapper;
import isokinon.server.db.rebuilds.EventRow;
import isokinon.server.db.rebuilds.RebuildRow;
import isokinon.server.db.stores.StoresMapper;
import isokinon.server.work.drawing.Rail;
import isokinon.server.work.drawing.RailViewer;
import isokinon.server.work.inspection.FindingView;
import isokinon.server.work.inspection.InspectionLog;
import isokinon.server.work.inspection.NextLooks;
import isokinon.server.work.inspection.PartAssessment;
import isokinon.server.work.instruments.GaugeRack;
import isokinon.server.work.library.Sheets;
import isokinon.server.work.library.ShelfLifeService;
import isokinon.server.work.pumps.PumpRegister;
import isokinon.server.work.rebuild.EventChain;
import isokinon.server.work.rebuild.EventRows;
import isokinon.server.work.rebuild.Job;
import isokinon.server.work.rebuild.Jobs;
import isokinon.server.work.rebuild.StateTag;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.shared.Text;
import isokinon.server.work.stages.ActDescriptions;
import isokinon.server.work.stages.BenchView;
import isokinon.server.work.stages.BenchViewer;
import isokinon.server.work.stages.JobRecord;
import isokinon.server.work.stages.WaysView;
import isokinon.server.work.stores.KeptParts;
import isokinon.server.work.stores.Shelf;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Rebuilds at the bench: opening one, recording what is done, showing where it stands. Recording is
 * safe to repeat (an act's key is recorded once) and refuses to build on a state that has moved on.
 */
@Service
public class Bench {

  /** Lot id under which parts are booked that come in no kit; their lot number is the text. */
  public static final String SINGLE_PARTS = "single";

  private final BenchMapper store;
  private final StoresMapper stores;
  private final Sheets sheets;
  private final BenchViewer viewer;
  private final NextLooks nextLooks;
  private final GaugeRack rack;
  private final ShelfLifeService shelf;
  private final InspectionLog findingLog;
  private final PartAssessment findings;
  private final PumpRegister register;
  private final Jobs jobs;
  private final Shelf shelves;
  private final KeptParts keptParts;
  private final HandBack handBack;
  private final Clock clock;

  Bench(
      BenchMapper store,
      StoresMapper stores,
      Sheets sheets,
      BenchViewer viewer,
      NextLooks nextLooks,
      GaugeRack rack,
      ShelfLifeService shelf,
      InspectionLog findingLog,
      PartAssessment findings,
      PumpRegister register,
      Jobs jobs,
      Shelf shelves,
      KeptParts keptParts,
      HandBack handBack,
      Clock clock) {
    this.store = store;
    this.stores = stores;
    this.sheets = sheets;
    this.viewer = viewer;
    this.nextLooks = nextLooks;
    this.rack = rack;
    this.shelf = shelf;
    this.findingLog = findingLog;
    this.findings = findings;
    this.register = register;
    this.jobs = jobs;
    this.shelves = shelves;
    this.keptParts = keptParts;
    this.handBack = handBack;
    this.clock = clock;
  }

  /** A rebuild on the list of those running. */
  public record Running(
      long id, String pump, String stage, String reason, String openedAt, String state) {}

  /**
   * Opens a rebuild of a pump, or gives the one that is open already.
   *
   * @throws RequestProblem where the pump is unknown or has no sheet
   */
  @Transactional
  public BenchView open(String tag, String who, String reason) {
    PumpRow pump = register.lock(tag);
    Optional<RebuildRow> open = store.runningOn(tag);
    if (open.isPresent()) {
      return view(open.get().id());
    }
    if (register.retired(tag)) {
      throw RequestProblem.notNow("tag", tag + " is retired: take it back in Set-up first.");
    }
    Sheet sheet =
        pump.sheet()
            .flatMap(sheets::find)
            .orElseThrow(
                () ->
                    RequestProblem.notNow(
                        "sheet", tag + " has no sheet yet, so its rebuild cannot be planned."));
    long id =
        store.open(
            new RebuildRow(
                0,
                tag,
                sheet.id(),
                sheet.revision(),
                OffsetDateTime.now(clock),
                who,
                reason,
                pump.material(),
                pump.runningHours(),
                null,
                pump.variants()));
    return view(id);
  }

  /** Rebuilds not handed back yet. */
  public List<Running> running() {
    return store.running().stream()
        .map(r -> jobs.job(r.id()))
        .map(
            j ->
                new Running(
                    j.row().id(),
                    j.row().pump(),
                    j.rebuild().stage().title(),
                    j.row().reason(),
                    j.row().openedAt().toString(),
                    StateTag.of(j.rebuild())))
        .toList();
  }

  /** Where a rebuild stands. */
  public BenchView view(long id) {
    return viewer.view(jobs.job(id));
  }

  /** The drawing of a rebuild; it changes with the ways and materials that are chosen. */
  public List<Rail> drawing(long id) {
    return RailViewer.rails(jobs.job(id).rebuild());
  }

  /** Everything that was done at a rebuild, in order. */
  public List<JobRecord.LogLine> log(long id) {
    return viewer.log(jobs.job(id));
  }

  /** All stages of a rebuild, for its record on paper. */
  public JobRecord record(long id) {
    return viewer.record(jobs.job(id), EventChain.shortCode(EventChain.last(store.events(id))));
  }

  /** What is known of a part in hand, and what it makes of the signatures pressed so far. */
  public FindingView finding(long id, FindingView.FindingQuestion question) {
    return findings.view(jobs.job(id), question, clock.getZone());
  }

  /**
   * What taking in would lead to: the ways in beside each other, and what each way of each school
   * costs.
   *
   * @param asked what the take-in would ask for
   * @throws RequestProblem where it names what the sheet does not know
   */
  public WaysView ways(long id, AskedJobAct.TakenIn asked) {
    Job job = jobs.job(id);
    Rebuild rebuild = job.rebuild();
    if (rebuild.stage() != Stage.TAKE_IN) {
      return viewer.ways(job.pump(), rebuild);
    }
    Act act = asked.read(new ActReader(rebuild, rack));
    requireAllowed(BenchRules.refuse(rebuild, act, Actor.NOBODY, clock.instant()));
    return viewer.ways(job.pump(), rebuild.plus(supposed(rebuild, act)));
  }

  /**
   * Records an act and gives the state after it.
   *
   * @param hand who does it, and on which device
   * @throws RequestProblem.Stale where the person saw an older state
   * @throws RequestProblem where the act does not fit, or its reading is no reading
   */
  @Transactional
  public BenchView act(long id, ActRequest request, Hand hand) {
    Job job = locked(id);
    Optional<EventRow> repeated = store.byKey(request.key().toString());
    if (repeated.isPresent()) {
      long recorded = repeated.get().rebuild();
      if (recorded != id) {
        throw RequestProblem.notNow(
            "key", "This act was recorded at rebuild " + recorded + " already, not at this one.");
      }
      return viewer.view(job);
    }
    Rebuild rebuild = job.rebuild();
    if (request.seen() != rebuild.seq()) {
      throw RequestProblem.stale(staleSentence(rebuild, request.seen()), viewer.view(job));
    }
    Act asked = read(job, request.act());
    Instant now = clock.instant();
    requireAllowed(refusal(job, asked, hand, now));
    return viewer.view(recorded(job, request.key().toString(), asked, hand, now));
  }

  /**
   * A rebuild that nobody else acts at until this transaction ends.
   *
   * @throws RequestProblem where there is none of this number
   */
  public Job locked(long id) {
    return jobs.replay(
        store.lock(id).orElseThrow(() -> RequestProblem.missing("No rebuild " + id + ".")));
  }

  /** The number of the event that an act of this key was recorded as; empty where it was not. */
  public Optional<Long> recordedAs(String key) {
    return store.byKey(key).map(EventRow::seq);
  }

  /**
   * An act with its readings in the units that the sheet asks for.
   *
   * @throws RequestProblem where a reading is none, or a gauge is not known
   */
  public Act read(Job job, AskedAct asked) {
    return asked.read(new ActReader(job.rebuild(), rack));
  }

  /** Why an act of this hand cannot be recorded as the job stands; empty where it can. */
  public Optional<ActRefusal> refusal(Job job, Act asked, Hand hand, Instant at) {
    Rebuild rebuild = job.rebuild();
    return BenchRules.refuse(rebuild, asked, hand.actor(), at)
        .or(() -> unsigned(asked, hand))
        .or(() -> findingLog.refuse(asked, rebuild))
        .or(() -> shelfRefusal(job, asked));
  }

  /**
   * Records an act that is not refused, with all that follows from it.
   *
   * @param job locked
   * @param at when it was done
   * @return the job after it
   */
  public Job recorded(Job job, String key, Act asked, Hand hand, Instant at) {
    Rebuild rebuild = job.rebuild();
    long id = job.row().id();
    String who = hand.actor().initials();
    OffsetDateTime done = at.atZone(clock.getZone()).toOffsetDateTime();
    Act act =
        asked instanceof JobAct.HandedBack
            ? new JobAct.HandedBack(Optional.of(nextLooks.due(job, done.toLocalDate())), "")
            : asked;
    BenchEvent<?> event = new BenchEvent<>(rebuild.seq() + 1, at, who, hand.actor().lead(), act);
    store.append(
        EventChain.linked(lastDigest(id), EventRows.row(id, key, done, event, hand.device())));
    findingLog.record(job, event, done);
    if (act instanceof JobAct.HandedBack) {
      handBack.close(job, done, who);
      return jobs.job(id);
    }
    Rebuild after = rebuild.plus(event);
    if (act instanceof JobAct.TakenIn || act instanceof JobAct.WayChosen) {
      register.madeBy(job.pump(), after.variants());
    }
    Job now = new Job(job.row(), job.pump(), after);
    if (act instanceof PartAct.KitFitted kit) {
      shelves.handOut(kit.lot(), now, who);
    }
    return now;
  }

  /** Where the chain over a job ends; where it has none yet, it begins with all there is. */
  private String lastDigest(long id) {
    String last = store.lastEvent(id).map(EventRow::digest).orElse("");
    return last.isEmpty() ? EventChain.last(store.events(id)) : last;
  }

  /** A device may have been left open: who signs off gives a PIN for it. */
  private static Optional<ActRefusal> unsigned(Act asked, Hand hand) {
    return asked instanceof JobAct.SignedOff && !hand.signed()
        ? Optional.of(new ActRefusal("signer", "Sign it off with your PIN."))
        : Optional.empty();
  }

  private static void requireAllowed(Optional<ActRefusal> refusal) {
    refusal.ifPresent(
        r -> {
          throw RequestProblem.notNow(r.path(), r.message());
        });
  }

  /** An act as if it were recorded now, to see what it would lead to. */
  private BenchEvent<?> supposed(Rebuild rebuild, Act act) {
    return new BenchEvent<>(rebuild.seq() + 1, clock.instant(), "", false, act);
  }

  private static String staleSentence(Rebuild rebuild, long seen) {
    if (seen > rebuild.seq()) {
      return "This device saw entries that are not recorded here. This is the state now.";
    }
    BenchEvent<?> last = rebuild.events().get(rebuild.events().size() - 1);
    return last.who()
        + " was here first: "
        + ActDescriptions.last(rebuild)
        + ". "
        + Text.count(rebuild.seq() - seen, "entry").replace("entrys", "entries")
        + " since you looked; nothing of theirs was changed. This is the state now.";
  }

  /**
   * A lot must be on the shelf and in date; one past its first date needs a recorded inspection.
   */
  private Optional<ActRefusal> shelfRefusal(Job job, Act act) {
    if (!(act instanceof PartAct.KitFitted kit)) {
      return Optional.empty();
    }
    if (kit.lot().equals(SINGLE_PARTS)) {
      return kit.note().isBlank()
          ? Optional.of(
              new ActRefusal("note", "Write the lot number from the bag of the single parts."))
          : Optional.empty();
    }
    if (kit.lot().startsWith(KeptParts.KEPT)) {
      return keptParts.keptFor(job.row().pump(), kit.lot()).isPresent()
          ? Optional.empty()
          : Optional.of(new ActRefusal("lot", "No part is kept as " + kit.lot() + "."));
    }
    return stores
        .lot(kit.lot())
        .map(
            lot -> {
              Rebuild booked = job.rebuild().plus(supposed(job.rebuild(), act));
              Optional<String> shortOf =
                  shelves.shortOf(lot, new Job(job.row(), job.pump(), booked));
              if (shortOf.isPresent()) {
                return Optional.of(new ActRefusal("lot", shortOf.get()));
              }
              LotStatus status = LotStatus.of(shelf.of(lot), 1, LocalDate.now(clock));
              if (status == LotStatus.OVER_AGE) {
                return Optional.of(
                    new ActRefusal(
                        "lot", "Lot " + lot.id() + " is over-age: it is not fitted, scrap it."));
              }
              if (status == LotStatus.NEEDS_INSPECTION && kit.note().isBlank()) {
                return Optional.of(
                    new ActRefusal(
                        "note",
                        "Lot "
                            + lot.id()
                            + " is past its first date: write what its inspection showed."));
              }
              return Optional.<ActRefusal>empty();
            })
        .orElse(Optional.of(new ActRefusal("lot", "No lot is called " + kit.lot() + ".")));
  }
}
