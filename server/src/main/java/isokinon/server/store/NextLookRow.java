package isokinon.server.store;

/** A pump is looked at again at these hours, sooner than its interval, and why. */
public record NextLookRow(String pump, double atHours, String because) {}
