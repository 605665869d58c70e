package isokinon.server.work.ahead;

import isokinon.core.ahead.Band;
import isokinon.server.work.drawing.Rail;
import isokinon.server.work.inspection.FindingView;
import isokinon.server.work.stages.BenchView;
import java.util.List;
import java.util.Map;

/**
 * A job worked out ahead: the situations it usually comes to, one after the other, from the one it
 * is in.
 *
 * @param seq number of the last event it was worked out from
 * @param at when, as an instant: the time that every act in it is supposed to be done at
 * @param drawing as it stands now
 * @param situations in the order they usually come; a number in {@code then} is a place here
 * @param findings what is known of each part that will be looked at, before anybody has
 */
public record AheadView(
    long seq,
    String at,
    List<Rail> drawing,
    List<FindingView> findings,
    List<SituationView> situations) {

  /**
   * How the job may stand.
   *
   * @param view what the bench shows then
   * @param may acts that can come next
   * @param waits why nothing can come here without the server; empty where something can
   */
  public record SituationView(BenchView view, List<MayView> may, String waits) {}

  /**
   * An act that can come next.
   *
   * @param kind of the act, for example {@code STEP_DONE}
   * @param of what it is done to: fields of the act that must be these
   * @param then place of the situation after it, once all before it here are done too; its own
   *     where the job stays where it is
   * @param later what the server has still to work out of it; empty where nothing
   * @param bands what its readings lead to: the first one that a reading lies in holds
   */
  public record MayView(
      String kind, Map<String, String> of, int then, String later, List<Band> bands) {}
}
