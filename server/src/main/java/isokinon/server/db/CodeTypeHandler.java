package isokinon.server.db;

import isokinon.core.value.Code;
import java.sql.CallableStatement;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Arrays;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.apache.ibatis.type.BaseTypeHandler;
import org.apache.ibatis.type.JdbcType;

/**
 * Keeps an enum in a column: by its code where it has one, else by its name. A word that is none of
 * the set is told with the set, so that a database written by hand is not half read.
 *
 * @param <E> the enum
 */
public final class CodeTypeHandler<E extends Enum<E>> extends BaseTypeHandler<E> {

  private final Class<E> type;
  private final Map<String, E> byWord;

  /** A handler of one enum. */
  public CodeTypeHandler(Class<E> type) {
    this.type = type;
    // a large shop reads a hundred thousand of them at once
    this.byWord =
        Arrays.stream(type.getEnumConstants())
            .collect(Collectors.toUnmodifiableMap(CodeTypeHandler::word, Function.identity()));
  }

  private static String word(Enum<?> value) {
    return value instanceof Code c ? c.code() : value.name();
  }

  private E read(String word) {
    if (word == null) {
      return null;
    }
    E value = byWord.get(word);
    if (value == null) {
      throw new IllegalStateException(
          "\"" + word + "\" in the database is no " + type.getSimpleName() + ".");
    }
    return value;
  }

  @Override
  public void setNonNullParameter(PreparedStatement to, int at, E value, JdbcType jdbcType)
      throws SQLException {
    to.setString(at, word(value));
  }

  @Override
  public E getNullableResult(ResultSet from, String column) throws SQLException {
    return read(from.getString(column));
  }

  @Override
  public E getNullableResult(ResultSet from, int column) throws SQLException {
    return read(from.getString(column));
  }

  @Override
  public E getNullableResult(CallableStatement from, int column) throws SQLException {
    return read(from.getString(column));
  }
}
