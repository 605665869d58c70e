package isokinon.core.wear;

import isokinon.core.value.Range;
import java.util.Optional;

/**
 * How fast something wears, from two readings, and when it will reach its limit. The uncertainty of
 * both readings is carried through to first order.
 *
 * @param perHour change for each running hour, in the unit of the readings
 * @param perHourU its standard uncertainty
 * @param hoursLeft running hours to the limit; empty where it does not move toward it
 * @param hoursLeftU standard uncertainty of the hours left; empty where they are
 */
public record WearRate(
    double perHour, double perHourU, Optional<Double> hoursLeft, Optional<Double> hoursLeftU) {

  /** A reading with its standard uncertainty, in the same unit. */
  public record Reading(double value, double uncertainty) {}

  /**
   * The rate between two readings.
   *
   * @param before earlier reading
   * @param now later reading
   * @param hours running hours between them, over 0
   * @param limit value at which the part is renewed
   * @throws IllegalArgumentException naming the value that is out of range
   */
  public static WearRate between(Reading before, Reading now, double hours, double limit) {
    Range.check("before", before.value(), -1e9, 1e9);
    Range.check("now", now.value(), -1e9, 1e9);
    Range.check("uncertainty before", before.uncertainty(), 0, 1e9);
    Range.check("uncertainty now", now.uncertainty(), 0, 1e9);
    Range.check("hours", hours, 1e-6, 1e9);
    Range.check("limit", limit, -1e9, 1e9);
    double rate = (now.value() - before.value()) / hours;
    double ofBoth = Math.hypot(before.uncertainty(), now.uncertainty()) / hours;
    double toGo = limit - now.value();
    if (toGo == 0 || rate == 0 || Math.signum(toGo) != Math.signum(rate)) {
      boolean there = toGo == 0;
      return new WearRate(
          rate, ofBoth, there ? Optional.of(0.0) : Optional.empty(), Optional.empty());
    }
    double left = toGo / rate;
    // left = h(L - x2)/(x2 - x1): its derivatives by x1 and x2.
    double byBefore = hours * toGo / Math.pow(now.value() - before.value(), 2);
    double byNow = hours * (before.value() - limit) / Math.pow(now.value() - before.value(), 2);
    return new WearRate(
        rate,
        ofBoth,
        Optional.of(left),
        Optional.of(Math.hypot(byBefore * before.uncertainty(), byNow * now.uncertainty())));
  }
}
