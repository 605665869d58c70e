package isokinon.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.TimeoutError;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.ReducedMotion;
import com.microsoft.playwright.options.RequestOptions;
import com.microsoft.playwright.options.ServiceWorkerPolicy;
import com.microsoft.playwright.options.WaitForSelectorState;
import isokinon.server.ApiClient;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/**
 * The devices of the shop: browsers that people stand at. With {@code -Dscreens=DIR} the pictures
 * of the main views are written there.
 */
final class Shop implements AutoCloseable {

  private static final String BOXES = script("boxes.js");

  private static final String SCREENS = System.getProperty("screens", "");

  /** Debian's Chromium without a window: the same pages in half the time of the one with. */
  private static final Path CHROMIUM = Path.of("/usr/bin/chromium-headless-shell");

  /** One browser for all journeys of this process; each device in it has a profile of its own. */
  private static final Browser BROWSER = launched();

  private final Browser browser;
  private final String address;
  private final List<BrowserContext> devices = new ArrayList<>();

  Shop(RunningApp app) {
    this(app, BROWSER);
  }

  private Shop(RunningApp app, Browser browser) {
    this.browser = browser;
    PlaywrightAssertions.setDefaultAssertionTimeout(
        15_000); // a busy machine is no fault of a screen
    address = app.address();
  }

  /** A browser that takes the certificate with this key as one of an authority it knows. */
  Shop(RunningApp app, String keyDigest) {
    this(app, launched("--ignore-certificate-errors-spki-list=" + keyDigest));
  }

  /** Tablets whose camera sees one still picture, a JPEG. */
  static Shop withCamera(RunningApp app, Path still) {
    return new Shop(
        app,
        launched(
            "--use-fake-ui-for-media-stream",
            "--use-fake-device-for-media-stream",
            "--use-file-for-fake-video-capture=" + still));
  }

  private static Browser launched(String... more) {
    Playwright playwright =
        Playwright.create(
            new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
    Runtime.getRuntime().addShutdownHook(new Thread(playwright::close));
    return playwright
        .chromium()
        .launch(
            new BrowserType.LaunchOptions()
                .setExecutablePath(CHROMIUM)
                .setArgs(
                    Stream.concat(
                            Stream.of(
                                "--no-sandbox",
                                "--disable-gpu",
                                "--disable-quic",
                                "--no-first-run",
                                "--disable-background-networking",
                                "--disable-component-update",
                                "--disable-sync"),
                            Stream.of(more))
                        .toList()));
  }

  /** A tablet at the bench with somebody signed in; it asks nobody but the application. */
  Page device(String who) {
    return device(who, 1280, 800);
  }

  Page device(String who, int width, int height) {
    return device(who, width, height, ServiceWorkerPolicy.BLOCK);
  }

  /** A tablet that keeps the screens, so that they open without the server. */
  Page tablet(String who) {
    return device(who, 1280, 800, ServiceWorkerPolicy.ALLOW);
  }

  private Page device(String who, int width, int height, ServiceWorkerPolicy keepsScreens) {
    BrowserContext context =
        browser.newContext(
            new Browser.NewContextOptions()
                .setBaseURL(address)
                .setViewportSize(width, height)
                .setServiceWorkers(keepsScreens)
                .setReducedMotion(ReducedMotion.REDUCE));
    devices.add(context);
    if (!who.isEmpty()) {
      context
          .request()
          .post(
              address + "/api/v1/session",
              RequestOptions.create()
                  .setData(
                      Map.of("initials", who, "pin", ApiClient.pin(who), "device", "bench 2")));
    }
    Page page = context.newPage();
    page.onRequest(
        r ->
            assertThat(r.url().replaceFirst("^blob:", ""))
                .as("no request leaves the machine")
                .startsWith(address));
    page.onConsoleMessage(
        m -> {
          if (m.text().contains("Content Security Policy")) {
            throw new AssertionError("against the policy of the page: " + m.text());
          }
        });
    page.onPageError(
        e -> {
          throw new AssertionError("the page failed: " + e);
        });
    return page;
  }

  /** No serious fault for those who cannot see well, by day or by night. */
  static void accessibleByDayAndNight(Page page) {
    accessible(page);
    // Only colours differ at night.
    noSeriousFault(page, "night", "{ runOnly: ['color-contrast'] }");
    wears(page, "day");
  }

  /** No serious fault for those who cannot see well, by day. */
  static void accessible(Page page) {
    if (page.evaluate("() => window.axe === undefined").equals(true)) {
      page.evaluate(AxeBuilder.getAxeScript());
    }
    noSeriousFault(page, "day", "{}");
  }

  /** Asks only for what is wrong: a list of all that is right would take as long again. */
  private static void noSeriousFault(Page page, String theme, String rules) {
    wears(page, theme);
    Object faults =
        page.evaluate(
            "async () => (await axe.run({ resultTypes: ['violations'], ..."
                + rules
                + " })).violations"
                + ".filter(v => ['serious', 'critical'].includes(v.impact))"
                + ".map(v => v.id + ': ' + v.nodes.slice(0, 3)"
                + ".map(n => n.html + ' ' + n.failureSummary).join(' | '))");
    assertThat((List<?>) faults).as(theme + " of " + page.url()).isEmpty();
  }

  private static void wears(Page page, String theme) {
    page.evaluate("t => { document.documentElement.dataset.theme = t }", theme);
  }

  /** The page has its heading, and nothing on it waits for an answer any more. */
  static void isThere(Page page) {
    page.locator("h1, h2")
        .first()
        .waitFor(new Locator.WaitForOptions().setState(WaitForSelectorState.ATTACHED));
    PlaywrightAssertions.assertThat(page.locator(".waiting")).hasCount(0);
  }

  /** The first lead of an empty shop, by the code that its server printed. */
  static void firstLeadSignsIn(Page page, RunningApp app) {
    page.getByLabel("Start code").fill(app.startCode());
    page.getByLabel("Your initials").fill("MA");
    page.getByLabel("Your PIN").fill(ApiClient.pin("MA"));
    page.keyboard().press("Enter");
    PlaywrightAssertions.assertThat(page.getByLabel("MA stands here")).isVisible();
  }

  /** What ends to the right of the window, as text: the first ten, with where they end, in px. */
  private static final String STICKS_OUT =
      """
      () => [...document.querySelectorAll("body *")]
        .map((e) => [e.tagName, String(e.className), Math.round(e.getBoundingClientRect().right)])
        .filter(([, , right]) => right > document.documentElement.clientWidth)
        .slice(0, 10)
        .join(" | ") || `now ${document.documentElement.scrollWidth} px wide, nothing sticks out`""";

  /**
   * Nothing sticks out to the right of the window, once the drawings have taken its width. A busy
   * machine may take its time for that; what still sticks out then is named.
   */
  static void fitsItsWidth(Page page) {
    try {
      page.waitForFunction(
          "() => document.documentElement.scrollWidth <= document.documentElement.clientWidth",
          null,
          new Page.WaitForFunctionOptions().setPollingInterval(40).setTimeout(15_000));
    } catch (TimeoutError e) {
      throw new AssertionError(
          "wider than its window: " + page.url() + " " + page.evaluate(STICKS_OUT), e);
    }
  }

  /** No text of the page lies over another, is cut, or sticks out; by day and by night alike. */
  static void boxesAreApart(Page page) {
    fitsItsWidth(page);
    for (String theme : List.of("night", "day")) {
      wears(page, theme);
      String where = theme + " of " + page.url() + " at " + page.viewportSize().width + " px";
      assertThat((List<?>) page.evaluate(BOXES)).as(where).isEmpty();
    }
  }

  /** The same on a phone, on a narrow tablet, at the desk. */
  static void fitsEveryDevice(Page page) {
    page.setViewportSize(390, 844);
    boxesAreApart(page);
    page.setViewportSize(820, 1180);
    boxesAreApart(page);
    page.setViewportSize(1280, 800);
    boxesAreApart(page);
  }

  private static String script(String name) {
    try (InputStream in = Shop.class.getResourceAsStream(name)) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Keeps the picture of a main view where pictures are asked for. */
  static void picture(Page page, String name) {
    if (!SCREENS.isEmpty()) {
      page.evaluate("() => document.activeElement?.blur()");
      page.waitForTimeout(1_500); // strips and drawings come after the page
      page.screenshot(new Page.ScreenshotOptions().setPath(Path.of(SCREENS, name + ".png")));
    }
  }

  @Override
  public void close() {
    devices.forEach(BrowserContext::close);
  }
}
