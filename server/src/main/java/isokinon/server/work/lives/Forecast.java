package isokinon.server.work.lives;

import isokinon.core.life.LifeEstimate;
import isokinon.core.life.Survival;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.work.lives.LifeSnapshot.Life;
import isokinon.server.work.shared.Text;
import java.util.ArrayList;
import java.util.List;

/** When a fitted set will run out, from the life of its group and how much the pump runs. */
public final class Forecast {

  private static final double SURVIVES = 0.005;

  /** Densities are drawn, not reckoned with: six digits behind the point are plenty. */
  private static final double DRAWN = 1e6;

  private final Life life;
  private final LifeEstimate estimate;
  private final Survival ofRunning;
  private final String fluid;

  /**
   * A forecast.
   *
   * @param fluid what the duty group is called; empty where it moves air
   */
  Forecast(Life life, String fluid) {
    this.life = life;
    this.estimate = life.estimate();
    this.ofRunning = life.ofRunning();
    this.fluid = fluid;
  }

  /** Chance of failing within {@code days}. */
  public double risk(double days) {
    return ofRunning.risk(life.age(), days * life.perDay());
  }

  /** Days from now until half of the sets that reached this age have failed. */
  public double expectedDays() {
    double half = ofRunning.quantile(1 - Math.max(SURVIVES, ofRunning.survival(life.age())) / 2);
    return Math.max(1, (half - life.age()) / life.perDay());
  }

  /**
   * Density of the failure day over the days ahead, per day, given the age reached, at {@code
   * points} even steps and the end.
   */
  public List<Double> lens(int daysAhead, int points) {
    double step = (double) daysAhead / points;
    List<Double> lens = new ArrayList<>();
    double failed = 0;
    for (int i = 0; i <= points; i++) {
      double then = ofRunning.risk(life.age(), (i + 1) * step * life.perDay());
      lens.add(Math.round((then - failed) / step * DRAWN) / DRAWN);
      failed = then;
    }
    return lens;
  }

  /** Ages at which sets like it failed, as hours of this pump, lowest first. */
  public List<Double> failedAt() {
    return life.known().failedAt().stream().map(life::hours).toList();
  }

  /** What it means to change at the interval, or to wait until a set fails, as a sentence. */
  public String risk(boolean untilItFails) {
    PumpRow pump = life.standing().pump();
    String from =
        life.known().finished() == 0
            ? "no run here yet"
            : "from " + Text.count(life.known().finished(), "run") + " here";
    String sets =
        untilItFails
            ? "Half of the sets of "
                + pump.material()
                + " are done by "
                + Text.plain(Math.round(life.hours(estimate.quantile(0.5)) / 10) * 10L)
                + " h"
            : "About "
                + Math.round(100 * (1 - estimate.survival(pump.intervalHours() * life.perHour())))
                + " % of the sets of "
                + pump.material()
                + " fail before "
                + Text.plain(pump.intervalHours())
                + " h";
    return sets + " (" + from + ").";
  }

  /** The reason for the forecast in one or two sentences. */
  public String because() {
    PumpRow pump = life.standing().pump();
    String at = "This one is at " + Text.plain(Math.round(life.standing().pump().age())) + " h.";
    if (life.known().finished() == 0) {
      return "No finished run of " + pump.material() + where() + ". " + expected() + " " + at;
    }
    String sets = Text.count(life.known().finished(), pump.material() + " set");
    List<Double> failed = life.known().failedAt();
    String gaveOut =
        failed.isEmpty()
            ? "None of " + sets + where() + " failed"
            : failed.size() + " of " + sets + where() + " gave out, " + ages(failed);
    return gaveOut + ". " + at;
  }

  private String where() {
    String duty = fluid.isEmpty() ? " in this duty" : " in " + Text.inSentence(fluid);
    return switch (life.group().level()) {
      case PUMP -> " in this pump";
      case CONSTRUCTION -> duty + " in pumps like it";
      case DUTY -> duty;
      case ANY_DUTY -> " in any duty";
    };
  }

  private String expected() {
    String mean = Text.plain(Math.round(life.standing().prior().hours() / 10) * 10L) + " h";
    return life.standing().prior().fromLibrary()
        ? "The library expects a mean of " + mean + "."
        : "The library knows no life in this duty; a mean of " + mean + " is taken.";
  }

  private String ages(List<Double> failed) {
    String first = Text.plain(Math.round(life.hours(failed.get(0))));
    String last = Text.plain(Math.round(life.hours(failed.get(failed.size() - 1))));
    return first.equals(last) ? "at " + last + " h" : "between " + first + " and " + last + " h";
  }
}
