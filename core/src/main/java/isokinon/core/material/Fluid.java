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
 * @param densityKgM3 density at its usual strength, kg/m3; empty where it is not known
 */
public record Fluid(
    String code,
    String name,
    List<String> aliases,
    List<String> hurts,
    List<String> wear,
    String spilt,
    Optional<Double> flashC,
    Optional<Double> densityKgM3) {}
