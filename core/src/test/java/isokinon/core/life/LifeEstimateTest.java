package isokinon.core.life;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isokinon.core.life.frailty.FrailtyModel;
import isokinon.core.life.frailty.FrailtyPrior;
import isokinon.core.life.frailty.PumpRuns;
import isokinon.core.renewal.BestAgeBand;
import isokinon.core.renewal.RenewalCost;
import java.util.List;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;

/** The life of the next set in one pump. */
class LifeEstimateTest {

  @Test
  void withNoRunsTheLibraryStands() {
    LifeEstimate life = LifeEstimate.of(2.5, 3000, List.of());
    assertThat(life.life().meanBand().median()).isCloseTo(3000, within(1.0));
    assertThat(life.tells()).isFalse();
  }

  /** A pump that is told in mean lives of the library is the same as in hours. */
  @Test
  void itIsToldInTheUnitOfTheLibrarysMean() {
    List<Run> runs = Runs.written(Runs.A);
    List<Run> relative = runs.stream().map(r -> new Run(r.age() / 3000, r.failed())).toList();
    LifeEstimate inHours = LifeEstimate.of(2.5, 3000, runs);
    LifeEstimate told =
        LifeEstimate.of(
            FrailtyModel.fit(FrailtyPrior.of(2.5, 1), List.of(new PumpRuns("P", relative))),
            "P",
            3000);
    assertThat(told.meanLife()).isCloseTo(inHours.meanLife(), within(1e-6 * inHours.meanLife()));
    assertThat(told.survival(2000)).isCloseTo(inHours.survival(2000), within(1e-9));
    assertThat(told.failures()).isEqualTo(6);
  }

  @Test
  void theBandOfTheBestAgeNarrowsWithRuns() {
    SplittableRandom random = new SplittableRandom(3);
    double before = Double.POSITIVE_INFINITY;
    for (int runs : new int[] {0, 8, 60, 600}) {
      LifeEstimate life = LifeEstimate.of(2.5, 900, Runs.drawn(random, runs, 4));
      BestAgeBand band = BestAgeBand.of(life.life(), 100, 900).orElseThrow();
      double best = RenewalCost.best(life.life(), 100, 900).age();
      assertThat(best).isBetween(band.low() * 0.9, band.high() * 1.1);
      assertThat(band.high() / band.low()).isLessThan(before);
      before = band.high() / band.low();
    }
  }
}
