package isokinon.core.sheet;

import java.util.List;
import java.util.stream.Stream;

/**
 * A step of taking the pump apart, and its twin when putting it together.
 *
 * @param id kebab-case, unique among steps and build-only steps
 * @param strip the sentence for taking apart
 * @param build the sentence for putting together
 * @param frees parts that are off after this step
 * @param disturbs one-time parts whose joint this step opens
 * @param after steps that must have been stripped before
 * @param afterAny besides: at least one of these groups, whole
 * @param stripMinutes time to strip, minutes
 * @param buildMinutes time to build, minutes
 * @param learnedJobs recorded jobs its minutes stand on; 0 where they are those of the sheet
 * @param route what a way in is called that goes by this step, where another would do; may be empty
 * @param how pose, tools, fastening and checks
 */
public record Step(
    String id,
    String strip,
    String build,
    List<String> frees,
    List<String> disturbs,
    List<String> after,
    List<List<String>> afterAny,
    double stripMinutes,
    double buildMinutes,
    int learnedJobs,
    String route,
    Handling how) {

  /** A step needs minutes that are finite and not negative. */
  public Step {
    if (!(stripMinutes >= 0) || !(buildMinutes >= 0)) {
      throw new IllegalArgumentException("step " + id + ": minutes must be 0 or more");
    }
  }

  /** The same step with minutes learned from {@code jobs}. */
  public Step lasting(double toStrip, double toBuild, int jobs) {
    return new Step(
        id, strip, build, frees, disturbs, after, afterAny, toStrip, toBuild, jobs, route, how);
  }

  /** Parts that come off with it, and then those whose joint it opens. */
  public List<String> opens() {
    return Stream.concat(frees.stream(), disturbs.stream()).toList();
  }

  /** Strip and build together, minutes. */
  public double minutes() {
    return stripMinutes + buildMinutes;
  }
}
