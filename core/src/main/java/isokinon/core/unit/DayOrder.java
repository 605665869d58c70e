package isokinon.core.unit;

import isokinon.core.value.Code;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;

/**
 * In which order a shop writes a day; the month is always a word, so no day is taken for another.
 */
public enum DayOrder implements Code {
  /** 17 Mar 2026. */
  DAY_FIRST,
  /** Mar 17, 2026. */
  MONTH_FIRST;

  private static final Pattern DAY =
      Pattern.compile(
          "\\b(\\d{1,2}) (Jan|Feb|Mar|Apr|May|Jun|Jul|Aug|Sept?|Oct|Nov|Dec)( \\d{4})?\\b");

  /** A sentence whose days are written day first, in this order. */
  public String sentence(String text) {
    return this == DAY_FIRST ? text : DAY.matcher(text).replaceAll(DayOrder::monthFirst);
  }

  private static String monthFirst(MatchResult day) {
    String year = day.group(3) == null ? "" : "," + day.group(3);
    return day.group(2) + " " + day.group(1) + year;
  }
}
