package isokinon.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/**
 * The server is killed, is away, comes back: nothing acknowledged is lost, nothing is there twice.
 */
class KilledServerJourneyTest {

  private static long seq(String body) {
    Matcher m = Pattern.compile("\"seq\":(\\d+),\"stage\"").matcher(body);
    assertThat(m.find()).as(body).isTrue();
    return Long.parseLong(m.group(1));
  }

  private static String note(UUID key, long seen, String text) {
    return "{\"key\": \"%s\", \"seen\": %d, \"who\": \"RT\", \"kind\": \"NOTED\", \"text\": \"%s\"}"
        .formatted(key, seen, text);
  }

  @Test
  void everyAcknowledgedActIsThereAfterAKillAndNoneTwice() {
    try (RunningApp app = RunningApp.demo()) {
      app.post("/api/v1/pumps/EFF-02/rebuilds", "{\"who\": \"RT\", \"reason\": \"due\"}");
      long acknowledged = 0;
      for (int kill = 0; kill < 3; kill++) {
        UUID last = null;
        for (int i = 0; i < 12; i++) {
          last = UUID.randomUUID();
          String answer =
              app.post("/api/v1/rebuilds/1/acts", note(last, acknowledged, "note " + acknowledged))
                  .body();
          assertThat(seq(answer)).isEqualTo(++acknowledged);
        }
        app.kill();
        app.start();
        String after = app.get("/api/v1/rebuilds/1").body();
        assertThat(seq(after)).isEqualTo(acknowledged);
        String again =
            app.post("/api/v1/rebuilds/1/acts", note(last, acknowledged - 1, "note again")).body();
        assertThat(seq(again)).isEqualTo(acknowledged);
        assertThat(app.get("/api/v1/rebuilds/1/log").body())
            .doesNotContain("note again")
            .containsOnlyOnce("note " + (acknowledged - 1) + "\"");
      }
    }
  }

  @Test
  void theBenchKeepsWhatWasDoneWhileTheServerIsAwayAndSendsItOnce() {
    try (RunningApp app = RunningApp.demo();
        Shop shop = new Shop(app)) {
      BenchPage rt = new BenchPage(shop.device("RT"));
      Page page = rt.page();
      rt.bringsToTheBench("EFF-02");
      rt.takesIn("Wet-end kit", "due");
      app.kill();

      page.getByLabel("Pressure left at the air inlet").first().fill("0");
      page.getByLabel("Pressure left at the air inlet").first().press("Enter");
      rt.sees("The server is away. What you did last is kept on this device");
      Shop.accessible(page);
      page.getByLabel("Pressure left on the discharge side").first().fill("0.0");

      app.start();
      assertThat(page.getByText("The server is away."))
          .isHidden(
              new com.microsoft.playwright.assertions.LocatorAssertions.IsHiddenOptions()
                  .setTimeout(20_000));
      assertThat(page.getByLabel("Pressure left at the air inlet")).hasCount(0);
      assertThat(page.getByLabel("Pressure left on the discharge side").first()).hasValue("0.0");
      String log = app.get("/api/v1/rebuilds/1/log").body();
      assertThat(log).containsOnlyOnce("Compressed air proved safe, 0 bar");

      rt.makesSafe();
    }
  }

  @Test
  void aPageOpenedWhileTheServerIsAwaySaysSoAndRecovers() {
    try (RunningApp app = RunningApp.demo();
        Shop shop = new Shop(app)) {
      BenchPage rt = new BenchPage(shop.device("RT"));
      Page page = rt.page();
      page.navigate("/bench");
      rt.sees("The bench is clear");
      app.kill();
      page.waitForTimeout(2_500); // until what was fetched before counts as old
      page.getByText("Look at the floor").click();
      rt.sees("The server does not answer");
      app.start();
      assertThat(page.getByText("The server does not answer")).hasCount(0);
      rt.sees("Skerrow Mill");
    }
  }
}
