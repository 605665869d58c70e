package isokinon.core.schedule;

/** Time at the bench is cut into slots of half an hour, counted from midnight. */
public final class Slots {

  /** Minutes in a slot. */
  public static final int MINUTES = 30;

  /** Slots in a day. */
  public static final int A_DAY = 24 * 60 / MINUTES;

  private Slots() {}

  /** Slots that so many minutes take, at least one. */
  public static int of(double minutes) {
    return Math.max(1, (int) Math.ceil(minutes / MINUTES));
  }

  /** The first slot that begins at or after a minute of the day. */
  public static int from(int minute) {
    return (minute + MINUTES - 1) / MINUTES;
  }

  /** The slot that a minute of the day lies in: what ends by then ends by its beginning. */
  public static int to(int minute) {
    return minute / MINUTES;
  }
}
