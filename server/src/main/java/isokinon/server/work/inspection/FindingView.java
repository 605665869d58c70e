package isokinon.server.work.inspection;

import isokinon.core.sheet.Part;
import isokinon.core.value.Source;
import java.util.List;
import java.util.Optional;

/**
 * A part in hand at Inspect: what to look for, what was read, what that makes of it and why it may
 * have worn.
 *
 * @param verdict what readings and signatures make of it
 * @param because one sentence for each of them, the worst first
 * @param facts what else is computed of it: how a rotor sits, what magnets carry
 * @param causes likeliest first; empty before anything bad is seen
 * @param again the same cause on this pump before, said out loud; empty where there is none
 * @param next when it is looked at again
 * @param cause what was said of its cause
 */
public record FindingView(
    String part,
    List<SignView> signatures,
    List<MeasureView> measures,
    Part.Verdict verdict,
    List<String> because,
    List<Fact> facts,
    List<CauseView> causes,
    String again,
    NextView next,
    Optional<CauseSaid> cause) {

  /** What is asked: the part, and the signatures pressed so far. */
  public record FindingQuestion(String part, List<String> signs) {}

  /**
   * A signature to look for.
   *
   * @param look the sheet's own words for it
   */
  public record SignView(
      String id, String title, String say, String look, Part.Verdict outcome, boolean seen) {}

  /**
   * A measure of the part with its limit and last reading.
   *
   * @param above where it is bad above as well; absent where only one side is bad
   * @param before what it read at an earlier rebuild of the same part, as a sentence; may be empty
   * @param source where its limit comes from
   */
  public record MeasureView(
      String measure,
      String name,
      String unit,
      Optional<Double> asNew,
      double watch,
      double renew,
      Optional<Part.Edge> above,
      boolean eitherWay,
      Optional<Double> value,
      String by,
      boolean overdue,
      String before,
      Source source) {}

  /** Something computed of the part, and how it stands. */
  public record Fact(String say, Part.Verdict verdict) {}

  /**
   * A cause with its chance before anything was seen and now, 0 to 1.
   *
   * @param raised what spoke for it
   * @param lowered what spoke against it
   */
  public record CauseView(
      String id,
      String title,
      String say,
      boolean outside,
      double before,
      double chance,
      List<String> raised,
      List<String> lowered,
      List<CounterView> counters) {}

  /** A counter-measure. */
  public record CounterView(String id, String title, String say) {}

  /** The next look: hours from now, against the planned interval. */
  public record NextView(double planned, double hours, String because) {}

  /**
   * What was said of the cause.
   *
   * @param id of the cause; absent where it is not known
   */
  public record CauseSaid(
      Optional<String> id,
      String title,
      List<String> counters,
      String note,
      String by,
      String at) {}
}
