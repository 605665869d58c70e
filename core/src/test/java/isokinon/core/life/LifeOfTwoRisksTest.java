package isokinon.core.life;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isokinon.core.life.frailty.FrailtyModel;
import isokinon.core.life.frailty.FrailtyPrior;
import isokinon.core.life.frailty.PumpRuns;
import isokinon.core.life.frailty.WeibullMixture;
import isokinon.core.renewal.RenewalCost;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class LifeOfTwoRisksTest {

  /**
   * What three hundred failures at even chances of a Weibull life leave open is next to nothing.
   */
  private static WeibullMixture known(double shape, double scale) {
    List<Run> runs = new ArrayList<>();
    for (int i = 0; i < 300; i++) {
      runs.add(new Run(scale * Math.pow(-Math.log((i + 0.5) / 300), 1 / shape), true));
    }
    return FrailtyModel.fit(FrailtyPrior.of(shape, scale), List.of(new PumpRuns("A", runs)))
        .life("A");
  }

  private static final WeibullMixture WEAR = known(3, 1000);

  @Test
  void aRiskThatNeverComesChangesNothing() {
    LifeOfTwoRisks life = new LifeOfTwoRisks(WEAR, known(1, 1e7));
    RenewalCost alone = RenewalCost.best(WEAR, 100, 1000);
    RenewalCost both = RenewalCost.best(life, 100, 1000);
    assertThat(both.age()).isCloseTo(alone.age(), within(0.02 * alone.age()));
    assertThat(both.rate()).isCloseTo(alone.rate(), within(0.01 * alone.rate()));
    assertThat(life.meanLife()).isCloseTo(WEAR.meanLife(), within(0.01 * WEAR.meanLife()));
    assertThat(life.quantile(0.3)).isCloseTo(WEAR.quantile(0.3), within(1.0));
    assertThat(life.failureRate(Double.POSITIVE_INFINITY))
        .isCloseTo(WEAR.failureRate(Double.POSITIVE_INFINITY), within(1e-5));
  }

  /**
   * At a hazard h that age does not bring, every age costs h·Cf more but for what it cuts short.
   */
  @Test
  void whatAgeDoesNotBringCostsTheSameAtEveryAge() {
    double hazard = 1.0 / 4000;
    LifeOfTwoRisks life = new LifeOfTwoRisks(WEAR, known(1, 4000));
    CompetingRisks exact =
        new CompetingRisks(
            java.util.Map.of(
                FailureCause.WORE_OUT, new Weibull(3, 1000),
                FailureCause.RAN_DRY, new Weibull(1, 4000)));
    for (double age : new double[] {300, 600, 1200}) {
      assertThat(life.survival(age)).isCloseTo(exact.survival(age), within(0.01));
      double failures = exact.rates(age).values().stream().mapToDouble(r -> r).sum();
      assertThat(life.failureRate(age)).isCloseTo(failures, within(0.03 * failures));
    }
    RenewalCost alone = RenewalCost.best(WEAR, 100, 1000);
    RenewalCost both = RenewalCost.best(life, 100, 1000);
    assertThat(both.rate()).isCloseTo(alone.rate() + hazard * 1000, within(0.09 * both.rate()));
    // One Weibull through both would be flatter and renew later, or never.
    assertThat(both.age()).isBetween(0.85 * alone.age(), 1.1 * alone.age());
  }
}
