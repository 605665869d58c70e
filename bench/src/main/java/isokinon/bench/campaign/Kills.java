package isokinon.bench.campaign;

import com.fasterxml.jackson.databind.JsonNode;
import isokinon.bench.shop.Shop;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.atomic.AtomicInteger;

/**
 * Kills a shop at random moments of everything: work of several kinds at once, a first start with
 * its migrations, a restore. After each kill the shop is started again and compared with the ledger
 * of all that was acknowledged. The rounds that were done are kept in {@code target/campaigns}, and
 * the next run goes on with them.
 */
final class Kills {

  /** The diary searches no longer than a campaign likes to wait. */
  static final String BRIEF = "--isokinon.diary.search=500ms";

  private static final Path KEPT = Path.of("target/campaigns");

  /** Pumps of the demo mill. */
  private static final int MILL = 32;

  /** The table of who changed what. */
  private static final String CHANGES = "change_made";

  private static final int FIRST_MS = 11_000;
  private static final int RESTORE_MS = 2_500;
  private static final int WORK_MS = 2_500;

  /** A folder is worked in for so many rounds, then begun anew. */
  private static final int ROUNDS_IN_A_FOLDER = 25;

  private static final String[] PUMPS = {"EFF-05", "EFF-02", "DYE-04", "SCR-01"};

  private Kills() {}

  /** So many rounds, on from those that were done; tells how many went wrong. */
  static int run(int rounds, long seed) throws Exception {
    Files.createDirectories(KEPT);
    Rounds counted = new Rounds("kills");
    Random random = counted.random(seed);
    int wrong = 0;
    while (counted.left(rounds)) {
      int kind = random.nextInt(10);
      List<String> lines = new ArrayList<>();
      try {
        lines.addAll(
            kind == 0
                ? List.of(firstStart(random))
                : kind == 1
                    ? List.of(restore(random))
                    : work(Math.min(rounds, ROUNDS_IN_A_FOLDER), random));
      } catch (IllegalStateException e) {
        lines.add("WRONG: " + e.getMessage());
      }
      for (String line : lines) {
        wrong += line.contains("WRONG") ? 1 : 0;
        System.out.printf("kill %d: %s%n", counted.next(), line);
      }
    }
    return wrong;
  }

  /** One kill at work; tells whether it went wrong. */
  static int once(Random random) throws Exception {
    Files.createDirectories(KEPT);
    String line = work(1, random).get(0);
    System.out.println("kill: " + line);
    return line.contains("WRONG") ? 1 : 0;
  }

  // ---- a first start ---------------------------------------------------------------------------

  private static String firstStart(Random random) throws Exception {
    try (Shop shop = new Shop()) {
      int at = 1 + random.nextInt(FIRST_MS);
      shop.begin(BRIEF);
      Thread.sleep(at);
      shop.kill();
      long left = shop.bytes();
      double took = shop.start(BRIEF);
      int pumps = 0;
      for (JsonNode area : shop.read("/api/v1/floor").path("areas")) {
        pumps += area.path("pumps").size();
      }
      return "first start killed after %d ms at %d kB, started in %.1f s, %d pumps%s"
          .formatted(at, left / 1000, took, pumps, pumps == MILL ? "" : " WRONG");
    }
  }

  // ---- a restore -------------------------------------------------------------------------------

  private static String restore(Random random) throws Exception {
    String everything;
    try (Shop full = new Shop()) {
      full.start(BRIEF);
      everything = full.get("/api/v1/everything.json").body();
    }
    try (Shop empty = Shop.empty()) {
      empty.start(BRIEF);
      int at = 1 + random.nextInt(RESTORE_MS);
      Thread restoring =
          new Thread(
              () -> {
                try {
                  empty.post("/api/v1/everything.json", everything);
                } catch (IOException e) {
                  // killed
                } catch (InterruptedException e) {
                  Thread.currentThread().interrupt();
                }
              });
      restoring.start();
      Thread.sleep(at);
      empty.kill();
      restoring.join();
      empty.start(BRIEF);
      JsonNode was = Shop.JSON.readTree(everything);
      JsonNode now = Shop.JSON.readTree(empty.get("/api/v1/everything.json").body());
      List<String> other = new ArrayList<>();
      was.fieldNames().forEachRemaining(t -> other.add(t));
      // that it was put back is itself a change that is written down
      other.removeIf(t -> t.equals(CHANGES) || was.path(t).equals(now.path(t)));
      boolean nothing = now.path("pump").path("rows").isEmpty();
      return "restore killed after %d ms: %s"
          .formatted(
              at,
              other.isEmpty()
                  ? "all of it there"
                  : nothing ? "nothing of it there" : "WRONG, torn: " + other);
    }
  }

  // ---- work ------------------------------------------------------------------------------------

  /** Works, is killed, is compared, and works on. */
  private static List<String> work(int rounds, Random random) throws Exception {
    List<String> lines = new ArrayList<>();
    Path file = Files.createTempFile(KEPT, "ledger", ".txt");
    Ledger ledger = new Ledger(file);
    try (Shop shop = new Shop()) {
      shop.start(BRIEF);
      for (int round = 0; round < rounds; round++) {
        int before = ledger.size();
        AtomicInteger faults = new AtomicInteger();
        List<Thread> people = people(shop, ledger, faults, random);
        people.forEach(Thread::start);
        int at = 200 + random.nextInt(WORK_MS);
        Thread.sleep(at);
        shop.kill();
        for (Thread person : people) {
          person.join();
        }
        double took = shop.start(BRIEF);
        String wrong = ledger.compare(shop) + (faults.get() > 0 ? faults + " faults of ours" : "");
        lines.add(
            "killed at work after %d ms, %d writes acknowledged, %d in all, started in %.1f s%s"
                .formatted(
                    at,
                    ledger.size() - before,
                    ledger.size(),
                    took,
                    wrong.isEmpty() ? "" : " WRONG " + wrong));
      }
    } catch (IllegalStateException e) {
      lines.add("WRONG: " + e.getMessage());
    }
    Files.delete(file);
    return lines;
  }

  private interface Write {
    HttpResponse<String> send(String word) throws IOException, InterruptedException;
  }

  private static List<Thread> people(
      Shop shop, Ledger ledger, AtomicInteger faults, Random random) {
    List<Thread> people = new ArrayList<>();
    Bench bench = new Bench(shop, PUMPS[random.nextInt(PUMPS.length)]);
    people.add(writing(ledger, faults, bench::note));
    people.add(writing(ledger, faults, w -> Words.lot(shop, w)));
    people.add(writing(ledger, faults, w -> Words.kept(shop, w)));
    people.add(writing(ledger, faults, w -> Words.run(shop, w)));
    if (random.nextBoolean()) {
      people.add(until(faults, () -> Words.pin(shop, ledger)));
    }
    if (random.nextBoolean()) {
      people.add(until(faults, () -> shop.get("/api/v1/everything.zip").statusCode()));
    }
    return people;
  }

  private static Thread writing(Ledger ledger, AtomicInteger faults, Write write) {
    return until(
        faults,
        () -> {
          String word = Words.next();
          int status = write.send(word).statusCode();
          if (status < 300) {
            ledger.add(word);
          }
          return status;
        });
  }

  private interface Step {
    int run() throws IOException, InterruptedException;
  }

  /** Again and again until the shop is killed. */
  private static Thread until(AtomicInteger faults, Step step) {
    return new Thread(
        () -> {
          try {
            while (true) {
              if (step.run() >= 500) {
                faults.incrementAndGet();
              }
            }
          } catch (IOException e) {
            // killed
          } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
          }
        });
  }
}
