package isokinon.core.material;

import isokinon.core.stock.ShelfLife;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.apache.commons.csv.CSVRecord;

/** Reads the cells of a row; a cell that cannot be read is an {@link IllegalArgumentException}. */
final class Cells {

  private Cells() {}

  static String word(CSVRecord row, String column) {
    String value = row.get(column);
    if (value.isEmpty()) {
      throw new IllegalArgumentException(column + " is empty");
    }
    return value;
  }

  static List<String> words(CSVRecord row, String column) {
    return Arrays.stream(row.get(column).split(";"))
        .map(String::strip)
        .filter(w -> !w.isEmpty())
        .distinct()
        .toList();
  }

  static ShelfLife.Group group(CSVRecord row) {
    String value = row.get("shelf").toUpperCase(Locale.ROOT);
    return Arrays.stream(ShelfLife.Group.values())
        .filter(g -> g.name().equals(value))
        .findFirst()
        .orElseThrow(
            () ->
                new IllegalArgumentException(
                    "shelf \""
                        + row.get("shelf")
                        + "\" is none of "
                        + Arrays.toString(ShelfLife.Group.values())));
  }

  static Optional<Boolean> flag(CSVRecord row, String column) {
    return switch (row.get(column)) {
      case "" -> Optional.empty();
      case "yes" -> Optional.of(true);
      case "no" -> Optional.of(false);
      default ->
          throw new IllegalArgumentException(
              column + " \"" + row.get(column) + "\" is neither yes nor no");
    };
  }

  static String date(CSVRecord row) {
    try {
      return LocalDate.parse(row.get("date")).toString();
    } catch (DateTimeParseException e) {
      throw new IllegalArgumentException(
          "date \"" + row.get("date") + "\" is not written as 2026-03-01", e);
    }
  }

  static Optional<Double> optional(CSVRecord row, String column, double min, double max) {
    return row.get(column).isEmpty()
        ? Optional.empty()
        : Optional.of(number(row, column, min, max));
  }

  static double number(CSVRecord row, String column, double min, double max) {
    try {
      double value = Double.parseDouble(row.get(column));
      if (value >= min && value <= max) {
        return value;
      }
      throw new IllegalArgumentException(
          column + " " + row.get(column) + " is outside " + min + " to " + max);
    } catch (NumberFormatException e) {
      throw new IllegalArgumentException(
          column + " \"" + row.get(column) + "\" is not a number", e);
    }
  }
}
