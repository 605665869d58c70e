package isokinon.core.wetend;

import java.util.List;
import java.util.Optional;

/**
 * How a material stands in a duty.
 *
 * @param material material code
 * @param verdict of the whole duty
 * @param factor product of chemical, abrasion and suction factors; empty when unsuited or unknown
 * @param limitedBy what came nearest to limiting it
 * @param marginK least (limited - temperature), K; empty when unknown or never fit
 * @param bars how it stands in each fluid, in the order of the duty
 */
public record Rating(
    String material,
    Verdict verdict,
    Optional<Double> factor,
    Optional<LimitedBy> limitedBy,
    Optional<Double> marginK,
    List<Bar> bars) {

  /** Better first; of several, unsuited beats unknown beats limited beats suited. */
  public enum Verdict {
    SUITED,
    LIMITED,
    UNKNOWN,
    UNSUITED;

    /** The worse of two. */
    public Verdict and(Verdict other) {
      return compareTo(other) >= 0 ? this : other;
    }
  }

  /** What limits a material: the fluid (empty for abrasion and suction) and a sentence. */
  public record LimitedBy(String fluid, String reason) {}

  /**
   * A material against one fluid of the duty.
   *
   * @param fluid fluid code
   * @param temperatureC duty temperature, degC
   * @param fullC full resistance up to here; empty where never or unknown
   * @param limitedC limited life up to here; empty where never or unknown
   * @param verdict in this fluid alone
   * @param factor life factor in this fluid alone, 0 when unsuited or unknown
   * @param reason one sentence
   */
  public record Bar(
      String fluid,
      double temperatureC,
      Optional<Double> fullC,
      Optional<Double> limitedC,
      Verdict verdict,
      double factor,
      String reason) {}
}
