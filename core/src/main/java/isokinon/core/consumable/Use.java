package isokinon.core.consumable;

import isokinon.core.sheet.Handling;
import isokinon.core.sheet.Sheet;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * How much of a consumable a job uses.
 *
 * @param of what it is
 * @param amount in its unit, 0 or more
 * @param atLeast whether some step does not say how much it takes, so that it may be more
 */
public record Use(Consumable of, double amount, boolean atLeast) {

  /**
   * What the building of {@code steps} uses, in the order in which it is first needed. Substances
   * that nobody keeps, such as clean water, are left out.
   *
   * @param sheet as the job follows it
   */
  public static List<Use> of(Sheet sheet, Collection<String> steps, Consumables kept) {
    Map<Consumable, Use> uses = new LinkedHashMap<>();
    for (String step : steps) {
      for (Handling.Apply apply :
          sheet.handling(step).orElse(Handling.PLAIN).during(false).apply()) {
        kept.named(apply.what())
            .map(c -> one(c, apply))
            .ifPresent(use -> uses.merge(use.of, use, Use::plus));
      }
    }
    return new ArrayList<>(uses.values());
  }

  /** An amount in another unit than the consumable is counted in tells nothing of it. */
  private static Use one(Consumable of, Handling.Apply apply) {
    return apply
        .amount()
        .filter(a -> a.unit() == of.unit())
        .map(a -> new Use(of, a.value(), false))
        .orElse(new Use(of, 0, true));
  }

  private Use plus(Use other) {
    return new Use(of, amount + other.amount, atLeast || other.atLeast);
  }

  /** What is still to be taken from the shelf where a kit brings some of it along. */
  public Use without(Collection<Handling.Supply> supplies) {
    double brought =
        supplies.stream()
            .filter(s -> s.amount().unit() == of.unit())
            .filter(s -> of.names().stream().anyMatch(n -> n.equalsIgnoreCase(s.what())))
            .mapToDouble(s -> s.amount().value())
            .sum();
    return new Use(of, Math.max(0, amount - brought), atLeast);
  }
}
