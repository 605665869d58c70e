package isokinon.core.life.history;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;

/**
 * The duties that a pump ran in before the one it has now, as far as they wear its set: a run
 * counts by the duty of its time, so that a change of duty is neither blamed on the new one nor
 * forgotten. Wear adds up over duties by the share of the mean life that is used up in each (linear
 * cumulative damage, Palmgren and Miner).
 *
 * @param earlier the duties before, the first one first; the last of them ended where the one of
 *     now began
 * @param today the day up to which a set that runs has run
 */
public record DutyHistory(List<Stretch> earlier, LocalDate today) {

  /**
   * A duty that is over.
   *
   * @param until the day on which it ended
   * @param times mean life in it by the mean life in the duty of now, over 0
   */
  public record Stretch(LocalDate until, double times) {}

  /** A history. */
  public DutyHistory {
    earlier = List.copyOf(earlier);
  }

  /**
   * How fast a set wore over its run, by how fast it would wear in the duty of now: its hours times
   * this are hours in the duty of now. A day counts as much as another, as nobody knows on which of
   * them it ran more.
   *
   * @param fitted the day it went in
   * @param ended the day it came out; empty where it runs
   */
  public double pace(LocalDate fitted, Optional<LocalDate> ended) {
    LocalDate end = ended.orElse(today);
    double days = Math.max(1, ChronoUnit.DAYS.between(fitted, end));
    double left = days;
    double worn = 0;
    LocalDate from = fitted;
    for (Stretch s : earlier) {
      LocalDate to = s.until().isBefore(end) ? s.until() : end;
      double inIt = Math.min(left, ChronoUnit.DAYS.between(from, to));
      if (!fitted.isBefore(end) && s.until().isAfter(fitted)) {
        // It came out on the day it went in.
        inIt = left;
      }
      if (inIt > 0) {
        worn += inIt / s.times();
        left -= inIt;
        from = to;
      }
    }
    return (worn + left) / days;
  }
}
