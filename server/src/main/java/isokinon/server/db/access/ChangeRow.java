package isokinon.server.db.access;

import java.time.OffsetDateTime;

/** A change: when, by whom, on which device, through which operation, of what. */
public record ChangeRow(
    OffsetDateTime at, String who, String device, String operation, String subject) {}
