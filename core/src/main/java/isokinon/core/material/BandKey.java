package isokinon.core.material;

/**
 * Which band of which pair is it? Two rows with the same key say something of the same thing,
 * however their numbers were written.
 *
 * @param fluid fluid code
 * @param material material code
 * @param fromPct lowest concentration, %
 * @param toPct highest concentration, %
 */
public record BandKey(String fluid, String material, double fromPct, double toPct) {

  /** Negative zero is zero. */
  public BandKey {
    fromPct += 0.0;
    toPct += 0.0;
  }
}
