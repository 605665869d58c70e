package isokinon.core.material;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * Materials, fluids, resistance rows and base lives, found by code, name or alias. What a shop
 * wrote itself stands over what was shipped; the shipped rows stay to be seen beside it.
 */
public final class MaterialLibrary {

  /**
   * Mean life of a role in a material in a kind duty, the start of every forecast.
   *
   * @param role part role
   * @param material material code
   * @param hours mean life, running hours
   * @param shape Weibull shape of its usual failure mode
   */
  public record BaseLife(String role, String material, double hours, double shape) {}

  private final Map<String, Material> materials = new LinkedHashMap<>();
  private final Map<String, Fluid> fluids = new LinkedHashMap<>();
  private final Map<String, String> fluidWords = new HashMap<>();
  private final Map<String, Map<String, List<Resistance>>> rows = new HashMap<>();
  private final Map<String, BaseLife> lives = new HashMap<>();
  private final FluidFacts facts;
  private final Map<String, List<Ceiling>> ceilings;

  /** Later entries stand over earlier ones of the same name, except resistance rows, which stay. */
  public MaterialLibrary(
      List<Material> materials,
      List<Fluid> fluids,
      List<Resistance> resistances,
      List<BaseLife> lives,
      FluidFacts facts) {
    this.facts = facts;
    ceilings =
        facts.ceilings().stream()
            .sorted(Comparator.comparingDouble(Ceiling::fromPct))
            .collect(Collectors.groupingBy(Ceiling::fluid));
    materials.forEach(m -> this.materials.put(m.code(), m));
    for (Fluid f : fluids) {
      this.fluids.put(f.code(), f);
      fluidWords.put(word(f.code()), f.code());
      fluidWords.put(word(f.name()), f.code());
      f.aliases().forEach(a -> fluidWords.put(word(a), f.code()));
    }
    for (Resistance r : resistances) {
      rows.computeIfAbsent(r.fluid(), f -> new HashMap<>())
          .computeIfAbsent(r.material(), m -> new ArrayList<>())
          .add(r);
    }
    lives.forEach(l -> this.lives.put(key(l.role(), l.material()), l));
  }

  /** All materials in the order of the table. */
  public Collection<Material> materials() {
    return materials.values();
  }

  /** All fluids in the order of the table. */
  public Collection<Fluid> fluids() {
    return fluids.values();
  }

  /** The materials of a role, in the order of the table. */
  public List<Material> inRole(String role) {
    return materials.values().stream().filter(m -> m.roles().contains(role)).toList();
  }

  /** The material with this code, whatever the case of its letters. */
  public Optional<Material> material(String code) {
    return Optional.ofNullable(materials.get(code))
        .or(
            () ->
                materials.values().stream()
                    .filter(m -> m.code().equalsIgnoreCase(code))
                    .findFirst());
  }

  /** The fluid with this code, name or alias. */
  public Optional<Fluid> fluid(String codeOrName) {
    return Optional.ofNullable(fluids.get(codeOrName))
        .or(() -> Optional.ofNullable(fluidWords.get(word(codeOrName))).map(fluids::get));
  }

  /** What a fluid with this code, name or alias is called; the word itself where none is known. */
  public String fluidName(String codeOrName) {
    return fluid(codeOrName).map(Fluid::name).orElse(codeOrName);
  }

  /** The base life of {@code material} in {@code role}; empty where the library has none. */
  public Optional<BaseLife> baseLife(String role, String material) {
    return Optional.ofNullable(lives.get(key(role, material)));
  }

  /** Whether any material is used in {@code role}. */
  public boolean knowsRole(String role) {
    return materials.values().stream().anyMatch(m -> m.roles().contains(role));
  }

  /** All ceilings of a fluid, by strength. */
  public List<Ceiling> ceilings(String fluid) {
    return ceilings.getOrDefault(fluid, List.of());
  }

  /** The temperature a fluid of this strength does not go beyond; empty where none is known. */
  public Optional<Ceiling> ceiling(String fluid, double pct) {
    Ceiling least = null;
    for (Ceiling c : ceilings(fluid)) {
      if (c.holds(pct) && (least == null || c.maxC() < least.maxC())) {
        least = c;
      }
    }
    return Optional.ofNullable(least);
  }

  /**
   * Why two fluids of these strengths must not meet, the worst first; empty where they may, and for
   * a fluid with itself.
   */
  public List<Meeting> meetings(String one, double onePct, String other, double otherPct) {
    if (one.equals(other)) {
      return List.of();
    }
    return facts.meetings().stream()
        .filter(
            m ->
                between(m.one(), one, onePct, m.other(), other, otherPct)
                    || between(m.other(), one, onePct, m.one(), other, otherPct))
        .sorted(Comparator.comparing(Meeting::gives))
        .toList();
  }

  private boolean between(
      Meeting.Group a, String one, double onePct, Meeting.Group b, String other, double otherPct) {
    return inGroup(a, one, onePct) && inGroup(b, other, otherPct);
  }

  /** Whether a fluid of this strength belongs to a group. */
  public boolean inGroup(Meeting.Group group, String fluid, double pct) {
    return inGroup(group.id(), fluid, pct);
  }

  /** Whether a fluid of this strength belongs to the group with this id. */
  public boolean inGroup(String group, String fluid, double pct) {
    return facts.inGroup(group, fluid, pct);
  }

  /** Every pair of groups that a fluid of this strength takes part in, the worst first. */
  public List<Meeting> meetingsOf(String fluid, double pct) {
    return facts.meetings().stream()
        .filter(m -> inGroup(m.one(), fluid, pct) || inGroup(m.other(), fluid, pct))
        .sorted(Comparator.comparing(Meeting::gives))
        .toList();
  }

  /** Whether a fluid passes through PTFE to what lies behind it. */
  public boolean permeates(String fluid) {
    return facts.permeating().contains(fluid);
  }

  /**
   * Density of a fluid at a strength in % and a temperature in °C, kg/m³; empty where unknown.
   *
   * @param codeOrName code, name or alias of the fluid
   */
  public Optional<Double> density(String codeOrName, double pct, double temperatureC) {
    return fluid(codeOrName)
        .flatMap(
            f ->
                Optional.ofNullable(facts.densities().get(f.code()))
                    .map(c -> c.at(pct, temperatureC))
                    .or(() -> f.densityAt(pct)));
  }

  /** All rows of a pair, shipped and own, by concentration. */
  public List<Resistance> rows(String fluid, String material) {
    return rows.getOrDefault(fluid, Map.of()).getOrDefault(material, List.of()).stream()
        .sorted(Comparator.comparingDouble(Resistance::fromPct).thenComparing(Resistance::own))
        .toList();
  }

  /** All rows, by fluid and material in the order of the tables. */
  public List<Resistance> rows() {
    return fluids.keySet().stream()
        .flatMap(f -> materials.keySet().stream().flatMap(m -> rows(f, m).stream()))
        .toList();
  }

  /**
   * The row that counts for a fluid at a concentration: an own row whose band holds it, before any
   * shipped one; else the shipped band that holds it; the worse where two meet. Between two bands
   * the worse neighbour at this temperature counts. Empty, so unknown, where there is no row, or
   * the concentration lies outside all bands.
   */
  public Optional<Resistance> resistance(
      String fluid, double pct, String material, double temperatureC) {
    List<Resistance> all = rows.getOrDefault(fluid, Map.of()).getOrDefault(material, List.of());
    Resistance own = null;
    Resistance holding = null;
    double below = Double.NEGATIVE_INFINITY;
    double above = Double.POSITIVE_INFINITY;
    for (Resistance r : all) {
      if (r.holds(pct)) {
        if (r.own()) {
          own = worse(own, r, temperatureC);
        } else {
          holding = worse(holding, r, temperatureC);
        }
      }
      if (r.toPct() < pct) {
        below = Math.max(below, r.toPct());
      }
      if (r.fromPct() > pct) {
        above = Math.min(above, r.fromPct());
      }
    }
    if (own != null || holding != null) {
      return Optional.of(own != null ? own : holding);
    }
    if (Double.isInfinite(below) || Double.isInfinite(above)) {
      return Optional.empty();
    }
    Resistance neighbour = null;
    for (Resistance r : all) {
      if (r.toPct() == below || r.fromPct() == above) {
        neighbour = worse(neighbour, r, temperatureC);
      }
    }
    return Optional.ofNullable(neighbour);
  }

  private static Resistance worse(Resistance known, Resistance other, double temperatureC) {
    if (known == null) {
      return other;
    }
    int byFactor = Double.compare(other.factorAt(temperatureC), known.factorAt(temperatureC));
    return byFactor < 0 || (byFactor == 0 && Resistance.WORST_FIRST.compare(other, known) < 0)
        ? other
        : known;
  }

  private static String key(String a, String b) {
    return a + "|" + b;
  }

  private static String word(String text) {
    return text.strip().toLowerCase(Locale.ROOT).replaceAll("[\\s_-]+", "-");
  }
}
