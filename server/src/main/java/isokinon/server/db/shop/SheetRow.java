package isokinon.server.db.shop;

import java.time.OffsetDateTime;

/** One revision of a sheet, as it was written. */
public record SheetRow(String id, int revision, String source, OffsetDateTime storedAt) {}
