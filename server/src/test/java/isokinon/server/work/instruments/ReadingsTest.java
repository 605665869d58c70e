package isokinon.server.work.instruments;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import isokinon.server.work.shared.RequestProblem;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class ReadingsTest {

  @ParameterizedTest
  @CsvSource({
    "15, '', N·m, 15",
    "'15,4', '', N·m, 15.4",
    ".5, '', mm, 0.5",
    "-3, '', degC, -3",
    "1.5e1, '', N·m, 15",
    "10, ft·lbf, N·m, 13.558179483314",
    "10 ft·lbf, N·m, N·m, 13.558179483314",
    "10, in·lbf, N·m, 1.129848290276",
    "14.5037737730, psi, bar, 1.0",
    "250, kPa, bar, 2.5",
    "1 in, '', mm, 25.4",
    "2, min, s, 120",
    "310, mL, L, 0.31",
    "7.4, '', pH, 7.4",
    "40 °C, '', degC, 40",
  })
  void aReadingIsConvertedToTheUnitAskedFor(
      String typed, String given, String wanted, double value) {
    assertThat(Readings.parse(typed, given, wanted, "value"))
        .isCloseTo(value, within(1e-9 + Math.abs(value) * 1e-9));
  }

  @ParameterizedTest
  @ValueSource(strings = {"abc", "NaN", "Infinity", "1.2.3", "--4", "twelve", "1e999", "+", ","})
  void whatIsNoNumberIsRefusedWithTheTypedText(String typed) {
    assertThatThrownBy(() -> Readings.parse(typed, "", "N·m", "value"))
        .isInstanceOf(RequestProblem.class)
        .hasMessageContaining("\"" + typed + "\"");
  }

  @ParameterizedTest
  @CsvSource({"15 mm, N·m", "15 bar, N·m", "3 s, mm", "20 N·m, bar"})
  void aUnitOfAnotherQuantityIsRefused(String typed, String wanted) {
    assertThatThrownBy(() -> Readings.parse(typed, "", wanted, "value"))
        .isInstanceOf(RequestProblem.class);
  }

  @Test
  void anUnknownUnitIsNamed() {
    assertThatThrownBy(() -> Readings.parse("15 furlongs", "", "N·m", "value"))
        .hasMessageContaining("furlongs");
  }

  @Test
  void aVeryLongTextIsShortenedInTheSentence() {
    assertThatThrownBy(() -> Readings.parse("x".repeat(5000), "", "N·m", "value"))
        .satisfies(e -> assertThat(e.getMessage()).hasSizeLessThan(120));
  }
}
