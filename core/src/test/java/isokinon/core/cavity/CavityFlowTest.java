package isokinon.core.cavity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import isokinon.core.cavity.CavityFlow.Wear;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CavityFlowTest {

  @Test
  void workedNumbers() {
    CavityFlow flow = CavityFlow.of(5, 30, 120, 300, 1.05);
    assertThat(flow.displacementL()).isCloseTo(0.072, within(1e-12));
    assertThat(flow.theoreticalM3h()).isCloseTo(1.296, within(1e-12));
    assertThat(flow.efficiency()).isCloseTo(1.05 / 1.296, within(1e-12));
  }

  @ParameterizedTest
  @CsvSource({"0.85, 0.75, SOUND", "0.85, 0.70, WATCH", "0.85, 0.60, RENEW", "0.85, 0.90, SOUND"})
  void aPairIsHeldAgainstItsTestAsNew(double asNew, double now, Wear wear) {
    assertThat(CavityFlow.wear(asNew, now)).isEqualTo(wear);
  }

  @ParameterizedTest
  @CsvSource({"0, 30, eccentricityMm", "5, NaN, rotorDiameterMm"})
  void aSizeThatCannotBeIsNamed(double e, double d, String name) {
    assertThatThrownBy(() -> CavityFlow.of(e, d, 120, 300, 1)).hasMessageStartingWith(name);
  }
}
