package isokinon.core.material;

import java.util.List;
import java.util.Optional;

/**
 * A fluid a pump sees.
 *
 * @param code kebab-case
 * @param name in words
 * @param aliases other words it is found by
 * @param hurts what it does to people, short phrases
 * @param wear what to put on
 * @param spilt what to do when it is spilt, one sentence
 * @param flashC flash point, degC; empty where it does not burn or nobody knows
 * @param densityKgM3 density at {@code densityPct}, kg/m3; empty where it is not known
 * @param densityPct strength at which it has that density, %
 * @param basedOn code of the fluid it is a solution or a slurry in; empty for all others
 */
public record Fluid(
    String code,
    String name,
    List<String> aliases,
    List<String> hurts,
    List<String> wear,
    String spilt,
    Optional<Double> flashC,
    Optional<Double> densityKgM3,
    double densityPct,
    Optional<String> basedOn) {

  private static final double WATER_KG_M3 = 1000;

  /** The code of water. */
  public static final String WATER = "water";

  /** Whether it is water with something in it. */
  public boolean waterBased() {
    return basedOn.filter(WATER::equals).isPresent();
  }

  /** What a shop wrote of a shipped fluid, with what only the shipped row can say. */
  public Fluid over(Fluid shipped) {
    return new Fluid(
        code,
        name,
        aliases,
        hurts,
        wear,
        spilt,
        flashC,
        densityKgM3,
        densityPct,
        basedOn.or(shipped::basedOn));
  }

  /**
   * Density at a strength, kg/m3: from water in a straight line to what is known, which is near
   * enough to tell whether a ball sinks.
   */
  public Optional<Double> densityAt(double pct) {
    return densityKgM3.map(
        d -> densityPct >= 100 ? d : WATER_KG_M3 + (d - WATER_KG_M3) * pct / densityPct);
  }
}
