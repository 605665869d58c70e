package isokinon.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import isokinon.server.ApiClient;
import java.util.ArrayList;
import java.util.List;
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
  void aShiftWithoutTheServerBecomesOneRecord() {
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
    List<String> told = new ArrayList<>();
    job.log().forEach(line -> told.add(line.path("seq").asText()));
    assertThat(told).hasSizeGreaterThan(80).doesNotHaveDuplicates();
  }

  @Test
  void whatTwoAnsweredIsDecidedAndWhatDoesNotFitSaysWhy() {
    ApiClient.Job job = mill.api().job("EFF-01").takesIn("inspect:tube").makesSafe();
    BenchPage ko = opens("KO", job);
    BenchPage rt = opens("RT", job);
    cut(ko, true);
    cut(rt, true);
    ko.stripsAll();
    ko.judgesTheRestSound();
    rt.stripsAll();
    rt.page().locator("#seen").fill("a soft spot at the inlet");
    rt.judges("watch");
    rt.judgesTheRestSound();
    cut(ko, false);
    assertThat(ko.page().getByText("kept in order")).hasCount(0);
    ko.press("Pause");
    ko.page().getByText("a part").first().click();
    ko.press("Lay");

    cut(rt, false);
    rt.sees("two stories of one job");
    Shop.accessibleByDayAndNight(rt.page());
    Shop.fitsEveryDevice(rt.page());
    Shop.picture(rt.page(), "bench-merge");
  }
}
