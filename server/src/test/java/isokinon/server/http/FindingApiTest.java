package isokinon.server.http;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import isokinon.server.ApiClient;
import isokinon.server.MillTest;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** A part in hand, its causes, bad readings, and what is kept of it beyond the rebuild. */
@MillTest
class FindingApiTest {

  @Autowired private ApiClient desk;

  private ApiClient.Job atInspect(String tag, String... items) {
    return desk.job(tag).takesIn(items).makesSafe().strips();
  }

  private JsonNode finding(ApiClient.Job job, String part, String... signs) {
    String quoted = String.join(",", List.of(signs).stream().map(s -> "\"" + s + "\"").toList());
    return desk.post(
            "/api/v1/rebuilds/" + job.id() + "/finding",
            "{\"part\": \"" + part + "\", \"signs\": [" + quoted + "]}")
        .body();
  }

  private static Map<String, Object> measured(String part, String measure, String typed) {
    return Map.of("part", part, "measurement", ApiClient.measurement(measure, typed));
  }

  @Test
  void aBurntStatorOnThePumpThatRunsDryPointsAtTheDryRun() {
    ApiClient.Job job = atInspect("EFF-04", "inspect:stator", "inspect:rotor");
    assertThat(finding(job, "stator").path("causes")).isEmpty();
    JsonNode burnt = finding(job, "stator", "burnt");
    assertThat(burnt.path("verdict").asText()).isEqualTo("renew");
    JsonNode first = burnt.path("causes").get(0);
    assertThat(first.path("id").asText()).isEqualTo("dry-run");
    assertThat(first.path("chance").asDouble()).isGreaterThan(first.path("before").asDouble());
    assertThat(first.path("raised").toString()).contains("known to run dry", "burnt");
    assertThat(first.path("counters").get(0).path("id").asText()).isEqualTo("dry-run-guard");
    ApiClient.Reply sound =
        job.tries(
            "JUDGED", Map.of("part", "stator", "verdict", "sound", "signs", List.of("burnt")));
    assertThat(sound.fault("because")).contains("Burnt: renewed wherever it shows.");
    job.does(
        "CAUSE_FOUND",
        Map.of("part", "stator", "cause", "dry-run", "counters", List.of("dry-run-guard")));
    assertThat(finding(job, "stator").path("again").asText())
        .startsWith("Ran dry again on EFF-04: ")
        .contains("nothing was done about it then");
    assertThat(job.tries("CAUSE_FOUND", Map.of("part", "stator", "cause", "moon")).fault("cause"))
        .isEqualTo("No cause is called moon.");
  }

  @Test
  void badReadingsAreSentencesAndWhatWasReadBeforeStays() {
    ApiClient.Job job = atInspect("SCR-09", "inspect:stator");
    job.does("MEASURED", measured("stator", "bore-wear", "0,25"));
    for (String[] bad :
        new String[][] {
          {"NaN", "is not a number"},
          {"0.25 bar", "wrong unit"},
          {"0.25 cubits", "No unit is called"},
          {"1e400", "too large"},
          {"250", "cannot be"},
          {"-1", "cannot be"}
        }) {
      ApiClient.Reply reply = job.tries("MEASURED", measured("stator", "bore-wear", bad[0]));
      assertThat(reply.fault("bore-wear")).as(bad[0]).contains(bad[1]);
    }
    job.does("MEASURED", measured("stator", "bore-wear", "0.0118 in"));
    JsonNode read = finding(job, "stator").path("measures").get(0);
    assertThat(read.path("value").asDouble()).isBetween(0.2996, 0.2999);
    assertThat(job.log().toString()).contains("0.25 mm", "bore wear");
  }

  @Test
  void aGaugeOutOfCalibrationMarksItsReadingAndAnUnknownOneIsRefused() {
    ApiClient.Job job = atInspect("SCR-01", "inspect:axial-bearing");
    Map<String, Object> read =
        Map.of(
            "part",
            "axial-bearing",
            "measurement",
            Map.of("measure", "end-float", "reading", Map.of("typed", "0.12", "gauge", "DI-05")));
    job.does("MEASURED", read);
    JsonNode measure = finding(job, "axial-bearing").path("measures").get(0);
    assertThat(measure.path("overdue").asBoolean()).isTrue();
    assertThat(measure.path("by").asText()).contains("DI-05", "out of calibration");
    ApiClient.Reply unknown =
        job.tries(
            "MEASURED",
            Map.of(
                "part",
                "axial-bearing",
                "measurement",
                Map.of(
                    "measure", "end-float", "reading", Map.of("typed", "0.12", "gauge", "XX-1"))));
    assertThat(unknown.fault("gauge")).isEqualTo("No gauge is called XX-1.");
  }

  @Test
  void watchShortensTheNextIntervalAndTheFloorKeepsIt() {
    ApiClient.Job job = atInspect("SCR-02", "renew:diaphragm-a", "renew:diaphragm-b");
    String part = null;
    JsonNode limit = null;
    for (JsonNode item : job.view().path("inspect")) {
      if (!item.path("renewedAnyway").asBoolean() && !item.path("limits").isEmpty()) {
        part = item.path("part").asText();
        limit = item.path("limits").get(0);
        break;
      }
    }
    double nearRenew = limit.path("watch").asDouble() * 0.1 + limit.path("renew").asDouble() * 0.9;
    job.does("MEASURED", measured(part, limit.path("measure").asText(), "" + nearRenew));
    job.does("JUDGED", Map.of("part", part, "verdict", "watch", "because", "holds a season"));
    JsonNode next = finding(job, part).path("next");
    assertThat(next.path("hours").asDouble()).isLessThan(next.path("planned").asDouble());
    job.inspects().decides("single", "NBR").builds().proves().handsBack();
    assertThat(job.view().at("/handBack/nextDue").asText()).contains("h instead of");
    JsonNode pump = desk.get("/api/v1/pumps/SCR-02").body();
    assertThat(pump.at("/strip/dueBecause").asText()).isNotEmpty();
    assertThat(pump.at("/strip/dueDays").asDouble())
        .isLessThan(
            pump.at("/strip/intervalHours").asDouble() / pump.at("/strip/hoursPerDay").asDouble());
    assertThat(pump.path("trends")).isNotEmpty();
    JsonNode clocks = desk.get("/api/v1/floor").body().path("clocks");
    assertThat(clocks.toString())
        .contains("retorque")
        .contains("SCR-02")
        .doesNotContain("\"cure\"");
  }

  @Test
  void magnetsWithAThinMarginAreWatched() {
    ApiClient.Job job = atInspect("BLE-01", "inspect:inner-magnet");
    JsonNode magnet = finding(job, "inner-magnet");
    assertThat(magnet.path("verdict").asText()).isEqualTo("watch");
    assertThat(magnet.path("facts").get(0).path("say").asText())
        .contains("carry 4.00 N·m", "1132 kg/m³", "margin 1.17");
    assertThat(magnet.path("causes")).isEmpty();
    job.does("MEASURED", measured("inner-magnet", "pull-off-torque", "3.1"));
    JsonNode weak = finding(job, "inner-magnet");
    assertThat(weak.path("verdict").asText()).isEqualTo("renew");
    assertThat(weak.at("/causes/0/id").asText()).isEqualTo("heat");
    assertThat(weak.at("/causes/0/raised").toString()).contains("weaker than its rating");
  }

  @Test
  void theGapsOfAShuttleAreReadLeftAndRightAndTheShiftIsSaid() {
    ApiClient.Job job = desk.job("EFF-03");
    job.takesIn("renew:diaphragm-a", "way:both-sides").makesSafe().strips().inspects();
    job.decides("single", "EPDM");
    while (!job.view().at("/step/checks").toString().contains("gaps-")) {
      job.answersChecks()
          .torques()
          .does("STEP_DONE", Map.of("step", job.view().at("/step/id").asText()));
    }
    String step = job.view().at("/step/id").asText();
    String id = "gaps-even";
    job.does(
        "CHECKED",
        Map.of(
            "step",
            step,
            "check",
            id,
            "reading",
            Map.of("typed", "2,9"),
            "right",
            Map.of("typed", "2.1")));
    String checks = job.view().at("/step/checks").toString();
    assertThat(checks).contains("left 2.9, right 2.1 mm: move it 0.4 mm to the left");
    assertThat(
            job.tries(
                    "CHECKED",
                    Map.of(
                        "step",
                        step,
                        "check",
                        id,
                        "reading",
                        Map.of("typed", "2.9"),
                        "right",
                        Map.of("typed", "x")))
                .fault("value"))
        .contains("\"x\" is not a number");
    job.does(
        "CHECKED",
        Map.of(
            "step",
            step,
            "check",
            id,
            "reading",
            Map.of("typed", "2.5"),
            "right",
            Map.of("typed", "2.4")));
    assertThat(job.view().at("/step/checks").toString()).contains("left 2.5, right 2.4 mm\"");
  }
}
