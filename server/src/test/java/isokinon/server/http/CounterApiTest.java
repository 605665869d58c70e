package isokinon.server.http;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import isokinon.server.ApiClient;
import isokinon.server.MillTest;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

@MillTest
class CounterApiTest {

  private static final String HEAD = "tag,counter,at,reading\n";

  @Autowired private ApiClient desk;

  private ApiClient.Reply bring(String lines, boolean dryRun) {
    return desk.post("/api/v1/counters?dryRun=" + dryRun, HEAD + lines, "text/csv");
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
    JsonNode look = bring(lines, true).body();
    assertThat(look.at("/pumps/0/gained").asDouble()).isCloseTo(22.5, within(1e-9));
    assertThat(hours("SCR-03")).isEqualTo(before);
    assertThat(bring(lines, false).body().path("stored").asBoolean()).isTrue();
    assertThat(hours("SCR-03")).isCloseTo(before + 22.5, within(1e-9));
    // The set was carried on for the three days since; now it was read, and is one day on.
    assertThat(ofSet("SCR-03")).isBetween(set - 16, set);
    JsonNode again = bring(lines, false).body();
    assertThat(again.at("/pumps/0/repeated").asInt()).isEqualTo(2);
    assertThat(hours("SCR-03")).isCloseTo(before + 22.5, within(1e-9));
    JsonNode reset = bring("SCR-03,hours,2026-03-17T06:00,8\n", false).body();
    assertThat(reset.at("/pumps/0/resets").asInt()).isEqualTo(1);
    assertThat(hours("SCR-03")).isCloseTo(before + 30.5, within(1e-9));
  }

  @Test
  void aTableWithFaultsBringsNothing() {
    double before = hours("SCR-07");
    ApiClient.Reply reply =
        bring(
            "SCR-07,hours,2026-03-15,%s\nNOPE-1,hours,2026-03-15,5\nSCR-07,days,2026-03-15,5\n"
                    .formatted(before + 5)
                + "SCR-07,hours,tomorrow,5\nSCR-07,hours,2026-03-16,much\nSCR-07,hours,2027-01-01,9999\n",
            false);
    assertThat(reply.status()).isEqualTo(400);
    assertThat(reply.body().path("errors"))
        .extracting(e -> e.path("line").asInt())
        .containsExactly(3, 4, 5, 6, 7);
    assertThat(hours("SCR-07")).isEqualTo(before);
    assertThat(bring("SCR-07,hours\n", false).status()).isEqualTo(400);
    assertThat(desk.post("/api/v1/counters", "tag,reading\n", "text/csv").fault("file"))
        .contains("Columns missing: counter, at");
  }
}
