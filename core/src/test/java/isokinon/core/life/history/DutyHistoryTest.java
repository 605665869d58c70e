package isokinon.core.life.history;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isokinon.core.life.history.DutyHistory.Stretch;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class DutyHistoryTest {

  private static final LocalDate DAY = LocalDate.of(2026, 1, 1);

  private static LocalDate day(int n) {
    return DAY.plusDays(n);
  }

  /** Until day 100 a set lived half as long as now, from then to day 200 three times as long. */
  private static final DutyHistory HISTORY =
      new DutyHistory(List.of(new Stretch(day(100), 0.5), new Stretch(day(200), 3)), day(300));

  private static double pace(int fitted, int ended) {
    return HISTORY.pace(day(fitted), Optional.of(day(ended)));
  }

  @Test
  void aRunCountsByTheDutyOfItsTime() {
    assertThat(pace(0, 80)).as("in the first").isEqualTo(2);
    assertThat(pace(120, 180)).as("in the second").isCloseTo(1 / 3.0, within(1e-12));
    assertThat(pace(200, 260)).as("in the duty of now").isEqualTo(1);
    assertThat(pace(50, 50)).as("out on the day it went in").isEqualTo(2);
    assertThat(pace(250, 250)).isEqualTo(1);
  }

  @Test
  void aRunThroughSeveralDutiesWearsInEachByItsDays() {
    assertThat(pace(50, 250)).isCloseTo((50 * 2 + 100 / 3.0 + 50) / 200, within(1e-12));
    assertThat(HISTORY.pace(day(100), Optional.empty()))
        .as("one that runs, up to today")
        .isCloseTo((100 / 3.0 + 100) / 200, within(1e-12));
    assertThat(new DutyHistory(List.of(), day(300)).pace(day(0), Optional.empty())).isEqualTo(1);
  }
}
