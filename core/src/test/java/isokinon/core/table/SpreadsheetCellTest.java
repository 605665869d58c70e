package isokinon.core.table;

import static org.assertj.core.api.Assertions.assertThat;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.CharRange;
import net.jqwik.api.constraints.StringLength;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SpreadsheetCellTest {

  @ParameterizedTest
  @CsvSource(
      quoteCharacter = '"',
      value = {
        "=1+2,'=1+2",
        "@SUM(A1),'@SUM(A1)",
        "+cmd|x,'+cmd|x",
        "-2+3,'-2+3",
        "-0.8,-0.8",
        "+5,+5",
        "1e-3,1e-3",
        "EPDM,EPDM"
      })
  void aFormulaIsMadeATextAndANumberStaysOne(String text, String cell) {
    assertThat(SpreadsheetCell.of(text)).isEqualTo(cell);
  }

  @Property(tries = 500)
  void whatWasWrittenIsReadAgain(
      @ForAll @StringLength(max = 6) @CharRange(from = '\'', to = '@') String text) {
    String cell = SpreadsheetCell.of(text);
    assertThat(cell)
        .satisfiesAnyOf(
            c -> assertThat(c).doesNotStartWith("=").doesNotStartWith("@"),
            c -> assertThat(c).startsWith("'"));
    if (!text.startsWith("'")) {
      assertThat(SpreadsheetCell.read(cell)).isEqualTo(text);
    }
  }
}
