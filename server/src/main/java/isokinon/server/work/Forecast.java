package isokinon.server.work;

import isokinon.core.life.WeibullPosterior;
import isokinon.server.store.PumpRow;
import java.util.ArrayList;
import java.util.List;

/**
 * When a fitted set will run out, for now from its fixed interval: intervals are taken to be set at
 * two thirds of the mean life (shop rule), and the finished runs of the same material in the same
 * duty here move that.
 */
final class Forecast {

  private static final double MEAN_OVER_INTERVAL = 1.5;

  private final PumpRow pump;
  private final RunGroup group;
  private final WeibullPosterior life;

  Forecast(PumpRow pump, RunGroup group) {
    this.pump = pump;
    this.group = group;
    this.life =
        WeibullPosterior.of(
            MEAN_OVER_INTERVAL * pump.intervalHours(),
            WeibullPosterior.LIBRARY_STRENGTH,
            group.evidence());
  }

  /** Chance of failing within {@code days}. */
  double risk(double days) {
    return life.risk(pump.age(), days * pump.hoursPerDay());
  }

  /** Days from now until half of the sets that reached this age have failed. */
  double expectedDays() {
    double half = life.quantile(1 - life.survival(pump.age()) / 2);
    return Math.max(1, (half - pump.age()) / pump.hoursPerDay());
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

  /** What it means to change at the interval, or to wait until a set fails, as a sentence. */
  String risk(boolean untilItFails) {
    String from =
        group.runs() == 0
            ? "no run here yet, from the interval alone"
            : "from " + Words.count(group.runs(), "run") + " here";
    String sets =
        untilItFails
            ? "Half of the sets of "
                + pump.material()
                + " are done by "
                + Words.plain(Math.round(life.quantile(0.5) / 10) * 10L)
                + " h"
            : "About "
                + Math.round(100 * (1 - life.survival(pump.intervalHours())))
                + " % of the sets of "
                + pump.material()
                + " fail before "
                + Words.plain(pump.intervalHours())
                + " h";
    return sets + " (" + from + ").";
  }

  /** The reason for the forecast in one sentence. */
  String because() {
    String sets = Words.count(group.runs(), pump.material() + " set");
    if (group.runs() == 0) {
      return "No finished run of "
          + pump.material()
          + " in this duty here. The band comes from the fixed interval of "
          + Words.plain(pump.intervalHours())
          + " h alone.";
    }
    String gaveOut =
        group.failedAt().isEmpty()
            ? "None of the " + sets + " finished here failed"
            : group.failedAt().size() + " of " + sets + " here gave out, " + ages();
    return gaveOut + ". This one is at " + Words.plain(Math.round(pump.age())) + " h.";
  }

  private String ages() {
    String first = Words.plain(Math.round(group.failedAt().get(0)));
    String last = Words.plain(Math.round(group.failedAt().get(group.failedAt().size() - 1)));
    return group.failedAt().size() == 1
        ? "at " + last + " h"
        : "between " + first + " and " + last + " h";
  }
}
