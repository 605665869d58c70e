package isokinon.bench.campaign;

import com.fasterxml.jackson.databind.JsonNode;
import isokinon.bench.shop.Shop;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.util.UUID;

/** A person who writes notes at one pump, and takes up its rebuild where it stands. */
final class Bench {

  private final Shop shop;
  private final String pump;
  private long rebuild;
  private long seen;

  Bench(Shop shop, String pump) {
    this.shop = shop;
    this.pump = pump;
  }

  /** Writes a note down; opens the rebuild where none is open. */
  HttpResponse<String> note(String word) throws IOException, InterruptedException {
    if (rebuild == 0) {
      takeUp();
    }
    HttpResponse<String> noted =
        shop.post(
            "/api/v1/rebuilds/" + rebuild + "/acts",
            ("{\"key\": \"%s\", \"seen\": %d,"
                    + " \"act\": {\"kind\": \"NOTED\", \"text\": \"%s\"}}")
                .formatted(UUID.randomUUID(), seen, word));
    JsonNode now = Shop.JSON.readTree(noted.body());
    seen = now.has("seq") ? now.path("seq").asLong() : now.at("/now/seq").asLong(seen);
    return noted;
  }

  private void takeUp() throws IOException, InterruptedException {
    JsonNode open = shop.read("/api/v1/pumps/" + pump).at("/strip/rebuild");
    rebuild =
        open.isNumber()
            ? open.asLong()
            : Shop.JSON
                .readTree(
                    shop.post("/api/v1/pumps/" + pump + "/rebuilds", "{\"reason\": \"campaign\"}")
                        .body())
                .path("id")
                .asLong();
    seen = shop.read("/api/v1/rebuilds/" + rebuild).path("seq").asLong();
  }
}
