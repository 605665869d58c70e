package isokinon.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;

/** A step in large: one sentence, one number, one button, and one key that a foot can press. */
class LargeStepJourneyTest extends AtTheMill {

  @Test
  void aFootSwitchGoesThroughAStepAndWhatOneButtonDoesNotDoIsShownWhole() {
    Page page = shop.device("RT");
    BenchPage rt = new BenchPage(page);
    rt.opens(
        mill.api()
            .job("SCR-04")
            .takesIn("renew:stator")
            .makesSafe()
            .strips()
            .inspects()
            .decidesAsBefore());
    rt.stands("Build");
    rt.button("Large").click();
    Locator large =
        page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("The step, large"));
    Shop.accessibleByDayAndNight(page);
    Shop.fitsEveryDevice(page);
    for (int i = 0; i < 3; i++) {
      String before = large.innerText();
      page.keyboard().press("Enter");
      assertThat(large).not().hasText(before);
    }
    rt.button("All of it").first().click();
    assertThat(large).not().isVisible();
    rt.stands("Build");
  }
}
