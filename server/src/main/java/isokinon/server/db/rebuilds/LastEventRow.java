package isokinon.server.db.rebuilds;

/** A rebuild and the number of its last event; 0 before the first. */
public record LastEventRow(long id, String pump, boolean closed, long seq) {}
