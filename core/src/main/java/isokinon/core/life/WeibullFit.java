package isokinon.core.life;

import isokinon.core.life.WeibullPosterior.Run;
import java.util.List;

/**
 * Weibull by maximum likelihood with right censoring. The intervals are 90 %, from the observed
 * information in (ln scale, ln shape).
 */
public record WeibullFit(
    double shape,
    double scale,
    double logLikelihood,
    double shapeLow,
    double shapeHigh,
    double scaleLow,
    double scaleHigh) {

  /** Fewest different ages of failure that a fit can be made from. */
  public static final int FEWEST = 2;

  private static final double LEAST_SHAPE = 1e-3;
  private static final double MOST_SHAPE = 1e3;

  /** Too few different ages of failure. */
  public static final class TooFew extends RuntimeException {
    private static final long serialVersionUID = 1L;

    TooFew(long failures) {
      super(
          "A fit needs failures at "
              + FEWEST
              + " different ages or more; there are "
              + failures
              + ".");
    }
  }

  /**
   * Fits {@code runs}.
   *
   * @param runs ages over 0, failed or taken out sound
   * @throws TooFew where fewer than two different ages of failure are among them
   */
  public static WeibullFit of(List<Run> runs) {
    long different = runs.stream().filter(Run::failed).mapToDouble(Run::age).distinct().count();
    if (different < FEWEST) {
      throw new TooFew(different);
    }
    // In units of the greatest age no power overflows.
    double unit = runs.stream().mapToDouble(Run::age).max().orElseThrow();
    int n = runs.size();
    double[] logs = new double[n];
    boolean[] failed = new boolean[n];
    int failures = 0;
    double sumFailed = 0;
    for (int i = 0; i < n; i++) {
      logs[i] = Math.log(runs.get(i).age() / unit);
      failed[i] = runs.get(i).failed();
      if (failed[i]) {
        failures++;
        sumFailed += logs[i];
      }
    }
    double shape = shape(logs, sumFailed / failures);
    double power = 0;
    for (double log : logs) {
      power += Math.exp(shape * log);
    }
    double logScale = Math.log(power / failures) / shape;
    return described(logs, failed, failures, shape, logScale, unit);
  }

  /** Root of the profile equation, which rises with the shape: bisection, then it is exact. */
  private static double shape(double[] logs, double meanFailed) {
    double low = LEAST_SHAPE;
    double high = MOST_SHAPE;
    for (int i = 0; i < 200 && high - low > 1e-14 * high; i++) {
      double middle = (low + high) / 2;
      double power = 0;
      double weighted = 0;
      for (double log : logs) {
        double p = Math.exp(middle * log);
        power += p;
        weighted += p * log;
      }
      if (weighted / power - 1 / middle - meanFailed > 0) {
        high = middle;
      } else {
        low = middle;
      }
    }
    return (low + high) / 2;
  }

  private static WeibullFit described(
      double[] logs, boolean[] failed, int failures, double shape, double logScale, double unit) {
    double likelihood = 0;
    double e = 0;
    double we = 0;
    double wwe = 0;
    double wFailed = 0;
    for (int i = 0; i < logs.length; i++) {
      double w = shape * (logs[i] - logScale);
      double ew = Math.exp(w);
      e += ew;
      we += w * ew;
      wwe += w * w * ew;
      if (failed[i]) {
        wFailed += w;
        likelihood += Math.log(shape) - logs[i] - Math.log(unit) + w;
      }
      likelihood -= ew;
    }
    // Observed information in (u = ln scale, v = ln shape).
    double uu = shape * shape * e;
    double uv = -(-shape * failures + shape * e + shape * we);
    double vv = -(wFailed - we - wwe);
    double determinant = uu * vv - uv * uv;
    double ofScale = KaplanMeier.Z90 * Math.sqrt(vv / determinant);
    double ofShape = KaplanMeier.Z90 * Math.sqrt(uu / determinant);
    double scale = Math.exp(logScale) * unit;
    return new WeibullFit(
        shape,
        scale,
        likelihood,
        shape * Math.exp(-ofShape),
        shape * Math.exp(ofShape),
        scale * Math.exp(-ofScale),
        scale * Math.exp(ofScale));
  }
}
