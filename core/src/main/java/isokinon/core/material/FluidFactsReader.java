package isokinon.core.material;

import isokinon.core.table.CsvRow;
import isokinon.core.table.CsvTable;
import isokinon.core.value.Fault;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;

/**
 * Reads what holds of fluids whatever a pump is made of: {@code ceilings}, {@code groups}, {@code
 * meetings}, {@code densities} and {@code permeating}. Faults are told with table and line.
 */
final class FluidFactsReader {

  private final LibraryReader.Tables tables;
  private final MaterialLibrary names;
  private final List<Fault> faults;

  private FluidFactsReader(LibraryReader.Tables tables, MaterialLibrary names, List<Fault> faults) {
    this.tables = tables;
    this.names = names;
    this.faults = faults;
  }

  /**
   * Reads the tables.
   *
   * @param names the fluids there are
   * @param faults to which every fault is added
   */
  static FluidFacts read(LibraryReader.Tables tables, MaterialLibrary names, List<Fault> faults)
      throws IOException {
    return new FluidFactsReader(tables, names, faults).read();
  }

  private FluidFacts read() throws IOException {
    List<Ceiling> ceilings = new ArrayList<>();
    each(
        "ceilings",
        List.of("fluid", "from_pct", "to_pct", "max_c", "because"),
        r -> {
          Ceiling ceiling =
              new Ceiling(
                  fluid(r),
                  r.number("from_pct", 0, 100),
                  r.number("to_pct", 0, 100),
                  r.number("max_c", -50, 400),
                  r.code(Ceiling.Why.class, "because"));
          if (ceiling.toPct() <= ceiling.fromPct()) {
            throw new IllegalArgumentException("to_pct is not over from_pct");
          }
          ceilings.stream()
              .filter(c -> c.fluid().equals(ceiling.fluid()))
              .filter(c -> c.fromPct() < ceiling.toPct() && ceiling.fromPct() < c.toPct())
              .findFirst()
              .ifPresent(
                  c -> {
                    throw new IllegalArgumentException("its band overlaps another of " + c.fluid());
                  });
          ceilings.add(ceiling);
        });
    Map<String, Meeting.Group> groups = new LinkedHashMap<>();
    List<Meeting.Member> members = new ArrayList<>();
    each(
        "groups",
        List.of("group", "title", "fluids"),
        r -> {
          Meeting.Group group = new Meeting.Group(r.word("group"), r.word("title"));
          groups.put(group.id(), group);
          r.words("fluids", ';').forEach(word -> members.add(member(group, word)));
        });
    List<Meeting> meetings = new ArrayList<>();
    Set<Set<String>> pairs = new HashSet<>();
    each(
        "meetings",
        List.of("one", "other", "gives", "happens", "apart"),
        r -> {
          Meeting meeting =
              new Meeting(
                  group(r, "one", groups),
                  group(r, "other", groups),
                  r.code(Meeting.Danger.class, "gives"),
                  r.word("happens"),
                  r.word("apart"));
          if (meeting.one().equals(meeting.other())) {
            throw new IllegalArgumentException("one and other are the same group");
          }
          if (!pairs.add(Set.of(meeting.one().id(), meeting.other().id()))) {
            throw new IllegalArgumentException("this pair stands here twice");
          }
          meetings.add(meeting);
        });
    Map<String, DensityCurve> densities = new HashMap<>();
    each(
        "densities",
        List.of("fluid", "pct", "c", "density"),
        r ->
            densities
                .computeIfAbsent(fluid(r), f -> new DensityCurve())
                .add(
                    r.number("pct", 0, 100),
                    r.number("c", -50, 300),
                    r.number("density", 0.1, 25_000)));
    Set<String> permeating = new HashSet<>();
    each("permeating", List.of("fluid"), r -> permeating.add(fluid(r)));
    return new FluidFacts(ceilings, meetings, members, densities, permeating);
  }

  private void each(String table, List<String> columns, Consumer<CsvRow> read) throws IOException {
    CsvTable rows = CsvTable.read(table, tables.open(table), columns);
    faults.addAll(rows.faults());
    for (CsvRow row : rows.rows()) {
      try {
        read.accept(row);
      } catch (IllegalArgumentException e) {
        faults.add(Fault.at(table, row.line(), e.getMessage()));
      }
    }
  }

  private String fluid(CsvRow row) {
    return fluid(row.word("fluid"));
  }

  private String fluid(String word) {
    return names
        .fluid(word)
        .map(Fluid::code)
        .orElseThrow(() -> new IllegalArgumentException("unknown fluid " + word));
  }

  /** A fluid, or a fluid from a strength on: {@code sulphuric-acid@60}. */
  private Meeting.Member member(Meeting.Group group, String word) {
    int at = word.indexOf('@');
    return at < 0
        ? new Meeting.Member(group.id(), fluid(word), 0)
        : new Meeting.Member(
            group.id(), fluid(word.substring(0, at)), Double.parseDouble(word.substring(at + 1)));
  }

  private static Meeting.Group group(CsvRow row, String column, Map<String, Meeting.Group> groups) {
    String id = row.word(column);
    if (!groups.containsKey(id)) {
      throw new IllegalArgumentException(column + " \"" + id + "\" is no group of fluids");
    }
    return groups.get(id);
  }
}
