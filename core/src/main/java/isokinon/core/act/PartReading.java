package isokinon.core.act;

/**
 * A reading of a part as it stands on the record.
 *
 * @param who initials
 * @param measurement what was read, and with which gauge
 */
public record PartReading(String who, Measurement measurement) {}
