package isokinon.server.work.materials;

import isokinon.core.material.BandKey;
import isokinon.core.material.Effect;
import isokinon.core.material.Fluid;
import isokinon.core.material.Material;
import isokinon.core.material.MaterialKind;
import isokinon.core.material.MaterialLibrary;
import isokinon.core.material.Resistance;
import isokinon.core.material.flags.LibraryFlags;
import isokinon.core.material.flags.LibraryFlags.Flag;
import isokinon.core.value.Fault;
import isokinon.core.wetend.PairEvidence.Kind;
import isokinon.server.db.materials.FindingRow;
import isokinon.server.db.materials.WetEndMapper;
import isokinon.server.db.pumps.PumpMapper;
import isokinon.server.db.pumps.RunRow;
import isokinon.server.work.library.Meetings;
import isokinon.server.work.library.ShopLibrary;
import isokinon.server.work.materials.MaterialView.CeilingLine;
import isokinon.server.work.materials.MaterialView.FindingRequest;
import isokinon.server.work.materials.MaterialView.FluidLine;
import isokinon.server.work.materials.MaterialView.FluidSheet;
import isokinon.server.work.materials.MaterialView.LibraryView;
import isokinon.server.work.materials.MaterialView.MaterialLine;
import isokinon.server.work.materials.MaterialView.MaterialSheet;
import isokinon.server.work.materials.MaterialView.OwnResistance;
import isokinon.server.work.materials.MaterialView.PairLine;
import isokinon.server.work.materials.MaterialView.PairView;
import isokinon.server.work.materials.MaterialView.ResistanceLine;
import isokinon.server.work.materials.MaterialView.RunsLine;
import isokinon.server.work.materials.MaterialView.SeenLine;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.shared.Text;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The material library as people read it: what fluids do to materials, and what was seen here. */
@Service
public class Materials {

  /** A fluid as it comes: its groups are those of its strongest form. */
  private static final double NEAT_PCT = 100;

  private final ShopLibrary library;
  private final Meetings meetings;
  private final OwnTables own;
  private final MaterialEvidence evidence;
  private final WetEndMapper store;
  private final PumpMapper pumps;
  private final Clock clock;

  Materials(
      ShopLibrary library,
      Meetings meetings,
      OwnTables own,
      MaterialEvidence evidence,
      WetEndMapper store,
      PumpMapper pumps,
      Clock clock) {
    this.library = library;
    this.meetings = meetings;
    this.own = own;
    this.evidence = evidence;
    this.store = store;
    this.pumps = pumps;
    this.clock = clock;
  }

  /** What the library holds. */
  public LibraryView view() {
    MaterialLibrary all = library.materials();
    List<Resistance> rows = all.rows();
    Map<String, Long> byFluid =
        rows.stream()
            .collect(
                Collectors.groupingBy(
                    Resistance::fluid,
                    Collectors.mapping(
                        Resistance::material,
                        Collectors.collectingAndThen(Collectors.toSet(), s -> (long) s.size()))));
    return new LibraryView(
        all.fluids().stream()
            .map(
                f ->
                    new FluidLine(
                        f.code(),
                        f.name(),
                        f.aliases(),
                        f.flashC(),
                        byFluid.getOrDefault(f.code(), 0L)))
            .toList(),
        all.materials().stream()
            .map(
                m ->
                    new MaterialLine(
                        m.code(),
                        m.name(),
                        m.kind(),
                        m.roles().stream().sorted().toList(),
                        m.minC(),
                        m.maxC(),
                        m.shoreA(),
                        m.shelf(),
                        m.foodGrade()))
            .toList(),
        rows.size(),
        rows.stream().filter(Resistance::own).count());
  }

  /** A fluid against every material. */
  public FluidSheet fluid(String code) {
    MaterialLibrary all = library.materials();
    Map<BandKey, Long> bands = own.bands();
    Fluid f = known(code);
    return new FluidSheet(
        f.code(),
        f.name(),
        f.aliases(),
        f.hurts(),
        f.wear(),
        f.spilt(),
        f.flashC(),
        f.densityKgM3(),
        ceilings(f),
        meetings.against(f.code(), NEAT_PCT),
        all.materials().stream()
            .filter(m -> m.kind() != MaterialKind.MAGNET)
            .map(m -> new PairLine(m.code(), m.name(), lines(all.rows(f.code(), m.code()), bands)))
            .toList());
  }

  private List<CeilingLine> ceilings(Fluid f) {
    return library.materials().ceilings(f.code()).stream()
        .map(
            c ->
                new CeilingLine(
                    c.fromPct(),
                    c.toPct(),
                    c.maxC(),
                    Text.sentence(c.because().words() + " above " + Text.plain(c.maxC()) + " °C")))
        .toList();
  }

  /** A material with every fluid it has a row for. */
  public MaterialSheet sheet(String code) {
    MaterialLibrary all = library.materials();
    Map<BandKey, Long> bands = own.bands();
    Material m = material(code);
    return new MaterialSheet(
        m.code(),
        m.name(),
        m.minC(),
        m.maxC(),
        all.fluids().stream()
            .filter(f -> !all.rows(f.code(), m.code()).isEmpty())
            .map(f -> new PairLine(f.code(), f.name(), lines(all.rows(f.code(), m.code()), bands)))
            .toList());
  }

  /** A material in a fluid with everything known here. */
  @Transactional(readOnly = true)
  public PairView pair(String fluidCode, String materialCode) {
    Fluid f = known(fluidCode);
    Material m = material(materialCode);
    List<Resistance> rows = library.materials().rows(f.code(), m.code());
    List<SeenLine> seen = evidence.seen(f.code(), m.code());
    List<RunRow> runs = pumps.runsIn(m.code(), f.code());
    seen.addAll(evidence.ofRuns(f.code(), runs));
    Map<String, List<RunRow>> byPump =
        runs.stream()
            .collect(Collectors.groupingBy(RunRow::pump, LinkedHashMap::new, Collectors.toList()));
    return new PairView(
        f.code(),
        f.name(),
        m.code(),
        m.name(),
        rows.stream().min(Resistance.WORST_FIRST).map(r -> r.why(f.name(), m.kind())).orElse(""),
        !m.kind().thresholds(),
        ceilings(f),
        meetings.against(f.code(), NEAT_PCT),
        lines(rows, own.bands()),
        seen,
        byPump.entrySet().stream()
            .map(
                e ->
                    new RunsLine(
                        e.getKey(),
                        e.getValue().stream().map(RunRow::failed).toList(),
                        e.getValue().stream().mapToDouble(RunRow::hours).max().orElse(0)))
            .toList(),
        evidence.contradictions(f, m, seen),
        store.historyLike(f.code() + ",%," + m.code()).stream().map(OwnTables::change).toList(),
        List.of(Effect.values()));
  }

  /**
   * Writes down what was seen.
   *
   * @throws RequestProblem with everything that is wrong with it
   */
  @Transactional
  public PairView add(FindingRequest q, String who) {
    List<Fault> faults = new ArrayList<>();
    within(faults, "concentrationPct", q.concentrationPct(), 0, 100, "%");
    within(faults, "temperatureC", q.temperatureC(), -273.15, 1000, "°C");
    Kind kind = q.kind();
    if (kind == null) {
      faults.add(new Fault("kind", "What was seen is hardness, swell, attacked or sound."));
    } else if (kind == Kind.HARDNESS) {
      within(faults, "reading", q.reading(), -100, 100, "Shore A");
    } else if (kind == Kind.SWELL) {
      within(faults, "reading", q.reading(), -50, 400, "%");
    }
    if (q.fluid() == null || library.materials().fluid(q.fluid()).isEmpty()) {
      faults.add(new Fault("fluid", "The library knows no fluid \"" + q.fluid() + "\"."));
    }
    if (q.material() == null || library.materials().material(q.material()).isEmpty()) {
      faults.add(new Fault("material", "The library knows no material \"" + q.material() + "\"."));
    }
    if (q.pump() != null && !q.pump().isBlank() && pumps.byTag(q.pump()).isEmpty()) {
      faults.add(new Fault("pump", "No pump is called " + q.pump() + "."));
    }
    if (!faults.isEmpty()) {
      throw RequestProblem.invalid(faults);
    }
    Fluid f = known(q.fluid());
    Material m = material(q.material());
    store.addFinding(
        new FindingRow(
            0,
            q.pump() == null || q.pump().isBlank() ? null : q.pump(),
            m.code(),
            f.code(),
            q.concentrationPct(),
            q.temperatureC(),
            kind,
            q.reading() == null ? 0 : q.reading(),
            Text.clipped(q.note() == null ? "" : q.note(), 2000),
            who,
            OffsetDateTime.now(clock)));
    return pair(f.code(), m.code());
  }

  /**
   * Writes an own row, which counts before every shipped one of its band.
   *
   * @throws RequestProblem with everything that is wrong with it
   */
  @Transactional
  public PairView write(OwnResistance row, String who) {
    own.write(row, who);
    return pair(row.fluid(), row.material());
  }

  private List<ResistanceLine> lines(List<Resistance> rows, Map<BandKey, Long> own) {
    LibraryFlags flags = new LibraryFlags(library.materials());
    return rows.stream()
        .map(
            r ->
                new ResistanceLine(
                    r.fromPct(),
                    r.toPct(),
                    r.fullC(),
                    r.limitedC(),
                    r.effect(),
                    r.basis(),
                    r.source(),
                    r.date(),
                    r.note(),
                    r.known(),
                    Optional.of(r).filter(Resistance::own).map(o -> own.get(o.key())),
                    !r.own()
                        && rows.stream()
                            .anyMatch(
                                o ->
                                    o.own()
                                        && o.fromPct() <= r.fromPct()
                                        && o.toPct() >= r.toPct()),
                    r.own() ? flags.of(r).stream().map(Flag::words).toList() : List.of()))
        .toList();
  }

  private Fluid known(String code) {
    return library
        .materials()
        .fluid(code)
        .orElseThrow(() -> RequestProblem.missing("The library knows no fluid \"" + code + "\"."));
  }

  private Material material(String code) {
    return library
        .materials()
        .material(code)
        .orElseThrow(
            () -> RequestProblem.missing("The library knows no material \"" + code + "\"."));
  }

  private static void within(
      List<Fault> faults, String path, Double value, double min, double max, String unit) {
    if (value == null || !(value >= min && value <= max)) {
      faults.add(
          new Fault(
              path,
              "Give "
                  + min
                  + " to "
                  + max
                  + " "
                  + unit
                  + (value == null ? "." : "; " + value + " is not.")));
    }
  }
}
