package isokinon.bench.campaign;

import com.fasterxml.jackson.databind.JsonNode;
import isokinon.bench.shop.Shop;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.util.concurrent.ThreadLocalRandom;
import java.util.concurrent.atomic.AtomicInteger;

/** Writes that carry a word by which they are found again, and are told from all others. */
final class Words {

  private static final AtomicInteger LOTS = new AtomicInteger();
  private static final AtomicInteger DAYS = new AtomicInteger();

  private Words() {}

  /** A word that was never written before. */
  static String next() {
    return "kw%012x".formatted(ThreadLocalRandom.current().nextLong(1L << 48));
  }

  static int count(String text, String word) {
    int n = 0;
    for (int i = text.indexOf(word); i >= 0; i = text.indexOf(word, i + 1)) {
      n++;
    }
    return n;
  }

  /** A lot comes in. */
  static HttpResponse<String> lot(Shop shop, String word) throws IOException, InterruptedException {
    return shop.post(
        "/api/v1/stores/lots",
        ("{\"lot\": \"L-%d%05d\", \"sheet\": \"aodd-bolted-plastic-25\", \"kit\": \"wet-kit\","
                + " \"material\": \"CSM\", \"hardware\": \"full-stroke\", \"cured\": \"2026-10\","
                + " \"count\": 3, \"price\": 148, \"place\": \"%s\"}")
            .formatted(
                ThreadLocalRandom.current().nextInt(10, 9_999), LOTS.incrementAndGet(), word));
  }

  /** A part that was taken out is kept. */
  static HttpResponse<String> kept(Shop shop, String word)
      throws IOException, InterruptedException {
    return shop.post(
        "/api/v1/stores/kept",
        ("{\"pump\": \"EFF-02\", \"part\": \"fluid-cap-a\", \"condition\": \"sound\","
                + " \"hours\": 10, \"serial\": \"\", \"note\": \"%s\", \"place\": \"B1\"}")
            .formatted(word));
  }

  /** A run of long ago is brought in. */
  static HttpResponse<String> run(Shop shop, String word) throws IOException, InterruptedException {
    int n = DAYS.incrementAndGet();
    String day = "%d-%02d-%02d".formatted(1900 + n / 336 % 90, 1 + n / 28 % 12, 1 + n % 28);
    return shop.bringRuns(
        ("tag,material,fitted_on,ended_on,hours,outcome,note\n" + "EFF-05,CSM,%s,%s,1,sound,%s\n")
            .formatted(day, day, word));
  }

  /** The first job that can be is pinned where it stands, or let go; tells the status. */
  static int pin(Shop shop, Ledger ledger) throws IOException, InterruptedException {
    JsonNode entries = shop.read("/api/v1/diary").path("entries");
    if (entries.isEmpty()) {
      return shop.post("/api/v1/diary/plan", "{}").statusCode();
    }
    JsonNode job = entries.get(ThreadLocalRandom.current().nextInt(entries.size()));
    String pump = job.path("pump").asText();
    boolean letGo = job.path("pinned").asBoolean();
    // Killed before it is answered, nobody knows whether it was done.
    ledger.unknownPin(pump);
    HttpResponse<String> told =
        shop.post(
            "/api/v1/diary/pin",
            letGo
                ? "{\"pump\": \"%s\"}".formatted(pump)
                : "{\"pump\": \"%s\", \"day\": %d, \"minute\": %d}"
                    .formatted(pump, job.path("day").asInt(), job.path("from").asInt()));
    String place = job.path("day").asText() + " " + job.path("from").asText();
    if (told.statusCode() == 200) {
      ledger.pinned(pump, letGo ? "" : place);
    }
    return told.statusCode();
  }
}
