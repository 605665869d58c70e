package isokinon.server.store;

/** One fluid of a pump's duty: concentration in %, temperature in degC, share of time 0 to 1. */
public record ExposureRow(
    String pump,
    int position,
    String fluid,
    double concentrationPct,
    double temperatureC,
    double share,
    String note) {}
