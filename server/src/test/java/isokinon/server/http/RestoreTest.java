package isokinon.server.http;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import isokinon.server.ApiClient;
import isokinon.server.LocalApiClient;
import isokinon.server.MillTest;
import isokinon.server.access.People;
import isokinon.server.access.Pins;
import isokinon.server.db.Changes;
import isokinon.server.db.Topic;
import java.io.IOException;
import java.lang.reflect.Method;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Update;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.context.annotation.Import;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.core.type.classreading.CachingMetadataReaderFactory;

/** A shop is put back over HTTP, however large, and is right from then on. */
@Tag("slow")
@SpringBootTest(
    webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT,
    properties = "spring.datasource.url=jdbc:h2:mem:restored-shop;DB_CLOSE_DELAY=-1")
@Import({MillTest.FixedClock.class, LocalApiClient.class})
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class RestoreTest {

  private static final ObjectMapper JSON = new ObjectMapper();
  private static final int MEGABYTE = 1 << 20;

  @Autowired private ApiClient desk;

  /** What the last version before the schema had a number in its back-ups wrote. */
  private static JsonNode older() throws IOException {
    try (ZipInputStream zip =
        new ZipInputStream(RestoreTest.class.getResourceAsStream("/older-shops/schema-8.zip"))) {
      for (ZipEntry e = zip.getNextEntry(); e != null; e = zip.getNextEntry()) {
        if (e.getName().equals("seen/everything.json")) {
          return JSON.readTree(zip.readAllBytes());
        }
      }
    }
    throw new AssertionError("no everything.json");
  }

  /** The same with so many more runs that it is over 50 MB. */
  private static byte[] large() throws IOException {
    JsonNode all = older();
    ArrayNode rows = (ArrayNode) all.at("/run/rows");
    List<String> columns = new ArrayList<>();
    all.at("/run/columns").forEach(c -> columns.add(c.asText()));
    ArrayNode pattern = (ArrayNode) rows.get(rows.size() - 1);
    pattern.set(columns.indexOf("note"), "n".repeat(1900));
    long next = 1_000_000;
    for (int i = 0; i < 26_000; i++) {
      ArrayNode row = pattern.deepCopy();
      row.set(columns.indexOf("id"), Long.toString(next++));
      rows.add(row);
    }
    return JSON.writeValueAsBytes(all);
  }

  /** A shop on its first day has one person, who puts the old one back. */
  @BeforeEach
  void theFirstLeadIsThere(@Autowired People people, @Autowired Pins pins) {
    if (!pins.someLeadHasOne()) {
      people.firstLead("MA", ApiClient.pin("MA"));
    }
  }

  @Test
  @Order(1)
  void aBodyIsAsLongAsItsAddressTakes() {
    String long1 = "{\"note\": \"" + "x".repeat(MEGABYTE) + "\"}";
    assertThat(desk.post("/api/v1/rebuilds/1/acts", long1).status()).isEqualTo(413);
    assertThat(desk.post("/api/v1/setup/tables/runs/bring", long1).status()).isNotEqualTo(413);
    assertThat(desk.post("/api/v1/setup/tables/runs/bring", "x".repeat(41 * MEGABYTE)).status())
        .isEqualTo(413);
  }

  @Test
  @Order(2)
  void fiftyMegabytesOfAnOlderVersionGoBackOverHttpAndEverythingIsRightAtOnce() throws IOException {
    // What is kept in memory is filled from the empty shop first.
    assertThat(desk.get("/api/v1/floor").body().path("areas")).isEmpty();
    assertThat(desk.get("/api/v1/floor").body().path("site").asText()).isEmpty();
    assertThat(ownRowOf("lime-slurry", "NR hose").isMissingNode()).isTrue();
    desk.get("/api/v1/life/finds");
    desk.get("/api/v1/stores");
    byte[] saved = large();
    assertThat(saved.length).isGreaterThan(50 * MEGABYTE);
    ApiClient.Reply back = desk.post("/api/v1/everything.json", saved, "application/json");
    assertThat(back.status()).as("%s", back.body()).isEqualTo(204);
    JsonNode floor = desk.get("/api/v1/floor").body();
    assertThat(floor.path("site").asText()).isEqualTo("Skerrow Mill");
    assertThat(floor.path("areas")).hasSize(4);
    assertThat(floor.path("clocks")).isNotEmpty();
    assertThat(ownRowOf("lime-slurry", "NR hose").path("fullC").asDouble()).isEqualTo(40);
    assertThat(desk.get("/api/v1/stores").body().path("kept")).hasSize(2);
    assertThat(desk.get("/api/v1/rebuilds").body()).hasSize(6);

    JsonNode again = desk.get("/api/v1/everything.json").body();
    JsonNode before = JSON.readTree(saved);
    assertThat(again.at("/run/rows")).isEqualTo(before.at("/run/rows"));
    // each event has two fields more by now
    for (int i = 0; i < before.at("/bench_event/rows").size(); i++) {
      for (int c = 0; c < before.at("/bench_event/columns").size(); c++) {
        assertThat(again.at("/bench_event/rows/" + i + "/" + c))
            .isEqualTo(before.at("/bench_event/rows/" + i + "/" + c));
      }
    }
    for (String same : List.of("own_row", "kept_part", "diary_entry", "exposure")) {
      assertThat(again.path(same)).as(same).isEqualTo(before.path(same));
    }
    assertThat(desk.post("/api/v1/everything.json", saved, "application/json").status())
        .isEqualTo(422);
  }

  private JsonNode ownRowOf(String fluid, String material) {
    String path =
        "/api/v1/materials/pairs?fluid="
            + fluid
            + "&material="
            + java.net.URLEncoder.encode(material, StandardCharsets.UTF_8);
    for (JsonNode row : desk.get(path).body().path("rows")) {
      if (row.path("ownRow").isNumber()) {
        return row;
      }
    }
    return ((ObjectNode) JSON.createObjectNode()).path("none");
  }

  @Test
  void everyStatementThatWritesSaysWhatItChanges() throws Exception {
    CachingMetadataReaderFactory classes = new CachingMetadataReaderFactory();
    String folder = Topic.class.getPackageName().replace('.', '/');
    int writes = 0;
    for (var file :
        new PathMatchingResourcePatternResolver()
            .getResources("classpath*:" + folder + "/**/*Mapper.class")) {
      Class<?> mapper =
          Class.forName(classes.getMetadataReader(file).getClassMetadata().getClassName());
      for (Method m : mapper.getDeclaredMethods()) {
        boolean write =
            m.isAnnotationPresent(Insert.class)
                || m.isAnnotationPresent(Update.class)
                || m.isAnnotationPresent(Delete.class);
        assertThat(!write || m.isAnnotationPresent(Changes.class)).as("%s", m).isTrue();
        writes += write ? 1 : 0;
      }
    }
    assertThat(writes).isGreaterThan(40);
  }
}
