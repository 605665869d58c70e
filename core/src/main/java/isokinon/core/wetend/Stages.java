package isokinon.core.wetend;

import isokinon.core.value.Range;
import isokinon.core.wetend.Duty.Abrasion;

/** How many stages a pressure takes, so that no stage carries more than the solids allow. */
public final class Stages {

  private Stages() {}

  /** Most pressure for each stage, bar: 6 clean, 4.5 light, 3 medium, 2 heavy abrasion. */
  public static double allowedBar(Abrasion abrasion) {
    return switch (abrasion) {
      case NONE -> 6;
      case LIGHT -> 4.5;
      case MEDIUM -> 3;
      case HEAVY -> 2;
    };
  }

  /**
   * Stages that a pressure takes.
   *
   * @param pressureBar differential pressure, bar, 0 to 400
   * @throws IllegalArgumentException naming a pressure that is out of range
   */
  public static int needed(double pressureBar, Abrasion abrasion) {
    Range.check("pressureBar", pressureBar, 0, 400);
    return Math.max(1, (int) Math.ceil(pressureBar / allowedBar(abrasion) - 1e-9));
  }
}
