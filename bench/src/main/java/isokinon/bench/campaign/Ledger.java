package isokinon.bench.campaign;

import com.fasterxml.jackson.databind.JsonNode;
import isokinon.bench.shop.Shop;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Every write that was acknowledged, by a word that stands in it and nowhere else. Kept in a file,
 * so that a campaign that was broken off goes on with it.
 */
final class Ledger {

  private static final Pattern WORD = Pattern.compile("kw[0-9a-f]{12}");

  private final Path file;
  private final Set<String> words = new LinkedHashSet<>();
  private final Map<String, String> pins = new HashMap<>();

  Ledger(Path file) throws IOException {
    this.file = file;
    if (Files.exists(file)) {
      words.addAll(Files.readAllLines(file));
    }
  }

  int size() {
    return words.size();
  }

  /** A write was acknowledged. */
  synchronized void add(String word) {
    try {
      Files.writeString(file, word + "\n", StandardOpenOption.CREATE, StandardOpenOption.APPEND);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    words.add(word);
  }

  /** A pump was pinned at a place, or let go where the place is empty. */
  synchronized void pinned(String pump, String place) {
    pins.put(pump, place);
  }

  /** Where a pump is pinned is not known just now. */
  synchronized void unknownPin(String pump) {
    pins.remove(pump);
  }

  /** What is wrong with a shop that should hold all of it once; empty where it does. */
  String compare(Shop shop) throws IOException, InterruptedException {
    String all = shop.get("/api/v1/everything.json").body();
    Map<String, Integer> there = new HashMap<>();
    Matcher word = WORD.matcher(all);
    while (word.find()) {
      there.merge(word.group(), 1, Integer::sum);
    }
    Map<String, Integer> wrong = new TreeMap<>();
    words.forEach(
        w -> {
          int n = there.getOrDefault(w, 0);
          if (n != 1) {
            wrong.put(w, n);
          }
        });
    there.forEach(
        (w, n) -> {
          if (n != 1) {
            wrong.put(w, n);
          }
        });
    return (wrong.isEmpty() ? "" : "lost or twice: " + wrong + "; ")
        + stock(Shop.JSON.readTree(all))
        + lostPins(shop);
  }

  /** Pieces of a lot are what came in less what went out. */
  private static String stock(JsonNode all) {
    Map<String, Integer> moved = new TreeMap<>();
    JsonNode movements = all.path("movement");
    for (JsonNode m : movements.path("rows")) {
      moved.merge(
          cell(movements, m, "lot").asText(), cell(movements, m, "change").asInt(), Integer::sum);
    }
    StringBuilder wrong = new StringBuilder();
    JsonNode lots = all.path("lot");
    for (JsonNode lot : lots.path("rows")) {
      String id = cell(lots, lot, "id").asText();
      int there = cell(lots, lot, "quantity").asInt();
      if (moved.getOrDefault(id, there) != there) {
        wrong.append("%s holds %d where %d moved; ".formatted(id, there, moved.get(id)));
      }
    }
    return wrong.toString();
  }

  private static JsonNode cell(JsonNode table, JsonNode row, String column) {
    for (int i = 0; i < table.path("columns").size(); i++) {
      if (table.path("columns").get(i).asText().equals(column)) {
        return row.get(i);
      }
    }
    throw new IllegalStateException("no column " + column);
  }

  private String lostPins(Shop shop) throws IOException, InterruptedException {
    Map<String, String> there = new HashMap<>();
    for (JsonNode e : shop.read("/api/v1/diary").path("entries")) {
      if (e.path("pinned").asBoolean()) {
        there.put(e.path("pump").asText(), e.path("day").asText() + " " + e.path("from").asText());
      }
    }
    // a pump at the bench has no place in the diary any more
    shop.read("/api/v1/rebuilds").forEach(r -> pins.remove(r.path("pump").asText()));
    StringBuilder lost = new StringBuilder();
    pins.forEach(
        (pump, place) -> {
          if (!place.equals(there.getOrDefault(pump, ""))) {
            lost.append("pin of %s is %s, not %s; ".formatted(pump, there.get(pump), place));
          }
        });
    return lost.toString();
  }
}
