package isokinon.server.work.bench;

import isokinon.core.rebuild.Act;
import isokinon.core.rebuild.ActRefusal;
import isokinon.core.rebuild.BenchEvent;
import isokinon.core.rebuild.Rebuild;
import isokinon.core.rebuild.Stage;
import isokinon.core.sheet.Sheet;
import isokinon.core.stock.LotStatus;
import isokinon.server.access.People;
import isokinon.server.db.BenchMapper;
import isokinon.server.db.EventRow;
import isokinon.server.db.PumpRow;
import isokinon.server.db.RebuildRow;
import isokinon.server.db.StoresMapper;
import isokinon.server.work.drawing.Rail;
import isokinon.server.work.drawing.RailViewer;
import isokinon.server.work.inspection.FindingView;
import isokinon.server.work.inspection.InspectionLog;
import isokinon.server.work.inspection.PartAssessment;
import isokinon.server.work.library.Sheets;
import isokinon.server.work.library.ShelfLifeService;
import isokinon.server.work.pumps.PumpRegister;
import isokinon.server.work.rebuild.EventRows;
import isokinon.server.work.rebuild.Job;
import isokinon.server.work.rebuild.Jobs;
import isokinon.server.work.rebuild.StateTag;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.shared.Text;
import isokinon.server.work.stages.ActDescriptions;
import isokinon.server.work.stages.BenchView;
import isokinon.server.work.stages.BenchViewer;
import isokinon.server.work.stages.HandBackViewer;
import isokinon.server.work.stages.JobRecord;
import isokinon.server.work.stages.WaysView;
import isokinon.server.work.stores.KeptParts;
import isokinon.server.work.stores.Shelf;
import java.time.Clock;
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
  private final People people;
  private final BenchViewer viewer;
  private final HandBackViewer handBackViewer;
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
      People people,
      BenchViewer viewer,
      HandBackViewer handBackViewer,
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
    this.people = people;
    this.viewer = viewer;
    this.handBackViewer = handBackViewer;
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
    people.requireKnown(who);
    Optional<RebuildRow> open = store.runningOn(tag);
    if (open.isPresent()) {
      return view(open.get().id());
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
                null));
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
    return viewer.record(jobs.job(id));
  }

  /** What is known of a part in hand, and what it makes of the signatures pressed so far. */
  public FindingView finding(long id, FindingView.FindingQuestion question) {
    return findings.view(jobs.job(id), question, clock.getZone());
  }

  /**
   * What taking in would lead to: the ways in beside each other, and what each way of each school
   * costs.
   *
   * @param items what the take-in would hold, as an act's items
   * @throws RequestProblem where the items name what the sheet does not know
   */
  public WaysView ways(long id, List<String> items) {
    Job job = jobs.job(id);
    Rebuild rebuild = job.rebuild();
    if (rebuild.stage() != Stage.TAKE_IN) {
      return viewer.ways(job.pump(), rebuild);
    }
    Act act = Act.of(Act.Kind.TAKEN_IN, "", "").saying("asked").with(items);
    Optional<ActRefusal> refusal = rebuild.refuse(act, false, clock.instant());
    if (refusal.isPresent()) {
      throw RequestProblem.notNow(refusal.get().path(), refusal.get().message());
    }
    return viewer.ways(
        job.pump(),
        rebuild.plus(new BenchEvent(rebuild.seq() + 1, clock.instant(), "", false, act)));
  }

  /**
   * Records an act and gives the state after it.
   *
   * @throws RequestProblem.Stale where the person saw an older state
   * @throws RequestProblem where the act does not fit, or its reading is no reading
   */
  @Transactional
  public BenchView act(long id, ActRequest request) {
    RebuildRow row =
        store.lock(id).orElseThrow(() -> RequestProblem.missing("No rebuild " + id + "."));
    Optional<EventRow> repeated = store.byKey(request.key().toString());
    if (repeated.isPresent()) {
      return view(repeated.get().rebuild());
    }
    boolean lead = people.leads(request.who());
    Job job = jobs.replay(row);
    Rebuild rebuild = job.rebuild();
    if (request.seen() != rebuild.seq()) {
      throw RequestProblem.stale(staleSentence(rebuild, request.seen()), viewer.view(job));
    }
    Act asked = ActReader.read(request, rebuild, findingLog.marked(request.items()));
    Optional<ActRefusal> refusal =
        rebuild
            .refuse(asked, lead, clock.instant())
            .or(() -> findingLog.refuse(asked, rebuild))
            .or(() -> shelfRefusal(job, asked));
    if (refusal.isPresent()) {
      throw RequestProblem.notNow(refusal.get().path(), refusal.get().message());
    }
    Act act =
        asked.kind() == Act.Kind.HANDED_BACK
            ? asked.saying(HandBackViewer.DUE + handBackViewer.nextDue(job))
            : asked;
    OffsetDateTime now = OffsetDateTime.now(clock);
    BenchEvent event = new BenchEvent(rebuild.seq() + 1, now.toInstant(), request.who(), lead, act);
    EventRow recorded = EventRows.row(id, request.key().toString(), now, event);
    store.append(recorded);
    findingLog.record(job, recorded, act);
    if (act.kind() == Act.Kind.HANDED_BACK) {
      handBack.close(job, now, request.who());
      return view(id);
    }
    Rebuild after = rebuild.plus(event);
    if (act.kind() == Act.Kind.LOT_FITTED) {
      shelves.handOut(act.subject(), new Job(row, job.pump(), after), request.who());
    }
    return viewer.view(new Job(row, job.pump(), after));
  }

  private static String staleSentence(Rebuild rebuild, long seen) {
    if (seen > rebuild.seq()) {
      return "This device saw entries that are not recorded here. This is the state now.";
    }
    BenchEvent last = rebuild.events().get(rebuild.events().size() - 1);
    return last.who()
        + " was here first: "
        + ActDescriptions.say(rebuild.sheet(), last.act())
        + ". "
        + Text.count(rebuild.seq() - seen, "entry").replace("entrys", "entries")
        + " since you looked; nothing of theirs was changed. This is the state now.";
  }

  /**
   * A lot must be on the shelf and in date; one past its first date needs a recorded inspection.
   */
  private Optional<ActRefusal> shelfRefusal(Job job, Act act) {
    if (act.kind() != Act.Kind.LOT_FITTED) {
      return Optional.empty();
    }
    if (act.subject().equals(SINGLE_PARTS)) {
      return act.text().isBlank()
          ? Optional.of(
              new ActRefusal("text", "Write the lot number from the bag of the single parts."))
          : Optional.empty();
    }
    if (act.subject().startsWith(KeptParts.KEPT)) {
      return keptParts.kept(act.subject()).isPresent()
          ? Optional.empty()
          : Optional.of(new ActRefusal("lot", "No part is kept as " + act.subject() + "."));
    }
    return stores
        .lot(act.subject())
        .map(
            lot -> {
              Rebuild booked =
                  job.rebuild()
                      .plus(
                          new BenchEvent(job.rebuild().seq() + 1, clock.instant(), "", false, act));
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
              if (status == LotStatus.NEEDS_INSPECTION && act.text().isBlank()) {
                return Optional.of(
                    new ActRefusal(
                        "text",
                        "Lot "
                            + lot.id()
                            + " is past its first date: write what its inspection showed."));
              }
              return Optional.<ActRefusal>empty();
            })
        .orElse(Optional.of(new ActRefusal("lot", "No lot is called " + act.subject() + ".")));
  }
}
