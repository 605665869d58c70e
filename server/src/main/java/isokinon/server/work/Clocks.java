package isokinon.server.work;

import isokinon.core.rebuild.Wait;
import isokinon.server.store.BenchMapper;
import isokinon.server.store.RebuildRow;
import java.time.Clock;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.springframework.stereotype.Component;

/**
 * Waiting times of all jobs: what dries, cures or runs by the clock now, and what is due to be done
 * again, also on pumps that were handed back.
 */
@Component
public class Clocks {

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
      String kind,
      String subject,
      String title,
      String until,
      boolean over,
      boolean work) {}

  private final BenchMapper bench;
  private final Bench jobs;
  private final Clock clock;

  Clocks(BenchMapper bench, Bench jobs, Clock clock) {
    this.bench = bench;
    this.jobs = jobs;
    this.clock = clock;
  }

  /** Every clock that matters now, what is due first. */
  List<ClockView> all() {
    Instant now = clock.instant();
    List<ClockView> clocks = new ArrayList<>();
    for (RebuildRow row :
        bench.runningOrClosedSince(OffsetDateTime.now(clock).minusDays(ASKED_FOR_DAYS))) {
      Bench.Job job = jobs.job(row.id());
      for (Wait w : job.rebuild().waits()) {
        boolean matters = row.closedAt() == null || w.kind().callsForWork();
        if (matters && w.open(now)) {
          clocks.add(
              new ClockView(
                  row.pump(),
                  row.id(),
                  w.kind().code(),
                  w.subject(),
                  Records.stepOrTest(job.rebuild().sheet(), w.subject()),
                  w.until().toString(),
                  w.over(now),
                  w.kind().callsForWork()));
        }
      }
    }
    clocks.sort(Comparator.comparing(ClockView::until));
    return clocks;
  }
}
