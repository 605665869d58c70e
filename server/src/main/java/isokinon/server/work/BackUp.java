package isokinon.server.work;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.sql.ResultSetMetaData;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Everything the shop has recorded, table by table: out as CSV or JSON, and back into an empty
 * database. Every value goes as the text the database itself reads again, so nothing is lost.
 */
@Service
public class BackUp {

  /** Tables in the order they refer to each other. */
  private static final String TABLES =
      "select lower(table_name) from information_schema.tables where table_schema = 'PUBLIC'"
          + " and lower(table_name) <> 'flyway_schema_history' order by"
          + " case lower(table_name) when 'pump' then 1 when 'rebuild' then 2 else 3 end,"
          + " table_name";

  private static final String COLUMNS =
      "select lower(column_name) from information_schema.columns where table_schema = 'PUBLIC'"
          + " and lower(table_name) = ? order by ordinal_position";

  /** A table: its columns, and its rows as text; null is null. */
  public record StoredTable(List<String> columns, List<List<String>> rows) {}

  private final JdbcTemplate jdbc;

  BackUp(JdbcTemplate jdbc) {
    this.jdbc = jdbc;
  }

  /** Every table by name. */
  @Transactional(readOnly = true)
  public Map<String, StoredTable> all() {
    Map<String, StoredTable> all = new LinkedHashMap<>();
    for (String table : jdbc.queryForList(TABLES, String.class)) {
      all.put(table, table(table));
    }
    return all;
  }

  private StoredTable table(String name) {
    List<String> columns = jdbc.queryForList(COLUMNS, String.class, name);
    List<List<String>> rows =
        jdbc.query(
            "select * from " + name + " order by " + columns.get(0),
            (row, n) -> {
              ResultSetMetaData meta = row.getMetaData();
              List<String> values = new ArrayList<>();
              for (int i = 1; i <= meta.getColumnCount(); i++) {
                values.add(row.getString(i));
              }
              return values;
            });
    return new StoredTable(columns, rows);
  }

  /** The same as a zip of CSV files; a field that is not there is written as nothing at all. */
  @Transactional(readOnly = true)
  public byte[] zip() {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(bytes);
        OutputStreamWriter text = new OutputStreamWriter(zip, StandardCharsets.UTF_8)) {
      CSVFormat format = CSVFormat.POSTGRESQL_CSV.builder().setRecordSeparator("\n").get();
      for (Map.Entry<String, StoredTable> t : all().entrySet()) {
        zip.putNextEntry(new ZipEntry(t.getKey() + ".csv"));
        CSVPrinter out = new CSVPrinter(text, format);
        out.printRecord(t.getValue().columns());
        out.printRecords(t.getValue().rows());
        text.flush();
        zip.closeEntry();
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return bytes.toByteArray();
  }

  /**
   * Puts everything back.
   *
   * @throws Refused where the database holds pumps already, or a table or column is not known
   */
  @Transactional
  public void restore(Map<String, StoredTable> all) {
    if (jdbc.queryForObject("select count(*) from pump", Integer.class) > 0) {
      throw Refused.of(
          422, "", "This shop has pumps already: everything goes back into an empty one only.");
    }
    List<String> known = jdbc.queryForList(TABLES, String.class);
    List<Refused.Fault> faults = new ArrayList<>();
    all.forEach((name, table) -> check(name, table, known, faults));
    if (!faults.isEmpty()) {
      throw new Refused(400, faults);
    }
    for (String name : known) {
      if (all.containsKey(name)) {
        put(name, all.get(name));
      }
    }
  }

  private void check(
      String name, StoredTable table, List<String> known, List<Refused.Fault> faults) {
    if (!known.contains(name)) {
      faults.add(new Refused.Fault(name, "No table is called " + name + "."));
      return;
    }
    List<String> columns = jdbc.queryForList(COLUMNS, String.class, name);
    if (!columns.containsAll(table.columns())) {
      faults.add(new Refused.Fault(name, "It has columns that are not known: " + name + "."));
    }
    if (table.rows().stream().anyMatch(r -> r.size() != table.columns().size())) {
      faults.add(new Refused.Fault(name, "A row has not as many fields as there are columns."));
    }
  }

  private void put(String name, StoredTable table) {
    jdbc.update("delete from " + name);
    if (table.rows().isEmpty()) {
      return;
    }
    String marks = String.join(", ", table.columns().stream().map(c -> "?").toList());
    jdbc.batchUpdate(
        "insert into "
            + name
            + " ("
            + String.join(", ", table.columns())
            + ") overriding system value values ("
            + marks
            + ")",
        table.rows().stream().map(List::toArray).toList());
    boolean numbered =
        jdbc.queryForObject(
                "select count(*) from information_schema.columns where table_schema = 'PUBLIC' and"
                    + " lower(table_name) = ? and lower(column_name) = 'id' and is_identity = 'YES'",
                Integer.class,
                name)
            > 0;
    if (numbered) {
      // The next row gets the next number, not one that is taken.
      jdbc.execute(
          "alter table "
              + name
              + " alter column id restart with (select coalesce(max(id), 0) + 1 from "
              + name
              + ")");
    }
  }
}
