package isokinon.core.rebuild;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.core.plan.LearnedMinutes;
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
    bench.takesIn(kit.parts().keySet().stream().map(p -> "renew:" + p).toList()).makesSafe();
    while (bench.rebuild().stage() == Stage.STRIP) {
      bench.strips().inspects().decides("EPDM").builds();
    }
    bench.proves().does(Act.of(Act.Kind.HANDED_BACK, "", ""));
    assertThat(bench.rebuild().stage()).isEqualTo(Stage.CLOSED);
    assertThat(bench.rebuild().renewedInAll()).containsAll(kit.parts().keySet());
  }

  // ---- matched parts --------------------------------------------------------------------------

  private static RebuildDriver armsInHand() {
    return at("tube-four-arm-16", "tube")
        .takesIn(List.of("renew:tube", "inspect:arm-1", "way:by-finding"))
        .makesSafe()
        .strips()
        .inspects()
        .decides("EPDM")
        .buildsUpTo("arms-out");
  }

  private static Act put(String place, String piece) {
    return Act.of(Act.Kind.PLACED, "arms-out", place).with(List.of(piece));
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
    RebuildDriver bench = armsInHand().places("arm-1", "arm-3").places("arm-3", "arm-1");
    assertThat(bench.refused(Act.of(Act.Kind.STEP_DONE, "arms-out", "")))
        .isEqualTo("Roller arm 2 is not back in its place yet.");
    bench.places("arm-2", "arm-4").places("arm-4", "arm-2");
    bench.does(Act.of(Act.Kind.STEP_DONE, "arms-out", ""));
    assertThat(bench.rebuild().built()).contains("arms-out");
  }

  @Test
  void aStepTakenBackForgetsWhatWasPutWhere() {
    RebuildDriver bench = armsInHand().buildsOne();
    bench.does(Act.of(Act.Kind.STEP_UNDONE, "arms-out", ""));
    assertThat(bench.rebuild().placed()).isEmpty();
  }

  @Test
  void partsThatGoToNoOtherPlaceAndRenewedOnesNeedNoTelling() {
    RebuildDriver bench =
        at("tube-four-arm-16", "tube")
            .takesIn(List.of("renew:arm-1", "renew:arm-2", "renew:arm-3", "renew:arm-4"))
            .makesSafe()
            .strips()
            .inspects()
            .decides("EPDM")
            .buildsUpTo("arms-out");
    assertThat(MatchedParts.toPlace(bench.rebuild(), "arms-out")).isEmpty();
  }

  @Test
  void severalOfOnePartAreToldApartByNumber() {
    RebuildDriver bench =
        new RebuildDriver()
            .takesIn(List.of("inspect:actuator-pins"))
            .makesSafe()
            .strips()
            .inspects()
            .decides("CSM")
            .buildsUpTo("pins-out");
    assertThat(
            bench.refused(
                Act.of(Act.Kind.PLACED, "pins-out", "actuator-pins#1")
                    .with(List.of("actuator-pins#2"))))
        .startsWith("This is Actuator pins 2, the place is that of Actuator pins 1.");
  }

  // ---- schools --------------------------------------------------------------------------------

  @Test
  void oneSideIsClosedBeforeTheOtherIsOpened() {
    RebuildDriver bench =
        at("linear-twin-diaphragm-80", "diaphragm")
            .takesIn(List.of("renew:diaphragm-a", "renew:diaphragm-b"))
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
        .containsExactly("hose-b-off", "valve-box-b-off", "diaphragm-b-off");
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
            .takesIn(List.of("renew:diaphragm-a", "renew:diaphragm-b"))
            .makesSafe()
            .strips()
            .judges("valve-box-b", "renew");
    assertThat(bench.rebuild().stripLeft()).isEmpty();
    bench.inspects().decides("EPDM").builds();
    assertThat(bench.rebuild().renewing()).contains("valve-box-b", "diaphragm-b");
  }

  @Test
  void bothSidesOffIsOneStripWithSpacers() {
    RebuildDriver bench =
        at("linear-twin-diaphragm-80", "diaphragm")
            .takesIn(List.of("renew:diaphragm-a", "renew:diaphragm-b", "way:both-sides"))
            .makesSafe()
            .strips();
    assertThat(bench.rebuild().off()).contains("diaphragm-a", "diaphragm-b");
    assertThat(bench.rebuild().stripped()).contains("spacers-in");
  }

  @Test
  void theWayIsChosenUntilTheStripBeginsAndNotAfter() {
    RebuildDriver bench =
        at("linear-twin-diaphragm-80", "diaphragm")
            .takesIn(List.of("renew:diaphragm-a", "renew:diaphragm-b"))
            .makesSafe();
    Act both = Act.of(Act.Kind.WAY_CHOSEN, "", "sides").with(List.of("both-sides"));
    bench.does(both);
    assertThat(bench.rebuild().stripLeft()).contains("spacers-in", "diaphragm-b-off");
    bench.does(Act.of(Act.Kind.STEP_DONE, bench.rebuild().currentStep().orElseThrow(), ""));
    assertThat(bench.refused(both)).contains("The strip has begun");
    assertThat(bench.refused(Act.of(Act.Kind.WAY_CHOSEN, "", "sides").with(List.of("neither"))))
        .contains("knows no such answer");
    bench.does(Act.of(Act.Kind.WAY_CHOSEN, "", "interval").with(List.of("until-tear")));
    assertThat(bench.rebuild().has(School.Effect.UNTIL_TEAR)).isTrue();
  }

  @Test
  void byFindingOnlyWhatIsAskedOneTimeOrFoundBadIsRenewed() {
    List<String> asked = List.of("renew:diaphragm-a", "inspect:diaphragm-b", "inspect:shaft");
    RebuildDriver kit = new RebuildDriver().takesIn(asked);
    assertThat(kit.rebuild().renewing()).contains("diaphragm-b");
    RebuildDriver finding =
        new RebuildDriver()
            .takesIn(
                java.util.stream.Stream.concat(
                        asked.stream(), java.util.stream.Stream.of("way:by-finding"))
                    .toList());
    assertThat(finding.rebuild().renewing()).contains("diaphragm-a").doesNotContain("diaphragm-b");
    finding.makesSafe().strips().judges("diaphragm-b", "renew");
    assertThat(finding.rebuild().renewing()).contains("diaphragm-b");
  }

  @Test
  void anotherWayInAvoidsWhatTheShortestGoesThrough() {
    RebuildDriver bench =
        at("cavity-quick-change-40", "stator")
            .takesIn(List.of("renew:stator", "avoid:pair-parted"));
    assertThat(bench.rebuild().route()).contains("stator-over").doesNotContain("pair-parted");
    assertThat(
            at("cavity-quick-change-40", "stator")
                .refused(
                    Act.of(Act.Kind.TAKEN_IN, "", "")
                        .with(List.of("renew:stator", "avoid:no-such"))))
        .contains("no step called no-such");
    assertThat(
            at("cavity-quick-change-40", "stator")
                .refused(
                    Act.of(Act.Kind.TAKEN_IN, "", "")
                        .with(List.of("renew:stator", "avoid:flange-off"))))
        .isEqualTo("Without these steps there is no way in.");
  }

  // ---- rests and times ------------------------------------------------------------------------

  @Test
  void aJobThatRestsTakesOnlyNotesUntilItIsTakenUp() {
    RebuildDriver bench = new RebuildDriver().takesIn(List.of("renew:diaphragm-a")).makesSafe();
    String step = bench.rebuild().currentStep().orElseThrow();
    bench.does(Act.of(Act.Kind.PAUSED, "", "kit").saying("CSM set comes Thursday"));
    assertThat(bench.rebuild().pause()).isPresent();
    assertThat(bench.refused(Act.of(Act.Kind.STEP_DONE, step, ""))).contains("rests");
    bench.does(Act.of(Act.Kind.NOTED, "", "").saying("kit is here"));
    bench.after(Duration.ofHours(50)).does(Act.of(Act.Kind.RESUMED, "", ""));
    assertThat(bench.rebuild().currentStep()).contains(step);
    assertThat(bench.refused(Act.of(Act.Kind.RESUMED, "", ""))).contains("does not rest");
  }

  @Test
  void theTimeOfAStepIsWhatWasSpentAtTheBenchForIt() {
    RebuildDriver bench = new RebuildDriver().takesIn(List.of("inspect:outlet-balls")).makesSafe();
    bench.strips();
    StepTime first = bench.rebuild().stepTimes().get(0);
    assertThat(first.step()).isEqualTo("outlet-manifold-off");
    assertThat(first.building()).isFalse();
    assertThat(first.minutes()).isEqualTo(1);
    Duration nightBetween = Duration.ofHours(14);
    RebuildDriver slow = new RebuildDriver().takesIn(List.of("inspect:outlet-balls")).makesSafe();
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
