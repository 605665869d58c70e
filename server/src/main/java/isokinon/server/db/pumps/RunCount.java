package isokinon.server.db.pumps;

/**
 * How many finished runs there are.
 *
 * @param last number of the last one that was added; 0 where there is none
 */
public record RunCount(long last, long runs) {}
