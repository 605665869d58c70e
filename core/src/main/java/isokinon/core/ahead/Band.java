package isokinon.core.ahead;

import isokinon.core.value.Code;
import java.util.Optional;

/**
 * What a reading between two values leads to; both belong to it.
 *
 * @param measure measure of a part that is read; empty where an act has one reading at most
 * @param least from here, in the unit that is asked for; empty where nothing bounds it below
 * @param most to here; empty where nothing bounds it above
 * @param outcome what the act leads to
 * @param say why it is refused, or what is still to do; {@link #TYPED} stands where the number
 *     stands that was typed. Empty where it goes on
 * @param unless what lifts the refusal where it is given
 */
public record Band(
    String measure,
    Optional<Double> least,
    Optional<Double> most,
    Outcome outcome,
    String say,
    Unless unless) {

  /** Stands in a sentence for the number that was typed. */
  public static final String TYPED = "{typed}";

  /** What an act leads to. */
  public enum Outcome implements Code {
    /** It is recorded, and the job goes on. */
    GOES_ON,
    /** It is recorded, and asks for more before the job goes on. */
    STAYS,
    /** It is not recorded. */
    REFUSED
  }

  /** What lifts a refusal. */
  public enum Unless implements Code {
    NOTHING,
    /** A reason, in {@code because}. */
    BECAUSE,
    /** How it was timed, or why it may start, in {@code timing}. */
    TIMING
  }
}
