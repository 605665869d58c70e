package isokinon.bench;

import isokinon.core.material.Fluid;
import isokinon.core.material.Material;
import isokinon.core.material.MaterialKind;
import isokinon.core.material.MaterialLibrary;
import isokinon.core.material.Resistance;
import isokinon.core.material.flags.LibraryFlags;
import isokinon.core.material.flags.LibraryFlags.Flag;
import isokinon.core.material.reading.LibraryReader;
import isokinon.core.value.Numbers;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * Prints each fluid of the library as a table: materials down, bands of strength across, in each
 * field the full and the limited temperature, degC, and behind it what cannot be. For whoever
 * changes rows and wants to see them beside their neighbours.
 */
public final class FluidTables {

  private static final Path TABLES = Path.of("../library/materials");
  private static final int FIELD = 22;

  private FluidTables() {}

  /**
   * Prints the fluids asked about, or all of them.
   *
   * @param asked codes, names or aliases, in one text with spaces between; empty for all
   * @throws IOException where a table of the library cannot be opened
   */
  public static void main(String[] asked) throws IOException {
    MaterialLibrary library =
        LibraryReader.read(name -> Files.newBufferedReader(TABLES.resolve(name + ".csv")));
    LibraryFlags flags = new LibraryFlags(library);
    PrintStream out = new PrintStream(System.out, true, StandardCharsets.UTF_8);
    List<String> words = List.of(String.join(" ", asked).strip().split("\\s+"));
    List<Fluid> fluids =
        words.equals(List.of(""))
            ? List.copyOf(library.fluids())
            : words.stream().flatMap(f -> library.fluid(f).stream()).toList();
    long odd = 0;
    for (Fluid fluid : fluids) {
      odd += print(fluid, library, flags, out);
    }
    out.println(odd + " rows that cannot be, of " + library.rows().size());
  }

  private static long print(
      Fluid fluid, MaterialLibrary library, LibraryFlags flags, PrintStream out) {
    List<Resistance> rows =
        library.rows().stream().filter(r -> r.fluid().equals(fluid.code())).toList();
    List<Double> from = rows.stream().map(Resistance::fromPct).distinct().sorted().toList();
    out.println(fluid.name() + " (" + fluid.code() + ")");
    out.print(padded(""));
    for (double f : from) {
      String to =
          rows.stream()
              .filter(r -> r.fromPct() == f)
              .map(r -> Numbers.plain(r.toPct()))
              .distinct()
              .collect(Collectors.joining(" or "));
      out.print(padded(Numbers.plain(f) + " to " + to + " %"));
    }
    out.println();
    long odd = 0;
    for (Material m : library.materials()) {
      if (m.kind() == MaterialKind.MAGNET) {
        continue;
      }
      out.print(padded(m.code()));
      List<Resistance> ofMaterial = library.rows(fluid.code(), m.code());
      for (double f : from) {
        out.print(
            padded(
                ofMaterial.stream()
                    .filter(r -> r.fromPct() == f)
                    .findFirst()
                    .map(FluidTables::field)
                    .orElse("?")));
      }
      List<Flag> odds = ofMaterial.stream().flatMap(r -> flags.of(r).stream()).distinct().toList();
      odd += ofMaterial.stream().filter(r -> !flags.of(r).isEmpty()).count();
      out.println(odds.stream().map(Flag::words).collect(Collectors.joining(", ")));
    }
    out.println();
    return odd;
  }

  private static String field(Resistance r) {
    String limits =
        r.limitedC().isEmpty()
            ? "never"
            : limit(r.fullC()) + "/" + Numbers.plain(r.limitedC().get());
    return limits + r.effect().map(e -> " " + e.code()).orElse("");
  }

  private static String limit(Optional<Double> value) {
    return value.map(Numbers::plain).orElse("-");
  }

  private static String padded(String text) {
    return String.format(Locale.ROOT, "%-" + FIELD + "s", text);
  }
}
