package isokinon.core.life;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WeibullPosteriorTest {

  private static final Percentage SIX_DIGITS = Percentage.withPercentage(1e-3);
  private static final List<Run> RUNS =
      List.of(new Run(3100, true), new Run(2400, false), new Run(3650, true), new Run(1800, false));

  @Test
  void withoutRunsTheMeanIsTheLibrarys() {
    WeibullPosterior prior = WeibullPosterior.of(2.5, 4000, 2, List.of());
    assertThat(prior.a()).isEqualTo(2);
    assertThat(prior.b()).isCloseTo(1_808_268_871.42, SIX_DIGITS);
    assertThat(prior.meanLife()).isCloseTo(4000, within(1e-6));
  }

  @Test
  void everyRunCountsTheSoundOnesToo() {
    WeibullPosterior life = WeibullPosterior.of(2.5, 4000, 2, RUNS);
    assertThat(life.a()).isEqualTo(4);
    assertThat(life.b()).isCloseTo(3_567_855_703.23, SIX_DIGITS);
    assertThat(life.meanLife()).isCloseTo(3639.65, within(0.005));
    assertThat(life.survival(2000)).isCloseTo(0.822270, within(5e-7));
  }

  @ParameterizedTest
  @CsvSource({"0.05", "0.5", "0.95"})
  void aQuantileIsWhereSurvivalSaysItIs(double p) {
    WeibullPosterior life = WeibullPosterior.of(2.5, 4000, 2, RUNS);
    assertThat(1 - life.survival(life.quantile(p))).isCloseTo(p, within(1e-12));
  }

  @Test
  void theRiskIsTheShareOfTheSurvivorsThatFail() {
    WeibullPosterior life = WeibullPosterior.of(2.5, 4000, 2, RUNS);
    double risk = life.risk(2000, 480);
    assertThat(risk).isCloseTo(1 - life.survival(2480) / life.survival(2000), within(1e-15));
    assertThat(life.risk(2000, 0)).isZero();
  }

  @Property
  void survivalFallsFromOne(
      @ForAll @DoubleRange(min = 0.8, max = 4) double shape,
      @ForAll @DoubleRange(min = 100, max = 20_000) double mean,
      @ForAll @DoubleRange(min = 0, max = 30_000) double age) {
    WeibullPosterior life = WeibullPosterior.of(shape, mean, 2, List.of());
    assertThat(life.survival(0)).isEqualTo(1);
    assertThat(life.survival(age + mean / 10)).isLessThan(life.survival(age));
  }

  @Property
  void manyRunsPullTheMeanToWhatHappened(@ForAll @IntRange(min = 60, max = 200) int count) {
    List<Run> runs = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      runs.add(new Run(900 + i % 5 * 50, true));
    }
    double mean = WeibullPosterior.of(2.5, 8000, 2, runs).meanLife();
    assertThat(mean).isLessThan(4000);
    assertThat(WeibullPosterior.of(2.5, 8000, 2, runs.subList(0, 4)).meanLife())
        .isGreaterThan(mean);
  }

  @Property
  void aSoundRunNeverShortensTheLife(@ForAll @DoubleRange(min = 1, max = 9000) double age) {
    double before = WeibullPosterior.of(2.5, 4000, 2, RUNS).meanLife();
    List<Run> more = new ArrayList<>(RUNS);
    more.add(new Run(age, false));
    assertThat(WeibullPosterior.of(2.5, 4000, 2, more).meanLife()).isGreaterThanOrEqualTo(before);
  }

  @ParameterizedTest
  @CsvSource({"0, 4000, 2", "2.5, 0, 2", "0.4, 4000, 2", "NaN, 4000, 2"})
  void aPriorThatHasNoMeanIsRefused(double shape, double mean, double strength) {
    assertThatThrownBy(() -> WeibullPosterior.of(shape, mean, strength, List.of()))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @ParameterizedTest
  @CsvSource({"0.05, 2706.78, 2918.50", "0.5, 4101.59, 3935.49", "0.95, 7631.98, 5844.43"})
  void theScaleHasTheQuantilesOfItsPosterior(double p, double before, double after) {
    WeibullPosterior prior = WeibullPosterior.of(2.5, 4000, 2, List.of());
    WeibullPosterior seen =
        WeibullPosterior.of(
            2.5,
            4000,
            2,
            List.of(
                new Run(3100, true),
                new Run(2400, false),
                new Run(3650, true),
                new Run(1800, false)));
    assertThat(prior.scaleQuantile(p)).isCloseTo(before, within(0.005));
    assertThat(seen.scaleQuantile(p)).isCloseTo(after, within(0.005));
  }
}
