package isokinon.core.life;

/**
 * A life that is asked for many times between two ages: its survival at even steps there, and a
 * cubic through the four nearest between them. Beyond these ages the life itself answers.
 */
public final class SurvivalTable implements Survival.AnsweredBy {

  private static final int STEPS = 32;

  private final Survival life;
  private final double from;
  private final double step;
  private final double[] values = new double[STEPS + 1];

  /**
   * A table.
   *
   * @param from age, at least 0
   * @param to age over it
   */
  public SurvivalTable(Survival life, double from, double to) {
    this.life = life;
    this.from = from;
    this.step = (to - from) / STEPS;
    for (int i = 0; i <= STEPS; i++) {
      values[i] = life.survival(from + i * step);
    }
  }

  @Override
  public Survival life() {
    return life;
  }

  @Override
  public double survival(double age) {
    double place = (age - from) / step;
    if (!(place >= 0 && place <= STEPS)) {
      return life.survival(age);
    }
    int i = Math.min(STEPS - 2, Math.max(1, (int) place));
    double x = place - i;
    return values[i - 1] * -x * (x - 1) * (x - 2) / 6
        + values[i] * (x + 1) * (x - 1) * (x - 2) / 2
        - values[i + 1] * (x + 1) * x * (x - 2) / 2
        + values[i + 2] * (x + 1) * x * (x - 1) / 6;
  }
}
