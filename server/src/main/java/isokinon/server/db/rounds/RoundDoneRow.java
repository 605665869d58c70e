package isokinon.server.db.rounds;

import java.time.OffsetDateTime;

/**
 * A round that was done.
 *
 * @param pump tag of the pump
 * @param round id of the round on its sheet
 * @param hours the pump's hour counter then
 * @param who initials
 * @param note what was seen; may be empty
 * @param requestKey key of the request, so that one that is sent twice counts once
 */
public record RoundDoneRow(
    String pump,
    String round,
    OffsetDateTime doneAt,
    double hours,
    String who,
    String note,
    String requestKey) {}
