package isokinon.server.http;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import isokinon.server.ApiClient;
import isokinon.server.MillTest;
import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Parts and units that come out, go in and change places: their age goes with them. */
@MillTest
class MovedPartsApiTest {

  @Autowired private ApiClient desk;

  private List<JsonNode> runs(String tag) {
    return StreamSupport.stream(desk.get("/api/v1/history.json").body().spliterator(), false)
        .filter(r -> r.path("tag").asText().equals(tag))
        .toList();
  }

  private JsonNode running(String tag, String role) {
    return runs(tag).stream()
        .filter(r -> r.path("role").asText().equals(role))
        .filter(r -> r.path("ended").asText().equals("running"))
        .findFirst()
        .orElseThrow();
  }

  private void handsBack(ApiClient.Job job, String material) {
    job.decides("single", material).builds().proves().handsBack();
  }

  @Test
  void aBallThatWentInHasALifeOfItsOwn() {
    ApiClient.Job first = desk.job("EFF-05").takesIn("renew:inlet-balls").makesSafe();
    handsBack(first.strips().inspects(), "PTFE");
    JsonNode ball = running("EFF-05", "ball");
    assertThat(ball.path("material").asText()).isEqualTo("PTFE");
    assertThat(ball.path("place").asText()).isEqualTo("inlet balls");
    assertThat(ball.path("hours").asDouble()).isZero();
    assertThat(ball.path("counted").asText()).isEqualTo("strokes");
    assertThat(runs("EFF-05")).noneMatch(r -> r.path("role").asText().equals("body"));

    desk.post(
        "/api/v1/pumps/EFF-05/counters",
        "{\"counter\": \"hours\", \"reading\": "
            + (desk.get("/api/v1/pumps/EFF-05").body().path("runningHours").asDouble() + 6)
            + "}");
    ApiClient.Job second = desk.job("EFF-05").takesIn("inspect:inlet-balls").makesSafe().strips();
    second.does("JUDGED", Map.of("part", "inlet-balls", "verdict", "renew", "because", "grooved"));
    second.does("CAUSE_FOUND", Map.of("part", "inlet-balls", "cause", "age"));
    handsBack(second.inspects(), "SS316");
    JsonNode ended =
        runs("EFF-05").stream()
            .filter(r -> r.path("role").asText().equals("ball") && r.has("ended_on"))
            .findFirst()
            .orElseThrow();
    assertThat(ended.path("ended").asText()).isEqualTo("failed");
    assertThat(ended.path("cause").asText()).contains("grooved");
    assertThat(running("EFF-05", "ball").path("material").asText()).isEqualTo("SS316");
  }

  @Test
  void twoUnitsChangePlacesAndTheirPartsKeepTheirAge() {
    JsonNode here = running("EFF-04", "stator");
    JsonNode there = running("SCR-01", "stator");
    double aged = hours("EFF-04");
    ApiClient.Reply reply =
        desk.post(
            "/api/v1/pumps/EFF-04/exchange",
            "{\"with\": \"SCR-01\", \"because\": \"bearing noise\"}");
    assertThat(reply.status()).as(reply.body().toString()).isEqualTo(200);
    JsonNode moved = running("SCR-01", "stator");
    assertThat(moved.path("unit")).isEqualTo(here.path("unit"));
    assertThat(moved.path("material")).isEqualTo(here.path("material"));
    assertThat(moved.path("hours").asDouble()).isZero();
    assertThat(moved.path("came_hours").asDouble()).isCloseTo(aged, within(1e-6));
    assertThat(moved.path("came_count").asDouble())
        .isGreaterThanOrEqualTo(here.path("counts").asDouble());
    assertThat(running("EFF-04", "stator").path("unit")).isEqualTo(there.path("unit"));
    JsonNode before =
        runs("EFF-04").stream()
            .filter(r -> r.path("cause").asText().equals("unit moved to SCR-01"))
            .findFirst()
            .orElseThrow();
    assertThat(before.path("ended").asText()).isEqualTo("sound");
    assertThat(before.path("note").asText()).isEqualTo("bearing noise");
    assertThat(desk.get("/api/v1/pumps/SCR-01").body().path("serial")).isEqualTo(here.path("unit"));
  }

  /** Hours on the set of a pump, carried on to now. */
  private double hours(String tag) {
    return desk.get("/api/v1/pumps/" + tag).body().at("/strip/hours").asDouble();
  }

  @Test
  void thereAndBackAgainIsAsBefore() {
    JsonNode before = running("DYE-01", "tube");
    double aged = hours("DYE-01");
    String twin = "SCR-05";
    assertThat(desk.get("/api/v1/pumps/DYE-01").body().path("alike"))
        .extracting(JsonNode::asText)
        .contains(twin)
        .doesNotContain("DYE-01");
    double agedThere = hours(twin);
    for (int i = 0; i < 2; i++) {
      ApiClient.Reply reply =
          desk.post(
              "/api/v1/pumps/DYE-01/exchange",
              "{\"with\": \"" + twin + "\", \"because\": \"swapped for a test\"}");
      assertThat(reply.status()).as(reply.body().toString()).isEqualTo(200);
    }
    JsonNode after = running("DYE-01", "tube");
    assertThat(after.path("unit")).isEqualTo(before.path("unit"));
    assertThat(after.path("material")).isEqualTo(before.path("material"));
    assertThat(hours("DYE-01")).isCloseTo(aged, within(1e-6));
    assertThat(hours(twin)).isCloseTo(agedThere, within(1e-6));
    assertThat(runs("DYE-01"))
        .as("nothing ran in between, so no run of no hours is kept")
        .noneMatch(r -> r.has("ended_on") && r.path("hours").asDouble() == 0);
  }

  @Test
  void aUnitOfTheShelfGoesInAndTheOtherComesToTheShelfWithItsAge() {
    JsonNode before = running("DYE-04", "diaphragm");
    String stood = before.path("unit").asText();
    double aged = hours("DYE-04");
    assertThat(desk.get("/api/v1/pumps/SCR-03").body().path("spares"))
        .extracting(u -> u.path("serial").asText())
        .containsExactly("DP25-0372");
    ApiClient.Reply in = fromShelf("DYE-04", "DP25-0372");
    assertThat(in.status()).as(in.body().toString()).isEqualTo(200);
    assertThat(in.body().path("serial").asText()).isEqualTo("DP25-0372");
    assertThat(running("DYE-04", "diaphragm").path("came_hours").asDouble()).isZero();
    assertThat(runs("DYE-04"))
        .anyMatch(
            r ->
                r.path("cause").asText().equals("unit moved to the shelf")
                    && r.path("unit").asText().equals(stood)
                    && r.path("ended").asText().equals("sound"));
    JsonNode onShelf = unitOnShelf(stood);
    assertThat(onShelf.path("hours").asDouble()).isCloseTo(aged, within(1e-6));
    assertThat(onShelf.path("place").asText()).isEqualTo("R2");

    assertThat(fromShelf("DYE-04", "DP25-0372").fault("unit")).contains("is on the shelf");
    assertThat(fromShelf("SCR-01", stood).fault("unit")).contains("construction");
    assertThat(fromShelf("DYE-04", stood).status()).isEqualTo(200);
    JsonNode after = running("DYE-04", "diaphragm");
    assertThat(after.path("unit").asText()).isEqualTo(stood);
    assertThat(after.path("material")).isEqualTo(before.path("material"));
    assertThat(hours("DYE-04")).isCloseTo(aged, within(1e-6));
    assertThat(unitOnShelf("DP25-0372").path("hours").asDouble()).isZero();
  }

  private JsonNode unitOnShelf(String serial) {
    for (JsonNode unit : desk.get("/api/v1/stores").body().path("units")) {
      if (unit.path("serial").asText().equals(serial)) {
        return unit;
      }
    }
    throw new AssertionError(serial + " is not on the shelf");
  }

  private ApiClient.Reply fromShelf(String tag, String unit) {
    return desk.post(
        "/api/v1/pumps/" + tag + "/unit", "{\"unit\": \"" + unit + "\", \"place\": \"R2\"}");
  }

  @Test
  void aLifeThatMovedCountsOnceInItsGroup() {
    String question =
        "{\"role\": \"tube\", \"material\": \"EPDM tube\", \"duty\": \"sodium-hypochlorite\"}";
    JsonNode before = desk.post("/api/v1/life", question).body().path("estimate");
    ApiClient.Reply reply =
        desk.post(
            "/api/v1/pumps/BLE-02/exchange", "{\"with\": \"EFF-01\", \"because\": \"nearer\"}");
    assertThat(reply.status()).as(reply.body().toString()).isEqualTo(200);
    JsonNode after = desk.post("/api/v1/life", question).body().path("estimate");
    assertThat(after.path("failures")).isEqualTo(before.path("failures"));
    assertThat(after.path("scale").asDouble())
        .as("delayed entry: two stints say what one run says")
        .isCloseTo(before.path("scale").asDouble(), within(1e-6 * before.path("scale").asDouble()));
  }

  @Test
  void aUnitDoesNotGoWhereItIsAttackedOrDoesNotFit() {
    ApiClient.Reply attacked = exchange("SCR-07", "EFF-02");
    assertThat(attacked.status()).isEqualTo(422);
    assertThat(attacked.fault("because")).contains("unsuited in the duty of");
    assertThat(running("SCR-07", "diaphragm").path("came_hours").asDouble()).isZero();
    assertThat(exchange("SCR-07", "SCR-01").fault("with")).contains("one construction");
    assertThat(exchange("SCR-07", "NO-01").status()).isEqualTo(404);
    assertThat(exchange("SCR-07", "SCR-07").status()).isEqualTo(400);
    desk.job("BLE-06");
    assertThat(exchange("SCR-07", "BLE-06").fault("with")).contains("on the bench");
  }

  private ApiClient.Reply exchange(String tag, String with) {
    return desk.post("/api/v1/pumps/" + tag + "/exchange", "{\"with\": \"" + with + "\"}");
  }

  @Test
  void aShorterIntervalIsKeptFromTheHandBackOn() {
    double before = desk.get("/api/v1/pumps/EFF-02").body().at("/strip/intervalHours").asDouble();
    ApiClient.Job job = desk.job("EFF-02").takesIn("inspect:diaphragm-a").makesSafe().strips();
    double age = hours("EFF-02");
    job.does("JUDGED", Map.of("part", "diaphragm-a", "verdict", "renew", "because", "cracked"));
    job.does(
        "CAUSE_FOUND",
        Map.of("part", "diaphragm-a", "cause", "age", "counters", List.of("shorter-interval")));
    handsBack(job.inspects(), "CSM");
    JsonNode strip = desk.get("/api/v1/pumps/EFF-02").body().path("strip");
    double shorter = Math.floor(0.8 * age);
    assertThat(shorter).isLessThan(before);
    assertThat(strip.path("intervalHours").asDouble()).isEqualTo(shorter);
    assertThat(strip.path("way").asText()).isEqualTo("fixed");
    assertThat(job.view().at("/handBack/nextDue").asText()).contains("changed at four fifths");
  }

  @Test
  void aPartKeptAfterTheHandBackHasTheHoursItRan() {
    double age = hours("SCR-03");
    ApiClient.Job job = desk.job("SCR-03").takesIn("renew:diaphragm-a").makesSafe();
    handsBack(job.strips().inspects(), "EPDM");
    String keep = "{\"pump\": \"SCR-03\", \"part\": \"diaphragm-a\", \"condition\": \"sound\"}";
    assertThat(desk.post("/api/v1/stores/kept", keep).status()).isEqualTo(200);
    assertThat(
            desk.get("/api/v1/stores")
                .body()
                .findParents("fromPump")
                .get(0)
                .path("hours")
                .asDouble())
        .isCloseTo(age, within(0.5));
    assertThat(
            desk.post("/api/v1/stores/kept", keep.replace("diaphragm-a", "inlet-seats"))
                .fault("hours"))
        .contains("how many hours");
  }
}
