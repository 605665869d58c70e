package isokinon.server.http;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.fasterxml.jackson.databind.node.TextNode;
import isokinon.server.ApiClient;
import isokinon.server.LocalApiClient;
import isokinon.server.MillTest;
import isokinon.server.access.Pins;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.StreamSupport;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.context.annotation.Import;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;

/**
 * A data folder that an older version wrote opens and shows what it showed then: the mill with jobs
 * in every stage, own rows, pins, kept parts. What that version showed lies beside it.
 */
@Tag("slow")
@SpringBootTest(webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT)
@Import({MillTest.FixedClock.class, LocalApiClient.class})
class OlderShopTest {

  private static final ObjectMapper JSON = new ObjectMapper();
  private static final Map<String, byte[]> FILES = files();

  @Autowired private ApiClient client;

  /** Nobody had a PIN then. */
  @BeforeAll
  static void theLeadGetsAPin(@Autowired Pins pins) {
    pins.set("MA", ApiClient.pin("MA"), false);
  }

  private static Map<String, byte[]> files() {
    Map<String, byte[]> files = new HashMap<>();
    try (ZipInputStream zip =
        new ZipInputStream(OlderShopTest.class.getResourceAsStream("/older-shops/schema-8.zip"))) {
      for (ZipEntry e = zip.getNextEntry(); e != null; e = zip.getNextEntry()) {
        files.put(e.getName(), zip.readAllBytes());
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return files;
  }

  @DynamicPropertySource
  static void theOlderFolder(DynamicPropertyRegistry registry) throws IOException {
    Path folder = Files.createTempDirectory("isokinon-older");
    Files.write(folder.resolve("isokinon.mv.db"), FILES.get("isokinon.mv.db"));
    registry.add("isokinon.data", folder::toString);
  }

  private static JsonNode then(String name) throws IOException {
    return JSON.readTree(FILES.get("seen/" + name + ".json"));
  }

  private JsonNode now(String path) {
    return client.get("/api/v1" + path).body();
  }

  private static List<JsonNode> list(JsonNode array) {
    return StreamSupport.stream(array.spliterator(), false).toList();
  }

  @Test
  void theFloorIsTheSame() throws IOException {
    JsonNode then = then("floor");
    JsonNode now = now("/floor");
    assertThat(now.path("site")).isEqualTo(then.path("site"));
    assertThat(now.path("clocks")).isEqualTo(then.path("clocks"));
    assertThat(now.path("areas")).hasSameSizeAs(then.path("areas"));
    for (int a = 0; a < then.path("areas").size(); a++) {
      JsonNode before = then.path("areas").get(a);
      assertThat(now.path("areas").get(a).path("say")).isEqualTo(before.path("say"));
      String tags = tags(before);
      // Their order goes by the forecast.
      assertThat(now.path("areas").get(a).findValuesAsText("tag"))
          .containsExactlyInAnyOrderElementsOf(before.path("pumps").findValuesAsText("tag"));
      assertThat(recorded(now("/floor/strips?tags=" + tags)))
          .containsExactlyElementsOf(recorded(before.path("pumps")));
    }
  }

  private static String tags(JsonNode area) {
    return list(area.path("pumps")).stream()
        .map(p -> p.path("tag").asText())
        .collect(Collectors.joining("&tags="));
  }

  private static final List<String> FORECAST =
      List.of(
          "expectedDays",
          "lens",
          "risk30",
          "shown",
          "shape",
          "runs",
          "failures",
          "because",
          "failedAt",
          "state");

  /** What the shop recorded of its pumps; a forecast starts from the library, which is revised. */
  private static List<JsonNode> recorded(JsonNode pumps) {
    return list(pumps).stream()
        .<JsonNode>map(p -> p.<ObjectNode>deepCopy().without(FORECAST))
        .toList();
  }

  @ParameterizedTest
  @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8, 9})
  void eachRebuildStandsAtTheSameStep(int id) throws IOException {
    JsonNode then = then("rebuild-" + id);
    JsonNode now = now("/rebuilds/" + id);
    for (String same :
        List.of("seq", "stage", "stages", "state", "lastStep", "pump", "sheet", "waits", "pause")) {
      assertThat(asToldThen(now.path(same), then.path(same))).as(same).isEqualTo(then.path(same));
    }
    for (String same : List.of("elapsedMinutes", "plannedMinutes")) {
      assertThat(now.path(same).asDouble()).as(same).isEqualTo(then.path(same).asDouble());
    }
    now.path("inHand")
        .fields()
        .forEachRemaining(
            f -> {
              if (then.has(f.getKey()) && !List.of("parts", "decide").contains(f.getKey())) {
                assertThat(asToldThen(f.getValue(), then.path(f.getKey())))
                    .as(f.getKey())
                    .isEqualTo(then.path(f.getKey()));
              }
            });
    // A job that waits was said to rest; it is paused now. A step on the way in was told by what is
    // done on the way back.
    assertThat(told(now("/rebuilds/" + id + "/log")))
        .isEqualTo(
            told(then.path("log")).stream()
                .map(say -> say.replace("rests, waiting", "paused, waiting"))
                .toList());
    assertThat(now("/rebuilds/" + id + "/drawing").findValuesAsText("word"))
        .isEqualTo(then.path("rails").findValuesAsText("word"));
  }

  private static List<String> told(JsonNode log) {
    return log.findValuesAsText("say").stream()
        .map(say -> say.replaceFirst("^(done|taken back): .*", "$1"))
        .toList();
  }

  /** An answer without the fields that were not told then, and one step where now are several. */
  private static JsonNode asToldThen(JsonNode now, JsonNode then) {
    if (now.isArray() && then.isTextual()) {
      JsonNode first = now.path(0);
      return now.isEmpty() ? new TextNode("") : first.isObject() ? first.path("sentence") : first;
    }
    if (now.isArray() && then.size() == now.size()) {
      ArrayNode told = JSON.createArrayNode();
      for (int i = 0; i < now.size(); i++) {
        told.add(asToldThen(now.get(i), then.get(i)));
      }
      return told;
    }
    if (now.isObject() && then.isObject()) {
      ObjectNode told = JSON.createObjectNode();
      then.fieldNames().forEachRemaining(n -> told.set(n, asToldThen(now.path(n), then.path(n))));
      return told;
    }
    return now;
  }

  @Test
  void theStoresAreTheSame() throws IOException {
    JsonNode then = then("stores");
    JsonNode now = now("/stores");
    assertThat(now.path("kept")).isEqualTo(then.path("kept"));
    assertThat(now.path("out")).isEqualTo(then.path("out"));
    for (JsonNode lot : then.findParents("extendedBy")) {
      assertThat(now.findParents("extendedBy"))
          .filteredOn(l -> l.path("id").equals(lot.path("id")))
          .singleElement()
          .satisfies(
              l -> {
                assertThat(l.path("quantity")).isEqualTo(lot.path("quantity"));
                assertThat(l.path("useBy")).isEqualTo(lot.path("useBy"));
                assertThat(l.path("held")).isEqualTo(lot.path("held"));
              });
    }
  }

  @Test
  void whatPeoplePinnedAndWroteThemselvesIsThere() throws IOException {
    List<String> pinned =
        list(then("diary").path("entries")).stream()
            .filter(e -> e.path("pinned").asBoolean())
            .map(e -> e.path("pump").asText())
            .toList();
    assertThat(pinned).isNotEmpty();
    assertThat(list(now("/diary").path("entries")))
        .filteredOn(e -> e.path("pinned").asBoolean())
        .extracting(e -> e.path("pump").asText())
        .containsExactlyElementsOf(pinned);
    JsonNode pair = now("/materials/pairs?fluid=sodium-hypochlorite&material=EPDM%20tube");
    JsonNode own =
        list(pair.path("rows")).stream()
            .filter(r -> r.path("ownRow").isNumber())
            .findFirst()
            .orElseThrow();
    assertThat(
            client
                .post(
                    "/api/v1/materials/tables/resistance/ended",
                    "{\"id\": " + own.path("ownRow") + "}")
                .status())
        .as("a row once written as 2.50,7.50 can be ended")
        .isEqualTo(200);
  }
}
