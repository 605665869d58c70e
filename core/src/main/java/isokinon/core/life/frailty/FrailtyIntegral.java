package isokinon.core.life.frailty;

/**
 * What the runs of one pump say at one shape, its frailty integrated out. With u = ln scale of the
 * pump and z standard normal, u = e + σz, the runs have the likelihood exp(-kdu - A·exp(-ku)): d
 * failures, and A the sum of age^k over its runs. The integrand over z has one summit; even steps
 * of a share of its width walk from there to both sides until nothing is left.
 *
 * <p>One is used for pump after pump: the points of the last integral stay until the next.
 */
final class FrailtyIntegral {

  private static final int MOST_STEPS = 60;
  private static final int MOST_POINTS = 200;
  private static final double NOTHING = 1e-6;
  private static final double CLOSE = 1e-5;

  /** Beyond it an exponential is all or nothing. */
  private static final double MOST_LOG = 600;

  private static final double ROOT_TWO_PI = Math.sqrt(2 * Math.PI);

  private final double step;
  private final double[] at = new double[2 * MOST_POINTS + 1];
  private final double[] term = new double[2 * MOST_POINTS + 1];
  private int points;

  /** How many points lie above the summit: they come next after it, those below it last. */
  private int above;

  private double sum;

  /** How steep ln likelihood is in e, by its summit over z. */
  private double slope;

  /** How much it bends, under or at 0. */
  private double bend;

  /**
   * An integral.
   *
   * @param step in widths of the summit, over 0
   */
  FrailtyIntegral(double step) {
    this.step = step;
  }

  /**
   * Finds the summit over z.
   *
   * @return ln of the integral as if it were a bell (Laplace), or exactly where σ is 0
   */
  double summit(double shape, double sigma, double scale, int failures, double logAgeSum) {
    double log = logAgeSum - shape * scale;
    if (sigma == 0) {
      double sum = Math.exp(Math.min(MOST_LOG, log));
      slope = shape * (sum - failures);
      bend = -shape * shape * sum;
      return -shape * failures * scale - sum;
    }
    double y = Math.exp(summitAt(shape * sigma, log, failures));
    double z = shape * sigma * (y - failures);
    double narrow = 1 + shape * shape * sigma * sigma * y;
    slope = shape * (y - failures);
    bend = -shape * shape * y / narrow;
    return -z * z / 2 - shape * failures * (scale + sigma * z) - y - Math.log(narrow) / 2;
  }

  double slope() {
    return slope;
  }

  double bend() {
    return bend;
  }

  /**
   * Where z = kσ(y - failures) with y = sum·exp(-kσz). With v = ln y it is v + (kσ)²(exp(v) -
   * failures) = ln sum, rising and convex in v: Newton from the right of it comes down to it.
   *
   * @param log ln sum
   * @return ln y there
   */
  private static double summitAt(double steep, double log, int failures) {
    if (log < -MOST_LOG) {
      return log;
    }
    double square = steep * steep;
    double most = log + square * failures;
    double v = most <= 0 ? most : Math.min(most, Math.max(0, Math.log(most / square)));
    for (int i = 0; i < MOST_STEPS; i++) {
      double y = Math.exp(v);
      double move = (v + square * (y - failures) - log) / (1 + square * y);
      v -= move;
      if (Math.abs(move) < CLOSE) {
        break;
      }
    }
    return v;
  }

  /** Ln of the integral; its points are there to be read after it. */
  double integrate(double shape, double sigma, double scale, int failures, double logAgeSum) {
    double log = logAgeSum - shape * scale;
    if (sigma == 0) {
      points = 1;
      above = 0;
      at[0] = scale;
      term[0] = 1;
      sum = 1;
      return -shape * failures * scale - Math.exp(Math.min(MOST_LOG, log));
    }
    double steep = shape * sigma;
    double y = Math.exp(summitAt(steep, log, failures));
    double z = steep * (y - failures);
    double most = -z * z / 2 - steep * failures * z - y;
    double width = step / Math.sqrt(1 + steep * steep * y);
    double ratio = Math.exp(-steep * width);
    points = 0;
    sum = 0;
    put(scale + sigma * z, 1);
    walk(z, width, ratio, y, steep * failures, most, scale, sigma);
    above = points - 1;
    walk(z, -width, 1 / ratio, y, steep * failures, most, scale, sigma);
    return most + Math.log(sum * width / ROOT_TWO_PI) - shape * failures * scale;
  }

  private void walk(
      double from,
      double width,
      double ratio,
      double yFrom,
      double pull,
      double most,
      double scale,
      double sigma) {
    double z = from;
    double y = yFrom;
    for (int i = 0; i < MOST_POINTS; i++) {
      z += width;
      y *= ratio;
      double value = Math.exp(-z * z / 2 - pull * z - y - most);
      if (value < NOTHING) {
        return;
      }
      put(scale + sigma * z, value);
    }
  }

  private void put(double u, double value) {
    at[points] = u;
    term[points++] = value;
    sum += value;
  }

  /** How many points the last integral has. */
  int points() {
    return points;
  }

  /** Ln scale of the pump at a point. */
  double at(int point) {
    return at[point];
  }

  /** Share of a point in the integral. */
  double share(int point) {
    return term[point] / sum;
  }

  /**
   * Ln scale of the pump at a probability, 0 to 1, by the last integral; the weight of a point lies
   * evenly half a step to both sides of it.
   */
  double quantile(double probability) {
    if (points == 1) {
      return at[0];
    }
    double between = above > 0 ? at[1] - at[0] : at[0] - at[points - 1];
    double left = probability * sum;
    for (int i = 0; i < points - 1; i++) {
      int n = rising(i);
      if (left < term[n]) {
        return at[n] + (left / term[n] - 0.5) * between;
      }
      left -= term[n];
    }
    int last = rising(points - 1);
    return at[last] + (Math.min(1, left / term[last]) - 0.5) * between;
  }

  private int rising(int i) {
    int below = points - 1 - above;
    return i < below ? points - 1 - i : i - below;
  }
}
