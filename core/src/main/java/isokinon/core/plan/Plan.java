package isokinon.core.plan;

import java.util.List;

/**
 * A rebuild plan: the shortest way in, and the way back.
 *
 * @param strip strip steps still to do, in order
 * @param build all build steps, in order
 * @param minutes strip and build minutes of the whole route, steps already done included
 * @param buildOnlyMinutes hands-on minutes of the build steps without a strip twin
 * @param waitMinutes minutes of waiting that those ask for
 * @param poseChanges pose changes of the strip order
 * @param toolChanges tool changes of the strip order
 * @param buildPoseChanges pose changes of the build order
 * @param buildToolChanges tool changes of the build order
 * @param renew what is renewed and why
 * @param freed parts that are off once the strip is done, in the order of the sheet
 * @param tools every tool, in order of first use
 * @param lubricants what is applied, and to what
 * @param hazards ids of hazards met on the way
 * @param optimal whether the route and both orders are proven best
 */
public record Plan(
    List<String> strip,
    List<String> build,
    double minutes,
    double buildOnlyMinutes,
    double waitMinutes,
    int poseChanges,
    int toolChanges,
    int buildPoseChanges,
    int buildToolChanges,
    List<Renewal> renew,
    List<String> freed,
    List<String> tools,
    List<String> lubricants,
    List<String> hazards,
    boolean optimal) {

  /**
   * A part to renew.
   *
   * @param part part id
   * @param count how many
   * @param because why, as a sentence fragment
   */
  public record Renewal(String part, int count, String because) {

    /** Why a part is renewed that nobody asked for and that is not spoilt. */
    public static final String KIT_HOLDS_IT = "lies open, the kit holds it";

    /** Whether it is renewed only because its kit is opened. */
    public boolean byKit() {
      return because.equals(KIT_HOLDS_IT);
    }
  }
}
