package isokinon.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import isokinon.server.ApiClient;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** A shop of its own: from an empty folder, with the tables it has, to its first rebuild. */
class OwnShopJourneyTest {

  private static final List<List<String>> PUMPS_OF_THEIRS =
      List.of(
          List.of(
              "Pos.-Nr.",
              "Bereich",
              "Bauart",
              "Beschreibung",
              "Std/Tag",
              "Membran",
              "Age (h)",
              "Interval",
              "Medium",
              "Temp."),
          List.of(
              "SCR-40",
              "Scour",
              "aodd-bolted-plastic-25",
              "Liquor to bowl 4",
              "16,5",
              "TPC-ET",
              "310,5",
              "2500",
              "scour likker",
              "40,0"));

  @Test
  void fromAnEmptyFolderToItsOwnFirstRebuildAndOverARestart() {
    try (RunningApp app = RunningApp.empty();
        Shop shop = new Shop(app)) {
      Page page = shop.device("");
      page.navigate("/");
      Shop.firstLeadSignsIn(page, app);
      saysWhatItIs(page);
      bringsItsPumps(page);
      addsAGaugeAndALot(page);
      addsATechnicianWhoChoosesAPin(page, shop.device(""));
      rebuilds(page, app);
      app.kill();
      app.start();
      page.navigate("/");
      assertThat(page.getByText("SCR-40").first()).isVisible();
      isShownOtherMoneyAndUnits(page);
    }
  }

  /** Every table of the mill, taken out, makes an empty folder the same mill. */
  @Test
  void whatIsTakenOutAndBroughtIntoAnEmptyShopIsTheSameShop() {
    ApiClient mill = RunningApp.sharedDemo().api().as("MA");
    try (RunningApp app = RunningApp.empty()) {
      ApiClient empty = firstLead(app);
      for (String table : TABLES) {
        String taken = csv(mill, table);
        String file = Base64.getEncoder().encodeToString(taken.getBytes(StandardCharsets.UTF_8));
        ApiClient.Reply brought =
            empty.post("/api/v1/setup/tables/" + table + "/bring", "{\"file\": \"" + file + "\"}");
        assertThat(brought.status()).as(table + " " + brought.body()).isEqualTo(200);
      }
      for (String table : TABLES) {
        assertThat(readSometime(csv(empty, table)))
            .as(table)
            .isEqualTo(readSometime(csv(mill, table)));
      }
    }
  }

  /** A counter of which nobody knows when it was read counts from the day it is brought. */
  private static String readSometime(String csv) {
    return csv.replace("," + LocalDate.now(ZoneId.systemDefault()) + ",", ",,");
  }

  private static final List<String> TABLES =
      List.of(
          "areas",
          "pumps",
          "duties",
          "fitted-parts",
          "energies",
          "pairs",
          "wrenches",
          "gauges",
          "kits",
          "offers",
          "consumable-offers",
          "lots",
          "people",
          "shifts",
          "holidays",
          "fixtures",
          "line-stops");

  private static String csv(ApiClient shop, String table) {
    return new String(
        shop.get("/api/v1/setup/tables/" + table + ".csv").bytes(), StandardCharsets.UTF_8);
  }

  private static ApiClient firstLead(RunningApp app) {
    ApiClient.Reply made =
        app.api()
            .asNobody()
            .post(
                "/api/v1/first-lead",
                "{\"code\": \"%s\", \"initials\": \"MA\", \"pin\": \"%s\", \"device\": \"bench\"}"
                    .formatted(app.startCode(), ApiClient.pin("MA")));
    assertThat(made.status()).as(made.body().toString()).isEqualTo(200);
    return app.api().as("MA");
  }

  private static void saysWhatItIs(Page page) {
    page.navigate("/setup");
    page.getByLabel("Name of the shop").fill("Skerrow Mill");
    page.getByLabel("Currency of the shop").fill("GPB");
    page.getByLabel("Clock of the shop").fill("Europe/London");
    page.getByLabel("What an hour at the bench costs").fill("48");
    page.getByLabel("What an hour after hours costs").fill("40");
    page.getByText("Keep it").click();
    assertThat(page.getByText("An hour after hours costs no less")).isVisible();
    assertThat(page.getByText("No currency has these letters")).isVisible();
    page.getByLabel("Currency of the shop").fill("GBP");
    page.getByLabel("What an hour after hours costs").fill("60");
    page.getByText("Keep it").click();
    assertThat(page.getByText("Keep it")).hasCount(0);
    assertThat(page.getByText("without one there is nothing to plan")).isVisible();
    Shop.accessibleByDayAndNight(page);
    Shop.picture(page, "first");
  }

  private static void bringsItsPumps(Page page) {
    page.navigate("/setup/pumps?bring");
    page.locator("input[type=file]")
        .setInputFiles(
            new FilePayload(
                "pumpen.xlsx",
                "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet",
                Workbook.of("Pumpen", PUMPS_OF_THEIRS)));
    assertThat(page.getByText("Nothing here is called \"scour likker\".")).isVisible();
    Shop.accessible(page);
    Shop.picture(page, "bring");
    page.getByLabel("What scour likker is", new Page.GetByLabelOptions().setExact(true))
        .getByText("Scour liquor")
        .click();
    page.getByText("Bring 1 row").click();
    page.getByText("To the table").click();
    button(page, "SCR-40").click();
    page.getByLabel("Runs", new Page.GetByLabelOptions().setExact(true)).fill("26");
    page.getByText("Keep the change").click();
    assertThat(page.getByText("Runs is 0 to 24 h a day; 26 is not.")).isVisible();
    Shop.accessibleByDayAndNight(page);
    page.getByLabel("Runs", new Page.GetByLabelOptions().setExact(true)).fill("12");
    page.getByText("Keep the change").click();
    page.navigate("/setup");
    assertThat(page.getByText("SCR-40: runs from 16.5 to 12")).isVisible();
    button(page, "Take it back").click();
    assertThat(page.getByText("SCR-40: runs from 16.5 to 12")).hasCount(0);
  }

  private static void addsAGaugeAndALot(Page page) {
    adds(
        page,
        "gauges",
        Map.of(
            "Gauge", "P-1",
            "Kind", "pressure-gauge",
            "Name", "Gauge of the test bench",
            "Unit", "bar",
            "Least step", "0,05",
            "Uncertainty", "0,03",
            "Calibrated until", "31.12.2031"));
    assertThat(button(page, "P-1")).isVisible();
    adds(
        page,
        "lots",
        Map.of(
            "Lot", "L-7001",
            "Construction", "aodd-bolted-plastic-25",
            "Kit", "wet-kit",
            "Material", "EPDM",
            "Cured on", "1.3.2026",
            "Pieces", "2"));
    assertThat(button(page, "L-7001")).isVisible();
  }

  private static void addsATechnicianWhoChoosesAPin(Page page, Page tablet) {
    page.navigate("/people");
    page.getByLabel("Initials").fill("RT");
    page.getByLabel("First PIN").fill("8264");
    page.getByText("Add", new Page.GetByTextOptions().setExact(true)).click();
    assertThat(page.getByLabel("Initials")).hasValue("");
    tablet.navigate("/");
    SignInJourneyTest.signsIn(tablet, "RT", "8264");
    tablet.getByLabel("The one you have").fill("8264");
    tablet.getByLabel("Your own").fill(ApiClient.pin("RT"));
    tablet.keyboard().press("Enter");
    SignInJourneyTest.standsHere(tablet, "RT");
  }

  private static void adds(Page page, String table, Map<String, String> row) {
    page.navigate("/setup/" + table + "?add");
    row.forEach((label, typed) -> types(page, label, typed));
    page.locator("aside button[type=submit]").click();
  }

  private static void types(Page page, String label, String typed) {
    Locator field =
        page.locator("aside").getByLabel(label, new Locator.GetByLabelOptions().setExact(true));
    if ("combobox".equals(field.getAttribute("role"))) {
      field.pressSequentially(typed);
      page.getByRole(AriaRole.OPTION).getByText(typed).first().click();
    } else {
      field.fill(typed);
    }
  }

  private static void bringsAPastRun(Page page) {
    page.navigate("/setup/runs?bring");
    String book =
        """
        Pump;Installed;Removed;Elastomer;Run hours;Outcome
        SCR-40;2.1.2025;1.6.2025;TPC-ET;1800,5;burst
        """;
    page.getByLabel("Past runs as CSV or XLSX")
        .setInputFiles(
            new FilePayload("book.csv", "text/csv", book.getBytes(StandardCharsets.UTF_8)));
    button(page, "failed").click();
    button(page, "Bring 1 row").click();
    assertThat(page.getByText("Brought: ")).isVisible();
  }

  private static void rebuilds(Page page, RunningApp app) {
    ApiClient lead = app.api().as("MA");
    bringsAPastRun(page);
    BenchPage bench = new BenchPage(page);
    bench.bringsToTheBench("SCR-40");
    bench.takesIn("Wet-end kit", "due");
    ApiClient.Job job =
        bench.job(lead).makesSafe().strips().inspects().decides("single", "EPDM").builds().proves();
    bench.opens(job);
    bench.handsBack("MA");
    assertThat(lead.get("/api/v1/rebuilds/1/record.pdf").status()).isEqualTo(200);
    page.navigate("/life?pump=SCR-40");
    assertThat(page.locator("h1")).isVisible();
    page.navigate("/diary");
    button(page, "Plan the work").click();
    assertThat(button(page, "Plan the work")).isEnabled();
  }

  private static void isShownOtherMoneyAndUnits(Page page) {
    page.navigate("/pumps/SCR-40");
    assertThat(page.getByText("40 °C").first()).isVisible();
    page.navigate("/setup");
    page.getByLabel("Currency of the shop").fill("USD");
    page.getByLabel("Unit of temperature").selectOption("fahrenheit");
    page.getByLabel("Unit of torque").selectOption("pound-foot");
    page.getByLabel("How days are written").selectOption("month-first");
    assertThat(page.getByText("Amounts that stand are not converted.")).isVisible();
    page.getByText("Keep it").click();
    assertThat(page.getByText("Keep it")).hasCount(0);
    page.navigate("/pumps/SCR-40");
    assertThat(page.getByText("104 °F").first()).isVisible();
    page.navigate("/wet-ends/SCR-40");
    assertThat(page.getByText("$ per 1000 h").first()).isVisible();
  }

  private static Locator button(Page page, String name) {
    return page.getByRole(
        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
  }
}
