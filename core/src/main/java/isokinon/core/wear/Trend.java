package isokinon.core.wear;

import isokinon.core.value.InvalidQuantity;
import isokinon.core.value.Range;
import java.util.List;
import java.util.Optional;
import org.apache.commons.statistics.distribution.TDistribution;

/**
 * A straight line through readings over running hours, and when it crosses a limit. The band of the
 * crossing is Fieller's: the hours at which the limit lies within the 90 % band of the line.
 *
 * @param perHour slope, in the unit of the readings for each hour
 * @param atZero value at hour 0
 * @param crossing hour at which the line crosses the limit; empty where it does not move toward it
 * @param earliest early edge of the 90 % band; empty where the readings cannot tell
 * @param latest late edge of it; empty where the readings cannot tell
 */
public record Trend(
    double perHour,
    double atZero,
    Optional<Double> crossing,
    Optional<Double> earliest,
    Optional<Double> latest) {

  private static final double ONE_SIDED = 0.95;
  private static final double NORMAL = 1.6448536269514722;

  /** A reading at an hour, with the standard uncertainty of its gauge in the reading's unit. */
  public record Point(double hours, double value, double uncertainty) {}

  /**
   * The line through readings.
   *
   * @param points two or more, not all at the same hour
   * @param limit what is not to be crossed
   * @throws IllegalArgumentException naming what is wrong
   */
  public static Trend of(List<Point> points, double limit) {
    if (points.size() < 2) {
      throw new InvalidQuantity("points", "points: two or more are needed for a trend.");
    }
    for (Point p : points) {
      Range.check("hours", p.hours(), 0, 1e9);
      Range.check("value", p.value(), -1e9, 1e9);
      Range.check("uncertainty", p.uncertainty(), 0, 1e9);
    }
    Range.check("limit", limit, -1e9, 1e9);
    int n = points.size();
    double meanX = points.stream().mapToDouble(Point::hours).average().orElseThrow();
    double meanY = points.stream().mapToDouble(Point::value).average().orElseThrow();
    double sxx = points.stream().mapToDouble(p -> Math.pow(p.hours() - meanX, 2)).sum();
    if (sxx <= 0) {
      throw new InvalidQuantity("points", "points: all readings are of the same hour.");
    }
    double sxy = points.stream().mapToDouble(p -> (p.hours() - meanX) * (p.value() - meanY)).sum();
    double slope = sxy / sxx;
    double toGo = limit - meanY;
    double last = points.stream().mapToDouble(Point::hours).max().orElseThrow();
    Optional<Double> crossing =
        slope == 0 ? Optional.empty() : Optional.of(meanX + toGo / slope).filter(x -> x >= last);
    double half = reach(points, meanX, meanY, slope);
    // Fieller: (b² - h²/Sxx)z² - 2·b·d·z + d² - h²/n = 0 with z = x - mean, d = limit - mean.
    double a = slope * slope - half * half / sxx;
    double root = slope * slope * toGo * toGo - a * (toGo * toGo - half * half / n);
    boolean tells = crossing.isPresent() && a > 0 && root >= 0;
    return new Trend(
        slope,
        meanY - slope * meanX,
        crossing,
        tells
            ? Optional.of(Math.max(last, meanX + (slope * toGo - Math.sqrt(root)) / a))
            : Optional.empty(),
        tells
            ? Optional.of(Math.max(last, meanX + (slope * toGo + Math.sqrt(root)) / a))
            : Optional.empty());
  }

  /** Scatter of the readings about the line or what their gauges leave open, whichever is more. */
  private static double reach(List<Point> points, double meanX, double meanY, double slope) {
    int n = points.size();
    double gauge =
        Math.sqrt(
            points.stream()
                .mapToDouble(p -> p.uncertainty() * p.uncertainty())
                .average()
                .orElse(0));
    if (n < 3) {
      return NORMAL * gauge;
    }
    double squares =
        points.stream()
            .mapToDouble(p -> Math.pow(p.value() - meanY - slope * (p.hours() - meanX), 2))
            .sum();
    double scatter = Math.sqrt(squares / (n - 2));
    double t = TDistribution.of(n - 2).inverseCumulativeProbability(ONE_SIDED);
    return Math.max(NORMAL * gauge, t * scatter);
  }
}
