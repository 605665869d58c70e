package isokinon.server.work.materials;

import isokinon.core.material.BandKey;
import isokinon.core.material.Effect;
import isokinon.core.material.Fluid;
import isokinon.core.material.Material;
import isokinon.core.material.reading.LibraryReader;
import isokinon.core.table.CsvTable;
import isokinon.core.table.SpreadsheetCell;
import isokinon.core.value.Fault;
import isokinon.server.db.materials.OwnRow;
import isokinon.server.db.materials.WetEndMapper;
import isokinon.server.work.library.ShippedLibrary;
import isokinon.server.work.library.ShopLibrary;
import isokinon.server.work.materials.MaterialView.Change;
import isokinon.server.work.materials.MaterialView.ImportReport;
import isokinon.server.work.materials.MaterialView.OwnResistance;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.shared.Text;
import isokinon.server.work.shared.Turns;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The shop's own rows over the shipped tables: written, ended, taken in and given out as tables. A
 * row is never overwritten, so the history is the table itself.
 */
@Service
public class OwnTables {

  private static final int MOST_HISTORY = 200;

  /** The table of what fluids do to materials. */
  private static final String RESISTANCE = "resistance";

  private static final int MOST_CHARACTERS = 4_000_000;

  private final Turns turns;
  private final ShopLibrary library;
  private final WetEndMapper store;
  private final Clock clock;

  OwnTables(ShopLibrary library, WetEndMapper store, Clock clock, Turns turns) {
    this.turns = turns;
    this.library = library;
    this.store = store;
    this.clock = clock;
  }

  /**
   * Writes an own row, which counts before every shipped one of its band.
   *
   * @throws RequestProblem with everything that is wrong with it
   */
  @Transactional
  public void write(OwnResistance row, String who) {
    turns.take(Turns.Turn.OWN_ROWS);
    List<String> values =
        List.of(
            row.fluid() == null ? "" : row.fluid(),
            Text.digits(row.fromPct()),
            Text.digits(row.toPct()),
            row.material() == null ? "" : row.material(),
            row.fullC().map(Text::digits).orElse(""),
            row.limitedC().map(Text::digits).orElse(""),
            row.effect() == null ? "" : row.effect().map(Effect::code).orElse(""),
            "seen here",
            "this shop",
            LocalDate.now(clock).toString(),
            row.note() == null ? "" : row.note());
    store(RESISTANCE, csv(RESISTANCE, List.of(values)), who, false);
  }

  /**
   * Ends an own row: the shipped ones count again.
   *
   * @param id its number
   * @throws RequestProblem where no own row of the table with this number counts now
   */
  @Transactional
  public void end(String table, long id, String who) {
    turns.take(Turns.Turn.OWN_ROWS);
    if (store.endOwn(checked(table), id, who, OffsetDateTime.now(clock)) == 0) {
      throw RequestProblem.missing("No own row of this table has the number " + id + ".");
    }
    // Other own rows may build on it: a row for a fluid that only the shop knows.
    checked(() -> library.kept(ShopLibrary.ownTables(store.ownRows())), table);
  }

  /**
   * A table as CSV.
   *
   * @param own only what the shop wrote; else the shipped rows, and the shop's over them
   */
  public String export(String table, boolean own) {
    String checked = checked(table);
    List<List<String>> rows = new ArrayList<>();
    Map<Object, List<String>> byKey = new LinkedHashMap<>();
    try {
      if (!own) {
        shipped(checked).forEach(r -> byKey.put(key(checked, r), r));
      }
      store.ownRows().stream()
          .filter(r -> r.tableName().equals(checked))
          .map(OwnTables::fields)
          .forEach(r -> byKey.put(key(checked, r), r));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    rows.addAll(byKey.values());
    return csv(checked, rows);
  }

  /**
   * Takes a table in over the shipped one, all of it or nothing. Rows that say what is known
   * already are left out.
   *
   * @param dryRun only tells what it would do
   * @throws RequestProblem with every fault and its line
   */
  @Transactional
  public ImportReport importTable(String table, String text, String who, boolean dryRun) {
    turns.take(Turns.Turn.OWN_ROWS);
    if (text.length() > MOST_CHARACTERS) {
      throw RequestProblem.invalid(
          "file", "Longer than " + MOST_CHARACTERS + " characters: take it in by parts.");
    }
    return store(checked(table), text, who, dryRun);
  }

  /** What was changed in a table, newest first. */
  public List<Change> history(String table) {
    return store.history(checked(table), MOST_HISTORY).stream().map(OwnTables::change).toList();
  }

  private ImportReport store(String table, String text, String who, boolean dryRun) {
    Map<String, String> own = ShopLibrary.ownTables(store.ownRows());
    // The file by itself first, so that the lines told are its own.
    own.put(table, text);
    checked(() -> library.with(own), table);
    Map<Object, List<String>> shipped = new LinkedHashMap<>();
    Map<Object, List<OwnRow>> mine = new LinkedHashMap<>();
    List<List<String>> read;
    try {
      shipped(table).forEach(r -> shipped.put(key(table, r), r));
      for (OwnRow row : store.ownRows()) {
        if (row.tableName().equals(table)) {
          mine.computeIfAbsent(key(table, fields(row)), k -> new ArrayList<>()).add(row);
        }
      }
      read = rows(table, text);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    int added = 0;
    int replaced = 0;
    int unchanged = 0;
    OffsetDateTime now = OffsetDateTime.now(clock);
    for (List<String> written : read) {
      List<String> row = plain(table, written);
      Object key = key(table, row);
      List<OwnRow> before = mine.getOrDefault(key, List.of());
      List<String> known =
          before.isEmpty() ? shipped.get(key) : fields(before.get(before.size() - 1));
      if (known != null && row.equals(plain(table, known))) {
        unchanged++;
        continue;
      }
      if (known == null) {
        added++;
      } else {
        replaced++;
      }
      if (!dryRun) {
        before.forEach(o -> store.endOwn(table, o.id(), who, now));
        store.addOwn(new OwnRow(0, table, keyText(table, row), line(row), who, now, null, null));
      }
    }
    if (!dryRun) {
      checked(() -> library.kept(ShopLibrary.ownTables(store.ownRows())), table);
    }
    return new ImportReport(table, added, replaced, unchanged, !dryRun);
  }

  private static void checked(Runnable read, String table) {
    try {
      read.run();
    } catch (LibraryReader.InvalidLibrary e) {
      throw RequestProblem.invalid(
          e.faults().stream()
              .map(
                  f ->
                      new Fault(
                          f.path().replace("own ", ""),
                          Text.wholeSentence(f.message()),
                          f.path().equals("own " + table) ? f.line() : 0))
              .toList());
    }
  }

  private static String checked(String table) {
    if (!LibraryReader.TABLES.contains(table)) {
      throw RequestProblem.missing(
          "The library has the tables " + String.join(", ", LibraryReader.TABLES) + ".");
    }
    return table;
  }

  /** Rows in the order of the table's columns, whatever the order of the text's. */
  private static List<List<String>> rows(String table, String text) {
    return rows(CsvTable.read(table, text, LibraryReader.columns(table)), table);
  }

  /** The same, of a table that ships with the program. */
  private static List<List<String>> shipped(String table) throws IOException {
    return rows(
        CsvTable.read(table, ShippedLibrary.table(table), LibraryReader.columns(table)), table);
  }

  private static List<List<String>> rows(CsvTable read, String table) {
    return read.rowsOrThrow().stream().map(r -> r.values(LibraryReader.columns(table))).toList();
  }

  /** The fields of an own row, in the order of the table's columns. */
  private static List<String> fields(OwnRow row) {
    String heading = String.join(",", LibraryReader.columns(row.tableName()));
    return rows(row.tableName(), heading + "\n" + row.line()).get(0);
  }

  /** What makes a row the same as an earlier one, however its numbers and names are written. */
  private Object key(String table, List<String> row) {
    if (table.equals(RESISTANCE)) {
      UnaryOperator<String> field = column -> field(table, row, column);
      return new BandKey(
          library
              .materials()
              .fluid(field.apply("fluid"))
              .map(Fluid::code)
              .orElse(field.apply("fluid")),
          library
              .materials()
              .material(field.apply("material"))
              .map(Material::code)
              .orElse(field.apply("material")),
          Double.parseDouble(field.apply("from_pct")),
          Double.parseDouble(field.apply("to_pct")));
    }
    return keyText(table, row);
  }

  private static String keyText(String table, List<String> row) {
    return LibraryReader.keyColumns(table).stream()
        .map(c -> field(table, row, c))
        .collect(Collectors.joining(","));
  }

  private static String field(String table, List<String> row, String column) {
    return row.get(LibraryReader.columns(table).indexOf(column));
  }

  /** A row with its band and its names as the library writes them: 2.50 is 2.5. */
  private List<String> plain(String table, List<String> row) {
    if (!table.equals(RESISTANCE)) {
      return row;
    }
    BandKey key = (BandKey) key(table, row);
    List<String> plain = new ArrayList<>(row);
    List<String> columns = LibraryReader.columns(table);
    plain.set(columns.indexOf("fluid"), key.fluid());
    plain.set(columns.indexOf("material"), key.material());
    plain.set(columns.indexOf("from_pct"), Text.digits(key.fromPct()));
    plain.set(columns.indexOf("to_pct"), Text.digits(key.toPct()));
    return plain;
  }

  private static String csv(String table, List<List<String>> rows) {
    StringBuilder text =
        new StringBuilder(String.join(",", LibraryReader.columns(table))).append('\n');
    rows.forEach(r -> text.append(line(r)).append('\n'));
    return text.toString();
  }

  private static String line(List<String> row) {
    StringWriter out = new StringWriter();
    try (CSVPrinter printer = new CSVPrinter(out, CSVFormat.DEFAULT)) {
      printer.printRecord(row.stream().map(SpreadsheetCell::of).toList());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toString().strip();
  }

  /** Numbers of the own rows of resistance that count now, by what they say something of. */
  Map<BandKey, Long> bands() {
    Map<BandKey, Long> bands = new LinkedHashMap<>();
    store.ownRows().stream()
        .filter(r -> r.tableName().equals(RESISTANCE))
        .forEach(r -> bands.put((BandKey) key(RESISTANCE, fields(r)), r.id()));
    return bands;
  }

  static Change change(OwnRow r) {
    return new Change(
        r.id(),
        r.tableName(),
        r.rowKey(),
        r.line(),
        r.writtenBy(),
        Text.day(r.writtenAt().toLocalDate()),
        Optional.ofNullable(r.endedBy()),
        Optional.ofNullable(r.endedAt()).map(t -> Text.day(t.toLocalDate())));
  }
}
