package isokinon.server.db.stores;

import java.time.OffsetDateTime;

/** A piece of a lot held for the next job of a pump. */
public record ReservationRow(long id, String lot, String pump, String who, OffsetDateTime at) {}
