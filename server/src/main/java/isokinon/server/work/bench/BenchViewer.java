package isokinon.server.work.bench;

import isokinon.core.diagnosis.DiagnosisLibrary;
import isokinon.core.plan.Plan;
import isokinon.core.rebuild.Act;
import isokinon.core.rebuild.BenchEvent;
import isokinon.core.rebuild.Rebuild;
import isokinon.core.rebuild.Stage;
import isokinon.core.rebuild.TorqueRound;
import isokinon.core.sheet.Handling;
import isokinon.core.sheet.Part;
import isokinon.core.sheet.School;
import isokinon.core.sheet.Sheet;
import isokinon.core.stock.KeptCondition;
import isokinon.core.stock.LotStatus;
import isokinon.core.stock.ShelfLife;
import isokinon.server.db.ExposureRow;
import isokinon.server.db.KeptPartRow;
import isokinon.server.db.LotRow;
import isokinon.server.db.PumpMapper;
import isokinon.server.db.PumpRow;
import isokinon.server.db.RebuildRow;
import isokinon.server.db.ShelfMapper;
import isokinon.server.db.StoresMapper;
import isokinon.server.work.bench.BenchView.DecideView;
import isokinon.server.work.bench.BenchView.FaultChoice;
import isokinon.server.work.bench.BenchView.FaultView;
import isokinon.server.work.bench.BenchView.FluidView;
import isokinon.server.work.bench.BenchView.Gate;
import isokinon.server.work.bench.BenchView.HandBackView;
import isokinon.server.work.bench.BenchView.InspectItem;
import isokinon.server.work.bench.BenchView.JointLine;
import isokinon.server.work.bench.BenchView.LimitView;
import isokinon.server.work.bench.BenchView.LogLine;
import isokinon.server.work.bench.BenchView.LotView;
import isokinon.server.work.bench.BenchView.NextStep;
import isokinon.server.work.bench.BenchView.OutView;
import isokinon.server.work.bench.BenchView.PauseView;
import isokinon.server.work.bench.BenchView.PlanView;
import isokinon.server.work.bench.BenchView.PumpHead;
import isokinon.server.work.bench.BenchView.RenewItem;
import isokinon.server.work.bench.BenchView.RoleChoice;
import isokinon.server.work.bench.BenchView.SheetHead;
import isokinon.server.work.bench.BenchView.StageMark;
import isokinon.server.work.bench.BenchView.StageState;
import isokinon.server.work.bench.BenchView.TrayItem;
import isokinon.server.work.bench.BenchView.WaitView;
import isokinon.server.work.bench.BenchView.WaysView;
import isokinon.server.work.drawing.RailViewer;
import isokinon.server.work.inspection.FindingView;
import isokinon.server.work.inspection.NextLooks;
import isokinon.server.work.inspection.PartAssessment;
import isokinon.server.work.library.LotText;
import isokinon.server.work.library.ShelfLifeService;
import isokinon.server.work.library.ShopDiagnosis;
import isokinon.server.work.library.ShopLibrary;
import isokinon.server.work.lives.Forecasts;
import isokinon.server.work.pumps.FittedWetEnds;
import isokinon.server.work.rebuild.Job;
import isokinon.server.work.rebuild.StateTag;
import isokinon.server.work.shared.Text;
import isokinon.server.work.stores.PurchaseProposal;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Puts a rebuild into the shape the bench shows. Reads, never decides. */
@Component
public class BenchViewer {

  /** Lot id under which parts are booked that come in no kit; their lot number is the text. */
  public static final String SINGLE_PARTS = "single";

  private static final DateTimeFormatter CLOCK_TIME = DateTimeFormatter.ofPattern("HH:mm");
  private static final DateTimeFormatter RECORD_TIME =
      DateTimeFormatter.ofPattern("d MMM uuuu HH:mm", Locale.UK);

  /** How a hand-back's text begins. */
  static final String DUE = "next due ";

  private static final int STEPS_AHEAD = 4;

  /** Before the take-in there is no plan. */
  static final PlanView NO_PLAN =
      new PlanView(List.of(), List.of(), 0, 0, 0, 0, List.of(), List.of(), true, 0);

  private final PumpMapper pumps;
  private final StoresMapper stores;
  private final ShopLibrary library;
  private final StepViewer steps;
  private final ShelfLifeService shelf;
  private final PurchaseProposal covers;
  private final FittedWetEnds wetEnds;
  private final Proofs proofs;
  private final ShopDiagnosis diagnosis;
  private final NextLooks nextLooks;
  private final Forecasts forecasts;
  private final ShelfMapper shelves;
  private final Clock clock;

  BenchViewer(
      PumpMapper pumps,
      StoresMapper stores,
      ShopLibrary library,
      StepViewer steps,
      ShelfLifeService shelf,
      PurchaseProposal covers,
      FittedWetEnds wetEnds,
      Proofs proofs,
      ShopDiagnosis diagnosis,
      NextLooks nextLooks,
      Forecasts forecasts,
      ShelfMapper shelves,
      Clock clock) {
    this.pumps = pumps;
    this.stores = stores;
    this.library = library;
    this.steps = steps;
    this.shelf = shelf;
    this.covers = covers;
    this.wetEnds = wetEnds;
    this.proofs = proofs;
    this.diagnosis = diagnosis;
    this.nextLooks = nextLooks;
    this.forecasts = forecasts;
    this.shelves = shelves;
    this.clock = clock;
  }

  BenchView view(RebuildRow row, PumpRow pump, Rebuild rebuild) {
    Sheet sheet = rebuild.sheet();
    Map<Stage, Duration> times = rebuild.times(Instant.now(clock));
    Optional<Plan> plan = rebuild.plan();
    List<ExposureRow> exposures = pumps.exposures(pump.tag());
    double elapsed = times.values().stream().mapToDouble(BenchViewer::minutes).sum();
    return new BenchView(
        row.id(),
        head(pump, rebuild),
        rebuild.seq(),
        rebuild.stage(),
        stages(rebuild, times),
        elapsed,
        plan.map(p -> p.minutes() + p.buildOnlyMinutes()).orElse(0.0),
        new SheetHead(sheet.id(), sheet.title(), sheet.revision(), sheet.note()),
        RailViewer.rails(rebuild),
        steps.current(rebuild),
        next(rebuild),
        tray(rebuild),
        gates(rebuild),
        exposures.stream().flatMap(e -> fluid(e).stream()).toList(),
        inspect(rebuild),
        decide(row.id(), pump, rebuild),
        proofs.of(row.id(), pump, rebuild),
        handBack(row, pump, rebuild),
        plan.map(p -> plan(p, sheet)).orElse(NO_PLAN),
        rebuild.events().stream().map(e -> logLine(sheet, e)).toList(),
        lastStep(rebuild),
        StateTag.of(rebuild),
        rebuild
            .pause()
            .map(
                e ->
                    new PauseView(
                        e.who(),
                        RECORD_TIME.format(e.at().atZone(zone())),
                        e.act().subject(),
                        e.act().text())),
        waits(rebuild),
        fault(rebuild));
  }

  private List<WaitView> waits(Rebuild rebuild) {
    Instant now = clock.instant();
    return rebuild.waits().stream()
        .map(
            w ->
                new WaitView(
                    w.kind(),
                    w.subject(),
                    rebuild.sheet().testOrStep(w.subject()),
                    w.until().toString(),
                    w.open(now)))
        .toList();
  }

  private FaultView fault(Rebuild rebuild) {
    return new FaultView(
        rebuild
            .symptoms()
            .map(e -> e.act().items().stream().map(i -> told(i)).toList())
            .orElse(List.of()),
        rebuild.symptoms().map(e -> faultTitle(e.act().subject())).orElse(""),
        rebuild
            .fault()
            .map(
                e ->
                    e.act().subject().equals("other")
                        ? "Something else"
                        : faultTitle(e.act().subject()))
            .orElse(""),
        diagnosis.library().faults(rebuild.sheet().family()).stream()
            .map(f -> new FaultChoice(f.id(), f.title()))
            .toList());
  }

  private String faultTitle(String id) {
    return diagnosis.library().fault(id).map(DiagnosisLibrary.Fault::title).orElse("");
  }

  /** {@code seen:flow-down} or {@code yes:dead-head} in the words of the tables. */
  private String told(String item) {
    String id = item.substring(item.indexOf(':') + 1);
    String how = item.substring(0, item.indexOf(':'));
    DiagnosisLibrary known = diagnosis.library();
    return switch (how) {
      case "seen", "not" ->
          known.symptoms().stream()
                  .filter(s -> s.id().equals(id))
                  .map(DiagnosisLibrary.Symptom::title)
                  .findFirst()
                  .orElse(id)
              + (how.equals("seen") ? "" : ": not seen");
      default ->
          known.tests().stream()
              .filter(t -> t.id().equals(id))
              .map(t -> t.title() + ": " + (how.equals("yes") ? t.yes() : t.no()))
              .findFirst()
              .orElse(id);
    };
  }

  /** What the ways in and the schools of a rebuild cost. */
  WaysView ways(PumpRow pump, Rebuild rebuild) {
    return WaysViewer.of(rebuild, forecasts.of(pump));
  }

  private static PumpHead head(PumpRow pump, Rebuild rebuild) {
    String chosen =
        rebuild
            .material(pump.role())
            .map(m -> " " + rebuild.fitted().material() + " out, " + m + " in.")
            .orElse("");
    return new PumpHead(
        pump.tag(),
        pump.dutyTitle() + (pump.dutyNote().isEmpty() ? "" : "; " + pump.dutyNote()),
        rebuild.sheet().title()
            + (chosen.isEmpty() ? ". " + rebuild.fitted().material() + " in it." : "." + chosen),
        pump.series(),
        pump.family());
  }

  private static List<StageMark> stages(Rebuild rebuild, Map<Stage, Duration> times) {
    return Arrays.stream(Stage.values())
        .filter(s -> s != Stage.CLOSED)
        .map(
            s ->
                new StageMark(
                    s,
                    s.title(),
                    s == rebuild.stage()
                        ? StageState.CURRENT
                        : s.compareTo(rebuild.stage()) < 0 ? StageState.DONE : StageState.AHEAD,
                    minutes(times.getOrDefault(s, Duration.ZERO))))
        .toList();
  }

  private static double minutes(Duration d) {
    return d.toSeconds() / 60.0;
  }

  private List<NextStep> next(Rebuild rebuild) {
    boolean stripping = rebuild.stage().compareTo(Stage.BUILD) < 0;
    List<String> left = stripping ? rebuild.stripLeft() : rebuild.buildLeft();
    int done = stripping ? rebuild.stripped().size() : rebuild.built().size();
    List<NextStep> next = new ArrayList<>();
    for (int i = 1; i < left.size() && next.size() < STEPS_AHEAD; i++) {
      String id = left.get(i);
      String before = left.get(i - 1);
      Handling how = rebuild.sheet().handling(id).orElse(Handling.PLAIN);
      Handling was = rebuild.sheet().handling(before).orElse(Handling.PLAIN);
      next.add(
          new NextStep(
              done + i + 1,
              id,
              stripping
                  ? rebuild.sheet().step(id).orElseThrow().strip()
                  : rebuild.sheet().stepSentence(id),
              how.fastening()
                  .filter(f -> !stripping)
                  .map(f -> Text.plain(f.minNm()) + " to " + Text.plain(f.maxNm()) + " N·m")
                  .orElse(""),
              !how.pose().isEmpty() && !how.pose().equals(was.pose()),
              how.toolInHand()
                  .filter(t -> !Optional.of(t).equals(was.toolInHand()))
                  .map(Text::tool)));
    }
    return next;
  }

  private static List<TrayItem> tray(Rebuild rebuild) {
    return rebuild.off().stream()
        .flatMap(id -> rebuild.sheet().part(id).stream())
        .filter(rebuild::present)
        .map(
            p -> {
              RailViewer.Known known = RailViewer.known(p, rebuild);
              return new TrayItem(
                  p.id(),
                  p.name(),
                  p.glyph(),
                  p.count(),
                  p.place().map(Part.Place::side).orElse(""),
                  p.matched(),
                  p.care().stream().sorted().toList(),
                  known.state(),
                  known.word());
            })
        .toList();
  }

  private List<Gate> gates(Rebuild rebuild) {
    List<Gate> gates = new ArrayList<>();
    for (Sheet.Hazard h : rebuild.sheet().hazards()) {
      Optional<BenchEvent> answer = rebuild.gate(h.id());
      gates.add(
          new Gate(
              h.id(),
              Optional.of(h.energy()),
              h.title(),
              h.where(),
              h.act(),
              h.ask(),
              h.kind(),
              h.unit(),
              h.max(),
              h.licensed(),
              false,
              answer.isPresent(),
              answer.flatMap(e -> e.act().value()),
              answer.map(BenchEvent::who).orElse(""),
              answer.map(e -> time(e.at())).orElse("")));
    }
    Rebuild.CONFIRMATIONS.forEach(
        (id, ask) -> {
          Optional<BenchEvent> answer = rebuild.gate(id);
          gates.add(
              new Gate(
                  id,
                  Optional.empty(),
                  Text.sentence(id),
                  "",
                  "",
                  ask,
                  Handling.Answer.CONFIRM,
                  "",
                  Optional.empty(),
                  false,
                  true,
                  answer.isPresent(),
                  Optional.empty(),
                  answer.map(BenchEvent::who).orElse(""),
                  answer.map(e -> time(e.at())).orElse("")));
        });
    return gates;
  }

  private Optional<FluidView> fluid(ExposureRow e) {
    return library
        .materials()
        .fluid(e.fluid())
        .map(
            f ->
                new FluidView(
                    f.name(),
                    e.concentrationPct(),
                    e.temperatureC(),
                    f.hurts(),
                    f.wear(),
                    f.spilt()));
  }

  private String causeTitle(BenchEvent e) {
    return diagnosis
        .library()
        .cause(e.act().items().get(0))
        .map(DiagnosisLibrary.Cause::title)
        .orElse("Not known");
  }

  private List<InspectItem> inspect(Rebuild rebuild) {
    Map<String, String> because =
        rebuild.renewals().stream()
            .collect(Collectors.toMap(Plan.Renewal::part, Plan.Renewal::because));
    List<String> freed = rebuild.plan().map(Plan::freed).orElse(List.of());
    List<String> toJudge = rebuild.toInspect();
    return rebuild.sheet().parts().stream()
        .filter(p -> freed.contains(p.id()) || rebuild.verdict(p.id()).isPresent())
        .filter(p -> p.renew() != Part.Renew.KEEP && rebuild.present(p))
        .map(
            p ->
                new InspectItem(
                    p.id(),
                    p.name(),
                    p.glyph(),
                    p.count(),
                    p.look(),
                    p.limits().stream()
                        .map(
                            l ->
                                new LimitView(
                                    l.measure(),
                                    Text.sentence(Text.words(l.measure())),
                                    l.unit(),
                                    l.watch(),
                                    l.renew()))
                        .toList(),
                    rebuild.off().contains(p.id()),
                    RailViewer.known(p, rebuild).state(),
                    !toJudge.contains(p.id()),
                    because.getOrDefault(p.id(), ""),
                    measured(rebuild, p),
                    rebuild
                        .judgement(p.id())
                        .map(e -> PartAssessment.signs(e.act().items()))
                        .orElse(List.of()),
                    rebuild.cause(p.id()).map(this::causeTitle).orElse("")))
        .toList();
  }

  /** Everything read of a part and what was said of it. */
  private static String measured(Rebuild rebuild, Part part) {
    String readings =
        rebuild.readings(part.id()).entrySet().stream()
            .map(
                r ->
                    Text.words(r.getKey())
                        + " "
                        + Text.plain(r.getValue().act().value().orElseThrow())
                        + " "
                        + r.getValue().act().unit()
                        + ActDescriptions.gauge(r.getValue().act()))
            .collect(Collectors.joining(", "));
    String said = rebuild.judgement(part.id()).map(e -> e.act().text()).orElse("");
    return readings + (readings.isEmpty() || said.isEmpty() ? "" : ", ") + said;
  }

  private DecideView decide(long id, PumpRow pump, Rebuild rebuild) {
    Sheet sheet = rebuild.sheet();
    List<RoleChoice> roles =
        rebuild.rolesToChoose().stream()
            .map(r -> new RoleChoice(r, fittedMaterial(pump, rebuild, r), rebuild.material(r)))
            .toList();
    boolean deciding = rebuild.stage() == Stage.INSPECT || rebuild.stage() == Stage.DECIDE;
    List<RenewItem> parts =
        (deciding ? rebuild.renewals() : rebuild.renewalsInAll())
            .stream()
                .map(
                    r ->
                        new RenewItem(
                            r.part(),
                            sheet.partName(r.part()),
                            r.count(),
                            sheet.part(r.part()).flatMap(Part::role),
                            r.because(),
                            rebuild.lot(r.part())))
                .toList();
    List<LotView> lots =
        Stream.concat(
                stores.lots(sheet.id(), pump.tag()).stream().map(l -> lot(sheet, l, pump)),
                shelves.kept().stream()
                    .filter(k -> k.sheetId().equals(sheet.id()) && !k.role().isEmpty())
                    .map(k -> keptPart(sheet, k)))
            .toList();
    return new DecideView(
        roles,
        parts,
        lots,
        deciding ? Optional.of(covers.of(pump.tag(), rebuild)) : Optional.empty(),
        out(id, rebuild));
  }

  /** Pieces that were handed out to this job, and whether they went in. */
  private List<OutView> out(long id, Rebuild rebuild) {
    Set<String> fitted =
        rebuild.renewedInAll().stream()
            .flatMap(p -> rebuild.lot(p).stream())
            .collect(Collectors.toSet());
    return shelves.outTo(id).stream()
        .flatMap(o -> stores.lot(o).stream())
        .map(l -> new OutView(l.id(), l.title(), l.material(), l.place(), fitted.contains(l.id())))
        .toList();
  }

  /** The material a role has in the pump now; empty where nobody wrote it down. */
  private String fittedMaterial(PumpRow pump, Rebuild rebuild, String role) {
    if (role.equals(pump.role())) {
      return rebuild.fitted().material();
    }
    return wetEnds
        .materials(pump)
        .getOrDefault(role, role.equals("plate") ? pump.bodyMaterial() : "");
  }

  private LotView lot(Sheet sheet, LotRow lot, PumpRow pump) {
    ShelfLife life = shelf.of(lot);
    LotStatus status = shelf.status(lot);
    return new LotView(
        lot.id(),
        lot.kit(),
        lot.title(),
        lot.material(),
        Text.day(lot.cured()),
        life.useBy().map(LocalDate::toString),
        status,
        LotText.say(status, life),
        lot.quantity(),
        lot.price(),
        lot.place(),
        sheet.kits().stream()
            .filter(k -> k.id().equals(lot.kit()))
            .flatMap(k -> k.parts().keySet().stream())
            .toList(),
        wetEnds.ofLot(lot, pump));
  }

  /** A kept part stands in the list of lots as one piece that covers the parts of its role. */
  private static LotView keptPart(Sheet sheet, KeptPartRow kept) {
    return new LotView(
        kept.id(),
        "",
        "Kept " + Text.inSentence(kept.name()),
        kept.material(),
        Text.day(kept.keptAt().toLocalDate()),
        Optional.empty(),
        kept.condition() == KeptCondition.SOUND ? LotStatus.IN_DATE : LotStatus.NEEDS_INSPECTION,
        Text.plain(Math.rint(kept.hours())) + " h on it, from " + kept.fromPump(),
        1,
        0,
        kept.place(),
        sheet.parts().stream()
            .filter(p -> p.role().equals(Optional.of(kept.role())))
            .map(Part::id)
            .toList(),
        kept.material().isEmpty() ? Map.of() : Map.of(kept.role(), kept.material()));
  }

  private HandBackView handBack(RebuildRow row, PumpRow pump, Rebuild rebuild) {
    Sheet sheet = rebuild.sheet();
    return new HandBackView(
        rebuild.renewedInAll().stream().map(p -> sheet.partName(p)).toList(),
        sheet.parts().stream()
            .filter(p -> rebuild.verdict(p.id()).equals(Optional.of(Part.Verdict.WATCH)))
            .map(p -> p.name() + ": " + measured(rebuild, p))
            .toList(),
        rebuild.retorques().entrySet().stream()
            .map(
                e ->
                    sheet.stepSentence(e.getKey())
                        + ": again after "
                        + Text.plain(e.getValue())
                        + " h, cold and unpressurised")
            .toList(),
        rebuild.everythingBuilt().stream().flatMap(s -> joint(rebuild, s).stream()).toList(),
        nextDue(row, pump, rebuild),
        retired(rebuild));
  }

  /** When the pump is due again: as it was recorded at the hand-back, or as it stands now. */
  String nextDue(RebuildRow row, PumpRow pump, Rebuild rebuild) {
    Optional<String> recorded =
        rebuild.events().stream()
            .filter(e -> e.act().kind() == Act.Kind.HANDED_BACK && e.act().text().startsWith(DUE))
            .map(e -> e.act().text().substring(DUE.length()))
            .findFirst();
    if (recorded.isPresent()) {
      return recorded.get();
    }
    FindingView.NextView next = nextLooks.next(new Job(row, pump, rebuild), Optional.empty());
    if (rebuild.has(School.Effect.UNTIL_TEAR) && next.because().isEmpty()) {
      return "when it tears; the kit lies ready";
    }
    long days = Math.round(next.hours() / pump.hoursPerDay());
    LocalDate back = row.closedAt() == null ? LocalDate.now(clock) : row.closedAt().toLocalDate();
    return "at "
        + Text.plain(Math.rint(row.hoursThen() + next.hours()))
        + " h, about "
        + Text.day(back.plusDays(days))
        + (next.because().isEmpty()
            ? ""
            : ": "
                + Text.plain(Math.rint(next.hours()))
                + " h instead of "
                + Text.plain(next.planned())
                + ". "
                + next.because());
  }

  /** Parts that came out though nothing was found on them, and what becomes of them. */
  private static List<String> retired(Rebuild rebuild) {
    boolean scrap = rebuild.has(School.Effect.SCRAP_ALL);
    return rebuild.renewedInAll().stream()
        .flatMap(p -> rebuild.sheet().part(p).stream())
        .filter(p -> !rebuild.verdict(p.id()).equals(Optional.of(Part.Verdict.RENEW)))
        .map(
            p ->
                p.name()
                    + (p.oneTime()
                        ? ": one-time, scrapped"
                        : scrap ? ": scrapped" : ": kept with a tag, sound, its hours on it"))
        .toList();
  }

  private static Optional<JointLine> joint(Rebuild rebuild, String step) {
    return rebuild
        .sheet()
        .handling(step)
        .flatMap(Handling::fastening)
        .map(
            f ->
                new JointLine(
                    rebuild.sheet().stepSentence(step),
                    Text.joint(f),
                    rebuild.torque(step).stream()
                        .flatMap(r -> r.fasteners().entrySet().stream())
                        .sorted(Map.Entry.comparingByKey())
                        .map(e -> e.getKey() + ": " + fastener(e.getValue()))
                        .collect(Collectors.joining("; "))));
  }

  private static String fastener(TorqueRound.Fastener f) {
    return f.readings().stream().map(Text::plain).collect(Collectors.joining(", then "))
        + (f.clicked() ? " clicked" : "")
        + f.acceptedBecause().map(why -> ", accepted: " + why).orElse("");
  }

  static PlanView plan(Plan p, Sheet sheet) {
    return new PlanView(
        p.strip(),
        p.build(),
        p.minutes(),
        p.buildOnlyMinutes(),
        p.poseChanges(),
        p.toolChanges(),
        p.tools().stream().map(Text::tool).toList(),
        p.lubricants(),
        p.optimal(),
        (int)
            p.strip().stream()
                .flatMap(id -> sheet.step(id).stream())
                .filter(step -> step.learnedJobs() > 0)
                .count());
  }

  private LogLine logLine(Sheet sheet, BenchEvent e) {
    return new LogLine(
        e.seq(),
        RECORD_TIME.format(e.at().atZone(zone())),
        e.who(),
        ActDescriptions.say(sheet, e.act()));
  }

  private static Optional<String> lastStep(Rebuild rebuild) {
    List<String> done =
        switch (rebuild.stage()) {
          case STRIP, INSPECT, DECIDE -> rebuild.stripped();
          case BUILD, PROVE -> rebuild.built();
          default -> List.of();
        };
    return done.isEmpty() ? Optional.empty() : Optional.of(done.get(done.size() - 1));
  }

  private String time(Instant at) {
    return CLOCK_TIME.format(at.atZone(zone()));
  }

  private ZoneId zone() {
    return clock.getZone();
  }
}
