package isokinon.bench.campaign;

import com.fasterxml.jackson.databind.JsonNode;
import isokinon.bench.shop.Shop;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;

/** Kills a first start, and a shop that works, at random moments; nothing acknowledged is lost. */
final class Kills {

  private static final int FIRST_MS = 14_000;
  private static final int WORK_MS = 2_500;

  /** The diary searches no longer than a campaign likes to wait. */
  static final String BRIEF = "--isokinon.diary.search=500ms";

  private static final String JOB_PUMP = "EFF-05";

  private Kills() {}

  /** So many rounds; tells how many went wrong. */
  static int run(int rounds, Random random) throws Exception {
    int wrong = 0;
    for (int round = 1; round <= rounds; round++) {
      try (Shop shop = new Shop()) {
        int at = 1 + random.nextInt(FIRST_MS);
        shop.begin(Kills.BRIEF);
        Thread.sleep(at);
        shop.kill();
        long left = shop.bytes();
        double took = shop.start(Kills.BRIEF);
        String work = work(shop, random);
        boolean sound = work.startsWith("sound");
        wrong += sound ? 0 : 1;
        System.out.printf(
            "kill %d: first start killed after %d ms at %d kB, then started in %.1f s; %s%n",
            round, at, left / 1000, took, work);
      } catch (IllegalStateException e) {
        wrong++;
        System.out.printf("kill %d: WRONG, %s%n", round, e.getMessage());
      }
    }
    return wrong;
  }

  /**
   * Works until it is killed, starts again, and compares what was acknowledged with what is there.
   */
  private static String work(Shop shop, Random random) throws Exception {
    JsonNode job =
        Shop.JSON.readTree(
            shop.post(
                    "/api/v1/pumps/" + JOB_PUMP + "/rebuilds",
                    "{\"who\": \"RT\", \"reason\": \"campaign\"}")
                .body());
    String acts = "/api/v1/rebuilds/" + job.path("id").asLong();
    List<String> acknowledged = new ArrayList<>();
    Set<String> imported = new TreeSet<>();
    Thread worker =
        new Thread(
            () -> {
              try {
                long seen = 0;
                for (int i = 0; ; i++) {
                  String text = "note " + i + " " + UUID.randomUUID();
                  HttpResponse<String> noted =
                      shop.post(
                          acts + "/acts",
                          "{\"key\": \"%s\", \"seen\": %d, \"who\": \"RT\", \"act\": {\"kind\":"
                                  .formatted(UUID.randomUUID(), seen)
                              + " \"NOTED\", \"text\": \""
                              + text
                              + "\"}}");
                  if (noted.statusCode() == 200) {
                    acknowledged.add(text);
                    seen = Shop.JSON.readTree(noted.body()).path("seq").asLong();
                  }
                  String day = "20" + (10 + i % 9) + "-0" + (1 + i % 9) + "-" + (10 + i / 9 % 18);
                  HttpResponse<String> run = shop.post("/api/v1/history/import", row(day));
                  if (run.statusCode() == 200) {
                    imported.add(day);
                  }
                }
              } catch (IOException e) {
                // killed
              } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
              }
            });
    worker.start();
    Thread.sleep(300 + random.nextInt(WORK_MS));
    shop.kill();
    worker.join();
    double took = shop.start(Kills.BRIEF);
    String log = shop.get(acts + "/log").body();
    List<String> lost = acknowledged.stream().filter(t -> count(log, t) != 1).toList();
    String runs = shop.get("/api/v1/history.csv").body();
    List<String> runsLost = imported.stream().filter(d -> count(runs, "," + d + ",") != 1).toList();
    boolean sound = lost.isEmpty() && runsLost.isEmpty();
    return "%s: %d acts and %d runs acknowledged, started again in %.1f s%s"
        .formatted(
            sound ? "sound" : "WRONG",
            acknowledged.size(),
            imported.size(),
            took,
            sound ? "" : ", lost or twice: " + lost + runsLost);
  }

  static String row(String day) {
    return "{\"who\": \"RT\", \"csv\": \"tag,material,fitted_on,ended_on,hours,outcome\\n"
        + JOB_PUMP
        + ",CSM,"
        + day
        + ","
        + day.substring(0, 8)
        + "28,50,sound\\n\"}";
  }

  static int count(String text, String word) {
    int n = 0;
    for (int i = text.indexOf(word); i >= 0; i = text.indexOf(word, i + 1)) {
      n++;
    }
    return n;
  }
}
