package isokinon.core.life;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.core.life.LifeEstimate.Shown;
import isokinon.core.renewal.BestAgeBand;
import isokinon.core.renewal.RenewalCost;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Which life is believed, and whether its intervals hold what they promise. */
class LifeEstimateTest {

  @ParameterizedTest
  @CsvSource({
    // six failures, but the fitted shape 3.29 may well be 2.5
    Runs.A + ", 2.5, POSTERIOR",
    // the same runs exclude a shape of 1
    Runs.A + ", 1.0, LIKELIHOOD",
    // four failures are too few, whatever they exclude
    "1000 1010 1020 1030 2000*, 1.0, POSTERIOR",
    "2040* 3300*, 2.5, POSTERIOR",
    "1000 1000 1000 1000 1000, 1.0, POSTERIOR"
  })
  void theRuleForWhichIsShown(String ages, double shape, Shown shown) {
    LifeEstimate life = LifeEstimate.of(shape, 3000, Runs.written(ages));
    assertThat(life.shown()).isEqualTo(shown);
    assertThat(life.survival(life.quantile(0.3))).isBetween(0.6999, 0.7001);
    assertThat(life.scale(0.05)).isLessThan(life.scale(0.5));
    assertThat(life.scale(0.5)).isLessThan(life.scale(0.95));
    assertThat(life.risk(1e9, 10)).isBetween(0.0, 1.0);
  }

  @Test
  void withNoRunsTheLibraryStands() {
    LifeEstimate life = LifeEstimate.of(2.5, 3000, List.of());
    assertThat(life.meanLife()).isBetween(2999.9, 3000.1);
    assertThat(life.fit()).isEmpty();
  }

  private record Covered(double fitShape, double fitScale, double posteriorScale) {}

  /**
   * How often the truth lies in the 90 % intervals, over drawn histories: of the likelihood where
   * it exists, of the posterior's scale with truths drawn from its own prior.
   */
  private static Covered coverage(int runs, int histories) {
    SplittableRandom random = new SplittableRandom(11);
    double shape = 2.5;
    double prior = 1000;
    int fits = 0;
    int shapeIn = 0;
    int scaleIn = 0;
    int posteriorIn = 0;
    WeibullPosterior before = WeibullPosterior.of(shape, prior, 2, List.of());
    for (int i = 0; i < histories; i++) {
      double scale = before.scaleQuantile(random.nextDouble(1e-9, 1));
      List<Run> seen = new ArrayList<>();
      for (int r = 0; r < runs; r++) {
        double fails = scale * Math.pow(-Math.log(1 - random.nextDouble()), 1 / shape);
        double changed = scale * (0.6 + 0.9 * random.nextDouble());
        seen.add(new Run(Math.min(fails, changed), fails < changed));
      }
      LifeEstimate life = LifeEstimate.of(shape, prior, seen);
      WeibullPosterior p = life.posterior();
      posteriorIn += scale >= p.scaleQuantile(0.05) && scale <= p.scaleQuantile(0.95) ? 1 : 0;
      if (life.fit().isPresent() && life.failures() >= LifeEstimate.ENOUGH_FAILURES) {
        WeibullFit f = life.fit().get();
        fits++;
        shapeIn += shape >= f.shapeLow() && shape <= f.shapeHigh() ? 1 : 0;
        scaleIn += scale >= f.scaleLow() && scale <= f.scaleHigh() ? 1 : 0;
      }
    }
    return new Covered(
        (double) shapeIn / fits, (double) scaleIn / fits, (double) posteriorIn / histories);
  }

  @ParameterizedTest
  @CsvSource({"12, 0.83", "30, 0.86", "100, 0.87"})
  void nineIntervalsInTenHoldTheTruth(int runs, double least) {
    Covered c = coverage(runs, 6000);
    System.out.printf(
        Locale.ROOT,
        "90 %% intervals over 6000 histories of %d runs: shape %.1f %%, scale %.1f %%"
            + " (likelihood); scale %.1f %% (posterior)%n",
        runs,
        100 * c.fitShape(),
        100 * c.fitScale(),
        100 * c.posteriorScale());
    assertThat(c.fitShape()).isBetween(least, 0.93);
    assertThat(c.fitScale()).isBetween(least, 0.93);
    assertThat(c.posteriorScale()).isBetween(0.88, 0.92);
  }

  @Test
  void theBandOfTheBestAgeNarrowsWithRuns() {
    SplittableRandom random = new SplittableRandom(3);
    double before = Double.POSITIVE_INFINITY;
    for (int runs : new int[] {0, 8, 60, 600}) {
      LifeEstimate life = LifeEstimate.of(2.5, 900, Runs.drawn(random, runs, 4));
      BestAgeBand band = BestAgeBand.of(life, 100, 900).orElseThrow();
      double best = RenewalCost.best(life.life(), 100, 900).age();
      assertThat(best).isBetween(band.low() * 0.9, band.high() * 1.1);
      assertThat(band.high() / band.low()).isLessThan(before);
      before = band.high() / band.low();
    }
  }
}
