package isokinon.server.work.pumps;

import isokinon.core.counter.CounterLog.Reading;
import isokinon.core.counter.Usage;
import isokinon.server.db.pumps.CounterMapper;
import isokinon.server.db.pumps.CounterRow;
import isokinon.server.db.pumps.ExposureRow;
import isokinon.server.db.pumps.PumpMapper;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.db.pumps.Variants;
import isokinon.server.db.rebuilds.BenchMapper;
import isokinon.server.db.rebuilds.RebuildRow;
import isokinon.server.work.shared.RequestProblem;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** The pumps of the shop with the hours they have run by now. */
@Component
public class PumpRegister {

  private final PumpMapper store;
  private final CounterMapper counters;
  private final BenchMapper bench;
  private final Clock clock;

  public PumpRegister(PumpMapper store, CounterMapper counters, BenchMapper bench, Clock clock) {
    this.store = store;
    this.counters = counters;
    this.bench = bench;
    this.clock = clock;
  }

  /**
   * A pump with its hours carried on from the last reading.
   *
   * @throws RequestProblem where no pump has this tag
   */
  public PumpRow pump(String tag) {
    return carriedOn(asRead(tag));
  }

  /** Keeps how the unit at a position is made, where that is news. */
  public void madeBy(PumpRow pump, List<String> ways) {
    if (!ways.equals(pump.madeBy())) {
      store.madeBy(pump.tag(), Variants.column(ways));
    }
  }

  /**
   * A pump with its hours as they were read last.
   *
   * @throws RequestProblem where no pump has this tag
   */
  public PumpRow asRead(String tag) {
    return store
        .byTag(tag)
        .orElseThrow(() -> RequestProblem.missing("No pump is called " + tag + "."));
  }

  /**
   * A pump with its hours carried on; nobody else opens a rebuild of it until the transaction ends.
   *
   * @throws RequestProblem where no pump has this tag
   */
  public PumpRow lock(String tag) {
    return store
        .lock(tag)
        .map(this::carriedOn)
        .orElseThrow(() -> RequestProblem.missing("No pump is called " + tag + "."));
  }

  /** Whether a pump is retired: it stays on every record, and nothing is planned for it. */
  public boolean retired(String tag) {
    return store.retiredAt(tag).isPresent();
  }

  /** The fluids of a pump, the one it pumps most of the time first. */
  public List<ExposureRow> exposures(String tag) {
    return store.exposures(tag);
  }

  /** A pump with its hours carried on to now, or to when it came to the bench. */
  public PumpRow carriedOn(PumpRow pump) {
    OffsetDateTime from = OffsetDateTime.now(clock).minus(Usage.LOOK_BACK);
    return pump.after(
        usage(pump, counters.hoursOf(pump.tag(), from), bench.runningOn(pump.tag())).since());
  }

  /** How much a pump runs, by its readings and by when it came to the bench. */
  public Usage usage(PumpRow pump, List<CounterRow> readings, Optional<RebuildRow> onBench) {
    Instant today = start(LocalDate.now(clock));
    return Usage.of(
        pump.hoursPerDay(),
        readings.stream().map(r -> new Reading(0, r.at().toInstant(), r.reading())).toList(),
        Optional.ofNullable(pump.hoursOn()).map(this::start),
        today,
        onBench
            .map(r -> start(r.openedAt().atZoneSameInstant(clock.getZone()).toLocalDate()))
            .orElse(today));
  }

  private Instant start(LocalDate day) {
    return day.atStartOfDay(clock.getZone()).toInstant();
  }
}
