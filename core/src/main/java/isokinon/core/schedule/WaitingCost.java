package isokinon.core.schedule;

import isokinon.core.life.Survival;
import isokinon.core.value.Range;

/**
 * What it costs to renew a set on some day ahead rather than on its due day.
 *
 * <p>Waiting risks a failure: its chance up to the day times what a failure costs beyond a renewal.
 * Renewing before the due age wastes what the set would still have run: its price by the hour times
 * the hours left to the due age. Expected values; a failed set is renewed at once.
 *
 * @param life of such sets
 * @param age of the set now, in the unit of the life
 * @param perDay how much older it gets in a day
 * @param due age at which it is due; infinite where it runs until it fails
 * @param planned cost of a renewal
 * @param beyond what a failure costs beyond a renewal
 */
public record WaitingCost(
    Survival life, double age, double perDay, double due, double planned, double beyond) {

  /**
   * A cost.
   *
   * @throws IllegalArgumentException naming the value that is out of range
   */
  public WaitingCost {
    Range.check("age", age, 0, 1e15);
    Range.check("perDay", perDay, 0, 1e12);
    Range.check("planned", planned, 0, 1e12);
    Range.check("beyond", beyond, 0, 1e12);
  }

  /** Chance of failing before {@code days} from now. */
  public double risk(double days) {
    return life.risk(age, days * perDay);
  }

  /** Expected cost of failing before {@code days} from now. */
  public double ofFailing(double days) {
    return beyond * risk(days);
  }

  /** What is wasted of the set when it is renewed after {@code days}. */
  public double ofWaste(double days) {
    double whole = Double.isInfinite(due) ? life.meanLife() : due;
    double left = whole - age - days * perDay;
    return Math.max(0, left) / whole * planned;
  }

  /** Both. */
  public double at(double days) {
    return ofFailing(days) + ofWaste(days);
  }
}
