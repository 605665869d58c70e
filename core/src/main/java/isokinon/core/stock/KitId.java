package isokinon.core.stock;

/**
 * Which kit is it? Two kits of one sheet are different things where their leading material differs,
 * or where they stand on other plates and another shaft.
 *
 * @param sheet id of the assembly sheet
 * @param kit id of the kit in the sheet
 * @param material leading material, ISO abbreviation or alloy number
 * @param hardware set of plates and shaft that it stands on, by the id of its sheet; empty where it
 *     fits every one
 */
public record KitId(String sheet, String kit, String material, String hardware) {

  /**
   * Whether it renews a set of {@code ofMaterial} on {@code onHardware}.
   *
   * @param onHardware plates and shaft in the pump; empty where nobody wrote them down, so that any
   *     may be meant
   */
  public boolean renews(String ofMaterial, String onHardware) {
    return material.equals(ofMaterial)
        && (hardware.isEmpty() || onHardware.isEmpty() || hardware.equals(onHardware));
  }
}
