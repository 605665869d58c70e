package isokinon.server.access;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PinRulesTest {

  @ParameterizedTest
  @ValueSource(strings = {"1704", "29161", "380577", "1357", "a long enough phrase", "1212"})
  void mayBeChosen(String pin) {
    assertThat(PinRules.fault(pin)).isEmpty();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "170",
        "1704999",
        "0000",
        "1234",
        "654321",
        "987654",
        "too short",
        "eleven char",
        "12a4"
      })
  void isGuessedFirstOrIsNone(String pin) {
    assertThat(PinRules.fault(pin)).isPresent();
  }
}
