package isokinon.core.year;

import isokinon.core.schedule.Slots;
import java.util.Arrays;
import java.util.List;

/**
 * One day at the bench: jobs are set in one after another, each where it ends soonest, so that
 * nobody does two at once, a fixture has no more jobs than pieces, a line stands still and of a
 * pair only one is out. The same rules as the diary's.
 */
final class BenchDay {

  private final YearShop shop;
  private final int[] longest;
  private int[] freeFrom = new int[0];
  private final int[][] pieceFrom;
  private final int[] pumpFrom;
  private final int[] workedOn;
  private List<YearShop.Stretch> today = List.of();
  private int day;

  BenchDay(YearShop shop, int pumps) {
    this.shop = shop;
    pieceFrom = new int[shop.pieces().size()][];
    for (int f = 0; f < pieceFrom.length; f++) {
      pieceFrom[f] = new int[Math.max(1, shop.pieces().get(f))];
    }
    pumpFrom = new int[pumps];
    workedOn = new int[pumps];
    longest = new int[2];
    shop.days().stream()
        .flatMap(List::stream)
        .forEach(
            s -> {
              int overtime = s.overtime() ? 1 : 0;
              longest[overtime] = Math.max(longest[overtime], s.to() - s.from());
            });
  }

  void beginYear() {
    Arrays.fill(workedOn, -1);
  }

  /** Begins a day; whether anybody is there. */
  boolean begin(int of) {
    day = of;
    today = shop.days().get(day);
    if (freeFrom.length < today.size()) {
      freeFrom = new int[today.size()];
    }
    for (int s = 0; s < today.size(); s++) {
      freeFrom[s] = today.get(s).from();
    }
    for (int[] pieces : pieceFrom) {
      Arrays.fill(pieces, 0);
    }
    return !today.isEmpty();
  }

  /**
   * Sets a job in.
   *
   * @param pump number of the pump
   * @param earliest slot from which it can be begun today
   * @param down whether the pump has failed: then its line stands already, and overtime is worked
   * @return the slot in which it begins, or -1 where it finds no place today
   */
  int set(int pump, YearPump.Job job, int earliest, boolean down) {
    int from = earliest;
    int to = Slots.A_DAY;
    if (!down && job.line() != YearPump.NONE) {
      YearShop.Window window = shop.still().get(job.line()).get(day);
      from = Math.max(from, window.from());
      to = Math.min(to, window.to());
    }
    if (job.pair() != YearPump.NONE && workedOn[job.pair()] == day) {
      from = Math.max(from, pumpFrom[job.pair()]);
    }
    int piece = job.fixture() == YearPump.NONE ? -1 : soonest(pieceFrom[job.fixture()]);
    if (piece >= 0) {
      from = Math.max(from, pieceFrom[job.fixture()][piece]);
    }
    int best = -1;
    int begins = Integer.MAX_VALUE;
    int wanted = Slots.of(job.minutes());
    for (int s = 0; s < today.size(); s++) {
      YearShop.Stretch stretch = today.get(s);
      if (stretch.overtime() && !down) {
        continue;
      }
      int start = Math.max(from, freeFrom[s]);
      // A job longer than the longest shift takes all of that one.
      int slots = Math.min(wanted, longest[stretch.overtime() ? 1 : 0]);
      if (start + slots <= Math.min(to, stretch.to()) && start < begins) {
        best = s;
        begins = start;
      }
    }
    if (best < 0) {
      return -1;
    }
    YearShop.Stretch taken = today.get(best);
    int end = begins + Math.min(wanted, longest[taken.overtime() ? 1 : 0]);
    freeFrom[best] = end;
    if (piece >= 0) {
      pieceFrom[job.fixture()][piece] = end;
    }
    pumpFrom[pump] = end;
    workedOn[pump] = day;
    overtime = taken.overtime();
    return begins;
  }

  private boolean overtime;

  /** Whether the job that was set in last is done outside the usual hours. */
  boolean overtime() {
    return overtime;
  }

  private static int soonest(int[] pieces) {
    int at = 0;
    for (int i = 1; i < pieces.length; i++) {
      if (pieces[i] < pieces[at]) {
        at = i;
      }
    }
    return at;
  }
}
