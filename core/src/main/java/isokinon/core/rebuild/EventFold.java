package isokinon.core.rebuild;

import isokinon.core.plan.Plan;
import isokinon.core.plan.PlanRequest;
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

/**
 * Folds events into the state of a rebuild, one after the other. The plan and the times in each
 * stage come out of the one fold: nothing is replayed to show them.
 */
final class EventFold {

  private final Sheet written;
  private final Fitted fitted;
  private final PlanMemo memo;
  private Sheet sheet;
  private final List<BenchEvent> events = new ArrayList<>();
  private final List<String> ways = new ArrayList<>();
  private final Scope scope = new Scope();
  private final PlanInHand plans;
  private final StepRecord steps = new StepRecord();
  private final PartRecord parts = new PartRecord();
  private final RenewalRecord renewals;
  private final ProofRecord proof = new ProofRecord();
  private final BenchTimes times = new BenchTimes();
  private final Map<String, BenchEvent> safe = new LinkedHashMap<>();
  private final Set<Stage> finished = new LinkedHashSet<>();
  private Optional<BenchEvent> pause = Optional.empty();
  private Optional<BenchEvent> symptoms = Optional.empty();
  private Optional<BenchEvent> fault = Optional.empty();
  private Optional<Instant> handedBackAt = Optional.empty();
  private boolean takenIn;

  EventFold(Sheet written, Fitted fitted, PlanMemo memo) {
    this.written = written;
    this.fitted = fitted;
    this.memo = memo;
    this.sheet = written.by(ways);
    this.plans = new PlanInHand(memo, () -> sheet, () -> ways);
    this.renewals = new RenewalRecord(() -> sheet, fitted, scope::asked);
  }

  /** Folds one more event in. */
  void add(BenchEvent event) {
    times.before(event);
    boolean building = building();
    events.add(event);
    apply(event);
    times.after(event.act(), building, changesStage(event.act()) ? stage() : times.stage());
  }

  private static boolean changesStage(Act act) {
    return switch (act.kind()) {
      case TAKEN_IN,
          WAY_CHOSEN,
          STEP_DONE,
          STEP_UNDONE,
          STAGE_DONE,
          HANDED_BACK,
          JUDGED,
          SENT_BACK ->
          true;
      default -> false;
    };
  }

  private void apply(BenchEvent event) {
    Act act = event.act();
    switch (act.kind()) {
      case TAKEN_IN -> {
        takenIn = true;
        act.items().forEach(this::ask);
        follow();
      }
      case WAY_CHOSEN -> {
        written.allSchools().stream()
            .filter(s -> s.id().equals(act.subject()))
            .forEach(s -> ways.removeIf(w -> s.way(w).isPresent()));
        ways.addAll(act.items());
        scope.bothSides();
        follow();
      }
      case PLACED -> act.items().forEach(piece -> steps.place(act.subject(), piece));
      case PAUSED -> pause = Optional.of(event);
      case RESUMED -> pause = Optional.empty();
      case PROVED_SAFE, CONFIRMED -> safe.put(act.subject(), event);
      case CHECKED -> steps.answer(act.step(), act.subject(), building(), event);
      case TORQUE_READ ->
          steps
              .round(act.step(), sheet)
              .ifPresent(
                  r ->
                      r.read(
                          act.pass(),
                          act.fastener(),
                          act.value().orElseThrow(),
                          act.text().equals("clicked")));
      case PASS_DONE -> steps.round(act.step(), sheet).ifPresent(r -> r.passDone(act.pass()));
      case TORQUE_ACCEPTED ->
          steps.round(act.step(), sheet).ifPresent(r -> r.accept(act.fastener(), act.text()));
      case STEP_DONE -> {
        steps.done(act.step(), building(), event.at());
        if (building() && scope.sideToCome() && buildLeft(plans.building(request())).isEmpty()) {
          openTheOtherSide();
        }
      }
      case STEP_UNDONE -> steps.undo(act.step(), building(), sheet);
      case JUDGED -> judge(event);
      case MATERIAL_CHOSEN -> renewals.choose(event);
      case LOT_FITTED -> renewals.book(act.subject(), act.items());
      case PROVED -> proof.read(act.subject(), event);
      case MEASURED -> parts.read(event);
      case CAUSE_FOUND -> parts.cause(event);
      case SYMPTOMS_TOLD -> symptoms = Optional.of(event);
      case FAULT_FOUND -> fault = Optional.of(event);
      case CLOCK_STARTED -> proof.startClock(act.subject(), event.at());
      case SETTLED -> proof.settle(act.subject(), event.at());
      case SENT_BACK -> sendBack(act.subject());
      case STAGE_DONE -> finished.add(Stage.valueOf(act.subject()));
      case HANDED_BACK -> handedBackAt = Optional.of(event.at());
      case NOTED -> {
        // a note changes nothing but the record
      }
    }
  }

  private void ask(String item) {
    String subject = item.substring(item.indexOf(':') + 1);
    switch (item.substring(0, item.indexOf(':') + 1)) {
      case "renew:" -> scope.askToRenew(subject);
      case "way:" -> ways.add(subject);
      case "avoid:" -> scope.askToAvoid(subject);
      default -> scope.askToInspect(subject);
    }
  }

  /** Follows the ways that are chosen now. */
  private void follow() {
    sheet = written.by(ways);
    plans.forget();
    if (has(School.Effect.ONE_SIDE)) {
      scope.oneSideFirst(sheet, plans);
    }
  }

  private void judge(BenchEvent event) {
    String part = event.act().subject();
    if (parts.judge(event)) {
      parts.condemn(part, event);
      scope.mustRenew(part, sheet);
      return;
    }
    if (!renewals.sentBack()) {
      parts.acquit(part);
    }
    scope.needNotRenew(part);
  }

  private void openTheOtherSide() {
    renewals.keep(plans.building(request()));
    steps.otherSide(scope.stayOpen());
    scope.otherSide();
    finished.remove(Stage.INSPECT);
    finished.remove(Stage.DECIDE);
  }

  /** Opens the pump again for what a failed test points at; what else was done stays recorded. */
  private void sendBack(String test) {
    renewals.keep(plans.plan(request()));
    renewals.sendBack();
    scope.only(behind(test));
    steps.again();
    proof.clear();
    safe.clear();
    finished.clear();
    parts.again(plans.plan(request()).freed());
  }

  /** Parts to look at again when a test sends the job back to the step behind it. */
  List<String> behind(String test) {
    String step =
        sheet.proof().stream()
            .filter(t -> t.id().equals(test))
            .map(Sheet.ProofTest::backTo)
            .findFirst()
            .orElse("");
    return sheet
        .step(step)
        .map(s -> s.frees().isEmpty() ? s.disturbs() : s.frees())
        .or(() -> sheet.buildOnlyStep(step).map(b -> b.with()))
        .orElse(List.of())
        .stream()
        .filter(p -> sheet.part(p).map(renewals::present).orElse(false))
        .toList();
  }

  private PlanRequest request() {
    return scope.request(steps.stripped(), has(School.Effect.KIT_CONTENTS));
  }

  /** The plan as it stands after the events so far; empty before the pump is taken in. */
  Optional<Plan> planNow() {
    return takenIn ? Optional.of(plans.plan(request())) : Optional.empty();
  }

  /** The stage the rebuild is in. */
  Stage stage() {
    if (handedBackAt.isPresent()) {
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
    sheet.hazards().stream()
        .map(Sheet.Hazard::id)
        .filter(h -> !safe.containsKey(h))
        .forEach(open::add);
    Rebuild.CONFIRMATIONS.keySet().stream().filter(c -> !safe.containsKey(c)).forEach(open::add);
    return open;
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

  List<BenchEvent> events() {
    return events;
  }

  List<String> ways() {
    return ways;
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

  Optional<BenchEvent> gate(String id) {
    return Optional.ofNullable(safe.get(id));
  }

  Optional<BenchEvent> pause() {
    return pause;
  }

  Optional<BenchEvent> symptoms() {
    return symptoms;
  }

  Optional<BenchEvent> fault() {
    return fault;
  }

  Optional<Instant> handedBackAt() {
    return handedBackAt;
  }
}
