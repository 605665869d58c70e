package isokinon.core.schedule;

/**
 * A fixture that jobs share.
 *
 * @param pieces how many of it there are: so many jobs may need it at once
 */
public record Fixture(String id, int pieces) {}
