package isokinon.server.db;

import static java.util.stream.Collectors.toMap;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import isokinon.server.MillTest;
import java.lang.reflect.RecordComponent;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;

/** A record that stands for a row says what the schema says. */
@MillTest
class RowsAndSchemaTest {

  /** Rows that a query makes up; no table stands behind them. */
  private static final Set<Class<?>> OF_QUERIES =
      Set.of(CountRow.class, JudgedReadingRow.class, LastEventRow.class, StepMedianRow.class);

  private static final Map<Class<?>, String> TABLES_OF_OTHER_NAMES =
      Map.of(
          EventRow.class, "bench_event",
          CauseRow.class, "cause_found",
          CounterRow.class, "counter_reading",
          OwnRow.class, "own_row");

  @Autowired private JdbcTemplate sql;

  private record Column(String name, boolean nullable) {}

  static List<Class<?>> rows() {
    return new ClassFileImporter()
        .importPackagesOf(PumpRow.class).stream()
            .filter(c -> c.getSimpleName().endsWith("Row"))
            .<Class<?>>map(JavaClass::reflect)
            .filter(c -> !OF_QUERIES.contains(c))
            .toList();
  }

  @ParameterizedTest
  @MethodSource("rows")
  void everyComponentIsAColumnAndAPrimitiveIsNeverNull(Class<?> row) {
    Map<String, Column> columns = columns(table(row));
    assertThat(columns).as(table(row)).isNotEmpty();
    for (RecordComponent c : row.getRecordComponents()) {
      Column column = columns.get(snake(c.getName()));
      assertThat(column).as(row.getSimpleName() + "." + c.getName()).isNotNull();
      assertThat(c.getType().isPrimitive() && column.nullable())
          .as(row.getSimpleName() + "." + c.getName() + " may be null in the schema")
          .isFalse();
    }
  }

  private Map<String, Column> columns(String table) {
    return sql
        .query(
            "select lower(column_name), is_nullable from information_schema.columns"
                + " where table_schema = 'PUBLIC' and lower(table_name) = ?",
            (found, i) -> new Column(found.getString(1), found.getString(2).equals("YES")),
            table)
        .stream()
        .collect(toMap(Column::name, c -> c));
  }

  private static String table(Class<?> row) {
    return TABLES_OF_OTHER_NAMES.getOrDefault(
        row, snake(row.getSimpleName().replaceFirst("Row$", "")));
  }

  private static String snake(String name) {
    return name.replaceAll("(?<=.)([A-Z])", "_$1").toLowerCase(Locale.ROOT);
  }
}
