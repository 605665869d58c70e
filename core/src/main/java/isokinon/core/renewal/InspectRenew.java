package isokinon.core.renewal;

import isokinon.core.value.Range;

/**
 * Looking at a part now and then and renewing it on sight of warning, by the delay-time model: a
 * warning comes at rate 1/m, and the part fails an exponential delay of mean d after it.
 *
 * <p>For looks τ apart, with n = e^(-τ/m) the chance of no warning, f that of a failure before the
 * look and w = 1 - n - f that of a warning found by it, the cost rate is [Ci(n + w) + Cp·w + Cf·f]
 * / E[min(warning + delay, τ)]. Renewal reward theorem.
 *
 * @param every best time between looks, in the unit of the life; infinite where looking does not
 *     pay
 * @param rate cost for each unit of age at it
 * @param failures failures for each unit of age
 * @param renewals renewals on sight for each unit of age
 */
public record InspectRenew(double every, double rate, double failures, double renewals) {

  private static final int STEPS = 200;

  /** Looks further apart than this many mean lives are no looks. */
  private static final double REACH = 3;

  /**
   * How a part warns.
   *
   * @param meanToWarning m, mean age at the first sign, over 0
   * @param meanDelay d, mean age from the first sign to failure, over 0
   */
  public record Warning(double meanToWarning, double meanDelay) {

    /**
     * A warning.
     *
     * @throws IllegalArgumentException naming the value that is out of range
     */
    public Warning {
      Range.check("meanToWarning", meanToWarning, 1e-9, 1e15);
      Range.check("meanDelay", meanDelay, 1e-9, 1e15);
    }

    /** Chance of no warning within {@code time}. */
    double none(double time) {
      return Math.exp(-time / meanToWarning);
    }

    /** Chance of warning and failure within {@code time}: a sum of two exponentials. */
    double failed(double time) {
      double m = meanToWarning;
      double d = meanDelay;
      if (Math.abs(m - d) < 1e-6 * m) {
        return 1 - Math.exp(-time / m) * (1 + time / m);
      }
      return 1 - (m * Math.exp(-time / m) - d * Math.exp(-time / d)) / (m - d);
    }

    /** Mean time run up to {@code time}: ∫0..time of one less the chance of having failed. */
    double lived(double time) {
      double m = meanToWarning;
      double d = meanDelay;
      if (Math.abs(m - d) < 1e-6 * m) {
        return 2 * m - Math.exp(-time / m) * (2 * m + time);
      }
      return (m * m * -Math.expm1(-time / m) - d * d * -Math.expm1(-time / d)) / (m - d);
    }
  }

  /** Costs: of a look, of a renewal on sight, of a failure; all over 0. */
  public record Costs(double look, double planned, double failed) {}

  /** Cost rate of looks {@code every} apart. */
  public static double rate(double every, Warning w, Costs c) {
    double none = w.none(every);
    double failed = w.failed(every);
    double found = 1 - none - failed;
    return (c.look() * (none + found) + c.planned() * found + c.failed() * failed) / w.lived(every);
  }

  /** The cheapest time between looks: the lowest of a grid in ratio, then golden section. */
  public static InspectRenew best(Warning w, Costs c) {
    double reach = REACH * (w.meanToWarning() + w.meanDelay());
    double ratio = Math.pow(1e-3, -1.0 / STEPS);
    double at = Double.POSITIVE_INFINITY;
    double least = c.failed() / (w.meanToWarning() + w.meanDelay());
    for (double every = reach * 1e-3; every < reach; every *= ratio) {
      double rate = rate(every, w, c);
      if (rate < least) {
        least = rate;
        at = every;
      }
    }
    if (Double.isInfinite(at)) {
      return new InspectRenew(at, least, 1 / (w.meanToWarning() + w.meanDelay()), 0);
    }
    return at(
        RenewalCost.minimum(t -> rate(t, w, c), at / ratio, Math.min(reach, at * ratio)), w, c);
  }

  /** The policy of looks {@code every} apart. */
  public static InspectRenew at(double every, Warning w, Costs c) {
    double lived = w.lived(every);
    double failed = w.failed(every);
    return new InspectRenew(
        every, rate(every, w, c), failed / lived, (1 - w.none(every) - failed) / lived);
  }
}
