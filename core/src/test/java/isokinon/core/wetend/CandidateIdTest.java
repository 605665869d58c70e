package isokinon.core.wetend;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CandidateIdTest {

  @ParameterizedTest
  @CsvSource({
    "PTFE, short-stroke, full-stroke, PTFE on short-stroke",
    "PTFE, full-stroke, full-stroke, PTFE",
    "PTFE, '', full-stroke, PTFE",
    "PTFE, full-stroke, '', PTFE on full-stroke"
  })
  void theHardwareThatGoesWithoutSayingIsLeftOut(
      String material, String hardware, String usual, String name) {
    assertThat(new CandidateId(material, hardware).name(usual)).isEqualTo(name);
  }

  @Test
  void otherProgramsSeeMaterialAndHardware() {
    assertThat(CandidateId.of("CSM")).hasToString("CSM");
    assertThat(new CandidateId("PTFE", "short-stroke")).hasToString("PTFE on short-stroke");
    assertThat(
            new TreeSet<>(List.of(new CandidateId("PTFE", "short-stroke"), CandidateId.of("CSM"))))
        .first()
        .isEqualTo(CandidateId.of("CSM"));
  }
}
