package isokinon.server.db.rebuilds;

/** Median minutes of a step over closed rebuilds. */
public record StepMedianRow(String step, boolean building, double minutes, int jobs) {}
