package isokinon.server.db.pumps;

import java.util.Collection;
import java.util.List;
import java.util.stream.Stream;

/** Ways of the variants of a unit as they stand in one column: ids with semicolons between. */
public final class Variants {

  private Variants() {}

  /** The ways in a column. */
  public static List<String> list(String column) {
    return Stream.of(column.split(";")).filter(w -> !w.isEmpty()).toList();
  }

  /** The column of some ways. */
  public static String column(Collection<String> ways) {
    return String.join(";", ways);
  }
}
