package isokinon.core.renewal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isokinon.core.life.LifeEstimate;
import isokinon.core.life.Run;
import isokinon.core.life.frailty.WeibullMixture;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What it would be worth to know a life better. */
class WorthOfKnowingTest {

  private static WeibullMixture life(int runs) {
    List<Run> seen = new ArrayList<>();
    for (int i = 0; i < runs; i++) {
      // Even quantiles of a Weibull life of shape 3 and scale 2000 h.
      seen.add(new Run(2000 * Math.pow(-Math.log((i + 0.5) / runs), 1 / 3.0), true));
    }
    return LifeEstimate.of(2.5, 3000, seen).life();
  }

  @Test
  void theMoreIsKnownTheLessIsMoreKnowledgeWorth() {
    double before = Double.POSITIVE_INFINITY;
    for (int runs : new int[] {0, 4, 20, 200}) {
      WorthOfKnowing worth = WorthOfKnowing.of(life(runs), 200, 1500);
      assertThat(worth.exactly()).as("%d runs", runs).isBetween(0.0, before);
      assertThat(worth.byTwo()).isBetween(0.0, worth.exactly());
      before = worth.exactly();
    }
    assertThat(before).isLessThan(0.03 * RenewalCost.best(life(200), 200, 1500).rate());
  }

  @Test
  void whoSeesASetFailKnowsWhatAFitWithItKnows() {
    List<Run> four = List.of(new Run(1500, true), new Run(1900, true), new Run(2500, false));
    List<Run> five = new ArrayList<>(four);
    five.add(new Run(800, true));
    WeibullMixture after = LifeEstimate.of(2.5, 3000, four).life().after(800);
    WeibullMixture fitted = LifeEstimate.of(2.5, 3000, five).life();
    assertThat(after.meanLife()).isCloseTo(fitted.meanLife(), within(0.01 * fitted.meanLife()));
    assertThat(after.survival(1000)).isCloseTo(fitted.survival(1000), within(0.003));
  }
}
