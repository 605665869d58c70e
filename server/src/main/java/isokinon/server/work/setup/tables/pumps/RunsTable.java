package isokinon.server.work.setup.tables.pumps;

import isokinon.core.counter.WearCount;
import isokinon.core.life.history.RunEnd;
import isokinon.core.life.history.Stints;
import isokinon.core.life.history.Stints.Stint;
import isokinon.core.value.Code;
import isokinon.core.value.Fault;
import isokinon.server.db.pumps.FittedPartRow;
import isokinon.server.db.pumps.PumpMapper;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.db.pumps.RunRow;
import isokinon.server.work.history.HistoryTable;
import isokinon.server.work.history.ToldRun;
import isokinon.server.work.library.ShopLibrary;
import isokinon.server.work.setup.tables.SetupColumn;
import isokinon.server.work.setup.tables.SetupTable;
import isokinon.server.work.setup.tables.ShopTable;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/**
 * The runs of wear parts: those that are over, as a shop's own book tells them, and those that
 * still run. What is recorded is not changed by a table.
 */
@Component
final class RunsTable extends ShopTable {

  /** Up to so many pumps and parts their runs are asked for by name. */
  private static final int FEW = 100;

  private static final List<String> KEY = List.of("tag", "role", "place", "fitted_on", "ended_on");

  private final PumpMapper pumps;
  private final HistoryTable history;
  private final ShopLibrary library;
  private final Clock clock;
  private Optional<Map<String, PumpRow>> byTag = Optional.empty();
  private Optional<Map<String, String>> duties = Optional.empty();

  RunsTable(PumpMapper pumps, HistoryTable history, ShopLibrary library, Clock clock) {
    this.pumps = pumps;
    this.history = history;
    this.library = library;
    this.clock = clock;
  }

  /** A table of many runs asks for the pumps once. */
  @Override
  public ShopTable opened() {
    return new RunsTable(pumps, history, library, clock);
  }

  @Override
  public SetupTable id() {
    return SetupTable.RUNS;
  }

  @Override
  public List<SetupColumn> columns() {
    return RunColumns.ALL;
  }

  @Override
  public List<String> key() {
    return KEY;
  }

  @Override
  public boolean recorded() {
    return true;
  }

  @Override
  public List<Standing> rows() {
    return standing(history.all());
  }

  @Override
  public List<Standing> first(int most) {
    return standing(history.first(most));
  }

  @Override
  public List<String> narrowedBy() {
    return List.of("tag", "part_serial");
  }

  @Override
  public List<Standing> beside(Map<String, Set<String>> words) {
    Set<String> tags = words.get("tag");
    Set<String> serials = words.get("part_serial");
    return tags.size() + serials.size() <= FEW ? standing(history.of(tags, serials)) : rows();
  }

  private static List<Standing> standing(List<Map<String, Object>> runs) {
    List<Standing> rows = new ArrayList<>(runs.size());
    for (Map<String, Object> run : runs) {
      Map<String, String> row = new HashMap<>();
      RunColumns.ALL.forEach(c -> row.put(c.id(), text(run.get(c.id()))));
      rows.add(new Standing(row, false));
    }
    return rows;
  }

  @Override
  public Count count() {
    return new Count((int) pumps.countRuns().runs(), 0);
  }

  private Optional<PumpRow> pump(String tag) {
    if (byTag.isEmpty()) {
      byTag = Optional.of(pumps.all().stream().collect(Collectors.toMap(PumpRow::tag, p -> p)));
    }
    return Optional.ofNullable(byTag.get().get(tag)).or(() -> pumps.byTag(tag));
  }

  private String duty(String tag) {
    if (duties.isEmpty()) {
      duties = Optional.of(pumps.mainFluids());
    }
    return duties.get().getOrDefault(tag, "");
  }

  /**
   * A line that names no part tells of the one that decides when the pump is due; while that runs
   * it stands in no place of its own.
   */
  @Override
  public void completeKey(Map<String, String> key) {
    Optional<String> leading = pump(key.get("tag")).map(PumpRow::role);
    if (key.get("role").isEmpty()) {
      leading.ifPresent(role -> key.put("role", role));
    }
    if (key.get("ended_on").isEmpty() && leading.equals(Optional.of(key.get("role")))) {
      key.put("place", "");
    }
  }

  @Override
  public List<Fault> faults(Map<String, String> row, Optional<Map<String, String>> before) {
    ToldRun run = new ToldRun(row);
    if (before.isPresent()) {
      return run.otherThan(new ToldRun(before.get())).stream().toList();
    }
    List<Fault> faults = new ArrayList<>();
    FittedTable.noWearPart(library, run.at("role")).ifPresent(faults::add);
    faults.addAll(run.faults(LocalDate.now(clock)));
    if (run.isRunning()) {
      laterThanWhatIsIn(run).ifPresent(faults::add);
    }
    return faults;
  }

  /** A set that still runs is the one in the pump, or one that went in after it. */
  private Optional<Fault> laterThanWhatIsIn(ToldRun run) {
    return pump(run.at("tag"))
        .filter(p -> p.role().equals(run.at("role")) && !run.fitted().isAfter(p.fittedOn()))
        .map(
            p ->
                new Fault(
                    "fitted_on",
                    p.tag()
                        + " runs with "
                        + p.material()
                        + " fitted on "
                        + p.fittedOn()
                        + ": a set fitted on "
                        + run.fitted()
                        + " cannot be in it."));
  }

  /** Whether the runs can stand beside each other, of the pumps and parts that are told anew. */
  @Override
  public List<Fault> together(
      Map<String, Map<String, String>> after, Map<String, Integer> freshLines) {
    Set<String> tags = new HashSet<>();
    Set<String> serials = new HashSet<>();
    Set<String> replaced = new HashSet<>();
    for (String key : freshLines.keySet()) {
      Map<String, String> row = after.get(key);
      tags.add(row.get("tag"));
      serials.add(row.get("part_serial"));
      if (new ToldRun(row).isRunning()) {
        replaced.add(setOf(row));
      }
    }
    serials.remove("");
    List<Stint> stints = new ArrayList<>();
    after.forEach(
        (key, row) -> {
          boolean fresh = freshLines.containsKey(key);
          boolean replaces =
              !fresh && new ToldRun(row).isRunning() && replaced.contains(setOf(row));
          if (!replaces
              && (tags.contains(row.get("tag")) || serials.contains(row.get("part_serial")))) {
            stints.add(new ToldRun(row).stint(freshLines.getOrDefault(key, 0)));
          }
        });
    return Stints.faults(stints);
  }

  /** The set that a run is one of. */
  private static String setOf(Map<String, String> row) {
    return String.join("|", row.get("tag"), row.get("role"), row.get("place"));
  }

  @Override
  public Map<String, String> remembered(Map<String, String> row) {
    return row.entrySet().stream()
        .filter(e -> KEY.contains(e.getKey()))
        .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
  }

  @Override
  public void write(Map<String, String> row, Optional<Map<String, String>> before, String who) {
    writeAll(List.of(new Written(row, before)), who, w -> {});
  }

  @Override
  public void writeAll(List<Written> rows, String who, Consumer<Written> each) {
    Map<String, List<Stint>> bySerial = bySerial(rows);
    for (Written w : rows) {
      if (w.before().isEmpty()) {
        ToldRun run = new ToldRun(w.row());
        write(run, run.number("came_hours").orElseGet(() -> cameWith(run, bySerial)));
      }
      each.accept(w);
    }
  }

  /** Hours a part with a serial had run elsewhere; one without is taken as new. */
  private static double cameWith(ToldRun run, Map<String, List<Stint>> bySerial) {
    String serial = run.at("part_serial");
    return serial.isEmpty() ? 0 : Stints.cameWith(run.stint(0), bySerial.get(serial));
  }

  /** Every run of the parts with serials among these rows, recorded or told anew. */
  private Map<String, List<Stint>> bySerial(List<Written> rows) {
    Set<String> serials =
        rows.stream()
            .map(w -> w.row().get("part_serial"))
            .filter(s -> !s.isEmpty())
            .collect(Collectors.toSet());
    if (serials.isEmpty()) {
      return Map.of();
    }
    List<Stint> stints = new ArrayList<>();
    beside(Map.of("tag", Set.of(), "part_serial", serials))
        .forEach(s -> stints.add(new ToldRun(s.values()).stint(0)));
    rows.forEach(w -> stints.add(new ToldRun(w.row()).stint(0)));
    return Stints.by(stints, Stint::serial);
  }

  private void write(ToldRun run, double came) {
    PumpRow pump = pump(run.at("tag")).orElseThrow();
    double hours = run.hours().orElseThrow();
    if (run.isRunning()) {
      boolean leading = run.at("role").equals(pump.role());
      pumps.refit(
          new FittedPartRow(
              pump.tag(),
              run.at("role"),
              run.at("place"),
              run.at("part_serial"),
              run.at("material"),
              run.fitted(),
              pump.runningHours() - hours,
              came,
              pump.strokes() - hours * pump.countsPerHour(),
              run.number("came_count").orElse(0.0),
              leading));
      return;
    }
    pumps.addRun(
        new RunRow(
            pump.tag(),
            run.at("role"),
            run.at("material"),
            otherwise(run.at("duty"), duty(pump.tag())),
            run.fitted(),
            run.ended().orElseThrow(),
            hours,
            run.end() == RunEnd.FAILED,
            run.at("cause"),
            otherwise(run.at("unit"), Objects.requireNonNullElse(pump.serial(), "")),
            run.at("part_serial"),
            run.at("place"),
            otherwise(run.at("construction"), pump.sheet().orElse("")),
            came,
            Code.parse(WearCount.class, run.at("counted")).orElse(pump.counted()),
            run.number("came_count").orElse(0.0),
            run.number("counts").orElse(null),
            run.at("note")));
  }

  private static String otherwise(String word, String usual) {
    return word.isEmpty() ? usual : word;
  }

  @Override
  public Optional<String> stays(Map<String, String> row) {
    return new ToldRun(row).isRunning()
        ? Optional.of(row.get("tag") + " runs with it now: say what is in it instead.")
        : Optional.empty();
  }

  @Override
  public void remove(Map<String, String> row) {
    ToldRun run = new ToldRun(row);
    pumps.removeRun(
        run.at("tag"), run.at("role"), run.at("place"), run.fitted(), run.ended().orElseThrow());
  }
}
