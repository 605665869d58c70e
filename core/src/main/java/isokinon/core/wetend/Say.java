package isokinon.core.wetend;

import java.util.Locale;

/** Sentences with numbers in them. */
final class Say {

  private Say() {}

  static String of(String format, Object... values) {
    return String.format(Locale.ROOT, format, values);
  }

  /** At most one decimal, none where it is a whole number. */
  static String number(double value) {
    double rounded = Math.round(value * 10) / 10.0;
    return rounded == Math.rint(rounded) ? Long.toString((long) rounded) : Double.toString(rounded);
  }
}
