package isokinon.server.http;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import isokinon.server.ApiClient;
import isokinon.server.MillTest;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

@MillTest
class CounterApiTest {

  private static final ObjectMapper JSON = new ObjectMapper();
  private static final String HEAD = "tag,counter,at,reading\n";

  @Autowired private ApiClient desk;

  private ApiClient.Reply bring(String lines, boolean dryRun) {
    byte[] file = (HEAD + lines).getBytes(StandardCharsets.UTF_8);
    return desk.post(
        "/api/v1/setup/tables/counters/bring",
        JSON.createObjectNode().put("file", file).put("dryRun", dryRun).toString());
  }

  private ApiClient.Reply reads(String tag, double hours) {
    return desk.post(
        "/api/v1/pumps/" + tag + "/counters",
        JSON.createObjectNode().put("counter", "hours").put("reading", hours).toString());
  }

  private double hours(String tag) {
    return desk.get("/api/v1/pumps/" + tag).body().path("runningHours").asDouble();
  }

  private double ofSet(String tag) {
    return desk.get("/api/v1/pumps/" + tag).body().at("/strip/hours").asDouble();
  }

  @Test
  void hoursComeInByPumpAndTheSetInItAgesWithThem() {
    double before = hours("SCR-03");
    double set = ofSet("SCR-03");
    String lines =
        "scr-03,hours,2026-03-15,%s\nSCR-03,hours,2026-03-16 18:00,\"%s\"\nSCR-03,strokes,2026-03-16,500\n"
            .formatted(before + 10, Double.toString(before + 22.5).replace('.', ','));
    assertThat(bring(lines, true).body().path("fresh").asInt()).isEqualTo(3);
    assertThat(hours("SCR-03")).isEqualTo(before);
    assertThat(bring(lines, false).body().path("stored").asBoolean()).isTrue();
    assertThat(hours("SCR-03")).isCloseTo(before + 22.5, within(1e-9));
    // The set was carried on for the three days since; now it was read, and is one day on.
    assertThat(ofSet("SCR-03")).isBetween(set - 16, set);
    assertThat(bring(lines, false).body().path("same").asInt()).isEqualTo(3);
    assertThat(hours("SCR-03")).isCloseTo(before + 22.5, within(1e-9));
    bring("SCR-03,hours,2026-03-17T06:00,8\n", false);
    assertThat(hours("SCR-03")).as("set back, it counts on").isCloseTo(before + 30.5, within(1e-9));
    takesTheLastBack();
    assertThat(hours("SCR-03")).isCloseTo(before + 22.5, within(1e-9));
    takesTheLastBack();
    assertThat(hours("SCR-03")).isCloseTo(before, within(1e-9));
    assertThat(ofSet("SCR-03")).isCloseTo(set, within(1e-9));
  }

  private void takesTheLastBack() {
    JsonNode last = desk.get("/api/v1/setup").body().path("last");
    assertThat(
            desk.post(
                    "/api/v1/setup/undo",
                    JSON.createObjectNode().set("batch", last.path("batch")).toString())
                .status())
        .isEqualTo(200);
  }

  @Test
  void aTableWithFaultsBringsNothing() {
    double before = hours("SCR-07");
    String lines =
        "SCR-07,hours,2026-03-15,%s\nNOPE-1,hours,2026-03-15,5\nSCR-07,days,2026-03-15,5\n"
                .formatted(before + 5)
            + "SCR-07,hours,tomorrow,5\nSCR-07,hours,2026-03-16,much\n"
            + "SCR-07,hours,2027-01-01,9999\nSCR-07,hours,2026-03-15 19:00,%s\n"
                .formatted(before + 50);
    List<String> cells = new ArrayList<>();
    bring(lines, true).body().path("faults").forEach(f -> cells.add(f.path("cell").asText()));
    assertThat(cells).containsExactly("A3", "B4", "C5", "D6", "C7", "8");
    assertThat(bring(lines, false).status()).isEqualTo(400);
    assertThat(hours("SCR-07")).isEqualTo(before);
  }

  @Test
  void aReadingAtThePumpIsTakenInAndOneThatCannotBeIsNot() {
    double before = hours("SCR-06");
    assertThat(reads("SCR-06", before + 4).body().path("gained").asDouble()).isEqualTo(4);
    assertThat(hours("SCR-06")).isEqualTo(before + 4);
    assertThat(reads("SCR-06", before + 4).body().path("gained").asDouble()).isZero();
    assertThat(reads("SCR-06", before + 9).fault("reading")).startsWith("At this moment");
    assertThat(reads("SCR-06", -1).status()).isEqualTo(400);
    assertThat(reads("NOPE-1", 5).status()).isEqualTo(404);
  }
}
