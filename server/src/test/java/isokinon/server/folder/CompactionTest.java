package isokinon.server.folder;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import com.zaxxer.hikari.HikariConfig;
import com.zaxxer.hikari.HikariDataSource;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.beans.factory.ObjectProvider;

/** The file is written anew while people work. */
class CompactionTest {

  @TempDir Path dir;

  private HikariDataSource source() {
    HikariConfig config = new HikariConfig();
    config.setJdbcUrl("jdbc:h2:file:" + dir.resolve("isokinon") + ";WRITE_DELAY=0");
    config.setUsername("sa");
    config.setMaximumPoolSize(4);
    config.setAllowPoolSuspension(true);
    return new HikariDataSource(config);
  }

  private static void sql(HikariDataSource source, String... statements) throws Exception {
    try (Connection db = source.getConnection()) {
      for (String s : statements) {
        db.createStatement().execute(s);
      }
    }
  }

  private static int rows(HikariDataSource source) throws Exception {
    try (Connection db = source.getConnection();
        ResultSet count = db.createStatement().executeQuery("select count(*) from pump")) {
      count.next();
      return count.getInt(1);
    }
  }

  @SuppressWarnings("unchecked")
  private static Compaction compaction(DataFolder folder, HikariDataSource source) {
    ObjectProvider<DataFolder> there = mock(ObjectProvider.class);
    when(there.getIfAvailable()).thenReturn(folder);
    return new Compaction(there, source, Clock.systemUTC());
  }

  /** Connections beside the pool, as it opens them when it fills; some are turned away. */
  private void opensWhile(AtomicBoolean going) {
    while (going.get()) {
      try {
        DriverManager.getConnection("jdbc:h2:file:" + dir.resolve("isokinon"), "sa", "").close();
      } catch (SQLException turnedAway) {
        Thread.onSpinWait();
      }
    }
  }

  @Test
  void theFileGetsSmallerAndWhoeverAsksMeanwhileIsAnswered() throws Exception {
    ExecutorService people = Executors.newFixedThreadPool(2);
    try (DataFolder folder = DataFolder.open(dir, 1, false);
        HikariDataSource source = source()) {
      sql(
          source,
          "create table pump (tag varchar(20) primary key, note varchar(1000))",
          "insert into pump select 'P-' || x, random_uuid() || repeat('x', 900)"
              + " from system_range(1, 20000)",
          "delete from pump where tag > 'P-2'");
      int there = rows(source);
      Compaction compaction = compaction(folder, source);
      AtomicBoolean going = new AtomicBoolean(true);
      Future<Integer> asked =
          people.submit(
              () -> {
                int times = 0;
                while (going.get()) {
                  assertThat(rows(source)).isEqualTo(there);
                  times++;
                }
                return times;
              });
      Future<?> beside = people.submit(() -> opensWhile(going));
      Compaction.Done done = compaction.compact();
      going.set(false);
      assertThat(asked.get()).isPositive();
      beside.get();
      assertThat(done.bytesAfter()).isLessThan(done.bytesBefore());
      assertThat(compaction.sizes().last()).contains(done);
      assertThat(compaction.sizes().bytes()).isPositive();
      assertThat(rows(source)).isEqualTo(there);
      assertThat(Files.list(dir).filter(f -> f.toString().endsWith("File"))).isEmpty();
    } finally {
      people.shutdownNow();
    }
  }

  @Test
  void whereNothingIsKeptInAFolderThereIsNothingToCompact() {
    Compaction none = compaction(null, null);
    none.atNight();
    assertThat(none.sizes().bytes()).isZero();
    assertThatThrownBy(none::compact).isInstanceOf(Compaction.NotNow.class);
  }
}
