package isokinon.server.work;

import java.util.List;
import java.util.Optional;

/** A rebuild as the bench shows it. Every sentence and number on the screen stands here. */
public record BenchView(
    long id,
    PumpHead pump,
    long seq,
    String stage,
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
    Optional<String> lastStep) {

  /** The pump and its duty in two lines. */
  public record PumpHead(String tag, String duty, String fitted, String series, String family) {}

  /** A stage: done, current or ahead, and the minutes spent in it. */
  public record StageMark(String id, String title, String state, double minutes) {}

  /** The sheet of the rebuild. */
  public record SheetHead(String id, String title, int revision, String note) {}

  /** Lines of the stack drawing laid end to end, with their parts. */
  public record Rail(String id, String title, boolean inPlan, List<RailLine> lines) {}

  /** One centre line. */
  public record RailLine(
      String id, int axes, String note, boolean mirrored, List<RailPart> parts) {}

  /** A part as drawn: where it is, what is known of it. */
  public record RailPart(
      String id,
      String name,
      String glyph,
      double at,
      String side,
      int count,
      String facing,
      String faces,
      String toward,
      List<String> care,
      String where,
      String state,
      String word,
      String subWord) {}

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
      String missing) {}

  /** A check of the step and its answer. */
  public record CheckView(
      String id,
      String ask,
      String kind,
      String unit,
      Optional<Double> min,
      Optional<Double> max,
      boolean hold,
      boolean answered,
      boolean passed,
      Optional<Double> value,
      String by) {}

  /** The tightening of the step's joint. */
  public record TorqueView(
      int count,
      String layout,
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
      String lie,
      String say,
      Optional<String> acceptedBecause) {}

  /** A step still ahead. */
  public record NextStep(
      int number, String id, String sentence, String sub, boolean turn, Optional<String> tool) {}

  /** A part on the tray. */
  public record TrayItem(
      String part, String name, String glyph, int count, String state, String word) {}

  /** An energy or confirmation of the make-safe gate. */
  public record Gate(
      String id,
      String energy,
      String title,
      String where,
      String act,
      String ask,
      String kind,
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
      String state,
      boolean renewedAnyway,
      String because,
      String measured) {}

  /** A measured limit. */
  public record LimitView(String measure, String name, String unit, double watch, double renew) {}

  /** What goes back in. */
  public record DecideView(List<RoleChoice> roles, List<RenewItem> parts, List<LotView> lots) {}

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

  /** A lot on the shelf. */
  public record LotView(
      String id,
      String kit,
      String title,
      String material,
      String cured,
      Optional<String> useBy,
      String standing,
      String standingSays,
      int quantity,
      double price,
      String place,
      List<String> covers) {}

  /** A test of the proof. */
  public record ProofView(
      String id,
      String ask,
      String kind,
      String unit,
      Optional<Double> min,
      Optional<Double> max,
      int clockSeconds,
      boolean answered,
      boolean passed,
      Optional<Double> value,
      String by,
      String backTo) {}

  /** What the hand-back says. */
  public record HandBackView(
      List<String> renewed,
      List<String> watched,
      List<String> retorques,
      List<JointLine> joints,
      String nextDue) {}

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
      boolean optimal) {}

  /** A line of the record. */
  public record LogLine(long seq, String at, String who, String say) {}
}
