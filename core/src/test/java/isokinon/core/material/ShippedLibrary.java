package isokinon.core.material;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** The material library as shipped. */
public final class ShippedLibrary {

  private ShippedLibrary() {}

  /** Reads the tables of {@code library/materials}. */
  public static MaterialLibrary read() {
    try {
      return LibraryReader.read(
          name -> Files.newBufferedReader(Path.of("../library/materials/" + name + ".csv")));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
