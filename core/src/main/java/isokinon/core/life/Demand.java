package isokinon.core.life;

import isokinon.core.life.frailty.WeibullMixture.ScaleBelief;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.apache.commons.statistics.distribution.NormalDistribution;

/**
 * How many kits will be asked for within a time: the posterior predictive of renewals and failures.
 *
 * <p>Lives of one group are not known exactly, and what is not known of them is mostly the same, so
 * their failures come together more often than by chance alone: at each of a row of even quantiles
 * of the scale every set is a renewal process of its own, and the rows are averaged. That one pump
 * may last longer while another lasts shorter is left out, which errs to the side of more kits.
 * Groups are independent. Times are cut into steps; cost steps for each renewal, set and life, and
 * steps² for each renewal and life.
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

  /** Ln scales are told apart by so much: sets that are nearly alike are reckoned together. */
  private static final double ROUNDED = 0.05;

  private static final double[] NORMAL =
      IntStream.range(0, LIVES)
          .mapToDouble(
              i -> NormalDistribution.of(0, 1).inverseCumulativeProbability((i + 0.5) / LIVES))
          .toArray();

  /**
   * A set that runs now.
   *
   * @param life what is believed of it and of those after it
   * @param age of it, in the unit of the life
   * @param ahead how much older it gets in the time, in the same unit
   * @param renewAt age at which it and those after it are renewed sound; infinite where they run
   *     until they fail
   */
  public record Running(ScaleBelief life, double age, double ahead, double renewAt) {

    private Running rounded() {
      return new Running(
          new ScaleBelief(life.shape(), round(life.logScale()), round(life.spread())),
          age,
          ahead,
          renewAt);
    }

    private static double round(double v) {
      return Math.rint(v / ROUNDED) * ROUNDED;
    }

    /** λ = scale^-shape at one of the quantiles. */
    private double perPower(int quantile) {
      return Math.exp(-life.shape() * (life.logScale() + life.spread() * NORMAL[quantile]));
    }
  }

  /** What the sets of one group ask for. */
  public static Demand of(List<Running> sets) {
    Map<Running, Integer> alike = new LinkedHashMap<>();
    sets.forEach(s -> alike.merge(s.rounded(), 1, Integer::sum));
    List<Grid> grids = alike.keySet().stream().map(Grid::of).toList();
    List<Integer> many = List.copyOf(alike.values());
    List<Counts> asked =
        IntStream.range(0, LIVES).parallel().mapToObj(i -> asked(i, grids, many)).toList();
    double[] mean = new double[asked.stream().mapToInt(Counts::end).max().orElse(1)];
    for (Counts c : asked) {
      for (int i = 0; i < c.chances().length; i++) {
        mean[c.first() + i] += c.chances()[i] / LIVES;
      }
    }
    return new Demand(Arrays.stream(mean).boxed().toList());
  }

  /**
   * The points of time of one set, as powers of the age: the hazard of a Weibull is its age to the
   * power of the shape, and every life that is left open of one set has the same shape.
   *
   * @param renewed steps until it is renewed sound
   * @param aged age^shape at each point, the age of the set at the first
   * @param fresh the same of a set that follows it
   * @param atRenewal renewAt^shape
   */
  private record Grid(
      Running set, double renewed, double[] aged, double[] fresh, double atRenewal) {

    private static Grid of(Running s) {
      double shape = s.life().shape();
      double step = s.ahead() / STEPS;
      double[] aged = new double[STEPS + 2];
      double[] fresh = new double[STEPS + 2];
      for (int i = 0; s.ahead() > 0 && i < aged.length; i++) {
        aged[i] = Math.pow(s.age() + i * step, shape);
        fresh[i] = Math.pow(i * step, shape);
      }
      return new Grid(
          s,
          Math.max(0, s.renewAt() - s.age()) / step,
          aged,
          fresh,
          Math.pow(Math.max(s.age(), s.renewAt()), shape));
    }
  }

  /** What follows a set that was renewed depends on these alone. */
  private record Following(double perPower, double shape, double ahead, double renewAt) {}

  private static Counts asked(int quantile, List<Grid> grids, List<Integer> many) {
    Map<Following, Followers> following = new HashMap<>();
    Counts all = Counts.NONE;
    for (int g = 0; g < grids.size(); g++) {
      Grid grid = grids.get(g);
      if (grid.set().ahead() > 0) {
        double perPower = grid.set().perPower(quantile);
        Followers after =
            following.computeIfAbsent(
                new Following(
                    perPower, grid.set().life().shape(), grid.set().ahead(), grid.set().renewAt()),
                k -> new Followers(freshEnds(perPower, grid)));
        double[] first = ends(perPower, grid.aged(), grid.renewed(), grid.atRenewal());
        all = all.and(new Counts(0, renewals(first, after)).times(many.get(g)));
      }
    }
    return all;
  }

  private static double[] freshEnds(double perPower, Grid grid) {
    double step = grid.set().ahead() / STEPS;
    double renewAt = grid.set().renewAt();
    return ends(perPower, grid.fresh(), renewAt / step, grid.atRenewal());
  }

  /**
   * How soon sets that follow one another have all ended; worked out once for all sets that are
   * followed by the same.
   */
  private static final class Followers {

    private final double[] fresh;
    private final List<double[]> within = new ArrayList<>();
    private double[] ends;

    Followers(double[] fresh) {
      this.fresh = fresh;
      ends = new double[STEPS + 1];
      ends[0] = 1;
      within.add(soFar(ends));
    }

    /** Chance that so many sets, one after another, have ended by each point of time. */
    double[] within(int sets) {
      while (within.size() <= sets) {
        double[] next = new double[STEPS + 1];
        for (int i = 0; i <= STEPS; i++) {
          for (int j = 0; ends[i] > 0 && i + j <= STEPS; j++) {
            next[i + j] += ends[i] * fresh[j];
          }
        }
        ends = next;
        within.add(soFar(ends));
      }
      return within.get(sets);
    }

    private static double[] soFar(double[] chances) {
      double[] sums = chances.clone();
      for (int i = 1; i < sums.length; i++) {
        sums[i] += sums[i - 1];
      }
      return sums;
    }
  }

  /**
   * Chances of 0, 1, 2, ... renewals of one set and those that follow it.
   *
   * @param first when the set ends
   */
  private static double[] renewals(double[] first, Followers after) {
    double[] atLeast = new double[MOST_RENEWALS + 2];
    atLeast[0] = 1;
    int most = 0;
    for (int k = 1; k <= MOST_RENEWALS; k++) {
      double[] within = after.within(k - 1);
      double sum = 0;
      for (int i = 0; i <= STEPS; i++) {
        sum += first[i] * within[STEPS - i];
      }
      atLeast[k] = sum;
      if (sum < HARDLY) {
        break;
      }
      most = k;
    }
    double[] chances = new double[most + 1];
    for (int k = 0; k <= most; k++) {
      chances[k] = atLeast[k] - (k < most ? atLeast[k + 1] : 0);
    }
    return chances;
  }

  /**
   * Chance that a set ends, failed or renewed, at each point of the grid; what ends between two
   * points goes to both, so that mean times are kept.
   *
   * @param powers age^shape at each point
   * @param renewed steps until it is renewed sound
   * @param atRenewal renewAt^shape
   */
  private static double[] ends(double perPower, double[] powers, double renewed, double atRenewal) {
    double[] ends = new double[STEPS + 1];
    double left = 1;
    for (int i = 0; i <= STEPS && i < renewed; i++) {
      double to = Math.min(i + 1, renewed);
      double then = to < i + 1 ? atRenewal : powers[i + 1];
      double lasts = Math.exp((powers[0] - then) * perPower);
      put(ends, (i + to) / 2, left - lasts);
      left = lasts;
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

  /**
   * Chances of {@code first}, first + 1, ... pieces; fewer and more are left out, where no decision
   * can rest on them: of a thousand sets nearly all of them.
   */
  private record Counts(int first, double[] chances) {

    static final Counts NONE = new Counts(0, new double[] {1});

    int end() {
      return first + chances.length;
    }

    Counts and(Counts other) {
      double[] both = new double[chances.length + other.chances.length - 1];
      for (int i = 0; i < chances.length; i++) {
        for (int j = 0; j < other.chances.length; j++) {
          both[i + j] += chances[i] * other.chances[j];
        }
      }
      int from = 0;
      while (from < both.length - 1 && both[from] < NEVER) {
        from++;
      }
      int to = both.length;
      while (to > from + 1 && both[to - 1] < NEVER) {
        to--;
      }
      return new Counts(first + other.first + from, Arrays.copyOfRange(both, from, to));
    }

    /** So many sets alike, each by itself. */
    Counts times(int sets) {
      Counts all = NONE;
      Counts power = this;
      for (int left = sets; left > 0; left /= 2) {
        all = left % 2 == 1 ? all.and(power) : all;
        power = left > 1 ? power.and(power) : power;
      }
      return all;
    }
  }

  /** What this and another group ask for together. */
  public Demand and(Demand other) {
    Counts both = new Counts(0, array(chances)).and(new Counts(0, array(other.chances)));
    double[] all = new double[both.end()];
    System.arraycopy(both.chances(), 0, all, both.first(), both.chances().length);
    return new Demand(Arrays.stream(all).boxed().toList());
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
