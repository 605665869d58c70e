package isokinon.core.wear;

import isokinon.core.value.Range;

/**
 * What the hardness of an elastomer says of it.
 *
 * @param change now less new, Shore A
 * @param way softer speaks of attack where it swelled as well, harder of heat or age
 * @param watch changed by 5 or more
 * @param renew changed by 10 or more
 */
public record Hardness(double change, Way way, boolean watch, boolean renew) {

  private static final double WATCH = 5;
  private static final double RENEW = 10;

  /** Which way it went. */
  public enum Way {
    SAME,
    SOFTER,
    HARDER
  }

  /**
   * From the hardness when new and now, both Shore A.
   *
   * @throws IllegalArgumentException naming the value that is out of range
   */
  public static Hardness of(double newShoreA, double nowShoreA) {
    Range.check("newShoreA", newShoreA, 0, 100);
    Range.check("nowShoreA", nowShoreA, 0, 100);
    return of(nowShoreA - newShoreA);
  }

  /** From the change alone, Shore A. */
  public static Hardness of(double change) {
    Range.check("change", change, -100, 100);
    double size = Math.abs(change);
    Way way = size < WATCH ? Way.SAME : change < 0 ? Way.SOFTER : Way.HARDER;
    return new Hardness(change, way, size >= WATCH, size >= RENEW);
  }
}
