package isokinon.core.schedule;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;

/**
 * A job to be placed.
 *
 * @param pump it is done on; no two jobs have the same
 * @param slots how long it takes
 * @param fixture it needs; empty where it needs none
 * @param pair pump that must not be out at the same time; empty where there is none
 * @param unplaced what it costs not to do it at all within the diary, pence
 * @param openings where it may stand, the cheapest first
 * @param costs what it costs in each of the openings, pence, not falling
 * @param pinned where a person put it; it stays there, even where it is no opening
 */
public record Job(
    String pump,
    int slots,
    String fixture,
    String pair,
    long unplaced,
    List<Opening> openings,
    long[] costs,
    Optional<Opening> pinned) {

  private static final int PLACE_BITS = 20;
  private static final long MOST_COST = Long.MAX_VALUE >> PLACE_BITS;

  /**
   * A job that may stand in each of {@code openings}, at the cost of the same place in the list.
   */
  public static Job of(
      String pump,
      int slots,
      String fixture,
      String pair,
      long unplaced,
      List<Opening> openings,
      long[] costs,
      Optional<Opening> pinned) {
    // Cost and place in one number: a thousand jobs have a million and a half openings to sort.
    long[] order = new long[costs.length];
    for (int i = 0; i < order.length; i++) {
      order[i] = Math.min(costs[i], MOST_COST) << PLACE_BITS | i;
    }
    Arrays.sort(order);
    List<Opening> cheapestFirst = new ArrayList<>(order.length);
    long[] sorted = new long[order.length];
    for (int i = 0; i < order.length; i++) {
      int place = (int) (order[i] & ((1L << PLACE_BITS) - 1));
      cheapestFirst.add(openings.get(place));
      sorted[i] = costs[place];
    }
    return new Job(pump, slots, fixture, pair, unplaced, cheapestFirst, sorted, pinned);
  }

  /** What it costs where it may stand; empty where that is none of its openings. */
  public OptionalLong cost(Opening there) {
    int place = openings.indexOf(there);
    return place < 0 ? OptionalLong.empty() : OptionalLong.of(costs[place]);
  }

  /** Whether it has anywhere to stand. */
  public boolean placeable() {
    return pinned.isPresent() || !openings.isEmpty();
  }
}
