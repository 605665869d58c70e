package isokinon.bench.campaign;

import isokinon.bench.shop.Shop;
import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.atomic.AtomicBoolean;

/**
 * A disk that fills up while a shop works, and is made free again; and one that is slow. The first
 * needs a small file system of its own, which is given by {@code -Dsmall}, say a tmpfs of 60 MB.
 */
final class Disk {

  private static final int ACTS = 40;
  private static final int WRITERS = 4;
  private static final int BLOCK = 1 << 20;

  private Disk() {}

  /** So many rounds; tells how many went wrong. */
  static int run(int rounds, Random random) throws Exception {
    String small = System.getProperty("small", "");
    int wrong = 0;
    for (int round = 1; round <= rounds; round++) {
      String line = small.isEmpty() ? slow() : full(Path.of(small), random);
      wrong += line.contains("WRONG") ? 1 : 0;
      System.out.printf("disk %d: %s%n", round, line);
    }
    return wrong;
  }

  private static String full(Path small, Random random) throws Exception {
    Path data = Files.createTempDirectory(small, "shop");
    Path ballast = small.resolve("ballast");
    try (Shop shop = new Shop(data)) {
      shop.start(Kills.BRIEF);
      Ledger ledger = new Ledger(Files.createTempFile("isokinon-disk", ".txt"));
      write(shop, ledger, ACTS);
      long left = random.nextInt(2_000_000);
      fill(ballast, Files.getFileStore(small).getUsableSpace() - left);
      int[] answers = write(shop, ledger, ACTS);
      boolean reads = shop.get("/api/v1/floor").statusCode() == 200;
      boolean told = shop.get("/actuator/health").statusCode() == 503;
      Files.delete(ballast);
      Thread.sleep(3_000);
      int[] after = write(shop, ledger, ACTS);
      String lost = ledger.compare(shop);
      boolean sound =
          answers[2] == 0
              && reads
              && after[0] == ACTS
              && lost.isEmpty()
              && (told || answers[1] == 0);
      return "full with %d kB left: %d written, %d told there is no room, %d other faults; reads %s; after room was made %d of %d written%s"
          .formatted(
              left / 1000,
              answers[0],
              answers[1],
              answers[2],
              reads ? "go on" : "fail",
              after[0],
              ACTS,
              sound ? "" : " WRONG " + lost);
    } finally {
      Files.deleteIfExists(ballast);
    }
  }

  /** Written, told that there is no room, other faults. */
  private static int[] write(Shop shop, Ledger ledger, int times)
      throws IOException, InterruptedException {
    int[] answers = new int[3];
    Bench bench = new Bench(shop, "EFF-05");
    for (int i = 0; i < times; i++) {
      String word = Words.next();
      int status = (i % 4 == 0 ? Words.kept(shop, word) : bench.note(word)).statusCode();
      if (status < 300) {
        ledger.add(word);
        answers[0]++;
      } else if (status == 507) {
        answers[1]++;
      } else {
        answers[2] += status >= 500 ? 1 : 0;
      }
    }
    return answers;
  }

  private static void fill(Path ballast, long bytes) throws IOException {
    byte[] block = new byte[64 << 10];
    try (var out = Files.newOutputStream(ballast)) {
      for (long n = 0; n < bytes; n += block.length) {
        out.write(block);
      }
    }
  }

  private static String slow() throws Exception {
    Path data = Files.createTempDirectory("isokinon-slow");
    AtomicBoolean going = new AtomicBoolean(true);
    List<Thread> writers = new ArrayList<>();
    try (Shop shop = new Shop(data)) {
      shop.start(Kills.BRIEF);
      Ledger ledger = new Ledger(Files.createTempFile("isokinon-disk", ".txt"));
      double quiet = millis(() -> write(shop, ledger, ACTS)) / ACTS;
      for (int i = 0; i < WRITERS; i++) {
        Path busy = data.resolve("busy-" + i);
        writers.add(new Thread(() -> keepBusy(busy, going)));
      }
      writers.forEach(Thread::start);
      int[][] answers = new int[1][];
      double slow = millis(() -> answers[0] = write(shop, ledger, ACTS)) / ACTS;
      shop.kill();
      shop.start(Kills.BRIEF);
      going.set(false);
      for (Thread writer : writers) {
        writer.join();
      }
      String lost = ledger.compare(shop);
      return "slow: an act takes %.0f ms, %.0f ms while others write and sync; killed then, %d of %d written%s"
          .formatted(
              quiet,
              slow,
              answers[0][0],
              ACTS,
              lost.isEmpty() && answers[0][0] == ACTS ? "" : " WRONG " + lost);
    } finally {
      going.set(false);
    }
  }

  private interface Asked {
    void run() throws Exception;
  }

  private static double millis(Asked asked) throws Exception {
    long before = System.nanoTime();
    asked.run();
    return (System.nanoTime() - before) / 1e6;
  }

  private static void keepBusy(Path file, AtomicBoolean going) {
    byte[] block = new byte[BLOCK];
    try (RandomAccessFile out = new RandomAccessFile(file.toFile(), "rwd")) {
      while (going.get()) {
        out.seek(0);
        for (int i = 0; i < 16 && going.get(); i++) {
          out.write(block);
        }
      }
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }
}
