package isokinon.core.rebuild;

import java.time.Instant;

/**
 * An act as it was recorded: never changed, never removed.
 *
 * @param seq number within the rebuild, from 1
 * @param at when
 * @param who initials
 * @param lead whether that person leads
 * @param act what
 */
public record BenchEvent(long seq, Instant at, String who, boolean lead, Act act) {}
