package isokinon.core.magnetic;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import isokinon.core.magnetic.MagnetMargin.Magnet;
import isokinon.core.magnetic.MagnetMargin.Verdict;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MagnetMarginTest {

  private static MagnetMargin at(double t, double rated) {
    return MagnetMargin.of(1100, 12, 22, 0.55, 2900, rated, Magnet.NDFEB, t);
  }

  @Test
  void workedNumbers() {
    MagnetMargin m = at(80, 12);
    assertThat(m.neededNm()).isCloseTo(4.73615, within(5e-6));
    assertThat(m.neededNm() * 2900 * 2 * Math.PI / 60).isCloseTo(1438.31, within(5e-3));
    assertThat(m.availableNm()).isCloseTo(10.4683, within(5e-5));
    assertThat(m.margin()).isCloseTo(2.2103, within(5e-5));
    assertThat(m.verdict()).isEqualTo(Verdict.SOUND);
    assertThat(MagnetMargin.atTemperature(12, Magnet.SMCO, 80)).isCloseTo(11.4309, within(5e-5));
  }

  @ParameterizedTest
  @CsvSource({"6, SOUND", "5.7, WATCH", "5.2, RENEW", "4, RENEW"})
  void aThinMarginIsWatchedThenRenewed(double rated, Verdict verdict) {
    assertThat(at(20, rated).verdict()).isEqualTo(verdict);
  }

  @Property
  void hotterMagnetsNeverCarryMore(
      @ForAll @DoubleRange(min = 0, max = 150) double t,
      @ForAll @DoubleRange(min = 0.1, max = 50) double more) {
    assertThat(at(t + more, 12).margin()).isLessThan(at(t, 12).margin());
  }

  @Test
  void anEfficiencyThatCannotBeIsNamed() {
    assertThatThrownBy(() -> MagnetMargin.of(1000, 10, 20, 0, 2900, 12, Magnet.SMCO, 20))
        .hasMessageStartingWith("efficiency must be 0.001 to 1");
  }

  @Test
  void aDirectStartAddsWhatSpeedsTheLoadUp() {
    assertThat(MagnetMargin.atStartNm(4, 30, 0.01, 0.02)).isCloseTo(14, within(1e-12));
  }
}
