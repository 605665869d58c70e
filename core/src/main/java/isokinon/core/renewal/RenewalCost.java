package isokinon.core.renewal;

import isokinon.core.life.Survival;
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

  private static final int STEPS = 60;

  /** The search runs to this many times the mean: beyond it hardly a part is left. */
  private static final double REACH = 4;

  private static final double GOLDEN = (Math.sqrt(5) - 1) / 2;
  private static final double CLOSE = 1e-9;

  /**
   * The best age to change a part: the lowest of a grid, then golden section around it.
   *
   * @param life how long such parts last
   * @param planned cost of changing it sound, over 0
   * @param failed cost of changing it failed
   */
  public static RenewalCost best(Survival life, double planned, double failed) {
    double mean = life.meanLife();
    double step = mean * REACH / STEPS;
    double at = Double.POSITIVE_INFINITY;
    double least = at(Double.POSITIVE_INFINITY, life, planned, failed);
    for (int i = 1; i <= STEPS; i++) {
      double rate = at(i * step, life, planned, failed);
      if (rate < least) {
        least = rate;
        at = i * step;
      }
    }
    if (Double.isInfinite(at)) {
      return new RenewalCost(at, least, 1, mean);
    }
    double age =
        minimum(t -> at(t, life, planned, failed), Math.max(at - step, step * CLOSE), at + step);
    return new RenewalCost(
        age, at(age, life, planned, failed), 1 - life.survival(age), life.lived(age));
  }

  /** What it costs where the part is changed at {@code age}; infinite: when it fails. */
  public static double at(double age, Survival life, double planned, double failed) {
    return planned * life.renewalRate(age) + failed * life.failureRate(age);
  }

  /** Where a function with one valley between two ages is least: golden section. */
  static double minimum(DoubleUnaryOperator f, double low, double high) {
    double a = low;
    double b = high;
    double c = b - GOLDEN * (b - a);
    double d = a + GOLDEN * (b - a);
    double fc = f.applyAsDouble(c);
    double fd = f.applyAsDouble(d);
    while (b - a > CLOSE * high) {
      if (fc < fd) {
        b = d;
        d = c;
        fd = fc;
        c = b - GOLDEN * (b - a);
        fc = f.applyAsDouble(c);
      } else {
        a = c;
        c = d;
        fc = fd;
        d = a + GOLDEN * (b - a);
        fd = f.applyAsDouble(d);
      }
    }
    return (a + b) / 2;
  }
}
