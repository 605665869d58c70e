package isokinon.core.schedule;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.function.LongSupplier;
import java.util.stream.IntStream;

/**
 * Places jobs: no rule broken, at least cost, around those that people have put somewhere.
 *
 * <p>The jobs are set in one after another, the one that loses most first, at prices of the hours
 * that tell how much they are wanted. Then one job at a time is put somewhere cheaper, those in its
 * way are set in anew, and what comes of it is kept where it costs less, early on also where it
 * costs a little more (simulated annealing over ruin and recreate, Schrimpf and others, 2000). The
 * search ends where it is proved best, where nothing better was found for long, or by the clock.
 */
public final class JobPlacer {

  /** So much of the time is spent on proving how good a placement can be at most. */
  private static final double FOR_THE_BOUND = 0.3;

  /** The search ends after so many changes for each job that made nothing better. */
  private static final int IN_VAIN = 3_000;

  /** A change for which more jobs give way is not tried. */
  private static final int MOST_IN_THE_WAY = 5;

  /**
   * At first a change may cost about so much of the average job more, a hundred times less at last.
   * Few jobs may lose all order and find it again; many have no time for it.
   */
  private static final double WARM_FEW = 2;

  private static final double WARMEST = 0.8;
  private static final double WARM_MANY = 0.01;
  private static final double COOLED = 0.01;

  private final Duration most;
  private final LongSupplier nanos;

  /**
   * Places jobs within a time.
   *
   * @param most longest search
   * @param nanos a clock that only goes forward, ns
   */
  public JobPlacer(Duration most, LongSupplier nanos) {
    this.most = most;
    this.nanos = nanos;
  }

  /** Places {@code jobs}; those that have nowhere to stand are left out. */
  public Placement place(List<Job> jobs, List<Fixture> fixtures) {
    Occupancy now = new Occupancy(jobs, fixtures);
    return new Search(jobs, now, nanos, most.toNanos()).run();
  }

  private static final class Search {

    private final List<Job> jobs;
    private final Occupancy now;
    private final HourPrices prices;
    private final LongSupplier nanos;
    private final long from;
    private final long time;
    private final SplittableRandom random = new SplittableRandom(1);
    private final int[] open;
    private long tried;

    Search(List<Job> jobs, Occupancy now, LongSupplier nanos, long time) {
      this.jobs = jobs;
      this.now = now;
      this.nanos = nanos;
      this.from = nanos.getAsLong();
      this.time = time;
      prices = new HourPrices(now, nanos);
      open =
          IntStream.range(0, now.jobs)
              .filter(j -> !now.pinned[j] && now.costs[j].length > 0)
              .toArray();
    }

    Placement run() {
      // By what is lost for each slot where it is not done, then at the prices of the hours.
      setIn(j -> -(now.unplaced[j] - now.costs[j][0]) / (double) now.slots[j]);
      polish();
      prices.raise(now.cost(), from + (long) (FOR_THE_BOUND * time));
      int[] first = now.at.clone();
      long cost = now.cost();
      if (cost > prices.atLeast()) {
        setIn(j -> -(now.unplaced[j] - leastPriced(j)) / now.slots[j]);
        polish();
        if (now.cost() > cost) {
          restore(first);
        }
      }
      boolean cut = improve();
      polish();
      Map<String, Opening> openings = new HashMap<>();
      for (int j = 0; j < now.jobs; j++) {
        Job job = jobs.get(j);
        if (now.pinned[j]) {
          openings.put(job.pump(), job.pinned().orElseThrow());
        } else if (now.at[j] != Occupancy.OUT) {
          openings.put(job.pump(), job.openings().get(now.at[j]));
        }
      }
      return new Placement(
          jobs, openings, now.cost(), Math.min(now.cost(), prices.atLeast()), tried, cut);
    }

    private interface Urgency {
      double of(int job);
    }

    private void setIn(Urgency first) {
      for (int j : open) {
        now.takeOut(j);
      }
      double[] urgency = new double[now.jobs];
      for (int j : open) {
        urgency[j] = first.of(j);
      }
      Arrays.stream(open)
          .boxed()
          .sorted(Comparator.comparingDouble((Integer j) -> urgency[j]).thenComparing(j -> j))
          .forEach(j -> now.put(j, now.cheapestFree(j, now.unplaced[j])));
    }

    private double leastPriced(int j) {
      double least = Double.POSITIVE_INFINITY;
      for (int o = 0; o < now.costs[j].length && now.costs[j][o] < least; o++) {
        least = Math.min(least, prices.priced(j, o));
      }
      return least;
    }

    private void restore(int[] at) {
      for (int j : open) {
        now.takeOut(j);
      }
      for (int j : open) {
        now.put(j, at[j]);
      }
    }

    /** Until no job alone stands cheaper elsewhere. */
    private void polish() {
      boolean better = true;
      while (better) {
        better = false;
        for (int j : open) {
          int there = now.cheapestFree(j, now.cost(j));
          if (there != Occupancy.OUT) {
            now.put(j, there);
            better = true;
          }
        }
      }
    }

    /** Tells whether the clock ended it. */
    private boolean improve() {
      long cost = now.cost();
      long best = cost;
      int[] bestAt = now.at.clone();
      long vain = 0;
      long enough = (long) IN_VAIN * (open.length + 10);
      double share = Math.max(WARM_MANY, Math.min(WARMEST, WARM_FEW / Math.max(1, open.length)));
      double warm = share * cost / Math.max(1, open.length);
      long begun = nanos.getAsLong();
      double left = Math.max(1, time - (begun - from));
      double gone = 0;
      while (best > prices.atLeast() && vain < enough && open.length > 0) {
        if (tried % 64 == 0) {
          gone = (nanos.getAsLong() - begun) / left;
          if (gone >= 1) {
            restore(bestAt);
            return true;
          }
        }
        tried++;
        vain++;
        // Cooled by the changes in vain as well: a small diary has settled long before the clock.
        double cooled = Math.max(gone, vain / (double) enough);
        cost += change(warm * Math.pow(COOLED, cooled));
        if (cost < best) {
          best = cost;
          System.arraycopy(now.at, 0, bestAt, 0, bestAt.length);
          vain = 0;
        }
      }
      restore(bestAt);
      return false;
    }

    /**
     * Puts one job somewhere cheaper; tells by how much all costs more now, 0 where it was left.
     */
    private long change(double warm) {
      int j = open[random.nextInt(open.length)];
      int limit = now.at[j] == Occupancy.OUT ? now.costs[j].length : now.at[j];
      if (limit == 0) {
        return 0;
      }
      int opening = random.nextInt(limit);
      List<Integer> way = now.inTheWay(j, opening);
      if (way.size() > MOST_IN_THE_WAY) {
        return 0;
      }
      long before = now.cost(j);
      for (int other : way) {
        if (now.pinned[other]) {
          return 0;
        }
        before += now.cost(other);
      }
      List<Integer> moved = new ArrayList<>(way);
      moved.add(j);
      int[] were = moved.stream().mapToInt(m -> now.at[m]).toArray();
      moved.forEach(now::takeOut);
      now.put(j, opening);
      long after = now.cost(j);
      way.sort(Comparator.comparingDouble(o -> -now.unplaced[o] / (double) now.slots[o]));
      if (way.size() > 1 && random.nextInt(3) == 0) {
        way.add(way.remove(0));
      }
      for (int other : way) {
        now.put(other, now.cheapestFree(other, now.unplaced[other]));
        after += now.cost(other);
      }
      if (after <= before - Math.log(random.nextDouble(1e-12, 1)) * warm) {
        return after - before;
      }
      moved.forEach(now::takeOut);
      for (int i = 0; i < were.length; i++) {
        now.put(moved.get(i), were[i]);
      }
      return 0;
    }
  }
}
