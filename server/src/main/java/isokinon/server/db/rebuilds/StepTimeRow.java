package isokinon.server.db.rebuilds;

import java.time.OffsetDateTime;

/** How long a step took in one closed rebuild, minutes. */
public record StepTimeRow(
    long rebuild,
    String sheetId,
    String step,
    boolean building,
    double minutes,
    OffsetDateTime recordedAt) {}
