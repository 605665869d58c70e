package isokinon.server.store;

/** A lot of which a piece is out to a job. */
public record OutRow(String id) {}
