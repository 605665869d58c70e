package isokinon.bench.growth;

import com.fasterxml.jackson.databind.JsonNode;
import isokinon.bench.shop.Shop;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * What each request takes in a shop of 1 000 pumps, 100 000 runs and 100 000 events, and in one
 * three times as large. Starts the packaged application over a filled folder, asks a bounded number
 * of times, prints a line a request and stops.
 */
public final class GrowthTable {

  private static final int PUMPS = 1_000;
  private static final int TIMES = 9;
  private static final long POLL_MS = 20;

  private final Shop shop;
  private int turn;
  private String duty = "";
  private long rebuild;
  private long seen;

  private GrowthTable(Shop shop) {
    this.shop = shop;
  }

  /** Fills, measures, prints, for each size that is asked for: {@code 1 3}. */
  public static void main(String[] args) throws Exception {
    String asked = String.join(" ", args).strip();
    for (String size : (asked.isEmpty() ? "1 3" : asked).split("\\s+")) {
      try (Shop shop = new Shop(List.of(System.getProperty("options", "-Xmx2g").split(" ")))) {
        new GrowthTable(shop).run(PUMPS * Integer.parseInt(size));
      }
    }
  }

  private interface Asked {
    HttpResponse<String> ask() throws IOException, InterruptedException;
  }

  private void run(int pumps) throws Exception {
    shop.start();
    shop.stop();
    int events;
    try (var database = shop.database()) {
      events = LargeShop.fill(database, pumps);
    }
    System.out.printf(
        Locale.ROOT,
        "%n%d pumps, %d runs, %d events; file %d MB%n",
        pumps,
        pumps * LargeShop.RUNS_PER_PUMP,
        events,
        shop.bytes() / 1_000_000);
    System.out.printf(
        Locale.ROOT, "start, every row read once: %.1f s%n", shop.start("--isokinon.trusted=true"));
    shop.stop();
    System.out.printf(Locale.ROOT, "start to first answer: %.1f s%n", shop.start());
    first("floor, first after a start", () -> shop.get("/api/v1/floor"));
    first("records say, first of the day", () -> shop.get("/api/v1/life/finds"));
    duty = shop.read("/api/v1/pumps/L-77").at("/duty/0/fluid").asText();
    open();
    for (int i = 0; i < 100; i++) {
      act();
    }
    each("bench act", this::act);
    each("floor", () -> shop.get("/api/v1/floor"));
    each("strips of a window", () -> shop.get("/api/v1/floor/strips?tags=" + window()));
    each("rebuilds", () -> shop.get("/api/v1/rebuilds"));
    each("pump's page", () -> shop.get("/api/v1/pumps/L-77"));
    each("wet-end choice", () -> shop.get("/api/v1/pumps/L-77/wet-ends"));
    changed("floor, lives changed", () -> shop.get("/api/v1/floor"));
    changed("stores, lives changed", () -> shop.get("/api/v1/stores"));
    changed("records say, lives changed", () -> shop.get("/api/v1/life/finds"));
    added("floor, a run more", () -> shop.get("/api/v1/floor"));
    added("stores, a run more", () -> shop.get("/api/v1/stores"));
    added("records say, a run more", () -> shop.get("/api/v1/life/finds"));
    plan();
    each("diary", () -> shop.get("/api/v1/diary"));
    measure("year ahead, both ways", 3, () -> {}, this::year);
    measure("score of forecasts, first", 1, () -> {}, () -> shop.get("/api/v1/life/score"));
    shop.stop();
  }

  private void first(String what, Asked asked) throws Exception {
    measure(what, 1, () -> {}, asked);
  }

  private void each(String what, Asked asked) throws Exception {
    asked.ask();
    measure(what, TIMES, () -> {}, asked);
  }

  private void changed(String what, Asked asked) throws Exception {
    measure(what, TIMES, this::newLives, asked);
  }

  private void added(String what, Asked asked) throws Exception {
    measure(what, TIMES, this::oneRunMore, asked);
  }

  private static String window() {
    return IntStream.range(0, 60).mapToObj(i -> "L-" + i).collect(Collectors.joining("&tags="));
  }

  private interface Before {
    void make() throws Exception;
  }

  private void measure(String what, int times, Before before, Asked asked) throws Exception {
    double[] wall = new double[times];
    double cpu = 0;
    int bytes = 0;
    for (int i = 0; i < times; i++) {
      before.make();
      long cpuBefore = shop.processorTime().toMillis();
      long from = System.nanoTime();
      HttpResponse<String> answer = asked.ask();
      wall[i] = (System.nanoTime() - from) / 1e6;
      cpu += shop.processorTime().toMillis() - cpuBefore;
      if (answer.statusCode() >= 300) {
        throw new IllegalStateException(
            what + ": " + answer.statusCode() + " " + start(answer.body()));
      }
      bytes = answer.body().length();
    }
    Arrays.sort(wall);
    System.out.printf(
        Locale.ROOT,
        "%-30s median %7.0f ms, slowest %7.0f, processor %7.0f, %6.0f kB%n",
        what,
        wall[times / 2],
        wall[times - 1],
        cpu / times,
        bytes / 1e3);
  }

  private static String start(String text) {
    return text.substring(0, Math.min(300, text.length()));
  }

  private void plan() throws Exception {
    Asked plan = () -> shop.post("/api/v1/diary/plan", "{}");
    plan.ask();
    measure("diary planned anew", 3, () -> {}, plan);
    JsonNode diary = shop.read("/api/v1/diary");
    System.out.println(
        "  placed "
            + diary.path("entries").size()
            + ", waiting "
            + diary.path("waiting").asInt()
            + ", search "
            + diary.path("search"));
  }

  /** A year by two policies, 1 000 times each, until it can be seen. */
  private HttpResponse<String> year() throws IOException, InterruptedException {
    HttpResponse<String> run = shop.post("/api/v1/year", "{}");
    String id = Shop.JSON.readTree(run.body()).path("id").asText();
    while (!Shop.JSON.readTree(run.body()).path("playing").asText().isEmpty()) {
      Thread.sleep(POLL_MS);
      run = shop.get("/api/v1/year/" + id);
    }
    return run;
  }

  /** Another shape for one failure mode: every life that stands on it is fitted again. */
  private void newLives() throws IOException, InterruptedException {
    turn++;
    write(
        "/api/v1/life/mode",
        ("{\"role\": \"diaphragm\", \"material\": \"CSM\", \"duty\": \"%s\", \"shape\": 2.%02d}")
            .formatted(duty, turn));
  }

  private void oneRunMore() throws IOException, InterruptedException {
    turn++;
    HttpResponse<String> told =
        shop.bringRuns(
            "tag,material,fitted_on,ended_on,hours,outcome\nL-%d,CSM,1999-03-01,1999-09-01,1234,failed\n"
                .formatted(turn));
    requireTaken("a run more", told);
  }

  private void write(String path, String json) throws IOException, InterruptedException {
    requireTaken(path, shop.post(path, json));
  }

  private static void requireTaken(String what, HttpResponse<String> told) {
    if (told.statusCode() >= 300) {
      throw new IllegalStateException(what + ": " + told.statusCode() + " " + start(told.body()));
    }
  }

  private void open() throws IOException, InterruptedException {
    HttpResponse<String> opened =
        shop.post("/api/v1/pumps/EFF-05/rebuilds", "{\"reason\": \"load\"}");
    rebuild = Shop.JSON.readTree(opened.body()).path("id").asLong();
    if (rebuild == 0) {
      throw new IllegalStateException("a rebuild: " + start(opened.body()));
    }
  }

  private HttpResponse<String> act() throws IOException, InterruptedException {
    HttpResponse<String> noted =
        shop.post(
            "/api/v1/rebuilds/" + rebuild + "/acts",
            ("{\"key\": \"%s\", \"seen\": %d,"
                    + " \"act\": {\"kind\": \"NOTED\", \"text\": \"seen\"}}")
                .formatted(UUID.randomUUID(), seen));
    seen = Shop.JSON.readTree(noted.body()).path("seq").asLong();
    return noted;
  }
}
