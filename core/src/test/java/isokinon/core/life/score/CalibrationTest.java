package isokinon.core.life.score;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isokinon.core.life.score.Calibration.Bin;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;

class CalibrationTest {

  @Test
  void luckAllowsWhatTheBinomialSays() {
    // 20 sets of 0.3: 5 and 95 in a hundred of the binomial are 3 and 9.
    List<Scored> sets = new ArrayList<>(Collections.nCopies(6, new Scored(0.3, true)));
    sets.addAll(Collections.nCopies(14, new Scored(0.3, false)));
    Calibration c = Calibration.of(sets);
    assertThat(c.all()).isEqualTo(new Bin(0, 1, 20, c.all().said(), 6, 3, 9));
    assertThat(c.all().said()).isCloseTo(0.3, within(1e-12));
    assertThat(c.bins()).hasSize(1);
    assertThat(c.bins().get(0).from()).isEqualTo(0.2);
    assertThat(c.all().parts()).isFalse();
    assertThat(c.skill()).as("it says the average each time").isCloseTo(0, within(1e-12));
    assertThat(Calibration.of(Collections.nCopies(20, new Scored(0.3, true))).all().parts())
        .isTrue();
    assertThat(Calibration.of(List.of()).bins()).isEmpty();
  }

  /**
   * Forecasts that are right stay within what luck allows nine times in ten, and beat the average.
   */
  @Test
  void forecastsThatAreRightAreFoundRight() {
    SplittableRandom random = new SplittableRandom(5);
    int within = 0;
    for (int shop = 0; shop < 200; shop++) {
      List<Scored> sets = new ArrayList<>();
      for (int i = 0; i < 120; i++) {
        double said = Math.pow(random.nextDouble(), 2);
        sets.add(new Scored(said, random.nextDouble() < said));
      }
      Calibration c = Calibration.of(sets);
      within += c.all().parts() ? 0 : 1;
      assertThat(c.skill()).isGreaterThan(0);
      assertThat(c.bins().stream().mapToInt(Bin::sets).sum()).isEqualTo(120);
    }
    assertThat(within / 200.0).isBetween(0.87, 0.99);
  }

  @Test
  void aSurpriseIsHowLittleWasGivenToWhatCame() {
    assertThat(new Scored(0.02, true).surprise()).isCloseTo(-Math.log(0.02), within(1e-12));
    assertThat(new Scored(0.02, false).surprise()).isCloseTo(-Math.log(0.98), within(1e-12));
    assertThat(new Scored(0, true).surprise()).isFinite();
  }

  @Test
  void whatWasDoneCostsByTheThousandHours() {
    List<Followed.Out> sets =
        List.of(
            new Followed.Out(1100, 1100, 1000, false, 300, 1500),
            new Followed.Out(900, 1000, 1000, true, 300, 1500));
    Followed f = Followed.of(sets);
    assertThat(sets.get(0).late()).isCloseTo(0.1, within(1e-12));
    assertThat(sets.get(1).late()).as("it failed on the way").isZero();
    assertThat(f.per1000()).isCloseTo(900, within(1e-9));
    // One failure: 0.051 to 4.74 by the exact Poisson limits, and no more than there are sets.
    assertThat(f.low()).isCloseTo(900 - (1 - 0.05129) * 1200 / 2, within(0.1));
    assertThat(f.high()).isCloseTo(900 + 1200 / 2.0, within(0.1));
    assertThat(Followed.of(List.of())).isEqualTo(new Followed(0, 0, 0, 0, 0));
  }
}
