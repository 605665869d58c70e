package isokinon.core.life;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import isokinon.core.life.Demand.Running;
import isokinon.core.life.frailty.WeibullMixture.ScaleBelief;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.SplittableRandom;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** How many kits a time will ask for. */
class DemandTest {

  private static final double NEVER = Double.POSITIVE_INFINITY;
  private static final ScaleBelief LIFE =
      LifeEstimate.of(2.5, 3000, Runs.written(Runs.A)).life().scaleBelief();
  private static final ScaleBelief VAGUE =
      LifeEstimate.of(2.5, 3000, List.of()).life().scaleBelief();

  private static Weibull drawnLife(ScaleBelief of, SplittableRandom random) {
    return new Weibull(of.shape(), Math.exp(of.logScale() + of.spread() * random.nextGaussian()));
  }

  private static List<Running> sets(SplittableRandom random, int count) {
    List<Running> sets = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      double renewAt = random.nextBoolean() ? NEVER : 1500 + 2000 * random.nextDouble();
      sets.add(
          new Running(LIFE, 1500 * random.nextDouble(), 300 + 9000 * random.nextDouble(), renewAt));
    }
    return sets;
  }

  /** Renewals of a set and those after it until {@code ahead}, drawn. */
  private static int drawn(SplittableRandom random, Weibull life, Running s, double ahead) {
    double conditional = life.survival(s.age()) * (1 - random.nextDouble());
    double at = Math.min(life.quantile(1 - conditional), Math.max(s.age(), s.renewAt())) - s.age();
    int renewals = 0;
    while (at <= ahead) {
      renewals++;
      at += Math.min(life.quantile(random.nextDouble()), s.renewAt());
    }
    return renewals;
  }

  @Property(tries = 30)
  void theChancesAreAWholeAndTheirMeanIsWhatHappens(
      @ForAll @IntRange(min = 0, max = 6) int count,
      @ForAll @IntRange(min = 1, max = 999) int seed) {
    SplittableRandom random = new SplittableRandom(seed);
    List<Running> sets = sets(random, count);
    Demand d = Demand.of(sets);
    assertThat(d.chances().stream().mapToDouble(c -> c).sum()).isCloseTo(1, within(1e-6));
    // Times are cut into 64 steps, so a renewal at the very end counts or does not.
    double step = 1.0 / 64;
    double free = 0.08 * count;
    assertThat(d.mean())
        .isBetween(
            drawnMean(random, sets, 1 - 2 * step) - free,
            drawnMean(random, sets, 1 + 2 * step) + free);
    Demand other = Demand.of(sets(new SplittableRandom(seed + 1), 3));
    assertThat(d.and(other).mean()).isCloseTo(d.mean() + other.mean(), within(1e-9));
    assertThat(d.enough(0.99)).isGreaterThanOrEqualTo(d.enough(0.5));
  }

  private static double drawnMean(SplittableRandom random, List<Running> sets, double ofTheTime) {
    int times = 4000;
    double mean = 0;
    for (int t = 0; t < times; t++) {
      Weibull life = drawnLife(LIFE, random);
      mean +=
          sets.stream().mapToInt(s -> drawn(random, life, s, s.ahead() * ofTheTime)).sum()
              / (double) times;
    }
    return mean;
  }

  @Test
  void plannedRenewalsAreCertain() {
    Demand d =
        Demand.of(List.of(new Running(LIFE, 900, 200, 1000), new Running(LIFE, 2000, 200, 1000)));
    assertThat(d.enough(0)).isZero();
    assertThat(d.enough(0.01)).isEqualTo(2);
    assertThat(Demand.of(List.of(new Running(LIFE, 900, 0, 1000))).enough(0.9)).isZero();
    assertThat(Demand.NONE.enough(0.99)).isZero();
    assertThatThrownBy(() -> d.enough(1)).hasMessageContaining("service level");
  }

  /** A life that is not known makes failures come together: the tail is longer than by chance. */
  @Test
  void setsOfOneGroupFailTogetherMoreOftenThanByChance() {
    List<Running> sets = new ArrayList<>();
    for (int i = 0; i < 8; i++) {
      sets.add(new Running(VAGUE, 2000, 400, NEVER));
    }
    Demand together = Demand.of(sets);
    double one = together.mean() / 8;
    assertThat(together.chances().get(8)).isGreaterThan(3 * Math.pow(one, 8));
    assertThat(together.chances().get(0)).isGreaterThan(Math.pow(1 - one, 8));
  }

  /** Nine times in ten the shelf that is enough at 90 % is enough, over drawn lives. */
  @Test
  void theServiceLevelIsKept() {
    SplittableRandom random = new SplittableRandom(4);
    List<Running> sets = new ArrayList<>();
    for (int i = 0; i < 10; i++) {
      sets.add(new Running(VAGUE, 250.0 * i, 500, NEVER));
    }
    int enough = Demand.of(sets).enough(0.9);
    int kept = 0;
    int times = 20_000;
    for (int t = 0; t < times; t++) {
      Weibull truth = drawnLife(VAGUE, random);
      int asked = 0;
      for (Running s : sets) {
        asked += drawn(random, truth, s, s.ahead());
      }
      kept += asked <= enough ? 1 : 0;
    }
    assertThat((double) kept / times).isGreaterThan(0.9);
    assertThat((double) kept / times).isLessThan(0.97);
  }

  /** Sets alike are reckoned together: no other answer than one after another. */
  @Test
  void setsAlikeAreTheSameAsEachByItself() {
    List<Running> alike = Collections.nCopies(13, new Running(LIFE, 700, 900, 1500));
    List<Running> nearly = new ArrayList<>();
    for (int i = 0; i < 13; i++) {
      nearly.add(new Running(LIFE, 700 + i * 1e-10, 900, 1500));
    }
    assertThat(Demand.of(alike).chances().get(9))
        .isCloseTo(Demand.of(nearly).chances().get(9), withinPercentage(1e-6));
  }

  /**
   * Hundreds of sets: the last chances are left out, and neither the whole nor the mean feels it.
   */
  @Test
  void manySetsAreAsExactAsFew() {
    List<Running> sets = sets(new SplittableRandom(7), 300);
    Demand all = Demand.of(sets);
    double mean = 0;
    for (Running s : sets) {
      mean += Demand.of(List.of(s)).mean();
    }
    assertThat(all.chances().stream().mapToDouble(c -> c).sum()).isCloseTo(1, within(1e-9));
    assertThat(all.mean()).isCloseTo(mean, within(1e-9 * mean));
    assertThat(all.chances()).hasSizeLessThan(300 * 4);
  }
}
