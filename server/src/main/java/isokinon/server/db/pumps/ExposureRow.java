package isokinon.server.db.pumps;

import isokinon.core.wetend.FluidUse;

/**
 * One fluid of a pump's duty: concentration in %, highest temperature in degC, share of time 0 to
 * 1.
 *
 * @param usualC temperature it has most of the time, degC; null where it is always the highest
 * @param kind process, cleaning or standing
 */
public record ExposureRow(
    String pump,
    int position,
    String fluid,
    double concentrationPct,
    double temperatureC,
    double share,
    String note,
    Double usualC,
    FluidUse kind) {

  /** The same fluid so much hotter, K. */
  public ExposureRow hotter(double kelvin) {
    return new ExposureRow(
        pump,
        position,
        fluid,
        concentrationPct,
        temperatureC + kelvin,
        share,
        note,
        usualC == null ? null : usualC + kelvin,
        kind);
  }
}
