package isokinon.core.material;

import isokinon.core.material.reading.LibraryReader;
import java.io.IOException;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;

/** The material library as shipped. */
public final class ShippedLibrary {

  private ShippedLibrary() {}

  /** Reads the tables of {@code library/materials}. */
  public static MaterialLibrary read() {
    try {
      return LibraryReader.read(ShippedLibrary::open);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** The same with lines of the shop's own over one table. */
  public static MaterialLibrary with(String table, String... lines) {
    String own =
        String.join(",", LibraryReader.columns(table)) + "\n" + String.join("\n", lines) + "\n";
    try {
      return LibraryReader.read(ShippedLibrary::open, Map.of(table, own));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static Reader open(String name) throws IOException {
    return Files.newBufferedReader(Path.of("../library/materials/" + name + ".csv"));
  }
}
