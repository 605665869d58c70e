package isokinon.core.renewal;

import isokinon.core.life.Survival;
import isokinon.core.value.Code;
import isokinon.core.value.Range;
import java.util.Optional;

/**
 * When to change a part by age alone, and whether that pays.
 *
 * @param bestAge cheapest age, in the unit of the life; empty where no age pays
 * @param bestRate cost for each unit of age at it; empty where no age pays
 * @param runToFailureRate cost for each unit of age of running until it fails
 * @param advice what to do
 */
public record Interval(
    Optional<Double> bestAge, Optional<Double> bestRate, double runToFailureRate, Advice advice) {

  /** What to do. */
  public enum Advice implements Code {
    FIXED_INTERVAL,
    RUN_TO_FAILURE,
    HARDLY_MATTERS
  }

  /**
   * The interval of a life.
   *
   * @param plannedCost of changing it sound, over 0
   * @param failureCost of a failure: lost production, clean-up and what it spoils, not the kit
   *     alone
   * @param harms whether a failure harms people or the environment: it is never run to failure then
   * @throws IllegalArgumentException naming the value that is out of range
   */
  public static Interval of(Survival life, double plannedCost, double failureCost, boolean harms) {
    Range.check("plannedCost", plannedCost, 1e-9, 1e12);
    Range.check("failureCost", failureCost, 1e-9, 1e12);
    RenewalCost best = RenewalCost.best(life, plannedCost, failureCost);
    double atFailure = RenewalCost.at(Double.POSITIVE_INFINITY, life, plannedCost, failureCost);
    boolean pays = !Double.isInfinite(best.age()) && failureCost > plannedCost;
    double saved = (atFailure - best.rate()) / atFailure;
    Advice advice =
        harms
            ? Advice.FIXED_INTERVAL
            : !pays
                ? Advice.RUN_TO_FAILURE
                : saved < Policies.MATTERS ? Advice.HARDLY_MATTERS : Advice.FIXED_INTERVAL;
    return new Interval(
        pays ? Optional.of(best.age()) : Optional.empty(),
        pays ? Optional.of(best.rate()) : Optional.empty(),
        atFailure,
        advice);
  }
}
