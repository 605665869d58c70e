package isokinon.core.life.frailty;

import isokinon.core.life.Survival;

/**
 * The mean time lived up to an age, ∫0..age of the survival: at points closer together where the
 * life is young, between two of them a cubic with the survival as its slope.
 */
final class LivedTable {

  /** The table ends where so few are left. */
  static final double BEYOND = 1e-5;

  private static final int POINTS = 80;

  private final Survival life;
  private final double[] ages = new double[POINTS + 1];
  private final double[] survival = new double[POINTS + 1];
  private final double[] lived = new double[POINTS + 1];

  /**
   * A table.
   *
   * @param last age that {@link #BEYOND} outlive
   */
  LivedTable(Survival life, double last) {
    this.life = life;
    survival[0] = 1;
    for (int i = 1; i <= POINTS; i++) {
      double share = (double) i / POINTS;
      ages[i] = last * share * share;
      survival[i] = life.survival(ages[i]);
      double middle = life.survival((ages[i - 1] + ages[i]) / 2);
      lived[i] =
          lived[i - 1] + (ages[i] - ages[i - 1]) / 6 * (survival[i - 1] + 4 * middle + survival[i]);
    }
  }

  double lived(double age) {
    if (age <= 0) {
      return 0;
    }
    if (age >= ages[POINTS]) {
      // Hardly a set is left: what they still live is what is missing to the mean.
      double rest = Math.max(0, life.meanLife() - lived[POINTS]);
      return life.meanLife() - rest * life.survival(age) / survival[POINTS];
    }
    int i = (int) (POINTS * Math.sqrt(age / ages[POINTS]));
    i = age < ages[i] ? i - 1 : age >= ages[i + 1] ? i + 1 : i;
    double step = ages[i + 1] - ages[i];
    double x = (age - ages[i]) / step;
    double x2 = x * x;
    double x3 = x2 * x;
    return lived[i] * (2 * x3 - 3 * x2 + 1)
        + step * survival[i] * (x3 - 2 * x2 + x)
        + lived[i + 1] * (3 * x2 - 2 * x3)
        + step * survival[i + 1] * (x3 - x2);
  }
}
