package isokinon.core.value;

import java.util.regex.Pattern;

/** Numbers in sentences. */
public final class Numbers {

  /** Between two digits of the whole part, a multiple of three digits before its end. */
  private static final Pattern THOUSANDS =
      Pattern.compile("(?<=\\d)(?<!\\.\\d{0,3})(?=(?:\\d{3})+(?:\\.|$))");

  private Numbers() {}

  /** The digits of a number with a thin space between its thousands. */
  public static String grouped(String digits) {
    return THOUSANDS.matcher(digits).replaceAll("\u2009");
  }

  /** Without a decimal point where it is a whole number, else with every decimal it has. */
  public static String plain(double value) {
    return value == Math.rint(value) ? Long.toString((long) value) : Double.toString(value);
  }
}
