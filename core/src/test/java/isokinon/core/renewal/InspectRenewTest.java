package isokinon.core.renewal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isokinon.core.renewal.InspectRenew.Costs;
import isokinon.core.renewal.InspectRenew.Warning;
import java.util.SplittableRandom;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;

/** Looking now and then, and renewing on sight of warning. */
class InspectRenewTest {

  @Test
  void workedNumbers() {
    InspectRenew best = InspectRenew.best(new Warning(3000, 500), new Costs(40, 300, 1500));
    assertThat(best.every()).isCloseTo(450.9, within(0.05));
    assertThat(best.rate()).isCloseTo(0.312155, within(5e-7));
  }

  @Test
  void aLookAsDearAsAFailureNeverPays() {
    InspectRenew best = InspectRenew.best(new Warning(3000, 500), new Costs(1500, 300, 1500));
    assertThat(best.every()).isInfinite();
    assertThat(best.rate()).isCloseTo(1500 / 3500.0, within(1e-12));
  }

  @Property
  void noTimeBetweenLooksIsCheaper(
      @ForAll @DoubleRange(min = 0.02, max = 0.6) double share,
      @ForAll @DoubleRange(min = 5, max = 200) double look,
      @ForAll @DoubleRange(min = 20, max = 9000) double every) {
    Warning w = new Warning(3000 * (1 - share), 3000 * share);
    Costs c = new Costs(look, 300, 1500);
    assertThat(InspectRenew.rate(every, w, c))
        .isGreaterThanOrEqualTo(InspectRenew.best(w, c).rate() * (1 - 1e-9));
  }

  /** The formula against the life of 200 000 parts that are looked at. */
  @Test
  void theFormulaIsWhatHappens() {
    for (Warning w : new Warning[] {new Warning(3000, 500), new Warning(800, 800)}) {
      SplittableRandom random = new SplittableRandom(7);
      double every = 600;
      double cost = 0;
      double hours = 0;
      for (int part = 0; part < 200_000; part++) {
        double warns = -w.meanToWarning() * Math.log(1 - random.nextDouble());
        double fails = warns - w.meanDelay() * Math.log(1 - random.nextDouble());
        double look = Math.ceil(warns / every) * every;
        cost += fails < look ? Math.floor(fails / every) * 40 + 1500 : look / every * 40 + 300;
        hours += Math.min(fails, look);
      }
      assertThat(InspectRenew.rate(every, w, new Costs(40, 300, 1500)))
          .isCloseTo(cost / hours, Percentage.withPercentage(1));
    }
  }
}
