package isokinon.core.sheet;

import java.util.List;

/**
 * What calls for a step that only building has. One of {@code renewed}, {@code off}, {@code back}
 * and {@code steps} is enough; where all four are empty, a step it stands before or after is.
 *
 * @param renewed parts of which one is renewed
 * @param off parts of which one comes off, whether it is renewed or goes back
 * @param back parts of which one came off and goes back
 * @param steps steps, or sides, of which one is in the plan
 * @param without steps, or sides, none of which may be in the plan
 */
public record CalledFor(
    List<String> renewed,
    List<String> off,
    List<String> back,
    List<String> steps,
    List<String> without) {

  /** Copies its lists. */
  public CalledFor {
    renewed = List.copyOf(renewed);
    off = List.copyOf(off);
    back = List.copyOf(back);
    steps = List.copyOf(steps);
    without = List.copyOf(without);
  }

  /** Called for by the renewal of a part. */
  public static CalledFor renewing(List<String> parts) {
    return new CalledFor(parts, List.of(), List.of(), List.of(), List.of());
  }

  /** Whether nothing is named that calls for it. */
  public boolean byItsPlace() {
    return renewed.isEmpty() && off.isEmpty() && back.isEmpty() && steps.isEmpty();
  }
}
