package isokinon.server.http;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import isokinon.server.ApiClient;
import isokinon.server.MillTest;
import isokinon.server.access.Pins;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * Signing in, being locked out, changing person, a second person's PIN; and what browsers are told.
 */
@MillTest
class SessionApiTest {

  private static final String[] NO_HEADER = {"accept", "*/*"};

  @Autowired private ApiClient desk;
  @Autowired private JdbcTemplate sql;
  @Autowired private Pins pins;
  @LocalServerPort private int port;

  private ApiClient.Reply signIn(String initials, String pin) {
    return desk.asNobody()
        .post(
            "/api/v1/session",
            "{\"initials\": \"%s\", \"pin\": \"%s\", \"device\": \"bench 2\"}"
                .formatted(initials, pin));
  }

  @Test
  void theRightPinSignsInAndTheViewSaysWhoAndWhatForHowLong() {
    JsonNode me = signIn("KO", ApiClient.pin("KO")).body();
    assertThat(me.path("initials").asText()).isEqualTo("KO");
    assertThat(me.path("device").asText()).isEqualTo("bench 2");
    assertThat(me.path("licensedElectrical").asBoolean()).isTrue();
    assertThat(me.path("lockAfterSeconds").asInt()).isEqualTo(600);
    assertThat(me.path("rights")).hasSize(5);
    assertThat(desk.asNobody().get("/api/v1/session").body().path("initials").isNull()).isTrue();
  }

  @Test
  void threeWrongAreFreeThenItWaitsLongerEachTimeAndALeadOpensIt() {
    for (int left = 2; left > 0; left--) {
      ApiClient.Reply wrong = signIn("SB", "9999");
      assertThat(wrong.status()).isEqualTo(403);
      assertThat(wrong.body().path("triesLeft").asInt()).isEqualTo(left);
    }
    for (int wait : new int[] {20, 60, 300}) {
      ApiClient.Reply waits = signIn("SB", "9999");
      assertThat(waits.status()).isEqualTo(429);
      assertThat(waits.body().path("waitSeconds").asInt()).isEqualTo(wait);
      // the right one opens nothing meanwhile, and is not counted
      assertThat(signIn("SB", ApiClient.pin("SB")).status()).isEqualTo(429);
      sql.update("update credential set closed_until = null where initials = 'SB'");
    }
    assertThat(signIn("SB", "9999").body().path("why").asText()).isEqualTo("ask-a-lead");
    assertThat(signIn("SB", ApiClient.pin("SB")).status()).isEqualTo(403);
    assertThat(desk.put("/api/v1/people/SB/pin", "{\"pin\": \"7391\"}").status()).isEqualTo(200);
    JsonNode due = signIn("SB", "7391").body();
    assertThat(due.path("ownPinDue").asBoolean()).isTrue();
    assertThat(due.findValuesAsText("rights").toString()).doesNotContain("see");
    pins.set("SB", ApiClient.pin("SB"), false);
  }

  @Test
  void aLeadIsNeverShutOutForGood() {
    for (int i = 0; i < 9; i++) {
      sql.update("update credential set closed_until = null where initials = 'MA'");
      signIn("MA", "9999");
    }
    sql.update("update credential set closed_until = null where initials = 'MA'");
    assertThat(signIn("MA", ApiClient.pin("MA")).status()).isEqualTo(200);
  }

  @Test
  void nothingThatOpensStandsInTheDatabase() {
    signIn("RT", ApiClient.pin("RT"));
    assertThat(sql.queryForList("select pin from credential", String.class))
        .isNotEmpty()
        .allSatisfy(p -> assertThat(p).startsWith("$argon2id$"));
    assertThat(sql.queryForList("select token from signed_in", String.class))
        .isNotEmpty()
        .allSatisfy(t -> assertThat(t).matches("[0-9a-f]{64}"));
    assertThat(new String(desk.get("/api/v1/everything.json").bytes()))
        .doesNotContain("argon2")
        .doesNotContain("\"signed_in\"");
  }

  @Test
  void peopleAreSetUpByALeadAndRetiredOnesSignInNoMore() {
    String added =
        "{\"initials\": \"JP\", \"role\": \"technician\", \"licensedElectrical\": false,"
            + " \"pin\": \"%s\"}";
    assertThat(desk.post("/api/v1/people", added.formatted("1234")).fault("pin")).isNotNull();
    assertThat(desk.post("/api/v1/people", added.formatted("8264")).status()).isEqualTo(200);
    assertThat(desk.post("/api/v1/people", added.formatted("8264")).fault("initials")).isNotNull();
    assertThat(signIn("JP", "8264").status()).isEqualTo(200);
    String gone = "{\"role\": \"technician\", \"licensedElectrical\": false, \"retired\": true}";
    assertThat(desk.put("/api/v1/people/JP", gone).status()).isEqualTo(200);
    assertThat(signIn("JP", "8264").body().path("why").asText()).isEqualTo("unknown");
    assertThat(desk.put("/api/v1/people/MA", gone).fault("initials")).contains("only lead");
  }

  @Test
  void aBadgeSignsInAsWell() {
    desk.put("/api/v1/people/KO/badge", "{\"badge\": \"0004711-22\"}");
    ApiClient.Reply badge =
        desk.asNobody().post("/api/v1/session", "{\"badge\": \"0004711-22\", \"device\": \"\"}");
    assertThat(badge.body().path("initials").asText()).isEqualTo("KO");
    assertThat(desk.asNobody().post("/api/v1/session", "{\"badge\": \"0004711-23\"}").status())
        .isEqualTo(403);
  }

  @Test
  void licensedElectricalWorkIsSignedByWhoIsLicensedAtTheSameDevice() {
    ApiClient.Job job = desk.job("EFF-07").takesIn("renew:hose");
    Map<String, Object> proved = new HashMap<>(Map.of("hazard", "mains"));
    assertThat(job.tries("PROVED_SAFE", proved).fault("signer")).contains("licensed");
    proved.put("signer", Map.of("initials", "KO", "pin", "0000"));
    assertThat(job.tries("PROVED_SAFE", proved).status()).isEqualTo(403);
    proved.put("signer", Map.of("initials", "SB", "pin", ApiClient.pin("SB")));
    assertThat(job.tries("PROVED_SAFE", proved).status()).isEqualTo(403);
    proved.put("signer", Map.of("initials", "KO", "pin", ApiClient.pin("KO")));
    assertThat(job.tries("PROVED_SAFE", proved).status()).isEqualTo(200);
    Map<String, Object> row =
        sql.queryForMap(
            "select who, device from bench_event where rebuild = ? and kind = 'PROVED_SAFE'",
            job.id());
    assertThat(row).containsEntry("WHO", "KO").containsEntry("DEVICE", "desk, beside RT");
  }

  @Test
  void aChangeSaysWhoWhenAndOnWhichDevice() {
    desk.as("SB").post("/api/v1/stores/acts/count", "{\"lot\": \"L-0388\", \"count\": 2}");
    assertThat(
            sql.queryForMap(
                "select who, device, operation from change_made order by id desc limit 1"))
        .containsEntry("WHO", "SB")
        .containsEntry("DEVICE", "desk")
        .containsEntry("OPERATION", "POST /stores/acts/{act}");
  }

  private HttpResponse<String> raw(String method, String path, String... headers)
      throws IOException, InterruptedException {
    return HttpClient.newHttpClient()
        .send(
            HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
                .headers(headers.length == 0 ? NO_HEADER : headers)
                .method(method, HttpRequest.BodyPublishers.ofString("{}"))
                .build(),
            HttpResponse.BodyHandlers.ofString());
  }

  @Test
  void aPageOfAnotherSiteDoesNothingHere() throws IOException, InterruptedException {
    String json = "application/json";
    for (String[] from :
        new String[][] {
          {"Origin", "http://evil.example"},
          {"Origin", "null"},
          {"Sec-Fetch-Site", "cross-site"},
          {"Sec-Fetch-Site", "same-site"}
        }) {
      assertThat(
              raw("POST", "/api/v1/compute/plan", "content-type", json, from[0], from[1])
                  .statusCode())
          .as(from[1])
          .isEqualTo(403);
    }
    String own = "http://127.0.0.1:" + port;
    assertThat(
            raw("POST", "/api/v1/compute/plan", "content-type", json, "Origin", own).statusCode())
        .isEqualTo(400);
  }

  @Test
  void theCookieAndTheHeadersKeepABrowserToThisServer() throws IOException, InterruptedException {
    HttpResponse<String> page = raw("GET", "/api/v1/session");
    assertThat(page.headers().firstValue("content-security-policy").orElse(""))
        .contains("script-src 'self' 'wasm-unsafe-eval';")
        .contains("frame-ancestors 'none'")
        .doesNotContain("unsafe-inline", "'unsafe-eval'", "http");
    assertThat(page.headers().firstValue("x-content-type-options")).hasValue("nosniff");
    assertThat(page.headers().firstValue("referrer-policy")).hasValue("same-origin");
    String body =
        "{\"initials\": \"RT\", \"pin\": \"%s\", \"device\": \"\"}".formatted(ApiClient.pin("RT"));
    HttpResponse<String> signedIn =
        HttpClient.newHttpClient()
            .send(
                HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + "/api/v1/session"))
                    .header("content-type", "application/json")
                    .POST(HttpRequest.BodyPublishers.ofString(body))
                    .build(),
                HttpResponse.BodyHandlers.ofString());
    assertThat(signedIn.headers().firstValue("set-cookie").orElse(""))
        .contains("HttpOnly")
        .contains("SameSite=Strict")
        .contains("Path=/");
  }

  @Test
  void aWordThatWasMadeUpOpensNothing() throws IOException, InterruptedException {
    assertThat(raw("GET", "/api/v1/floor", "cookie", "isokinon=" + UUID.randomUUID()).statusCode())
        .isEqualTo(401);
    for (String written :
        new String[] {"/%61pi/v1/floor", "/api/v1/%66loor", "/api/%76%31/floor"}) {
      assertThat(raw("GET", written).statusCode()).as(written).isIn(400, 401, 404);
    }
  }
}
