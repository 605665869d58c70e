package isokinon.server.http;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import isokinon.server.ApiClient;
import isokinon.server.MillTest;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Upkeep that comes round: due on the floor and in the diary, done without a rebuild. */
@MillTest
class RoundsApiTest {

  private static final String DRIP = "/api/v1/pumps/EFF-04/rounds/drip-round";

  @Autowired private ApiClient desk;

  private static String done(String key, String typed, String note) {
    return """
        {"key": "%s", "note": "%s",
         "answers": [{"check": "drops", "reading": {"typed": "%s"}}]}
        """
        .formatted(key, note, typed);
  }

  private static JsonNode round(JsonNode rounds, String id) {
    for (JsonNode r : rounds) {
      if (r.path("round").asText().equals(id)) {
        return r;
      }
    }
    throw new AssertionError("no round " + id + " in " + rounds);
  }

  private List<String> onTheFloor() {
    List<String> due = new ArrayList<>();
    desk.get("/api/v1/floor")
        .body()
        .path("rounds")
        .forEach(
            r -> {
              assertThat(r.path("dueDays").asLong()).isLessThanOrEqualTo(3);
              due.add(r.path("pump").asText() + " " + r.path("round").asText());
            });
    return due;
  }

  @Test
  void aRoundIsReadKeptAndDueAgainAfterItsPeriod() {
    ApiClient.Reply reply = desk.post(DRIP, done("k-1", "12", ""));
    assertThat(reply.status()).isEqualTo(200);
    JsonNode drip = round(reply.body(), "drip-round");
    assertThat(drip.path("dueDays").asLong()).isEqualTo(7);
    assertThat(drip.path("doneBy").asText()).isEqualTo("MA");
    assertThat(drip.path("every").asText()).isEqualTo("every 7 days");
    assertThat(drip.at("/checks/0/last").asDouble()).isEqualTo(12);
    assertThat(onTheFloor()).doesNotContain("EFF-04 drip-round");
    assertThat(desk.get("/api/v1/diary").body().path("rounds").toString())
        .contains("\"pump\":\"EFF-04\",\"round\":\"drip-round\"");
  }

  @Test
  void theSameRequestTwiceCountsOnce() {
    desk.post(DRIP, done("k-2", "9", ""));
    JsonNode again = desk.post(DRIP, done("k-2", "28", "")).body();
    assertThat(round(again, "drip-round").at("/checks/0/last").asDouble()).isEqualTo(9);
  }

  @Test
  void aCheckIsAnsweredOrTheNoteSaysWhyNot() {
    ApiClient.Reply open = desk.post(DRIP, done("k-3", "", ""));
    assertThat(open.status()).isEqualTo(422);
    assertThat(open.fault("drops")).startsWith("Answer it, or say in the note");
    assertThat(desk.post(DRIP, done("k-4", "", "gland dry, pump stood")).status()).isEqualTo(200);
    assertThat(desk.post(DRIP, done("k-5", "twelve", "")).fault("drops")).isNotBlank();
  }

  @Test
  void whatIsNotThereIsSaidSo() {
    assertThat(desk.post("/api/v1/pumps/EFF-04/rounds/none", done("k-6", "1", "")).status())
        .isEqualTo(404);
    assertThat(desk.get("/api/v1/pumps/NO-1/rounds").status()).isEqualTo(404);
    assertThat(desk.get("/api/v1/pumps/DYE-13/rounds").body()).as("no sheet, no rounds").isEmpty();
  }
}
