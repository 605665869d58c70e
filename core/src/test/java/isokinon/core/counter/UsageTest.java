package isokinon.core.counter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isokinon.core.counter.CounterLog.Reading;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Running hours carried on from the last reading. */
class UsageTest {

  private static final Instant NOW = Instant.parse("2026-03-17T08:00:00Z");

  private static Reading daysAgo(int days, double value) {
    return new Reading(0, NOW.minus(Duration.ofDays(days)), value);
  }

  private static Usage usage(List<Reading> readings, int readDaysAgo, Instant until) {
    return Usage.of(20, readings, Optional.of(NOW.minus(Duration.ofDays(readDaysAgo))), NOW, until);
  }

  @Test
  void theLastThreeMonthsSayHowMuchItRuns() {
    Usage u =
        usage(
            List.of(daysAgo(200, 0), daysAgo(64, 1000), daysAgo(34, 1300), daysAgo(4, 1600)),
            4,
            NOW);
    assertThat(u.perDay()).isCloseTo(10, within(1e-12));
    assertThat(u.read()).isTrue();
    assertThat(u.since()).isCloseTo(40, within(1e-9));
  }

  @Test
  void aCounterSetBackCountsOn() {
    assertThat(usage(List.of(daysAgo(30, 990), daysAgo(20, 50), daysAgo(0, 250)), 0, NOW).perDay())
        .isCloseTo(250 / 30.0, within(1e-9));
  }

  @Test
  void withoutReadingsWhatIsSaidStands() {
    for (List<Reading> few :
        List.of(
            List.<Reading>of(), List.of(daysAgo(9, 5)), List.of(daysAgo(5, 0), daysAgo(1, 9)))) {
      Usage u = usage(few, 2, NOW);
      assertThat(u.perDay()).isEqualTo(20);
      assertThat(u.read()).isFalse();
      assertThat(u.since()).isCloseTo(40, within(1e-9));
    }
    assertThat(Usage.of(20, List.of(), Optional.empty(), NOW, NOW).since()).isZero();
  }

  @Test
  void onTheBenchItStandsStill() {
    Instant came = NOW.minus(Duration.ofDays(20));
    assertThat(usage(List.of(), 30, came).since()).isEqualTo(10 * 20);
    assertThat(usage(List.of(), 10, came).since()).isZero();
    assertThat(usage(List.of(), 30, came).days()).contains(30.0);
  }

  @Test
  void aCounterNobodyReadsIsNotCarriedOnForEver() {
    assertThat(usage(List.of(), 900, NOW).since()).isEqualTo(120 * 20);
  }
}
