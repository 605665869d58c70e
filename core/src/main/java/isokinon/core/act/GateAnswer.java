package isokinon.core.act;

import java.time.Instant;
import java.util.Optional;

/**
 * How an energy or a confirmation of the make-safe gate was answered.
 *
 * @param who initials
 * @param at when
 * @param reading what the gauge showed; empty where it was only confirmed
 */
public record GateAnswer(String who, Instant at, Optional<Reading> reading) {}
