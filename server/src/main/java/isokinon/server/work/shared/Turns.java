package isokinon.server.work.shared;

import isokinon.core.value.Code;
import isokinon.server.db.shop.TurnMapper;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Writes that look before they write take their turn: one row of the database each, locked until
 * the transaction ends. Whoever comes second looks when the first has written, so that nothing is
 * written twice.
 */
@Component
public class Turns {

  /** What is taken in turns. */
  public enum Turn implements Code {
    HISTORY,
    KEPT_PARTS,
    OWN_ROWS,
    SETUP
  }

  private final TurnMapper store;

  Turns(TurnMapper store) {
    this.store = store;
  }

  /** Waits for this turn and holds it until the transaction in hand ends. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void take(Turn turn) {
    store.take(turn.code());
  }
}
