package isokinon.server.db.pumps;

import isokinon.core.wetend.Duty;
import java.time.OffsetDateTime;

/**
 * What is known of a pump's wet end beside its fluids; null is unknown.
 *
 * @param hardware set of plates and shaft in it, by the id of its sheet; empty where all share one
 * @param rotorClassMm rotor in it, difference to the standard one, mm
 * @param parts materials by role as {@code role=material;...}
 * @param stopCost what a stop by failure costs beyond kit and labour, pounds
 * @param pressureBar discharge pressure, bar
 * @param viscosityMpas mPa·s
 * @param densityKgM3 kg/m3
 * @param solidsMm largest solids, mm
 * @param solidsPct solids, % of mass
 * @param solidsMohs their hardness, Mohs
 * @param ambientC coldest surroundings, degC
 * @param zone none, static or explosive
 * @param chlorideMgL chloride, the highest, mg/L
 * @param phLow the lowest pH
 * @param phHigh the highest pH
 * @param chlorineMgL free chlorine, the highest, mg/L
 */
public record WetEndRow(
    String pump,
    String hardware,
    double rotorClassMm,
    String parts,
    double stopCost,
    Double pressureBar,
    Double viscosityMpas,
    Double densityKgM3,
    Double solidsMm,
    Double solidsPct,
    Double solidsMohs,
    Double ambientC,
    Boolean food,
    Duty.Zone zone,
    Boolean runsDry,
    String changedBy,
    OffsetDateTime changedAt,
    Double chlorideMgL,
    Double phLow,
    Double phHigh,
    Double chlorineMgL) {

  /** A pump of which nothing is known yet. */
  public static WetEndRow unknown(String pump) {
    return of(pump, "", 0);
  }

  /** A pump of which only its plates and shaft are known, and what a stop costs, pounds. */
  public static WetEndRow of(String pump, String hardware, double stopCost) {
    return new WetEndRow(
        pump, hardware, 0, "", stopCost, null, null, null, null, null, null, null, null, null, null,
        "", null, null, null, null, null);
  }
}
