package isokinon.core.life.frailty;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.core.life.Run;
import isokinon.core.life.frailty.FitCheck.Agreement;
import isokinon.core.life.frailty.FitCheck.Stretch;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;

/** Where what is believed and what happened part company. */
class FitCheckTest {

  private static final FrailtyPrior PRIOR = FrailtyPrior.of(2.5, 1);

  /** Sets of six pumps that wear out, some taken out sound. */
  private static List<PumpRuns> wearing(long seed, int early) {
    SplittableRandom random = new SplittableRandom(seed);
    List<PumpRuns> shop = new ArrayList<>();
    for (int p = 0; p < 6; p++) {
      List<Run> runs = new ArrayList<>();
      for (int i = 0; i < 8; i++) {
        double fails = Math.pow(-Math.log(1 - random.nextDouble()), 1 / 2.8);
        double out = 0.6 + random.nextDouble();
        runs.add(new Run(Math.min(fails, out), fails < out));
      }
      if (p < early) {
        runs.add(new Run(0.02 + 0.01 * p, true));
      }
      shop.add(new PumpRuns("P-" + p, runs));
    }
    return shop;
  }

  private static List<Stretch> checked(List<PumpRuns> shop) {
    return FitCheck.of(FrailtyModel.fit(PRIOR, shop), shop);
  }

  @Test
  void setsThatWearOutAgreeAsOftenAsTheyShould() {
    int parted = 0;
    for (int seed = 0; seed < 40; seed++) {
      List<Stretch> stretches = checked(wearing(seed, 0));
      assertThat(stretches).hasSize(6);
      assertThat(stretches.get(5).to()).isInfinite();
      parted += stretches.stream().anyMatch(s -> s.agreement() != Agreement.AGREES) ? 1 : 0;
    }
    // Six stretches, each with two ends of one in a hundred.
    assertThat(parted).isLessThan(8);
  }

  @Test
  void setsThatFailAtOnceAreMoreThanWearAllows() {
    Stretch first = checked(wearing(3, 4)).get(0);
    assertThat(first.failed()).isEqualTo(4);
    assertThat(first.high()).isLessThan(4);
    assertThat(first.agreement()).isEqualTo(Agreement.MORE);
  }

  @Test
  void everyFailureIsInOneStretch() {
    List<PumpRuns> shop = wearing(9, 2);
    int failed = (int) shop.stream().flatMap(p -> p.runs().stream()).filter(Run::failed).count();
    assertThat(checked(shop).stream().mapToInt(Stretch::failed).sum()).isEqualTo(failed);
  }
}
