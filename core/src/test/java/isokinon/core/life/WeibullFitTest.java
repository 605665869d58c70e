package isokinon.core.life;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.SplittableRandom;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WeibullFitTest {

  private static final String A = Runs.A;
  private static final String B = Runs.B;

  @ParameterizedTest
  @CsvSource({A + ", 3.2919584, 3357.2586, -52.7145276", B + ", 4.7176582, 1138.7098, -29.890907"})
  void workedNumbers(String ages, double shape, double scale, double likelihood) {
    WeibullFit fit = WeibullFit.of(Runs.written(ages));
    assertThat(fit.shape()).isCloseTo(shape, Percentage.withPercentage(1e-4));
    assertThat(fit.scale()).isCloseTo(scale, Percentage.withPercentage(1e-4));
    assertThat(fit.logLikelihood()).isCloseTo(likelihood, within(1e-6));
    assertThat(shape).isBetween(fit.shapeLow(), fit.shapeHigh());
    assertThat(scale).isBetween(fit.scaleLow(), fit.scaleHigh());
  }

  private static double likelihood(List<Run> runs, double shape, double scale) {
    return runs.stream()
        .mapToDouble(
            r ->
                -Math.pow(r.age() / scale, shape)
                    + (r.failed()
                        ? Math.log(shape / scale) + (shape - 1) * Math.log(r.age() / scale)
                        : 0))
        .sum();
  }

  private static List<Run> random(int seed) {
    return Runs.drawn(new SplittableRandom(seed), 30, 2.2);
  }

  @Property(tries = 100)
  void theLikelihoodIsGreatestAtTheAnswer(@ForAll @IntRange(min = 1, max = 10_000) int seed) {
    List<Run> runs = random(seed);
    WeibullFit fit = WeibullFit.of(runs);
    double best = likelihood(runs, fit.shape(), fit.scale());
    assertThat(best).isCloseTo(fit.logLikelihood(), within(1e-7));
    for (double f : new double[] {0.98, 1.02}) {
      assertThat(likelihood(runs, fit.shape() * f, fit.scale())).isLessThan(best);
      assertThat(likelihood(runs, fit.shape(), fit.scale() * f)).isLessThan(best);
    }
  }

  @Test
  void theInformationIsTheCurvatureOfTheLikelihood() {
    List<Run> runs = Runs.written(A);
    WeibullFit fit = WeibullFit.of(runs);
    double h = 1e-4;
    double u = Math.log(fit.scale());
    double v = Math.log(fit.shape());
    double uu = -second(runs, u, v, h, 0);
    double vv = -second(runs, u, v, 0, h);
    double uv =
        -(at(runs, u + h, v + h)
                - at(runs, u + h, v - h)
                - at(runs, u - h, v + h)
                + at(runs, u - h, v - h))
            / (4 * h * h);
    double ofShape = KaplanMeier.Z90 * Math.sqrt(uu / (uu * vv - uv * uv));
    assertThat(fit.shapeHigh())
        .isCloseTo(fit.shape() * Math.exp(ofShape), Percentage.withPercentage(0.01));
  }

  private static double second(List<Run> runs, double u, double v, double hu, double hv) {
    double h = hu + hv;
    return (at(runs, u + hu, v + hv) - 2 * at(runs, u, v) + at(runs, u - hu, v - hv)) / (h * h);
  }

  private static double at(List<Run> runs, double logScale, double logShape) {
    return likelihood(runs, Math.exp(logShape), Math.exp(logScale));
  }

  @ParameterizedTest
  @CsvSource({"1000 2000*, 1", "1000* 2000*, 0", "1000 1000 1000, 1"})
  void tooFewFailuresAreSaid(String ages, int failures) {
    assertThatThrownBy(() -> WeibullFit.of(Runs.written(ages)))
        .isInstanceOf(WeibullFit.TooFew.class)
        .hasMessageContaining("there are " + failures);
  }

  @Test
  void theCurveWithoutAModel() {
    assertThat(KaplanMeier.of(Runs.written(A)))
        .extracting(KaplanMeier.Step::survival)
        .usingComparatorForType((x, y) -> Math.abs(x - y) < 1e-6 ? 0 : 1, Double.class)
        .containsExactly(0.9, 0.8, 0.685714, 0.571429, 0.457143, 0.0);
    assertThat(KaplanMeier.of(Runs.written(A)).get(5).low()).isEmpty();
    // Greenwood at 0.9 of ten: variance of ln(-ln S) is 1/(10·9)/ln²(0.9)
    double width = KaplanMeier.Z90 * Math.sqrt(1 / 90.0) / Math.abs(Math.log(0.9));
    assertThat(KaplanMeier.of(Runs.written(A)).get(0).low().orElseThrow())
        .isCloseTo(Math.pow(0.9, Math.exp(width)), within(1e-12));
  }

  @Property(tries = 100)
  void survivalNeverRisesAndLiesInItsBand(@ForAll @IntRange(min = 1, max = 10_000) int seed) {
    double before = 1;
    for (KaplanMeier.Step s : KaplanMeier.of(random(seed))) {
      assertThat(s.survival()).isLessThan(before);
      if (s.low().isPresent()) {
        assertThat(s.survival()).isBetween(s.low().get(), s.high().orElseThrow());
      }
      before = s.survival();
    }
  }

  @Property(tries = 100)
  void aPartThatMovedCountsOnce(@ForAll @IntRange(min = 1, max = 10_000) int seed) {
    SplittableRandom random = new SplittableRandom(seed);
    List<Run> runs = Runs.drawn(random, 30, 2.2);
    List<Run> stints = Runs.moved(random, runs);
    WeibullFit whole = WeibullFit.of(runs);
    WeibullFit moved = WeibullFit.of(stints);
    assertThat(moved.shape()).isCloseTo(whole.shape(), Percentage.withPercentage(1e-7));
    assertThat(moved.scale()).isCloseTo(whole.scale(), Percentage.withPercentage(1e-7));
    assertThat(moved.shapeHigh()).isCloseTo(whole.shapeHigh(), Percentage.withPercentage(1e-6));
    assertThat(moved.logLikelihood()).isCloseTo(whole.logLikelihood(), within(1e-6));
    assertThat(KaplanMeier.of(stints)).isEqualTo(KaplanMeier.of(runs));
    assertThat(WeibullPosterior.of(2.5, 900, 2, stints).b())
        .isCloseTo(WeibullPosterior.of(2.5, 900, 2, runs).b(), Percentage.withPercentage(1e-9));
  }

  @Test
  void thoseThatCameLaterJoinTheCountLater() {
    List<Run> runs =
        List.of(
            new Run(0, 700, true),
            new Run(0, 900, false),
            new Run(500, 1000, true),
            new Run(800, 1200, true));
    assertThat(KaplanMeier.of(runs))
        .extracting(KaplanMeier.Step::survival)
        .usingComparatorForType((x, y) -> Math.abs(x - y) < 1e-9 ? 0 : 1, Double.class)
        .containsExactly(2 / 3.0, 1 / 3.0, 0.0);
  }
}
