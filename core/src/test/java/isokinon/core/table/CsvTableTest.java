package isokinon.core.table;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import isokinon.core.sheet.Part.Verdict;
import isokinon.core.value.Fault;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class CsvTableTest {

  private static CsvTable table(String text) {
    return CsvTable.read("pumps", text, List.of("tag", "hours"));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "tag,hours\nEFF-02,100\n",
        "\uFEFFtag,hours\r\nEFF-02,100\r\n",
        "tag;hours\nEFF-02;100",
        "tag\thours\n EFF-02 \t 100 \n",
        "hours,tag,note\n100,EFF-02,\"one\nand two\"\n",
        "tag,hours\n\nEFF-02,\"100\"\n\n"
      })
  void aTableIsReadHoweverTheSpreadsheetWroteIt(String text) {
    CsvTable table = table(text);
    assertThat(table.faults()).isEmpty();
    assertThat(table.rows()).hasSize(1);
    assertThat(table.rows().get(0).values(List.of("tag", "hours")))
        .containsExactly("EFF-02", "100");
  }

  @Test
  void aLineIsToldByWhereItBeginsAlsoBehindAFieldOfSeveralLines() {
    CsvTable table = table("tag,hours\n\"A\nB\",1\nC\nD,3\n");
    assertThat(table.rows()).extracting(CsvRow::line).containsExactly(2, 5);
    assertThat(table.faults())
        .containsExactly(Fault.at("pumps", 4, "1 fields where the heading has 2"));
  }

  @Test
  void whatATableLacksIsToldAndNothingIsTakenFromIt() {
    CsvTable table = table("tag,runs\nA,1\n");
    assertThat(table.faults()).containsExactly(Fault.at("pumps", 1, "columns missing: hours"));
    assertThat(table.rows()).isEmpty();
    assertThatThrownBy(table::rowsOrThrow).hasMessageContaining("columns missing: hours");
    assertThat(table("").faults()).hasSize(1);
    assertThat(table("tag,hours\n\"A,1\n").faults())
        .singleElement()
        .satisfies(f -> assertThat(f.message()).startsWith("not readable as CSV"));
  }

  @Test
  void aTableWithAnyHeadingKeepsLinesOfOtherLengths() {
    CsvTable any = CsvTable.readAny("runs", "pump,,hours\nA\nB,x,2,more\n");
    assertThat(any.headings()).containsExactly("pump", "", "hours");
    assertThat(any.rows()).extracting(r -> r.get("hours")).containsExactly("", "2");
  }

  @Test
  void fieldsAreReadAsWhatTheyAreOrRefusedByTheirColumn() {
    CsvRow row =
        CsvTable.readAny("t", "n,big,w,d,f,v,none\n2.5,1e9, a ;b;;a,2026-03-01,yes,watch,\n")
            .rows()
            .get(0);
    assertThat(row.number("n", 0, 10)).isEqualTo(2.5);
    assertThat(row.words("w", ';')).containsExactly("a", "b");
    assertThat(row.date("d")).hasToString("2026-03-01");
    assertThat(row.flag("f")).contains(true);
    assertThat(row.code(Verdict.class, "v")).isEqualTo(Verdict.WATCH);
    assertThat(row.optional("none")).isEmpty();
    assertThat(row.flag("none")).isEqualTo(Optional.empty());
    assertThatThrownBy(() -> row.number("big", 0, 10)).hasMessage("big 1e9 is outside 0.0 to 10.0");
    assertThatThrownBy(() -> row.number("w")).hasMessageStartingWith("w \"a ;b;;a\" is not");
    assertThatThrownBy(() -> row.word("none")).hasMessage("none is empty");
    assertThatThrownBy(() -> row.flag("v")).hasMessageContaining("neither yes nor no");
    assertThatThrownBy(() -> row.date("n")).hasMessageContaining("not written as 2026-03-01");
    assertThatThrownBy(() -> row.code(Verdict.class, "w")).hasMessageContaining("sound, watch");
  }

  @Provide
  Arbitrary<String> anyText() {
    return Arbitraries.strings().withChars("a1,;\t\"\n\r \uFEFF").ofMaxLength(60);
  }

  /** Whatever text is brought, it is a table or a fault, and every line lies within the text. */
  @Property(tries = 300)
  void noTextBreaksTheReader(@ForAll("anyText") String text) {
    CsvTable table = CsvTable.readAny("any", text);
    long lines = text.chars().filter(c -> c == '\n' || c == '\r').count() + 1;
    assertThat(table.rows()).allSatisfy(r -> assertThat(r.line()).isBetween(2, (int) lines + 1));
    assertThat(table.faults().isEmpty() || table.rows().isEmpty()).isTrue();
  }

  @Test
  void aHeadingOfThousandsOfColumnsIsNoTable() {
    for (String heading : List.of("a,".repeat(500), "a".repeat(30_000))) {
      CsvTable wide = CsvTable.readAny("t", heading + "\n1,2\n");
      assertThat(wide.rows()).isEmpty();
      assertThat(wide.faults())
          .extracting(Fault::message)
          .singleElement()
          .asString()
          .contains("200");
    }
  }
}
