package isokinon.core.year;

import java.util.Arrays;
import java.util.List;

/**
 * The shelf through one year: each job takes a piece or waits for one, first come first served, and
 * one is ordered for each that is taken.
 */
final class KitShelf {

  private final int[] there;
  private final int[] leadDays;
  private final int[] free;

  /** For each kit, the days on which what was ordered comes; the first so many are spoken for. */
  private final int[][] comes;

  private final int[] ordered;
  private final int[] spoken;

  KitShelf(List<YearShop.Kit> kits) {
    there = kits.stream().mapToInt(YearShop.Kit::there).toArray();
    leadDays = kits.stream().mapToInt(YearShop.Kit::leadDays).toArray();
    free = new int[there.length];
    comes = new int[there.length][16];
    ordered = new int[there.length];
    spoken = new int[there.length];
  }

  /** Begins a year. */
  void begin() {
    System.arraycopy(there, 0, free, 0, there.length);
    Arrays.fill(ordered, 0);
    Arrays.fill(spoken, 0);
  }

  /** Takes a piece for a job; the day on which it is here. */
  int take(int kit, int day) {
    if (ordered[kit] == comes[kit].length) {
      comes[kit] = Arrays.copyOf(comes[kit], 2 * ordered[kit]);
    }
    comes[kit][ordered[kit]++] = day + leadDays[kit];
    while (spoken[kit] < ordered[kit] && comes[kit][spoken[kit]] <= day) {
      spoken[kit]++;
      free[kit]++;
    }
    if (free[kit] > 0) {
      free[kit]--;
      return day;
    }
    return comes[kit][spoken[kit]++];
  }
}
