package isokinon.core.unit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ShopUnitsTest {

  private static final ShopUnits OTHERS =
      new ShopUnits(ShownUnit.POUND_FOOT, ShownUnit.FAHRENHEIT, ShownUnit.PSI, ShownUnit.US_GALLON);

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "at 80 °C|at 176 °F",
        "keeps −40 to 95 °C.|keeps -40 to 203 °F.",
        "12 K past its limit|22 °F past its limit",
        "read 6.0 N·m, bolt 3|read 4.43 ft·lbf, bolt 3",
        "threads 20 N·m|threads 14.8 ft·lbf",
        "2.5 bar, then 10 bar|36 psi, then 145 psi",
        "4 L in|1.06 gal in",
        "100 degC|212 °F",
        "200 bar and 1 of 4|2\u2009901 psi and 1 of 4",
        "60 L/min, 5 mg/L, 3 L-0417, EFF-02 bar|60 L/min, 5 mg/L, 3 L-0417, EFF-02 bar",
        "Full / limited °C|Full / limited °C",
      })
  void everyQuantityOfASentenceIsInTheUnitsOfTheShop(String ofRecords, String shown) {
    assertThat(OTHERS.sentence(ofRecords)).isEqualTo(shown);
    assertThat(ShopUnits.OF_RECORDS.sentence(ofRecords)).isEqualTo(ofRecords);
  }

  @Test
  void aUnitOfAnotherKindIsRefused() {
    assertThatThrownBy(
            () -> new ShopUnits(ShownUnit.BAR, ShownUnit.CELSIUS, ShownUnit.BAR, ShownUnit.LITRE))
        .isInstanceOf(IllegalArgumentException.class);
  }

  /** What is shown of a temperature is within half a degree of it. */
  @Property
  void aTemperatureSaysTheSameInBoth(@ForAll @DoubleRange(min = -200, max = 900) double celsius) {
    long c = Math.round(celsius);
    String shown = OTHERS.sentence(c + " °C").replace("\u2009", "").replace(" °F", "");
    assertThat((Double.parseDouble(shown) - 32) / 1.8).isCloseTo(c, within(0.28));
  }
}
