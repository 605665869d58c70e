package isokinon.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.microsoft.playwright.Page;
import isokinon.server.ApiClient;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.security.MessageDigest;
import java.util.Base64;
import javax.net.ssl.SSLHandshakeException;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** A shop on its own network: TLS only, by an authority of its own that tablets trust once. */
class LanJourneyTest {

  private static RunningApp mill;

  @BeforeAll
  static void opens() {
    mill = RunningApp.onTheNetwork();
  }

  @AfterAll
  static void closes() {
    mill.close();
  }

  @Test
  void whoTrustsTheAuthorityGetsInAndNobodyWithoutTls() throws Exception {
    HttpRequest session =
        HttpRequest.newBuilder(URI.create(mill.address() + "/api/v1/session")).build();
    assertThatThrownBy(() -> HttpClient.newHttpClient().send(session, BodyHandlers.ofString()))
        .isInstanceOf(SSLHandshakeException.class);

    HttpClient tablet = HttpClient.newBuilder().sslContext(Trust.of(mill.authority())).build();
    assertThat(tablet.send(session, BodyHandlers.ofString()).statusCode()).isEqualTo(200);
    HttpResponse<String> fetched =
        tablet.send(
            HttpRequest.newBuilder(URI.create(mill.address() + "/api/v1/authority/certificate"))
                .build(),
            BodyHandlers.ofString());
    assertThat(fetched.body()).isEqualTo(Files.readString(mill.authority()));
    HttpResponse<String> in =
        tablet.send(
            HttpRequest.newBuilder(URI.create(mill.address() + "/api/v1/session"))
                .header("content-type", "application/json")
                .POST(
                    HttpRequest.BodyPublishers.ofString(
                        "{\"initials\": \"RT\", \"pin\": \"%s\", \"device\": \"bench 2\"}"
                            .formatted(ApiClient.pin("RT"))))
                .build(),
            BodyHandlers.ofString());
    assertThat(in.headers().firstValue("set-cookie").orElse(""))
        .startsWith("__Host-isokinon=")
        .contains("Secure")
        .contains("HttpOnly")
        .contains("SameSite=Strict");

    assertThat(asks(tablet, "/actuator/health")).isEqualTo(200);
    assertThat(asks(tablet, "/actuator/prometheus"))
        .as("another machine watches it")
        .isEqualTo(401);

    HttpResponse<String> plain =
        HttpClient.newHttpClient()
            .send(
                HttpRequest.newBuilder(URI.create(mill.plainAddress() + "/api/v1/people")).build(),
                BodyHandlers.ofString());
    assertThat(plain.statusCode()).isEqualTo(308);
    assertThat(plain.headers().firstValue("location")).hasValue(mill.address() + "/api/v1/people");
    assertThat(plain.body()).isEmpty();
  }

  private static int asks(HttpClient tablet, String path) throws Exception {
    HttpRequest asked = HttpRequest.newBuilder(URI.create(mill.address() + path)).build();
    return tablet.send(asked, BodyHandlers.discarding()).statusCode();
  }

  /** A browser that trusts this one certificate, as it would one of an authority it knows. */
  @Test
  void aBrowserThatTrustsItSignsInOverTls() throws Exception {
    byte[] key = Trust.read(mill.certificate()).getPublicKey().getEncoded();
    String digest =
        Base64.getEncoder().encodeToString(MessageDigest.getInstance("SHA-256").digest(key));
    try (Shop shop = new Shop(mill, digest)) {
      Page page = shop.device("");
      page.navigate("/trust");
      assertThat(page.getByText("Fetch the authority’s certificate")).isVisible();
      Shop.accessibleByDayAndNight(page);
      page.navigate("/");
      SignInJourneyTest.signsIn(page, "RT", ApiClient.pin("RT"));
      assertThat(page.getByLabel("RT stands here")).isVisible();
      assertThat(page.evaluate("() => isSecureContext")).isEqualTo(true);
      assertThat(page.evaluate("() => document.cookie")).isEqualTo("");
    }
  }
}
