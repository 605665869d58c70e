package isokinon.core.material;

import java.util.List;

/**
 * A fluid a pump sees.
 *
 * @param code kebab-case
 * @param name in words
 * @param aliases other words it is found by
 * @param hurts what it does to people, short phrases
 * @param wear what to put on
 * @param spilt what to do when it is spilt, one sentence
 */
public record Fluid(
    String code,
    String name,
    List<String> aliases,
    List<String> hurts,
    List<String> wear,
    String spilt) {}
