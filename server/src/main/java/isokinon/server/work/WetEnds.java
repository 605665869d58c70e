package isokinon.server.work;

import isokinon.core.life.WeibullPosterior;
import isokinon.core.material.Material;
import isokinon.core.material.MaterialLibrary.BaseLife;
import isokinon.core.plan.PlanRequest;
import isokinon.core.plan.Planner;
import isokinon.core.sheet.Sheet;
import isokinon.core.wetend.Duty;
import isokinon.core.wetend.Rating;
import isokinon.server.store.LotRow;
import isokinon.server.store.PumpMapper;
import isokinon.server.store.PumpRow;
import isokinon.server.store.RunRow;
import isokinon.server.store.StoresMapper;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Which wet end goes into a pump: materials rated against its duty, kits on the shelf ranked. */
@Service
public class WetEnds {

  /** What an hour of a technician costs, pounds (shop value of the demo). */
  private static final double LABOUR_PER_HOUR = 42;

  /** The duty of a pump, its materials rated, its kits ranked. */
  public record ChooserView(
      String tag,
      String title,
      String fittedNow,
      String bodyMaterial,
      List<Pumps.DutyLine> duty,
      double suctionLiftM,
      String abrasion,
      double hoursPerDay,
      String consequence,
      List<RatedMaterial> fit,
      List<RatedMaterial> ruledOut,
      List<KitChoice> kits,
      String note) {}

  /** A material and the roles it was rated for. */
  public record RatedMaterial(
      String material,
      String name,
      List<String> roles,
      boolean fittedNow,
      boolean body,
      String verdict,
      Optional<Double> factor,
      Optional<Double> marginK,
      String reason,
      List<RatedBar> bars) {}

  /** A material in one fluid. */
  public record RatedBar(
      String fluid,
      double temperatureC,
      Optional<Double> fullC,
      Optional<Double> limitedC,
      String verdict,
      String reason) {}

  /** A kit on the shelf, what an hour with it costs and where that comes from. */
  public record KitChoice(
      String lot,
      String title,
      String material,
      String bodyMaterial,
      boolean fittedNow,
      String verdict,
      Optional<Double> costPer1000h,
      Optional<Double> costLow,
      Optional<Double> costHigh,
      Optional<Double> lifeHours,
      Optional<Double> lifeLow,
      Optional<Double> lifeHigh,
      double price,
      double labourMinutes,
      int quantity,
      String place,
      String standing,
      List<Boolean> runsFailed,
      String evidence,
      String because) {}

  private final Pumps pumps;
  private final PumpMapper store;
  private final StoresMapper stores;
  private final Sheets sheets;
  private final ShopLibrary library;
  private final ShelfLives shelf;
  private final Clock clock;

  WetEnds(
      Pumps pumps,
      PumpMapper store,
      StoresMapper stores,
      Sheets sheets,
      ShopLibrary library,
      ShelfLives shelf,
      Clock clock) {
    this.pumps = pumps;
    this.store = store;
    this.stores = stores;
    this.sheets = sheets;
    this.library = library;
    this.shelf = shelf;
    this.clock = clock;
  }

  /** The chooser for a pump. */
  @Transactional(readOnly = true)
  public ChooserView view(String tag) {
    PumpRow pump = pumps.pump(tag);
    Duty duty = duty(pump);
    String role = pump.role();
    List<RatedMaterial> rated = new ArrayList<>();
    for (Material m : library.materials().materials()) {
      boolean body = m.roles().contains("body");
      if (m.roles().contains(role) || (body && m.code().equals(pump.bodyMaterial()))) {
        rated.add(rated(m, library.rater().rate(duty, m), pump));
      }
    }
    Comparator<RatedMaterial> bestFirst =
        Comparator.comparing((RatedMaterial r) -> r.body())
            .thenComparing(r -> Rating.Verdict.valueOf(r.verdict().toUpperCase(Locale.ROOT)))
            .thenComparing(r -> -r.factor().orElse(0.0))
            .thenComparing(r -> -r.marginK().orElse(-1e9));
    return new ChooserView(
        tag,
        pump.sheet().flatMap(sheets::find).map(Sheet::title).orElse(pump.series()),
        pump.material(),
        pump.bodyMaterial(),
        pumps.view(tag).duty(),
        pump.suctionLiftM(),
        pump.abrasion(),
        pump.hoursPerDay(),
        pump.consequence(),
        rated.stream().filter(r -> !out(r)).sorted(bestFirst).toList(),
        rated.stream().filter(WetEnds::out).sorted(bestFirst).toList(),
        kits(pump, duty),
        "Library rows are starting values of general engineering knowledge: check with the maker of"
            + " the part.");
  }

  private static boolean out(RatedMaterial r) {
    return r.verdict().equals("unsuited") || r.verdict().equals("unknown");
  }

  /** The duty of a pump in the terms of the rater. */
  Duty duty(PumpRow pump) {
    return new Duty(
        pumps.exposures(pump.tag()).stream()
            .map(
                e ->
                    new Duty.Exposure(e.fluid(), e.concentrationPct(), e.temperatureC(), e.share()))
            .toList(),
        Duty.Abrasion.valueOf(pump.abrasion().toUpperCase(Locale.ROOT)),
        pump.suctionLiftM());
  }

  private RatedMaterial rated(Material m, Rating r, PumpRow pump) {
    boolean body = m.code().equals(pump.bodyMaterial()) && m.roles().contains("body");
    List<String> wanted = List.of("diaphragm", "ball", "seat", "body", "tube", "stator");
    return new RatedMaterial(
        m.code(),
        m.name(),
        wanted.stream().filter(m.roles()::contains).toList(),
        m.code().equals(pump.material()) || body,
        body,
        word(r.verdict()),
        r.factor(),
        r.marginK(),
        r.limitedBy().map(Rating.LimitedBy::reason).orElse(""),
        r.bars().stream()
            .map(
                b ->
                    new RatedBar(
                        b.fluid(),
                        b.temperatureC(),
                        b.fullC(),
                        b.limitedC(),
                        word(b.verdict()),
                        b.reason()))
            .toList());
  }

  private List<KitChoice> kits(PumpRow pump, Duty duty) {
    Optional<Sheet> sheet = pump.sheet().flatMap(sheets::find);
    if (sheet.isEmpty()) {
      return List.of();
    }
    String fluid = duty.exposures().isEmpty() ? "" : duty.exposures().get(0).fluid();
    List<KitChoice> choices = new ArrayList<>();
    for (LotRow lot : stores.lots(sheet.get().id())) {
      if (lot.kit().equals("wet-kit")) {
        choices.add(choice(pump, duty, fluid, sheet.get(), lot));
      }
    }
    choices.sort(
        Comparator.comparing((KitChoice k) -> k.costPer1000h().orElse(Double.MAX_VALUE))
            .thenComparing(KitChoice::lot));
    return choices;
  }

  private KitChoice choice(PumpRow pump, Duty duty, String fluid, Sheet sheet, LotRow lot) {
    Material material = library.materials().material(lot.material()).orElseThrow();
    Rating rating = library.rater().rate(duty, material);
    List<RunRow> runs =
        store.allRuns().stream()
            .filter(
                r ->
                    r.role().equals(pump.role())
                        && r.material().equals(lot.material())
                        && r.dutyGroup().equals(fluid))
            .toList();
    double minutes =
        new Planner()
            .plan(
                sheet,
                PlanRequest.of(
                    sheet.kits().stream()
                        .filter(k -> k.id().equals(lot.kit()))
                        .flatMap(k -> k.parts().keySet().stream())
                        .toList(),
                    List.of()))
            .minutes();
    double spend = lot.price() + minutes / 60 * LABOUR_PER_HOUR;
    Optional<WeibullPosterior> life =
        library
            .materials()
            .baseLife(pump.role(), lot.material())
            .flatMap(base -> posterior(base, rating, runs));
    String standing = standing(lot);
    long failures = runs.stream().filter(RunRow::failed).count();
    return new KitChoice(
        lot.id(),
        lot.title(),
        lot.material(),
        pump.bodyMaterial(),
        lot.material().equals(pump.material()),
        word(rating.verdict()),
        life.map(l -> spend / l.meanLife() * 1000),
        life.map(l -> spend / l.quantile(0.95) * 1000),
        life.map(l -> spend / l.quantile(0.05) * 1000),
        life.map(WeibullPosterior::meanLife),
        life.map(l -> l.quantile(0.05)),
        life.map(l -> l.quantile(0.95)),
        lot.price(),
        minutes,
        lot.quantity(),
        lot.place(),
        standing,
        runs.stream().map(RunRow::failed).toList(),
        runs.isEmpty()
            ? "no history, library value"
            : Words.count(runs.size(), "run")
                + " here, "
                + (failures == 0 ? "no failure" : Words.count(failures, "failure")),
        rating.limitedBy().map(Rating.LimitedBy::reason).orElse(""));
  }

  private static Optional<WeibullPosterior> posterior(
      BaseLife base, Rating rating, List<RunRow> runs) {
    return rating
        .factor()
        .map(
            f ->
                WeibullPosterior.of(
                    base.shape(),
                    base.hours() * f,
                    WeibullPosterior.LIBRARY_STRENGTH,
                    runs.stream()
                        .map(r -> new WeibullPosterior.Run(r.hours(), r.failed()))
                        .toList()));
  }

  private String standing(LotRow lot) {
    return switch (shelf.of(lot).on(LocalDate.now(clock))) {
      case IN_DATE -> "in date";
      case NEEDS_INSPECTION -> "inspect before use";
      case OVER_AGE -> "over-age";
      case UNKNOWN -> "maker's date";
    };
  }

  private static String word(Rating.Verdict verdict) {
    return verdict.name().toLowerCase(Locale.ROOT);
  }
}
