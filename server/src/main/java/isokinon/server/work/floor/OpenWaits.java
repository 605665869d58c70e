package isokinon.server.work.floor;

import isokinon.core.rebuild.Wait;
import isokinon.server.db.rebuilds.BenchMapper;
import isokinon.server.db.rebuilds.LastEventRow;
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

  private final BenchMapper bench;
  private final FollowedRebuilds followed;
  private final Clock clock;

  OpenWaits(BenchMapper bench, FollowedRebuilds followed, Clock clock) {
    this.bench = bench;
    this.followed = followed;
    this.clock = clock;
  }

  /** Every clock that matters now, what is due first. */
  List<ClockView> all() {
    Instant now = clock.instant();
    List<LastEventRow> rows =
        bench.runningOrClosedSince(OffsetDateTime.now(clock).minusDays(ASKED_FOR_DAYS));
    List<ClockView> clocks = new ArrayList<>();
    for (LastEventRow row : rows) {
      FollowedRebuilds.Followed rebuild = followed.of(row);
      for (Wait w : rebuild.waits()) {
        boolean matters = !row.closed() || w.kind().callsForWork();
        if (matters && w.open(now)) {
          clocks.add(
              new ClockView(
                  row.pump(),
                  row.id(),
                  w.kind(),
                  w.subject(),
                  rebuild.titles().get(w.subject()),
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
