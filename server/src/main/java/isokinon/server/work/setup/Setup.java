package isokinon.server.work.setup;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.ObjectMapper;
import isokinon.core.renewal.Consequence;
import isokinon.core.value.Code;
import isokinon.core.value.Fault;
import isokinon.core.wetend.Duty.Abrasion;
import isokinon.core.wetend.FluidUse;
import isokinon.server.access.SignedIn;
import isokinon.server.db.setup.SetupChangeRow;
import isokinon.server.db.setup.SetupMapper;
import isokinon.server.db.stores.StoresMapper;
import isokinon.server.work.consumables.ConsumableStock;
import isokinon.server.work.library.Sheets;
import isokinon.server.work.library.ShopLibrary;
import isokinon.server.work.setup.SetupView.ColumnView;
import isokinon.server.work.setup.SetupView.LastChange;
import isokinon.server.work.setup.SetupView.NamesView;
import isokinon.server.work.setup.SetupView.RowView;
import isokinon.server.work.setup.SetupView.TableView;
import isokinon.server.work.setup.file.TableFile;
import isokinon.server.work.setup.tables.Examples;
import isokinon.server.work.setup.tables.KnownNames;
import isokinon.server.work.setup.tables.KnownNames.Known;
import isokinon.server.work.setup.tables.Names;
import isokinon.server.work.setup.tables.SetupColumn;
import isokinon.server.work.setup.tables.SetupTable;
import isokinon.server.work.setup.tables.SetupTables;
import isokinon.server.work.setup.tables.ShopTable;
import isokinon.server.work.setup.tables.ShopTable.Standing;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.shared.ShopSettings;
import isokinon.server.work.shared.Text;
import isokinon.server.work.shared.Turns;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.OffsetDateTime;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The set-up of a shop: rows of its tables are added, changed, retired or taken out, each change
 * kept with who made it, and the last one taken back.
 */
@Service
public class Setup {

  private static final TypeReference<Map<String, String>> ROW = new TypeReference<>() {};

  private final SetupTables tables;
  private final SetupMapper store;
  private final StoresMapper people;
  private final Sheets sheets;
  private final ShopLibrary library;
  private final ConsumableStock consumables;
  private final ShopSettings settings;
  private final Turns turns;
  private final ObjectMapper json;
  private final Clock clock;

  Setup(
      SetupTables tables,
      SetupMapper store,
      StoresMapper people,
      Sheets sheets,
      ShopLibrary library,
      ConsumableStock consumables,
      ShopSettings settings,
      Turns turns,
      ObjectMapper json,
      Clock clock) {
    this.tables = tables;
    this.store = store;
    this.people = people;
    this.sheets = sheets;
    this.library = library;
    this.consumables = consumables;
    this.settings = settings;
    this.turns = turns;
    this.json = json;
    this.clock = clock;
  }

  /** What the shop says of itself. */
  public ShopForm shop() {
    return ShopForm.of(settings);
  }

  /**
   * Says it anew.
   *
   * @throws RequestProblem with everything that is wrong with it
   */
  @Transactional
  public ShopForm shop(ShopForm form, SignedIn who) {
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
    List<Boolean> numbers =
        tables.of(id).columns().stream()
            .map(c -> c.holds() == SetupColumn.Holds.NUMBER || c.holds() == SetupColumn.Holds.WHOLE)
            .toList();
    return TableFile.xlsx(id.title(), headings(id), numbers, lines(id, template));
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
                  List<Standing> rows = tables.of(t).rows();
                  long retired = rows.stream().filter(Standing::retired).count();
                  return new SetupView.InShort(
                      t, t.title(), t.one(), rows.size() - (int) retired, (int) retired, needs(t));
                })
            .toList(),
        last());
  }

  /** What is missing while a table is empty. */
  private static String needs(SetupTable table) {
    return switch (table) {
      case AREAS -> "they come with the pumps";
      case PUMPS -> "without one there is nothing to plan, strip or build";
      case DUTIES -> "without them the wet end cannot be chosen by what it stands";
      case FITTED_PARTS -> "they come with the pumps; further ones may be told";
      case ENERGIES -> "without them Make safe cannot say which valve or isolator it is";
      case PAIRS -> "without them the diary may take both of a pair out at once";
      case WRENCHES -> "without one no wrench is chosen for a torque";
      case GAUGES -> "without one readings are marked as typed";
      case KITS -> "without them wet ends are ranked by hours alone";
      case OFFERS -> "without them nothing is proposed for purchase but kits";
      case CONSUMABLE_OFFERS -> "without them grease and oil have no price";
      case LOTS -> "without one nothing can be held for a job";
      case SHIFTS -> "without them the diary cannot plan: nobody is at the bench";
      case HOLIDAYS -> "the diary plans every day that has a shift";
      case FIXTURES -> "the diary takes every fixture as there";
      case LINE_STOPS -> "the diary takes every line as free";
    };
  }

  /** One table: its columns and its rows. */
  @Transactional(readOnly = true)
  public TableView table(SetupTable id) {
    ShopTable table = tables.of(id);
    return new TableView(
        id,
        id.title(),
        id.one(),
        table.key(),
        table.retires(),
        table.columns().stream().map(c -> column(table, c)).toList(),
        table.rows().stream()
            .map(s -> new RowView(table.keyOf(s.values()), s.values(), s.retired()))
            .toList());
  }

  private static ColumnView column(ShopTable table, SetupColumn c) {
    return new ColumnView(
        c.id(),
        c.title(),
        c.says(),
        c.holds(),
        c.unit(),
        c.needed(),
        c.first(),
        table.onlyNew().contains(c.id()),
        c.of());
  }

  /** The names that columns may hold, by kind. */
  @Transactional(readOnly = true)
  public NamesView names() {
    KnownNames known = known();
    Map<Names, List<SetupView.Name>> all = new LinkedHashMap<>();
    for (Names of : Names.values()) {
      all.put(of, known.all(of).stream().map(k -> new SetupView.Name(k.code(), k.name())).toList());
    }
    return new NamesView(all);
  }

  KnownNames known() {
    KnownNames known = new KnownNames();
    known.add(
        Names.AREAS,
        tables.of(SetupTable.AREAS).rows().stream()
            .map(s -> named(s.values().get("name"), s.values().get("name")))
            .toList());
    known.add(
        Names.PUMPS,
        tables.of(SetupTable.PUMPS).rows().stream()
            .filter(s -> !s.retired())
            .map(s -> named(s.values().get("tag"), s.values().get("title")))
            .map(k -> new Known(k.code(), k.code() + ", " + k.name(), List.of()))
            .toList());
    known.add(Names.SHEETS, sheets.all().stream().map(s -> named(s.id(), s.title())).toList());
    known.add(
        Names.FLUIDS,
        library.materials().fluids().stream()
            .map(f -> new Known(f.code(), f.name(), f.aliases()))
            .toList());
    known.add(
        Names.MATERIALS,
        library.materials().materials().stream().map(m -> named(m.code(), m.name())).toList());
    known.add(
        Names.PEOPLE,
        people.people().stream()
            .filter(p -> p.worksHere())
            .map(p -> named(p.initials(), p.initials()))
            .toList());
    known.add(
        Names.CONSUMABLES,
        consumables.table().all().stream().map(c -> named(c.id(), c.title())).toList());
    known.add(Names.ABRASION, codes(Abrasion.values()));
    known.add(Names.CONSEQUENCE, codes(Consequence.values()));
    known.add(Names.FLUID_USE, codes(FluidUse.values()));
    known.add(
        Names.WEEKDAYS,
        Arrays.stream(DayOfWeek.values())
            .map(
                d ->
                    new Known(
                        Integer.toString(d.getValue()),
                        d.getDisplayName(TextStyle.FULL, Locale.UK),
                        List.of(d.getDisplayName(TextStyle.SHORT, Locale.UK))))
            .toList());
    return known;
  }

  private static Known named(String code, String name) {
    return new Known(code, name, List.of());
  }

  private static List<Known> codes(Code[] codes) {
    return Arrays.stream(codes).map(c -> named(c.code(), c.code())).toList();
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
    Optional<Standing> standing = key.isEmpty() ? Optional.empty() : Optional.of(find(table, key));
    standing.ifPresent(s -> requireUnmoved(table, s.values(), seen));
    Map<String, String> row = new LinkedHashMap<>();
    List<Fault> faults = new ArrayList<>();
    KnownNames known = known();
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
      faults.addAll(table.faults(row, standing.map(Standing::values)));
    }
    if (!faults.isEmpty()) {
      throw RequestProblem.invalid(faults);
    }
    Optional<Map<String, String>> before = standing.map(Standing::values);
    String now = table.keyOf(row);
    boolean moved = before.isPresent() && !table.keyOf(before.get()).equals(now);
    if (moved || before.isEmpty()) {
      table.rows().stream()
          .filter(s -> table.keyOf(s.values()).equals(now))
          .findFirst()
          .ifPresent(
              s -> {
                throw RequestProblem.notNow(
                    table.key().get(0), now + " is there already: change that one.");
              });
    }
    if (moved) {
      if (table.retires()) {
        throw RequestProblem.notNow(
            table.key().get(0),
            "Records are kept under " + table.keyOf(before.get()) + ": add another, retire this.");
      }
      table.remove(before.get());
    }
    write(table, row, before, who);
    return table(id);
  }

  private void write(
      ShopTable table,
      Map<String, String> row,
      Optional<Map<String, String>> before,
      SignedIn who) {
    table.write(row, before, who.initials());
    written(table, before, Optional.of(row), who, UUID.randomUUID().toString());
  }

  /** Keeps a change with what stood there before. */
  void written(
      ShopTable table,
      Optional<Map<String, String>> before,
      Optional<Map<String, String>> after,
      SignedIn who,
      String batch) {
    store.addChange(
        new SetupChangeRow(
            0,
            batch,
            OffsetDateTime.now(clock),
            who.initials(),
            who.device(),
            table.id().code(),
            Text.clipped(table.keyOf(after.or(() -> before).orElseThrow()), 200),
            before.map(this::text).orElse(null),
            after.map(this::text).orElse(null),
            false));
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
                            + said(seen.get(c.id()))
                            + " to "
                            + said(standing.get(c.id()))
                            + "."))
            .toList();
    if (!moved.isEmpty()) {
      throw RequestProblem.notNow(moved);
    }
  }

  private static String said(String value) {
    return value.isEmpty() ? "nothing" : value;
  }

  /** Retires a row, or takes it back; one of a table that retires nothing is taken out. */
  @Transactional
  public TableView retire(SetupTable id, String key, boolean retired, SignedIn who) {
    turns.take(Turns.Turn.SETUP);
    ShopTable table = tables.of(id);
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
      written(
          table, side(standing.values(), !retired), side(standing.values(), retired), who, batch);
    } else {
      table.remove(standing.values());
      written(table, Optional.of(standing.values()), Optional.empty(), who, batch);
    }
    return table(id);
  }

  private static final String RETIRED = "retired";

  /** A row with whether it is retired, so that a change of that alone is seen as one. */
  private static Optional<Map<String, String>> side(Map<String, String> row, boolean retired) {
    Map<String, String> with = new LinkedHashMap<>(row);
    with.put(RETIRED, retired ? "yes" : "no");
    return Optional.of(with);
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
    if (store.lastBatch().filter(batch::equals).isEmpty()) {
      throw RequestProblem.notNow("", "Something was changed since: look again.");
    }
    for (SetupChangeRow change : store.batch(batch)) {
      takeBack(change);
    }
    store.undone(batch);
    return view();
  }

  private void takeBack(SetupChangeRow change) {
    SetupTable id =
        Code.parse(SetupTable.class, change.tableName())
            .orElseThrow(() -> new IllegalStateException("No table " + change.tableName()));
    ShopTable table = tables.of(id);
    Optional<Map<String, String>> stood = Optional.ofNullable(change.stood()).map(this::row);
    Optional<Map<String, String>> stands = Optional.ofNullable(change.stands()).map(this::row);
    if (stands.isPresent() && stands.get().containsKey(RETIRED)) {
      table.retire(stands.get(), !stands.get().get(RETIRED).equals("yes"));
      return;
    }
    if (stood.isEmpty()) {
      table
          .stays(stands.orElseThrow())
          .ifPresent(
              why -> {
                throw RequestProblem.notNow("", why);
              });
      table.remove(stands.get());
      return;
    }
    stands.filter(s -> !table.keyOf(s).equals(table.keyOf(stood.get()))).ifPresent(table::remove);
    table.write(stood.get(), stands, change.who());
  }

  private Optional<LastChange> last() {
    return store
        .lastBatch()
        .map(
            batch -> {
              List<SetupChangeRow> rows = store.batch(batch);
              SetupChangeRow first = rows.get(0);
              SetupTable id = Code.parse(SetupTable.class, first.tableName()).orElseThrow();
              return new LastChange(
                  batch,
                  id,
                  first.who(),
                  Text.minute(first.madeAt().atZoneSameInstant(clock.getZone())),
                  rows.size() == 1
                      ? saying(id, first)
                      : rows.size() + " rows of " + id.title().toLowerCase(Locale.ROOT));
            });
  }

  private String saying(SetupTable id, SetupChangeRow change) {
    Optional<Map<String, String>> stood = Optional.ofNullable(change.stood()).map(this::row);
    Optional<Map<String, String>> stands = Optional.ofNullable(change.stands()).map(this::row);
    if (stood.isEmpty()) {
      return change.rowKey() + " was added";
    }
    if (stands.isEmpty()) {
      return change.rowKey() + " was taken out";
    }
    if (stands.get().containsKey(RETIRED)) {
      return change.rowKey()
          + (stands.get().get(RETIRED).equals("yes") ? " was retired" : " was taken back");
    }
    List<String> what =
        tables.of(id).columns().stream()
            .filter(c -> !stood.get().get(c.id()).equals(stands.get().get(c.id())))
            .map(
                c ->
                    c.title().toLowerCase(Locale.ROOT)
                        + " from "
                        + said(stood.get().get(c.id()))
                        + " to "
                        + said(stands.get().get(c.id())))
            .toList();
    return change.rowKey() + ": " + (what.isEmpty() ? "nothing else" : String.join(", ", what));
  }

  Standing find(ShopTable table, String key) {
    return table.rows().stream()
        .filter(s -> table.keyOf(s.values()).equals(key))
        .findFirst()
        .orElseThrow(
            () -> RequestProblem.missing("No " + table.id().one() + " is called " + key + "."));
  }

  ShopTable tableOf(SetupTable id) {
    return tables.of(id);
  }

  private String text(Map<String, String> row) {
    try {
      return json.writeValueAsString(row);
    } catch (JsonProcessingException e) {
      throw new IllegalStateException(e);
    }
  }

  private Map<String, String> row(String text) {
    try {
      return json.readValue(text, ROW);
    } catch (JsonProcessingException e) {
      throw new IllegalStateException(e);
    }
  }
}
