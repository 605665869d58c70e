package isokinon.server.folder;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.Optional;
import java.util.Properties;
import java.util.zip.CRC32;

/**
 * What is known of the database file from the last time it was in hand, kept in a small file beside
 * it.
 *
 * @param schema version of the schema it is in; 0 where none was finished yet
 * @param closed size and checksum it was closed with; empty while it is open, and so after a crash
 */
record FolderState(int schema, Optional<Mark> closed) {

  private static final int BUFFER = 1 << 16;

  /**
   * A file as it was.
   *
   * @param size bytes
   * @param crc CRC-32 of all of it
   */
  record Mark(long size, long crc) {

    /** Reads a file from end to end. */
    static Mark of(Path file) throws IOException {
      CRC32 crc = new CRC32();
      long size = 0;
      byte[] buffer = new byte[BUFFER];
      try (InputStream in = Files.newInputStream(file)) {
        for (int n = in.read(buffer); n >= 0; n = in.read(buffer)) {
          crc.update(buffer, 0, n);
          size += n;
        }
      }
      return new Mark(size, crc.getValue());
    }
  }

  /** What stands in {@code file}; empty where there is no such file. */
  static Optional<FolderState> read(Path file) throws IOException {
    if (Files.notExists(file)) {
      return Optional.empty();
    }
    Properties p = new Properties();
    try (InputStream in = Files.newInputStream(file)) {
      p.load(in);
    }
    try {
      Optional<Mark> closed =
          p.containsKey("closed.size")
              ? Optional.of(
                  new Mark(
                      Long.parseLong(p.getProperty("closed.size")),
                      Long.parseLong(p.getProperty("closed.crc"))))
              : Optional.empty();
      return Optional.of(new FolderState(Integer.parseInt(p.getProperty("schema", "0")), closed));
    } catch (NumberFormatException e) {
      return Optional.of(new FolderState(0, Optional.empty()));
    }
  }

  /** Writes it in one move, so that it is never half written. */
  void write(Path file) throws IOException {
    Properties p = new Properties();
    p.setProperty("schema", Integer.toString(schema));
    closed.ifPresent(
        mark -> {
          p.setProperty("closed.size", Long.toString(mark.size()));
          p.setProperty("closed.crc", Long.toString(mark.crc()));
        });
    Path written = file.resolveSibling(file.getFileName() + ".new");
    try (OutputStream out = Files.newOutputStream(written)) {
      p.store(out, null);
    }
    try (FileChannel channel = FileChannel.open(written, StandardOpenOption.WRITE)) {
      channel.force(true);
    }
    Files.move(written, file, StandardCopyOption.ATOMIC_MOVE);
  }
}
