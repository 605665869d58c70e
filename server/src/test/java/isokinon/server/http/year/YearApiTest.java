package isokinon.server.http.year;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import isokinon.server.ApiClient;
import isokinon.server.MillTest;
import java.time.Duration;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.StreamSupport;
import org.awaitility.Awaitility;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** The mill's next twelve months. */
@MillTest
class YearApiTest {

  @Autowired private ApiClient desk;

  private JsonNode played(String question) {
    ApiClient.Reply begun = desk.post("/api/v1/year", question);
    assertThat(begun.status()).as("%s", begun.body()).isEqualTo(200);
    return finished(begun.body().path("id").asText());
  }

  private JsonNode finished(String id) {
    return Awaitility.await()
        .atMost(Duration.ofSeconds(60))
        .pollInterval(Duration.ofMillis(50))
        .until(
            () -> desk.get("/api/v1/year/" + id).body(),
            run -> run.path("playing").asText().isEmpty());
  }

  @Test
  void asAdvisedFailsLessThanAsTodayAndTheSameQuestionHasTheSameAnswer() {
    JsonNode run = played("{\"years\": 300}");
    JsonNode year = run.path("year");
    assertThat(run.path("done").asInt()).isEqualTo(600);
    assertThat(year.at("/left/policy").asText()).isEqualTo("as-today");
    assertThat(year.at("/right/failures/middle").asDouble())
        .isLessThan(year.at("/left/failures/middle").asDouble());
    assertThat(year.at("/saves/middle").asDouble()).isPositive();
    assertThat(year.path("cheaper").asInt()).isGreaterThan(200);
    assertThat(year.at("/saves/high").asDouble() - year.at("/saves/low").asDouble())
        .as("with the same luck two policies differ by what they do")
        .isLessThan(
            year.at("/withOwnLuck/high").asDouble() - year.at("/withOwnLuck/low").asDouble());
    assertThat(year.path("weeks")).hasSize(52);
    double brought =
        StreamSupport.stream(year.path("drivers").spliterator(), false)
                .mapToDouble(d -> d.path("saves").asDouble())
                .sum()
            + year.at("/others/saves").asDouble();
    double mean =
        IntStream.range(0, 300)
            .mapToDouble(
                i ->
                    year.at("/left/moneyOf/" + i).asDouble()
                        - year.at("/right/moneyOf/" + i).asDouble())
            .average()
            .orElseThrow();
    assertThat(brought).as("what the pumps bring is all there is").isCloseTo(mean, within(2.0));
    assertThat(played("{\"years\": 300}").path("year")).isEqualTo(year);
  }

  @Test
  void theWaysToKeepSetsStandInTheOrderOfTheirFailures() {
    JsonNode late = played("{\"left\": \"until-they-fail\", \"years\": 300}").path("year");
    JsonNode aged = played("{\"right\": \"at-an-age\", \"years\": 300}").path("year");
    assertThat(
            List.of(
                aged.at("/right/failures/middle").asDouble(),
                aged.at("/left/failures/middle").asDouble(),
                late.at("/left/failures/middle").asDouble()))
        .isSorted();
    assertThat(late.at("/left/renewals").asDouble())
        .isLessThan(late.at("/right/renewals").asDouble());
  }

  @Test
  void oneChangeIsTriedBesideItWithTheSameLuck() {
    JsonNode run = played("{\"years\": 200}");
    String id = run.path("id").asText();
    List<JsonNode> options = List.copyOf(run.at("/year/changes").findParents("say"));
    JsonNode guard =
        options.stream()
            .filter(o -> o.path("kind").asText().equals("prevented"))
            .findFirst()
            .orElseThrow();
    assertThat(guard.path("say").asText()).isEqualTo("A dry-run guard on EFF-04");
    assertThat(desk.post("/api/v1/year/" + id + "/change", guard.toString()).status())
        .isEqualTo(200);
    JsonNode tried = finished(id).at("/changes/0");
    assertThat(tried.path("mean").asDouble()).isGreaterThan(100);
    assertThat(tried.path("savesOf")).hasSize(200);
    ApiClient.Reply wrong =
        desk.post(
            "/api/v1/year/" + id + "/change", "{\"kind\": \"prevented\", \"pump\": \"EFF-04\"}");
    assertThat(wrong.status()).isEqualTo(400);
    assertThat(wrong.body().at("/errors/0/path").asText()).isEqualTo("cause");
    assertThat(desk.post("/api/v1/year", "{\"years\": 5}").status()).isEqualTo(400);
    assertThat(desk.get("/api/v1/year/nothing").status()).isEqualTo(404);
  }

  @Test
  void fewerPeopleMakeJobsWaitAndWhatIsStoppedSaysSo() {
    JsonNode all = played("{\"years\": 200}").path("year");
    JsonNode fewer = played("{\"years\": 200, \"people\": \"one-less\"}").path("year");
    assertThat(fewer.at("/weeks/10/hours").asDouble())
        .isLessThan(all.at("/weeks/10/hours").asDouble());
    assertThat(fewer.at("/left/downDays").asDouble())
        .isGreaterThan(all.at("/left/downDays").asDouble());
    String id = desk.post("/api/v1/year", "{\"years\": 2000}").body().path("id").asText();
    desk.post("/api/v1/year/" + id + "/stop", "{}");
    assertThat(finished(id).path("problem").asText()).isNotEmpty();
  }
}
