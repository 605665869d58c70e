package isokinon.server.folder;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import isokinon.server.folder.CannotStart.Why;
import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class DataFolderTest {

  private static final int NEWEST = 3;
  private static final int OLDER = 2;

  @TempDir Path dir;

  private Path file() {
    return dir.resolve("isokinon.mv.db");
  }

  private void refused(Why why, boolean trusted) {
    assertThatThrownBy(() -> DataFolder.open(dir, NEWEST, trusted))
        .isInstanceOfSatisfying(CannotStart.class, e -> assertThat(e.why()).isEqualTo(why));
  }

  private void sql(String... statements) throws SQLException {
    try (Connection db =
        DriverManager.getConnection("jdbc:h2:file:" + dir.resolve("isokinon"), "sa", "")) {
      for (String s : statements) {
        db.createStatement().execute(s);
      }
    }
  }

  private int pumps() throws SQLException {
    try (Connection db =
            DriverManager.getConnection("jdbc:h2:file:" + dir.resolve("isokinon"), "sa", "");
        ResultSet count = db.createStatement().executeQuery("select count(*) from pump")) {
      count.next();
      return count.getInt(1);
    }
  }

  /** A shop at a version of the schema, closed as it should be. */
  private void shop(int schema) throws SQLException {
    try (DataFolder folder = DataFolder.open(dir, schema, false)) {
      sql(
          "create table if not exists pump (tag varchar(20) primary key, note varchar(1000))",
          "insert into pump select 'P-' || x, repeat('x', 900) from system_range(1, 300)");
      folder.migrated(schema);
    }
  }

  /** Killed while the file was written anew: between the old one and the new there is none. */
  @Test
  void theWholeNewFileStandsInForTheOldAndHalfAFileIsThrownAway() throws Exception {
    shop(NEWEST);
    Files.move(file(), dir.resolve("isokinon.mv.db.newFile"));
    DataFolder.open(dir, NEWEST, false).close();
    assertThat(pumps()).isEqualTo(300);
    Files.writeString(dir.resolve("isokinon.mv.db.tempFile"), "half");
    Files.writeString(dir.resolve("isokinon.mv.db.newFile"), "not in its place yet");
    DataFolder.open(dir, NEWEST, true).close();
    assertThat(pumps()).isEqualTo(300);
    try (var left = Files.list(dir)) {
      assertThat(left).noneMatch(f -> f.toString().endsWith("File"));
    }
  }

  @Test
  void twoServersDoNotWorkOnOneFolder() {
    try (DataFolder first = DataFolder.open(dir, NEWEST, false)) {
      assertThat(first.path()).isEqualTo(dir);
      refused(Why.IN_USE, false);
    }
    DataFolder.open(dir, NEWEST, false).close();
  }

  @Test
  void aFileWhereTheFolderShouldBeCannotBeWritten() throws IOException {
    Path notAFolder = Files.createFile(dir.resolve("data"));
    assertThatThrownBy(() -> DataFolder.open(notAFolder, NEWEST, false))
        .isInstanceOfSatisfying(
            CannotStart.class, e -> assertThat(e.why()).isEqualTo(Why.NOT_WRITABLE));
  }

  @Test
  void aShopIsFoundAgainAsItWasLeft() throws SQLException {
    shop(NEWEST);
    DataFolder.open(dir, NEWEST, false).close();
    assertThat(pumps()).isEqualTo(300);
  }

  @Test
  void aFileThatWasCutShortIsNoticed() throws Exception {
    shop(NEWEST);
    try (RandomAccessFile cut = new RandomAccessFile(file().toFile(), "rw")) {
      cut.setLength(cut.length() - 4096);
    }
    refused(Why.DAMAGED, false);
  }

  @Test
  void aCopyThatSomebodyPutThereIsTakenWhereTheySaySo() throws Exception {
    shop(NEWEST);
    Path kept = Files.copy(file(), dir.resolve("kept"));
    DataFolder.open(dir, NEWEST, false).close();
    sql("insert into pump values ('P-0', '')");
    refused(Why.DAMAGED, false);
    Files.delete(file());
    Files.move(kept, file());
    sql("insert into pump values ('P-00', '')");
    DataFolder.open(dir, NEWEST, true).close();
    DataFolder.open(dir, NEWEST, false).close();
  }

  @Test
  void anEmptyFileOrNoneWhereAShopWasIsNoNewShop() throws Exception {
    shop(NEWEST);
    Files.write(file(), new byte[0]);
    refused(Why.LOST, false);
    Files.delete(file());
    refused(Why.LOST, true);
  }

  @Test
  void afterACrashADamagedFileIsFoundByReadingIt() throws Exception {
    shop(NEWEST);
    crashes();
    byte[] all = Files.readAllBytes(file());
    for (int i = 8192; i < all.length; i++) {
      all[i] = (byte) (i * 31);
    }
    Files.write(file(), all);
    refused(Why.DAMAGED, false);
  }

  /** A start that never comes to close what it opened. */
  private void crashes() throws IOException {
    new FolderState(NEWEST, Optional.empty()).write(dir.resolve("isokinon.state"));
  }

  @Test
  void afterACrashAWholeFileIsWorkedOn() throws Exception {
    shop(NEWEST);
    crashes();
    DataFolder.open(dir, NEWEST, false).close();
    assertThat(pumps()).isEqualTo(300);
  }

  @Test
  void aMigrationThatIsKilledIsPutBackAndDoneAgain() throws Exception {
    shop(OLDER);
    DataFolder migrating = DataFolder.open(dir, NEWEST, false);
    sql("delete from pump", "create table half_done (x int)");
    killed(migrating);
    try (DataFolder again = DataFolder.open(dir, NEWEST, false)) {
      assertThat(pumps()).isEqualTo(300);
      sql("create table half_done (x int)");
      again.migrated(NEWEST);
    }
    try (DataFolder now = DataFolder.open(dir, NEWEST, false)) {
      assertThat(now.path().toFile().list()).doesNotContain("isokinon.before-migration");
    }
  }

  @Test
  void aFirstStartThatIsKilledBeginsAnew() throws Exception {
    DataFolder first = DataFolder.open(dir, NEWEST, false);
    sql("create table pump (tag varchar(20))");
    killed(first);
    try (DataFolder again = DataFolder.open(dir, NEWEST, false)) {
      sql("create table pump (tag varchar(20))");
      again.migrated(NEWEST);
    }
    assertThat(pumps()).isZero();
  }

  /** As the system does it for a killed process: only the lock is let go. */
  private static void killed(DataFolder folder) throws Exception {
    var lock = DataFolder.class.getDeclaredField("lockChannel");
    lock.setAccessible(true);
    ((FileChannel) lock.get(folder)).close();
  }

  @Test
  void aNewerShopIsNotTouched() throws SQLException {
    shop(NEWEST);
    assertThatThrownBy(() -> DataFolder.open(dir, OLDER, false))
        .isInstanceOfSatisfying(CannotStart.class, e -> assertThat(e.why()).isEqualTo(Why.NEWER));
    DataFolder.open(dir, NEWEST, false).close();
  }
}
