package isokinon.server.db.materials;

import isokinon.core.stock.KitId;

/**
 * A wet-end kit that can be had, on the shelf or not.
 *
 * @param material of its leading part
 * @param hardware set of plates and shaft it stands on, by the id of its sheet; empty for any
 * @param parts materials by role as {@code role=material;...}; {@code body} as a material means the
 *     pump's own
 * @param price pounds
 * @param leadDays days from order to shelf
 * @param orderNumber by which it is ordered; empty where nobody said
 */
public record WetKitRow(
    String sheetId,
    String kit,
    String material,
    String hardware,
    String parts,
    double price,
    int leadDays,
    String orderNumber) {

  /** Which kit it is. */
  public KitId id() {
    return new KitId(sheetId, kit, material, hardware);
  }
}
