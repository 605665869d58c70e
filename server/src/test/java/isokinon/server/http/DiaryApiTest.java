package isokinon.server.http;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.google.zxing.BinaryBitmap;
import com.google.zxing.LuminanceSource;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import isokinon.server.ApiClient;
import isokinon.server.MillTest;
import java.awt.image.BufferedImage;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.StreamSupport;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Six weeks of work at the mill. */
@MillTest
class DiaryApiTest {

  @Autowired private ApiClient desk;

  private JsonNode plan() {
    ApiClient.Reply reply = desk.post("/api/v1/diary/plan", "{}");
    assertThat(reply.status()).as("%s", reply.body()).isEqualTo(200);
    return reply.body();
  }

  private ApiClient.Reply pin(String fields) {
    return desk.post("/api/v1/diary/pin", "{" + fields + "}");
  }

  private static List<JsonNode> entries(JsonNode diary) {
    return StreamSupport.stream(diary.path("entries").spliterator(), false).toList();
  }

  private static JsonNode of(JsonNode diary, String pump) {
    return entries(diary).stream()
        .filter(e -> e.path("pump").asText().equals(pump))
        .findFirst()
        .orElseThrow(() -> new AssertionError(pump + " is not in " + diary));
  }

  private static boolean together(JsonNode a, JsonNode b) {
    return a.path("day").asInt() == b.path("day").asInt()
        && a.path("from").asInt() < b.path("to").asInt()
        && b.path("from").asInt() < a.path("to").asInt();
  }

  @Test
  void everyJobStandsInAShiftAndNoRuleIsBroken() {
    JsonNode diary = plan();
    assertThat(entries(diary)).hasSizeGreaterThan(3);
    for (JsonNode e : entries(diary)) {
      JsonNode person =
          StreamSupport.stream(diary.path("people").spliterator(), false)
              .filter(p -> p.path("who").asText().equals(e.path("who").asText()))
              .findFirst()
              .orElseThrow();
      assertThat(person.path("hours"))
          .anyMatch(
              h ->
                  h.path("day").asInt() == e.path("day").asInt()
                      && h.path("from").asInt() <= e.path("from").asInt()
                      && e.path("to").asInt() <= h.path("to").asInt());
      assertThat(e.path("because").asText()).contains("chance of failing before it is done");
      if (!e.path("line").asText().isEmpty()) {
        assertThat(diary.path("stops"))
            .anyMatch(
                s ->
                    s.path("line").equals(e.path("line"))
                        && s.path("day").asInt() == e.path("day").asInt()
                        && s.path("from").asInt() <= e.path("from").asInt()
                        && e.path("to").asInt() <= s.path("to").asInt());
      }
      for (JsonNode other : entries(diary)) {
        if (other != e && together(e, other)) {
          assertThat(other.path("who")).isNotEqualTo(e.path("who"));
          assertThat(e.path("pair").asText()).isNotEqualTo(other.path("pump").asText());
        }
      }
    }
    assertThat(desk.get("/api/v1/pumps/EFF-02").body().at("/strip/planDays").isNull()).isFalse();
  }

  @Test
  void whatSomebodyPutSomewhereStaysThere() {
    JsonNode before = of(plan(), "SCR-03");
    int day = 7 + (before.path("day").asInt() + 1) % 2;
    ApiClient.Reply put =
        pin("\"pump\": \"SCR-03\", \"day\": " + day + ", \"minute\": 490, \"person\": \"KO\"");
    assertThat(put.status()).as("%s", put.body()).isEqualTo(200);
    JsonNode there = of(put.body(), "SCR-03");
    assertThat(there.path("pinned").asBoolean()).isTrue();
    assertThat(there.path("day").asInt()).isEqualTo(day);
    assertThat(there.path("from").asInt()).isEqualTo(480);
    assertThat(of(plan(), "SCR-03").path("day").asInt()).isEqualTo(day);
    assertThat(of(pin("\"pump\": \"SCR-03\"").body(), "SCR-03").path("pinned").asBoolean())
        .isFalse();
  }

  @Test
  void whereAJobCannotStandTheReasonIsSaid() {
    plan();
    assertThat(pin("\"pump\": \"SCR-03\", \"day\": 5, \"minute\": 480").fault("pump"))
        .contains("Nobody is there");
    assertThat(pin("\"pump\": \"EFF-02\", \"day\": 1, \"minute\": 480").fault("pump"))
        .contains("only while Effluent press stands still");
    assertThat(pin("\"pump\": \"NOPE\", \"day\": 1, \"minute\": 480").status()).isEqualTo(404);
  }

  @Test
  void theCalendarFileHoldsEveryJob() {
    int jobs = entries(plan()).size();
    ApiClient.Reply reply = desk.get("/api/v1/diary.ics");
    String ics = new String(reply.bytes(), StandardCharsets.UTF_8);
    assertThat(ics).startsWith("BEGIN:VCALENDAR").contains("VERSION:2.0");
    assertThat(ics.split("BEGIN:VEVENT")).hasSize(jobs + 1);
    assertThat(ics).contains("UID:rebuild-EFF-02@isokinon").containsPattern("DTSTART:2026\\d{4}T");
  }

  @Test
  void aScannerReadsTheTagFromTheLabel() throws Exception {
    ApiClient.Reply reply = desk.get("/api/v1/labels.pdf?pumps=EFF-02");
    assertThat(reply.kind()).isEqualTo("application/pdf");
    BufferedImage page;
    try (var pdf = Loader.loadPDF(reply.bytes())) {
      page = new PDFRenderer(pdf).renderImageWithDPI(0, 150);
    }
    int[] pixels = page.getRGB(0, 0, page.getWidth(), page.getHeight(), null, 0, page.getWidth());
    LuminanceSource light = new RGBLuminanceSource(page.getWidth(), page.getHeight(), pixels);
    assertThat(new QRCodeReader().decode(new BinaryBitmap(new HybridBinarizer(light))).getText())
        .isEqualTo("EFF-02");
    assertThat(desk.get("/api/v1/labels.pdf").status()).isEqualTo(400);
    assertThat(desk.get("/api/v1/labels.pdf?lots=NOPE").status()).isEqualTo(404);
  }
}
