package isokinon.core.table;

import java.util.regex.Pattern;

/**
 * A text as a cell that a spreadsheet shows and does not work out. A spreadsheet takes a cell that
 * begins with one of {@code = + - @}, a tab or a return for a formula; an apostrophe before it
 * makes it a text again, and is not shown. Numbers stay numbers.
 */
public final class SpreadsheetCell {

  private static final Pattern NUMBER = Pattern.compile("[+-]?[0-9]*[.,]?[0-9]+([eE][+-]?[0-9]+)?");
  private static final String STARTS = "=+-@\t\r";

  private SpreadsheetCell() {}

  private static boolean isFormula(String text) {
    return !text.isEmpty()
        && STARTS.indexOf(text.charAt(0)) >= 0
        && !NUMBER.matcher(text).matches();
  }

  /** The text to write; null stays null. */
  public static String of(String text) {
    return text != null && isFormula(text) ? "'" + text : text;
  }

  /** The text that was meant, of a cell that was read. */
  public static String read(String cell) {
    return cell.startsWith("'") && isFormula(cell.substring(1)) ? cell.substring(1) : cell;
  }
}
