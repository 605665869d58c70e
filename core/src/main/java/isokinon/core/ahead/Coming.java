package isokinon.core.ahead;

import isokinon.core.act.Act;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleFunction;

/**
 * An act that the stage in hand asks for.
 *
 * @param usual with a reading that goes on, where it has one
 * @param readings what may be read with it
 * @param carries whether it is the one that carries the job on; false for another answer to the
 *     same question
 */
record Coming(Act usual, List<Asked> readings, boolean carries) {

  /**
   * A number that is asked for.
   *
   * @param measure measure of a part; empty elsewhere
   * @param edges where what it leads to may change
   * @param with the act with this reading
   */
  record Asked(String measure, List<Double> edges, DoubleFunction<Act> with) {}

  static Coming of(Act act) {
    return new Coming(act, List.of(), true);
  }

  static Coming reading(List<Double> edges, double usual, DoubleFunction<Act> with) {
    return new Coming(with.apply(usual), List.of(new Asked("", edges, with)), true);
  }

  /** A value within what is asked: the middle, or the one bound there is. */
  static double within(Optional<Double> min, Optional<Double> max) {
    return min.flatMap(least -> max.map(most -> (least + most) / 2))
        .orElse(min.or(() -> max).orElse(1.0));
  }
}
