package isokinon.core.inspect;

import isokinon.core.value.Range;
import isokinon.core.wear.WearRate;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * When a pump is looked at again once parts of it went back to be watched.
 *
 * @param hours running hours from now
 * @param because which part says so and why; empty where nothing shortens the interval
 */
public record NextLook(double hours, String because) {

  /** Where no rate is known, a watched part is looked at after half the interval (shop rule). */
  static final double HALF = 0.5;

  /** No look is planned sooner than this share of the interval (shop rule). */
  static final double LEAST = 0.1;

  /** One-sided 95 % of a normal distribution: the early edge of the hours left. */
  private static final double EARLY = 1.645;

  /**
   * A part that goes back to be watched.
   *
   * @param name what it is called
   * @param rate how fast it wears; empty where two readings are missing
   */
  public record Watched(String name, Optional<WearRate> rate) {}

  /**
   * The next look.
   *
   * @param intervalHours the planned interval, running hours, over 0
   * @param watched parts that go back to be watched
   */
  public static NextLook of(double intervalHours, List<Watched> watched) {
    Range.check("intervalHours", intervalHours, 1e-3, 1e7);
    return Stream.concat(
            Stream.of(new NextLook(intervalHours, "")),
            watched.stream().map(w -> one(intervalHours, w)))
        .min(Comparator.comparingDouble(NextLook::hours))
        .orElseThrow();
  }

  private static NextLook one(double interval, Watched w) {
    String name = w.name();
    if (w.rate().isEmpty()) {
      return new NextLook(
          interval * HALF,
          name + " goes back to be watched and its rate of wear is not known: half the interval.");
    }
    Optional<Double> left = w.rate().get().hoursLeft();
    if (left.isEmpty()) {
      return new NextLook(interval, "");
    }
    double early = left.get() - EARLY * w.rate().get().hoursLeftU().orElse(0.0);
    if (early >= interval) {
      return new NextLook(interval, "");
    }
    return new NextLook(
        Math.max(early, interval * LEAST),
        String.format(
            Locale.ROOT,
            "%s reaches its renew limit in about %.0f h, maybe as early as %.0f h.",
            name,
            left.get(),
            Math.max(0, early)));
  }
}
