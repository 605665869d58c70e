package isokinon.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import isokinon.server.ApiClient;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** A job carried on where the server is not, and joined to it again. */
class AwayJourneyTest extends AtTheMill {

  /** The job is held on the device, with the screens, before the line is cut. */
  private static BenchPage opens(String who, ApiClient.Job job) {
    Page page = shop.tablet(who);
    BenchPage bench = new BenchPage(page);
    bench.opens(job);
    page.waitForFunction("() => navigator.serviceWorker?.controller?.state === 'activated'");
    bench.sees("live, held here to");
    return bench;
  }

  private static void cut(BenchPage bench, boolean cut) {
    bench.page().context().setOffline(cut);
  }

  @Test
  void aShiftWithoutTheServerBecomesOneRecord() throws IOException {
    ApiClient.Job job = mill.api().job("DYE-01").takesIn("renew:tube");
    BenchPage rt = opens("KO", job);
    cut(rt, true);
    rt.makesSafe();
    rt.sees("Away since");
    Shop.accessibleByDayAndNight(rt.page());
    Shop.fitsEveryDevice(rt.page());
    Shop.picture(rt.page(), "bench-away");
    rt.stripsAll();

    // the tablet is closed, and opened again where the server is not
    Page again = rt.page().context().newPage();
    rt.page().close();
    again.navigate("/bench/" + job.id());
    BenchPage bench = new BenchPage(again);
    bench.stands("Inspect");
    takesFortyPhotographs(bench);
    bench.judgesTheRestSound();
    bench.press("Fit this kit");
    bench.press("Decided, build it");
    bench.stands("Build");
    bench.buildsTheRest();
    bench.provesTheRest();
    assertThat(job.elsewhere().stage()).isEqualTo("MAKE_SAFE");

    cut(bench, false);
    assertThat(again.getByText("kept in order")).hasCount(0);
    bench.stands("Hand back");
    assertThat(job.elsewhere().stage()).isEqualTo("HAND_BACK");
    assertThat(again.getByText("photographs kept")).hasCount(0);
    assertThat(photographs(job)).isEqualTo(PHOTOGRAPHS);
    List<String> told = new ArrayList<>();
    job.log().forEach(line -> told.add(line.path("seq").asText()));
    assertThat(told).hasSizeGreaterThan(80).doesNotHaveDuplicates();
  }

  @Test
  void whatTwoAnsweredIsDecidedAndWhatDoesNotFitSaysWhy() {
    ApiClient.Job job = mill.api().job("EFF-01").takesIn("inspect:tube").makesSafe();
    BenchPage ko = opens("KO", job);
    BenchPage rt = opens("RT", job);
    takesOverWhatAnEarlierEditionKept(ko, job);
    cut(ko, true);
    cut(rt, true);
    ko.stripsAll();
    judgesAll(ko);
    rt.stripsAll();
    rt.page().locator("#seen").fill("a soft spot at the inlet");
    rt.judges("watch");
    judgesAll(rt);
    cut(ko, false);
    assertThat(ko.page().getByText("kept in order")).hasCount(0);

    cut(rt, false);
    rt.sees("two stories of one job");
    Shop.accessibleByDayAndNight(rt.page());
    Shop.fitsEveryDevice(rt.page());
    Shop.picture(rt.page(), "bench-merge");
    assertThat(rt.main("Put them together")).isDisabled();
    decides(rt, "RT");
    rt.press("Put them together");
    assertThat(rt.page().getByText("kept in order")).hasCount(0);
    rt.stands("Inspect");
    assertThat(said(job)).anySatisfy(say -> assertThat(say).contains("judged watch"));

    // no room on the device: nothing is kept, and nothing that was kept is lost
    cut(rt, true);
    rt.page().evaluate(NO_ROOM);
    judgesAgain(rt);
    rt.sees("This device has no room left");
    rt.page().evaluate(ROOM);
    rt.button("watch").last().click();
    rt.sees("1 kept in order");

    // what was done meanwhile leaves no place for it
    job.elsewhere().does("STAGE_DONE", Map.of("who", "KO", "stage", "INSPECT")).decidesAsBefore();
    cut(rt, false);
    rt.sees("Parts are judged between Strip and Build.");
    decides(rt, "RT");
    rt.press("Put them together");
    assertThat(rt.page().getByText("kept in order")).hasCount(0);
    rt.stands("Build");
    assertThat(said(job))
        .last()
        .satisfies(
            say ->
                assertThat(say)
                    .contains("Without the server", "Parts are judged between Strip and Build."));
  }

  private static void takesOverWhatAnEarlierEditionKept(BenchPage bench, ApiClient.Job job) {
    String kept =
        """
        {"who": "KO", "act": {"key": "6c7f0f4e-1d7b-4a52-9a0e-2f4a53f1a9d1", "seen": %d,
         "act": {"kind": "NOTED", "text": "wet floor"}}}"""
            .formatted(job.view().path("seq").asLong());
    bench
        .page()
        .evaluate(
            "([at, act]) => localStorage.setItem(at, act)",
            List.of("isokinon.outbox." + job.id(), kept));
    bench.page().reload();
    bench.page().waitForCondition(() -> said(job).contains("note: wet floor"));
    bench.sees("live, held here to");
  }

  private static void judgesAll(BenchPage bench) {
    while (!bench.main("All looked at").isVisible()) {
      bench.judges("sound");
    }
  }

  private static void decides(BenchPage bench, String whose) {
    bench
        .page()
        .locator("section[aria-label='Two stories of one job'] [role=group] button")
        .filter(new Locator.FilterOptions().setHasText(whose))
        .first()
        .click();
  }

  private static final String NO_ROOM =
      """
      () => {
        window.add = IDBObjectStore.prototype.add;
        IDBObjectStore.prototype.add = () => { throw new DOMException("", "QuotaExceededError"); };
      }""";

  private static final String ROOM = "() => { IDBObjectStore.prototype.add = window.add; }";

  private static void judgesAgain(BenchPage bench) {
    bench.page().locator("nav[aria-label='Parts on the tray'] button").first().click();
    bench.page().locator("#seen").fill("scored");
    bench.button("watch").last().click();
  }

  /** As many as a job may have, eight of a part. */
  private static final int PHOTOGRAPHS = 40;

  private static void takesFortyPhotographs(BenchPage bench) throws IOException {
    Page page = bench.page();
    FilePayload picture = PhotographJourneyTest.picture();
    Locator kept = page.getByRole(AriaRole.IMG, new Page.GetByRoleOptions().setName("kept here"));
    for (int part = 0; part < PHOTOGRAPHS / 8; part++) {
      page.locator("nav[aria-label='Parts on the tray'] button").nth(part).click();
      for (int taken = 1; taken <= 8; taken++) {
        page.locator("section[aria-label^='Photographs of'] input").setInputFiles(picture);
        assertThat(kept).hasCount(taken);
      }
    }
    bench.sees("40 photographs kept");
  }

  private static int photographs(ApiClient.Job job) {
    int count = 0;
    JsonNode parts = mill.api().get("/api/v1/rebuilds/" + job.id()).body().path("parts");
    for (JsonNode part : parts) {
      count +=
          mill.api()
              .get(
                  "/api/v1/rebuilds/%d/photographs/beside?of=part&subject=%s"
                      .formatted(job.id(), part.path("id").asText()))
              .body()
              .path("now")
              .size();
    }
    return count;
  }

  private static List<String> said(ApiClient.Job job) {
    List<String> said = new ArrayList<>();
    job.log().forEach(line -> said.add(line.path("say").asText()));
    return said;
  }
}
