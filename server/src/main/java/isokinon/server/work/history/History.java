package isokinon.server.work.history;

import isokinon.core.life.Stints;
import isokinon.core.life.Stints.Stint;
import isokinon.core.table.CsvTable;
import isokinon.core.value.Fault;
import isokinon.server.db.pumps.FittedPartRow;
import isokinon.server.db.pumps.PumpMapper;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.db.pumps.RunRow;
import isokinon.server.work.history.HistoryLines.Line;
import isokinon.server.work.history.HistoryReport.ColumnView;
import isokinon.server.work.history.HistoryReport.FieldView;
import isokinon.server.work.history.HistoryReport.ReadRun;
import isokinon.server.work.library.ShopLibrary;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.shared.Text;
import isokinon.server.work.shared.Turns;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Takes tables of past runs in: all of a table or nothing. What is recorded already is left out,
 * and every line at fault is told.
 */
@Service
public class History {

  private static final int MOST_CHARACTERS = 40_000_000;
  private static final int MOST_SHOWN = 8;
  private static final int MOST_EXAMPLES = 3;

  /** Up to so many pumps and parts their runs are asked for by name. */
  private static final int FEW = 100;

  /** A table to take in. */
  public record ImportRequest(
      @Size(max = MOST_CHARACTERS) String csv,
      Map<String, String> columns,
      List<String> failedWords,
      Boolean monthFirst,
      Boolean dryRun) {}

  private final PumpMapper pumps;
  private final ShopLibrary library;
  private final Turns turns;
  private final Clock clock;

  History(PumpMapper pumps, ShopLibrary library, Turns turns, Clock clock) {
    this.turns = turns;
    this.pumps = pumps;
    this.library = library;
    this.clock = clock;
  }

  /**
   * Takes a table of runs in.
   *
   * @throws RequestProblem where the table cannot be read at all; on a dry run every other fault is
   *     told in the answer, else nothing is stored and every fault is refused with its line
   */
  @Transactional
  public HistoryReport bring(ImportRequest q) {
    if (q.csv() == null || q.csv().isBlank() || q.csv().length() > MOST_CHARACTERS) {
      throw RequestProblem.invalid("csv", "Give a table of at most 40 million characters.");
    }
    CsvTable table = CsvTable.readAny("csv", q.csv());
    if (!table.faults().isEmpty()) {
      throw RequestProblem.invalid("csv", Text.wholeSentence(table.faults().get(0).message()));
    }
    Map<HistoryField, String> columns = columns(q, table.headings());
    boolean store = !Boolean.TRUE.equals(q.dryRun());
    if (store) {
      turns.take(Turns.Turn.HISTORY);
    }
    Map<String, PumpRow> byTag =
        pumps.all().stream().collect(Collectors.toMap(PumpRow::tag, Function.identity()));
    HistoryLines reading = new HistoryLines(how(q, columns), against(byTag));
    Stream.of(HistoryField.TAG, HistoryField.MATERIAL, HistoryField.FITTED_ON)
        .filter(f -> !columns.containsKey(f))
        .forEach(f -> reading.fault(1, "No column is the " + f.say() + "."));
    List<Line> lines = new ArrayList<>();
    if (reading.faults().isEmpty()) {
      table.rows().forEach(row -> reading.line(row).ifPresent(lines::add));
    }
    List<Line> fresh = fresh(lines, byTag, reading);
    List<Fault> faults =
        reading.faults().stream().sorted(Comparator.comparingInt(Fault::line)).toList();
    if (store && !faults.isEmpty()) {
      throw RequestProblem.invalid(
          faults.stream().map(f -> new Fault("csv", f.message(), f.line())).toList());
    }
    if (store) {
      fresh.forEach(l -> store(l, byTag.get(l.run().pump())));
    }
    return report(columns, reading, table, lines, fresh, faults, store);
  }

  private static HistoryLines.How how(ImportRequest q, Map<HistoryField, String> columns) {
    return new HistoryLines.How(
        columns,
        Optional.ofNullable(q.failedWords()).orElse(List.of()).stream()
            .map(w -> w.strip().toLowerCase(Locale.ROOT))
            .collect(Collectors.toSet()),
        Boolean.TRUE.equals(q.monthFirst()));
  }

  private HistoryLines.Against against(Map<String, PumpRow> byTag) {
    return new HistoryLines.Against(
        byTag, pumps.mainFluids(), library.materials(), LocalDate.now(clock));
  }

  private static Map<HistoryField, String> columns(ImportRequest q, List<String> headings) {
    Map<HistoryField, String> columns = new EnumMap<>(HistoryField.class);
    Map<String, String> given = q.columns() == null ? Map.of() : q.columns();
    for (HistoryField f : HistoryField.values()) {
      if (given.containsKey(f.code())) {
        Optional.ofNullable(given.get(f.code()))
            .filter(headings::contains)
            .ifPresent(c -> columns.put(f, c));
      } else {
        f.among(headings.stream().filter(h -> !columns.containsValue(h)).toList())
            .ifPresent(c -> columns.put(f, c));
      }
    }
    return columns;
  }

  /** The lines that say something new, with the age that a part with a serial came with. */
  private List<Line> fresh(List<Line> lines, Map<String, PumpRow> byTag, HistoryLines reading) {
    Set<String> tags = lines.stream().map(l -> l.run().pump()).collect(Collectors.toSet());
    Set<String> serials =
        lines.stream()
            .map(l -> l.run().partSerial())
            .filter(s -> !s.isEmpty())
            .collect(Collectors.toSet());
    List<RunRow> recorded = recorded(tags, serials);
    Map<String, RunRow> byKey =
        recorded.stream().collect(Collectors.toMap(History::key, r -> r, (a, b) -> a));
    List<Line> fresh = new ArrayList<>();
    Map<String, Integer> inTable = new HashMap<>();
    for (Line l : lines) {
      Integer twice = inTable.putIfAbsent(key(l.run()) + l.running(), l.line());
      RunRow same = byKey.get(key(l.run()));
      if (twice != null) {
        reading.fault(l.line(), "The same run stands in line " + twice + ".");
      } else if (l.running()) {
        running(l, byTag.get(l.run().pump()), reading).ifPresent(fresh::add);
      } else if (same == null) {
        fresh.add(l);
      } else if (Math.abs(same.hours() - l.run().hours()) > 0.5
          || same.failed() != l.run().failed()
          || !same.material().equals(l.run().material())) {
        reading.fault(
            l.line(),
            "A run of these days is recorded as "
                + same.material()
                + ", "
                + Text.plain(same.hours())
                + " h, "
                + (same.failed() ? HistoryTable.FAILED : HistoryTable.SOUND)
                + ".");
      }
    }
    List<Stint> stints =
        new ArrayList<>(recorded.stream().map(r -> Line.stint(0, r, false)).toList());
    fresh.forEach(l -> stints.add(l.stint()));
    byTag.values().stream()
        .filter(p -> tags.contains(p.tag()))
        .filter(p -> fresh.stream().noneMatch(l -> l.running() && l.run().pump().equals(p.tag())))
        .map(
            p ->
                new Stint(
                    0,
                    p.tag() + ", " + p.role(),
                    p.partSerial(),
                    p.fittedOn(),
                    Optional.empty(),
                    0,
                    false))
        .forEach(stints::add);
    Stints.faults(stints).forEach(f -> reading.fault(f.line(), f.message()));
    Map<String, List<Stint>> bySerial = Stints.by(stints, Stint::serial);
    return fresh.stream().map(l -> withAge(l, bySerial)).toList();
  }

  /** What is recorded of these pumps and parts. A table of many pumps reads everything at once. */
  private List<RunRow> recorded(Set<String> tags, Set<String> serials) {
    return tags.size() + serials.size() <= FEW
        ? pumps.runsOfAny(tags, serials)
        : pumps.allRuns().stream()
            .filter(r -> tags.contains(r.pump()) || serials.contains(r.partSerial()))
            .toList();
  }

  private static Line withAge(Line l, Map<String, List<Stint>> bySerial) {
    RunRow r = l.run();
    double came =
        !Double.isNaN(r.cameHours())
            ? r.cameHours()
            : r.partSerial().isEmpty()
                ? 0
                : Stints.cameWith(l.stint(), bySerial.get(r.partSerial()));
    return new Line(
        l.line(),
        new RunRow(
            r.pump(),
            r.role(),
            r.material(),
            r.dutyGroup(),
            r.fittedOn(),
            r.endedOn(),
            r.hours(),
            r.failed(),
            r.cause(),
            r.unit(),
            r.partSerial(),
            r.place(),
            r.construction(),
            came,
            r.counted(),
            r.cameCount(),
            r.counts(),
            r.note()),
        l.running());
  }

  /** A set that still runs: it is the one in the pump, or one that went in after it. */
  private Optional<Line> running(Line l, PumpRow pump, HistoryLines reading) {
    if (!l.run().role().equals(pump.role())) {
      boolean known =
          pumps.fitted(pump.tag()).stream()
              .anyMatch(
                  f ->
                      f.role().equals(l.run().role())
                          && f.place().equals(l.run().place())
                          && f.fittedOn().equals(l.run().fittedOn()));
      return known ? Optional.empty() : Optional.of(l);
    }
    if (l.run().fittedOn().equals(pump.fittedOn()) && l.run().material().equals(pump.material())) {
      return Optional.empty();
    }
    if (!l.run().fittedOn().isAfter(pump.fittedOn())) {
      reading.fault(
          l.line(),
          pump.tag()
              + " runs with "
              + pump.material()
              + " fitted on "
              + pump.fittedOn()
              + ": a set fitted on "
              + l.run().fittedOn()
              + " cannot be in it.");
      return Optional.empty();
    }
    return Optional.of(l);
  }

  private static String key(RunRow r) {
    return String.join(
        "|", r.pump(), r.role(), r.place(), r.fittedOn().toString(), r.endedOn().toString());
  }

  private void store(Line l, PumpRow pump) {
    RunRow r = l.run();
    if (!l.running()) {
      pumps.addRun(r);
      return;
    }
    boolean leading = r.role().equals(pump.role());
    pumps.refit(
        new FittedPartRow(
            pump.tag(),
            r.role(),
            leading ? "" : r.place(),
            r.partSerial(),
            r.material(),
            r.fittedOn(),
            pump.runningHours() - r.hours(),
            r.cameHours(),
            pump.strokes() - r.hours() * pump.countsPerHour(),
            r.cameCount(),
            leading));
  }

  private static HistoryReport report(
      Map<HistoryField, String> columns,
      HistoryLines reading,
      CsvTable table,
      List<Line> lines,
      List<Line> fresh,
      List<Fault> faults,
      boolean stored) {
    return new HistoryReport(
        Arrays.stream(HistoryField.values())
            .map(f -> new FieldView(f.code(), f.say(), columns.getOrDefault(f, "")))
            .toList(),
        table.headings().stream()
            .map(
                h ->
                    new ColumnView(
                        h,
                        table.rows().stream()
                            .map(r -> r.get(h))
                            .filter(v -> !v.isBlank())
                            .distinct()
                            .limit(MOST_EXAMPLES)
                            .toList(),
                        columns.containsValue(h)))
            .toList(),
        lines.stream()
            .limit(MOST_SHOWN)
            .map(
                l ->
                    new ReadRun(
                        l.line(),
                        l.run().pump(),
                        l.run().role(),
                        l.run().material(),
                        l.run().dutyGroup(),
                        l.run().fittedOn().toString(),
                        l.running() ? "" : l.run().endedOn().toString(),
                        l.run().hours(),
                        l.running()
                            ? HistoryTable.RUNNING
                            : l.run().failed() ? HistoryTable.FAILED : HistoryTable.SOUND))
            .toList(),
        table.rows().size(),
        fresh.size(),
        lines.size() - fresh.size(),
        (int) fresh.stream().filter(l -> l.run().failed()).count(),
        (int) fresh.stream().map(l -> l.run().pump()).distinct().count(),
        faults,
        List.copyOf(reading.otherOutcomes()),
        stored);
  }
}
