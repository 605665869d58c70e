package isokinon.core.life;

import isokinon.core.value.Code;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.commons.statistics.distribution.NormalDistribution;

/**
 * The life of parts of one group: the posterior with the shape of the failure mode while failures
 * are few, the likelihood once there are five and they exclude that shape.
 *
 * @param posterior library and runs together
 * @param fit the likelihood alone; empty under two different ages of failure
 * @param shown which of them is believed
 * @param runs how many runs, those that still run among them
 * @param failures how many of them failed
 */
public record LifeEstimate(
    WeibullPosterior posterior, Optional<WeibullFit> fit, Shown shown, int runs, int failures)
    implements Survival {

  /** Failures from which on the likelihood may stand alone. */
  public static final int ENOUGH_FAILURES = 5;

  /** Under so many failures the library's word carries the estimate. */
  private static final int FEWEST_FAILURES = 2;

  /** Which of the two is believed. */
  public enum Shown implements Code {
    POSTERIOR,
    LIKELIHOOD
  }

  /**
   * What the runs of a group say, summed up once for every part they bear on.
   *
   * @param sum for the posterior, with the shape of the failure mode
   * @param fit the likelihood; empty under two different ages of failure
   */
  public record Evidence(
      WeibullPosterior.Evidence sum, Optional<WeibullFit> fit, int runs, int failures) {

    /**
     * The evidence of {@code runs}.
     *
     * @param shape of the failure mode
     */
    public static Evidence of(double shape, List<Run> runs) {
      int failures = 0;
      double first = Double.NaN;
      boolean different = false;
      for (Run r : runs) {
        if (r.failed()) {
          failures++;
          different |= failures > 1 && r.age() != first;
          first = failures == 1 ? r.age() : first;
        }
      }
      return new Evidence(
          WeibullPosterior.Evidence.of(shape, runs),
          different ? Optional.of(WeibullFit.of(runs)) : Optional.empty(),
          runs.size(),
          failures);
    }

    /** The same with another shape of the failure mode, on which the likelihood does not rest. */
    public Evidence shaped(double shape, List<Run> of) {
      return new Evidence(WeibullPosterior.Evidence.of(shape, of), fit, runs, failures);
    }
  }

  /**
   * The estimate.
   *
   * @param priorMean the library's mean life, in the unit of the ages
   * @throws IllegalArgumentException where a value is out of range
   */
  public static LifeEstimate of(double priorMean, Evidence e) {
    double shape = e.sum().shape();
    boolean other =
        e.failures() >= ENOUGH_FAILURES
            && e.fit().filter(f -> shape < f.shapeLow() || shape > f.shapeHigh()).isPresent();
    return new LifeEstimate(
        WeibullPosterior.of(priorMean, WeibullPosterior.LIBRARY_STRENGTH, e.sum()),
        e.fit(),
        other ? Shown.LIKELIHOOD : Shown.POSTERIOR,
        e.runs(),
        e.failures());
  }

  /** The same from runs. */
  public static LifeEstimate of(double shape, double priorMean, List<Run> runs) {
    return of(priorMean, Evidence.of(shape, runs));
  }

  /** Whether the runs tell enough to be gone by; else it is the library that speaks. */
  public boolean tells() {
    return failures >= FEWEST_FAILURES;
  }

  /** The life that is believed. */
  public Survival life() {
    return shown == Shown.LIKELIHOOD
        ? fit.map(f -> (Survival) new Weibull(f.shape(), f.scale())).orElseThrow()
        : posterior;
  }

  /** The shape that is believed, no unit. */
  public double shape() {
    return shown == Shown.LIKELIHOOD ? fit.map(WeibullFit::shape).orElseThrow() : posterior.shape();
  }

  /** The scale under which what is believed puts {@code probability}, in the unit of the ages. */
  public double scale(double probability) {
    if (shown == Shown.POSTERIOR) {
      return posterior.scaleQuantile(probability);
    }
    WeibullFit f = fit.orElseThrow();
    double ofScale = Math.log(f.scaleHigh() / f.scale()) / KaplanMeier.Z90;
    return f.scale()
        * Math.exp(ofScale * NormalDistribution.of(0, 1).inverseCumulativeProbability(probability));
  }

  /**
   * Lives that the evidence leaves open, each as likely as the others: even quantiles of the scale
   * with the shape that is believed.
   */
  public List<Weibull> lives(int count) {
    List<Weibull> lives = new ArrayList<>(count);
    for (int i = 0; i < count; i++) {
      double probability = (i + 0.5) / count;
      lives.add(new Weibull(shape(), scale(probability)));
    }
    return lives;
  }

  @Override
  public double survival(double age) {
    return life().survival(age);
  }

  @Override
  public double lived(double age) {
    return life().lived(age);
  }

  @Override
  public double meanLife() {
    return life().meanLife();
  }

  @Override
  public double quantile(double probability) {
    return life().quantile(probability);
  }
}
