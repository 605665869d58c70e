package isokinon.core.life.frailty;

import isokinon.core.life.Run;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.apache.commons.numbers.gamma.LogGamma;

/**
 * Lives of a group of pumps together: a part in pump j lives by a Weibull of shape k and scale η_j,
 * ln η_j = ln η + σ·z_j, with z_j standard normal, the frailty of the pump. Failed at t counts the
 * density, sound or running at t the survival, seen only from an age on divides by the survival
 * there. What is believed of k, of the mean life and of σ beforehand is a {@link FrailtyPrior}.
 *
 * <p>Quadrature, not sampling: even steps over (ln k, σ) where the posterior lies, found by looking
 * ever closer; for each of them even steps over ln η from its summit; for each pump even steps over
 * z. The same question has the same answer to the last digit. Cost: some 3 000 points times pumps,
 * and some 60 powers for each run.
 */
public final class FrailtyModel {

  /** How far under the summit, in ln, a point still counts. */
  private static final double REACH = 10;

  private static final double SHAPE_REACH = 6;
  private static final double BETWEEN_REACH = 5;
  private static final double LEAST_SHAPE = 0.1;
  private static final double MOST_SHAPE = 60;
  private static final int SHAPES_LOOKED_AT = 13;
  private static final int BETWEEN_LOOKED_AT = 9;
  private static final int MOST_LOOKS = 8;
  private static final int FEWEST_POINTS = 7;
  private static final int MOST_POINTS = 61;
  private static final int MOST_STEPS = 200;

  /** The search for a summit begins no further below it than this in ln hazard. */
  private static final double FAR = 2;

  private static final double LONGEST_STEP = 1;

  /** Steps in standard deviations: an even step under one leaves hardly an error in a bell. */
  private static final double STEP = 0.8;

  private final FrailtyPrior prior;
  private final List<PumpRuns> pumps;
  private final double finer;
  private final FrailtyIntegral integral;

  // Of each pump: ages relative to its oldest run, and ln of that relative to the library's mean
  // life.
  private final double[][] ages;
  private final double[][] from;
  private final double[] logOldest;
  private final int[] failures;
  private final int allFailures;
  private final double logAges;

  private FrailtyModel(FrailtyPrior prior, List<PumpRuns> pumps, double finer) {
    this.prior = prior;
    this.pumps = pumps;
    this.finer = finer;
    this.integral = new FrailtyIntegral(STEP / finer);
    ages = new double[pumps.size()][];
    from = new double[pumps.size()][];
    logOldest = new double[pumps.size()];
    failures = new int[pumps.size()];
    double logs = 0;
    int failed = 0;
    for (int p = 0; p < pumps.size(); p++) {
      List<Run> runs = pumps.get(p).telling(prior.meanLife());
      double oldest = runs.stream().mapToDouble(Run::age).max().orElse(prior.meanLife());
      logOldest[p] = Math.log(oldest / prior.meanLife());
      ages[p] = runs.stream().mapToDouble(r -> r.age() / oldest).toArray();
      from[p] =
          runs.stream().filter(r -> r.from() > 0).mapToDouble(r -> r.from() / oldest).toArray();
      for (Run r : runs) {
        if (r.failed()) {
          failures[p]++;
          logs += Math.log(r.age() / prior.meanLife());
        }
      }
      failed += failures[p];
    }
    allFailures = failed;
    logAges = logs;
  }

  /**
   * What is believed of a group once its runs are known.
   *
   * @param pumps with their runs; one without runs, and no pump at all, are allowed
   */
  public static GroupPosterior fit(FrailtyPrior prior, List<PumpRuns> pumps) {
    return fit(prior, pumps, 1);
  }

  /** The same with every step so many times finer. */
  static GroupPosterior fit(FrailtyPrior prior, List<PumpRuns> pumps, double finer) {
    return new FrailtyModel(prior, pumps, finer).posterior();
  }

  /** What the runs say at one shape. */
  private record AtShape(
      double shape, double[] logAgeSums, double logConstant, double centre, double least) {}

  private AtShape at(double logShape) {
    double shape = Math.exp(logShape);
    double[] sums = new double[pumps.size()];
    double most = Double.NEGATIVE_INFINITY;
    for (int p = 0; p < sums.length; p++) {
      double sum = 0;
      for (double age : ages[p]) {
        sum += Math.pow(age, shape);
      }
      for (double age : from[p]) {
        sum -= Math.pow(age, shape);
      }
      sums[p] = Math.log(Math.max(0, sum)) + shape * logOldest[p];
      most = Math.max(most, sums[p]);
    }
    double off = (logShape - Math.log(prior.shape())) / prior.shapeSpread();
    return new AtShape(
        shape,
        sums,
        allFailures * logShape + (shape - 1) * logAges - off * off / 2,
        -LogGamma.value(1 + 1 / shape),
        (most - Math.log(1 + allFailures) - FAR) / shape);
  }

  /** Summit over ln η at a shape and a σ: where, how wide, and ln of what lies under it. */
  private record Summit(double scale, double width, double logWeight) {}

  private Summit summit(AtShape at, double sigma, double start) {
    double scale = Math.max(start, at.least());
    double narrow = 1 / (prior.meanSpread() * prior.meanSpread());
    double value = 0;
    double bend = narrow;
    for (int i = 0; i < MOST_STEPS; i++) {
      double off = scale - at.centre();
      double slope = -off * narrow;
      value = -off * off * narrow / 2;
      bend = narrow;
      for (int p = 0; p < pumps.size(); p++) {
        if (ages[p].length > 0) {
          value += integral.summit(at.shape(), sigma, scale, failures[p], at.logAgeSums()[p]);
          slope += integral.slope();
          bend -= integral.bend();
        }
      }
      double move = Math.max(-LONGEST_STEP, Math.min(LONGEST_STEP, slope / bend));
      if (Math.abs(move) < 1e-7) {
        break;
      }
      scale += move;
    }
    double between = sigma / FrailtyPrior.BETWEEN_SCALE;
    return new Summit(
        scale,
        1 / Math.sqrt(bend),
        value - Math.log(bend) / 2 + at.logConstant() - between * between / 2);
  }

  /** Part of the plane of (ln k, σ). */
  private record Window(double shapeLow, double shapeHigh, double low, double high) {

    double shape(int i, int steps) {
      return shapeLow + (shapeHigh - shapeLow) * i / steps;
    }

    double between(int j, int steps) {
      return low + (high - low) * j / steps;
    }
  }

  /** The window that holds the posterior, with its widths. */
  private record Found(Window window, double shapeWidth, double betweenWidth, double start) {}

  private Found find() {
    double middle = Math.log(prior.shape());
    double reach = SHAPE_REACH * prior.shapeSpread();
    Window all =
        new Window(
            Math.max(Math.log(LEAST_SHAPE), middle - reach),
            Math.min(Math.log(MOST_SHAPE), middle + reach),
            0,
            BETWEEN_REACH * FrailtyPrior.BETWEEN_SCALE);
    Window w = all;
    Found found = null;
    for (int look = 0; look < MOST_LOOKS; look++) {
      found = look(w);
      Window next = found.window();
      boolean settled =
          next.shapeHigh() - next.shapeLow() > 0.6 * (w.shapeHigh() - w.shapeLow())
              && next.high() - next.low() > 0.6 * (w.high() - w.low());
      w = next;
      if (settled) {
        break;
      }
    }
    return found;
  }

  private Found look(Window w) {
    double[][] value = new double[SHAPES_LOOKED_AT][BETWEEN_LOOKED_AT];
    double most = Double.NEGATIVE_INFINITY;
    double start = 0;
    double at = 0;
    for (int i = 0; i < SHAPES_LOOKED_AT; i++) {
      AtShape shape = at(w.shape(i, SHAPES_LOOKED_AT - 1));
      for (int j = 0; j < BETWEEN_LOOKED_AT; j++) {
        Summit s = summit(shape, w.between(j, BETWEEN_LOOKED_AT - 1), start);
        start = s.scale();
        value[i][j] = s.logWeight();
        if (value[i][j] > most) {
          most = value[i][j];
          at = s.scale();
        }
      }
    }
    int left = SHAPES_LOOKED_AT;
    int right = 0;
    int low = BETWEEN_LOOKED_AT;
    int high = 0;
    double[] byShape = new double[SHAPES_LOOKED_AT];
    double[] byBetween = new double[BETWEEN_LOOKED_AT];
    for (int i = 0; i < SHAPES_LOOKED_AT; i++) {
      for (int j = 0; j < BETWEEN_LOOKED_AT; j++) {
        if (value[i][j] > most - REACH) {
          left = Math.min(left, i);
          right = Math.max(right, i);
          low = Math.min(low, j);
          high = Math.max(high, j);
        }
        double weight = Math.exp(value[i][j] - most);
        byShape[i] += weight;
        byBetween[j] += weight * (j == 0 && w.low() == 0 ? 0.5 : 1);
      }
    }
    double shapeStep = (w.shapeHigh() - w.shapeLow()) / (SHAPES_LOOKED_AT - 1);
    double betweenStep = (w.high() - w.low()) / (BETWEEN_LOOKED_AT - 1);
    Window next =
        new Window(
            w.shape(Math.max(0, left - 1), SHAPES_LOOKED_AT - 1),
            w.shape(Math.min(SHAPES_LOOKED_AT - 1, right + 1), SHAPES_LOOKED_AT - 1),
            w.between(Math.max(0, low - 1), BETWEEN_LOOKED_AT - 1),
            w.between(Math.min(BETWEEN_LOOKED_AT - 1, high + 1), BETWEEN_LOOKED_AT - 1));
    return new Found(next, shapeStep * deviation(byShape), betweenStep * deviation(byBetween), at);
  }

  /** Standard deviation of weights on even steps, in steps; at least a quarter of one. */
  private static double deviation(double[] weights) {
    double sum = 0;
    double first = 0;
    double second = 0;
    for (int i = 0; i < weights.length; i++) {
      sum += weights[i];
      first += i * weights[i];
      second += i * i * weights[i];
    }
    double mean = first / sum;
    return Math.sqrt(Math.max(1.0 / 16, second / sum - mean * mean));
  }

  private double[] steps(double low, double high, double width) {
    int steps =
        (int)
            Math.min(
                MOST_POINTS * finer,
                Math.max(FEWEST_POINTS * finer, Math.ceil((high - low) / (STEP * width) * finer)));
    double[] at = new double[steps + 1];
    for (int i = 0; i <= steps; i++) {
      at[i] = low + (high - low) * i / steps;
    }
    return at;
  }

  private GroupPosterior posterior() {
    Found found = find();
    Window w = found.window();
    double[] logShapes = steps(w.shapeLow(), w.shapeHigh(), found.shapeWidth());
    double[] sigmas = steps(w.low(), w.high(), found.betweenWidth());
    int all = pumps.size() + 1;
    Gathered gathered = new Gathered(all, logShapes.length, sigmas.length);
    PumpAtoms[] atoms = new PumpAtoms[all];
    Arrays.setAll(atoms, p -> new PumpAtoms());
    double most = Double.NEGATIVE_INFINITY;
    Summit[][] summits = new Summit[logShapes.length][sigmas.length];
    AtShape[] shapes = new AtShape[logShapes.length];
    for (int i = 0; i < logShapes.length; i++) {
      shapes[i] = at(logShapes[i]);
      double start = found.start();
      for (int j = 0; j < sigmas.length; j++) {
        summits[i][j] = summit(shapes[i], sigmas[j], start);
        start = summits[i][j].scale();
        most = Math.max(most, summits[i][j].logWeight());
      }
    }
    for (int i = 0; i < logShapes.length; i++) {
      for (PumpAtoms a : atoms) {
        a.clear();
      }
      for (int j = 0; j < sigmas.length; j++) {
        if (summits[i][j].logWeight() > most - REACH - 3) {
          double ofEdge = j == 0 && sigmas[0] == 0 ? 0.5 : 1;
          gather(
              shapes[i], sigmas[j], summits[i][j], Math.log(ofEdge) - most, atoms, gathered, i, j);
        }
      }
      for (int p = 0; p < all; p++) {
        gathered.put(p, i, atoms[p].onSteps(finer));
      }
    }
    double[][] sums = Arrays.stream(shapes).map(AtShape::logAgeSums).toArray(double[][]::new);
    return gathered.posterior(prior, pumps, failures, sums, logShapes, sigmas, STEP / finer);
  }

  /** Walks ln η from its summit to both sides. */
  private void gather(
      AtShape shape,
      double sigma,
      Summit summit,
      double offset,
      PumpAtoms[] atoms,
      Gathered gathered,
      int i,
      int j) {
    double step = STEP / finer * summit.width();
    double peak = Double.NEGATIVE_INFINITY;
    for (int side = -1; side <= 1; side += 2) {
      for (int n = side < 0 ? -1 : 0; Math.abs(n) < MOST_POINTS * finer; n += side) {
        double scale = summit.scale() + n * step;
        List<double[][]> points = new ArrayList<>(pumps.size() + 1);
        double log = logWeight(shape, sigma, scale, points);
        double weight = Math.exp(log + offset) * step;
        peak = Math.max(peak, log);
        spread(points, weight, scale, atoms, gathered);
        gathered.add(i, j, scale, weight);
        if (log < peak - REACH) {
          break;
        }
      }
    }
  }

  private double logWeight(AtShape shape, double sigma, double scale, List<double[][]> points) {
    double off = (scale - shape.centre()) / prior.meanSpread();
    double between = sigma / FrailtyPrior.BETWEEN_SCALE;
    double log = shape.logConstant() - off * off / 2 - between * between / 2;
    for (int p = 0; p <= pumps.size(); p++) {
      boolean known = p < pumps.size();
      log +=
          integral.integrate(
              shape.shape(),
              sigma,
              scale,
              known ? failures[p] : 0,
              known ? shape.logAgeSums()[p] : Double.NEGATIVE_INFINITY);
      double[][] of = new double[2][integral.points()];
      for (int n = 0; n < of[0].length; n++) {
        of[0][n] = integral.at(n);
        of[1][n] = integral.share(n);
      }
      points.add(of);
    }
    return log;
  }

  private static void spread(
      List<double[][]> points, double weight, double scale, PumpAtoms[] atoms, Gathered gathered) {
    for (int p = 0; p < atoms.length; p++) {
      double[][] of = points.get(p);
      for (int n = 0; n < of[0].length; n++) {
        atoms[p].add(of[0][n], weight * of[1][n]);
        gathered.frailty(p, of[0][n] - scale, weight * of[1][n]);
      }
    }
  }
}
