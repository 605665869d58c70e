package isokinon.core.life;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.function.DoubleUnaryOperator;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RenewalCostTest {

  private static DoubleUnaryOperator weibull(double shape, double scale) {
    return t -> Math.exp(-Math.pow(t / scale, shape));
  }

  private static double mean(double shape, double scale) {
    return scale * WeibullPosterior.meanOfScaleOne(shape);
  }

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
    double mean = mean(shape, scale);
    RenewalCost best = RenewalCost.best(weibull(shape, scale), mean, planned, failed);
    assertThat(best.rate()).isCloseTo(rate, Percentage.withPercentage(0.02));
    assertThat(best.age()).isCloseTo(age, Percentage.withPercentage(2));
    assertThat(
            RenewalCost.at(Double.POSITIVE_INFINITY, weibull(shape, scale), mean, planned, failed))
        .isCloseTo(atFailure, within(1e-6));
    assertThat(RenewalCost.at(age, weibull(shape, scale), mean, planned, failed))
        .isCloseTo(rate, within(1e-6));
  }

  @ParameterizedTest
  @CsvSource({"1, 100", "0.8, 100", "2.5, 300"})
  void whereAgeSaysNothingOrAFailureCostsNoMoreItRunsUntilItFails(double shape, double failed) {
    RenewalCost best = RenewalCost.best(weibull(shape, 1000), mean(shape, 1000), 300, failed);
    assertThat(best.age()).isInfinite();
    assertThat(best.failures()).isEqualTo(1);
  }

  @Property
  void noAgeIsCheaperThanTheBest(
      @ForAll @DoubleRange(min = 1.2, max = 4) double shape,
      @ForAll @DoubleRange(min = 1, max = 30) double ratio,
      @ForAll @DoubleRange(min = 0.05, max = 3) double at) {
    double mean = mean(shape, 1000);
    RenewalCost best = RenewalCost.best(weibull(shape, 1000), mean, 100, 100 * ratio);
    assertThat(RenewalCost.at(at * mean, weibull(shape, 1000), mean, 100, 100 * ratio))
        .isGreaterThanOrEqualTo(best.rate() * 0.9995);
  }
}
