package isokinon.core.life.frailty;

import java.util.Arrays;

/**
 * Gathers what is believed of the ln scale of one pump at one shape, and puts it on even steps: a
 * point between two of them goes to both, and the steps are drawn together by as much as that
 * widens, so that mean and standard deviation are kept.
 */
final class PumpAtoms {

  private static final double PER_DEVIATION = 2.5;

  private static final double REACH = 6;
  private static final double NOTHING = 1e-8;

  private double[] at = new double[1024];
  private double[] weight = new double[1024];
  private int points;

  void clear() {
    points = 0;
  }

  void add(double logScale, double w) {
    if (points == at.length) {
      at = Arrays.copyOf(at, 2 * points);
      weight = Arrays.copyOf(weight, 2 * points);
    }
    at[points] = logScale;
    weight[points++] = w;
  }

  /**
   * The gathered points on even steps.
   *
   * @param finer steps so many times as many
   * @return ln scales and their weights
   */
  double[][] onSteps(double finer) {
    double sum = 0;
    double moment = 0;
    for (int i = 0; i < points; i++) {
      sum += weight[i];
      moment += weight[i] * at[i];
    }
    if (sum < NOTHING) {
      return new double[][] {{}, {}};
    }
    double mean = moment / sum;
    double second = 0;
    for (int i = 0; i < points; i++) {
      second += weight[i] * (at[i] - mean) * (at[i] - mean);
    }
    double deviation = Math.sqrt(second / sum);
    if (deviation < 1e-9) {
      return new double[][] {{mean}, {sum}};
    }
    double step = deviation / (PER_DEVIATION * finer);
    double from = mean - REACH * deviation;
    int steps = (int) Math.ceil(2 * REACH * PER_DEVIATION * finer) + 1;
    double[] on = new double[steps + 1];
    for (int i = 0; i < points; i++) {
      double place = Math.min(steps - 1e-9, Math.max(0, (at[i] - from) / step));
      int point = (int) place;
      on[point] += weight[i] * (point + 1 - place);
      on[point + 1] += weight[i] * (place - point);
    }
    double widened = 0;
    for (int i = 0; i <= steps; i++) {
      double off = from + i * step - mean;
      widened += on[i] * off * off;
    }
    double together = deviation / Math.sqrt(widened / sum);
    int first = 0;
    int last = steps;
    while (on[first] < NOTHING && first < last) {
      first++;
    }
    while (on[last] < NOTHING && last > first) {
      last--;
    }
    double[][] made = {new double[last - first + 1], Arrays.copyOfRange(on, first, last + 1)};
    for (int i = first; i <= last; i++) {
      made[0][i - first] = mean + (from + i * step - mean) * together;
    }
    return made;
  }
}
