package isokinon.server.work.setup.tables.pumps;

import isokinon.server.db.units.SpareUnitPartRow;
import isokinon.server.work.shared.TableValues;
import isokinon.server.work.shared.Text;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * The wear parts of a unit in one cell: role, where it stands if it is one of several, material,
 * hours, counts and serial, as {@code ball=NBR,420;valve-seat@inlet=PP,420,25200,S-7}.
 */
final class WearParts {

  static final String SAYS =
      "role=material,hours with ; between, as ball=NBR,420; role@place where one of several";

  private static final Pattern ONE =
      Pattern.compile(
          "(?<role>[a-z-]{1,20})(?:@(?<place>[^=]{1,40}))?=(?<material>[^,]{1,20}),(?<hours>[^,]+)"
              + "(?:,(?<counts>[^,]*)(?:,(?<serial>.{0,40}))?)?");

  private WearParts() {}

  private static Stream<String> cells(String text) {
    return Arrays.stream(text.split(";")).map(String::strip).filter(cell -> !cell.isEmpty());
  }

  private static Optional<SpareUnitPartRow> row(String unit, String cell) {
    Matcher m = ONE.matcher(cell);
    if (!m.matches()) {
      return Optional.empty();
    }
    Optional<Double> hours = TableValues.number(m.group("hours")).filter(h -> h >= 0);
    Optional<Double> counts =
        Text.typed(m.group("counts")).isEmpty()
            ? Optional.of(0.0)
            : TableValues.number(m.group("counts")).filter(c -> c >= 0);
    return hours.isEmpty() || counts.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new SpareUnitPartRow(
                unit,
                m.group("role"),
                Text.typed(m.group("place")),
                Text.typed(m.group("serial")),
                m.group("material").strip(),
                hours.get(),
                counts.get(),
                false));
  }

  /** The parts in a cell that has no fault. */
  static List<SpareUnitPartRow> rows(String unit, String text) {
    return cells(text).map(cell -> row(unit, cell).orElseThrow()).toList();
  }

  /** What is wrong with a cell, in a sentence; empty where nothing is. */
  static Optional<String> fault(String text) {
    return cells(text)
        .filter(cell -> row("", cell).isEmpty())
        .findFirst()
        .map(cell -> "\"" + cell + "\" is no part with its hours, as ball=NBR,420 is.");
  }

  /** The cell of these parts. */
  static String text(List<SpareUnitPartRow> parts) {
    return parts.stream()
        .map(
            p ->
                p.role()
                    + (p.place().isEmpty() ? "" : "@" + p.place())
                    + "="
                    + p.material()
                    + ","
                    + Text.digits(p.hours())
                    + (p.counts() == 0 && p.partSerial().isEmpty()
                        ? ""
                        : "," + Text.digits(p.counts()))
                    + (p.partSerial().isEmpty() ? "" : "," + p.partSerial()))
        .collect(Collectors.joining(";"));
  }
}
