package isokinon.server.db.pumps;

/** The Weibull shape somebody chose for the failure mode of a group. */
public record FailureModeRow(String role, String material, String dutyGroup, double shape) {}
