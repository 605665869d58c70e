package isokinon.core.wear;

import isokinon.core.value.Range;

/** Rolling bearings: how long they last and how much grease they take. */
public final class Bearings {

  private Bearings() {}

  /**
   * Basic rating life by ISO 281: L10h = (C/P)^p·10^6/(60·n).
   *
   * @param dynamicN dynamic load rating C, N
   * @param loadN equivalent load P, N
   * @param rpm turns a minute
   * @param roller roller bearing (p = 10/3); ball bearing otherwise (p = 3)
   * @return hours that nine in ten reach
   * @throws IllegalArgumentException naming the value that is out of range
   */
  public static double l10Hours(double dynamicN, double loadN, double rpm, boolean roller) {
    Range.check("dynamicN", dynamicN, 1, 1e9);
    Range.check("loadN", loadN, 1e-3, 1e9);
    Range.check("rpm", rpm, 1e-3, 1e6);
    return Math.pow(dynamicN / loadN, roller ? 10.0 / 3 : 3) * 1e6 / (60 * rpm);
  }

  /**
   * Relubrication charge, the usual rule: G = 0.005·D·B.
   *
   * @param outerMm outer diameter, mm
   * @param widthMm width, mm
   * @return grams
   */
  public static double greaseG(double outerMm, double widthMm) {
    Range.check("outerMm", outerMm, 1, 5000);
    Range.check("widthMm", widthMm, 1, 2000);
    return 0.005 * outerMm * widthMm;
  }
}
