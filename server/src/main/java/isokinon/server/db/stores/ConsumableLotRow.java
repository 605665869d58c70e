package isokinon.server.db.stores;

import isokinon.core.consumable.ConsumableLot;
import java.time.LocalDate;
import java.util.Optional;

/**
 * A lot of a consumable on the shelf.
 *
 * @param consumable what it is, an id of the table of consumables
 * @param bestBefore last day on which it is used; null where it does not age
 * @param amount what is left of it, in the unit of the consumable
 * @param price of a pack, pounds
 */
public record ConsumableLotRow(
    String id, String consumable, LocalDate bestBefore, double amount, double price, String place) {

  /** The lot as the rules of the shelf see it. */
  public ConsumableLot lot() {
    return new ConsumableLot(id, amount, Optional.ofNullable(bestBefore));
  }
}
