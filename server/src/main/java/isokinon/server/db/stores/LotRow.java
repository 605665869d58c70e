package isokinon.server.db.stores;

import isokinon.core.stock.KitId;
import java.time.LocalDate;

/**
 * A lot on the shelf: a kit of a sheet, its leading material, cure date and price in pounds, and
 * the set of plates and shaft it stands on.
 */
public record LotRow(
    String id,
    String sheetId,
    String kit,
    String title,
    String material,
    LocalDate cured,
    int quantity,
    double price,
    String place,
    String hardware) {

  /** Which kit it is a lot of. */
  public KitId kitId() {
    return new KitId(sheetId, kit, material, hardware);
  }
}
