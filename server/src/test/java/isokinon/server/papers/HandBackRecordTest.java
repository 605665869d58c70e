package isokinon.server.papers;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.server.ApiClient;
import isokinon.server.MillTest;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDDocumentCatalog;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

@MillTest
class HandBackRecordTest {

  @Autowired private ApiClient desk;

  private String text(ApiClient.Job job) throws IOException {
    byte[] pdf = desk.get("/api/v1/rebuilds/" + job.id() + "/record.pdf").bytes();
    try (PDDocument document = Loader.loadPDF(pdf)) {
      return new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
    }
  }

  @Test
  void theRecordHoldsWhatWasFoundRenewedTorquedAndProved() throws IOException {
    ApiClient.Job job =
        desk.job("SCR-07").takesIn("renew:diaphragm-a", "renew:diaphragm-b").makesSafe().strips();
    assertThat(text(job)).contains("Not handed back yet: this is the record so far.");
    job.does(
        "JUDGED",
        Map.of(
            "part",
            "outer-plate-a",
            "measurements",
            List.of(ApiClient.measurement("edge-wear", "0.25")),
            "because",
            "edge <worn> & bright",
            "verdict",
            "watch"));
    job.inspects().decides("L-0411", "FKM").builds().proves().handsBack();
    String record = text(job);
    assertThat(record)
        .contains("SCR-07", "FKM in.")
        .contains("The maker's manual and the site's own procedure come before this record")
        .contains("Values are plausible ones of our own")
        .contains("Compressed air Pressure left at the air inlet 0 bar RT")
        .contains("Outer plate A watch edge wear 0.25 mm, edge <worn> & bright")
        .contains("Diaphragm A 1 asked for L-0411")
        .contains("8 M8, 14 to 16 N·m, threads dry, a starting value 1: 15; 2: 15")
        .contains("at least 60 s, a starting value 60 s. -17.1 % against the last test on")
        .contains("Outer plate A goes back to be watched and its rate of wear")
        .contains("again after 24 h, cold and unpressurised")
        .contains("Signed off RT, 17 Mar 2026 08:00")
        .contains("17 Mar 2026 08:00 RT handed back")
        .doesNotContain("Not handed back yet");
  }

  @Test
  void theRecordIsArchivalTaggedAndBringsItsFonts() throws IOException {
    ApiClient.Job job = desk.job("EFF-05").takesIn("renew:diaphragm-a");
    byte[] pdf = desk.get("/api/v1/rebuilds/" + job.id() + "/record.pdf").bytes();
    try (PDDocument record = Loader.loadPDF(pdf)) {
      PDDocumentCatalog catalog = record.getDocumentCatalog();
      String about = new String(catalog.getMetadata().toByteArray(), StandardCharsets.UTF_8);
      assertThat(about).contains("pdfaid:part", "pdfaid:conformance", "pdfuaid:part");
      assertThat(catalog.getOutputIntents()).hasSize(1);
      assertThat(catalog.getMarkInfo().isMarked()).isTrue();
      assertThat(catalog.getStructureTreeRoot().getKids()).isNotEmpty();
      assertThat(catalog.getLanguage()).isEqualTo("en");
      Set<String> families = new HashSet<>();
      for (PDPage page : record.getPages()) {
        for (COSName name : page.getResources().getFontNames()) {
          PDFont font = page.getResources().getFont(name);
          assertThat(font.isEmbedded()).as(font.getName()).isTrue();
          families.add(font.getName().replaceAll(".*\\+|-.*", ""));
        }
      }
      assertThat(families).hasSizeGreaterThan(1).allMatch(name -> name.startsWith("Archivo"));
    }
  }

  @Test
  void textThatIsNoPlainTextDoesNotBreakIt() throws IOException {
    ApiClient.Job job = desk.job("DYE-04");
    job.does("NOTED", Map.of("text", "<b>&amp; \u0001 \uD83D\uDD27 \u2192 " + "w".repeat(1500)));
    assertThat(text(job)).contains("<b>&amp;").contains("wwww");
  }

  @Test
  void theCardOfAJobThatIsHandedOverIsOnePageWithItsWordsAndLocks() throws IOException {
    ApiClient.Job job = desk.job("SCR-03").takesIn("renew:diaphragm-a").makesSafe().strips();
    job.does(
        "HANDED_OVER", Map.of("note", "Side B plates off. Waiting for kit L-0417. ".repeat(13)));
    byte[] pdf = desk.get("/api/v1/rebuilds/" + job.id() + "/handover.pdf").bytes();
    try (PDDocument card = Loader.loadPDF(pdf)) {
      assertThat(card.getNumberOfPages()).isEqualTo(1);
      assertThat(new PDFTextStripper().getText(card).replaceAll("\\s+", " "))
          .contains("J-" + job.id(), "SCR-03", "In pieces. Do not start.", "This card is no lock.")
          .contains("Waiting for kit L-0417.", "Locks of RT", "Compressed air, discharge pressure");
    }
  }
}
