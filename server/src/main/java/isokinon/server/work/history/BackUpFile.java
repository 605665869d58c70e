package isokinon.server.work.history;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonParseException;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonToken;
import isokinon.server.db.Tables;
import isokinon.server.work.shared.RequestProblem;
import java.io.BufferedInputStream;
import java.io.FileInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * A back-up as it lies in a file: {@code {"table": {"columns": [...], "rows": [[...], ...]}}}. It
 * is read once from end to end to find where each table stands; then the rows of a table are read
 * from there, so that tables can be put back in the order in which they refer to each other.
 */
final class BackUpFile {

  /** Where the version of the schema stands; a back-up without it was written at the first. */
  static final String SCHEMA = "schema_version";

  /** The schema of the last version that did not write its number into a back-up. */
  private static final int WITHOUT_NUMBER = 8;

  /**
   * A table in the file.
   *
   * @param from byte at which its object begins
   * @param even whether every row has as many fields as there are columns
   */
  record Place(long from, List<String> columns, boolean even) {}

  private final Path file;
  private final Map<String, Place> tables = new LinkedHashMap<>();
  private int schema = WITHOUT_NUMBER;

  private BackUpFile(Path file) {
    this.file = file;
  }

  /**
   * Reads where everything stands.
   *
   * @throws RequestProblem where it is no back-up
   */
  static BackUpFile read(Path file) {
    BackUpFile saved = new BackUpFile(file);
    try (InputStream in = new BufferedInputStream(Files.newInputStream(file));
        JsonParser json = new JsonFactory().createParser(in)) {
      if (json.nextToken() != JsonToken.START_OBJECT) {
        throw noBackUp();
      }
      while (json.nextToken() == JsonToken.FIELD_NAME) {
        saved.place(json.currentName(), json);
      }
    } catch (JsonParseException e) {
      throw noBackUp();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return saved;
  }

  private void place(String table, JsonParser json) throws IOException {
    if (json.nextToken() != JsonToken.START_OBJECT) {
      throw noBackUp();
    }
    long from = json.currentTokenLocation().getByteOffset();
    List<String> columns = new ArrayList<>();
    List<List<String>> version = new ArrayList<>();
    boolean[] even = {true};
    while (json.nextToken() == JsonToken.FIELD_NAME) {
      boolean isColumns = json.currentName().equals("columns");
      if (json.nextToken() != JsonToken.START_ARRAY) {
        throw noBackUp();
      }
      if (isColumns) {
        columns.addAll(values(json));
      } else {
        while (json.nextToken() == JsonToken.START_ARRAY) {
          List<String> row = values(json);
          even[0] &= row.size() == columns.size();
          if (table.equals(SCHEMA)) {
            version.add(row);
          }
        }
      }
    }
    if (table.equals(SCHEMA)) {
      schema = version(version);
    } else {
      tables.put(table, new Place(from, columns, even[0]));
    }
  }

  private static int version(List<List<String>> rows) {
    try {
      return Integer.parseInt(rows.get(0).get(0));
    } catch (NumberFormatException | IndexOutOfBoundsException e) {
      throw noBackUp();
    }
  }

  /** Hands every row of a table to {@code rows}. */
  void rows(Place place, Tables.Rows rows) {
    try (FileInputStream in = new FileInputStream(file.toFile())) {
      in.getChannel().position(place.from());
      try (JsonParser json = new JsonFactory().createParser(new BufferedInputStream(in))) {
        json.nextToken();
        while (json.nextToken() == JsonToken.FIELD_NAME) {
          boolean isRows = json.currentName().equals("rows");
          json.nextToken();
          if (!isRows) {
            json.skipChildren();
            continue;
          }
          while (json.nextToken() == JsonToken.START_ARRAY) {
            rows.row(values(json));
          }
        }
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static List<String> values(JsonParser json) throws IOException {
    List<String> values = new ArrayList<>();
    for (JsonToken t = json.nextToken(); t != JsonToken.END_ARRAY; t = json.nextToken()) {
      if (t == null || t.isStructStart()) {
        throw noBackUp();
      }
      values.add(t == JsonToken.VALUE_NULL ? null : json.getText());
    }
    return values;
  }

  private static RequestProblem noBackUp() {
    return RequestProblem.invalid("", "This file is no back-up of a shop, or it was cut short.");
  }

  /** The version of the schema it was written at. */
  int schema() {
    return schema;
  }

  /** Where each table stands, in the order of the file. */
  Map<String, Place> tables() {
    return tables;
  }
}
