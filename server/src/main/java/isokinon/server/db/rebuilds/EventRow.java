package isokinon.server.db.rebuilds;

import java.time.OffsetDateTime;

/**
 * A bench event as stored; items are joined by line feeds.
 *
 * @param device where it was recorded; empty where that was not yet kept
 * @param digest its link in the chain over the job; empty before there was one
 */
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
    String items,
    String device,
    String digest) {

  /** The same with its link in the chain. */
  public EventRow withDigest(String newDigest) {
    return new EventRow(
        rebuild, seq, actKey, at, who, lead, kind, step, subject, pass, fastener, reading, unit,
        text, items, device, newDigest);
  }
}
