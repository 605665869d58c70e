package isokinon.core.diagnosis;

import isokinon.core.diagnosis.DiagnosisLibrary.Cause;
import isokinon.core.diagnosis.DiagnosisLibrary.Clue;
import isokinon.core.diagnosis.DiagnosisLibrary.Counter;
import isokinon.core.diagnosis.DiagnosisLibrary.Fault;
import isokinon.core.diagnosis.DiagnosisLibrary.QuickTest;
import isokinon.core.diagnosis.DiagnosisLibrary.Signature;
import isokinon.core.diagnosis.DiagnosisLibrary.Symptom;
import isokinon.core.sheet.Family;
import isokinon.core.sheet.Part;
import isokinon.core.table.CsvRow;
import isokinon.core.table.CsvTable;
import java.io.IOException;
import java.io.Reader;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * Reads the diagnosis library from its CSV tables. Names that a row points at must be there, so
 * that a typing slip in a table is found when it is read and not at the bench.
 */
public final class DiagnosisReader {

  /** Opens a table by its name. */
  @FunctionalInterface
  public interface Tables {
    Reader open(String table) throws IOException;
  }

  private final Tables tables;
  private final List<String> causes = new ArrayList<>();

  private DiagnosisReader(Tables tables) {
    this.tables = tables;
  }

  /**
   * Reads every table.
   *
   * @throws IOException where one cannot be read
   * @throws IllegalArgumentException naming table and row where one points at nothing
   */
  public static DiagnosisLibrary read(Tables tables) throws IOException {
    return new DiagnosisReader(tables).library();
  }

  private DiagnosisLibrary library() throws IOException {
    List<Counter> counters =
        rows("counters", r -> new Counter(r.get("counter"), r.get("title"), r.get("say")));
    List<Cause> known =
        rows(
            "causes",
            r ->
                new Cause(
                    r.get("cause"),
                    r.get("title"),
                    r.get("say"),
                    r.get("mode"),
                    r.flag("outside").orElse(false),
                    r.words("counters", '|')));
    Set<String> counterIds = counters.stream().map(Counter::id).collect(Collectors.toSet());
    known.forEach(c -> c.counters().forEach(k -> pointsAt("causes", c.id(), k, counterIds)));
    known.stream().map(Cause::id).forEach(causes::add);
    List<Signature> signatures =
        rows(
            "signatures",
            r ->
                new Signature(
                    r.get("signature"),
                    r.get("title"),
                    r.get("say"),
                    r.code(Part.Verdict.class, "outcome"),
                    r.words("words", '|'),
                    byCause(r)));
    List<Clue> clues =
        rows(
            "evidence",
            r -> new Clue(r.get("evidence"), r.get("say"), r.get("against"), byCause(r)));
    Map<Family, Map<String, Double>> base =
        rows("base-rates", r -> r).stream()
            .collect(Collectors.toMap(r -> r.code(Family.class, "family"), this::byCause));
    List<Symptom> symptoms =
        rows(
            "symptoms",
            r ->
                new Symptom(
                    r.get("symptom"),
                    r.get("title"),
                    r.get("say"),
                    r.get("drawing"),
                    r.number("otherwise"),
                    r.words("parts", '|')));
    List<QuickTest> tests = rows("tests", DiagnosisReader::test);
    List<Fault> faults = rows("faults", DiagnosisReader::fault);
    Set<String> symptomIds = symptoms.stream().map(Symptom::id).collect(Collectors.toSet());
    Set<String> testIds = tests.stream().map(QuickTest::id).collect(Collectors.toSet());
    for (Fault f : faults) {
      pointsAt("faults", f.id(), f.cause(), Set.copyOf(causes));
      f.signs().keySet().forEach(s -> pointsAt("faults", f.id(), s, symptomIds));
      f.tests().keySet().forEach(t -> pointsAt("faults", f.id(), t, testIds));
    }
    return new DiagnosisLibrary(signatures, known, counters, base, clues, faults, symptoms, tests);
  }

  private static QuickTest test(CsvRow r) {
    return new QuickTest(
        r.get("test"),
        r.get("title"),
        r.get("how"),
        r.number("minutes"),
        TestChoice.Kind.valueOf(r.get("kind").toUpperCase(Locale.ROOT)),
        r.get("yes"),
        r.get("no"),
        r.number("otherwise"),
        r.get("limit"),
        r.get("caution"),
        r.words("parts", '|'));
  }

  private static Fault fault(CsvRow r) {
    return new Fault(
        r.get("fault"),
        r.code(Family.class, "family"),
        r.get("title"),
        r.number("base"),
        r.get("cause"),
        r.words("parts", '|'),
        chances(r.get("signs")),
        chances(r.get("tests")));
  }

  private Map<String, Double> byCause(CsvRow r) {
    Map<String, Double> chances = new LinkedHashMap<>();
    causes.forEach(c -> chances.put(c, r.number(c)));
    return chances;
  }

  /** {@code "a:.8 b:.1"} as a map. */
  private static Map<String, Double> chances(String cell) {
    Map<String, Double> chances = new LinkedHashMap<>();
    for (String pair : cell.split(" ")) {
      int colon = pair.indexOf(':');
      chances.put(pair.substring(0, colon), Double.valueOf(pair.substring(colon + 1)));
    }
    return chances;
  }

  private static void pointsAt(String table, String row, String id, Set<String> known) {
    if (!known.contains(id)) {
      throw new IllegalArgumentException(table + ", " + row + ": there is no \"" + id + "\".");
    }
  }

  private <T> List<T> rows(String table, Function<CsvRow, T> read) throws IOException {
    List<T> rows = new ArrayList<>();
    for (CsvRow row : CsvTable.read(table, tables.open(table), List.of()).rowsOrThrow()) {
      try {
        rows.add(read.apply(row));
      } catch (IllegalArgumentException e) {
        throw new IllegalArgumentException(
            table + ", line " + row.line() + ": " + e.getMessage(), e);
      }
    }
    return List.copyOf(rows);
  }
}
