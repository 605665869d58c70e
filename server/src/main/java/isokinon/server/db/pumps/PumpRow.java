package isokinon.server.db.pumps;

import isokinon.core.counter.WearCount;
import isokinon.core.renewal.Consequence;
import isokinon.core.sheet.Family;
import isokinon.core.wetend.Duty.Abrasion;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * A pump position with the unit standing in it, its duty in words and the set that leads its wear.
 * What the set is made of and since when it is in stands in the table of fitted parts and is read
 * along.
 *
 * @param runningHours of the position's counter; in the table as last read, carried on where it was
 *     asked so
 * @param strokes counts of what drives its wear, likewise
 * @param fittedAtHours running hours when the wearing set went in
 * @param countsPerHour what it counts in a running hour; 0 where hours drive its wear
 * @param hoursOn the day its hours were read; null where nobody knows
 * @param partSerial serial of the wearing set, or empty
 * @param cameHours hours the set had on it when it went in
 * @param cameCount counts the set had on it when it went in
 * @param fittedAtCount counts of the unit when the set went in
 * @param variants how the unit is made where its sheet has variants, ids of their ways with
 *     semicolons between; empty where nobody has told yet
 */
public record PumpRow(
    String tag,
    String area,
    int areaPosition,
    Family family,
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
    Abrasion abrasion,
    double suctionLiftM,
    Consequence consequence,
    LocalDate fittedOn,
    double fittedAtHours,
    LocalDate planOn,
    double countsPerHour,
    LocalDate hoursOn,
    String partSerial,
    double cameHours,
    double cameCount,
    double fittedAtCount,
    String variants) {

  /** The set that leads its wear, as it stands in the pump. */
  public FittedPartRow set() {
    return new FittedPartRow(
        tag,
        role,
        "",
        partSerial,
        material,
        fittedOn,
        fittedAtHours,
        cameHours,
        fittedAtCount,
        cameCount,
        true);
  }

  /** Hours on the fitted set, those it came with among them. */
  public double age() {
    return set().age(this);
  }

  /** Hours the fitted set has run here. */
  public double hoursHere() {
    return set().hoursHere(this);
  }

  /** The age of the set in the count that drives its wear. */
  public double countAge() {
    return set().countAge(this);
  }

  /** The same, run here. */
  public double countsHere() {
    return set().countsHere(this);
  }

  /** The pump when it has run {@code hours} more. */
  public PumpRow after(double hours) {
    return new PumpRow(
        tag,
        area,
        areaPosition,
        family,
        series,
        serial,
        sheetId,
        dutyTitle,
        dutyNote,
        role,
        material,
        bodyMaterial,
        runningHours + hours,
        strokes + hours * countsPerHour,
        hoursPerDay,
        intervalHours,
        abrasion,
        suctionLiftM,
        consequence,
        fittedOn,
        fittedAtHours,
        planOn,
        countsPerHour,
        hoursOn,
        partSerial,
        cameHours,
        cameCount,
        fittedAtCount,
        variants);
  }

  /** How the unit is made where its sheet has variants, ids of their ways. */
  public List<String> madeBy() {
    return Variants.list(variants);
  }

  /** The sheet of its construction, where the library has one. */
  public Optional<String> sheet() {
    return Optional.ofNullable(sheetId);
  }

  /** What drives the wear of its set. */
  public WearCount counted() {
    return WearCount.of(family);
  }

  /** Whether a failure harms people or the environment. */
  public boolean harms() {
    return consequence == Consequence.HIGH;
  }
}
