package isokinon.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** From past records to a forecast, a policy, an order and a week's plan. */
class HistoryJourneyTest extends AtItsOwnMill {

  private static Locator button(Page page, String name) {
    return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
  }

  private static Locator starting(Page page, String name) {
    return page.getByRole(
        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^" + name)));
  }

  private static void choose(Page page, String what, String option) {
    starting(page, what + ":").click();
    page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(option).setExact(true))
        .click();
  }

  private static FilePayload table(String text) {
    return new FilePayload("old-book.csv", "text/csv", text.getBytes(StandardCharsets.UTF_8));
  }

  @Test
  void thePastComesInFromTheShopsOwnTableAndTellsWhatItCouldNotBefore() {
    Page page = shop.device("MA");
    page.navigate("/life?pump=EFF-07");
    assertThat(page.locator("h1")).containsText("Not enough runs to tell");
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Past runs in and out"))
        .click();
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Bring past runs")).click();
    StringBuilder book = new StringBuilder("Asset;Installed;Removed;Elastomer;Run hours;Outcome\n");
    for (int i = 0; i < 7; i++) {
      book.append(
          "EFF-07;1.%d.2021;20.%d.2021;NR hose;%d;burst\n".formatted(i + 1, i + 1, 95 + 4 * i));
    }
    page.getByLabel("Past runs as CSV or XLSX")
        .setInputFiles(table(book + "EFF-99;1.1.2021;2.2.2021;NR hose;9;burst\n"));
    Locator burst =
        page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("What burst is"));
    burst.getByText("failed").click();
    assertThat(page.getByText("Nothing here is called \"EFF-99\".")).isVisible();
    assertThat(button(page, "Bring 7 rows")).isDisabled();
    Shop.accessible(page);
    button(page, "Leave 1 out, bring 7").click();
    assertThat(page.getByText("Brought: ")).containsText("7 new");
    page.navigate("/life?pump=EFF-07");
    assertThat(page.locator("h1")).not().containsText("Not enough runs to tell");
    assertThat(page.getByText("7 failed,")).isVisible();
  }

  private static final List<List<String>> TWO_PUMPS =
      List.of(
          List.of(
              "Tag",
              "Area",
              "Construction",
              "Description",
              "Hours a day",
              "Membrane",
              "Age",
              "Interval",
              "Medium",
              "Temp"),
          List.of(
              "YRN-01",
              "Yarn store",
              "aodd-bolted-plastic-25",
              "Size to bath 1",
              "16",
              "EPDM",
              "120",
              "2500",
              "water",
              "40"),
          List.of(
              "YRN-02",
              "Yarn store",
              "aodd-bolted-plastic-25",
              "Size to bath 2",
              "16",
              "EPDM",
              "80",
              "2500",
              "Walkwasser",
              "40"));

  private static final List<List<String>> TWO_RUNS =
      List.of(
          List.of("Pump", "Elastomer", "Installed", "Removed", "Run hours", "Outcome"),
          List.of("YRN-01", "EPDM", "1.2.2024", "1.7.2024", "1800,5", "failed"),
          List.of("YRN-02", "EPDM", "1.2.2024", "1.7.2024", "1700,5", "burst"));

  @Test
  void aWorkbookOfPumpsAndTheirRunsComesAtOnceAndIsTakenBackAtOnce() {
    Page page = shop.device("MA");
    page.navigate("/setup/workbook");
    Map<String, List<List<String>>> sheets = new LinkedHashMap<>();
    sheets.put("Book of runs", TWO_RUNS);
    sheets.put("Pumps", TWO_PUMPS);
    page.getByLabel("Workbook as XLSX")
        .setInputFiles(
            new FilePayload("yarn.xlsx", "application/octet-stream", Workbook.of(sheets)));
    assertThat(page.getByText("2 sheets of yarn.xlsx")).isVisible();
    choose(page, "Table of Book of runs", "Past runs");
    page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("What Walkwasser is"))
        .pressSequentially("wat");
    page.getByRole(AriaRole.OPTION).getByText("water").first().click();
    page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("What burst is"))
        .getByText("failed")
        .click();
    Shop.accessible(page);
    button(page, "Bring 4 rows").click();
    assertThat(page.getByText("Brought: ")).containsText("4 new");
    page.getByText("To the set-up").click();
    assertThat(page.getByText("4 rows of 2 tables")).isVisible();
    page.navigate("/pumps/YRN-02");
    assertThat(page.getByText("Size to bath 2")).isVisible();
    page.navigate("/setup");
    button(page, "Take it back").click();
    assertThat(page.getByText("4 rows of 2 tables")).hasCount(0);
    page.navigate("/pumps/YRN-02");
    assertThat(page.getByText("No pump is called YRN-02.")).isVisible();
  }

  @Test
  void aLeadSeesWhatTheDataTakeAndHasThemCompacted() {
    Page technician = shop.device("RT");
    technician.navigate("/life/history");
    assertThat(technician.getByText("Past runs, in and out")).isVisible();
    assertThat(technician.getByText("Size of the data")).hasCount(0);
    Page page = shop.device("MA");
    page.navigate("/life/history");
    assertThat(page.getByText("free on its disk")).isVisible();
    button(page, "Compact it now").click();
    assertThat(page.getByText("given back")).isVisible();
    Shop.accessible(page);
    Shop.picture(page, "storage");
    page.navigate("/stores?lot=L-0417");
    assertThat(starting(page, "Hold a piece of L-0417")).isVisible();
  }

  @Test
  void theRecordsSayWhatToChangeAndLeadThere() {
    Page page = shop.device("MA");
    page.navigate("/life");
    assertThat(page.locator("h1")).containsText(Pattern.compile("things to change, worth £"));
    assertThat(page.getByText("EFF-04 fails at any age")).isVisible();
    Shop.picture(page, "life-found");
    Shop.accessible(page);
    page.getByText("EPDM diaphragms in recovered wool grease give out sooner").click();
    assertThat(page.getByText("11 failed").first()).isVisible();
    choose(page, "Compare with", "FKM in the same duty");
    assertThat(page.getByText("lasts longer than")).isVisible();
  }

  private static void stands(Page page, String unit) {
    assertThat(page.locator("main header").getByText("unit " + unit)).isVisible();
  }

  @Test
  void aUnitOfTheShelfGoesInAndTheOtherIsFoundThere() {
    Page page = shop.device("RT");
    page.navigate("/pumps/DYE-04");
    stands(page, "DP25-0302");
    page.getByText("Another unit stands here").click();
    choose(page, "Which unit", "DP25-0372, on the shelf at R2");
    page.getByLabel("Where DP25-0302 is put").fill("R4");
    Shop.accessible(page);
    button(page, "It is in").click();
    stands(page, "DP25-0372");
    assertThat(page.getByText("unit moved to the shelf").first()).isVisible();
    page.navigate("/stores");
    assertThat(page.getByText(Pattern.compile("PTFE, place R4"))).isVisible();
  }

  @Test
  void twoUnitsChangePlacesAndTheirSetsGoAlong() {
    Page page = shop.device("RT");
    page.navigate("/pumps/SCR-05");
    stands(page, "TH8-0220");
    page.getByText("Another unit stands here").click();
    choose(page, "Which unit", "the one at DYE-01");
    button(page, "They changed places").click();
    // Each duty attacks a part of the other unit, so it asks for a reason first.
    page.getByLabel("Why it goes there all the same")
        .or(page.locator("main header").getByText("unit TH8-0241"))
        .first()
        .waitFor();
    if (page.getByLabel("Why it goes there all the same").isVisible()) {
      Shop.accessible(page);
      page.getByLabel("Why it goes there all the same").fill("its own is at the bench");
      button(page, "They changed places").click();
    }
    stands(page, "TH8-0241");
    assertThat(page.getByText("unit moved to DYE-01")).isVisible();
    page.navigate("/pumps/DYE-01");
    stands(page, "TH8-0220");
    assertThat(page.getByText("unit moved to SCR-05")).isVisible();
  }

  @Test
  void threePoliciesStandBesideEachOtherAndTheChosenOneMovesTheFloor() {
    Page page = shop.device("MA");
    page.navigate("/life?pump=EFF-02");
    assertThat(page.locator("h1")).containsText(Pattern.compile("Renew at [\\d\\u2009]+ h"));
    for (String way : new String[] {"Renew at a fixed age", "Run until it fails", "Look, renew"}) {
      assertThat(starting(page, way)).isVisible();
    }
    assertThat(page.getByText("a year over the best")).isVisible();
    choose(page, "Compare with", "TPC-ET in scour liquor");
    assertThat(page.getByText("Log-rank test:")).isVisible();
    Shop.accessible(page);
    page.getByLabel("A failure, all in, £").fill("190");
    page.keyboard().press("Enter");
    assertThat(page.locator("h1")).not().containsText("hardly dearer");
    page.getByLabel("A failure, all in, £").fill("2000");
    page.keyboard().press("Enter");
    assertThat(page.locator("h1")).containsText("hardly dearer");
    Locator set = starting(page, "Set ");
    String hours = set.innerText().replaceAll("Set (.*) h for.*", "$1");
    set.click();
    assertThat(page.getByText("Set for EFF-02. The floor counts to it.")).isVisible();
    page.navigate("/?pump=EFF-02");
    assertThat(page.getByText("Fixed interval " + hours + " h")).isVisible();
  }

  @Test
  void thePumpsOfAGroupStandAgainstEachOther() {
    Page page = shop.device("RT");
    page.navigate("/life?pump=BLE-02");
    assertThat(page.getByText("of BLE-02 count in full")).isVisible();
    assertThat(page.getByText("Curve and facts agree")).isVisible();
    assertThat(page.getByText("wears, times the others")).isVisible();
    assertThat(page.getByLabel(Pattern.compile("EFF-01: \\d+ runs, \\d+ failed, wears")))
        .isVisible();
    assertThat(page.getByText("Knowing this life exactly")).isVisible();
    Shop.accessible(page);
    Shop.picture(page, "life");
    page.navigate("/life?pump=EFF-04");
    assertThat(page.getByText("EFF-04 ran dry 5 times: about £"))
        .containsText("pays within a year");
    assertThat(page.getByText("at any age; a dry-run guard may cost up to")).isVisible();
    Shop.accessible(page);
  }

  @Test
  void howOftenForecastsWereRightIsSeen() {
    Page page = shop.device("RT");
    page.navigate("/life");
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("How often it was right"))
        .click();
    assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)))
        .containsText(Pattern.compile("It said \\d+ would fail. \\d+ did."));
    assertThat(page.getByLabel(Pattern.compile("Called at \\d+ in 100: \\d+ of"))).isVisible();
    assertThat(page.getByLabel(Pattern.compile("As advised: \\d+ sets"))).isVisible();
    Shop.accessible(page);
    page.getByLabel("Part: all kinds of part").click();
    page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("tube")).click();
    assertThat(page).hasURL(Pattern.compile("role=tube"));
  }

  @Test
  void theYearIsPlayedAndOneChangeIsTriedBesideIt() {
    Page page = shop.device("MA");
    page.navigate("/diary");
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("The year ahead")).click();
    assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)))
        .containsText(Pattern.compile("As advised £.* failures; *as today £"));
    assertThat(page.getByText("with the same luck")).isVisible();
    page.getByText("A dry-run guard on EFF-04").click();
    assertThat(page.getByText(Pattern.compile("Failures a year: \\d\\.\\d fewer"))).isVisible();
    Shop.accessible(page);
    Shop.picture(page, "year");
    page.getByLabel("Pump", new Page.GetByLabelOptions().setExact(true)).fill("nobody");
    button(page, "Try it").last().click();
    assertThat(page.getByText("No pump of this year is called NOBODY.")).isVisible();
    page.getByLabel("People: people as they are").click();
    page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("one person less")).click();
    assertThat(page.getByText(Pattern.compile("the shifts hold (32|38) h a week"))).isVisible();
    button(page, "Take the advised ages").click();
    assertThat(button(page, "Yes, keep every pump as advised")).isVisible();
  }

  @Test
  void aKitIsHeldHandedOutAndBookedAndTheOverAgeOneScrapped() {
    Page page = shop.device("SB");
    page.navigate("/stores");
    assertThat(page.getByText("L-0120").first()).isVisible();
    assertThat(page.getByText("over-age since").first()).isVisible();
    Shop.accessible(page);
    Shop.picture(page, "stores");
    button(page, "Scrapped").first().click();
    assertThat(page.getByText("Past their dates")).hasCount(0);
    BenchPage bench = new BenchPage(shop.device("RT"));
    bench.page().navigate("/pumps/BLE-06");
    bench.press("Bring to the bench");
    bench.stands("Take in");
    page.navigate("/stores?lot=L-0417");
    choose(page, "Hold a piece of L-0417", "EFF-05");
    assertThat(page.getByText("Held for")).isVisible();
    button(page, "Hand one out to BLE-06").click();
    assertThat(page.getByText("Out at the bench")).isVisible();
    assertThat(page.getByText("1 there")).isVisible();
    button(page, "Back on the shelf").click();
    assertThat(page.getByText("2 there")).isVisible();
    button(page, "Let go").click();
    assertThat(page.getByText("Held for")).hasCount(0);
  }

  @Test
  void theWorkIsPlannedAJobIsTakenElsewhereAndStaysThere() {
    Page page = shop.device("MA");
    page.navigate("/diary");
    assertThat(page.getByText("Plan the work to place them.")).isVisible();
    button(page, "Plan the work").click();
    Locator job = starting(page, "SCR-03, ");
    assertThat(job).isVisible();
    job.click();
    assertThat(page.getByText("chance of failing before it is done")).isVisible();
    Shop.accessible(page);
    Shop.picture(page, "diary");
    // Early in a shift of next week's first days: every weekday's hours hold it.
    Locator lane =
        page.locator(
                "[data-day='7'][data-who='RT'], [data-day='8'][data-who='RT'],"
                    + " [data-day='9'][data-who='RT']")
            .first();
    String before = job.getAttribute("aria-label");
    BoundingBox from = job.boundingBox();
    BoundingBox to = lane.boundingBox();
    BoundingBox eight =
        page.getByText("08:00", new Page.GetByTextOptions().setExact(true)).first().boundingBox();
    double begins = eight.x + eight.width / 2;
    page.mouse().move(from.x + 20, from.y + 10);
    page.mouse().down();
    page.mouse().move(begins + 60, to.y + 12);
    page.mouse().move(begins + 20, to.y + 12);
    page.mouse().up();
    assertThat(starting(page, "SCR-03, "))
        .hasAttribute("aria-label", Pattern.compile("08:00 to .*, RT, pinned$"));
    org.junit.jupiter.api.Assertions.assertNotEquals(
        before, starting(page, "SCR-03, ").getAttribute("aria-label"));
    button(page, "Let it go").click();
    assertThat(starting(page, "SCR-03, "))
        .not()
        .hasAttribute("aria-label", Pattern.compile("pinned$"));
    page.getByLabel("Scan or find anything").fill("L-1101");
    page.keyboard().press("Enter");
    page.waitForURL("**/stores?lot=L-1101");
    page.getByLabel("Scan or find anything").fill("SCR-03");
    page.keyboard().press("Enter");
    page.waitForURL("**/pumps/SCR-03");
  }
}
