package isokinon.server.work.ahead;

import isokinon.core.join.Join;
import isokinon.server.work.stages.BenchView;
import java.util.List;
import java.util.Optional;

/**
 * Two stories of one job beside each other.
 *
 * @param view the job on the server now
 * @param recorded whether the acts that waited are in it
 * @param open points that a person has still to decide
 * @param theirs what was done on the server meanwhile, in order
 * @param mine the acts that waited, in order
 */
public record JoinView(
    BenchView view, boolean recorded, int open, List<Theirs> theirs, List<Mine> mine) {

  /**
   * Something that was done on the server meanwhile.
   *
   * @param seq number of the event
   * @param at when, as it is shown
   * @param who initials
   * @param say in words
   */
  public record Theirs(long seq, String at, String who, String say) {}

  /**
   * An act that waited.
   *
   * @param key of the act
   * @param at when it was done, as it is shown
   * @param say in words
   * @param fate what becomes of it
   * @param because why it is refused now; empty where it is not
   * @param against number of the event that answers the same; absent where none does
   * @param decision what a person decided; absent where nobody did
   * @param open whether a person has still to decide
   */
  public record Mine(
      String key,
      String at,
      String say,
      Join.Fate fate,
      String because,
      Optional<Long> against,
      Optional<Join.Decision> decision,
      boolean open) {}
}
