package isokinon.core.life;

import java.util.function.DoubleUnaryOperator;

/**
 * What a wear part costs for each hour that it runs, changed at an age or when it fails, whichever
 * comes first: c(T) = (Cp·S(T) + Cf·(1 - S(T))) / ∫0..T S, the renewal reward theorem.
 *
 * @param age best age to change it at, in the unit of the life; infinite where running it until it
 *     fails is cheapest
 * @param rate cost for each unit of age at that age
 * @param failures share of parts that fail before they are changed, 0 to 1
 * @param meanAge mean age at which one comes out
 */
public record RenewalCost(double age, double rate, double failures, double meanAge) {

  private static final int STEPS = 240;

  /** The grid runs to this many times the scale: beyond it hardly a part is left. */
  private static final double REACH = 3;

  /**
   * The best age to change a part.
   *
   * @param survival chance of lasting beyond an age, falling from 1
   * @param meanLife mean life, over 0; the mean of {@code survival}
   * @param planned cost of changing it sound, over 0
   * @param failed cost of changing it failed, not under {@code planned}
   */
  public static RenewalCost best(
      DoubleUnaryOperator survival, double meanLife, double planned, double failed) {
    RenewalCost best = new RenewalCost(Double.POSITIVE_INFINITY, failed / meanLife, 1, meanLife);
    double step = meanLife * REACH / STEPS;
    double lived = 0;
    double before = 1;
    for (int i = 1; i <= STEPS; i++) {
      double age = i * step;
      double now = survival.applyAsDouble(age);
      lived += step / 6 * (before + 4 * survival.applyAsDouble(age - step / 2) + now);
      double rate = (planned * now + failed * (1 - now)) / lived;
      if (rate < best.rate()) {
        best = new RenewalCost(age, rate, 1 - now, lived);
      }
      before = now;
    }
    return best;
  }

  /** What it costs where the part is changed at {@code age} all the same; infinite: at failure. */
  public static double at(
      double age, DoubleUnaryOperator survival, double meanLife, double planned, double failed) {
    if (Double.isInfinite(age)) {
      return failed / meanLife;
    }
    double step = age / STEPS;
    double lived = 0;
    double before = 1;
    for (int i = 1; i <= STEPS; i++) {
      double now = survival.applyAsDouble(i * step);
      lived += step / 6 * (before + 4 * survival.applyAsDouble((i - 0.5) * step) + now);
      before = now;
    }
    return (planned * before + failed * (1 - before)) / lived;
  }
}
