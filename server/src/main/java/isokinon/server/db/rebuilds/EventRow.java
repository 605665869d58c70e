package isokinon.server.db.rebuilds;

import java.time.OffsetDateTime;

/** A bench event as stored; items are joined by line feeds. */
public record EventRow(
    long rebuild,
    long seq,
    String actKey,
    OffsetDateTime at,
    String who,
    boolean lead,
    String kind,
    String step,
    String subject,
    int pass,
    int fastener,
    Double reading,
    String unit,
    String text,
    String items) {}
