package isokinon.server.work.bench;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;

/**
 * A reading of one measure of a part.
 *
 * @param measure measure of the part's limits
 * @param reading as it was typed
 */
public record TypedMeasurement(
    @NotNull @Identifier String measure, @NotNull @Valid TypedReading reading) {}
