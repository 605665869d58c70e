package isokinon.server.folder;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.YearMonth;
import java.util.HashSet;
import java.util.Set;
import org.junit.jupiter.api.Test;

class KeptBackupsTest {

  private static final LocalDate FIRST = LocalDate.of(2024, 11, 3);
  private static final int TWO_YEARS = 760;

  /** A backup every night, those that are not kept taken away every night. */
  private static Set<LocalDate> after(int nights) {
    Set<LocalDate> there = new HashSet<>();
    for (int night = 0; night < nights; night++) {
      there.add(FIRST.plusDays(night));
      there = new HashSet<>(KeptBackups.of(there));
    }
    return there;
  }

  @Test
  void sevenDaysFourWeeksAndTwelveMonthsAreThereWhateverWasTakenAwayBefore() {
    Set<LocalDate> kept = after(TWO_YEARS);
    LocalDate last = FIRST.plusDays(TWO_YEARS - 1);
    for (int day = 0; day < 7; day++) {
      assertThat(kept).contains(last.minusDays(day));
    }
    for (int week = 1; week < 4; week++) {
      LocalDate then = last.minusWeeks(week);
      assertThat(kept).anyMatch(d -> Math.abs(d.toEpochDay() - then.toEpochDay()) < 7);
    }
    for (int month = 0; month < 12; month++) {
      YearMonth then = YearMonth.from(last).minusMonths(month);
      assertThat(kept).as("%s", then).anyMatch(d -> YearMonth.from(d).equals(then));
    }
    assertThat(kept).hasSizeLessThanOrEqualTo(7 + 4 + 12);
  }

  @Test
  void aYoungShopKeepsAllItHas() {
    assertThat(after(5)).hasSize(5);
    assertThat(KeptBackups.of(Set.of())).isEmpty();
  }
}
