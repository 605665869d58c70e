package isokinon.server.work.setup;

import isokinon.core.value.Fault;
import isokinon.server.work.setup.BroughtView.CellFault;
import isokinon.server.work.setup.BroughtView.Change;
import isokinon.server.work.setup.BroughtView.Heading;
import isokinon.server.work.setup.BroughtView.NearName;
import isokinon.server.work.setup.BroughtView.UnknownWord;
import isokinon.server.work.setup.file.TableFile;
import isokinon.server.work.setup.file.TableFile.Line;
import isokinon.server.work.setup.names.KnownNames;
import isokinon.server.work.setup.tables.SetupColumn;
import isokinon.server.work.setup.tables.SetupColumn.Holds;
import isokinon.server.work.setup.tables.ShopTable;
import isokinon.server.work.setup.tables.ShopTable.Standing;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * A spreadsheet read against a table of the set-up: what fills each column, what each row says,
 * what is wrong with it, and what would change.
 */
final class TableReading {

  private static final int MOST_SHOWN = 500;
  private static final int MOST_CHANGES = 20;
  private static final int MOST_UNKNOWN = 50;
  private static final int MOST_CELLS = 5;
  private static final int MOST_NEAR = 3;
  private static final int LETTERS = 26;

  /**
   * What somebody said of a table.
   *
   * @param columns heading that fills each column of ours; an empty one leaves it out
   * @param words what words mean that are no name known here, by column of ours
   * @param monthFirst whether 03/01/2026 is the first of March
   */
  record Said(
      Map<String, String> columns, Map<String, Map<String, String>> words, boolean monthFirst) {

    static Said of(
        Map<String, String> columns, Map<String, Map<String, String>> words, Boolean monthFirst) {
      return new Said(
          columns == null ? Map.of() : columns,
          words == null ? Map.of() : words,
          Boolean.TRUE.equals(monthFirst));
    }
  }

  /** A row as it was read; what stands there now, where something does. */
  record ReadRow(
      Line line, String key, Map<String, String> values, Optional<Map<String, String>> before) {}

  private final ShopTable table;
  private final TableFile file;
  private final Said said;
  private final KnownNames known;
  private final BringProgress progress;
  private final Map<String, Integer> columnOf = new LinkedHashMap<>();
  private final Map<String, Integer> sure = new LinkedHashMap<>();
  private final List<CellFault> faults = new ArrayList<>();
  private final Map<String, List<String>> unknown = new LinkedHashMap<>();
  private final List<ReadRow> rows = new ArrayList<>();
  private final Map<String, Map<String, String>> standing = new LinkedHashMap<>();
  private List<ReadRow> moving = List.of();
  private int wrong;

  private TableReading(
      ShopTable table, TableFile file, Said said, KnownNames known, BringProgress progress) {
    this.known = known;
    this.table = table;
    this.file = file;
    this.said = said;
    this.progress = progress;
    match();
    for (Standing s : table.beside(words())) {
      standing.put(table.keyOf(s.values()), s.values());
    }
  }

  /** What stands in the columns that the rows here are narrowed by, where it can be read. */
  private Map<String, Set<String>> words() {
    Map<String, Set<String>> words = new LinkedHashMap<>();
    for (String id : table.narrowedBy()) {
      SetupColumn column = table.column(id).orElseThrow();
      Set<String> of = new HashSet<>();
      Integer at = columnOf.get(id);
      if (at != null) {
        file.lines().stream().map(l -> l.values().get(at)).distinct().forEach(of::add);
      }
      words.put(
          id,
          of.stream()
              .map(w -> column.read(meaning(column, w), said.monthFirst(), known).value())
              .filter(w -> !w.isEmpty())
              .collect(Collectors.toSet()));
    }
    return words;
  }

  /** Which heading fills which column: as somebody said, else the likest pairs first. */
  private void match() {
    Map<String, String> of = said.columns();
    List<Integer> free = new ArrayList<>();
    for (int i = 0; i < file.headings().size(); i++) {
      free.add(i);
    }
    for (SetupColumn c : table.columns()) {
      int at = of.containsKey(c.id()) ? file.headings().indexOf(of.get(c.id())) : -1;
      if (at >= 0) {
        take(c, at, 100, free);
      }
    }
    record Pair(SetupColumn column, int heading, int sure) {}
    List<Pair> pairs = new ArrayList<>();
    for (SetupColumn c : table.columns()) {
      for (int i = 0; i < file.headings().size() && !of.containsKey(c.id()); i++) {
        int like = Headings.sure(c, file.headings().get(i));
        if (like >= Headings.LEAST) {
          pairs.add(new Pair(c, i, like));
        }
      }
    }
    pairs.sort((a, b) -> b.sure() - a.sure());
    for (Pair p : pairs) {
      if (free.contains(p.heading()) && !columnOf.containsKey(p.column().id())) {
        take(p.column(), p.heading(), p.sure(), free);
      }
    }
  }

  private void take(SetupColumn column, int heading, int howSure, List<Integer> free) {
    columnOf.put(column.id(), heading);
    sure.put(column.id(), howSure);
    free.remove(Integer.valueOf(heading));
  }

  private void read() {
    List<String> missing =
        table.columns().stream()
            .filter(c -> table.key().contains(c.id()) && c.needed())
            .filter(c -> !columnOf.containsKey(c.id()))
            .map(SetupColumn::title)
            .toList();
    if (!missing.isEmpty()) {
      faults.add(
          new CellFault("1", "", "No column is the " + String.join(", the ", missing) + "."));
      wrong = file.lines().size();
      return;
    }
    Map<String, Integer> seen = new LinkedHashMap<>();
    progress.begins(BringProgress.Phase.READING, table.id(), file.lines().size());
    for (Line line : file.lines()) {
      progress.step();
      int before = faults.size();
      Optional<ReadRow> row = row(line);
      row.map(r -> seen.putIfAbsent(r.key(), line.number()))
          .ifPresent(
              first -> fault(line, table.key().get(0), "It stands in row " + first + " already."));
      if (faults.size() > before || row.isEmpty()) {
        wrong++;
      } else {
        rows.add(row.get());
      }
    }
    together();
  }

  private Optional<ReadRow> row(Line line) {
    Map<String, String> values = new LinkedHashMap<>();
    int before = faults.size();
    for (String k : table.key()) {
      values.put(k, value(line, table.column(k).orElseThrow()));
    }
    if (faults.size() > before) {
      return Optional.empty();
    }
    table.completeKey(values);
    String key = table.keyOf(values);
    Optional<Map<String, String>> there = Optional.ofNullable(standing.get(key));
    for (SetupColumn c : table.columns()) {
      if (table.key().contains(c.id())) {
        continue;
      }
      boolean stays = there.isPresent() && (isEmpty(line, c) || table.onlyNew().contains(c.id()));
      values.put(c.id(), stays ? there.get().get(c.id()) : value(line, c));
    }
    if (faults.size() > before) {
      return Optional.empty();
    }
    table.faults(values, there).forEach(f -> fault(line, f.path(), f.message()));
    return faults.size() > before
        ? Optional.empty()
        : Optional.of(new ReadRow(line, key, recordStays(values, there), there));
  }

  /** What is recorded stays as it is; a row that says the same says nothing new. */
  private Map<String, String> recordStays(
      Map<String, String> values, Optional<Map<String, String>> there) {
    return table.recorded() ? there.orElse(values) : values;
  }

  /** An empty cell leaves what stands there. */
  private boolean isEmpty(Line line, SetupColumn c) {
    Integer at = columnOf.get(c.id());
    return at == null || line.values().get(at).isEmpty();
  }

  private String value(Line line, SetupColumn c) {
    Integer at = columnOf.get(c.id());
    String typed = at == null ? "" : line.values().get(at);
    String meant = meaning(c, typed);
    SetupColumn.Read read = c.read(meant, said.monthFirst(), known);
    read.fault()
        .ifPresent(
            sentence -> {
              fault(line, c.id(), sentence);
              if (c.holds() == Holds.NAME && !typed.isEmpty()) {
                unknown
                    .computeIfAbsent(c.id() + "\n" + typed, k -> new ArrayList<>())
                    .add(cell(line, c.id()));
              }
            });
    return read.value();
  }

  private String meaning(SetupColumn c, String typed) {
    return Optional.ofNullable(said.words().get(c.id())).map(said -> said.get(typed)).orElse(typed);
  }

  private void together() {
    Map<String, Map<String, String>> after = new LinkedHashMap<>(standing);
    Map<String, Integer> freshLines = new LinkedHashMap<>();
    for (ReadRow r : rows) {
      after.put(r.key(), r.values());
      if (r.before().isEmpty()) {
        freshLines.put(r.key(), r.line().number());
      }
    }
    Set<Integer> wrongLines = new HashSet<>();
    for (Fault f : table.together(after, freshLines)) {
      if (f.line() > 0) {
        faults.add(new CellFault(Integer.toString(f.line()), "", f.message()));
        wrongLines.add(f.line());
        continue;
      }
      List<ReadRow> of = rows.stream().filter(r -> r.values().containsValue(f.path())).toList();
      if (!of.isEmpty()) {
        faults.add(
            new CellFault(Integer.toString(of.get(0).line().number()), f.path(), f.message()));
        wrong += of.size();
        rows.removeAll(of);
      }
    }
    rows.removeIf(r -> wrongLines.contains(r.line().number()));
    wrong += wrongLines.size();
    moving = rows.stream().filter(r -> r.before().isEmpty() || !changes(r).isEmpty()).toList();
  }

  private void fault(Line line, String column, String message) {
    Integer at = columnOf.get(column);
    faults.add(new CellFault(cell(line, column), at == null ? "" : line.values().get(at), message));
  }

  private String cell(Line line, String column) {
    Integer at = columnOf.get(column);
    return (at == null ? "" : letter(at)) + line.number();
  }

  /** The rows that say something new, in their order. */
  List<ReadRow> moving() {
    return moving;
  }

  private List<Change> changes(ReadRow row) {
    return row.before()
        .map(
            before ->
                table.columns().stream()
                    .filter(c -> !same(c, before.get(c.id()), row.values().get(c.id())))
                    .map(
                        c ->
                            new Change(
                                row.key(), c.title(), before.get(c.id()), row.values().get(c.id())))
                    .toList())
        .orElse(List.of());
  }

  private static boolean same(SetupColumn c, String one, String other) {
    boolean number = c.holds() == Holds.NUMBER && !one.isEmpty() && !other.isEmpty();
    return number
        ? Math.abs(Double.parseDouble(one) - Double.parseDouble(other)) < 1e-9
        : one.equals(other);
  }

  BroughtView view(boolean stored) {
    int fresh = (int) moving.stream().filter(r -> r.before().isEmpty()).count();
    return new BroughtView(
        file.sheet(),
        file.sheets(),
        headings(),
        table.columns().stream()
            .map(
                c ->
                    new BroughtView.Field(
                        c.id(),
                        c.title(),
                        c.needed(),
                        Optional.ofNullable(columnOf.get(c.id()))
                            .map(file.headings()::get)
                            .orElse(""),
                        sure.getOrDefault(c.id(), 0)))
            .toList(),
        file.lines().size(),
        fresh,
        moving.size() - fresh,
        rows.size() - moving.size(),
        wrong,
        moving.stream().flatMap(r -> changes(r).stream()).limit(MOST_CHANGES).toList(),
        faults.stream().limit(MOST_SHOWN).toList(),
        unknownWords(),
        stored);
  }

  private List<Heading> headings() {
    List<Heading> headings = new ArrayList<>();
    for (int i = 0; i < file.headings().size(); i++) {
      int at = i;
      headings.add(
          new Heading(
              letter(i),
              file.headings().get(i),
              file.lines().stream()
                  .map(l -> l.values().get(at))
                  .filter(v -> !v.isEmpty())
                  .limit(MOST_NEAR)
                  .toList()));
    }
    return headings;
  }

  private List<UnknownWord> unknownWords() {
    return unknown.entrySet().stream()
        .limit(MOST_UNKNOWN)
        .map(
            e -> {
              String[] of = e.getKey().split("\n", 2);
              return new UnknownWord(
                  of[0],
                  of[1],
                  e.getValue().stream().limit(MOST_CELLS).toList(),
                  e.getValue().size(),
                  known.nearest(table.column(of[0]).orElseThrow().of(), of[1], MOST_NEAR).stream()
                      .map(n -> new NearName(n.code(), n.name(), n.like()))
                      .toList());
            })
        .toList();
  }

  /** Reads a file. */
  static TableReading of(
      ShopTable table, TableFile file, Said said, KnownNames known, BringProgress progress) {
    TableReading reading = new TableReading(table, file, said, known, progress);
    reading.read();
    return reading;
  }

  /** Every fault, in the order of the rows. */
  List<CellFault> faults() {
    return faults;
  }

  /** The letters by which a spreadsheet calls a column, from 0: A, B, .., Z, AA. */
  static String letter(int column) {
    String last = String.valueOf((char) ('A' + column % LETTERS));
    return column < LETTERS ? last : letter(column / LETTERS - 1) + last;
  }
}
