package isokinon.core.torque;

/**
 * Clamp force of a screw from its torque, F = T / (K·d), with the usual nut factors. The factor
 * carries the state of the threads; a torque given for dry threads falls with it when they are
 * lubricated, so that the clamp force stays.
 */
public final class ClampForce {

  /** Nut factor K, no unit. */
  public enum Threads {
    DRY(0.20),
    OILED(0.15),
    ANTI_SEIZE(0.12);

    private final double nutFactor;

    Threads(double nutFactor) {
      this.nutFactor = nutFactor;
    }

    /** The nut factor K, no unit. */
    public double nutFactor() {
      return nutFactor;
    }
  }

  private ClampForce() {}

  /** Clamp force, N, of {@code torqueNm} on a thread of {@code diameterMm}. */
  public static double newtons(double torqueNm, double diameterMm, Threads threads) {
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

  /** The torque, N·m, that keeps the clamp force of a dry value on other threads. */
  public static double fromDryNm(double dryNm, Threads threads) {
    return dryNm * threads.nutFactor() / Threads.DRY.nutFactor();
  }
}
