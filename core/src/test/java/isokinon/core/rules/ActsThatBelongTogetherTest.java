package isokinon.core.rules;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.core.act.Act;
import isokinon.core.act.BenchEvent;
import isokinon.core.act.GaugeUse;
import isokinon.core.act.JobAct;
import isokinon.core.act.Measurement;
import isokinon.core.act.PartAct;
import isokinon.core.act.PartReading;
import isokinon.core.act.Reading;
import isokinon.core.act.Stage;
import isokinon.core.act.StepAct;
import isokinon.core.rebuild.Fitted;
import isokinon.core.rebuild.Rebuild;
import isokinon.core.sheet.Handling;
import isokinon.core.sheet.Part.Verdict;
import isokinon.core.sheet.Sheet;
import isokinon.core.sheet.ShippedSheet;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What is found of a part, and what a kit brings, is recorded whole or not at all. */
class ActsThatBelongTogetherTest {

  private static final Instant NOW = Instant.parse("2026-03-17T08:00:00Z");

  private final Sheet sheet = ShippedSheet.of("cavity-pin-joint-40");
  private Rebuild rebuild = Rebuild.replay(sheet, new Fitted("stator", "NBR"), List.of());

  private Optional<ActRefusal> refused(Act act) {
    return BenchRules.refuse(rebuild, act, Actor.licensed("RT"), NOW);
  }

  private void does(Act act) {
    assertThat(refused(act)).as("%s", act).isEmpty();
    rebuild = rebuild.plus(new BenchEvent<>(rebuild.seq() + 1, NOW, "RT", false, act));
  }

  private static Optional<Reading> reading(Handling.Answer kind, double value, String unit) {
    return kind == Handling.Answer.NUMBER
        ? Optional.of(new Reading(value, unit))
        : Optional.empty();
  }

  @BeforeEach
  void stripsUntilTheStatorLiesOnTheTray() {
    does(new JobAct.TakenIn(List.of(), List.of("stator"), List.of(), List.of(), "slow"));
    rebuild
        .hazards()
        .forEach(
            h ->
                does(
                    new JobAct.ProvedSafe(
                        h.id(),
                        reading(
                            h.kind(), h.min().map(m -> Math.max(m, 0)).orElse(0.0), h.unit()))));
    Rebuild.CONFIRMATIONS.keySet().forEach(c -> does(new JobAct.Confirmed(c)));
    does(new JobAct.StageDone(Stage.MAKE_SAFE));
    while (rebuild.stage() == Stage.STRIP) {
      String step = rebuild.currentStep().orElseThrow();
      for (Handling.Check c : rebuild.checks(step)) {
        double within = c.min().or(c::max).orElse(1.0);
        does(new StepAct.Checked(step, c.id(), reading(c.kind(), within, c.unit()), ""));
      }
      does(new StepAct.StepDone(step, ""));
    }
  }

  private static Measurement bore(double mm) {
    return new Measurement(
        "bore-wear", new Reading(mm, "mm"), Optional.of(new GaugeUse("BG-07", false)));
  }

  private static Measurement hardness(double shoreA) {
    return new Measurement("hardness-change", new Reading(shoreA, "Shore A"), Optional.empty());
  }

  private static PartAct.Judged judged(Verdict verdict, Measurement... read) {
    return new PartAct.Judged("stator", verdict, List.of(read), List.of(), "");
  }

  @Test
  void aPartIsJudgedWithEveryReadingOfIt() {
    does(judged(Verdict.SOUND, bore(0.1), hardness(-2)));
    assertThat(rebuild.readings("stator"))
        .containsEntry("bore-wear", new PartReading("RT", bore(0.1)))
        .containsEntry("hardness-change", new PartReading("RT", hardness(-2)));
    assertThat(rebuild.verdict("stator")).contains(Verdict.SOUND);
  }

  @Test
  void oneReadingThatCannotBeRefusesTheJudgementAtItsMeasureAndKeepsNone() {
    ActRefusal refusal = refused(judged(Verdict.SOUND, bore(0.1), hardness(-900))).orElseThrow();
    assertThat(refusal.path()).isEqualTo("hardness-change");
    assertThat(refusal.message()).startsWith("-900 Shore A cannot be");
    assertThat(rebuild.readings("stator")).isEmpty();
    Measurement length = new Measurement("length", new Reading(1, "mm"), Optional.empty());
    assertThat(refused(judged(Verdict.SOUND, length)).orElseThrow().path()).isEqualTo("length");
  }

  @Test
  void theWorstOfItsReadingsHoldsAlsoAgainstOneKeptBefore() {
    assertThat(refused(judged(Verdict.SOUND, bore(0.1), hardness(-12))).orElseThrow().message())
        .contains("reading says renew");
    does(new PartAct.Measured("stator", hardness(-12)));
    assertThat(refused(judged(Verdict.SOUND, bore(0.1)))).isPresent();
    assertThat(refused(judged(Verdict.SOUND, hardness(-1))))
        .as("a reading with the judgement takes the place of the one before")
        .isEmpty();
  }

  @Test
  void aKitIsBookedWithTheMaterialsThatItBrings() {
    does(judged(Verdict.RENEW));
    while (rebuild.stage() == Stage.STRIP) {
      does(new StepAct.StepDone(rebuild.currentStep().orElseThrow(), ""));
    }
    rebuild.toInspect().stream()
        .filter(p -> rebuild.verdict(p).isEmpty())
        .toList()
        .forEach(p -> does(new PartAct.Judged(p, Verdict.SOUND, List.of(), List.of(), "")));
    does(new JobAct.StageDone(Stage.INSPECT));
    List<String> parts = rebuild.renewing();
    assertThat(
            refused(new PartAct.KitFitted("L-0417", parts, Map.of("packing", "PTFE"), ""))
                .orElseThrow()
                .path())
        .as("nothing of that role is renewed")
        .isEqualTo("role");
    assertThat(
            refused(new PartAct.KitFitted("L-0417", List.of("rotor"), Map.of(), ""))
                .orElseThrow()
                .path())
        .isEqualTo("parts");
    does(new PartAct.KitFitted("L-0417", parts, Map.of("stator", "FKM"), ""));
    assertThat(rebuild.material("stator")).contains("FKM");
    assertThat(rebuild.goesIn()).isEqualTo("FKM");
    assertThat(parts).allSatisfy(p -> assertThat(rebuild.lot(p)).contains("L-0417"));
  }
}
