package isokinon.server.work.setup;

import isokinon.core.value.Fault;
import isokinon.server.access.SignedIn;
import isokinon.server.work.setup.SetupView.ColumnView;
import isokinon.server.work.setup.SetupView.NamesView;
import isokinon.server.work.setup.SetupView.RowView;
import isokinon.server.work.setup.SetupView.TableView;
import isokinon.server.work.setup.file.TableFile;
import isokinon.server.work.setup.names.KnownNames;
import isokinon.server.work.setup.names.Names;
import isokinon.server.work.setup.tables.Examples;
import isokinon.server.work.setup.tables.SetupColumn;
import isokinon.server.work.setup.tables.SetupTable;
import isokinon.server.work.setup.tables.SetupTables;
import isokinon.server.work.setup.tables.ShopTable;
import isokinon.server.work.setup.tables.ShopTable.Standing;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.shared.ShopSettings;
import isokinon.server.work.shared.ShopView;
import isokinon.server.work.shared.Turns;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The set-up of a shop: rows of its tables are added, changed, retired or taken out, each change
 * kept with who made it, and the last one taken back.
 */
@Service
public class Setup {

  private final SetupTables tables;
  private final KnownHere here;
  private final SetupChanges changes;
  private final ShopSettings settings;
  private final Turns turns;

  Setup(
      SetupTables tables,
      KnownHere here,
      SetupChanges changes,
      ShopSettings settings,
      Turns turns) {
    this.tables = tables;
    this.here = here;
    this.changes = changes;
    this.settings = settings;
    this.turns = turns;
  }

  /** What the shop says of itself. */
  public ShopView shop() {
    return ShopView.of(settings);
  }

  /**
   * Says it anew.
   *
   * @throws RequestProblem with everything that is wrong with it
   */
  @Transactional
  public ShopView shop(ShopForm form, SignedIn who) {
    form.into(settings, who.initials());
    return shop();
  }

  /** A table as CSV: its rows, or one example row that shows what each column takes. */
  @Transactional(readOnly = true)
  public byte[] csv(SetupTable id, boolean template) {
    return TableFile.csv(headings(id), lines(id, template));
  }

  /** The same as a workbook. */
  @Transactional(readOnly = true)
  public byte[] xlsx(SetupTable id, boolean template) {
    return TableFile.xlsx(List.of(written(id, template)));
  }

  /** Every table as one workbook, a sheet each. */
  @Transactional(readOnly = true)
  public byte[] workbook(boolean template) {
    return TableFile.xlsx(
        Arrays.stream(SetupTable.values()).map(t -> written(t, template)).toList());
  }

  private TableFile.Written written(SetupTable id, boolean template) {
    List<Boolean> numbers =
        tables.of(id).columns().stream()
            .map(c -> c.holds() == SetupColumn.Holds.NUMBER || c.holds() == SetupColumn.Holds.WHOLE)
            .toList();
    return new TableFile.Written(id.title(), headings(id), numbers, lines(id, template));
  }

  private List<String> headings(SetupTable id) {
    return tables.of(id).columns().stream().map(SetupColumn::id).toList();
  }

  private List<List<String>> lines(SetupTable id, boolean template) {
    ShopTable table = tables.of(id);
    if (template) {
      return List.of(table.columns().stream().map(c -> Examples.of(id, c)).toList());
    }
    return table.rows().stream()
        .filter(s -> !s.retired())
        .map(s -> table.columns().stream().map(c -> s.values().get(c.id())).toList())
        .toList();
  }

  /** Every table with what stands in it, in short. */
  @Transactional(readOnly = true)
  public SetupView view() {
    return new SetupView(
        Arrays.stream(SetupTable.values())
            .map(
                t -> {
                  ShopTable.Count rows = tables.of(t).count();
                  return new SetupView.InShort(
                      t, t.title(), t.one(), rows.standing(), rows.retired(), needs(t));
                })
            .toList(),
        changes.last());
  }

  /** What is missing while a table is empty. */
  private static String needs(SetupTable table) {
    return switch (table) {
      case AREAS -> "they come with the pumps";
      case PUMPS -> "without one there is nothing to plan, strip or build";
      case UNITS -> "no spare unit is known that could stand in for one at the bench";
      case DUTIES -> "without them the wet end cannot be chosen by what it stands";
      case RUNS -> "without them lives come from the library alone";
      case COUNTERS -> "without them hours go on at the pace that was said";
      case FITTED_PARTS -> "they come with the pumps; further ones may be told";
      case ENERGIES -> "without them Make safe cannot say which valve or isolator it is";
      case PAIRS -> "without them the diary may take both of a pair out at once";
      case WRENCHES -> "without one no wrench is chosen for a torque";
      case GAUGES -> "without one readings are marked as typed";
      case KITS -> "without them wet ends are ranked by hours alone";
      case OFFERS -> "without them nothing is proposed for purchase but kits";
      case CONSUMABLE_OFFERS -> "without them grease and oil have no price";
      case LOTS -> "without one nothing can be held for a job";
      case PEOPLE -> "nobody but the first lead can sign in";
      case SHIFTS -> "without them the diary cannot plan: nobody is at the bench";
      case HOLIDAYS -> "the diary plans every day that has a shift";
      case FIXTURES -> "the diary takes every fixture as there";
      case LINE_STOPS -> "the diary takes every line as free";
    };
  }

  /** Rows that a table shows at most; all of them are taken out as a file. */
  private static final int MOST_ROWS = 2_000;

  /** One table: its columns and its rows. */
  @Transactional(readOnly = true)
  public TableView table(SetupTable id) {
    ShopTable table = tables.of(id);
    ShopTable.Count count = table.count();
    return new TableView(
        id,
        id.title(),
        id.one(),
        table.key(),
        table.retires(),
        table.recorded(),
        count.standing() + count.retired(),
        table.columns().stream().map(c -> column(table, c)).toList(),
        table.first(MOST_ROWS).stream()
            .limit(MOST_ROWS)
            .map(s -> new RowView(table.keyOf(s.values()), s.values(), s.retired()))
            .toList());
  }

  private static ColumnView column(ShopTable table, SetupColumn c) {
    return new ColumnView(
        c.id(),
        c.title(),
        c.says(),
        c.takes(),
        c.holds(),
        c.unit(),
        c.needed(),
        c.first(),
        table.onlyNew().contains(c.id()),
        c.of());
  }

  /** The names that columns may hold, by kind. */
  @Transactional(readOnly = true)
  public List<NamesView> names() {
    KnownNames known = here.known();
    return Arrays.stream(Names.values())
        .map(
            of ->
                new NamesView(
                    of,
                    known.all(of).stream()
                        .map(k -> new SetupView.Name(k.code(), k.name()))
                        .toList()))
        .toList();
  }

  /**
   * Adds a row, or changes the one with this key.
   *
   * @param typed what was typed, by column; a column that is left out stays as it is
   * @param key the row that is changed, as it was shown; empty for a new one
   * @param seen the row as the person saw it; empty for a new one
   * @throws RequestProblem with every fault, or with what changed meanwhile
   */
  @Transactional
  public TableView put(
      SetupTable id,
      String key,
      Map<String, String> seen,
      Map<String, String> typed,
      SignedIn who) {
    turns.take(Turns.Turn.SETUP);
    ShopTable table = tables.of(id);
    if (!key.isEmpty()) {
      requireNoRecord(table);
    }
    Optional<Standing> standing = key.isEmpty() ? Optional.empty() : Optional.of(find(table, key));
    standing.ifPresent(s -> requireUnmoved(table, s.values(), seen));
    Map<String, String> row = new LinkedHashMap<>();
    List<Fault> faults = new ArrayList<>();
    KnownNames known = here.known();
    for (SetupColumn c : table.columns()) {
      boolean given = typed.containsKey(c.id());
      boolean stays = standing.isPresent() && (!given || table.onlyNew().contains(c.id()));
      if (stays) {
        row.put(c.id(), standing.get().values().get(c.id()));
        continue;
      }
      SetupColumn.Read read = c.read(typed.get(c.id()), false, known);
      read.fault().ifPresent(f -> faults.add(new Fault(c.id(), f)));
      row.put(c.id(), read.value());
    }
    if (faults.isEmpty()) {
      table.completeKey(row);
      faults.addAll(table.faults(row, standing.map(Standing::values)));
    }
    if (!faults.isEmpty()) {
      throw RequestProblem.invalid(faults);
    }
    Map<String, Map<String, String>> others = new LinkedHashMap<>();
    table.beside(words(table, row)).forEach(s -> others.put(table.keyOf(s.values()), s.values()));
    standing.ifPresent(s -> others.remove(table.keyOf(s.values())));
    faults.addAll(besideOthers(table, row, standing.isEmpty(), others));
    if (!faults.isEmpty()) {
      throw RequestProblem.invalid(faults);
    }
    Optional<Map<String, String>> before = standing.map(Standing::values);
    String now = table.keyOf(row);
    boolean moved = before.isPresent() && !table.keyOf(before.get()).equals(now);
    if (others.containsKey(now)) {
      throw RequestProblem.notNow(table.key().get(0), now + " is there already: change that one.");
    }
    if (moved) {
      if (table.retires()) {
        throw RequestProblem.notNow(
            table.key().get(0),
            "Records are kept under " + table.keyOf(before.get()) + ": add another, retire this.");
      }
      table.remove(before.get());
    }
    table.write(row, before, who.initials());
    changes.written(table, before, Optional.of(row), who, UUID.randomUUID().toString());
    return table(id);
  }

  private static void requireNoRecord(ShopTable table) {
    if (table.recorded()) {
      throw RequestProblem.notNow(
          "", "What is recorded here stays as it is; only the last change can be taken back.");
    }
  }

  private static Map<String, Set<String>> words(ShopTable table, Map<String, String> row) {
    Map<String, Set<String>> words = new LinkedHashMap<>();
    table
        .narrowedBy()
        .forEach(c -> words.put(c, row.get(c).isEmpty() ? Set.of() : Set.of(row.get(c))));
    return words;
  }

  /** A row must fit those that stand: a pump's shares add up, no two parts in one place. */
  private static List<Fault> besideOthers(
      ShopTable table,
      Map<String, String> row,
      boolean fresh,
      Map<String, Map<String, String>> others) {
    Map<String, Map<String, String>> after = new LinkedHashMap<>(others);
    String key = table.keyOf(row);
    after.put(key, row);
    return table.together(after, fresh ? Map.of(key, 1) : Map.of()).stream()
        .filter(f -> f.line() > 0 || row.containsValue(f.path()))
        .map(f -> new Fault(table.key().get(0), f.message()))
        .toList();
  }

  /** Somebody else changed the row while a form was filled: the second is shown what it is now. */
  private static void requireUnmoved(
      ShopTable table, Map<String, String> standing, Map<String, String> seen) {
    List<Fault> moved =
        table.columns().stream()
            .filter(c -> seen.containsKey(c.id()) && !table.onlyNew().contains(c.id()))
            .filter(c -> !seen.get(c.id()).equals(standing.get(c.id())))
            .map(
                c ->
                    new Fault(
                        c.id(),
                        "Changed meanwhile from "
                            + SetupChanges.said(seen.get(c.id()))
                            + " to "
                            + SetupChanges.said(standing.get(c.id()))
                            + "."))
            .toList();
    if (!moved.isEmpty()) {
      throw RequestProblem.notNow(moved);
    }
  }

  /** Retires a row, or takes it back; one of a table that retires nothing is taken out. */
  @Transactional
  public TableView retire(SetupTable id, String key, boolean retired, SignedIn who) {
    turns.take(Turns.Turn.SETUP);
    ShopTable table = tables.of(id);
    requireNoRecord(table);
    Standing standing = find(table, key);
    if (retired) {
      table
          .stays(standing.values())
          .ifPresent(
              why -> {
                throw RequestProblem.notNow("", why);
              });
    }
    String batch = UUID.randomUUID().toString();
    if (table.retires()) {
      table.retire(standing.values(), retired);
      changes.retired(table, standing.values(), retired, who, batch);
    } else {
      table.remove(standing.values());
      changes.written(table, Optional.of(standing.values()), Optional.empty(), who, batch);
    }
    return table(id);
  }

  /**
   * Takes the last change back.
   *
   * @param batch which one, as it was shown
   * @throws RequestProblem where something was changed since
   */
  @Transactional
  public SetupView undo(String batch) {
    turns.take(Turns.Turn.SETUP);
    changes.takeBack(batch);
    return view();
  }

  private static Standing find(ShopTable table, String key) {
    return table.rows().stream()
        .filter(s -> table.keyOf(s.values()).equals(key))
        .findFirst()
        .orElseThrow(
            () -> RequestProblem.missing("No " + table.id().one() + " is called " + key + "."));
  }
}
