package isokinon.core.life;

import java.util.Arrays;
import java.util.List;

/**
 * How many kits will be asked for within a time: the posterior predictive of renewals and failures.
 *
 * <p>Sets of one group share a life that is not known exactly, so their failures come together more
 * often than by chance alone: for each of a row of lives that the evidence leaves open the number
 * of failures is a sum of independent chances, and the rows are averaged. Groups are independent.
 * Each set is renewed once at most. Exact convolution, cost sets² for each life.
 *
 * @param chances of 0, 1, 2, ... kits
 */
public record Demand(List<Double> chances) {

  /** Nothing is asked for. */
  public static final Demand NONE = new Demand(List.of(1.0));

  private static final int LIVES = 32;

  /**
   * A set that runs now.
   *
   * @param age of it, in the unit of the life
   * @param ahead how much older it gets in the time, in the same unit
   * @param planned whether it is renewed in that time in any case
   */
  public record Running(double age, double ahead, boolean planned) {}

  /** What the sets of one group ask for. */
  public static Demand of(LifeEstimate life, List<Running> sets) {
    double[] mean = new double[sets.size() + 1];
    for (Weibull open : life.lives(LIVES)) {
      double[] one = {1};
      for (Running s : sets) {
        one = with(one, s.planned() ? 1 : open.risk(s.age(), s.ahead()));
      }
      for (int i = 0; i < one.length; i++) {
        mean[i] += one[i] / LIVES;
      }
    }
    return new Demand(Arrays.stream(mean).boxed().toList());
  }

  /** What this and another group ask for together. */
  public Demand and(Demand other) {
    double[] both = new double[chances.size() + other.chances.size() - 1];
    for (int i = 0; i < chances.size(); i++) {
      for (int j = 0; j < other.chances.size(); j++) {
        both[i + j] += chances.get(i) * other.chances.get(j);
      }
    }
    return new Demand(Arrays.stream(both).boxed().toList());
  }

  /** Expected number. */
  public double mean() {
    double mean = 0;
    for (int i = 0; i < chances.size(); i++) {
      mean += i * chances.get(i);
    }
    return mean;
  }

  /** The fewest pieces that are enough with a chance of at least {@code level}, 0 to under 1. */
  public int enough(double level) {
    if (!(level >= 0 && level < 1)) {
      throw new IllegalArgumentException("A service level is 0 to under 1; got " + level + ".");
    }
    double sum = 0;
    for (int i = 0; i < chances.size(); i++) {
      sum += chances.get(i);
      if (sum >= level - 1e-12) {
        return i;
      }
    }
    return chances.size() - 1;
  }

  private static double[] with(double[] before, double chance) {
    double[] after = new double[before.length + 1];
    for (int i = 0; i < before.length; i++) {
      after[i] += before[i] * (1 - chance);
      after[i + 1] += before[i] * chance;
    }
    return after;
  }
}
