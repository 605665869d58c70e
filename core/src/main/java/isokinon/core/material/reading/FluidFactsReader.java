package isokinon.core.material.reading;

import isokinon.core.material.Ceiling;
import isokinon.core.material.DensityCurve;
import isokinon.core.material.Fluid;
import isokinon.core.material.FluidFacts;
import isokinon.core.material.MaterialLibrary;
import isokinon.core.material.Meeting;
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
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.Collectors;

/**
 * Reads what holds of fluids whatever a pump is made of: {@code ceilings}, {@code groups}, {@code
 * meetings}, {@code densities} and {@code permeating}. Faults are told with table and line.
 */
final class FluidFactsReader {

  private static final String BASED_ON = "based-on=";

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
    List<Ceiling> ceilings = ceilings();
    Map<String, Meeting.Group> groups = new LinkedHashMap<>();
    Map<String, Map<String, Double>> members = new HashMap<>();
    each(
        "groups",
        List.of("group", "title", "fluids", "residue", "unit", "min", "max"),
        r -> {
          Meeting.Group group = new Meeting.Group(r.word("group"), r.word("title"), residue(r));
          groups.put(group.id(), group);
          Map<String, Double> fluids = members.computeIfAbsent(group.id(), g -> new HashMap<>());
          r.words("fluids", ';')
              .forEach(
                  word ->
                      members(word).forEach((fluid, pct) -> fluids.merge(fluid, pct, Math::min)));
        });
    List<Meeting> meetings = meetings(groups);
    Set<String> permeating = new HashSet<>();
    each("permeating", List.of("fluid"), r -> permeating.add(fluid(r)));
    return new FluidFacts(ceilings, meetings, members, densities(), permeating);
  }

  private static Optional<Meeting.Residue> residue(CsvRow row) {
    if (row.get("residue").isEmpty()) {
      return Optional.empty();
    }
    Meeting.Residue residue =
        new Meeting.Residue(
            row.get("residue"),
            row.get("unit"),
            row.optional("min", 0, 1e6),
            row.optional("max", 0, 1e6));
    if (!residue.seen() && residue.min().isEmpty() && residue.max().isEmpty()) {
      throw new IllegalArgumentException("a reading of a residue has a min or a max");
    }
    return Optional.of(residue);
  }

  private List<Ceiling> ceilings() throws IOException {
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
    return ceilings;
  }

  private List<Meeting> meetings(Map<String, Meeting.Group> groups) throws IOException {
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
    return meetings;
  }

  private Map<String, DensityCurve> densities() throws IOException {
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
    return densities;
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

  /**
   * A fluid; a fluid from a strength on: {@code sulphuric-acid@60}; or every fluid that is a
   * solution or a slurry in another, and that one: {@code based-on=water}.
   */
  private Map<String, Double> members(String word) {
    if (word.startsWith(BASED_ON)) {
      String base = fluid(word.substring(BASED_ON.length()));
      return names.fluids().stream()
          .filter(f -> f.code().equals(base) || f.basedOn().filter(base::equals).isPresent())
          .collect(Collectors.toMap(Fluid::code, f -> 0.0));
    }
    int at = word.indexOf('@');
    return at < 0
        ? Map.of(fluid(word), 0.0)
        : Map.of(fluid(word.substring(0, at)), Double.parseDouble(word.substring(at + 1)));
  }

  private static Meeting.Group group(CsvRow row, String column, Map<String, Meeting.Group> groups) {
    String id = row.word(column);
    if (!groups.containsKey(id)) {
      throw new IllegalArgumentException(column + " \"" + id + "\" is no group of fluids");
    }
    return groups.get(id);
  }
}
