package isokinon.core.value;

import java.util.Optional;

/** Whether a quantity lies where it can lie. */
public final class Range {

  private Range() {}

  /** Whether a value lies between its bounds; one that is left out bounds nothing. */
  public static boolean holds(Optional<Double> min, Optional<Double> max, double value) {
    return min.map(m -> value >= m).orElse(true) && max.map(m -> value <= m).orElse(true);
  }

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
