package isokinon.server.http;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import isokinon.server.ApiClient;
import isokinon.server.MillTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;

@MillTest
class ComputeApiTest {

  @Autowired private ApiClient desk;

  private ApiClient.Reply ask(String what, String json) {
    return desk.post("/api/v1/compute/" + what, json);
  }

  private JsonNode answer(String what, String json) {
    ApiClient.Reply reply = ask(what, json);
    assertThat(reply.status()).as(reply.body().toString()).isEqualTo(200);
    return reply.body();
  }

  private void refused(String what, String json, String path, String words) {
    ApiClient.Reply reply = ask(what, json);
    assertThat(reply.status()).as(reply.body().toString()).isEqualTo(400);
    assertThat(reply.kind()).startsWith("application/problem+json");
    assertThat(reply.fault(path)).as(reply.body().toString()).contains(words);
  }

  // ---- plan -----------------------------------------------------------------------------------

  @Test
  void plansOnAStoredSheet() {
    JsonNode plan =
        answer(
            "plan",
            "{\"sheetId\": \"aodd-bolted-plastic-25\", \"renew\": [\"outlet-balls\"], \"inspect\": []}");
    assertThat(plan.path("strip"))
        .extracting(JsonNode::asText)
        .containsExactly("outlet-manifold-off", "outlet-valves-out");
    assertThat(plan.path("build"))
        .extracting(JsonNode::asText)
        .containsExactly("outlet-valves-out", "outlet-manifold-off");
    assertThat(plan.path("minutes").asDouble()).isEqualTo(17);
    assertThat(plan.path("poseChanges").asInt()).isZero();
    assertThat(plan.path("toolChanges").asInt()).isEqualTo(2);
    assertThat(plan.path("optimal").asBoolean()).isTrue();
    assertThat(plan.at("/renew/1/part").asText()).isEqualTo("outlet-balls");
    assertThat(plan.at("/renew/1/count").asInt()).isEqualTo(2);
    assertThat(plan.at("/renew/1/because").asText()).isEqualTo("asked for");
  }

  @Test
  void plansOnASheetThatComesWithTheQuestion() {
    JsonNode plan =
        answer(
            "plan",
            """
            {"sheet": {"id": "q", "startPose": "upright", "parts": [{"id": "a", "renew": "one-time"}, {"id": "b"}],
              "steps": [{"id": "s1", "frees": ["a"], "tools": ["key"], "stripMinutes": 2, "buildMinutes": 3},
                        {"id": "s2", "frees": ["b"], "after": ["s1"], "pose": "over", "stripMinutes": 1}]},
             "renew": ["b"]}
            """);
    assertThat(plan.path("strip")).extracting(JsonNode::asText).containsExactly("s1", "s2");
    assertThat(plan.path("minutes").asDouble()).isEqualTo(6);
    assertThat(plan.path("renew"))
        .extracting(r -> r.path("part").asText())
        .containsExactly("a", "b");
    assertThat(plan.path("poseChanges").asInt()).isEqualTo(1);
  }

  @Test
  void plansAgainFromWhatIsDone() {
    JsonNode plan =
        answer(
            "plan",
            "{\"sheetId\": \"aodd-bolted-plastic-25\", \"renew\": [\"outlet-balls\"],"
                + " \"done\": [\"outlet-manifold-off\"]}");
    assertThat(plan.path("strip"))
        .extracting(JsonNode::asText)
        .containsExactly("outlet-valves-out");
    assertThat(plan.path("minutes").asDouble()).isEqualTo(17);
  }

  @Test
  void everyFaultOfASheetIsToldAtOnce() {
    ApiClient.Reply reply =
        ask(
            "plan",
            """
            {"sheet": {"id": "q", "parts": [{"id": "a"}, {"id": "loose"}],
              "steps": [{"id": "s1", "frees": ["a", "ghost"], "after": ["nowhere"]}]}, "renew": ["a"]}
            """);
    assertThat(reply.status()).isEqualTo(400);
    assertThat(reply.fault("sheet.steps[0].frees[1]")).contains("unknown part \"ghost\"");
    assertThat(reply.fault("sheet.steps[0].after[0]")).contains("unknown step \"nowhere\"");
    assertThat(reply.fault("sheet.parts[1]")).contains("no step frees loose");
  }

  @Test
  void stepsThatWaitForEachOtherAreABadSheet() {
    refused(
        "plan",
        """
        {"sheet": {"id": "q", "parts": [{"id": "a"}], "steps": [
          {"id": "s1", "frees": ["a"], "after": ["s2"]}, {"id": "s2", "frees": [], "after": ["s1"]}]}, "renew": ["a"]}
        """,
        "sheet.steps[0].after",
        "can never be done");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "{}|sheet|Give a sheet",
        "{\"sheetId\": \"no-such\"}|sheetId|No sheet is called no-such",
        "{\"sheetId\": \"aodd-bolted-plastic-25\", \"renew\": [\"wings\"]}|renew[0]|No part is called wings",
        "{\"sheetId\": \"aodd-bolted-plastic-25\", \"renew\": [null]}|renew[0]|must be given",
        "{\"sheetId\": \"aodd-bolted-plastic-25\", \"done\": [\"bushing-out\"]}|done|cannot all have been done",
        "{\"sheetId\": \"aodd-bolted-plastic-25\", \"renew\": \"balls\"}|renew|not of the kind",
        "{\"sheet\": 7}|sheet|",
      })
  void aPlanThatCannotBeMadeSaysWhere(String json, String path, String words) {
    refused("plan", json, path, words == null ? "" : words);
  }

  // ---- torque ---------------------------------------------------------------------------------

  @Test
  void tellsTheOrderAndThePasses() {
    JsonNode order = answer("torque/order", "{\"count\": 8, \"layout\": \"circle\"}");
    assertThat(order.path("order"))
        .extracting(JsonNode::asInt)
        .containsExactly(1, 5, 3, 7, 2, 6, 4, 8);
    assertThat(order.path("passes"))
        .extracting(p -> p.path("percent").asInt())
        .containsExactly(30, 60, 100, 100);
    assertThat(order.at("/passes/3/order"))
        .extracting(JsonNode::asInt)
        .containsExactly(1, 2, 3, 4, 5, 6, 7, 8);
  }

  @Test
  void tellsTheSettingWithAnAdapter() {
    JsonNode setting =
        answer(
            "torque/setting",
            "{\"targetNm\": 40, \"handleMm\": 300, \"adapterMm\": 50, \"angleDeg\": 0}");
    assertThat(setting.path("settingNm").asDouble()).isEqualTo(40.0 * 300 / 350);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "torque/order|{\"count\": 0, \"layout\": \"circle\"}|count|1 to 200",
        "torque/order|{\"count\": 100000, \"layout\": \"circle\"}|count|1 to 200",
        "torque/order|{\"count\": 8, \"layout\": \"star\"}|layout|circle, rectangle",
        "torque/order|{\"layout\": \"circle\"}|count|must be given",
        "torque/order|{\"count\": \"many\", \"layout\": \"circle\"}|count|not of the kind",
        "torque/setting|{\"targetNm\": -1, \"handleMm\": 300, \"adapterMm\": 50, \"angleDeg\": 0}|targetNm|target torque",
        "torque/setting|{\"targetNm\": 40, \"handleMm\": 300, \"adapterMm\": 50}|angleDeg|must be given",
      })
  void aTorqueQuestionThatCannotBeSaysWhere(String what, String json, String path, String words) {
    refused(what, json, path == null ? "" : path, words);
  }

  // ---- wet end --------------------------------------------------------------------------------

  @Test
  void ratesMaterialsAgainstAllFluids() {
    JsonNode ratings =
        answer(
                "wet-end/rate",
                """
                {"role": "diaphragm", "abrasion": "light", "suctionLiftM": 2.1, "materials": ["FKM", "CSM"],
                 "exposures": [
                  {"fluid": "sludge-with-grit", "concentrationPct": 4, "temperatureC": 34, "share": 0.93},
                  {"fluid": "caustic-soda", "concentrationPct": 2, "temperatureC": 75, "share": 0.07}]}
                """)
            .path("ratings");
    assertThat(ratings).extracting(r -> r.path("material").asText()).containsExactly("CSM", "FKM");
    assertThat(ratings.get(0).path("verdict").asText()).isEqualTo("suited");
    assertThat(ratings.get(0).path("marginK").asDouble()).isPositive();
    assertThat(ratings.get(1).path("verdict").asText()).isEqualTo("unsuited");
    assertThat(ratings.get(1).path("factor").isNull()).isTrue();
    assertThat(ratings.get(1).at("/limitedBy/fluid").asText()).isEqualTo("caustic-soda");
  }

  @Test
  void anUnknownPairIsUnknown() {
    JsonNode rating =
        answer(
                "wet-end/rate",
                "{\"role\": \"diaphragm\", \"materials\": [\"NR\"], \"exposures\": [{\"fluid\":"
                    + " \"hydrofluoric-acid\", \"concentrationPct\": 99, \"temperatureC\": 20, \"share\": 1}]}")
            .at("/ratings/0");
    assertThat(rating.path("verdict").asText()).isEqualTo("unknown");
    assertThat(rating.path("factor").isNull()).isTrue();
    assertThat(rating.path("marginK").isNull()).isTrue();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "treacle|5|20|1|exposures[0].fluid|knows no fluid",
        "water|101|20|1|exposures[0].concentrationPct|Concentration",
        "water|5|-274|1|exposures[0].temperatureC|Temperature",
        "water|5|20|0.5|exposures|add up to 0.5",
      })
  void aDutyThatCannotBeIsRefusedNotGuessed(
      String fluid, double pct, double t, double share, String path, String words) {
    refused(
        "wet-end/rate",
        """
        {"role": "diaphragm", "exposures": [
          {"fluid": "%s", "concentrationPct": %s, "temperatureC": %s, "share": %s}]}
        """
            .formatted(fluid, pct, t, share),
        path,
        words);
  }

  @Test
  void severalFaultsOfADutyComeTogether() {
    ApiClient.Reply reply =
        ask(
            "wet-end/rate",
            "{\"role\": \"wing\", \"materials\": [\"unobtainium\"], \"exposures\": [{\"fluid\": \"treacle\","
                + " \"concentrationPct\": 5, \"temperatureC\": 20, \"share\": 1}]}");
    assertThat(reply.body().path("errors")).hasSize(3);
    assertThat(reply.fault("materials[0]")).contains("unobtainium");
  }

  // ---- progressing cavity ---------------------------------------------------------------------

  @Test
  void tellsHowARotorSitsAtTemperature() {
    JsonNode fit =
        answer(
            "cavity/fit",
            """
            {"boreRadiusMm": 14.85, "tubeRadiusMm": 26.0, "elastomerAlphaPerK": 1.6e-4, "deltaK": 40,
             "swell": 0.03, "rotorDiameterMm": 30.0, "rotorAlphaPerK": 1.2e-5}
            """);
    assertThat(fit.path("interferenceMm").asDouble()).isCloseTo(1.8825, within(5e-5));
    assertThat(fit.path("rotorDiameterMm").asDouble() - fit.path("boreDiameterMm").asDouble())
        .isCloseTo(fit.path("interferenceMm").asDouble(), within(1e-12));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "30|26|tubeRadiusMm|must be over",
        "-1|26|boreRadiusMm|must be",
        "14.85|null|tubeRadiusMm|must be given",
      })
  void aFitThatCannotBeIsRefused(String bore, String tube, String path, String words) {
    refused(
        "cavity/fit",
        """
        {"boreRadiusMm": %s, "tubeRadiusMm": %s, "elastomerAlphaPerK": 1.6e-4, "deltaK": 40,
         "swell": 0, "rotorDiameterMm": 30.0, "rotorAlphaPerK": 1.2e-5}
        """
            .formatted(bore, tube),
        path,
        words);
  }

  @Test
  void tellsWhatACavityPumpDisplaces() {
    JsonNode flow =
        answer(
            "cavity/flow",
            """
            {"eccentricityMm": 5, "rotorDiameterMm": 30, "statorPitchMm": 120, "rpm": 300,
             "measuredM3h": 1.1}
            """);
    assertThat(flow.path("displacementL").asDouble()).isCloseTo(0.072, within(1e-12));
    assertThat(flow.path("theoreticalM3h").asDouble()).isCloseTo(1.296, within(1e-12));
    assertThat(flow.path("efficiency").asDouble()).isCloseTo(1.1 / 1.296, within(1e-12));
  }

  // ---- tubes and magnets ----------------------------------------------------------------------

  @Test
  void tellsTheGapAndTheCalibrationOfATube() {
    assertThat(
            answer("tube/gap", "{\"wallMm\": 2.4, \"compression\": 0.15}").path("gapMm").asDouble())
        .isCloseTo(4.08, within(1e-12));
    JsonNode c =
        answer(
            "tube/calibration",
            """
            {"setMlPerTurn": 4.8, "runs": [
              {"turns": 100, "ml": 490}, {"turns": 100, "ml": 500}, {"turns": 50, "ml": 255}]}
            """);
    assertThat(c.path("mlPerTurn").asDouble()).isCloseTo(5.0, within(1e-12));
    assertThat(c.path("cvPct").asDouble()).isCloseTo(2.0, within(1e-9));
    assertThat(c.path("moreRuns").asInt()).isEqualTo(15);
  }

  @Test
  void tellsTheMarginOfAMagneticDrive() {
    JsonNode m =
        answer(
            "magnet/margin",
            """
            {"densityKgM3": 1100, "flowM3h": 12, "headM": 22, "efficiency": 0.55, "rpm": 2900,
             "ratedNm": 12, "magnet": "NdFeB", "temperatureC": 80}
            """);
    assertThat(m.path("neededNm").asDouble()).isCloseTo(4.73615, within(5e-6));
    assertThat(m.path("margin").asDouble()).isCloseTo(2.2103, within(5e-5));
    assertThat(m.path("verdict").asText()).isEqualTo("sound");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "tube/gap|{\"wallMm\": 2.4, \"compression\": 0.9}|compression|must be 0 to 0.5",
        "tube/calibration|{\"setMlPerTurn\": 5, \"runs\": [{\"turns\": 1, \"ml\": 5}]}|runs|3 or more",
        "tube/calibration|{\"setMlPerTurn\": 5, \"runs\": [{\"turns\": 1}]}|runs[0].ml|must be given",
        "magnet/margin|{\"magnet\": \"AlNiCo\"}|magnet|NdFeB or SmCo",
        "magnet/margin|{\"magnet\": \"SmCo\"}|densityKgM3|must be given",
        "cavity/flow|{\"eccentricityMm\": 5, \"rotorDiameterMm\": 30, \"statorPitchMm\": 120, \"rpm\": 0, \"measuredM3h\": 1}|rpm|must be",
      })
  void aMeasurementThatCannotBeIsRefused(String what, String json, String path, String words) {
    refused(what, json, path, words);
  }

  // ---- life and interval ----------------------------------------------------------------------

  @Test
  void fitsALifeAndDrawsItsCurve() {
    String runs =
        java.util.Arrays.stream("640 700* 700* 810 905 1100* 1100* 1240".split(" "))
            .map(
                a ->
                    "{\"age\": %s, \"failed\": %s}".formatted(a.replace("*", ""), !a.endsWith("*")))
            .collect(java.util.stream.Collectors.joining(","));
    JsonNode fit = answer("life/fit", "{\"observations\": [" + runs + "]}");
    assertThat(fit.path("shape").asDouble()).isCloseTo(4.7176582, within(4.7e-6));
    assertThat(fit.path("scale").asDouble()).isCloseTo(1138.7098, within(1.1e-3));
    assertThat(fit.path("logLikelihood").asDouble()).isCloseTo(-29.890907, within(1e-6));
    assertThat(fit.path("runs").asInt()).isEqualTo(8);
    assertThat(fit.path("failures").asInt()).isEqualTo(4);
    assertThat(fit.path("survival")).hasSize(4);
    assertThat(fit.at("/survival/3/low").isNull()).isTrue();
    ApiClient.Reply few = ask("life/fit", "{\"observations\": [{\"age\": 5, \"failed\": true}]}");
    assertThat(few.status()).isEqualTo(422);
    assertThat(few.fault("observations")).contains("2 different ages");
  }

  @Test
  void tellsTheLifeThatFewRunsLeaveOneToExpect() {
    JsonNode p =
        answer(
            "life/posterior",
            """
            {"shape": 2.5, "priorMean": 4000, "priorStrength": 2, "observations": [
              {"age": 3100, "failed": true}, {"age": 2400, "failed": false},
              {"age": 3650, "failed": true}, {"age": 1800, "failed": false}]}
            """);
    assertThat(p.path("a").asDouble()).isEqualTo(4);
    assertThat(p.path("b").asDouble()).isCloseTo(3567855703.23, within(0.01));
    assertThat(p.path("scaleMedian").asDouble()).isCloseTo(3935.49, within(0.005));
    assertThat(p.path("meanLife").asDouble()).isCloseTo(3639.65, within(0.005));
    double risk =
        answer(
                "life/risk",
                "{\"shape\": 2.5, \"a\": 4, \"b\": 3567855703.23, \"age\": 0, \"within\": 2000}")
            .path("probability")
            .asDouble();
    assertThat(risk).isCloseTo(1 - 0.822270, within(5e-7));
  }

  @Test
  void tellsTheCheapestIntervalAndWhetherItPays() {
    JsonNode i =
        answer(
            "life/interval",
            "{\"shape\": 3, \"scale\": 4000, \"plannedCost\": 300, \"failureCost\": 1500}");
    assertThat(i.path("bestAge").asDouble()).isCloseTo(2010.44, within(0.01));
    assertThat(i.path("advice").asText()).isEqualTo("fixed-interval");
    JsonNode random =
        answer(
            "life/interval",
            "{\"shape\": 1, \"scale\": 4000, \"plannedCost\": 300, \"failureCost\": 1500}");
    assertThat(random.path("bestAge").isNull()).isTrue();
    assertThat(random.path("advice").asText()).isEqualTo("run-to-failure");
  }

  @Test
  void tellsTheLivesOfAGroupTogether() {
    String group =
        """
        {"shape": 2.5, "priorMean": 4000, "plannedCost": 300, "failureCost": 1500, "pumps": [
          {"pump": "A", "runs": [{"age": 3100, "failed": true}, {"from": 0, "age": 2400, "failed": false},
            {"age": 3650, "failed": true}, {"age": 1800, "failed": false}]},
          {"pump": "B", "runs": [{"age": 1200, "failed": true}, {"age": 1500, "failed": true},
            {"from": 800, "age": 2000, "failed": false}]}]%s}
        """;
    JsonNode all = answer("life/group", group.formatted(""));
    JsonNode a = all.path("pumps").path(0);
    assertThat(a.path("meanLife").asDouble()).isCloseTo(3332.067, within(2.0));
    assertThat(a.path("bestAge").asDouble()).isBetween(1200.0, 2200.0);
    assertThat(a.path("bestRate").asDouble()).isLessThan(a.path("runToFailureRate").asDouble());
    assertThat(a.path("risk").isNull()).isTrue();
    JsonNode step = a.path("survival").path(10);
    assertThat(step.path("survival").asDouble())
        .isBetween(step.path("low").asDouble(), step.path("high").asDouble());
    assertThat(all.path("failures").asInt()).isEqualTo(4);
    assertThat(answer("life/group", group.formatted(""))).isEqualTo(all);

    JsonNode fresh =
        answer(
            "life/group",
            group.formatted(", \"ask\": {\"pump\": \"C\", \"age\": 0, \"within\": 2000}"));
    assertThat(fresh.path("pumps")).hasSize(1);
    assertThat(fresh.at("/pumps/0/meanLife").asDouble())
        .isBetween(all.at("/pumps/1/meanLife").asDouble(), a.path("meanLife").asDouble());
    assertThat(fresh.at("/pumps/0/risk").asDouble()).isCloseTo(1 - 0.6826, within(5e-4));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "life/group|{\"shape\": 2, \"priorMean\": 9, \"plannedCost\": 1, \"failureCost\": 2}|pumps|must be given",
        "life/group|{\"shape\": 2, \"priorMean\": 9, \"plannedCost\": 1, \"failureCost\": 2, \"pumps\": [{\"pump\": \"A\", \"runs\": [{\"from\": 8, \"age\": 5, \"failed\": true}]}]}|pumps[0].runs[0].from|under the one it ends at",
        "life/group|{\"shape\": 2, \"priorMean\": 9, \"plannedCost\": 1, \"failureCost\": 2, \"pumps\": [{\"pump\": \"A\"}, {\"pump\": \"A\"}]}|pumps[1].pump|once",
        "life/group|{\"shape\": 2, \"priorMean\": 9, \"priorSpread\": -1, \"plannedCost\": 1, \"failureCost\": 2, \"pumps\": []}|priorSpread|must be",
        "life/fit|{\"observations\": [{\"age\": -5, \"failed\": true}]}|observations[0].age|must be",
        "life/fit|{\"observations\": [{\"age\": 5}]}|observations[0].failed|must be given",
        "life/posterior|{\"shape\": 0.4, \"priorMean\": 10, \"priorStrength\": 2}|priorStrength|must exceed 1",
        "life/risk|{\"shape\": 2, \"scale\": 100, \"age\": -1, \"within\": 5}|age|must be",
        "life/risk|{\"shape\": 2, \"a\": 2, \"age\": 1, \"within\": 5}|b|must be given",
        "life/interval|{\"shape\": 2, \"scale\": 100, \"plannedCost\": 0, \"failureCost\": 5}|plannedCost|must be",
        "life/interval|{\"shape\": 2, \"scale\": 100, \"plannedCost\": 1, \"failureCost\": 5, \"consequence\": \"dire\"}|consequence|low or high",
      })
  void aQuestionOfLifeThatCannotBeIsRefused(String what, String json, String path, String words) {
    refused(what, json, path, words);
  }

  // ---- shelf life, and the frame around all -----------------------------------------------------

  @ParameterizedTest
  @CsvSource({
    "NBR, B, 2033-03-01, 2036-03-01",
    "FKM, C, 2036-03-01, 2041-03-01",
    "NR, A, 2031-03-01, 2033-03-01"
  })
  void tellsUntilWhenALotMayBeFitted(
      String material, String group, String useBy, String extendedBy) {
    JsonNode life =
        answer(
            "shelf-life", "{\"material\": \"%s\", \"cured\": \"2026-03-01\"}".formatted(material));
    assertThat(life.path("group").asText()).isEqualTo(group);
    assertThat(life.path("useBy").asText()).isEqualTo(useBy);
    assertThat(life.path("extendedBy").asText()).isEqualTo(extendedBy);
  }

  @Test
  void whatDoesNotAgeHasNoDates() {
    JsonNode life = answer("shelf-life", "{\"material\": \"PTFE\", \"cured\": \"2026-03-01\"}");
    assertThat(life.path("useBy").isNull()).isTrue();
    assertThat(life.path("extendedBy").isNull()).isTrue();
  }

  @Test
  void aDateThatIsNoneIsSaid() {
    refused(
        "shelf-life",
        "{\"material\": \"NBR\", \"cured\": \"last spring\"}",
        "cured",
        "write it as 2026-03-01");
    refused(
        "shelf-life",
        "{\"material\": \"cheese\", \"cured\": \"2026-03-01\"}",
        "material",
        "cheese");
  }

  @ParameterizedTest
  @CsvSource({"not json", "[1,2]", "'{\"count\": 8'", "''"})
  void textThatIsNoQuestionIsA400(String text) {
    ApiClient.Reply reply = ask("torque/order", text);
    assertThat(reply.status()).isEqualTo(400);
    assertThat(reply.body().path("errors")).isNotEmpty();
    assertThat(reply.body().toString())
        .doesNotContain("Exception")
        .doesNotContain("isokinon.server");
  }

  @Test
  void moreThanAMegabyteIsRefusedUnread() {
    ApiClient.Reply reply = ask("plan", "{\"sheetId\": \"" + "x".repeat(1_100_000) + "\"}");
    assertThat(reply.status()).isEqualTo(413);
    assertThat(reply.fault("")).isEqualTo("A request to this address holds at most 1 MB.");
  }

  @Test
  void otherKindsOfRequestAreAnsweredPlainly() {
    assertThat(desk.get("/api/v1/compute/plan").status()).isEqualTo(405);
    assertThat(desk.post("/api/v1/compute/plan", "id: x", "text/plain").status()).isEqualTo(415);
    ApiClient.Reply nowhere = desk.get("/api/v1/nowhere");
    assertThat(nowhere.status()).isEqualTo(404);
    assertThat(nowhere.body().path("detail").asText()).isEqualTo("Nothing is at /api/v1/nowhere.");
  }

  // ---- kit cover ------------------------------------------------------------------------------

  private ApiClient.Reply cover(String json) {
    return desk.post("/api/v1/compute/kit-cover", json);
  }

  @Test
  void theCheapestCoverOfKitsSinglesAndShelf() {
    JsonNode answer =
        cover(
                """
                {"need": {"diaphragm": 2, "ball": 4, "o-ring": 8},
                 "kits": [{"id": "wet-kit", "price": 148,
                           "parts": {"diaphragm": 2, "ball": 4, "o-ring": 6}}],
                 "singles": [{"part": "o-ring", "price": 3}, {"part": "ball", "price": 12},
                             {"part": "diaphragm", "price": 70}],
                 "onHand": {"o-ring": 1}}""")
            .body();
    assertThat(answer.path("buy").toString())
        .isEqualTo("[{\"id\":\"wet-kit\",\"count\":1},{\"id\":\"part:o-ring\",\"count\":1}]");
    assertThat(answer.path("cost").asDouble()).isEqualTo(151);
    assertThat(answer.path("leftOver").isEmpty()).isTrue();
    assertThat(answer.path("optimal").asBoolean()).isTrue();
  }

  @Test
  void partsNobodySellsAreA422NamingThem() {
    ApiClient.Reply reply = cover("{\"need\": {\"seat\": 1, \"cap\": 2}, \"kits\": []}");
    assertThat(reply.status()).isEqualTo(422);
    assertThat(reply.fault("need.seat")).contains("brings seat");
    assertThat(reply.fault("need.cap")).contains("brings cap");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "{}|need",
        "{\"need\": {\"a\": -1}}|need.a",
        "{\"need\": {\"a\": 1}, \"singles\": [{\"part\": \"a\"}]}|singles[0].price",
        "{\"need\": {\"a\": 1}, \"singles\": [{\"part\": \"a\", \"price\": -2}]}|singles[0].price",
        "{\"need\": {\"a\": 1}, \"kits\": [{\"id\": \"k\", \"price\": 1, \"parts\": {\"a\": 0}}]}|kits[0].parts.a"
      })
  void aCoverQuestionThatIsNoneIsRefusedAtItsField(String json, String path) {
    ApiClient.Reply reply = cover(json);
    assertThat(reply.status()).isEqualTo(400);
    assertThat(reply.fault(path)).isNotBlank();
  }
}
