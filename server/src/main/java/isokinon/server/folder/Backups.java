package isokinon.server.folder;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.PrintStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.sql.DataSource;
import org.apache.commons.codec.digest.DigestUtils;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.util.FileSystemUtils;

/**
 * A backup of the database every night, while others work. Each is proved before it counts: it is
 * put back into a database that is thrown away, every table has at least the rows it had before and
 * at most those it had after, and the chain over every job holds. A backup holds everything, the
 * digests of PINs too, and belongs where only the shop's own people reach it.
 */
@Component
public class Backups {

  private static final Logger LOG = LoggerFactory.getLogger(Backups.class);
  private static final DateTimeFormatter DAY = DateTimeFormatter.ISO_LOCAL_DATE;
  private static final String BEFORE_THE_DAY = "isokinon-";
  private static final String ENDING = ".zip";
  private static final String DIGEST_ENDING = ".sha256";

  /** So many bytes of a database fit into a byte of its backup, at worst. */
  private static final long ROOM_FOR_EACH = 3;

  /**
   * A backup that was proved.
   *
   * @param file where it lies
   * @param bytes how long it is
   * @param rows rows of all tables in it
   * @param took how long it took with its proof
   */
  public record Proved(Path file, Instant at, long bytes, long rows, Duration took) {}

  /** It could not be made or proved; those before are as they were. */
  public static final class Failed extends RuntimeException {
    private static final long serialVersionUID = 1L;

    Failed(String why) {
      super(why);
    }

    Failed(String why, Throwable cause) {
      super(why, cause);
    }
  }

  private final Optional<DataFolder> folder;
  private final Path into;
  private final DataSource source;
  private final Clock clock;
  private volatile Optional<Proved> last = Optional.empty();
  private volatile String fault = "";

  Backups(
      ObjectProvider<DataFolder> folder,
      DataSource source,
      Clock clock,
      @Value("${isokinon.backups:}") String into) {
    this.folder = Optional.ofNullable(folder.getIfAvailable());
    this.source = source;
    this.clock = clock;
    this.into =
        into.isBlank()
            ? this.folder.map(f -> f.path().resolve("backups")).orElse(Path.of("backups"))
            : Path.of(into);
  }

  /** The last backup that was proved since the start, or the newest file there is. */
  public Optional<Proved> last() {
    return last.or(this::newest);
  }

  /** Why the last one failed; empty where it did not. */
  public String fault() {
    return fault;
  }

  private Optional<Proved> newest() {
    try {
      return days().entrySet().stream()
          .max(Map.Entry.comparingByKey())
          .map(
              e -> {
                Path file = e.getValue();
                try {
                  Instant at = Files.getLastModifiedTime(file).toInstant();
                  return new Proved(file, at, Files.size(file), 0, Duration.ZERO);
                } catch (IOException gone) {
                  return null;
                }
              });
    } catch (IOException e) {
      return Optional.empty();
    }
  }

  @Scheduled(cron = "${isokinon.backup:0 30 2 * * *}")
  void atNight() {
    if (folder.isPresent()) {
      try {
        make();
      } catch (Failed e) {
        LOG.error("There is no backup of this night: {}", e.getMessage(), e);
      }
    }
  }

  /**
   * Makes a backup, proves it, and takes away those that are no longer kept.
   *
   * @throws Failed where it cannot be made, or is not what the database was
   */
  public synchronized Proved make() {
    try {
      Proved proved = madeAndProved();
      last = Optional.of(proved);
      fault = "";
      takeAway();
      LOG.info(
          "Backup {}: {} kB, {} rows, proved in {} s.",
          proved.file().getFileName(),
          proved.bytes() / 1000,
          proved.rows(),
          proved.took().toSeconds());
      return proved;
    } catch (IOException | SQLException e) {
      fault = "The backup could not be made: " + e.getMessage();
      throw new Failed(fault, e);
    } catch (Failed e) {
      fault = e.getMessage();
      throw e;
    }
  }

  private Proved madeAndProved() throws IOException, SQLException {
    Path database =
        folder.map(DataFolder::file).orElseThrow(() -> new Failed("There is no file to back up."));
    Files.createDirectories(into);
    long needed = Files.size(database) * ROOM_FOR_EACH + DataFolder.ROOM;
    if (RoomToWrite.free(into) < needed) {
      throw new Failed(
          "There is no room for a backup and its proof: make " + (needed >> 20) + " MB free.");
    }
    Instant began = clock.instant();
    Path file = into.resolve(BEFORE_THE_DAY + DAY.format(ZonedDateTime.now(clock)) + ENDING);
    Path unproved = into.resolve(file.getFileName() + ".unproved");
    try {
      Map<String, Long> before;
      Map<String, Long> after;
      try (Connection db = source.getConnection();
          Statement statement = db.createStatement()) {
        before = counts(statement);
        statement.execute("backup to '" + unproved.toString().replace("'", "''") + "'");
        after = counts(statement);
      }
      long rows = prove(unproved, before, after);
      Files.move(unproved, file, StandardCopyOption.REPLACE_EXISTING);
      Files.writeString(digestOf(file), sha256(file) + "  " + file.getFileName() + "\n");
      Instant now = clock.instant();
      return new Proved(file, now, Files.size(file), rows, Duration.between(began, now));
    } finally {
      Files.deleteIfExists(unproved);
    }
  }

  private static Path digestOf(Path file) {
    return file.resolveSibling(file.getFileName() + DIGEST_ENDING);
  }

  private long prove(Path backup, Map<String, Long> before, Map<String, Long> after)
      throws IOException, SQLException {
    Path thrownAway = Files.createTempDirectory(into, "proof");
    try {
      unpack(backup, thrownAway);
      try (Connection db = DataFolder.database(thrownAway);
          Statement statement = db.createStatement()) {
        Map<String, Long> found = counts(statement);
        if (!found.keySet().equals(before.keySet())) {
          throw new Failed("The backup has not the tables that the database has.");
        }
        for (Map.Entry<String, Long> table : found.entrySet()) {
          long least = Math.min(before.get(table.getKey()), after.get(table.getKey()));
          long most = Math.max(before.get(table.getKey()), after.get(table.getKey()));
          if (table.getValue() < least || table.getValue() > most) {
            throw new Failed(
                "The backup has "
                    + table.getValue()
                    + " rows in "
                    + table.getKey()
                    + ", not "
                    + least
                    + " to "
                    + most
                    + ".");
          }
        }
        if (RecordsCheck.of(db, new PrintStream(OutputStream.nullOutputStream())) > 0) {
          throw new Failed("A record in the backup is not as it was written.");
        }
        return found.values().stream().mapToLong(Long::longValue).sum();
      }
    } finally {
      FileSystemUtils.deleteRecursively(thrownAway);
    }
  }

  private static Map<String, Long> counts(Statement statement) throws SQLException {
    Map<String, Long> counts = new TreeMap<>();
    for (String table : DataFolder.tables(statement)) {
      try (ResultSet count = statement.executeQuery("select count(*) from \"" + table + "\"")) {
        count.next();
        counts.put(table, count.getLong(1));
      }
    }
    return counts;
  }

  private static void unpack(Path backup, Path to) throws IOException {
    try (ZipInputStream zip = new ZipInputStream(Files.newInputStream(backup))) {
      for (ZipEntry e = zip.getNextEntry(); e != null; e = zip.getNextEntry()) {
        Path file = to.resolve(Path.of(e.getName()).getFileName().toString());
        Files.copy(zip, file, StandardCopyOption.REPLACE_EXISTING);
      }
    }
  }

  private Map<LocalDate, Path> days() throws IOException {
    Map<LocalDate, Path> days = new TreeMap<>();
    if (!Files.isDirectory(into)) {
      return days;
    }
    try (Stream<Path> files = Files.list(into)) {
      for (Path file : files.toList()) {
        String name = file.getFileName().toString();
        if (name.startsWith(BEFORE_THE_DAY) && name.endsWith(ENDING)) {
          try {
            String day = name.substring(BEFORE_THE_DAY.length(), name.length() - ENDING.length());
            days.put(LocalDate.parse(day, DAY), file);
          } catch (DateTimeParseException e) {
            LOG.debug("{} is none of ours", name);
          }
        }
      }
    }
    return days;
  }

  private void takeAway() throws IOException {
    Map<LocalDate, Path> days = days();
    Set<LocalDate> kept = KeptBackups.of(days.keySet());
    for (Map.Entry<LocalDate, Path> day : days.entrySet()) {
      if (!kept.contains(day.getKey())) {
        Files.deleteIfExists(day.getValue());
        Files.deleteIfExists(digestOf(day.getValue()));
      }
    }
  }

  /**
   * Puts a backup into a folder that has no database yet.
   *
   * @throws Failed where it is not the file that was proved, or the folder has a database
   */
  public static void restore(Path backup, Path data) throws IOException {
    Path database = data.resolve("isokinon.mv.db");
    if (Files.exists(database)) {
      throw new Failed(
          "There is a shop in " + data + " already: a backup goes into an empty folder.");
    }
    Path digest = digestOf(backup);
    if (Files.exists(digest) && !Files.readString(digest).startsWith(sha256(backup))) {
      throw new Failed(backup + " is not as it was when it was proved: take another one.");
    }
    Files.createDirectories(data);
    unpack(backup, data);
    if (!Files.exists(database)) {
      throw new Failed(backup + " is no backup of Isokinon.");
    }
  }

  private static String sha256(Path file) throws IOException {
    try (InputStream in = Files.newInputStream(file)) {
      return DigestUtils.sha256Hex(in);
    }
  }
}
