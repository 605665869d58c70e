package isokinon.core.plan;

import isokinon.core.value.Code;
import java.util.List;

/**
 * A rebuild plan: the shortest way in, and the way back.
 *
 * @param strip strip steps still to do, in order
 * @param build all build steps, in order
 * @param minutes strip and build minutes of the whole route, steps already done included
 * @param buildOnlyMinutes hands-on minutes of the build steps without a strip twin
 * @param waitMinutes minutes of waiting that those ask for
 * @param clockMinutes minutes on the clock from the first step left until the pump may be started:
 *     one pair of hands, and the waits that no other work fills
 * @param poseChanges pose changes of the strip order
 * @param toolChanges tool changes of the strip order
 * @param buildPoseChanges pose changes of the build order
 * @param buildToolChanges tool changes of the build order
 * @param renew what is renewed and why
 * @param freed parts that are off once the strip is done, in the order of the sheet
 * @param closesFirst steps of a side that is closed while the other still stands open
 * @param tools every tool, in order of first use
 * @param lubricants what is applied, and to what
 * @param hazards ids of hazards met on the way
 * @param optimal whether the route and both orders are proven best
 * @param mostPosesOff pose changes that the best orders could save at most; 0 where they are proven
 * @param mostToolsOff the same of tool changes
 */
public record Plan(
    List<String> strip,
    List<String> build,
    double minutes,
    double buildOnlyMinutes,
    double waitMinutes,
    double clockMinutes,
    int poseChanges,
    int toolChanges,
    int buildPoseChanges,
    int buildToolChanges,
    List<Renewal> renew,
    List<String> freed,
    List<String> closesFirst,
    List<String> tools,
    List<String> lubricants,
    List<String> hazards,
    boolean optimal,
    int mostPosesOff,
    int mostToolsOff) {

  /** Minutes of hands from the first step to the last, those that only building has included. */
  public double handsMinutes() {
    return minutes + buildOnlyMinutes;
  }

  /** Nothing to do, as long as nothing is asked. */
  public static final Plan NOTHING =
      new Plan(
          List.of(), List.of(), 0, 0, 0, 0, 0, 0, 0, 0, List.of(), List.of(), List.of(), List.of(),
          List.of(), List.of(), true, 0, 0);

  /**
   * A part to renew.
   *
   * @param part part id
   * @param count how many
   * @param reason why
   * @param because why, as a sentence fragment
   */
  public record Renewal(String part, int count, Reason reason, String because) {

    /** Why a part is renewed. */
    public enum Reason implements Code {
      ASKED_FOR,
      /** It goes in once only, and its joint is opened. */
      JOINT_OPENED,
      /** It lies open, nobody asked for it, it is not spoilt, but the kit holds it. */
      KIT_HOLDS_IT,
      /** It goes only with the material that goes in. */
      MATERIAL_NEEDS_IT
    }

    /** Whether it is renewed only because its kit is opened. */
    public boolean byKit() {
      return reason == Reason.KIT_HOLDS_IT;
    }
  }
}
