package isokinon.core.material;

import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/** Materials, fluids, resistance rows and base lives, found by code, name or alias. */
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
  private final Map<String, List<Resistance>> rows = new HashMap<>();
  private final Map<String, BaseLife> lives = new HashMap<>();

  MaterialLibrary(
      List<Material> materials,
      List<Fluid> fluids,
      List<Resistance> resistances,
      List<BaseLife> lives) {
    materials.forEach(m -> this.materials.put(m.code(), m));
    for (Fluid f : fluids) {
      this.fluids.put(f.code(), f);
      fluidWords.put(word(f.code()), f.code());
      fluidWords.put(word(f.name()), f.code());
      f.aliases().forEach(a -> fluidWords.put(word(a), f.code()));
    }
    for (Resistance r : resistances) {
      rows.computeIfAbsent(key(r.fluid(), r.material()), k -> new java.util.ArrayList<>()).add(r);
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
    return Optional.ofNullable(fluidWords.get(word(codeOrName))).map(fluids::get);
  }

  /** The base life of {@code material} in {@code role}; empty where the library has none. */
  public Optional<BaseLife> baseLife(String role, String material) {
    return Optional.ofNullable(lives.get(key(role, material)));
  }

  /** Whether any material is used in {@code role}. */
  public boolean knowsRole(String role) {
    return materials.values().stream().anyMatch(m -> m.roles().contains(role));
  }

  /**
   * The row that counts for a fluid at a concentration: the band that holds it (the worse where two
   * meet), or between two bands the worse neighbour at this temperature. Empty, so unknown, where
   * there is no row, or the concentration lies outside all bands.
   */
  public Optional<Resistance> resistance(
      String fluid, double pct, String material, double temperatureC) {
    List<Resistance> all = rows.getOrDefault(key(fluid, material), List.of());
    List<Resistance> holding = all.stream().filter(r -> r.holds(pct)).toList();
    if (!holding.isEmpty()) {
      return worst(holding, temperatureC);
    }
    OptionalDouble below = all.stream().mapToDouble(Resistance::toPct).filter(to -> to < pct).max();
    OptionalDouble above =
        all.stream().mapToDouble(Resistance::fromPct).filter(from -> from > pct).min();
    if (below.isEmpty() || above.isEmpty()) {
      return Optional.empty();
    }
    return worst(
        all.stream()
            .filter(r -> r.toPct() == below.getAsDouble() || r.fromPct() == above.getAsDouble())
            .toList(),
        temperatureC);
  }

  private static Optional<Resistance> worst(List<Resistance> rows, double temperatureC) {
    return rows.stream()
        .min(
            Comparator.comparingDouble((Resistance r) -> r.factorAt(temperatureC))
                .thenComparingDouble(r -> r.limitedC().orElse(-1e9))
                .thenComparingDouble(r -> r.fullC().orElse(-1e9)));
  }

  private static String key(String a, String b) {
    return a + "|" + b;
  }

  private static String word(String text) {
    return text.strip().toLowerCase(Locale.ROOT).replaceAll("[\\s_-]+", "-");
  }
}
