package isokinon.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Screens as they are met on a first day, with long texts, with what is typed wrongly. */
class ScreensJourneyTest extends AtTheMill {

  @Test
  void theFloorIsFilteredAndAPumpIsFoundByItsTag() {
    Page page = shop.device("RT");
    page.navigate("/");
    page.getByLabel("Area: all areas").click();
    page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("Dye")).click();
    assertThat(
            page.getByRole(
                AriaRole.BUTTON,
                new Page.GetByRoleOptions().setName(java.util.regex.Pattern.compile("^SCR-"))))
        .hasCount(0);
    assertThat(
            page.getByRole(
                    AriaRole.BUTTON,
                    new Page.GetByRoleOptions().setName(java.util.regex.Pattern.compile("^DYE-")))
                .first())
        .isVisible();
    page.getByLabel("Scan or find anything").fill("scr-07");
    page.keyboard().press("Enter");
    page.waitForURL("**/pumps/SCR-07");
    page.getByLabel("Scan or find anything").fill("submarine");
    page.keyboard().press("Enter");
    assertThat(page.getByText("Nothing here is called submarine.")).isVisible();
  }

  @Test
  void countersComeInAsATableWhoseFaultsAreToldByCell() {
    Page page = shop.device("MA");
    page.navigate("/");
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Bring in")).click();
    Locator file = page.getByLabel("Counter readings as CSV or XLSX");
    file.setInputFiles(counters("EFF-06,hours,2025-03-01,much\n"));
    assertThat(page.getByText("\"much\" is no number.")).isVisible();
    assertThat(page.getByText("D2")).isVisible();
    file.setInputFiles(counters("EFF-06,strokes,2025-03-01,500\n"));
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Bring 1 row")).click();
    assertThat(page.getByText("Brought: ")).containsText("1 new");
    Shop.accessible(page);
  }

  @Test
  void theHourCounterIsReadAtThePumpAndWhatIsNoNumberStaysInItsField() {
    Page page = shop.device("RT");
    page.navigate("/pumps/EFF-09");
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Read Running hours"))
        .click();
    assertThat(page.getByLabel("Hour counter, read at the pump"))
        .hasValue(java.util.regex.Pattern.compile("^[\\d.]+ h$"));
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Take the counter in"))
        .click();
    assertThat(page.getByText(java.util.regex.Pattern.compile("^Taken in: .* h more"))).isVisible();
    page.getByLabel("Hour counter, read at the pump").fill("half past");
    page.keyboard().press("Enter");
    assertThat(page.getByText("\"half past\" is not a number.")).isVisible();
    assertThat(page.getByLabel("Hour counter, read at the pump")).hasValue("half past");
    Shop.accessible(page);
  }

  private static FilePayload counters(String lines) {
    return new FilePayload(
        "counters.csv",
        "text/csv",
        ("tag,counter,at,reading\n" + lines).getBytes(StandardCharsets.UTF_8));
  }

  @Test
  void aPumpWithoutASheetSaysWhyItCannotComeToTheBench() {
    Page page = shop.device("RT");
    page.navigate("/pumps/DYE-13");
    assertThat(page.getByText("Its construction has no sheet yet, so a rebuild cannot be planned."))
        .isVisible();
    assertThat(
            page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Bring to the bench")))
        .isDisabled();
  }

  @Test
  void anEmptyShopIsADesignedAnswer() {
    try (RunningApp app = RunningApp.empty();
        Shop firstDay = new Shop(app)) {
      Page page = firstDay.device("");
      page.navigate("/");
      Shop.isThere(page);
      Shop.accessibleByDayAndNight(page);
      Shop.firstLeadSignsIn(page, app);
      for (List<String> seen :
          List.of(
              List.of("/", "No pump stands on this floor yet"),
              List.of("/bench", "The bench is clear"),
              List.of("/wet-ends", "No pump, no duty"),
              List.of("/symptoms", "No pump, no symptom"),
              List.of("/library/gauges", "No gauge is known here"),
              List.of("/pumps/EFF-02", "No pump is called EFF-02."),
              List.of("/bench/12", "No rebuild 12."))) {
        page.navigate(seen.get(0));
        assertThat(page.getByText(seen.get(1)).first()).isVisible();
        Shop.accessible(page);
      }
    }
  }

  @Test
  void overLongTextStaysInItsPlace() {
    BenchPage rt = new BenchPage(shop.device("RT", 1024, 768));
    Page page = rt.page();
    rt.bringsToTheBench("SCR-02");
    String longest = "leak at the cap ".repeat(120) + "w".repeat(80);
    rt.takesIn("Wet-end kit", longest.substring(0, 2000));
    Shop.fitsItsWidth(page);
    page.navigate("/bench");
    rt.sees("Make safe");
    Shop.fitsItsWidth(page);
  }
}
