package isokinon.server.demo;

import isokinon.core.table.CsvRow;
import isokinon.core.table.CsvTable;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.springframework.core.io.ClassPathResource;

/** The tables in {@code library/demo}. */
final class MillTables {

  private MillTables() {}

  /** The lines of a table of the demo. */
  static List<CsvRow> rows(String name) {
    try {
      return CsvTable.read(
              name,
              new InputStreamReader(
                  new ClassPathResource("library/demo/" + name + ".csv").getInputStream(),
                  StandardCharsets.UTF_8),
              List.of())
          .rowsOrThrow();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
