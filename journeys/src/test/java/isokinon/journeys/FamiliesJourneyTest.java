package isokinon.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import isokinon.server.ApiClient;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** A tube head, a progressing cavity pump with packing and a magnetic drive, rebuilt by hand. */
class FamiliesJourneyTest extends AtTheMill {

  @Test
  void aTubeIsRenewedInAFourArmHeadAndNoArmChangesItsPair() {
    BenchPage ko = new BenchPage(shop.device("KO"));
    Page page = ko.page();
    ko.bringsToTheBench("DYE-06");
    page.getByText("Drive, part by part").click();
    page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Roller arm 1"))
        .getByText("look")
        .click();
    ko.takesIn("Tube: renew", "Due");
    ApiClient.Job job = ko.job(mill.api()).makesSafe();
    ko.opens(job);
    Shop.accessible(page);
    ko.opens(job.stripsUpTo("Jog until the arm at 9"));
    ko.sees(
        "Under power for this step: an arm passes only at 9 o'clock, seen from the cover side.");
    Shop.picture(page, "bench-head-in-plan");
    ko.opens(job.strips().inspects().decidesAsBefore().buildsUpTo("Jog the slot of arm 1"));
    Locator place =
        page.getByRole(
            AriaRole.GROUP,
            new Page.GetByRoleOptions().setName("Piece for the place of Roller arm 1"));
    place
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Roller arm 2"))
        .click();
    ko.sees("Arms are two pairs with springs of two strengths");
    Shop.accessible(page);
    ko.opens(job.builds().proves());
    ko.handsBack("KO");
  }

  @Test
  void aProgressingCavityPumpIsRepackedAcrossTwoDevicesAndARest() {
    BenchPage ko = new BenchPage(shop.device("KO"));
    ko.bringsToTheBench("EFF-04");
    ko.takesIn("Wear sleeve kit", "Gland drips a stream");
    ko.opens(ko.job(mill.api()).makesSafe());
    ko.done("Off, next step");
    ko.button("Pause").click();
    ko.page().getByLabel("Note for whoever takes it up").fill("Sleeve comes on Thursday");
    ko.button("Pause the job").click();
    ko.sees("waiting for kit");
    Shop.accessible(ko.page());

    BenchPage rt = new BenchPage(shop.device("RT"));
    Page page = rt.page();
    page.navigate("/bench");
    rt.sees("waiting for kit");
    page.getByText("EFF-04").click();
    rt.sees("Sleeve comes on Thursday");
    rt.button("Carry on with it").click();
    rt.button("Off, next step").waitFor();
    ApiClient.Job job = rt.job(mill.api());
    job.stripsUpTo("Carry the housing on its wet-end rim").strips().inspects().decidesAsBefore();
    rt.opens(job.buildsUpTo("Box on the sleeve"));
    rt.answersChecks();
    rt.sees("Cuts a quarter turn apart, each ring home before the next");
    Shop.accessible(page);
    rt.opens(job.elsewhere().builds().proves());
    rt.handsBack("RT");
    page.navigate("/pumps/EFF-04");
    rt.sees("handed back");
  }

  @Test
  void aMagneticDriveIsRebuiltWithItsBrittlePartsInSight() {
    BenchPage ko = new BenchPage(shop.device("KO"));
    Page page = ko.page();
    ko.bringsToTheBench("DYE-11");
    ko.takesIn("Rotor kit", "Hums since the dry run");
    ApiClient.Job job = ko.job(mill.api()).makesSafe();
    ko.opens(job.stripsUpTo("draw pump and motor apart"));
    ko.sees("Magnets: inner and outer magnet.");
    ko.opens(job.stripsUpTo("Press the bushing out"));
    ko.sees("Brittle: bushing. No knock, no steel under it.");
    ko.opens(job.strips().inspects());
    ko.press("Fit this kit, lot L-1202");
    ko.sees("1 role without a material");
    ko.decidesOnTheRest();
    ko.opens(job.elsewhere().buildsUpTo("Hub supported, rear disc"));
    ko.sees("Impeller home, rear disc turns under a finger");
    Shop.accessible(page);
    ko.buildsOne();
  }

  @Test
  void theShorterWayInIsSeenBesideTheOther() {
    BenchPage ko = new BenchPage(shop.device("KO"));
    Page page = ko.page();
    ko.bringsToTheBench("SCR-09");
    page.getByText("Wet end, part by part").click();
    page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Stator").setExact(true))
        .getByText("look")
        .click();
    Locator pair = ko.main("Pull the pair");
    assertThat(pair).hasAttribute("aria-pressed", "true");
    assertThat(pair).containsText("64");
    page.evaluate("window.scrollTo(0, 0)");
    Shop.picture(page, "bench-take-in");
    Shop.accessible(page);
    ko.main("Stator alone, over the rotor").click();
    assertThat(ko.main("Stator alone, over the rotor")).hasAttribute("aria-pressed", "true");
    ko.press("Take it in");
    ko.stands("Make safe");
    ko.opens(ko.job(mill.api()).makesSafe());
    ko.sees("Prop the pipe, sling the stator");
  }

  @Test
  void aShopWritesItsOwnSheetAndAWrongOneIsToldLineByLine() {
    BenchPage ma = new BenchPage(shop.device("MA"));
    Page page = ma.page();
    page.navigate("/library");
    page.getByText("Levitated tank-bottom mixer").click();
    page.getByText("Renew everything").waitFor();
    Shop.picture(page, "library-sheet");
    ma.button("Duplicate").click();
    ma.sees("0:34");
    page.getByLabel("manual page").first().fill("14");
    page.keyboard().press("Enter");
    ma.sees("pages are given: say of which manual");
    page.getByLabel("Maker’s manual and its issue").fill("TM3, issue 2");
    page.keyboard().press("Enter");
    ma.sees("manual p. 14");
    ma.sees("1 of");
    ma.button("As text, YAML").click();
    Locator text = page.locator(".cm-content");
    text.hover();
    page.mouse().wheel(0, 700);
    text.getByText("renew: one-time").click();
    page.keyboard().press("End");
    page.keyboard().type("s");
    ma.sees("2 things wrong");
    ma.sees("\"one-times\" is not one of one-time, inspect, keep");
    assertThat(ma.main("Keep as revision")).isDisabled();
    page.reload();
    ma.sees("2 things wrong");
    ma.button("As text, YAML").click();
    text.hover();
    page.mouse().wheel(0, 700);
    page.locator(".cm-content").getByText("renew: one-times").click();
    page.keyboard().press("End");
    page.keyboard().press("Backspace");
    assertThat(ma.main("Keep as revision 1")).isEnabled();
    ma.press("Keep as revision 1");
    page.waitForURL("**/library/mixer-levitated-3-own");
    page.navigate("/library");
    assertThat(page.getByText(Pattern.compile("mixer-levitated-3-own"))).isVisible();
  }
}
