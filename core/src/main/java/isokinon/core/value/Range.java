package isokinon.core.value;

/** Whether a quantity lies where it can lie. */
public final class Range {

  private Range() {}

  /**
   * The value, where it lies within its range.
   *
   * @throws OutOfRange where it does not, also for NaN
   */
  public static double check(String name, double value, double min, double max) {
    if (!(value >= min && value <= max)) {
      throw new OutOfRange(name, min, max, value);
    }
    return value;
  }
}
