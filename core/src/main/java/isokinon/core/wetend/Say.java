package isokinon.core.wetend;

import java.util.Locale;

/** Sentences with numbers in them. */
final class Say {

  private Say() {}

  static String of(String format, Object... values) {
    return String.format(Locale.ROOT, format, values);
  }

  /** A name or a phrase in the middle of a sentence: its first letter small. */
  static String lower(String words) {
    return Character.toLowerCase(words.charAt(0)) + words.substring(1);
  }

  /** At most one decimal, none where it is a whole number. */
  static String number(double value) {
    double rounded = Math.round(value * 10) / 10.0;
    return rounded == Math.rint(rounded) ? Long.toString((long) rounded) : Double.toString(rounded);
  }
}
