package isokinon.core.renewal;

import isokinon.core.life.Weibull;
import isokinon.core.life.frailty.WeibullMixture;

/**
 * What it would be worth to know a life better, as cost for each unit of age: the age chosen now is
 * the best over all that is believed, and whoever knew more would choose another one. Textbook
 * value of perfect and of sample information.
 *
 * @param exactly of knowing it exactly: nothing that could be learnt is worth more
 * @param byTwo of two more sets seen until they fail
 * @param costOfTwo what it costs once to run two sets until they fail instead of renewing them
 */
public record WorthOfKnowing(double exactly, double byTwo, double costOfTwo) {

  /** Failures that may be seen are tried at so many even chances each. */
  private static final int TRIED = 6;

  private static final double NEVER = Double.POSITIVE_INFINITY;

  /**
   * Of a life.
   *
   * @param planned cost of renewing a set sound, over 0
   * @param failed cost of a failure, all in
   */
  public static WorthOfKnowing of(WeibullMixture life, double planned, double failed) {
    RenewalCost now = RenewalCost.best(life, planned, failed);
    double knowing =
        life.meanOfRate(shape -> RenewalCost.best(new Weibull(shape, 1), planned, failed).rate());
    double gained = 0;
    for (int i = 0; i < TRIED; i++) {
      WeibullMixture one = after(life, i);
      for (int j = 0; j < TRIED; j++) {
        WeibullMixture two = after(one, j);
        double asNow = RenewalCost.at(now.age(), two, planned, failed);
        gained += asNow - Math.min(asNow, RenewalCost.best(two, planned, failed).rate());
      }
    }
    double untilItFails = failed - now.rate() / life.failureRate(NEVER);
    return new WorthOfKnowing(
        Math.max(0, now.rate() - knowing), gained / (TRIED * TRIED), 2 * Math.max(0, untilItFails));
  }

  private static WeibullMixture after(WeibullMixture life, int tried) {
    return life.after(life.quantile((tried + 0.5) / TRIED));
  }
}
