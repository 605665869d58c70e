package isokinon.server.db.units;

import java.time.LocalDate;
import java.time.OffsetDateTime;

/**
 * A unit that stands in no position.
 *
 * @param series as the shop calls the construction
 * @param variants how it is made where its sheet has variants, ids of their ways with semicolons
 *     between; empty where nobody has told yet
 * @param hardware set of plates and shaft in it, by the id of its sheet
 * @param rotorClassMm rotor in it, difference to the standard one, mm
 * @param parts materials by role as {@code role=material;...}, beside the parts that wear
 * @param place where it lies
 * @param cameFrom tag of the position it came out of; empty where it never stood in one
 * @param since the day it came to the shelf
 * @param lookInHours running hours until it is to be looked at; null where its interval holds
 * @param lookBecause why it is looked at sooner
 * @param retiredAt when it was retired; null while it can go into a position
 */
public record SpareUnitRow(
    String serial,
    String sheetId,
    String series,
    String bodyMaterial,
    String variants,
    String hardware,
    double rotorClassMm,
    String parts,
    String place,
    String note,
    String cameFrom,
    LocalDate since,
    Double lookInHours,
    String lookBecause,
    OffsetDateTime retiredAt) {

  /** Whether it is retired: it stays on record and goes into no position. */
  public boolean retired() {
    return retiredAt != null;
  }
}
