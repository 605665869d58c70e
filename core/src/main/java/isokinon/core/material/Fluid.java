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
    double densityPct) {

  private static final double WATER_KG_M3 = 1000;

  /**
   * Density at a strength, kg/m3: from water in a straight line to what is known, which is near
   * enough to tell whether a ball sinks.
   */
  public Optional<Double> densityAt(double pct) {
    return densityKgM3.map(
        d -> densityPct >= 100 ? d : WATER_KG_M3 + (d - WATER_KG_M3) * pct / densityPct);
  }
}
