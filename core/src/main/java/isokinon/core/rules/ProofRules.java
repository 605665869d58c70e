package isokinon.core.rules;

import static isokinon.core.rules.StageRules.no;
import static isokinon.core.rules.StageRules.say;
import static isokinon.core.rules.StageRules.unless;
import static isokinon.core.value.Numbers.plain;

import isokinon.core.act.ProofAct;
import isokinon.core.act.Stage;
import isokinon.core.act.StepAct;
import isokinon.core.rebuild.Rebuild;
import isokinon.core.rebuild.Wait;
import isokinon.core.sheet.BuildOnlyStep;
import isokinon.core.sheet.Handling;
import isokinon.core.sheet.Sheet;
import isokinon.core.sheet.Step;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/** What holds for tests of the proof and for waiting times. */
final class ProofRules {

  private final Rebuild rebuild;
  private final Sheet sheet;
  private final Instant now;

  ProofRules(Rebuild rebuild, Instant now) {
    this.rebuild = rebuild;
    this.sheet = rebuild.sheet();
    this.now = now;
  }

  Optional<ActRefusal> proved(ProofAct.Proved act) {
    Optional<Sheet.ProofTest> known = sheet.proofTest(act.test());
    if (known.isEmpty()) {
      return unknown(act.test());
    }
    Sheet.ProofTest test = known.get();
    boolean confirm = test.kind() == Handling.Answer.CONFIRM;
    return unless(
            confirm || act.reading().isPresent(),
            "value",
            "A number in " + test.unit() + " is asked for.")
        .or(() -> confirm ? Optional.empty() : absurd(test, act.reading().orElseThrow().value()))
        .or(() -> test.afterWaits() ? cured(act) : Optional.empty())
        .or(() -> clockRan(test, act));
  }

  Optional<ActRefusal> notMet(ProofAct.NotMet act) {
    Optional<Sheet.ProofTest> known = sheet.proofTest(act.test());
    return known.isEmpty()
        ? unknown(act.test())
        : unless(
            known.get().kind() == Handling.Answer.CONFIRM,
            "test",
            "Its reading says whether it holds.");
  }

  private static Optional<ActRefusal> unknown(String test) {
    return no("test", "The sheet knows no test called " + test + ".");
  }

  private static Optional<ActRefusal> absurd(Sheet.ProofTest test, double v) {
    boolean canBeNegative = test.unit().equals("degC") || test.unit().equals("K");
    double most =
        StageRules.ABSURD
            * Math.max(1, test.max().or(test::min).orElse(Double.MAX_VALUE / StageRules.ABSURD));
    return unless(
        (v >= 0 || canBeNegative) && v <= most,
        "value",
        say("%s %s cannot be: look at the decimal mark and the unit.", plain(v), test.unit()));
  }

  /** A test that passes must have had its time; one that fails may end early. */
  private Optional<ActRefusal> clockRan(Sheet.ProofTest test, ProofAct.Proved act) {
    boolean fails = act.reading().map(r -> !test.passes(r.value())).orElse(false);
    if (test.clockSeconds() == 0 || fails || !act.timing().isBlank()) {
      return Optional.empty();
    }
    Optional<Instant> since = rebuild.clock(test.id());
    if (since.isEmpty()) {
      return no("clock", "Start its clock, or say how it was timed.");
    }
    Duration left = Duration.between(now, since.get().plusSeconds(test.clockSeconds()));
    return unless(
        left.isNegative() || left.isZero(),
        "clock",
        say(
            "Its clock still runs %d:%02d; wait, or say how it was timed.",
            left.toMinutes(), left.toSecondsPart()));
  }

  /** Nothing is started while threadlocker cures or a part dries, unless a reason is given. */
  private Optional<ActRefusal> cured(ProofAct.Proved act) {
    return running(Wait.Kind.CURE, Wait.Kind.DRYING)
        .filter(w -> act.timing().isBlank())
        .flatMap(
            w ->
                no(
                    "wait",
                    say(
                        "%s still %s for %s; wait, or say why it may start.",
                        stepName(w.subject()),
                        w.kind() == Wait.Kind.CURE ? "cures" : "dries",
                        hours(Duration.between(now, w.until())))));
  }

  private Optional<Wait> running(Wait.Kind... kinds) {
    return rebuild.waits().stream()
        .filter(w -> List.of(kinds).contains(w.kind()) && !w.over(now))
        .reduce((a, b) -> b);
  }

  /** A build step waits for what still dries before it. */
  Optional<ActRefusal> waits(StepAct.StepDone act) {
    if (rebuild.stage() != Stage.BUILD || !act.because().isBlank()) {
      return Optional.empty();
    }
    return rebuild.waits().stream()
        .filter(w -> w.kind() == Wait.Kind.DRYING && !w.over(now))
        .filter(
            w ->
                sheet
                    .buildOnlyStep(w.subject())
                    .map(b -> b.before().contains(act.step()))
                    .orElse(false))
        .findFirst()
        .flatMap(
            w ->
                no(
                    "wait",
                    say(
                        "It has to wait for %s yet: %s. Wait, or say why it need not.",
                        hours(Duration.between(now, w.until())), stepName(w.subject()))));
  }

  Optional<ActRefusal> clockStarted(ProofAct.ClockStarted act) {
    return unless(
        sheet.proofTest(act.test()).filter(t -> t.clockSeconds() > 0).isPresent(),
        "test",
        "That test has no clock.");
  }

  Optional<ActRefusal> sentBack(ProofAct.SentBack act) {
    return unless(
            sheet.proofTest(act.test()).filter(rebuild::missed).isPresent(),
            "test",
            "Only a test that failed sends the job back.")
        .or(
            () ->
                unless(
                    sheet
                        .proofTest(act.test())
                        .map(t -> t.backTo().containsAll(act.steps()))
                        .orElse(false),
                    "steps",
                    "That step is not among those behind the test."))
        .or(
            () ->
                unless(
                    !rebuild.behind(act).isEmpty(),
                    "test",
                    "The sheet does not say which step is behind it: look outside the pump."));
  }

  Optional<ActRefusal> settled(ProofAct.Settled act) {
    Optional<Wait> wait =
        rebuild.waits().stream()
            .filter(w -> w.kind().callsForWork() && w.subject().equals(act.subject()))
            .findFirst();
    if (wait.isEmpty()) {
      return no("subject", "Nothing of that name waits to be done again.");
    }
    return unless(
        wait.get().over(now) || !act.because().isBlank(),
        "wait",
        say(
            "It is due in %s; wait, or say why it is done now.",
            hours(Duration.between(now, wait.get().until()))));
  }

  private String stepName(String id) {
    return sheet
        .buildOnlyStep(id)
        .map(BuildOnlyStep::build)
        .or(() -> sheet.step(id).map(Step::build))
        .orElse(id);
  }

  private static String hours(Duration left) {
    return say("%d:%02d h", left.toHours(), left.toMinutesPart());
  }

  /** The first test not passed yet. */
  Optional<ActRefusal> firstOpen() {
    return sheet.proof().stream()
        .filter(t -> !rebuild.passed(t))
        .findFirst()
        .map(t -> new ActRefusal(t.id(), "Not proved yet: " + t.ask() + "."));
  }
}
