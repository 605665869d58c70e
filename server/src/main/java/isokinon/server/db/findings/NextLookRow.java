package isokinon.server.db.findings;

/** A pump is looked at again at these hours, sooner than its interval, and why. */
public record NextLookRow(String pump, double atHours, String because) {}
