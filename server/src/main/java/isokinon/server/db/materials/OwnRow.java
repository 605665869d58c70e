package isokinon.server.db.materials;

import java.time.OffsetDateTime;

/** A row of the shop's own table: its CSV line, who wrote it when, and who ended it. */
public record OwnRow(
    long id,
    String tableName,
    String rowKey,
    String line,
    String writtenBy,
    OffsetDateTime writtenAt,
    String endedBy,
    OffsetDateTime endedAt) {}
