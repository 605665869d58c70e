package isokinon.server.work.rebuild;

import isokinon.server.db.rebuilds.EventRow;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Locale;
import java.util.OptionalLong;
import org.apache.commons.codec.digest.DigestUtils;

/**
 * The chain over the events of a job: each carries the SHA-256 of what it says and of the digest
 * before it. Whoever alters, adds or takes away one in the database would have to make every later
 * digest anew, and the short code on the printed record would still be another. Events that were
 * recorded before there was a chain have none; the first one with a digest covers them all.
 */
public final class EventChain {

  /** Before the first event. */
  private static final String BEGINNING = "";

  /** Between two fields: it is in none of them. */
  private static final char END = '\u001f';

  private static final int SHORT = 8;

  private EventChain() {}

  /** An event with its digest, which follows on the one before it; {@code ""} before the first. */
  public static EventRow linked(String before, EventRow event) {
    return event.withDigest(digest(before, event));
  }

  /** The digest after these events, 64 hexadecimal digits; empty where there are none. */
  public static String last(List<EventRow> events) {
    String digest = BEGINNING;
    for (EventRow e : events) {
      digest = digest(digest, e);
    }
    return digest;
  }

  /** The number of the first event that is not as it was recorded; empty where all are. */
  public static OptionalLong firstAltered(List<EventRow> events) {
    String digest = BEGINNING;
    boolean linked = false;
    long seq = 0;
    for (EventRow e : events) {
      digest = digest(digest, e);
      seq++;
      linked |= !e.digest().isEmpty();
      boolean agrees = linked ? digest.equals(e.digest()) : e.digest().isEmpty();
      if (!agrees || e.seq() != seq) {
        return OptionalLong.of(e.seq());
      }
    }
    return OptionalLong.empty();
  }

  /** A digest as it is printed and read aloud: {@code 4F7C 91A2}. */
  public static String shortCode(String digest) {
    String code = digest.substring(0, Math.min(SHORT, digest.length())).toUpperCase(Locale.ROOT);
    return code.length() < SHORT ? code : code.substring(0, 4) + " " + code.substring(4);
  }

  private static String digest(String before, EventRow e) {
    StringBuilder said = new StringBuilder();
    for (Object field :
        new Object[] {
          before,
          e.rebuild(),
          e.seq(),
          e.actKey(),
          e.at().withOffsetSameInstant(ZoneOffset.UTC).toInstant(),
          e.who(),
          e.lead(),
          e.kind(),
          e.step(),
          e.subject(),
          e.pass(),
          e.fastener(),
          e.reading() == null ? "" : e.reading(),
          e.unit(),
          e.text(),
          e.items(),
          e.device()
        }) {
      said.append(field).append(END);
    }
    return DigestUtils.sha256Hex(said.toString());
  }
}
