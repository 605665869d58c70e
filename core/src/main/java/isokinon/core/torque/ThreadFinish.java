package isokinon.core.torque;

import isokinon.core.value.Code;
import java.util.Optional;

/** What is on a thread while it is tightened, and how much of the torque it lets through. */
public enum ThreadFinish implements Code {
  DRY(0.20),
  DEGREASED(0.20),
  WET_WITH_WATER(0.18),
  OILED(0.15),
  FOOD_GRADE_PASTE(0.13),
  ANTI_SEIZE(0.12);

  private final double nutFactor;

  ThreadFinish(double nutFactor) {
    this.nutFactor = nutFactor;
  }

  /** Nut factor K, no unit: the usual value for steel threads in that state. */
  public double nutFactor() {
    return nutFactor;
  }

  /**
   * The state a sheet names, for example {@code food-grade paste}; empty where it is no known one.
   */
  public static Optional<ThreadFinish> of(String threads) {
    return Code.parse(ThreadFinish.class, threads.strip().replace(' ', '-'));
  }
}
