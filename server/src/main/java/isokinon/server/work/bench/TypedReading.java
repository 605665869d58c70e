package isokinon.server.work.bench;

import jakarta.validation.constraints.Size;

/**
 * A number as it was typed.
 *
 * @param typed as it was typed; empty where nothing was
 * @param unit unit that the field was set to; left out for the sheet's
 * @param gauge gauge that it was read with, id; left out where it was typed without one
 */
public record TypedReading(
    @Size(max = 200) String typed,
    @Size(max = 20) String unit,
    @Size(max = 20) @Identifier String gauge) {}
