package isokinon.core.value;

/** A quantity outside the range in which it can lie. */
public final class OutOfRange extends InvalidQuantity {

  private static final long serialVersionUID = 1L;

  private final double min;
  private final double max;
  private final double value;

  /**
   * @param field name of the quantity, with its unit
   * @param min least value, in that unit
   * @param max greatest value, in that unit
   * @param value what was given; may be no number
   */
  public OutOfRange(String field, double min, double max, double value) {
    super(
        field, field + " must be " + plain(min) + " to " + plain(max) + "; " + value + " is not.");
    this.min = min;
    this.max = max;
    this.value = value;
  }

  /** Least value, in the unit of the quantity. */
  public double min() {
    return min;
  }

  /** Greatest value, in the unit of the quantity. */
  public double max() {
    return max;
  }

  /** What was given, in the unit of the quantity. */
  public double value() {
    return value;
  }

  private static String plain(double value) {
    return value == Math.rint(value) && Math.abs(value) < 1e9
        ? Long.toString((long) value)
        : Double.toString(value);
  }
}
