package isokinon.server.work.setup;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.ObjectMapper;
import isokinon.core.value.Code;
import isokinon.server.access.SignedIn;
import isokinon.server.db.setup.SetupChangeRow;
import isokinon.server.db.setup.SetupMapper;
import isokinon.server.work.setup.SetupView.LastChange;
import isokinon.server.work.setup.tables.SetupTable;
import isokinon.server.work.setup.tables.SetupTables;
import isokinon.server.work.setup.tables.ShopTable;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.shared.Text;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** The changes of the set-up: each kept with what stood there before, the last one taken back. */
@Component
class SetupChanges {

  private static final TypeReference<Map<String, String>> ROW = new TypeReference<>() {};
  private static final int LONGEST_KEY = 200;

  private final SetupTables tables;
  private final SetupMapper store;
  private final ObjectMapper json;
  private final Clock clock;

  SetupChanges(SetupTables tables, SetupMapper store, ObjectMapper json, Clock clock) {
    this.tables = tables;
    this.store = store;
    this.json = json;
    this.clock = clock;
  }

  /** Keeps a change with what stood there before. */
  void written(
      ShopTable table,
      Optional<Map<String, String>> before,
      Optional<Map<String, String>> after,
      SignedIn who,
      String batch) {
    store.addChange(
        new SetupChangeRow(
            0,
            batch,
            OffsetDateTime.now(clock),
            who.initials(),
            who.device(),
            table.id().code(),
            Text.clipped(table.keyOf(after.or(() -> before).orElseThrow()), LONGEST_KEY),
            before.map(this::text).orElse(null),
            after
                .map(a -> before.isPresent() ? a : table.remembered(a))
                .map(this::text)
                .orElse(null),
            false));
  }

  /** Keeps that a row was retired, or taken back. */
  void retired(
      ShopTable table, Map<String, String> row, boolean retired, SignedIn who, String batch) {
    written(table, side(row, !retired), side(row, retired), who, batch);
  }

  private static final String RETIRED = "retired";

  /** A row with whether it is retired, so that a change of that alone is seen as one. */
  private static Optional<Map<String, String>> side(Map<String, String> row, boolean retired) {
    Map<String, String> with = new LinkedHashMap<>(row);
    with.put(RETIRED, retired ? "yes" : "no");
    return Optional.of(with);
  }

  /**
   * Takes what was done at once back, where it is the last.
   *
   * @throws RequestProblem where something was changed since
   */
  void takeBack(String batch) {
    if (store.last().filter(c -> c.batch().equals(batch)).isEmpty()) {
      throw RequestProblem.notNow("", "Something was changed since: look again.");
    }
    for (SetupChangeRow change : store.batch(batch)) {
      takeBack(change);
    }
    store.undone(batch);
  }

  private void takeBack(SetupChangeRow change) {
    ShopTable table = tables.of(table(change));
    Optional<Map<String, String>> stood = Optional.ofNullable(change.stood()).map(this::row);
    Optional<Map<String, String>> stands = Optional.ofNullable(change.stands()).map(this::row);
    if (stands.isPresent() && stands.get().containsKey(RETIRED)) {
      table.retire(stands.get(), !stands.get().get(RETIRED).equals("yes"));
      return;
    }
    if (stood.isEmpty()) {
      table
          .stays(stands.orElseThrow())
          .ifPresent(
              why -> {
                throw RequestProblem.notNow("", why);
              });
      table.remove(stands.get());
      return;
    }
    stands.filter(s -> !table.keyOf(s).equals(table.keyOf(stood.get()))).ifPresent(table::remove);
    table.write(stood.get(), stands, change.who());
  }

  /** The last change that can be taken back. */
  Optional<LastChange> last() {
    return store
        .last()
        .map(
            change -> {
              SetupTable id = table(change);
              int rows = store.size(change.batch());
              int of = store.tables(change.batch());
              return new LastChange(
                  change.batch(),
                  id,
                  change.who(),
                  Text.minute(change.madeAt().atZoneSameInstant(clock.getZone())),
                  rows == 1
                      ? saying(id, change)
                      : rows
                          + " rows of "
                          + (of == 1
                              ? id.title().toLowerCase(Locale.ROOT)
                              : Text.count(of, "table")));
            });
  }

  private static SetupTable table(SetupChangeRow change) {
    return Code.parse(SetupTable.class, change.tableName())
        .orElseThrow(() -> new IllegalStateException("No table " + change.tableName()));
  }

  private String saying(SetupTable id, SetupChangeRow change) {
    Optional<Map<String, String>> stood = Optional.ofNullable(change.stood()).map(this::row);
    Optional<Map<String, String>> stands = Optional.ofNullable(change.stands()).map(this::row);
    if (stood.isEmpty()) {
      return change.rowKey() + " was added";
    }
    if (stands.isEmpty()) {
      return change.rowKey() + " was taken out";
    }
    if (stands.get().containsKey(RETIRED)) {
      return change.rowKey()
          + (stands.get().get(RETIRED).equals("yes") ? " was retired" : " was taken back");
    }
    List<String> what =
        tables.of(id).columns().stream()
            .filter(c -> !stood.get().get(c.id()).equals(stands.get().get(c.id())))
            .map(
                c ->
                    c.title().toLowerCase(Locale.ROOT)
                        + " from "
                        + said(stood.get().get(c.id()))
                        + " to "
                        + said(stands.get().get(c.id())))
            .toList();
    return change.rowKey() + ": " + (what.isEmpty() ? "nothing else" : String.join(", ", what));
  }

  /** A value in a sentence. */
  static String said(String value) {
    return value.isEmpty() ? "nothing" : value;
  }

  private String text(Map<String, String> row) {
    try {
      return json.writeValueAsString(row);
    } catch (JsonProcessingException e) {
      throw new IllegalStateException(e);
    }
  }

  private Map<String, String> row(String text) {
    try {
      return json.readValue(text, ROW);
    } catch (JsonProcessingException e) {
      throw new IllegalStateException(e);
    }
  }
}
