package isokinon.core.wetend;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isokinon.core.material.Material;
import isokinon.core.material.MaterialLibrary;
import isokinon.core.material.ShippedLibrary;
import isokinon.core.wetend.Duty.Abrasion;
import isokinon.core.wetend.Duty.Exposure;
import isokinon.core.wetend.Rating.Verdict;
import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WetEndRaterTest {

  private static final MaterialLibrary LIBRARY = ShippedLibrary.read();
  private static final WetEndRater RATER = new WetEndRater(LIBRARY);

  private static Duty duty(Exposure... exposures) {
    return new Duty(List.of(exposures), Abrasion.NONE, 0);
  }

  private static Exposure in(String fluid, double pct, double t, double share) {
    return new Exposure(fluid, pct, t, share);
  }

  private static Rating rate(Duty duty, String material) {
    return RATER.rate(duty, LIBRARY.material(material).orElseThrow());
  }

  /** What the trade knows, whatever the figures of the library are. */
  @ParameterizedTest(name = "{3} in {0} {1} % at {2} degC: {4}")
  @CsvSource({
    "recovered-wool-grease, 100, 70, EPDM, UNSUITED",
    "recovered-wool-grease, 100, 70, FKM, SUITED",
    "recovered-wool-grease, 100, 70, NBR, SUITED",
    "acetic-acid, 60, 40, NBR, UNSUITED",
    "acetic-acid, 60, 40, PTFE, SUITED",
    "acetone, 100, 20, FKM, UNSUITED",
    "acetone, 100, 20, EPDM, SUITED",
    "acetone, 100, 20, PTFE, SUITED",
    "toluene, 100, 20, EPDM, UNSUITED",
    "toluene, 100, 20, NR, UNSUITED",
    "toluene, 100, 20, CSM, UNSUITED",
    "toluene, 100, 20, FKM, SUITED",
    "caustic-soda, 30, 60, FKM, UNSUITED",
    "caustic-soda, 30, 60, EPDM, SUITED",
    "caustic-soda, 30, 60, PP, SUITED",
    "caustic-soda, 30, 60, PVDF, UNSUITED",
    "sodium-hypochlorite, 12, 25, NBR, UNSUITED",
    "sodium-hypochlorite, 12, 25, PA, UNSUITED",
    "sodium-hypochlorite, 12, 25, 1.4404, UNSUITED",
    "hydrochloric-acid, 33, 25, 1.4404, UNSUITED",
    "hydrochloric-acid, 33, 25, aluminium, UNSUITED",
    "hydrochloric-acid, 33, 25, hard-chrome, UNSUITED",
    "hydrofluoric-acid, 10, 25, alumina, UNSUITED",
    "caustic-soda, 2, 75, FKM, UNSUITED",
    "hydrochloric-acid, 10, 25, 1.4462, UNSUITED",
    "water, 100, 95, AU, UNSUITED",
    "steam, 100, 121, NBR, UNSUITED",
    "mineral-oil, 100, 80, NR, UNSUITED",
    "mineral-oil, 100, 80, EPDM, UNSUITED",
  })
  void verdictsThatMustComeOut(
      String fluid, double pct, double t, String material, Verdict verdict) {
    assertThat(rate(duty(in(fluid, pct, t, 1)), material).verdict()).isEqualTo(verdict);
  }

  @ParameterizedTest
  @CsvSource({
    "sodium-hypochlorite, 12, 25, PVDF",
    "sodium-hypochlorite, 12, 25, FKM",
    "sodium-hypochlorite, 12, 25, CSM",
    "sodium-hypochlorite, 12, 25, EPDM",
    "steam, 100, 121, EPDM",
  })
  void whatMaySuffer(String fluid, double pct, double t, String material) {
    assertThat(rate(duty(in(fluid, pct, t, 1)), material).verdict())
        .isIn(Verdict.SUITED, Verdict.LIMITED);
  }

  @ParameterizedTest
  @CsvSource({"nitric-acid, 53, 25, PP", "nitric-acid, 53, 25, carbon"})
  void whatIsOxidised(String fluid, double pct, double t, String material) {
    assertThat(rate(duty(in(fluid, pct, t, 1)), material).verdict())
        .isIn(Verdict.UNSUITED, Verdict.LIMITED);
  }

  @Test
  void theConflictAtTheHeartOfTheMill() {
    Duty both = duty(in("recovered-wool-grease", 100, 55, 0.95), in("caustic-soda", 2, 75, 0.05));
    assertThat(rate(both, "EPDM").verdict()).isEqualTo(Verdict.UNSUITED);
    assertThat(rate(both, "FKM").verdict()).isEqualTo(Verdict.UNSUITED);
    assertThat(rate(both, "PTFE").verdict()).isEqualTo(Verdict.SUITED);
  }

  @Test
  void damageAddsLinearlyOverTheShares() {
    Material m = LIBRARY.material("TPC-ET").orElseThrow();
    Rating hot = RATER.rate(duty(in("caustic-soda", 2, 45, 1)), m);
    Rating mixed = RATER.rate(duty(in("water", 100, 20, 0.8), in("caustic-soda", 2, 45, 0.2)), m);
    double f = hot.factor().orElseThrow();
    assertThat(mixed.factor().orElseThrow()).isCloseTo(1 / (0.8 + 0.2 / f), within(1e-12));
  }

  @Test
  void aPairWithoutARowIsUnknownAndNeverAveragedAway() {
    Rating rating =
        rate(duty(in("water", 100, 20, 0.99), in("hydrofluoric-acid", 60, 20, 0.01)), "NR");
    assertThat(rating.verdict()).isIn(Verdict.UNKNOWN, Verdict.UNSUITED);
    assertThat(rating.factor()).isEmpty();
  }

  @Test
  void unsuitedBeatsUnknownBeatsLimitedBeatsSuited() {
    assertThat(Verdict.SUITED.and(Verdict.LIMITED)).isEqualTo(Verdict.LIMITED);
    assertThat(Verdict.UNKNOWN.and(Verdict.LIMITED)).isEqualTo(Verdict.UNKNOWN);
    assertThat(Verdict.UNKNOWN.and(Verdict.UNSUITED)).isEqualTo(Verdict.UNSUITED);
  }

  @Test
  void theReasonNamesTheFluidThatDecides() {
    Rating rating = rate(duty(in("water", 100, 20, 0.9), in("caustic-soda", 2, 75, 0.1)), "FKM");
    assertThat(rating.limitedBy().orElseThrow().fluid()).isEqualTo("caustic-soda");
    assertThat(rating.limitedBy().orElseThrow().reason()).startsWith("Caustic soda at 75 °C");
    assertThat(rating.marginK().orElseThrow()).isNegative();
  }

  @Test
  void heavySolidsShortenTheLifeOfWhatTheyWear() {
    Exposure water = in("water", 100, 20, 1);
    Material ptfe = LIBRARY.material("PTFE").orElseThrow();
    Rating clean = RATER.rate(new Duty(List.of(water), Abrasion.NONE, 0), ptfe);
    Rating gritty = RATER.rate(new Duty(List.of(water), Abrasion.HEAVY, 0), ptfe);
    assertThat(clean.factor()).contains(1.0);
    assertThat(gritty.factor().orElseThrow()).isEqualTo(ptfe.heavyAbrasionFactor());
  }

  @Test
  void aSuctionLiftOverWhatItStandsIsSaid() {
    Material ptfe = LIBRARY.material("PTFE").orElseThrow();
    Duty lift = new Duty(List.of(in("water", 100, 20, 1)), Abrasion.NONE, ptfe.suctionM() + 1);
    Rating rating = RATER.rate(lift, ptfe);
    assertThat(rating.verdict()).isEqualTo(Verdict.LIMITED);
    assertThat(rating.factor().orElseThrow()).isEqualTo(0.5);
    assertThat(rating.limitedBy().orElseThrow().reason()).contains("suction lift");
  }

  @Test
  void theBestComesFirst() {
    List<Material> all =
        LIBRARY.materials().stream().filter(m -> m.roles().contains("diaphragm")).toList();
    List<Rating> ratings = RATER.rate(duty(in("caustic-soda", 2, 75, 1)), all);
    assertThat(ratings).extracting(Rating::verdict).isSorted();
  }

  @ParameterizedTest
  @CsvSource({
    "101, 20, 1, 0, concentrationPct",
    "-1, 20, 1, 0, concentrationPct",
    "NaN, 20, 1, 0, concentrationPct",
    "5, -274, 1, 0, temperatureC",
    "5, 20, 0.9, 0, add up",
    "5, 20, 1.2, 0, share",
    "5, 20, 1, -1, suctionLiftM",
  })
  void aDutyThatCannotBeIsRefusedField(
      double pct, double t, double share, double lift, String told) {
    Duty duty = new Duty(List.of(in("water", pct, t, share)), Abrasion.NONE, lift);
    assertThat(duty.faults())
        .extracting(f -> f.path() + " " + f.message())
        .anySatisfy(f -> assertThat(f).contains(told));
  }

  // ---- properties over the whole library ------------------------------------------------------

  @Provide
  Arbitrary<Material> materials() {
    return Arbitraries.of(List.copyOf(LIBRARY.materials()));
  }

  @Provide
  Arbitrary<Exposure> exposures() {
    List<String> fluids = LIBRARY.fluids().stream().map(f -> f.code()).toList();
    return net.jqwik.api.Combinators.combine(
            Arbitraries.of(fluids),
            Arbitraries.doubles().between(0, 100),
            Arbitraries.doubles().between(0, 130))
        .as((f, pct, t) -> new Exposure(f, pct, t, 1));
  }

  @Property
  void hotterIsNeverBetterWithinTheServiceRange(
      @ForAll("materials") Material m,
      @ForAll("exposures") Exposure e,
      @ForAll @DoubleRange(min = 0, max = 60) double more) {
    double cool = Math.max(e.temperatureC(), m.minC());
    Rating now = RATER.rate(duty(in(e.fluid(), e.concentrationPct(), cool, 1)), m);
    Rating then = RATER.rate(duty(in(e.fluid(), e.concentrationPct(), cool + more, 1)), m);
    assertThat(then.verdict()).isGreaterThanOrEqualTo(now.verdict());
    if (then.factor().isPresent()) {
      assertThat(then.factor().get()).isLessThanOrEqualTo(now.factor().orElse(0.0) + 1e-12);
    }
  }

  @Property
  void aFurtherFluidNeverRaisesARating(
      @ForAll("materials") Material m,
      @ForAll("exposures") Exposure one,
      @ForAll("exposures") Exposure two,
      @ForAll @DoubleRange(min = 0, max = 1) double share) {
    Rating alone = RATER.rate(duty(one), m);
    List<Exposure> both = new ArrayList<>();
    both.add(in(one.fluid(), one.concentrationPct(), one.temperatureC(), 1 - share));
    both.add(in(two.fluid(), two.concentrationPct(), two.temperatureC(), share));
    Rating together = RATER.rate(new Duty(both, Abrasion.NONE, 0), m);
    assertThat(together.verdict()).isGreaterThanOrEqualTo(alone.verdict());
  }

  @Property
  void aShareOfNothingStillVetoes(
      @ForAll("materials") Material m, @ForAll("exposures") Exposure e) {
    Rating alone = RATER.rate(duty(e), m);
    Rating together =
        RATER.rate(
            duty(in("water", 100, 20, 1), in(e.fluid(), e.concentrationPct(), e.temperatureC(), 0)),
            m);
    if (alone.verdict() == Verdict.UNSUITED) {
      assertThat(together.verdict()).isEqualTo(Verdict.UNSUITED);
    }
  }

  @Property
  void everyRatingSaysWhy(@ForAll("materials") Material m, @ForAll("exposures") Exposure e) {
    Rating rating = RATER.rate(duty(e), m);
    assertThat(rating.limitedBy()).isPresent();
    assertThat(rating.limitedBy().get().reason()).isNotBlank().doesNotContain("null");
    assertThat(rating.factor().isPresent())
        .isEqualTo(rating.verdict() == Verdict.SUITED || rating.verdict() == Verdict.LIMITED);
  }
}
