package isokinon.core.life.frailty;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isokinon.core.life.Run;
import isokinon.core.life.Weibull;
import isokinon.core.life.WeibullFit;
import isokinon.core.renewal.RenewalCost;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.SplittableRandom;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.LongRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FrailtyModelTest {

  private static final FrailtyPrior PRIOR = FrailtyPrior.of(2.5, 4000);

  private static final PumpRuns A =
      new PumpRuns(
          "A",
          List.of(
              new Run(3100, true),
              new Run(2400, false),
              new Run(3650, true),
              new Run(1800, false)));

  private static final PumpRuns B =
      new PumpRuns(
          "B", List.of(new Run(1200, true), new Run(1500, true), new Run(800, 2000, false)));

  /** Drawn runs of a shop whose pumps differ. */
  private static List<PumpRuns> drawn(SplittableRandom random, int pumps, int sets) {
    double shape = 2 * Math.exp(0.35 * random.nextGaussian());
    double scale = 4000 * Math.exp(0.6 * random.nextGaussian());
    double between = 0.5 * random.nextDouble();
    List<PumpRuns> all = new ArrayList<>();
    for (int p = 0; p < pumps; p++) {
      double own = scale * Math.exp(between * random.nextGaussian());
      List<Run> runs = new ArrayList<>();
      for (int i = 0; i < sets; i++) {
        double fails = own * Math.pow(-Math.log(1 - random.nextDouble()), 1 / shape);
        double out = scale * (0.5 + random.nextDouble());
        runs.add(new Run(Math.min(fails, out), fails < out));
      }
      all.add(new PumpRuns("P-" + p, runs));
    }
    return all;
  }

  private static PumpRuns with(PumpRuns pump, Run more) {
    List<Run> runs = new ArrayList<>(pump.runs());
    runs.add(more);
    return new PumpRuns(pump.pump(), runs);
  }

  /** Against plain sums over a fixed grid of 18 million points, made apart from this code. */
  @ParameterizedTest
  @CsvSource({"A,3332.067,0.79015", "B,2521.594,0.57444"})
  void theWorkedGroup(String pump, double mean, double reaches2000) {
    GroupPosterior group = FrailtyModel.fit(PRIOR, List.of(A, B));
    assertThat(group.life(pump).meanLife()).isCloseTo(mean, within(mean * 5e-4));
    assertThat(group.life(pump).survival(2000)).isCloseTo(reaches2000, within(5e-4));
    assertThat(group.runs()).isEqualTo(7);
    assertThat(group.failures()).isEqualTo(4);
  }

  @Test
  void withoutRunsTheLibrarySpeaks() {
    GroupPosterior none = FrailtyModel.fit(PRIOR, List.of(new PumpRuns("A", List.of())));
    assertThat(none.shape().median()).isCloseTo(2.5, within(0.001));
    assertThat(none.shape().high()).isCloseTo(2.5 * Math.exp(0.4 * 1.644854), within(0.01));
    assertThat(none.between().median()).isCloseTo(0.35 * 0.674490, within(0.001));
    assertThat(none.life("A").meanBand().median()).isCloseTo(4000, within(1.0));
    assertThat(none.life("A").meanLife()).isEqualTo(none.newPump().meanLife());
  }

  @Property(tries = 25)
  void halvingEveryStepMovesHardlyAnything(
      @ForAll @LongRange(max = 1_000_000) long seed,
      @ForAll @IntRange(min = 1, max = 6) int pumps,
      @ForAll @IntRange(min = 0, max = 12) int sets) {
    List<PumpRuns> shop = drawn(new SplittableRandom(seed), pumps, sets);
    WeibullMixture life = FrailtyModel.fit(PRIOR, shop).life("P-0");
    WeibullMixture finer = FrailtyModel.fit(PRIOR, shop, 2).life("P-0");
    assertThat(life.meanLife() / finer.meanLife()).isCloseTo(1, within(0.003));
    double rate = RenewalCost.best(life, 300, 1500).rate();
    assertThat(rate / RenewalCost.best(finer, 300, 1500).rate()).isCloseTo(1, within(0.003));
    assertThat(life.meanBand().high() / finer.meanBand().high()).isCloseTo(1, within(0.02));
  }

  @Property(tries = 15)
  void theOrderOfRunsAndPumpsDoesNotMatter(@ForAll @LongRange(max = 1_000_000) long seed) {
    List<PumpRuns> shop = drawn(new SplittableRandom(seed), 4, 5);
    List<PumpRuns> other = new ArrayList<>();
    for (PumpRuns p : shop) {
      List<Run> runs = new ArrayList<>(p.runs());
      Collections.shuffle(runs, new Random(seed));
      other.add(new PumpRuns(p.pump(), runs));
    }
    Collections.reverse(other);
    double mean = FrailtyModel.fit(PRIOR, shop).life("P-2").meanLife();
    assertThat(FrailtyModel.fit(PRIOR, other).life("P-2").meanLife())
        .isCloseTo(mean, within(mean * 1e-9));
    assertThat(FrailtyModel.fit(PRIOR, shop).life("P-2").meanLife()).isEqualTo(mean);
  }

  /** Of a set that outlived what was expected, and of one that failed early. */
  @Property(tries = 15)
  void aSistersRunMovesAPumpLessThanItsOwn(
      @ForAll @LongRange(max = 1_000_000) long seed, @ForAll boolean early) {
    List<PumpRuns> shop = drawn(new SplittableRandom(seed), 3, 4);
    WeibullMixture before = FrailtyModel.fit(PRIOR, shop).life("P-0");
    Run more = early ? new Run(400, true) : new Run(9000, false);
    List<PumpRuns> own = new ArrayList<>(shop);
    own.set(0, with(shop.get(0), more));
    List<PumpRuns> sisters = new ArrayList<>(shop);
    sisters.set(1, with(shop.get(1), more));
    double half = before.quantile(0.5);
    double byOwn = FrailtyModel.fit(PRIOR, own).life("P-0").survival(half) - 0.5;
    double bySister = FrailtyModel.fit(PRIOR, sisters).life("P-0").survival(half) - 0.5;
    assertThat(byOwn).isNotZero().matches(moved -> moved < 0 == early);
    assertThat(Math.abs(bySister)).isLessThan(Math.abs(byOwn));
  }

  @Test
  void aRunSeenFromAnAgeOnIsOneThatHadReachedIt() {
    // A set that ran 900 h elsewhere: its chance here is that of one that reached 900 h.
    WeibullMixture without = FrailtyModel.fit(PRIOR, List.of(A, B)).life("A");
    WeibullMixture late =
        FrailtyModel.fit(PRIOR, List.of(with(A, new Run(900, 900, false)), B)).life("A");
    assertThat(late.meanLife()).isCloseTo(without.meanLife(), within(1e-9 * without.meanLife()));
    // One that ran from new to 900 h and on to 2000 h is the same in one piece or in two.
    WeibullMixture whole =
        FrailtyModel.fit(PRIOR, List.of(with(A, new Run(2000, false)), B)).life("A");
    WeibullMixture twoPieces =
        FrailtyModel.fit(
                PRIOR, List.of(with(with(A, new Run(900, false)), new Run(900, 2000, false)), B))
            .life("A");
    assertThat(twoPieces.meanLife()).isCloseTo(whole.meanLife(), within(1e-9 * whole.meanLife()));
  }

  @Test
  void whatIsSaidOfARunningSetDoesNotCountItsAgeTwice() {
    double age = 2600;
    WeibullMixture without = FrailtyModel.fit(PRIOR, List.of(A, B)).life("A");
    WeibullMixture knowing =
        FrailtyModel.fit(PRIOR, List.of(with(A, new Run(age, false)), B)).life("A");
    double risk = without.risk(age, 500);
    assertThat(knowing.before(age).risk(age, 500)).isCloseTo(risk, within(2e-3 * risk));
    assertThat(knowing.risk(age, 500)).isLessThan(risk);
  }

  /** One pump whose sets last half as long as those of five sisters. */
  @Test
  void aPumpThatWearsTwiceAsFastIsFound() {
    SplittableRandom random = new SplittableRandom(11);
    List<PumpRuns> shop = new ArrayList<>();
    for (int p = 0; p < 6; p++) {
      List<Run> runs = new ArrayList<>();
      for (int i = 0; i < 25; i++) {
        double scale = p == 0 ? 1500 : 3000;
        runs.add(new Run(scale * Math.pow(-Math.log(1 - random.nextDouble()), 1 / 2.5), true));
      }
      shop.add(new PumpRuns("P-" + p, runs));
    }
    GroupPosterior group = FrailtyModel.fit(PRIOR, shop);
    Marginal fast = group.wear("P-0");
    assertThat(fast.low()).isGreaterThan(1);
    assertThat(fast.median()).isBetween(1.4, 2.1);
    assertThat(group.wear("P-3").median()).isBetween(0.7, 1.1);
    assertThat(group.wear("another").median()).isCloseTo(1, within(0.01));
    assertThat(fast.median() / group.wear("P-3").median())
        .isCloseTo(
            group.life("P-3").scaleBand().median() / group.life("P-0").scaleBand().median(),
            within(0.1));
  }

  @Test
  void manyRunsOfPumpsAlikeGiveTheLikelihood() {
    SplittableRandom random = new SplittableRandom(7);
    List<Run> all = new ArrayList<>();
    List<PumpRuns> shop = new ArrayList<>();
    for (int p = 0; p < 12; p++) {
      List<Run> runs = new ArrayList<>();
      for (int i = 0; i < 150; i++) {
        double fails = 3000 * Math.pow(-Math.log(1 - random.nextDouble()), 1 / 3.0);
        runs.add(new Run(Math.min(fails, 3500), fails < 3500));
      }
      all.addAll(runs);
      shop.add(new PumpRuns("P-" + p, runs));
    }
    GroupPosterior group = FrailtyModel.fit(PRIOR, shop);
    WeibullFit fit = WeibullFit.of(all);
    assertThat(group.shape().median()).isCloseTo(fit.shape(), within(0.03 * fit.shape()));
    assertThat(group.shape().low()).isCloseTo(fit.shapeLow(), within(0.03 * fit.shape()));
    assertThat(group.newPump().scaleBand().median()).isCloseTo(fit.scale(), within(60.0));
    assertThat(group.between().high()).isLessThan(0.08);
  }

  @Test
  void aSetThatJustWentInSaysNothingAndOneThatFailedAtOnceIsEarly() {
    double none = FrailtyModel.fit(PRIOR, List.of(A)).life("A").meanLife();
    assertThat(FrailtyModel.fit(PRIOR, List.of(with(A, new Run(0, false)))).life("A").meanLife())
        .isEqualTo(none);
    assertThat(FrailtyModel.fit(PRIOR, List.of(with(A, new Run(0, true)))).shape().median())
        .isLessThan(FrailtyModel.fit(PRIOR, List.of(A)).shape().median());
    PumpRuns fresh = new PumpRuns("F", List.of(new Run(0, false)));
    assertThat(FrailtyModel.fit(PRIOR, List.of(fresh)).life("F").meanLife()).isFinite();
  }

  @ParameterizedTest
  @CsvSource({"1e-9,1", "1e12,1", "1,1e12", "1e12,1e-9"})
  void agesFarFromTheLibraryStillHaveAnAnswer(double age, double mean) {
    WeibullMixture life =
        FrailtyModel.fit(
                FrailtyPrior.of(2, mean),
                List.of(new PumpRuns("A", List.of(new Run(age, true), new Run(2 * age, false)))))
            .life("A");
    assertThat(life.meanLife()).isFinite().isPositive();
    assertThat(life.survival(life.quantile(0.3))).isCloseTo(0.7, within(1e-6));
  }

  @Property(tries = 20)
  void theTimeLivedIsTheAreaUnderTheSurvival(@ForAll @LongRange(max = 1_000_000) long seed) {
    WeibullMixture life =
        FrailtyModel.fit(PRIOR, drawn(new SplittableRandom(seed), 2, 3)).life("P-1");
    double to = life.quantile(0.8);
    double area = 0;
    int steps = 2000;
    for (int i = 0; i < steps; i++) {
      area += life.survival(to * (i + 0.5) / steps) * to / steps;
    }
    assertThat(life.lived(to)).isCloseTo(area, within(1e-4 * area));
    assertThat(life.lived(1e9)).isCloseTo(life.meanLife(), within(1e-3 * life.meanLife()));
  }

  /** The mean over what is believed, each life by its own renewal reward. */
  @Test
  void theRateOfAnAgeIsTheMeanOfTheRatesOfTheLives() {
    WeibullMixture life = FrailtyModel.fit(PRIOR, List.of(A, B)).life("A");
    for (double age : new double[] {60, 1500, 6000, Double.POSITIVE_INFINITY}) {
      double mean =
          life.atoms()
              .mapToDouble(
                  a -> {
                    Weibull one = new Weibull(a.shape(), 4000 * Math.exp(a.logScale()));
                    return a.weight() * RenewalCost.at(age, one, 300, 1500);
                  })
              .sum();
      assertThat(RenewalCost.at(age, life, 300, 1500)).isCloseTo(mean, within(2e-4 * mean));
    }
  }
}
