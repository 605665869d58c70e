package isokinon.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A round is due by days or by running hours, whichever is first. */
class RoundTest {

  private static final LocalDate TODAY = LocalDate.of(2026, 3, 2);

  @ParameterizedTest
  @CsvSource({
    "90, 0, 30, 100, 8, 60",
    "90, 0, 95, 100, 8, -5",
    "0, 2000, 10, 400, 16, 100",
    "0, 2000, 10, 2300, 16, 0",
    "180, 2000, 10, 1920, 8, 10",
    "180, 2000, 175, 100, 8, 5",
    "180, 2000, 10, 100, 0, 170",
  })
  void isDueAfterDaysOrHoursWhicheverIsFirst(
      double days, double hours, long ago, double ran, double perDay, long dueIn) {
    assertThat(round(days, hours).due(TODAY.minusDays(ago), 1000, 1000 + ran, perDay, TODAY))
        .contains(TODAY.plusDays(dueIn));
  }

  @ParameterizedTest
  @CsvSource({"2000, 100"})
  void byHoursAPumpThatStandsIsNeverDue(double hours, double ran) {
    assertThat(round(0, hours).due(TODAY.minusDays(400), 0, ran, 0, TODAY))
        .isEqualTo(Optional.empty());
  }

  private static Round round(double days, double hours) {
    return new Round(
        "r", "R", "s", days, hours, 5, List.of(), List.of(), List.of(), OnlyFor.EVERY_JOB);
  }
}
