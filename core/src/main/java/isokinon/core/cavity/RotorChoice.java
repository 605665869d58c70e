package isokinon.core.cavity;

import java.util.Optional;

/**
 * Which rotor sits right in a stator at a duty, the same for the pump on the bench and for a kit
 * that is only thought of.
 *
 * @param stator the stator and the rotors it takes
 * @param statorAlphaPerK linear expansion of its elastomer, 1/K
 * @param rotorAlphaPerK linear expansion of the rotor, 1/K
 * @param swell volume swell of the elastomer, 0.03 is 3 %
 * @param hottestC hottest fluid of the duty, °C
 */
public record RotorChoice(
    RotorFit.Stator stator,
    double statorAlphaPerK,
    double rotorAlphaPerK,
    double swell,
    double hottestC) {

  /** The temperature that a stator is measured at, °C. */
  public static final double AS_BUILT_C = 20;

  /** Linear expansion of an elastomer where the library does not tell it, 1/K (usual value). */
  private static final double RUBBER_ALPHA = 1.6e-4;

  /** Linear expansion of a rotor where the library does not tell it, 1/K (usual value, steel). */
  private static final double STEEL_ALPHA = 1.2e-5;

  /** With the usual expansions where none are known, and no swell where none was seen. */
  public static RotorChoice of(
      RotorFit.Stator stator,
      Optional<Double> statorAlphaPerK,
      Optional<Double> rotorAlphaPerK,
      Optional<Double> swell,
      double hottestC) {
    return new RotorChoice(
        stator,
        statorAlphaPerK.orElse(RUBBER_ALPHA),
        rotorAlphaPerK.orElse(STEEL_ALPHA),
        swell.orElse(0.0),
        hottestC);
  }

  /**
   * How a rotor sits at the duty, right or not.
   *
   * @param classMm what it is smaller than the standard one, mm, 0 or less
   * @throws IllegalArgumentException where the elastomer would fill the bore
   */
  public RotorFit fit(double classMm) {
    return RotorFit.at(
        stator.boreRadiusMm(),
        stator.tubeRadiusMm(),
        statorAlphaPerK,
        hottestC - AS_BUILT_C,
        swell,
        stator.rotorDiameterMm() + classMm,
        rotorAlphaPerK);
  }

  /** A rotor of this class, where it sits within the stator's band. */
  public Optional<RotorFit.Choice> right(double classMm) {
    return of(stator.only(classMm));
  }

  /** The largest rotor to be had that sits within the band; empty where none does. */
  public Optional<RotorFit.Choice> largest() {
    return of(stator);
  }

  private Optional<RotorFit.Choice> of(RotorFit.Stator among) {
    return RotorFit.choose(among, statorAlphaPerK, hottestC - AS_BUILT_C, swell, rotorAlphaPerK);
  }
}
