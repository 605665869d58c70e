package isokinon.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.TimeoutError;
import com.microsoft.playwright.options.AriaRole;
import isokinon.server.ApiClient;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Someone at the bench in a browser: presses, types and reads as people do. */
final class BenchPage {

  private final Page page;

  BenchPage(Page page) {
    this.page = page;
  }

  Page page() {
    return page;
  }

  Locator button(String name) {
    return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
  }

  /** The button whose name begins so: it says more when something is missing. */
  Locator main(String begins) {
    return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(beginning(begins)));
  }

  /** A pattern that the browser understands too. */
  static Pattern beginning(String text) {
    return Pattern.compile("^" + text.replaceAll("([.?()])", "\\\\$1"));
  }

  void press(String begins) {
    main(begins).first().click();
  }

  void stands(String stage) {
    assertThat(page.locator("[aria-current=step]")).containsText(stage);
  }

  boolean standsIn(String stage) {
    return page.locator("[aria-current=step]").innerText().startsWith(stage);
  }

  String sentence() {
    return page.locator("h2").first().innerText();
  }

  /** The job on the page, for a client that brings it quickly to another stage. */
  ApiClient.Job job(ApiClient api) {
    page.waitForURL("**/bench/*");
    return api.jobAtTheBench(Long.parseLong(page.url().replaceAll(".*/bench/(\\d+).*", "$1")));
  }

  /** Opens a job as it stands. */
  void opens(ApiClient.Job job) {
    page.navigate("/bench/" + job.id());
    assertThat(page.locator("[aria-current=step]")).isVisible();
  }

  void sees(String words) {
    assertThat(page.getByText(words).first()).isVisible();
  }

  /** Waits for what a script says; it is asked at a rhythm, for every frame would cost as much. */
  private void waitsUntil(String script, Object with) {
    page.waitForFunction(script, with, new Page.WaitForFunctionOptions().setPollingInterval(40));
  }

  // ---- the stages -----------------------------------------------------------------------------

  void bringsToTheBench(String tag) {
    page.navigate("/");
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(beginning(tag + ",")))
        .click();
    assertThat(
            page.getByRole(
                AriaRole.HEADING, new Page.GetByRoleOptions().setName(tag).setExact(true)))
        .isVisible();
    press("Bring to the bench");
    stands("Take in");
  }

  void takesIn(String kit, String reason) {
    button("Due").click();
    page.getByLabel("In words: what was seen").fill(reason);
    press(kit);
    assertThat(page.getByText("steps to strip")).isVisible();
    press("Take it in");
    stands("Make safe");
  }

  void provesEveryEnergy() {
    Locator fields = page.locator("section[aria-label=Energies] form input");
    while (fields.count() > 0) {
      int left = fields.count();
      String asked = fields.first().locator("xpath=ancestor::li").innerText();
      fields.first().fill(asked.contains("pH of") ? "7" : "0");
      fields.first().press("Enter");
      assertThat(fields).hasCount(left - 1);
    }
    Locator confirms = page.locator("section[aria-label=Energies] li > button, aside button");
    while (confirms.count() > 0) {
      int left = confirms.count();
      boolean licensed = confirms.first().innerText().contains("licensed signs");
      confirms.first().click();
      if (licensed) {
        signs("KO");
      }
      assertThat(confirms).hasCount(left - 1);
    }
  }

  /** Another person comes to this device and signs. */
  void signs(String who) {
    Locator dialog = page.getByRole(AriaRole.DIALOG);
    dialog
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(beginning(who + ",")))
        .click();
    for (String digit : ApiClient.pin(who).split("")) {
      dialog
          .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(digit).setExact(true))
          .click();
    }
    dialog
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Sign").setExact(true))
        .click();
    assertThat(dialog).hasCount(0);
  }

  void opensTheStrip() {
    press("Open the strip");
    stands("Strip");
  }

  void makesSafe() {
    provesEveryEnergy();
    opensTheStrip();
  }

  void answersChecks() {
    putsBackMatchedParts();
    Locator open = page.locator("ul[aria-label=Checks] li:has(button)");
    while (open.count() > 0) {
      int left = open.count();
      Locator first = open.first();
      if (first.locator("input").count() > 0) {
        for (Locator field : first.locator("input").all()) {
          field.fill(within(first.innerText()));
        }
        first.locator("input").last().press("Enter");
      } else {
        first.locator("button.press").click();
      }
      assertThat(open).hasCount(left - 1);
    }
  }

  /** Puts every matched part back to the place it came from. */
  void putsBackMatchedParts() {
    Locator open = page.locator("section li:has([role=group][aria-label^='Piece for the place'])");
    while (open.count() > 0) {
      int left = open.count();
      String name = open.first().locator("span").first().innerText();
      open.first()
          .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(name).setExact(true))
          .click();
      assertThat(open).hasCount(left - 1);
    }
  }

  /** A reading within the limits that are written beside its question. */
  private static String within(String words) {
    Matcher least = Pattern.compile("at least ([\\d.]+)").matcher(words);
    Matcher most = Pattern.compile("at most ([\\d.]+)").matcher(words);
    return least.find() ? least.group(1) : most.find() ? most.group(1) : "1";
  }

  /** Chooses for every role the first material that is offered. */
  void choosesMaterials() {
    Locator open =
        page.getByRole(
            AriaRole.BUTTON,
            new Page.GetByRoleOptions().setName(Pattern.compile("^Material of the .*: choose$")));
    while (open.count() > 0) {
      int left = open.count();
      open.first().click();
      page.getByRole(AriaRole.OPTION).nth(1).click();
      assertThat(open).hasCount(left - 1);
    }
  }

  void booksTheRestAsSingleParts() {
    Locator bag = page.getByLabel("number on the bag");
    if (bag.count() > 0) {
      bag.fill("bag 77");
      bag.press("Enter");
      assertThat(bag).hasCount(0);
    }
  }

  /** Presses what ends the step and waits until another is in hand, or another stage. */
  void done(String begins) {
    String before = page.locator("main").innerText();
    try {
      press(begins);
    } catch (TimeoutError e) {
      throw new AssertionError(
          "\"" + begins + "\" cannot be pressed: " + page.locator("main").innerText(), e);
    }
    waitsUntil("before => document.querySelector('main').innerText !== before", before);
    page.waitForTimeout(30);
  }

  void stripsAll() {
    while (standsIn("Strip")) {
      answersChecks();
      done("Off, next step");
    }
  }

  /** Judges the part in hand and waits until another is. */
  void judges(String verdict) {
    String group =
        page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName(beginning("Judge")))
            .getAttribute("aria-label");
    button(verdict).last().click();
    waitsUntil(
        "g => document.querySelector('[aria-label^=\"Judge\"]')?.getAttribute('aria-label') !== g",
        group);
  }

  void judgesTheRestSound() {
    while (!main("All looked at").isVisible()) {
      judges("sound");
    }
    press("All looked at");
    stands("Decide");
  }

  void fits(String lot) {
    press("Fit this kit, lot " + lot);
    assertThat(main("Decided, build it")).isEnabled();
    press("Decided, build it");
    stands("Build");
  }

  /** Single parts for what is renewed, a material wherever one is asked for. */
  void decidesOnTheRest() {
    booksTheRestAsSingleParts();
    choosesMaterials();
    press("Decided, build it");
    stands("Build");
  }

  void handsBack(String who) {
    press("Sign it off");
    signs(who);
    press("Hand it back");
    sees("Handed back");
  }

  Locator reading() {
    return page.locator("#reading");
  }

  /** Goes round with the wrench until full torque is in hand. */
  void goesRoundTheEarlyPasses() {
    while (page.getByText(Pattern.compile("^Pass \\d of \\d")).isVisible()) {
      String pass = page.getByText(Pattern.compile("^Pass \\d of \\d")).innerText();
      button("Pass " + pass.charAt(5) + " is round").click();
      waitsUntil("p => ![...document.querySelectorAll('p')].some(e => e.innerText === p)", pass);
    }
  }

  /** Types a reading for the bolt in hand and waits until it is taken or refused. */
  void reads(String typed) {
    String bolt = page.locator("label[for=reading]").innerText();
    reading().fill(typed);
    reading().press("Enter");
    waitsUntil(
        "b => document.querySelector('label[for=reading]')?.innerText !== b || document.querySelector('[role=alert]') || document.querySelector('#reading')?.value === ''",
        bolt);
  }

  void readsTheRest(String typed) {
    while (reading().isVisible()) {
      reads(typed);
      page.waitForTimeout(40);
    }
    if (button("None moved").isVisible()) {
      button("None moved").click();
      waitsUntil(
          "() => ![...document.querySelectorAll('button')].some(b => b.innerText === 'None moved')",
          null);
    }
  }

  void torquesAt(String typed) {
    goesRoundTheEarlyPasses();
    readsTheRest(typed);
  }

  /** Builds steps until one whose sentence begins so is in hand, with its checks answered. */
  void buildsUpTo(String begins) {
    while (!sentence().contains(begins)) {
      buildsOne();
    }
    answersChecks();
  }

  /** Builds steps until one whose sentence begins so is in hand, its checks still open. */
  void buildsUpToUnanswered(String begins) {
    while (!sentence().contains(begins)) {
      buildsOne();
    }
  }

  void buildsOne() {
    answersChecks();
    String range =
        page.locator("label[for=reading] + span").count() > 0
            ? page.locator("label[for=reading] + span").innerText()
            : "";
    goesRoundTheEarlyPasses();
    if (reading().isVisible()) {
      range = page.locator("label[for=reading] + span").innerText();
    }
    if (!range.isEmpty()) {
      readsTheRest(range.split("–")[0]);
    }
    done("Done, next step");
  }

  void buildsTheRest() {
    while (standsIn("Build")) {
      buildsOne();
    }
  }

  /** Does the test in hand; where it must wait, says that it was timed otherwise. */
  void provesOne(String typed) {
    Locator current = page.locator("section[aria-label=Proof] li.bg-wash");
    String ask = current.locator("p").first().innerText();
    tries(current, typed);
    waitsUntil(
        "a => { const li = document.querySelector('section[aria-label=Proof] li.bg-wash');"
            + " return !li || li.querySelector('p').innerText !== a || li.querySelector('label input.field')"
            + " || li.querySelector('[role=alert]')"
            + " || li.querySelector('form input')?.value === ''; }",
        ask);
    Locator why = current.locator("label input.field");
    if (why.count() > 0) {
      why.fill("timed by the watch on the wall");
      tries(current, typed);
      waitsUntil(
          "a => document.querySelector('section[aria-label=Proof] li.bg-wash p')?.innerText !== a",
          ask);
    }
  }

  private static void tries(Locator test, String typed) {
    Locator field = test.locator("form input");
    if (field.count() > 0) {
      field.fill(typed.isEmpty() ? within(test.innerText()) : typed);
      field.press("Enter");
    } else {
      test.getByRole(
              AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Confirm")))
          .click();
    }
  }

  void provesTheRest() {
    while (!main("Proved, hand it back").isEnabled()) {
      provesOne("");
    }
    press("Proved, hand it back");
    stands("Hand back");
  }
}
