package isokinon.server.http;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import isokinon.server.ApiClient;
import isokinon.server.MillTest;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;

/** Before the strip: faults, tests, parts to reach, and what the shop's own finds change. */
@MillTest
class SymptomsApiTest {

  @Autowired private ApiClient desk;

  private JsonNode told(String tag, String json) {
    return desk.post("/api/v1/pumps/" + tag + "/symptoms", json).body();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"SCR-07", "EFF-03", "EFF-05", "DYE-06", "EFF-04", "BLE-01", "SCR-08", "DYE-12"})
  void everyFamilyHasFaultsSymptomsAndTests(String tag) {
    JsonNode view = told(tag, "{}");
    assertThat(view.path("faults").size()).isGreaterThan(3);
    assertThat(view.path("symptoms").size()).isGreaterThan(3);
    assertThat(view.path("tests").size()).isGreaterThan(2);
    double sum = 0;
    for (JsonNode f : view.path("faults")) {
      sum += f.path("chance").asDouble();
      assertThat(f.path("before").asDouble()).isEqualTo(f.path("chance").asDouble());
    }
    assertThat(sum).isBetween(0.999, 1.001);
  }

  @Test
  void whatIsSeenMovesTheChancesAndNamesThePartsToReach() {
    JsonNode view =
        told("SCR-07", "{\"seen\": [\"uneven-strokes\", \"slow-prime\"], \"no\": [\"dead-head\"]}");
    JsonNode first = view.path("faults").get(0);
    assertThat(first.path("id").asText()).isEqualTo("inlet-valve");
    assertThat(first.path("raised").toString()).contains("strokes unevenly", "slow to prime");
    assertThat(first.path("parts").toString()).contains("inlet-balls", "inlet-seats");
    assertThat(first.path("stripMinutes").asDouble()).isPositive();
    assertThat(view.path("tests").toString()).doesNotContain("dead-head");
    assertThat(view.path("done").get(0).path("answer").asText()).isEqualTo("It stops and holds");
  }

  @Test
  void safeTestsStandBeforeThoseThatOpenThePumpAndTheirStripCounts() {
    JsonNode tests = told("EFF-03", "{\"seen\": [\"flow-down\"]}").path("tests");
    int firstOpening = -1;
    int lastSafe = -1;
    for (int i = 0; i < tests.size(); i++) {
      boolean worth = tests.get(i).path("share").asDouble() > 0.02;
      if (tests.get(i).path("kind").asText().equals("opens") && firstOpening < 0) {
        firstOpening = i;
        assertThat(tests.get(i).path("minutes").asDouble()).isGreaterThan(6);
      } else if (tests.get(i).path("kind").asText().equals("safe") && worth) {
        lastSafe = i;
      }
    }
    assertThat(lastSafe).isLessThan(firstOpening);
  }

  @Test
  void aSymptomOfAnotherFamilyIsRefusedByName() {
    ApiClient.Reply reply =
        desk.post("/api/v1/pumps/SCR-07/symptoms", "{\"seen\": [\"milky-oil\"]}");
    assertThat(reply.status()).isEqualTo(422);
    assertThat(reply.fault("seen")).contains("milky-oil");
    assertThat(desk.post("/api/v1/pumps/NO-1/symptoms", "{}").status()).isEqualTo(404);
  }

  @Test
  void whatItTurnedOutToBeCountsNextTime() {
    double before = chance("DYE-11", "thrust-worn");
    ApiClient.Job job = desk.job("DYE-11");
    job.does(
        "SYMPTOMS_TOLD",
        Map.of(
            "suspected",
            "bushings-worn",
            "observations",
            List.of(Map.of("kind", "seen", "id", "noise"))));
    job.takesIn("renew:bushing").makesSafe().strips().inspects();
    job.does("FAULT_FOUND", Map.of("fault", "thrust-worn"));
    assertThat(job.tries("FAULT_FOUND", Map.of("fault", "moon")).fault("fault"))
        .isEqualTo("No fault is called moon.");
    job.decides("single", "SiC").builds().proves();
    assertThat(job.view().at("/fault/said").asText()).isEqualTo("Thrust ring or disc worn");
    job.handsBack();
    assertThat(chance("DYE-11", "thrust-worn")).isGreaterThan(before);
  }

  private double chance(String tag, String fault) {
    for (JsonNode f : told(tag, "{}").path("faults")) {
      if (f.path("id").asText().equals(fault)) {
        return f.path("before").asDouble();
      }
    }
    throw new AssertionError(fault);
  }
}
