package isokinon.server.http;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import isokinon.server.ApiClient;
import isokinon.server.MillTest;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;

/** Pumps of every construction over HTTP, as the bench screen drives them. */
@MillTest
class ConstructionsApiTest {

  @Autowired private ApiClient desk;

  private static List<JsonNode> list(JsonNode array) {
    return StreamSupport.stream(array.spliterator(), false).toList();
  }

  private String[] kit(String tag, String kit) {
    List<String> items = new ArrayList<>();
    list(desk.get("/api/v1/pumps/" + tag).body().at("/sheet/kits")).stream()
        .filter(k -> k.path("id").asText().equals(kit))
        .forEach(k -> k.path("parts").fieldNames().forEachRemaining(p -> items.add("renew:" + p)));
    return items.toArray(String[]::new);
  }

  private static void stripToBuild(ApiClient.Job job, String material) {
    while (job.stage().equals("STRIP")) {
      job.strips().inspects().decides("single", material).builds();
    }
  }

  @ParameterizedTest
  @CsvSource({
    "SCR-02, pilot-kit",
    "EFF-08, valve-kit",
    "EFF-09, diaphragm-kit",
    "BLE-04, roller-kit",
    "DYE-06, tube-kit",
    "EFF-07, drive-kit",
    "EFF-04, joint-kit",
    "SCR-04, seal-kit",
    "DYE-02, pair-kit",
    "SCR-09, joint-kit",
    "DYE-11, rotor-kit",
    "DYE-08, bearing-kit",
    "BLE-03, hub-kit",
    "DYE-12, yearly-kit",
    "DYE-09, mixer-kit",
    "SCR-08, sleeve-kit",
    "SCR-06, seal-kit"
  })
  void everyConstructionGoesFromTakeInToHandBack(String tag, String kit) {
    ApiClient.Job job = desk.job(tag).takesIn(kit(tag, kit)).makesSafe();
    stripToBuild(job, "EPDM");
    job.proves().handsBack();
    assertThat(job.stage()).isEqualTo("CLOSED");
    assertThat(list(job.view().at("/handBack/renewed"))).isNotEmpty();
  }

  @Test
  void theWaysInStandBesideEachOtherBeforeThePumpIsTakenIn() {
    ApiClient.Job job = desk.job("SCR-09");
    ApiClient.Reply ways = job.ways("renew:stator");
    assertThat(list(ways.body().path("routes")))
        .extracting(r -> r.path("title").asText() + " " + r.path("minutes").asInt())
        .containsExactly("Pull the pair 64", "Stator alone, over the rotor 66");
    assertThat(list(ways.body().path("routes")))
        .extracting(r -> r.path("followed").asBoolean())
        .containsExactly(true, false);
    ApiClient.Reply other = job.ways("renew:stator", "avoid:pair-parted");
    assertThat(other.body().at("/plan/minutes").asInt()).isEqualTo(66);
    assertThat(job.ways("renew:x").fault("renew")).isEqualTo("No step of the sheet takes off x.");
  }

  @Test
  void aSchoolSaysWhatItsOtherWayCosts() {
    ApiClient.Job job = desk.job("EFF-03");
    JsonNode ways = job.ways("renew:diaphragm-a", "renew:diaphragm-b").body();
    JsonNode sides =
        list(ways.path("schools")).stream()
            .filter(s -> s.path("id").asText().equals("sides"))
            .findFirst()
            .orElseThrow();
    double one = sides.at("/ways/0/minutes").asDouble();
    assertThat(sides.at("/ways/0/followed").asBoolean()).isTrue();
    assertThat(sides.at("/ways/0/standard").asBoolean()).isTrue();
    assertThat(sides.at("/ways/1/minutes").asDouble()).isEqualTo(one + 5);
    job.takesIn("renew:diaphragm-a", "renew:diaphragm-b").makesSafe().strips();
    assertThat(job.view().path("state").asText())
        .isEqualTo("stripped, air side open, frame open, side B to come");
  }

  @Test
  void whatCanCrushOrBreakStaysInSight() {
    ApiClient.Job job =
        desk.job("BLE-01").takesIn("renew:bushing").makesSafe().stripsUpTo("draw pump and motor");
    assertThat(list(job.view().at("/step/pinned")))
        .extracting(p -> p.path("mark").asText())
        .contains("magnet", "mains");
    while (!job.view().at("/step/id").asText().equals("bushing-out")) {
      job.answersChecks().does("STEP_DONE", Map.of("step", job.view().at("/step/id").asText()));
    }
    assertThat(list(job.view().at("/step/pinned")))
        .anySatisfy(p -> assertThat(p.path("say").asText()).startsWith("Brittle: bushing."));
  }

  @Test
  void aJobLaidAsideIsTaggedAndTakenUpWhereItWasLeft() {
    ApiClient.Job job = desk.job("DYE-01").takesIn("renew:tube").makesSafe();
    job.answersChecks().does("STEP_DONE", Map.of("step", job.view().at("/step/id").asText()));
    String next = job.view().at("/step/id").asText();
    job.does("PAUSED", Map.of("waitsFor", "kit", "note", "tube comes Thursday"));
    assertThat(list(desk.get("/api/v1/rebuilds").body()))
        .filteredOn(r -> r.path("pump").asText().equals("DYE-01"))
        .singleElement()
        .satisfies(
            r -> assertThat(r.path("state").asText()).isEqualTo("part stripped, waiting for kit"));
    ApiClient.Job elsewhere = job.elsewhere();
    assertThat(elsewhere.view().at("/pause/note").asText()).isEqualTo("tube comes Thursday");
    assertThat(elsewhere.tries("STEP_DONE", Map.of("step", next)).status()).isEqualTo(422);
    elsewhere.does("RESUMED", Map.of());
    assertThat(elsewhere.view().at("/step/id").asText()).isEqualTo(next);
  }

  @Test
  void threeRecordedJobsTeachTheNextOneItsMinutes() {
    for (int i = 0; i < 3; i++) {
      ApiClient.Job job = desk.job("EFF-01").takesIn("renew:tube").makesSafe();
      assertThat(job.view().at("/plan/minutes").asDouble()).isEqualTo(31);
      stripToBuild(job, "EPDM");
      job.proves().handsBack();
    }
    ApiClient.Job taught = desk.job("EFF-01").takesIn("renew:tube");
    assertThat(taught.view().at("/plan/minutes").asDouble())
        .as("the clock of this test stands still, so every step took no time")
        .isZero();
  }

  @Test
  void theCheapestCoverCountsTheShelfAndTellsWhatIsLeftOver() {
    ApiClient.Job job =
        desk.job("EFF-05").takesIn(kit("EFF-05", "wet-kit")).makesSafe().strips().inspects();
    JsonNode cover = job.view().at("/decide/cover");
    assertThat(cover.path("optimal").asBoolean()).isTrue();
    assertThat(list(cover.path("onHand"))).isNotEmpty();
    assertThat(cover.path("cost").asDouble()).isZero();
    assertThat(list(cover.path("overAge")))
        .anySatisfy(o -> assertThat(o.asText()).contains("L-0120"));
    ApiClient.Job dry = desk.job("SCR-07").takesIn(kit("SCR-07", "pilot-kit")).makesSafe();
    dry.strips().inspects();
    assertThat(list(dry.view().at("/decide/cover/onHand"))).hasSizeGreaterThan(3);
  }
}
