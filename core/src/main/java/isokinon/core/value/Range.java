package isokinon.core.value;

/** Whether a quantity lies where it can lie. */
public final class Range {

  private Range() {}

  /**
   * The value, where it lies within its range.
   *
   * @throws IllegalArgumentException naming the quantity, the range and the value, also for NaN
   */
  public static double check(String name, double value, double min, double max) {
    if (!(value >= min && value <= max)) {
      throw new IllegalArgumentException(
          name + " must be " + plain(min) + " to " + plain(max) + "; " + value + " is not.");
    }
    return value;
  }

  private static String plain(double value) {
    return value == Math.rint(value) && Math.abs(value) < 1e9
        ? Long.toString((long) value)
        : Double.toString(value);
  }
}
