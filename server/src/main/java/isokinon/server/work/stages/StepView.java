package isokinon.server.work.stages;

import isokinon.core.sheet.Handling.About;
import isokinon.core.sheet.Handling.Answer;
import isokinon.core.sheet.Handling.Layout;
import isokinon.core.torque.TorqueReading;
import isokinon.core.value.Code;
import isokinon.core.value.Source;
import isokinon.server.work.drawing.Rail.RailPart;
import java.util.List;
import java.util.Optional;

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
    String tightBySign,
    Optional<Rotation> rotation,
    String missing,
    List<Pin> pinned,
    List<RailPart> beside,
    List<PlaceView> places,
    String power,
    int learnedJobs) {

  /** Which way something is turned, and where somebody stands who sees it so. */
  public record Rotation(boolean clockwise, String seenFrom) {}

  /** Marks of cautions that stay in sight. */
  public enum PinMark implements Code {
    MAINS,
    AIR,
    PRESSURE,
    MAGNET,
    WEIGHT,
    SPRING,
    BRITTLE
  }

  /** A caution that stays in sight: the mark drawn beside it and what it says. */
  public record Pin(PinMark mark, String say) {}

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
      String note,
      String left,
      boolean second,
      String secondBy,
      Optional<Double> markReading,
      Optional<Double> within,
      int clockSeconds,
      boolean settled) {}

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
      double clampKn,
      Source source) {}

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
}
