package isokinon.server.work.rounds;

import isokinon.core.sheet.Handling.Answer;
import java.util.List;
import java.util.Optional;

/**
 * A round of a pump.
 *
 * @param pump tag of the pump
 * @param round id of the round
 * @param title what it is called
 * @param say what is done
 * @param every how often, in words
 * @param minutes how long it takes
 * @param doneOn when it was done last; absent where nobody recorded it
 * @param doneBy who did it then; empty where nobody recorded it
 * @param note what was seen then; may be empty
 * @param dueDays days from today until it is due, negative where it is over; absent where nobody
 *     recorded it yet, or where it counts by hours and the pump stands
 * @param energies what is made safe first
 * @param cautions sentences to be read first
 * @param checks what is asked and read
 */
public record RoundView(
    String pump,
    String round,
    String title,
    String say,
    String every,
    double minutes,
    Optional<String> doneOn,
    String doneBy,
    String note,
    Optional<Long> dueDays,
    List<MadeSafe> energies,
    List<String> cautions,
    List<RoundCheck> checks) {

  /** What is made safe first: what it is, and what to do about it. */
  public record MadeSafe(String title, String act) {}

  /**
   * A check of the round.
   *
   * @param hold whether the round is not done without its answer
   * @param last what was read the last time; absent where nothing was
   */
  public record RoundCheck(
      String id,
      String ask,
      Answer kind,
      String unit,
      Optional<Double> min,
      Optional<Double> max,
      boolean hold,
      Optional<Double> last) {}
}
