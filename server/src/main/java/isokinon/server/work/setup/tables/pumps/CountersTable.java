package isokinon.server.work.setup.tables.pumps;

import static isokinon.server.work.setup.tables.SetupColumn.name;
import static isokinon.server.work.setup.tables.SetupColumn.number;
import static isokinon.server.work.setup.tables.SetupColumn.plain;

import isokinon.core.counter.CounterLog.Added;
import isokinon.core.counter.CounterLog.Kind;
import isokinon.core.counter.CounterLog.Reading;
import isokinon.core.counter.CounterLog.Result;
import isokinon.core.value.Code;
import isokinon.core.value.Fault;
import isokinon.server.db.pumps.CounterMapper;
import isokinon.server.db.pumps.CounterRow;
import isokinon.server.db.pumps.PumpMapper;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.work.history.Counters;
import isokinon.server.work.setup.names.Names;
import isokinon.server.work.setup.tables.SetupColumn;
import isokinon.server.work.setup.tables.SetupColumn.Holds;
import isokinon.server.work.setup.tables.SetupTable;
import isokinon.server.work.setup.tables.ShopTable;
import isokinon.server.work.shared.Text;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import org.springframework.stereotype.Component;

/**
 * Readings of hour and stroke counters. What is recorded stays; a counter that stands lower than
 * before was set back and counts on.
 */
@Component
final class CountersTable extends ShopTable {

  private static final List<SetupColumn> COLUMNS =
      List.of(
          name("tag", "Pump", Names.PUMPS)
              .must()
              .also("pump tag", "pump", "position", "equipment", "asset"),
          name("counter", "Counter", Names.COUNTERS)
              .must()
              .saying("hours or strokes")
              .also("kind", "meter", "zähler"),
          plain("at", "Read at", Holds.DAY_OR_MOMENT)
              .must()
              .saying("a day alone is taken for its evening")
              .also("date", "day", "read on", "when", "datum"),
          number("reading", "Reading", "", 0, 1e12).must().also("value", "stand", "shows"));

  /** Up to so many pumps their readings are asked for by name. */
  private static final int FEW = 100;

  private static final String GAINED = "gained";
  private static final String HOURS_ON = "hours_on";

  /** Which counter of which pump. */
  private record Of(String tag, Kind kind) {}

  private final CounterMapper store;
  private final PumpMapper pumps;
  private final Counters counters;
  private final Clock clock;
  private final Map<String, Map<String, String>> remembered = new HashMap<>();

  CountersTable(CounterMapper store, PumpMapper pumps, Counters counters, Clock clock) {
    this.store = store;
    this.pumps = pumps;
    this.counters = counters;
    this.clock = clock;
  }

  /** What each reading gained is remembered until it is kept with the change. */
  @Override
  public ShopTable opened() {
    return new CountersTable(store, pumps, counters, clock);
  }

  @Override
  public SetupTable id() {
    return SetupTable.COUNTERS;
  }

  @Override
  public List<SetupColumn> columns() {
    return COLUMNS;
  }

  @Override
  public List<String> key() {
    return List.of("tag", "counter", "at");
  }

  @Override
  public boolean recorded() {
    return true;
  }

  @Override
  public List<Standing> rows() {
    return standing(store.all());
  }

  @Override
  public List<Standing> first(int most) {
    return standing(store.first(most));
  }

  @Override
  public List<String> narrowedBy() {
    return List.of("tag");
  }

  @Override
  public List<Standing> beside(Map<String, Set<String>> words) {
    Set<String> tags = words.get("tag");
    return tags.size() <= FEW
        ? standing(tags.stream().flatMap(t -> store.ofPump(t).stream()).toList())
        : rows();
  }

  private List<Standing> standing(List<CounterRow> readings) {
    return readings.stream()
        .map(
            r -> {
              Map<String, String> row = new LinkedHashMap<>();
              row.put("tag", r.pump());
              row.put("counter", r.kind().code());
              row.put("at", SetupColumn.moment(r.at().atZoneSameInstant(clock.getZone())));
              row.put("reading", Text.digits(r.reading()));
              return new Standing(row, false);
            })
        .toList();
  }

  @Override
  public Count count() {
    return new Count(store.count(), 0);
  }

  private static Of of(Map<String, String> row) {
    return new Of(row.get("tag"), Code.parse(Kind.class, row.get("counter")).orElseThrow());
  }

  private Instant at(Map<String, String> row) {
    return SetupColumn.at(row.get("at"), clock.getZone()).toInstant();
  }

  private Reading reading(Map<String, String> row, int line) {
    return new Reading(line, at(row), Double.parseDouble(row.get("reading")));
  }

  @Override
  public List<Fault> faults(Map<String, String> row, Optional<Map<String, String>> before) {
    if (before.isPresent()) {
      String stands = before.get().get("reading");
      return Double.parseDouble(stands) == Double.parseDouble(row.get("reading"))
          ? List.of()
          : List.of(
              new Fault(
                  "reading",
                  "At this moment "
                      + stands
                      + " is recorded already; "
                      + row.get("reading")
                      + " cannot stand beside it."));
    }
    LocalDate tomorrow = LocalDate.now(clock).plusDays(1);
    return counters.day(at(row)).isAfter(tomorrow)
        ? List.of(new Fault("at", "It lies ahead: " + row.get("at") + "."))
        : List.of();
  }

  /** Whether each counter can have shown what it is said to, one reading after the other. */
  @Override
  public List<Fault> together(
      Map<String, Map<String, String>> after, Map<String, Integer> freshLines) {
    Map<Of, List<Reading>> fresh = new LinkedHashMap<>();
    freshLines.forEach(
        (key, line) -> {
          Map<String, String> row = after.get(key);
          fresh.computeIfAbsent(of(row), o -> new ArrayList<>()).add(reading(row, line));
        });
    Map<Of, List<Reading>> known = new HashMap<>();
    after.forEach(
        (key, row) -> {
          if (!freshLines.containsKey(key) && fresh.containsKey(of(row))) {
            known.computeIfAbsent(of(row), o -> new ArrayList<>()).add(reading(row, 0));
          }
        });
    List<Fault> faults = new ArrayList<>();
    fresh.forEach(
        (of, readings) ->
            faults.addAll(
                counters
                    .result(of.tag(), of.kind(), known.getOrDefault(of, List.of()), readings)
                    .faults()));
    return faults;
  }

  @Override
  public void write(Map<String, String> row, Optional<Map<String, String>> before, String who) {
    writeAll(List.of(new Written(row, before)), who, w -> {});
  }

  @Override
  public void writeAll(List<Written> rows, String who, Consumer<Written> each) {
    Map<Of, Map<Instant, Written>> byCounter = new LinkedHashMap<>();
    for (Written w : rows) {
      if (w.before().isEmpty()) {
        byCounter.computeIfAbsent(of(w.row()), o -> new HashMap<>()).put(at(w.row()), w);
      } else {
        each.accept(w);
      }
    }
    byCounter.forEach((of, fresh) -> write(of, fresh, who, each));
  }

  private void write(Of of, Map<Instant, Written> fresh, String who, Consumer<Written> each) {
    LocalDate hoursOn =
        pumps.byTag(of.tag()).map(PumpRow::hoursOn).orElseGet(() -> LocalDate.now(clock));
    List<Reading> told = fresh.values().stream().map(w -> reading(w.row(), 0)).toList();
    Result result = counters.take(of.tag(), of.kind(), told, who);
    for (Added added : result.added()) {
      Written w = fresh.get(added.reading().at());
      Map<String, String> kept = new LinkedHashMap<>(w.row());
      kept.put(GAINED, Double.toString(added.gained()));
      kept.put(HOURS_ON, hoursOn.toString());
      remembered.put(keyOf(w.row()), kept);
      each.accept(w);
      hoursOn = counters.day(added.reading().at());
    }
  }

  @Override
  public Map<String, String> remembered(Map<String, String> row) {
    return remembered.getOrDefault(keyOf(row), row);
  }

  @Override
  public Optional<String> stays(Map<String, String> row) {
    Of of = of(row);
    return !row.containsKey(GAINED) || counters.isReadAfter(of.tag(), of.kind(), at(row))
        ? Optional.of(of.tag() + " was read again since: what the counter showed stays.")
        : Optional.empty();
  }

  @Override
  public void remove(Map<String, String> row) {
    Of of = of(row);
    counters.takeBack(
        of.tag(),
        of.kind(),
        at(row),
        Double.parseDouble(row.get(GAINED)),
        LocalDate.parse(row.get(HOURS_ON)));
  }
}
