package isokinon.core.torque;

import java.util.Map;
import java.util.Optional;

/** Clamp force of a screw from its torque, and what its thread bears. */
public final class ClampForce {

  /** 0.2 % proof stress of A4-70 screws, MPa (ISO 3506-1). */
  public static final double A4_70_MPA = 450;

  /** Stress areas of coarse metric threads, mm² (ISO 898-1). */
  private static final Map<Integer, Double> STRESS_AREA =
      Map.of(4, 8.78, 5, 14.2, 6, 20.1, 8, 36.6, 10, 58.0, 12, 84.3, 16, 157.0, 20, 245.0);

  private ClampForce() {}

  /** Clamp force, N, of {@code torqueNm} on a thread of {@code diameterMm}: F = T/(K·d). */
  public static double newtons(double torqueNm, double diameterMm, ThreadFinish threads) {
    if (!(torqueNm >= 0) || !(diameterMm > 0)) {
      throw new IllegalArgumentException(
          "Torque must be 0 N·m or more and diameter over 0 mm; got "
              + torqueNm
              + " N·m, "
              + diameterMm
              + " mm.");
    }
    return torqueNm / (threads.nutFactor() * diameterMm / 1000);
  }

  /**
   * Clamp force, kN, of {@code torqueNm} on a thread such as {@code M8}; empty where the thread or
   * what is on it is not known.
   */
  public static Optional<Double> kilonewtons(double torqueNm, String thread, String onIt) {
    return ThreadFinish.of(onIt)
        .flatMap(finish -> diameterMm(thread).map(d -> newtons(torqueNm, d, finish) / 1000));
  }

  /** Nominal diameter of a coarse metric thread such as {@code M8}, mm; empty for any other. */
  public static Optional<Double> diameterMm(String thread) {
    return thread.matches("M\\d+")
        ? Optional.of(Double.parseDouble(thread.substring(1)))
        : Optional.empty();
  }

  /**
   * Tensile stress, MPa, of a screw that clamps with {@code newtons}; empty for an unknown size.
   */
  public static Optional<Double> stressMpa(String thread, double newtons) {
    return diameterMm(thread)
        .map(d -> STRESS_AREA.get((int) Math.round(d)))
        .map(area -> newtons / area);
  }
}
