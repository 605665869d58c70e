package isokinon.server.work.shared;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Numbers and days as people write them into tables. */
class TableValuesTest {

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {"12|12", "12.5|12.5", "12,5|12.5", "1 234,5|1234.5", "-3|-3", "1e3|1000"})
  void aNumberMayHaveADecimalCommaAndSpaces(String word, double value) {
    assertThat(TableValues.number(word)).contains(value);
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "much", "1,2,3", "NaN", "Infinity", "12 h"})
  void whatIsNoNumberIsNone(String word) {
    assertThat(TableValues.number(word)).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({
    "2026-03-01, false, 2026-03-01",
    "2026-03-01T18:00, false, 2026-03-01",
    "2026/3/1, false, 2026-03-01",
    "1.3.2026, false, 2026-03-01",
    "01/03/2026, false, 2026-03-01",
    "03/01/2026, true, 2026-03-01",
    "1.3.26, false, 2026-03-01",
    "2026-03-01, true, 2026-03-01"
  })
  void aDayMayHaveItsYearFirstOrLast(String word, boolean monthFirst, LocalDate day) {
    assertThat(TableValues.day(word, monthFirst)).contains(day);
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "yesterday", "31.2.2026", "2026-13-01", "20260301", "1.3"})
  void whatIsNoDayIsNone(String word) {
    assertThat(TableValues.day(word, false)).isEmpty();
  }

  @Test
  void whichComesFirstDecides() {
    assertThat(TableValues.day("13/01/2026", true)).isEmpty();
    assertThat(TableValues.day("13/01/2026", false)).contains(LocalDate.of(2026, 1, 13));
  }
}
