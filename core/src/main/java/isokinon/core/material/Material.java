package isokinon.core.material;

import isokinon.core.stock.ShelfLife;
import java.util.Optional;
import java.util.Set;

/**
 * A material of a wet end.
 *
 * @param code ISO 1629 or ISO 1043 abbreviation, or alloy number; a tube or hose says so behind it
 * @param name in words
 * @param kind which rules it is judged by
 * @param roles what it is used for
 * @param minC lowest service temperature, degC
 * @param maxC highest service temperature, degC
 * @param shoreA hardness, Shore A; empty where it has none
 * @param flexFactor life factor for flexing, 1 as the base life has it
 * @param heavyAbrasionFactor life factor under heavy abrasion, over 0 to 1
 * @param suctionM suction lift it stands without loss of life, m
 * @param shelf shelf-life group
 * @param densityKgM3 density, kg/m3; decides whether a ball sinks
 * @param alphaPerK linear expansion, 1/K; empty where it is not known
 * @param foodGrade whether grades for food contact are known
 * @param conducts whether it leads static charge away; empty where nobody asks
 * @param maxBar rated pressure of a tube or hose, bar; empty for others
 * @param base code of the material it is filled, cured or coated from, and no better than
 * @param loadedC up to here a bolted body of it keeps its bolts tight, degC; a starting value
 * @param runsOn code of what it runs on as a bushing; empty where it runs on itself
 */
public record Material(
    String code,
    String name,
    MaterialKind kind,
    Set<String> roles,
    double minC,
    double maxC,
    Optional<Double> shoreA,
    double flexFactor,
    double heavyAbrasionFactor,
    double suctionM,
    ShelfLife.Group shelf,
    Optional<Double> densityKgM3,
    Optional<Double> alphaPerK,
    boolean foodGrade,
    Optional<Boolean> conducts,
    Optional<Double> maxBar,
    Optional<String> base,
    Optional<Double> loadedC,
    Optional<String> runsOn) {

  /** Whether it is {@code code}, or made from it. */
  public boolean isOrIsFrom(String code) {
    return this.code.equals(code) || base.filter(code::equals).isPresent();
  }

  /** What a shop wrote of a shipped material, with what only the shipped row can say. */
  public Material over(Material shipped) {
    return new Material(
        code,
        name,
        kind,
        roles,
        minC,
        maxC,
        shoreA,
        flexFactor,
        heavyAbrasionFactor,
        suctionM,
        shelf,
        densityKgM3,
        alphaPerK,
        foodGrade,
        conducts,
        maxBar,
        base.or(shipped::base),
        loadedC.or(shipped::loadedC),
        runsOn.or(shipped::runsOn));
  }
}
