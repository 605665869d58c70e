package isokinon.core.sheet;

import isokinon.core.sheet.reading.SheetReader;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;

/** The sheets of the library, as files and as values. */
public final class ShippedSheet {

  private static final Path FOLDER = Path.of("../library/sheets");

  /** Each is read once: a sheet never changes. */
  private static final Map<String, Sheet> READ = new ConcurrentHashMap<>();

  private ShippedSheet() {}

  /** The source of a shipped sheet. */
  public static String source(String id) {
    try {
      return Files.readString(FOLDER.resolve(id + ".yaml"));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** A shipped sheet by id. */
  public static Sheet of(String id) {
    return READ.computeIfAbsent(id, i -> SheetReader.forLibrary().read(source(i)).orThrow());
  }

  /** The bolted plastic double-diaphragm pump. */
  public static Sheet boltedPlastic() {
    return of("aodd-bolted-plastic-25");
  }

  /** All shipped sheets. */
  public static List<Sheet> all() {
    return ids().stream().map(ShippedSheet::of).toList();
  }

  /** Ids of all shipped sheets. */
  public static List<String> ids() {
    try (Stream<Path> files = Files.list(FOLDER)) {
      return files
          .map(f -> f.getFileName().toString())
          .filter(f -> f.endsWith(".yaml"))
          .map(f -> f.substring(0, f.length() - ".yaml".length()))
          .sorted()
          .toList();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
