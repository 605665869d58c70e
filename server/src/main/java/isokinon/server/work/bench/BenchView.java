package isokinon.server.work.bench;

import isokinon.core.rebuild.Stage;
import isokinon.core.rebuild.Wait;
import isokinon.core.sheet.Family;
import isokinon.core.sheet.Handling.About;
import isokinon.core.sheet.Handling.Answer;
import isokinon.core.sheet.Handling.Layout;
import isokinon.core.sheet.Part;
import isokinon.core.sheet.Sheet;
import isokinon.core.stock.LotStatus;
import isokinon.core.torque.TorqueReading;
import isokinon.core.value.Code;
import isokinon.server.work.drawing.Rail;
import isokinon.server.work.drawing.Rail.RailPart;
import isokinon.server.work.shared.StateMark;
import isokinon.server.work.stores.CoverView;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** A rebuild as the bench shows it. Every sentence and number on the screen stands here. */
public record BenchView(
    long id,
    PumpHead pump,
    long seq,
    Stage stage,
    List<StageMark> stages,
    double elapsedMinutes,
    double plannedMinutes,
    SheetHead sheet,
    List<Rail> rails,
    Optional<StepView> step,
    List<NextStep> next,
    List<TrayItem> tray,
    List<Gate> gates,
    List<FluidView> fluids,
    List<InspectItem> inspect,
    DecideView decide,
    List<ProofView> proof,
    HandBackView handBack,
    PlanView plan,
    List<LogLine> log,
    Optional<String> lastStep,
    String state,
    Optional<PauseView> pause,
    List<WaitView> waits,
    FaultView fault) {

  /** The pump and its duty in two lines. */
  public record PumpHead(String tag, String duty, String fitted, String series, Family family) {}

  /** Where a stage stands in the job. */
  public enum StageState implements Code {
    DONE,
    CURRENT,
    AHEAD
  }

  /** A stage, where it stands in the job, and the minutes spent in it. */
  public record StageMark(Stage id, String title, StageState state, double minutes) {}

  /** The sheet of the rebuild. */
  public record SheetHead(String id, String title, int revision, String note) {}

  /** The step in hand. */
  public record StepView(
      String id,
      int number,
      int of,
      boolean stripping,
      String sentence,
      Optional<String> turn,
      String pose,
      List<String> tools,
      boolean toolChange,
      double minutes,
      List<String> apply,
      List<String> cautions,
      List<String> facings,
      List<String> parts,
      List<CheckView> checks,
      Optional<TorqueView> torque,
      String missing,
      List<Pin> pinned,
      List<RailPart> beside,
      List<PlaceView> places,
      String power,
      int learnedJobs) {}

  /** A caution that stays in sight: the mark drawn beside it and what it says. */
  public record Pin(String mark, String say) {}

  /** A place for a matched part, the piece put there, and those on the tray that look alike. */
  public record PlaceView(
      String place, String name, Optional<String> placed, List<Piece> candidates) {}

  /** A piece on the tray. */
  public record Piece(String id, String name) {}

  /** A check of the step and its answer. */
  public record CheckView(
      String id,
      String ask,
      Answer kind,
      String unit,
      Optional<Double> min,
      Optional<Double> max,
      boolean hold,
      About about,
      boolean answered,
      boolean passed,
      Optional<Double> value,
      String by,
      boolean pair,
      String note) {}

  /** The tightening of the step's joint. */
  public record TorqueView(
      int count,
      Layout layout,
      String thread,
      double minNm,
      double maxNm,
      double targetNm,
      String threads,
      String locker,
      String across,
      double retorqueHours,
      List<Integer> order,
      int pass,
      int fullPass,
      int lastRound,
      List<PassView> passes,
      List<FastenerView> fasteners,
      Optional<Integer> nextFastener,
      boolean finished,
      String missing,
      Optional<String> wrench,
      String wrenchBecause,
      double clampKn) {}

  /** A pass: its percent, its band and what was read in it. */
  public record PassView(
      int number, int percent, double minNm, double maxNm, boolean done, List<Read> readings) {}

  /** A reading of one fastener. */
  public record Read(int fastener, double nm) {}

  /** A fastener at full torque. */
  public record FastenerView(
      int number,
      List<Double> readings,
      boolean clicked,
      TorqueReading.Lie lie,
      String say,
      Optional<String> acceptedBecause) {}

  /** A step still ahead. */
  public record NextStep(
      int number, String id, String sentence, String sub, boolean turn, Optional<String> tool) {}

  /** A part on the tray. */
  public record TrayItem(
      String part,
      String name,
      String glyph,
      int count,
      String side,
      boolean matched,
      List<Part.Care> care,
      StateMark state,
      String word) {}

  /** An energy or confirmation of the make-safe gate. */
  public record Gate(
      String id,
      Optional<Sheet.Energy> energy,
      String title,
      String where,
      String act,
      String ask,
      Answer kind,
      String unit,
      Optional<Double> max,
      boolean licensed,
      boolean confirmation,
      boolean answered,
      Optional<Double> value,
      String by,
      String at) {}

  /** A fluid the pump saw, and how to dress for it. */
  public record FluidView(
      String name,
      double concentrationPct,
      double temperatureC,
      List<String> hurts,
      List<String> wear,
      String spilt) {}

  /** A part to judge, or judged. */
  public record InspectItem(
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

  /** A measured limit. */
  public record LimitView(String measure, String name, String unit, double watch, double renew) {}

  /** What goes back in. */
  public record DecideView(
      List<RoleChoice> roles,
      List<RenewItem> parts,
      List<LotView> lots,
      Optional<CoverView> cover,
      List<OutView> out) {}

  /** A role to choose a material for. */
  public record RoleChoice(String role, String fitted, Optional<String> chosen) {}

  /** A part that is renewed, why, and the lot booked for it. */
  public record RenewItem(
      String part,
      String name,
      int count,
      Optional<String> role,
      String because,
      Optional<String> lot) {}

  /** A piece of a lot that is out to this job, and whether it is booked to go in. */
  public record OutView(String lot, String title, String material, String place, boolean fitted) {}

  /** A lot on the shelf. */
  public record LotView(
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

  /** A test of the proof. */
  public record ProofView(
      String id,
      String ask,
      Answer kind,
      String unit,
      Optional<Double> min,
      Optional<Double> max,
      int clockSeconds,
      boolean answered,
      boolean passed,
      Optional<Double> value,
      String by,
      String backTo,
      Optional<String> clockUntil,
      boolean afterWaits,
      boolean calibration,
      List<Double> runs,
      List<PastReading> before,
      String says) {}

  /** A reading of the same test at an earlier rebuild. */
  public record PastReading(double value, String on, double hours, boolean overdue) {}

  /**
   * A waiting time that runs, or work that it called for.
   *
   * @param until when it is over, as an instant
   * @param open whether it still matters
   */
  public record WaitView(
      Wait.Kind kind, String subject, String title, String until, boolean open) {}

  /**
   * What the pump was told to do at the take-in, and what it turned out to be.
   *
   * @param told symptoms and answers in words
   * @param likeliest what stood first then; empty where nothing was told
   * @param said what was found; empty so far
   * @param choices what it may have been
   */
  public record FaultView(
      List<String> told, String likeliest, String said, List<FaultChoice> choices) {}

  /** Something that can be wrong with pumps of this family. */
  public record FaultChoice(String id, String title) {}

  /** What the hand-back says. */
  public record HandBackView(
      List<String> renewed,
      List<String> watched,
      List<String> retorques,
      List<JointLine> joints,
      String nextDue,
      List<String> retired) {}

  /** A joint that was tightened: what was asked, and every reading of every fastener in order. */
  public record JointLine(String step, String asked, String readings) {}

  /** The plan in figures. */
  public record PlanView(
      List<String> strip,
      List<String> build,
      double minutes,
      double buildOnlyMinutes,
      int poseChanges,
      int toolChanges,
      List<String> tools,
      List<String> lubricants,
      boolean optimal,
      int learnedSteps) {}

  /** What is asked comes to: the plan, what it renews, the ways in, and the schools of the job. */
  public record WaysView(
      PlanView plan, List<RenewLine> renew, List<RouteView> routes, List<SchoolView> schools) {}

  /** A part that is renewed and why. */
  public record RenewLine(String part, String name, int count, String because) {}

  /** A way in, the steps to avoid for it, and whether the plan goes it. */
  public record RouteView(
      String title, double minutes, List<String> steps, List<String> avoid, boolean followed) {}

  /** A question good technicians answer differently. */
  public record SchoolView(String id, String ask, List<WayView> ways) {}

  /** An answer: whether it is the standard one, whether the job follows it, and what it costs. */
  public record WayView(
      String id,
      String title,
      String say,
      boolean standard,
      boolean followed,
      double minutes,
      int parts,
      String risk) {}

  /** Since when a job rests, and why. */
  public record PauseView(String who, String at, String waitsFor, String note) {}

  /** A line of the record. */
  public record LogLine(long seq, String at, String who, String say) {}
}
