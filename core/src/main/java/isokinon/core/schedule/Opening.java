package isokinon.core.schedule;

/**
 * A place a job could stand in.
 *
 * @param start slot it starts in, counted from the first midnight of the diary
 * @param person who does it
 */
public record Opening(int start, String person) {}
