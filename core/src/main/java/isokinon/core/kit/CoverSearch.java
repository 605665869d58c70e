package isokinon.core.kit;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;

/**
 * The covering integer programme behind {@link KitCover}, by branch and bound.
 *
 * <p>Branches on how many of one offer are bought: always an offer for the part that fewest offers
 * are left for, so that a part with one offer left forces its count. Bound: a price for each
 * missing part such that no offer's contents are worth more than the offer costs; by weak duality
 * the need at those prices never exceeds what it must cost. At most {@value #MOST_NODES}
 * branchings.
 */
final class CoverSearch {

  static final int MOST_NODES = 200_000;

  private final int[] need;
  private final int[][] holds;
  private final double[] price;
  private final boolean[] closed;
  private final int[] counts;
  private int[] best;
  private double bestCost = Double.POSITIVE_INFINITY;
  private int nodes;

  CoverSearch(Map<String, Integer> missing, List<Offer> offers) {
    List<String> parts = new ArrayList<>(missing.keySet());
    need = parts.stream().mapToInt(missing::get).toArray();
    holds = new int[offers.size()][need.length];
    price = new double[offers.size()];
    closed = new boolean[offers.size()];
    counts = new int[offers.size()];
    // A hair on every piece settles ties for fewer pieces without touching real prices.
    double hair = 1e-7 * Math.max(1, offers.stream().mapToDouble(Offer::price).max().orElse(0));
    for (int i = 0; i < offers.size(); i++) {
      price[i] = offers.get(i).price() + hair;
      for (int p = 0; p < need.length; p++) {
        holds[i][p] = offers.get(i).parts().getOrDefault(parts.get(p), 0);
      }
    }
    best = new int[offers.size()];
  }

  /** How many of each offer; every part must be in at least one of them. */
  int[] cheapest() {
    search(need, 0);
    return best;
  }

  boolean proved() {
    return nodes <= MOST_NODES;
  }

  private void search(int[] missing, double cost) {
    if (cost + atLeast(missing) >= bestCost - 1e-12
        || (++nodes > MOST_NODES && bestCost < Double.POSITIVE_INFINITY)) {
      return;
    }
    int part = scarcest(missing);
    if (part < 0) {
      bestCost = cost;
      best = counts.clone();
      return;
    }
    int offer = cheapestFor(part);
    if (offer < 0) {
      return;
    }
    closed[offer] = true;
    for (int count = most(offer, missing); count >= 0; count--) {
      counts[offer] = count;
      int[] left = missing.clone();
      for (int p = 0; p < left.length; p++) {
        left[p] = Math.max(0, left[p] - count * holds[offer][p]);
      }
      search(left, cost + count * price[offer]);
    }
    counts[offer] = 0;
    closed[offer] = false;
  }

  /** The missing part with fewest offers left; -1 where nothing is missing. */
  private int scarcest(int[] missing) {
    int found = -1;
    int fewest = Integer.MAX_VALUE;
    for (int p = 0; p < missing.length; p++) {
      int left = missing[p] > 0 ? offersFor(p) : Integer.MAX_VALUE;
      if (left < fewest) {
        fewest = left;
        found = p;
      }
    }
    return found;
  }

  private int offersFor(int part) {
    int open = 0;
    for (int o = 0; o < price.length; o++) {
      open += !closed[o] && holds[o][part] > 0 ? 1 : 0;
    }
    return open;
  }

  private int cheapestFor(int part) {
    int found = -1;
    for (int o = 0; o < price.length; o++) {
      if (!closed[o]
          && holds[o][part] > 0
          && (found < 0 || price[o] / holds[o][part] < price[found] / holds[found][part])) {
        found = o;
      }
    }
    return found;
  }

  /** More of an offer than this only adds leftovers. */
  private int most(int offer, int[] missing) {
    int most = 0;
    for (int p = 0; p < missing.length; p++) {
      if (holds[offer][p] > 0) {
        most = Math.max(most, (missing[p] + holds[offer][p] - 1) / holds[offer][p]);
      }
    }
    return most;
  }

  private double atLeast(int[] missing) {
    double[] room = price.clone();
    double bound = 0;
    Integer[] order = new Integer[missing.length];
    Arrays.setAll(order, p -> p);
    int[] offers = new int[missing.length];
    Arrays.setAll(offers, this::offersFor);
    Arrays.sort(order, java.util.Comparator.comparingInt(p -> offers[p]));
    for (int p : order) {
      if (missing[p] > 0) {
        double worth = Double.POSITIVE_INFINITY;
        for (int o = 0; o < room.length; o++) {
          if (!closed[o] && holds[o][p] > 0) {
            worth = Math.min(worth, room[o] / Math.min(holds[o][p], missing[p]));
          }
        }
        if (worth == Double.POSITIVE_INFINITY) {
          return worth;
        }
        bound += worth * missing[p];
        for (int o = 0; o < room.length; o++) {
          room[o] -= worth * Math.min(holds[o][p], missing[p]);
        }
      }
    }
    return bound;
  }
}
