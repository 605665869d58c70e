package isokinon.server.folder;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.function.LongSupplier;
import org.apache.ibatis.executor.Executor;
import org.apache.ibatis.mapping.MappedStatement;
import org.apache.ibatis.plugin.Interceptor;
import org.apache.ibatis.plugin.Intercepts;
import org.apache.ibatis.plugin.Invocation;
import org.apache.ibatis.plugin.Signature;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.actuate.health.Health;
import org.springframework.boot.actuate.health.HealthIndicator;
import org.springframework.stereotype.Component;

/**
 * Refuses every write while the disk is nearly full, so that the database never meets a full one:
 * that would close it. Reading goes on, and writing begins again by itself when there is room.
 */
@Component
@Intercepts(
    @Signature(
        type = Executor.class,
        method = "update",
        args = {MappedStatement.class, Object.class}))
public class RoomToWrite implements Interceptor, HealthIndicator {

  /** So much stays free: what the database writes when it tidies up its file, bytes. */
  static final long LEAST = 16L << 20;

  private static final long LOOK_EVERY_NANOS = 250_000_000;

  private final LongSupplier free;
  private volatile long lookedAt = System.nanoTime() - LOOK_EVERY_NANOS;
  private volatile boolean room = true;

  @Autowired
  RoomToWrite(ObjectProvider<DataFolder> folder) {
    Optional<Path> path = Optional.ofNullable(folder.getIfAvailable()).map(DataFolder::path);
    this.free = () -> path.map(RoomToWrite::free).orElse(LEAST);
  }

  /**
   * @param free bytes free on the disk
   */
  RoomToWrite(LongSupplier free) {
    this.free = free;
  }

  @Override
  public Object intercept(Invocation write) throws Throwable {
    require();
    return write.proceed();
  }

  /**
   * Lets a write pass.
   *
   * @throws NoRoom where the disk is nearly full
   */
  public void require() {
    if (!isThere()) {
      throw new NoRoom();
    }
  }

  /**
   * Lets a write into another folder pass, as that for temporary files; its disk may be another.
   *
   * @throws NoRoom where that disk is nearly full
   */
  public void require(Path other) {
    if (free(other) < LEAST) {
      throw new NoRoom();
    }
  }

  private boolean isThere() {
    long now = System.nanoTime();
    if (now - lookedAt >= LOOK_EVERY_NANOS) {
      room = free.getAsLong() >= LEAST;
      lookedAt = now;
    }
    return room;
  }

  /** Bytes free on the disk of a folder; 0 where that cannot be told. */
  static long free(Path folder) {
    try {
      return Files.getFileStore(folder).getUsableSpace();
    } catch (IOException e) {
      return 0;
    }
  }

  @Override
  public Health health() {
    return isThere()
        ? Health.up().build()
        : Health.down().withDetail("reason", NoRoom.SENTENCE).build();
  }
}
