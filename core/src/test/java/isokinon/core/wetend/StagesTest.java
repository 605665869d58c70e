package isokinon.core.wetend;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.core.wetend.Duty.Abrasion;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class StagesTest {

  @ParameterizedTest
  @CsvSource({
    "6, NONE, 1",
    "6.1, NONE, 2",
    "6, LIGHT, 2",
    "6, MEDIUM, 2",
    "6, HEAVY, 3",
    "0, NONE, 1"
  })
  void stagesCarryNoMoreThanTheSolidsAllow(double bar, Abrasion abrasion, int stages) {
    assertThat(Stages.needed(bar, abrasion)).isEqualTo(stages);
  }
}
