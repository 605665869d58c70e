package isokinon.server.db.materials;

import java.time.OffsetDateTime;

/** A reading taken of a part at inspection on the bench. */
public record JudgedReadingRow(
    long rebuild,
    String pump,
    String sheetId,
    int sheetRevision,
    String material,
    String part,
    String measure,
    double reading,
    String text,
    String who,
    OffsetDateTime at) {}
