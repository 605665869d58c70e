package isokinon.server.http;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import isokinon.server.ApiClient;
import isokinon.server.MillTest;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** The proof over HTTP: clocks, runs into the measure, the test before, and back to the step. */
@MillTest
class ProofApiTest {

  @Autowired private ApiClient desk;

  private ApiClient.Job built(String tag, String material, String... items) {
    return desk.job(tag)
        .takesIn(items)
        .makesSafe()
        .strips()
        .inspects()
        .decides("single", material)
        .builds();
  }

  private static JsonNode test(ApiClient.Job job, String id) {
    for (JsonNode t : job.view().path("proof")) {
      if (t.path("id").asText().equals(id)) {
        return t;
      }
    }
    throw new AssertionError(id);
  }

  private static Map<String, Object> proved(String id, String typed, String text) {
    return Map.of("test", id, "reading", Map.of("typed", typed), "timing", text);
  }

  @Test
  void aHoldNeedsItsClockAndTheClockStandsInTheView() {
    ApiClient.Job job = built("SCR-08", "FKM", "renew:ring-upper");
    assertThat(job.tries("PROVED", proved("leak", "", "")).fault("clock"))
        .isEqualTo("Start its clock, or say how it was timed.");
    job.does("CLOCK_STARTED", Map.of("test", "leak"));
    assertThat(test(job, "leak").path("clockUntil").asText()).isEqualTo("2026-03-17T08:10:00Z");
    assertThat(job.view().path("waits").toString()).contains("\"kind\":\"test\"");
    assertThat(job.tries("PROVED", proved("leak", "", "")).fault("clock"))
        .isEqualTo("Its clock still runs 10:00; wait, or say how it was timed.");
    job.does("PROVED", proved("leak", "", "by the gate clock"));
    assertThat(test(job, "leak").path("passed").asBoolean()).isTrue();
    assertThat(job.log().toString()).contains("by the gate clock");
    assertThat(job.tries("CLOCK_STARTED", Map.of("test", "flow")).fault("test"))
        .isEqualTo("That test has no clock.");
  }

  @Test
  void runsThatScatterAskForMoreAndSayWhatToEnter() {
    ApiClient.Job job = built("EFF-06", "TPV tube", "renew:tube");
    String id = "calibration";
    for (String ml : List.of("858", "866")) {
      job.does("PROVED", proved(id, ml, ""));
    }
    assertThat(test(job, id).path("says").asText())
        .isEqualTo("1 of 3 runs to do, each of 100 turns.");
    assertThat(test(job, id).path("answered").asBoolean()).isFalse();
    job.does("PROVED", proved(id, "0,849 L", ""));
    assertThat(test(job, id).path("says").asText()).contains("more at this scatter for 1 %");
    assertThat(test(job, id).path("passed").asBoolean()).isFalse();
    for (int i = 0; i < 10 && !test(job, id).path("passed").asBoolean(); i++) {
      job.does("PROVED", proved(id, "857.5", ""));
    }
    assertThat(test(job, id).path("passed").asBoolean()).isTrue();
    assertThat(test(job, id).path("says").asText())
        .contains("mL a turn in the controller.")
        .contains("against the last test on");
    assertThat(test(job, id).path("before")).isNotEmpty();
  }

  @Test
  void slipIsSaidAgainstDisplacement() {
    ApiClient.Job job = built("SCR-04", "NBR", "renew:stator");
    job.does("PROVED", proved("flow", "0.6", ""));
    assertThat(test(job, "flow").path("says").asText())
        .isEqualTo("50 % of the 1.198 m³/h displaced; 50 % slips back.");
    assertThat(test(job, "flow").path("passed").asBoolean()).isFalse();
    assertThat(job.tries("PROVED", proved("flow", "380", "")).fault("value")).contains("cannot be");
    assertThat(job.tries("PROVED", proved("flow", "0.4 A", "")).fault("value"))
        .contains("wrong unit");
    job.does("PROVED", proved("flow", "18 L/min", ""));
    assertThat(test(job, "flow").path("value").asDouble()).isBetween(1.0799, 1.0801);
    assertThat(test(job, "flow").path("passed").asBoolean()).isTrue();
    job.proves().handsBack();

    ApiClient.Job again = built("SCR-04", "NBR", "renew:stator");
    again.does("PROVED", proved("flow", "0.6", ""));
    assertThat(test(again, "flow").path("says").asText())
        .contains("25 points or more under its best test: renew rotor or stator.")
        .contains("against the last test on 17 Mar 2026.");
    again.proves().handsBack();
  }

  @Test
  void aFailedTestSendsTheJobBackAndTheGateIsProvedAgain() {
    ApiClient.Job job = built("DYE-08", "SiC", "renew:front-bushing");
    ApiClient.Reply early = job.tries("SENT_BACK", Map.of("test", "current"));
    assertThat(early.fault("test")).isEqualTo("Only a test that failed sends the job back.");
    job.does("PROVED", proved("current", "22", ""));
    assertThat(test(job, "current").path("backTo")).isNotEmpty();
    job.does("SENT_BACK", Map.of("test", "current"));
    assertThat(job.stage()).isEqualTo("MAKE_SAFE");
    assertThat(job.view().path("proof").toString()).doesNotContain("\"answered\":true");
    job.makesSafe().strips();
    assertThat(job.view().path("inspect").toString()).contains("\"part\":\"impeller\"");
    job.inspects().decides("single", "SiC").builds().proves().handsBack();
    assertThat(job.view().at("/handBack/renewed").toString()).contains("Front bushing");
    assertThat(job.log().toString()).contains("sent back, because this failed");
  }

  @Test
  void aTestThatDoesNotHoldShowsItsSuspectsAndWhatWasJustInTheHands() {
    ApiClient.Job job = built("SCR-06", "FKM", "renew:seal-oring-upper");
    job.does("NOT_MET", Map.of("test", "leak", "what", "drip behind the upper shaft"));
    JsonNode leak = test(job, "leak");
    assertThat(leak.path("missed").asBoolean()).isTrue();
    assertThat(leak.path("seen").asText()).contains("drip");
    assertThat(leak.path("shows").toString()).contains("leaks");
    assertThat(leak.at("/backTo/0/step").asText()).isEqualTo("seal-upper-out");
    assertThat(leak.at("/backTo/0/done").asBoolean()).isTrue();
    assertThat(leak.at("/backTo/1/done").asBoolean()).as("the lower shaft stayed shut").isFalse();
    JsonNode before = desk.post("/api/v1/pumps/SCR-06/symptoms", "{\"seen\": [\"leaks\"]}").body();
    JsonNode after =
        desk.post(
                "/api/v1/pumps/SCR-06/symptoms",
                "{\"seen\": [\"leaks\"], \"job\": " + job.id() + "}")
            .body();
    assertThat(before.path("missed").isNull()).isTrue();
    assertThat(after.path("missed").asText()).contains("No drop at cover and seals");
    assertThat(chance(after, "cover-oring")).isGreaterThan(chance(before, "cover-oring"));
    assertThat(
            desk.post("/api/v1/pumps/SCR-07/symptoms", "{\"job\": " + job.id() + "}").fault("job"))
        .contains("another pump");
    job.does("SENT_BACK", Map.of("test", "leak", "steps", List.of("seal-upper-out")));
    assertThat(job.log().toString())
        .contains("does not hold:", "drip behind", "to Upper lubricated O-ring on");
  }

  private static double chance(JsonNode view, String fault) {
    for (JsonNode f : view.path("faults")) {
      if (f.path("id").asText().equals(fault)) {
        return f.path("chance").asDouble();
      }
    }
    throw new AssertionError("no fault " + fault);
  }

  @Test
  void whatIsOwedAfterHandBackStandsOnTheFloorUntilItIsDone() {
    ApiClient.Job job = built("EFF-07", "NR hose", "renew:hose").proves();
    job.handsBack();
    JsonNode retorque = null;
    for (JsonNode clock : desk.get("/api/v1/floor").body().path("clocks")) {
      if (clock.path("pump").asText().equals("EFF-07")) {
        retorque = clock;
        assertThat(clock.path("work").asBoolean()).isTrue();
      }
    }
    assertThat(retorque).isNotNull();
    String subject = retorque.path("subject").asText();
    assertThat(job.tries("SETTLED", Map.of("subject", subject)).fault("wait"))
        .isEqualTo("It is due in 24:00 h; wait, or say why it is done now.");
    job.does("SETTLED", Map.of("subject", subject, "because", "warm already, shut down tomorrow"));
    assertThat(desk.get("/api/v1/floor").body().path("clocks").toString())
        .doesNotContain(
            "\"rebuild\":" + job.id() + ",\"kind\":\"retorque\",\"subject\":\"" + subject);
    assertThat(job.tries("PROVED", proved("flow", "2.4", "")).status()).isEqualTo(422);
  }

  @Test
  void thePumpsPageDrawsWhatWasMeasuredAndSaysWhereItIsHeading() {
    JsonNode pump = desk.get("/api/v1/pumps/EFF-04").body();
    assertThat(pump.path("trends")).isNotEmpty();
    boolean heads = false;
    for (JsonNode t : pump.path("trends")) {
      assertThat(t.path("points")).isNotEmpty();
      double before = -1;
      for (JsonNode p : t.path("points")) {
        assertThat(p.path("hours").asDouble()).isGreaterThanOrEqualTo(before);
        before = p.path("hours").asDouble();
      }
      if (t.path("line").path("crossing").isNumber()) {
        heads = true;
        assertThat(t.at("/line/say").asText()).containsAnyOf("Reaches", "Hardly moves");
        if (t.at("/line/earliest").isNumber()) {
          assertThat(t.at("/line/earliest").asDouble())
              .isLessThanOrEqualTo(t.at("/line/crossing").asDouble());
          assertThat(t.at("/line/latest").asDouble())
              .isGreaterThanOrEqualTo(t.at("/line/crossing").asDouble());
        }
      }
    }
    assertThat(heads).isTrue();
    assertThat(pump.path("causes").get(0).path("cause").asText()).isEqualTo("Ran dry");
  }
}
