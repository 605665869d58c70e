package isokinon.core.rebuild;

import isokinon.core.act.BenchEvent;
import isokinon.core.act.GateAnswer;
import isokinon.core.act.JobAct;
import isokinon.core.act.JobAct.CameIn;
import isokinon.core.act.PartAct;
import isokinon.core.act.PartReading;
import isokinon.core.act.ProofAct;
import isokinon.core.act.Reading;
import isokinon.core.act.Stage;
import isokinon.core.act.StepAct;
import isokinon.core.peristaltic.Calibration;
import isokinon.core.plan.Plan;
import isokinon.core.plan.PlanMemo;
import isokinon.core.plan.PlanRequest;
import isokinon.core.sheet.Handling;
import isokinon.core.sheet.Part;
import isokinon.core.sheet.School;
import isokinon.core.sheet.Sheet;
import isokinon.core.sheet.Sides;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * The state of one rebuild, derived from its events by folding them on its sheet. Nothing is stored
 * but the events; the same events always give the same state. The plan is made again from what is
 * already off, so a finding that widens the job simply puts the rebuild back into Strip. The parts
 * of the state are folded by {@link EventFold}; here they are read.
 */
public final class Rebuild {

  /** Confirmations that every make-safe gate asks for, besides the hazards of the sheet. */
  public static final Map<String, String> CONFIRMATIONS = confirmations();

  private static Map<String, String> confirmations() {
    Map<String, String> inOrder = new LinkedHashMap<>();
    inOrder.put(
        "papers", "Maker's manual and site procedure read; where they differ from this, they hold");
    inOrder.put("dressed", "Dressed for the fluid");
    return Collections.unmodifiableMap(inOrder);
  }

  /** Readings are decimal numbers: half of the least step any gauge of the shop shows. */
  private static final double ROUNDING = 5e-4;

  private final EventFold fold;
  private final Optional<Plan> plan;
  private final Stage stage;
  private volatile List<Plan.Renewal> renewals;

  private Rebuild(EventFold fold) {
    this.fold = fold;
    this.plan = fold.planNow();
    this.stage = fold.stage();
  }

  /** The rebuild of a pump with {@code fitted} in it after {@code events}, which are in order. */
  public static Rebuild replay(Sheet sheet, Fitted fitted, List<BenchEvent<?>> events) {
    return replay(sheet, fitted, events, new PlanMemo());
  }

  /**
   * The same, with plans that were made before.
   *
   * @param plans of the same sheet
   */
  public static Rebuild replay(
      Sheet sheet, Fitted fitted, List<BenchEvent<?>> events, PlanMemo plans) {
    EventFold fold = new EventFold(sheet, fitted, plans);
    events.forEach(fold::add);
    return new Rebuild(fold);
  }

  /** The rebuild after one more event. */
  public Rebuild plus(BenchEvent<?> event) {
    List<BenchEvent<?>> more = new ArrayList<>(fold.events());
    more.add(event);
    return replay(fold.written(), fold.fitted(), more, fold.memo());
  }

  // ---- the job ---------------------------------------------------------------------------------

  /** The sheet of this rebuild, at the revision it began with, as this job follows it. */
  public Sheet sheet() {
    return fold.sheet();
  }

  /** The sheet as it was written, with every way of every school. */
  public Sheet written() {
    return fold.written();
  }

  /** Schools with the way this job follows in each. */
  public Map<School, School.Way> ways() {
    Map<School, School.Way> followed = new LinkedHashMap<>();
    written().allSchools().forEach(s -> followed.put(s, written().followed(s, fold.ways())));
    return followed;
  }

  /** How the pump is made where its sheet has variants: ids of the ways that are followed. */
  public List<String> variants() {
    return ways().entrySet().stream()
        .filter(e -> e.getKey().variant())
        .map(e -> e.getValue().id())
        .toList();
  }

  /** Whether this job follows a way with this effect. */
  public boolean has(School.Effect effect) {
    return fold.has(effect);
  }

  /** What was in the pump when it came. */
  public Fitted fitted() {
    return fold.fitted();
  }

  /** Every event, in order. */
  public List<BenchEvent<?>> events() {
    return List.copyOf(fold.events());
  }

  /** Number of the last event; 0 before the first. */
  public long seq() {
    List<BenchEvent<?>> events = fold.events();
    return events.isEmpty() ? 0 : events.get(events.size() - 1).seq();
  }

  /** The stage the rebuild is in. */
  public Stage stage() {
    return stage;
  }

  /** Since when and why the job rests; empty while it goes on. */
  public Optional<BenchEvent<JobAct.Paused>> pause() {
    return fold.pause();
  }

  /** Who hands the job over, and the note; empty where nobody does, or somebody has taken it on. */
  public Optional<BenchEvent<JobAct.HandedOver>> handover() {
    List<BenchEvent<?>> events = fold.events();
    for (int i = events.size() - 1; i >= 0; i--) {
      BenchEvent<?> event = events.get(i);
      if (event.act() instanceof JobAct.TakenOn) {
        return Optional.empty();
      }
      if (event.act() instanceof JobAct.HandedOver act) {
        return Optional.of(event.of(act));
      }
    }
    return Optional.empty();
  }

  /** What the pump did, as it was told at the take-in. */
  public Optional<BenchEvent<JobAct.SymptomsTold>> symptoms() {
    return fold.symptoms();
  }

  /** What was wrong with it, as it was found. */
  public Optional<BenchEvent<JobAct.FaultFound>> fault() {
    return fold.fault();
  }

  /** Who signed off what was done, and when; empty where something was done since. */
  public Optional<BenchEvent<JobAct.SignedOff>> signedOff() {
    return fold.signedOff();
  }

  /** The hand-back, where it was done. */
  public Optional<BenchEvent<JobAct.HandedBack>> handedBack() {
    return fold.handedBack();
  }

  /** Hazards that the make-safe gate asks for in this job. */
  public List<Sheet.Hazard> hazards() {
    return fold.hazards();
  }

  /** Hazards and confirmations not yet answered at the make-safe gate, by id. */
  public List<String> openGates() {
    return fold.openGates();
  }

  /** Who answered a gate, and with what. */
  public Optional<GateAnswer> gate(String id) {
    return fold.gate(id);
  }

  /** Every waiting time begun so far. */
  public List<Wait> waits() {
    return Wait.of(this);
  }

  // ---- the way in and back ---------------------------------------------------------------------

  /** The plan from what is already off; empty before the pump is taken in. */
  public Optional<Plan> plan() {
    return plan;
  }

  /** Whether a part comes off by the plan as it stands now. */
  public boolean comesOff(String part) {
    return plan().map(p -> p.freed().contains(part)).orElse(false);
  }

  /** What the job was asked, of both sides, from a pump that stands whole. */
  public PlanRequest asked() {
    return fold.scope().whole(has(School.Effect.KIT_CONTENTS));
  }

  /** Whether side B is still to be opened once side A is closed. */
  public boolean sideToCome() {
    return fold.scope().sideToCome();
  }

  /** Every strip step of the job: those done and those to do. */
  public List<String> route() {
    List<String> route = new ArrayList<>(stripped());
    route.addAll(stripLeft());
    return route;
  }

  /** Strip steps done, in order. */
  public List<String> stripped() {
    return List.copyOf(fold.steps().stripped());
  }

  /** Strip steps still to do, in order. */
  public List<String> stripLeft() {
    return plan.map(Plan::strip).orElse(List.of());
  }

  /** Build steps done, in order. */
  public List<String> built() {
    return List.copyOf(fold.steps().built());
  }

  /** Build steps still to do, in order. */
  public List<String> buildLeft() {
    return plan.map(fold::buildLeft).orElse(List.of());
  }

  /** Build steps of the whole job: of a side closed before as well. */
  public List<String> everythingBuilt() {
    return fold.steps().everythingBuilt();
  }

  /** When each build step was done, in order; one done again counts from then. */
  public Map<String, Instant> builtAt() {
    return Collections.unmodifiableMap(fold.steps().builtAt());
  }

  /** The step in hand while stripping or building. */
  public Optional<String> currentStep() {
    return switch (stage()) {
      case STRIP -> stripLeft().stream().findFirst();
      case BUILD -> buildLeft().stream().findFirst();
      default -> Optional.empty();
    };
  }

  /**
   * The step that was done last on the way in or back; empty in other stages and before the first.
   */
  public Optional<String> lastStep() {
    List<String> done =
        switch (stage()) {
          case STRIP, INSPECT, DECIDE -> stripped();
          case BUILD, PROVE -> built();
          default -> List.of();
        };
    return done.isEmpty() ? Optional.empty() : Optional.of(done.get(done.size() - 1));
  }

  /** Checks of a step that are asked in the stage it is in. */
  public List<Handling.Check> checks(String step) {
    return sheet()
        .handling(step)
        .map(h -> h.checks().stream().filter(c -> shown(step, c.when(), c.closes())).toList())
        .orElse(List.of());
  }

  /** Sentences to be said at a step in the stage it is in. */
  public List<Handling.Caution> cautions(String step) {
    return sheet()
        .handling(step)
        .map(h -> h.cautions().stream().filter(c -> shown(step, c.when(), c.closes())).toList())
        .orElse(List.of());
  }

  private boolean shown(String step, Handling.When when, Optional<Sides.Closes> closes) {
    return when.shown(!fold.building()) && closes(step, closes);
  }

  /**
   * Whether the side of a step closes then, in the plan as it stands; also where it may do either.
   */
  private boolean closes(String step, Optional<Sides.Closes> then) {
    boolean first = plan().map(p -> p.closesFirst().contains(step)).orElse(false);
    return then.map(c -> (c == Sides.Closes.CLOSES_FIRST) == first).orElse(true);
  }

  /** The last answer to a check of a step. */
  public Optional<BenchEvent<StepAct.Checked>> answer(String step, String check) {
    return fold.steps().answerTo(step, check, fold.building());
  }

  /** Why a check of a step was left; empty where it was not. */
  public Optional<BenchEvent<StepAct.CheckLeft>> left(String step, String check) {
    return fold.steps().leftBecause(step, check, fold.building());
  }

  /** Who looked as well, where a check asks for a second person; empty so far. */
  public Optional<BenchEvent<StepAct.Seconded>> seconded(String step, String check) {
    return fold.steps().secondTo(step, check, fold.building());
  }

  /** What a check is held against where it meets a mark with a reading; empty elsewhere. */
  public Optional<Double> markReading(Handling.Check check) {
    return check.within().isPresent() && !check.mark().isEmpty()
        ? fold.steps().readingOfMark(check.mark())
        : Optional.empty();
  }

  /** What a step still waits for at one of its checks. */
  public enum Open {
    UNANSWERED,
    MISSED,
    SECOND_PERSON
  }

  /** What a step waits for at a check; empty where it is settled, or was left with a reason. */
  public Optional<Open> open(String step, Handling.Check check) {
    if (left(step, check.id()).isPresent()) {
      return Optional.empty();
    }
    if (answer(step, check.id()).isEmpty()) {
      return Optional.of(Open.UNANSWERED);
    }
    if (!passed(step, check)) {
      return Optional.of(Open.MISSED);
    }
    return check.second() && seconded(step, check.id()).isEmpty()
        ? Optional.of(Open.SECOND_PERSON)
        : Optional.empty();
  }

  /** Whether the answer to a check is one that the step may go on with. */
  public boolean passed(String step, Handling.Check check) {
    Optional<BenchEvent<StepAct.Checked>> answer = answer(step, check.id());
    if (answer.isEmpty() || check.kind() == Handling.Answer.CONFIRM) {
      return answer.isPresent();
    }
    double value = answer.get().act().reading().map(Reading::value).orElse(Double.NaN);
    return check.passes(value)
        && markReading(check)
            .map(m -> Math.abs(value - m) <= check.within().orElse(0.0) + ROUNDING)
            .orElse(true);
  }

  /** The tightening of a step's joint as recorded so far; empty where it has no joint. */
  public Optional<TorqueRound> torque(String step) {
    return fold.steps().recorded(step, sheet());
  }

  /** Which piece lies in which place, of matched parts put back so far. */
  public Map<String, String> placed() {
    return Map.copyOf(fold.steps().placed());
  }

  /** Parts off the pump now, ids. */
  public Set<String> off() {
    return fold.steps().off(sheet());
  }

  /** Parts undone, but still caught on a shaft or rod: they lie on no tray. */
  public Set<String> aside() {
    return fold.steps().aside(sheet());
  }

  /** Joints to be tightened again after settling, with the hours to wait. */
  public Map<String, Double> retorques() {
    Map<String, Double> due = new LinkedHashMap<>();
    for (String step : everythingBuilt()) {
      sheet()
          .fastening(step)
          .filter(f -> f.retorqueHours() > 0 && !f.locked())
          .ifPresent(f -> due.put(step, f.retorqueHours()));
    }
    return due;
  }

  /** Why the pump came in; empty where nobody said. */
  public Optional<CameIn> cameIn() {
    return fold.cameIn();
  }

  // ---- what is found and what goes in ----------------------------------------------------------

  /** How a part was judged. */
  public Optional<Part.Verdict> verdict(String part) {
    return fold.parts().verdict(part);
  }

  /** The event that judged a part. */
  public Optional<BenchEvent<PartAct.Judged>> judgement(String part) {
    return fold.parts().judgement(part);
  }

  /** The last reading of each measure of a part. */
  public Map<String, PartReading> readings(String part) {
    return fold.parts().readings(part);
  }

  /** Why a part wore, as it was said. */
  public Optional<BenchEvent<PartAct.CauseFound>> cause(String part) {
    return Optional.ofNullable(causes().get(part));
  }

  /** Parts whose cause was said, with the event. */
  public Map<String, BenchEvent<PartAct.CauseFound>> causes() {
    return fold.parts().causes();
  }

  /** The judgement by which a part was found bad, also where the job came back to it later. */
  public Optional<BenchEvent<PartAct.Judged>> condemned(String part) {
    return fold.parts().condemned(part);
  }

  /** Parts to be judged at inspection: off, not one-time, not renewed anyway. */
  public List<String> toInspect() {
    return plan.map(p -> fold.renewals().toInspect(p)).orElse(List.of());
  }

  /**
   * Parts renewed by this rebuild: asked for, found bad, spoilt by opening, or called for by the
   * material that goes in. A part that goes only with other materials is left out.
   */
  public List<Plan.Renewal> renewals() {
    // worked out once it is asked for: every view asks, for every part
    if (renewals == null) {
      renewals = List.copyOf(fold.renewals().of(plan));
    }
    return renewals;
  }

  /** Ids of {@link #renewals()}. */
  public List<String> renewing() {
    return renewals().stream().map(Plan.Renewal::part).toList();
  }

  /** What the whole job renews: of a side closed before as well. */
  public List<Plan.Renewal> renewalsInAll() {
    return fold.renewals().inAll(plan);
  }

  /** Ids of {@link #renewalsInAll()}. */
  public List<String> renewedInAll() {
    return renewalsInAll().stream().map(Plan.Renewal::part).toList();
  }

  /**
   * Whether the pump has this part at all: with the material that was in it until one is chosen.
   */
  public boolean present(Part part) {
    return fold.renewals().present(part);
  }

  /** Roles for which renewed parts ask for a material. */
  public List<String> rolesToChoose() {
    Set<String> renewing = Set.copyOf(renewing());
    return sheet().parts().stream()
        .filter(p -> renewing.contains(p.id()))
        .flatMap(p -> p.role().stream())
        .distinct()
        .toList();
  }

  /** The material chosen for a role. */
  public Optional<String> material(String role) {
    return fold.renewals().material(role);
  }

  /** The material that goes into the wearing role: the one chosen, else the one that was in it. */
  public String goesIn() {
    return fold.renewals().goesIn();
  }

  /** The lot that goes into a part. */
  public Optional<String> lot(String part) {
    return fold.renewals().lot(part);
  }

  // ---- the proof -------------------------------------------------------------------------------

  /** The last reading of a proof test. */
  public Optional<BenchEvent<ProofAct.Proved>> proof(String test) {
    return fold.proof().last(test);
  }

  /** Every reading of a test since the pump was last built, in order. */
  public List<BenchEvent<ProofAct.Proved>> runs(String test) {
    return fold.proof().runs(test);
  }

  /** The last time a test that is confirmed did not hold; empty where it was confirmed since. */
  public Optional<BenchEvent<ProofAct.NotMet>> notMet(String test) {
    return fold.proof().notMet(test);
  }

  /** Whether a proof test was tried and did not hold. */
  public boolean missed(Sheet.ProofTest test) {
    return fold.proof().missed(test);
  }

  /** Whether a proof test has passed. */
  public boolean passed(Sheet.ProofTest test) {
    return fold.proof().passed(test);
  }

  /** What the runs of a calibration come to; empty before there are enough. */
  public Optional<Calibration> calibration(Sheet.ProofTest test) {
    return fold.proof().calibration(test);
  }

  /** When the clock of a test was started; empty where it was not. */
  public Optional<Instant> clock(String test) {
    return fold.proof().clock(test);
  }

  /** When a joint was tightened again or a gland followed up. */
  public Optional<Instant> settledAt(String subject) {
    return fold.proof().settledAt(subject);
  }

  /** Parts to look at again when a test sends the job back to the step behind it. */
  public List<String> behind(ProofAct.SentBack act) {
    return fold.behind(act);
  }

  // ---- time
  // --------------------------------------------------------------------------------------

  /**
   * Time at the bench in each stage so far, up to {@code now}. A gap between two acts counts for at
   * most half an hour: beyond that nobody stood at the pump (shop rule).
   */
  public Map<Stage, Duration> times(Instant now) {
    return fold.times().stages(now);
  }

  /**
   * How long each finished step took at the bench, in the order they were done. A step taken back
   * counts only once it is done again.
   */
  public List<StepTime> stepTimes() {
    return fold.times().steps();
  }
}
