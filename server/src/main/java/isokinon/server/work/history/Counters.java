package isokinon.server.work.history;

import isokinon.core.counter.CounterLog;
import isokinon.core.counter.CounterLog.Added;
import isokinon.core.counter.CounterLog.Kind;
import isokinon.core.counter.CounterLog.Reading;
import isokinon.core.counter.CounterLog.Result;
import isokinon.core.value.Fault;
import isokinon.server.db.pumps.CounterMapper;
import isokinon.server.db.pumps.CounterRow;
import isokinon.server.db.pumps.PumpMapper;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.work.shared.RequestProblem;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Hour and stroke counters: what their readings come to, and how they are taken in. */
@Service
public class Counters {

  /** Readings of a day without a time were taken in the evening. */
  public static final LocalTime EVENING = LocalTime.of(18, 0);

  private final CounterMapper store;
  private final PumpMapper pumps;
  private final Clock clock;

  Counters(CounterMapper store, PumpMapper pumps, Clock clock) {
    this.store = store;
    this.pumps = pumps;
    this.clock = clock;
  }

  /** What one reading brought: hours or strokes run since the one before it. */
  public record Taken(double gained) {}

  /**
   * Takes in what a counter shows today.
   *
   * @throws RequestProblem where it cannot be
   */
  @Transactional
  public Taken read(String tag, Kind kind, double value, String who) {
    if (pumps.lock(tag).isEmpty()) {
      throw RequestProblem.missing("No pump is called " + tag + ".");
    }
    Instant at = LocalDate.now(clock).atTime(EVENING).atZone(clock.getZone()).toInstant();
    Result result = take(tag, kind, List.of(new Reading(0, at, value)), who);
    if (!result.faults().isEmpty()) {
      throw RequestProblem.invalid(
          result.faults().stream().map(f -> new Fault("reading", f.message())).toList());
    }
    return new Taken(result.gained());
  }

  /** Takes readings of one counter in, where none of them is at fault. */
  public Result take(String tag, Kind kind, List<Reading> fresh, String who) {
    List<Reading> known =
        store.readings(tag, kind).stream()
            .map(r -> new Reading(0, r.at().toInstant(), r.reading()))
            .toList();
    Result result = result(tag, kind, known, fresh);
    keep(tag, kind, result.added(), who);
    return result;
  }

  /**
   * What readings of one counter come to.
   *
   * @param known those that are recorded
   * @param fresh those to add, with their lines
   */
  public Result result(String tag, Kind kind, List<Reading> known, List<Reading> fresh) {
    return CounterLog.add(kind, known, baseline(tag, kind, fresh), fresh);
  }

  /**
   * An hour counter that was never read stands at the pump's hours, unless its first reading says
   * that it is another one.
   */
  private Optional<Double> baseline(String tag, Kind kind, List<Reading> fresh) {
    if (kind == Kind.STROKES) {
      return Optional.empty();
    }
    double hours = pumps.byTag(tag).map(PumpRow::runningHours).orElse(0.0);
    double first =
        fresh.stream().min(Comparator.comparing(Reading::at)).map(Reading::value).orElse(0.0);
    return first >= hours ? Optional.of(hours) : Optional.empty();
  }

  /** Keeps readings in the order of time, and what each gained. */
  private void keep(String tag, Kind kind, List<Added> added, String who) {
    OffsetDateTime now = OffsetDateTime.now(clock);
    for (Added a : added) {
      OffsetDateTime at = a.reading().at().atOffset(ZoneOffset.UTC);
      store.add(new CounterRow(tag, kind, at, a.reading().value(), who, now));
      gained(tag, kind, a.gained(), day(a.reading().at()));
    }
  }

  /** The day of a reading, by the clock of the shop. */
  public LocalDate day(Instant at) {
    return at.atZone(clock.getZone()).toLocalDate();
  }

  private void gained(String tag, Kind kind, double gained, LocalDate on) {
    if (kind == Kind.HOURS) {
      store.addHours(tag, gained, on);
    } else {
      store.addStrokes(tag, gained);
    }
  }

  /**
   * Takes the latest reading of a counter back.
   *
   * @param gained what it had gained
   * @param hoursOn the day on which the hours of the pump had been read before
   */
  public void takeBack(String tag, Kind kind, Instant at, double gained, LocalDate hoursOn) {
    store.remove(tag, kind, at.atOffset(ZoneOffset.UTC));
    gained(tag, kind, -gained, hoursOn);
  }

  /** Whether a counter was read after this moment. */
  public boolean isReadAfter(String tag, Kind kind, Instant at) {
    return store.readings(tag, kind).stream().anyMatch(r -> r.at().toInstant().isAfter(at));
  }
}
