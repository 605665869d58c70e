package isokinon.core.life.frailty;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.commons.numbers.gamma.LogGamma;

/**
 * What is believed of the pumps of a group together: shape, mean life and spread are the same for
 * all of them and not known exactly, so that where one of them fails sooner than expected the
 * others are likely to as well. Lives are drawn from it at given probabilities, so that one luck
 * can be played again.
 */
public final class JointLives {

  /**
   * Points with less of the belief than this are left out; together they are under a thousandth.
   */
  private static final double HARDLY = 3e-7;

  private final Map<String, Integer> places = new HashMap<>();
  private final int[] failures;
  private final double[] shapes;
  private final double[][] logAgeSums;
  private final double meanLife;
  private final double step;
  private final int[] ofShape;
  private final float[] sigma;
  private final float[] scale;
  private final float[] upTo;

  private JointLives(
      List<String> pumps,
      int[] failures,
      double[] shapes,
      double[][] logAgeSums,
      double[] sigmas,
      double meanLife,
      double step,
      List<Point> points) {
    for (int p = 0; p < pumps.size(); p++) {
      places.put(pumps.get(p), p);
    }
    this.failures = failures;
    this.shapes = shapes;
    this.logAgeSums = logAgeSums;
    this.meanLife = meanLife;
    this.step = step;
    ofShape = points.stream().mapToInt(Point::shape).toArray();
    sigma = new float[ofShape.length];
    scale = new float[ofShape.length];
    upTo = new float[ofShape.length];
    double sum = 0;
    for (int n = 0; n < ofShape.length; n++) {
      sigma[n] = (float) sigmas[points.get(n).sigma()];
      scale[n] = (float) points.get(n).scale();
      sum += points.get(n).weight();
      upTo[n] = (float) sum;
    }
    for (int n = 0; n < ofShape.length; n++) {
      upTo[n] /= (float) sum;
    }
  }

  /** A point of the belief: which shape, which spread between pumps, ln scale, how likely. */
  private record Point(int shape, int sigma, double scale, double weight) {}

  /** Gathers the points of a walk over the posterior. */
  static final class Gathering {

    private final List<Point> points = new ArrayList<>();

    void add(int shape, int sigma, double scale, double weight) {
      points.add(new Point(shape, sigma, scale, weight));
    }

    /**
     * What was gathered, from the shortest mean life to the longest.
     *
     * @param failures of each pump
     * @param shapes by their places
     * @param sigmas by their places
     * @param logAgeSums for each shape, what the runs of each pump add up to, as the integral over
     *     its frailty asks for it
     * @param meanLife by the library, in the unit of the ages
     */
    JointLives made(
        List<String> pumps,
        int[] failures,
        double[] shapes,
        double[][] logAgeSums,
        double[] sigmas,
        double meanLife,
        double step) {
      double all = points.stream().mapToDouble(Point::weight).sum();
      double[] logMean = Arrays.stream(shapes).map(k -> LogGamma.value(1 + 1 / k)).toArray();
      return new JointLives(
          pumps,
          failures,
          shapes,
          logAgeSums,
          sigmas,
          meanLife,
          step,
          points.stream()
              .filter(p -> p.weight() > HARDLY * all)
              .sorted(Comparator.comparingDouble(p -> p.scale() + logMean[p.shape()]))
              .toList());
    }
  }

  /** The place of a pump in the group; -1 for one that is not in it, which is a new one. */
  public int place(String pump) {
    return places.getOrDefault(pump, -1);
  }

  /** Draws lives; for one thread at a time. */
  public Draws draws() {
    return new Draws();
  }

  /** Lives that are drawn from the belief. */
  public final class Draws {

    private final FrailtyIntegral integral = new FrailtyIntegral(step);
    private int point;

    private Draws() {}

    /**
     * Draws what all pumps of the group share.
     *
     * @param probability 0 to 1; the higher, the longer their mean life
     */
    public void group(double probability) {
      int place = Arrays.binarySearch(upTo, (float) probability);
      point = Math.min(upTo.length - 1, place < 0 ? -place - 1 : place);
    }

    /** The Weibull shape that was drawn for the group. */
    public double shape() {
      return shapes[ofShape[point]];
    }

    /**
     * The Weibull scale of one pump, in the unit of the ages, given what was drawn for the group
     * and what its own runs say.
     *
     * @param place of the pump in the group; -1 for a new one
     * @param probability 0 to 1; the higher, the longer its life
     */
    public double scale(int place, double probability) {
      boolean known = place >= 0;
      integral.integrate(
          shape(),
          sigma[point],
          scale[point],
          known ? failures[place] : 0,
          known ? logAgeSums[ofShape[point]][place] : Double.NEGATIVE_INFINITY);
      return meanLife * Math.exp(integral.quantile(probability));
    }
  }
}
