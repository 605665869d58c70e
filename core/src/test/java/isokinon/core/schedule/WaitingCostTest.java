package isokinon.core.schedule;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import isokinon.core.life.Weibull;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

/** What waiting costs, and what doing it early wastes. */
class WaitingCostTest {

  private static final Weibull LIFE = new Weibull(3, 4000);

  private static WaitingCost cost(double age, double due) {
    return new WaitingCost(LIFE, age, 20, due, 300, 1200);
  }

  @Test
  void bothGoTheirWayWithTheDays() {
    WaitingCost c = cost(1600, 2000);
    // 400 of 2000 h are left: a fifth of the renewal
    assertThat(c.ofWaste(0)).isCloseTo(60, within(1e-12));
    assertThat(c.ofWaste(20)).isZero();
    assertThat(c.ofWaste(40)).isZero();
    assertThat(c.ofFailing(0)).isZero();
    double risk = 1 - Math.exp((Math.pow(1600, 3) - Math.pow(2000, 3)) / Math.pow(4000, 3));
    assertThat(c.ofFailing(20)).isCloseTo(1200 * risk, within(1e-9));
    assertThat(c.at(20)).isCloseTo(c.ofFailing(20) + c.ofWaste(20), within(1e-12));
  }

  @Test
  void whatRunsUntilItFailsIsWastedByItsMeanLife() {
    assertThat(cost(0, Double.POSITIVE_INFINITY).ofWaste(0)).isCloseTo(300, within(1e-9));
    assertThatThrownBy(() -> cost(Double.NaN, 1)).hasMessageContaining("age");
  }

  @Property
  void waitingNeverLowersTheRiskNorRaisesTheWaste(
      @ForAll @DoubleRange(min = 0, max = 4000) double age,
      @ForAll @DoubleRange(min = 0, max = 60) double days) {
    WaitingCost c = cost(age, 2000);
    assertThat(c.ofFailing(days + 1)).isGreaterThanOrEqualTo(c.ofFailing(days));
    assertThat(c.ofWaste(days + 1)).isLessThanOrEqualTo(c.ofWaste(days));
  }
}
