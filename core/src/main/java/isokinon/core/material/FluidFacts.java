package isokinon.core.material;

import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What holds of fluids whatever a pump is made of.
 *
 * @param ceilings the temperatures they do not go beyond
 * @param meetings groups that must not meet
 * @param members by group the fluids in it, each from a strength on, %
 * @param densities curves by fluid code
 * @param permeating codes of fluids that pass through PTFE to what lies behind it
 */
public record FluidFacts(
    List<Ceiling> ceilings,
    List<Meeting> meetings,
    Map<String, Map<String, Double>> members,
    Map<String, DensityCurve> densities,
    Set<String> permeating) {

  /** Nothing known. */
  public static final FluidFacts NONE =
      new FluidFacts(List.of(), List.of(), Map.of(), Map.of(), Set.of());

  /** Copies its collections. */
  public FluidFacts {
    ceilings = List.copyOf(ceilings);
    meetings = List.copyOf(meetings);
    members = Map.copyOf(members);
    densities = Map.copyOf(densities);
    permeating = Set.copyOf(permeating);
  }

  boolean inGroup(String group, String fluid, double pct) {
    Double from = members.getOrDefault(group, Map.of()).get(fluid);
    return from != null && pct >= from;
  }
}
