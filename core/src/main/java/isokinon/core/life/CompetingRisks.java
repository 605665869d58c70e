package isokinon.core.life;

import java.util.EnumMap;
import java.util.Map;

/**
 * A part that each of several causes may end, whichever comes first: each is a risk of its own, and
 * the part lives on with the product of their survivals. Textbook competing risks.
 *
 * @param lives the life by each cause alone
 */
public record CompetingRisks(Map<FailureCause, Weibull> lives) {

  private static final int STEPS = 400;

  /** Beyond it hardly a set is left. */
  private static final double BEYOND = 1e-6;

  /** Risks; one of them at least. */
  public CompetingRisks {
    lives = Map.copyOf(lives);
  }

  /** Chance of lasting beyond an age. */
  public double survival(double age) {
    double product = 1;
    for (Weibull life : lives.values()) {
      product *= life.survival(age);
    }
    return product;
  }

  /**
   * Failures of each cause for each unit of age, where sets are renewed at an age or when they
   * fail.
   *
   * @param renewed age; infinite where they run until they fail
   */
  public Map<FailureCause, Double> rates(double renewed) {
    double end = Math.min(renewed, last());
    Map<FailureCause, Double> failed = new EnumMap<>(FailureCause.class);
    double lived = 0;
    for (int i = 0; i < STEPS; i++) {
      double from = end * i / STEPS;
      double step = end / STEPS;
      lived += survival(from + step / 2) * step;
      double ended = survival(from) - survival(from + step);
      double all = lives.values().stream().mapToDouble(l -> l.risk(from, step)).sum();
      // Several causes may fall in one step: each takes its part of what falls in it.
      lives.forEach(
          (cause, life) ->
              failed.merge(cause, all > 0 ? ended * life.risk(from, step) / all : 0, Double::sum));
    }
    double age = lived;
    failed.replaceAll((cause, chance) -> chance / age);
    return failed;
  }

  private double last() {
    double high = lives.values().stream().mapToDouble(Weibull::meanLife).min().orElse(1);
    while (survival(high) > BEYOND) {
      high *= 1.5;
    }
    return high;
  }
}
