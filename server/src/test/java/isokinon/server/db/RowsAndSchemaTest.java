package isokinon.server.db;

import static java.util.stream.Collectors.toMap;
import static java.util.stream.Collectors.toSet;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import isokinon.server.MillTest;
import isokinon.server.db.access.ChangeRow;
import isokinon.server.db.find.FoundRow;
import isokinon.server.db.findings.CauseRow;
import isokinon.server.db.findings.CountRow;
import isokinon.server.db.materials.JudgedReadingRow;
import isokinon.server.db.materials.OwnRow;
import isokinon.server.db.pumps.CounterRow;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.db.rebuilds.EventRow;
import isokinon.server.db.rebuilds.LastEventRow;
import isokinon.server.db.rebuilds.StepMedianRow;
import java.lang.reflect.RecordComponent;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSetMetaData;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import javax.sql.DataSource;
import org.apache.ibatis.mapping.MappedStatement;
import org.apache.ibatis.mapping.SqlCommandType;
import org.apache.ibatis.scripting.xmltags.DynamicSqlSource;
import org.apache.ibatis.session.Configuration;
import org.apache.ibatis.session.SqlSessionFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;

/** A record that stands for a row says what the schema says. */
@MillTest
class RowsAndSchemaTest {

  /** Rows that a query makes up; no table stands behind them. */
  private static final Set<Class<?>> OF_QUERIES =
      Set.of(
          CountRow.class,
          FoundRow.class,
          JudgedReadingRow.class,
          LastEventRow.class,
          StepMedianRow.class);

  private static final Map<Class<?>, String> TABLES_OF_OTHER_NAMES =
      Map.of(
          EventRow.class, "bench_event",
          ChangeRow.class, "change_made",
          CauseRow.class, "cause_found",
          CounterRow.class, "counter_reading",
          OwnRow.class, "own_row");

  /** Rows that are read with columns of a second table. */
  private static final Map<Class<?>, String> READ_ALONG = Map.of(PumpRow.class, "fitted_part");

  @Autowired private JdbcTemplate sql;

  @Autowired private DataSource data;
  private Configuration mybatis;

  @Autowired
  void asConfigured(SqlSessionFactory factory) {
    mybatis = factory.getConfiguration();
  }

  private record Column(String name, boolean nullable) {}

  static List<Class<?>> rows() {
    return new ClassFileImporter()
        .importPackages(Topic.class.getPackageName()).stream()
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
    Optional.ofNullable(READ_ALONG.get(row)).ifPresent(t -> columns.putAll(columns(t)));
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

  /**
   * MyBatis fills a record by the order of the columns, which is fast and says nothing when two of
   * a kind change places. So every query is held to the names of its record.
   */
  @Test
  void everyQueryGivesTheColumnsOfItsRecordInTheirOrder() throws SQLException {
    Set<MappedStatement> queries =
        mybatis.getMappedStatementNames().stream()
            .filter(id -> id.startsWith(Topic.class.getPackageName()))
            .map(mybatis::getMappedStatement)
            .filter(q -> q.getSqlCommandType() == SqlCommandType.SELECT)
            .filter(q -> q.getResultMaps().get(0).getType().isRecord())
            .filter(q -> !(q.getSqlSource() instanceof DynamicSqlSource))
            .collect(toSet());
    assertThat(queries).hasSizeGreaterThan(40);
    try (Connection connection = data.getConnection()) {
      for (MappedStatement query : queries) {
        try (PreparedStatement asked =
            connection.prepareStatement(query.getBoundSql(null).getSql())) {
          assertThat(columns(asked.getMetaData()))
              .as(query.getId())
              .containsExactlyElementsOf(components(query.getResultMaps().get(0).getType()));
        }
      }
    }
  }

  private static List<String> columns(ResultSetMetaData answer) throws SQLException {
    List<String> names = new ArrayList<>();
    for (int i = 1; i <= answer.getColumnCount(); i++) {
      names.add(answer.getColumnLabel(i).toLowerCase(Locale.ROOT));
    }
    return names;
  }

  private static List<String> components(Class<?> row) {
    return Stream.of(row.getRecordComponents()).map(c -> snake(c.getName())).toList();
  }
}
