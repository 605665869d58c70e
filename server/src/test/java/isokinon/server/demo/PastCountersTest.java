package isokinon.server.demo;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.server.db.pumps.CounterRow;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The hour counters of the demo. */
class PastCountersTest {

  private static final LocalDate LAST = LocalDate.of(2026, 3, 14);

  @Test
  void theyEndAtWhatThePumpHasRunAndOnlyGoUp() {
    List<CounterRow> rows = PastCounters.of("SCR-03", 17_000, 16, LAST);
    assertThat(rows).hasSize(13);
    assertThat(rows.get(12).reading()).isEqualTo(17_000);
    assertThat(rows.get(12).at().toLocalDate()).isEqualTo(LAST);
    assertThat(rows).extracting(CounterRow::reading).isSorted();
    assertThat(rows).isEqualTo(PastCounters.of("SCR-03", 17_000, 16, LAST));
  }

  @Test
  void noCounterGainsMoreThanTheClock() {
    List<CounterRow> rows = PastCounters.of("EFF-03", 26_000, 24, LAST);
    for (int i = 1; i < rows.size(); i++) {
      assertThat(rows.get(i).reading() - rows.get(i - 1).reading())
          .isLessThanOrEqualTo(14 * 24.0 + 0.1);
    }
  }

  @Test
  void aPumpThatHasHardlyRunHasFewReadings() {
    assertThat(PastCounters.of("NEW-01", 200, 20, LAST)).hasSizeLessThan(3);
  }
}
