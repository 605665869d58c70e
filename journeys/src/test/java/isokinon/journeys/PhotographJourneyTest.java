package isokinon.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

/** What a camera sees of a part stands beside it, drawn on with a finger. */
class PhotographJourneyTest extends AtTheMill {

  static FilePayload picture() throws IOException {
    BufferedImage picture = new BufferedImage(1600, 1200, BufferedImage.TYPE_INT_RGB);
    Graphics2D on = picture.createGraphics();
    on.setColor(new Color(150, 130, 105));
    on.fillRect(0, 0, 1600, 1200);
    on.setColor(new Color(30, 30, 32));
    on.fillOval(320, 120, 960, 960);
    on.dispose();
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(picture, "jpeg", out);
    return new FilePayload("diaphragm.jpg", "image/jpeg", out.toByteArray());
  }

  @Test
  void aFindingIsPhotographedRingedNamedAndTakenOutAgain() throws IOException {
    Page page = shop.device("RT");
    BenchPage rt = new BenchPage(page);
    rt.opens(mill.api().job("BLE-04").takesIn("renew:tube").makesSafe().strips());
    page.getByLabel("Take a photograph").setInputFiles(picture());
    page.locator("section[aria-label^='Photographs of'] li button").click();
    Locator dialog = page.getByRole(AriaRole.DIALOG);
    BoundingBox box = dialog.getByRole(AriaRole.IMG).boundingBox();
    page.mouse().move(box.x + 0.5 * box.width, box.y + 0.2 * box.height);
    page.mouse().down();
    page.mouse().move(box.x + 0.62 * box.width, box.y + 0.5 * box.height);
    page.mouse().up();
    dialog.getByLabel("Words beside the last mark").fill("bare, 18 mm");
    rt.button("Arrow").click();
    Shop.accessibleByDayAndNight(page);
    Shop.fitsEveryDevice(page);
    rt.button("Back to the bench").click();
    assertThat(page.getByRole(AriaRole.IMG, new Page.GetByRoleOptions().setName("bare, 18 mm")))
        .isVisible();
    page.reload();
    page.getByRole(AriaRole.IMG, new Page.GetByRoleOptions().setName("bare, 18 mm")).click();
    rt.button("Take this photograph out").click();
    rt.button("Yes, out for good").click();
    assertThat(page.getByLabel("Take a photograph")).hasCount(1);
  }
}
