package isokinon.server.db.pumps;

import isokinon.core.counter.WearCount;
import java.time.LocalDate;
import org.apache.ibatis.annotations.AutomapConstructor;

/**
 * One finished run of a wear part in one place.
 *
 * @param pump position
 * @param hours hours run in this place
 * @param failed whether it came out failed; else it came out sound
 * @param cause why it came out
 * @param unit serial of the unit that stood in the position
 * @param partSerial serial of the part, or empty
 * @param place where in the pump, or empty
 * @param construction sheet id, or empty
 * @param cameHours hours it had run elsewhere before
 * @param counted the count that drives its wear
 * @param cameCount counts it had run elsewhere before
 * @param counts counts run in this place; null where nobody counted
 * @param note what else was written of it
 */
public record RunRow(
    String pump,
    String role,
    String material,
    String dutyGroup,
    LocalDate fittedOn,
    LocalDate endedOn,
    double hours,
    boolean failed,
    String cause,
    String unit,
    String partSerial,
    String place,
    String construction,
    double cameHours,
    WearCount counted,
    double cameCount,
    Double counts,
    String note) {

  /** A run. */
  @AutomapConstructor
  public RunRow {}

  /** A run of which no more is known than how long it was and how it ended. */
  public static RunRow plain(
      String pump,
      String role,
      String material,
      String dutyGroup,
      LocalDate fittedOn,
      LocalDate endedOn,
      double hours,
      boolean failed,
      String cause) {
    return new RunRow(
        pump,
        role,
        material,
        dutyGroup,
        fittedOn,
        endedOn,
        hours,
        failed,
        cause,
        "",
        "",
        "",
        "",
        0,
        WearCount.HOURS,
        0,
        null,
        "");
  }

  /** Hours on it when it came out. */
  public double age() {
    return cameHours + hours;
  }

  /** Counts on it then; 0 where nobody counted. */
  public double countAge() {
    return counts == null ? 0 : cameCount + counts;
  }
}
