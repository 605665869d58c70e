package isokinon.server.http;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import isokinon.server.ApiClient;
import isokinon.server.MillTest;
import java.io.IOException;
import java.util.List;
import java.util.stream.StreamSupport;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;

/** Choosing the wet end for the pumps of the mill and for duties typed in. */
@MillTest
class WetEndApiTest {

  @Autowired private ApiClient desk;

  private static List<JsonNode> list(JsonNode array) {
    return StreamSupport.stream(array.spliterator(), false).toList();
  }

  private JsonNode chooser(String tag) {
    return desk.get("/api/v1/pumps/" + tag + "/wet-ends").body();
  }

  private static JsonNode kit(JsonNode chooser, String id) {
    return list(chooser.path("kits")).stream()
        .filter(k -> k.path("id").asText().equals(id))
        .findFirst()
        .orElseThrow(() -> new AssertionError(id + " is not among " + chooser.path("kits")));
  }

  private static String typed(String exposures) {
    return "{\"family\": \"progressing-cavity\", \"duty\": {\"exposures\": [" + exposures + "]}}";
  }

  private static String fluid(String fluid, String pct, String t, String share) {
    return "{\"fluid\": \"%s\", \"concentrationPct\": %s, \"temperatureC\": %s, \"share\": %s}"
        .formatted(fluid, pct, t, share);
  }

  @ParameterizedTest
  @CsvSource({
    "hose-shoe-40, hose, 4",
    "tube-four-arm-16, tube, 6",
    "aodd-bolted-plastic-25, diaphragm, 8",
    "cavity-pin-joint-40, stator, 4"
  })
  void aDutyTypedInForASheetRanksItsKits(String sheet, String lead, int kits) {
    JsonNode choice =
        desk.post(
                "/api/v1/wet-ends/choose",
                "{\"sheet\": \"%s\", \"body\": \"PP\", \"duty\": {\"exposures\": [%s]}}"
                    .formatted(sheet, fluid("water", "100", "20", "1")))
            .body();
    assertThat(choice.path("lead").asText()).isEqualTo(lead);
    assertThat(choice.path("kits")).hasSize(kits);
    assertThat(choice.at("/kits/0/costPer1000h").asDouble()).isPositive();
    assertThat(choice.at("/kits/0/parts").findValuesAsText("role")).contains(lead, "body");
  }

  @Test
  void fluidsThatMustNotMeetAreSaidAtTheDutyAtTheGateAndOnThePageOfEach() {
    for (JsonNode meetings :
        List.of(
            chooser("BLE-06").path("meetings"),
            desk.job("BLE-06").takesIn("renew:diaphragm-a").view().path("meetings"))) {
      assertThat(meetings.path("pairs")).hasSize(1);
      assertThat(meetings.at("/pairs/0/one/fluid").asText()).isEqualTo("Sodium hypochlorite");
      assertThat(meetings.at("/pairs/0/other/fluid").asText()).isEqualTo("Sodium bisulphite");
      assertThat(meetings.at("/pairs/0/gives").asText()).isEqualTo("poison-gas");
      assertThat(meetings.at("/pairs/0/apart").asText()).startsWith("Flush");
      assertThat(meetings.path("gaps").asInt()).isEqualTo(2);
    }
    assertThat(chooser("DYE-04").path("meetings").path("pairs")).isEmpty();
    JsonNode peracetic = desk.get("/api/v1/materials/fluids/peracetic-acid").body();
    assertThat(peracetic.path("apart").findValuesAsText("group"))
        .contains("Hypochlorite", "An alkali", "An oil or a solvent");
    assertThat(peracetic.path("ceilings").findValuesAsText("say"))
        .anyMatch(s -> s.startsWith("Heats itself up"));
  }

  @Test
  void aMilderDutyComesDownByItselfOnTheSamePlates() {
    JsonNode chooser = chooser("DYE-04");
    assertThat(chooser.path("offer").asText())
        .contains("from PTFE to NBR")
        .contains("fits the plates and shaft");
    assertThat(kit(chooser, "NBR on full-stroke").path("hardwarePrice").asDouble()).isZero();
    JsonNode traditional = kit(chooser, "PTFE on short-stroke");
    assertThat(traditional.path("hardwareNote").asText()).contains("needs short-stroke plates");
    assertThat(traditional.path("hardwarePrice").asDouble()).isCloseTo(414, within(1e-9));
  }

  @Test
  void theWholeWetEndIsJudgedAndItsWeakestPartNamed() {
    JsonNode kit = kit(chooser("EFF-02"), "CSM on full-stroke");
    assertThat(kit.path("parts").findValuesAsText("role"))
        .contains("diaphragm", "ball", "seat", "o-ring", "body");
    assertThat(kit.path("weakest").asText()).isEqualTo("seat");
    assertThat(kit.path("because").asText()).contains("Sodium hypochlorite");
  }

  @Test
  void whatElseMustChangeIsSaidWithItsPriceAndMinutes() {
    JsonNode chooser = chooser("SCR-01");
    JsonNode hnbr = kit(chooser, "HNBR");
    assertThat(hnbr.path("hardwareNote").asText())
        .contains("keeps the rotor -0.75 mm")
        .contains("needs the boot in HNBR as well");
    assertThat(hnbr.path("hardwarePrice").asDouble()).isPositive();
    assertThat(hnbr.path("labourMinutes").asDouble())
        .isGreaterThan(kit(chooser("EFF-04"), "HNBR").path("labourMinutes").asDouble());
  }

  @Test
  void swellSeenHereTightensTheFit() {
    assertThat(kit(chooser("SCR-04"), "NBR").path("hardwareNote").asText())
        .startsWith("keeps the rotor -0.75 mm");
    desk.post(
        "/api/v1/materials/findings",
        """
        {"fluid": "recovered-wool-grease", "material": "NBR", "concentrationPct": 100,
         "temperatureC": 70, "kind": "swell", "reading": 0.8, "pump": "SCR-04", "note": ""}
        """);
    assertThat(kit(chooser("SCR-04"), "NBR").path("hardwareNote").asText())
        .startsWith("needs the rotor -1 mm")
        .endsWith("0.8 % swell seen here");
  }

  @Test
  void runsOfThisShopMoveTheLife() {
    JsonNode kit = kit(chooser("EFF-01"), "EPDM tube");
    assertThat(kit.path("runsFailed").size()).isGreaterThan(5);
    assertThat(kit.path("evidence").asText()).contains("runs here");
    assertThat(kit.path("lifeHours").asDouble()).isNotEqualTo(3000);
    assertThat(kit(chooser("EFF-01"), "TPE tube").path("evidence").asText())
        .isEqualTo("no history, library value");
  }

  @Test
  void aDutyNothingStandsSaysWhatToChange() {
    JsonNode choice =
        desk.post(
                "/api/v1/wet-ends/choose",
                typed(
                    fluid("recovered-wool-grease", "100", "70", "0.9")
                        + ","
                        + fluid("caustic-soda", "2", "75", "0.05")
                        + ","
                        + fluid("bleach liquor", "12", "20", "0.05")))
            .body();
    assertThat(list(choice.path("roles").path(0).path("materials")))
        .noneMatch(m -> m.path("verdict").asText().equals("suited"));
    assertThat(choice.path("ways").findValuesAsText("sentence"))
        .anySatisfy(w -> assertThat(w).startsWith("Keep sodium hypochlorite out of this pump"));
  }

  @Test
  void sensitivityAndOpenFactsComeWithTheChoice() {
    assertThat(chooser("EFF-02").path("turns").findValuesAsText("sentence"))
        .contains("Sludge with grit: above 65 °C EPDM falls out and CSM leads.");
    assertThat(chooser("DYE-08").path("questions").findValuesAsText("ask"))
        .contains("Does it run dry now and then?");
    assertThat(chooser("DYE-09").path("questions")).isEmpty();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "treacle|5|20|1|duty.exposures[0].fluid|knows no fluid",
        "water|101|20|1|exposures[0].concentrationPct|Concentration",
        "water|5|-274|1|exposures[0].temperatureC|Temperature",
        "water|5|20|0.9|exposures|add up to 0.9",
        "water|5|null|1|exposures[0].temperatureC|must be given",
      })
  void aDutyThatCannotBeIsRefusedNotGuessed(
      String fluid, String pct, String t, String share, String path, String words) {
    ApiClient.Reply reply =
        desk.post("/api/v1/wet-ends/choose", typed(fluid(fluid, pct, t, share)));
    assertThat(reply.status()).isEqualTo(400);
    assertThat(reply.fault(path.replace("duty.", ""))).contains(words);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "{}|duty|Give a pump",
        "{\"family\": \"rocket\", \"duty\": {\"exposures\": []}}|family|A family is",
        "{\"sheet\": \"nope\", \"duty\": {\"exposures\": []}}|sheet|No sheet",
        "{\"family\": \"peristaltic\", \"duty\": {\"exposures\": []}}|exposures|at least one",
        "{\"family\": \"peristaltic\", \"duty\": {}}|exposures|at least one",
        "{\"family\": \"peristaltic\", \"body\": \"glass\", \"duty\": {\"exposures\": []}}|body|knows no material",
      })
  void aQuestionThatMeansNothingIsRefused(String json, String path, String words) {
    ApiClient.Reply reply = desk.post("/api/v1/wet-ends/choose", json);
    assertThat(reply.status()).isEqualTo(400);
    assertThat(reply.fault(path)).contains(words);
  }

  @Test
  void aChangedDutyIsKeptAndComputedOn() throws IOException {
    ObjectNode duty = (ObjectNode) chooser("BLE-06").path("duty").deepCopy();
    ((ObjectNode) duty.path("exposures").path(0)).put("temperatureC", 38).put("usualC", 30);
    duty.put("solidsPct", 3).put("solidsMohs", 7).put("pressureBar", 2.5);
    String body = "{\"duty\": " + duty + "}";
    JsonNode after = desk.put("/api/v1/pumps/BLE-06/duty", body).body();
    assertThat(after.at("/duty/abrasion").asText()).isEqualTo("heavy");
    JsonNode read = chooser("BLE-06");
    assertThat(read.at("/duty/exposures/0/usualC").asDouble()).isEqualTo(30);
    assertThat(read.at("/duty/pressureBar").asDouble()).isEqualTo(2.5);
    assertThat(kit(read, "CSM on full-stroke").path("verdict").asText()).isEqualTo("limited");
    duty.withArray("exposures").removeAll();
    assertThat(desk.put("/api/v1/pumps/BLE-06/duty", "{\"duty\": " + duty + "}").status())
        .isEqualTo(400);
    assertThat(chooser("BLE-06").at("/duty/exposures")).hasSize(2);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "solidsPct|140|This is 0.0 to 100.0",
        "solidsMohs|0|This is 1.0 to 10.0",
        "pressureBar|-2|Pressure",
        "densityKgM3|0|Density",
        "ambientC|-200|Coldest",
        "duty.zone|\"sparky\"|one of none, static, explosive",
        "duty.abrasion|\"some\"|one of none, light, medium, heavy",
        "stopCost|-5|What a stop costs",
      })
  void aFactThatCannotBeIsToldAtItsField(String field, String value, String words) {
    ApiClient.Reply reply =
        desk.post(
            "/api/v1/wet-ends/choose",
            "{\"family\": \"peristaltic\", \"duty\": {\"%s\": %s, \"exposures\": [%s]}}"
                .formatted(field.replace("duty.", ""), value, fluid("water", "100", "20", "1")));
    assertThat(reply.status()).isEqualTo(400);
    assertThat(reply.fault(field)).contains(words);
  }

  @Test
  void whatIsDraggedIsOnlyTried() {
    JsonNode tried =
        desk.post(
                "/api/v1/wet-ends/choose",
                "{\"tag\": \"EFF-06\", \"duty\": {\"exposures\": [%s]}}"
                    .formatted(fluid("polymer-flocculant", "0.5", "82", "1")))
            .body();
    assertThat(kit(tried, "TPE tube").path("verdict").asText()).isEqualTo("limited");
    assertThat(kit(tried, "silicone tube").path("verdict").asText()).isEqualTo("unsuited");
    assertThat(chooser("EFF-06").at("/duty/exposures/0/temperatureC").asDouble()).isEqualTo(18);
  }

  @Test
  void theChoiceSheetHoldsTheReasons() throws IOException {
    byte[] pdf = desk.post("/api/v1/wet-ends/choice.pdf", "{\"tag\": \"DYE-04\"}").bytes();
    try (PDDocument document = Loader.loadPDF(pdf)) {
      assertThat(new PDFTextStripper().getText(document).replaceAll("[\\s\\u00a0]+", " "))
          .contains("Wet end, DYE-04", "check with the maker of the part")
          .contains("come down from PTFE to NBR")
          .contains("Caustic soda 2 % 45 °C", "fits the plates and shaft in it")
          .contains("What would change the choice", "Materials, diaphragm, PTFE in it now");
    }
  }

  @Test
  void whatGoesInIsKnownByRoleAfterTheRebuild() {
    ApiClient.Job job =
        desk.job("SCR-07")
            .takesIn("renew:diaphragm-a", "renew:diaphragm-b")
            .makesSafe()
            .strips()
            .inspects();
    JsonNode lot =
        list(job.view().at("/decide/lots")).stream()
            .filter(l -> l.path("id").asText().equals("L-0417"))
            .findFirst()
            .orElseThrow();
    assertThat(lot.at("/materials/o-ring").asText()).isEqualTo("PTFE");
    assertThat(lot.path("materials").has("seat")).as("the seats stay in").isFalse();
    job.decides("L-0417", "CSM").builds().proves().handsBack();
    assertThat(
            list(chooser("SCR-07").path("roles")).stream()
                .filter(r -> r.path("role").asText().equals("o-ring"))
                .map(r -> r.path("fittedNow").asText()))
        .containsExactly("PTFE");
  }
}
