package isokinon.server.folder;

import isokinon.server.folder.CannotStart.Why;
import isokinon.server.folder.FolderState.Mark;
import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * The folder the database lies in, from before it is opened until after it is closed.
 *
 * <p>Before a migration the file is copied aside; a start that was killed in the middle of one is
 * put back at the next, and migrated again. At a clean end size and checksum are written down, so
 * that a file that was cut short or written to since is noticed. After a crash every row is read
 * once before anybody works on it.
 */
public final class DataFolder implements AutoCloseable {

  private static final Logger LOG = LoggerFactory.getLogger(DataFolder.class);

  /** Room that is left free on the disk beside a copy of the file, bytes. */
  static final long ROOM = 32L << 20;

  private final Path folder;
  private final Path file;
  private final Path stateFile;
  private final Path copy;
  private final Path migrating;
  private final FileChannel lockChannel;
  private final FileLock lock;
  private FolderState state;

  private DataFolder(Path folder, FileChannel lockChannel, FileLock lock) {
    this.folder = folder;
    this.lockChannel = lockChannel;
    this.lock = lock;
    file = folder.resolve("isokinon.mv.db");
    stateFile = folder.resolve("isokinon.state");
    copy = folder.resolve("isokinon.before-migration");
    migrating = folder.resolve("isokinon.migrating");
    state = new FolderState(0, Optional.empty());
  }

  /**
   * Takes the folder in hand and looks at what lies in it.
   *
   * @param folder where the database lies, or is to lie
   * @param newest version of the schema this application works in
   * @param trusted whether the file may be another than the one that was left: somebody put it
   *     there
   * @throws CannotStart with a sentence where it cannot be worked on; nothing was changed then
   */
  public static DataFolder open(Path folder, int newest, boolean trusted) {
    FileChannel channel = null;
    try {
      Files.createDirectories(folder);
      channel =
          FileChannel.open(
              folder.resolve("isokinon.lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
      FileLock lock = lock(channel);
      if (lock == null) {
        throw new CannotStart(
            Why.IN_USE,
            "Another Isokinon works on "
                + folder
                + ": stop that one first, or give this one another folder.");
      }
      DataFolder taken = new DataFolder(folder, channel, lock);
      taken.look(newest, trusted);
      return taken;
    } catch (IOException e) {
      close(channel);
      throw new CannotStart(
          Why.NOT_WRITABLE,
          "The data folder "
              + folder
              + " cannot be written: give the account that starts Isokinon the right to, or another folder.");
    } catch (CannotStart e) {
      close(channel);
      throw e;
    }
  }

  private static FileLock lock(FileChannel channel) throws IOException {
    try {
      return channel.tryLock();
    } catch (OverlappingFileLockException e) {
      return null;
    }
  }

  private static void close(FileChannel channel) {
    try {
      if (channel != null) {
        channel.close();
      }
    } catch (IOException e) {
      LOG.debug("the lock could not be closed", e);
    }
  }

  private void look(int newest, boolean trusted) throws IOException {
    putBack();
    endCompaction();
    Optional<FolderState> left = FolderState.read(stateFile);
    boolean shop = left.isPresent();
    boolean empty = Files.exists(file) && Files.size(file) == 0;
    if (empty || (shop && Files.notExists(file))) {
      throw new CannotStart(
          Why.LOST,
          "The database file "
              + file
              + (empty ? " is empty" : " is gone")
              + (shop ? ", and a shop was in it" : "")
              + ": put a copy of it back. For a new shop give another folder.");
    }
    if (Files.exists(file) && !Files.isWritable(file)) {
      throw new CannotStart(
          Why.NOT_WRITABLE, "The database file " + file + " cannot be written: change its rights.");
    }
    state = left.orElse(state);
    if (state.schema() > newest) {
      throw new CannotStart(
          Why.NEWER,
          "The database in "
              + folder
              + " was written by a newer version of Isokinon: start that one.");
    }
    if (Files.exists(file)) {
      checked(left, trusted);
    }
    if (state.schema() < newest) {
      copyAside();
    }
    // Only a shop that was finished once has a state: a first start that breaks off leaves none.
    if (state.schema() > 0) {
      new FolderState(state.schema(), Optional.empty()).write(stateFile);
    }
  }

  /** The last start was killed while it changed the database. */
  private void putBack() throws IOException {
    if (Files.notExists(migrating)) {
      Files.deleteIfExists(copy);
      return;
    }
    if (Files.exists(copy)) {
      Files.move(copy, file, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
    } else {
      Files.deleteIfExists(file);
    }
    Files.delete(migrating);
    LOG.warn(
        "The last start was broken off while it changed the database: it is put back as it was before, and changed again.");
  }

  /** The last run was killed while it wrote the file anew: the whole new one, or else the old. */
  private void endCompaction() throws IOException {
    Path whole = folder.resolve("isokinon.mv.db.newFile");
    if (Files.exists(whole)) {
      if (Files.notExists(file)) {
        Files.move(whole, file, StandardCopyOption.ATOMIC_MOVE);
      }
      Files.deleteIfExists(whole);
    }
    Files.deleteIfExists(folder.resolve("isokinon.mv.db.tempFile"));
  }

  private void checked(Optional<FolderState> left, boolean trusted) throws IOException {
    Optional<Mark> closed = left.flatMap(FolderState::closed);
    if (closed.isPresent() && closed.get().equals(Mark.of(file))) {
      return;
    }
    if (closed.isPresent() && !trusted) {
      throw new CannotStart(
          Why.DAMAGED,
          "The database file "
              + file
              + " is not as it was left: it was cut short, or something else wrote to it. Put a copy of it back;"
              + " where you put this one there yourself, start once with --isokinon.trusted=true.");
    }
    if (left.isPresent() && closed.isEmpty()) {
      LOG.warn("The database was not closed at the last stop: every row of it is read once.");
    }
    readAll();
  }

  /**
   * Reads every row of every table: what cannot be read is found now, not in the middle of work.
   */
  private void readAll() {
    long rows = 0;
    try (Connection db = database(folder, "ACCESS_MODE_DATA=r");
        Statement statement = db.createStatement()) {
      List<String> tables = tables(statement);
      // Of a file of which nothing can be read, H2 makes an empty database without a word.
      if (tables.isEmpty()) {
        throw new SQLException("no table is in it");
      }
      for (String table : tables) {
        try (ResultSet all = statement.executeQuery("select * from \"" + table + "\"")) {
          int columns = all.getMetaData().getColumnCount();
          while (all.next()) {
            for (int c = 1; c <= columns; c++) {
              all.getObject(c);
            }
            rows++;
          }
        }
      }
    } catch (SQLException | RuntimeException e) {
      LOG.debug("the database cannot be read", e);
      throw new CannotStart(
          Why.DAMAGED,
          "The database file " + file + " cannot be read: it is damaged. Put a copy of it back.");
    }
    LOG.info("{} rows were read.", rows);
  }

  /** The database that lies in a folder, with these settings of the driver besides. */
  static Connection database(Path folder, String... settings) throws SQLException {
    return DriverManager.getConnection(
        "jdbc:h2:file:"
            + folder.resolve("isokinon").toAbsolutePath()
            + ";IFEXISTS=TRUE"
            + Stream.of(settings).map(setting -> ";" + setting).collect(Collectors.joining()),
        "sa",
        "");
  }

  /** Tables that the application made. */
  static List<String> tables(Statement statement) throws SQLException {
    List<String> tables = new ArrayList<>();
    try (ResultSet names =
        statement.executeQuery(
            "select table_name from information_schema.tables where table_schema = 'PUBLIC'"
                + " and table_type = 'BASE TABLE'")) {
      while (names.next()) {
        tables.add(names.getString(1));
      }
    }
    return tables;
  }

  private void copyAside() throws IOException {
    Files.deleteIfExists(copy);
    if (Files.exists(file)) {
      long size = Files.size(file);
      if (Files.getFileStore(folder).getUsableSpace() < size + ROOM) {
        throw new CannotStart(
            Why.NO_ROOM,
            "The database must be changed for this version, and there is no room in "
                + folder
                + " for a copy of it: make "
                + ((size + ROOM) >> 20)
                + " MB free.");
      }
      Files.copy(file, copy);
      try (FileChannel written = FileChannel.open(copy, StandardOpenOption.WRITE)) {
        written.force(true);
      }
    }
    Files.writeString(migrating, "");
  }

  /** The database is in this version of the schema now, and the copy is needed no more. */
  public void migrated(int schema) {
    try {
      // In this order: killed in between, the next start copies once more, and nothing is put back.
      Files.deleteIfExists(migrating);
      state = new FolderState(schema, Optional.empty());
      state.write(stateFile);
      Files.deleteIfExists(copy);
    } catch (IOException e) {
      throw new CannotStart(
          Why.NOT_WRITABLE, "The data folder " + folder + " cannot be written any more.");
    }
  }

  /** The database file. */
  Path file() {
    return file;
  }

  /** Where the data lie. */
  public Path path() {
    return folder;
  }

  /** The database is closed: how it was left is written down, and the folder let go. */
  @Override
  public void close() {
    try {
      if (state.schema() > 0 && Files.exists(file)) {
        new FolderState(state.schema(), Optional.of(Mark.of(file))).write(stateFile);
      }
      lock.release();
    } catch (IOException e) {
      LOG.warn(
          "How the database was left could not be written down; it is read at the next start.");
    } finally {
      close(lockChannel);
    }
  }
}
