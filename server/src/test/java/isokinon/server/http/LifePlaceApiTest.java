package isokinon.server.http;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import isokinon.server.ApiClient;
import isokinon.server.MillTest;
import isokinon.server.work.life.score.ForecastBook;
import java.util.Comparator;
import java.util.List;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What the mill's history says. */
@MillTest
class LifePlaceApiTest {

  @Autowired private ApiClient desk;

  private JsonNode life(String question) {
    ApiClient.Reply reply = desk.post("/api/v1/life", question);
    assertThat(reply.status()).as("%s", reply.body()).isEqualTo(200);
    return reply.body();
  }

  private JsonNode policy(JsonNode view, String way) {
    for (JsonNode p : view.path("policies")) {
      if (p.path("way").asText().equals(way)) {
        return p;
      }
    }
    throw new AssertionError(way + " in " + view.path("policies"));
  }

  @Test
  void aPumpIsToldBesideThoseOfItsDutyAndWhoseRunsCountIsSaid() {
    JsonNode alone = life("{\"pump\": \"SCR-03\", \"level\": \"pump\"}");
    assertThat(alone.at("/of/together").asText()).isEmpty();
    JsonNode wide = life("{\"pump\": \"BLE-02\"}");
    assertThat(wide.at("/of/level").asText()).isEqualTo("duty");
    assertThat(wide.at("/of/together").asText()).contains("of BLE-02 count in full");
    JsonNode sister = life("{\"pump\": \"EFF-01\"}");
    assertThat(sister.at("/estimate/mean").asDouble())
        .isNotEqualTo(wide.at("/estimate/mean").asDouble());
    JsonNode asked = life("{\"pump\": \"SCR-03\", \"level\": \"any-duty\"}");
    assertThat(asked.at("/estimate/runs").asInt())
        .isGreaterThan(alone.at("/estimate/runs").asInt());
    assertThat(life("{\"pump\": \"SCR-03\", \"years\": 1}").at("/estimate/runs").asInt())
        .isLessThan(alone.at("/estimate/runs").asInt());
  }

  /** What was hidden in the demo's past comes out without anybody asking for it. */
  @Test
  void theRecordsSayByThemselvesWhatIsHiddenInThem() {
    JsonNode finds = desk.get("/api/v1/life/finds").body();
    assertThat(finds)
        .extracting(f -> f.path("kind").asText() + ": " + f.path("say").asText())
        .as("the wrong elastomer, changed since")
        .contains(
            "material: EPDM diaphragms in recovered wool grease give out sooner than those of FKM;"
                + " none runs any more.")
        .as("the dry runner")
        .contains("no-age: EFF-04 fails at any age: no interval helps, something else does it.")
        .as("the milder duty")
        .contains("milder: DYE-04 could come down from PTFE to NBR.")
        .as("the kit past its date")
        .anyMatch(f -> f.startsWith("over-age: L-0120, ") && f.contains("over-age since"))
        .as("the habit that costs")
        .anyMatch(f -> f.startsWith("habit: EPDM tubes in sodium hypochlorite are renewed at"));
    List<Double> worth =
        StreamSupport.stream(finds.spliterator(), false)
            .filter(f -> f.path("kind").asText().equals("habit"))
            .map(f -> f.path("aYear").asDouble())
            .toList();
    assertThat(worth).allMatch(w -> w >= 100).isSortedAccordingTo(Comparator.reverseOrder());
    for (JsonNode f : finds) {
      assertThat(f.path("because").asText()).isNotBlank();
      if (f.path("kind").asText().equals("habit")) {
        JsonNode view =
            life(
                "{\"role\": \"%s\", \"material\": \"%s\", \"duty\": \"%s\"}"
                    .formatted(
                        f.path("role").asText(),
                        f.path("material").asText(),
                        f.path("duty").asText()));
        assertThat(view.at("/today/overPerYear").asDouble())
            .as("the same as where it leads")
            .isCloseTo(f.path("aYear").asDouble(), within(1e-6));
      }
    }
  }

  @Test
  void theBestOfThreePoliciesIsChosenAndTheOthersCostMore() {
    JsonNode view = life("{\"pump\": \"EFF-02\", \"planned\": 200, \"failed\": 1500}");
    JsonNode fixed = policy(view, "fixed");
    assertThat(view.at("/headline/1/number").asBoolean()).isTrue();
    for (JsonNode p : view.path("policies")) {
      assertThat(p.path("chosen").asBoolean()).isEqualTo(p.path("way").asText().equals("fixed"));
      assertThat(p.path("per1000h").asDouble())
          .isGreaterThanOrEqualTo(fixed.path("per1000h").asDouble());
    }
    double least =
        view.path("costs").findValuesAsText("fixed").stream()
            .mapToDouble(Double::parseDouble)
            .min()
            .orElseThrow();
    assertThat(fixed.path("per1000h").asDouble()).isLessThanOrEqualTo(least + 1e-9);
    JsonNode today = view.path("today");
    double year = view.at("/terms/hoursPerYear").asDouble() / 1000;
    assertThat(today.path("overPerYear").asDouble())
        .isCloseTo(
            (today.path("per1000h").asDouble() - fixed.path("per1000h").asDouble()) * year,
            within(1e-6));
    assertThat(policy(view, "until-it-fails").path("perYear").asDouble())
        .isCloseTo(policy(view, "until-it-fails").path("per1000h").asDouble() * year, within(1e-6));
  }

  @Test
  void whereAFailureHarmsItIsNotRunToFailure() {
    JsonNode view = life("{\"pump\": \"BLE-02\"}");
    JsonNode barred = policy(view, "until-it-fails");
    assertThat(barred.path("bar").asText()).isEqualTo("harms");
    assertThat(barred.path("chosen").asBoolean()).isFalse();
    ApiClient.Reply refused =
        desk.post(
            "/api/v1/life/policy",
            "{\"pumps\": [\"SCR-05\", \"BLE-02\"], \"way\": \"until-it-fails\"}");
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.fault("BLE-02")).contains("never run to failure");
    assertThat(desk.get("/api/v1/pumps/SCR-05").body().at("/strip/way").asText())
        .isEqualTo("fixed");
  }

  @Test
  void theLimitOfTheSheetIsNotPassed() {
    JsonNode view =
        life("{\"pump\": \"EFF-03\", \"planned\": 400, \"failed\": 500, \"level\": \"duty\"}");
    assertThat(view.at("/terms/limit").asDouble()).isEqualTo(9000);
    assertThat(policy(view, "fixed").path("every").asDouble()).isEqualTo(9000);
    assertThat(policy(view, "until-it-fails").path("bar").asText()).isEqualTo("limit");
    assertThat(
            desk.post(
                    "/api/v1/life/policy",
                    "{\"pumps\": [\"EFF-03\"], \"way\": \"fixed\", \"everyHours\": 9500}")
                .fault("EFF-03"))
        .contains("at the latest");
  }

  @Test
  void aChosenPolicyMovesTheDueDay() {
    String chosen = "{\"pumps\": [\"SCR-07\"], \"way\": \"%s\", \"everyHours\": %s}";
    double age = desk.get("/api/v1/pumps/SCR-07").body().at("/strip/hours").asDouble();
    desk.post("/api/v1/life/policy", chosen.formatted("fixed", 1900));
    JsonNode strip = desk.get("/api/v1/pumps/SCR-07").body().path("strip");
    double perDay = strip.path("hoursPerDay").asDouble();
    assertThat(strip.path("intervalHours").asDouble()).isEqualTo(1900);
    assertThat(strip.path("dueDays").asDouble()).isCloseTo((1900 - age) / perDay, within(1e-6));
    desk.post("/api/v1/life/policy", chosen.formatted("look", 500));
    strip = desk.get("/api/v1/pumps/SCR-07").body().path("strip");
    assertThat(strip.path("dueDays").asDouble() * perDay).isBetween(0.0, 500.0);
    assertThat(strip.path("dueBecause").asText()).contains("every 500 h");
    desk.post("/api/v1/life/policy", chosen.formatted("until-it-fails", "null"));
    strip = desk.get("/api/v1/pumps/SCR-07").body().path("strip");
    assertThat(strip.path("dueDays").asDouble())
        .isCloseTo(strip.path("expectedDays").asDouble(), within(1e-9));
  }

  @Test
  void fewFailuresAreNotEnoughToTell() {
    JsonNode view = life("{\"pump\": \"EFF-07\"}");
    assertThat(view.at("/headline/0/text").asText()).isEqualTo("Not enough runs to tell.");
    assertThat(view.path("sure").asText()).contains("0 failures");
    JsonNode compared =
        desk.post(
                "/api/v1/life/compare",
                "{\"first\": {\"pump\": \"EFF-07\"}, \"second\": {\"pump\": \"EFF-09\"}}")
            .body();
    assertThat(compared.path("verdict").asText()).isEqualTo("not-enough");
    assertThat(compared.path("say").asText()).startsWith("Not enough runs to tell: 0 failures");
  }

  @Test
  void theWrongElastomerIsFoundByComparison() {
    JsonNode compared =
        desk.post(
                "/api/v1/life/compare",
                "{\"first\": {\"role\": \"diaphragm\", \"material\": \"EPDM\", \"duty\":"
                    + " \"recovered-wool-grease\"}, \"second\": {\"role\": \"diaphragm\","
                    + " \"material\": \"FKM\", \"duty\": \"recovered-wool-grease\"}}")
            .body();
    assertThat(compared.path("verdict").asText()).isEqualTo("first-shorter");
    assertThat(compared.path("say").asText())
        .startsWith(
            "FKM in recovered wool grease lasts longer than EPDM in recovered wool grease.");
    assertThat(compared.at("/first/steps").size()).isGreaterThan(3);
  }

  @Test
  void aFailureModeThatSomebodyChoseCountsForEveryForecast() {
    JsonNode before = desk.get("/api/v1/pumps/DYE-01").body().path("strip");
    assertThat(
            desk.post(
                    "/api/v1/life/mode",
                    "{\"role\": \"tube\", \"material\": \"silicone tube\", \"duty\":"
                        + " \"dye-slurry\", \"shape\": 4}")
                .status())
        .isEqualTo(204);
    JsonNode strip = desk.get("/api/v1/pumps/DYE-01").body().path("strip");
    assertThat(strip.path("shape").asDouble()).isGreaterThan(before.path("shape").asDouble());
    assertThat(strip.path("risk30").asDouble()).isNotEqualTo(before.path("risk30").asDouble());
  }

  @Test
  void whatIsOutOfRangeIsSaid() {
    assertThat(desk.post("/api/v1/life", "{\"pump\": \"NOPE\"}").status()).isEqualTo(404);
    assertThat(desk.post("/api/v1/life", "{\"level\": \"street\"}").fault("level")).isNotNull();
    assertThat(desk.post("/api/v1/life", "{\"mode\": 99}").fault("mode")).contains("0.6 and 10");
    assertThat(desk.post("/api/v1/life", "{\"planned\": -1, \"failed\": 10}").status())
        .isEqualTo(400);
    assertThat(
            desk.post("/api/v1/life/policy", "{\"pumps\": [\"SCR-05\"], \"way\": \"hope\"}")
                .status())
        .isEqualTo(400);
    assertThat(desk.post("/api/v1/life/compare", "{}").fault("first")).contains("Name a pump");
  }

  @Autowired private ForecastBook book;

  /** The mill's past, each set by what was known on the day it went in. */
  @Test
  void forecastsAreKeptAndHeldAgainstWhatCame() {
    JsonNode score = desk.get("/api/v1/life/score").body();
    assertThat(score.path("sets").asInt()).isGreaterThan(60);
    assertThat(score.path("headline").asText()).matches("It said \\d+ would fail\\. \\d+ did\\.");
    assertThat(score.at("/all/parts").asBoolean())
        .as("forecasts of a mill that is drawn from the model are right: %s", score.path("all"))
        .isFalse();
    assertThat(score.path("skill").asDouble())
        .as("beside an average that is known only afterwards")
        .isBetween(-0.2, 1.0);
    int binned = 0;
    for (JsonNode bin : score.path("bins")) {
      binned += bin.path("sets").asInt();
    }
    assertThat(binned).isEqualTo(score.path("sets").asInt());
    assertThat(score.path("ways")).hasSize(3);
    String role = score.at("/roles/0").asText();
    assertThat(desk.get("/api/v1/life/score?role=" + role + "&years=1").body().path("sets").asInt())
        .isLessThan(score.path("sets").asInt());
    int kept = book.keep();
    assertThat(kept).as("sets that have a date ahead of them").isBetween(15, 40);
    assertThat(book.keep()).as("a date that stands is kept once").isZero();
  }
}
