package isokinon.server.folder;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.locks.LockSupport;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.jdbc.datasource.DriverManagerDataSource;

/** A backup under load is put back and is what the shop was; a record that was altered is found. */
class BackupsTest {

  private static final String[] TABLES = {
    "create table rebuild (id bigint primary key, pump varchar(20))",
    "create table bench_event (rebuild bigint, seq bigint, act_key varchar(36), at timestamp with"
        + " time zone, who varchar(4), lead boolean, kind varchar(20), step varchar(80), subject"
        + " varchar(80), pass int, fastener int, reading double precision, unit varchar(20), text"
        + " varchar(2000), items varchar(4000), device varchar(60), digest varchar(64),"
        + " primary key (rebuild, seq))",
    "insert into rebuild values (1, 'EFF-02')"
  };

  @TempDir Path dir;

  private static Connection open(Path folder) throws SQLException {
    return DriverManager.getConnection("jdbc:h2:file:" + folder.resolve("isokinon"), "sa", "");
  }

  private static void note(Connection db, long seq) throws SQLException {
    try (PreparedStatement event =
        db.prepareStatement(
            "insert into bench_event values (1, ?, ?, timestamp with time zone '2026-03-17"
                + " 08:00:00+00:00', 'RT', false, 'NOTED', '', '', 0, 0, null, '', 'note', '', '',"
                + " '')")) {
      event.setLong(1, seq);
      event.setString(2, "key-" + seq);
      event.executeUpdate();
    }
  }

  @SuppressWarnings("unchecked")
  private static Backups backups(DataFolder folder, DataSource source, String day) {
    ObjectProvider<DataFolder> there = mock(ObjectProvider.class);
    when(there.getIfAvailable()).thenReturn(folder);
    Clock clock = Clock.fixed(Instant.parse(day + "T02:30:00Z"), ZoneOffset.UTC);
    return new Backups(there, source, clock, "");
  }

  @Test
  void aBackupWhileOthersWriteIsProvedAndGoesBackIntoAnEmptyFolder() throws Exception {
    Path shop = dir.resolve("shop");
    ExecutorService hands = Executors.newSingleThreadExecutor();
    Path file;
    try (DataFolder folder = DataFolder.open(shop, 1, false);
        Connection db = open(shop);
        Statement sql = db.createStatement()) {
      for (String table : TABLES) {
        sql.execute(table);
      }
      DataSource source =
          new DriverManagerDataSource("jdbc:h2:file:" + shop.resolve("isokinon"), "sa", "");
      AtomicBoolean going = new AtomicBoolean(true);
      Future<Long> written =
          hands.submit(
              () -> {
                long seq = 0;
                try (Connection hand = open(shop)) {
                  while (going.get()) {
                    note(hand, ++seq);
                    LockSupport.parkNanos(1_000_000); // a shop in a hurry, not a flood
                  }
                }
                return seq;
              });
      Backups.Proved proved = backups(folder, source, "2026-11-27").make();
      going.set(false);
      assertThat(proved.rows()).isBetween(1L, written.get() + 1);
      file = proved.file();
      assertThat(file.getFileName()).hasToString("isokinon-2026-11-27.zip");
      assertThat(Files.list(file.getParent())).hasSize(2);

      // one that was altered in the database is no good record, and its backup none
      sql.execute("update bench_event set digest = 'f' where seq = 1");
      Backups next = backups(folder, source, "2026-11-28");
      assertThatThrownBy(next::make).isInstanceOf(Backups.Failed.class);
      assertThat(next.fault()).contains("not as it was written");
      assertThat(Files.list(file.getParent())).hasSize(2);
    } finally {
      hands.shutdownNow();
    }
    Path back = dir.resolve("back");
    Backups.restore(file, back);
    try (Connection db = open(back);
        ResultSet pump = db.createStatement().executeQuery("select pump from rebuild")) {
      assertThat(pump.next()).isTrue();
      assertThat(RecordsCheck.of(db, System.out)).isZero();
    }
    assertThatThrownBy(() -> Backups.restore(file, back)).hasMessageContaining("a shop in");
    Files.write(file, new byte[] {0}, java.nio.file.StandardOpenOption.APPEND);
    assertThatThrownBy(() -> Backups.restore(file, dir.resolve("third")))
        .hasMessageContaining("not as it was when it was proved");
  }
}
