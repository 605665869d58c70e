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
 * @param cost what renewals, failures and looks cost
 * @param job what a renewal takes at the bench
 */
public record YearPump(
    String tag, int belief, int place, double mean, double age, double perDay, Cost cost, Job job) {

  /** None of them. */
  public static final int NONE = -1;

  /** A pump. */
  public YearPump {
    Range.check("mean", mean, 1e-9, 1e15);
    Range.check("age", age, 0, 1e15);
    Range.check("perDay", perDay, 0, 1e12);
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
   * @param fixtures which of the fixtures it needs one piece of, or {@link #NONE}
   * @param line which line must stand still for it while the pump runs, or {@link #NONE}
   * @param pair which of the pumps must not be out as well, or {@link #NONE}
   */
  public record Job(double minutes, double lookMinutes, int kit, int fixture, int line, int pair) {}

  /** The same with another belief in its life. */
  public YearPump believed(int other, int placeThere) {
    return new YearPump(tag, other, placeThere, mean, age, perDay, cost, job);
  }
}
