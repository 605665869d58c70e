package isokinon.server.work.stages;

import isokinon.core.act.Stage;
import isokinon.core.rebuild.Wait;
import isokinon.core.sheet.Family;
import isokinon.core.value.Code;
import isokinon.server.work.drawing.Rail.PartState;
import java.util.List;
import java.util.Optional;

/**
 * A rebuild as the bench shows it: what every stage shows, and the stage in hand.
 *
 * @param seq number of the last event
 * @param elapsedMinutes at the bench so far, min
 * @param plannedMinutes what the plan takes, min; 0 before there is one
 * @param drawing number of the event that the drawing was last made at: it is fetched from its own
 *     address, and again when this changes
 * @param parts how each part of the drawing stands
 * @param lastStep the step that can be taken back
 * @param state how the pump stands, in the words of the tag that hangs on it
 * @param handover who hands the job over, and how it stands; absent once somebody has taken it on
 * @param inHand what the stage in hand shows
 */
public record BenchView(
    long id,
    PumpHead pump,
    long seq,
    Stage stage,
    List<StageMark> stages,
    double elapsedMinutes,
    double plannedMinutes,
    SheetHead sheet,
    long drawing,
    List<PartState> parts,
    Optional<String> lastStep,
    String state,
    Optional<PauseView> pause,
    Optional<HandoverView> handover,
    List<WaitView> waits,
    StageView inHand) {

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

  /**
   * The sheet of the rebuild.
   *
   * @param manual the maker's manual that pages are of, and its issue; empty where none is named
   */
  public record SheetHead(String id, String title, int revision, String note, String manual) {}

  /**
   * A waiting time that runs, or work that it called for.
   *
   * @param until when it is over, as an instant
   * @param open whether it still matters
   */
  public record WaitView(
      Wait.Kind kind, String subject, String title, String until, boolean open) {}

  /**
   * A job that is handed over and not taken on yet.
   *
   * @param who hands it over
   * @param at when, as it is shown
   * @param locks the energies that were cut and who put a lock there
   * @param off how many parts are off the pump
   * @param toLook how many of them nobody has looked at yet
   */
  public record HandoverView(
      String who, String at, String note, List<LockView> locks, int off, int toLook) {}

  /** An energy that was cut, where, and by whom. */
  public record LockView(String energy, String where, String by) {}

  /** Since when a job rests, and why. */
  public record PauseView(String who, String at, String waitsFor, String note) {}
}
