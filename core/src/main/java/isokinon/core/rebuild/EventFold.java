package isokinon.core.rebuild;

import isokinon.core.act.BenchEvent;
import isokinon.core.act.GateAnswer;
import isokinon.core.act.JobAct;
import isokinon.core.act.JobAct.CameIn;
import isokinon.core.act.PartAct;
import isokinon.core.act.ProofAct;
import isokinon.core.act.Stage;
import isokinon.core.plan.Plan;
import isokinon.core.plan.PlanMemo;
import isokinon.core.plan.PlanRequest;
import isokinon.core.sheet.BuildOnlyStep;
import isokinon.core.sheet.CalledFor;
import isokinon.core.sheet.Following;
import isokinon.core.sheet.Part;
import isokinon.core.sheet.School;
import isokinon.core.sheet.Sheet;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Folds events into the state of a rebuild, one after the other. The plan and the times in each
 * stage come out of the one fold: nothing is replayed to show them.
 */
final class EventFold {

  private final Sheet written;

  /** A reading of pH in the rinse is asked once, whoever asks. */
  private static final String PH = "pH";

  private final Fitted fitted;
  private final PlanMemo memo;
  private Sheet sheet;
  private final List<BenchEvent<?>> events = new ArrayList<>();
  private final List<String> ways = new ArrayList<>();
  private final Scope scope = new Scope();
  private final PlanInHand plans;
  private final StepRecord steps = new StepRecord();
  private final PartRecord parts = new PartRecord();
  private final RenewalRecord renewals;
  private final ProofRecord proof = new ProofRecord();
  private final BenchTimes times = new BenchTimes();
  private final Map<String, GateAnswer> safe = new LinkedHashMap<>();
  private final Set<Stage> finished = new LinkedHashSet<>();
  private Optional<BenchEvent<JobAct.Paused>> pause = Optional.empty();
  private Optional<BenchEvent<JobAct.SymptomsTold>> symptoms = Optional.empty();
  private Optional<BenchEvent<JobAct.FaultFound>> fault = Optional.empty();
  private Optional<BenchEvent<JobAct.SignedOff>> signedOff = Optional.empty();
  private Optional<BenchEvent<JobAct.HandedBack>> handedBack = Optional.empty();
  private boolean takenIn;
  private Optional<CameIn> cameIn = Optional.empty();

  EventFold(Sheet written, Fitted fitted, PlanMemo memo) {
    this.written = written;
    this.fitted = fitted;
    this.memo = memo;
    this.renewals = new RenewalRecord(() -> sheet, fitted, scope::asked);
    this.sheet = memo.followed(written, following());
    this.plans = new PlanInHand(memo, () -> sheet, this::following);
  }

  /** Folds one more event in. */
  void add(BenchEvent<?> event) {
    times.before(event);
    boolean building = building();
    events.add(event);
    signedOff = signedOff.filter(s -> event.act().leavesTheWork());
    boolean stageMayChange = event.act().accept(new ActFold(this, event));
    times.after(event.act(), building, stageMayChange ? stage() : times.stage());
  }

  /** The pump is in: asked of it, and by these ways. */
  void takeIn(JobAct.TakenIn act) {
    takenIn = true;
    cameIn = act.why();
    act.renew().forEach(scope::askToRenew);
    act.inspect().forEach(scope::askToInspect);
    act.avoid().forEach(scope::askToAvoid);
    ways.addAll(act.ways());
    follow();
  }

  /** Another way of a school is followed, instead of the one before. */
  void choose(JobAct.WayChosen act) {
    written.allSchools().stream()
        .filter(s -> s.id().equals(act.school()))
        .forEach(s -> ways.removeIf(w -> s.way(w).isPresent()));
    ways.add(act.way());
    scope.bothSides();
    follow();
  }

  private Following following() {
    return new Following(ways(), fitted.material(), renewals.goesIn());
  }

  /** Another material may go in from now on: what holds only for one of them changes. */
  void material() {
    Sheet now = memo.followed(written, following());
    if (!now.equals(sheet)) {
      sheet = now;
      plans.forget();
    }
  }

  /** Follows the ways that are chosen now. */
  private void follow() {
    sheet = memo.followed(written, following());
    plans.forget();
    if (has(School.Effect.ONE_SIDE)) {
      scope.oneSideFirst(sheet, plans);
    }
  }

  /** A step is done; with the last one of side A, side B is opened where that is to come. */
  void stepDone(String step, Instant at) {
    steps.done(step, building(), at);
    if (building() && scope.sideToCome() && buildLeft(plans.building(request())).isEmpty()) {
      openTheOtherSide();
    }
  }

  /** Another way in is taken, from what is off already. */
  void avoid(String step) {
    scope.askToAvoid(step);
    plans.forget();
  }

  void judge(BenchEvent<PartAct.Judged> event) {
    String part = event.act().part();
    parts.judge(event);
    if (event.act().verdict() == Part.Verdict.RENEW) {
      parts.condemn(part, event);
      scope.mustRenew(part, sheet);
      return;
    }
    if (!renewals.sentBack()) {
      parts.acquit(part);
    }
    scope.needNotRenew(part);
  }

  void answerGate(String id, GateAnswer answer) {
    safe.put(id, answer);
  }

  void finish(Stage stage) {
    finished.add(stage);
  }

  void pause(Optional<BenchEvent<JobAct.Paused>> since) {
    pause = since;
  }

  void told(BenchEvent<JobAct.SymptomsTold> event) {
    symptoms = Optional.of(event);
  }

  void found(BenchEvent<JobAct.FaultFound> event) {
    fault = Optional.of(event);
  }

  void signOff(BenchEvent<JobAct.SignedOff> event) {
    signedOff = Optional.of(event);
  }

  void handBack(BenchEvent<JobAct.HandedBack> event) {
    handedBack = Optional.of(event);
  }

  private void openTheOtherSide() {
    renewals.keep(plans.building(request()));
    steps.otherSide(scope.stayOpen(), sheet);
    scope.otherSide();
    finished.remove(Stage.INSPECT);
    finished.remove(Stage.DECIDE);
  }

  /** Opens the pump again for what a failed test points at; what else was done stays recorded. */
  void sendBack(ProofAct.SentBack act) {
    renewals.keep(plans.plan(request()));
    renewals.sendBack();
    scope.only(behind(act));
    steps.again();
    proof.clear();
    safe.clear();
    finished.clear();
    parts.again(plans.plan(request()).freed());
  }

  /** Parts to look at again when a test sends the job back to the steps behind it. */
  List<String> behind(ProofAct.SentBack act) {
    return sheet.proofTest(act.test()).map(Sheet.ProofTest::backTo).orElse(List.of()).stream()
        .filter(step -> act.steps().isEmpty() || act.steps().contains(step))
        .flatMap(step -> partsOf(step).stream())
        .distinct()
        .filter(p -> sheet.part(p).map(renewals::present).orElse(false))
        .toList();
  }

  private List<String> partsOf(String step) {
    return sheet
        .step(step)
        .map(s -> s.frees().isEmpty() ? s.disturbs() : s.frees())
        .or(() -> sheet.buildOnlyStep(step).map(BuildOnlyStep::calledFor).map(this::partsOf))
        .orElse(List.of());
  }

  private List<String> partsOf(CalledFor c) {
    return Stream.concat(
            Stream.of(c.renewed(), c.off(), c.back()).flatMap(List::stream),
            c.steps().stream().flatMap(step -> partsOf(step).stream()))
        .toList();
  }

  private PlanRequest request() {
    return scope.request(steps.stripped(), has(School.Effect.KIT_CONTENTS));
  }

  /** The plan as it stands after the events so far; empty before the pump is taken in. */
  Optional<Plan> planNow() {
    return takenIn ? Optional.of(plans.plan(request())) : Optional.empty();
  }

  /** Why the pump came in; empty where nobody said. */
  Optional<CameIn> cameIn() {
    return cameIn;
  }

  /** The stage the rebuild is in. */
  Stage stage() {
    if (handedBack.isPresent()) {
      return Stage.CLOSED;
    }
    if (!takenIn) {
      return Stage.TAKE_IN;
    }
    if (!openGates().isEmpty() || !finished.contains(Stage.MAKE_SAFE)) {
      return Stage.MAKE_SAFE;
    }
    if (!building()) {
      return !plans.stripped(request())
          ? Stage.STRIP
          : finished.contains(Stage.INSPECT) && allJudged() ? Stage.DECIDE : Stage.INSPECT;
    }
    if (!buildLeft(plans.building(request())).isEmpty()) {
      return Stage.BUILD;
    }
    return finished.contains(Stage.PROVE) ? Stage.HAND_BACK : Stage.PROVE;
  }

  /** Also after Inspect was finished: a job widened at Decide brings further parts to look at. */
  private boolean allJudged() {
    return renewals.toInspect(plans.reaching(request())).stream().allMatch(parts::judged);
  }

  /** Hazards and confirmations not yet answered at the make-safe gate, by id. */
  List<String> openGates() {
    List<String> open = new ArrayList<>();
    hazards().stream().map(Sheet.Hazard::id).filter(h -> !safe.containsKey(h)).forEach(open::add);
    Rebuild.CONFIRMATIONS.keySet().stream().filter(c -> !safe.containsKey(c)).forEach(open::add);
    return open;
  }

  /** Hazards that this job meets, those answered before it was widened or cut short included. */
  List<Sheet.Hazard> hazards() {
    List<Sheet.Hazard> met =
        sheet.hazards().stream()
            .filter(h -> !h.whereMet() || safe.containsKey(h.id()) || met(h.id()))
            .toList();
    return Fitted.withRinses(met, rinses(met).toList());
  }

  /**
   * Of fluids that must not meet, what the sheet does not ask for already. A job that does not open
   * the wet end is not asked, nor one that passed the gate before such a fluid came into the duty.
   */
  private Stream<Sheet.Hazard> rinses(List<Sheet.Hazard> ofSheet) {
    boolean wet = ofSheet.stream().anyMatch(h -> h.energy() == Sheet.Energy.FLUID);
    return fitted.rinses().stream()
        .filter(h -> safe.containsKey(h.id()) || (wet && !finished.contains(Stage.MAKE_SAFE)))
        .filter(h -> ofSheet.stream().noneMatch(s -> h.unit().equals(PH) && s.unit().equals(PH)));
  }

  private boolean met(String hazard) {
    return takenIn
        && (plans.reaching(request()).hazards().contains(hazard)
            || sheet.proof().stream().anyMatch(t -> t.hazards().contains(hazard)));
  }

  /** Build steps of a plan still to do, in order; those that wait for the other side left out. */
  List<String> buildLeft(Plan plan) {
    return plan.build().stream().filter(s -> !steps.built().contains(s) && !waitsOpen(s)).toList();
  }

  /** Whether a build step waits for the other side, because that needs its joint open too. */
  private boolean waitsOpen(String step) {
    return scope.sideToCome()
        && (scope.stayOpen().contains(step)
            || sheet
                .buildOnlyStep(step)
                .map(b -> b.before().stream().anyMatch(scope.stayOpen()::contains))
                .orElse(false));
  }

  boolean building() {
    return finished.contains(Stage.DECIDE);
  }

  boolean has(School.Effect effect) {
    return written.has(effect, ways);
  }

  Sheet written() {
    return written;
  }

  Sheet sheet() {
    return sheet;
  }

  Fitted fitted() {
    return fitted;
  }

  PlanMemo memo() {
    return memo;
  }

  List<BenchEvent<?>> events() {
    return events;
  }

  /** The ways that were chosen, before those by which the pump is made. */
  List<String> ways() {
    return Stream.concat(ways.stream(), fitted.variants().stream()).toList();
  }

  Scope scope() {
    return scope;
  }

  StepRecord steps() {
    return steps;
  }

  PartRecord parts() {
    return parts;
  }

  RenewalRecord renewals() {
    return renewals;
  }

  ProofRecord proof() {
    return proof;
  }

  BenchTimes times() {
    return times;
  }

  Optional<GateAnswer> gate(String id) {
    return Optional.ofNullable(safe.get(id));
  }

  Optional<BenchEvent<JobAct.Paused>> pause() {
    return pause;
  }

  Optional<BenchEvent<JobAct.SymptomsTold>> symptoms() {
    return symptoms;
  }

  Optional<BenchEvent<JobAct.FaultFound>> fault() {
    return fault;
  }

  Optional<BenchEvent<JobAct.SignedOff>> signedOff() {
    return signedOff;
  }

  Optional<BenchEvent<JobAct.HandedBack>> handedBack() {
    return handedBack;
  }
}
