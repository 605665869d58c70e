package isokinon.core.sheet;

import isokinon.core.value.Code;
import isokinon.core.value.Range;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * How a step is done.
 *
 * @param pose how the pump stands; empty leaves it as it stands
 * @param tools the first one is in the hand
 * @param hazards ids of the sheet's hazards met here
 * @param cautions sentences shown at the step
 * @param fastening the threaded joint of the step, where it has one
 * @param apply what goes on what: grease, locker, soap
 * @param checks what is asked before the step counts as done
 * @param way the way of a school this step belongs to; empty where every job does it
 * @param power why the drive is under power for it; empty where everything stays locked off
 */
public record Handling(
    String pose,
    List<String> tools,
    List<String> hazards,
    List<Caution> cautions,
    Optional<Fastening> fastening,
    List<Apply> apply,
    List<Check> checks,
    String way,
    String power) {

  /** Nothing to say: no pose, no tool, no joint. */
  public static final Handling PLAIN =
      new Handling(
          "", List.of(), List.of(), List.of(), Optional.empty(), List.of(), List.of(), "", "");

  /** The tool in the hand; empty where the step needs none. */
  public Optional<String> toolInHand() {
    return tools.stream().findFirst();
  }

  /** When a caution or a check is shown. */
  public enum When implements Code {
    STRIP,
    BUILD,
    BOTH;

    /** Whether something marked so is shown while stripping, or else while building. */
    public boolean shown(boolean stripping) {
      return this == BOTH || (this == STRIP) == stripping;
    }
  }

  /**
   * A sentence shown at the step.
   *
   * @param when while stripping, building or both
   * @param say the sentence
   * @param way the way of a school it belongs to; may be empty
   * @param onlyFor materials of the wearing part it holds for; empty means all
   */
  public record Caution(When when, String say, String way, Set<String> onlyFor) {

    /** Whether it holds with {@code material} in the pump. */
    public boolean holdsFor(String material) {
      return onlyFor.isEmpty() || onlyFor.contains(material);
    }
  }

  /**
   * A substance and the part it goes on.
   *
   * @param what the substance
   * @param to part id
   * @param way the way of a school it belongs to; may be empty
   */
  public record Apply(String what, String to, String way) {}

  /**
   * A question of the step.
   *
   * @param id kebab-case, unique within the sheet
   * @param ask the question or the statement to confirm
   * @param kind confirm, or number with a unit and limits
   * @param when while stripping, building or both
   * @param hold a hold point: cannot be skipped
   * @param unit unit of a number
   * @param min least value that passes
   * @param max greatest value that passes
   * @param about whether it is about a mark across a joint or about power
   * @param way the way of a school it belongs to; may be empty
   * @param pair two readings, left and right, whose difference must be within the limit
   */
  public record Check(
      String id,
      String ask,
      Answer kind,
      When when,
      boolean hold,
      String unit,
      Optional<Double> min,
      Optional<Double> max,
      About about,
      String way,
      boolean pair) {

    /** Whether a reading in the check's unit passes. */
    public boolean passes(double value) {
      return Range.holds(min, max, value);
    }
  }

  /** The check with this id; empty where there is none. */
  public Optional<Check> check(String id) {
    return checks.stream().filter(c -> c.id().equals(id)).findFirst();
  }

  /** What a check is about, besides the step itself. */
  public enum About implements Code {
    STEP,
    /** A mark made across the joint before it parts, and met again when it closes. */
    MARK,
    /** Who stands clear while the drive is under power, and that it is locked off again. */
    POWER
  }

  /** How a check is answered. */
  public enum Answer implements Code {
    CONFIRM,
    NUMBER
  }

  /**
   * A threaded joint.
   *
   * @param count number of fasteners, at least 1
   * @param layout how they lie
   * @param thread thread designation, for example M8
   * @param minNm least torque, N·m
   * @param maxNm greatest torque, N·m
   * @param threads dry, or what is on them
   * @param locker threadlocker, or none
   * @param retorqueHours hours of settling after which it is tightened again; 0 for never
   * @param cureHours hours until its threadlocker has cured
   * @param across what is torqued against what, where one side is held; else empty
   * @param guidance whether the torque is a table value for size and material, not the sheet's own
   * @param way the way of a school it belongs to; may be empty
   */
  public record Fastening(
      int count,
      Layout layout,
      String thread,
      double minNm,
      double maxNm,
      String threads,
      String locker,
      double retorqueHours,
      double cureHours,
      String across,
      boolean guidance,
      String way) {

    /** Full cure of a threadlocker at room temperature, h: the usual figure for anaerobics. */
    public static final double USUAL_CURE_HOURS = 24;

    /** Whether cured threadlocker holds the joint, so that it must never be retorqued. */
    public boolean locked() {
      return !locker.isEmpty() && !locker.equals("none");
    }

    /** The middle of the range, N·m: what the wrench is set to. */
    public double targetNm() {
      return (minNm + maxNm) / 2;
    }
  }

  /** How fasteners lie on the joint. */
  public enum Layout implements Code {
    CIRCLE,
    RECTANGLE
  }
}
