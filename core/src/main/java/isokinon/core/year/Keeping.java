package isokinon.core.year;

import isokinon.core.life.Survival;
import isokinon.core.renewal.Policies.Way;
import isokinon.core.schedule.Slots;
import isokinon.core.schedule.WaitingCost;
import isokinon.core.value.Range;

/**
 * How a pump's sets are kept through the year.
 *
 * @param way fixed age, until it fails, or looks
 * @param every age of renewal, or age between looks, in the unit of the life; infinite where it
 *     runs until it fails
 * @param firstDay days from now on which the set that runs now is to be renewed, past ones
 *     negative; infinite where none is set. Looks go by the age alone
 * @param urgency what is lost by the week for each slot of the job where it waits beyond its day,
 *     pounds: the higher, the sooner it is done
 */
public record Keeping(Way way, double every, double firstDay, double urgency) {

  private static final double WEEK = 7;

  /** A way to keep sets. */
  public Keeping {
    if (way == Way.LOOK) {
      Range.check("every", every, 1e-6, 1e15);
    }
  }

  /** Every set runs until it fails. */
  public static final Keeping UNTIL_IT_FAILS =
      new Keeping(Way.UNTIL_IT_FAILS, Double.POSITIVE_INFINITY, Double.POSITIVE_INFINITY, 0);

  /** Renewed at an age, the set that runs now as well. */
  public static Keeping atAge(double every, YearPump pump, double urgency) {
    return new Keeping(Way.FIXED, every, (every - pump.age()) / pump.perDay(), urgency);
  }

  /**
   * What a job of a pump loses by a week of waiting, for each slot, as the diary reckons it.
   *
   * @param age at which the job is wanted, in the unit of the life; infinite: at the mean life
   * @param stop cost of a failure beyond a renewal, as much more as it weighs, pounds
   */
  public static double urgency(Survival life, double age, YearPump pump, double stop) {
    double at = Double.isInfinite(age) ? life.meanLife() : age;
    return new WaitingCost(life, at, pump.perDay(), at, pump.cost().planned(), stop).ofFailing(WEEK)
        / Slots.of(pump.job().minutes());
  }
}
