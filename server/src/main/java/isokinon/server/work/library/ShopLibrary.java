package isokinon.server.work.library;

import isokinon.core.material.MaterialLibrary;
import isokinon.core.material.reading.LibraryReader;
import isokinon.core.wetend.WetEndRater;
import isokinon.server.db.DataVersions;
import isokinon.server.db.Topic;
import isokinon.server.db.materials.OwnRow;
import isokinon.server.db.materials.WetEndMapper;
import isokinon.server.work.shared.Cached;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/**
 * The material library: the tables that ship with the application, and over them the rows of the
 * shop.
 */
@Component
public class ShopLibrary {

  private final Cached<WetEndRater> read;

  public ShopLibrary(WetEndMapper store, DataVersions versions) {
    this.read =
        Cached.of(
            versions,
            EnumSet.of(Topic.MATERIALS),
            () -> new WetEndRater(kept(ownTables(store.ownRows()))));
  }

  /** Materials, fluids and resistance rows. */
  public MaterialLibrary materials() {
    return rater().library();
  }

  /** The rater over them. */
  public WetEndRater rater() {
    return read.get();
  }

  /**
   * The library with own tables that were written before; see {@link LibraryReader#readKept}.
   *
   * @throws LibraryReader.InvalidLibrary with every fault
   */
  public MaterialLibrary kept(Map<String, String> own) {
    if (own.isEmpty()) {
      return ShippedLibrary.materials();
    }
    try {
      return LibraryReader.readKept(ShippedLibrary::table, own);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /**
   * The library as it would be with these own tables.
   *
   * @throws LibraryReader.InvalidLibrary with every fault
   */
  public MaterialLibrary with(Map<String, String> own) {
    try {
      return LibraryReader.read(ShippedLibrary::table, own);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Own rows as CSV text with its heading, by table. */
  public static Map<String, String> ownTables(List<OwnRow> rows) {
    Map<String, StringBuilder> tables = new LinkedHashMap<>();
    for (OwnRow row : rows) {
      tables
          .computeIfAbsent(
              row.tableName(),
              t -> new StringBuilder(String.join(",", LibraryReader.columns(t)) + "\n"))
          .append(row.line())
          .append('\n');
    }
    Map<String, String> text = new HashMap<>();
    tables.forEach((t, lines) -> text.put(t, lines.toString()));
    return text;
  }
}
