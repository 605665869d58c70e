package isokinon.core.material;

import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What holds of fluids whatever a pump is made of.
 *
 * @param ceilings the temperatures they do not go beyond
 * @param meetings groups that must not meet
 * @param members which fluid is in which group
 * @param densities curves by fluid code
 * @param permeating codes of fluids that pass through PTFE to what lies behind it
 */
public record FluidFacts(
    List<Ceiling> ceilings,
    List<Meeting> meetings,
    List<Meeting.Member> members,
    Map<String, DensityCurve> densities,
    Set<String> permeating) {

  /** Nothing known. */
  public static final FluidFacts NONE =
      new FluidFacts(List.of(), List.of(), List.of(), Map.of(), Set.of());

  /** Copies its collections. */
  public FluidFacts {
    ceilings = List.copyOf(ceilings);
    meetings = List.copyOf(meetings);
    members = List.copyOf(members);
    densities = Map.copyOf(densities);
    permeating = Set.copyOf(permeating);
  }

  boolean inGroup(String group, String fluid, double pct) {
    return members.stream()
        .anyMatch(m -> m.group().equals(group) && m.fluid().equals(fluid) && pct >= m.fromPct());
  }
}
