package isokinon.core.schedule;

import java.util.Arrays;
import java.util.function.LongSupplier;

/**
 * How little a placement could cost at the very least, and what an hour of each person is worth.
 *
 * <p>Lagrangian relaxation: two jobs may stand in one hour, but each pays a price for it, and the
 * prices are raised where too many want the same hour (subgradient steps by Polyak). Whatever the
 * prices, what all jobs then pay, less the prices themselves, is no more than any placement costs.
 * Fixtures and pairs are left out of it, which keeps the bound true and makes it lower. Fisher,
 * "The Lagrangian relaxation method for solving integer programming problems", 1981.
 */
final class HourPrices {

  private static final int PATIENCE = 8;
  private static final int HALVINGS = 60;
  private static final double SMALLEST_STEP = 0.005;

  private final Occupancy jobs;
  private final LongSupplier nanos;
  private final double[][] prices;
  private final double[][] upTo;
  private double atLeast;

  HourPrices(Occupancy jobs, LongSupplier nanos) {
    this.jobs = jobs;
    this.nanos = nanos;
    prices = new double[jobs.people()][jobs.end()];
    upTo = new double[jobs.people()][jobs.end() + 1];
  }

  /** No placement costs less, pence. */
  long atLeast() {
    // What a placement costs is a whole number of pence.
    return (long) Math.ceil(atLeast - 1e-6);
  }

  /**
   * Begins with one price for every hour that somebody could work, the one that makes the bound
   * highest: where there is more work than hours, that is most of it.
   */
  private void begin() {
    boolean[][] usable = new boolean[prices.length][jobs.end()];
    double dearest = 0;
    for (int j = 0; j < jobs.jobs; j++) {
      for (int o = 0; o < jobs.costs[j].length; o++) {
        int start = jobs.starts[j][o];
        Arrays.fill(usable[jobs.people[j][o]], start, start + jobs.slots[j], true);
      }
      if (jobs.costs[j].length > 0) {
        dearest = Math.max(dearest, (jobs.unplaced[j] - jobs.costs[j][0]) / (double) jobs.slots[j]);
      }
    }
    long hours = 0;
    for (boolean[] person : usable) {
      for (boolean hour : person) {
        hours += hour ? 1 : 0;
      }
    }
    double low = 0;
    double high = dearest;
    for (int i = 0; i < HALVINGS; i++) {
      double third = (high - low) / 3;
      if (atOnePrice(low + third, hours) < atOnePrice(high - third, hours)) {
        low += third;
      } else {
        high -= third;
      }
    }
    for (int p = 0; p < prices.length; p++) {
      for (int t = 0; t < prices[p].length; t++) {
        prices[p][t] = usable[p][t] ? low : 0;
      }
    }
  }

  private double atOnePrice(double price, long hours) {
    double paid = -price * hours;
    for (int j = 0; j < jobs.jobs; j++) {
      if (!jobs.pinned[j]) {
        // At one price for all, the cheapest opening stays the cheapest.
        paid +=
            jobs.costs[j].length == 0
                ? jobs.unplaced[j]
                : Math.min(jobs.unplaced[j], jobs.costs[j][0] + price * jobs.slots[j]);
      }
    }
    return paid;
  }

  /**
   * Raises the bound until it cannot be raised, it meets {@code cost}, or the time is over.
   *
   * @param cost of a placement that is known, pence
   * @param until moment of the clock, ns
   */
  void raise(long cost, long until) {
    double step = 1;
    int since = 0;
    begin();
    double[][] best = copy(prices);
    while (step > SMALLEST_STEP && nanos.getAsLong() - until < 0) {
      int[][] wanted = new int[prices.length][jobs.end()];
      double bound = pay(wanted);
      if (bound > atLeast + 1e-9) {
        atLeast = bound;
        best = copy(prices);
        since = 0;
      } else if (++since >= PATIENCE) {
        step /= 2;
        since = 0;
      }
      double square = 0;
      for (int p = 0; p < prices.length; p++) {
        for (int t = 0; t < wanted[p].length; t++) {
          int over = wanted[p][t] - 1;
          square += over > 0 || prices[p][t] > 0 ? (double) over * over : 0;
        }
      }
      if (square == 0 || atLeast() >= cost) {
        break;
      }
      double by = step * Math.max(1, cost - bound) / square;
      for (int p = 0; p < prices.length; p++) {
        for (int t = 0; t < wanted[p].length; t++) {
          prices[p][t] = Math.max(0, prices[p][t] + by * (wanted[p][t] - 1));
        }
      }
    }
    for (int p = 0; p < prices.length; p++) {
      prices[p] = best[p];
    }
    sumUp();
  }

  private static double[][] copy(double[][] of) {
    double[][] copy = new double[of.length][];
    for (int i = 0; i < of.length; i++) {
      copy[i] = of[i].clone();
    }
    return copy;
  }

  private void sumUp() {
    for (int p = 0; p < prices.length; p++) {
      for (int t = 0; t < prices[p].length; t++) {
        upTo[p][t + 1] = upTo[p][t] + prices[p][t];
      }
    }
  }

  /** What a job pays in an opening: its cost there and the prices of the hours. */
  double priced(int j, int opening) {
    double[] sums = upTo[jobs.people[j][opening]];
    int start = jobs.starts[j][opening];
    return jobs.costs[j][opening] + sums[start + jobs.slots[j]] - sums[start];
  }

  /**
   * Each job takes what is cheapest at these prices; {@code wanted} counts who wants which hour.
   */
  private double pay(int[][] wanted) {
    sumUp();
    double paid = 0;
    for (int j = 0; j < jobs.jobs; j++) {
      if (jobs.pinned[j]) {
        continue;
      }
      double least = jobs.unplaced[j];
      int where = Occupancy.OUT;
      long[] costs = jobs.costs[j];
      for (int o = 0; o < costs.length && costs[o] < least; o++) {
        double pays = priced(j, o);
        if (pays < least) {
          least = pays;
          where = o;
        }
      }
      paid += least;
      if (where != Occupancy.OUT) {
        int[] hours = wanted[jobs.people[j][where]];
        for (int t = 0; t < jobs.slots[j]; t++) {
          hours[jobs.starts[j][where] + t]++;
        }
      }
    }
    for (double[] sums : upTo) {
      paid -= sums[jobs.end()];
    }
    return paid;
  }
}
