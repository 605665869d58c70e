package isokinon.server.store;

import java.time.LocalDate;
import java.util.Optional;

/** A pump position with the unit standing in it, its duty in words and what is fitted. */
public record PumpRow(
    String tag,
    String area,
    int areaPosition,
    String family,
    String series,
    String serial,
    String sheetId,
    String dutyTitle,
    String dutyNote,
    String role,
    String material,
    String bodyMaterial,
    double runningHours,
    double strokes,
    double hoursPerDay,
    double intervalHours,
    String abrasion,
    double suctionLiftM,
    String consequence,
    LocalDate fittedOn,
    double fittedAtHours,
    LocalDate planOn) {

  /** Hours the fitted set has run. */
  public double age() {
    return runningHours - fittedAtHours;
  }

  /** The sheet of its construction, where the library has one. */
  public Optional<String> sheet() {
    return Optional.ofNullable(sheetId);
  }
}
