package isokinon.core.wetend;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.core.material.Material;
import isokinon.core.material.MaterialLibrary;
import isokinon.core.material.ShippedLibrary;
import isokinon.core.wetend.Duty.Abrasion;
import isokinon.core.wetend.Duty.Conditions;
import isokinon.core.wetend.Duty.Exposure;
import isokinon.core.wetend.Duty.Zone;
import isokinon.core.wetend.Rating.Verdict;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Parts in their roles, and wet ends as wholes. */
class WholeWetEndTest {

  private static final MaterialLibrary LIBRARY = ShippedLibrary.read();
  private static final WetEndRater RATER = new WetEndRater(LIBRARY);
  private static final Exposure WATER = new Exposure("water", 100, 20, 1);

  private static Duty duty(Conditions c, Exposure... exposures) {
    return new Duty(List.of(exposures), Abrasion.NONE, 0, c);
  }

  private static Duty duty(Exposure... exposures) {
    return duty(Conditions.UNKNOWN, exposures);
  }

  private static Rating rate(Duty duty, String material, String role) {
    return RATER.rate(duty, material(material), role);
  }

  private static Material material(String code) {
    return LIBRARY.material(code).orElseThrow();
  }

  private static WholeRating whole(Duty duty, String... roleAndMaterial) {
    Map<String, Material> parts = new LinkedHashMap<>();
    for (int i = 0; i < roleAndMaterial.length; i += 2) {
      parts.put(roleAndMaterial[i], material(roleAndMaterial[i + 1]));
    }
    return RATER.whole(duty, parts);
  }

  @Test
  void aWetEndIsAsGoodAsItsWeakestPartWhichIsNamed() {
    WholeRating rating =
        whole(
            duty(new Exposure("caustic-soda", 2, 75, 1)),
            "diaphragm",
            "EPDM",
            "ball",
            "EPDM",
            "seat",
            "PVDF",
            "body",
            "PP");
    assertThat(rating.verdict()).isEqualTo(Verdict.UNSUITED);
    assertThat(rating.weakest()).isEqualTo("seat");
    assertThat(rating.because()).contains("Caustic soda").contains("stress-cracks");
  }

  @Property
  void noPartMakesAWholeBetter(@ForAll @DoubleRange(min = 5, max = 90) double t) {
    Duty duty = duty(new Exposure("sodium-hypochlorite", 5, t, 1));
    Verdict without = whole(duty, "diaphragm", "CSM", "body", "PP").verdict();
    for (String ball : List.of("NBR", "PTFE", "FKM", "EPDM")) {
      assertThat(whole(duty, "diaphragm", "CSM", "body", "PP", "ball", ball).verdict())
          .isGreaterThanOrEqualTo(without);
    }
  }

  @Test
  void theHighestTemperatureJudgesAndTheUsualOneCountsTheLife() {
    Duty usuallyCool = duty(new Exposure("water", 100, 40, 75, 1));
    Duty alwaysHot = duty(new Exposure("water", 100, 75, 1));
    Rating cool = rate(usuallyCool, "NBR", "diaphragm");
    Rating hot = rate(alwaysHot, "NBR", "diaphragm");
    assertThat(cool.verdict()).isEqualTo(hot.verdict()).isEqualTo(Verdict.LIMITED);
    assertThat(cool.factor()).contains(1.0);
    assertThat(hot.factor().orElseThrow()).isLessThan(1);
  }

  @Test
  void aLightBallFloatsInADenseFluid() {
    Duty acid = duty(new Exposure("sulphuric-acid", 30, 30, 1));
    assertThat(rate(acid, "TPV", "ball").verdict()).isEqualTo(Verdict.UNSUITED);
    assertThat(rate(acid, "TPV", "ball").limitedBy().orElseThrow().reason()).contains("floats");
    assertThat(rate(acid, "PTFE", "ball").verdict()).isEqualTo(Verdict.SUITED);
    assertThat(rate(acid, "TPV", "diaphragm").verdict()).isEqualTo(Verdict.SUITED);
  }

  @Test
  void aShortRinseThatFloatsABallOnlyWetsIt() {
    Duty rinsed =
        duty(new Exposure("water", 100, 20, 0.95), new Exposure("caustic-soda", 30, 30, 0.05));
    assertThat(rate(rinsed, "EPDM", "ball").verdict()).isEqualTo(Verdict.SUITED);
  }

  @Test
  void oneOfBallAndSeatIsSoft() {
    assertThat(whole(duty(WATER), "ball", "1.4404", "seat", "1.4404").because())
        .contains("never quite shuts");
    assertThat(whole(duty(WATER), "ball", "EPDM", "seat", "TPV").because()).contains("sticks");
    assertThat(whole(duty(WATER), "ball", "NBR", "seat", "PP").verdict()).isEqualTo(Verdict.SUITED);
  }

  @ParameterizedTest
  @CsvSource({
    "food, CSM, diaphragm, UNSUITED, food",
    "food, EPDM, diaphragm, SUITED, nearest",
    "explosive, PP, body, UNSUITED, explosive zone",
    "explosive, 1.4404, body, SUITED, nearest",
    "static, PP, body, LIMITED, holds static",
    "dry, SiC, bushing, UNSUITED, never run dry",
    "dry, carbon, bushing, SUITED, nearest",
    "dry, NBR, stator, LIMITED, running dry",
    "cold, PP, body, UNSUITED, below its service range",
    "cold, PE-UHMW, body, SUITED, nearest",
    "grit, PTFE, diaphragm, LIMITED, Grit",
    "pressure, EPDM tube, tube, UNSUITED, over its rated",
    "thick, EPDM, ball, LIMITED, light ball",
  })
  void factsRuleMaterialsOutInTheirRoles(
      String fact, String material, String role, Verdict verdict, String said) {
    Conditions unknown = Conditions.UNKNOWN;
    Conditions known =
        switch (fact) {
          case "food" -> unknown.withFood(true);
          case "explosive" -> unknown.withZone(Zone.EXPLOSIVE);
          case "static" -> unknown.withZone(Zone.STATIC);
          case "dry" -> unknown.withRunsDry(true);
          case "cold" -> unknown.withAmbientC(-12);
          case "grit" -> unknown.withSolidsMm(3);
          case "pressure" -> unknown.withPressureBar(3);
          default -> unknown.withViscosityMpas(3000);
        };
    Rating rating = rate(duty(known, WATER), material, role);
    assertThat(rating.verdict()).isEqualTo(verdict);
    assertThat(rating.limitedBy().orElseThrow().reason()).contains(said);
  }

  @Test
  void aBushingIsJudgedWithWhatItRunsOn() {
    Duty acid = duty(new Exposure("hydrofluoric-acid", 10, 25, 1));
    Rating pair = rate(acid, "PTFE-CD25", "bushing");
    assertThat(RATER.rate(acid, material("PTFE-CD25")).verdict()).isEqualTo(Verdict.SUITED);
    assertThat(pair.verdict()).isEqualTo(Verdict.UNSUITED);
    assertThat(pair.limitedBy().orElseThrow().reason())
        .isEqualTo("It runs on alumina, which hydrofluoric acid attacks.");
    assertThat(rate(acid, "carbon", "bushing").verdict()).isEqualTo(Verdict.SUITED);
  }

  @Test
  void pressureShortensATubesLife() {
    double free =
        rate(duty(Conditions.UNKNOWN.withPressureBar(1), WATER), "EPDM tube", "tube")
            .factor()
            .orElseThrow();
    double rated =
        rate(duty(Conditions.UNKNOWN.withPressureBar(2), WATER), "EPDM tube", "tube")
            .factor()
            .orElseThrow();
    assertThat(free).isEqualTo(1);
    assertThat(rated).isEqualTo(0.5);
  }

  @Test
  void aFlammableFluidInAnInsulatingBodyIsSaidUnlessTheZoneIsKnown() {
    Duty acetone = duty(new Exposure("acetone", 100, 20, 1));
    assertThat(rate(acetone, "PP", "body").verdict()).isEqualTo(Verdict.LIMITED);
    assertThat(rate(acetone, "1.4404", "body").verdict()).isEqualTo(Verdict.SUITED);
  }

  @Test
  void aPartThatStaysDryIsJudgedByHeatAlone() {
    Duty caustic = duty(new Exposure("caustic-soda", 47, 60, 1));
    assertThat(rate(caustic, "NBR", "backup").verdict()).isEqualTo(Verdict.SUITED);
    assertThat(rate(duty(new Exposure("water", 100, 125, 1)), "NdFeB", "magnet").verdict())
        .isEqualTo(Verdict.UNSUITED);
  }

  @ParameterizedTest
  @CsvSource({
    "nitric-acid, 53, 25, NBR, UNSUITED",
    "hydrochloric-acid, 33, 20, NBR, UNSUITED",
    "ammonia-solution, 25, 20, EPDM, LIMITED",
    "dichloromethane, 100, 20, NBR, UNSUITED",
    "caustic-soda, 30, 20, NBR, SUITED",
    "water, 100, 20, EPDM, SUITED",
  })
  void behindPtfeABackupIsLimitedAtBestInWhatPassesThrough(
      String fluid, double pct, double c, String backup, Verdict verdict) {
    assertThat(rate(duty(new Exposure(fluid, pct, c, 1)), backup, "backup").verdict())
        .isEqualTo(verdict);
  }

  @ParameterizedTest
  @CsvSource({
    "peracetic-acid, 15, 46, PTFE, heats itself up",
    "sodium-hypochlorite, 12, 41, PVDF, gives off its gas",
    "ammonia-solution, 25, 40, EPDM, boils",
    "hydrogen-peroxide, 50, 45, 1.4404, heats itself up",
  })
  void nothingIsSuitedBeyondTheCeilingOfTheFluid(
      String fluid, double pct, double c, String material, String said) {
    Rating rating = rate(duty(new Exposure(fluid, pct, c, 1)), material, "body");
    assertThat(rating.verdict()).isEqualTo(Verdict.UNSUITED);
    assertThat(rating.limitedBy().orElseThrow().reason()).contains(said);
  }

  @Test
  void aMetalPitsOrDoesNotWhereARubberAges() {
    Duty sea = duty(new Exposure("seawater", 3, 20, 1));
    assertThat(rate(sea, "1.4404", "body").verdict()).isEqualTo(Verdict.LIMITED);
    assertThat(rate(sea, "1.4404", "body").factor()).contains(1.0);
    assertThat(rate(sea, "1.4404", "ball").verdict()).isEqualTo(Verdict.UNSUITED);
    Duty hot = duty(new Exposure("caustic-soda", 2, 45, 1));
    assertThat(rate(hot, "TPC-ET", "diaphragm").factor().orElseThrow()).isLessThan(0.5);
  }

  @Test
  void limitedFromTheFirstDegreeLeavesAFixedShareOfTheLife() {
    String own = "water,0,100,NBR,,60,softens,seen here,this shop,2026-02-01,";
    WetEndRater rater = new WetEndRater(ShippedLibrary.with("resistance", own));
    for (double c : new double[] {1, 20, 60}) {
      Rating rating = rater.rate(duty(new Exposure("water", 100, c, 1)), material("NBR"));
      assertThat(rating.verdict()).isEqualTo(Verdict.LIMITED);
      assertThat(rating.factor()).contains(0.3);
    }
    assertThat(rater.rate(duty(new Exposure("water", 100, 61, 1)), material("NBR")).verdict())
        .isEqualTo(Verdict.UNSUITED);
  }

  @Test
  void whatNobodyKnowsToConductIsUnknownInAZoneAndNothingElsewhere() {
    Duty zone = duty(Conditions.UNKNOWN.withZone(Zone.EXPLOSIVE), WATER);
    String own = "fog,Fog plastic,plastic,seat,-20,100,,1.0,0.8,5,none,1000,1e-4,,,";
    MaterialLibrary library = ShippedLibrary.with("materials", own);
    assertThat(library.material("fog").orElseThrow().conducts()).isEmpty();
    assertThat(
            new WetEndRater(library)
                .rate(zone, library.material("fog").orElseThrow(), "seat")
                .rules())
        .anyMatch(r -> r.verdict() == Verdict.UNKNOWN && r.reason().contains("static"));
    for (String blank : new String[] {"PTFE", "TPV", "TPC-ET"}) {
      assertThat(rate(zone, blank, "seat").verdict()).as(blank).isEqualTo(Verdict.UNSUITED);
    }
  }

  @Test
  void aBoltedBodyCarriesLessHeatThanItsResin() {
    Duty hot = duty(new Exposure("water", 100, 85, 1));
    assertThat(rate(hot, "PP", "body").verdict()).isEqualTo(Verdict.LIMITED);
    assertThat(rate(hot, "PVDF", "body").verdict()).isEqualTo(Verdict.SUITED);
  }

  @ParameterizedTest
  @CsvSource({
    "0, 7, NONE",
    "0.1, 7, MEDIUM",
    "0.1, 2, NONE",
    "0.6, 4, LIGHT",
    "4, 6, HEAVY",
    "4, 2, MEDIUM"
  })
  void howHardSolidsWear(double pct, double mohs, Abrasion abrasion) {
    assertThat(Abrasion.of(pct, mohs)).isEqualTo(abrasion);
  }
}
