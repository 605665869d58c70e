package isokinon.server.work.setup.tables;

import isokinon.core.value.Fault;
import isokinon.server.db.setup.SetupMapper;
import isokinon.server.work.setup.tables.SetupColumn.Holds;
import java.time.Clock;
import java.time.LocalTime;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/** A table of the set-up that is one table of the database, column by column. */
class StoredTable extends ShopTable {

  private static final String RETIRED = "retired_at";
  private static final int MINUTES = 60;

  /**
   * Where and how it is stored.
   *
   * @param table name in the database
   * @param key columns by which a row is known
   * @param otherwise names of columns in the database where they are not the ids
   * @param retires whether it has a column of when a row was retired
   */
  record Stored(String table, List<String> key, Map<String, String> otherwise, boolean retires) {}

  /** What is wrong with a row, beyond its columns. */
  interface Check extends Function<Map<String, String>, List<Fault>> {}

  /** What is wrong with all rows together. */
  interface Together extends Function<Collection<Map<String, String>>, List<Fault>> {}

  private final SetupMapper store;
  private final Clock clock;
  private final SetupTable id;
  private final Stored stored;
  private final List<SetupColumn> columns;
  private final Check check;
  private final Together together;

  StoredTable(
      SetupMapper store,
      Clock clock,
      SetupTable id,
      Stored stored,
      List<SetupColumn> columns,
      Check check,
      Together together) {
    this.store = store;
    this.clock = clock;
    this.id = id;
    this.stored = stored;
    this.columns = columns;
    this.check = check;
    this.together = together;
  }

  @Override
  public SetupTable id() {
    return id;
  }

  @Override
  public List<SetupColumn> columns() {
    return columns;
  }

  @Override
  public List<String> key() {
    return stored.key();
  }

  @Override
  public boolean retires() {
    return stored.retires();
  }

  @Override
  public Count count() {
    int all = store.count(stored.table());
    int retired =
        stored.retires() ? store.count(stored.table() + " where " + RETIRED + " is not null") : 0;
    return new Count(all - retired, retired);
  }

  private String inDatabase(String column) {
    return stored.otherwise().getOrDefault(column, column);
  }

  @Override
  public List<Standing> rows() {
    List<String> names = new ArrayList<>(columns.stream().map(c -> inDatabase(c.id())).toList());
    if (stored.retires()) {
      names.add(RETIRED);
    }
    String order =
        " order by " + String.join(", ", stored.key().stream().map(this::inDatabase).toList());
    return store.rows(String.join(", ", names), stored.table() + order).stream()
        .map(this::standing)
        .toList();
  }

  private Standing standing(Map<String, Object> found) {
    Map<String, String> row = new LinkedHashMap<>();
    columns.forEach(c -> row.put(c.id(), shown(c.holds(), found.get(inDatabase(c.id())))));
    return new Standing(row, found.get(RETIRED) != null);
  }

  private String shown(Holds holds, Object value) {
    if (value != null && holds == Holds.TIME) {
      return LocalTime.ofSecondOfDay(((Number) value).longValue() * MINUTES).toString();
    }
    if (value != null && holds == Holds.MOMENT) {
      return SetupColumn.moment(((OffsetDateTime) value).atZoneSameInstant(clock.getZone()));
    }
    return text(value);
  }

  private String kept(SetupColumn column, String value) {
    if (value.isEmpty()) {
      return column.holds() == Holds.TEXT || column.holds() == Holds.NAME ? "" : null;
    }
    return switch (column.holds()) {
      case TIME -> Integer.toString(LocalTime.parse(value).toSecondOfDay() / MINUTES);
      case MOMENT, DAY_OR_MOMENT ->
          SetupColumn.at(value, clock.getZone()).toOffsetDateTime().toString();
      case YES_NO -> Boolean.toString(value.equals("yes"));
      default -> value;
    };
  }

  @Override
  public List<Fault> faults(Map<String, String> row, Optional<Map<String, String>> before) {
    return check.apply(row);
  }

  @Override
  public List<Fault> together(
      Map<String, Map<String, String>> after, Map<String, Integer> freshLines) {
    return together.apply(after.values());
  }

  @Override
  public void write(Map<String, String> row, Optional<Map<String, String>> before, String who) {
    store.put(
        stored.table(),
        stored.key().stream().map(this::inDatabase).toList(),
        columns.stream().map(c -> inDatabase(c.id())).toList(),
        columns.stream().map(c -> kept(c, row.getOrDefault(c.id(), ""))).toList());
  }

  @Override
  public void remove(Map<String, String> row) {
    Map<String, String> key = new LinkedHashMap<>();
    for (String k : stored.key()) {
      key.put(inDatabase(k), kept(column(k).orElseThrow(), row.getOrDefault(k, "")));
    }
    store.remove(stored.table(), key);
  }

  @Override
  public void retire(Map<String, String> row, boolean retired) {
    String key = stored.key().get(0);
    store.retire(
        stored.table(), inDatabase(key), row.get(key), retired ? OffsetDateTime.now(clock) : null);
  }
}
