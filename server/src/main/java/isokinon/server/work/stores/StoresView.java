package isokinon.server.work.stores;

import isokinon.core.sheet.Family;
import isokinon.core.stock.KeptCondition;
import isokinon.core.stock.LotStatus;
import isokinon.server.work.consumables.ConsumableLines.ConsumableLine;
import isokinon.server.work.units.SpareUnits.SpareUnit;
import java.util.List;
import java.util.Optional;

/**
 * The shelf: kits with their lots, what is held and out, what will be asked for and must be
 * ordered; over-age lots; units on the shelf; parts that were kept.
 *
 * @param serviceLevel chance that the shelf is enough over the lead time
 * @param order what to order, soonest first
 * @param orderCost of all of it, pounds
 * @param units units on the shelf that can go into a position
 * @param consumables grease, oil and the like
 */
public record StoresView(
    double serviceLevel,
    List<Shelf> shelves,
    List<OrderLine> order,
    double orderCost,
    List<OverAge> overAge,
    List<OutPiece> out,
    List<SpareUnit> units,
    List<KeptPart> kept,
    List<ConsumableLine> consumables) {

  /** The kits of one construction. */
  public record Shelf(String sheetId, String title, Family family, List<StockLine> kits) {}

  /**
   * A kit in one material.
   *
   * @param inDate pieces that may be fitted
   * @param reserved of them held for a job
   * @param minimum fewest pieces to hold; empty where nothing tells the demand
   * @param enoughDays days that the free pieces last at the service level; empty where unknown
   * @param orderBy day by which to order; empty where nothing is to be ordered within half a year
   * @param leadDays days an order takes; empty where nobody offers it
   * @param expected kits expected to be asked for over the lead time
   * @param because why, in one sentence
   */
  public record StockLine(
      String kit,
      String title,
      String material,
      String hardware,
      List<ShelfLot> lots,
      int inDate,
      int reserved,
      Optional<Integer> minimum,
      Optional<Integer> enoughDays,
      Optional<String> orderBy,
      Optional<Integer> leadDays,
      double expected,
      List<String> pumps,
      String because) {}

  /**
   * A lot.
   *
   * @param held pumps it is held for
   */
  public record ShelfLot(
      String id,
      int quantity,
      String cured,
      Optional<String> useBy,
      Optional<String> extendedBy,
      LotStatus status,
      String say,
      String place,
      double price,
      List<Held> held) {}

  /** A piece held for a pump. */
  public record Held(long id, String pump, String by) {}

  /**
   * What to order: a kit of a sheet, or packs of a consumable, which has no sheet and no material.
   */
  public record OrderLine(
      String sheetId,
      String kit,
      String title,
      String material,
      int count,
      double price,
      int leadDays,
      String orderNumber,
      String orderBy,
      boolean late,
      String because) {}

  /** A lot past its dates, and what to do with it. */
  public record OverAge(
      String lot, String title, LotStatus status, String say, String doThis, int quantity) {}

  /** A piece that is at the bench and not yet fitted or back. */
  public record OutPiece(
      String lot, String title, long rebuild, String pump, int count, String who) {}

  /** A retired part that was kept. */
  public record KeptPart(
      String id,
      String serial,
      String name,
      String material,
      double hours,
      KeptCondition condition,
      String note,
      String fromPump,
      String place,
      String kept) {}
}
