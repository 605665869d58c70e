package isokinon.server.work.history;

import isokinon.core.value.Fault;
import java.util.Arrays;
import java.util.List;

/** What a table did, or would do. */
public record HistoryReport(
    List<FieldView> fields,
    List<ColumnView> columns,
    List<ReadRun> first,
    int lines,
    int fresh,
    int known,
    int failed,
    int pumps,
    List<Fault> faults,
    List<String> otherOutcomes,
    boolean stored) {

  /** A column that can be filled, and the heading that fills it; empty where none does. */
  public record FieldView(String field, String say, String column) {}

  /** A heading of the table with what stands first under it. */
  public record ColumnView(String name, List<String> examples, boolean taken) {}

  /** A run as it was understood. */
  public record ReadRun(
      int line,
      String tag,
      String role,
      String material,
      String duty,
      String fitted,
      String ended,
      double hours,
      String outcome) {}

  /** A column that a table may have, and what it may be called besides. */
  public record KnownField(String field, String say, List<String> alsoCalled) {}

  /** The columns that a table of past runs may have. */
  public static List<KnownField> columnsKnown() {
    return Arrays.stream(HistoryField.values())
        .map(f -> new KnownField(f.code(), f.say(), f.names()))
        .toList();
  }
}
