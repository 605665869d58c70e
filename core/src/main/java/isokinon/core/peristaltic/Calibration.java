package isokinon.core.peristaltic;

import isokinon.core.value.InvalidQuantity;
import isokinon.core.value.Range;
import java.util.List;
import org.apache.commons.statistics.distribution.TDistribution;

/**
 * What a turn delivers, from runs into a measure, and whether the runs say so closely enough.
 *
 * @param mlPerTurn mean of the runs' ratios, mL
 * @param cvPct coefficient of variation with n - 1, %
 * @param halfWidthPct half the 95 % interval of the mean (Student's t), % of the mean
 * @param errorPct measured less set, % of set
 * @param moreRuns how many more runs the spread seen takes; 0 where it is accepted
 */
public record Calibration(
    double mlPerTurn, double cvPct, double halfWidthPct, double errorPct, int moreRuns) {

  /** Fewest runs that say anything of repeatability. */
  public static final int FEWEST = 3;

  private static final double CONFIDENCE = 0.975;
  private static final int MOST_RUNS = 1000;

  /** One run: turns of the head and what came out, mL. */
  public record Run(double turns, double ml) {}

  /**
   * The calibration from runs.
   *
   * @param runs three or more
   * @param setMlPerTurn what the controller reckons with, mL, over 0
   * @param acceptedPct half-width that is accepted, % of the mean
   * @throws IllegalArgumentException naming the value that is out of range
   */
  public static Calibration of(List<Run> runs, double setMlPerTurn, double acceptedPct) {
    Range.check("setMlPerTurn", setMlPerTurn, 1e-6, 1e6);
    Range.check("acceptedPct", acceptedPct, 1e-3, 100);
    if (runs.size() < FEWEST) {
      throw new InvalidQuantity(
          "runs", "runs: " + FEWEST + " or more are needed; " + runs.size() + " were given.");
    }
    for (int i = 0; i < runs.size(); i++) {
      Range.check("runs[" + i + "].turns", runs.get(i).turns(), 1e-6, 1e9);
      Range.check("runs[" + i + "].ml", runs.get(i).ml(), 0, 1e9);
    }
    int n = runs.size();
    double mean = runs.stream().mapToDouble(r -> r.ml() / r.turns()).average().orElseThrow();
    if (mean <= 0) {
      throw new InvalidQuantity("runs", "runs: nothing came out in any of them.");
    }
    double squares = runs.stream().mapToDouble(r -> Math.pow(r.ml() / r.turns() - mean, 2)).sum();
    double deviation = Math.sqrt(squares / (n - 1));
    return new Calibration(
        mean,
        100 * deviation / mean,
        halfWidthPct(deviation, mean, n),
        100 * (mean - setMlPerTurn) / setMlPerTurn,
        more(deviation, mean, n, acceptedPct));
  }

  private static double halfWidthPct(double deviation, double mean, int n) {
    double t = TDistribution.of(n - 1).inverseCumulativeProbability(CONFIDENCE);
    return 100 * t * deviation / Math.sqrt(n) / mean;
  }

  /**
   * Runs until the half-width is accepted at the spread seen, found by trying one more each time.
   */
  private static int more(double deviation, double mean, int n, double acceptedPct) {
    int needed = n;
    while (halfWidthPct(deviation, mean, needed) > acceptedPct && needed < MOST_RUNS) {
      needed++;
    }
    return needed - n;
  }
}
