package isokinon.core.material.reading;

import isokinon.core.material.Ceiling;
import isokinon.core.material.Effect;
import isokinon.core.material.Fluid;
import isokinon.core.material.FluidFacts;
import isokinon.core.material.Knowledge;
import isokinon.core.material.Material;
import isokinon.core.material.MaterialLibrary;
import isokinon.core.material.MaterialLibrary.BaseLife;
import isokinon.core.material.Resistance;
import isokinon.core.table.CsvRow;
import isokinon.core.table.CsvTable;
import isokinon.core.value.Code;
import isokinon.core.value.Fault;
import java.io.IOException;
import java.io.Reader;
import java.io.StringReader;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * Reads the material library from its CSV tables: {@code materials}, {@code fluids}, {@code
 * resistance} and {@code base-life}, and over each the rows a shop wrote itself. All faults are
 * told at once, each with table and line; nothing is taken from tables with faults.
 */
public final class LibraryReader {

  /** The tables of the library, in the order in which they build on each other. */
  public static final List<String> TABLES =
      List.of("materials", "fluids", "resistance", "base-life");

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
   * Reads all tables.
   *
   * @throws InvalidLibrary where any row has a fault
   * @throws IOException where a table cannot be opened
   */
  public static MaterialLibrary read(Tables shipped) throws IOException {
    return read(shipped, Map.of());
  }

  /**
   * Reads all tables, and over them what the shop wrote.
   *
   * @param own CSV text with its heading by table; tables without own rows are left out
   * @throws InvalidLibrary where any row has a fault; own tables are named {@code own} and the
   *     table
   * @throws IOException where a shipped table cannot be opened
   */
  public static MaterialLibrary read(Tables shipped, Map<String, String> own) throws IOException {
    return read(shipped, own, false);
  }

  /**
   * The same, with own rows that were kept while the library was another: what lies beyond a
   * ceiling or a service range that was lowered since is brought down to it.
   *
   * @throws InvalidLibrary where a row has another fault
   * @throws IOException where a shipped table cannot be opened
   */
  public static MaterialLibrary readKept(Tables shipped, Map<String, String> own)
      throws IOException {
    return read(shipped, own, true);
  }

  private static MaterialLibrary read(Tables shipped, Map<String, String> own, boolean kept)
      throws IOException {
    LibraryReader reader = new LibraryReader();
    List<Material> materials =
        MaterialRows.over(
            reader.both("materials", shipped, own, MaterialRows::material, Material::code),
            Material::code,
            Material::over);
    List<Fluid> fluids =
        MaterialRows.over(
            reader.both("fluids", shipped, own, MaterialRows::fluid, Fluid::code),
            Fluid::code,
            Fluid::over);
    MaterialRows.related(materials, reader.faults);
    FluidFacts facts =
        FluidFactsReader.read(
            shipped,
            new MaterialLibrary(materials, fluids, List.of(), List.of(), FluidFacts.NONE),
            reader.faults);
    MaterialLibrary names = new MaterialLibrary(materials, fluids, List.of(), List.of(), facts);
    List<Resistance> rows =
        new ArrayList<>(
            reader.table(
                "resistance",
                shipped.open("resistance"),
                // A shop may lower a material's range: what was shipped comes down with it.
                apart(r -> resistance(r, names, false, own.containsKey("materials"))),
                Resistance::key));
    if (own.containsKey("resistance")) {
      rows.addAll(
          reader.table(
              "own resistance",
              new StringReader(own.get("resistance")),
              r -> resistance(r, names, true, kept),
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
    return new MaterialLibrary(materials, fluids, rows, lives, facts);
  }

  /** Refuses a band that overlaps one before it of the same pair; they may meet at one strength. */
  private static Function<CsvRow, Resistance> apart(Function<CsvRow, Resistance> read) {
    Map<String, List<Resistance>> before = new HashMap<>();
    return row -> {
      Resistance r = read.apply(row);
      List<Resistance> pair =
          before.computeIfAbsent(r.fluid() + "|" + r.material(), k -> new ArrayList<>());
      if (pair.stream().anyMatch(o -> r.fromPct() < o.toPct() && o.fromPct() < r.toPct())) {
        throw new IllegalArgumentException(
            "its band overlaps another of " + r.fluid() + " and " + r.material());
      }
      pair.add(r);
      return r;
    };
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
      Function<CsvRow, T> read,
      Function<T, Object> keyOf)
      throws IOException {
    List<T> rows = new ArrayList<>(table(name, shipped.open(name), read, keyOf));
    if (own.containsKey(name)) {
      rows.addAll(table("own " + name, new StringReader(own.get(name)), read, keyOf));
    }
    return rows;
  }

  private static Resistance resistance(
      CsvRow row, MaterialLibrary names, boolean own, boolean kept) {
    double from = row.number("from_pct", 0, 100);
    double to = row.number("to_pct", 0, 100);
    Optional<Double> full = row.optional("full_c", -273.15, 2000);
    Optional<Double> limited = row.optional("limited_c", -273.15, 2000);
    String fluid = row.word("fluid");
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
    Optional<Ceiling> ceiling = names.ceiling(names.fluid(fluid).get().code(), from);
    double most = Math.min(material.maxC(), ceiling.map(Ceiling::maxC).orElse(material.maxC()));
    if (kept) {
      full = full.map(c -> Math.min(c, most));
      limited = limited.map(c -> Math.min(c, most));
    } else if (limited.orElse(-300.0) > material.maxC()) {
      throw new IllegalArgumentException(
          "limited_c is above the service range of " + material.code() + ", " + material.maxC());
    } else if (limited.orElse(-300.0) > most) {
      throw new IllegalArgumentException(
          "limited_c is over "
              + most
              + ", above which the fluid "
              + ceiling.get().because().words());
    }
    return new Resistance(
        names.fluid(fluid).get().code(),
        from,
        to,
        material.code(),
        full,
        limited,
        effect,
        row.word("basis"),
        row.get("source"),
        row.date("date").toString(),
        row.get("note"),
        row.get("known").isEmpty() ? Knowledge.USUAL : row.code(Knowledge.class, "known"),
        own);
  }

  private static BaseLife baseLife(CsvRow row, MaterialLibrary names) {
    return new BaseLife(
        row.word("role"),
        known(row, names).code(),
        row.number("hours", 1, 1e6),
        row.number("shape", 0.1, 20));
  }

  private static Material known(CsvRow row, MaterialLibrary names) {
    String code = row.word("material");
    return names
        .material(code)
        .orElseThrow(() -> new IllegalArgumentException("unknown material " + code));
  }

  private <T> List<T> table(
      String name, Reader from, Function<CsvRow, T> read, Function<T, Object> keyOf)
      throws IOException {
    String plainName = name.replace("own ", "");
    CsvTable table = CsvTable.read(name, from, columns(plainName));
    List<T> rows = new ArrayList<>();
    Set<Object> seen = new HashSet<>();
    List<Fault> found = new ArrayList<>(table.faults());
    for (CsvRow row : table.rows()) {
      try {
        T made = read.apply(row);
        rows.add(made);
        if (!seen.add(keyOf.apply(made))) {
          throw new IllegalArgumentException(
              String.join(", ", row.values(keyColumns(plainName))) + " stands here twice");
        }
      } catch (IllegalArgumentException e) {
        found.add(Fault.at(name, row.line(), e.getMessage()));
      }
    }
    found.stream().sorted(Comparator.comparingInt(Fault::line)).forEach(faults::add);
    return rows;
  }
}
