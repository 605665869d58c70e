package isokinon.core.consumable;

import isokinon.core.sheet.Handling.AmountUnit;
import java.util.List;
import java.util.Optional;

/**
 * Grease, oil, locker, paste, soap or cleaner: what a job uses up by the gram or the millilitre.
 *
 * @param id what it is kept under
 * @param title what people call it
 * @param names what sheets call it
 * @param unit in which its amounts are counted
 * @param pack how much one pack holds, in that unit
 * @param shelfMonths how long an unopened pack keeps where its date is not known; empty where it
 *     does not age
 */
public record Consumable(
    String id,
    String title,
    List<String> names,
    AmountUnit unit,
    double pack,
    Optional<Integer> shelfMonths) {

  /** Copies its list. */
  public Consumable {
    names = List.copyOf(names);
  }
}
