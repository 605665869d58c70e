package isokinon.server.db.pumps;

import isokinon.core.renewal.Policies;
import java.time.OffsetDateTime;

/**
 * How a pump's wear part is kept.
 *
 * @param way {@code fixed}, {@code until-it-fails} or {@code look}
 * @param everyHours age to renew at, or hours between looks; null where it runs until it fails
 */
public record PolicyRow(
    String pump,
    Policies.Way way,
    Double everyHours,
    String because,
    String chosenBy,
    OffsetDateTime chosenAt) {}
