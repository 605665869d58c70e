package isokinon.server.http;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import isokinon.server.ApiClient;
import isokinon.server.MillTest;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Gauges stream until they stand still, and say so where they do not answer. */
@MillTest
class GaugeApiTest {

  private static final ObjectMapper JSON = new ObjectMapper();

  @Autowired private ApiClient desk;
  @LocalServerPort private int port;

  private record Event(String name, JsonNode data) {}

  /** Listens until the gauge is steady or silent. */
  private List<Event> stream(String gauge, long rebuild, String subject, String measure)
      throws IOException, InterruptedException {
    HttpRequest request =
        HttpRequest.newBuilder(
                URI.create(
                    "http://127.0.0.1:%d/api/v1/gauges/%s/stream?rebuild=%d&subject=%s&measure=%s"
                        .formatted(port, gauge, rebuild, subject, measure)))
            .header("cookie", desk.cookie())
            .build();
    HttpResponse<Stream<String>> response =
        HttpClient.newHttpClient().send(request, HttpResponse.BodyHandlers.ofLines());
    assertThat(response.headers().firstValue("content-type").orElse(""))
        .startsWith("text/event-stream");
    List<Event> events = new ArrayList<>();
    String name = "";
    try (Stream<String> lines = response.body()) {
      for (String line : (Iterable<String>) lines::iterator) {
        if (line.startsWith("event:")) {
          name = line.substring(6).strip();
        } else if (line.startsWith("data:")) {
          events.add(new Event(name, JSON.readTree(line.substring(5))));
          if (name.equals("silent")
              || events.get(events.size() - 1).data().path("steady").asBoolean()) {
            return events;
          }
        }
      }
    }
    return events;
  }

  @Test
  void readingsSettleAndComeWithTheirUnit() throws Exception {
    ApiClient.Job job = desk.job("SCR-01");
    List<Event> events = stream("BG-07", job.id(), "stator", "bore-wear");
    assertThat(events.size()).isGreaterThan(3);
    JsonNode last = events.get(events.size() - 1).data();
    assertThat(last.path("steady").asBoolean()).isTrue();
    assertThat(last.path("unit").asText()).isEqualTo("mm");
    assertThat(last.path("value").asDouble()).isBetween(0.0, 1.0);
    desk.put("/api/v1/gauges/BG-07/stand-in?condition=other-unit", "");
    List<Event> inches = stream("BG-07", job.id(), "stator", "bore-wear");
    JsonNode inch = inches.get(inches.size() - 1).data();
    assertThat(inch.path("unit").asText()).isEqualTo("in");
    assertThat(inch.path("value").asDouble() * 25.4)
        .isCloseTo(last.path("value").asDouble(), org.assertj.core.data.Offset.offset(0.03));
  }

  @Test
  void aFlatBatteryAndASilentGaugeSaySo() throws Exception {
    ApiClient.Job job = desk.job("SCR-01");
    desk.put("/api/v1/gauges/CA-02/stand-in?condition=battery-flat", "");
    assertThat(stream("CA-02", job.id(), "stator", "bore-wear").get(0).data().path("say").asText())
        .contains("battery is flat", "type it");
    desk.put("/api/v1/gauges/CA-02/stand-in?condition=silent", "");
    assertThat(stream("CA-02", job.id(), "stator", "bore-wear").get(0).name()).isEqualTo("silent");
    assertThat(desk.put("/api/v1/gauges/CA-02/stand-in?condition=sulking", "").status())
        .isEqualTo(400);
  }

  @Test
  void gaugesAreOfferedByUnitTheMeantOneFirstWithTheirCalibration() {
    JsonNode fitting = desk.get("/api/v1/gauges?unit=mm&measure=end-float").body();
    assertThat(fitting.get(0).path("suits").asBoolean()).isTrue();
    assertThat(fitting.toString()).contains("DI-05").doesNotContain("DU-01");
    for (JsonNode g : desk.get("/api/v1/gauges").body()) {
      assertThat(g.path("simulated").asBoolean()).isTrue();
      if (g.path("id").asText().equals("DI-05")) {
        assertThat(g.path("overdue").asBoolean()).isTrue();
        assertThat(g.path("calibration").asText()).startsWith("out of calibration since");
      }
    }
    assertThat(desk.get("/api/v1/gauges/NONE/stream?rebuild=1").status()).isEqualTo(422);
  }

  @Test
  void onePersonOnOneDeviceListensToSixAtOnceAndIsToldSo() throws Exception {
    ApiClient.Job job = desk.job("SCR-01");
    HttpClient client = HttpClient.newHttpClient();
    List<HttpResponse<Stream<String>>> open = new ArrayList<>();
    try {
      for (int i = 0; i < 7; i++) {
        open.add(
            client.send(
                HttpRequest.newBuilder(
                        URI.create(
                            "http://127.0.0.1:%d/api/v1/gauges/%s/stream?rebuild=%d&subject=%s&measure=%s"
                                .formatted(port, "BG-07", job.id(), "stator", "bore-wear")))
                    .header("cookie", desk.as("KO").cookie())
                    .build(),
                HttpResponse.BodyHandlers.ofLines()));
      }
      assertThat(open.stream().map(HttpResponse::statusCode).filter(s -> s == 200)).hasSize(6);
      assertThat(open.get(6).statusCode()).isEqualTo(422);
    } finally {
      open.forEach(r -> r.body().close());
    }
  }
}
