package isokinon.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import com.microsoft.playwright.Page;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The tablet's camera reads the label of a pump. */
class CameraJourneyTest extends AtTheMill {

  @TempDir Path dir;

  /** A label held before the camera, as one picture of a film (Motion JPEG). */
  private Path labelOf(String code) throws IOException, WriterException {
    BufferedImage seen = new BufferedImage(640, 480, BufferedImage.TYPE_INT_RGB);
    Graphics2D on = seen.createGraphics();
    on.setColor(new Color(196, 190, 178));
    on.fillRect(0, 0, 640, 480);
    on.setColor(Color.WHITE);
    on.fillRect(190, 110, 260, 260);
    on.setColor(Color.BLACK);
    BitMatrix bits = new QRCodeWriter().encode(code, BarcodeFormat.QR_CODE, 1, 1);
    int side = 260 / bits.getWidth();
    for (int x = 0; x < bits.getWidth(); x++) {
      for (int y = 0; y < bits.getHeight(); y++) {
        if (bits.get(x, y)) {
          on.fillRect(190 + x * side, 110 + y * side, side, side);
        }
      }
    }
    on.dispose();
    Path film = dir.resolve("label.mjpeg");
    ImageIO.write(seen, "jpeg", film.toFile());
    return film;
  }

  @Test
  void aLabelHeldBeforeTheCameraOpensItsPump() throws IOException, WriterException {
    try (Shop tablets = Shop.withCamera(mill, labelOf("SCR-05"))) {
      Page page = tablets.device("RT");
      page.navigate("/stores");
      BenchPage rt = new BenchPage(page);
      rt.button("Read a code with the camera").click();
      page.waitForURL("**/pumps/SCR-05");
      assertThat(page.getByText("Hold the label before the camera")).hasCount(0);
      Shop.accessible(page);
    }
  }

  @Test
  void whereThereIsNoCameraItSaysSo() {
    Page page = shop.device("RT");
    page.navigate("/stores");
    BenchPage rt = new BenchPage(page);
    rt.button("Read a code with the camera").click();
    rt.sees("No camera can be used here");
    Shop.accessibleByDayAndNight(page);
    rt.button("Not now").click();
    assertThat(page.getByText("No camera can be used here")).hasCount(0);
  }
}
