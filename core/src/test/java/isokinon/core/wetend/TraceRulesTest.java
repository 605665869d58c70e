package isokinon.core.wetend;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.core.material.MaterialLibrary;
import isokinon.core.material.ShippedLibrary;
import isokinon.core.material.trace.Traces;
import isokinon.core.wetend.Duty.Abrasion;
import isokinon.core.wetend.Duty.Conditions;
import isokinon.core.wetend.Duty.Exposure;
import isokinon.core.wetend.Rating.Verdict;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Chloride, pH and free chlorine in fluids that do not say them by their names. */
class TraceRulesTest {

  private static final MaterialLibrary LIBRARY = ShippedLibrary.read();
  private static final WetEndRater RATER = new WetEndRater(LIBRARY);

  private static Duty duty(String fluid, double c, Traces traces) {
    Exposure exposure = new Exposure(fluid, 100, c, 1);
    return new Duty(List.of(exposure), Abrasion.NONE, 0, Conditions.UNKNOWN.with(traces));
  }

  private static Rating rate(String fluid, double c, Traces traces, String material, String role) {
    return RATER.rate(duty(fluid, c, traces), LIBRARY.material(material).orElseThrow(), role);
  }

  @ParameterizedTest
  @CsvSource({
    "water, 40, 1.4404, body, 200, SUITED",
    "water, 75, 1.4404, body, 200, LIMITED",
    "water, 60, 1.4404, body, 3000, UNSUITED",
    "water, 40, 1.4301, body, 1000, UNSUITED",
    "water, 40, 1.4410, body, 19000, SUITED",
    "water, 60, C-276, body, 19000, SUITED",
    "detergent, 40, hard-chrome, rotor, 15000, UNSUITED",
    // A rubber does not mind salt.
    "water, 40, EPDM, diaphragm, 19000, SUITED",
    // No water: no chloride dissolved in it.
    "mineral-oil, 60, 1.4301, body, 19000, SUITED"
  })
  void chlorideDecidesForMetals(
      String fluid, double c, String material, String role, double mgL, Verdict expected) {
    Traces traces = Traces.UNKNOWN.withChlorideMgL(mgL);
    assertThat(rate(fluid, c, traces, material, role).verdict()).isEqualTo(expected);
  }

  @ParameterizedTest
  @CsvSource({
    "water, 40, aluminium, 7, 12.5, UNSUITED",
    "water, 40, FKM, 7, 13, LIMITED",
    "water, 60, PVDF, 7, 13, LIMITED",
    "water, 25, AU, 1.5, 7, UNSUITED",
    "water, 25, cast-iron, 3, 7, UNSUITED",
    "water, 40, EPDM, 1.5, 13, SUITED",
    // Caustic soda says its own pH: what the fluid is called counts, not the fact beside it.
    "caustic-soda, 20, 1.4404, 1.5, 7, SUITED"
  })
  void phDecidesForWhatMindsIt(
      String fluid, double c, String material, double low, double high, Verdict expected) {
    Traces traces = Traces.UNKNOWN.withPhLow(low).withPhHigh(high);
    Exposure exposure = new Exposure(fluid, fluid.equals("water") ? 100 : 2, c, 1);
    Duty duty = new Duty(List.of(exposure), Abrasion.NONE, 0, Conditions.UNKNOWN.with(traces));
    assertThat(RATER.rate(duty, LIBRARY.material(material).orElseThrow(), "body").verdict())
        .isEqualTo(expected);
  }

  @Test
  void freeChlorineOverTownWaterAgesNaturalRubber() {
    Traces town = Traces.UNKNOWN.withChlorineMgL(2);
    Traces dosed = Traces.UNKNOWN.withChlorineMgL(30);
    assertThat(rate("water", 25, town, "NR", "diaphragm").verdict()).isEqualTo(Verdict.SUITED);
    Rating rating = rate("water", 25, dosed, "NR", "diaphragm");
    assertThat(rating.verdict()).isEqualTo(Verdict.UNSUITED);
    assertThat(rating.limitedBy().orElseThrow().reason())
        .isEqualTo("Free chlorine of 30 mg/L oxidises it in water at 25 °C.");
  }

  /** Hypochlorite itself decomposes over 60 °C: that is no limit of a rubber in warm water. */
  @Test
  void theCeilingOfTheLikeFluidIsNoLimitOfTheMaterial() {
    Traces dosed = Traces.UNKNOWN.withChlorineMgL(20);
    assertThat(rate("water", 75, dosed, "EPDM", "diaphragm").verdict()).isEqualTo(Verdict.SUITED);
  }

  /** More of a trace never makes a verdict kinder, whatever the part. */
  @Test
  void moreOfATraceIsNeverKinder() {
    for (var m : LIBRARY.materials()) {
      Verdict before = Verdict.SUITED;
      for (double mg : new double[] {0, 50, 500, 5000, 20_000, 150_000}) {
        Verdict now =
            RATER.rate(duty("water", 45, Traces.UNKNOWN.withChlorideMgL(mg)), m, "body").verdict();
        assertThat(now.compareTo(before)).as(m.code() + " " + mg).isGreaterThanOrEqualTo(0);
        before = mg == 0 ? now : before.and(now);
      }
    }
  }

  @Test
  void itIsAskedOnlyWhereItDecides() {
    CandidateId steel = CandidateId.of("1.4404");
    assertThat(asked(duty("water", 60, Traces.UNKNOWN), steel)).contains("chlorideMgL");
    assertThat(asked(duty("water", 60, Traces.UNKNOWN.withChlorideMgL(30)), steel))
        .doesNotContain("chlorideMgL");
    assertThat(asked(duty("mineral-oil", 60, Traces.UNKNOWN), steel)).isEmpty();
  }

  private static List<String> asked(Duty duty, CandidateId steel) {
    return OpenFacts.of(
            duty,
            LIBRARY,
            d -> {
              boolean fits =
                  RATER.rate(d, LIBRARY.material("1.4404").orElseThrow(), "body").verdict().fits();
              return new ChoiceOutcome(
                  fits ? Optional.of(steel) : Optional.empty(),
                  fits ? Set.of(steel) : Set.of(),
                  Set.of());
            },
            id -> "steel")
        .stream()
        .map(OpenFacts.Question::field)
        .toList();
  }
}
