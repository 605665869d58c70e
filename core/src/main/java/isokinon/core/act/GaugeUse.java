package isokinon.core.act;

/**
 * A gauge of the shop that a reading was taken with.
 *
 * @param id of the gauge
 * @param overdue whether it was out of calibration then
 */
public record GaugeUse(String id, boolean overdue) {}
