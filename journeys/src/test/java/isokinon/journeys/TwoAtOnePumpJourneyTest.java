package isokinon.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.assertions.LocatorAssertions;
import isokinon.server.ApiClient;
import org.junit.jupiter.api.Test;

/** Two people at one job see each other at once, and one hands it to the other with a note. */
class TwoAtOnePumpJourneyTest extends AtTheMill {

  /** Wanted: acts of the other arrive within two seconds. */
  private static final LocatorAssertions.IsVisibleOptions SOON =
      new LocatorAssertions.IsVisibleOptions().setTimeout(2_000);

  @Test
  void whatTheOtherDoesIsSeenWithinTwoSecondsAndAJobChangesHands() {
    ApiClient.Job job = mill.api().job("SCR-06").takesIn("inspect:cover").makesSafe();
    BenchPage rt = new BenchPage(shop.device("RT"));
    rt.opens(job);
    BenchPage ko = new BenchPage(shop.device("KO"));
    ko.opens(job);
    Locator present = rt.page().getByText("has this job open too");
    assertThat(present).isVisible();
    assertThat(ko.page().getByText("has this job open too")).isVisible();

    rt.button("Pause").click();
    rt.button("hand it over").click();
    rt.page()
        .getByLabel("Note for whoever takes it up")
        .fill("Whole still. Cover bolts are tight.");
    rt.button("Hand the job over").click();
    assertThat(ko.page().getByText("RT hands this job over")).isVisible(SOON);
    ko.sees("Whole still. Cover bolts are tight.");
    assertThat(ko.page().getByText("Put your own lock on first")).isVisible();
    Shop.accessibleByDayAndNight(ko.page());
    Shop.fitsEveryDevice(ko.page());
    assertThat(rt.button("Carry on myself")).isVisible();
    ko.press("Read, I take it on, KO");
    ko.stands("Strip");
    assertThat(rt.page().getByText("hands this job over")).not().isVisible();
    rt.stands("Strip");

    ko.page().close();
    assertThat(present).not().isVisible();
  }
}
