package isokinon.server.work.rebuild;

import isokinon.core.act.BenchEvent;
import isokinon.core.act.Reading;
import isokinon.server.db.rebuilds.EventRow;
import java.time.OffsetDateTime;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** What was done at the bench, to its row and back. */
public final class EventRows {

  private static final String LINE = "\n";

  private EventRows() {}

  /** The row of an event, not yet in the chain. */
  public static EventRow row(
      long rebuild, String key, OffsetDateTime at, BenchEvent<?> event, String device) {
    ActColumns act = event.act().accept(new ActWriter());
    return new EventRow(
        rebuild,
        event.seq(),
        key,
        at,
        event.who(),
        event.lead(),
        act.kind().name(),
        act.step(),
        act.subject(),
        act.pass(),
        act.fastener(),
        act.reading().map(Reading::value).orElse(null),
        act.reading().map(Reading::unit).orElse(""),
        act.text(),
        String.join(LINE, act.items()),
        device,
        "");
  }

  /** The event of a row. */
  static BenchEvent<?> event(EventRow row) {
    return new BenchEvent<>(
        row.seq(),
        row.at().toInstant(),
        row.who(),
        row.lead(),
        ActLoader.act(
            new ActColumns(
                StoredKind.valueOf(row.kind()),
                row.step(),
                row.subject(),
                row.pass(),
                row.fastener(),
                Optional.ofNullable(row.reading()).map(r -> new Reading(r, row.unit())),
                row.text(),
                row.items().isEmpty() ? List.of() : Arrays.asList(row.items().split(LINE)))));
  }
}
