package isokinon.server.work.floor;

import isokinon.server.db.DataVersions;
import isokinon.server.db.Topic;
import isokinon.server.db.rebuilds.BenchMapper;
import isokinon.server.db.rebuilds.LastEventRow;
import isokinon.server.work.rebuild.Jobs;
import isokinon.server.work.shared.CachedByKey;
import isokinon.server.work.shared.RequestProblem;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.EnumSet;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** Where each open rebuild stands. */
@Component
class BenchStages {

  private static final Logger LOG = LoggerFactory.getLogger(BenchStages.class);

  /** What is said of a rebuild that cannot be followed: one such does not take the floor down. */
  private static final String LOST = "its sheet is missing";

  /** An open rebuild and its stage, in words. */
  record OnBench(long rebuild, String stage) {}

  private record After(long rebuild, long seq) {}

  private final BenchMapper bench;
  private final Jobs jobs;
  private final Clock clock;

  /** A rebuild is replayed again only once something was recorded in it. */
  private final CachedByKey<After, String> known;

  BenchStages(BenchMapper bench, Jobs jobs, DataVersions versions, Clock clock) {
    this.bench = bench;
    this.jobs = jobs;
    this.clock = clock;
    this.known = new CachedByKey<>(versions, EnumSet.of(Topic.REBUILDS, Topic.SHEETS));
  }

  /** The open rebuilds by pump. */
  Map<String, OnBench> all() {
    return bench.runningOrClosedSince(OffsetDateTime.now(clock)).stream()
        .filter(r -> !r.closed())
        .collect(Collectors.toMap(LastEventRow::pump, this::stage, (a, b) -> b));
  }

  /** The open rebuild of a pump. */
  Optional<OnBench> on(String pump) {
    return bench.lastEventOn(pump).map(this::stage);
  }

  private OnBench stage(LastEventRow row) {
    return new OnBench(row.id(), known.get(new After(row.id(), row.seq()), this::read));
  }

  private String read(After event) {
    try {
      return jobs.job(event.rebuild()).rebuild().stage().title();
    } catch (RequestProblem e) {
      LOG.warn("Rebuild {} cannot be followed: {}", event.rebuild(), e.getMessage());
      return LOST;
    }
  }
}
