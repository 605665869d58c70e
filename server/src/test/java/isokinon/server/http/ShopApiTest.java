package isokinon.server.http;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import isokinon.server.ApiClient;
import isokinon.server.MillTest;
import isokinon.server.db.shop.SheetMapper;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;

@MillTest
class ShopApiTest {

  @Autowired private ApiClient desk;
  @Autowired private SheetMapper sheets;

  private static List<JsonNode> list(JsonNode array) {
    return StreamSupport.stream(array.spliterator(), false).toList();
  }

  private List<JsonNode> onTheFloor() {
    return list(desk.get("/api/v1/floor").body().path("areas")).stream()
        .flatMap(a -> list(a.path("pumps")).stream())
        .toList();
  }

  private List<JsonNode> strips() {
    String tags =
        onTheFloor().stream()
            .map(p -> p.path("tag").asText())
            .collect(Collectors.joining("&tags="));
    return list(desk.get("/api/v1/floor/strips?tags=" + tags).body());
  }

  // ---- floor ----------------------------------------------------------------------------------

  @Test
  void theFloorShowsTheFourAreasOfTheMill() {
    JsonNode floor = desk.get("/api/v1/floor").body();
    assertThat(floor.path("site").asText()).isEqualTo("Skerrow Mill");
    assertThat(floor.path("today").asText()).isEqualTo("2026-03-17");
    assertThat(list(floor.path("areas")))
        .extracting(a -> a.path("name").asText())
        .containsExactlyInAnyOrder("Scour", "Dye", "Bleach", "Effluent");
    assertThat(strips()).hasSizeBetween(22, 34);
  }

  @Test
  void withinAnAreaTheWorstComesFirstAfterThoseOnTheBench() {
    for (JsonNode area : desk.get("/api/v1/floor").body().path("areas")) {
      List<Double> risks =
          list(area.path("pumps")).stream()
              .filter(p -> p.path("rebuild").isNull())
              .map(p -> -p.path("risk30").asDouble())
              .toList();
      assertThat(risks).isSorted();
    }
  }

  @Test
  void aPumpInShortIsItsStripInFewerDigits() {
    List<JsonNode> strips = strips();
    assertThat(onTheFloor())
        .hasSameSizeAs(strips)
        .zipSatisfy(
            strips,
            (brief, strip) -> {
              for (String field : List.of("tag", "family", "material", "state", "rebuildStage")) {
                assertThat(brief.path(field)).as(field).isEqualTo(strip.path(field));
              }
              assertThat(brief.path("risk30").asDouble())
                  .isCloseTo(strip.path("risk30").asDouble(), within(5.1e-5));
              assertThat(brief.path("dueDays").asDouble())
                  .isCloseTo(strip.path("dueDays").asDouble(), within(0.051));
              assertThat(brief.path("hours").asDouble())
                  .isCloseTo(strip.path("hours").asDouble(), within(0.51));
            });
    assertThat(list(desk.get("/api/v1/floor/strips?tags=EFF-02&tags=NONE").body())).hasSize(1);
    assertThat(desk.get("/api/v1/floor/strips?tags=A" + "&tags=A".repeat(100)).status())
        .isEqualTo(400);
  }

  @Test
  void theLensHoldsTheRiskOfThirtyDays() {
    assertThat(strips())
        .allSatisfy(
            p -> {
              double soon =
                  list(p.path("lens")).stream().limit(15).mapToDouble(d -> d.asDouble() * 2).sum();
              assertThat(soon).isCloseTo(p.path("risk30").asDouble(), within(0.001));
            });
  }

  @Test
  void aPumpWithoutHistoryIsUnknownAndSaysSo() {
    JsonNode first =
        strips().stream()
            .filter(p -> p.path("tag").asText().equals("DYE-02"))
            .findFirst()
            .orElseThrow();
    assertThat(first.path("state").asText()).isEqualTo("unknown");
    assertThat(first.path("because").asText()).startsWith("No finished run of EPDM in dye slurry");
  }

  @Test
  void somethingIsAlwaysDue() {
    assertThat(strips())
        .filteredOn(p -> p.path("tag").asText().equals("EFF-02"))
        .singleElement()
        .satisfies(p -> assertThat(p.path("dueDays").asDouble()).isNegative());
  }

  @Test
  void thousandsAreSetWithAThinSpaceInSentences() {
    assertThat(strips())
        .extracting(p -> p.path("because").asText())
        .allSatisfy(s -> assertThat(s).doesNotContainPattern("\\d{4}"));
  }

  // ---- pump, wet ends -------------------------------------------------------------------------

  @Test
  void aPumpsPageHasItsDutyItsPartsAndItsDrawing() {
    JsonNode pump = desk.get("/api/v1/pumps/SCR-07").body();
    assertThat(list(pump.path("duty")))
        .extracting(d -> d.path("name").asText())
        .containsExactly("Recovered wool grease");
    assertThat(list(pump.at("/sheet/kits")))
        .extracting(k -> k.path("id").asText())
        .containsExactly("wet-kit", "valve-kit", "pilot-kit");
    assertThat(list(pump.path("rails")))
        .extracting(r -> r.path("title").asText())
        .containsExactly("Wet end", "Air side");
    assertThat(pump.at("/sheet/parts").findValuesAsText("id")).doesNotContain("backup-a");
    assertThat(desk.get("/api/v1/pumps/DYE-04").body().at("/sheet/parts").findValuesAsText("id"))
        .contains("backup-a");
  }

  @Test
  void theChangedElastomerStandsInTheHistory() {
    List<JsonNode> stops = list(desk.get("/api/v1/pumps/SCR-07").body().at("/strip/stops"));
    assertThat(stops).extracting(s -> s.path("material").asText()).contains("EPDM", "FKM");
    assertThat(stops)
        .filteredOn(s -> s.path("material").asText().equals("EPDM") && s.path("failed").asBoolean())
        .isNotEmpty()
        .allSatisfy(s -> assertThat(s.path("cause").asText()).isEqualTo("swollen by wool grease"));
  }

  @Test
  void theChooserKeepsTheRejectedVisibleWithTheReason() {
    JsonNode chooser = desk.get("/api/v1/pumps/SCR-07/wet-ends").body();
    JsonNode diaphragms = chooser.path("roles").path(0).path("materials");
    assertThat(list(diaphragms))
        .filteredOn(m -> m.path("material").asText().equals("EPDM"))
        .singleElement()
        .satisfies(m -> assertThat(m.path("verdict").asText()).isEqualTo("unsuited"))
        .satisfies(m -> assertThat(m.path("reason").asText()).contains("Recovered wool grease"));
    assertThat(list(diaphragms))
        .filteredOn(m -> m.path("verdict").asText().matches("suited|limited"))
        .extracting(m -> m.path("material").asText())
        .contains("FKM", "NBR", "PTFE");
    assertThat(chooser.path("note").asText()).contains("check with the maker");
  }

  @Test
  void kitsAreRankedByWhatAThousandHoursCost() {
    List<Double> costs = new ArrayList<>();
    for (JsonNode kit : desk.get("/api/v1/pumps/EFF-05/wet-ends").body().path("kits")) {
      if (kit.path("costPer1000h").isNumber()) {
        costs.add(kit.path("costPer1000h").asDouble());
        assertThat(kit.path("costLow").asDouble()).isLessThan(kit.path("costHigh").asDouble());
      } else {
        assertThat(kit.path("verdict").asText()).isIn("unsuited", "unknown");
      }
    }
    assertThat(costs).isNotEmpty().isSorted();
  }

  @Test
  void anOverAgeKitIsSaidToBe() {
    assertThat(list(desk.get("/api/v1/pumps/EFF-05/wet-ends").body().path("kits")))
        .filteredOn(k -> k.path("lot").asText().equals("L-0120"))
        .singleElement()
        .satisfies(k -> assertThat(k.path("status").asText()).isEqualTo("over-age"));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"/api/v1/pumps/NOPE-1", "/api/v1/pumps/NOPE-1/wet-ends", "/api/v1/sheets/nope"})
  void whatIsNotThereIsAPlain404(String path) {
    ApiClient.Reply reply = desk.get(path);
    assertThat(reply.status()).isEqualTo(404);
    assertThat(reply.body().path("detail").asText()).matches("No (pump|sheet) is called \\S+\\.");
  }

  // ---- sheets ---------------------------------------------------------------------------------

  private static String shipped() throws IOException {
    return Files.readString(Path.of("../library/sheets/aodd-bolted-plastic-25.yaml"));
  }

  private ApiClient.Reply store(String yaml) {
    return desk.post("/api/v1/sheets", yaml, "application/yaml");
  }

  @Test
  void aBadSheetIsRefusedWithEveryFaultAndNothingIsStored() throws IOException {
    String bad =
        shipped()
            .replace("id: aodd-bolted-plastic-25", "id: my-pump")
            .replace("minNm: 27.0", "minNm: 72.0")
            .replace("frees: [shaft-bushing]", "frees: [bush]");
    ApiClient.Reply reply = store(bad);
    assertThat(reply.status()).isEqualTo(400);
    assertThat(reply.body().path("errors").size()).isGreaterThanOrEqualTo(4);
    assertThat(list(reply.body().path("errors")))
        .allSatisfy(e -> assertThat(e.path("line").asInt()).isPositive());
    assertThat(reply.body().toString())
        .contains("unknown part", "torque max", "no step frees shaft-bushing");
    assertThat(sheets.newestOf("my-pump")).isEmpty();
  }

  @Test
  void aSheetOfTheShopIsStoredAsItWasWritten() throws IOException {
    String mine =
        shipped()
            .replace("id: aodd-bolted-plastic-25", "id: shop-pump")
            .replaceFirst("revision: \\d+", "revision: 1");
    assertThat(store(mine).status()).isEqualTo(201);
    assertThat(new String(desk.get("/api/v1/sheets/shop-pump").bytes(), StandardCharsets.UTF_8))
        .isEqualTo(mine);
    assertThat(store(mine).fault("revision")).contains("give the changed sheet revision 2");
    assertThat(store(mine.replace("revision: 1", "revision: 2")).status()).isEqualTo(201);
    assertThat(list(desk.get("/api/v1/sheets").body()))
        .filteredOn(s -> s.path("id").asText().equals("shop-pump"))
        .singleElement()
        .satisfies(s -> assertThat(s.path("revision").asInt()).isEqualTo(2));
  }

  @Test
  void theSchemaForEditorsIsServed() {
    ApiClient.Reply schema = desk.get("/api/v1/sheet-schema");
    assertThat(schema.status()).isEqualTo(200);
    assertThat(new String(schema.bytes(), StandardCharsets.UTF_8))
        .contains("\"title\": \"Assembly sheet\"");
  }

  // ---- screens --------------------------------------------------------------------------------

  @ParameterizedTest
  @ValueSource(
      strings = {
        "/",
        "/floor",
        "/bench",
        "/bench/7",
        "/pumps/EFF-02",
        "/wet-ends/EFF-02",
        "/library/materials/acetic-acid/1.4404",
        "/no-such-place"
      })
  void everyScreenAddressIsAnsweredByTheOnePage(String path) {
    ApiClient.Reply page = desk.get(path);
    assertThat(page.status()).isEqualTo(200);
    assertThat(new String(page.bytes(), StandardCharsets.UTF_8)).contains("<div id=\"root\">");
  }
}
