package isokinon.server.http;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import isokinon.server.ApiClient;
import isokinon.server.ApiClient.Reply;
import isokinon.server.MillTest;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.CyclicBarrier;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;

/** Writes that race are done once; what cannot be kept is told, never half taken. */
@MillTest
class NothingTwiceApiTest {

  private static final ObjectMapper JSON = new ObjectMapper();

  private static final int AT_ONCE = 6;

  @Autowired private ApiClient desk;

  private static List<Reply> atOnce(Callable<Reply> write) throws Exception {
    CyclicBarrier together = new CyclicBarrier(AT_ONCE);
    ExecutorService people = Executors.newFixedThreadPool(AT_ONCE);
    try {
      List<Future<Reply>> going = new ArrayList<>();
      for (int i = 0; i < AT_ONCE; i++) {
        going.add(
            people.submit(
                () -> {
                  together.await();
                  return write.call();
                }));
      }
      List<Reply> replies = new ArrayList<>();
      for (Future<Reply> f : going) {
        replies.add(f.get());
      }
      return replies;
    } finally {
      people.shutdownNow();
    }
  }

  @Test
  void aTableOfRunsBroughtBySixAtOnceIsStoredOnce() throws Exception {
    byte[] book =
        "tag,material,fitted_on,ended_on,hours,outcome\nEFF-05,CSM,2011-02-03,2011-05-06,700,sound\n"
            .getBytes(StandardCharsets.UTF_8);
    String table = JSON.createObjectNode().put("file", book).toString();
    assertThat(atOnce(() -> desk.post("/api/v1/setup/tables/runs/bring", table)))
        .allMatch(r -> r.status() == 200);
    int there = 0;
    for (JsonNode run : desk.get("/api/v1/history.json").body()) {
      there += run.toString().contains("2011-02-03") ? 1 : 0;
    }
    assertThat(there).isEqualTo(1);
  }

  private static final String KEEP =
      "{\"pump\": \"EFF-02\", \"part\": \"fluid-cap-a\", \"serial\": \"C-77\", \"condition\":"
          + " \"sound\", \"hours\": 900, \"note\": \"\", \"place\": \"K1\"}";

  @Test
  void partsKeptAtOnceHaveATagEach() throws Exception {
    List<Reply> replies = atOnce(() -> desk.post("/api/v1/stores/kept", KEEP));
    assertThat(replies).allMatch(r -> r.status() == 200);
    assertThat(replies.stream().map(r -> r.body().toString()).distinct()).hasSize(AT_ONCE);
  }

  @Test
  void aKeptPartGoesIntoOnePump() {
    JsonNode kept = desk.post("/api/v1/stores/kept", KEEP).body();
    String tag = kept.isTextual() ? kept.asText() : kept.elements().next().asText();
    ApiClient.Job one = decidesAbout("EFF-05");
    ApiClient.Job other = decidesAbout("EFF-02");
    Map<String, Object> fits =
        Map.of("lot", tag, "parts", List.of("fluid-cap-a"), "note", "from K1");
    assertThat(one.tries("KIT_FITTED", fits).status()).isEqualTo(200);
    Reply refused = other.tries("KIT_FITTED", fits);
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.fault("lot")).isEqualTo("No part is kept as " + tag + ".");
    assertThat(one.elsewhere().tries("KIT_FITTED", fits).status()).isEqualTo(200);
  }

  private ApiClient.Job decidesAbout(String pump) {
    return desk.job(pump).takesIn("renew:fluid-cap-a").makesSafe().strips().inspects();
  }

  @Test
  void anExportIsOneMomentWhateverIsWrittenMeanwhile() throws Exception {
    JsonNode before = desk.get("/api/v1/everything.json").body();
    double unmoved = quantity(before, "L-0388") - moved(before, "L-0388");
    ExecutorService writer = Executors.newSingleThreadExecutor();
    Future<?> writing =
        writer.submit(
            () -> {
              for (int i = 0; i < 40; i++) {
                desk.post(
                    "/api/v1/stores/acts/" + (i % 2 == 0 ? "reserve" : "release"),
                    "{\"lot\": \"L-0388\", \"pump\": \"EFF-02\"}");
                desk.post(
                    "/api/v1/stores/acts/count",
                    "{\"lot\": \"L-0388\", \"count\": " + (3 + i % 3) + ", \"note\": \"counted\"}");
              }
            });
    int looked = 0;
    while (!writing.isDone() || looked < 3) {
      looked++;
      JsonNode all = desk.get("/api/v1/everything.json").body();
      assertThat(quantity(all, "L-0388") - moved(all, "L-0388")).isEqualTo(unmoved);
    }
    writer.shutdown();
    JsonNode after = desk.get("/api/v1/everything.json").body();
    assertThat(after.path("movement").path("rows"))
        .hasSizeGreaterThan(before.path("movement").path("rows").size() + 20);
  }

  private static double quantity(JsonNode all, String lot) {
    JsonNode table = all.path("lot");
    int quantity = column(table, "quantity");
    for (JsonNode row : table.path("rows")) {
      if (row.get(column(table, "id")).asText().equals(lot)) {
        return row.get(quantity).asDouble();
      }
    }
    throw new AssertionError("no lot " + lot);
  }

  /** What all movements of a lot come to. */
  private static double moved(JsonNode all, String lot) {
    JsonNode table = all.path("movement");
    double sum = 0;
    for (JsonNode row : table.path("rows")) {
      if (row.get(column(table, "lot")).asText().equals(lot)) {
        sum += row.get(column(table, "change")).asDouble();
      }
    }
    return sum;
  }

  private static int column(JsonNode table, String name) {
    for (int i = 0; i < table.path("columns").size(); i++) {
      if (table.path("columns").get(i).asText().equals(name)) {
        return i;
      }
    }
    throw new AssertionError(name + " is none of " + table.path("columns"));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          /api/v1/stores/acts/count|{"lot": "L-0388", "count": 2.9}|count
          /api/v1/stores/acts/count|{"lot": "L-0388", "count": "2"}|count
          /api/v1/stores/acts/count|{"lot": "L-0388", "count": -1}|count
          /api/v1/life/mode|{"role": "aaaaaaaaaaaaaaaaaaaaa", "material": "NBR", "duty": "x", "shape": 2}|role
          /api/v1/setup/tables/runs/bring|{"file": null}|file
          /api/v1/stores/lots|{"lot": "L-1", "price": 1e308, "place": "a place of more than twenty letters"}|price
          """)
  void whatIsOutOfItsBoundsIsRefusedAtItsField(String address, String body, String field) {
    Reply reply = desk.post(address, body);
    assertThat(reply.status()).as("%s", reply.body()).isEqualTo(400);
    assertThat(reply.fault(field)).isNotBlank();
  }
}
