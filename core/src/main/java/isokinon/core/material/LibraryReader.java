package isokinon.core.material;

import isokinon.core.material.MaterialLibrary.BaseLife;
import isokinon.core.value.Code;
import isokinon.core.value.Fault;
import java.io.IOException;
import java.io.Reader;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;

/**
 * Reads the material library from its CSV tables: {@code materials}, {@code fluids}, {@code
 * resistance} and {@code base-life}, and over each the rows a shop wrote itself. All faults are
 * told at once, each with table and line; nothing is taken from tables with faults.
 */
public final class LibraryReader {

  /** The tables of the library, in the order in which they build on each other. */
  public static final List<String> TABLES =
      List.of("materials", "fluids", "resistance", "base-life");

  /** How the tables are written: a heading, commas, empty lines left out. */
  public static final CSVFormat FORMAT =
      CSVFormat.DEFAULT
          .builder()
          .setHeader()
          .setSkipHeaderRecord(true)
          .setIgnoreEmptyLines(true)
          .setTrim(true)
          .get();

  private static final Map<String, List<String>> COLUMNS =
      Map.of(
          "materials",
          List.of(
              "material",
              "name",
              "kind",
              "roles",
              "min_c",
              "max_c",
              "shore_a",
              "flex",
              "abrasion_heavy",
              "suction_m",
              "shelf",
              "density",
              "alpha",
              "food",
              "conducts",
              "max_bar"),
          "fluids",
          List.of(
              "fluid",
              "name",
              "aliases",
              "hurts",
              "wear",
              "spilt",
              "flash_c",
              "density",
              "density_pct"),
          "resistance",
          List.of(
              "fluid",
              "from_pct",
              "to_pct",
              "material",
              "full_c",
              "limited_c",
              "effect",
              "basis",
              "source",
              "date",
              "note"),
          "base-life",
          List.of("role", "material", "hours", "shape"));

  /** Opens one of the tables by name, without its ending. */
  public interface Tables {
    /** A reader over {@code name}.csv. */
    Reader open(String name) throws IOException;
  }

  /** Tables that cannot be used, with every fault. */
  public static final class InvalidLibrary extends RuntimeException {
    private static final long serialVersionUID = 1L;

    private final transient List<Fault> faults;

    InvalidLibrary(List<Fault> faults) {
      super(faults.stream().map(Fault::said).collect(Collectors.joining("\n")));
      this.faults = List.copyOf(faults);
    }

    /** Every fault, in the order of tables and lines. */
    public List<Fault> faults() {
      return faults;
    }
  }

  private final List<Fault> faults = new ArrayList<>();

  private LibraryReader() {}

  /**
   * Reads all four tables.
   *
   * @throws InvalidLibrary where any row has a fault
   * @throws IOException where a table cannot be opened
   */
  public static MaterialLibrary read(Tables shipped) throws IOException {
    return read(shipped, Map.of());
  }

  /**
   * Reads all four tables, and over them what the shop wrote.
   *
   * @param own CSV text with its heading by table; tables without own rows are left out
   * @throws InvalidLibrary where any row has a fault; own tables are named {@code own} and the
   *     table
   * @throws IOException where a shipped table cannot be opened
   */
  public static MaterialLibrary read(Tables shipped, Map<String, String> own) throws IOException {
    LibraryReader reader = new LibraryReader();
    List<Material> materials =
        reader.both("materials", shipped, own, r -> reader.material(r), Material::code);
    List<Fluid> fluids = reader.both("fluids", shipped, own, r -> reader.fluid(r), Fluid::code);
    MaterialLibrary names = new MaterialLibrary(materials, fluids, List.of(), List.of());
    List<Resistance> rows =
        new ArrayList<>(
            reader.table(
                "resistance",
                shipped.open("resistance"),
                r -> resistance(r, names, false),
                Resistance::key));
    if (own.containsKey("resistance")) {
      rows.addAll(
          reader.table(
              "own resistance",
              new StringReader(own.get("resistance")),
              r -> resistance(r, names, true),
              Resistance::key));
    }
    List<BaseLife> lives =
        reader.both(
            "base-life",
            shipped,
            own,
            r -> baseLife(r, names),
            b -> List.of(b.role(), b.material()));
    if (!reader.faults.isEmpty()) {
      throw new InvalidLibrary(reader.faults);
    }
    return new MaterialLibrary(materials, fluids, rows, lives);
  }

  /** The columns of a table, in the order in which it is written. */
  public static List<String> columns(String table) {
    return COLUMNS.get(table);
  }

  /** What makes a row the same as an earlier one: its values in these columns. */
  public static List<String> keyColumns(String table) {
    return switch (table) {
      case "resistance" -> List.of("fluid", "from_pct", "to_pct", "material");
      case "base-life" -> List.of("role", "material");
      default -> COLUMNS.get(table).subList(0, 1);
    };
  }

  private <T> List<T> both(
      String name,
      Tables shipped,
      Map<String, String> own,
      Function<CSVRecord, T> read,
      Function<T, Object> keyOf)
      throws IOException {
    List<T> rows = new ArrayList<>(table(name, shipped.open(name), read, keyOf));
    if (own.containsKey(name)) {
      rows.addAll(table("own " + name, new StringReader(own.get(name)), read, keyOf));
    }
    return rows;
  }

  private Material material(CSVRecord row) {
    double min = Cells.number(row, "min_c", -273.15, 2000);
    double max = Cells.number(row, "max_c", -273.15, 2000);
    if (max <= min) {
      throw new IllegalArgumentException("max_c is not above min_c");
    }
    return new Material(
        Cells.word(row, "material"),
        Cells.word(row, "name"),
        Cells.word(row, "kind"),
        Set.copyOf(Cells.words(row, "roles")),
        min,
        max,
        Cells.optional(row, "shore_a", 0, 100),
        Cells.number(row, "flex", 0.01, 5),
        Cells.number(row, "abrasion_heavy", 0.01, 1),
        Cells.number(row, "suction_m", 0, 10),
        Cells.group(row),
        Cells.optional(row, "density", 10, 25_000),
        Cells.optional(row, "alpha", 1e-7, 1e-3),
        Cells.flag(row, "food").orElse(false),
        Cells.flag(row, "conducts"),
        Cells.optional(row, "max_bar", 0.1, 500));
  }

  private Fluid fluid(CSVRecord row) {
    return new Fluid(
        Cells.word(row, "fluid"),
        Cells.word(row, "name"),
        Cells.words(row, "aliases"),
        Cells.words(row, "hurts"),
        Cells.words(row, "wear"),
        row.get("spilt"),
        Cells.optional(row, "flash_c", -100, 600),
        Cells.optional(row, "density", 0.1, 25_000),
        Cells.number(row, "density_pct", 0.01, 100));
  }

  private static Resistance resistance(CSVRecord row, MaterialLibrary names, boolean own) {
    double from = Cells.number(row, "from_pct", 0, 100);
    double to = Cells.number(row, "to_pct", 0, 100);
    Optional<Double> full = Cells.optional(row, "full_c", -273.15, 2000);
    Optional<Double> limited = Cells.optional(row, "limited_c", -273.15, 2000);
    String fluid = Cells.word(row, "fluid");
    Optional<Effect> effect = Code.parse(Effect.class, row.get("effect"));
    if (to < from) {
      throw new IllegalArgumentException("to_pct is under from_pct");
    }
    if (full.isPresent() && limited.orElse(-300.0) < full.get()) {
      throw new IllegalArgumentException("limited_c is under full_c");
    }
    if (effect.isEmpty() && !row.get("effect").isEmpty()) {
      throw new IllegalArgumentException(
          "effect \"" + row.get("effect") + "\" is none of " + Code.all(Effect.class));
    }
    if (names.fluid(fluid).isEmpty()) {
      throw new IllegalArgumentException("unknown fluid " + fluid);
    }
    Material material = known(row, names);
    if (limited.orElse(-300.0) > material.maxC()) {
      throw new IllegalArgumentException(
          "limited_c is above the service range of " + material.code() + ", " + material.maxC());
    }
    return new Resistance(
        names.fluid(fluid).get().code(),
        from,
        to,
        material.code(),
        full,
        limited,
        effect,
        Cells.word(row, "basis"),
        row.get("source"),
        Cells.date(row),
        row.get("note"),
        own);
  }

  private static BaseLife baseLife(CSVRecord row, MaterialLibrary names) {
    return new BaseLife(
        Cells.word(row, "role"),
        known(row, names).code(),
        Cells.number(row, "hours", 1, 1e6),
        Cells.number(row, "shape", 0.1, 20));
  }

  private static Material known(CSVRecord row, MaterialLibrary names) {
    String code = Cells.word(row, "material");
    return names
        .material(code)
        .orElseThrow(() -> new IllegalArgumentException("unknown material " + code));
  }

  private <T> List<T> table(
      String name, Reader from, Function<CSVRecord, T> read, Function<T, Object> keyOf) {
    String plainName = name.replace("own ", "");
    List<T> rows = new ArrayList<>();
    Set<Object> seen = new HashSet<>();
    try (Reader in = from;
        var parser = FORMAT.parse(in)) {
      List<String> missing =
          COLUMNS.get(plainName).stream()
              .filter(c -> !parser.getHeaderMap().containsKey(c))
              .toList();
      if (!missing.isEmpty()) {
        faults.add(Fault.at(name, 1, "columns missing: " + String.join(", ", missing)));
        return rows;
      }
      // A quoted field may run over several lines: a record begins behind the one before it.
      long line = 2;
      for (CSVRecord row : parser) {
        try {
          if (!row.isConsistent()) {
            throw new IllegalArgumentException(
                row.size() + " fields where the heading has " + parser.getHeaderMap().size());
          }
          T made = read.apply(row);
          rows.add(made);
          if (!seen.add(keyOf.apply(made))) {
            throw new IllegalArgumentException(
                keyColumns(plainName).stream().map(row::get).collect(Collectors.joining(", "))
                    + " stands here twice");
          }
        } catch (IllegalArgumentException e) {
          faults.add(Fault.at(name, (int) line, e.getMessage()));
        }
        line = parser.getCurrentLineNumber() + 1;
      }
    } catch (IOException | UncheckedIOException e) {
      faults.add(Fault.at(name, 1, "not readable as CSV: " + e.getMessage()));
    }
    return rows;
  }
}
