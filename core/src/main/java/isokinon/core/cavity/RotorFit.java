package isokinon.core.cavity;

import isokinon.core.value.InvalidQuantity;
import isokinon.core.value.Range;
import java.util.List;
import java.util.Optional;

/**
 * How tight a rotor sits in its stator at a temperature. The elastomer is bonded in a rigid tube,
 * so all it gains in volume goes into the bore: a' = √(b² - (b² - a²)(1 + 3αΔT)(1 + s)), with a the
 * mean bore radius at 20 °C, b the inner radius of the tube, α the linear expansion, s the volume
 * swell. The rotor grows to D(1 + α_m·ΔT). Interference is rotor less bore.
 *
 * @param boreDiameterMm mean bore diameter at temperature, mm
 * @param rotorDiameterMm rotor diameter at temperature, mm
 * @param interferenceMm rotor less bore, mm; negative is a gap
 */
public record RotorFit(double boreDiameterMm, double rotorDiameterMm, double interferenceMm) {

  /**
   * A stator and what rotors it takes.
   *
   * @param boreRadiusMm mean bore radius at 20 degC, mm
   * @param tubeRadiusMm inner radius of the tube, mm
   * @param rotorDiameterMm diameter of the standard rotor at 20 degC, mm
   * @param classesMm what the rotors to be had are smaller than the standard one, mm, 0 or less
   * @param leastMm least interference at the duty, mm
   * @param mostMm most interference at the duty, mm
   * @param eccentricityMm eccentricity of the rotor, mm; empty where the sheet does not say
   * @param pitchMm pitch of the stator, mm; empty where the sheet does not say
   */
  public record Stator(
      double boreRadiusMm,
      double tubeRadiusMm,
      double rotorDiameterMm,
      List<Double> classesMm,
      double leastMm,
      double mostMm,
      Optional<Double> eccentricityMm,
      Optional<Double> pitchMm) {

    /** The same stator with one rotor to choose from. */
    public Stator only(double classMm) {
      return new Stator(
          boreRadiusMm,
          tubeRadiusMm,
          rotorDiameterMm,
          List.of(classMm),
          leastMm,
          mostMm,
          eccentricityMm,
          pitchMm);
    }
  }

  /**
   * A rotor class chosen for a duty.
   *
   * @param classMm difference to the standard rotor, mm
   * @param fit how it sits at the duty
   */
  public record Choice(double classMm, RotorFit fit) {}

  /**
   * The fit at a temperature.
   *
   * @param boreRadiusMm mean bore radius at 20 degC, mm, over 0
   * @param tubeRadiusMm inner radius of the tube, mm, over the bore
   * @param elastomerAlphaPerK linear expansion of the elastomer, 1/K, 0 to 0.001
   * @param deltaK duty temperature less 20 degC, K, -100 to 300
   * @param swell volume swell, 0.03 is 3 %, -0.5 to 1
   * @param rotorDiameterMm rotor diameter at 20 degC, mm, over 0
   * @param rotorAlphaPerK linear expansion of the rotor, 1/K, 0 to 0.001
   * @throws IllegalArgumentException naming the value that is out of range, or where the elastomer
   *     would fill the bore
   */
  public static RotorFit at(
      double boreRadiusMm,
      double tubeRadiusMm,
      double elastomerAlphaPerK,
      double deltaK,
      double swell,
      double rotorDiameterMm,
      double rotorAlphaPerK) {
    Range.check("boreRadiusMm", boreRadiusMm, 0.1, 2000);
    Range.check("tubeRadiusMm", tubeRadiusMm, 0.1, 2000);
    if (tubeRadiusMm <= boreRadiusMm) {
      throw new InvalidQuantity(
          "tubeRadiusMm",
          "tubeRadiusMm " + tubeRadiusMm + " must be over boreRadiusMm " + boreRadiusMm + ".");
    }
    Range.check("elastomerAlphaPerK", elastomerAlphaPerK, 0, 1e-3);
    Range.check("deltaK", deltaK, -100, 300);
    Range.check("swell", swell, -0.5, 1);
    Range.check("rotorDiameterMm", rotorDiameterMm, 0.1, 4000);
    Range.check("rotorAlphaPerK", rotorAlphaPerK, 0, 1e-3);
    double b2 = tubeRadiusMm * tubeRadiusMm;
    double wall = (b2 - boreRadiusMm * boreRadiusMm) * (1 + 3 * elastomerAlphaPerK * deltaK);
    double rest = b2 - wall * (1 + swell);
    if (rest <= 0) {
      throw new InvalidQuantity(
          "deltaK", "deltaK " + deltaK + " with swell " + swell + " closes the bore altogether.");
    }
    double bore = 2 * Math.sqrt(rest);
    double rotor = rotorDiameterMm * (1 + rotorAlphaPerK * deltaK);
    return new RotorFit(bore, rotor, rotor - bore);
  }

  /**
   * The largest rotor whose interference at the duty lies in the fit band.
   *
   * @return empty where none does: no elastomer stator for this duty
   */
  public static Optional<Choice> choose(
      Stator stator,
      double elastomerAlphaPerK,
      double deltaK,
      double swell,
      double rotorAlphaPerK) {
    return stator.classesMm().stream()
        .sorted((x, y) -> Double.compare(y, x))
        .map(c -> choice(stator, c, elastomerAlphaPerK, deltaK, swell, rotorAlphaPerK))
        .flatMap(Optional::stream)
        .filter(c -> c.fit().interferenceMm() <= stator.mostMm())
        .filter(c -> c.fit().interferenceMm() >= stator.leastMm())
        .findFirst();
  }

  private static Optional<Choice> choice(
      Stator s, double classMm, double alpha, double deltaK, double swell, double rotorAlpha) {
    try {
      return Optional.of(
          new Choice(
              classMm,
              at(
                  s.boreRadiusMm(),
                  s.tubeRadiusMm(),
                  alpha,
                  deltaK,
                  swell,
                  s.rotorDiameterMm() + classMm,
                  rotorAlpha)));
    } catch (IllegalArgumentException e) {
      return Optional.empty();
    }
  }
}
