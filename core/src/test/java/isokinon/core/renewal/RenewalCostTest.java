package isokinon.core.renewal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isokinon.core.life.Run;
import isokinon.core.life.Survival;
import isokinon.core.life.Weibull;
import isokinon.core.life.WeibullPosterior;
import isokinon.core.renewal.Interval.Advice;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The age to change a part at, and whether an age pays. */
class RenewalCostTest {

  @ParameterizedTest
  @CsvSource({
    "3, 4000, 300, 1500, 2010.44, 0.227355, 0.419942",
    "1.8, 2600, 220, 900, 1638.38, 0.325358, 0.389249",
    "2.5, 5000, 400, 6000, 1483.42, 0.452481, 1.352473"
  })
  void workedNumbers(
      double shape,
      double scale,
      double planned,
      double failed,
      double age,
      double rate,
      double atFailure) {
    Interval best = Interval.of(new Weibull(shape, scale), planned, failed, false);
    assertThat(best.bestAge().orElseThrow()).isCloseTo(age, within(0.01));
    assertThat(best.bestRate().orElseThrow()).isCloseTo(rate, within(5e-7));
    assertThat(best.runToFailureRate()).isCloseTo(atFailure, within(5e-7));
    assertThat(best.advice()).isEqualTo(Advice.FIXED_INTERVAL);
  }

  @ParameterizedTest
  @CsvSource({
    "1, 300, 1500, false, RUN_TO_FAILURE",
    "0.8, 300, 1500, false, RUN_TO_FAILURE",
    "2.5, 300, 300, false, RUN_TO_FAILURE",
    "1.1, 300, 500, false, RUN_TO_FAILURE",
    "1.3, 300, 900, false, HARDLY_MATTERS",
    "0.8, 300, 1500, true, FIXED_INTERVAL"
  })
  void whetherAnAgePays(double shape, double planned, double failed, boolean harms, Advice advice) {
    Interval i = Interval.of(new Weibull(shape, 1000), planned, failed, harms);
    assertThat(i.advice()).isEqualTo(advice);
    if (advice == Advice.RUN_TO_FAILURE) {
      assertThat(i.bestAge()).isEmpty();
      assertThat(i.bestRate()).isEmpty();
    }
  }

  @Property
  void noAgeIsCheaperThanTheBest(
      @ForAll @DoubleRange(min = 1.2, max = 4) double shape,
      @ForAll @DoubleRange(min = 1, max = 30) double ratio,
      @ForAll @DoubleRange(min = 0.05, max = 3.9) double at) {
    for (Survival life :
        List.of(
            new Weibull(shape, 1000),
            WeibullPosterior.of(shape, 1000, 2, List.of(new Run(800, true))))) {
      RenewalCost best = RenewalCost.best(life, 100, 100 * ratio);
      assertThat(RenewalCost.at(at * life.meanLife(), life, 100, 100 * ratio))
          .isGreaterThanOrEqualTo(best.rate() * (1 - 1e-9));
    }
  }

  @Property
  void theTimeLivedIsTheIntegralOfTheSurvival(
      @ForAll @DoubleRange(min = 0.8, max = 4) double shape,
      @ForAll @DoubleRange(min = 50, max = 5000) double age) {
    for (Survival life :
        List.of(
            new Weibull(shape, 1000),
            WeibullPosterior.of(shape, 1000, 2, List.of(new Run(800, true))))) {
      double sum = 0;
      int n = 4000;
      for (int i = 0; i < n; i++) {
        sum += life.survival((i + 0.5) * age / n) * age / n;
      }
      assertThat(life.lived(age)).isCloseTo(sum, Percentage.withPercentage(0.01));
      assertThat(life.lived(1e12)).isCloseTo(life.meanLife(), Percentage.withPercentage(0.1));
    }
  }

  @Test
  void theRiskIsWhatIsLostOfTheSurvival() {
    Weibull life = new Weibull(2, 1000);
    assertThat(life.risk(500, 100))
        .isCloseTo(1 - life.survival(600) / life.survival(500), within(1e-15));
    assertThat(life.risk(500, 0)).isZero();
  }
}
