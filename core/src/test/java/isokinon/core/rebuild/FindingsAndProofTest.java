package isokinon.core.rebuild;

import static isokinon.core.rebuild.RebuildDriver.judged;
import static org.assertj.core.api.Assertions.assertThat;

import isokinon.core.act.Act;
import isokinon.core.act.JobAct;
import isokinon.core.act.Measurement;
import isokinon.core.act.Observation;
import isokinon.core.act.PartAct;
import isokinon.core.act.ProofAct;
import isokinon.core.act.Reading;
import isokinon.core.act.Stage;
import isokinon.core.act.StepAct;
import isokinon.core.rules.Actor;
import isokinon.core.rules.BenchRules;
import isokinon.core.sheet.Part.Verdict;
import isokinon.core.sheet.Sheet;
import isokinon.core.sheet.ShippedSheet;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Readings before judgement, causes, clocks that run by themselves, and a proof that fails. */
class FindingsAndProofTest {

  private static RebuildDriver atInspect() {
    return new RebuildDriver(ShippedSheet.of("cavity-pin-joint-40"), new Fitted("stator", "NBR"))
        .looksAt("stator")
        .makesSafe()
        .strips();
  }

  private static Act measured(String part, String measure, double value, String unit) {
    return new PartAct.Measured(
        part, new Measurement(measure, new Reading(value, unit), Optional.empty()));
  }

  @Test
  void severalReadingsStandBeforeAPartIsJudgedAndAllOfThemCount() {
    RebuildDriver bench = atInspect();
    bench.does(measured("stator", "bore-wear", 0.1, "mm"));
    bench.does(measured("stator", "hardness-change", -12, "Shore A"));
    assertThat(bench.rebuild().readings("stator")).containsKeys("bore-wear", "hardness-change");
    Act sound = judged("stator", Verdict.SOUND, "");
    assertThat(bench.refused(sound)).contains("reading says renew");
    bench.does(judged("stator", Verdict.SOUND, "gauge slipped, read again at the store"));
    assertThat(bench.rebuild().verdict("stator")).contains(Verdict.SOUND);
    assertThat(bench.rebuild().readings("stator")).hasSize(2);
  }

  @Test
  void absurdReadingsAreRefusedWithTheLimits() {
    RebuildDriver bench = atInspect();
    assertThat(bench.refused(measured("stator", "bore-wear", 31, "mm")))
        .isEqualTo(
            "31 mm cannot be: watch is at 0.3, renew at 0.7 mm. Look at the decimal mark and the"
                + " unit.");
    assertThat(bench.refused(measured("stator", "bore-wear", -0.2, "mm"))).contains("cannot be");
    assertThat(bench.refused(measured("rotor", "diameter-lost", 0.2, "mm")))
        .contains("in the pump");
    assertThat(bench.refused(measured("stator", "length", 1, "mm"))).contains("no such limit");
  }

  @Test
  void aCauseIsKeptWithItsCounterMeasure() {
    RebuildDriver bench = atInspect().judges("stator", Verdict.RENEW);
    bench.does(caused("stator"));
    assertThat(bench.rebuild().cause("stator").orElseThrow().act()).isEqualTo(caused("stator"));
    assertThat(bench.refused(caused("sail"))).contains("which part");
  }

  private static PartAct.CauseFound caused(String part) {
    return new PartAct.CauseFound(part, Optional.of("dry-run"), List.of("strainer"), "");
  }

  @Test
  void aTestThatPassesNeedsItsTimeAndOneThatFailsDoesNot() {
    RebuildDriver bench = built("diaphragm-a", "diaphragm-b");
    bench.after(Duration.ofHours(25));
    Act held =
        new ProofAct.Proved("dead-head", Optional.of(new Reading(61, "s")), Optional.empty(), "");
    assertThat(bench.refused(held)).isEqualTo("Start its clock, or say how it was timed.");
    bench.does(
        new ProofAct.Proved("dead-head", Optional.of(new Reading(12, "s")), Optional.empty(), ""));
    bench.does(new ProofAct.ClockStarted("dead-head"));
    assertThat(bench.refused(held)).startsWith("Its clock still runs 1:00");
    bench.after(Duration.ofSeconds(60)).does(held);
    assertThat(bench.rebuild().runs("dead-head")).hasSize(2);
    assertThat(
            bench.refused(
                new ProofAct.Proved(
                    "dry-lift", Optional.of(new Reading(-2, "m")), Optional.empty(), "")))
        .contains("cannot be");
  }

  private static ProofAct.Proved starts(String because) {
    return new ProofAct.Proved("before-start", Optional.empty(), Optional.empty(), because);
  }

  @Test
  void nothingStartsWhileThreadlockerCuresUnlessSomeoneSaysWhy() {
    RebuildDriver bench = built("diaphragm-a", "diaphragm-b");
    Act start = starts("");
    assertThat(bench.refused(start)).contains("still cures for");
    Wait cure =
        bench.rebuild().waits().stream()
            .filter(w -> w.kind() == Wait.Kind.CURE)
            .findFirst()
            .orElseThrow();
    assertThat(cure.lasts()).isEqualTo(Duration.ofHours(24));
    Rebuild later =
        Rebuild.replay(bench.rebuild().written(), bench.rebuild().fitted(), bench.events());
    assertThat(later.waits()).isEqualTo(bench.rebuild().waits());
    bench.does(starts("heat-cured to its sheet"));
  }

  @Test
  void aRetorqueIsOwedUntilItIsDoneAlsoAfterHandBack() {
    RebuildDriver bench =
        new RebuildDriver(ShippedSheet.of("cavity-pin-joint-40"), new Fitted("stator", "NBR"))
            .takesIn("stator")
            .makesSafe()
            .strips()
            .inspects()
            .decides("NBR")
            .builds()
            .proves()
            .handsBack();
    List<Wait> owed = bench.rebuild().waits().stream().filter(w -> w.open(bench.now())).toList();
    assertThat(owed).extracting(Wait::subject).contains("flange-off", "drip");
    Act followed = new ProofAct.Settled("drip", "");
    assertThat(bench.refused(followed)).startsWith("It is due in");
    bench.after(Duration.ofHours(24)).does(followed);
    assertThat(bench.rebuild().waits().stream().filter(w -> w.open(bench.now())))
        .extracting(Wait::subject)
        .doesNotContain("drip");
    assertThat(bench.refused(new ProofAct.Settled("sleeve-off", ""))).contains("Nothing");
  }

  @Test
  void aCalibrationTakesRunsUntilTheyAgree() {
    RebuildDriver bench =
        new RebuildDriver(ShippedSheet.of("tube-four-arm-16"), new Fitted("tube", "TPV tube"))
            .takesIn("tube")
            .makesSafe()
            .strips()
            .inspects()
            .decides("TPV tube")
            .builds();
    assertThat(bench.rebuild().stage()).isEqualTo(Stage.PROVE);
    var test =
        bench.rebuild().sheet().proof().stream()
            .filter(t -> t.runs().isPresent())
            .findFirst()
            .orElseThrow();
    for (double ml : new double[] {858, 866, 849}) {
      bench.does(
          new ProofAct.Proved(
              "calibration", Optional.of(new Reading(ml, "mL")), Optional.empty(), ""));
    }
    var calibration = bench.rebuild().calibration(test).orElseThrow();
    assertThat(calibration.halfWidthPct()).isGreaterThan(1);
    assertThat(bench.rebuild().passed(test)).isFalse();
    for (int i = 0; i < calibration.moreRuns(); i++) {
      bench.does(
          new ProofAct.Proved(
              "calibration", Optional.of(new Reading(857.7, "mL")), Optional.empty(), ""));
    }
    assertThat(bench.rebuild().passed(test)).isTrue();
  }

  @Test
  void aFailedTestSendsTheJobBackBehindTheGateAndKeepsWhatWasRecorded() {
    RebuildDriver bench = built("diaphragm-a", "diaphragm-b");
    bench.does(
        new ProofAct.Proved("dead-head", Optional.of(new Reading(12, "s")), Optional.empty(), ""));
    long before = bench.rebuild().seq();
    assertThat(bench.refused(new ProofAct.SentBack("dry-lift", List.of())))
        .contains("Only a test that failed");
    assertThat(bench.refused(new ProofAct.SentBack("dead-head", List.of("valve-block-off"))))
        .contains("not among those behind");
    bench.does(new ProofAct.SentBack("dead-head", List.of("outlet-valves-out")));
    assertThat(bench.rebuild().stage()).isEqualTo(Stage.MAKE_SAFE);
    bench.makesSafe().strips();
    assertThat(bench.rebuild().toInspect()).contains("outlet-balls", "outlet-seats");
    assertThat(bench.rebuild().stripped()).hasSizeLessThan(4);
    assertThat(bench.rebuild().renewedInAll()).contains("diaphragm-a", "diaphragm-b");
    assertThat(bench.rebuild().seq()).isGreaterThan(before);
    bench.judges("outlet-balls", Verdict.RENEW).inspects().decides("TPC-ET").builds().proves();
    assertThat(bench.rebuild().stage()).isEqualTo(Stage.HAND_BACK);
    assertThat(bench.rebuild().renewedInAll()).contains("diaphragm-a", "outlet-balls");
    assertThat(bench.rebuild().condemned("outlet-balls")).isPresent();
  }

  @Test
  void aTestThatIsConfirmedCanFailTooAndIsProvedLater() {
    RebuildDriver bench = built("diaphragm-a", "diaphragm-b");
    Sheet.ProofTest leak = bench.rebuild().sheet().proofTest("leak").orElseThrow();
    assertThat(bench.refused(new ProofAct.SentBack("leak", List.of()))).contains("that failed");
    assertThat(bench.refused(new ProofAct.NotMet("dead-head", ""))).contains("Its reading says");
    bench.does(new ProofAct.NotMet("leak", "drip under foot B"));
    assertThat(bench.rebuild().missed(leak)).isTrue();
    assertThat(bench.refused(new JobAct.StageDone(Stage.PROVE))).isNotBlank();
    bench.does(new ProofAct.Proved("leak", Optional.empty(), Optional.empty(), "tightened dry"));
    assertThat(bench.rebuild().missed(leak)).isFalse();
    bench.does(new ProofAct.NotMet("leak", "drips again"));
    assertThat(bench.rebuild().passed(leak)).isFalse();
    bench.does(new ProofAct.SentBack("leak", List.of("inlet-manifold-off")));
    assertThat(bench.rebuild().stage()).isEqualTo(Stage.MAKE_SAFE);
  }

  @Test
  void whatThePumpDidIsToldAtTheTakeInAndWhatItWasAfterTheStrip() {
    RebuildDriver bench =
        new RebuildDriver(ShippedSheet.of("cavity-pin-joint-40"), new Fitted("stator", "NBR"));
    bench.does(told("flow-down"));
    assertThat(bench.rebuild().symptoms()).isPresent();
    assertThat(bench.refused(new JobAct.FaultFound(Optional.of("stator-burnt"), "")))
        .contains("That comes later");
    bench.looksAt("stator").makesSafe().strips();
    bench.does(new JobAct.FaultFound(Optional.of("stator-burnt"), ""));
    assertThat(bench.rebuild().fault().flatMap(e -> e.act().fault()))
        .isEqualTo(Optional.of("stator-burnt"));
  }

  @Test
  void aWashedFilterDriesBeforeItGoesBackUnlessSomeoneSaysWhyNot() {
    RebuildDriver bench =
        new RebuildDriver(
                ShippedSheet.of("linear-twin-diaphragm-80"), new Fitted("diaphragm", "EPDM"))
            .takesIn(
                new JobAct.TakenIn(
                    List.of(), List.of("filter"), List.of("wash-and-wait"), List.of(), "dusty"))
            .makesSafe()
            .strips()
            .inspects()
            .decides("EPDM");
    while (bench.rebuild().waits().stream().noneMatch(w -> w.kind() == Wait.Kind.DRYING)) {
      bench.buildsOne();
    }
    while (bench.rebuild().currentStep().map(s -> !s.equals("filter-out")).orElse(false)) {
      bench.buildsOne();
    }
    bench.answersChecks();
    Act done = new StepAct.StepDone("filter-out", "");
    assertThat(bench.refused(done)).startsWith("It has to wait for 11:5");
    assertThat(
            BenchRules.refuse(
                bench.rebuild(),
                new StepAct.StepDone("filter-out", "a dry spare goes in"),
                Actor.licensed("RT"),
                bench.now()))
        .isEmpty();
    bench.after(Duration.ofHours(12)).does(done);
  }

  @Test
  void aStepTakenBackLosesItsWaitAndAPauseKeepsIt() {
    RebuildDriver bench =
        new RebuildDriver()
            .takesIn("diaphragm-a")
            .makesSafe()
            .strips()
            .inspects()
            .decides("TPC-ET");
    while (bench.rebuild().waits().stream().noneMatch(w -> w.kind() == Wait.Kind.CURE)) {
      bench.buildsOne();
    }
    List<Wait> before = bench.rebuild().waits();
    bench.does(new JobAct.Paused("parts", "")).after(Duration.ofHours(5));
    bench.does(new JobAct.Resumed(""));
    assertThat(bench.rebuild().waits()).isEqualTo(before);
    String last = bench.rebuild().built().get(bench.rebuild().built().size() - 1);
    bench.does(new StepAct.StepUndone(last));
    assertThat(bench.rebuild().waits()).hasSizeLessThan(before.size());
  }

  @Test
  void nothingOfTheProofIsTakenBeforeItsTime() {
    RebuildDriver bench = atInspect();
    for (Act early :
        List.of(
            new ProofAct.Proved(
                "flow", Optional.of(new Reading(0.7, "m3/h")), Optional.empty(), ""),
            new ProofAct.ClockStarted("drip"),
            new ProofAct.SentBack("flow", List.of()))) {
      assertThat(bench.refused(early)).contains("This belongs to Prove");
    }
    assertThat(bench.refused(told("leaks"))).contains("This belongs to Take in");
  }

  private static JobAct.SymptomsTold told(String seen) {
    return new JobAct.SymptomsTold(
        Optional.empty(), List.of(new Observation(Observation.Kind.SEEN, seen)));
  }

  private static RebuildDriver built(String... renew) {
    return new RebuildDriver()
        .takesIn(renew)
        .makesSafe()
        .strips()
        .inspects()
        .decides("TPC-ET")
        .builds();
  }
}
