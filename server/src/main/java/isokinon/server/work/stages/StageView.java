package isokinon.server.work.stages;

import io.swagger.v3.oas.annotations.media.Schema;
import isokinon.core.act.Stage;
import isokinon.core.sheet.Handling.Answer;
import isokinon.core.sheet.Part;
import isokinon.core.sheet.Sheet;
import isokinon.core.stock.LotStatus;
import isokinon.core.value.Source;
import isokinon.server.work.library.Meetings.MeetingsView;
import isokinon.server.work.shared.StateMark;
import isokinon.server.work.stores.CoverView;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What the stage in hand shows, and nothing of the others. */
@Schema(
    discriminatorProperty = "stage",
    oneOf = {
      StageView.TakeIn.class,
      StageView.MakeSafe.class,
      StageView.Strip.class,
      StageView.Inspect.class,
      StageView.Decide.class,
      StageView.Build.class,
      StageView.Prove.class,
      StageView.HandBack.class,
      StageView.Closed.class
    })
public sealed interface StageView {

  /** The stage it shows. */
  Stage stage();

  /** The pump comes in: ways in and schools are asked for as they are chosen. */
  @Schema(name = "TakeInStage")
  record TakeIn(Stage stage) implements StageView {}

  /** The gate: energies to prove gone, fluids to dress for, what the job will take. */
  @Schema(name = "MakeSafeStage")
  record MakeSafe(
      Stage stage, List<Gate> gates, List<FluidView> fluids, MeetingsView meetings, PlanView plan)
      implements StageView {}

  /** The step in hand on the way in; empty while it is worked out. */
  @Schema(name = "StripStage")
  record Strip(
      Stage stage,
      Optional<StepView> step,
      List<NextStep> next,
      List<TrayItem> tray,
      List<TrayItem> aside,
      PlanView plan)
      implements StageView {}

  /** Parts to judge, and what that makes of the job. */
  @Schema(name = "InspectStage")
  record Inspect(Stage stage, List<InspectItem> inspect, List<RenewItem> parts, PlanView plan)
      implements StageView {}

  /** What goes back in. */
  @Schema(name = "DecideStage")
  record Decide(Stage stage, DecideView decide) implements StageView {}

  /** The step in hand on the way back. */
  @Schema(name = "BuildStage")
  record Build(
      Stage stage,
      Optional<StepView> step,
      List<NextStep> next,
      List<TrayItem> tray,
      List<TrayItem> aside,
      PlanView plan)
      implements StageView {}

  /** The tests. */
  @Schema(name = "ProveStage")
  record Prove(Stage stage, List<ProofView> proof) implements StageView {}

  /** What goes back with the pump, and pieces that came here and do not go in. */
  @Schema(name = "HandBackStage")
  record HandBack(Stage stage, HandBackView handBack, FaultView fault, List<OutView> out)
      implements StageView {}

  /** What went back with the pump. */
  @Schema(name = "ClosedStage")
  record Closed(Stage stage, HandBackView handBack) implements StageView {}

  /**
   * An energy or confirmation of the make-safe gate.
   *
   * @param licensed whether the law reserves it to licensed people in many places
   * @param electrical whether somebody licensed for electrical work has to sign for it
   * @param here which valve, isolator or lock at this position; absent where nobody recorded it
   */
  record Gate(
      String id,
      Optional<Sheet.Energy> energy,
      String title,
      String where,
      Optional<String> here,
      String act,
      String ask,
      Answer kind,
      String unit,
      Optional<Double> min,
      Optional<Double> max,
      String orConfirm,
      boolean licensed,
      boolean electrical,
      boolean confirmation,
      boolean answered,
      Optional<Double> value,
      String by,
      String at) {}

  /** A fluid the pump saw, and how to dress for it. */
  record FluidView(
      String name,
      double concentrationPct,
      double temperatureC,
      List<String> hurts,
      List<String> wear,
      String spilt) {}

  /** A step still ahead. */
  record NextStep(
      int number, String id, String sentence, String sub, boolean turn, Optional<String> tool) {}

  /** A part on the tray. */
  record TrayItem(
      String part,
      String name,
      String glyph,
      int count,
      String side,
      boolean matched,
      List<Part.Care> care,
      StateMark state,
      String word) {}

  /** A part to judge, or judged. */
  record InspectItem(
      String part,
      String name,
      String glyph,
      int count,
      List<String> look,
      List<LimitView> limits,
      boolean reached,
      StateMark state,
      boolean renewedAnyway,
      String because,
      String measured,
      List<String> signs,
      String cause) {}

  /**
   * A measured limit.
   *
   * @param above where it is bad above as well; absent where only one side is bad
   * @param source where its values come from
   */
  record LimitView(
      String measure,
      String name,
      String unit,
      double watch,
      double renew,
      Optional<Part.Edge> above,
      Source source) {}

  /** What goes back in. */
  record DecideView(
      List<RoleChoice> roles,
      List<RenewItem> parts,
      List<LotView> lots,
      Optional<CoverView> cover,
      List<OutView> out) {}

  /** A role to choose a material for. */
  record RoleChoice(String role, String fitted, Optional<String> chosen) {}

  /** A part that is renewed, why, and the lot booked for it. */
  record RenewItem(
      String part,
      String name,
      int count,
      Optional<String> role,
      String because,
      Optional<String> lot) {}

  /** A piece of a lot that is out to this job, and whether it is booked to go in. */
  record OutView(String lot, String title, String material, String place, boolean fitted) {}

  /** A lot on the shelf. */
  record LotView(
      String id,
      String kit,
      String title,
      String material,
      String cured,
      Optional<String> useBy,
      LotStatus status,
      String statusSays,
      int quantity,
      double price,
      String place,
      List<String> covers,
      Map<String, String> materials) {}

  /**
   * A test of the proof.
   *
   * @param missed whether it was tried and did not hold
   * @param seen what was seen then, in words; may be empty
   * @param backTo steps that may be behind it, the likeliest first
   * @param shows symptoms it is a sign of, ids
   * @param source where its limits come from
   */
  record ProofView(
      String id,
      String ask,
      Answer kind,
      String unit,
      Optional<Double> min,
      Optional<Double> max,
      int clockSeconds,
      boolean answered,
      boolean passed,
      boolean missed,
      String seen,
      Optional<Double> value,
      String by,
      List<StepBehind> backTo,
      List<String> shows,
      Optional<String> clockUntil,
      boolean afterWaits,
      boolean calibration,
      List<Double> runs,
      List<PastReading> before,
      String says,
      Source source) {}

  /**
   * A step that may be behind a test that does not hold.
   *
   * @param step its id
   * @param sentence what is done there
   * @param done whether it was done in this job
   * @param reaches whether the job can be sent back to it
   */
  record StepBehind(String step, String sentence, boolean done, boolean reaches) {}

  /** A reading of the same test at an earlier rebuild. */
  record PastReading(double value, String on, double hours, boolean overdue) {}

  /**
   * What the pump was told to do at the take-in, and what it turned out to be.
   *
   * @param told symptoms and answers in words
   * @param likeliest what stood first then; empty where nothing was told
   * @param said what was found; empty so far
   * @param choices what it may have been
   */
  record FaultView(List<String> told, String likeliest, String said, List<FaultChoice> choices) {}

  /** Something that can be wrong with pumps of this family. */
  record FaultChoice(String id, String title) {}

  /**
   * What the hand-back says.
   *
   * @param consumed grease, oil and the like that the job used, with the lot
   */
  record HandBackView(
      List<String> renewed,
      List<String> watched,
      List<String> retorques,
      List<JointLine> joints,
      String nextDue,
      List<String> retired,
      List<String> consumed,
      Optional<Signature> signedOff) {}

  /**
   * Who signed, and when.
   *
   * @param who initials
   * @param at day and time of the shop
   */
  record Signature(String who, String at) {}

  /**
   * A joint that was tightened: what was asked, and every reading of every fastener in order.
   *
   * @param source where the torque comes from
   */
  record JointLine(String step, String asked, Source source, String readings) {}

  /** The plan in figures. */
  record PlanView(
      List<String> strip,
      List<String> build,
      double minutes,
      double buildOnlyMinutes,
      double clockMinutes,
      int poseChanges,
      int toolChanges,
      List<String> tools,
      List<String> lubricants,
      boolean optimal,
      int mostPosesOff,
      int mostToolsOff,
      int learnedSteps) {}
}
