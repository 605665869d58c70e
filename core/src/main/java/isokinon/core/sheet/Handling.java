package isokinon.core.sheet;

import isokinon.core.value.Code;
import isokinon.core.value.Range;
import isokinon.core.value.Source;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * How a step is done.
 *
 * @param pose how the pump stands; empty leaves it as it stands
 * @param tools the first one is in the hand
 * @param hazards ids of the sheet's hazards met here
 * @param cautions sentences shown at the step
 * @param fastenings the threaded joint of the step as each way of work closes it; a job follows at
 *     most one
 * @param apply what goes on what: grease, locker, soap
 * @param checks what is asked before the step counts as done
 * @param power why the drive is under power for it, once for each time; empty where everything
 *     stays locked off
 * @param turn which way it turns; empty where nothing turns, or the sentence says it
 * @param onlyFor the jobs it belongs to
 * @param stripping what differs while stripping
 * @param building what differs while building
 */
public record Handling(
    String pose,
    List<String> tools,
    List<String> hazards,
    List<Caution> cautions,
    List<Fastening> fastenings,
    List<Apply> apply,
    List<Check> checks,
    List<String> power,
    Optional<Turn> turn,
    OnlyFor onlyFor,
    Apart stripping,
    Apart building) {

  /** Nothing to say: no pose, no tool, no joint. */
  public static final Handling PLAIN =
      new Handling(
          "",
          List.of(),
          List.of(),
          List.of(),
          List.of(),
          List.of(),
          List.of(),
          List.of(),
          Optional.empty(),
          OnlyFor.EVERY_JOB,
          Apart.NOTHING,
          Apart.NOTHING);

  /**
   * What a step has of its own in one direction, or in one way of work; empty leaves what it has.
   *
   * @param pose how the pump stands
   * @param tools the first one is in the hand
   * @param hazards ids of the sheet's hazards met
   * @param turn which way it turns
   */
  public record Apart(
      Optional<String> pose,
      Optional<List<String>> tools,
      Optional<List<String>> hazards,
      Optional<Turn> turn) {

    /** Nothing differs. */
    public static final Apart NOTHING =
        new Apart(Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty());

    /** This, and where it says nothing {@code other}. */
    Apart or(Apart other) {
      return new Apart(
          pose.or(other::pose),
          tools.or(other::tools),
          hazards.or(other::hazards),
          turn.or(other::turn));
    }
  }

  /**
   * Which way something is turned.
   *
   * @param clockwise else anticlockwise
   * @param seenFrom where somebody stands who sees it so; may be empty
   */
  public record Turn(boolean clockwise, String seenFrom) {}

  /** How it is done in one direction: with the pose, tools and hazards of that direction. */
  public Handling during(boolean strip) {
    Apart own = strip ? stripping : building;
    return new Handling(
        own.pose().orElse(pose),
        own.tools().orElse(tools),
        own.hazards().orElse(hazards),
        cautions,
        fastenings,
        apply,
        checks,
        power,
        own.turn().or(() -> turn),
        onlyFor,
        Apart.NOTHING,
        Apart.NOTHING);
  }

  /** The threaded joint as the job closes it; empty where it has none. */
  public Optional<Fastening> fastening() {
    return fastenings.stream().findFirst();
  }

  /** Where the torques of its joints come from. */
  Stream<Source> sources() {
    return fastenings.stream().filter(f -> !f.bySign()).map(Fastening::source);
  }

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
   * @param onlyFor the jobs it holds for
   * @param closes shown only where the step's side closes then; empty for either
   */
  public record Caution(When when, String say, OnlyFor onlyFor, Optional<Sides.Closes> closes) {}

  /**
   * A substance and the parts it goes on.
   *
   * @param what the substance
   * @param to part ids
   * @param reaches parts it gets to besides those of the same joint, ids
   * @param amount how much of it in all; empty where the sentence says it, or as much as it takes
   * @param onlyFor the jobs it holds for
   */
  public record Apply(
      String what,
      List<String> to,
      List<String> reaches,
      Optional<Amount> amount,
      OnlyFor onlyFor) {

    /** Copies its lists. */
    public Apply {
      to = List.copyOf(to);
      reaches = List.copyOf(reaches);
    }

    /** All parts that the sheet says it gets to. */
    public List<String> named() {
      return Stream.concat(to.stream(), reaches.stream()).toList();
    }
  }

  /**
   * So much of a substance.
   *
   * @param what the substance
   * @param amount how much of it
   */
  public record Supply(String what, Amount amount) {}

  /**
   * How much of a substance.
   *
   * @param value over 0
   * @param unit millilitres or grams
   */
  public record Amount(double value, AmountUnit unit) {}

  /** What substances are measured in. */
  public enum AmountUnit implements Code {
    ML("mL"),
    G("g");

    private final String sign;

    AmountUnit(String sign) {
      this.sign = sign;
    }

    /** As it stands behind a number. */
    public String sign() {
      return sign;
    }
  }

  /**
   * A question of the step.
   *
   * @param id kebab-case, unique within the sheet
   * @param ask the question or the statement to confirm
   * @param kind confirm, or number with a unit and limits
   * @param when while stripping, building or both
   * @param hold whether the step waits for its answer whatever the reason; another check may be
   *     left with a reason
   * @param second whether a second person looks and answers as well
   * @param unit unit of a number
   * @param min least value that passes
   * @param max greatest value that passes
   * @param about whether it is about a mark across a joint or about power
   * @param onlyFor the jobs it is asked in
   * @param closes asked only where the step's side closes then; empty for either
   * @param pair two readings, left and right, whose difference must be within the limit
   * @param clockSeconds a clock to run beside it, seconds; 0 for none
   * @param mark the mark that is met, id; empty where none is
   * @param within how far the reading may lie from the one the mark was made with; empty where the
   *     mark has no reading
   */
  public record Check(
      String id,
      String ask,
      Answer kind,
      When when,
      boolean hold,
      boolean second,
      String unit,
      Optional<Double> min,
      Optional<Double> max,
      About about,
      OnlyFor onlyFor,
      Optional<Sides.Closes> closes,
      boolean pair,
      int clockSeconds,
      String mark,
      Optional<Double> within) {

    /** Behind the id of a mark stands this where the check asks for the mark to be made. */
    private static final String MADE = "-made";

    /** The id of the check that asks for {@code mark} to be made. */
    public static String making(String mark) {
      return mark + MADE;
    }

    /** The mark that it asks to be made, id; empty where it asks for none. */
    public Optional<String> makes() {
      return about == About.MARK && mark.isEmpty()
          ? Optional.of(id.substring(0, id.length() - MADE.length()))
          : Optional.empty();
    }

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
   * @param minNm least torque, N·m; 0 where it is tight by a sign
   * @param maxNm greatest torque, N·m; 0 where it is tight by a sign
   * @param threads dry, or what is on them
   * @param locker threadlocker, or none
   * @param retorqueHours hours of settling after which it is tightened again; 0 for never
   * @param cureHours hours until its threadlocker has cured
   * @param across what is torqued against what, where one side is held; else empty
   * @param source where thread and torque come from
   * @param until the sign by which it is tight where no torque is asked; else empty
   * @param leftHand whether its thread is left-hand
   * @param onlyFor the jobs it is closed so in
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
      Source source,
      String until,
      boolean leftHand,
      OnlyFor onlyFor) {

    /** Full cure of a threadlocker at room temperature, h: the usual figure for anaerobics. */
    public static final double USUAL_CURE_HOURS = 24;

    /** Whether cured threadlocker holds the joint, so that it must never be retorqued. */
    public boolean locked() {
      return !locker.isEmpty() && !locker.equals("none");
    }

    /** Whether it is tight by a sign, such as a flattened washer, and no torque is asked. */
    public boolean bySign() {
      return !until.isEmpty();
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
