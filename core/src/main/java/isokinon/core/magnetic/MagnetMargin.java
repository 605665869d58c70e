package isokinon.core.magnetic;

import isokinon.core.value.Code;
import isokinon.core.value.Range;

/**
 * The torque a magnetic drive needs against what its magnets carry at temperature.
 *
 * @param neededNm torque of the duty, N·m: ρ·g·Q·H/(η·ω)
 * @param availableNm rated torque at temperature, N·m: T20·(1 + β(T - 20))²
 * @param margin available over needed
 * @param verdict under 1.25 watch, under 1.1 renew or resize
 */
public record MagnetMargin(double neededNm, double availableNm, double margin, Verdict verdict) {

  private static final double G = 9.80665;
  private static final double WATCH = 1.25;
  private static final double RENEW = 1.1;
  private static final double RATED_AT_C = 20;

  /** Magnet materials and what they lose for each kelvin. */
  public enum Magnet implements Code {
    NDFEB(-0.0011),
    SMCO(-0.0004);

    private final double betaPerK;

    Magnet(double betaPerK) {
      this.betaPerK = betaPerK;
    }
  }

  /** How a margin, or a pull-off torque, stands. */
  public enum Verdict implements Code {
    SOUND,
    WATCH,
    RENEW
  }

  /**
   * The margin of a duty.
   *
   * @param densityKgM3 kg/m3
   * @param flowM3h m3/h
   * @param headM m
   * @param efficiency of the pump in this fluid, over 0 to 1; a viscous fluid has its own
   * @param rpm turns a minute
   * @param ratedNm rated torque at 20 degC, N·m
   * @param magnet material
   * @param temperatureC of the magnets, degC
   * @throws IllegalArgumentException naming the value that is out of range
   */
  public static MagnetMargin of(
      double densityKgM3,
      double flowM3h,
      double headM,
      double efficiency,
      double rpm,
      double ratedNm,
      Magnet magnet,
      double temperatureC) {
    Range.check("densityKgM3", densityKgM3, 1, 25_000);
    Range.check("flowM3h", flowM3h, 1e-6, 1e5);
    Range.check("headM", headM, 1e-3, 1e4);
    Range.check("efficiency", efficiency, 0.001, 1);
    Range.check("rpm", rpm, 1, 100_000);
    Range.check("ratedNm", ratedNm, 1e-6, 1e6);
    Range.check("temperatureC", temperatureC, -200, 400);
    double powerW = densityKgM3 * G * flowM3h / 3600 * headM / efficiency;
    double needed = powerW / (rpm * 2 * Math.PI / 60);
    double available = atTemperature(ratedNm, magnet, temperatureC);
    double margin = available / needed;
    return new MagnetMargin(
        needed,
        available,
        margin,
        margin < RENEW ? Verdict.RENEW : margin < WATCH ? Verdict.WATCH : Verdict.SOUND);
  }

  /** Torque that magnets rated at 20 degC carry at a temperature, N·m. */
  public static double atTemperature(double ratedNm, Magnet magnet, double temperatureC) {
    double flux = Math.max(0, 1 + magnet.betaPerK * (temperatureC - RATED_AT_C));
    return ratedNm * flux * flux;
  }

  /**
   * Torque in the coupling at a direct start: the duty's, and the part of the motor's peak torque
   * that speeds the load up. It must stay under the pull-out torque.
   *
   * @param motorPeakNm peak torque of the motor, N·m
   * @param loadInertia inertia of the driven side, kg·m2
   * @param motorInertia inertia of the motor side, kg·m2
   * @return N·m
   */
  public static double atStartNm(
      double neededNm, double motorPeakNm, double loadInertia, double motorInertia) {
    Range.check("loadInertia", loadInertia, 0, 1e6);
    Range.check("motorInertia", motorInertia, 1e-9, 1e6);
    return neededNm + motorPeakNm * loadInertia / (loadInertia + motorInertia);
  }
}
