package isokinon.bench.campaign;

import com.fasterxml.jackson.databind.JsonNode;
import isokinon.bench.shop.Shop;
import java.io.IOException;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ThreadLocalRandom;
import java.util.concurrent.atomic.AtomicLong;

/** Fifty benches at work for minutes on end, with what the shop takes of memory and disk. */
final class Soak {

  private static final int BENCHES = 50;
  private static final int MINUTE_MS = 60_000;

  /** A technician looks, reads and turns a spanner for so long between two acts. */
  private static final int THINKS_MS = 6_000;

  private Soak() {}

  /** So many minutes; tells in how many of them something went wrong. */
  static int run(int minutes, boolean flatOut) throws Exception {
    int wrong = 0;
    try (Shop shop = new Shop(List.of("-Xmx1g", "-XX:+UseSerialGC"))) {
      shop.start(Kills.BRIEF);
      Ledger ledger = new Ledger(Files.createTempFile("isokinon-soak", ".txt"));
      List<String> tags = tags(shop);
      Counts counts = new Counts();
      List<Thread> people = new ArrayList<>();
      for (int i = 0; i < BENCHES; i++) {
        Bench bench = new Bench(shop, tags.get(i % tags.size()));
        people.add(new Thread(() -> work(shop, bench, ledger, counts, flatOut)));
      }
      people.forEach(Thread::start);
      for (int minute = 1; minute <= minutes; minute++) {
        Thread.sleep(MINUTE_MS);
        long before = System.nanoTime();
        int status = shop.get("/api/v1/rebuilds").statusCode();
        double rebuilds = (System.nanoTime() - before) / 1e6;
        long faults = counts.faults.getAndSet(0);
        wrong += faults > 0 || status != 200 ? 1 : 0;
        System.out.printf(
            "soak %d: %d requests, %d faults of ours, slowest %d ms, rebuilds %.0f ms,"
                + " heap %s, file %d MB%s%n",
            minute,
            counts.asked.getAndSet(0),
            faults,
            counts.slowest.getAndSet(0),
            rebuilds,
            heap(shop),
            shop.bytes() / 1_000_000,
            faults > 0 ? " WRONG" : "");
      }
      people.forEach(Thread::interrupt);
      for (Thread person : people) {
        person.join();
      }
      String lost = ledger.compare(shop);
      System.out.printf(
          "soak: %d writes acknowledged%s%n",
          ledger.size(), lost.isEmpty() ? ", all there once" : " WRONG " + lost);
      wrong += lost.isEmpty() ? 0 : 1;
      shop.stop();
      System.out.printf("soak: file after a stop %d MB%n", shop.bytes() / 1_000_000);
    }
    return wrong;
  }

  private static final class Counts {
    private final AtomicLong asked = new AtomicLong();
    private final AtomicLong faults = new AtomicLong();
    private final AtomicLong slowest = new AtomicLong();

    void count(int status, long since) {
      asked.incrementAndGet();
      if (status >= 500) {
        faults.incrementAndGet();
      }
      slowest.accumulateAndGet((System.nanoTime() - since) / 1_000_000, Math::max);
    }
  }

  private static List<String> tags(Shop shop) throws Exception {
    List<String> tags = new ArrayList<>();
    for (JsonNode area : shop.read("/api/v1/floor").path("areas")) {
      area.path("pumps")
          .forEach(
              p -> {
                if (p.path("hasSheet").asBoolean()) {
                  tags.add(p.path("tag").asText());
                }
              });
    }
    return tags;
  }

  private static void work(Shop shop, Bench bench, Ledger ledger, Counts counts, boolean flatOut) {
    ThreadLocalRandom random = ThreadLocalRandom.current();
    try {
      while (!Thread.currentThread().isInterrupted()) {
        long since = System.nanoTime();
        int what = random.nextInt(20);
        String word = Words.next();
        int status =
            switch (what) {
              case 0 -> Words.lot(shop, word).statusCode();
              case 1 -> Words.kept(shop, word).statusCode();
              case 2 -> shop.get("/api/v1/floor").statusCode();
              case 3 -> shop.get("/api/v1/stores").statusCode();
              case 4 -> shop.get("/api/v1/diary").statusCode();
              default -> bench.note(word).statusCode();
            };
        counts.count(status, since);
        if (status < 300 && (what < 2 || what > 4)) {
          ledger.add(word);
        }
        Thread.sleep(flatOut ? 0 : random.nextInt(2 * THINKS_MS));
      }
    } catch (IOException e) {
      counts.faults.incrementAndGet();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  /** What the Java machine says of its heap. */
  private static String heap(Shop shop) throws IOException, InterruptedException {
    Process asked = new ProcessBuilder("jcmd", String.valueOf(shop.pid()), "GC.heap_info").start();
    String said =
        new String(asked.getInputStream().readAllBytes(), java.nio.charset.StandardCharsets.UTF_8);
    asked.waitFor();
    long used = 0;
    for (String line : said.split("\n")) {
      if (line.contains("generation") && line.contains("used")) {
        used += Long.parseLong(line.replaceAll(".*used (\\d+)K.*", "$1"));
      }
    }
    return used / 1000 + " MB";
  }
}
