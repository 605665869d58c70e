package isokinon.server.http;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import isokinon.server.ApiClient;
import isokinon.server.MillTest;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;

/** The shelf, and what people do at it. */
@MillTest
class StoresApiTest {

  @Autowired private ApiClient desk;

  private JsonNode stores() {
    return desk.get("/api/v1/stores").body();
  }

  private ApiClient.Reply act(String act, String fields) {
    return desk.post("/api/v1/stores/acts/" + act, "{" + fields + "}");
  }

  private static JsonNode line(JsonNode stores, String sheet, String material) {
    return StreamSupport.stream(stores.path("shelves").spliterator(), false)
        .filter(s -> s.path("sheetId").asText().equals(sheet))
        .flatMap(s -> StreamSupport.stream(s.path("kits").spliterator(), false))
        .filter(k -> k.path("material").asText().equals(material))
        .findFirst()
        .orElseThrow();
  }

  private int quantity(String lot) {
    return stores().findParents("useBy").stream()
        .filter(l -> l.path("id").asText().equals(lot))
        .findFirst()
        .orElseThrow()
        .path("quantity")
        .asInt();
  }

  @Test
  void theOverAgeKitIsFoundWithWhatToDo() {
    JsonNode over =
        StreamSupport.stream(stores().path("overAge").spliterator(), false)
            .filter(o -> o.path("lot").asText().equals("L-0120"))
            .findFirst()
            .orElseThrow();
    assertThat(over.path("say").asText()).startsWith("over-age since ");
    assertThat(over.path("doThis").asText()).contains("scrap it");
    assertThat(act("issue", "\"lot\": \"L-0120\", \"pump\": \"SCR-03\"").status()).isEqualTo(422);
  }

  @Test
  void theMinimumComesFromWhatWillBeAskedFor() {
    JsonNode tubes = line(stores(), "tube-four-arm-16", "EPDM tube");
    assertThat(tubes.path("pumps").size()).isGreaterThan(3);
    assertThat(tubes.path("minimum").asInt()).isBetween(1, 5);
    assertThat(tubes.path("because").asText()).contains("for 95 in a hundred");
    int usual = tubes.path("enoughDays").asInt();
    JsonNode surer = desk.put("/api/v1/stores/level?level=0.995", "{}").body();
    JsonNode same = line(surer, "tube-four-arm-16", "EPDM tube");
    assertThat(same.path("minimum").asInt()).isGreaterThanOrEqualTo(tubes.path("minimum").asInt());
    assertThat(same.path("enoughDays").asInt()).isLessThanOrEqualTo(usual);
    desk.put("/api/v1/stores/level?level=0.95", "{}");
    assertThat(desk.put("/api/v1/stores/level?level=2", "{}").fault("level")).isNotNull();
    assertThat(line(stores(), "aodd-bolted-plastic-25", "NBR").path("because").asText())
        .contains("No forecast");
  }

  private JsonNode consumable(String id) {
    return StreamSupport.stream(stores().path("consumables").spliterator(), false)
        .filter(c -> c.path("consumable").asText().equals(id))
        .findFirst()
        .orElseThrow();
  }

  private static List<String> statuses(JsonNode consumable) {
    return consumable.path("lots").findValuesAsText("status");
  }

  private ApiClient.Reply consumables(String path, Map<String, Object> fields) {
    Map<String, Object> body = new HashMap<>(fields);
    return desk.post(
        "/api/v1/stores/consumables" + path, new ObjectMapper().valueToTree(body).toString());
  }

  @Test
  void asMuchGreaseIsKeptAsTheLargestJobTakesAndWhatIsOverItsDateDoesNotCount() {
    // G-150 is over its date: 50 mL of the other lot are there, and nothing is to be ordered.
    JsonNode locker = consumable("locker-medium");
    assertThat(statuses(locker)).containsExactly("over-age", "in-date");
    assertThat(locker.path("inDate").asDouble()).isEqualTo(50);
    assertThat(locker.path("order").asInt()).isZero();
    JsonNode soap = consumable("plant-soap");
    assertThat(soap.path("inDate").asDouble()).isZero();
    assertThat(soap.path("minimum").asDouble()).isPositive();
    assertThat(soap.path("order").asInt()).isEqualTo(1);
    String list =
        new String(desk.get("/api/v1/stores/purchase.csv").bytes(), StandardCharsets.UTF_8);
    assertThat(list).contains(",plant-soap,\"Plant-oil soap, 500 mL\",,,1,8,4,");
  }

  @Test
  void aPieceHeldForAnotherPumpIsNotHandedOut() {
    String lot =
        "{\"lot\": \"L-9002\", \"sheet\": \"aodd-bolted-plastic-25\", \"kit\": \"wet-kit\","
            + " \"material\": \"CSM\", \"hardware\": \"full-stroke\", \"cured\": \"2026-02-01\","
            + " \"count\": 1, \"price\": 148}";
    assertThat(desk.post("/api/v1/stores/lots", lot).status()).isEqualTo(200);
    String held = "\"lot\": \"L-9002\", \"pump\": \"SCR-07\"";
    assertThat(act("reserve", held).status()).isEqualTo(200);
    String other = "\"lot\": \"L-9002\", \"rebuild\": " + desk.job("SCR-03").id();
    assertThat(act("issue", other).fault("lot")).contains("held for another pump");
    String own = "\"lot\": \"L-9002\", \"rebuild\": " + desk.job("SCR-07").id();
    assertThat(act("issue", own).status()).isEqualTo(200);
  }

  @Test
  void packsComeInAreMeasuredAndThrownAway() {
    Map<String, Object> came =
        Map.of("lot", "G-900", "consumable", "cleaner", "packs", 2, "bestBefore", "2031-01-31");
    assertThat(consumables("", came).status()).isEqualTo(200);
    assertThat(consumables("", came).status()).isEqualTo(200);
    assertThat(consumable("cleaner").path("inDate").asDouble()).isEqualTo(2000);
    assertThat(consumables("/count", Map.of("lot", "G-900", "amount", 120.5)).status())
        .isEqualTo(200);
    assertThat(consumable("cleaner").path("inDate").asDouble()).isEqualTo(120.5);
    assertThat(consumables("/scrap", Map.of("lot", "G-900")).status()).isEqualTo(200);
    assertThat(statuses(consumable("cleaner"))).containsExactly("used-up");
    assertThat(consumables("/scrap", Map.of("lot", "G-900")).status()).isEqualTo(422);
  }

  @Test
  void aPackWithoutADateKeepsAsLongAsSuchAThingKeeps() {
    consumables("", Map.of("lot", "G-901", "consumable", "locker-high", "packs", 1));
    assertThat(consumable("locker-high").path("lots").findValuesAsText("say"))
        .anyMatch(s -> s.startsWith("use by "));
  }

  @ParameterizedTest
  @CsvSource({
    "G 1, cleaner, 1, , lot",
    "G-902, moonshine, 1, , consumable",
    "G-902, cleaner, 0, , packs",
    "G-902, cleaner, 1, soon, bestBefore",
    "G-101, cleaner, 1, , lot",
  })
  void whatCannotBeTakenInIsRefusedAtItsField(
      String lot, String consumable, int packs, String bestBefore, String path) {
    Map<String, Object> came = new HashMap<>();
    came.put("lot", lot);
    came.put("consumable", consumable);
    came.put("packs", packs);
    came.put("bestBefore", bestBefore);
    assertThat(consumables("", came).fault(path)).isNotNull();
    assertThat(consumables("/count", Map.of("lot", "G-101", "amount", -1)).fault("amount"))
        .isNotNull();
  }

  @Test
  void thePurchaseListIsATableSoonestFirst() {
    String csv =
        new String(desk.get("/api/v1/stores/purchase.csv").bytes(), StandardCharsets.UTF_8);
    assertThat(csv)
        .startsWith("order_by,sheet,kit,title,material,order_number,count,price,lead_days,because");
    assertThat(csv.lines().skip(1).map(l -> l.substring(0, 10)).toList()).isSorted().isNotEmpty();
    assertThat(csv).contains("WK-10");
    assertThat(csv.lines().count() - 1).isEqualTo(stores().path("order").size());
  }

  @Test
  void aPieceIsHeldHandedOutAndTakenBack() {
    int before = quantity("L-1110");
    assertThat(act("reserve", "\"lot\": \"L-1110\", \"pump\": \"BLE-04\"").status()).isEqualTo(200);
    JsonNode held = line(stores(), "tube-push-in-8", "EPDM tube");
    assertThat(held.path("reserved").asInt()).isEqualTo(1);
    assertThat(act("issue", "\"lot\": \"L-1110\", \"pump\": \"BLE-04\"").fault("rebuild"))
        .contains("on the bench");
    long rebuild = desk.job("BLE-04").id();
    assertThat(act("issue", "\"lot\": \"L-1110\", \"pump\": \"BLE-04\"").status()).isEqualTo(200);
    assertThat(quantity("L-1110")).isEqualTo(before - 1);
    assertThat(line(stores(), "tube-push-in-8", "EPDM tube").path("reserved").asInt()).isZero();
    assertThat(stores().path("out").findValuesAsText("pump")).contains("BLE-04");
    assertThat(act("return", "\"lot\": \"L-1110\", \"rebuild\": " + rebuild).status())
        .isEqualTo(200);
    assertThat(quantity("L-1110")).isEqualTo(before);
    assertThat(act("return", "\"lot\": \"L-1110\", \"rebuild\": " + rebuild).status())
        .isEqualTo(422);
  }

  @Test
  void whatIsBookedAtTheBenchIsOutUntilItIsUsedOrBroughtBack() {
    int first = quantity("L-1007");
    ApiClient.Job job = desk.job("SCR-01").takesIn("renew:stator").makesSafe().strips().inspects();
    Map<String, ?> booked = Map.of("lot", "L-1007", "parts", new String[] {"stator"});
    job.does("KIT_FITTED", booked);
    assertThat(quantity("L-1007")).isEqualTo(first - 1);
    assertThat(job.view().at("/decide/out/0/fitted").asBoolean()).isTrue();
    assertThat(job.view().at("/decide/lots"))
        .as("the job still has it at hand")
        .anySatisfy(
            l -> {
              assertThat(l.path("id").asText()).isEqualTo("L-1007");
              assertThat(l.path("quantity").asInt()).isEqualTo(first);
            });
    job.does("KIT_FITTED", booked);
    assertThat(quantity("L-1007")).as("booked again, not taken again").isEqualTo(first - 1);
    act("count", "\"lot\": \"L-1007\", \"count\": 1");
    assertThat(act("reserve", "\"lot\": \"L-1007\", \"pump\": \"EFF-04\"").status()).isEqualTo(200);
    job.does(
        "KIT_FITTED", Map.of("lot", "single", "parts", new String[] {"stator"}, "note", "bag 9"));
    assertThat(job.view().at("/decide/out/0/fitted").asBoolean()).isFalse();
    act("return", "\"lot\": \"L-1007\", \"rebuild\": " + job.id());
    act("count", "\"lot\": \"L-1007\", \"count\": 1");
    assertThat(job.tries("KIT_FITTED", booked).fault("lot")).contains("held for another pump");
    act("scrap", "\"lot\": \"L-1007\"");
    assertThat(job.tries("KIT_FITTED", booked).fault("lot")).contains("used up");
  }

  @Test
  void aPieceHeldForOnePumpIsNotHeldForAnother() {
    assertThat(act("reserve", "\"lot\": \"L-1320\", \"pump\": \"EFF-09\"").status()).isEqualTo(200);
    assertThat(act("reserve", "\"lot\": \"L-1320\", \"pump\": \"EFF-09\"").fault("lot"))
        .contains("held already");
    assertThat(act("reserve", "\"lot\": \"L-1320\", \"pump\": \"SCR-03\"").fault("lot"))
        .contains("another construction");
    long id =
        stores().findParents("pump").stream()
            .filter(h -> h.path("pump").asText().equals("EFF-09") && h.has("by"))
            .findFirst()
            .orElseThrow()
            .path("id")
            .asLong();
    assertThat(id).isPositive();
  }

  @Test
  void lotsComeInAreCountedAndScrapped() {
    String lot =
        "{\"lot\": \"L-9001\", \"sheet\": \"hose-shoe-40\", \"kit\": \"hose-kit\", \"material\":"
            + " \"NR hose\", \"cured\": \"2026-02-01\", \"count\": 3, \"price\": 268}";
    assertThat(desk.post("/api/v1/stores/lots", lot).status()).isEqualTo(200);
    assertThat(desk.post("/api/v1/stores/lots", lot).status()).isEqualTo(200);
    assertThat(quantity("L-9001")).isEqualTo(6);
    assertThat(
            desk.post("/api/v1/stores/lots", lot.replace("2026-02-01", "2026-01-01")).fault("lot"))
        .contains("another kit or cure date");
    act("count", "\"lot\": \"L-9001\", \"count\": 4, \"note\": \"two behind the rack\"");
    assertThat(quantity("L-9001")).isEqualTo(4);
    act("scrap", "\"lot\": \"L-9001\"");
    assertThat(quantity("L-9001")).isZero();
    assertThat(act("scrap", "\"lot\": \"L-9001\"").status()).isEqualTo(422);
    assertThat(desk.post("/api/v1/stores/lots", lot.replace("2026-02-01", "soon")).fault("cured"))
        .isNotNull();
    assertThat(act("juggle", "\"lot\": \"L-9001\"").status()).isEqualTo(404);
  }

  @Test
  void aRetiredPartIsKeptWithItsHoursAndGoesInAgain() {
    String keep =
        "{\"pump\": \"SCR-01\", \"part\": \"stator\", \"serial\": \"P-17\", \"condition\":"
            + " \"sound\", \"hours\": 900}";
    String id = desk.post("/api/v1/stores/kept", keep).body().path("id").asText();
    assertThat(stores().findParents("fromPump").get(0).path("hours").asDouble()).isEqualTo(900);
    ApiClient.Job job = desk.job("EFF-04").takesIn("renew:stator").makesSafe();
    job.strips().inspects();
    assertThat(job.view().at("/decide/lots").findValuesAsText("id")).contains(id);
    assertThat(
            desk.post("/api/v1/stores/kept", keep.replace("\"stator\"", "\"no-such\""))
                .fault("part"))
        .isNotNull();
    assertThat(desk.post("/api/v1/stores/kept", keep.replace("sound", "fine")).fault("condition"))
        .isNotNull();
    assertThat(
            job.tries("KIT_FITTED", Map.of("lot", "K-777", "parts", new String[] {"stator"}))
                .status())
        .isEqualTo(422);
    assertThat(
            job.tries("KIT_FITTED", Map.of("lot", id, "parts", new String[] {"stator"})).status())
        .isEqualTo(200);
  }
}
