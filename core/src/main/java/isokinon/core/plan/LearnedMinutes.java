package isokinon.core.plan;

import isokinon.core.sheet.Sheet;
import java.util.Map;

/**
 * Minutes of steps as this shop has recorded them. From {@value #FEWEST_JOBS} jobs on the median of
 * a step stands in for the minutes its sheet names: the median, because one job with a seized bolt
 * should not teach the shop that every strip takes an hour.
 */
public final class LearnedMinutes {

  /** Fewer recorded jobs than this teach nothing. */
  public static final int FEWEST_JOBS = 3;

  /**
   * What was recorded of one step.
   *
   * @param stripMinutes median minutes to strip
   * @param stripJobs jobs it stands on
   * @param buildMinutes median minutes to build
   * @param buildJobs jobs it stands on
   */
  public record Recorded(double stripMinutes, int stripJobs, double buildMinutes, int buildJobs) {

    /** This and what {@code other} adds to it, each direction from the one that has jobs. */
    public Recorded with(Recorded other) {
      boolean strip = stripJobs >= other.stripJobs;
      boolean build = buildJobs >= other.buildJobs;
      return new Recorded(
          strip ? stripMinutes : other.stripMinutes,
          strip ? stripJobs : other.stripJobs,
          build ? buildMinutes : other.buildMinutes,
          build ? buildJobs : other.buildJobs);
    }
  }

  private LearnedMinutes() {}

  /** {@code sheet} with the recorded minutes of every step that has enough jobs behind it. */
  public static Sheet applied(Sheet sheet, Map<String, Recorded> recorded) {
    return sheet.withSteps(
        step -> {
          Recorded r = recorded.get(step.id());
          if (r == null) {
            return step;
          }
          boolean strip = r.stripJobs() >= FEWEST_JOBS;
          boolean build = r.buildJobs() >= FEWEST_JOBS;
          return strip || build
              ? step.lasting(
                  strip ? r.stripMinutes() : step.stripMinutes(),
                  build ? r.buildMinutes() : step.buildMinutes(),
                  Math.max(strip ? r.stripJobs() : 0, build ? r.buildJobs() : 0))
              : step;
        });
  }
}
