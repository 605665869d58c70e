package isokinon.core.consumable;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * A lot of a consumable on the shelf.
 *
 * @param id lot number
 * @param amount what is left of it, in the unit of the consumable, 0 or more
 * @param bestBefore last day on which it is used; empty where it does not age
 */
public record ConsumableLot(String id, double amount, Optional<LocalDate> bestBefore) {

  /** So much out of one lot. */
  public record Taken(String lot, double amount) {}

  /** An amount under nothing is refused. */
  public ConsumableLot {
    if (!(amount >= 0) || Double.isInfinite(amount)) {
      throw new IllegalArgumentException("lot " + id + ": an amount is 0 or more");
    }
  }

  /** Whether it may be used on {@code day}: the date on a pack is its last day. */
  public boolean inDate(LocalDate day) {
    return bestBefore.filter(day::isAfter).isEmpty();
  }

  /** What may be used of all these lots on {@code day}. */
  public static double inDate(Collection<ConsumableLot> lots, LocalDate day) {
    return lots.stream().filter(l -> l.inDate(day)).mapToDouble(ConsumableLot::amount).sum();
  }

  /**
   * The lots that may be used, in the order in which they are: the first to go out of date first.
   */
  public static List<ConsumableLot> usable(Collection<ConsumableLot> lots, LocalDate day) {
    return lots.stream()
        .filter(l -> l.amount > 0 && l.inDate(day))
        .sorted(
            Comparator.comparing((ConsumableLot l) -> l.bestBefore.orElse(LocalDate.MAX))
                .thenComparing(ConsumableLot::id))
        .toList();
  }

  /**
   * From which lots an amount is taken. Where they do not hold it all, what they hold is taken:
   * what was put on was put on.
   */
  public static List<Taken> take(Collection<ConsumableLot> lots, double amount, LocalDate day) {
    List<Taken> taken = new ArrayList<>();
    double left = amount;
    for (ConsumableLot lot : usable(lots, day)) {
      double part = Math.min(left, lot.amount);
      if (part > 0) {
        taken.add(new Taken(lot.id, part));
        left -= part;
      }
    }
    return taken;
  }
}
