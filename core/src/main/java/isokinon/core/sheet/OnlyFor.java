package isokinon.core.sheet;

import java.util.Collection;
import java.util.Set;

/**
 * For which jobs something on a sheet holds.
 *
 * @param ways ways of schools or variants, one of which is followed; empty for whichever
 * @param materials materials of the wearing part, one of which is in the pump; empty for all
 * @param notMaterials materials of the wearing part with which it does not hold
 */
public record OnlyFor(Set<String> ways, Set<String> materials, Set<String> notMaterials) {

  /** Every job. */
  public static final OnlyFor EVERY_JOB = new OnlyFor(Set.of(), Set.of(), Set.of());

  /** Copies its sets. */
  public OnlyFor {
    ways = Set.copyOf(ways);
    materials = Set.copyOf(materials);
    notMaterials = Set.copyOf(notMaterials);
  }

  /** Whether it holds for a job that follows {@code followed}. */
  public boolean holdsIn(Collection<String> followed) {
    return ways.isEmpty() || ways.stream().anyMatch(followed::contains);
  }

  /**
   * Whether it holds with this material in the pump. Where nobody knows the material, {@code
   * material} is empty and it holds: to ask once too often harms less.
   */
  public boolean holdsWith(String material) {
    return material.isEmpty()
        || ((materials.isEmpty() || materials.contains(material))
            && !notMaterials.contains(material));
  }
}
