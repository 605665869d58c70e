package isokinon.core.material;

import isokinon.core.shelf.ShelfLife;
import java.io.IOException;
import java.io.Reader;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;

/**
 * Reads the material library from its CSV tables: {@code materials}, {@code fluids}, {@code
 * resistance} and {@code base-life}. All faults are told at once, each with table and line; nothing
 * is taken from tables with faults.
 */
public final class LibraryReader {

  /** Opens one of the tables by name, without its ending. */
  public interface Tables {
    /** A reader over {@code name}.csv. */
    Reader open(String name) throws IOException;
  }

  /** Tables that cannot be used, with every fault. */
  public static final class LibraryRefused extends RuntimeException {
    private static final long serialVersionUID = 1L;

    LibraryRefused(List<String> faults) {
      super(String.join("\n", faults));
    }
  }

  private final List<String> faults = new ArrayList<>();

  private LibraryReader() {}

  /**
   * Reads all four tables.
   *
   * @throws LibraryRefused where any row has a fault
   * @throws IOException where a table cannot be opened
   */
  public static MaterialLibrary read(Tables tables) throws IOException {
    LibraryReader reader = new LibraryReader();
    List<Material> materials = reader.table(tables, "materials", reader::material);
    List<Fluid> fluids = reader.table(tables, "fluids", reader::fluid);
    List<Resistance> rows = reader.table(tables, "resistance", reader::resistance);
    List<MaterialLibrary.BaseLife> lives = reader.table(tables, "base-life", reader::baseLife);
    MaterialLibrary library = new MaterialLibrary(materials, fluids, rows, lives);
    reader.crossCheck(library, rows, lives);
    if (!reader.faults.isEmpty()) {
      throw new LibraryRefused(reader.faults);
    }
    return library;
  }

  private void crossCheck(
      MaterialLibrary library, List<Resistance> rows, List<MaterialLibrary.BaseLife> lives) {
    for (Resistance row : rows) {
      String where = "resistance: " + row.fluid() + ", " + row.material();
      if (library.fluid(row.fluid()).isEmpty()) {
        faults.add(where + ": unknown fluid");
      }
      Optional<Material> material = library.material(row.material());
      if (material.isEmpty()) {
        faults.add(where + ": unknown material");
      } else if (row.limitedC().orElse(-300.0) > material.get().maxC()) {
        faults.add(where + ": limited is above the service range of the material");
      }
    }
    for (MaterialLibrary.BaseLife life : lives) {
      if (library.material(life.material()).isEmpty()) {
        faults.add("base-life: unknown material " + life.material());
      }
    }
  }

  private Material material(CSVRecord row) {
    return new Material(
        row.get("material"),
        row.get("name"),
        row.get("kind"),
        Set.copyOf(words(row, "roles")),
        number(row, "min_c", -273.15, 2000),
        number(row, "max_c", -273.15, 2000),
        optional(row, "shore_a", 0, 100),
        number(row, "flex", 0.01, 5),
        number(row, "abrasion_heavy", 0.01, 1),
        number(row, "suction_m", 0, 10),
        ShelfLife.Group.valueOf(row.get("shelf").toUpperCase(java.util.Locale.ROOT)));
  }

  private Fluid fluid(CSVRecord row) {
    return new Fluid(
        row.get("fluid"),
        row.get("name"),
        words(row, "aliases"),
        words(row, "hurts"),
        words(row, "wear"),
        row.get("spilt"));
  }

  private Resistance resistance(CSVRecord row) {
    double from = number(row, "from_pct", 0, 100);
    double to = number(row, "to_pct", 0, 100);
    Optional<Double> full = optional(row, "full_c", -273.15, 2000);
    Optional<Double> limited = optional(row, "limited_c", -273.15, 2000);
    if (to < from) {
      throw new IllegalArgumentException("to_pct is under from_pct");
    }
    if (full.isPresent() && limited.orElse(-300.0) < full.get()) {
      throw new IllegalArgumentException("limited_c is under full_c");
    }
    return new Resistance(
        row.get("fluid"),
        from,
        to,
        row.get("material"),
        full,
        limited,
        row.get("effect"),
        row.get("basis"),
        row.get("note"));
  }

  private MaterialLibrary.BaseLife baseLife(CSVRecord row) {
    return new MaterialLibrary.BaseLife(
        row.get("role"),
        row.get("material"),
        number(row, "hours", 1, 1e6),
        number(row, "shape", 0.1, 20));
  }

  private <T> List<T> table(Tables tables, String name, Function<CSVRecord, T> read)
      throws IOException {
    CSVFormat format =
        CSVFormat.DEFAULT.builder().setHeader().setSkipHeaderRecord(true).setTrim(true).get();
    List<T> rows = new ArrayList<>();
    try (Reader in = tables.open(name);
        var parser = format.parse(in)) {
      for (CSVRecord row : parser) {
        try {
          rows.add(read.apply(row));
        } catch (IllegalArgumentException e) {
          faults.add(name + ", line " + (row.getRecordNumber() + 1) + ": " + e.getMessage());
        }
      }
    }
    return rows;
  }

  private static List<String> words(CSVRecord row, String column) {
    return Arrays.stream(row.get(column).split(";"))
        .map(String::strip)
        .filter(w -> !w.isEmpty())
        .distinct()
        .toList();
  }

  private static Optional<Double> optional(CSVRecord row, String column, double min, double max) {
    return row.get(column).isEmpty()
        ? Optional.empty()
        : Optional.of(number(row, column, min, max));
  }

  private static double number(CSVRecord row, String column, double min, double max) {
    try {
      double value = Double.parseDouble(row.get(column));
      if (value >= min && value <= max) {
        return value;
      }
      throw new IllegalArgumentException(
          column + " " + value + " is outside " + min + " to " + max);
    } catch (NumberFormatException e) {
      throw new IllegalArgumentException(
          column + " \"" + row.get(column) + "\" is not a number", e);
    }
  }
}
