package isokinon.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import isokinon.server.ApiClient;
import org.junit.jupiter.api.Test;

/** Shared tablets: who stands there, who comes after, and what stays on the screen meanwhile. */
class SignInJourneyTest extends AtTheMill {

  private static void presses(Page page, String name) {
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(BenchPage.beginning(name)))
        .first()
        .click();
  }

  static void signsIn(Page page, String who, String pin) {
    presses(page, who + ",");
    for (String digit : pin.split("")) {
      page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(digit).setExact(true))
          .click();
    }
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Sign in").setExact(true))
        .click();
  }

  private static void opensTheMenu(Page page, String item) {
    page.getByLabel("stands here").click();
    page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName(item)).click();
  }

  static void standsHere(Page page, String who) {
    assertThat(page.getByLabel(who + " stands here")).isVisible();
  }

  @Test
  void aTabletIsHandedOverAndLocksAndComesBackToTheHalfTypedReading() {
    Page page = shop.device("");
    page.navigate("/");
    assertThat(page.getByText("Who stands here?")).isVisible();
    Shop.accessibleByDayAndNight(page);
    Shop.fitsEveryDevice(page);
    page.setViewportSize(820, 1180);
    Shop.fitsItsWidth(page);
    page.setViewportSize(390, 844);
    Shop.fitsItsWidth(page);
    page.setViewportSize(1280, 800);
    Shop.picture(page, "sign-in");
    signsIn(page, "RT", "9999");
    assertThat(page.getByText("That was not RT’s PIN.")).isVisible();
    signsIn(page, "RT", ApiClient.pin("RT"));
    standsHere(page, "RT");

    BenchPage bench = new BenchPage(page);
    bench.bringsToTheBench("SCR-07");
    bench.takesIn("Wet-end kit", "due");
    Locator reading = page.locator("section[aria-label=Energies] form input").first();
    reading.fill("0.0");
    opensTheMenu(page, "Change person");
    assertThat(page.getByText("Waiting behind this")).isVisible();
    assertThat(reading).isHidden();
    Shop.accessible(page);
    signsIn(page, "KO", ApiClient.pin("KO"));
    standsHere(page, "KO");
    assertThat(reading).hasValue("0.0");

    page.clock().install();
    page.clock().runFor("10:10");
    assertThat(page.getByText("Who stands here?")).isVisible();
    assertThat(page.request().get("/api/v1/floor").status()).isEqualTo(401);
    page.clock().resume();
    signsIn(page, "KO", ApiClient.pin("KO"));
    assertThat(reading).hasValue("0.0");
    reads(page, "0.0");
    aSessionThatIsGoneAsksAndTheActIsSentThen(page, bench);
  }

  private static Locator fields(Page page) {
    return page.locator("section[aria-label=Energies] form input");
  }

  private static void reads(Page page, String value) {
    int left = fields(page).count();
    fields(page).first().fill(value);
    fields(page).first().press("Enter");
    assertThat(fields(page)).hasCount(left - 1);
  }

  /** What somebody did is sent when they have signed in again, and for nobody else. */
  private static void aSessionThatIsGoneAsksAndTheActIsSentThen(Page page, BenchPage bench) {
    int left = fields(page).count();
    fields(page).first().fill("0");
    page.context().clearCookies();
    fields(page).first().press("Enter");
    signsIn(page, "KO", ApiClient.pin("KO"));
    assertThat(fields(page)).hasCount(left - 1);
    presses(page, "Pause");
    page.getByLabel("Note for whoever takes it up").fill("not by RT");
    page.context().clearCookies();
    // A question of the page's own may cover it before a finger would be there.
    page.getByText("Pause the job").evaluate("button => button.click()");
    signsIn(page, "RT", ApiClient.pin("RT"));
    assertThat(page.getByText("KO did this and is not signed in any more").first()).isVisible();
    String log = bench.job(mill.api()).log().toString();
    assertThat(log).contains("\"who\":\"KO\"").doesNotContain("not by RT");
  }

  @Test
  void aLeadSetsSomebodyUpWhoChoosesAPinOfTheirOwn() {
    Page lead = shop.device("MA");
    lead.navigate("/");
    opensTheMenu(lead, "People");
    assertThat(lead.getByText("Who works here")).isVisible();
    Shop.accessibleByDayAndNight(lead);
    Locator fresh = lead.getByLabel("A person comes new");
    fresh.getByLabel("Initials").fill("JP");
    fresh.getByLabel("First PIN").fill("1111");
    fresh.getByText("Add", new Locator.GetByTextOptions().setExact(true)).click();
    assertThat(lead.getByText("all the same or in a row")).isVisible();
    fresh.getByLabel("First PIN").fill("8264");
    fresh.getByText("Add", new Locator.GetByTextOptions().setExact(true)).click();
    assertThat(fresh.getByLabel("Initials")).hasValue("");
    Shop.picture(lead, "people");

    Page tablet = shop.device("");
    tablet.navigate("/stores");
    signsIn(tablet, "JP", "8264");
    assertThat(tablet.getByText("a PIN of your own")).isVisible();
    Shop.accessible(tablet);
    tablet.getByLabel("The one you have").fill("8264");
    tablet.getByLabel("Your own").fill("7391");
    tablet.keyboard().press("Enter");
    standsHere(tablet, "JP");
    assertThat(tablet.getByText("Purchase list").first()).isVisible();
  }
}
