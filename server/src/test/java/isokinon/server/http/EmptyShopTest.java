package isokinon.server.http;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.server.ApiClient;
import isokinon.server.LocalApiClient;
import isokinon.server.MillTest;
import isokinon.server.access.People;
import java.io.BufferedReader;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.context.annotation.Import;

/** A shop on its first day: no pump, no rebuild, nobody but the first lead. */
@Tag("slow")
@SpringBootTest(
    webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT,
    properties = {
      "spring.datasource.url=jdbc:h2:mem:empty;DB_CLOSE_DELAY=-1",
      "isokinon.body-deadline=400ms"
    })
@Import({MillTest.FixedClock.class, LocalApiClient.class})
class EmptyShopTest {

  @Autowired private ApiClient desk;
  @LocalServerPort private int port;

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

  /** A body that trickles in holds a thread that others wait for. */
  @Test
  void aBodyThatComesTooSlowlyIsRefused() throws Exception {
    try (Socket slow = new Socket("127.0.0.1", port)) {
      OutputStream out = slow.getOutputStream();
      String head =
          "POST /api/v1/compute/plan HTTP/1.1\r\nHost: 127.0.0.1:"
              + port
              + "\r\nContent-Type: application/json\r\nContent-Length: 1000\r\n\r\n";
      out.write(head.getBytes(StandardCharsets.US_ASCII));
      for (int i = 0; i < 100 && slow.getInputStream().available() == 0; i++) {
        out.write(' ');
        out.flush();
        Thread.sleep(80);
      }
      String answer =
          new BufferedReader(
                  new InputStreamReader(slow.getInputStream(), StandardCharsets.US_ASCII))
              .readLine();
      assertThat(answer).contains(" 408");
    }
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
