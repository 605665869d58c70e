package isokinon.core.renewal;

import isokinon.core.life.Weibull;
import isokinon.core.life.frailty.WeibullMixture;
import java.util.Optional;

/**
 * How sure the best age is: where it lies eight times in ten, over what is believed of the life. Of
 * each life that is left open the best age goes with the scale.
 *
 * @param low age under which it lies one time in ten
 * @param high age over which it lies one time in ten
 */
public record BestAgeBand(double low, double high) {

  private static final double TENTH = 0.1;

  /** The band; empty where no age pays more often than one time in ten. */
  public static Optional<BestAgeBand> of(WeibullMixture life, double planned, double failed) {
    double high = at(life, planned, failed, 1 - TENTH);
    return Double.isInfinite(high)
        ? Optional.empty()
        : Optional.of(new BestAgeBand(at(life, planned, failed, TENTH), high));
  }

  private static double at(WeibullMixture life, double planned, double failed, double probability) {
    return life.quantileOfAge(
        shape -> RenewalCost.best(new Weibull(shape, 1), planned, failed).age(), probability);
  }
}
