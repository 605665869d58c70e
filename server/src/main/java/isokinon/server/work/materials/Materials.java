package isokinon.server.work.materials;

import isokinon.core.material.BandKey;
import isokinon.core.material.Effect;
import isokinon.core.material.Fluid;
import isokinon.core.material.LibraryReader;
import isokinon.core.material.Material;
import isokinon.core.material.MaterialLibrary;
import isokinon.core.material.Resistance;
import isokinon.core.stock.ShelfLife;
import isokinon.core.wetend.PairEvidence;
import isokinon.core.wetend.PairEvidence.Kind;
import isokinon.core.wetend.PairEvidence.Seen;
import isokinon.server.access.People;
import isokinon.server.db.ExposureRow;
import isokinon.server.db.FindingRow;
import isokinon.server.db.JudgedReadingRow;
import isokinon.server.db.OwnRow;
import isokinon.server.db.PumpMapper;
import isokinon.server.db.RunRow;
import isokinon.server.db.WetEndMapper;
import isokinon.server.work.library.ShopLibrary;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.shared.Text;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The material library as people read and write it: what fluids do to materials, the shop's own
 * rows over the shipped ones, what was seen here, tables in and out.
 */
@Service
public class Materials {

  private static final int MOST_HISTORY = 200;

  /** The table of what fluids do to materials. */
  private static final String RESISTANCE = "resistance";

  private static final int MOST_CHARACTERS = 4_000_000;

  /** Words of a cause that tell of chemical attack. */
  private static final Set<String> ATTACK =
      Set.of("chemical", "attack", "swollen", "swelled", "oxidised", "softened", "dissolved");

  /** A fluid on the list, and how many materials have a row for it. */
  public record FluidLine(
      String code, String name, List<String> aliases, Optional<Double> flashC, long materials) {}

  /** A material on the list. */
  public record MaterialLine(
      String code,
      String name,
      String kind,
      List<String> roles,
      double minC,
      double maxC,
      Optional<Double> shoreA,
      ShelfLife.Group shelf,
      boolean foodGrade) {}

  /** Fluids and materials of the library, and how many rows are the shop's own. */
  public record LibraryView(
      List<FluidLine> fluids, List<MaterialLine> materials, long rows, long ownRows) {}

  /**
   * A row of resistance.
   *
   * @param effect what the attack looks like; empty where none is known
   * @param ownRow number of the shop's own row; empty where the row is a shipped one
   * @param under whether an own row stands over all of its band
   */
  public record ResistanceLine(
      double fromPct,
      double toPct,
      Optional<Double> fullC,
      Optional<Double> limitedC,
      Optional<Effect> effect,
      String basis,
      String source,
      String date,
      String note,
      Optional<Long> ownRow,
      boolean under) {}

  /** A material in a fluid; no rows is unknown. */
  public record PairLine(String material, String name, List<ResistanceLine> rows) {}

  /** A fluid with every material of the library. */
  public record FluidSheet(
      String code,
      String name,
      List<String> aliases,
      List<String> hurts,
      List<String> wear,
      String spilt,
      Optional<Double> flashC,
      Optional<Double> densityKgM3,
      List<PairLine> pairs) {}

  /**
   * Something seen here of a material in a fluid.
   *
   * @param from where it comes from: a job, a run, or typed
   */
  public record SeenLine(
      Kind kind,
      double reading,
      double temperatureC,
      double concentrationPct,
      String pump,
      String day,
      String who,
      String note,
      String from) {}

  /** Runs of a pump in this material and fluid. */
  public record RunsLine(String pump, List<Boolean> failed, double longestHours) {}

  /**
   * A change of the shop's own rows.
   *
   * @param id number of the row, by which it is ended
   */
  public record Change(
      long id,
      String table,
      String key,
      String line,
      String writtenBy,
      String writtenOn,
      Optional<String> endedBy,
      Optional<String> endedOn) {}

  /** An own row as it might be written. */
  public record OwnResistance(
      String fluid,
      String material,
      double fromPct,
      double toPct,
      Optional<Double> fullC,
      Optional<Double> limitedC,
      Optional<Effect> effect,
      String note) {}

  /** What was seen and the library disagree, and a row that agrees with both. */
  public record ContradictionView(String sentence, OwnResistance suggestion) {}

  /**
   * A material in a fluid: rows, what was seen here, where the two disagree, what was changed.
   *
   * @param effects what an own row may say that the fluid does
   */
  public record PairView(
      String fluid,
      String fluidName,
      String material,
      String materialName,
      List<ResistanceLine> rows,
      List<SeenLine> seen,
      List<RunsLine> runs,
      List<ContradictionView> contradictions,
      List<Change> history,
      List<Effect> effects) {}

  /** Something seen, as it is typed. */
  public record FindingRequest(
      String fluid,
      String material,
      Double concentrationPct,
      Double temperatureC,
      Kind kind,
      Double reading,
      String pump,
      String note,
      String who) {}

  /** What an import did, or would do. */
  public record ImportReport(
      String table, int added, int replaced, int unchanged, boolean stored) {}

  private final ShopLibrary library;
  private final WetEndMapper store;
  private final PumpMapper pumps;
  private final People people;
  private final Clock clock;

  Materials(ShopLibrary library, WetEndMapper store, PumpMapper pumps, People people, Clock clock) {
    this.library = library;
    this.store = store;
    this.pumps = pumps;
    this.people = people;
    this.clock = clock;
  }

  /** What the library holds. */
  public LibraryView view() {
    MaterialLibrary all = library.materials();
    List<Resistance> rows = all.rows();
    Map<String, Long> byFluid =
        rows.stream()
            .collect(
                Collectors.groupingBy(
                    Resistance::fluid,
                    Collectors.mapping(
                        Resistance::material,
                        Collectors.collectingAndThen(Collectors.toSet(), s -> (long) s.size()))));
    return new LibraryView(
        all.fluids().stream()
            .map(
                f ->
                    new FluidLine(
                        f.code(),
                        f.name(),
                        f.aliases(),
                        f.flashC(),
                        byFluid.getOrDefault(f.code(), 0L)))
            .toList(),
        all.materials().stream()
            .map(
                m ->
                    new MaterialLine(
                        m.code(),
                        m.name(),
                        m.kind(),
                        m.roles().stream().sorted().toList(),
                        m.minC(),
                        m.maxC(),
                        m.shoreA(),
                        m.shelf(),
                        m.foodGrade()))
            .toList(),
        rows.size(),
        rows.stream().filter(Resistance::own).count());
  }

  /** A fluid against every material. */
  public FluidSheet fluid(String code) {
    MaterialLibrary all = library.materials();
    Map<BandKey, Long> own = ownBands();
    Fluid f = known(code);
    return new FluidSheet(
        f.code(),
        f.name(),
        f.aliases(),
        f.hurts(),
        f.wear(),
        f.spilt(),
        f.flashC(),
        f.densityKgM3(),
        all.materials().stream()
            .filter(m -> !m.kind().equals("magnet"))
            .map(m -> new PairLine(m.code(), m.name(), lines(all.rows(f.code(), m.code()), own)))
            .toList());
  }

  /** A material in a fluid with everything known here. */
  @Transactional(readOnly = true)
  public PairView pair(String fluidCode, String materialCode) {
    Fluid f = known(fluidCode);
    Material m = material(materialCode);
    List<SeenLine> seen = seen(f.code(), m.code());
    List<RunRow> runs = pumps.runsIn(m.code(), f.code());
    seen.addAll(ofRuns(f.code(), runs));
    Map<String, List<RunRow>> byPump =
        runs.stream()
            .collect(Collectors.groupingBy(RunRow::pump, LinkedHashMap::new, Collectors.toList()));
    return new PairView(
        f.code(),
        f.name(),
        m.code(),
        m.name(),
        lines(library.materials().rows(f.code(), m.code()), ownBands()),
        seen,
        byPump.entrySet().stream()
            .map(
                e ->
                    new RunsLine(
                        e.getKey(),
                        e.getValue().stream().map(RunRow::failed).toList(),
                        e.getValue().stream().mapToDouble(RunRow::hours).max().orElse(0)))
            .toList(),
        contradictions(f, m, seen),
        store.historyLike(f.code() + ",%," + m.code()).stream().map(Materials::change).toList(),
        List.of(Effect.values()));
  }

  /**
   * Writes down what was seen.
   *
   * @throws RequestProblem with everything that is wrong with it
   */
  @Transactional
  public PairView add(FindingRequest q) {
    List<RequestProblem.Fault> faults = new ArrayList<>();
    within(faults, "concentrationPct", q.concentrationPct(), 0, 100, "%");
    within(faults, "temperatureC", q.temperatureC(), -273.15, 1000, "°C");
    Kind kind = q.kind();
    if (kind == null) {
      faults.add(
          new RequestProblem.Fault("kind", "What was seen is hardness, swell, attacked or sound."));
    } else if (kind == Kind.HARDNESS) {
      within(faults, "reading", q.reading(), -100, 100, "Shore A");
    } else if (kind == Kind.SWELL) {
      within(faults, "reading", q.reading(), -50, 400, "%");
    }
    if (q.fluid() == null || library.materials().fluid(q.fluid()).isEmpty()) {
      faults.add(
          new RequestProblem.Fault("fluid", "The library knows no fluid \"" + q.fluid() + "\"."));
    }
    if (q.material() == null || library.materials().material(q.material()).isEmpty()) {
      faults.add(
          new RequestProblem.Fault(
              "material", "The library knows no material \"" + q.material() + "\"."));
    }
    if (q.pump() != null && !q.pump().isBlank() && pumps.byTag(q.pump()).isEmpty()) {
      faults.add(new RequestProblem.Fault("pump", "No pump is called " + q.pump() + "."));
    }
    if (!faults.isEmpty()) {
      throw new RequestProblem(400, faults);
    }
    people.requireKnown(q.who() == null ? "" : q.who());
    Fluid f = known(q.fluid());
    Material m = material(q.material());
    store.addFinding(
        new FindingRow(
            0,
            q.pump() == null || q.pump().isBlank() ? null : q.pump(),
            m.code(),
            f.code(),
            q.concentrationPct(),
            q.temperatureC(),
            kind,
            q.reading() == null ? 0 : q.reading(),
            Text.clipped(q.note() == null ? "" : q.note(), 2000),
            q.who(),
            OffsetDateTime.now(clock)));
    return pair(f.code(), m.code());
  }

  /**
   * Writes an own row, which counts before every shipped one of its band.
   *
   * @throws RequestProblem with everything that is wrong with it
   */
  @Transactional
  public PairView write(OwnResistance row, String who) {
    people.requireKnown(who);
    List<String> values =
        List.of(
            row.fluid() == null ? "" : row.fluid(),
            Text.digits(row.fromPct()),
            Text.digits(row.toPct()),
            row.material() == null ? "" : row.material(),
            row.fullC().map(Text::digits).orElse(""),
            row.limitedC().map(Text::digits).orElse(""),
            row.effect() == null ? "" : row.effect().map(Effect::code).orElse(""),
            "seen here",
            "this shop",
            LocalDate.now(clock).toString(),
            row.note() == null ? "" : row.note());
    store(RESISTANCE, csv(RESISTANCE, List.of(values)), who, false);
    return pair(row.fluid(), row.material());
  }

  /**
   * Ends an own row: the shipped ones count again.
   *
   * @param id its number
   * @throws RequestProblem where no own row of the table with this number counts now
   */
  @Transactional
  public void end(String table, long id, String who) {
    people.requireKnown(who);
    if (store.endOwn(checked(table), id, who, OffsetDateTime.now(clock)) == 0) {
      throw RequestProblem.missing("No own row of this table has the number " + id + ".");
    }
    // Other own rows may build on it: a row for a fluid that only the shop knows.
    checkedOwn(ShopLibrary.ownTables(store.ownRows()), table);
  }

  /**
   * A table as CSV.
   *
   * @param own only what the shop wrote; else the shipped rows, and the shop's over them
   */
  public String export(String table, boolean own) {
    String checked = checked(table);
    List<List<String>> rows = new ArrayList<>();
    Map<Object, List<String>> byKey = new LinkedHashMap<>();
    try {
      if (!own) {
        records(new BufferedReader(ShopLibrary.shipped(checked)), checked)
            .forEach(r -> byKey.put(key(checked, r), r));
      }
      store.ownRows().stream()
          .filter(r -> r.tableName().equals(checked))
          .map(Materials::fields)
          .forEach(r -> byKey.put(key(checked, r), r));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    rows.addAll(byKey.values());
    return csv(checked, rows);
  }

  /**
   * Takes a table in over the shipped one, all of it or nothing. Rows that say what is known
   * already are left out.
   *
   * @param dryRun only tells what it would do
   * @throws RequestProblem with every fault and its line
   */
  @Transactional
  public ImportReport importTable(String table, String text, String who, boolean dryRun) {
    people.requireKnown(who);
    if (text.length() > MOST_CHARACTERS) {
      throw RequestProblem.of(
          400, "file", "Longer than " + MOST_CHARACTERS + " characters: take it in by parts.");
    }
    return store(checked(table), text, who, dryRun);
  }

  /** What was changed in a table, newest first. */
  public List<Change> history(String table) {
    return store.history(checked(table), MOST_HISTORY).stream().map(Materials::change).toList();
  }

  // ---- tables ---------------------------------------------------------------------------------

  private ImportReport store(String table, String text, String who, boolean dryRun) {
    String plain = text.startsWith("\uFEFF") ? text.substring(1) : text;
    Map<String, String> own = ShopLibrary.ownTables(store.ownRows());
    // The file by itself first, so that the lines told are its own.
    own.put(table, plain);
    checkedOwn(own, table);
    Map<Object, List<String>> shipped = new LinkedHashMap<>();
    Map<Object, List<OwnRow>> mine = new LinkedHashMap<>();
    List<List<String>> read;
    try {
      records(new BufferedReader(ShopLibrary.shipped(table)), table)
          .forEach(r -> shipped.put(key(table, r), r));
      for (OwnRow row : store.ownRows()) {
        if (row.tableName().equals(table)) {
          mine.computeIfAbsent(key(table, fields(row)), k -> new ArrayList<>()).add(row);
        }
      }
      read = records(new BufferedReader(new StringReader(plain)), table);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    int added = 0;
    int replaced = 0;
    int unchanged = 0;
    OffsetDateTime now = OffsetDateTime.now(clock);
    for (List<String> written : read) {
      List<String> row = plain(table, written);
      Object key = key(table, row);
      List<OwnRow> before = mine.getOrDefault(key, List.of());
      List<String> known =
          before.isEmpty() ? shipped.get(key) : fields(before.get(before.size() - 1));
      if (known != null && row.equals(plain(table, known))) {
        unchanged++;
        continue;
      }
      if (known == null) {
        added++;
      } else {
        replaced++;
      }
      if (!dryRun) {
        before.forEach(o -> store.endOwn(table, o.id(), who, now));
        store.addOwn(new OwnRow(0, table, keyText(table, row), line(row), who, now, null, null));
      }
    }
    if (!dryRun) {
      checkedOwn(ShopLibrary.ownTables(store.ownRows()), table);
    }
    return new ImportReport(table, added, replaced, unchanged, !dryRun);
  }

  private void checkedOwn(Map<String, String> own, String table) {
    try {
      library.with(own);
    } catch (LibraryReader.InvalidLibrary e) {
      throw new RequestProblem(
          400,
          e.faults().stream()
              .map(
                  f ->
                      new RequestProblem.Fault(
                          f.table().replace("own ", ""),
                          Text.sentence(f.message()) + ".",
                          f.table().equals("own " + table) ? f.line() : 0))
              .toList());
    }
  }

  private static String checked(String table) {
    if (!LibraryReader.TABLES.contains(table)) {
      throw RequestProblem.missing(
          "The library has the tables " + String.join(", ", LibraryReader.TABLES) + ".");
    }
    return table;
  }

  /** Rows in the order of the table's columns, whatever the order of the file's. */
  private static List<List<String>> records(BufferedReader in, String table) throws IOException {
    try (in;
        var parser = LibraryReader.FORMAT.parse(in)) {
      List<List<String>> rows = new ArrayList<>();
      for (CSVRecord r : parser) {
        rows.add(LibraryReader.columns(table).stream().map(r::get).toList());
      }
      return rows;
    }
  }

  /** The fields of an own row, in the order of the table's columns. */
  private static List<String> fields(OwnRow row) {
    try {
      return records(
              new BufferedReader(
                  new StringReader(
                      String.join(",", LibraryReader.columns(row.tableName()))
                          + "\n"
                          + row.line())),
              row.tableName())
          .get(0);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** What makes a row the same as an earlier one, however its numbers and names are written. */
  private Object key(String table, List<String> row) {
    if (table.equals(RESISTANCE)) {
      UnaryOperator<String> field = column -> field(table, row, column);
      return new BandKey(
          library
              .materials()
              .fluid(field.apply("fluid"))
              .map(Fluid::code)
              .orElse(field.apply("fluid")),
          library
              .materials()
              .material(field.apply("material"))
              .map(Material::code)
              .orElse(field.apply("material")),
          Double.parseDouble(field.apply("from_pct")),
          Double.parseDouble(field.apply("to_pct")));
    }
    return keyText(table, row);
  }

  private static String keyText(String table, List<String> row) {
    return LibraryReader.keyColumns(table).stream()
        .map(c -> field(table, row, c))
        .collect(Collectors.joining(","));
  }

  private static String field(String table, List<String> row, String column) {
    return row.get(LibraryReader.columns(table).indexOf(column));
  }

  /** A row with its band and its names as the library writes them: 2.50 is 2.5. */
  private List<String> plain(String table, List<String> row) {
    if (!table.equals(RESISTANCE)) {
      return row;
    }
    BandKey key = (BandKey) key(table, row);
    List<String> plain = new ArrayList<>(row);
    List<String> columns = LibraryReader.columns(table);
    plain.set(columns.indexOf("fluid"), key.fluid());
    plain.set(columns.indexOf("material"), key.material());
    plain.set(columns.indexOf("from_pct"), Text.digits(key.fromPct()));
    plain.set(columns.indexOf("to_pct"), Text.digits(key.toPct()));
    return plain;
  }

  private static String csv(String table, List<List<String>> rows) {
    StringBuilder text =
        new StringBuilder(String.join(",", LibraryReader.columns(table))).append('\n');
    rows.forEach(r -> text.append(line(r)).append('\n'));
    return text.toString();
  }

  private static String line(List<String> row) {
    StringWriter out = new StringWriter();
    try (CSVPrinter printer = new CSVPrinter(out, CSVFormat.DEFAULT)) {
      printer.printRecord(row);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toString().strip();
  }

  // ---- evidence -------------------------------------------------------------------------------

  private List<SeenLine> seen(String fluid, String material) {
    List<SeenLine> seen = new ArrayList<>();
    for (FindingRow f : store.findings(fluid, material)) {
      seen.add(
          new SeenLine(
              f.kind(),
              f.reading(),
              f.temperatureC(),
              f.concentrationPct(),
              Optional.ofNullable(f.pump()).orElse(""),
              Text.day(f.foundAt().toLocalDate()),
              f.foundBy(),
              f.note(),
              "typed"));
    }
    for (JudgedReadingRow r : store.judged(fluid, material)) {
      exposure(r.pump(), fluid)
          .ifPresent(
              e ->
                  seen.add(
                      new SeenLine(
                          r.measure().equals("swell") ? Kind.SWELL : Kind.HARDNESS,
                          r.reading(),
                          e.temperatureC(),
                          e.concentrationPct(),
                          r.pump(),
                          Text.day(r.at().toLocalDate()),
                          r.who(),
                          r.text(),
                          "job " + r.rebuild())));
    }
    return seen;
  }

  /** A failed run by chemical attack, and a sound one, each at the pump's temperature of today. */
  private List<SeenLine> ofRuns(String fluid, List<RunRow> runs) {
    List<SeenLine> seen = new ArrayList<>();
    for (RunRow r : runs) {
      boolean attacked = r.failed() && attack(r.cause());
      if (attacked || !r.failed()) {
        exposure(r.pump(), fluid)
            .ifPresent(
                e ->
                    seen.add(
                        new SeenLine(
                            attacked ? Kind.ATTACKED : Kind.SOUND,
                            0,
                            e.temperatureC(),
                            e.concentrationPct(),
                            r.pump(),
                            Text.day(r.endedOn()),
                            "",
                            r.cause() + " at " + Text.plain(Math.round(r.hours())) + " h",
                            "run")));
      }
    }
    return seen;
  }

  private static boolean attack(String cause) {
    String words = cause.toLowerCase(Locale.ROOT);
    return ATTACK.stream().anyMatch(words::contains);
  }

  private Optional<ExposureRow> exposure(String pump, String fluid) {
    return pumps.exposures(pump).stream().filter(e -> e.fluid().equals(fluid)).findFirst();
  }

  private List<ContradictionView> contradictions(Fluid f, Material m, List<SeenLine> seen) {
    List<ContradictionView> found = new ArrayList<>();
    for (Resistance row : library.materials().rows(f.code(), m.code())) {
      List<Seen> within =
          seen.stream()
              .filter(s -> row.holds(s.concentrationPct()))
              .map(s -> new Seen(s.kind(), s.reading(), s.temperatureC(), s.concentrationPct()))
              .toList();
      double middle = within.isEmpty() ? 0 : within.get(0).concentrationPct();
      Optional<Resistance> counts =
          library.materials().resistance(f.code(), middle, m.code(), 20).filter(row::equals);
      PairEvidence.against(counts, within)
          .ifPresent(
              c ->
                  found.add(
                      new ContradictionView(
                          c.sentence(),
                          new OwnResistance(
                              f.code(),
                              m.code(),
                              row.fromPct(),
                              row.toPct(),
                              c.fullC(),
                              c.limitedC(),
                              row.effect(),
                              c.sentence()))));
    }
    return found;
  }

  private List<ResistanceLine> lines(List<Resistance> rows, Map<BandKey, Long> own) {
    return rows.stream()
        .map(
            r ->
                new ResistanceLine(
                    r.fromPct(),
                    r.toPct(),
                    r.fullC(),
                    r.limitedC(),
                    r.effect(),
                    r.basis(),
                    r.source(),
                    r.date(),
                    r.note(),
                    Optional.of(r).filter(Resistance::own).map(o -> own.get(o.key())),
                    !r.own()
                        && rows.stream()
                            .anyMatch(
                                o ->
                                    o.own()
                                        && o.fromPct() <= r.fromPct()
                                        && o.toPct() >= r.toPct())))
        .toList();
  }

  /** Numbers of the own rows of resistance that count now, by what they say something of. */
  private Map<BandKey, Long> ownBands() {
    Map<BandKey, Long> bands = new LinkedHashMap<>();
    store.ownRows().stream()
        .filter(r -> r.tableName().equals(RESISTANCE))
        .forEach(r -> bands.put((BandKey) key(RESISTANCE, fields(r)), r.id()));
    return bands;
  }

  private static Change change(OwnRow r) {
    return new Change(
        r.id(),
        r.tableName(),
        r.rowKey(),
        r.line(),
        r.writtenBy(),
        Text.day(r.writtenAt().toLocalDate()),
        Optional.ofNullable(r.endedBy()),
        Optional.ofNullable(r.endedAt()).map(t -> Text.day(t.toLocalDate())));
  }

  private Fluid known(String code) {
    return library
        .materials()
        .fluid(code)
        .orElseThrow(() -> RequestProblem.missing("The library knows no fluid \"" + code + "\"."));
  }

  private Material material(String code) {
    return library
        .materials()
        .material(code)
        .orElseThrow(
            () -> RequestProblem.missing("The library knows no material \"" + code + "\"."));
  }

  private static void within(
      List<RequestProblem.Fault> faults,
      String path,
      Double value,
      double min,
      double max,
      String unit) {
    if (value == null || !(value >= min && value <= max)) {
      faults.add(
          new RequestProblem.Fault(
              path,
              "Give "
                  + min
                  + " to "
                  + max
                  + " "
                  + unit
                  + (value == null ? "." : "; " + value + " is not.")));
    }
  }
}
