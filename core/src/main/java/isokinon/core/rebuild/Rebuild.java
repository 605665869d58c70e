package isokinon.core.rebuild;

import isokinon.core.peristaltic.Calibration;
import isokinon.core.plan.Plan;
import isokinon.core.plan.PlanRefused;
import isokinon.core.plan.PlanRequest;
import isokinon.core.plan.Planner;
import isokinon.core.sheet.Code;
import isokinon.core.sheet.Handling;
import isokinon.core.sheet.Part;
import isokinon.core.sheet.School;
import isokinon.core.sheet.Sheet;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * The state of one rebuild, derived from its events by replaying them on its sheet. Nothing is
 * stored but the events; the same events always give the same state. The plan is made again from
 * what is already off, so a finding that widens the job simply puts the rebuild back into Strip.
 */
public final class Rebuild {

  /** Confirmations that every make-safe gate asks for, besides the hazards of the sheet. */
  public static final Map<String, String> CONFIRMATIONS =
      orderedMap(
          "papers",
              "Maker's manual and site procedure read; where they differ from this, they hold",
          "dressed", "Dressed for the fluid");

  private static final Duration LONGEST_GAP = Duration.ofMinutes(30);

  private final Sheet written;
  private Sheet sheet;
  private final Fitted fitted;
  private final List<BenchEvent> events = new ArrayList<>();
  private final Set<String> renew = new LinkedHashSet<>();
  private final Set<String> inspect = new LinkedHashSet<>();
  private final Map<String, BenchEvent> safe = new LinkedHashMap<>();
  private final List<String> stripped = new ArrayList<>();
  private final List<String> built = new ArrayList<>();
  private final Map<String, BenchEvent> answers = new HashMap<>();
  private final Map<String, TorqueRound> rounds = new HashMap<>();
  private final Map<String, BenchEvent> judged = new LinkedHashMap<>();
  private final Map<String, BenchEvent> chosen = new LinkedHashMap<>();
  private final Map<String, String> lots = new LinkedHashMap<>();
  private final Map<String, BenchEvent> proofs = new LinkedHashMap<>();
  private final Set<Stage> finished = new LinkedHashSet<>();
  private final Map<String, String> placed = new LinkedHashMap<>();
  private final List<String> ways = new ArrayList<>();
  private final List<String> avoid = new ArrayList<>();
  private Optional<BenchEvent> pause = Optional.empty();
  private final Set<String> laterRenew = new LinkedHashSet<>();
  private final Set<String> laterInspect = new LinkedHashSet<>();
  private final List<String> stayOpen = new ArrayList<>();
  private final List<String> earlierBuilt = new ArrayList<>();
  private final List<Plan.Renewal> earlierRenewals = new ArrayList<>();
  private final Map<String, Instant> builtAt = new LinkedHashMap<>();
  private final Map<String, Instant> clocks = new HashMap<>();
  private final Map<String, Instant> settled = new HashMap<>();
  private final Map<String, Map<String, BenchEvent>> readings = new HashMap<>();
  private final Map<String, List<BenchEvent>> runs = new HashMap<>();
  private final Map<String, BenchEvent> causes = new LinkedHashMap<>();
  private final Map<String, BenchEvent> condemned = new LinkedHashMap<>();
  private final Set<String> asked = new LinkedHashSet<>();
  private Optional<BenchEvent> symptoms = Optional.empty();
  private Optional<BenchEvent> fault = Optional.empty();
  private Optional<Instant> handedBackAt = Optional.empty();
  private boolean sentBack;
  private boolean takenIn;
  private boolean handedBack;
  private Optional<Plan> plan = Optional.empty();

  private Rebuild(Sheet sheet, Fitted fitted) {
    this.written = sheet;
    this.sheet = sheet.by(ways);
    this.fitted = fitted;
  }

  /** The rebuild of a pump with {@code fitted} in it after {@code events}, which are in order. */
  public static Rebuild replay(Sheet sheet, Fitted fitted, List<BenchEvent> events) {
    Rebuild rebuild = new Rebuild(sheet, fitted);
    events.forEach(rebuild::apply);
    rebuild.makePlan();
    return rebuild;
  }

  /** The rebuild after one more event. */
  public Rebuild and(BenchEvent event) {
    List<BenchEvent> more = new ArrayList<>(events);
    more.add(event);
    return replay(written, fitted, more);
  }

  private void makePlan() {
    if (takenIn) {
      plan =
          Optional.of(
              new Planner()
                  .plan(
                      sheet,
                      new PlanRequest(
                          List.copyOf(renew),
                          List.copyOf(inspect),
                          stripped,
                          avoid,
                          written.has(School.Effect.KIT_CONTENTS, ways))));
    }
  }

  private void apply(BenchEvent event) {
    events.add(event);
    Act act = event.act();
    switch (act.kind()) {
      case TAKEN_IN -> {
        takenIn = true;
        act.items().forEach(this::ask);
        sheet = written.by(ways);
        oneSideFirst();
      }
      case WAY_CHOSEN -> {
        written.allSchools().stream()
            .filter(s -> s.id().equals(act.subject()))
            .forEach(s -> ways.removeIf(w -> s.way(w).isPresent()));
        ways.addAll(act.items());
        sheet = written.by(ways);
        bothSidesAgain();
        oneSideFirst();
      }
      case PLACED -> act.items().forEach(piece -> placed.put(act.subject(), piece));
      case PAUSED -> pause = Optional.of(event);
      case RESUMED -> pause = Optional.empty();
      case PROVED_SAFE, CONFIRMED -> safe.put(act.subject(), event);
      case CHECKED -> answers.put(answerKey(act.step(), act.subject()), event);
      case TORQUE_READ ->
          round(act.step())
              .ifPresent(
                  r ->
                      r.read(
                          act.pass(),
                          act.fastener(),
                          act.value().orElseThrow(),
                          act.text().equals("clicked")));
      case PASS_DONE -> round(act.step()).ifPresent(r -> r.passDone(act.pass()));
      case TORQUE_ACCEPTED ->
          round(act.step()).ifPresent(r -> r.accept(act.fastener(), act.text()));
      case STEP_DONE -> {
        (building() ? built : stripped).add(act.step());
        if (building()) {
          builtAt.put(act.step(), event.at());
        }
        if (building() && sideToCome()) {
          makePlan();
          openTheOtherSide();
        }
      }
      case STEP_UNDONE -> undo(act.step());
      case JUDGED -> judge(event);
      case MATERIAL_CHOSEN -> chosen.put(act.subject(), event);
      case LOT_FITTED -> act.items().forEach(part -> lots.put(part, act.subject()));
      case PROVED -> {
        proofs.put(act.subject(), event);
        runs.computeIfAbsent(act.subject(), t -> new ArrayList<>()).add(event);
      }
      case MEASURED -> read(event);
      case CAUSE_FOUND -> causes.put(act.subject(), event);
      case SYMPTOMS_TOLD -> symptoms = Optional.of(event);
      case FAULT_FOUND -> fault = Optional.of(event);
      case CLOCK_STARTED -> clocks.put(act.subject(), event.at());
      case SETTLED -> settled.put(act.subject(), event.at());
      case SENT_BACK -> sendBack(act.subject());
      case STAGE_DONE -> finished.add(Stage.valueOf(act.subject()));
      case HANDED_BACK -> {
        handedBack = true;
        handedBackAt = Optional.of(event.at());
      }
      case NOTED -> {
        // a note changes nothing but the record
      }
    }
  }

  private void ask(String item) {
    String subject = item.substring(item.indexOf(':') + 1);
    switch (item.substring(0, item.indexOf(':') + 1)) {
      case "renew:" -> {
        renew.add(subject);
        asked.add(subject);
      }
      case "way:" -> ways.add(subject);
      case "avoid:" -> avoid.add(subject);
      default -> inspect.add(subject);
    }
  }

  // ---- one side at a time --------------------------------------------------------------------

  /** Leaves what is asked of side B for later, where the job does one side at a time. */
  private void oneSideFirst() {
    List<String> asked = Stream.concat(renew.stream(), inspect.stream()).toList();
    if (!has(School.Effect.ONE_SIDE)
        || asked.stream().noneMatch(this::onSideB)
        || asked.stream().noneMatch(p -> onSide("A", p))) {
      return;
    }
    renew.stream().filter(this::onSideB).forEach(laterRenew::add);
    inspect.stream().filter(this::onSideB).forEach(laterInspect::add);
    renew.removeAll(laterRenew);
    inspect.removeAll(laterInspect);
    List<String> second = route(laterRenew, laterInspect);
    route(renew, inspect).stream().filter(second::contains).forEach(stayOpen::add);
  }

  private boolean onSideB(String part) {
    return onSide("B", part);
  }

  private boolean onSide(String side, String part) {
    return sheet.part(part).flatMap(Part::place).filter(p -> p.side().equals(side)).isPresent();
  }

  private void bothSidesAgain() {
    renew.addAll(laterRenew);
    inspect.addAll(laterInspect);
    laterRenew.clear();
    laterInspect.clear();
    stayOpen.clear();
  }

  private List<String> route(Set<String> toRenew, Set<String> toInspect) {
    return new Planner()
        .plan(
            sheet,
            new PlanRequest(List.copyOf(toRenew), List.copyOf(toInspect), List.of(), avoid, false))
        .strip();
  }

  /** Whether side B is still to be opened once side A is closed. */
  public boolean sideToCome() {
    return !laterRenew.isEmpty() || !laterInspect.isEmpty();
  }

  private void openTheOtherSide() {
    if (!buildLeft().isEmpty()) {
      return;
    }
    earlierRenewals.addAll(renewals());
    earlierBuilt.addAll(built);
    stripped.retainAll(stayOpen);
    built.clear();
    renew.clear();
    inspect.clear();
    bothSidesAgain();
    finished.remove(Stage.INSPECT);
    finished.remove(Stage.DECIDE);
    plan = Optional.empty();
  }

  private void undo(String step) {
    (building() ? built : stripped).remove(step);
    if (building()) {
      builtAt.remove(step);
      rounds.remove(step);
      MatchedParts.places(sheet, step).forEach(placed::remove);
    }
    answers.keySet().removeIf(k -> k.startsWith(answerKey(step, "")));
  }

  private void judge(BenchEvent event) {
    String part = event.act().subject();
    judged.put(part, event);
    read(event);
    if (verdict(part).equals(Optional.of(Part.Verdict.RENEW))) {
      condemned.putIfAbsent(part, event);
      (sideToCome() && onSideB(part) ? laterRenew : renew).add(part);
    } else {
      if (!sentBack) {
        condemned.remove(part);
      }
      if (!askedAtTakeIn(part)) {
        renew.remove(part);
      }
    }
  }

  private boolean askedAtTakeIn(String part) {
    return asked.contains(part);
  }

  private void read(BenchEvent event) {
    if (event.act().value().isPresent() && !event.act().step().isEmpty()) {
      readings
          .computeIfAbsent(event.act().subject(), p -> new LinkedHashMap<>())
          .put(event.act().step(), event);
    }
  }

  // ---- back from the proof -------------------------------------------------------------------

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
        .filter(p -> sheet.part(p).map(this::present).orElse(false))
        .toList();
  }

  /** Opens the pump again for what a failed test points at; what else was done stays recorded. */
  private void sendBack(String test) {
    makePlan();
    earlierRenewals.addAll(renewals());
    earlierBuilt.addAll(built);
    sentBack = true;
    asked.clear();
    renew.clear();
    inspect.clear();
    inspect.addAll(behind(test));
    stripped.clear();
    built.clear();
    rounds.clear();
    answers.clear();
    placed.clear();
    proofs.clear();
    runs.clear();
    clocks.clear();
    safe.clear();
    finished.clear();
    makePlan();
    plan.map(Plan::freed).ifPresent(freed -> judged.keySet().removeAll(freed));
    plan.map(Plan::freed).ifPresent(freed -> readings.keySet().removeAll(freed));
  }

  private boolean building() {
    return finished.contains(Stage.DECIDE);
  }

  private String answerKey(String step, String check) {
    return (building() ? "build/" : "strip/") + step + "/" + check;
  }

  private Optional<TorqueRound> round(String step) {
    return sheet
        .handling(step)
        .flatMap(Handling::fastening)
        .map(f -> rounds.computeIfAbsent(step, s -> new TorqueRound(f)));
  }

  // ---- what the events mean -------------------------------------------------------------------

  /** The sheet of this rebuild, at the revision it began with, as this job follows it. */
  public Sheet sheet() {
    return sheet;
  }

  /** Schools with the way this job follows in each. */
  public Map<School, School.Way> ways() {
    Map<School, School.Way> followed = new LinkedHashMap<>();
    written.allSchools().forEach(s -> followed.put(s, written.followed(s, ways)));
    return followed;
  }

  /** Whether this job follows a way with this effect. */
  public boolean has(School.Effect effect) {
    return written.has(effect, ways);
  }

  /** The sheet as it was written, with every way of every school. */
  public Sheet written() {
    return written;
  }

  /** Since when and why the job rests; empty while it goes on. */
  public Optional<BenchEvent> pause() {
    return pause;
  }

  /** Which piece lies in which place, of matched parts put back so far. */
  public Map<String, String> placed() {
    return Map.copyOf(placed);
  }

  /** What was in the pump when it came. */
  public Fitted fitted() {
    return fitted;
  }

  /** The material that goes into the wearing role: the one chosen, else the one that was in it. */
  public String goesIn() {
    return material(fitted.role()).orElse(fitted.material());
  }

  /** Every event, in order. */
  public List<BenchEvent> events() {
    return List.copyOf(events);
  }

  /** Number of the last event; 0 before the first. */
  public long seq() {
    return events.isEmpty() ? 0 : events.get(events.size() - 1).seq();
  }

  /** The plan from what is already off; empty before the pump is taken in. */
  public Optional<Plan> plan() {
    return plan;
  }

  /** What the job was asked, of both sides, from a pump that stands whole. */
  public PlanRequest asked() {
    Set<String> allRenew = new LinkedHashSet<>(renew);
    allRenew.addAll(laterRenew);
    Set<String> allInspect = new LinkedHashSet<>(inspect);
    allInspect.addAll(laterInspect);
    return new PlanRequest(
        List.copyOf(allRenew),
        List.copyOf(allInspect),
        List.of(),
        avoid,
        has(School.Effect.KIT_CONTENTS));
  }

  /** Every strip step of the job: those done and those to do. */
  public List<String> route() {
    List<String> route = new ArrayList<>(stripped);
    route.addAll(stripLeft());
    return route;
  }

  /** The stage the rebuild is in. */
  public Stage stage() {
    if (handedBack) {
      return Stage.CLOSED;
    }
    if (!takenIn) {
      return Stage.TAKE_IN;
    }
    if (!openGates().isEmpty() || !finished.contains(Stage.MAKE_SAFE)) {
      return Stage.MAKE_SAFE;
    }
    if (!stripLeft().isEmpty() && !building()) {
      return Stage.STRIP;
    }
    if (!building() && !(finished.contains(Stage.INSPECT) && allJudged())) {
      return Stage.INSPECT;
    }
    if (!building()) {
      return Stage.DECIDE;
    }
    if (!buildLeft().isEmpty()) {
      return Stage.BUILD;
    }
    return finished.contains(Stage.PROVE) ? Stage.HAND_BACK : Stage.PROVE;
  }

  /** Also after Inspect was finished: a job widened at Decide brings further parts to look at. */
  private boolean allJudged() {
    return toInspect().stream().allMatch(p -> judged.containsKey(p));
  }

  /** Hazards and confirmations not yet answered at the make-safe gate, by id. */
  public List<String> openGates() {
    List<String> open = new ArrayList<>();
    sheet.hazards().stream()
        .map(Sheet.Hazard::id)
        .filter(h -> !safe.containsKey(h))
        .forEach(open::add);
    CONFIRMATIONS.keySet().stream().filter(c -> !safe.containsKey(c)).forEach(open::add);
    return open;
  }

  /** Who answered a gate, and with what. */
  public Optional<BenchEvent> gate(String id) {
    return Optional.ofNullable(safe.get(id));
  }

  /** Strip steps done, in order. */
  public List<String> stripped() {
    return List.copyOf(stripped);
  }

  /** Strip steps still to do, in order. */
  public List<String> stripLeft() {
    return plan.map(Plan::strip).orElse(List.of());
  }

  /** Build steps done, in order. */
  public List<String> built() {
    return List.copyOf(built);
  }

  /** Build steps still to do, in order. */
  public List<String> buildLeft() {
    return plan.map(
            p -> p.build().stream().filter(s -> !built.contains(s) && !waitsOpen(s)).toList())
        .orElse(List.of());
  }

  /** Whether a build step waits for the other side, because that needs its joint open too. */
  private boolean waitsOpen(String step) {
    return sideToCome()
        && (stayOpen.contains(step)
            || sheet
                .buildOnlyStep(step)
                .map(b -> b.before().stream().anyMatch(stayOpen::contains))
                .orElse(false));
  }

  /** The step in hand while stripping or building. */
  public Optional<String> currentStep() {
    return switch (stage()) {
      case STRIP -> stripLeft().stream().findFirst();
      case BUILD -> buildLeft().stream().findFirst();
      default -> Optional.empty();
    };
  }

  /** Checks of a step that are asked in the stage it is in. */
  public List<Handling.Check> checks(String step) {
    return sheet
        .handling(step)
        .map(h -> h.checks().stream().filter(c -> c.when().shown(!building())).toList())
        .orElse(List.of());
  }

  /** The last answer to a check of a step. */
  public Optional<BenchEvent> answer(String step, String check) {
    return Optional.ofNullable(answers.get(answerKey(step, check)));
  }

  /** The tightening of a step's joint as recorded so far; empty where it has no joint. */
  public Optional<TorqueRound> torque(String step) {
    return sheet
        .handling(step)
        .flatMap(Handling::fastening)
        .map(f -> rounds.getOrDefault(step, new TorqueRound(f)));
  }

  /** Parts off the pump now, ids. */
  public Set<String> off() {
    Set<String> off = new LinkedHashSet<>();
    for (String step : stripped) {
      if (!built.contains(step)) {
        sheet
            .step(step)
            .ifPresent(
                s -> {
                  off.addAll(s.frees());
                  off.addAll(s.disturbs());
                });
      }
    }
    return off;
  }

  /**
   * Parts renewed by this rebuild: asked for, found bad, spoilt by opening, or called for by the
   * material that goes in. A part that goes only with other materials is left out.
   */
  public List<Plan.Renewal> renewals() {
    Map<String, Plan.Renewal> planned = new HashMap<>();
    plan.ifPresent(p -> p.renew().forEach(r -> planned.put(r.part(), r)));
    List<String> freed = plan.map(Plan::freed).orElse(List.of());
    List<Plan.Renewal> renewals = new ArrayList<>();
    for (Part part : sheet.parts()) {
      if (!goesWith(part, goesIn())) {
        continue;
      }
      if (planned.containsKey(part.id())) {
        renewals.add(planned.get(part.id()));
      } else if (freed.contains(part.id()) && !goesWith(part, fitted.material())) {
        renewals.add(new Plan.Renewal(part.id(), part.count(), goesIn() + " goes in and needs it"));
      }
    }
    return renewals;
  }

  /** What the whole job renews: of a side closed before as well. */
  public List<Plan.Renewal> renewalsInAll() {
    Map<String, Plan.Renewal> parts = new LinkedHashMap<>();
    earlierRenewals.forEach(r -> parts.put(r.part(), r));
    renewals().forEach(r -> parts.putIfAbsent(r.part(), r));
    return List.copyOf(parts.values());
  }

  /** Ids of {@link #renewalsInAll()}. */
  public List<String> renewedInAll() {
    return renewalsInAll().stream().map(Plan.Renewal::part).toList();
  }

  /** Build steps of the whole job: of a side closed before as well. */
  public List<String> everythingBuilt() {
    List<String> steps = new ArrayList<>(earlierBuilt);
    steps.addAll(built);
    return steps;
  }

  /** Ids of {@link #renewals()}. */
  public List<String> renewing() {
    return renewals().stream().map(Plan.Renewal::part).toList();
  }

  private static boolean goesWith(Part part, String material) {
    return part.onlyFor().isEmpty() || part.onlyFor().contains(material);
  }

  /**
   * Whether the pump has this part at all: with the material that was in it until one is chosen.
   */
  public boolean present(Part part) {
    return goesWith(part, goesIn());
  }

  /** Parts to be judged at inspection: off, not one-time, not renewed anyway. */
  public List<String> toInspect() {
    List<String> freed = plan.map(Plan::freed).orElse(List.of());
    Set<String> byKit = new LinkedHashSet<>();
    plan.ifPresent(
        p -> p.renew().stream().filter(Plan.Renewal::byKit).forEach(r -> byKit.add(r.part())));
    return sheet.parts().stream()
        .filter(p -> freed.contains(p.id()) && p.renew() == Part.Renew.INSPECT)
        .filter(p -> goesWith(p, sentBack ? goesIn() : fitted.material()))
        .map(Part::id)
        .filter(p -> !askedAtTakeIn(p) && !byKit.contains(p))
        .toList();
  }

  /** How a part was judged. */
  public Optional<Part.Verdict> verdict(String part) {
    return Optional.ofNullable(judged.get(part))
        .flatMap(e -> e.act().items().stream().findFirst())
        .flatMap(v -> Code.parse(Part.Verdict.class, v));
  }

  /** The event that judged a part. */
  public Optional<BenchEvent> judgement(String part) {
    return Optional.ofNullable(judged.get(part));
  }

  /** When each build step was done, in order; one done again counts from then. */
  public Map<String, Instant> builtAt() {
    return Collections.unmodifiableMap(builtAt);
  }

  /** When the clock of a test was started; empty where it was not. */
  public Optional<Instant> clock(String test) {
    return Optional.ofNullable(clocks.get(test));
  }

  /** When a joint was tightened again or a gland followed up. */
  public Optional<Instant> settledAt(String subject) {
    return Optional.ofNullable(settled.get(subject));
  }

  /** When the pump was handed back. */
  public Optional<Instant> handedBackAt() {
    return handedBackAt;
  }

  /** Every waiting time begun so far. */
  public List<Wait> waits() {
    return Wait.of(this);
  }

  /** The last reading of each measure of a part. */
  public Map<String, BenchEvent> readings(String part) {
    return readings.getOrDefault(part, Map.of());
  }

  /** Every reading of a test since the pump was last built, in order. */
  public List<BenchEvent> runs(String test) {
    return runs.getOrDefault(test, List.of());
  }

  /** Why a part wore, as it was said. */
  public Optional<BenchEvent> cause(String part) {
    return Optional.ofNullable(causes.get(part));
  }

  /** Parts whose cause was said, with the event. */
  public Map<String, BenchEvent> causes() {
    return Collections.unmodifiableMap(causes);
  }

  /** The judgement by which a part was found bad, also where the job came back to it later. */
  public Optional<BenchEvent> condemned(String part) {
    return Optional.ofNullable(condemned.get(part));
  }

  /** What the pump did, as it was told at the take-in. */
  public Optional<BenchEvent> symptoms() {
    return symptoms;
  }

  /** What was wrong with it, as it was found. */
  public Optional<BenchEvent> fault() {
    return fault;
  }

  /** Roles for which renewed parts ask for a material. */
  public List<String> rolesToChoose() {
    Set<String> renewing = Set.copyOf(renewing());
    return sheet.parts().stream()
        .filter(p -> renewing.contains(p.id()))
        .flatMap(p -> p.role().stream())
        .distinct()
        .toList();
  }

  /** The material chosen for a role. */
  public Optional<String> material(String role) {
    return Optional.ofNullable(chosen.get(role)).flatMap(e -> e.act().items().stream().findFirst());
  }

  /** The lot that goes into a part. */
  public Optional<String> lot(String part) {
    return Optional.ofNullable(lots.get(part));
  }

  /** The last reading of a proof test. */
  public Optional<BenchEvent> proof(String test) {
    return Optional.ofNullable(proofs.get(test));
  }

  /** Whether a proof test has passed. */
  public boolean passed(Sheet.ProofTest test) {
    return proof(test.id())
        .map(
            e ->
                test.kind() == Handling.Answer.CONFIRM
                    || (test.runs().isPresent()
                        ? calibration(test).map(c -> accepted(test, c)).orElse(false)
                        : test.passes(e.act().value().orElse(Double.NaN))))
        .orElse(false);
  }

  /** What the runs of a calibration come to; empty before there are enough. */
  public Optional<Calibration> calibration(Sheet.ProofTest test) {
    List<BenchEvent> all = runs(test.id());
    return test.runs()
        .filter(r -> all.size() >= Calibration.FEWEST)
        .map(
            r ->
                Calibration.of(
                    all.stream()
                        .map(
                            e -> new Calibration.Run(r.turns(), e.act().value().orElse(Double.NaN)))
                        .toList(),
                    r.setMl() / r.turns(),
                    r.withinPct()));
  }

  private static boolean accepted(Sheet.ProofTest test, Calibration c) {
    return c.moreRuns() == 0 && test.passes(c.mlPerTurn() * test.runs().orElseThrow().turns());
  }

  /** Joints to be tightened again after settling, with the hours to wait. */
  public Map<String, Double> retorques() {
    Map<String, Double> due = new LinkedHashMap<>();
    for (String step : everythingBuilt()) {
      sheet
          .handling(step)
          .flatMap(Handling::fastening)
          .filter(f -> f.retorqueHours() > 0 && !f.locked())
          .ifPresent(f -> due.put(step, f.retorqueHours()));
    }
    return due;
  }

  /**
   * Time at the bench in each stage so far, up to {@code now}. A gap between two acts counts for at
   * most half an hour: beyond that nobody stood at the pump (shop rule).
   */
  public Map<Stage, Duration> times(Instant now) {
    Map<Stage, Duration> times = new EnumMap<>(Stage.class);
    Rebuild walk = new Rebuild(written, fitted);
    Stage stage = Stage.TAKE_IN;
    Instant since = events.isEmpty() ? now : events.get(0).at();
    for (BenchEvent event : events) {
      times.merge(stage, atTheBench(since, event.at()), Duration::plus);
      since = event.at();
      walk.apply(event);
      if (changesStage(event)) {
        walk.makePlan();
        stage = walk.stage();
      }
    }
    if (stage != Stage.CLOSED) {
      times.merge(stage, atTheBench(since, now), Duration::plus);
    }
    return times;
  }

  private static Duration atTheBench(Instant from, Instant to) {
    Duration gap = Duration.between(from, to);
    return gap.compareTo(LONGEST_GAP) > 0 ? LONGEST_GAP : gap.isNegative() ? Duration.ZERO : gap;
  }

  /**
   * How long each finished step took at the bench, in the order they were done. A step taken back
   * counts only once it is done again.
   */
  public List<StepTime> stepTimes() {
    Map<String, StepTime> times = new LinkedHashMap<>();
    Duration sofar = Duration.ZERO;
    Rebuild walk = new Rebuild(written, fitted);
    Instant since = events.isEmpty() ? Instant.EPOCH : events.get(0).at();
    for (BenchEvent event : events) {
      sofar = sofar.plus(atTheBench(since, event.at()));
      since = event.at();
      Act act = event.act();
      boolean build = walk.building();
      walk.apply(event);
      switch (act.kind()) {
        case STEP_DONE -> {
          times.put(act.step() + build, new StepTime(act.step(), build, sofar));
          sofar = Duration.ZERO;
        }
        case STEP_UNDONE -> {
          times.remove(act.step() + build);
          sofar = Duration.ZERO;
        }
        case STAGE_DONE, JUDGED, MATERIAL_CHOSEN, LOT_FITTED, RESUMED -> sofar = Duration.ZERO;
        default -> {
          // reading, checking and noting belong to the step in hand
        }
      }
    }
    return List.copyOf(times.values());
  }

  private static boolean changesStage(BenchEvent event) {
    return switch (event.act().kind()) {
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

  /** Why {@code act} cannot be recorded at {@code now}; empty where it can. */
  public Optional<Refusal> refuse(Act act, boolean lead, Instant now) {
    return new BenchRules(this, now).refuse(act, lead).or(() -> unplannable(act));
  }

  /** What is asked may leave no way in, where steps are avoided or another way is followed. */
  private Optional<Refusal> unplannable(Act act) {
    if (act.kind() != Act.Kind.TAKEN_IN && act.kind() != Act.Kind.WAY_CHOSEN) {
      return Optional.empty();
    }
    try {
      Rebuild after = and(new BenchEvent(seq() + 1, Instant.EPOCH, "", false, act));
      return after.plan().isPresent()
          ? Optional.empty()
          : Optional.of(new Refusal("items", "There is nothing to plan."));
    } catch (PlanRefused e) {
      return Optional.of(new Refusal("items", e.getMessage()));
    }
  }

  private static Map<String, String> orderedMap(String... pairs) {
    Map<String, String> map = new LinkedHashMap<>();
    for (int i = 0; i < pairs.length; i += 2) {
      map.put(pairs[i], pairs[i + 1]);
    }
    return map;
  }
}
