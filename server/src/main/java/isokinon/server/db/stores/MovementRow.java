package isokinon.server.db.stores;

import isokinon.core.stock.MovementKind;
import java.time.OffsetDateTime;

/**
 * A change of a lot.
 *
 * @param kind received, issued, returned, booked, counted or scrapped
 * @param rebuild which rebuild it was for; null where none
 */
public record MovementRow(
    String lot,
    int change,
    MovementKind kind,
    Long rebuild,
    String who,
    OffsetDateTime at,
    String note) {}
