package isokinon.core.inspect;

import isokinon.core.value.Range;
import java.util.Optional;

/** The interval of a part that gave out, once it was decided to change it earlier. */
public final class ShorterInterval {

  /** The next one is changed at this share of the age that this one reached (shop rule). */
  static final double SHARE = 0.8;

  private ShorterInterval() {}

  /**
   * The new interval in the unit of the old one; empty where the old one is shorter already.
   *
   * @param interval what it is changed at today, over 0
   * @param gaveOutAt age the part reached, 0 or more
   * @throws IllegalArgumentException naming the value that is out of range
   */
  public static Optional<Double> of(double interval, double gaveOutAt) {
    Range.check("interval", interval, 1e-3, 1e7);
    Range.check("gaveOutAt", gaveOutAt, 0, 1e9);
    double shorter = Math.floor(SHARE * gaveOutAt);
    return Optional.of(shorter).filter(s -> s >= 1 && s < interval);
  }
}
