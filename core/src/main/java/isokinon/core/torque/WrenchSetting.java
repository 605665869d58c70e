package isokinon.core.torque;

import isokinon.core.value.InvalidQuantity;

/**
 * What is a torque wrench set to when an adapter sits on it? T·L / (L + E·cos θ): the adapter
 * lengthens the lever by its share along the handle. Lever arithmetic, any mechanics textbook.
 */
public final class WrenchSetting {

  private WrenchSetting() {}

  /**
   * The setting, N·m.
   *
   * @param targetNm wanted torque at the fastener, N·m, over 0
   * @param handleMm grip to square drive, mm, over 0
   * @param adapterMm square drive to fastener, mm, 0 or more
   * @param angleDeg angle of the adapter from straight out, degrees
   * @throws IllegalArgumentException where a value is not finite or out of range, or the adapter
   *     points so far back that no lever is left
   */
  public static double settingNm(
      double targetNm, double handleMm, double adapterMm, double angleDeg) {
    positive("targetNm", "target torque", targetNm, "N·m");
    positive("handleMm", "handle length", handleMm, "mm");
    if (!(adapterMm >= 0) || Double.isInfinite(adapterMm)) {
      throw new InvalidQuantity(
          "adapterMm", "Adapter length must be 0 mm or more; " + adapterMm + " mm is not.");
    }
    if (!Double.isFinite(angleDeg)) {
      throw new InvalidQuantity("angleDeg", "Adapter angle must be a number of degrees.");
    }
    double lever = handleMm + adapterMm * Math.cos(Math.toRadians(angleDeg));
    if (lever <= 0) {
      throw new InvalidQuantity(
          "adapterMm", "At " + angleDeg + "° an adapter of " + adapterMm + " mm leaves no lever.");
    }
    return targetNm * handleMm / lever;
  }

  private static void positive(String field, String what, double value, String unit) {
    if (!(value > 0) || Double.isInfinite(value)) {
      throw new InvalidQuantity(
          field,
          "The " + what + " must be over 0 " + unit + "; " + value + " " + unit + " is not.");
    }
  }
}
