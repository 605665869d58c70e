package isokinon.server.demo;

import isokinon.core.counter.CounterLog;
import isokinon.server.db.pumps.CounterRow;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;

/** Half a year of an hour counter read every two weeks, ending at what the pump has run. */
final class PastCounters {

  private static final int READINGS = 13;
  private static final int APART_DAYS = 14;
  private static final int EVENING = 18;
  private static final long SEED = 20260301;

  private PastCounters() {}

  /** Readings up to {@code last}, when the counter stood at {@code hours}. */
  static List<CounterRow> of(String tag, double hours, double perDay, LocalDate last) {
    SplittableRandom random = new SplittableRandom(SEED * 31 + tag.hashCode());
    List<CounterRow> rows = new ArrayList<>();
    double stood = hours;
    for (int i = 0; i < READINGS && stood > 0; i++) {
      OffsetDateTime at =
          last.minusDays((long) i * APART_DAYS).atTime(EVENING, 0).atOffset(ZoneOffset.UTC);
      rows.add(
          0,
          new CounterRow(tag, CounterLog.Kind.HOURS, at, Math.round(stood * 10) / 10.0, "RT", at));
      double run = perDay * APART_DAYS * (0.92 + 0.16 * random.nextDouble());
      stood -= Math.min(run, 24.0 * APART_DAYS);
    }
    return rows;
  }
}
