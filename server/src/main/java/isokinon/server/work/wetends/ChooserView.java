package isokinon.server.work.wetends;

import isokinon.core.material.Knowledge;
import isokinon.core.renewal.Consequence;
import isokinon.core.sheet.Family;
import isokinon.core.stock.LotStatus;
import isokinon.core.wetend.Rating;
import isokinon.core.wetend.Sensitivity;
import isokinon.core.wetend.WayOut;
import isokinon.server.work.library.Meetings.MeetingsView;
import isokinon.server.work.pumps.DutyForm;
import java.util.List;
import java.util.Optional;

/**
 * Choosing a wet end: the duty, every role's materials against its fluids, what can go in by what
 * an hour of it costs, and what would change the choice.
 *
 * @param tag whose wet end; empty for a duty typed in
 * @param title construction in words
 * @param family family code
 * @param sheet sheet id; empty where none is known
 * @param lead leading role
 * @param fittedNow leading material in it now; empty where nothing is
 * @param hardware plates and shaft in it now, in words; empty where all share one
 * @param roles the roles of its wet end, leading one first
 * @param kits what can go in, cheapest hour first, unfit ones last
 * @param turns what would change the choice
 * @param questions facts worth asking for
 * @param ways what to change where nothing fits
 * @param meetings which of its fluids must not meet
 * @param offer what the duty allows to come down to; empty where there is nothing cheaper
 * @param note what the figures are worth
 */
public record ChooserView(
    String tag,
    String title,
    Family family,
    String sheet,
    String lead,
    String fittedNow,
    String bodyMaterial,
    String hardware,
    DutyForm duty,
    double hoursPerDay,
    Optional<Consequence> consequence,
    List<RoleView> roles,
    List<KitChoice> kits,
    List<TurnView> turns,
    List<QuestionView> questions,
    List<WayOutView> ways,
    MeetingsView meetings,
    String offer,
    String note) {

  /** A role with every material that could be used in it, those that fit first. */
  public record RoleView(
      String role, boolean wetted, String fittedNow, List<RatedMaterial> materials) {}

  /** A material in its role. */
  public record RatedMaterial(
      String material,
      String name,
      boolean fittedNow,
      Rating.Verdict verdict,
      Optional<Double> factor,
      Optional<Double> marginK,
      String reason,
      List<RatedBar> bars) {}

  /**
   * A material in one fluid.
   *
   * @param known how well the row is known; absent where there is none
   * @param ceilingC the temperature the fluid itself does not go beyond, degC
   */
  public record RatedBar(
      String fluid,
      double temperatureC,
      Optional<Double> fullC,
      Optional<Double> limitedC,
      Optional<Knowledge> known,
      Optional<Double> ceilingC,
      Rating.Verdict verdict,
      boolean own,
      String reason) {}

  /** A part of a wet end with its material and how that stands. */
  public record PartChoice(String role, String material, Rating.Verdict verdict, boolean renewed) {}

  /**
   * A wet end that could go in.
   *
   * @param id names it among the others
   * @param lot first lot on the shelf that may be fitted; empty where there is none
   * @param weakest role that decides its verdict
   * @param because the sentence that decides
   * @param costPer1000h pounds; empty where it is unfit
   * @param lifeRole the part that gives out first
   * @param changeAtHours age to change it at; empty where running it until it fails is cheapest
   * @param stopsPer1000h failures to expect
   * @param hardwareNote what it needs besides, or that it fits what is in the pump
   * @param hardwarePrice pounds for other plates, shaft or rotor
   * @param quantity on the shelf and fit to be used
   * @param leadDays days until it would come
   * @param known how well the least known of its parts is known in this duty
   * @param runsFailed whether each of this shop's last few runs in this material and duty had
   *     failed, the latest last
   */
  public record KitChoice(
      String id,
      Optional<String> lot,
      String title,
      String material,
      List<PartChoice> parts,
      boolean fittedNow,
      Rating.Verdict verdict,
      String weakest,
      String because,
      Optional<Double> costPer1000h,
      Optional<Double> costLow,
      Optional<Double> costHigh,
      Optional<Double> lifeHours,
      Optional<Double> lifeLow,
      Optional<Double> lifeHigh,
      String lifeRole,
      Optional<Double> changeAtHours,
      Optional<Double> stopsPer1000h,
      double price,
      double labourMinutes,
      String hardwareNote,
      double hardwarePrice,
      int quantity,
      String place,
      Optional<LotStatus> status,
      String statusSays,
      int leadDays,
      Knowledge known,
      List<Boolean> runsFailed,
      String evidence) {}

  /** What would change the choice; the fluid's place in the duty, the axis and the last value. */
  public record TurnView(
      int exposure, Sensitivity.Axis axis, boolean upward, double at, String sentence) {}

  /** A fact worth asking for. */
  public record QuestionView(String field, String ask, String because) {}

  /** What to change where nothing fits. */
  public record WayOutView(int exposure, WayOut.Kind kind, double to, String sentence) {}
}
