package isokinon.core.ahead;

import isokinon.core.act.Act;
import java.util.List;

/**
 * An act that can come next.
 *
 * @param act with a reading that goes on, where it has one
 * @param then place of the situation after it in the list, once all before it of the same situation
 *     are done too; they may come in any order. An act that leaves the job where it is names its
 *     own
 * @param later what the server has still to work out of it; empty where nothing
 * @param bands what its readings lead to, the narrower before the wider; empty where it goes on
 *     whatever it reads
 */
public record Possible(Act act, int then, String later, List<Band> bands) {

  /** Copies its list. */
  public Possible {
    bands = List.copyOf(bands);
  }
}
