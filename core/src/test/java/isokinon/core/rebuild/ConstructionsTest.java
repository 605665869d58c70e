package isokinon.core.rebuild;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.core.act.Act;
import isokinon.core.act.JobAct;
import isokinon.core.act.Stage;
import isokinon.core.act.StepAct;
import isokinon.core.plan.LearnedMinutes;
import isokinon.core.sheet.Part.Verdict;
import isokinon.core.sheet.School;
import isokinon.core.sheet.Sheet;
import isokinon.core.sheet.ShippedSheet;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * What the bench does beside the plain way through: matched parts, schools, sides, rests, times.
 */
class ConstructionsTest {

  private static RebuildDriver at(String sheet, String role) {
    return new RebuildDriver(ShippedSheet.of(sheet), new Fitted(role, "EPDM"));
  }

  static List<String> sheets() {
    return ShippedSheet.ids();
  }

  @ParameterizedTest
  @MethodSource("sheets")
  void everyConstructionIsRebuiltWithItsFirstKit(String id) {
    RebuildDriver bench = at(id, "none");
    Sheet.Kit kit = ShippedSheet.of(id).kits().get(0);
    bench.takesIn(kit.parts().keySet().toArray(String[]::new)).makesSafe();
    while (bench.rebuild().stage() == Stage.STRIP) {
      bench.strips().inspects().decides("EPDM").builds();
    }
    bench.proves().handsBack();
    assertThat(bench.rebuild().stage()).isEqualTo(Stage.CLOSED);
    assertThat(bench.rebuild().renewedInAll())
        .containsAll(
            kit.parts().keySet().stream()
                .filter(p -> bench.rebuild().sheet().part(p).orElseThrow().goesWith("EPDM"))
                .toList());
  }

  // ---- matched parts --------------------------------------------------------------------------

  private static RebuildDriver armsInHand() {
    return at("tube-four-arm-16", "tube")
        .takesIn(
            new JobAct.TakenIn(
                List.of("tube"), List.of("arm-1"), List.of("by-finding"), List.of(), "due"))
        .makesSafe()
        .strips()
        .inspects()
        .decides("EPDM")
        .buildsUpTo("arm-1-out");
  }

  private static Act put(String place, String piece) {
    return new StepAct.Placed("arm-1-out", place, piece);
  }

  @Test
  void anArmOfTheOtherPairIsRefusedWithTheReason() {
    assertThat(armsInHand().refused(put("arm-1", "arm-2")))
        .isEqualTo(
            "This is Roller arm 2, the place is that of Roller arm 1. Arms are two pairs with"
                + " springs of two strengths; like arms stand opposite each other.");
  }

  @Test
  void aSwapWithinThePairDoesNoHarmAndIsNotRefused() {
    RebuildDriver bench = armsInHand();
    assertThat(bench.refused(new StepAct.StepDone("arm-1-out", "")))
        .isEqualTo("Roller arm 1 is not back in its place yet.");
    bench.does(new StepAct.Placed("arm-1-out", "arm-1", "arm-3")).answersChecks();
    bench.does(new StepAct.StepDone("arm-1-out", ""));
    bench.buildsUpTo("arm-3-out");
    assertThat(MatchedParts.candidates(bench.rebuild(), "arm-3"))
        .as("it lies on the tray, another one took its place")
        .contains("arm-1")
        .doesNotContain("arm-3");
    bench.does(new StepAct.Placed("arm-3-out", "arm-3", "arm-1")).answersChecks();
    bench.does(new StepAct.StepDone("arm-3-out", ""));
    assertThat(bench.rebuild().built()).contains("arm-1-out", "arm-3-out");
  }

  @Test
  void aStepTakenBackForgetsWhatWasPutWhere() {
    RebuildDriver bench = armsInHand().buildsOne();
    bench.does(new StepAct.StepUndone("arm-1-out"));
    assertThat(bench.rebuild().placed()).isEmpty();
  }

  @Test
  void partsThatGoToNoOtherPlaceAndRenewedOnesNeedNoTelling() {
    RebuildDriver bench =
        at("tube-four-arm-16", "tube")
            .takesIn("arm-1", "arm-2", "arm-3", "arm-4")
            .makesSafe()
            .strips()
            .inspects()
            .decides("EPDM")
            .buildsUpTo("arm-1-out");
    assertThat(MatchedParts.toPlace(bench.rebuild(), "arm-1-out")).isEmpty();
  }

  @Test
  void severalOfOnePartAreToldApartByNumber() {
    RebuildDriver bench =
        new RebuildDriver()
            .looksAt("actuator-pins")
            .makesSafe()
            .strips()
            .inspects()
            .decides("CSM")
            .buildsUpTo("pins-out");
    assertThat(bench.refused(new StepAct.Placed("pins-out", "actuator-pins#1", "actuator-pins#2")))
        .startsWith("This is Actuator pins 2, the place is that of Actuator pins 1.");
  }

  // ---- schools --------------------------------------------------------------------------------

  @Test
  void oneSideIsClosedBeforeTheOtherIsOpened() {
    RebuildDriver bench =
        at("linear-twin-diaphragm-80", "diaphragm")
            .takesIn("diaphragm-a", "diaphragm-b")
            .makesSafe()
            .strips();
    assertThat(bench.rebuild().off()).contains("diaphragm-a").doesNotContain("diaphragm-b");
    bench.inspects().decides("EPDM").builds();
    assertThat(bench.rebuild().stage()).isEqualTo(Stage.STRIP);
    assertThat(bench.rebuild().off())
        .as("what both sides need stays open")
        .contains("filter-lid", "core-lid")
        .doesNotContain("diaphragm-a", "valve-box-a");
    assertThat(bench.rebuild().stripLeft())
        .containsExactly("hose-b-off", "spacers-b-in", "valve-box-b-off", "diaphragm-b-off");
    bench.strips().inspects().decides("EPDM").builds();
    assertThat(bench.rebuild().renewalsInAll())
        .extracting(r -> r.part() + ", " + r.because())
        .contains("diaphragm-a, asked for", "diaphragm-b, asked for");
    assertThat(bench.rebuild().stage()).isEqualTo(Stage.PROVE);
    assertThat(bench.rebuild().renewedInAll()).contains("diaphragm-a", "diaphragm-b");
    assertThat(bench.rebuild().everythingBuilt())
        .containsOnlyOnce("diaphragm-a-off", "diaphragm-b-off", "lid-off");
    assertThat(bench.rebuild().stepTimes())
        .filteredOn(StepTime::building)
        .extracting(StepTime::step)
        .contains("diaphragm-a-off", "diaphragm-b-off");
  }

  @Test
  void whatIsFoundBadOnTheOtherSideWaitsForItsTurn() {
    RebuildDriver bench =
        at("linear-twin-diaphragm-80", "diaphragm")
            .takesIn("diaphragm-a", "diaphragm-b")
            .makesSafe()
            .strips()
            .judges("valve-box-b", Verdict.RENEW);
    assertThat(bench.rebuild().stripLeft()).isEmpty();
    bench.inspects().decides("EPDM").builds();
    assertThat(bench.rebuild().renewing()).contains("valve-box-b", "diaphragm-b");
  }

  @Test
  void bothSidesOffIsOneStripWithSpacers() {
    RebuildDriver bench =
        at("linear-twin-diaphragm-80", "diaphragm")
            .takesIn(
                new JobAct.TakenIn(
                    List.of("diaphragm-a", "diaphragm-b"),
                    List.of(),
                    List.of("both-sides"),
                    List.of(),
                    "due"))
            .makesSafe()
            .strips();
    assertThat(bench.rebuild().off()).contains("diaphragm-a", "diaphragm-b");
    assertThat(bench.rebuild().stripped()).contains("spacers-in");
  }

  @Test
  void theWayIsChosenUntilTheStripBeginsAndNotAfter() {
    RebuildDriver bench =
        at("linear-twin-diaphragm-80", "diaphragm")
            .takesIn("diaphragm-a", "diaphragm-b")
            .makesSafe();
    Act both = new JobAct.WayChosen("sides", "both-sides");
    bench.does(both);
    assertThat(bench.rebuild().stripLeft()).contains("spacers-in", "diaphragm-b-off");
    bench.does(new StepAct.StepDone(bench.rebuild().currentStep().orElseThrow(), ""));
    assertThat(bench.refused(both)).contains("The strip has begun");
    assertThat(bench.refused(new JobAct.WayChosen("sides", "neither")))
        .contains("knows no such answer");
    bench.does(new JobAct.WayChosen("interval", "until-tear"));
    assertThat(bench.rebuild().has(School.Effect.UNTIL_TEAR)).isTrue();
  }

  @Test
  void byFindingOnlyWhatIsAskedOneTimeOrFoundBadIsRenewed() {
    RebuildDriver kit = new RebuildDriver().takesIn(oneDiaphragm(List.of()));
    assertThat(kit.rebuild().renewing()).contains("diaphragm-b");
    RebuildDriver finding = new RebuildDriver().takesIn(oneDiaphragm(List.of("by-finding")));
    assertThat(finding.rebuild().renewing()).contains("diaphragm-a").doesNotContain("diaphragm-b");
    finding.makesSafe().strips().judges("diaphragm-b", Verdict.RENEW);
    assertThat(finding.rebuild().renewing()).contains("diaphragm-b");
  }

  private static JobAct.TakenIn oneDiaphragm(List<String> ways) {
    return new JobAct.TakenIn(
        List.of("diaphragm-a"), List.of("diaphragm-b", "shaft"), ways, List.of(), "due");
  }

  @Test
  void anotherWayInAvoidsWhatTheShortestGoesThrough() {
    RebuildDriver bench =
        at("cavity-quick-change-40", "stator")
            .takesIn(
                new JobAct.TakenIn(
                    List.of("stator"), List.of(), List.of(), List.of("pair-parted"), "due"));
    assertThat(bench.rebuild().route()).contains("stator-over").doesNotContain("pair-parted");
    assertThat(at("cavity-quick-change-40", "stator").refused(statorWithout("no-such")))
        .contains("no step called no-such");
    assertThat(at("cavity-quick-change-40", "stator").refused(statorWithout("flange-off")))
        .isEqualTo("Without these steps there is no way in.");
  }

  private static JobAct.TakenIn statorWithout(String step) {
    return new JobAct.TakenIn(List.of("stator"), List.of(), List.of(), List.of(step), "");
  }

  // ---- rests and times ------------------------------------------------------------------------

  @Test
  void aJobThatRestsTakesOnlyNotesUntilItIsTakenUp() {
    RebuildDriver bench = new RebuildDriver().takesIn("diaphragm-a").makesSafe();
    String step = bench.rebuild().currentStep().orElseThrow();
    bench.does(new JobAct.Paused("kit", "CSM set comes Thursday"));
    assertThat(bench.rebuild().pause()).isPresent();
    assertThat(bench.refused(new StepAct.StepDone(step, ""))).contains("paused");
    bench.does(new JobAct.Noted("kit is here"));
    bench.after(Duration.ofHours(50)).does(new JobAct.Resumed(""));
    assertThat(bench.rebuild().currentStep()).contains(step);
    assertThat(bench.refused(new JobAct.Resumed(""))).contains("does not rest");
  }

  @Test
  void theTimeOfAStepIsWhatWasSpentAtTheBenchForIt() {
    RebuildDriver bench = new RebuildDriver().looksAt("outlet-balls").makesSafe();
    bench.strips();
    StepTime first = bench.rebuild().stepTimes().get(0);
    assertThat(first.step()).isEqualTo("outlet-manifold-off");
    assertThat(first.building()).isFalse();
    assertThat(first.minutes()).isEqualTo(1);
    Duration nightBetween = Duration.ofHours(14);
    RebuildDriver slow = new RebuildDriver().looksAt("outlet-balls").makesSafe();
    slow.after(nightBetween).strips();
    assertThat(slow.rebuild().stepTimes().get(0).minutes()).isEqualTo(30);
  }

  @Test
  void threeRecordedJobsTeachTheMinutesOfAStep() {
    Sheet sheet = ShippedSheet.boltedPlastic();
    Sheet taught =
        LearnedMinutes.applied(
            sheet,
            Map.of(
                "outlet-manifold-off", new LearnedMinutes.Recorded(9, 3, 0, 0),
                "inlet-manifold-off", new LearnedMinutes.Recorded(50, 2, 50, 2)));
    assertThat(taught.step("outlet-manifold-off").orElseThrow().stripMinutes()).isEqualTo(9);
    assertThat(taught.step("outlet-manifold-off").orElseThrow().buildMinutes()).isEqualTo(7);
    assertThat(taught.step("outlet-manifold-off").orElseThrow().learnedJobs()).isEqualTo(3);
    assertThat(taught.step("inlet-manifold-off")).isEqualTo(sheet.step("inlet-manifold-off"));
  }
}
