package isokinon.core.life.frailty;

import isokinon.core.life.Run;
import java.util.List;

/** The runs of one pump of a group, in the unit of the library's mean life. */
public record PumpRuns(String pump, List<Run> runs) {

  /** The runs of one pump. */
  public PumpRuns {
    runs = List.copyOf(runs);
  }
}
