package isokinon.core.rebuild;

import static isokinon.core.rebuild.RebuildDriver.WET_KIT;
import static isokinon.core.rebuild.RebuildDriver.judged;
import static org.assertj.core.api.Assertions.assertThat;

import isokinon.core.act.Act;
import isokinon.core.act.BenchEvent;
import isokinon.core.act.JobAct;
import isokinon.core.act.Measurement;
import isokinon.core.act.PartAct;
import isokinon.core.act.ProofAct;
import isokinon.core.act.RandomActs;
import isokinon.core.act.Reading;
import isokinon.core.act.Stage;
import isokinon.core.act.StepAct;
import isokinon.core.plan.Plan;
import isokinon.core.rules.Actor;
import isokinon.core.rules.BenchRules;
import isokinon.core.sheet.Part;
import isokinon.core.sheet.Part.Verdict;
import isokinon.core.sheet.Sheet;
import isokinon.core.sheet.ShippedSheet;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
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
    stages.add(bench.handsBack().rebuild().stage());
    assertThat(stages).containsExactly(Stage.values());
  }

  // ---- take in, make safe ---------------------------------------------------------------------

  @Test
  void nothingIsStrippedBeforeEveryEnergyIsProvedGone() {
    RebuildDriver bench = new RebuildDriver().takesIn(WET_KIT);
    assertThat(bench.refused(new StepAct.StepDone("outlet-manifold-off", "")))
        .isEqualTo("No step is in hand in Make safe.");
    assertThat(bench.refused(new JobAct.StageDone(Stage.MAKE_SAFE)))
        .isEqualTo("Strip stays locked: 7 still to prove.");
  }

  @Test
  void aGaugeThatStillShowsPressureKeepsTheStripLocked() {
    RebuildDriver bench = new RebuildDriver().takesIn(WET_KIT);
    assertThat(
            bench.refused(
                new JobAct.ProvedSafe("compressed-air", Optional.of(new Reading(1.4, "bar")))))
        .isEqualTo(
            "1.4 bar is over the 0.05 bar that counts as safe. It stays live until it reads no more than that.");
    assertThat(bench.refused(new JobAct.ProvedSafe("compressed-air", Optional.empty())))
        .startsWith("Read the gauge");
    assertThat(bench.refused(new JobAct.ProvedSafe("dragons", Optional.empty())))
        .contains("no hazard called dragons");
  }

  @Test
  void aPumpIsMadeAsItWasSeenLastUntilSomebodySaysOtherwise() {
    Sheet pin = ShippedSheet.of("cavity-pin-joint-40");
    Fitted mechanical = new Fitted("stator", "NBR", List.of("mechanical"));
    Rebuild comes = Rebuild.replay(pin, mechanical, List.of());
    assertThat(comes.sheet().part("seal-rotating")).isPresent();
    assertThat(comes.sheet().part("packing")).isEmpty();
    RebuildDriver bench = new RebuildDriver(pin, mechanical);
    bench.does(
        new JobAct.TakenIn(List.of("stator"), List.of(), List.of("packed"), List.of(), "leaks"));
    assertThat(bench.rebuild().sheet().part("packing")).isPresent();
    assertThat(bench.rebuild().variants()).containsExactly("packed");
  }

  @Test
  void takingInAsksForSomethingThatComesOff() {
    RebuildDriver bench = new RebuildDriver();
    assertThat(bench.refused(asking())).isEqualTo("Choose what to renew or look at.");
    assertThat(bench.refused(asking("centre-block"))).contains("takes off centre-block");
  }

  private static Act asking(String... renew) {
    return new JobAct.TakenIn(List.of(renew), List.of(), List.of(), List.of(), "");
  }

  // ---- strip ----------------------------------------------------------------------------------

  @Test
  void stepsComeInThePlansOrderOnly() {
    RebuildDriver bench = stripping();
    String first = bench.rebuild().currentStep().orElseThrow();
    String second = bench.rebuild().stripLeft().get(1);
    assertThat(bench.refused(new StepAct.StepDone(second, "")))
        .isEqualTo("Another step is in hand now.");
    bench.does(new StepAct.StepDone(first, ""));
    assertThat(bench.rebuild().currentStep()).contains(second);
    assertThat(bench.rebuild().off()).contains("outlet-manifold", "outlet-manifold-orings");
  }

  @Test
  void onlyTheLastStepIsTakenBack() {
    RebuildDriver bench = stripping();
    String first = bench.rebuild().currentStep().orElseThrow();
    bench.does(new StepAct.StepDone(first, ""));
    String second = bench.rebuild().currentStep().orElseThrow();
    bench.does(new StepAct.StepDone(second, ""));
    assertThat(bench.refused(new StepAct.StepUndone(first)))
        .isEqualTo("Only the last step can be taken back.");
    bench.does(new StepAct.StepUndone(second));
    assertThat(bench.rebuild().currentStep()).contains(second);
  }

  @Test
  void marksAreAskedForBeforeMatchedPinsComeOut() {
    RebuildDriver bench = new RebuildDriver().takesIn("actuator-pins").makesSafe();
    while (!bench.rebuild().currentStep().orElseThrow().equals("pins-out")) {
      bench
          .answersChecks()
          .does(new StepAct.StepDone(bench.rebuild().currentStep().orElseThrow(), ""));
    }
    assertThat(bench.refused(new StepAct.StepDone("pins-out", "")))
        .isEqualTo("Still to answer: Pins marked A and B.");
  }

  // ---- inspect --------------------------------------------------------------------------------

  @Test
  void everyPartThatCameOffIsJudgedBeforeDeciding() {
    RebuildDriver bench = stripping().strips();
    assertThat(bench.rebuild().toInspect())
        .contains("outlet-manifold", "fluid-cap-a", "shaft")
        .doesNotContain("diaphragm-a", "outlet-manifold-orings", "centre-block");
    assertThat(bench.refused(new JobAct.StageDone(Stage.INSPECT)))
        .contains("to look at yet, next the outlet manifold");
  }

  @Test
  void watchNeedsAReason() {
    RebuildDriver bench = stripping().strips();
    Act watch = judged("outer-plate-a", Verdict.WATCH, "");
    assertThat(bench.refused(watch)).isEqualTo("Watch needs a reason: what was seen?");
    bench.does(judged("outer-plate-a", Verdict.WATCH, "edge worn"));
    assertThat(bench.rebuild().verdict("outer-plate-a")).contains(Part.Verdict.WATCH);
  }

  @ParameterizedTest
  @CsvSource({
    "0.1, SOUND, true",
    "0.3, SOUND, false",
    "0.3, WATCH, true",
    "0.6, SOUND, false",
    "0.6, RENEW, true"
  })
  void aVerdictBetterThanTheReadingNeedsAReason(double mm, Verdict verdict, boolean allowed) {
    RebuildDriver bench = stripping().strips();
    PartAct.Judged judged = edgeWorn(mm, verdict, verdict == Verdict.WATCH ? "seen" : "");
    assertThat(
            BenchRules.refuse(bench.rebuild(), judged, Actor.licensed("RT"), bench.now()).isEmpty())
        .isEqualTo(allowed);
    if (!allowed) {
      assertThat(bench.refused(judged)).contains("to judge it better than that, give a reason");
      bench.does(edgeWorn(mm, verdict, "polished out"));
    }
  }

  private static PartAct.Judged edgeWorn(double mm, Verdict verdict, String because) {
    Measurement wear = new Measurement("edge-wear", new Reading(mm, "mm"), Optional.empty());
    return new PartAct.Judged("outer-plate-a", verdict, List.of(wear), List.of(), because);
  }

  @Test
  void aFindingWidensTheJobAndTheStripOpensAgain() {
    RebuildDriver bench = new RebuildDriver().takesIn("outlet-balls").makesSafe().strips();
    List<String> before = bench.rebuild().stripped();
    bench.judges("diaphragm-a", Verdict.RENEW);
    assertThat(bench.rebuild().stage()).isEqualTo(Stage.STRIP);
    assertThat(bench.rebuild().stripped()).isEqualTo(before);
    assertThat(bench.rebuild().stripLeft())
        .contains("diaphragm-a-off")
        .doesNotContainAnyElementsOf(before);
  }

  @Test
  void partsThatComeOffAfterInspectAreLookedAtToo() {
    RebuildDriver bench =
        new RebuildDriver().takesIn("outlet-balls").makesSafe().strips().inspects();
    assertThat(bench.rebuild().stage()).isEqualTo(Stage.DECIDE);
    bench.judges("diaphragm-a", Verdict.RENEW).strips();
    assertThat(bench.rebuild().stage()).isEqualTo(Stage.INSPECT);
    for (String part : bench.rebuild().toInspect()) {
      if (bench.rebuild().verdict(part).isEmpty()) {
        bench.judges(part, Verdict.SOUND);
      }
    }
    assertThat(bench.rebuild().stage()).isEqualTo(Stage.DECIDE);
  }

  @Test
  void aPartThatIsStillInThePumpCannotBeCalledSound() {
    RebuildDriver bench = new RebuildDriver().takesIn("outlet-balls").makesSafe().strips();
    assertThat(bench.refused(judged("shaft", Verdict.SOUND, "")))
        .isEqualTo("Shaft is still in the pump.");
  }

  // ---- decide ---------------------------------------------------------------------------------

  @Test
  void everyRoleNeedsAMaterialAndEveryPartALot() {
    RebuildDriver bench = stripping().strips().inspects();
    assertThat(bench.rebuild().rolesToChoose())
        .containsExactlyInAnyOrder("o-ring", "ball", "diaphragm");
    assertThat(bench.refused(new JobAct.StageDone(Stage.DECIDE)))
        .contains("Choose a material for the");
    assertThat(bench.refused(new PartAct.MaterialChosen("ball", " ", "")))
        .contains("Say which material goes in.");
    for (String role : bench.rebuild().rolesToChoose()) {
      bench.does(new PartAct.MaterialChosen(role, "CSM", ""));
    }
    assertThat(bench.refused(new JobAct.StageDone(Stage.DECIDE)))
        .contains("Book a lot for the outlet manifold o-rings");
  }

  @Test
  void ptfeAsksForItsBackupAndRubberForNone() {
    RebuildDriver bench = stripping().strips();
    assertThat(bench.rebuild().toInspect()).doesNotContain("backup-a");
    bench.inspects().does(new PartAct.MaterialChosen("diaphragm", "PTFE", ""));
    assertThat(bench.rebuild().renewals())
        .filteredOn(r -> r.part().startsWith("backup"))
        .extracting(Plan.Renewal::because)
        .containsExactly("lies open, the kit holds it", "lies open, the kit holds it");
    bench.does(new PartAct.MaterialChosen("diaphragm", "CSM", ""));
    assertThat(bench.rebuild().renewing()).doesNotContain("backup-a", "backup-b");
  }

  @Test
  void aPumpThatHadPtfeHasItsBackupToLookAt() {
    RebuildDriver bench = new RebuildDriver("PTFE").looksAt("shaft").makesSafe().strips();
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
    assertThat(bench.refused(new StepAct.StepDone(step, "")))
        .startsWith("Still to answer: Marked face of diaphragm B");
  }

  @Test
  void passesAreClosedInTurn() {
    RebuildDriver bench = building().buildsUpTo("fluid-cap-a-off");
    Act third = new StepAct.PassDone("fluid-cap-a-off", 3);
    assertThat(bench.refused(third)).contains("pass 1 of 3 at 30 % comes first");
    assertThat(
            bench.refused(
                new StepAct.TorqueRead("fluid-cap-a-off", 3, 1, 15, false, Optional.empty())))
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
    assertThat(bench.refused(new StepAct.StepDone("fluid-cap-a-off", "")))
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
    assertThat(bench.refused(accepted("cap flush")))
        .isEqualTo("Only the lead can accept a reading out of range.");
    assertThat(
            BenchRules.refuse(
                    bench.rebuild(), accepted(""), new Actor("RT", true, true), bench.now())
                .orElseThrow()
                .message())
        .isEqualTo("Say why the reading is accepted.");
    bench.leadDoes(accepted("cap flush, washer seated"));
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

  private static Act accepted(String because) {
    return new StepAct.TorqueAccepted("fluid-cap-a-off", 3, because);
  }

  @Test
  void anAbsurdTorqueIsAskedAboutNotRecorded() {
    RebuildDriver bench = building().buildsUpTo("fluid-cap-a-off").goesRound().goesRound();
    Act read = new StepAct.TorqueRead("fluid-cap-a-off", 3, 3, 148, false, Optional.empty());
    assertThat(bench.refused(read))
        .isEqualTo(
            "148.0 N·m is 9 times what this joint takes. Is the point, or the unit, in the right place?");
    assertThat(
            bench.refused(
                new StepAct.TorqueRead("fluid-cap-a-off", 3, 9, 148, false, Optional.empty())))
        .isEqualTo("This joint has fasteners 1 to 8.");
  }

  @Test
  void takingAStepBackTakesItsTorqueBack() {
    RebuildDriver bench = building().buildsUpTo("fluid-cap-a-off").torques();
    bench
        .does(new StepAct.StepDone("fluid-cap-a-off", ""))
        .does(new StepAct.StepUndone("fluid-cap-a-off"));
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
    bench.does(
        new ProofAct.Proved("dead-head", Optional.of(new Reading(41, "s")), Optional.empty(), ""));
    assertThat(bench.rebuild().proof("dead-head")).isPresent();
    assertThat(bench.refused(new JobAct.StageDone(Stage.PROVE))).startsWith("Not proved yet");
    assertThat(
            bench.refused(new ProofAct.Proved("dead-head", Optional.empty(), Optional.empty(), "")))
        .isEqualTo("A number in s is asked for.");
  }

  @Test
  void nothingIsHandedBackUnsignedNorWithWhatWasDoneSinceItWasSigned() {
    JobAct.HandedBack back = new JobAct.HandedBack(Optional.empty(), "");
    RebuildDriver bench = building();
    assertThat(bench.refused(new JobAct.SignedOff())).contains("Build");
    bench.builds().proves();
    assertThat(bench.refused(back)).isEqualTo("Somebody signs off what was done first.");
    bench.does(new JobAct.SignedOff()).does(new JobAct.Noted("muffler dripped a little"));
    assertThat(bench.rebuild().signedOff()).isPresent();
    bench.does(new JobAct.FaultFound(Optional.empty(), "a ball was worn"));
    assertThat(bench.refused(back)).isEqualTo("Somebody signs off what was done first.");
    assertThat(bench.handsBack().rebuild().stage()).isEqualTo(Stage.CLOSED);
  }

  @Test
  void afterHandBackOnlyNotesAreAdded() {
    RebuildDriver bench = building().builds().proves().handsBack();
    assertThat(bench.refused(new JobAct.HandedBack(Optional.empty(), "")))
        .contains("only notes can be added");
    bench.does(new JobAct.Noted("muffler dripped a little"));
    assertThat(bench.refused(new JobAct.Noted(" "))).isEqualTo("The note is empty.");
    assertThat(bench.refused(new JobAct.Noted("x".repeat(2001)))).contains("2001 characters");
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
    List<BenchEvent<?>> some = bench.events().subList(0, acts);
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
    List<String> names = new ArrayList<>(steps);
    names.addAll(List.of("", "compressed-air", "shaft", "diaphragm", "dead-head", "cap-a-bead"));
    for (int i = 0; i < 40; i++) {
      Act tried = RandomActs.any(random, names);
      BenchRules.refuse(
              bench.rebuild(), tried, new Actor("RT", random.nextBoolean(), true), bench.now())
          .ifPresent(r -> assertThat(r.message()).isNotBlank().doesNotContain("null"));
    }
  }
}
