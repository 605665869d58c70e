package isokinon.core.year;

/**
 * What many years came to, each by its number. Weeks are counted from today.
 *
 * @param money of each year, pounds: what is paid, and by how much more the sets are used up at its
 *     end than at its beginning, so that a renewal that is only put off saves nothing
 * @param paid of each year, pounds: renewals, failures, looks, overtime
 * @param failures of each year
 * @param renewals done of each year, those of failed sets among them
 * @param downDays days that pumps stood failed, of each year
 * @param hours of people that came to be asked for in a week, by week and year
 * @param ofPump the same money for each pump and year, pounds
 * @param waits for each kit and week, in how many years a job waited for one
 * @param waitYears for each kit, in how many years a job waited for one at any time
 * @param used for each kit, pieces taken in all years together
 */
public record YearOutcome(
    double[] money,
    double[] paid,
    int[] failures,
    int[] renewals,
    double[] downDays,
    float[][] hours,
    float[][] ofPump,
    int[][] waits,
    int[] waitYears,
    long[] used) {

  /** Days that are played. */
  public static final int DAYS = 364;

  /** Weeks that are played. */
  public static final int WEEKS = DAYS / 7;

  static YearOutcome empty(int years, int pumps, int kits) {
    return new YearOutcome(
        new double[years],
        new double[years],
        new int[years],
        new int[years],
        new double[years],
        new float[WEEKS][years],
        new float[pumps][years],
        new int[kits][WEEKS],
        new int[kits],
        new long[kits]);
  }

  public int years() {
    return money.length;
  }
}
