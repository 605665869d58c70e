package isokinon.server.db.pumps;

import java.time.LocalDate;
import java.time.OffsetDateTime;

/**
 * A duty that a pump had before another.
 *
 * @param untilOn the day on which it ended
 * @param duty as it was written down, JSON
 */
public record PastDutyRow(
    String pump, LocalDate untilOn, String duty, String changedBy, OffsetDateTime changedAt) {}
