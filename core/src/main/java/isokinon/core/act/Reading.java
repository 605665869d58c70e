package isokinon.core.act;

/**
 * What an instrument showed.
 *
 * @param value in {@code unit}
 * @param unit as the sheet writes it
 */
public record Reading(double value, String unit) {}
