package isokinon.core.kit;

import java.util.Map;

/**
 * Something that can be bought: a kit or a single part.
 *
 * @param id what it is bought under
 * @param price price of one, in the shop's currency
 * @param parts part id to quantity in one
 */
public record Offer(String id, double price, Map<String, Integer> parts) {

  /** What a single part is bought under. */
  public static final String SINGLE = "part:";

  /** Copies its map; price must be finite and not negative, quantities at least 1. */
  public Offer {
    parts = Map.copyOf(parts);
    if (!(price >= 0) || Double.isInfinite(price)) {
      throw new IllegalArgumentException("the price of " + id + " must be 0 or more");
    }
    if (parts.values().stream().anyMatch(q -> q < 1)) {
      throw new IllegalArgumentException("quantities in " + id + " must be 1 or more");
    }
  }

  /** One of a single part. */
  public static Offer single(String part, double price) {
    return new Offer(SINGLE + part, price, Map.of(part, 1));
  }
}
