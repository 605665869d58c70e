package isokinon.core.rebuild;

import isokinon.core.sheet.Handling;
import isokinon.core.sheet.Sheet;
import isokinon.core.sheet.ShippedSheet;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Someone at the bench: does acts as the screen would, keeps the events, replays them. */
final class RebuildDriver {

  static final Instant START = Instant.parse("2026-03-17T08:00:00Z");
  static final List<String> WET_KIT =
      List.of("renew:diaphragm-a", "renew:diaphragm-b", "renew:outlet-balls", "renew:inlet-balls");

  private final Sheet sheet;
  private final Fitted fitted;
  private final List<BenchEvent> events = new ArrayList<>();
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
    this.fitted = fitted;
    rebuild = Rebuild.replay(sheet, fitted, events);
  }

  Rebuild rebuild() {
    return rebuild;
  }

  Instant now() {
    return now;
  }

  List<BenchEvent> events() {
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
    Optional<ActRefusal> refusal = rebuild.refuse(act, lead, now);
    if (refusal.isPresent()) {
      throw new AssertionError(act + " was refused: " + refusal.get());
    }
    now = now.plusSeconds(60);
    events.add(new BenchEvent(events.size() + 1L, now, lead ? "MA" : "RT", lead, act));
    rebuild = Rebuild.replay(sheet, fitted, events);
    return this;
  }

  /** The sentence an act is refused with. */
  String refused(Act act) {
    return rebuild
        .refuse(act, false, now)
        .map(ActRefusal::message)
        .orElseThrow(() -> new AssertionError(act + " was allowed"));
  }

  RebuildDriver takesIn(List<String> items) {
    return does(Act.of(Act.Kind.TAKEN_IN, "", "").saying("due").with(items));
  }

  RebuildDriver makesSafe() {
    for (Sheet.Hazard h : sheet.hazards()) {
      Act proved = Act.of(Act.Kind.PROVED_SAFE, "", h.id());
      does(h.kind() == Handling.Answer.NUMBER ? proved.reading(0, h.unit()) : proved);
    }
    Rebuild.CONFIRMATIONS.keySet().forEach(c -> does(Act.of(Act.Kind.CONFIRMED, "", c)));
    return does(Act.of(Act.Kind.STAGE_DONE, "", "MAKE_SAFE"));
  }

  RebuildDriver answersChecks() {
    String step = rebuild.currentStep().orElseThrow();
    for (Handling.Check c : rebuild.checks(step)) {
      Act checked = Act.of(Act.Kind.CHECKED, step, c.id());
      double within = c.min().orElse(c.max().orElse(1.0));
      does(c.kind() == Handling.Answer.NUMBER ? checked.reading(within, c.unit()) : checked);
    }
    return this;
  }

  RebuildDriver strips() {
    while (rebuild.stage() == Stage.STRIP) {
      answersChecks();
      does(Act.of(Act.Kind.STEP_DONE, rebuild.currentStep().orElseThrow(), ""));
    }
    return this;
  }

  RebuildDriver judges(String part, String verdict) {
    return does(Act.of(Act.Kind.JUDGED, "", part).with(List.of(verdict)));
  }

  RebuildDriver inspects() {
    for (String part : rebuild.toInspect()) {
      if (rebuild.verdict(part).isEmpty()) {
        judges(part, "sound");
      }
    }
    return does(Act.of(Act.Kind.STAGE_DONE, "", "INSPECT"));
  }

  RebuildDriver decides(String material) {
    for (String role : rebuild.rolesToChoose()) {
      does(Act.of(Act.Kind.MATERIAL_CHOSEN, "", role).with(List.of(material)));
    }
    if (!rebuild.renewing().isEmpty()) {
      does(Act.of(Act.Kind.LOT_FITTED, "", "L-0417").with(rebuild.renewing()));
    }
    return does(Act.of(Act.Kind.STAGE_DONE, "", "DECIDE"));
  }

  RebuildDriver reads(int bolt, double nm) {
    String step = rebuild.currentStep().orElseThrow();
    int pass = rebuild.torque(step).orElseThrow().fullPass();
    return does(Act.of(Act.Kind.TORQUE_READ, step, "").on(pass, bolt).reading(nm, "N·m"));
  }

  RebuildDriver goesRound() {
    String step = rebuild.currentStep().orElseThrow();
    return does(
        Act.of(Act.Kind.PASS_DONE, step, "").on(rebuild.torque(step).orElseThrow().pass(), 0));
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
    return does(Act.of(Act.Kind.PLACED, step, place).with(List.of(piece)));
  }

  RebuildDriver buildsOne() {
    answersChecks();
    MatchedParts.toPlace(rebuild, rebuild.currentStep().orElseThrow())
        .forEach(place -> places(place, place));
    torques();
    Act done = Act.of(Act.Kind.STEP_DONE, rebuild.currentStep().orElseThrow(), "");
    if (rebuild.refuse(done, false, now).map(r -> r.path().equals("wait")).orElse(false)) {
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
  RebuildDriver proves() {
    after(Duration.ofHours(25));
    for (Sheet.ProofTest t : sheet.proof()) {
      if (t.clockSeconds() > 0) {
        does(Act.of(Act.Kind.CLOCK_STARTED, "", t.id()))
            .after(Duration.ofSeconds(t.clockSeconds()));
      }
      Act proved = Act.of(Act.Kind.PROVED, "", t.id());
      for (int run = 0; run < (t.runs().isPresent() ? 3 : 1); run++) {
        does(
            t.kind() == Handling.Answer.NUMBER
                ? proved.reading(t.min().orElse(0.0), t.unit())
                : proved);
      }
    }
    return does(Act.of(Act.Kind.STAGE_DONE, "", "PROVE"));
  }
}
