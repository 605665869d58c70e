package isokinon.server.work.stores;

import isokinon.core.life.Demand;
import isokinon.core.sheet.Sheet;
import isokinon.core.stock.Availability;
import isokinon.core.stock.KitId;
import isokinon.core.stock.LotStatus;
import isokinon.core.stock.ShelfLife;
import isokinon.core.table.CsvTable;
import isokinon.server.db.materials.WetKitRow;
import isokinon.server.db.rebuilds.BenchMapper;
import isokinon.server.db.rebuilds.RebuildRow;
import isokinon.server.db.stores.KeptPartRow;
import isokinon.server.db.stores.LotRow;
import isokinon.server.db.stores.OfferRow;
import isokinon.server.db.stores.ReservationRow;
import isokinon.server.db.stores.ShelfMapper;
import isokinon.server.db.stores.StoresMapper;
import isokinon.server.work.consumables.ConsumableLines;
import isokinon.server.work.consumables.ConsumableLines.ConsumableLine;
import isokinon.server.work.library.Catalogue;
import isokinon.server.work.library.LotText;
import isokinon.server.work.library.Sheets;
import isokinon.server.work.library.ShelfLifeService;
import isokinon.server.work.shared.ShopSettings;
import isokinon.server.work.shared.Text;
import isokinon.server.work.stores.StoresView.Held;
import isokinon.server.work.stores.StoresView.KeptPart;
import isokinon.server.work.stores.StoresView.OrderLine;
import isokinon.server.work.stores.StoresView.OutPiece;
import isokinon.server.work.stores.StoresView.OverAge;
import isokinon.server.work.stores.StoresView.Shelf;
import isokinon.server.work.stores.StoresView.ShelfLot;
import isokinon.server.work.stores.StoresView.StockLine;
import isokinon.server.work.units.SpareUnits;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The shelf: what is there, what will be asked for, what to order. */
@Service
public class Stores {

  private static final int HALF_A_YEAR = 182;
  private static final int STEP_DAYS = 7;

  private final StoresMapper stores;
  private final ShelfMapper shelf;
  private final Catalogue catalogue;
  private final BenchMapper bench;
  private final Sheets sheets;
  private final ShelfLifeService shelfLives;
  private final StockDemand demand;
  private final ShopSettings settings;
  private final ConsumableLines consumables;
  private final SpareUnits units;
  private final Clock clock;

  Stores(
      StoresMapper stores,
      ShelfMapper shelf,
      Catalogue catalogue,
      BenchMapper bench,
      Sheets sheets,
      ShelfLifeService shelfLives,
      StockDemand demand,
      ShopSettings settings,
      ConsumableLines consumables,
      SpareUnits units,
      Clock clock) {
    this.stores = stores;
    this.shelf = shelf;
    this.catalogue = catalogue;
    this.bench = bench;
    this.sheets = sheets;
    this.shelfLives = shelfLives;
    this.demand = demand;
    this.settings = settings;
    this.consumables = consumables;
    this.units = units;
    this.clock = clock;
  }

  /** The whole shelf as of today. */
  @Transactional(readOnly = true)
  public StoresView view() {
    double level = settings.serviceLevel();
    List<LotRow> lots = shelf.all();
    List<ReservationRow> reservations = shelf.reservations();
    Availability there = shelfLives.available(lots, reservations);
    Map<String, List<ReservationRow>> held =
        reservations.stream().collect(Collectors.groupingBy(ReservationRow::lot));
    Map<KitId, StockDemand.Asking> asking = demand.byKit();
    List<Shelf> shelves = new ArrayList<>();
    List<OrderLine> order = new ArrayList<>();
    for (Sheet sheet : sheets.newest()) {
      List<StockLine> lines = new ArrayList<>();
      for (Map.Entry<KitId, List<LotRow>> e : kits(sheet, lots, asking).entrySet()) {
        StockLine line = line(sheet, e.getKey(), e.getValue(), there, held, asking, level);
        lines.add(line);
        order(sheet, line).ifPresent(order::add);
      }
      if (!lines.isEmpty()) {
        shelves.add(new Shelf(sheet.id(), sheet.title(), sheet.family(), lines));
      }
    }
    List<ConsumableLine> used = consumables.all();
    used.stream().flatMap(l -> order(l).stream()).forEach(order::add);
    order.sort(Comparator.comparing(OrderLine::orderBy).thenComparing(OrderLine::title));
    return new StoresView(
        level,
        shelves,
        order,
        order.stream().mapToDouble(o -> o.count() * o.price()).sum(),
        overAge(lots),
        out(lots),
        units.all(),
        shelf.kept().stream().map(Stores::kept).toList(),
        used);
  }

  private Map<KitId, List<LotRow>> kits(
      Sheet sheet, List<LotRow> lots, Map<KitId, StockDemand.Asking> asking) {
    Map<KitId, List<LotRow>> kits = new LinkedHashMap<>();
    for (LotRow lot : lots) {
      if (lot.sheetId().equals(sheet.id())) {
        kits.computeIfAbsent(lot.kitId(), k -> new ArrayList<>()).add(lot);
      }
    }
    // A kit that some pump runs with belongs on the shelf even where none lies there.
    catalogue.kits(sheet.id()).stream()
        .map(WetKitRow::id)
        .filter(asking::containsKey)
        .forEach(k -> kits.computeIfAbsent(k, x -> new ArrayList<>()));
    return kits;
  }

  private StockLine line(
      Sheet sheet,
      KitId kit,
      List<LotRow> lots,
      Availability there,
      Map<String, List<ReservationRow>> held,
      Map<KitId, StockDemand.Asking> asking,
      double level) {
    LocalDate today = LocalDate.now(clock);
    Availability.Pieces pieces = there.of(kit);
    Optional<Offer> offer = offer(sheet, kit);
    Optional<StockDemand.Asking> who = Optional.ofNullable(asking.get(kit));
    int lead = offer.map(Offer::leadDays).orElse(0);
    Optional<Demand> overLead = who.map(w -> w.within(lead));
    Optional<Integer> minimum = overLead.map(d -> d.enough(level));
    int free = pieces.free();
    Optional<Integer> enough = who.map(w -> enoughDays(w, free, level));
    return new StockLine(
        kit.kit(),
        title(sheet, kit),
        kit.material(),
        kit.hardware(),
        lots.stream().map(l -> lot(l, held.getOrDefault(l.id(), List.of()))).toList(),
        pieces.fittable(),
        pieces.held(),
        minimum,
        enough,
        enough
            .filter(d -> d < HALF_A_YEAR && offer.isPresent())
            .map(d -> today.plusDays(Math.max(0, d - lead)).toString()),
        offer.map(Offer::leadDays),
        overLead.map(Demand::mean).orElse(0.0),
        who.map(StockDemand.Asking::pumps).orElse(List.of()),
        because(who, overLead, minimum, enough, lead, level));
  }

  private static String because(
      Optional<StockDemand.Asking> who,
      Optional<Demand> overLead,
      Optional<Integer> minimum,
      Optional<Integer> enough,
      int lead,
      double level) {
    if (who.isEmpty()) {
      return "No forecast tells how often it is asked for.";
    }
    return String.format(
        Locale.ROOT,
        "%s; %.1f expected over the %s of an order, %d for %d in a hundred. %s",
        String.join(", ", who.get().pumps()),
        overLead.orElseThrow().mean(),
        Text.count(lead, "day"),
        minimum.orElseThrow(),
        Math.round(100 * level),
        enough.orElseThrow() >= HALF_A_YEAR
            ? "What is free lasts half a year and more."
            : "What is free lasts " + Text.count(enough.get(), "day") + " at that level.");
  }

  /** Days for which the free pieces are enough at the level, in weeks, at most half a year. */
  private static int enoughDays(StockDemand.Asking who, int free, double level) {
    int low = 0;
    int high = HALF_A_YEAR / STEP_DAYS;
    while (low < high) {
      int middle = (low + high + 1) / 2;
      if (who.within(middle * (double) STEP_DAYS).enough(level) <= free) {
        low = middle;
      } else {
        high = middle - 1;
      }
    }
    return low * STEP_DAYS;
  }

  private record Offer(double price, int leadDays, String orderNumber) {}

  private Optional<Offer> offer(Sheet sheet, KitId kit) {
    return catalogue
        .find(kit)
        .map(k -> new Offer(k.price(), k.leadDays(), k.orderNumber()))
        .or(
            () ->
                stores.offers(sheet.id()).stream()
                    .filter(o -> o.id().equals(kit.kit()))
                    .findFirst()
                    .map((OfferRow o) -> new Offer(o.price(), o.leadDays(), o.orderNumber())));
  }

  private static String title(Sheet sheet, KitId kit) {
    return sheet.kit(kit.kit()).map(Sheet.Kit::title).orElse(kit.kit());
  }

  private ShelfLot lot(LotRow lot, List<ReservationRow> held) {
    ShelfLife life = shelfLives.of(lot);
    LotStatus status = shelfLives.status(lot);
    return new ShelfLot(
        lot.id(),
        lot.quantity(),
        Text.day(lot.cured()),
        life.useBy().map(LocalDate::toString),
        life.extendedBy().map(LocalDate::toString),
        status,
        LotText.say(status, life),
        lot.place(),
        lot.price(),
        held.stream().map(h -> new Held(h.id(), h.pump(), h.who())).toList());
  }

  private Optional<OrderLine> order(Sheet sheet, StockLine line) {
    int free = Math.max(0, line.inDate() - line.reserved());
    Optional<Integer> short0 = line.minimum().map(m -> m - free).filter(s -> s > 0);
    Optional<Offer> offer =
        offer(sheet, new KitId(sheet.id(), line.kit(), line.material(), line.hardware()));
    if (offer.isEmpty() || line.orderBy().isEmpty()) {
      return Optional.empty();
    }
    LocalDate today = LocalDate.now(clock);
    LocalDate by = LocalDate.parse(line.orderBy().get());
    return Optional.of(
        new OrderLine(
            sheet.id(),
            line.kit(),
            line.title(),
            line.material(),
            Math.max(1, short0.orElse(1)),
            offer.get().price(),
            offer.get().leadDays(),
            offer.get().orderNumber(),
            by.toString(),
            short0.isPresent() || !by.isAfter(today),
            line.because()));
  }

  private Optional<OrderLine> order(ConsumableLine l) {
    return l.order() == 0 || l.price().isEmpty()
        ? Optional.empty()
        : Optional.of(
            new OrderLine(
                "",
                l.consumable(),
                l.title() + ", " + Text.plain(l.pack()) + " " + l.unit().sign(),
                "",
                l.order(),
                l.price().get(),
                l.leadDays().orElse(0),
                "",
                LocalDate.now(clock).toString(),
                true,
                l.because()));
  }

  /** Lots past a date, with what to do. */
  public List<OverAge> overAge() {
    return overAge(shelf.all());
  }

  private List<OverAge> overAge(List<LotRow> lots) {
    return lots.stream().flatMap(l -> pastItsDate(l).stream()).toList();
  }

  private Optional<OverAge> pastItsDate(LotRow l) {
    ShelfLife life = shelfLives.of(l);
    LotStatus status = shelfLives.status(l);
    String doThis =
        switch (status) {
          case OVER_AGE ->
              "It is not fitted any more: cut it up and scrap it, so that nobody takes it by"
                  + " mistake.";
          case NEEDS_INSPECTION ->
              "Look for cracks, hardening and set by ISO 2230 and record it when it is fitted,"
                  + " until "
                  + life.extendedBy().map(Text::day).orElse("")
                  + ".";
          default -> "";
        };
    return doThis.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new OverAge(
                l.id(),
                l.title() + " " + l.material(),
                status,
                status == LotStatus.OVER_AGE
                    ? "over-age since " + life.extendedBy().map(Text::day).orElse("")
                    : "past its first date " + life.useBy().map(Text::day).orElse(""),
                doThis,
                l.quantity()));
  }

  private List<OutPiece> out(List<LotRow> lots) {
    Map<String, String> titles =
        lots.stream().collect(Collectors.toMap(LotRow::id, l -> l.title() + " " + l.material()));
    return shelf.outNow().stream()
        .map(
            m ->
                new OutPiece(
                    m.lot(),
                    titles.getOrDefault(m.lot(), m.lot()),
                    m.rebuild(),
                    bench.rebuild(m.rebuild()).map(RebuildRow::pump).orElse(""),
                    -m.change(),
                    m.who()))
        .toList();
  }

  private static KeptPart kept(KeptPartRow k) {
    return new KeptPart(
        k.id(),
        k.serial(),
        k.name(),
        k.material(),
        k.hours(),
        k.condition(),
        k.note(),
        k.fromPump(),
        k.place(),
        Text.day(k.keptAt().toLocalDate()));
  }

  /** What to order, as a table. */
  @Transactional(readOnly = true)
  public String purchaseCsv() {
    return CsvTable.written(
        List.of(
            "order_by",
            "sheet",
            "kit",
            "title",
            "material",
            "order_number",
            "count",
            "price",
            "lead_days",
            "because"),
        view().order().stream()
            .map(
                o ->
                    Arrays.<Object>asList(
                        o.orderBy(),
                        o.sheetId(),
                        o.kit(),
                        o.title(),
                        o.material(),
                        o.orderNumber(),
                        o.count(),
                        Text.digits(o.price()),
                        o.leadDays(),
                        o.because()))
            .toList());
  }
}
