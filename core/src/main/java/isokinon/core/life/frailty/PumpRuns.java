package isokinon.core.life.frailty;

import isokinon.core.life.Run;
import java.util.List;

/** The runs of one pump of a group, in the unit of the library's mean life. */
public record PumpRuns(String pump, List<Run> runs) {

  /** The runs of one pump. */
  public PumpRuns {
    runs = List.copyOf(runs);
  }

  /**
   * The runs that say something: a sound one of no length does not. One that failed at once has an
   * age of a thousandth of the mean life: at none at all no Weibull life could have failed.
   *
   * @param meanLife in the unit of the ages
   */
  List<Run> telling(double meanLife) {
    double least = LEAST_AGE * meanLife;
    return runs.stream()
        .filter(r -> r.failed() || r.age() > r.from())
        .map(r -> r.failed() && r.age() < least ? new Run(0, least, true) : r)
        .toList();
  }

  private static final double LEAST_AGE = 1e-3;
}
