package isokinon.core.rebuild;

import java.time.Duration;

/**
 * How long a step took at the bench.
 *
 * @param step step id
 * @param building whether it was built, else stripped
 * @param took time between the step before it and its end, each gap counted for at most half an
 *     hour
 */
public record StepTime(String step, boolean building, Duration took) {

  /** Minutes it took. */
  public double minutes() {
    return took.toMillis() / 60_000.0;
  }
}
