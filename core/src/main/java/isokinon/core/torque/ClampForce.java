package isokinon.core.torque;

/** Clamp force of a screw from its torque. */
public final class ClampForce {

  /** Nut factor K of dry steel threads, no unit: the usual value. */
  private static final double DRY = 0.20;

  private ClampForce() {}

  /** Clamp force, N, of {@code torqueNm} on a dry thread of {@code diameterMm}: F = T/(K·d). */
  public static double newtons(double torqueNm, double diameterMm) {
    if (!(torqueNm >= 0) || !(diameterMm > 0)) {
      throw new IllegalArgumentException(
          "Torque must be 0 N·m or more and diameter over 0 mm; got "
              + torqueNm
              + " N·m, "
              + diameterMm
              + " mm.");
    }
    return torqueNm / (DRY * diameterMm / 1000);
  }
}
