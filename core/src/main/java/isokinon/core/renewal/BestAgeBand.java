package isokinon.core.renewal;

import isokinon.core.life.KaplanMeier;
import isokinon.core.life.LifeEstimate;
import isokinon.core.life.Weibull;
import isokinon.core.life.WeibullFit;
import isokinon.core.life.WeibullPosterior;
import java.util.Arrays;
import java.util.Optional;
import java.util.SplittableRandom;

/**
 * How sure the best age is: where it lies eight times in ten, over what the runs leave open of the
 * life. Under the posterior the best age goes with the scale, so its quantiles do; under the
 * likelihood ln scale and ln shape are drawn from their normal distribution, with a fixed seed.
 *
 * @param low age under which it lies one time in ten
 * @param high age over which it lies one time in ten
 */
public record BestAgeBand(double low, double high) {

  private static final double TENTH = 0.1;
  private static final int DRAWS = 200;
  private static final long SEED = 20260301;

  /** The band; empty where no age pays more often than one time in ten. */
  public static Optional<BestAgeBand> of(LifeEstimate life, double planned, double failed) {
    return life.shown() == LifeEstimate.Shown.POSTERIOR
        ? ofPosterior(life.posterior(), planned, failed)
        : ofLikelihood(life.fit().orElseThrow(), planned, failed);
  }

  private static Optional<BestAgeBand> ofPosterior(
      WeibullPosterior p, double planned, double failed) {
    double ofScaleOne = RenewalCost.best(new Weibull(p.shape(), 1), planned, failed).age();
    return Double.isInfinite(ofScaleOne)
        ? Optional.empty()
        : Optional.of(
            new BestAgeBand(
                ofScaleOne * p.scaleQuantile(TENTH), ofScaleOne * p.scaleQuantile(1 - TENTH)));
  }

  private static Optional<BestAgeBand> ofLikelihood(WeibullFit fit, double planned, double failed) {
    double ofScale = Math.log(fit.scaleHigh() / fit.scale()) / KaplanMeier.Z90;
    double ofShape = Math.log(fit.shapeHigh() / fit.shape()) / KaplanMeier.Z90;
    double rest = Math.sqrt(1 - fit.correlation() * fit.correlation());
    SplittableRandom random = new SplittableRandom(SEED);
    double[] ages = new double[DRAWS];
    for (int i = 0; i < DRAWS; i++) {
      double z = random.nextGaussian();
      double zShape = fit.correlation() * z + rest * random.nextGaussian();
      Weibull drawn =
          new Weibull(
              fit.shape() * Math.exp(ofShape * zShape), fit.scale() * Math.exp(ofScale * z));
      ages[i] = RenewalCost.best(drawn, planned, failed).age();
    }
    Arrays.sort(ages);
    double high = ages[(int) (DRAWS * (1 - TENTH))];
    return Double.isInfinite(high)
        ? Optional.empty()
        : Optional.of(new BestAgeBand(ages[(int) (DRAWS * TENTH)], high));
  }
}
