package isokinon.core.life.score;

import java.util.List;
import org.apache.commons.statistics.distribution.ChiSquaredDistribution;

/**
 * What sets cost that came out sooner than advised, as advised, or later.
 *
 * @param sets how many
 * @param failed how many of them failed
 * @param per1000 cost for each 1 000 hours; 0 where none ran
 * @param low the same where as few had failed as luck allows, nine times in ten
 * @param high where as many had
 */
public record Followed(int sets, int failed, double per1000, double low, double high) {

  /** Sets within so much of the advised age are as advised (shop rule). */
  public static final double ABOUT = 0.1;

  /**
   * A set that came out, and the age that was advised for it. One that failed counts where it was
   * to come out: that it failed early was nobody's choice.
   *
   * @param age on it when it came out, h
   * @param done age at which it came out sound, or was to come out when it failed, h
   * @param advised h
   * @param planned cost of renewing it sound, pounds
   * @param failure cost of a failure, all in, pounds
   */
  public record Out(
      double age, double done, double advised, boolean failed, double planned, double failure) {

    /** How much later than advised it was done, as a share of the advised age. */
    public double late() {
      return done / advised - 1;
    }
  }

  /** Of some sets; the band by the exact Poisson limits of the failures. */
  public static Followed of(List<Out> sets) {
    int failed = (int) sets.stream().filter(Out::failed).count();
    double hours = sets.stream().mapToDouble(Out::age).sum();
    double paid = sets.stream().mapToDouble(o -> o.failed() ? o.failure() : o.planned()).sum();
    double beyond = sets.stream().mapToDouble(o -> o.failure() - o.planned()).average().orElse(0);
    if (hours <= 0) {
      return new Followed(sets.size(), failed, 0, 0, 0);
    }
    double fewest =
        failed == 0
            ? 0
            : ChiSquaredDistribution.of(2.0 * failed).inverseCumulativeProbability(0.05) / 2;
    double most =
        Math.min(
            sets.size(),
            ChiSquaredDistribution.of(2.0 * failed + 2).inverseCumulativeProbability(0.95) / 2);
    return new Followed(
        sets.size(),
        failed,
        1000 * paid / hours,
        1000 * (paid - (failed - fewest) * beyond) / hours,
        1000 * (paid + (most - failed) * beyond) / hours);
  }
}
