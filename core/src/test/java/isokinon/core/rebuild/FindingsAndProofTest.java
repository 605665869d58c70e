package isokinon.core.rebuild;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.core.sheet.Part.Verdict;
import isokinon.core.sheet.ShippedSheet;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Readings before judgement, causes, clocks that run by themselves, and a proof that fails. */
class FindingsAndProofTest {

  private static RebuildDriver atInspect() {
    return new RebuildDriver(ShippedSheet.of("cavity-pin-joint-40"), new Fitted("stator", "NBR"))
        .takesIn(List.of("inspect:stator"))
        .makesSafe()
        .strips();
  }

  private static Act measured(String part, String measure, double value, String unit) {
    return Act.of(Act.Kind.MEASURED, measure, part).reading(value, unit);
  }

  @Test
  void severalReadingsStandBeforeAPartIsJudgedAndAllOfThemCount() {
    RebuildDriver bench = atInspect();
    bench.does(measured("stator", "bore-wear", 0.1, "mm"));
    bench.does(measured("stator", "hardness-change", -12, "Shore A"));
    assertThat(bench.rebuild().readings("stator")).containsKeys("bore-wear", "hardness-change");
    Act sound = Act.of(Act.Kind.JUDGED, "", "stator").with(List.of("sound"));
    assertThat(bench.refused(sound)).contains("reading says renew");
    bench.does(sound.saying("gauge slipped, read again at the store"));
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
    RebuildDriver bench = atInspect().judges("stator", "renew");
    bench.does(
        Act.of(Act.Kind.CAUSE_FOUND, "", "stator").with(List.of("dry-run", "counter:strainer")));
    assertThat(bench.rebuild().cause("stator").orElseThrow().act().items())
        .containsExactly("dry-run", "counter:strainer");
    assertThat(bench.refused(Act.of(Act.Kind.CAUSE_FOUND, "", "stator"))).contains("why it wore");
  }

  @Test
  void aTestThatPassesNeedsItsTimeAndOneThatFailsDoesNot() {
    RebuildDriver bench = built(List.of("renew:diaphragm-a", "renew:diaphragm-b"));
    bench.after(Duration.ofHours(25));
    Act held = Act.of(Act.Kind.PROVED, "", "dead-head").reading(61, "s");
    assertThat(bench.refused(held)).isEqualTo("Start its clock, or say how it was timed.");
    bench.does(Act.of(Act.Kind.PROVED, "", "dead-head").reading(12, "s"));
    bench.does(Act.of(Act.Kind.CLOCK_STARTED, "", "dead-head"));
    assertThat(bench.refused(held)).startsWith("Its clock still runs 1:00");
    bench.after(Duration.ofSeconds(60)).does(held);
    assertThat(bench.rebuild().runs("dead-head")).hasSize(2);
    assertThat(bench.refused(Act.of(Act.Kind.PROVED, "", "dry-lift").reading(-2, "m")))
        .contains("cannot be");
  }

  @Test
  void nothingStartsWhileThreadlockerCuresUnlessSomeoneSaysWhy() {
    RebuildDriver bench = built(List.of("renew:diaphragm-a", "renew:diaphragm-b"));
    Act start = Act.of(Act.Kind.PROVED, "", "before-start");
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
    bench.does(start.saying("heat-cured to its sheet"));
  }

  @Test
  void aRetorqueIsOwedUntilItIsDoneAlsoAfterHandBack() {
    RebuildDriver bench =
        new RebuildDriver(ShippedSheet.of("cavity-pin-joint-40"), new Fitted("stator", "NBR"))
            .takesIn(List.of("renew:stator"))
            .makesSafe()
            .strips()
            .inspects()
            .decides("NBR")
            .builds()
            .proves()
            .does(Act.of(Act.Kind.HANDED_BACK, "", ""));
    List<Wait> owed = bench.rebuild().waits().stream().filter(w -> w.open(bench.now())).toList();
    assertThat(owed).extracting(Wait::subject).contains("flange-off", "drip");
    Act followed = Act.of(Act.Kind.SETTLED, "", "drip");
    assertThat(bench.refused(followed)).startsWith("It is due in");
    bench.after(Duration.ofHours(24)).does(followed);
    assertThat(bench.rebuild().waits().stream().filter(w -> w.open(bench.now())))
        .extracting(Wait::subject)
        .doesNotContain("drip");
    assertThat(bench.refused(Act.of(Act.Kind.SETTLED, "", "sleeve-off"))).contains("Nothing");
  }

  @Test
  void aCalibrationTakesRunsUntilTheyAgree() {
    RebuildDriver bench =
        new RebuildDriver(ShippedSheet.of("tube-four-arm-16"), new Fitted("tube", "TPV tube"))
            .takesIn(List.of("renew:tube"))
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
      bench.does(Act.of(Act.Kind.PROVED, "", "calibration").reading(ml, "mL"));
    }
    var calibration = bench.rebuild().calibration(test).orElseThrow();
    assertThat(calibration.halfWidthPct()).isGreaterThan(1);
    assertThat(bench.rebuild().passed(test)).isFalse();
    for (int i = 0; i < calibration.moreRuns(); i++) {
      bench.does(Act.of(Act.Kind.PROVED, "", "calibration").reading(857.7, "mL"));
    }
    assertThat(bench.rebuild().passed(test)).isTrue();
  }

  @Test
  void aFailedTestSendsTheJobBackBehindTheGateAndKeepsWhatWasRecorded() {
    RebuildDriver bench = built(List.of("renew:diaphragm-a", "renew:diaphragm-b"));
    bench.does(Act.of(Act.Kind.PROVED, "", "dead-head").reading(12, "s"));
    long before = bench.rebuild().seq();
    assertThat(bench.refused(Act.of(Act.Kind.SENT_BACK, "", "dry-lift")))
        .contains("Only a test that failed");
    bench.does(Act.of(Act.Kind.SENT_BACK, "", "dead-head"));
    assertThat(bench.rebuild().stage()).isEqualTo(Stage.MAKE_SAFE);
    bench.makesSafe().strips();
    assertThat(bench.rebuild().toInspect()).contains("outlet-balls", "outlet-seats");
    assertThat(bench.rebuild().stripped()).hasSizeLessThan(4);
    assertThat(bench.rebuild().renewedInAll()).contains("diaphragm-a", "diaphragm-b");
    assertThat(bench.rebuild().seq()).isGreaterThan(before);
    bench.judges("outlet-balls", "renew").inspects().decides("TPC-ET").builds().proves();
    assertThat(bench.rebuild().stage()).isEqualTo(Stage.HAND_BACK);
    assertThat(bench.rebuild().renewedInAll()).contains("diaphragm-a", "outlet-balls");
    assertThat(bench.rebuild().condemned("outlet-balls")).isPresent();
  }

  @Test
  void whatThePumpDidIsToldAtTheTakeInAndWhatItWasAfterTheStrip() {
    RebuildDriver bench =
        new RebuildDriver(ShippedSheet.of("cavity-pin-joint-40"), new Fitted("stator", "NBR"));
    bench.does(Act.of(Act.Kind.SYMPTOMS_TOLD, "", "stator-worn").with(List.of("seen:flow-down")));
    assertThat(bench.rebuild().symptoms()).isPresent();
    assertThat(bench.refused(Act.of(Act.Kind.FAULT_FOUND, "", "stator-burnt")))
        .contains("That comes later");
    bench.takesIn(List.of("inspect:stator")).makesSafe().strips();
    bench.does(Act.of(Act.Kind.FAULT_FOUND, "", "stator-burnt"));
    assertThat(bench.rebuild().fault().map(e -> e.act().subject()))
        .isEqualTo(Optional.of("stator-burnt"));
  }

  @Test
  void aWashedFilterDriesBeforeItGoesBackUnlessSomeoneSaysWhyNot() {
    RebuildDriver bench =
        new RebuildDriver(
                ShippedSheet.of("linear-twin-diaphragm-80"), new Fitted("diaphragm", "EPDM"))
            .takesIn(List.of("inspect:filter"))
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
    Act done = Act.of(Act.Kind.STEP_DONE, "filter-out", "");
    assertThat(bench.refused(done)).startsWith("It has to wait for 1:5");
    assertThat(bench.rebuild().refuse(done.saying("a dry spare goes in"), false, bench.now()))
        .isEmpty();
    bench.after(Duration.ofHours(2)).does(done);
  }

  @Test
  void aStepTakenBackLosesItsWaitAndAPauseKeepsIt() {
    RebuildDriver bench =
        new RebuildDriver()
            .takesIn(List.of("renew:diaphragm-a"))
            .makesSafe()
            .strips()
            .inspects()
            .decides("TPC-ET");
    while (bench.rebuild().waits().stream().noneMatch(w -> w.kind() == Wait.Kind.CURE)) {
      bench.buildsOne();
    }
    List<Wait> before = bench.rebuild().waits();
    bench.does(Act.of(Act.Kind.PAUSED, "", "parts")).after(Duration.ofHours(5));
    bench.does(Act.of(Act.Kind.RESUMED, "", ""));
    assertThat(bench.rebuild().waits()).isEqualTo(before);
    String last = bench.rebuild().built().get(bench.rebuild().built().size() - 1);
    bench.does(Act.of(Act.Kind.STEP_UNDONE, last, ""));
    assertThat(bench.rebuild().waits()).hasSizeLessThan(before.size());
  }

  @Test
  void nothingOfTheProofIsTakenBeforeItsTime() {
    RebuildDriver bench = atInspect();
    for (Act early :
        List.of(
            Act.of(Act.Kind.PROVED, "", "flow").reading(0.7, "m3/h"),
            Act.of(Act.Kind.CLOCK_STARTED, "", "drip"),
            Act.of(Act.Kind.SENT_BACK, "", "flow"))) {
      assertThat(bench.refused(early)).contains("This belongs to Prove");
    }
    assertThat(bench.refused(Act.of(Act.Kind.SYMPTOMS_TOLD, "", "").with(List.of("seen:leaks"))))
        .contains("This belongs to Take in");
  }

  private static RebuildDriver built(List<String> items) {
    return new RebuildDriver()
        .takesIn(items)
        .makesSafe()
        .strips()
        .inspects()
        .decides("TPC-ET")
        .builds();
  }
}
