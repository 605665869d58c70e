package isokinon.core.value;

/** Numbers in sentences. */
public final class Numbers {

  private Numbers() {}

  /** Without a decimal point where it is a whole number, else with every decimal it has. */
  public static String plain(double value) {
    return value == Math.rint(value) ? Long.toString((long) value) : Double.toString(value);
  }
}
