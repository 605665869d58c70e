package isokinon.server.work.rebuild;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.server.db.rebuilds.EventRow;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;

/** A record that was altered in the database is found, and where. */
class EventChainTest {

  private static final OffsetDateTime AT = OffsetDateTime.parse("2026-03-17T08:00:00Z");
  private static final int EVENTS = 6;

  private static EventRow event(long seq, String who, Double reading, String text) {
    return new EventRow(
        7,
        seq,
        "key-" + seq,
        AT.plusMinutes(seq),
        who,
        false,
        "NOTED",
        "",
        "",
        0,
        0,
        reading,
        "bar",
        text,
        "",
        "bench 2",
        "");
  }

  private static List<EventRow> recorded() {
    List<EventRow> all = new ArrayList<>();
    for (long seq = 1; seq <= EVENTS; seq++) {
      String before = all.isEmpty() ? "" : all.get(all.size() - 1).digest();
      all.add(EventChain.linked(before, event(seq, "RT", 0.5 * seq, "note " + seq)));
    }
    return all;
  }

  private static List<EventRow> altered(int at, UnaryOperator<EventRow> how) {
    List<EventRow> all = recorded();
    all.set(at, how.apply(all.get(at)));
    return all;
  }

  @Test
  void whatWasRecordedHolds() {
    assertThat(EventChain.firstAltered(recorded())).isEmpty();
    assertThat(EventChain.firstAltered(List.of())).isEmpty();
    assertThat(EventChain.last(recorded())).isEqualTo(recorded().get(EVENTS - 1).digest());
  }

  @Test
  void anotherReadingPersonTimeOrTextIsFoundWhereItStands() {
    for (int at = 0; at < EVENTS; at++) {
      for (UnaryOperator<EventRow> how :
          List.<UnaryOperator<EventRow>>of(
              e -> event(e.seq(), "RT", 9.0, e.text()).withDigest(e.digest()),
              e -> event(e.seq(), "KO", e.reading(), e.text()).withDigest(e.digest()),
              e -> event(e.seq(), "RT", e.reading(), "").withDigest(e.digest()),
              e -> event(e.seq(), "RT", null, e.text()).withDigest(e.digest()))) {
        assertThat(EventChain.firstAltered(altered(at, how))).hasValue(at + 1);
      }
    }
  }

  @Test
  void anEntryTakenOutOrADigestWipedIsFound() {
    List<EventRow> without = recorded();
    without.remove(2);
    assertThat(EventChain.firstAltered(without)).hasValue(4);
    assertThat(EventChain.firstAltered(altered(3, e -> e.withDigest("")))).hasValue(4);
  }

  @Test
  void entriesFromBeforeTheChainAreCoveredByItsFirstLink() {
    List<EventRow> old =
        new ArrayList<>(List.of(event(1, "RT", 1.0, "a"), event(2, "KO", 2.0, "b")));
    assertThat(EventChain.firstAltered(old)).isEmpty();
    old.add(EventChain.linked(EventChain.last(old), event(3, "RT", null, "c")));
    assertThat(EventChain.firstAltered(old)).isEmpty();
    old.set(0, event(1, "RT", 8.0, "a"));
    assertThat(EventChain.firstAltered(old)).hasValue(3);
  }

  @Test
  void theShortCodeIsTwoGroupsOfFour() {
    assertThat(EventChain.shortCode("4f7c91a2ffff")).isEqualTo("4F7C 91A2");
    assertThat(EventChain.shortCode("")).isEmpty();
  }
}
