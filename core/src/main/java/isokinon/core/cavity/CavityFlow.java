package isokinon.core.cavity;

import isokinon.core.value.Code;
import isokinon.core.value.Range;

/**
 * What a progressing cavity pump displaces and what slips back.
 *
 * @param displacementL litres for each turn, 4·e·D·Ps
 * @param theoreticalM3h flow without slip, m3/h
 * @param efficiency measured flow over theoretical, no unit
 */
public record CavityFlow(double displacementL, double theoreticalM3h, double efficiency) {

  private static final double MM3_PER_L = 1e6;
  private static final double WATCH_POINTS = 0.15;
  private static final double RENEW_POINTS = 0.25;

  /** How far a pair has worn. */
  public enum Wear implements Code {
    SOUND,
    WATCH,
    RENEW
  }

  /**
   * The flow of a pair.
   *
   * @param eccentricityMm mm, over 0
   * @param rotorDiameterMm mm, over 0
   * @param statorPitchMm mm, over 0
   * @param rpm turns a minute, over 0
   * @param measuredM3h measured flow, m3/h, 0 or more
   * @throws IllegalArgumentException naming the value that is out of range
   */
  public static CavityFlow of(
      double eccentricityMm,
      double rotorDiameterMm,
      double statorPitchMm,
      double rpm,
      double measuredM3h) {
    Range.check("eccentricityMm", eccentricityMm, 0.01, 500);
    Range.check("rotorDiameterMm", rotorDiameterMm, 0.1, 2000);
    Range.check("statorPitchMm", statorPitchMm, 0.1, 10_000);
    Range.check("rpm", rpm, 0.01, 10_000);
    Range.check("measuredM3h", measuredM3h, 0, 1e5);
    double litres = 4 * eccentricityMm * rotorDiameterMm * statorPitchMm / MM3_PER_L;
    double theoretical = litres * rpm * 60 / 1000;
    return new CavityFlow(litres, theoretical, measuredM3h / theoretical);
  }

  /**
   * How a pair stands against its as-new test at the same pressure: 15 points of efficiency lost is
   * watch, 25 renew.
   */
  public static Wear wear(double asNew, double now) {
    double lost = asNew - now;
    return lost >= RENEW_POINTS ? Wear.RENEW : lost >= WATCH_POINTS ? Wear.WATCH : Wear.SOUND;
  }
}
