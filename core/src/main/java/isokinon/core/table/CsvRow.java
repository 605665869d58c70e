package isokinon.core.table;

import isokinon.core.value.Code;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.apache.commons.csv.CSVRecord;

/**
 * A line of a table. A field that is not what is asked for is an {@link IllegalArgumentException}
 * that names its column; a column that the table lacks counts as empty.
 */
public final class CsvRow {

  private final int line;
  private final CSVRecord fields;

  CsvRow(int line, CSVRecord fields) {
    this.line = line;
    this.fields = fields;
  }

  /** The line at which it begins, from 1; the heading is the first. */
  public int line() {
    return line;
  }

  /** How many fields it has. */
  int fields() {
    return fields.size();
  }

  /** The text of a field without spaces around it; empty where there is none. */
  public String get(String column) {
    return fields.isSet(column) ? SpreadsheetCell.read(fields.get(column).strip()) : "";
  }

  /** The texts of these columns, in their order. */
  public List<String> values(List<String> columns) {
    return columns.stream().map(this::get).toList();
  }

  /** A text that must not be empty. */
  public String word(String column) {
    String value = get(column);
    if (value.isEmpty()) {
      throw new IllegalArgumentException(column + " is empty");
    }
    return value;
  }

  /** The texts between {@code between}, each once; none where the field is empty. */
  public List<String> words(String column, char between) {
    return Arrays.stream(get(column).split("[" + between + "]"))
        .map(String::strip)
        .filter(w -> !w.isEmpty())
        .distinct()
        .toList();
  }

  /** A number, in the unit that the column says. */
  public double number(String column) {
    try {
      return Double.parseDouble(get(column));
    } catch (NumberFormatException e) {
      throw new IllegalArgumentException(column + " \"" + get(column) + "\" is not a number", e);
    }
  }

  /** A number from {@code min} to {@code max}, both in the unit that the column says. */
  public double number(String column, double min, double max) {
    double value = number(column);
    if (!(value >= min && value <= max)) {
      throw new IllegalArgumentException(
          column + " " + get(column) + " is outside " + min + " to " + max);
    }
    return value;
  }

  /** A number, or nothing where the field is empty. */
  public Optional<Double> optional(String column) {
    return get(column).isEmpty() ? Optional.empty() : Optional.of(number(column));
  }

  /** A number from {@code min} to {@code max}, or nothing where the field is empty. */
  public Optional<Double> optional(String column, double min, double max) {
    return get(column).isEmpty() ? Optional.empty() : Optional.of(number(column, min, max));
  }

  /** Yes or no, or nothing where the field is empty. */
  public Optional<Boolean> flag(String column) {
    return switch (get(column)) {
      case "" -> Optional.empty();
      case "yes" -> Optional.of(true);
      case "no" -> Optional.of(false);
      default ->
          throw new IllegalArgumentException(
              column + " \"" + get(column) + "\" is neither yes nor no");
    };
  }

  /** A day, written as 2026-03-01. */
  public LocalDate date(String column) {
    try {
      return LocalDate.parse(get(column));
    } catch (DateTimeParseException e) {
      throw new IllegalArgumentException(
          column + " \"" + get(column) + "\" is not written as 2026-03-01", e);
    }
  }

  /** A word of a closed set. */
  public <E extends Enum<E> & Code> E code(Class<E> type, String column) {
    return Code.parse(type, get(column))
        .orElseThrow(
            () ->
                new IllegalArgumentException(
                    column + " \"" + get(column) + "\" is none of " + Code.all(type)));
  }
}
