package isokinon.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import isokinon.server.ApiClient;
import java.io.IOException;
import java.nio.file.Files;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/**
 * The server is killed, is away, comes back: nothing acknowledged is lost, nothing is there twice.
 */
class KilledServerJourneyTest extends AtTheMill {

  private static long seq(String body) {
    Matcher m = Pattern.compile("\"seq\":(\\d+),\"stage\"").matcher(body);
    assertThat(m.find()).as(body).isTrue();
    return Long.parseLong(m.group(1));
  }

  private static String note(UUID key, long seen, String text) {
    return "{\"key\": \"%s\", \"seen\": %d, \"act\": {\"kind\": \"NOTED\", \"text\": \"%s\"}}"
        .formatted(key, seen, text);
  }

  /** A job whose acts come one after another, as a program or many hands would send them. */
  private record Series(String job, long acknowledged, UUID last) {

    static Series of(int acts) {
      String job = "/api/v1/rebuilds/" + mill.api().job("EFF-05").id();
      long acknowledged = 0;
      UUID last = null;
      for (int i = 0; i < acts; i++) {
        last = UUID.randomUUID();
        String answer =
            mill.post(job + "/acts", note(last, acknowledged, "note " + acknowledged)).body();
        assertThat(seq(answer)).isEqualTo(++acknowledged);
      }
      return new Series(job, acknowledged, last);
    }

    void isWholeAndNothingInItTwice() {
      assertThat(seq(mill.get(job).body())).isEqualTo(acknowledged);
      String again = mill.post(job + "/acts", note(last, acknowledged - 1, "note again")).body();
      assertThat(seq(again)).isEqualTo(acknowledged);
      assertThat(mill.get(job + "/log").body())
          .doesNotContain("note again")
          .containsOnlyOnce("note " + (acknowledged - 1) + "\"");
    }
  }

  @Test
  void whoWatchesTheServerReadsItsFiguresItsLogHoldsNoPinAndTheDemoIsNoShop() throws IOException {
    assertThat(mill.get("/actuator/prometheus").body())
        .contains("isokinon_database_bytes", "isokinon_backup_last_seconds NaN");
    RunningApp.Ended shop = mill.asAShop();
    assertThat(shop.exitCode()).isEqualTo(11);
    assertThat(String.join("", shop.lines())).contains("the made-up mill of the demo");
    assertThat(Files.readString(mill.keptLog())).doesNotContain(ApiClient.pin("MA"));
  }

  /**
   * One outage as three see it: a job whose acts were just acknowledged, a tablet with a job in
   * hand, and a page that is opened while nobody answers.
   */
  @Test
  void whatWasAcknowledgedIsThereAndTheBenchAndAPageOpenedThenRecover() {
    Page other = shop.device("KO");
    other.navigate("/bench");
    Shop.isThere(other);
    BenchPage rt = new BenchPage(shop.device("RT"));
    Page page = rt.page();
    rt.bringsToTheBench("BLE-06");
    rt.takesIn("Wet-end kit", "due");
    Series series = Series.of(24);
    mill.kill();

    page.getByLabel("Pressure left at the air inlet").first().fill("0");
    page.getByLabel("Pressure left at the air inlet").first().press("Enter");
    rt.sees("1 kept in order");
    Shop.accessible(page);
    page.getByLabel("Pressure left on the discharge side").first().fill("0.0");
    other.waitForTimeout(2_500); // until what was fetched before counts as old
    other
        .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Floor").setExact(true))
        .click();
    assertThat(other.getByText("The server does not answer").first()).isVisible();

    mill.start();
    RunningApp.Ended second = mill.second();
    assertThat(second.exitCode()).isEqualTo(4);
    assertThat(second.lines()).hasSize(1);
    series.isWholeAndNothingInItTwice();
    assertThat(page.getByText("kept in order"))
        .isHidden(
            new com.microsoft.playwright.assertions.LocatorAssertions.IsHiddenOptions()
                .setTimeout(20_000));
    assertThat(page.getByLabel("Pressure left at the air inlet")).hasCount(0);
    assertThat(page.getByLabel("Pressure left on the discharge side").first()).hasValue("0.0");
    String log = rt.job(mill.api()).log().toString();
    assertThat(log).containsOnlyOnce("Compressed air proved safe, 0 bar");
    assertThat(other.getByText("The server does not answer")).hasCount(0);
    assertThat(other.getByText("Skerrow Mill").first()).isVisible();

    rt.provesEveryEnergy();
    rt.opensTheStrip();
  }
}
