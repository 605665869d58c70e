package isokinon.server.work.setup;

import isokinon.server.work.setup.names.KnownNames;
import isokinon.server.work.setup.tables.SetupColumn;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;

/** How like a heading of somebody's table is to a column of ours. */
final class Headings {

  /** Under this a heading is not taken for a column by itself, 0 to 100. */
  static final int LEAST = 88;

  private Headings() {}

  /** How sure it is that a heading means a column, 0 to 100; 100 where it is called so. */
  static int sure(SetupColumn column, String heading) {
    List<String> names =
        Stream.concat(Stream.of(column.id(), column.title()), column.alsoCalled().stream())
            .toList();
    String plain = plain(heading);
    if (plain.isEmpty()) {
      return 0;
    }
    if (names.stream().anyMatch(n -> plain(n).equals(plain))) {
      return 100;
    }
    double best = names.stream().mapToDouble(n -> KnownNames.likeness(n, heading)).max().orElse(0);
    return (int) Math.round(99 * best);
  }

  /** Whether a word is this name, but for its spaces and capitals. */
  static boolean isCalled(String word, String name) {
    return plain(word).equals(plain(name));
  }

  /** Letters and figures only, without a unit behind. */
  private static String plain(String heading) {
    return heading
        .toLowerCase(Locale.ROOT)
        .replaceAll("[\\[(].*", "")
        .replaceAll(",.*", "")
        .replaceAll("[^\\p{L}\\p{N}]+", " ")
        .strip();
  }
}
