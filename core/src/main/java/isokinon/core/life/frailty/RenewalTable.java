package isokinon.core.life.frailty;

import org.apache.commons.numbers.gamma.LogGamma;
import org.apache.commons.numbers.gamma.RegularizedGamma;

/**
 * How often a set of a Weibull life of scale 1 is renewed sound, and how often it fails, where it
 * is renewed at x or when it fails: exp(-x^k) and 1 - exp(-x^k), each by ∫0..x exp(-s^k) ds. Times
 * x both are smooth in ln x, and kept so at even steps. Made once for a shape.
 */
final class RenewalTable {

  private static final double FROM = -7;
  private static final double TO = 4;
  private static final double WIDEST = 0.03;

  /** A steep life falls within a step of one by its shape. */
  private static final double OF_STEEP = 0.25;

  private final double shape;
  private final double mean;
  private final double step;
  private final double[] renewals;
  private final double[] failures;

  RenewalTable(double shape) {
    this.shape = shape;
    mean = Math.exp(LogGamma.value(1 + 1 / shape));
    int steps = (int) Math.ceil((TO - FROM) / Math.min(WIDEST, OF_STEEP / shape));
    step = (TO - FROM) / steps;
    renewals = new double[steps + 1];
    failures = new double[steps + 1];
    double lived = mean * RegularizedGamma.P.value(1 / shape, Math.exp(shape * FROM));
    double before = integrand(FROM);
    for (int i = 0; i <= steps; i++) {
      double y = FROM + i * step;
      double hazard = Math.exp(shape * y);
      if (i > 0) {
        double here = integrand(y);
        lived += step / 6 * (before + 4 * integrand(y - step / 2) + here);
        before = here;
      }
      renewals[i] = Math.exp(y - hazard) / lived;
      failures[i] = -Math.expm1(-hazard) * Math.exp(y) / lived;
    }
  }

  private double integrand(double y) {
    return Math.exp(y - Math.exp(shape * y));
  }

  /** Mean life of scale 1. */
  double mean() {
    return mean;
  }

  /** x times the renewals for each unit of age at ln x. */
  double renewals(double y) {
    return y >= TO ? 0 : y <= FROM ? 1 : at(renewals, y);
  }

  /** x times the failures for each unit of age at ln x. */
  double failures(double y) {
    return y >= TO ? Math.exp(y) / mean : y <= FROM ? Math.exp(shape * y) : at(failures, y);
  }

  private double at(double[] table, double y) {
    double place = (y - FROM) / step;
    int i = Math.min(table.length - 2, (int) place);
    double share = place - i;
    return table[i] + share * (table[i + 1] - table[i]);
  }
}
