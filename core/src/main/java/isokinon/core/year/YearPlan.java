package isokinon.core.year;

import java.util.List;

/**
 * What is played: the pumps, how each is kept, the bench and the shelf.
 *
 * @param beliefs the lives that the pumps draw from
 * @param kept of each pump
 */
public record YearPlan(
    List<YearPump> pumps, List<Keeping> kept, YearShop shop, List<Belief> beliefs) {

  /** As many ways as pumps. */
  public YearPlan {
    if (pumps.size() != kept.size()) {
      throw new IllegalArgumentException("Say of each pump how it is kept.");
    }
  }
}
