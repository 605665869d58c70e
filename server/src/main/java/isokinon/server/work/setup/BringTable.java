package isokinon.server.work.setup;

import isokinon.core.value.Fault;
import isokinon.server.access.SignedIn;
import isokinon.server.work.setup.BroughtView.CellFault;
import isokinon.server.work.setup.BroughtView.Change;
import isokinon.server.work.setup.BroughtView.Heading;
import isokinon.server.work.setup.BroughtView.NearName;
import isokinon.server.work.setup.BroughtView.UnknownWord;
import isokinon.server.work.setup.file.TableFile;
import isokinon.server.work.setup.file.TableFile.Line;
import isokinon.server.work.setup.tables.KnownNames;
import isokinon.server.work.setup.tables.SetupColumn;
import isokinon.server.work.setup.tables.SetupColumn.Holds;
import isokinon.server.work.setup.tables.SetupTable;
import isokinon.server.work.setup.tables.ShopTable;
import isokinon.server.work.setup.tables.ShopTable.Standing;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.shared.Turns;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Brings tables of the set-up in from spreadsheets: any headings in any order, matched by likeness
 * and as somebody says; a dry run first; then all at once or nothing. Rows are known by their key:
 * brought again they change what stands, and are not doubled.
 */
@Service
public class BringTable {

  private static final int MOST_SHOWN = 500;
  private static final int MOST_CHANGES = 20;
  private static final int MOST_UNKNOWN = 50;
  private static final int MOST_CELLS = 5;
  private static final int MOST_NEAR = 3;
  private static final int LETTERS = 26;

  /** Longest file, bytes. */
  public static final int MOST_BYTES = 24_000_000;

  /**
   * A table to bring.
   *
   * @param file the file as it is, base64
   * @param sheet which sheet of a workbook; the first where it is left out
   * @param columns heading that fills each column of ours, where somebody said so; an empty one
   *     leaves it out
   * @param words what words mean that are no name known here, by column of ours
   * @param monthFirst whether 03/01/2026 is the first of March
   * @param leaveOut whether rows at fault are left out, and the others brought
   * @param dryRun whether nothing is written
   */
  public record BringRequest(
      @NotNull @Size(max = MOST_BYTES) byte[] file,
      @Size(max = 100) String sheet,
      Map<String, String> columns,
      Map<String, Map<String, String>> words,
      Boolean monthFirst,
      Boolean leaveOut,
      Boolean dryRun) {}

  private final Setup setup;
  private final Turns turns;

  BringTable(Setup setup, Turns turns) {
    this.setup = setup;
    this.turns = turns;
  }

  /** A row as it was read. */
  private record ReadRow(
      Line line, Map<String, String> values, Optional<Map<String, String>> before) {}

  /**
   * Brings a table, or says what it would do.
   *
   * @throws RequestProblem where it is no table; where it is to be written and has faults
   */
  @Transactional
  public BroughtView bring(SetupTable id, BringRequest q, SignedIn who) {
    boolean store = !Boolean.TRUE.equals(q.dryRun());
    if (store) {
      turns.take(Turns.Turn.SETUP);
    }
    TableFile file = TableFile.read(q.file(), q.sheet() == null ? "" : q.sheet());
    Reading reading = new Reading(setup.tableOf(id), file, q);
    reading.read();
    boolean leaveOut = Boolean.TRUE.equals(q.leaveOut());
    if (store && !reading.faults.isEmpty() && !leaveOut) {
      throw RequestProblem.invalid(
          reading.faults.stream()
              .map(f -> new Fault("file", f.cell() + ": " + f.message()))
              .toList());
    }
    if (store) {
      String batch = UUID.randomUUID().toString();
      for (ReadRow row : reading.moving()) {
        reading.table.write(row.values(), row.before(), who.initials());
        setup.written(reading.table, row.before(), Optional.of(row.values()), who, batch);
      }
    }
    return reading.view(store);
  }

  /** One table being read. */
  private final class Reading {
    private final ShopTable table;
    private final TableFile file;
    private final BringRequest asked;
    private final KnownNames known = setup.known();
    private final Map<String, Integer> columnOf = new LinkedHashMap<>();
    private final Map<String, Integer> sure = new LinkedHashMap<>();
    private final List<CellFault> faults = new ArrayList<>();
    private final Map<String, List<String>> unknown = new LinkedHashMap<>();
    private final List<ReadRow> rows = new ArrayList<>();
    private final Map<String, Map<String, String>> standing = new LinkedHashMap<>();
    private int wrong;

    Reading(ShopTable table, TableFile file, BringRequest asked) {
      this.table = table;
      this.file = file;
      this.asked = asked;
      for (Standing s : table.rows()) {
        standing.put(table.keyOf(s.values()), s.values());
      }
      match();
    }

    /** Which heading fills which column: as somebody said, else the likest pairs first. */
    private void match() {
      Map<String, String> said = asked.columns() == null ? Map.of() : asked.columns();
      List<Integer> free = new ArrayList<>();
      for (int i = 0; i < file.headings().size(); i++) {
        free.add(i);
      }
      for (SetupColumn c : table.columns()) {
        int at = said.containsKey(c.id()) ? file.headings().indexOf(said.get(c.id())) : -1;
        if (at >= 0) {
          take(c, at, 100, free);
        }
      }
      record Pair(SetupColumn column, int heading, int sure) {}
      List<Pair> pairs = new ArrayList<>();
      for (SetupColumn c : table.columns()) {
        for (int i = 0; i < file.headings().size() && !said.containsKey(c.id()); i++) {
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

    void read() {
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
      for (Line line : file.lines()) {
        int before = faults.size();
        Optional<ReadRow> row = row(line);
        row.map(r -> seen.putIfAbsent(table.keyOf(r.values()), line.number()))
            .ifPresent(
                first ->
                    fault(line, table.key().get(0), "It stands in row " + first + " already."));
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
      Optional<Map<String, String>> there = Optional.ofNullable(standing.get(table.keyOf(values)));
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
          : Optional.of(new ReadRow(line, values, there));
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
      SetupColumn.Read read = c.read(meant, Boolean.TRUE.equals(asked.monthFirst()), known);
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
      Map<String, String> said =
          asked.words() == null ? Map.of() : asked.words().getOrDefault(c.id(), Map.of());
      return said.getOrDefault(typed, typed);
    }

    private void together() {
      Map<String, Map<String, String>> after = new LinkedHashMap<>(standing);
      rows.forEach(r -> after.put(table.keyOf(r.values()), r.values()));
      for (Fault f : table.together(after.values())) {
        List<ReadRow> of = rows.stream().filter(r -> r.values().containsValue(f.path())).toList();
        if (!of.isEmpty()) {
          faults.add(
              new CellFault(Integer.toString(of.get(0).line().number()), f.path(), f.message()));
          wrong += of.size();
          rows.removeAll(of);
        }
      }
    }

    private void fault(Line line, String column, String message) {
      Integer at = columnOf.get(column);
      faults.add(
          new CellFault(cell(line, column), at == null ? "" : line.values().get(at), message));
    }

    private String cell(Line line, String column) {
      Integer at = columnOf.get(column);
      return (at == null ? "" : letter(at)) + line.number();
    }

    /** The rows that say something new, in their order. */
    List<ReadRow> moving() {
      return rows.stream().filter(r -> r.before().isEmpty() || !changes(r).isEmpty()).toList();
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
                                  table.keyOf(row.values()),
                                  c.title(),
                                  before.get(c.id()),
                                  row.values().get(c.id())))
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
      List<ReadRow> moving = moving();
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
  }

  /** The letters by which a spreadsheet calls a column, from 0: A, B, .., Z, AA. */
  static String letter(int column) {
    String last = String.valueOf((char) ('A' + column % LETTERS));
    return column < LETTERS ? last : letter(column / LETTERS - 1) + last;
  }
}
