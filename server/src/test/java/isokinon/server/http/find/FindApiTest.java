package isokinon.server.http.find;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import isokinon.server.ApiClient;
import isokinon.server.MillTest;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;

@MillTest
class FindApiTest {

  @Autowired private ApiClient desk;

  private JsonNode found(String word) {
    return desk.get("/api/v1/find?word=" + URLEncoder.encode(word, StandardCharsets.UTF_8)).body();
  }

  @ParameterizedTest
  @CsvSource({
    "eff-02, pump, EFF-02, EFF-02, true",
    "grit sludge, pump, EFF-02, EFF-02, false",
    "KO, person, KO, KO, true",
    "muriatic, fluid, Hydrochloric acid, hydrochloric-acid, false",
    "epdm, material, EPDM, EPDM, true",
    "tube-four-arm-16, sheet, tube-four-arm-16, tube-four-arm-16, true",
    "L-1101, lot, L-1101, L-1101, true",
  })
  void everythingIsFoundByItsCodeAndByItsWords(
      String typed, String kind, String code, String leads, boolean named) {
    JsonNode first = found(typed).get(0);
    assertThat(first.path("kind").asText()).isEqualTo(kind);
    assertThat(first.path("code").asText()).isEqualTo(code);
    assertThat(first.path("leads").asText()).isEqualTo(leads);
    assertThat(first.path("named").asBoolean()).isEqualTo(named);
  }

  @Test
  void aUnitLeadsToThePumpItStandsInAndAJobToItsBench() {
    long job = desk.job("EFF-02").id();
    JsonNode pumps = desk.get("/api/v1/setup/tables/pumps").body().path("rows");
    String serial =
        StreamSupport.stream(pumps.spliterator(), false)
            .filter(row -> row.path("key").asText().equals("EFF-02"))
            .map(row -> row.at("/values/serial").asText())
            .findFirst()
            .orElseThrow();
    assertThat(found(serial).findValuesAsText("leads")).contains("EFF-02");
    assertThat(found("eff-02"))
        .filteredOn(f -> f.path("kind").asText().equals("rebuild"))
        .extracting(f -> f.path("leads").asLong())
        .contains(job);
  }

  @Test
  void noMoreThanADozenAndNothingForNothing() {
    assertThat(found("e")).hasSize(12);
    assertThat(found(" ")).isEmpty();
    assertThat(found("100%_")).isEmpty();
    assertThat(desk.get("/api/v1/find?word=" + "x".repeat(101)).status()).isEqualTo(400);
  }
}
