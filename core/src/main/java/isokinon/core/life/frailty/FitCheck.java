package isokinon.core.life.frailty;

import isokinon.core.life.Run;
import isokinon.core.value.Code;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.apache.commons.statistics.distribution.PoissonDistribution;

/**
 * Whether what is believed of a group and what happened in it agree, age by age: the failures in a
 * stretch of age beside those that the belief allows there, given how long each set was seen in it.
 * The allowance is the hazard run through, whose count is Poisson (the compensator of a counting
 * process).
 */
public final class FitCheck {

  /** Ends of the stretches, as shares of the middle life; the first holds what fails at once. */
  private static final double[] ENDS = {0.07, 0.35, 0.65, 1, 1.4};

  private static final double RARE = 0.01;

  private FitCheck() {}

  /** Whether failures and belief agree. */
  public enum Agreement implements Code {
    AGREES,
    MORE,
    FEWER
  }

  /**
   * A stretch of age, in mean lives of the library.
   *
   * @param to infinite at the last
   * @param failed sets that failed in it
   * @param low fewest that the belief allows nine times in ten
   * @param high most
   */
  public record Stretch(
      double from, double to, int failed, int low, int high, Agreement agreement) {}

  /**
   * The stretches of a group.
   *
   * @param pumps the runs that the belief comes from
   */
  public static List<Stretch> of(GroupPosterior group, List<PumpRuns> pumps) {
    double middle = group.newPump().quantile(0.5);
    Map<String, List<Run>> runs =
        pumps.stream().collect(Collectors.toMap(PumpRuns::pump, PumpRuns::runs));
    List<Stretch> stretches = new ArrayList<>();
    double from = 0;
    for (int i = 0; i <= ENDS.length; i++) {
      double to = i < ENDS.length ? ENDS[i] * middle : Double.POSITIVE_INFINITY;
      stretches.add(stretch(from, to, runs, group));
      from = to;
    }
    return stretches;
  }

  private static Stretch stretch(
      double from, double to, Map<String, List<Run>> runs, GroupPosterior group) {
    double allowed = 0;
    int failed = 0;
    for (Map.Entry<String, List<Run>> pump : runs.entrySet()) {
      for (Run r : pump.getValue()) {
        failed += r.failed() && r.age() >= from && r.age() < to ? 1 : 0;
      }
      allowed +=
          group
              .life(pump.getKey())
              .meanHazard(shape -> passed(pump.getValue(), from, to, a -> Math.pow(a, shape)));
    }
    if (allowed < 1e-6) {
      return new Stretch(from, to, failed, 0, 0, failed > 0 ? Agreement.MORE : Agreement.AGREES);
    }
    PoissonDistribution counts = PoissonDistribution.of(allowed);
    Agreement agreement =
        failed > 0 && counts.survivalProbability(failed - 1) < RARE
            ? Agreement.MORE
            : counts.cumulativeProbability(failed) < RARE ? Agreement.FEWER : Agreement.AGREES;
    return new Stretch(
        from,
        to,
        failed,
        counts.inverseCumulativeProbability(0.05),
        counts.inverseCumulativeProbability(0.95),
        agreement);
  }

  /** What the sets ran through of a rising function of age within a stretch, summed up. */
  private static double passed(
      List<Run> runs, double from, double to, Function<Double, Double> of) {
    double sum = 0;
    for (Run r : runs) {
      double start = Math.max(from, r.from());
      double end = Math.min(to, r.age());
      sum += end > start ? of.apply(end) - of.apply(start) : 0;
    }
    return sum;
  }
}
