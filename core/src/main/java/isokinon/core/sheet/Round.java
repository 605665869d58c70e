package isokinon.core.sheet;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Upkeep that comes round and renews nothing of the wear set: a filter washed, a lubricant topped
 * up, sensor pins wiped. It is done without a rebuild.
 *
 * @param id kebab-case, unique within the sheet
 * @param title what it is called
 * @param say what is done
 * @param everyDays days after which it is due again; 0 where days do not count
 * @param everyHours running hours after which it is due again; 0 where hours do not count
 * @param minutes how long it takes
 * @param hazards ids of the sheet's hazards met in it
 * @param cautions sentences shown at it
 * @param checks what is asked and read
 * @param onlyFor the pumps it is done on
 */
public record Round(
    String id,
    String title,
    String say,
    double everyDays,
    double everyHours,
    double minutes,
    List<String> hazards,
    List<String> cautions,
    List<Handling.Check> checks,
    OnlyFor onlyFor) {

  /** Copies its lists. */
  public Round {
    hazards = List.copyOf(hazards);
    cautions = List.copyOf(cautions);
    checks = List.copyOf(checks);
  }

  /**
   * When it is due, by days or by hours, whichever is first.
   *
   * @param doneOn day it was done last
   * @param hoursThen the pump's hour counter then
   * @param hoursNow its hour counter today
   * @param hoursPerDay hours it runs a day, 0 or more
   * @return the day; empty where it counts by hours and the pump does not run
   */
  public Optional<LocalDate> due(
      LocalDate doneOn, double hoursThen, double hoursNow, double hoursPerDay, LocalDate today) {
    Optional<LocalDate> byDays =
        everyDays > 0 ? Optional.of(doneOn.plusDays(Math.round(everyDays))) : Optional.empty();
    double left = everyHours - (hoursNow - hoursThen);
    Optional<LocalDate> byHours =
        everyHours <= 0 || (hoursPerDay <= 0 && left > 0)
            ? Optional.empty()
            : Optional.of(today.plusDays(left <= 0 ? 0 : (long) Math.ceil(left / hoursPerDay)));
    return Stream.of(byDays, byHours).flatMap(Optional::stream).min(LocalDate::compareTo);
  }
}
