package isokinon.server.folder;

import com.zaxxer.hikari.HikariDataSource;
import com.zaxxer.hikari.HikariPoolMXBean;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.Instant;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Writes the database file anew without what is no longer needed in it: at night, and when somebody
 * asks. Requests that come meanwhile wait for a connection; none is refused.
 */
@Component
public class Compaction {

  private static final Logger LOG = LoggerFactory.getLogger(Compaction.class);

  /** So long requests that are under way may take to end. */
  private static final long PATIENCE_MS = 20_000;

  private static final long LOOK_EVERY_MS = 20;

  /** By so much the file may grow before it is compacted by day as well, bytes. */
  private static final long MOST_GROWN = 256L << 20;

  /** A compaction that was done. */
  public record Done(Instant at, long bytesBefore, long bytesAfter) {}

  /**
   * What the data take.
   *
   * @param bytes of the database file; 0 where there is none
   * @param free bytes on its disk
   * @param last the last compaction since the start
   */
  public record Sizes(long bytes, long free, Optional<Done> last) {}

  /** Why it could not be done now; nothing was changed. */
  public static final class NotNow extends RuntimeException {
    private static final long serialVersionUID = 1L;

    NotNow(String why) {
      super(why);
    }
  }

  /** A connection that was being let in already may keep the database open: then once more. */
  private static final int MOST_TIMES = 5;

  private final Optional<DataFolder> folder;
  private final HikariDataSource source;
  private final Clock clock;
  private final long atTheStart;
  private volatile Optional<Done> last = Optional.empty();

  Compaction(ObjectProvider<DataFolder> folder, HikariDataSource source, Clock clock) {
    this.folder = Optional.ofNullable(folder.getIfAvailable());
    this.source = source;
    this.clock = clock;
    this.atTheStart = this.folder.map(f -> size(f.file())).orElse(0L);
  }

  /** What the data take now. */
  public Sizes sizes() {
    return new Sizes(
        folder.map(f -> size(f.file())).orElse(0L),
        folder.map(f -> RoomToWrite.free(f.path())).orElse(0L),
        last);
  }

  /** In the small hours, when hardly anybody works. */
  @Scheduled(cron = "${isokinon.compact:0 17 3 * * *}")
  void atNight() {
    folder.ifPresent(f -> tryTo());
  }

  /** Where a day's work has made the file much longer than what is in it. */
  @Scheduled(initialDelayString = "PT10M", fixedDelayString = "PT10M")
  void whenItHasGrown() {
    long then = last.map(Done::bytesAfter).orElse(atTheStart);
    if (folder.map(f -> size(f.file()) - then > MOST_GROWN).orElse(false)) {
      tryTo();
    }
  }

  private void tryTo() {
    try {
      compact();
    } catch (NotNow e) {
      LOG.info("The database was not compacted: {}", e.getMessage());
    }
  }

  /**
   * Compacts the database file.
   *
   * @throws NotNow where there is no room for it, or others do not come to an end
   */
  public synchronized Done compact() {
    Path file = folder.map(DataFolder::file).orElseThrow(() -> new NotNow("There is no file."));
    long before = size(file);
    if (RoomToWrite.free(file.getParent()) < before + DataFolder.ROOM) {
      throw new NotNow(
          "There is no room for the new file beside the old: make "
              + ((before + DataFolder.ROOM) >> 20)
              + " MB free.");
    }
    HikariPoolMXBean pool = source.getHikariPoolMXBean();
    pool.suspendPool();
    try {
      pool.softEvictConnections();
      waitForOthers(pool);
      Optional<Object> old = key(file);
      for (int i = 0; i < MOST_TIMES && (i == 0 || old.isPresent() && old.equals(key(file))); i++) {
        shutDownCompact();
      }
    } finally {
      pool.resumePool();
    }
    Done done = new Done(clock.instant(), before, size(file));
    last = Optional.of(done);
    LOG.info("The database was compacted: {} kB, now {} kB.", before / 1000, size(file) / 1000);
    return done;
  }

  private static void waitForOthers(HikariPoolMXBean pool) {
    long until = System.nanoTime() + PATIENCE_MS * 1_000_000;
    while (pool.getActiveConnections() > 0) {
      if (System.nanoTime() - until > 0) {
        throw new NotNow("Others are at work and do not come to an end: try again later.");
      }
      try {
        Thread.sleep(LOOK_EVERY_MS);
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        throw new NotNow("It was broken off.");
      }
    }
  }

  /**
   * The database closes, is written anew, and opens again with the next connection. Nobody else is
   * let in before: a connection that came in between would keep it open, and the file as it is.
   */
  private void shutDownCompact() {
    try (Connection alone =
            DriverManager.getConnection(
                source.getJdbcUrl(), source.getUsername(), source.getPassword());
        Statement statement = alone.createStatement()) {
      statement.execute("set exclusive 2");
      statement.execute("shutdown compact");
    } catch (SQLException e) {
      throw new IllegalStateException(e);
    }
  }

  /** What tells a file from one that was written anew in its place; empty where nothing does. */
  private static Optional<Object> key(Path file) {
    try {
      return Optional.ofNullable(Files.readAttributes(file, BasicFileAttributes.class).fileKey());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static long size(Path file) {
    try {
      return Files.exists(file) ? Files.size(file) : 0;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
