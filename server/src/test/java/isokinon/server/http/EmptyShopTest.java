package isokinon.server.http;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.server.ApiClient;
import isokinon.server.LocalApiClient;
import isokinon.server.MillTest;
import isokinon.server.access.People;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.context.annotation.Import;

/** A shop on its first day: no pump, no rebuild, nobody but the first lead. */
@Tag("slow")
@SpringBootTest(
    webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT,
    properties = "spring.datasource.url=jdbc:h2:mem:empty;DB_CLOSE_DELAY=-1")
@Import({MillTest.FixedClock.class, LocalApiClient.class})
class EmptyShopTest {

  @Autowired private ApiClient desk;

  /** Somebody has to be there to look. */
  @BeforeAll
  static void theFirstLeadComes(@Autowired People people) {
    people.firstLead("MA", ApiClient.pin("MA"));
  }

  @Test
  void nothingThereIsNoFault() {
    assertThat(desk.get("/api/v1/floor").body().path("areas")).isEmpty();
    assertThat(desk.get("/api/v1/floor").body().path("site").asText()).as("no name yet").isEmpty();
    assertThat(desk.get("/api/v1/people").body()).hasSize(1);
    assertThat(desk.get("/api/v1/rebuilds").body()).isEmpty();
  }

  @Test
  void theShippedSheetsAreThereFromTheStart() {
    assertThat(desk.get("/api/v1/sheets").body().findValuesAsText("id"))
        .contains("aodd-bolted-plastic-25");
  }

  @Test
  void theDemoMillIsLoadedOnlyWhenAskedFor() {
    assertThat(desk.get("/api/v1/pumps/EFF-02").status()).isEqualTo(404);
  }
}
