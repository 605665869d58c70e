package isokinon.core.life.frailty;

import org.apache.commons.statistics.distribution.NormalDistribution;

/**
 * What is believed of one quantity: 5, 50 and 95 %.
 *
 * @param low under which it lies one time in twenty
 * @param median under which it lies every other time
 * @param high over which it lies one time in twenty
 */
public record Marginal(double low, double median, double high) {

  private static final NormalDistribution NORMAL = NormalDistribution.of(0, 1);
  private static final double LEAST = 1e-9;

  /** Of the end of a sum of even steps, by the slope there (Euler and Maclaurin). */
  static final double SLOPE = 24;

  /**
   * From weights on even steps over all that is believed.
   *
   * @param values rising
   * @param weights of them, which sum to 1
   */
  static Marginal of(double[] values, double[] weights) {
    double[] below = new double[values.length];
    double sum = 0;
    for (int i = 0; i < values.length; i++) {
      double before = i > 0 ? weights[i - 1] : 0;
      double after = i + 1 < values.length ? weights[i + 1] : 0;
      below[i] = score(sum + weights[i] / 2 - (after - before) / SLOPE);
      sum += weights[i];
    }
    return new Marginal(
        between(values, below, score(0.05)),
        between(values, below, score(0.5)),
        between(values, below, score(0.95)));
  }

  /**
   * From weights on even steps from 0 on, of a quantity that is as likely on the other side of 0.
   *
   * @param weights of them, which sum to 1; that of 0 is half of what stands there
   */
  static Marginal ofPositive(double[] values, double[] weights) {
    double[] below = new double[values.length];
    double sum = weights[0];
    for (int i = 1; i < values.length; i++) {
      double before = i > 1 ? weights[i - 1] : 2 * weights[0];
      double after = i + 1 < values.length ? weights[i + 1] : 0;
      below[i] = score((1 + sum + weights[i] / 2 - (after - before) / SLOPE) / 2);
      sum += weights[i];
    }
    return new Marginal(
        between(values, below, score((1 + 0.05) / 2)),
        between(values, below, score((1 + 0.5) / 2)),
        between(values, below, score((1 + 0.95) / 2)));
  }

  /** Between two points the chance is read on the normal scale, where a bell is a straight line. */
  private static double between(double[] values, double[] below, double at) {
    int i = 1;
    while (i < values.length - 1 && below[i] < at) {
      i++;
    }
    double share = (at - below[i - 1]) / (below[i] - below[i - 1]);
    return values[i - 1] + Math.min(1, Math.max(0, share)) * (values[i] - values[i - 1]);
  }

  private static double score(double probability) {
    return NORMAL.inverseCumulativeProbability(Math.min(1 - LEAST, Math.max(LEAST, probability)));
  }

  /** The same of what is {@code times} as much. */
  Marginal longer(double times) {
    return new Marginal(times * low, times * median, times * high);
  }
}
