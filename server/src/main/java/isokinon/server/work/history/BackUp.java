package isokinon.server.work.history;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonGenerator;
import isokinon.core.sheet.reading.SheetReader;
import isokinon.core.table.SpreadsheetCell;
import isokinon.core.value.Fault;
import isokinon.server.db.DataVersions;
import isokinon.server.db.Tables;
import isokinon.server.folder.RoomToWrite;
import isokinon.server.work.shared.RequestProblem;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Everything the shop has recorded, table by table: out as CSV or JSON, and back into an empty
 * database. Every value goes as the text the database itself reads again, so nothing is lost.
 * Tables pass through row by row; no more than a few hundred rows are in memory at once.
 */
@Service
public class BackUp {

  private static final Logger LOG = LoggerFactory.getLogger(BackUp.class);
  private static final int ROWS_AT_ONCE = 1_000;

  /** A table of the API description: its columns, and its rows as text; null is null. */
  public record StoredTable(List<String> columns, List<List<String>> rows) {}

  /** A whole back-up in the API description: every table by its name. */
  public interface Everything extends Map<String, StoredTable> {}

  private final Tables tables;
  private final DataVersions versions;
  private final RoomToWrite room;

  BackUp(Tables tables, DataVersions versions, RoomToWrite room) {
    this.tables = tables;
    this.versions = versions;
    this.room = room;
  }

  /**
   * Writes every table as JSON, and the version of the schema they are in: all as they were at one
   * moment, whatever is written meanwhile.
   *
   * @throws UncheckedIOException where {@code out} takes no more
   */
  @Transactional(readOnly = true, isolation = Isolation.SERIALIZABLE)
  public void json(OutputStream out) {
    try (JsonGenerator json = new JsonFactory().createGenerator(out)) {
      json.writeStartObject();
      write(
          json,
          BackUpFile.SCHEMA,
          List.of("version"),
          rows -> rows.row(List.of(tables.schemaVersion())));
      for (String table : tables.names()) {
        List<String> columns = tables.columns(table);
        write(json, table, columns, to -> tables.read(table, columns, to));
      }
      json.writeEndObject();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private interface Source {
    void into(Tables.Rows rows) throws IOException;
  }

  private static void write(JsonGenerator json, String table, List<String> columns, Source source)
      throws IOException {
    json.writeObjectFieldStart(table);
    json.writeArrayFieldStart("columns");
    for (String column : columns) {
      json.writeString(column);
    }
    json.writeEndArray();
    json.writeArrayFieldStart("rows");
    source.into(
        row -> {
          json.writeStartArray();
          for (String value : row) {
            if (value == null) {
              json.writeNull();
            } else {
              json.writeString(value);
            }
          }
          json.writeEndArray();
        });
    json.writeEndArray();
    json.writeEndObject();
  }

  /**
   * Writes the tables as a zip of CSV files for a spreadsheet; a field that is not there is written
   * as nothing at all.
   */
  @Transactional(readOnly = true, isolation = Isolation.SERIALIZABLE)
  public void zip(OutputStream out) {
    try (ZipOutputStream zip = new ZipOutputStream(out);
        OutputStreamWriter text = new OutputStreamWriter(zip, StandardCharsets.UTF_8)) {
      CSVFormat format = CSVFormat.POSTGRESQL_CSV.builder().setRecordSeparator("\n").get();
      for (String table : tables.names()) {
        List<String> columns = tables.columns(table);
        zip.putNextEntry(new ZipEntry(table + ".csv"));
        CSVPrinter csv = new CSVPrinter(text, format);
        csv.printRecord(columns);
        tables.read(
            table, columns, row -> csv.printRecord(row.stream().map(SpreadsheetCell::of).toList()));
        text.flush();
        zip.closeEntry();
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /**
   * Puts everything back, from a back-up of this version or of an earlier one.
   *
   * @param file as {@link #json} wrote it
   * @throws RequestProblem where the shop has pumps already, or the file is not such a back-up;
   *     nothing is stored then
   * @throws isokinon.server.folder.NoRoom where the disk fills up meanwhile; nothing is stored then
   */
  @Transactional
  public void restore(Path file) {
    if (tables.count("pump") > 0) {
      throw RequestProblem.notNow(
          "", "This shop has pumps already: everything goes back into an empty one only.");
    }
    BackUpFile saved = BackUpFile.read(file);
    if (saved.schema() > tables.schema()) {
      throw RequestProblem.notNow(
          BackUpFile.SCHEMA,
          "This back-up was written by a newer version of the application: put it back with that.");
    }
    try {
      if (saved.schema() == tables.schema()) {
        put(saved, tables, room::require);
      } else {
        restoreOlder(saved);
      }
      readable();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    versions.everythingChanged();
  }

  /**
   * Puts an older back-up into a database of its version, migrates that, and reads it from there.
   */
  private void restoreOlder(BackUpFile saved) throws IOException {
    try (Tables.Copy copy = tables.copyAt(saved.schema())) {
      put(saved, copy.tables(), () -> room.require(copy.folder()));
      copy.migrate();
      tables.clearAll();
      for (String table : tables.names()) {
        List<String> columns = tables.columns(table);
        fill(tables, table, columns, room::require, to -> copy.tables().read(table, columns, to));
      }
    }
  }

  /**
   * @param room throws where the disk that is written to is nearly full; asked before every part
   */
  private static void fill(
      Tables into, String table, List<String> columns, Runnable room, Source source)
      throws IOException {
    List<List<String>> some = new ArrayList<>();
    long[] kept = {0};
    source.into(
        row -> {
          some.add(new ArrayList<>(row));
          if (some.size() >= ROWS_AT_ONCE) {
            room.run();
            add(into, table, columns, some, kept[0]);
            kept[0] += some.size();
            some.clear();
          }
        });
    room.run();
    add(into, table, columns, some, kept[0]);
    into.numberOn(table);
  }

  private static void add(
      Tables into, String table, List<String> columns, List<List<String>> rows, long before) {
    try {
      into.add(table, columns, rows);
    } catch (DataAccessException e) {
      LOG.debug("rows that cannot be kept", e);
      throw RequestProblem.invalid(
          table,
          "A row of "
              + table
              + " between "
              + (before + 1)
              + " and "
              + (before + rows.size())
              + " cannot be kept: a value is missing, too long, of another kind, or names what is"
              + " not there.");
    }
  }

  /** A sheet that cannot be read would take the floor, the stores and the diary down with it. */
  private void readable() {
    tables.read(
        "sheet",
        List.of("id", "revision", "source"),
        row -> {
          if (SheetReader.forLibrary().read(row.get(2)).sheet().isEmpty()) {
            throw RequestProblem.invalid(
                "sheet",
                "Revision " + row.get(1) + " of the sheet " + row.get(0) + " cannot be read.");
          }
        });
  }

  private static void put(BackUpFile saved, Tables into, Runnable room) throws IOException {
    List<String> known = into.names();
    check(saved, into, known);
    into.clearAll();
    for (String table : known) {
      BackUpFile.Place place = saved.tables().get(table);
      if (place != null) {
        fill(into, table, place.columns(), room, to -> saved.rows(place, to));
      }
    }
  }

  private static void check(BackUpFile saved, Tables into, List<String> known) {
    List<Fault> faults = new ArrayList<>();
    for (Map.Entry<String, BackUpFile.Place> t : saved.tables().entrySet()) {
      String table = t.getKey();
      if (!known.contains(table)) {
        faults.add(new Fault(table, "No table is called " + table + "."));
        continue;
      }
      Set<String> columns = new HashSet<>(into.columns(table));
      if (!columns.containsAll(t.getValue().columns())) {
        faults.add(new Fault(table, "It has columns that are not known: " + table + "."));
      }
      if (!t.getValue().even()) {
        faults.add(new Fault(table, "A row has not as many fields as there are columns."));
      }
    }
    if (!faults.isEmpty()) {
      throw RequestProblem.invalid(faults);
    }
  }
}
