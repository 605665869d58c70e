package isokinon.core.diaphragm;

import isokinon.core.value.Range;

/**
 * An air-operated double-diaphragm pump at its proof.
 *
 * @param litresPerCycle displacement measured, L for a cycle of both chambers
 * @param lost share of the as-new displacement that is gone, 0 to 1; under 0 where it gives more
 * @param airPerLitre air used for each litre moved, normal litres; NaN where it was not measured
 */
public record AirDriven(double litresPerCycle, double lost, double airPerLitre) {

  /** A loss of a tenth speaks of a check or a diaphragm that leaks (shop rule). */
  public static final double LEAKS_FROM = 0.1;

  /**
   * From flow and stroke rate.
   *
   * @param flowLmin L/min
   * @param cyclesMin cycles a minute, over 0
   * @param asNewL L a cycle when new, over 0
   * @param airNlMin air used, normal litres a minute; NaN where it was not measured
   * @throws IllegalArgumentException naming the value that is out of range
   */
  public static AirDriven of(double flowLmin, double cyclesMin, double asNewL, double airNlMin) {
    Range.check("flowLmin", flowLmin, 0, 1e5);
    Range.check("cyclesMin", cyclesMin, 1e-3, 1e4);
    Range.check("asNewL", asNewL, 1e-6, 1e3);
    if (!Double.isNaN(airNlMin)) {
      Range.check("airNlMin", airNlMin, 0, 1e7);
    }
    double each = flowLmin / cyclesMin;
    return new AirDriven(
        each, (asNewL - each) / asNewL, flowLmin > 0 ? airNlMin / flowLmin : Double.NaN);
  }

  /** Whether balls, seats or diaphragms let liquid back. */
  public boolean leaks() {
    return lost >= LEAKS_FROM;
  }
}
