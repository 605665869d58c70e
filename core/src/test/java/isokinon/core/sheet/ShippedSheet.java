package isokinon.core.sheet;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** The sheets of the library, as files and as values. */
public final class ShippedSheet {

  private ShippedSheet() {}

  /** The source of a shipped sheet. */
  public static String source(String id) {
    try {
      return Files.readString(Path.of("../library/sheets/" + id + ".yaml"));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** The bolted plastic double-diaphragm pump. */
  public static Sheet boltedPlastic() {
    return SheetReader.forLibrary().read(source("aodd-bolted-plastic-25")).orThrow();
  }
}
