package isokinon.core.life;

/**
 * One run of one wear part, seen from one age to another. A part that moved here from another place
 * with an age already on it was not seen failing before that age, and counts from it on only
 * (delayed entry); for all others {@code from} is 0.
 *
 * @param from age at which it came under view, in the count that drives its wear
 * @param age at removal, or now where it still runs
 * @param failed whether it came out failed; taken out sound and still running are right-censored
 */
public record Run(double from, double age, boolean failed) {

  /** A run seen from new. */
  public Run(double age, boolean failed) {
    this(0, age, failed);
  }

  /** The same taken out sound. */
  public Run sound() {
    return new Run(from, age, false);
  }

  /**
   * A run.
   *
   * @throws IllegalArgumentException where it does not end after it began
   */
  public Run {
    if (!(from >= 0 && age >= from && age < Double.POSITIVE_INFINITY)) {
      throw new IllegalArgumentException(
          "A run ends at an age not under the one it began at; got " + from + " to " + age + ".");
    }
  }
}
