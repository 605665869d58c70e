package isokinon.core.counter;

import isokinon.core.value.Code;
import isokinon.core.value.Fault;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * What the readings of one counter add up to. A counter only goes up; one that stands lower than
 * before was set back or replaced and counts on from nothing. An hour counter cannot gain more than
 * the clock did.
 */
public final class CounterLog {

  /** What a counter counts. */
  public enum Kind implements Code {
    HOURS,
    STROKES
  }

  /**
   * A reading.
   *
   * @param line where it comes from, for what is said about it
   * @param at when it was taken
   * @param value what the counter showed, hours or strokes
   */
  public record Reading(int line, Instant at, double value) {}

  /**
   * What readings come to.
   *
   * @param gained hours or strokes run since the reading before them all
   * @param resets how often the counter was set back
   * @param repeated how many readings were known already
   * @param last the latest reading; empty where all were known
   * @param added the readings that are new, in the order of time, each with what it gained
   * @param faults readings that cannot be; nothing is gained where there is one
   */
  public record Result(
      double gained,
      int resets,
      int repeated,
      Optional<Reading> last,
      List<Added> added,
      List<Fault> faults) {

    static Result wrong(int repeated, List<Fault> faults) {
      return new Result(0, 0, repeated, Optional.empty(), List.of(), List.copyOf(faults));
    }
  }

  /** A reading that is new, and hours or strokes run since the one before it. */
  public record Added(Reading reading, double gained) {}

  /** Clocks of two devices may differ by this much. */
  private static final Duration SLACK = Duration.ofMinutes(15);

  private static final double MOST = 1e12;

  private CounterLog() {}

  /**
   * Adds readings to what is known.
   *
   * @param known readings recorded before, in any order
   * @param baseline what the counter stood at when nothing was recorded yet; empty where nobody
   *     knows, and the first reading only says where it stands
   * @param fresh readings to add, in any order
   */
  public static Result add(
      Kind kind, List<Reading> known, Optional<Double> baseline, List<Reading> fresh) {
    List<Fault> faults = new ArrayList<>();
    List<Reading> toAdd = new ArrayList<>();
    int repeated = 0;
    for (Reading r : sorted(fresh)) {
      if (!(r.value() >= 0 && r.value() <= MOST)) {
        faults.add(
            Fault.inLine(
                r.line(), "A counter shows 0 or more; " + r.value() + " is not a reading."));
        continue;
      }
      Optional<Reading> same = same(known, r).or(() -> same(toAdd, r));
      if (same.isPresent() && same.get().value() == r.value()) {
        repeated++;
      } else if (same.isPresent()) {
        faults.add(
            Fault.inLine(
                r.line(),
                "At this moment "
                    + same.get().value()
                    + " is recorded already; "
                    + r.value()
                    + " cannot stand beside it."));
      } else {
        toAdd.add(r);
      }
    }
    Optional<Reading> latestKnown = known.stream().max(Comparator.comparing(Reading::at));
    toAdd.stream()
        .filter(r -> latestKnown.isPresent() && r.at().isBefore(latestKnown.get().at()))
        .forEach(
            r ->
                faults.add(
                    Fault.inLine(
                        r.line(),
                        "A later reading is recorded already; one from before it changes nothing"
                            + " that was counted.")));
    return faults.isEmpty()
        ? summed(kind, latestKnown, baseline, toAdd, repeated)
        : Result.wrong(repeated, faults);
  }

  private static Result summed(
      Kind kind,
      Optional<Reading> latestKnown,
      Optional<Double> baseline,
      List<Reading> toAdd,
      int repeated) {
    List<Fault> faults = new ArrayList<>();
    double gained = 0;
    List<Added> added = new ArrayList<>();
    int resets = 0;
    Optional<Instant> before = latestKnown.map(Reading::at);
    Optional<Double> stood = latestKnown.map(Reading::value).or(() -> baseline);
    for (Reading r : toAdd) {
      double gainedBefore = gained;
      if (stood.isPresent()) {
        boolean back = r.value() < stood.get();
        double more = back ? r.value() : r.value() - stood.get();
        if (kind == Kind.HOURS && before.isPresent() && tooFast(more, before.get(), r.at())) {
          faults.add(
              Fault.inLine(
                  r.line(),
                  "It would have run "
                      + Math.round(more)
                      + " h in "
                      + Duration.between(before.get(), r.at()).toHours()
                      + " h of the clock."));
        }
        resets += back ? 1 : 0;
        gained += more;
      }
      added.add(new Added(r, gained - gainedBefore));
      before = Optional.of(r.at());
      stood = Optional.of(r.value());
    }
    Optional<Reading> last =
        toAdd.isEmpty() ? Optional.empty() : Optional.of(toAdd.get(toAdd.size() - 1));
    return faults.isEmpty()
        ? new Result(gained, resets, repeated, last, added, List.of())
        : Result.wrong(repeated, faults);
  }

  private static boolean tooFast(double hours, Instant from, Instant to) {
    return hours * 3600 > Duration.between(from, to).plus(SLACK).toSeconds();
  }

  private static Optional<Reading> same(List<Reading> among, Reading r) {
    return among.stream().filter(k -> k.at().equals(r.at())).findFirst();
  }

  private static List<Reading> sorted(List<Reading> readings) {
    return readings.stream().sorted(Comparator.comparing(Reading::at)).toList();
  }
}
