package isokinon.core.rebuild;

import isokinon.core.act.Act;
import isokinon.core.act.BenchEvent;
import isokinon.core.act.JobAct;
import isokinon.core.act.PartAct;
import isokinon.core.act.ProofAct;
import isokinon.core.act.Reading;
import isokinon.core.act.Stage;
import isokinon.core.act.StepAct;
import isokinon.core.rules.ActRefusal;
import isokinon.core.rules.Actor;
import isokinon.core.rules.BenchRules;
import isokinon.core.sheet.Handling;
import isokinon.core.sheet.Part.Verdict;
import isokinon.core.sheet.Sheet;
import isokinon.core.sheet.ShippedSheet;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Someone at the bench: does acts as the screen would, and keeps the events. */
final class RebuildDriver {

  static final Instant START = Instant.parse("2026-03-17T08:00:00Z");
  static final String[] WET_KIT = {"diaphragm-a", "diaphragm-b", "outlet-balls", "inlet-balls"};

  private final Sheet sheet;
  private final List<BenchEvent<?>> events = new ArrayList<>();
  private Instant now = START;
  private Rebuild rebuild;

  RebuildDriver() {
    this("TPC-ET");
  }

  RebuildDriver(String material) {
    this(ShippedSheet.boltedPlastic(), new Fitted("diaphragm", material));
  }

  RebuildDriver(Sheet sheet, Fitted fitted) {
    this.sheet = sheet;
    rebuild = Rebuild.replay(sheet, fitted, events);
  }

  Rebuild rebuild() {
    return rebuild;
  }

  Instant now() {
    return now;
  }

  List<BenchEvent<?>> events() {
    return events;
  }

  RebuildDriver after(Duration pause) {
    now = now.plus(pause);
    return this;
  }

  /** Does an act that must be allowed. */
  RebuildDriver does(Act act) {
    return does(act, false);
  }

  RebuildDriver leadDoes(Act act) {
    return does(act, true);
  }

  private RebuildDriver does(Act act, boolean lead) {
    String who = lead ? "MA" : "RT";
    Optional<ActRefusal> refusal = BenchRules.refuse(rebuild, act, new Actor(who, lead, true), now);
    if (refusal.isPresent()) {
      throw new AssertionError(act + " was refused: " + refusal.get());
    }
    now = now.plusSeconds(60);
    BenchEvent<?> event = new BenchEvent<>(events.size() + 1L, now, who, lead, act);
    events.add(event);
    rebuild = rebuild.plus(event);
    return this;
  }

  /** The sentence an act is refused with. */
  String refused(Act act) {
    return BenchRules.refuse(rebuild, act, Actor.licensed("RT"), now)
        .map(ActRefusal::message)
        .orElseThrow(() -> new AssertionError(act + " was allowed"));
  }

  RebuildDriver takesIn(JobAct.TakenIn asked) {
    return does(asked);
  }

  RebuildDriver takesIn(String... renew) {
    return does(new JobAct.TakenIn(List.of(renew), List.of(), List.of(), List.of(), "due"));
  }

  RebuildDriver looksAt(String... parts) {
    return does(new JobAct.TakenIn(List.of(), List.of(parts), List.of(), List.of(), "due"));
  }

  RebuildDriver makesSafe() {
    for (Sheet.Hazard h : rebuild.hazards()) {
      double gone = h.min().map(m -> (m + h.max().orElse(m)) / 2).orElse(0.0);
      does(new JobAct.ProvedSafe(h.id(), reading(h.kind(), gone, h.unit())));
    }
    Rebuild.CONFIRMATIONS.keySet().forEach(c -> does(new JobAct.Confirmed(c)));
    return does(new JobAct.StageDone(Stage.MAKE_SAFE));
  }

  RebuildDriver answersChecks() {
    String step = rebuild.currentStep().orElseThrow();
    for (Handling.Check c : rebuild.checks(step)) {
      double within = c.min().orElse(c.max().orElse(1.0));
      does(new StepAct.Checked(step, c.id(), reading(c.kind(), within, c.unit()), ""));
      if (c.second()) {
        leadDoes(new StepAct.Seconded(step, c.id()));
      }
    }
    return this;
  }

  private static Optional<Reading> reading(Handling.Answer kind, double value, String unit) {
    return kind == Handling.Answer.NUMBER
        ? Optional.of(new Reading(value, unit))
        : Optional.empty();
  }

  RebuildDriver strips() {
    while (rebuild.stage() == Stage.STRIP) {
      answersChecks();
      does(new StepAct.StepDone(rebuild.currentStep().orElseThrow(), ""));
    }
    return this;
  }

  RebuildDriver judges(String part, Verdict verdict) {
    return does(judged(part, verdict, ""));
  }

  static PartAct.Judged judged(String part, Verdict verdict, String because) {
    return new PartAct.Judged(part, verdict, List.of(), List.of(), because);
  }

  RebuildDriver inspects() {
    for (String part : rebuild.toInspect()) {
      if (rebuild.verdict(part).isEmpty()) {
        judges(part, Verdict.SOUND);
      }
    }
    return does(new JobAct.StageDone(Stage.INSPECT));
  }

  RebuildDriver decides(String material) {
    for (String role : rebuild.rolesToChoose()) {
      does(new PartAct.MaterialChosen(role, material, ""));
    }
    if (!rebuild.renewing().isEmpty()) {
      does(new PartAct.KitFitted("L-0417", rebuild.renewing(), Map.of(), ""));
    }
    return does(new JobAct.StageDone(Stage.DECIDE));
  }

  RebuildDriver reads(int bolt, double nm) {
    String step = rebuild.currentStep().orElseThrow();
    int pass = rebuild.torque(step).orElseThrow().fullPass();
    return does(new StepAct.TorqueRead(step, pass, bolt, nm, false, Optional.empty()));
  }

  RebuildDriver goesRound() {
    String step = rebuild.currentStep().orElseThrow();
    return does(new StepAct.PassDone(step, rebuild.torque(step).orElseThrow().pass()));
  }

  RebuildDriver torques() {
    String step = rebuild.currentStep().orElseThrow();
    while (rebuild.torque(step).map(t -> !t.finished()).orElse(false)) {
      TorqueRound round = rebuild.torque(step).orElseThrow();
      if (round.pass() == round.fullPass()) {
        double target = sheet.handling(step).flatMap(Handling::fastening).orElseThrow().targetNm();
        reads(round.nextFastener().orElseThrow(), target);
      } else {
        goesRound();
      }
    }
    return this;
  }

  RebuildDriver places(String place, String piece) {
    String step = rebuild.currentStep().orElseThrow();
    return does(new StepAct.Placed(step, place, piece));
  }

  RebuildDriver buildsOne() {
    answersChecks();
    MatchedParts.toPlace(rebuild, rebuild.currentStep().orElseThrow())
        .forEach(place -> places(place, place));
    torques();
    Act done = new StepAct.StepDone(rebuild.currentStep().orElseThrow(), "");
    if (BenchRules.refuse(rebuild, done, Actor.licensed("RT"), now)
        .map(r -> r.path().equals("wait"))
        .orElse(false)) {
      after(Duration.ofHours(3));
    }
    return does(done);
  }

  RebuildDriver buildsUpTo(String step) {
    while (!rebuild.currentStep().equals(Optional.of(step))) {
      buildsOne();
    }
    return answersChecks();
  }

  RebuildDriver builds() {
    while (rebuild.stage() == Stage.BUILD) {
      buildsOne();
    }
    return this;
  }

  /** Waits until nothing cures, then does every test by its clock, with readings that pass. */
  RebuildDriver handsBack() {
    return does(new JobAct.SignedOff()).does(new JobAct.HandedBack(Optional.empty(), ""));
  }

  RebuildDriver proves() {
    after(Duration.ofHours(25));
    for (Sheet.ProofTest t : rebuild.sheet().proof()) {
      if (t.clockSeconds() > 0) {
        does(new ProofAct.ClockStarted(t.id())).after(Duration.ofSeconds(t.clockSeconds()));
      }
      for (int run = 0; run < (t.runs().isPresent() ? 3 : 1); run++) {
        does(
            new ProofAct.Proved(
                t.id(), reading(t.kind(), t.min().orElse(0.0), t.unit()), Optional.empty(), ""));
      }
    }
    return does(new JobAct.StageDone(Stage.PROVE));
  }
}
