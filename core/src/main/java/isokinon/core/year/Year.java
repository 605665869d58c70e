package isokinon.core.year;

import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;

/**
 * Plays the year ahead many times, on all cores. The same plan with the same seed comes to the
 * same; another plan of the same pumps with the same seed has the same luck.
 *
 * <p>A Monte Carlo simulation with common random numbers: the lives of a year are drawn from what
 * is believed, first what a group shares, then each pump, then each set; the days run one by one.
 * Cost for each year: some 15 exponentials for each pump, two powers for each set, and the days.
 */
public final class Year {

  /** So many years are played by one worker before it looks for the next. */
  private static final int AT_ONCE = 10;

  /** Told how far it is; asked whether to go on. */
  public interface Progress {

    /**
     * Whether to go on.
     *
     * @param done years that have been played
     */
    boolean goesOn(int done);
  }

  private Year() {}

  /**
   * Plays {@code years} years.
   *
   * @return empty where it was not to go on
   */
  public static Optional<YearOutcome> play(YearPlan plan, int years, long seed, Progress progress) {
    YearOutcome out = YearOutcome.empty(years, plan.pumps().size(), plan.shop().kits().size());
    AtomicInteger done = new AtomicInteger();
    int parts = (years + AT_ONCE - 1) / AT_ONCE;
    boolean whole =
        IntStream.range(0, parts)
            .parallel()
            .allMatch(
                part -> {
                  YearPlay play = new YearPlay(plan, out);
                  for (int y = part * AT_ONCE; y < Math.min(years, (part + 1) * AT_ONCE); y++) {
                    if (!progress.goesOn(done.get())) {
                      return false;
                    }
                    play.play(y, seed);
                    done.incrementAndGet();
                  }
                  play.count();
                  return true;
                });
    return whole ? Optional.of(out) : Optional.empty();
  }
}
