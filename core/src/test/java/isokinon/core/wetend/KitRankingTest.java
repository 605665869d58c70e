package isokinon.core.wetend;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isokinon.core.life.LifeEstimate;
import isokinon.core.life.Run;
import isokinon.core.life.frailty.WeibullMixture;
import isokinon.core.material.Material;
import isokinon.core.material.MaterialLibrary;
import isokinon.core.material.ShippedLibrary;
import isokinon.core.wetend.Duty.Abrasion;
import isokinon.core.wetend.Duty.Exposure;
import isokinon.core.wetend.KitRanking.Candidate;
import isokinon.core.wetend.KitRanking.Money;
import isokinon.core.wetend.KitRanking.Ranked;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

/** Ranking by what an hour costs, and what would change the choice. */
class KitRankingTest {

  private static final MaterialLibrary LIBRARY = ShippedLibrary.read();
  private static final KitRanking RANKING = new KitRanking(new WetEndRater(LIBRARY));
  private static final Money MONEY = new Money(42, 290, 20_000);
  private static final Duty SLUDGE =
      new Duty(
          List.of(
              new Exposure("sludge-with-grit", 4, 34, 0.88),
              new Exposure("caustic-soda", 2, 75, 0.07),
              new Exposure("sodium-hypochlorite", 12, 20, 0.05)),
          Abrasion.LIGHT,
          2.1);

  private static Candidate kit(String material, double price, double hardware, List<Run> runs) {
    Map<String, Material> parts = new LinkedHashMap<>();
    parts.put("diaphragm", LIBRARY.material(material).orElseThrow());
    parts.put("ball", LIBRARY.material(material).orElseThrow());
    parts.put("body", LIBRARY.material("PP").orElseThrow());
    double shape = LIBRARY.baseLife("diaphragm", material).orElseThrow().shape();
    double mean = LIBRARY.baseLife("diaphragm", material).orElseThrow().hours();
    Optional<WeibullMixture> known =
        runs.isEmpty()
            ? Optional.empty()
            : Optional.of(LifeEstimate.of(shape, mean, runs).life().longer(1 / mean));
    return new Candidate(
        CandidateId.of(material),
        parts,
        Set.of("diaphragm", "ball"),
        "diaphragm",
        price,
        87,
        hardware,
        known);
  }

  private static List<Candidate> kits() {
    return List.of(
        kit("CSM", 148, 0, List.of()),
        kit("EPDM", 118, 0, List.of()),
        kit("PTFE", 312, 276, List.of()),
        kit("FKM", 264, 0, List.of()),
        kit("NBR", 112, 0, List.of()));
  }

  private static Ranked one(Candidate c) {
    return RANKING.rank(SLUDGE, List.of(c), MONEY).get(0);
  }

  @Test
  void thoseThatFitComeFirstCheapestHourFirst() {
    List<Ranked> ranked = RANKING.rank(SLUDGE, kits(), MONEY);
    assertThat(ranked).extracting(r -> r.candidate().id().material()).endsWith("FKM", "NBR");
    assertThat(ranked.subList(0, 3)).extracting(r -> r.cost().orElseThrow().per1000h()).isSorted();
    assertThat(ranked.subList(3, 5)).allSatisfy(r -> assertThat(r.cost()).isEmpty());
    assertThat(ranked).allSatisfy(r -> assertThat(r.whole().because()).isNotBlank());
  }

  @Test
  void withNoRunsTheLifeIsTheLibrarysTimesTheFactors() {
    Ranked csm = one(kit("CSM", 148, 0, List.of()));
    double base = LIBRARY.baseLife("diaphragm", "CSM").orElseThrow().hours();
    double factor = csm.whole().of("diaphragm").orElseThrow().factor().orElseThrow();
    assertThat(csm.life().orElseThrow().mean()).isCloseTo(base * factor, within(1e-3 * base));
    assertThat(csm.life().orElseThrow().low()).isLessThan(csm.life().orElseThrow().mean());
  }

  @Test
  void thePartThatGivesOutFirstDecidesTheLife() {
    assertThat(one(kit("CSM", 148, 0, List.of())).life().orElseThrow().role())
        .isEqualTo("diaphragm");
    Duty rough = new Duty(List.of(new Exposure("water", 100, 20, 1)), Abrasion.NONE, 0);
    Candidate epdm = kit("EPDM", 100, 0, List.of(new Run(30_000, false), new Run(30_000, false)));
    assertThat(RANKING.rank(rough, List.of(epdm), MONEY).get(0).life().orElseThrow().role())
        .isEqualTo("ball");
  }

  @Property(tries = 25)
  void aFailureNeverLengthensTheLifeAndASoundRunNeverShortensIt(
      @ForAll @DoubleRange(min = 10, max = 9000) double age) {
    Ranked sound = one(kit("CSM", 148, 0, List.of(new Run(age, false))));
    Ranked failed = one(kit("CSM", 148, 0, List.of(new Run(age, true))));
    Ranked none = one(kit("CSM", 148, 0, List.of()));
    assertThat(failed.life().orElseThrow().mean())
        .isLessThanOrEqualTo(sound.life().orElseThrow().mean());
    assertThat(sound.life().orElseThrow().mean())
        .isGreaterThanOrEqualTo(none.life().orElseThrow().mean() - 1e-6);
  }

  @Test
  void otherHardwareAndDearStopsCostMore() {
    double plain = one(kit("CSM", 148, 0, List.of())).cost().orElseThrow().per1000h();
    double plates = one(kit("CSM", 148, 400, List.of())).cost().orElseThrow().per1000h();
    assertThat(plates - plain).isCloseTo(1000 * 400 / 20_000.0, within(1e-9));
    double dear =
        RANKING
            .rank(SLUDGE, List.of(kit("CSM", 148, 0, List.of())), new Money(42, 5000, 20_000))
            .get(0)
            .cost()
            .orElseThrow()
            .per1000h();
    assertThat(dear).isGreaterThan(plain);
  }

  @Test
  void moreRunsNarrowTheBand() {
    List<Run> runs = new ArrayList<>();
    for (int i = 0; i < 30; i++) {
      runs.add(new Run(3500 + 20 * i, i % 2 == 0));
    }
    var few = one(kit("CSM", 148, 0, List.of())).cost().orElseThrow();
    var many = one(kit("CSM", 148, 0, runs)).cost().orElseThrow();
    assertThat((many.high() - many.low()) / many.per1000h())
        .isLessThan((few.high() - few.low()) / few.per1000h());
  }

  @Property(tries = 150)
  void hotterOrWithMoreSolidsNeverCostsLess(
      @ForAll @DoubleRange(min = 5, max = 80) double t,
      @ForAll @DoubleRange(min = 0.5, max = 20) double more) {
    Duty cool = new Duty(List.of(new Exposure("water", 100, t, 1)), Abrasion.LIGHT, 0);
    Duty hot = new Duty(List.of(new Exposure("water", 100, t + more, 1)), Abrasion.LIGHT, 0);
    Duty rough = new Duty(cool.exposures(), Abrasion.HEAVY, 0);
    for (Candidate c : kits()) {
      double before = per1000h(cool, c);
      assertThat(per1000h(hot, c)).as(c.id().material()).isGreaterThanOrEqualTo(before - 1e-6);
      assertThat(per1000h(rough, c)).as(c.id().material()).isGreaterThanOrEqualTo(before - 1e-6);
    }
  }

  private static double per1000h(Duty duty, Candidate c) {
    return RANKING
        .rank(duty, List.of(c), MONEY)
        .get(0)
        .cost()
        .map(KitRanking.Cost::per1000h)
        .orElse(Double.MAX_VALUE);
  }

  // ---- what would change it -------------------------------------------------------------------

  private static final Function<Duty, ChoiceOutcome> CHOOSE =
      duty -> RANKING.standing(duty, kits(), MONEY);

  @Test
  void theQuickStandingAgreesOnWhoFits() {
    List<Ranked> ranked = RANKING.rank(SLUDGE, kits(), MONEY);
    assertThat(CHOOSE.apply(SLUDGE).fit())
        .containsExactlyInAnyOrderElementsOf(
            ranked.stream()
                .filter(r -> r.whole().verdict().fits())
                .map(r -> r.candidate().id())
                .toList());
  }

  @Test
  void everyTurnIsTrueOnBothSides() {
    List<Sensitivity.Turn> turns =
        new Sensitivity(LIBRARY, CHOOSE, CandidateId::material).turns(SLUDGE);
    assertThat(turns).isNotEmpty();
    for (Sensitivity.Turn t : turns) {
      Exposure e = SLUDGE.exposures().get(t.exposure());
      boolean heat = t.axis() == Sensitivity.Axis.TEMPERATURE;
      double beyond = t.at() + (t.upward() ? 1 : -1);
      Duty inside = SLUDGE.with(t.exposure(), heat ? e.at(t.at()) : e.diluted(t.at()));
      Duty outside = SLUDGE.with(t.exposure(), heat ? e.at(beyond) : e.diluted(beyond));
      assertThat(CHOOSE.apply(inside).leader())
          .as(t.sentence())
          .isEqualTo(CHOOSE.apply(SLUDGE).leader());
      assertThat(CHOOSE.apply(outside).leader()).as(t.sentence()).isEqualTo(t.leader());
      assertThat(t.leader()).isNotEqualTo(CHOOSE.apply(SLUDGE).leader());
    }
  }

  private static final List<Candidate> STATORS =
      LIBRARY.inRole("stator").stream()
          .map(
              m ->
                  new Candidate(
                      CandidateId.of(m.code()),
                      Map.of("stator", m),
                      Set.of("stator"),
                      "stator",
                      300,
                      60,
                      0,
                      Optional.empty()))
          .toList();

  private static ChoiceOutcome stators(Duty duty) {
    return RANKING.standing(duty, STATORS, MONEY);
  }

  @Test
  void whereNothingStandsADutyEachWayOutLetsSomethingIn() {
    Duty duty =
        new Duty(
            List.of(
                new Exposure("recovered-wool-grease", 100, 70, 0.9),
                new Exposure("caustic-soda", 2, 75, 0.05),
                new Exposure("sodium-hypochlorite", 12, 20, 0.05)),
            Abrasion.NONE,
            0);
    List<WayOut.Way> ways =
        new WayOut(LIBRARY, KitRankingTest::stators, CandidateId::material).of(duty);
    assertThat(stators(duty).fit()).isEmpty();
    assertThat(ways).isNotEmpty().extracting(WayOut.Way::kind).isSorted();
    for (WayOut.Way w : ways) {
      Exposure e = duty.exposures().get(w.exposure());
      Duty tried =
          switch (w.kind()) {
            case COOLER -> duty.with(w.exposure(), e.at(w.to()));
            case WEAKER -> duty.with(w.exposure(), e.diluted(w.to()));
            case KEPT_OUT -> duty.without(w.exposure());
          };
      assertThat(stators(tried).leader()).as(w.sentence()).isPresent();
    }
    assertThat(ways).anySatisfy(w -> assertThat(w.sentence()).contains("Keep sodium hypochlorite"));
    assertThat(new WayOut(LIBRARY, CHOOSE, CandidateId::material).of(SLUDGE)).isEmpty();
  }

  @Test
  void onlyFactsThatChangeTheAnswerAreAskedFor() {
    Function<Duty, ChoiceOutcome> bearings =
        duty ->
            RANKING.standing(
                duty,
                List.of("SiC", "carbon").stream()
                    .map(c -> LIBRARY.material(c).orElseThrow())
                    .map(
                        m ->
                            new Candidate(
                                CandidateId.of(m.code()),
                                Map.of("bushing", m),
                                Set.of("bushing"),
                                "bushing",
                                400,
                                60,
                                0,
                                Optional.empty()))
                    .toList(),
                MONEY);
    Duty water = new Duty(List.of(new Exposure("water", 100, 20, 1)), Abrasion.NONE, 0);
    List<OpenFacts.Question> asked = OpenFacts.of(water, LIBRARY, bearings, CandidateId::material);
    assertThat(asked).extracting(OpenFacts.Question::field).contains("runsDry");
    assertThat(asked)
        .filteredOn(q -> q.field().equals("runsDry"))
        .allSatisfy(q -> assertThat(q.because()).contains("SiC falls out and carbon leads"));
    Duty known = water.under(water.conditions().withRunsDry(false));
    assertThat(OpenFacts.of(known, LIBRARY, bearings, CandidateId::material))
        .extracting(OpenFacts.Question::field)
        .doesNotContain("runsDry");
  }
}
