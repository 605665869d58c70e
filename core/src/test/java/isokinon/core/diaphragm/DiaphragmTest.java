package isokinon.core.diaphragm;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

class DiaphragmTest {

  @Test
  void flowOverStrokesIsDisplacementAndItsLossSpeaksOfLeaks() {
    // 45 L/min at 0.62 L a cycle is 72.58 cycles a minute.
    AirDriven asNew = AirDriven.of(45, 45 / 0.62, 0.62, 900);
    assertThat(asNew.litresPerCycle()).isCloseTo(0.62, within(1e-12));
    assertThat(asNew.lost()).isCloseTo(0, within(1e-12));
    assertThat(asNew.airPerLitre()).isCloseTo(20, within(1e-12));
    assertThat(asNew.leaks()).isFalse();
    assertThat(AirDriven.of(38, 45 / 0.62, 0.62, Double.NaN).leaks()).isTrue();
    assertThatThrownBy(() -> AirDriven.of(Double.NaN, 60, 0.62, 1)).hasMessageContaining("flow");
    assertThatThrownBy(() -> AirDriven.of(40, 0, 0.62, 1)).hasMessageContaining("cycles");
  }

  @Test
  void gapsAreEvenedByHalfTheirDifference() {
    ShuttleGaps off = ShuttleGaps.of(2.9, 2.1, ShuttleGaps.USUAL_MM);
    assertThat(off.even()).isFalse();
    assertThat(off.shiftMm()).isCloseTo(-0.4, within(1e-12));
    assertThat(ShuttleGaps.of(2.9 + off.shiftMm(), 2.1 - off.shiftMm(), 0.3).differenceMm())
        .isCloseTo(0, within(1e-12));
    assertThat(ShuttleGaps.of(2.6, 2.3, 0.3 + 1e-12).even()).isTrue();
  }
}
