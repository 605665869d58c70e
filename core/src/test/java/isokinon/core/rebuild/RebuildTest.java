package isokinon.core.rebuild;

import static isokinon.core.rebuild.RebuildDriver.WET_KIT;
import static org.assertj.core.api.Assertions.assertThat;

import isokinon.core.plan.Plan;
import isokinon.core.sheet.Part;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RebuildTest {

  private static RebuildDriver stripping() {
    return new RebuildDriver().takesIn(WET_KIT).makesSafe();
  }

  private static RebuildDriver building() {
    return stripping().strips().inspects().decides("CSM");
  }

  @Test
  void passesTheEightStagesInOrder() {
    List<Stage> stages = new ArrayList<>();
    RebuildDriver bench = new RebuildDriver();
    stages.add(bench.rebuild().stage());
    stages.add(bench.takesIn(WET_KIT).rebuild().stage());
    stages.add(bench.makesSafe().rebuild().stage());
    stages.add(bench.strips().rebuild().stage());
    stages.add(bench.inspects().rebuild().stage());
    stages.add(bench.decides("CSM").rebuild().stage());
    stages.add(bench.builds().rebuild().stage());
    stages.add(bench.proves().rebuild().stage());
    stages.add(bench.does(Act.of(Act.Kind.HANDED_BACK, "", "")).rebuild().stage());
    assertThat(stages).containsExactly(Stage.values());
  }

  // ---- take in, make safe ---------------------------------------------------------------------

  @Test
  void nothingIsStrippedBeforeEveryEnergyIsProvedGone() {
    RebuildDriver bench = new RebuildDriver().takesIn(WET_KIT);
    assertThat(bench.refused(Act.of(Act.Kind.STEP_DONE, "outlet-manifold-off", "")))
        .isEqualTo("No step is in hand in Make safe.");
    assertThat(bench.refused(Act.of(Act.Kind.STAGE_DONE, "", "MAKE_SAFE")))
        .isEqualTo("Strip stays locked: 8 still to prove.");
  }

  @Test
  void aGaugeThatStillShowsPressureKeepsTheStripLocked() {
    RebuildDriver bench = new RebuildDriver().takesIn(WET_KIT);
    assertThat(
            bench.refused(Act.of(Act.Kind.PROVED_SAFE, "", "compressed-air").reading(1.4, "bar")))
        .isEqualTo(
            "1.4 bar is over the 0 bar that counts as safe. It stays live until it reads under that.");
    assertThat(bench.refused(Act.of(Act.Kind.PROVED_SAFE, "", "compressed-air")))
        .startsWith("Read the gauge");
    assertThat(bench.refused(Act.of(Act.Kind.PROVED_SAFE, "", "dragons")))
        .contains("no hazard called dragons");
  }

  @Test
  void takingInAsksForSomethingThatComesOff() {
    RebuildDriver bench = new RebuildDriver();
    Act takeIn = Act.of(Act.Kind.TAKEN_IN, "", "");
    assertThat(bench.refused(takeIn)).isEqualTo("Choose what to renew or look at.");
    assertThat(bench.refused(takeIn.with(List.of("renew:centre-block"))))
        .contains("takes off centre-block");
  }

  // ---- strip ----------------------------------------------------------------------------------

  @Test
  void stepsComeInThePlansOrderOnly() {
    RebuildDriver bench = stripping();
    String first = bench.rebuild().currentStep().orElseThrow();
    String second = bench.rebuild().stripLeft().get(1);
    assertThat(bench.refused(Act.of(Act.Kind.STEP_DONE, second, "")))
        .isEqualTo("Another step is in hand now.");
    bench.does(Act.of(Act.Kind.STEP_DONE, first, ""));
    assertThat(bench.rebuild().currentStep()).contains(second);
    assertThat(bench.rebuild().off()).contains("outlet-manifold", "outlet-manifold-orings");
  }

  @Test
  void onlyTheLastStepIsTakenBack() {
    RebuildDriver bench = stripping();
    String first = bench.rebuild().currentStep().orElseThrow();
    bench.does(Act.of(Act.Kind.STEP_DONE, first, ""));
    String second = bench.rebuild().currentStep().orElseThrow();
    bench.does(Act.of(Act.Kind.STEP_DONE, second, ""));
    assertThat(bench.refused(Act.of(Act.Kind.STEP_UNDONE, first, "")))
        .isEqualTo("Only the last step can be taken back.");
    bench.does(Act.of(Act.Kind.STEP_UNDONE, second, ""));
    assertThat(bench.rebuild().currentStep()).contains(second);
  }

  @Test
  void marksAreAskedForBeforeMatchedPinsComeOut() {
    RebuildDriver bench = new RebuildDriver().takesIn(List.of("renew:actuator-pins")).makesSafe();
    while (!bench.rebuild().currentStep().orElseThrow().equals("pins-out")) {
      bench
          .answersChecks()
          .does(Act.of(Act.Kind.STEP_DONE, bench.rebuild().currentStep().orElseThrow(), ""));
    }
    assertThat(bench.refused(Act.of(Act.Kind.STEP_DONE, "pins-out", "")))
        .isEqualTo("Still to answer: Pins marked A and B.");
  }

  // ---- inspect --------------------------------------------------------------------------------

  @Test
  void everyPartThatCameOffIsJudgedBeforeDeciding() {
    RebuildDriver bench = stripping().strips();
    assertThat(bench.rebuild().toInspect())
        .contains("outlet-manifold", "fluid-cap-a", "shaft")
        .doesNotContain("diaphragm-a", "outlet-manifold-orings", "centre-block");
    assertThat(bench.refused(Act.of(Act.Kind.STAGE_DONE, "", "INSPECT")))
        .contains("to look at yet, next the outlet manifold");
  }

  @Test
  void watchNeedsAReason() {
    RebuildDriver bench = stripping().strips();
    Act watch = Act.of(Act.Kind.JUDGED, "", "outer-plate-a").with(List.of("watch"));
    assertThat(bench.refused(watch)).isEqualTo("Watch needs a reason: what was seen?");
    bench.does(watch.saying("edge worn"));
    assertThat(bench.rebuild().verdict("outer-plate-a")).contains(Part.Verdict.WATCH);
  }

  @ParameterizedTest
  @CsvSource({
    "0.1, sound, true",
    "0.3, sound, false",
    "0.3, watch, true",
    "0.6, sound, false",
    "0.6, renew, true"
  })
  void aVerdictBetterThanTheReadingNeedsAReason(double mm, String verdict, boolean allowed) {
    RebuildDriver bench = stripping().strips();
    Act judged =
        Act.of(Act.Kind.JUDGED, "edge-wear", "outer-plate-a")
            .reading(mm, "mm")
            .saying(verdict.equals("watch") ? "seen" : "")
            .with(List.of(verdict));
    assertThat(bench.rebuild().refuse(judged, false, bench.now()).isEmpty()).isEqualTo(allowed);
    if (!allowed) {
      assertThat(bench.refused(judged)).contains("to judge it better than that, give a reason");
      bench.does(judged.saying("polished out"));
    }
  }

  @Test
  void aFindingWidensTheJobAndTheStripOpensAgain() {
    RebuildDriver bench =
        new RebuildDriver().takesIn(List.of("renew:outlet-balls")).makesSafe().strips();
    List<String> before = bench.rebuild().stripped();
    bench.judges("diaphragm-a", "renew");
    assertThat(bench.rebuild().stage()).isEqualTo(Stage.STRIP);
    assertThat(bench.rebuild().stripped()).isEqualTo(before);
    assertThat(bench.rebuild().stripLeft())
        .contains("diaphragm-a-off")
        .doesNotContainAnyElementsOf(before);
  }

  @Test
  void partsThatComeOffAfterInspectAreLookedAtToo() {
    RebuildDriver bench =
        new RebuildDriver().takesIn(List.of("renew:outlet-balls")).makesSafe().strips().inspects();
    assertThat(bench.rebuild().stage()).isEqualTo(Stage.DECIDE);
    bench.judges("diaphragm-a", "renew").strips();
    assertThat(bench.rebuild().stage()).isEqualTo(Stage.INSPECT);
    for (String part : bench.rebuild().toInspect()) {
      if (bench.rebuild().verdict(part).isEmpty()) {
        bench.judges(part, "sound");
      }
    }
    assertThat(bench.rebuild().stage()).isEqualTo(Stage.DECIDE);
  }

  @Test
  void aPartThatIsStillInThePumpCannotBeCalledSound() {
    RebuildDriver bench =
        new RebuildDriver().takesIn(List.of("renew:outlet-balls")).makesSafe().strips();
    assertThat(bench.refused(Act.of(Act.Kind.JUDGED, "", "shaft").with(List.of("sound"))))
        .isEqualTo("Shaft is still in the pump.");
  }

  // ---- decide ---------------------------------------------------------------------------------

  @Test
  void everyRoleNeedsAMaterialAndEveryPartALot() {
    RebuildDriver bench = stripping().strips().inspects();
    assertThat(bench.rebuild().rolesToChoose())
        .containsExactlyInAnyOrder("o-ring", "ball", "diaphragm");
    assertThat(bench.refused(Act.of(Act.Kind.STAGE_DONE, "", "DECIDE")))
        .contains("Choose a material for the");
    for (String role : bench.rebuild().rolesToChoose()) {
      bench.does(Act.of(Act.Kind.MATERIAL_CHOSEN, "", role).with(List.of("CSM")));
    }
    assertThat(bench.refused(Act.of(Act.Kind.STAGE_DONE, "", "DECIDE")))
        .contains("Book a lot for the outlet manifold o-rings");
  }

  @Test
  void ptfeAsksForItsBackupAndRubberForNone() {
    RebuildDriver bench = stripping().strips();
    assertThat(bench.rebuild().toInspect()).doesNotContain("backup-a");
    bench.inspects().does(Act.of(Act.Kind.MATERIAL_CHOSEN, "", "diaphragm").with(List.of("PTFE")));
    assertThat(bench.rebuild().renewals())
        .filteredOn(r -> r.part().startsWith("backup"))
        .extracting(Plan.Renewal::because)
        .containsExactly("PTFE goes in and needs it", "PTFE goes in and needs it");
    bench.does(Act.of(Act.Kind.MATERIAL_CHOSEN, "", "diaphragm").with(List.of("CSM")));
    assertThat(bench.rebuild().renewing()).doesNotContain("backup-a", "backup-b");
  }

  @Test
  void aPumpThatHadPtfeHasItsBackupToLookAt() {
    RebuildDriver bench = new RebuildDriver("PTFE").takesIn(WET_KIT).makesSafe().strips();
    assertThat(bench.rebuild().toInspect()).contains("backup-a", "backup-b");
  }

  // ---- build ----------------------------------------------------------------------------------

  @Test
  void theBuildBeginsWithTheShaftAndEndsWithTheManifolds() {
    RebuildDriver bench = building();
    assertThat(bench.rebuild().buildLeft())
        .containsSubsequence(
            "diaphragms-worked",
            "diaphragm-b-off",
            "diaphragm-a-off",
            "fluid-cap-a-off",
            "outlet-manifold-off");
    assertThat(bench.builds().rebuild().off()).isEmpty();
  }

  @Test
  void aHoldPointCannotBeSkipped() {
    RebuildDriver bench = building().buildsOne();
    String step = bench.rebuild().currentStep().orElseThrow();
    assertThat(bench.refused(Act.of(Act.Kind.STEP_DONE, step, "")))
        .startsWith("Still to answer: Marked face of diaphragm B");
  }

  @Test
  void passesAreClosedInTurn() {
    RebuildDriver bench = building().buildsUpTo("fluid-cap-a-off");
    Act third = Act.of(Act.Kind.PASS_DONE, "fluid-cap-a-off", "").on(3, 0);
    assertThat(bench.refused(third)).contains("pass 1 of 3 at 30 % comes first");
    assertThat(
            bench.refused(
                Act.of(Act.Kind.TORQUE_READ, "fluid-cap-a-off", "").on(3, 1).reading(15, "N·m")))
        .isEqualTo("Pass 1 is in hand, not pass 3.");
    bench.goesRound().goesRound();
    assertThat(bench.rebuild().torque("fluid-cap-a-off").orElseThrow().pass()).isEqualTo(3);
    assertThat(bench.refused(third)).contains("8 to read");
  }

  @Test
  void aReadingOutOfRangeIsKeptMarkedAndMustBeAnswered() {
    RebuildDriver bench = building().buildsUpTo("fluid-cap-a-off").goesRound().goesRound();
    for (int bolt = 1; bolt <= 8; bolt++) {
      bench.reads(bolt, bolt == 3 ? 16.8 : 15);
    }
    TorqueRound round = bench.rebuild().torque("fluid-cap-a-off").orElseThrow();
    assertThat(round.nextFastener()).contains(3);
    assertThat(round.missing()).isEqualTo("1 to answer");
    assertThat(bench.refused(Act.of(Act.Kind.STEP_DONE, "fluid-cap-a-off", "")))
        .contains("Torque is not finished: 1 to answer");
    bench.reads(3, 15.2).goesRound();
    round = bench.rebuild().torque("fluid-cap-a-off").orElseThrow();
    assertThat(round.fasteners().get(3).readings()).containsExactly(16.8, 15.2);
    assertThat(round.finished()).isTrue();
  }

  @Test
  void onlyTheLeadAcceptsAMissAndOnlyWithAReason() {
    RebuildDriver bench =
        building().buildsUpTo("fluid-cap-a-off").goesRound().goesRound().reads(3, 16.8);
    Act accepted = Act.of(Act.Kind.TORQUE_ACCEPTED, "fluid-cap-a-off", "").on(3, 3);
    assertThat(bench.refused(accepted.saying("cap flush")))
        .isEqualTo("Only the lead can accept a reading out of range.");
    assertThat(bench.rebuild().refuse(accepted, true, bench.now()).orElseThrow().message())
        .isEqualTo("Say why the reading is accepted.");
    bench.leadDoes(accepted.saying("cap flush, washer seated"));
    assertThat(
            bench
                .rebuild()
                .torque("fluid-cap-a-off")
                .orElseThrow()
                .fasteners()
                .get(3)
                .acceptedBecause())
        .contains("cap flush, washer seated");
  }

  @Test
  void anAbsurdTorqueIsAskedAboutNotRecorded() {
    RebuildDriver bench = building().buildsUpTo("fluid-cap-a-off").goesRound().goesRound();
    Act read = Act.of(Act.Kind.TORQUE_READ, "fluid-cap-a-off", "").on(3, 3).reading(148, "N·m");
    assertThat(bench.refused(read))
        .isEqualTo(
            "148.0 N·m is 9 times what this joint takes. Is the point, or the unit, in the right place?");
    assertThat(bench.refused(read.on(3, 9))).isEqualTo("This joint has fasteners 1 to 8.");
  }

  @Test
  void takingAStepBackTakesItsTorqueBack() {
    RebuildDriver bench = building().buildsUpTo("fluid-cap-a-off").torques();
    bench
        .does(Act.of(Act.Kind.STEP_DONE, "fluid-cap-a-off", ""))
        .does(Act.of(Act.Kind.STEP_UNDONE, "fluid-cap-a-off", ""));
    assertThat(bench.rebuild().torque("fluid-cap-a-off").orElseThrow().fasteners()).isEmpty();
    assertThat(bench.events()).hasSizeGreaterThan(20);
  }

  @Test
  void jointsWithoutLockerAreToBeRetorquedTheOthersNever() {
    assertThat(building().builds().rebuild().retorques())
        .containsOnlyKeys(
            "fluid-cap-a-off", "fluid-cap-b-off", "outlet-manifold-off", "inlet-manifold-off")
        .containsValue(24.0);
  }

  // ---- prove, hand back -----------------------------------------------------------------------

  @Test
  void aTestThatMissesIsRecordedButDoesNotPass() {
    RebuildDriver bench = building().builds();
    bench.does(Act.of(Act.Kind.PROVED, "", "dead-head").reading(41, "s"));
    assertThat(bench.rebuild().proof("dead-head")).isPresent();
    assertThat(bench.refused(Act.of(Act.Kind.STAGE_DONE, "", "PROVE")))
        .startsWith("Not proved yet");
    assertThat(bench.refused(Act.of(Act.Kind.PROVED, "", "dead-head")))
        .isEqualTo("A number in s is asked for.");
  }

  @Test
  void afterHandBackOnlyNotesAreAdded() {
    RebuildDriver bench = building().builds().proves().does(Act.of(Act.Kind.HANDED_BACK, "", ""));
    assertThat(bench.refused(Act.of(Act.Kind.HANDED_BACK, "", "")))
        .contains("only notes can be added");
    bench.does(Act.of(Act.Kind.NOTED, "", "").saying("muffler dripped a little"));
    assertThat(bench.refused(Act.of(Act.Kind.NOTED, "", "").saying(" ")))
        .isEqualTo("The note is empty.");
    assertThat(bench.refused(Act.of(Act.Kind.NOTED, "", "").saying("x".repeat(2001))))
        .contains("2001 characters");
  }

  @Test
  void aLongGapCountsHalfAnHourAtMost() {
    RebuildDriver bench = stripping().after(Duration.ofHours(9)).strips();
    Duration strip = bench.rebuild().times(bench.now()).get(Stage.STRIP);
    assertThat(strip).isBetween(Duration.ofMinutes(30), Duration.ofMinutes(60));
  }

  // ---- properties -----------------------------------------------------------------------------

  @Property(tries = 60)
  void replayedTwiceTheSameEventsGiveTheSameState(
      @ForAll @LongRange(min = 0, max = 9999) long seed) {
    RebuildDriver bench = building();
    int acts = new Random(seed).nextInt(bench.events().size());
    List<BenchEvent> some = bench.events().subList(0, acts);
    Rebuild one = Rebuild.replay(bench.rebuild().sheet(), bench.rebuild().fitted(), some);
    Rebuild two = Rebuild.replay(bench.rebuild().sheet(), bench.rebuild().fitted(), some);
    assertThat(one.stage()).isEqualTo(two.stage());
    assertThat(one.off()).isEqualTo(two.off());
    assertThat(one.plan()).isEqualTo(two.plan());
    assertThat(one.seq()).isEqualTo(acts);
  }

  /** Whatever is tried in whatever state is either recorded or refused with a sentence. */
  @Property(tries = 80)
  void anyActIsAnsweredNeverThrown(@ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
    Random random = new Random(seed);
    RebuildDriver bench = random.nextBoolean() ? stripping() : building();
    List<String> steps = bench.rebuild().sheet().steps().stream().map(s -> s.id()).toList();
    List<String> subjects =
        List.of(
            "",
            "compressed-air",
            "shaft",
            "diaphragm",
            "dead-head",
            "STRIP",
            "BUILD",
            "cap-a-bead");
    for (int i = 0; i < 40; i++) {
      Act act =
          Act.of(
                  Act.Kind.values()[random.nextInt(Act.Kind.values().length)],
                  random.nextInt(3) == 0 ? "" : steps.get(random.nextInt(steps.size())),
                  subjects.get(random.nextInt(subjects.size())))
              .on(random.nextInt(6) - 1, random.nextInt(11) - 1)
              .with(random.nextBoolean() ? List.of() : List.of("sound"));
      Act tried = random.nextBoolean() ? act : act.reading(random.nextDouble() * 30 - 2, "N·m");
      bench
          .rebuild()
          .refuse(tried, random.nextBoolean(), bench.now())
          .ifPresent(r -> assertThat(r.message()).isNotBlank().doesNotContain("null"));
    }
  }
}
