package isokinon.server.http;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import isokinon.server.ApiClient;
import isokinon.server.MillTest;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.StreamSupport;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;

/** A shop writes its own sheets: drafts, revisions, one file or a zip of them. */
@MillTest
class LibraryApiTest {

  private static final String LOBE = "lobe-face-seal-40";

  @Autowired private ApiClient desk;

  private static List<JsonNode> list(JsonNode array) {
    return StreamSupport.stream(array.spliterator(), false).toList();
  }

  private static String shipped(String id) throws IOException {
    return Files.readString(Path.of("../library/sheets/" + id + ".yaml"));
  }

  private ApiClient.Reply draft(String yaml) {
    return desk.post("/api/v1/sheets/draft", yaml, "application/yaml");
  }

  private ApiClient.Reply store(String yaml) {
    return desk.post("/api/v1/sheets", yaml, "application/yaml");
  }

  private String source(String path) {
    return new String(desk.get(path).bytes(), StandardCharsets.UTF_8);
  }

  @Test
  void aSoundDraftComesWithItsDrawingAndItsPlansAndIsNotStored() throws IOException {
    JsonNode draft = draft(shipped(LOBE).replace("id: " + LOBE, "id: my-lobe")).body();
    assertThat(list(draft.path("faults"))).isEmpty();
    assertThat(list(draft.path("rails"))).hasSize(2);
    assertThat(list(draft.path("plans")))
        .extracting(p -> p.path("title").asText())
        .containsExactly(
            "Renew everything", "Face seal kit, both shafts", "O-rings and lock washers");
    assertThat(draft.at("/plans/0/minutes").asDouble()).isEqualTo(55);
    assertThat(desk.get("/api/v1/sheets/my-lobe").status()).isEqualTo(404);
  }

  @Test
  void aDraftWithFaultsTellsThemAllWithTheirLines() throws IOException {
    String bad =
        shipped(LOBE)
            .replace("after: [cover-off]", "after: [dowel-in]")
            .replace("renew: one-time", "renew: sometimes")
            .replace("glyph: lobe-cover", "glyf: lobe-cover");
    JsonNode faults = draft(bad).body().path("faults");
    assertThat(faults.size()).isGreaterThanOrEqualTo(8);
    assertThat(list(faults)).allSatisfy(f -> assertThat(f.path("line").asInt()).isPositive());
    assertThat(faults.toString()).contains("sometimes", "glyf");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "a: &a [x,x,x,x,x,x,x,x,x]\nb: &b [*a,*a,*a,*a,*a,*a]\nc: [*b,*b,*b,*b,*b]",
        "id: x\nid: y\nparts: 3\nsteps: {a: 1}",
        "[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[",
        "id: x\n\tparts: []",
        "parts: [{id: p}]\nsteps: [{id: s, after: [s], frees: [p]}]"
      })
  void whatIsNoSheetIsRefused(String text) {
    ApiClient.Reply reply = store(text);
    assertThat(reply.status()).isEqualTo(400);
    assertThat(list(reply.body().path("errors"))).isNotEmpty();
  }

  @Test
  void fiveMegabytesOfYamlAreRefusedAndTheOldRevisionStays() throws IOException {
    ApiClient.Reply reply = store(shipped(LOBE) + "#".repeat(5_000_000));
    assertThat(reply.status()).isEqualTo(413);
    assertThat(reply.body().path("detail").asText()).contains("1 MB");
    assertThat(source("/api/v1/sheets/" + LOBE)).isEqualTo(shipped(LOBE));
  }

  @Test
  void aSheetWithoutTheWearingPartOfItsPumpIsRefused() throws IOException {
    String none =
        shipped(LOBE)
            .replaceFirst("revision: \\d+", "revision: 9")
            .replace("role: lobe-seal", "role: o-ring");
    ApiClient.Reply reply = store(none);
    assertThat(reply.status()).isEqualTo(422);
    assertThat(reply.fault("parts")).startsWith("SCR-06 wears by its lobe-seal");
  }

  @Test
  void aJobKeepsTheRevisionItBeganWith() throws IOException {
    ApiClient.Job job = desk.job("SCR-06");
    int revision = job.view().at("/sheet/revision").asInt();
    String longer = shipped(LOBE).replace("revision: " + revision, "revision: " + (revision + 1));
    longer = longer.replace("Flushed warm and vented,", "Flushed warm twice and vented,");
    assertThat(store(longer).status()).isEqualTo(201);
    job.takesIn("renew:seal-upper").makesSafe();
    assertThat(job.view().at("/sheet/revision").asInt()).isEqualTo(revision);
    assertThat(job.view().at("/step/sentence").asText()).startsWith("Flushed warm and vented,");
    assertThat(list(desk.get("/api/v1/sheets/" + LOBE + "/revisions").body()))
        .extracting(r -> r.path("revision").asInt())
        .startsWith(revision + 1, revision);
    assertThat(source("/api/v1/sheets/" + LOBE + "/revisions/" + revision))
        .isEqualTo(shipped(LOBE));
    assertThat(desk.get("/api/v1/sheets/" + LOBE + "/revisions/9").status()).isEqualTo(404);
  }

  @Test
  void allSheetsGoOutAsAZip() throws IOException {
    int files = 0;
    try (ZipInputStream zip =
        new ZipInputStream(new ByteArrayInputStream(desk.get("/api/v1/sheets.zip").bytes()))) {
      for (ZipEntry e = zip.getNextEntry(); e != null; e = zip.getNextEntry()) {
        String id = e.getName().replace(".yaml", "");
        if (id.equals("magnetic-metal-50")) {
          assertThat(new String(zip.readAllBytes(), StandardCharsets.UTF_8)).isEqualTo(shipped(id));
        }
        files++;
      }
    }
    assertThat(files).isGreaterThanOrEqualTo(18);
  }

  @Test
  void ofAZipTheSoundSheetsAreStoredAndTheOthersSayWhatIsWrong() throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
      put(zip, "good.yaml", shipped(LOBE).replace("id: " + LOBE, "id: zipped-lobe"));
      put(zip, "old.yaml", shipped("tube-push-in-8"));
      put(zip, "bad.yaml", "id: nothing");
      put(zip, "read-me.txt", "hello");
    }
    ApiClient.Reply reply = desk.post("/api/v1/sheets.zip", bytes.toByteArray(), "application/zip");
    assertThat(reply.status()).isEqualTo(200);
    assertThat(list(reply.body()))
        .extracting(i -> i.path("file").asText() + " " + i.path("faults").isEmpty())
        .containsExactly("good.yaml true", "old.yaml false", "bad.yaml false", "read-me.txt false");
    assertThat(desk.get("/api/v1/sheets/zipped-lobe").status()).isEqualTo(200);
    ApiClient.Reply none =
        desk.post(
            "/api/v1/sheets.zip", "no zip".getBytes(StandardCharsets.UTF_8), "application/zip");
    assertThat(none.status()).isEqualTo(422);
    assertThat(none.fault("zip")).contains("no zip");
  }

  private static void put(ZipOutputStream zip, String name, String text) throws IOException {
    zip.putNextEntry(new ZipEntry(name));
    zip.write(text.getBytes(StandardCharsets.UTF_8));
    zip.closeEntry();
  }
}
