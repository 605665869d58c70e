package isokinon.server.papers;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.server.ApiClient;
import isokinon.server.MillTest;
import java.io.IOException;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

@MillTest
class ClipboardTest {

  @Autowired private ApiClient desk;

  private String text(ApiClient.Job job) throws IOException {
    byte[] pdf = desk.get("/api/v1/rebuilds/" + job.id() + "/clipboard.pdf").bytes();
    try (PDDocument document = Loader.loadPDF(pdf)) {
      return new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
    }
  }

  @Test
  void theClipboardHoldsStripListTrayCardBuildListAndTorqueSheet() throws IOException {
    ApiClient.Job job = desk.job("SCR-08").takesIn("renew:ring-upper", "inspect:sleeve-upper");
    assertThat(text(job))
        .contains("SCR-08", "The maker's manual and the site's own procedure come before")
        .contains("Strip list", "Vent until nothing comes; 4 bolts out crosswise")
        .contains("Tag or food-safe mark U on the upper rotor")
        .contains("Tray card", "Sleeve, upper goes back to its place")
        .contains("Build list", "Composite ring, upper: flat against its spacer all round")
        .contains("Food-grade silicone grease 1 g, composite ring, upper")
        .contains("Torque sheet, N·m", "4 M10, 22 to 26 N·m", "In passes 7.2, then 14.4, then 24");
  }

  @Test
  void beforeTheTakeInThereIsOnlyTheHead() throws IOException {
    assertThat(text(desk.job("DYE-09")))
        .contains("DYE-09", "Drive unit")
        .contains("Nothing to torque on this way.");
  }
}
