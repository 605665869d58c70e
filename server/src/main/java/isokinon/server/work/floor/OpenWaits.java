package isokinon.server.work.floor;

import isokinon.core.rebuild.Rebuild;
import isokinon.core.rebuild.Wait;
import isokinon.server.db.DataVersions;
import isokinon.server.db.Topic;
import isokinon.server.db.rebuilds.BenchMapper;
import isokinon.server.db.rebuilds.LastEventRow;
import isokinon.server.work.rebuild.Jobs;
import isokinon.server.work.shared.CachedByKey;
import isokinon.server.work.shared.RequestProblem;
import java.time.Clock;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/**
 * Waiting times of all jobs: what dries, cures or runs by the clock now, and what is due to be done
 * again, also on pumps that were handed back.
 */
@Component
public class OpenWaits {

  /** So long after hand-back a retorque or a follow-up is still asked for, days (shop rule). */
  private static final int ASKED_FOR_DAYS = 30;

  /**
   * A clock.
   *
   * @param until when it is over, as an instant
   * @param over whether it is over, so that the work it calls for is due
   * @param work whether someone has to do something then
   */
  public record ClockView(
      String pump,
      long rebuild,
      Wait.Kind kind,
      String subject,
      String title,
      String until,
      boolean over,
      boolean work) {}

  /** A rebuild after an event. */
  private record After(long rebuild, long seq) {}

  /** Waits of a rebuild as they stood after an event. */
  private record Known(List<Wait> waits, Map<String, String> titles) {}

  private final BenchMapper bench;
  private final Jobs jobs;
  private final Clock clock;

  /** A rebuild is replayed again only once something was recorded in it. */
  private final CachedByKey<After, Known> known;

  OpenWaits(BenchMapper bench, Jobs jobs, DataVersions versions, Clock clock) {
    this.bench = bench;
    this.jobs = jobs;
    this.clock = clock;
    this.known = new CachedByKey<>(versions, EnumSet.of(Topic.REBUILDS, Topic.SHEETS));
  }

  /** Every clock that matters now, what is due first. */
  List<ClockView> all() {
    Instant now = clock.instant();
    List<LastEventRow> rows =
        bench.runningOrClosedSince(OffsetDateTime.now(clock).minusDays(ASKED_FOR_DAYS));
    List<ClockView> clocks = new ArrayList<>();
    for (LastEventRow row : rows) {
      Known waits = known.get(new After(row.id(), row.seq()), this::read);
      for (Wait w : waits.waits()) {
        boolean matters = !row.closed() || w.kind().callsForWork();
        if (matters && w.open(now)) {
          clocks.add(
              new ClockView(
                  row.pump(),
                  row.id(),
                  w.kind(),
                  w.subject(),
                  waits.titles().get(w.subject()),
                  w.until().toString(),
                  w.over(now),
                  w.kind().callsForWork()));
        }
      }
    }
    clocks.sort(Comparator.comparing(ClockView::until));
    return clocks;
  }

  private Known read(After event) {
    Rebuild rebuild;
    try {
      rebuild = jobs.job(event.rebuild()).rebuild();
    } catch (RequestProblem e) {
      // Said where the rebuild stands; its clocks are not known.
      return new Known(List.of(), Map.of());
    }
    List<Wait> waits = rebuild.waits();
    return new Known(
        waits,
        waits.stream()
            .map(Wait::subject)
            .distinct()
            .collect(Collectors.toMap(s -> s, s -> rebuild.sheet().testOrStep(s))));
  }
}
