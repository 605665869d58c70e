package isokinon.core.life;

import java.util.Arrays;
import java.util.List;

/**
 * How many kits will be asked for within a time: the posterior predictive of renewals and failures.
 *
 * <p>Sets of one group share a life that is not known exactly, so their failures come together more
 * often than by chance alone: for each of a row of lives that the evidence leaves open, every set
 * is a renewal process of its own, and the rows are averaged. Groups are independent. Times are cut
 * into steps; cost steps² for each renewal, set and life.
 *
 * @param chances of 0, 1, 2, ... kits
 */
public record Demand(List<Double> chances) {

  /** Nothing is asked for. */
  public static final Demand NONE = new Demand(List.of(1.0));

  private static final int LIVES = 16;
  private static final int STEPS = 64;
  private static final int MOST_RENEWALS = 24;
  private static final double HARDLY = 1e-7;

  /** A chance under this is none: a billion of them stay under a millionth. */
  private static final double NEVER = 1e-15;

  /**
   * A set that runs now.
   *
   * @param age of it, in the unit of the life
   * @param ahead how much older it gets in the time, in the same unit
   * @param renewAt age at which it and those after it are renewed sound; infinite where they run
   *     until they fail
   */
  public record Running(double age, double ahead, double renewAt) {}

  /** What the sets of one group ask for. */
  public static Demand of(LifeEstimate life, List<Running> sets) {
    double[] mean = {0};
    for (Weibull open : life.lives(LIVES)) {
      double[] all = {1};
      for (Running s : sets) {
        all = sum(all, renewals(open, s));
      }
      mean = Arrays.copyOf(mean, Math.max(mean.length, all.length));
      for (int i = 0; i < all.length; i++) {
        mean[i] += all[i] / LIVES;
      }
    }
    return new Demand(Arrays.stream(mean).boxed().toList());
  }

  /** Chances of 0, 1, 2, ... renewals of one set and those that follow it. */
  private static double[] renewals(Weibull life, Running s) {
    if (s.ahead() <= 0) {
      return new double[] {1};
    }
    double step = s.ahead() / STEPS;
    double[] when = ends(life, s.age(), s.renewAt(), step);
    double[] fresh = ends(life, 0, s.renewAt(), step);
    double[] atLeast = new double[MOST_RENEWALS + 2];
    atLeast[0] = 1;
    int most = 0;
    for (int k = 1; k <= MOST_RENEWALS; k++) {
      atLeast[k] = Arrays.stream(when).sum();
      if (atLeast[k] < HARDLY) {
        break;
      }
      most = k;
      double[] next = new double[STEPS + 1];
      for (int i = 0; i <= STEPS; i++) {
        for (int j = 0; when[i] > 0 && i + j <= STEPS; j++) {
          next[i + j] += when[i] * fresh[j];
        }
      }
      when = next;
    }
    double[] chances = new double[most + 1];
    for (int k = 0; k <= most; k++) {
      chances[k] = atLeast[k] - (k < most ? atLeast[k + 1] : 0);
    }
    return chances;
  }

  /**
   * Chance that a set of an age ends, failed or renewed, at each point of the grid; what ends
   * between two points goes to both, so that mean times are kept.
   */
  private static double[] ends(Weibull life, double age, double renewAt, double step) {
    double[] ends = new double[STEPS + 1];
    double renewed = Math.max(0, renewAt - age) / step;
    double left = 1;
    for (int i = 0; i <= STEPS && i < renewed; i++) {
      double to = Math.min(i + 1, renewed);
      double lost = left * life.risk(age + i * step, (to - i) * step);
      put(ends, (i + to) / 2, lost);
      left -= lost;
    }
    put(ends, renewed, left);
    return ends;
  }

  private static void put(double[] ends, double at, double chance) {
    if (at > STEPS + 1) {
      return;
    }
    int point = (int) at;
    double beyond = at - point;
    if (point <= STEPS) {
      ends[point] += chance * (1 - beyond);
    }
    if (point + 1 <= STEPS) {
      ends[point + 1] += chance * beyond;
    }
  }

  private static double[] sum(double[] a, double[] b) {
    double[] both = new double[a.length + b.length - 1];
    for (int i = 0; i < a.length; i++) {
      for (int j = 0; j < b.length; j++) {
        both[i + j] += a[i] * b[j];
      }
    }
    return withoutTail(both);
  }

  /**
   * Without the last chances that no decision can rest on: of a thousand sets nearly all of them,
   * and each is multiplied again for every set that follows.
   */
  private static double[] withoutTail(double[] chances) {
    int last = chances.length;
    while (last > 1 && chances[last - 1] < NEVER) {
      last--;
    }
    return last == chances.length ? chances : Arrays.copyOf(chances, last);
  }

  /** What this and another group ask for together. */
  public Demand and(Demand other) {
    return new Demand(Arrays.stream(sum(array(chances), array(other.chances))).boxed().toList());
  }

  private static double[] array(List<Double> values) {
    return values.stream().mapToDouble(v -> v).toArray();
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
}
