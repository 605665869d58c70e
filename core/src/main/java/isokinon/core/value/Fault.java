package isokinon.core.value;

import java.util.Optional;

/**
 * One thing that is wrong with what was typed, sent or read.
 *
 * @param path where: a field, as a path into the request or the sheet, or the name of a table;
 *     empty for all of it
 * @param message one sentence: what is wrong, and what would be right
 * @param line line of the file, from 1; 0 where none is known
 */
public record Fault(String path, String message, int line) {

  /** A fault of no file. */
  public Fault(String path, String message) {
    this(path, message, 0);
  }

  /** A fault of a field in a line of a file. */
  public static Fault at(String path, int line, String message) {
    return new Fault(path, message, line);
  }

  /** A fault of a whole line of a file. */
  public static Fault inLine(int line, String message) {
    return new Fault("", message, line);
  }

  /**
   * A number outside its bounds; empty where it lies within.
   *
   * @param what what it is, as the start of a sentence
   * @param unit of the number and its bounds; empty where it has none
   */
  public static Optional<Fault> outside(
      String path, String what, double value, double min, double max, String unit) {
    return value >= min && value <= max
        ? Optional.empty()
        : Optional.of(
            new Fault(
                path,
                (what + " must be " + min + " to " + max + " " + unit).strip()
                    + "; "
                    + value
                    + " is not."));
  }

  /** The same of a number that may be left out. */
  public static Optional<Fault> outside(
      String path, String what, Optional<Double> value, double min, double max, String unit) {
    return value.flatMap(v -> outside(path, what, v, min, max, unit));
  }

  /** Where and what, in one line. */
  public String said() {
    return path + ", line " + line + ": " + message;
  }
}
