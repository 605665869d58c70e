package isokinon.core.life;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What ends a life, cause by cause. */
class CompetingRisksTest {

  private static final CompetingRisks BOTH =
      new CompetingRisks(
          Map.of(
              FailureCause.WORE_OUT, new Weibull(3, 2000),
              FailureCause.RAN_DRY, new Weibull(1, 4000)));

  /** Two causes without age are two constant rates: 1/2000 + 1/3000 an hour, at any renewal. */
  @ParameterizedTest
  @CsvSource({"500", "3000", "Infinity"})
  void constantRatesAddUpAtAnyAge(double renewed) {
    Map<FailureCause, Double> rates =
        new CompetingRisks(
                Map.of(
                    FailureCause.RAN_DRY, new Weibull(1, 2000),
                    FailureCause.FOREIGN_BODY, new Weibull(1, 3000)))
            .rates(renewed);
    assertThat(rates.get(FailureCause.RAN_DRY)).isCloseTo(1 / 2000.0, within(1e-6));
    assertThat(rates.get(FailureCause.FOREIGN_BODY)).isCloseTo(1 / 3000.0, within(1e-6));
  }

  @Test
  void renewalPreventsWhatComesWithAgeAndNothingElse() {
    Map<FailureCause, Double> soon = BOTH.rates(800);
    Map<FailureCause, Double> never = BOTH.rates(Double.POSITIVE_INFINITY);
    assertThat(soon.get(FailureCause.WORE_OUT)).isLessThan(never.get(FailureCause.WORE_OUT) / 4);
    assertThat(soon.get(FailureCause.RAN_DRY)).isCloseTo(1 / 4000.0, within(2e-6));
    assertThat(never.get(FailureCause.RAN_DRY)).isCloseTo(1 / 4000.0, within(2e-6));
  }

  @Test
  void oneCauseAloneIsItsOwnLife() {
    Weibull life = new Weibull(2.5, 3000);
    double rate =
        new CompetingRisks(Map.of(FailureCause.WORE_OUT, life))
            .rates(1500)
            .get(FailureCause.WORE_OUT);
    assertThat(rate).isCloseTo(life.failureRate(1500), within(1e-4 * rate));
  }

  @ParameterizedTest
  @CsvSource({
    "ran dry, RAN_DRY",
    "worn out after it ran dry, RAN_DRY",
    "swollen by wool grease, ATTACKED",
    "caustic took its strength, ATTACKED",
    "fatigue at the seam, WORE_OUT",
    "torn by a stone, FOREIGN_BODY",
    "burst against a closed valve, OVERPRESSURE",
    "fitted wrong way round, BUILD",
    "nobody knows, UNKNOWN"
  })
  void theShopsOwnWordsTellTheCause(String said, FailureCause cause) {
    assertThat(FailureCause.ofWords(said)).isEqualTo(cause);
  }

  @Test
  void aSetThatFailedOfAnotherCauseHadNotFailedOfThisOne() {
    Run failed = new Run(900, true);
    LifeGroups.WearRun run =
        new LifeGroups.WearRun(
            "P",
            "",
            "stator",
            "NBR",
            "sludge",
            failed,
            Optional.empty(),
            LocalDate.EPOCH,
            Optional.of(LocalDate.EPOCH),
            FailureCause.RAN_DRY);
    assertThat(run.only(FailureCause.RAN_DRY)).isSameAs(run);
    assertThat(run.only(FailureCause.WORE_OUT).hours()).isEqualTo(new Run(900, false));
    assertThat(run.without(FailureCause.RAN_DRY).hours()).isEqualTo(new Run(900, false));
    assertThat(run.without(FailureCause.WORE_OUT)).isSameAs(run);
  }
}
