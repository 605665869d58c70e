package isokinon.bench.campaign;

import com.fasterxml.jackson.databind.JsonNode;
import isokinon.bench.shop.Shop;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.concurrent.CyclicBarrier;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;

/** The same write by eight people at once: done once, the others told, no fault of ours. */
final class Races {

  private static final int AT_ONCE = 8;

  private Races() {}

  /** So many rounds in one shop; tells how many went wrong. */
  static int run(int rounds) throws Exception {
    int wrong = 0;
    try (Shop shop = new Shop()) {
      shop.start(Kills.BRIEF);
      for (int round = 1; round <= rounds; round++) {
        String found = history(shop, round) + kept(shop) + lot(shop, round) + pins(shop);
        wrong += found.isEmpty() ? 0 : 1;
        System.out.printf("race %d: %s%n", round, found.isEmpty() ? "sound" : "WRONG " + found);
      }
    }
    return wrong;
  }

  private static String history(Shop shop, int round) throws Exception {
    String day = "20%02d-%02d-11".formatted(1 + round / 12 % 9, 1 + round % 12);
    List<HttpResponse<String>> all = atOnce(i -> () -> shop.bringRuns(row(day)));
    int there = Words.count(shop.get("/api/v1/history.csv").body(), "," + day + ",");
    return fives(all, "history") + (there == 1 ? "" : "history stored " + there + " times; ");
  }

  private static String row(String day) {
    return ("tag,material,fitted_on,ended_on,hours,outcome\n" + "EFF-05,CSM,%s,%s28,50,sound\n")
        .formatted(day, day.substring(0, 8));
  }

  private static String kept(Shop shop) throws Exception {
    List<HttpResponse<String>> all =
        atOnce(
            i ->
                () ->
                    shop.post(
                        "/api/v1/stores/kept",
                        "{\"pump\": \"EFF-02\", \"part\": \"fluid-cap-a\", \"condition\": \"sound\","
                            + " \"hours\": 10, \"serial\": \"\", \"note\": \"\", \"place\": \"B1\"}"));
    Set<String> ids = new HashSet<>();
    long done = all.stream().filter(r -> r.statusCode() < 300).peek(r -> ids.add(r.body())).count();
    return fives(all, "kept") + (ids.size() == done ? "" : "two kept parts of one tag; ");
  }

  private static String lot(Shop shop, int round) throws Exception {
    List<HttpResponse<String>> all =
        atOnce(
            i ->
                () ->
                    shop.post(
                        "/api/v1/stores/lots",
                        "{\"lot\": \"L-9"
                            + round
                            + "\", \"sheet\": \"aodd-bolted-plastic-25\", \"kit\": \"wet-kit\","
                            + " \"material\": \"CSM\", \"hardware\": \"full-stroke\", \"cured\":"
                            + " \"2026-10\", \"count\": 1, \"price\": 148, \"place\": \"B4\"}"));
    JsonNode stores = shop.read("/api/v1/stores");
    int there = Words.count(stores.toString(), "\"L-9" + round + "\"");
    long done = all.stream().filter(r -> r.statusCode() < 300).count();
    return fives(all, "lot")
        + (done <= 1 ? "" : "one lot received " + done + " times; ")
        + (there >= 1 || done == 0 ? "" : "a received lot is not there; ");
  }

  /** Jobs pinned at once where they stand, each its own: whoever was told yes finds it pinned. */
  private static String pins(Shop shop) throws Exception {
    shop.post("/api/v1/diary/plan", "{}");
    List<JsonNode> jobs = new ArrayList<>();
    shop.read("/api/v1/diary").path("entries").forEach(jobs::add);
    if (jobs.isEmpty()) {
      return "nothing is planned; ";
    }
    List<HttpResponse<String>> all =
        atOnce(
            i ->
                () -> {
                  JsonNode job = jobs.get(i % jobs.size());
                  return shop.post(
                      "/api/v1/diary/pin",
                      "{\"pump\": \"%s\", \"day\": %d, \"minute\": %d}"
                          .formatted(
                              job.path("pump").asText(),
                              job.path("day").asInt(),
                              job.path("from").asInt()));
                });
    Set<String> pinned = new HashSet<>();
    shop.read("/api/v1/diary")
        .path("entries")
        .forEach(
            e -> {
              if (e.path("pinned").asBoolean()) {
                pinned.add(e.path("pump").asText());
              }
            });
    StringBuilder lost = new StringBuilder();
    for (int i = 0; i < all.size(); i++) {
      String pump = jobs.get(i % jobs.size()).path("pump").asText();
      if (all.get(i).statusCode() == 200 && !pinned.contains(pump)) {
        lost.append("the pin of ").append(pump).append(" is lost; ");
      }
    }
    long told = all.stream().filter(r -> r.statusCode() == 200).count();
    return fives(all, "pin") + lost + (told == 0 ? "no pin was taken: " + all.get(0).body() : "");
  }

  private static String fives(List<HttpResponse<String>> all, String what) {
    long fives = all.stream().filter(r -> r.statusCode() >= 500).count();
    return fives == 0 ? "" : what + " " + fives + " faults of ours; ";
  }

  private interface Each {
    Callable<HttpResponse<String>> of(int i);
  }

  private static List<HttpResponse<String>> atOnce(Each each) throws Exception {
    CyclicBarrier together = new CyclicBarrier(AT_ONCE);
    ExecutorService people = Executors.newFixedThreadPool(AT_ONCE);
    try {
      List<Future<HttpResponse<String>>> going = new ArrayList<>();
      for (int i = 0; i < AT_ONCE; i++) {
        Callable<HttpResponse<String>> one = each.of(i);
        going.add(
            people.submit(
                () -> {
                  together.await();
                  return one.call();
                }));
      }
      List<HttpResponse<String>> answers = new ArrayList<>();
      for (Future<HttpResponse<String>> f : going) {
        answers.add(f.get());
      }
      return answers;
    } finally {
      people.shutdownNow();
    }
  }
}
