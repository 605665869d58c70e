package isokinon.core.material.reading;

import isokinon.core.material.Fluid;
import isokinon.core.material.Material;
import isokinon.core.material.MaterialKind;
import isokinon.core.stock.ShelfLife;
import isokinon.core.table.CsvRow;
import isokinon.core.value.Code;
import isokinon.core.value.Fault;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BinaryOperator;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Rows of {@code materials} and {@code fluids}. */
final class MaterialRows {

  private MaterialRows() {}

  static Material material(CsvRow row) {
    double min = row.number("min_c", -273.15, 2000);
    double max = row.number("max_c", -273.15, 2000);
    if (max <= min) {
      throw new IllegalArgumentException("max_c is not above min_c");
    }
    return new Material(
        row.word("material"),
        row.word("name"),
        row.code(MaterialKind.class, "kind"),
        Set.copyOf(row.words("roles", ';')),
        min,
        max,
        row.optional("shore_a", 0, 100),
        row.number("flex", 0.01, 5),
        row.number("abrasion_heavy", 0.01, 1),
        row.number("suction_m", 0, 10),
        shelf(row),
        row.optional("density", 10, 25_000),
        row.optional("alpha", 1e-7, 1e-3),
        row.flag("food").orElse(false),
        row.flag("conducts"),
        row.optional("max_bar", 0.1, 500),
        said(row, "base"),
        row.optional("loaded_c", 20, 400),
        said(row, "runs_on"));
  }

  private static ShelfLife.Group shelf(CsvRow row) {
    String word = row.get("shelf");
    return Code.parse(ShelfLife.Group.class, word.toLowerCase(Locale.ROOT))
        .orElseThrow(
            () ->
                new IllegalArgumentException(
                    "shelf \"" + word + "\" is none of " + Code.all(ShelfLife.Group.class)));
  }

  static Fluid fluid(CsvRow row) {
    return new Fluid(
        row.word("fluid"),
        row.word("name"),
        row.words("aliases", ';'),
        row.words("hurts", ';'),
        row.words("wear", ';'),
        row.get("spilt"),
        row.optional("flash_c", -100, 600),
        row.optional("density", 0.1, 25_000),
        row.number("density_pct", 0.01, 100),
        said(row, "based_on"));
  }

  private static Optional<String> said(CsvRow row, String column) {
    return Optional.of(row.get(column)).filter(word -> !word.isEmpty());
  }

  /** Each once, a later one standing over the earlier of the same code. */
  static <T> List<T> over(List<T> all, Function<T, String> code, BinaryOperator<T> over) {
    Map<String, T> byCode = new LinkedHashMap<>();
    all.forEach(
        t -> byCode.merge(code.apply(t), t, (earlier, later) -> over.apply(later, earlier)));
    return List.copyOf(byCode.values());
  }

  /** What a material is made from or runs on is a material as well. */
  static void related(List<Material> materials, List<Fault> faults) {
    Set<String> codes = materials.stream().map(Material::code).collect(Collectors.toSet());
    for (Material m : materials) {
      Stream.concat(m.base().stream(), m.runsOn().stream())
          .filter(other -> !codes.contains(other))
          .forEach(
              other ->
                  faults.add(new Fault("materials", m.code() + ": unknown material " + other)));
    }
  }
}
