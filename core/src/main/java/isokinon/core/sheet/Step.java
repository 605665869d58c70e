package isokinon.core.sheet;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A step of taking the pump apart, and its twin when putting it together.
 *
 * @param id kebab-case, unique among steps and build-only steps
 * @param strip the sentence for taking apart
 * @param build the sentence for putting together
 * @param frees parts that are off after this step
 * @param aside parts that are undone by it but still caught on a shaft or rod: a later step frees
 *     them
 * @param disturbs one-time parts whose joint this step opens
 * @param after steps that must have been stripped before
 * @param afterAny besides: at least one of these groups, whole
 * @param needs steps that are done whenever this one is, in no order to it
 * @param excludes steps that are never done beside it
 * @param stripOnly whether it has no build twin
 * @param stripMinutes time to strip, minutes
 * @param buildMinutes time to build, minutes
 * @param learnedJobs recorded jobs its minutes stand on; 0 where they are those of the sheet
 * @param route what a way in is called that goes by this step, where another would do; may be empty
 * @param byWay what it has of its own in a way of work
 * @param how pose, tools, fastening and checks
 */
public record Step(
    String id,
    String strip,
    String build,
    List<String> frees,
    List<String> aside,
    List<String> disturbs,
    List<String> after,
    List<List<String>> afterAny,
    List<String> needs,
    List<String> excludes,
    boolean stripOnly,
    double stripMinutes,
    double buildMinutes,
    int learnedJobs,
    String route,
    List<OwnWay> byWay,
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
        id, strip, build, frees, aside, disturbs, after, afterAny, needs, excludes, stripOnly,
        toStrip, toBuild, jobs, route, byWay, how);
  }

  /**
   * What a step has of its own in a way of work.
   *
   * @param onlyFor the jobs it holds for
   * @param strip the sentence for taking apart
   * @param build the sentence for putting together
   * @param stripMinutes time to strip, minutes
   * @param buildMinutes time to build, minutes
   * @param stripping what differs while stripping
   * @param building what differs while building
   */
  public record OwnWay(
      OnlyFor onlyFor,
      Optional<String> strip,
      Optional<String> build,
      Optional<Double> stripMinutes,
      Optional<Double> buildMinutes,
      Handling.Apart stripping,
      Handling.Apart building) {}

  /** Parts that come off with it, and then those whose joint it opens. */
  public List<String> opens() {
    return Stream.concat(frees.stream(), disturbs.stream()).toList();
  }

  /** Strip and build together, minutes. */
  public double minutes() {
    return stripMinutes + buildMinutes;
  }
}
