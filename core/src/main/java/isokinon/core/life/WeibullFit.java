package isokinon.core.life;

import java.util.List;
import java.util.Optional;

/**
 * Weibull by maximum likelihood with right censoring and delayed entry. The intervals are 90 %,
 * from the observed information in (ln scale, ln shape).
 *
 * <p>The scale is eliminated: scale^k = Σ(age^k - from^k) / failures, which leaves one equation in
 * the shape k, solved by Newton's method kept inside a bracket. Any textbook of survival analysis.
 * Cost some ten passes over the runs.
 *
 * @param shape no unit
 * @param scale in the unit of the ages
 * @param logLikelihood at both, natural logarithm
 * @param shapeLow lower end of 90 %
 * @param shapeHigh upper end
 * @param scaleLow lower end of 90 %
 * @param scaleHigh upper end
 * @param correlation of ln scale and ln shape, -1 to 1
 */
public record WeibullFit(
    double shape,
    double scale,
    double logLikelihood,
    double shapeLow,
    double shapeHigh,
    double scaleLow,
    double scaleHigh,
    double correlation) {

  /** Fewest different ages of failure that a fit can be made from. */
  public static final int FEWEST = 2;

  private static final double LEAST_SHAPE = 1e-3;
  private static final double MOST_SHAPE = 1e3;
  private static final int MOST_STEPS = 200;
  private static final double CLOSE = 1e-13;

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

  /** Fits runs; empty where fewer than two different ages of failure are among them. */
  public static Optional<WeibullFit> tried(List<Run> runs) {
    return runs.stream().filter(Run::failed).mapToDouble(Run::age).distinct().limit(FEWEST).count()
            < FEWEST
        ? Optional.empty()
        : Optional.of(of(runs));
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
    Logs logs = Logs.of(runs, unit);
    double shape = shape(logs);
    double logScale = Math.log(Moments.of(logs, shape).sum() / logs.failures()) / shape;
    return described(logs, shape, logScale, unit);
  }

  /** Logarithms of the ages at the end, and of those that a part came with. */
  private record Logs(double[] ends, double[] entries, int failures, double sumFailed) {

    static Logs of(List<Run> runs, double unit) {
      double[] ends = new double[runs.size()];
      double[] entries = new double[(int) runs.stream().filter(r -> r.from() > 0).count()];
      int failures = 0;
      int entered = 0;
      double sumFailed = 0;
      for (int i = 0; i < ends.length; i++) {
        Run run = runs.get(i);
        ends[i] = Math.log(run.age() / unit);
        if (run.from() > 0) {
          entries[entered++] = Math.log(run.from() / unit);
        }
        if (run.failed()) {
          failures++;
          sumFailed += ends[i];
        }
      }
      return new Logs(ends, entries, failures, sumFailed);
    }
  }

  /** Σ x^k, Σ x^k·ln x and Σ x^k·ln² x over the ends, less the same over the entries. */
  private record Moments(double sum, double first, double second) {

    static Moments of(Logs logs, double k) {
      return of(logs.ends(), k).less(of(logs.entries(), k));
    }

    private static Moments of(double[] logs, double k) {
      double sum = 0;
      double first = 0;
      double second = 0;
      for (double log : logs) {
        double power = Math.exp(k * log);
        sum += power;
        first += power * log;
        second += power * log * log;
      }
      return new Moments(sum, first, second);
    }

    private Moments less(Moments other) {
      return new Moments(sum - other.sum, first - other.first, second - other.second);
    }
  }

  /** Root of the profile equation. */
  private static double shape(Logs logs) {
    double meanFailed = logs.sumFailed() / logs.failures();
    double low = LEAST_SHAPE;
    double high = MOST_SHAPE;
    double k = 1.5;
    for (int i = 0; i < MOST_STEPS; i++) {
      Moments m = Moments.of(logs, k);
      double mean = m.first() / m.sum();
      double off = mean - 1 / k - meanFailed;
      if (off > 0) {
        high = k;
      } else {
        low = k;
      }
      double slope = m.second() / m.sum() - mean * mean + 1 / (k * k);
      double next = k - off / slope;
      if (!(next > low && next < high)) {
        next = Math.sqrt(low * high);
      }
      if (Math.abs(next - k) <= CLOSE * k) {
        return next;
      }
      k = next;
    }
    return k;
  }

  private static WeibullFit described(Logs logs, double shape, double logScale, double unit) {
    // With w = shape·(ln age - ln scale) the observed information in (u = ln scale, v = ln shape)
    // is sums of e^w, w·e^w and w²·e^w.
    double power = Math.exp(-shape * logScale);
    Moments m = Moments.of(logs, shape);
    double e = m.sum() * power;
    double we = shape * power * (m.first() - logScale * m.sum());
    double wwe =
        shape
            * shape
            * power
            * (m.second() - 2 * logScale * m.first() + logScale * logScale * m.sum());
    int failures = logs.failures();
    double wFailed = shape * (logs.sumFailed() - failures * logScale);
    double likelihood =
        failures * (Math.log(shape) - Math.log(unit)) - logs.sumFailed() + wFailed - e;
    double uu = shape * shape * e;
    double uv = shape * (failures - e - we);
    double vv = we + wwe - wFailed;
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
        scale * Math.exp(ofScale),
        -uv / Math.sqrt(uu * vv));
  }
}
