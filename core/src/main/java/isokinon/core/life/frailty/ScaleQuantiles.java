package isokinon.core.life.frailty;

import java.util.Arrays;
import java.util.function.DoubleUnaryOperator;

/** Quantiles over a mixture of what goes with the ln scale of each of its lives. */
final class ScaleQuantiles {

  private static final int HALVINGS = 60;

  private final double[] shapes;
  private final double[][] logScales;
  private final double[][] weights;

  /** For each shape the chance of a ln scale under each step; behind them the whole weight. */
  private final double[][] cumulated;

  ScaleQuantiles(double[] shapes, double[][] logScales, double[][] weights) {
    this.shapes = shapes;
    this.logScales = logScales;
    this.weights = weights;
    this.cumulated = Arrays.stream(weights).map(ScaleQuantiles::cumulated).toArray(double[][]::new);
  }

  /**
   * Solves for y: the chance that the ln scale is under from(k) + y·by(k) is a probability. For
   * every shape that chance is known at even steps; between two of them it is a cubic with the
   * density as its slope.
   */
  double where(DoubleUnaryOperator from, DoubleUnaryOperator by, double probability) {
    double[] a = Arrays.stream(shapes).map(from).toArray();
    double[] b = Arrays.stream(shapes).map(by).toArray();
    double low = Double.POSITIVE_INFINITY;
    double high = Double.NEGATIVE_INFINITY;
    for (int i = 0; i < shapes.length; i++) {
      int last = logScales[i].length - 1;
      if (last >= 0 && !Double.isInfinite(a[i])) {
        double first = (logScales[i][0] - a[i]) / b[i];
        double other = (logScales[i][last] - a[i]) / b[i];
        low = Math.min(low, Math.min(first, other) - 1);
        high = Math.max(high, Math.max(first, other) + 1);
      }
    }
    boolean rises = b[0] > 0;
    if (rises && under(a, b, high) < probability) {
      return Double.POSITIVE_INFINITY;
    }
    for (int i = 0; i < HALVINGS && high - low > 1e-9; i++) {
      double middle = (low + high) / 2;
      if (under(a, b, middle) < probability == rises) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return (low + high) / 2;
  }

  private double under(double[] a, double[] b, double y) {
    double sum = 0;
    for (int i = 0; i < shapes.length; i++) {
      sum += under(i, a[i] + b[i] * y);
    }
    return sum;
  }

  /** Chance of a shape together with a ln scale under {@code x}. */
  private double under(int shape, double x) {
    double[] at = logScales[shape];
    int last = at.length - 1;
    if (last < 0 || x < at[0]) {
      return 0;
    }
    double[] w = weights[shape];
    double[] chances = cumulated[shape];
    if (x >= at[last]) {
      return chances[last + 1];
    }
    double step = (at[last] - at[0]) / last;
    int i = Math.min(last - 1, (int) ((x - at[0]) / step));
    double t = (x - at[i]) / step;
    double t2 = t * t;
    double t3 = t2 * t;
    return chances[i] * (2 * t3 - 3 * t2 + 1)
        + w[i] * (t3 - 2 * t2 + t)
        + chances[i + 1] * (3 * t2 - 2 * t3)
        + w[i + 1] * (t3 - t2);
  }

  private static double[] cumulated(double[] w) {
    double[] sums = new double[w.length + 1];
    double sum = 0;
    for (int i = 0; i < w.length; i++) {
      double slope = (i + 1 < w.length ? w[i + 1] : 0) - (i > 0 ? w[i - 1] : 0);
      sums[i] = sum + w[i] / 2 - slope / Marginal.SLOPE;
      sum += w[i];
    }
    sums[w.length] = sum;
    return sums;
  }
}
