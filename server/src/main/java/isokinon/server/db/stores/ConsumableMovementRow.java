package isokinon.server.db.stores;

import isokinon.core.stock.MovementKind;
import java.time.OffsetDateTime;

/**
 * A change of a lot of a consumable, in the unit of the consumable.
 *
 * @param rebuild which rebuild used it; null where none
 */
public record ConsumableMovementRow(
    String lot,
    double change,
    MovementKind kind,
    Long rebuild,
    String who,
    OffsetDateTime at,
    String note) {}
