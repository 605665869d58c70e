package isokinon.core.year;

import isokinon.core.value.Range;

/**
 * A pump in the year ahead. Ages are in the unit of its life, hours or counts; moneys in pounds.
 *
 * @param tag of the pump
 * @param belief which of the beliefs tells its life
 * @param place of the pump in that group; -1 for one that is not among its runs
 * @param mean mean life by the library in this pump, which the belief's lives are multiples of
 * @param age of its set now
 * @param perDay how much older it gets in a day
 * @param whole age at which a set is used up: its best age, or its mean life where none pays
 * @param cost what renewals, failures and looks cost
 * @param job what a renewal takes at the bench
 */
public record YearPump(
    String tag,
    int belief,
    int place,
    double mean,
    double age,
    double perDay,
    double whole,
    Cost cost,
    Job job) {

  /** None of them. */
  public static final int NONE = -1;

  /** A pump. */
  public YearPump {
    Range.check("mean", mean, 1e-9, 1e15);
    Range.check("age", age, 0, 1e15);
    Range.check("perDay", perDay, 0, 1e12);
    Range.check("whole", whole, 1e-9, 1e15);
  }

  /**
   * What it costs.
   *
   * @param planned a renewal
   * @param stop a failure beyond that
   * @param look a look
   */
  public record Cost(double planned, double stop, double look) {}

  /**
   * What a renewal takes.
   *
   * @param minutes at the bench
   * @param lookMinutes to look at the set
   * @param kit which of the kits, or {@link #NONE}: then its parts are always there
   * @param fixture which of the fixtures it needs one piece of, or {@link #NONE}
   * @param line which line must stand still for it while the pump runs, or {@link #NONE}
   * @param pair which of the pumps must not be out as well, or {@link #NONE}
   */
  public record Job(double minutes, double lookMinutes, int kit, int fixture, int line, int pair) {}

  /** The same with another belief in its life. */
  public YearPump believed(int other, int placeThere) {
    return new YearPump(tag, other, placeThere, mean, age, perDay, whole, cost, job);
  }

  /** The same where a set is used up at another age. */
  public YearPump usedUpAt(double other) {
    return new YearPump(tag, belief, place, mean, age, perDay, other, cost, job);
  }

  /** What a set of an age is used up by, of the price of a renewal, pounds. */
  double usedUp(double at) {
    return cost.planned() * Math.min(1, at / whole);
  }
}
