package isokinon.server.work.lives;

import isokinon.core.renewal.Policies.Way;
import isokinon.server.db.findings.NextLookRow;
import isokinon.server.db.pumps.PolicyRow;
import isokinon.server.work.lives.LifeSnapshot.PumpInService;
import isokinon.server.work.shared.Text;
import java.util.Comparator;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * When a pump is due by the way it is kept, or sooner where something is watched.
 *
 * @param days from now, negative when past
 * @param because why then; empty where it is the plain interval
 */
public record DueDay(double days, String because) {

  public static DueDay of(
      PumpInService s, Forecast forecast, Optional<NextLookRow> look, Optional<PolicyRow> kept) {
    double perDay = Math.max(1e-9, s.usage().perDay());
    DueDay due =
        switch (kept.map(PolicyRow::way).orElse(Way.FIXED)) {
          case UNTIL_IT_FAILS ->
              new DueDay(
                  forecast.expectedDays(),
                  "It runs until it fails; half of such sets are done by then.");
          case LOOK -> {
            double every = kept.map(PolicyRow::everyHours).orElseThrow();
            yield new DueDay(
                (every - s.pump().age() % every) / perDay,
                "A look is due every " + Text.plain(every) + " h.");
          }
          default -> new DueDay((s.pump().intervalHours() - s.pump().age()) / perDay, "");
        };
    return sooner(s, look).filter(d -> d.days() < due.days()).orElse(due);
  }

  /** When something that is watched or the calendar asks for it, whatever way it is kept. */
  public static Optional<DueDay> sooner(PumpInService s, Optional<NextLookRow> look) {
    double perDay = Math.max(1e-9, s.usage().perDay());
    Optional<DueDay> watched =
        look.map(l -> new DueDay((l.atHours() - s.pump().runningHours()) / perDay, l.because()));
    Optional<DueDay> byCalendar =
        s.calendar().map(days -> new DueDay(days, "Renewed by the calendar, whatever it ran."));
    return Stream.of(watched, byCalendar)
        .flatMap(Optional::stream)
        .min(Comparator.comparingDouble(DueDay::days));
  }
}
