package isokinon.core.ahead;

import isokinon.core.rebuild.Rebuild;
import java.util.List;

/**
 * How a job may stand.
 *
 * @param rebuild the job then
 * @param possible what can come next; empty where only the server can say it
 * @param waits why nothing can come here without the server; empty where something can
 */
public record Situation(Rebuild rebuild, List<Possible> possible, String waits) {

  /** Copies its list. */
  public Situation {
    possible = List.copyOf(possible);
  }
}
