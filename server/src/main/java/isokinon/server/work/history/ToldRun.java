package isokinon.server.work.history;

import isokinon.core.life.history.RunEnd;
import isokinon.core.life.history.Stints.Stint;
import isokinon.core.value.Code;
import isokinon.core.value.Fault;
import isokinon.server.work.shared.Text;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A run of a wear part as a line of a table tells it.
 *
 * @param row texts by column: numbers and days as every machine reads them, empty where the line
 *     says nothing
 */
public record ToldRun(Map<String, String> row) {

  private static final double HOURS_OF_A_DAY = 24;
  private static final double SAME_HOURS = 0.5;

  /** What stands in a column. */
  public String at(String column) {
    return row.get(column);
  }

  /** The number in a column; empty where there is none. */
  public Optional<Double> number(String column) {
    String value = row.get(column);
    return value.isEmpty() ? Optional.empty() : Optional.of(Double.valueOf(value));
  }

  /** Whether it names no day on which the part came out. */
  public boolean isRunning() {
    return at("ended_on").isEmpty();
  }

  /** How it ended; one that does not say so still runs. */
  public RunEnd end() {
    return Code.parse(RunEnd.class, at("ended")).orElse(RunEnd.RUNNING);
  }

  /** The day on which the part went in. */
  public LocalDate fitted() {
    return LocalDate.parse(at("fitted_on"));
  }

  /** The day on which it came out; empty while it runs. */
  public Optional<LocalDate> ended() {
    return isRunning() ? Optional.empty() : Optional.of(LocalDate.parse(at("ended_on")));
  }

  /** Hours run in this place: as they were told, or what the hour counter gained meanwhile. */
  public Optional<Double> hours() {
    Optional<Double> in = number("counter_in");
    Optional<Double> out = number("counter_out");
    return number("hours").or(() -> in.flatMap(i -> out.filter(o -> o >= i).map(o -> o - i)));
  }

  /** The part in its place; {@code line} is 0 where it is recorded already. */
  public Stint stint(int line) {
    String place = at("place");
    return new Stint(
        line,
        at("tag") + ", " + at("role") + (place.isEmpty() ? "" : " " + place),
        at("part_serial"),
        fitted(),
        ended(),
        hours().orElse(0.0),
        end() == RunEnd.FAILED);
  }

  /** What is wrong with how it ended, its days and its hours; paths are columns. */
  public List<Fault> faults(LocalDate today) {
    List<Fault> faults = new ArrayList<>();
    if (at("ended").isEmpty() && !isRunning()) {
      faults.add(new Fault("ended", "It does not say whether it came out failed or sound."));
    } else if (isRunning() != (end() == RunEnd.RUNNING)) {
      faults.add(
          isRunning()
              ? new Fault("ended_on", "It does not say on which day it came out.")
              : new Fault("ended_on", "It came out, and is said to run still."));
    }
    LocalDate ended = ended().orElse(today);
    if (fitted().isAfter(ended)) {
      faults.add(
          isRunning()
              ? new Fault("fitted_on", "It did not go in on a day ahead.")
              : new Fault("ended_on", "It came out on " + ended + ", before it went in."));
    } else if (ended.isAfter(today)) {
      faults.add(new Fault("ended_on", "It comes out on " + ended + ", which lies ahead."));
    }
    if (hours().isEmpty()) {
      faults.add(noHours());
    } else {
      tooLong(hours().get(), ended).ifPresent(faults::add);
    }
    return faults;
  }

  private Optional<Fault> tooLong(double hours, LocalDate ended) {
    long days = ChronoUnit.DAYS.between(fitted(), ended) + 1;
    return days > 0 && hours > days * HOURS_OF_A_DAY
        ? Optional.of(
            new Fault(
                "hours",
                "It would have run "
                    + Text.plain(hours)
                    + " h in "
                    + Text.count(days, "day")
                    + "."))
        : Optional.empty();
  }

  private Fault noHours() {
    Optional<Double> in = number("counter_in");
    Optional<Double> out = number("counter_out");
    return in.isPresent() && out.isPresent()
        ? new Fault(
            "counter_out",
            "The hour counter went back from "
                + Text.plain(in.get())
                + " to "
                + Text.plain(out.get())
                + ": give the hours run.")
        : new Fault("hours", "Give the hours run, or the hour counter at fitting and at removal.");
  }

  /** Where it says otherwise than what is recorded of the same days; empty where it does not. */
  public Optional<Fault> otherThan(ToldRun recorded) {
    boolean sameHours =
        isRunning()
            || hours().isEmpty()
            || Math.abs(hours().get() - recorded.hours().orElse(0.0)) <= SAME_HOURS;
    boolean sameEnd = at("ended").isEmpty() || end() == recorded.end();
    return sameHours && sameEnd && at("material").equals(recorded.at("material"))
        ? Optional.empty()
        : Optional.of(
            new Fault(
                sameHours ? sameEnd ? "material" : "ended" : "hours",
                "A run of these days is recorded as "
                    + recorded.at("material")
                    + ", "
                    + recorded.hours().map(Text::plain).orElse("unknown")
                    + " h, "
                    + recorded.end().code()
                    + "."));
  }
}
