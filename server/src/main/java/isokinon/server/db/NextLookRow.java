package isokinon.server.db;

/** A pump is looked at again at these hours, sooner than its interval, and why. */
public record NextLookRow(String pump, double atHours, String because) {}
