package isokinon.core.schedule;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;

/**
 * When somebody is at the bench, week after week.
 *
 * @param who initials
 * @param fromMinute from midnight
 * @param toMinute from midnight
 * @param overtime whether it lies outside the usual hours, and costs more
 */
public record Shift(String who, DayOfWeek weekday, int fromMinute, int toMinute, boolean overtime) {

  /**
   * The shifts of a day.
   *
   * @param off days on which nobody is at the bench
   */
  public static List<Shift> on(LocalDate day, List<Shift> all, Set<LocalDate> off) {
    return off.contains(day)
        ? List.of()
        : all.stream().filter(s -> s.weekday() == day.getDayOfWeek()).toList();
  }
}
