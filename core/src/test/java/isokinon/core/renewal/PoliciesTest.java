package isokinon.core.renewal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isokinon.core.life.Survival;
import isokinon.core.life.Weibull;
import isokinon.core.renewal.Policies.Bar;
import isokinon.core.renewal.Policies.Kept;
import isokinon.core.renewal.Policies.Terms;
import isokinon.core.renewal.Policies.Way;
import java.util.OptionalDouble;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

/** Three ways to keep a part, at their best, on one axis. */
class PoliciesTest {

  private static final Survival LIFE = new Weibull(3, 4000);
  private static final OptionalDouble NONE = OptionalDouble.empty();

  private static Terms terms(boolean harms, OptionalDouble limit) {
    return new Terms(300, 1500, OptionalDouble.of(40), harms, limit);
  }

  private static Policies of(Terms terms) {
    return Policies.of(LIFE, 1 / 7.0, terms, OptionalDouble.of(3000));
  }

  @Test
  void allThreeAtTheirBest() {
    Policies p = of(terms(false, NONE));
    Kept fixed = p.fixed().orElseThrow();
    assertThat(fixed.every()).isCloseTo(2010.44, within(0.01));
    assertThat(fixed.rate()).isCloseTo(0.227355, within(5e-7));
    assertThat(p.untilItFails().rate()).isCloseTo(0.419942, within(5e-7));
    assertThat(p.look().orElseThrow().every()).isBetween(100.0, 1000.0);
    assertThat(p.chosen()).contains(fixed);
    assertThat(p.now().orElseThrow().rate()).isGreaterThan(fixed.rate());
    // Every part that goes in comes out failed or sound, so their rates are one over the mean age.
    assertThat(fixed.failures() + fixed.renewals())
        .isCloseTo(1 / LIFE.lived(fixed.every()), within(1e-12));
  }

  @Test
  void whereAFailureHarmsItIsNeverRunToFailure() {
    Policies p =
        Policies.of(new Weibull(0.8, 4000), 0.1, new Terms(300, 400, NONE, true, NONE), NONE);
    assertThat(p.untilItFails().bar()).isEqualTo(Bar.HARMS);
    assertThat(p.chosen()).isEmpty();
    assertThat(of(terms(true, NONE)).chosen().orElseThrow().way()).isEqualTo(Way.FIXED);
  }

  @Test
  void theLimitOfTheSheetCutsTheBestAge() {
    Kept cut = of(terms(false, OptionalDouble.of(1500))).fixed().orElseThrow();
    assertThat(cut.every()).isEqualTo(1500);
    assertThat(cut.cut()).isTrue();
    assertThat(of(terms(false, OptionalDouble.of(1500))).untilItFails().bar()).isEqualTo(Bar.LIMIT);
    assertThat(of(terms(false, OptionalDouble.of(9000))).fixed().orElseThrow().cut()).isFalse();
  }

  @Test
  void aSmallSavingHardlyMatters() {
    Policies p =
        Policies.of(new Weibull(1.3, 1000), 0.1, new Terms(300, 900, NONE, false, NONE), NONE);
    assertThat(p.hardlyMatters()).isTrue();
    assertThat(of(terms(false, NONE)).hardlyMatters()).isFalse();
  }

  @Property(tries = 50)
  void whatWouldChangeItChangesIt(
      @ForAll @DoubleRange(min = 1.5, max = 4) double shape,
      @ForAll @DoubleRange(min = 3, max = 20) double ratio) {
    Survival life = new Weibull(shape, 4000);
    Terms terms = new Terms(300, 300 * ratio, OptionalDouble.of(40), false, NONE);
    double cost = Policies.failureCostToCare(life, terms);
    assertThat(cost).isBetween(300.0, 300_000.0);
    for (double other : new double[] {cost * 0.98, cost * 1.02}) {
      Policies p =
          Policies.of(life, 0.1, new Terms(300, Math.max(301, other), NONE, false, NONE), NONE);
      boolean cares = p.fixed().isPresent() && !p.hardlyMatters();
      assertThat(cares).isEqualTo(other > cost && other > 301);
    }
    double look = Policies.lookCostToLook(life, 0.1, terms);
    if (look > 0) {
      Terms cheaper = new Terms(300, 300 * ratio, OptionalDouble.of(look * 0.98), false, NONE);
      assertThat(Policies.of(life, 0.1, cheaper, NONE).chosen().orElseThrow().way())
          .isEqualTo(Way.LOOK);
    }
    Kept fixed = Policies.of(life, 0.1, terms, NONE).fixed().orElseThrow();
    double to = Policies.hardlyDearerTo(fixed, life, terms);
    assertThat(to).isGreaterThanOrEqualTo(fixed.every());
    assertThat(Policies.at(to, life, terms).rate())
        .isLessThanOrEqualTo(1.03 * fixed.rate() * (1 + 1e-6));
  }
}
