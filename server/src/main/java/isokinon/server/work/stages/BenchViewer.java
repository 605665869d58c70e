package isokinon.server.work.stages;

import isokinon.core.act.BenchEvent;
import isokinon.core.act.JobAct;
import isokinon.core.act.Stage;
import isokinon.core.plan.Plan;
import isokinon.core.rebuild.Rebuild;
import isokinon.core.sheet.Sheet;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.work.drawing.RailViewer;
import isokinon.server.work.lives.Forecasts;
import isokinon.server.work.rebuild.Job;
import isokinon.server.work.rebuild.StateTag;
import isokinon.server.work.shared.Text;
import isokinon.server.work.stages.BenchView.PauseView;
import isokinon.server.work.stages.BenchView.PumpHead;
import isokinon.server.work.stages.BenchView.SheetHead;
import isokinon.server.work.stages.BenchView.StageMark;
import isokinon.server.work.stages.BenchView.StageState;
import isokinon.server.work.stages.BenchView.WaitView;
import isokinon.server.work.stages.JobRecord.LogLine;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;

/** Puts a rebuild into the shape the bench shows: the head, and the stage in hand by its viewer. */
@Component
public class BenchViewer {

  private final MakeSafeViewer makeSafe;
  private final StepViewer steps;
  private final InspectViewer inspect;
  private final DecideViewer decide;
  private final ProofViewer proof;
  private final HandBackViewer handBack;
  private final Forecasts forecasts;
  private final Clock clock;

  BenchViewer(
      MakeSafeViewer makeSafe,
      StepViewer steps,
      InspectViewer inspect,
      DecideViewer decide,
      ProofViewer proof,
      HandBackViewer handBack,
      Forecasts forecasts,
      Clock clock) {
    this.makeSafe = makeSafe;
    this.steps = steps;
    this.inspect = inspect;
    this.decide = decide;
    this.proof = proof;
    this.handBack = handBack;
    this.forecasts = forecasts;
    this.clock = clock;
  }

  /** A job as the bench shows it. */
  public BenchView view(Job job) {
    Rebuild rebuild = job.rebuild();
    Map<Stage, Duration> times = rebuild.times(Instant.now(clock));
    return new BenchView(
        job.row().id(),
        head(job),
        rebuild.seq(),
        rebuild.stage(),
        stages(rebuild, times),
        times.values().stream().mapToDouble(BenchViewer::minutes).sum(),
        rebuild.plan().map(Plan::handsMinutes).orElse(0.0),
        sheet(rebuild),
        RailViewer.madeAt(rebuild),
        RailViewer.states(rebuild),
        rebuild.lastStep(),
        StateTag.of(rebuild),
        rebuild
            .pause()
            .map(
                e ->
                    new PauseView(
                        e.who(),
                        Text.minute(e.at().atZone(clock.getZone())),
                        e.act().waitsFor(),
                        e.act().note())),
        rebuild.handover().map(e -> handover(job, e)),
        waits(rebuild),
        now(job));
  }

  private BenchView.HandoverView handover(Job job, BenchEvent<JobAct.HandedOver> event) {
    Rebuild rebuild = job.rebuild();
    return new BenchView.HandoverView(
        event.who(),
        Text.minute(event.at().atZone(clock.getZone())),
        event.act().note(),
        makeSafe.gates(job.pump(), rebuild).stream()
            .filter(g -> !g.confirmation() && g.answered())
            .map(g -> new BenchView.LockView(g.title(), g.here().orElse(g.where()), g.by()))
            .toList(),
        rebuild.off().size(),
        (int) rebuild.toInspect().stream().filter(p -> rebuild.verdict(p).isEmpty()).count());
  }

  private StageView now(Job job) {
    Rebuild rebuild = job.rebuild();
    Stage stage = rebuild.stage();
    long id = job.row().id();
    return switch (stage) {
      case TAKE_IN -> new StageView.TakeIn(stage);
      case MAKE_SAFE ->
          new StageView.MakeSafe(
              stage,
              makeSafe.gates(job.pump(), rebuild),
              makeSafe.fluids(job.pump()),
              makeSafe.meetings(job.pump()),
              WaysViewer.plan(rebuild));
      case STRIP ->
          new StageView.Strip(
              stage,
              steps.current(job),
              StepViewer.next(rebuild),
              StepViewer.tray(rebuild),
              StepViewer.aside(rebuild),
              WaysViewer.plan(rebuild));
      case INSPECT ->
          new StageView.Inspect(
              stage,
              inspect.of(rebuild),
              DecideViewer.renewed(rebuild.sheet(), rebuild, rebuild.renewals()),
              WaysViewer.plan(rebuild));
      case DECIDE -> new StageView.Decide(stage, decide.of(id, job.pump(), rebuild));
      case BUILD ->
          new StageView.Build(
              stage,
              steps.current(job),
              StepViewer.next(rebuild),
              StepViewer.tray(rebuild),
              StepViewer.aside(rebuild),
              WaysViewer.plan(rebuild));
      case PROVE -> new StageView.Prove(stage, proof.of(id, job.pump(), rebuild));
      case HAND_BACK ->
          new StageView.HandBack(
              stage, handBack.of(job), handBack.fault(rebuild), decide.out(id, rebuild));
      case CLOSED -> new StageView.Closed(stage, handBack.of(job));
    };
  }

  /** All stages of a job, for its record on paper, with the short code of its chain. */
  public JobRecord record(Job job, String chain) {
    Rebuild rebuild = job.rebuild();
    return new JobRecord(
        job.row().id(),
        rebuild.stage() != Stage.CLOSED,
        head(job),
        sheet(rebuild),
        makeSafe.gates(job.pump(), rebuild),
        handBack.fault(rebuild),
        inspect.of(rebuild),
        DecideViewer.renewed(rebuild.sheet(), rebuild, rebuild.renewalsInAll()),
        proof.of(job.row().id(), job.pump(), rebuild),
        handBack.of(job),
        chain,
        log(job));
  }

  /** Everything that was done, in order. */
  public List<LogLine> log(Job job) {
    List<BenchEvent<?>> events = job.rebuild().events();
    List<String> said =
        ActDescriptions.say(job.rebuild().sheet(), events.stream().map(BenchEvent::act).toList());
    return IntStream.range(0, said.size())
        .mapToObj(i -> logLine(events.get(i), said.get(i)))
        .toList();
  }

  /** What the ways in and the schools of a rebuild cost. */
  public WaysView ways(PumpRow pump, Rebuild rebuild) {
    return WaysViewer.of(rebuild, forecasts.of(pump));
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

  private static PumpHead head(Job job) {
    PumpRow pump = job.pump();
    Rebuild rebuild = job.rebuild();
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

  private static SheetHead sheet(Rebuild rebuild) {
    Sheet sheet = rebuild.sheet();
    return new SheetHead(sheet.id(), sheet.title(), sheet.revision(), sheet.note(), sheet.manual());
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

  private LogLine logLine(BenchEvent<?> e, String said) {
    return new LogLine(
        e.seq(),
        Text.minute(e.at().atZone(clock.getZone())),
        Text.time(e.at().atZone(clock.getZone())),
        e.who(),
        said);
  }
}
