package isokinon.server.demo;

import isokinon.core.sheet.Round;
import isokinon.core.sheet.Sheet;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.db.rounds.RoundDoneRow;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;

/**
 * When each round was done last: some share of its period ago, drawn with a seed made from the tag,
 * so that a few are over and most are not.
 */
final class PastRounds {

  private static final long SEED = 20260302;
  private static final double MOST_OF_A_PERIOD = 1.04;

  private PastRounds() {}

  static List<RoundDoneRow> of(PumpRow pump, Sheet sheet, OffsetDateTime now) {
    SplittableRandom random = new SplittableRandom(SEED * 31 + pump.tag().hashCode());
    List<RoundDoneRow> done = new ArrayList<>();
    for (Round round : sheet.rounds()) {
      double period =
          round.everyDays() > 0
              ? round.everyDays()
              : round.everyHours() / Math.max(1, pump.hoursPerDay());
      long daysAgo = Math.round(random.nextDouble() * MOST_OF_A_PERIOD * period);
      done.add(
          new RoundDoneRow(
              pump.tag(),
              round.id(),
              now.minusDays(daysAgo),
              Math.max(0, pump.runningHours() - daysAgo * pump.hoursPerDay()),
              random.nextBoolean() ? "RT" : "KO",
              "",
              "demo-" + pump.tag() + "-" + round.id()));
    }
    return done;
  }
}
