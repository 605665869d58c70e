package isokinon.core.value;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class RangeTest {

  @Property
  void whatLiesWithinIsGivenBackAsItIs(@ForAll @DoubleRange(min = -5, max = 5) double value) {
    assertThat(Range.check("gapMm", value, -5, 5)).isEqualTo(value);
  }

  @ParameterizedTest
  @ValueSource(doubles = {-5.000001, 5.000001, Double.NaN, Double.POSITIVE_INFINITY})
  void whatLiesOutsideIsRefusedWithItsNumbers(double value) {
    OutOfRange refused =
        catchThrowableOfType(OutOfRange.class, () -> Range.check("gapMm", value, -5, 5));
    assertThat(refused.field()).isEqualTo("gapMm");
    assertThat(refused.min()).isEqualTo(-5);
    assertThat(refused.max()).isEqualTo(5);
    assertThat(refused.value()).isEqualTo(Double.valueOf(value));
    assertThat(refused).hasMessage("gapMm must be -5 to 5; " + value + " is not.");
  }

  @Test
  void aQuantityThatCannotBeNamesItsFieldAndSaysItsSentence() {
    assertThatThrownBy(
            () -> {
              throw new InvalidQuantity("runs", "runs: two or more are needed.");
            })
        .isInstanceOfSatisfying(InvalidQuantity.class, e -> assertThat(e.field()).isEqualTo("runs"))
        .hasMessage("runs: two or more are needed.");
  }
}
