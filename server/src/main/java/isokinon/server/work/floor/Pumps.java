package isokinon.server.work.floor;

import isokinon.core.renewal.Consequence;
import isokinon.core.sheet.Part;
import isokinon.core.sheet.Sheet;
import isokinon.core.wetend.Duty.Abrasion;
import isokinon.server.db.pumps.PumpMapper;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.db.rebuilds.BenchMapper;
import isokinon.server.work.drawing.Rail;
import isokinon.server.work.drawing.RailViewer;
import isokinon.server.work.inspection.Causes;
import isokinon.server.work.inspection.FoundCause;
import isokinon.server.work.inspection.Trends;
import isokinon.server.work.library.Sheets;
import isokinon.server.work.library.ShopLibrary;
import isokinon.server.work.pumps.PumpRegister;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.shared.Text;
import isokinon.server.work.units.SpareUnits;
import isokinon.server.work.units.SpareUnits.SpareUnit;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** One pump's page: duty, what is fitted, its history, its rebuilds, what a rebuild can reach. */
@Service
public class Pumps {

  /**
   * A pump with everything its page shows.
   *
   * @param alike other pumps of its construction, whose unit could stand here
   * @param spares units of its construction on the shelf
   * @param retired whether it is retired: its records stay, and nothing is planned for it
   */
  public record PumpView(
      Strips.Strip strip,
      String area,
      String serial,
      String bodyMaterial,
      Abrasion abrasion,
      double suctionLiftM,
      Consequence consequence,
      double runningHours,
      List<DutyLine> duty,
      Optional<SheetParts> sheet,
      List<Rail> rails,
      List<PastRebuild> rebuilds,
      List<Trends.TrendView> trends,
      List<FoundCause> causes,
      List<String> alike,
      List<SpareUnit> spares,
      boolean retired) {}

  /** A fluid of the duty. */
  public record DutyLine(
      String fluid,
      String name,
      double concentrationPct,
      double temperatureC,
      double share,
      String note) {}

  /** What the sheet offers to renew or look at. */
  public record SheetParts(
      String id, String title, int revision, List<PartLine> parts, List<KitLine> kits) {}

  /** A part of the sheet. */
  public record PartLine(
      String id, String name, Part.Section section, Part.Renew renew, int count) {}

  /** A kit of the sheet. */
  public record KitLine(String id, String title, Map<String, Integer> parts) {}

  /** An earlier rebuild. */
  public record PastRebuild(long id, String opened, String by, String reason, boolean closed) {}

  private final PumpMapper store;
  private final BenchMapper bench;
  private final SpareUnits spares;
  private final Sheets sheets;
  private final Strips strips;
  private final ShopLibrary library;
  private final Trends trends;
  private final Causes causes;
  private final PumpRegister register;

  Pumps(
      PumpMapper store,
      BenchMapper bench,
      SpareUnits spares,
      Sheets sheets,
      Strips strips,
      ShopLibrary library,
      Trends trends,
      Causes causes,
      PumpRegister register) {
    this.store = store;
    this.bench = bench;
    this.spares = spares;
    this.sheets = sheets;
    this.strips = strips;
    this.library = library;
    this.trends = trends;
    this.causes = causes;
    this.register = register;
  }

  /**
   * The page of a pump.
   *
   * @throws RequestProblem where no pump has this tag
   */
  @Transactional(readOnly = true)
  public PumpView view(String tag) {
    boolean retired = register.retired(tag);
    PumpRow pump = retired ? register.asRead(tag) : register.pump(tag);
    Optional<Sheet> sheet = pump.sheet().flatMap(sheets::find);
    return new PumpView(
        strips.of(pump),
        pump.area(),
        pump.serial(),
        pump.bodyMaterial(),
        pump.abrasion(),
        pump.suctionLiftM(),
        pump.consequence(),
        register.asRead(tag).runningHours(),
        duty(tag),
        sheet.map(s -> sheetParts(s, pump)),
        sheet.map(x -> RailViewer.whole(x, pump)).orElse(List.of()),
        bench.of(tag).stream()
            .map(
                r ->
                    new PastRebuild(
                        r.id(),
                        Text.day(r.openedAt().toLocalDate()),
                        r.openedBy(),
                        r.reason(),
                        r.closedAt() != null))
            .toList(),
        sheet.map(s -> trends.of(pump, s)).orElse(List.of()),
        causes.found(tag, sheet),
        sheet.map(s -> alike(s, pump)).orElse(List.of()),
        sheet.map(spares::of).orElse(List.of()),
        retired);
  }

  private List<String> alike(Sheet sheet, PumpRow pump) {
    return store.all().stream()
        .filter(p -> p.sheet().equals(Optional.of(sheet.id())) && !p.tag().equals(pump.tag()))
        .map(PumpRow::tag)
        .sorted()
        .toList();
  }

  private List<DutyLine> duty(String tag) {
    return store.exposures(tag).stream()
        .map(
            e ->
                new DutyLine(
                    e.fluid(),
                    library.materials().fluid(e.fluid()).map(f -> f.name()).orElse(e.fluid()),
                    e.concentrationPct(),
                    e.temperatureC(),
                    e.share(),
                    e.note()))
        .toList();
  }

  private static SheetParts sheetParts(Sheet s, PumpRow pump) {
    return new SheetParts(
        s.id(),
        s.title(),
        s.revision(),
        s.parts().stream()
            .filter(p -> p.renew() != Part.Renew.KEEP)
            .filter(p -> p.goesWith(pump.material()))
            .map(p -> new PartLine(p.id(), p.name(), p.section(), p.renew(), p.count()))
            .toList(),
        s.kits().stream().map(k -> new KitLine(k.id(), k.title(), k.parts())).toList());
  }
}
