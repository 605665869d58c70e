package isokinon.server.db.rebuilds;

import java.time.OffsetDateTime;

/** A rebuild: which pump, which sheet revision, who opened it and why, what was in the pump. */
public record RebuildRow(
    long id,
    String pump,
    String sheetId,
    int sheetRevision,
    OffsetDateTime openedAt,
    String openedBy,
    String reason,
    String fittedMaterial,
    double hoursThen,
    OffsetDateTime closedAt,
    String fittedVariants) {}
