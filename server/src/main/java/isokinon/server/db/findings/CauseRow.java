package isokinon.server.db.findings;

import isokinon.core.sheet.Family;
import java.time.OffsetDateTime;

/**
 * Why a part of a pump wore, as someone found it.
 *
 * @param counters what was done about it, ids parted by bars
 * @param hours hours the part had run
 * @param rebuild rebuild it was found in; null for one brought in
 */
public record CauseRow(
    String pump,
    Family family,
    String part,
    String cause,
    String counters,
    String note,
    String material,
    double hours,
    OffsetDateTime foundAt,
    Long rebuild) {}
