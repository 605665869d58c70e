package isokinon.server.work.setup.tables;

import isokinon.core.value.Fault;
import isokinon.server.work.shared.Text;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;

/**
 * A table of the set-up: its columns, its rows as texts by column, and how a row is written. A text
 * is as {@link SetupColumn#read} keeps it; one that is not there is empty.
 */
public abstract class ShopTable {

  /** A row that stands. */
  public record Standing(Map<String, String> values, boolean retired) {}

  /** Which table it is. */
  public abstract SetupTable id();

  /** Its columns, in the order of a form. */
  public abstract List<SetupColumn> columns();

  /** The columns by which a row is known. */
  public abstract List<String> key();

  /** Every row, those that are retired among them. */
  public abstract List<Standing> rows();

  /** The first of its rows, as many as are shown at once. */
  public List<Standing> first(int most) {
    return rows().stream().limit(most).toList();
  }

  /** Columns by which the rows are found that a few new ones are to be held against. */
  public List<String> narrowedBy() {
    return List.of();
  }

  /**
   * The rows that new ones are to be held against: all, unless a table of very many narrows them.
   *
   * @param words what the new rows have in the columns it is narrowed by, as they are kept
   */
  public List<Standing> beside(Map<String, Set<String>> words) {
    return rows();
  }

  /** How many of its rows stand, and how many are retired besides. */
  public record Count(int standing, int retired) {}

  /** Counts its rows. */
  public Count count() {
    return new Count(rows().size(), 0);
  }

  /** A value of the database as it would be typed; empty where there is none. */
  protected static String text(Object value) {
    if (value == null) {
      return "";
    }
    if (value instanceof Boolean yes) {
      return yes ? "yes" : "no";
    }
    return value instanceof Number n ? Text.digits(n.doubleValue()) : value.toString();
  }

  /** Columns that are asked of a new row only; of one that stands they change elsewhere. */
  public Set<String> onlyNew() {
    return Set.of();
  }

  /** Whether its rows are retired, and not taken out. */
  public boolean retires() {
    return false;
  }

  /**
   * What is wrong with a row whose columns each can be read.
   *
   * @param before the row as it stands; empty where it is new
   */
  public List<Fault> faults(Map<String, String> row, Optional<Map<String, String>> before) {
    return List.of();
  }

  /**
   * What is wrong with all rows together. A fault with a line is of that row; the path of any other
   * is a value of the rows it is of.
   *
   * @param after every row as it would stand, by its key
   * @param freshLines the line of each row that is new here, by its key
   */
  public List<Fault> together(
      Map<String, Map<String, String>> after, Map<String, Integer> freshLines) {
    return List.of();
  }

  /** The same table for one reading of many rows: what it looks up it may keep until then. */
  public ShopTable opened() {
    return this;
  }

  /** Whether its rows are records: what stands is not changed here, and a change adds. */
  public boolean recorded() {
    return false;
  }

  /** Fills in what a row leaves open of its key, where it can be told from the rest of it. */
  public void completeKey(Map<String, String> key) {}

  /** What is kept of a new row so that it can be taken back. */
  public Map<String, String> remembered(Map<String, String> row) {
    return row;
  }

  /**
   * A row to write.
   *
   * @param before the row as it stands; empty where it is new
   */
  public record Written(Map<String, String> row, Optional<Map<String, String>> before) {}

  /** Writes rows without faults; {@code each} is told of every one when it is written. */
  public void writeAll(List<Written> rows, String who, Consumer<Written> each) {
    for (Written w : rows) {
      write(w.row(), w.before(), who);
      each.accept(w);
    }
  }

  /** Writes a row without faults. */
  public abstract void write(
      Map<String, String> row, Optional<Map<String, String>> before, String who);

  /** Takes a row out. */
  public abstract void remove(Map<String, String> row);

  /** Why a row cannot be taken out, or retired; empty where it can. */
  public Optional<String> stays(Map<String, String> row) {
    return Optional.empty();
  }

  /** Retires a row, or takes it back. */
  public void retire(Map<String, String> row, boolean retired) {
    throw new IllegalStateException(id() + " retires nothing");
  }

  /** The key of a row, as it is shown. */
  public final String keyOf(Map<String, String> row) {
    return String.join(" ", key().stream().map(k -> row.getOrDefault(k, "")).toList()).strip();
  }

  /** The column with this id. */
  public final Optional<SetupColumn> column(String column) {
    return columns().stream().filter(c -> c.id().equals(column)).findFirst();
  }
}
