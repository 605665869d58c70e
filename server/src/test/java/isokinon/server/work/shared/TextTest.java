package isokinon.server.work.shared;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TextTest {

  @ParameterizedTest
  @CsvSource({
    "0, 0",
    "15, 15",
    "15.25, 15.25",
    "-0.5, -0.5",
    "999, 999",
    "1000, 1\u2009000",
    "2310, 2\u2009310",
    "1234567.5, 1\u2009234\u2009567.5",
    "-24200, -24\u2009200",
  })
  void numbersArePlainWithThinThousands(double value, String shown) {
    assertThat(Text.plain(value)).isEqualTo(shown);
  }

  @ParameterizedTest
  @CsvSource({"0, 0", "7.4, 7", "348, 350", "28576, 29\u2009000", "57636.2, 58\u2009000"})
  void whatIsRoughlyKnownHasTwoDigits(double value, String shown) {
    assertThat(Text.about(value)).isEqualTo(shown);
  }

  @ParameterizedTest
  @CsvSource({
    "socket-13, 13 mm socket",
    "hex-key-6, 6 mm hex key",
    "seat-hook, Seat hook",
    "vice-soft-jaws, Vice soft jaws"
  })
  void toolsAreCalledWhatPeopleCallThem(String id, String name) {
    assertThat(Text.tool(id)).isEqualTo(name);
  }

  @ParameterizedTest
  @CsvSource({"1, 1 day", "0, 0 days", "7, 7 days"})
  void countsAgree(long n, String said) {
    assertThat(Text.count(n, "day")).isEqualTo(said);
  }
}
