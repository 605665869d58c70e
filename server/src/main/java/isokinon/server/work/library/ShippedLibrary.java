package isokinon.server.work.library;

import isokinon.core.material.MaterialLibrary;
import isokinon.core.material.reading.LibraryReader;
import isokinon.core.sheet.Sheet;
import isokinon.core.sheet.reading.SheetReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;

/** The sheets and material tables that ship with the application, each read once. */
public final class ShippedLibrary {

  private ShippedLibrary() {}

  /** Begins to read them beside whatever else the start has to do. */
  public static void readAhead() {
    Thread reader =
        new Thread(
            () -> {
              materials();
              sheets();
            },
            "shipped library");
    reader.setDaemon(true);
    reader.start();
  }

  /** Read when first asked for; whoever asks meanwhile waits. */
  private static final class Materials {
    private static final MaterialLibrary READ = readMaterials();
  }

  /** Read when first asked for; whoever asks meanwhile waits. */
  private static final class Sheets {
    private static final Map<String, Sheet> READ = readSheets();
  }

  private static MaterialLibrary readMaterials() {
    try {
      return LibraryReader.readKept(ShippedLibrary::table, Map.of());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static Map<String, Sheet> readSheets() {
    try {
      Resource[] files =
          new PathMatchingResourcePatternResolver().getResources("classpath:library/sheets/*.yaml");
      return Arrays.stream(files)
          .map(ShippedLibrary::text)
          .collect(Collectors.toMap(t -> t, t -> SheetReader.forLibrary().read(t).orThrow()));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static String text(Resource file) {
    try {
      return file.getContentAsString(StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Materials, fluids and resistance rows, without any of a shop. */
  static MaterialLibrary materials() {
    return Materials.READ;
  }

  /** The sheets, by the text they are written in. */
  static Map<String, Sheet> sheets() {
    return Sheets.READ;
  }

  /** The sheet that is written so; empty where it does not ship. */
  static Optional<Sheet> sheet(String source) {
    return Optional.ofNullable(Sheets.READ.get(source));
  }

  /** A table of the library as it ships. */
  public static InputStreamReader table(String table) throws IOException {
    return new InputStreamReader(
        new ClassPathResource("library/materials/" + table + ".csv").getInputStream(),
        StandardCharsets.UTF_8);
  }
}
