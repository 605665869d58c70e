package isokinon.core.life;

import java.util.List;
import org.apache.commons.numbers.gamma.LogGamma;
import org.apache.commons.numbers.gamma.RegularizedBeta;
import org.apache.commons.statistics.distribution.GammaDistribution;

/**
 * Life of a wear part: Weibull with the shape of its failure mode and a Gamma posterior on λ =
 * scale^-shape, so that few runs still give an honest answer.
 *
 * <p>With no runs the predictive mean is the library's mean life; every run, failed or taken out
 * sound (right-censored), adds to it. Predictive survival S(t) = (b / (b + t^shape))^a. Conjugate
 * Bayesian reliability, any textbook of it.
 *
 * @param shape Weibull shape, no unit
 * @param a pseudo-failures plus failures
 * @param b sum of age^shape, pseudo-age included
 */
public record WeibullPosterior(double shape, double a, double b) implements Survival {

  /** Strength of the library's word, in pseudo-failures. */
  public static final double LIBRARY_STRENGTH = 2;

  /**
   * From the library's mean life and this shop's runs.
   *
   * @param shape Weibull shape of the failure mode, over 0
   * @param priorMean the library's mean life, in the unit of the ages
   * @param strength pseudo-failures the library is worth; strength × shape over 1
   * @param runs failed and sound runs
   * @throws IllegalArgumentException where a value is out of range
   */
  public static WeibullPosterior of(
      double shape, double priorMean, double strength, List<Run> runs) {
    if (!(shape > 0) || !(priorMean > 0) || !(strength * shape > 1)) {
      throw new IllegalArgumentException(
          "Shape and mean must be over 0 and strength × shape over 1; got shape "
              + shape
              + ", mean "
              + priorMean
              + ", strength "
              + strength
              + ".");
    }
    double logB =
        shape
            * (Math.log(priorMean)
                + LogGamma.value(strength)
                - LogGamma.value(1 + 1 / shape)
                - LogGamma.value(strength - 1 / shape));
    double ages =
        runs.stream().mapToDouble(r -> Math.pow(r.age(), shape) - Math.pow(r.from(), shape)).sum();
    return new WeibullPosterior(
        shape, strength + runs.stream().filter(Run::failed).count(), Math.exp(logB) + ages);
  }

  /**
   * The Weibull scale below which the posterior puts {@code probability} of its weight.
   *
   * @param probability over 0 and under 1; 0.05, 0.5 and 0.95 make the usual band
   * @return scale, in the unit of the ages
   */
  public double scaleQuantile(double probability) {
    double lambda = GammaDistribution.of(a, 1 / b).inverseSurvivalProbability(probability);
    return Math.pow(lambda, -1 / shape);
  }

  @Override
  public double survival(double age) {
    return Math.pow(b / (b + Math.pow(Math.max(0, age), shape)), a);
  }

  /** By the incomplete Beta function, with x = t^shape/(b + t^shape). */
  @Override
  public double lived(double age) {
    double power = Math.pow(Math.max(0, age), shape);
    return meanLife() * RegularizedBeta.value(power / (b + power), 1 / shape, a - 1 / shape);
  }

  /** Mean of the predictive distribution, in the unit of the ages. */
  @Override
  public double meanLife() {
    return Math.exp(
        Math.log(b) / shape
            + LogGamma.value(1 + 1 / shape)
            + LogGamma.value(a - 1 / shape)
            - LogGamma.value(a));
  }

  @Override
  public double quantile(double probability) {
    return Math.pow(b * (Math.pow(1 - probability, -1 / a) - 1), 1 / shape);
  }
}
