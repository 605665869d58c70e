package isokinon.core.counter;

import isokinon.core.counter.CounterLog.Reading;
import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * How much a pump runs, and what it has run by now: its hour counter carried on from the last
 * reading at the pace of the last three months.
 *
 * @param perDay running hours a day
 * @param since running hours since the counter was read, at that pace
 * @param days days since it was read; empty where nobody knows
 * @param read whether the pace comes from readings, not from what the pump is said to run
 */
public record Usage(double perDay, double since, Optional<Double> days, boolean read) {

  /** Readings further back say little about how it runs today (shop rule). */
  public static final Duration LOOK_BACK = Duration.ofDays(90);

  /** Readings closer together than this are too few days to tell a pace (shop rule). */
  private static final Duration LEAST = Duration.ofDays(7);

  /** A counter that was not read for so long is not carried on further (shop rule). */
  private static final double FURTHEST_DAYS = 120;

  private static final double DAY = Duration.ofDays(1).toSeconds();

  /**
   * The usage of a pump.
   *
   * @param stated running hours a day as somebody wrote them down
   * @param readings of its hour counter, in any order; older ones than three months do no harm
   * @param asOf when the pump's hours stood as they are recorded; empty where nobody knows
   * @param until when it last ran: now, or when it came to the bench
   */
  public static Usage of(
      double stated, List<Reading> readings, Optional<Instant> asOf, Instant now, Instant until) {
    Optional<Double> pace = pace(readings, now);
    double perDay = pace.orElse(stated);
    double ran = asOf.map(at -> days(at, until)).orElse(0.0);
    return new Usage(
        perDay,
        perDay * Math.min(FURTHEST_DAYS, ran),
        asOf.map(at -> days(at, now)),
        pace.isPresent());
  }

  private static double days(Instant from, Instant to) {
    return Math.max(0, Duration.between(from, to).toSeconds() / DAY);
  }

  /** Hours a day between the first and the last reading looked at; a counter set back counts on. */
  private static Optional<Double> pace(List<Reading> readings, Instant now) {
    List<Reading> recent =
        readings.stream()
            .filter(r -> !r.at().isBefore(now.minus(LOOK_BACK)) && !r.at().isAfter(now))
            .sorted(Comparator.comparing(Reading::at))
            .toList();
    if (recent.size() < 2) {
      return Optional.empty();
    }
    Duration span = Duration.between(recent.get(0).at(), recent.get(recent.size() - 1).at());
    if (span.compareTo(LEAST) < 0) {
      return Optional.empty();
    }
    double gained = 0;
    for (int i = 1; i < recent.size(); i++) {
      double before = recent.get(i - 1).value();
      double after = recent.get(i).value();
      gained += after < before ? after : after - before;
    }
    return Optional.of(gained / span.toSeconds() * DAY);
  }
}
