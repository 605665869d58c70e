package isokinon.server.demo;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.core.counter.WearCount;
import isokinon.server.db.pumps.RunRow;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;

class SimulatedHistoryTest {

  private static final LocalDate TODAY = LocalDate.of(2026, 3, 17);
  private static final List<SimulatedHistory.Era> TRUTH =
      List.of(
          new SimulatedHistory.Era(1095, "EPDM", 1.5, 900, 2200, "swollen", "attack"),
          new SimulatedHistory.Era(520, "FKM", 2.5, 5200, 2200, "flexed through", "age"));

  private static SimulatedHistory history(String tag) {
    return SimulatedHistory.of(
        tag,
        new SimulatedHistory.Wearing("diaphragm", "grease", "1", "bolted", WearCount.STROKES, 3900),
        TRUTH,
        11,
        1584,
        TODAY);
  }

  @Test
  void theSameSeedGivesTheSameHistory() {
    assertThat(history("SCR-07")).isEqualTo(history("SCR-07"));
    assertThat(history("SCR-07").runs()).isNotEqualTo(history("SCR-08").runs());
  }

  @Test
  void runsFollowEachOtherUpToTheSetInIt() {
    List<RunRow> runs = history("SCR-07").runs();
    for (int i = 1; i < runs.size(); i++) {
      assertThat(runs.get(i).fittedOn()).isEqualTo(runs.get(i - 1).endedOn());
    }
    assertThat(runs.get(runs.size() - 1).endedOn()).isEqualTo(history("SCR-07").fittedOn());
    assertThat(runs.get(0).fittedOn()).isAfterOrEqualTo(TODAY.minusDays(1095));
  }

  @Test
  void theWrongElastomerFailsMoreThanTheRightOne() {
    double wrong = 0;
    double right = 0;
    int wrongRuns = 0;
    int rightRuns = 0;
    for (int i = 0; i < 60; i++) {
      for (RunRow run : history("P-" + i).runs()) {
        boolean epdm = run.material().equals("EPDM");
        wrongRuns += epdm ? 1 : 0;
        rightRuns += epdm ? 0 : 1;
        wrong += epdm && run.failed() ? 1 : 0;
        right += !epdm && run.failed() ? 1 : 0;
      }
    }
    assertThat(wrong / wrongRuns).isGreaterThan(0.8);
    assertThat(right / rightRuns).isLessThan(0.2);
  }

  @Test
  void aSetThatFailedSaysWhyAndOneChangedSoundSaysThat() {
    assertThat(history("SCR-07").runs())
        .allSatisfy(r -> assertThat(r.cause().equals("changed sound")).isEqualTo(!r.failed()));
  }
}
