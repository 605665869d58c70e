package isokinon.server.work;

import isokinon.core.life.WeibullPosterior;
import isokinon.server.store.PumpRow;
import isokinon.server.store.RunRow;
import java.util.ArrayList;
import java.util.List;

/**
 * When a fitted set will run out, for now from its fixed interval: intervals are taken to be set at
 * two thirds of the mean life (shop rule), and the finished runs of the same material in the same
 * duty here move that.
 */
final class Forecast {

  private static final double MEAN_OVER_INTERVAL = 1.5;
  private static final double FATIGUE = 2.5;
  private static final double ABRASION = 2.0;

  private final PumpRow pump;
  private final List<RunRow> runs;
  private final WeibullPosterior life;

  Forecast(PumpRow pump, List<RunRow> runs) {
    this.pump = pump;
    this.runs = runs;
    double shape = pump.role().equals("diaphragm") ? FATIGUE : ABRASION;
    this.life =
        WeibullPosterior.of(
            shape,
            MEAN_OVER_INTERVAL * pump.intervalHours(),
            WeibullPosterior.LIBRARY_STRENGTH,
            runs.stream().map(r -> new WeibullPosterior.Run(r.hours(), r.failed())).toList());
  }

  /** Chance of failing within {@code days}. */
  double risk(double days) {
    return life.risk(pump.age(), days * pump.hoursPerDay());
  }

  /** Days from now to the mean end of a set of this age. */
  double expectedDays() {
    double median = 1;
    double survives = life.survival(pump.age());
    while (life.survival(pump.age() + median * pump.hoursPerDay()) > survives / 2
        && median < 3000) {
      median *= 1.05;
    }
    return median;
  }

  /** Days from now to the end of the fixed interval, negative when past. */
  double dueDays() {
    return (pump.intervalHours() - pump.age()) / pump.hoursPerDay();
  }

  /** Density of the failure day over the days ahead, per day, given the age reached. */
  List<Floor.LensPoint> lens(int daysAhead, int points) {
    double step = (double) daysAhead / points;
    double now = life.survival(pump.age());
    List<Floor.LensPoint> lens = new ArrayList<>();
    for (int i = 0; i <= points; i++) {
      double from = life.survival(pump.age() + i * step * pump.hoursPerDay());
      double to = life.survival(pump.age() + (i + 1) * step * pump.hoursPerDay());
      lens.add(new Floor.LensPoint(i * step, (from - to) / now / step));
    }
    return lens;
  }

  /** The reason for the forecast in one sentence. */
  String because() {
    List<RunRow> failed = runs.stream().filter(RunRow::failed).toList();
    String age = Words.plain(Math.round(pump.age()));
    if (runs.isEmpty()) {
      return "No finished run of "
          + pump.material()
          + " in this duty here. The band comes from the fixed interval of "
          + Words.plain(pump.intervalHours())
          + " h alone.";
    }
    String gaveOut =
        failed.isEmpty()
            ? "None of the "
                + Words.count(runs.size(), pump.material() + " set")
                + " finished here failed"
            : failed.size()
                + " of "
                + Words.count(runs.size(), pump.material() + " set")
                + " here gave out, "
                + ages(failed);
    return gaveOut + ". This one is at " + age + " h.";
  }

  private static String ages(List<RunRow> failed) {
    List<String> ages =
        failed.stream()
            .mapToLong(r -> Math.round(r.hours()))
            .sorted()
            .mapToObj(Words::plain)
            .toList();
    String first = ages.get(0);
    String last = ages.get(ages.size() - 1);
    return ages.size() == 1 ? "at " + last + " h" : "between " + first + " and " + last + " h";
  }
}
