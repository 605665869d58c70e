package isokinon.server.work.materials;

import isokinon.core.life.FailureCause;
import isokinon.core.material.Fluid;
import isokinon.core.material.Material;
import isokinon.core.material.Resistance;
import isokinon.core.wear.Measures;
import isokinon.core.wetend.PairEvidence;
import isokinon.core.wetend.PairEvidence.Kind;
import isokinon.core.wetend.PairEvidence.Seen;
import isokinon.server.db.materials.FindingRow;
import isokinon.server.db.materials.JudgedReadingRow;
import isokinon.server.db.materials.WetEndMapper;
import isokinon.server.db.pumps.ExposureRow;
import isokinon.server.db.pumps.PumpMapper;
import isokinon.server.db.pumps.RunRow;
import isokinon.server.work.library.ShopLibrary;
import isokinon.server.work.materials.MaterialView.ContradictionView;
import isokinon.server.work.materials.MaterialView.OwnResistance;
import isokinon.server.work.materials.MaterialView.SeenLine;
import isokinon.server.work.shared.Text;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** What was seen here of a material in a fluid, and where the library says otherwise. */
@Service
class MaterialEvidence {

  private final ShopLibrary library;
  private final WetEndMapper store;
  private final PumpMapper pumps;

  MaterialEvidence(ShopLibrary library, WetEndMapper store, PumpMapper pumps) {
    this.library = library;
    this.store = store;
    this.pumps = pumps;
  }

  List<SeenLine> seen(String fluid, String material) {
    List<SeenLine> seen = new ArrayList<>();
    for (FindingRow f : store.findings(fluid, material)) {
      seen.add(
          new SeenLine(
              f.kind(),
              f.reading(),
              f.temperatureC(),
              f.concentrationPct(),
              Optional.ofNullable(f.pump()).orElse(""),
              Text.day(f.foundAt().toLocalDate()),
              f.foundBy(),
              f.note(),
              "typed"));
    }
    for (JudgedReadingRow r : store.judged(fluid, material)) {
      exposure(r.pump(), fluid)
          .ifPresent(
              e ->
                  seen.add(
                      new SeenLine(
                          r.measure().equals(Measures.SWELL) ? Kind.SWELL : Kind.HARDNESS,
                          r.reading(),
                          e.temperatureC(),
                          e.concentrationPct(),
                          r.pump(),
                          Text.day(r.at().toLocalDate()),
                          r.who(),
                          r.text(),
                          "job " + r.rebuild())));
    }
    return seen;
  }

  /** A failed run by chemical attack, and a sound one, each at the pump's temperature of today. */
  List<SeenLine> ofRuns(String fluid, List<RunRow> runs) {
    List<SeenLine> seen = new ArrayList<>();
    for (RunRow r : runs) {
      boolean attacked = r.failed() && FailureCause.ofWords(r.cause()) == FailureCause.ATTACKED;
      if (attacked || !r.failed()) {
        exposure(r.pump(), fluid)
            .ifPresent(
                e ->
                    seen.add(
                        new SeenLine(
                            attacked ? Kind.ATTACKED : Kind.SOUND,
                            0,
                            e.temperatureC(),
                            e.concentrationPct(),
                            r.pump(),
                            Text.day(r.endedOn()),
                            "",
                            r.cause() + " at " + Text.plain(Math.round(r.hours())) + " h",
                            "run")));
      }
    }
    return seen;
  }

  private Optional<ExposureRow> exposure(String pump, String fluid) {
    return pumps.exposures(pump).stream().filter(e -> e.fluid().equals(fluid)).findFirst();
  }

  List<ContradictionView> contradictions(Fluid f, Material m, List<SeenLine> seen) {
    List<ContradictionView> found = new ArrayList<>();
    for (Resistance row : library.materials().rows(f.code(), m.code())) {
      List<Seen> within =
          seen.stream()
              .filter(s -> row.holds(s.concentrationPct()))
              .map(s -> new Seen(s.kind(), s.reading(), s.temperatureC(), s.concentrationPct()))
              .toList();
      double middle = within.isEmpty() ? 0 : within.get(0).concentrationPct();
      Optional<Resistance> counts =
          library.materials().resistance(f.code(), middle, m.code(), 20).filter(row::equals);
      PairEvidence.against(counts, within)
          .ifPresent(
              c ->
                  found.add(
                      new ContradictionView(
                          c.sentence(),
                          new OwnResistance(
                              f.code(),
                              m.code(),
                              row.fromPct(),
                              row.toPct(),
                              c.fullC(),
                              c.limitedC(),
                              row.effect(),
                              c.sentence()))));
    }
    return found;
  }
}
