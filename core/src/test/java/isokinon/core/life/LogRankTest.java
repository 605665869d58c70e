package isokinon.core.life;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isokinon.core.life.LogRank.Verdict;
import java.util.List;
import java.util.SplittableRandom;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Whether two groups last alike. */
class LogRankTest {

  /** Digits of an independent statistics program. */
  @ParameterizedTest
  @CsvSource({
    Runs.A + ", " + Runs.B + ", 8.745598846, 8.911988548, 0.00283304602012, FIRST_LONGER",
    Runs.B + ", " + Runs.A + ", 1.254401154, 8.911988548, 0.00283304602012, FIRST_SHORTER",
    Runs.A
        + ", 1100 1500* 2300 2050 3000* 2600 3900, 6.406741788, 0.0733833948, 0.7864727932,"
        + " NO_DIFFERENCE"
  })
  void workedNumbers(
      String first, String second, double expected, double chi, double p, Verdict says) {
    LogRank test = LogRank.of(Runs.written(first), Runs.written(second));
    assertThat(test.expected()).isCloseTo(expected, within(1e-8));
    assertThat(test.chiSquare()).isCloseTo(chi, within(1e-8));
    assertThat(test.probability()).isCloseTo(p, within(1e-9));
    assertThat(test.verdict()).isEqualTo(says);
  }

  @Test
  void fewFailuresAreNotEnoughToTell() {
    LogRank test = LogRank.of(Runs.written("400 500 600*"), Runs.written("2400 2500 2600* 2700*"));
    assertThat(test.failures()).isEqualTo(4);
    assertThat(test.verdict()).isEqualTo(Verdict.NOT_ENOUGH);
    assertThat(LogRank.of(List.of(), Runs.written(Runs.A)).verdict()).isEqualTo(Verdict.NOT_ENOUGH);
  }

  @Property(tries = 100)
  void aPartThatMovedCountsOnce(@ForAll @IntRange(min = 1, max = 10_000) int seed) {
    SplittableRandom random = new SplittableRandom(seed);
    List<Run> first = Runs.drawn(random, 20, 2);
    List<Run> second = Runs.drawn(random, 25, 2);
    LogRank whole = LogRank.of(first, second);
    LogRank moved = LogRank.of(Runs.moved(random, first), second);
    assertThat(moved.chiSquare()).isCloseTo(whole.chiSquare(), within(1e-9));
    assertThat(LogRank.of(second, first).chiSquare()).isCloseTo(whole.chiSquare(), within(1e-9));
  }

  /** Of groups that last alike one in twenty is called different, not more. */
  @Test
  void itCriesWolfOneTimeInTwenty() {
    SplittableRandom random = new SplittableRandom(5);
    int cried = 0;
    int asked = 2000;
    for (int i = 0; i < asked; i++) {
      Verdict says = LogRank.of(Runs.drawn(random, 15, 2), Runs.drawn(random, 15, 2)).verdict();
      cried += says == Verdict.FIRST_LONGER || says == Verdict.FIRST_SHORTER ? 1 : 0;
    }
    assertThat((double) cried / asked).isBetween(0.035, 0.07);
  }
}
