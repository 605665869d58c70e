package isokinon.server.db;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.UUID;
import javax.sql.DataSource;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationVersion;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.DriverManagerDataSource;
import org.springframework.stereotype.Component;
import org.springframework.util.FileSystemUtils;

/** The tables of the database as text, whatever they hold: for back-ups, not for use cases. */
@Component
public class Tables {

  /** Takes the rows of a table one by one; the list is good only until it returns. */
  @FunctionalInterface
  public interface Rows {
    /** A row in the order of the columns; null where a field holds nothing. */
    void row(List<String> values) throws IOException;
  }

  private static final String MIGRATIONS = "classpath:db/migration";

  /** Tables in the order in which they refer to each other. */
  private static final String NAMES =
      "select lower(table_name) from information_schema.tables where table_schema = 'PUBLIC'"
          + " and lower(table_name) not in ('flyway_schema_history', 'turn', 'credential',"
          + " 'signed_in') order by"
          + " case lower(table_name) when 'pump' then 1 when 'rebuild' then 2 when 'lot' then 3"
          + " else 4 end, table_name";

  private static final String COLUMNS =
      "select lower(column_name) from information_schema.columns where table_schema = 'PUBLIC'"
          + " and lower(table_name) = ? order by ordinal_position";

  private final JdbcTemplate jdbc;

  @Autowired
  Tables(JdbcTemplate jdbc) {
    this.jdbc = jdbc;
  }

  /** The tables of another database. */
  public static Tables of(DataSource source) {
    return new Tables(new JdbcTemplate(source));
  }

  /** Names of all tables; one that others refer to stands before them. */
  public List<String> names() {
    return jdbc.queryForList(NAMES, String.class);
  }

  /** Columns of a table in its order. */
  public List<String> columns(String table) {
    return jdbc.queryForList(COLUMNS, String.class, table);
  }

  /** How many rows a table has. */
  public int count(String table) {
    return jdbc.queryForObject("select count(*) from " + table, Integer.class);
  }

  /** The version of the schema. */
  public int schema() {
    return Integer.parseInt(schemaVersion());
  }

  /** The same as text. */
  public String schemaVersion() {
    return jdbc.queryForObject(
        "select \"version\" from \"flyway_schema_history\" where \"success\" and \"version\" is not"
            + " null order by \"installed_rank\" desc limit 1",
        String.class);
  }

  /** Hands every row of a table to {@code rows}. */
  public void read(String table, List<String> columns, Rows rows) {
    jdbc.query(
        "select " + String.join(", ", columns) + " from " + table + " order by " + columns.get(0),
        row -> {
          List<String> values = new ArrayList<>(columns.size());
          for (int i = 1; i <= columns.size(); i++) {
            values.add(row.getString(i));
          }
          try {
            rows.row(values);
          } catch (IOException e) {
            throw new UncheckedIOException(e);
          }
        });
  }

  /** Takes every row out of every table, of those first that refer to others. */
  public void clearAll() {
    List<String> names = new ArrayList<>(names());
    Collections.reverse(names);
    names.forEach(table -> jdbc.update("delete from " + table));
  }

  /** Adds rows as they are, their numbers too. */
  public void add(String table, List<String> columns, List<List<String>> rows) {
    if (rows.isEmpty()) {
      return;
    }
    jdbc.batchUpdate(
        "insert into "
            + table
            + " ("
            + String.join(", ", columns)
            + ") overriding system value values ("
            + String.join(", ", columns.stream().map(c -> "?").toList())
            + ")",
        rows.stream().map(List::toArray).toList());
  }

  /** Lets a table that numbers its rows go on behind the last, not with one that is taken. */
  public void numberOn(String table) {
    boolean numbers =
        jdbc.queryForObject(
                "select count(*) from information_schema.columns where table_schema = 'PUBLIC' and"
                    + " lower(table_name) = ? and lower(column_name) = 'id' and is_identity = 'YES'",
                Integer.class,
                table)
            > 0;
    if (numbers) {
      jdbc.execute(
          "alter table "
              + table
              + " alter column id restart with (select coalesce(max(id), 0) + 1 from "
              + table
              + ")");
    }
  }

  /** An empty database of its own at an earlier version of the schema; gone when it is closed. */
  public static final class Copy implements AutoCloseable {
    private final Path folder;
    private final DataSource source;

    private Copy(Path folder, DataSource source) {
      this.folder = folder;
      this.source = source;
    }

    /** Where it stands. */
    public Path folder() {
      return folder;
    }

    /** Its tables. */
    public Tables tables() {
      return of(source);
    }

    /** Brings it to the newest version of the schema. */
    public void migrate() {
      Flyway.configure().dataSource(source).locations(MIGRATIONS).load().migrate();
    }

    @Override
    public void close() throws IOException {
      new JdbcTemplate(source).execute("shutdown");
      FileSystemUtils.deleteRecursively(folder);
    }
  }

  /** An empty database at an earlier version of the schema, in a folder for temporary files. */
  public Copy copyAt(int version) throws IOException {
    Path folder = Files.createTempDirectory("isokinon-restore");
    DataSource source =
        new DriverManagerDataSource(
            "jdbc:h2:file:" + folder.resolve(UUID.randomUUID().toString()) + ";DB_CLOSE_DELAY=-1",
            "sa",
            "");
    Flyway.configure()
        .dataSource(source)
        .locations(MIGRATIONS)
        .target(MigrationVersion.fromVersion(Integer.toString(version)))
        .load()
        .migrate();
    return new Copy(folder, source);
  }
}
