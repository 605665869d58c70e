package isokinon.server.work.life;

import isokinon.core.life.FailureCause;
import java.util.Map;
import java.util.Optional;

/**
 * What prevents failures that age does not bring.
 *
 * @param name what it is, as {@code a strainer}
 * @param share of such failures it is taken to prevent (shop rule)
 */
public record CounterMeasure(String name, double share) {

  private static final Map<FailureCause, CounterMeasure> AGAINST =
      Map.of(
          FailureCause.RAN_DRY, new CounterMeasure("a dry-run guard", 0.9),
          FailureCause.FOREIGN_BODY, new CounterMeasure("a strainer", 0.6),
          FailureCause.OVERPRESSURE, new CounterMeasure("a relief valve", 0.9),
          FailureCause.BUILD, new CounterMeasure("a second look at the build", 0.5));

  /** What prevents failures of a cause; empty where nothing does but renewal. */
  public static Optional<CounterMeasure> against(FailureCause cause) {
    return Optional.ofNullable(AGAINST.get(cause));
  }
}
