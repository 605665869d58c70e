package isokinon.server.work.floor;

import isokinon.server.db.rebuilds.BenchMapper;
import isokinon.server.db.rebuilds.LastEventRow;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Where each open rebuild stands. */
@Component
class BenchStages {

  /** An open rebuild and its stage, in words. */
  record OnBench(long rebuild, String stage) {}

  private final BenchMapper bench;
  private final FollowedRebuilds followed;
  private final Clock clock;

  BenchStages(BenchMapper bench, FollowedRebuilds followed, Clock clock) {
    this.bench = bench;
    this.followed = followed;
    this.clock = clock;
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
    return new OnBench(row.id(), followed.of(row).stage());
  }
}
