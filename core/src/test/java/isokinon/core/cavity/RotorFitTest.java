package isokinon.core.cavity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import isokinon.core.cavity.RotorFit.Stator;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RotorFitTest {

  private static final double RUBBER = 1.6e-4;
  private static final double STEEL = 1.2e-5;
  private static final Stator STATOR =
      new Stator(
          14.85,
          26,
          30,
          List.of(0.0, -0.25, -0.5, -0.75, -1.0),
          0.2,
          0.6,
          Optional.empty(),
          Optional.empty());

  private static double interference(double deltaK, double swell) {
    return RotorFit.at(14.85, 26, RUBBER, deltaK, swell, 30, STEEL).interferenceMm();
  }

  @ParameterizedTest
  @CsvSource({"0, 0, 0.3000", "40, 0, 0.9093", "60, 0, 1.2185", "40, 0.03, 1.8825"})
  void workedNumbers(double deltaK, double swell, double mm) {
    assertThat(interference(deltaK, swell)).isCloseTo(mm, within(5e-5));
  }

  @ParameterizedTest
  @CsvSource({"0, 0", "20, -0.25", "30, -0.25", "55, -0.75", "70, -1.0"})
  void theLargestRotorThatSitsRightIsChosen(double deltaK, double classMm) {
    assertThat(RotorFit.choose(STATOR, RUBBER, deltaK, 0, STEEL))
        .hasValueSatisfying(
            c -> {
              assertThat(c.classMm()).isEqualTo(classMm);
              assertThat(c.fit().interferenceMm()).isBetween(0.2, 0.6);
            });
  }

  @ParameterizedTest
  @CsvSource({"120, 0", "60, 0.05", "-20, 0"})
  void whereNoRotorSitsRightThereIsNoElastomerStator(double deltaK, double swell) {
    assertThat(RotorFit.choose(STATOR, RUBBER, deltaK, swell, STEEL)).isEmpty();
  }

  @Property
  void hotterOrSwollenSitsTighter(
      @ForAll @DoubleRange(min = 0, max = 80) double deltaK,
      @ForAll @DoubleRange(min = 0.1, max = 20) double more,
      @ForAll @DoubleRange(min = 0, max = 0.04) double swell) {
    assertThat(interference(deltaK + more, swell)).isGreaterThan(interference(deltaK, swell));
    assertThat(interference(deltaK, swell + 0.01)).isGreaterThan(interference(deltaK, swell));
  }

  @ParameterizedTest
  @CsvSource({
    "0, 26, boreRadiusMm",
    "NaN, 26, boreRadiusMm",
    "14.85, 14, tubeRadiusMm",
    "14.85, -1, tubeRadiusMm"
  })
  void aSizeThatCannotBeIsNamed(double bore, double tube, String name) {
    assertThatThrownBy(() -> RotorFit.at(bore, tube, RUBBER, 10, 0, 30, STEEL))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageStartingWith(name);
  }

  @ParameterizedTest
  @CsvSource({"0.8, swell 0.8 closes the bore", "1.5, swell must be"})
  void aSwellThatClosesTheBoreIsSaid(double swell, String told) {
    assertThatThrownBy(() -> RotorFit.at(14.85, 26, RUBBER, 40, swell, 30, STEEL))
        .hasMessageContaining(told);
  }
}
