package isokinon.server.work.shared;

import isokinon.core.unit.DayOrder;
import isokinon.core.unit.ShownUnit;

/**
 * In what a shop is shown what it has.
 *
 * @param sign what stands before an amount
 * @param dayOrder in which order it writes a day
 * @param torque in which unit bolts are drawn down
 * @param temperature in which unit heat is read
 * @param pressure in which unit pressure is read
 * @param volume in which unit liquids are measured out
 */
public record ShownIn(
    String sign,
    DayOrder dayOrder,
    ShownUnit torque,
    ShownUnit temperature,
    ShownUnit pressure,
    ShownUnit volume) {

  /** What the settings say. */
  public static ShownIn of(ShopSettings settings) {
    return new ShownIn(
        settings.currency().sign(),
        settings.dayOrder(),
        settings.units().torque(),
        settings.units().temperature(),
        settings.units().pressure(),
        settings.units().volume());
  }
}
