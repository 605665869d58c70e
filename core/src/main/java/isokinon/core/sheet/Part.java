package isokinon.core.sheet;

import isokinon.core.value.Code;
import isokinon.core.value.Source;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * A part of the construction, or a set of like parts that come off together.
 *
 * @param id kebab-case, unique within the sheet
 * @param name what the technician calls it
 * @param count how many of it the pump holds, at least 1
 * @param role what the wet-end chooser picks a material for; empty on dry parts
 * @param material what it is always made of, a code of the material library; empty where it is
 *     chosen by its role, or nobody needs to know
 * @param section which side of the pump it belongs to
 * @param renew what becomes of it at a rebuild
 * @param glyph how the stack drawing shows it
 * @param place where the stack drawing shows it; empty where it is not drawn
 * @param facing which way round it goes, as one sentence; empty where it cannot go wrong
 * @param care what to mind while handling it
 * @param limits measured limits, each with the value to watch and the value to renew at
 * @param look what wear looks like on it
 * @param mostHours running hours after which it is renewed whatever its state; empty where the
 *     sheet sets none
 * @param mostDays days in the pump after which it is renewed whatever it ran; empty where the sheet
 *     sets none
 * @param ways ways of a variant in which it is there at all; empty means always
 * @param onlyFor materials of its role with which it is fitted at all; empty means always
 * @param like parts with the same word look alike and could be swapped; empty means only its own
 *     count
 * @param same parts with the same word are alike in truth: a swap among them does no harm
 * @param condemns signs of wear, ids of the diagnosis library, that renew this part although they
 *     would only be watched on another
 * @param because why a matched part must go back to its place; empty where it need not
 */
public record Part(
    String id,
    String name,
    int count,
    Optional<String> role,
    Optional<String> material,
    Section section,
    Renew renew,
    String glyph,
    Optional<Place> place,
    String facing,
    Set<Care> care,
    List<Limit> limits,
    List<String> look,
    Optional<Double> mostHours,
    Optional<Double> mostDays,
    Set<String> ways,
    Set<String> onlyFor,
    String like,
    String same,
    Set<String> condemns,
    String because) {

  /** Which side of the pump a part belongs to. */
  public enum Section implements Code {
    WET,
    AIR,
    DRIVE,
    FRAME
  }

  /** The limit of a measure; empty where the sheet sets none. */
  public Optional<Limit> limit(String measure) {
    return limits.stream().filter(l -> l.measure().equals(measure)).findFirst();
  }

  /** Whether it is fitted together with a wearing part of this material. */
  public boolean goesWith(String material) {
    return onlyFor.isEmpty() || onlyFor.contains(material);
  }

  /** What becomes of a part at a rebuild. */
  public enum Renew implements Code {
    ONE_TIME,
    INSPECT,
    KEEP
  }

  /** What to mind while handling a part. */
  public enum Care implements Code {
    FRAGILE,
    LOOSE,
    MAGNETIC,
    HEAVY,
    MATCHED,
    INTERCHANGEABLE,
    SHARP
  }

  /**
   * A place in the stack drawing.
   *
   * @param line id of the centre line the part stands on
   * @param at order along the line; parts with the same value share a column
   * @param side A, B or empty
   * @param faces the face that must look one way, in a word; empty where it cannot go wrong
   * @param toward which way that face looks: the middle of the stack or away from it
   * @param angle where it stands on a head drawn in plan, degrees clockwise from the top
   */
  public record Place(
      String line, double at, String side, String faces, Toward toward, double angle) {}

  /** Which way a face looks along its line. */
  public enum Toward implements Code {
    IN,
    OUT
  }

  /**
   * One end of what is sound. Where {@code renew < watch}, smaller is worse.
   *
   * @param watch from here on the part goes back only with a reason
   * @param renew from here on it is renewed
   */
  public record Edge(double watch, double renew) {

    /** Whether smaller is worse. */
    public boolean falls() {
      return renew < watch;
    }

    private Verdict judge(double value) {
      double sign = falls() ? -1 : 1;
      return sign * value >= sign * renew
          ? Verdict.RENEW
          : sign * value >= sign * watch ? Verdict.WATCH : Verdict.SOUND;
    }
  }

  /**
   * A measured limit.
   *
   * @param measure what is measured, kebab-case
   * @param unit unit of all its values
   * @param edge where it stops being sound; of two the one below
   * @param above where it stops being sound above; empty where only one side is bad
   * @param asNew what it measures when new; empty where the sheet does not say
   * @param source where its values come from
   */
  public record Limit(
      String measure,
      String unit,
      Edge edge,
      Optional<Edge> above,
      Optional<Double> asNew,
      Source source) {

    /** Whether it counts either way from nothing: a change of hardness is bad up and down. */
    public boolean eitherWay() {
      return measure.endsWith("-change");
    }

    /** What of a reading counts: its size where it counts either way. */
    public double size(double value) {
      return eitherWay() ? Math.abs(value) : value;
    }

    /** The edge that a reading is nearer to. */
    public Edge toward(double value) {
      return above.filter(a -> size(value) > (edge.watch() + a.watch()) / 2).orElse(edge);
    }

    /** Judges a reading in the limit's own unit. */
    public Verdict judge(double value) {
      return toward(value).judge(size(value));
    }
  }

  /** How the readings of several parts are held against each other. */
  public enum Held implements Code {
    /** The first less the second: the clearance of a bore on its shaft. */
    DIFFERENCE,
    /** The greatest less the least: rollers that run side by side. */
    SPREAD
  }

  /** A measure of one part. */
  public record Measured(String part, String measure) {}

  /**
   * Readings of several parts held against each other.
   *
   * @param id kebab-case, unique within the sheet
   * @param title what it is called
   * @param held difference or spread
   * @param of measures of the parts; two for a difference
   * @param unit unit of all of them
   * @param watch from here on they go back only with a reason
   * @param renew from here on they are renewed together
   */
  public record Compared(
      String id,
      String title,
      Held held,
      List<Measured> of,
      String unit,
      double watch,
      double renew) {

    private static final double DIGITS = 1e9;

    /** Copies its list. */
    public Compared {
      of = List.copyOf(of);
    }

    /** Whether a part takes part in it. */
    public boolean has(String part) {
      return of.stream().anyMatch(m -> m.part().equals(part));
    }

    /** The difference or the spread of {@code values}, which stand in the order of {@code of}. */
    public double value(List<Double> values) {
      double apart =
          held == Held.DIFFERENCE
              ? values.get(0) - values.get(1)
              : Collections.max(values) - Collections.min(values);
      // A difference of decimal readings is a decimal: 30.15 less 29.95 is at the limit of 0.2.
      return Math.rint(apart * DIGITS) / DIGITS;
    }

    /** How a value stands. */
    public Verdict judge(double value) {
      return value >= renew ? Verdict.RENEW : value >= watch ? Verdict.WATCH : Verdict.SOUND;
    }
  }

  /** The outcome of looking at a part. */
  public enum Verdict implements Code {
    SOUND,
    WATCH,
    RENEW
  }

  /** Whether it returns to the place it came from. */
  public boolean matched() {
    return care.contains(Care.MATCHED);
  }

  /** Whether opening its joint spoils this part. */
  public boolean oneTime() {
    return renew == Renew.ONE_TIME;
  }
}
