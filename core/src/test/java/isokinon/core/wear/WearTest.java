package isokinon.core.wear;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import isokinon.core.wear.WearRate.Reading;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WearTest {

  @Test
  void hoursLeftCarryTheUncertaintyOfBothReadings() {
    // clearance 0.20 to 0.30 mm in 2 000 h, limit 0.40: 2 000 h left; derivatives 20 000 and -40
    // 000
    WearRate r = WearRate.between(new Reading(0.20, 0.01), new Reading(0.30, 0.01), 2000, 0.40);
    assertThat(r.perHour()).isCloseTo(5e-5, within(1e-15));
    assertThat(r.hoursLeft().orElseThrow()).isCloseTo(2000, within(1e-6));
    assertThat(r.hoursLeftU().orElseThrow()).isCloseTo(Math.hypot(200, 400), within(1e-6));
  }

  @ParameterizedTest
  @CsvSource({"0.3, 0.3, 0.4", "0.3, 0.25, 0.4", "0.3, 0.45, 0.4"})
  void whatDoesNotMoveTowardItsLimitHasNoHours(double before, double now, double limit) {
    assertThat(
            WearRate.between(new Reading(before, 0), new Reading(now, 0), 100, limit).hoursLeft())
        .isEmpty();
  }

  @Property
  void theUncertaintyIsTheSlopeOfTheAnswer(
      @ForAll @DoubleRange(min = 0.05, max = 0.3) double worn,
      @ForAll @DoubleRange(min = 100, max = 5000) double hours) {
    double h = 1e-7;
    double up = left(0.2 + h, 0.2 + worn, hours);
    double down = left(0.2 - h, 0.2 + worn, hours);
    double u =
        WearRate.between(new Reading(0.2, 0.01), new Reading(0.2 + worn, 0), hours, 1)
            .hoursLeftU()
            .orElseThrow();
    assertThat(u).isCloseTo(0.01 * Math.abs(up - down) / (2 * h), Percentage.withPercentage(0.01));
  }

  private static double left(double before, double now, double hours) {
    return WearRate.between(new Reading(before, 0), new Reading(now, 0), hours, 1)
        .hoursLeft()
        .orElseThrow();
  }

  @Test
  void hardnessCountsBothWays() {
    assertThat(Hardness.of(70, 66).way()).isEqualTo(Hardness.Way.SAME);
    assertThat(Hardness.of(70, 64).way()).isEqualTo(Hardness.Way.SOFTER);
    assertThat(Hardness.of(70, 64).watch()).isTrue();
    assertThat(Hardness.of(70, 81).renew()).isTrue();
    assertThat(Hardness.of(70, 81).way()).isEqualTo(Hardness.Way.HARDER);
    assertThatThrownBy(() -> Hardness.of(70, 170)).hasMessageContaining("nowShoreA");
  }

  @Test
  void twoReadingsCrossWhereTheRateSays() {
    Trend trend =
        Trend.of(List.of(new Trend.Point(0, 18.0, 0.01), new Trend.Point(2000, 18.2, 0.01)), 18.8);
    assertThat(trend.perHour()).isCloseTo(1e-4, within(1e-12));
    assertThat(trend.crossing().orElseThrow()).isCloseTo(8000, within(1e-6));
    assertThat(trend.earliest().orElseThrow()).isBetween(6000.0, 8000.0);
    assertThat(trend.latest().orElseThrow()).isBetween(8000.0, 11_000.0);
  }

  @Test
  void readingsThatScatterMoreThanTheyDriftCannotTell() {
    Trend trend =
        Trend.of(
            List.of(
                new Trend.Point(0, 18.0, 0.2),
                new Trend.Point(100, 18.1, 0.2),
                new Trend.Point(200, 18.0, 0.2)),
            18.8);
    assertThat(trend.earliest()).isEmpty();
    assertThatThrownBy(() -> Trend.of(List.of(new Trend.Point(0, 1, 0)), 2))
        .hasMessageContaining("two");
    assertThatThrownBy(
            () -> Trend.of(List.of(new Trend.Point(5, 1, 0), new Trend.Point(5, 2, 0)), 2))
        .hasMessageContaining("same hour");
  }

  @Property
  void aWiderGaugeNeverNarrowsTheBand(
      @ForAll @DoubleRange(min = 0.01, max = 0.02) double u,
      @ForAll @DoubleRange(min = 0.2, max = 0.5) double worn) {
    Trend fine = overTwo(worn, u);
    Trend coarse = overTwo(worn, u * 2);
    double reach = fine.latest().orElseThrow() - fine.earliest().orElseThrow();
    assertThat(coarse.latest().map(l -> l - coarse.earliest().orElseThrow()).orElse(1e12))
        .isGreaterThanOrEqualTo(reach);
    assertThat(fine.crossing().orElseThrow())
        .isBetween(fine.earliest().orElseThrow(), fine.latest().orElseThrow());
  }

  private static Trend overTwo(double worn, double u) {
    return Trend.of(List.of(new Trend.Point(0, 0, u), new Trend.Point(1000, worn, u)), 1);
  }
}
