package isokinon.server.db.materials;

import isokinon.core.wetend.PairEvidence;
import java.time.OffsetDateTime;

/**
 * Something seen of a material in a fluid.
 *
 * @param pump where; null where it came from elsewhere
 * @param kind hardness, swell, attacked or sound
 * @param reading Shore A or %; 0 for the other kinds
 */
public record FindingRow(
    long id,
    String pump,
    String material,
    String fluid,
    double concentrationPct,
    double temperatureC,
    PairEvidence.Kind kind,
    double reading,
    String note,
    String foundBy,
    OffsetDateTime foundAt) {}
