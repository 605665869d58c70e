package isokinon.server.work.inspection;

/** Why a part of a pump wore, as it was found. */
public record FoundCause(
    String on, String part, String cause, String counters, double hours, String note) {}
