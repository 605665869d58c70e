package isokinon.core.kit;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * Which kits and single parts cover a need for the least money? A covering integer programme: of
 * every offer a whole number, so that each part's need less what is on hand is met; price least,
 * and among equal prices the fewest pieces bought. {@link Cover#optimal} says whether it was
 * proved.
 */
public final class KitCover {

  private KitCover() {}

  /**
   * What to buy.
   *
   * @param buy offers bought, in the order they were given
   * @param cost price of all of them
   * @param leftOver what was bought beyond the need, by part; what was on hand does not count
   * @param optimal whether nothing cheaper covers the need
   */
  public record Cover(
      List<Bought> buy, double cost, Map<String, Integer> leftOver, boolean optimal) {}

  /** So many of one offer. */
  public record Bought(String id, int count) {}

  /** A need that no offer meets. */
  public static final class Uncoverable extends RuntimeException {
    private static final long serialVersionUID = 1L;
    private final transient Set<String> parts;

    Uncoverable(Set<String> parts) {
      super("No kit and no single part covers " + String.join(", ", parts));
      this.parts = new TreeSet<>(parts);
    }

    /** Ids of the parts that cannot be had. */
    public Set<String> parts() {
      return parts;
    }
  }

  /**
   * The cheapest cover.
   *
   * @param need part id to quantity, 0 or more
   * @param offers what can be bought, any number of each
   * @param onHand part id to quantity on the shelf
   * @throws Uncoverable naming every part that is neither on hand nor offered
   */
  public static Cover cheapest(
      Map<String, Integer> need, List<Offer> offers, Map<String, Integer> onHand) {
    Map<String, Integer> missing = new TreeMap<>();
    need.forEach(
        (part, count) -> {
          int left = count - onHand.getOrDefault(part, 0);
          if (left > 0) {
            missing.put(part, left);
          }
        });
    Set<String> nowhere = new TreeSet<>(missing.keySet());
    offers.forEach(o -> nowhere.removeAll(o.parts().keySet()));
    if (!nowhere.isEmpty()) {
      throw new Uncoverable(nowhere);
    }
    List<Offer> useful =
        offers.stream()
            .filter(o -> o.parts().keySet().stream().anyMatch(missing::containsKey))
            .toList();
    if (missing.isEmpty()) {
      return new Cover(List.of(), 0, Map.of(), true);
    }
    return solve(missing, useful);
  }

  private static Cover solve(Map<String, Integer> missing, List<Offer> offers) {
    CoverSearch search = new CoverSearch(missing, offers);
    int[] counts = search.cheapest();
    List<Bought> buy = new ArrayList<>();
    Map<String, Integer> leftOver = new TreeMap<>();
    double cost = 0;
    for (int i = 0; i < counts.length; i++) {
      if (counts[i] > 0) {
        int count = counts[i];
        Offer offer = offers.get(i);
        buy.add(new Bought(offer.id(), count));
        cost += count * offer.price();
        offer.parts().forEach((part, q) -> leftOver.merge(part, q * count, Integer::sum));
      }
    }
    missing.forEach((part, count) -> leftOver.merge(part, -count, Integer::sum));
    leftOver.values().removeIf(count -> count == 0);
    return new Cover(List.copyOf(buy), cost, leftOver, search.proved());
  }
}
