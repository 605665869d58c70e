package isokinon.core.material;

import static isokinon.core.value.Numbers.plain;

import isokinon.core.value.Code;
import java.util.Comparator;
import java.util.Locale;
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

  /** The row with the lowest limits first. */
  public static final Comparator<Resistance> WORST_FIRST =
      Comparator.comparingDouble((Resistance r) -> r.limitedC().orElse(-1e9))
          .thenComparingDouble(r -> r.fullC().orElse(-1e9));

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

  /**
   * Whether a temperature is past the middle between full and limited, or life is shortened from
   * the first degree: a surface that must stay smooth is not fitted there.
   */
  public boolean pastHalfway(double temperatureC) {
    return limitedC.isPresent()
        && fullC.map(full -> temperatureC > (full + limitedC.get()) / 2).orElse(true);
  }

  /**
   * What attacks what, and up to where it goes, in one sentence.
   *
   * @param fluidName the fluid as the start of a sentence
   * @param kind of the material: a metal is attacked at a threshold, a polymer in a shortened life
   */
  public String why(String fluidName, MaterialKind kind) {
    String at = fromPct == 0 && toPct == 100 ? "" : " of " + strength();
    if (limitedC.isPresent() && effect.isEmpty()) {
      return String.format(
          Locale.ROOT,
          "%s%s does nothing to %s that matters up to %s °C.",
          fluidName,
          at,
          material,
          plain(fullC.or(() -> limitedC).get()));
    }
    String attacks =
        fluidName + at + " " + effect.map(Code::code).orElse("attacks") + " " + material;
    if (limitedC.isEmpty()) {
      return attacks + " at any temperature.";
    }
    String last = plain(limitedC.get());
    if (fullC.isEmpty()) {
      return attacks + " from the first degree, and is not borne over " + last + " °C.";
    }
    return String.format(
        Locale.ROOT,
        kind.thresholds()
            ? "%s: not up to %s °C, perhaps up to %s °C, surely beyond."
            : "%s: hardly up to %s °C, in a shortened life up to %s °C, too fast beyond.",
        attacks,
        plain(fullC.get()),
        last);
  }

  private String strength() {
    return fromPct == toPct ? plain(fromPct) + " %" : plain(fromPct) + " to " + plain(toPct) + " %";
  }
}
