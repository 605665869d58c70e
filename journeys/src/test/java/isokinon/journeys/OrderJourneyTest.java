package isokinon.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import isokinon.server.ApiClient;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Orders that hands must keep, a way in that turns out shut, and upkeep without a rebuild. */
class OrderJourneyTest extends AtTheMill {

  @Test
  void theOilBackedHeadGetsItsOilWhileTheLastSideStandsOpen() {
    BenchPage rt = new BenchPage(shop.device("RT"));
    Page page = rt.page();
    rt.bringsToTheBench("EFF-09");
    page.getByText("Wet end, part by part").click();
    page.getByRole(
            AriaRole.GROUP, new Page.GetByRoleOptions().setName("Diaphragm A").setExact(true))
        .getByText("renew")
        .click();
    rt.press("Take it in");
    rt.stands("Make safe");
    ApiClient.Job one = rt.job(mill.api()).makesSafe().strips().inspects().decidesAsBefore();
    rt.opens(one.buildsUpTo("Pour fresh pump oil in"));
    rt.sees("Fit cover A, 4 bolts crosswise");
    rt.opens(one.builds().proves());
    rt.handsBack("RT");

    rt.bringsToTheBench("EFF-09");
    rt.takesIn("Diaphragm kit", "Both sides");
    ApiClient.Job both = rt.job(mill.api()).makesSafe().strips().inspects().decidesAsBefore();
    rt.opens(both.buildsUpTo("Look at the side that was closed first"));
    rt.sees("Pour fresh pump oil in where the open side stands");
    rt.opens(both.buildsUpTo("Pour fresh pump oil in"));
    rt.sees("Fit cover B, 4 bolts crosswise");
    rt.opens(both.builds().proves());
    rt.handsBack("RT");
  }

  @Test
  void thePinJointPumpIsTakenDownToItsBearings() {
    BenchPage rt = new BenchPage(shop.device("RT"));
    rt.bringsToTheBench("SCR-01");
    rt.takesIn("Bearing kit", "Bearing loud");
    ApiClient.Job job = rt.job(mill.api()).makesSafe();
    rt.opens(job.stripsUpTo("File the peen flush, prop rotor"));
    rt.sees("The same at the shaft end");
    rt.opens(job.stripsUpTo("Press on the inner race of the axial bearing"));
    Shop.accessible(rt.page());
    job.strips().inspects().decidesAsBefore();
    rt.opens(job.buildsUpTo("One spacer ring, axial pair "));
    rt.opens(job.builds().proves());
    rt.handsBack("RT");
  }

  @Test
  void aWayInThatWillNotGoIsLeftForAnother() {
    BenchPage ko = new BenchPage(shop.device("KO"));
    Page page = ko.page();
    ko.bringsToTheBench("DYE-12");
    ko.takesIn("Yearly kit", "Yearly");
    ApiClient.Job job = ko.job(mill.api()).makesSafe();
    ko.opens(job.stripsUpTo("From below: hold the rotor, unscrew the lower shaft"));
    ko.button("Will not go").click();
    page.getByLabel("What stands against it").fill("shaft seized on the rotor");
    Shop.accessible(page);
    ko.button("Plan another way in").click();
    ko.sees("Write the heights down, impellers off, then the collar");
    job = job.elsewhere();
    job.strips().inspects().decidesAsBefore();
    ko.opens(job.builds().proves());
    ko.handsBack("KO");
    ko.sees("shaft seized on the rotor");
  }

  @Test
  void aFilterRoundIsDoneFromTheFloorWithoutARebuild() {
    BenchPage rt = new BenchPage(shop.device("RT"));
    Page page = rt.page();
    page.navigate("/floor");
    page.getByLabel("Rounds that are due")
        .getByRole(
            AriaRole.LINK,
            new com.microsoft.playwright.Locator.GetByRoleOptions()
                .setName(Pattern.compile("EFF-03.*filter wash.*4 days over")))
        .click();
    rt.sees("A wet filter is sucked apart");
    rt.press("Round done");
    rt.sees("Answer it, or say in the note why it is left");
    page.getByLabel("Filter that went in is dry and whole").click();
    page.getByLabel("Pipe entry seal tight, no dust inside").click();
    Shop.accessibleByDayAndNight(page);
    Shop.picture(page, "round");
    rt.press("Round done");
    assertThat(
            page.getByRole(
                AriaRole.HEADING, new Page.GetByRoleOptions().setName("EFF-03").setExact(true)))
        .isVisible();
    rt.sees("in 90 days");
    page.navigate("/floor");
    assertThat(page.getByText("filter wash")).hasCount(0);
  }
}
