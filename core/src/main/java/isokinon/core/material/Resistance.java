package isokinon.core.material;

import java.util.Optional;

/**
 * What a fluid in a band of concentrations does to a material.
 *
 * @param fluid fluid code
 * @param fromPct lowest concentration, %
 * @param toPct highest concentration, %
 * @param material material code
 * @param fullC no attack that matters up to here, degC; empty where it is attacked at once
 * @param limitedC shortened life up to here, degC; empty where it is never fit
 * @param effect what the attack looks like; empty where none is known
 * @param basis what kind of knowledge this is
 * @param source where the figures come from, or that they are starting values
 * @param date day the row was written, ISO 8601
 * @param note a sentence; may be empty
 * @param known how well it is known
 * @param own whether the shop wrote it; an own row counts before every shipped one
 */
public record Resistance(
    String fluid,
    double fromPct,
    double toPct,
    String material,
    Optional<Double> fullC,
    Optional<Double> limitedC,
    Optional<Effect> effect,
    String basis,
    String source,
    String date,
    String note,
    Knowledge known,
    boolean own) {

  /** What is left of a life where a fluid shortens it from the first degree (shop rule). */
  private static final double FROM_THE_FIRST_DEGREE = 0.3;

  /** Which band of which pair it is. */
  public BandKey key() {
    return new BandKey(fluid, material, fromPct, toPct);
  }

  /** Whether {@code pct} lies in this row's band. */
  public boolean holds(double pct) {
    return pct >= fromPct && pct <= toPct;
  }

  /**
   * Life factor at a temperature: 1 up to full, halved for each 10 K above it up to limited, 0
   * beyond. Where only limited is given, life is shortened from the first degree.
   */
  public double factorAt(double temperatureC) {
    if (limitedC.isEmpty() || temperatureC > limitedC.get()) {
      return 0;
    }
    return fullC
        .map(full -> temperatureC <= full ? 1 : Math.pow(2, -(temperatureC - full) / 10))
        .orElse(FROM_THE_FIRST_DEGREE);
  }
}
