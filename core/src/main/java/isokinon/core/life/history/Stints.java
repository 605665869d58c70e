package isokinon.core.life.history;

import isokinon.core.value.Fault;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/**
 * Whether runs can stand beside each other: a place holds one part at a time, and a part is in one
 * place at a time. Where a part with a serial moved, the age it came with is what it ran before.
 */
public final class Stints {

  private Stints() {}

  /**
   * A part in a place.
   *
   * @param line of the table it comes from, from 1; 0 where it is recorded already
   * @param place position, role and where in the pump, as one word
   * @param serial of the part, or empty
   * @param ended empty where it still runs
   * @param hours run in this place
   * @param failed whether it came out failed; a part that failed does not go in again
   */
  public record Stint(
      int line,
      String place,
      String serial,
      LocalDate fitted,
      Optional<LocalDate> ended,
      double hours,
      boolean failed) {}

  /** Every fresh stint that cannot stand beside the others. */
  public static List<Fault> faults(List<Stint> stints) {
    List<Fault> faults = new ArrayList<>();
    by(stints, Stint::place)
        .forEach(
            (place, at) ->
                overlaps(at, "Another part stood in " + place + " at that time", faults));
    by(stints, Stint::serial)
        .forEach(
            (serial, of) -> {
              if (!serial.isEmpty()) {
                overlaps(of, "Part " + serial + " was elsewhere at that time", faults);
                wentInFailed(serial, of, faults);
              }
            });
    faults.sort(Comparator.comparingInt(Fault::line));
    return faults;
  }

  /** Hours a part had on it when it went in: all it ran before, wherever that was. */
  public static double cameWith(Stint stint, List<Stint> ofSerial) {
    return ofSerial.stream()
        .filter(s -> s.fitted().isBefore(stint.fitted()))
        .mapToDouble(Stint::hours)
        .sum();
  }

  /** Stints by a word, each list in order of fitting. */
  public static Map<String, List<Stint>> by(List<Stint> stints, Function<Stint, String> word) {
    Map<String, List<Stint>> by = new HashMap<>();
    for (Stint s : stints) {
      by.computeIfAbsent(word.apply(s), w -> new ArrayList<>()).add(s);
    }
    by.values()
        .forEach(
            l ->
                l.sort(
                    Comparator.comparing(Stint::fitted)
                        .thenComparing(s -> s.ended().orElse(LocalDate.MAX))));
    return by;
  }

  private static void overlaps(List<Stint> inOrder, String what, List<Fault> faults) {
    for (int i = 1; i < inOrder.size(); i++) {
      Stint before = inOrder.get(i - 1);
      Stint after = inOrder.get(i);
      boolean overlap = before.ended().isEmpty() || before.ended().get().isAfter(after.fitted());
      if (overlap && Math.max(before.line(), after.line()) > 0) {
        Stint fresh = after.line() > 0 ? after : before;
        Stint other = after.line() > 0 ? before : after;
        faults.add(
            Fault.inLine(
                fresh.line(),
                what
                    + ", from "
                    + other.fitted()
                    + other.ended().map(e -> " to " + e).orElse(" on")
                    + (other.line() > 0 ? " (line " + other.line() + ")." : ".")));
      }
    }
  }

  private static void wentInFailed(String serial, List<Stint> inOrder, List<Fault> faults) {
    for (int i = 1; i < inOrder.size(); i++) {
      Stint before = inOrder.get(i - 1);
      Stint after = inOrder.get(i);
      if (before.failed() && Math.max(before.line(), after.line()) > 0) {
        faults.add(
            Fault.inLine(
                after.line() > 0 ? after.line() : before.line(),
                "Part "
                    + serial
                    + " failed on "
                    + before.ended().map(LocalDate::toString).orElse("an unknown day")
                    + " and cannot have gone in again."));
      }
    }
  }
}
