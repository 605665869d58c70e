package isokinon.core.life.frailty;

import isokinon.core.value.Range;

/**
 * What is believed of a group before any of its runs: the Weibull shape and the mean life, each
 * log-normal about the library's word. How much pumps differ is half-normal with scale {@link
 * #BETWEEN_SCALE}.
 *
 * @param shape of the failure mode, no unit
 * @param shapeSpread standard deviation of ln shape
 * @param meanLife by the library, in the unit of the ages
 * @param meanSpread standard deviation of ln mean life: how well the library knows it
 */
public record FrailtyPrior(double shape, double shapeSpread, double meanLife, double meanSpread) {

  /** Spread of ln shape where nothing is said. */
  public static final double SHAPE_SPREAD = 0.4;

  /** Spread of ln mean life where nothing is said. */
  public static final double MEAN_SPREAD = 0.7;

  /** Scale of the half-normal belief in the spread of ln life between pumps. */
  public static final double BETWEEN_SCALE = 0.35;

  /**
   * A prior.
   *
   * @throws IllegalArgumentException naming the value that is out of range
   */
  public FrailtyPrior {
    Range.check("shape", shape, 0.1, 30);
    Range.check("shapeSpread", shapeSpread, 0.01, 2);
    Range.check("priorMean", meanLife, 1e-9, 1e12);
    Range.check("priorSpread", meanSpread, 0.01, 3);
  }

  /** With the spreads that hold where nothing is said. */
  public static FrailtyPrior of(double shape, double meanLife) {
    return new FrailtyPrior(shape, SHAPE_SPREAD, meanLife, MEAN_SPREAD);
  }
}
