package isokinon.server.work.shared;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Numbers and days as people write them into tables. */
public final class TableValues {

  private static final Pattern SPACES = Pattern.compile("[\\s\u2009\u00a0]");
  private static final Pattern DAY =
      Pattern.compile("(\\d{1,4})[-./](\\d{1,2})[-./](\\d{1,4})(?:[T ].*)?");

  /** Two digits of a year are of this century. */
  private static final int CENTURY = 2000;

  private TableValues() {}

  /** A decimal comma is one, spaces between thousands are none. */
  public static Optional<Double> number(String word) {
    try {
      return Optional.of(Double.parseDouble(SPACES.matcher(word).replaceAll("").replace(',', '.')))
          .filter(Double::isFinite);
    } catch (NumberFormatException e) {
      return Optional.empty();
    }
  }

  /**
   * A day, the year first as 2026-03-01, or last.
   *
   * @param monthFirst whether 03/01/2026 is the first of March
   */
  public static Optional<LocalDate> day(String word, boolean monthFirst) {
    Matcher m = DAY.matcher(word.strip());
    if (!m.matches()) {
      return Optional.empty();
    }
    int a = Integer.parseInt(m.group(1));
    int b = Integer.parseInt(m.group(2));
    int c = Integer.parseInt(m.group(3));
    try {
      if (m.group(1).length() > 2) {
        return Optional.of(LocalDate.of(a, b, c));
      }
      int year = c < 100 ? CENTURY + c : c;
      return Optional.of(monthFirst ? LocalDate.of(year, a, b) : LocalDate.of(year, b, a));
    } catch (DateTimeException e) {
      return Optional.empty();
    }
  }
}
