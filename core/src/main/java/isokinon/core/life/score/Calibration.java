package isokinon.core.life.score;

import java.util.ArrayList;
import java.util.List;

/**
 * How often forecasts were right.
 *
 * @param all of them together
 * @param bins by what was said; those without a forecast are left out
 * @param skill how much nearer they came than saying the average each time: 1 less their mean
 *     square error by that of the average (Brier 1950); 0 where nothing or everything failed
 */
public record Calibration(Bin all, List<Bin> bins, double skill) {

  private static final double[] EDGES = {0, 0.02, 0.05, 0.1, 0.2, 0.35, 0.55, 1};

  private static final double LOW = 0.05;
  private static final double HIGH = 0.95;

  /**
   * Forecasts that said about the same.
   *
   * @param from chance that was said
   * @param sets how many
   * @param said mean of the chances
   * @param failed how many failed
   * @param low fewest failures that luck allows, nine times in ten, if the forecasts are right
   * @param high most of them
   */
  public record Bin(double from, double to, int sets, double said, int failed, int low, int high) {

    private static Bin of(double from, double to, List<Scored> sets) {
      FailureCount count = new FailureCount(sets);
      return new Bin(
          from,
          to,
          sets.size(),
          sets.stream().mapToDouble(Scored::said).average().orElse(0),
          (int) sets.stream().filter(Scored::failed).count(),
          count.quantile(LOW),
          count.quantile(HIGH));
    }

    /** Whether more or fewer failed than luck allows. */
    public boolean parts() {
      return failed < low || failed > high;
    }
  }

  /** Of some forecasts. */
  public static Calibration of(List<Scored> sets) {
    List<Bin> bins = new ArrayList<>();
    for (int i = 0; i + 1 < EDGES.length; i++) {
      double from = EDGES[i];
      double to = EDGES[i + 1];
      List<Scored> in =
          sets.stream().filter(s -> s.said() >= from && (s.said() < to || to == 1)).toList();
      if (!in.isEmpty()) {
        bins.add(Bin.of(from, to, in));
      }
    }
    return new Calibration(Bin.of(0, 1, sets), bins, skill(sets));
  }

  private static double skill(List<Scored> sets) {
    double average = sets.stream().mapToDouble(s -> s.failed() ? 1 : 0).average().orElse(0);
    double square = 0;
    double plain = 0;
    for (Scored s : sets) {
      double came = s.failed() ? 1 : 0;
      square += (came - s.said()) * (came - s.said());
      plain += (came - average) * (came - average);
    }
    return plain == 0 ? 0 : 1 - square / plain;
  }
}
