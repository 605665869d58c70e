package isokinon.core.rebuild;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.core.act.Reading;
import isokinon.core.act.Stage;
import isokinon.core.act.StepAct;
import isokinon.core.sheet.Sheet;
import isokinon.core.sheet.reading.SheetReader;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Holds, second persons, marks with a reading, and a way in that turns out impossible. */
class ChecksOfAStepTest {

  private static final Sheet PUMP =
      SheetReader.forComputing()
          .read(
              """
              id: pump
              parts: [{id: shaft, role: shaft, renew: keep}, {id: rotor}]
              steps:
                - id: unscrewed
                  excludes: [drawn]
                  stripMinutes: 2
                - {id: drawn, stripMinutes: 9}
                - id: rotor-out
                  frees: [rotor]
                  afterAny: [[unscrewed], [drawn]]
                  stripMinutes: 1
                  marks: [{id: depth, make: Depth, meet: Depth as marked, unit: mm, within: 0.5}]
                  checks:
                    - {id: seen, ask: Seen}
                    - {id: safe, ask: Safe, hold: true, second: true}
              """)
          .orThrow();

  private RebuildDriver bench;

  @BeforeEach
  void standsAtTheFirstStep() {
    bench = new RebuildDriver(PUMP, new Fitted("shaft", "1.4404")).looksAt("rotor").makesSafe();
  }

  private static StepAct.Checked depth(String check, double mm) {
    return new StepAct.Checked("rotor-out", check, Optional.of(new Reading(mm, "mm")), "");
  }

  private void buildsToTheRotor() {
    bench.strips().inspects().decides("1.4404");
    assertThat(bench.rebuild().currentStep()).contains("rotor-out");
  }

  @Test
  void whatCannotBeDoneIsGoneRoundFromWhatIsOffAndOnlyWhereThereIsAnotherWay() {
    assertThat(bench.rebuild().stripLeft()).containsExactly("unscrewed", "rotor-out");
    assertThat(bench.refused(new StepAct.FoundImpossible("unscrewed", " ")))
        .isEqualTo("Say what stands against it.");
    bench.does(new StepAct.FoundImpossible("unscrewed", "it will not unscrew"));
    assertThat(bench.rebuild().stripLeft()).containsExactly("drawn", "rotor-out");
    assertThat(bench.refused(new StepAct.FoundImpossible("drawn", "nor that")))
        .startsWith("There is no other way in from here.");
  }

  @Test
  void aCheckIsLeftWithAReasonAndAHoldNever() {
    buildsToTheRotor();
    StepAct.CheckLeft seen = new StepAct.CheckLeft("rotor-out", "seen", "no light");
    assertThat(bench.refused(new StepAct.CheckLeft("rotor-out", "seen", "")))
        .isEqualTo("Say why it is left.");
    assertThat(bench.refused(new StepAct.CheckLeft("rotor-out", "safe", "in a hurry")))
        .startsWith("This is a hold point");
    bench.does(seen);
    assertThat(bench.rebuild().left("rotor-out", "seen").orElseThrow().act()).isEqualTo(seen);
    assertThat(bench.refused(new StepAct.StepDone("rotor-out", "")))
        .isEqualTo("Still to answer: Safe.");
  }

  @Test
  void aSecondPersonIsAnotherOneAndLooksAfterTheFirst() {
    buildsToTheRotor();
    StepAct.Seconded second = new StepAct.Seconded("rotor-out", "safe");
    assertThat(bench.refused(second)).startsWith("It is answered first");
    bench.does(new StepAct.Checked("rotor-out", "safe", Optional.empty(), ""));
    assertThat(bench.refused(second)).contains("another one than RT");
    bench.does(new StepAct.Checked("rotor-out", "seen", Optional.empty(), ""));
    bench.does(depth("depth-met", 1));
    assertThat(bench.refused(new StepAct.StepDone("rotor-out", "")))
        .startsWith("A second person looks as well");
    bench.leadDoes(second).does(new StepAct.StepDone("rotor-out", ""));
  }

  @Test
  void aMarkWithAReadingIsMetWithinWhatItMayLieOff() {
    bench.does(new StepAct.StepDone("unscrewed", "")).does(depth("depth-made", 12.3));
    bench.does(new StepAct.StepDone("rotor-out", "")).inspects().decides("1.4404");
    assertThat(bench.rebuild().stage()).isEqualTo(Stage.BUILD);
    for (double mm : List.of(11.7, 12.9)) {
      bench.does(depth("depth-met", mm));
      assertThat(bench.rebuild().open("rotor-out", check("depth-met")))
          .contains(Rebuild.Open.MISSED);
    }
    bench.does(depth("depth-met", 11.8));
    assertThat(bench.rebuild().open("rotor-out", check("depth-met"))).isEmpty();
  }

  private isokinon.core.sheet.Handling.Check check(String id) {
    return PUMP.handling("rotor-out").orElseThrow().check(id).orElseThrow();
  }
}
