package isokinon.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Every place as it is met: by day and by night, and on a narrow tablet. */
class PlacesJourneyTest extends AtTheMill {

  /** Places that somebody looks up beside the pump. */
  private static final Set<String> ON_A_PHONE =
      Set.of("/", "/pumps/EFF-03", "/symptoms", "/symptoms/SCR-07", "/bench", "/stores");

  @Test
  void everyPlaceIsReadableByDayAndNightAndFitsANarrowTablet() {
    Page page = shop.device("RT");
    for (String place :
        List.of(
            "/",
            "/pumps/EFF-02",
            "/pumps/EFF-03",
            "/wet-ends",
            "/wet-ends/EFF-02",
            "/wet-ends/SCR-01",
            "/wet-ends/typed",
            "/symptoms",
            "/symptoms/SCR-07",
            "/symptoms/EFF-03",
            "/library/gauges",
            "/library/materials",
            "/library/materials/acetic-acid",
            "/library/materials/acetic-acid/EPDM",
            "/bench",
            "/stores",
            "/life",
            "/diary",
            "/setup",
            "/setup/pumps",
            "/library",
            "/library/tube-four-arm-16",
            "/nowhere/at/all")) {
      page.navigate(place);
      Shop.isThere(page);
      Shop.accessibleByDayAndNight(page);
      Shop.boxesAreApart(page);
      page.setViewportSize(820, 1180);
      Shop.boxesAreApart(page);
      if (ON_A_PHONE.contains(place)) {
        page.setViewportSize(390, 844);
        Shop.boxesAreApart(page);
      }
      page.setViewportSize(1280, 800);
    }
    page.navigate("/wet-ends/EFF-02");
    assertThat(page.getByText("Ruled out by this duty")).isVisible();
    Shop.picture(page, "wet-ends");
    page.navigate("/pumps/SCR-07");
    assertThat(page.getByText("Three years, and what is ahead")).isVisible();
    Shop.picture(page, "pump");
    page.navigate("/setup/pumps");
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("SCR-03")).click();
    Shop.picture(page, "setup");
  }
}
