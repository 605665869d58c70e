package isokinon.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import isokinon.server.ApiClient;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;

/** Choosing what goes in: a duty that got milder, one that nothing stands, what was seen here. */
class WetEndJourneyTest extends AtTheMill {

  private static Locator role(Page page, AriaRole role, String name) {
    return page.getByRole(role, new Page.GetByRoleOptions().setName(name));
  }

  @Test
  void aMilderDutyComesDownFromPtfeOnTheSamePlates() {
    BenchPage rt = new BenchPage(shop.device("RT"));
    Page page = rt.page();
    page.navigate("/pumps/DYE-04");
    rt.sees("This duty lets it come down from PTFE to NBR: it fits the plates and shaft in it");
    page.navigate("/life");
    page.getByText("DYE-04 could come down").click();
    page.waitForURL("**/wet-ends/DYE-04");
    Locator beside = page.getByLabel("hold beside another");
    beside.nth(0).check();
    page.getByLabel("hold beside another, PTFE on full-stroke").check();
    rt.sees("Beside each other");
    Shop.accessible(page);
    rt.button("Back to the bars").click();
    assertThat(rt.button("Back to the bars")).hasCount(0);

    rt.bringsToTheBench("DYE-04");
    rt.takesIn("Wet-end kit", "Due, and the ring runs cooler now");
    ApiClient.Job job = rt.job(mill.api()).makesSafe().strips().inspects();
    rt.opens(job);
    // The NBR on the shelf is over-age: EPDM, which stands it as well, goes in.
    rt.fits("L-0395");
    job.elsewhere().builds().proves().handsBack();

    page.navigate("/wet-ends/DYE-04");
    rt.sees("EPDM in it");
    assertThat(page.getByText("come down from PTFE")).hasCount(0);
    role(page, AriaRole.BUTTON, "O-ring").click();
    assertThat(page.getByText("in it now").first()).isVisible();
  }

  @Test
  void aDutyThatNothingStandsSaysWhatToChange() {
    BenchPage rt = new BenchPage(shop.device("RT"));
    Page page = rt.page();
    page.navigate("/wet-ends/SCR-01");
    rt.button("Change").click();
    rt.button("Another fluid").click();
    Locator fluid = page.locator("fieldset").nth(2);
    fluid.locator("input").first().fill("treacle");
    rt.sees("The library knows no fluid \"treacle\".");
    fluid.locator("input").first().fill("Sodium hypochlorite");
    fluid.getByLabel("Strength, %").fill("5");
    fluid.getByLabel("Of time, %").fill("5");
    rt.sees("The shares add up to 1.05; they must make 1.");
    page.locator("fieldset").nth(0).getByLabel("Of time, %").fill("warm");
    rt.sees("\"warm\" is not a number.");
    page.locator("fieldset").nth(0).getByLabel("Of time, %").fill("90");
    Shop.accessible(page);
    rt.button("Done").last().click();
    rt.sees("Nothing here stands all of this duty");
    rt.sees("Keep sodium hypochlorite out of this pump");
    Shop.accessible(page);
    rt.button("Try it").last().click();
    assertThat(page.getByText("Nothing here stands all of this duty")).hasCount(0);
    rt.sees("Tried only: this is not the duty of SCR-01.");

    Locator heat = page.getByLabel("Temperature of Caustic soda, °C");
    heat.focus();
    for (int i = 0; i < 6; i++) {
      heat.press("ArrowLeft");
    }
    assertThat(heat).hasValue("69");
    assertThat(page.locator("aside[aria-label=Kits] li").first()).containsText("NBR");
    Download sheet = page.waitForDownload(() -> rt.button("Print the choice").click());
    assertThat(sheet.suggestedFilename()).isEqualTo("Wet end SCR-01.pdf");
    rt.button("Back to its duty").click();
    assertThat(heat).hasValue("75");
  }

  @Test
  void aDutyTypedInIsKeptAndAnsweredWithoutAPump() {
    BenchPage rt = new BenchPage(shop.device("RT"));
    Page page = rt.page();
    page.navigate("/wet-ends/typed");
    rt.button("Change").click();
    page.locator("fieldset input").first().fill("Acetone");
    page.getByLabel("Construction: Bolted plastic").click();
    role(page, AriaRole.OPTION, "Rotary lobe").first().click();
    rt.sees("Choose a sheet to see its kits");
    page.getByLabel("Construction: Rotary lobe").click();
    role(page, AriaRole.OPTION, "Bolted plastic double-diaphragm, 25 mm ports").click();
    rt.button("Done").last().click();
    assertThat(page.locator("aside[aria-label=Kits] li").first()).containsText("TPV");
    rt.sees("Does static matter there, or is the place explosive?");
    rt.button("Explosive").click();
    rt.sees("in an explosive zone the wetted");
    page.reload();
    rt.sees("Acetone");
    Shop.accessible(page);
  }

  @Test
  void whatWasSeenHereBecomesTheShopsOwnWord() {
    BenchPage rt = new BenchPage(shop.device("MA"));
    Page page = rt.page();
    page.navigate("/library/materials");
    page.getByPlaceholder("Name, formula or another word for it").fill("naocl");
    Shop.accessible(page);
    page.locator("a:has-text('Sodium hypochlorite')").first().click();
    rt.sees("Never let it meet acid; flush with much water.");
    Shop.accessible(page);
    role(page, AriaRole.LINK, "EPDM tube").first().click();
    rt.sees("The library has full resistance up to 35 °C, but here at 20 °C");
    rt.button("Write it as an own row").click();
    Shop.picture(page, "library-pair");
    rt.button("Write the row").click();
    rt.sees("This shop's own row");
    rt.sees("An own row stands over it");
    assertThat(page.getByText("but here at 20 °C").first()).isVisible();
    Shop.accessible(page);
    page.navigate("/wet-ends/EFF-01");
    assertThat(page.locator("ul[aria-label*='ruled out'] svg[aria-label^='EPDM tube, unsuited']"))
        .isVisible();

    page.navigate("/library/materials");
    FilePayload bad =
        new FilePayload(
            "resistance.csv",
            "text/csv",
            ("fluid,from_pct,to_pct,material,full_c,limited_c,effect,basis,source,date,note\n"
                    + "treacle,0,100,NR,50,60,softens,b,s,2026-01-05,\n")
                .getBytes(StandardCharsets.UTF_8));
    page.getByLabel("Resistance as CSV").setInputFiles(bad);
    rt.sees("Nothing was taken in: 1 fault.");
    rt.sees("Unknown fluid treacle.");
    APIResponse out = page.request().get(mill.address() + "/api/v1/materials/tables/resistance");
    assertThat(out.text()).contains("this shop");
  }
}
