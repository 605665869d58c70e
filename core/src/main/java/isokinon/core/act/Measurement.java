package isokinon.core.act;

import java.util.Optional;

/**
 * A reading of one measure of a part.
 *
 * @param measure measure of the part's limits
 * @param reading what was read
 * @param gauge empty where it was typed without one
 */
public record Measurement(String measure, Reading reading, Optional<GaugeUse> gauge) {}
