package isokinon.server.http.photographs;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import isokinon.core.photograph.PhotographLimits;
import isokinon.server.ApiClient;
import isokinon.server.ApiClient.Reply;
import isokinon.server.MillTest;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Photographs of a job: small, without where they were taken, kept once, drawn on, on paper. */
@MillTest
class PhotographApiTest {

  private static final String WHERE = "Exif\0\0GPS 54.1 N 3.2 W";

  @Autowired private ApiClient desk;

  /** A picture as a tablet's camera writes it, with the place where it was taken. */
  private static byte[] taken(int width, int height) throws IOException {
    BufferedImage picture = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    Graphics2D on = picture.createGraphics();
    on.setColor(Color.LIGHT_GRAY);
    on.fillRect(0, 0, width, height / 2);
    on.dispose();
    ByteArrayOutputStream jpeg = new ByteArrayOutputStream();
    ImageIO.write(picture, "jpeg", jpeg);
    byte[] plain = jpeg.toByteArray();
    byte[] where = WHERE.getBytes(StandardCharsets.ISO_8859_1);
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    out.write(plain, 0, 2);
    out.write(new byte[] {(byte) 0xFF, (byte) 0xE1, 0, (byte) (where.length + 2)});
    out.write(where);
    out.write(plain, 2, plain.length - 2);
    return out.toByteArray();
  }

  private Reply take(ApiClient.Job job, String of, String subject, String key, byte[] picture) {
    return desk.post(
        "/api/v1/rebuilds/%d/photographs?of=%s&subject=%s&key=%s"
            .formatted(job.id(), of, subject, key),
        picture,
        "image/jpeg");
  }

  private JsonNode beside(ApiClient.Job job, String part) {
    return desk.get("/api/v1/rebuilds/" + job.id() + "/photographs/beside?of=part&subject=" + part)
        .body();
  }

  @Test
  void aPhotographIsKeptOnceSmallAndWithoutWhereItWasTaken() throws IOException {
    ApiClient.Job job = desk.job("EFF-05").takesIn("renew:diaphragm-a");
    byte[] sent = taken(3000, 2000);
    assertThat(new String(sent, StandardCharsets.ISO_8859_1)).contains("GPS");
    Reply first = take(job, "part", "diaphragm-a", "k1", sent);
    assertThat(first.status()).as(first.body().toString()).isEqualTo(200);
    assertThat(first.body().path("title").asText()).isEqualTo("Diaphragm A");
    assertThat(take(job, "part", "diaphragm-a", "k1", sent).body()).isEqualTo(first.body());
    assertThat(beside(job, "diaphragm-a").path("now")).hasSize(1);

    byte[] kept = desk.get("/api/v1/photographs/" + first.body().path("id") + ".jpg").bytes();
    assertThat(new String(kept, StandardCharsets.ISO_8859_1)).doesNotContain("GPS", "Exif");
    assertThat(kept.length).isLessThanOrEqualTo(PhotographLimits.BYTES);
    BufferedImage small = ImageIO.read(new ByteArrayInputStream(kept));
    assertThat(List.of(small.getWidth(), small.getHeight())).containsExactly(1280, 853);
  }

  @Test
  void whatIsNoPictureOrOfNothingOrOneTooManyIsRefusedWithASentence() throws IOException {
    ApiClient.Job job = desk.job("SCR-03").takesIn("renew:diaphragm-a");
    byte[] picture = taken(40, 30);
    byte[] cut = Arrays.copyOf(picture, picture.length / 3);
    for (byte[] no : List.of("no picture".getBytes(StandardCharsets.UTF_8), cut, new byte[0])) {
      assertThat(take(job, "part", "diaphragm-a", "no", no).status()).isEqualTo(400);
    }
    assertThat(take(job, "part", "no-such-part", "k", picture).fault("subject"))
        .contains("no-such-part");
    assertThat(take(job, "valve", "x", "k", picture).status()).isEqualTo(400);
    for (int i = 0; i < PhotographLimits.OF_A_SUBJECT; i++) {
      assertThat(take(job, "part", "diaphragm-a", "a" + i, picture).status()).isEqualTo(200);
    }
    assertThat(take(job, "part", "diaphragm-a", "more", picture).fault("picture"))
        .contains("8 photographs of it already");
    for (String part : List.of("diaphragm-b", "outer-plate-a", "outer-plate-b", "fluid-cap-a")) {
      for (int i = 0; i < PhotographLimits.OF_A_SUBJECT; i++) {
        assertThat(take(job, "part", part, part + i, picture).status()).isEqualTo(200);
      }
    }
    assertThat(take(job, "pump", "", "whole", picture).fault("picture"))
        .contains("This job has 40 photographs");
    assertThat(
            desk.as("SB")
                .post(
                    "/api/v1/rebuilds/1/photographs?of=pump&subject=&key=k", picture, "image/jpeg")
                .status())
        .isEqualTo(403);
  }

  @Test
  void itIsDrawnOnStandsInTheRecordAndBesideTheNextTime() throws IOException {
    ApiClient.Job job = desk.job("SCR-07").takesIn("renew:diaphragm-a").makesSafe().strips();
    long id = take(job, "part", "diaphragm-a", "k1", taken(400, 300)).body().path("id").asLong();
    String marks = "/api/v1/photographs/" + id + "/marks";
    String ring =
        "{\"marks\": [{\"shape\": \"ring\", \"fromX\": 0.2, \"fromY\": 0.2, \"toX\": %s,"
            + " \"toY\": 0.6, \"label\": \"bare, 18 mm\"}]}";
    assertThat(desk.put(marks, ring.formatted("1.4")).status()).isEqualTo(400);
    assertThat(desk.put(marks, ring.formatted("0.5")).body().at("/marks/0/label").asText())
        .isEqualTo("bare, 18 mm");
    job.inspects().decidesAsBefore().builds().proves().handsBack();

    byte[] pdf = desk.get("/api/v1/rebuilds/" + job.id() + "/record.pdf").bytes();
    try (PDDocument record = Loader.loadPDF(pdf)) {
      assertThat(new PDFTextStripper().getText(record).replaceAll("\\s+", " "))
          .contains("Photographs Diaphragm A MA, 17 Mar 2026 08:00: bare, 18 mm");
      assertThat(pictures(record)).isEqualTo(1);
    }
    assertThat(desk.put(marks, ring.formatted("0.4")).fault("")).contains("handed back");
    assertThat(take(job, "part", "diaphragm-a", "k2", taken(40, 30)).status()).isEqualTo(422);

    ApiClient.Job next = desk.job("SCR-07").takesIn("renew:diaphragm-a");
    JsonNode both = beside(next, "diaphragm-a");
    assertThat(both.path("now")).isEmpty();
    assertThat(both.at("/last/0/id").asLong()).isEqualTo(id);
    assertThat(both.path("lastDay").asText()).isEqualTo("17 Mar 2026");
    long other = take(next, "part", "diaphragm-a", "k1", taken(40, 30)).body().path("id").asLong();
    assertThat(desk.delete("/api/v1/photographs/" + other).status()).isEqualTo(200);
    assertThat(beside(next, "diaphragm-a").path("now")).isEmpty();
  }

  private static int pictures(PDDocument document) {
    int count = 0;
    for (PDPage page : document.getPages()) {
      for (COSName name : page.getResources().getXObjectNames()) {
        count += page.getResources().isImageXObject(name) ? 1 : 0;
      }
    }
    return count;
  }
}
