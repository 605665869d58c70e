package isokinon.core.life;

import isokinon.core.value.Range;
import org.apache.commons.numbers.gamma.LogGamma;
import org.apache.commons.numbers.gamma.RegularizedGamma;

/**
 * A Weibull life that is known.
 *
 * @param shape no unit, over 0
 * @param scale age that 37 % outlive, in the unit of the ages
 */
public record Weibull(double shape, double scale) implements Survival {

  /**
   * A Weibull.
   *
   * @throws IllegalArgumentException naming the value that is out of range
   */
  public Weibull {
    Range.check("shape", shape, 0.01, 100);
    Range.check("scale", scale, 1e-9, 1e15);
  }

  @Override
  public double survival(double age) {
    return Math.exp(-hazard(age));
  }

  @Override
  public double lived(double age) {
    return meanLife() * RegularizedGamma.P.value(1 / shape, Math.pow(age / scale, shape));
  }

  @Override
  public double meanLife() {
    return scale * Math.exp(LogGamma.value(1 + 1 / shape));
  }

  /** By the hazard run through, which is exact where hardly a part is left. */
  @Override
  public double risk(double age, double ahead) {
    return -Math.expm1(hazard(age) - hazard(age + ahead));
  }

  private double hazard(double age) {
    return Math.pow(Math.max(0, age) / scale, shape);
  }

  @Override
  public double quantile(double probability) {
    return scale * Math.pow(-Math.log1p(-probability), 1 / shape);
  }
}
