package isokinon.server.db.pumps;

import java.time.LocalDate;

/**
 * A wear part as it stands in a pump: the set that leads its wear, or a part of another role.
 *
 * @param place where in the pump; empty where it stands for all parts of its role
 * @param fittedAtHours running hours of the position when it went in
 * @param cameHours hours it had on it then
 * @param fittedAtCount counts of the position when it went in
 * @param cameCount counts it had on it then
 * @param leading whether it is the set that leads the wear of the pump; each pump has one
 */
public record FittedPartRow(
    String pump,
    String role,
    String place,
    String partSerial,
    String material,
    LocalDate fittedOn,
    double fittedAtHours,
    double cameHours,
    double fittedAtCount,
    double cameCount,
    boolean leading) {

  /** Whether it is what stands in a place, or stands for every part of the role. */
  public boolean standsFor(String ofRole, String inPlace) {
    return role.equals(ofRole) && (place.equals(inPlace) || place.isEmpty());
  }

  /** Hours it has run here. */
  public double hoursHere(PumpRow pump) {
    return Math.max(0, pump.runningHours() - fittedAtHours);
  }

  /** Hours on it. */
  public double age(PumpRow pump) {
    return cameHours + hoursHere(pump);
  }

  /** Counts it has run here. */
  public double countsHere(PumpRow pump) {
    return Math.max(0, pump.strokes() - fittedAtCount);
  }

  /** Its age in the count that drives its wear. */
  public double countAge(PumpRow pump) {
    return cameCount + countsHere(pump);
  }
}
