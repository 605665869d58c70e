package isokinon.core.peristaltic;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import isokinon.core.peristaltic.Calibration.Run;
import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PeristalticTest {

  @Test
  void theGapOfAPinch() {
    assertThat(TubeGap.gapMm(2.4, 0.15)).isCloseTo(4.08, within(1e-12));
  }

  @ParameterizedTest
  @CsvSource({
    "4.6, 4.08, '0.5', 1", // 0.52 wanted: 0.5 and no thinner shim fits the rest
    "5.0, 4.2, '0.8', 2",
    "4.1, 4.08, '', 0",
    "6.4, 4.0, '2.4', 5"
  })
  void shimsComeNearestNeverCloserThanWanted(double now, double wanted, String sum, int count) {
    List<Double> shims = TubeGap.shims(now, wanted, List.of(0.3, 0.5, 1.0));
    double total = shims.stream().mapToDouble(Double::doubleValue).sum();
    assertThat(total).isLessThanOrEqualTo(now - wanted + 1e-9);
    assertThat(total).isCloseTo(sum.isEmpty() ? 0 : Double.parseDouble(sum), within(1e-9));
    assertThat(shims).hasSize(count);
  }

  private static List<Run> runs(double... mlPerTurn) {
    List<Run> runs = new ArrayList<>();
    for (double ml : mlPerTurn) {
      runs.add(new Run(100, 100 * ml));
    }
    return runs;
  }

  @Test
  void aCalibrationByHand() {
    // mean 5.0, s = 0.1 with n - 1; t(2) = 4.302653: half-width 0.248413, 4.968 % of the mean
    Calibration c = Calibration.of(runs(4.9, 5.0, 5.1), 4.8, 1);
    assertThat(c.mlPerTurn()).isCloseTo(5.0, within(1e-12));
    assertThat(c.cvPct()).isCloseTo(2.0, within(1e-9));
    assertThat(c.halfWidthPct()).isCloseTo(4.96828, within(1e-4));
    assertThat(c.errorPct()).isCloseTo(100 * 0.2 / 4.8, within(1e-9));
    // t(17)·2/√18 = 0.9946 % is the first within 1 %
    assertThat(c.moreRuns()).isEqualTo(15);
  }

  @Property
  void runsThatAgreeNeedNoMore(
      @ForAll @DoubleRange(min = 0.1, max = 100) double ml,
      @ForAll @IntRange(min = 3, max = 10) int n) {
    double[] same = new double[n];
    java.util.Arrays.fill(same, ml);
    Calibration c = Calibration.of(runs(same), ml, 1);
    assertThat(c.moreRuns()).isZero();
    assertThat(c.errorPct()).isCloseTo(0, within(1e-9));
  }

  @Test
  void ratiosCountNotTotals() {
    Calibration c =
        Calibration.of(List.of(new Run(10, 50), new Run(200, 1000), new Run(50, 250)), 5, 1);
    assertThat(c.mlPerTurn()).isEqualTo(5);
  }

  @ParameterizedTest
  @CsvSource({"0, 5, runs[1].turns", "-3, 5, runs[1].turns", "10, NaN, runs[1].ml"})
  void aRunThatCannotBeIsNamed(double turns, double ml, String path) {
    assertThatThrownBy(
            () ->
                Calibration.of(List.of(new Run(10, 50), new Run(turns, ml), new Run(10, 50)), 5, 1))
        .hasMessageStartingWith(path);
  }

  @Test
  void twoRunsSayNothingOfRepeatability() {
    assertThatThrownBy(() -> Calibration.of(runs(5, 5), 5, 1)).hasMessageContaining("3 or more");
  }
}
