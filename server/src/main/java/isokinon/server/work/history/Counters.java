package isokinon.server.work.history;

import isokinon.core.counter.CounterLog;
import isokinon.core.counter.CounterLog.Kind;
import isokinon.core.counter.CounterLog.Reading;
import isokinon.core.table.CsvRow;
import isokinon.core.table.CsvTable;
import isokinon.core.value.Code;
import isokinon.core.value.Fault;
import isokinon.server.db.pumps.CounterMapper;
import isokinon.server.db.pumps.CounterRow;
import isokinon.server.db.pumps.PumpMapper;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.shared.TableValues;
import isokinon.server.work.shared.Text;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Hour and stroke counters brought in as a table: all of it or nothing. */
@Service
public class Counters {

  private static final List<String> COLUMNS = List.of("tag", "counter", "at", "reading");
  private static final int MOST_CHARACTERS = 4_000_000;

  /** Readings of a day without a time were taken in the evening. */
  private static final int EVENING = 18;

  /** What a table brought to a pump. */
  public record Brought(
      String pump, Kind counter, double gained, int resets, int readings, int repeated) {}

  /** What a table did, or would do. */
  public record CounterReport(List<Brought> pumps, boolean stored) {}

  private record Line(String tag, Kind kind, Reading reading) {}

  private record Of(String tag, Kind kind) {}

  private final CounterMapper store;
  private final PumpMapper pumps;
  private final Clock clock;

  Counters(CounterMapper store, PumpMapper pumps, Clock clock) {
    this.store = store;
    this.pumps = pumps;
    this.clock = clock;
  }

  /**
   * Takes readings in.
   *
   * @param csv columns tag, counter (hours or strokes), at (a day, or a day and time), reading
   * @param dryRun only tells what it would do
   * @throws RequestProblem with every fault and its line; nothing is stored then
   */
  @Transactional
  public CounterReport bring(String csv, String who, boolean dryRun) {
    if (csv.length() > MOST_CHARACTERS) {
      throw RequestProblem.invalid("file", "Longer than " + MOST_CHARACTERS + " characters.");
    }
    List<Fault> faults = new ArrayList<>();
    Map<Of, List<Reading>> fresh = new LinkedHashMap<>();
    for (Line line : lines(csv, faults)) {
      fresh
          .computeIfAbsent(new Of(line.tag(), line.kind()), k -> new ArrayList<>())
          .add(line.reading());
    }
    List<Brought> brought = new ArrayList<>();
    List<CounterRow> rows = new ArrayList<>();
    OffsetDateTime now = OffsetDateTime.now(clock);
    fresh.forEach(
        (of, readings) -> {
          Kind kind = of.kind();
          List<Reading> known =
              store.readings(of.tag(), kind).stream()
                  .map(r -> new Reading(0, r.at().toInstant(), r.reading()))
                  .toList();
          CounterLog.Result result =
              CounterLog.add(of.kind(), known, baseline(of, readings), readings);
          result.faults().forEach(f -> faults.add(new Fault(of.tag(), f.message(), f.line())));
          brought.add(
              new Brought(
                  of.tag(),
                  kind,
                  result.gained(),
                  result.resets(),
                  readings.size() - result.repeated(),
                  result.repeated()));
          readings.stream()
              .filter(r -> known.stream().noneMatch(k -> k.at().equals(r.at())))
              .map(Reading::at)
              .distinct()
              .forEach(
                  at ->
                      rows.add(
                          new CounterRow(
                              of.tag(),
                              kind,
                              at.atOffset(ZoneOffset.UTC),
                              valueAt(readings, at),
                              who,
                              now)));
        });
    if (!faults.isEmpty()) {
      throw RequestProblem.invalid(faults);
    }
    if (!dryRun) {
      rows.forEach(store::add);
      for (Brought b : brought) {
        if (b.counter() == Kind.HOURS) {
          store.addHours(b.pump(), b.gained(), readOn(b.pump(), rows));
        } else {
          store.addStrokes(b.pump(), b.gained());
        }
      }
    }
    return new CounterReport(brought, !dryRun);
  }

  /** The day of the latest reading there is of a pump's hours. */
  private LocalDate readOn(String pump, List<CounterRow> fresh) {
    return Stream.concat(store.readings(pump, Kind.HOURS).stream(), fresh.stream())
        .filter(r -> r.pump().equals(pump) && r.kind() == Kind.HOURS)
        .map(r -> r.at().atZoneSameInstant(clock.getZone()).toLocalDate())
        .max(Comparator.naturalOrder())
        .orElseThrow();
  }

  /**
   * An hour counter that was never read stands at the pump's hours, unless its first reading says
   * that it is another one.
   */
  private Optional<Double> baseline(Of of, List<Reading> readings) {
    if (of.kind() == Kind.STROKES) {
      return Optional.empty();
    }
    double hours = pumps.byTag(of.tag()).map(PumpRow::runningHours).orElse(0.0);
    double first =
        readings.stream().min(Comparator.comparing(Reading::at)).map(Reading::value).orElse(0.0);
    return first >= hours ? Optional.of(hours) : Optional.empty();
  }

  private static double valueAt(List<Reading> readings, Instant at) {
    return readings.stream().filter(r -> r.at().equals(at)).findFirst().orElseThrow().value();
  }

  private List<Line> lines(String csv, List<Fault> faults) {
    CsvTable table = CsvTable.read("file", csv, COLUMNS);
    table.faults().stream()
        .map(f -> Fault.at(f.path(), f.line(), Text.wholeSentence(f.message())))
        .forEach(faults::add);
    List<Line> lines = new ArrayList<>();
    table.rows().forEach(row -> line(row, row.line(), faults).ifPresent(lines::add));
    return lines;
  }

  private Optional<Line> line(CsvRow row, int line, List<Fault> faults) {
    String tag = row.get("tag").toUpperCase(Locale.ROOT);
    int before = faults.size();
    if (pumps.byTag(tag).isEmpty()) {
      faults.add(new Fault("tag", "No pump is called " + row.get("tag") + ".", line));
    }
    Optional<Kind> kind = Code.parse(Kind.class, row.get("counter"));
    if (kind.isEmpty()) {
      faults.add(
          new Fault(
              "counter",
              "A counter counts hours or strokes; \"" + row.get("counter") + "\" is neither.",
              line));
    }
    Optional<Instant> at = moment(row.get("at"));
    if (at.isEmpty()) {
      faults.add(
          new Fault(
              "at",
              "\"" + row.get("at") + "\" is no moment; write it as 2026-03-01 or 2026-03-01T18:00.",
              line));
    } else if (at.get().isAfter(clock.instant().plusSeconds(86_400))) {
      faults.add(new Fault("at", "It lies ahead: " + row.get("at") + ".", line));
    }
    Optional<Double> value = TableValues.number(row.get("reading"));
    if (value.isEmpty()) {
      faults.add(new Fault("reading", "\"" + row.get("reading") + "\" is not a number.", line));
    }
    return faults.size() > before
        ? Optional.empty()
        : Optional.of(
            new Line(
                tag, kind.orElseThrow(), new Reading(line, at.orElseThrow(), value.orElseThrow())));
  }

  private Optional<Instant> moment(String word) {
    ZoneId zone = clock.getZone();
    try {
      if (word.length() <= "2026-03-01".length()) {
        return Optional.of(LocalDate.parse(word).atTime(EVENING, 0).atZone(zone).toInstant());
      }
      if (word.endsWith("Z") || word.matches(".*[+-]\\d\\d:\\d\\d")) {
        return Optional.of(OffsetDateTime.parse(word).toInstant());
      }
      return Optional.of(
          java.time.LocalDateTime.parse(word.replace(' ', 'T')).atZone(zone).toInstant());
    } catch (DateTimeParseException e) {
      return Optional.empty();
    }
  }
}
