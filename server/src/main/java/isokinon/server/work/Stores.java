package isokinon.server.work;

import isokinon.core.life.Demand;
import isokinon.core.sheet.Sheet;
import isokinon.core.shelf.ShelfLife;
import isokinon.server.store.BenchMapper;
import isokinon.server.store.KeptPartRow;
import isokinon.server.store.LotRow;
import isokinon.server.store.OfferRow;
import isokinon.server.store.RebuildRow;
import isokinon.server.store.ReservationRow;
import isokinon.server.store.ShelfMapper;
import isokinon.server.store.StoresMapper;
import isokinon.server.store.WetEndMapper;
import isokinon.server.store.WetKitRow;
import isokinon.server.work.StoresView.Held;
import isokinon.server.work.StoresView.KeptPart;
import isokinon.server.work.StoresView.OrderLine;
import isokinon.server.work.StoresView.OutPiece;
import isokinon.server.work.StoresView.OverAge;
import isokinon.server.work.StoresView.Shelf;
import isokinon.server.work.StoresView.ShelfLot;
import isokinon.server.work.StoresView.StockLine;
import java.io.IOException;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The shelf: what is there, what will be asked for, what to order. */
@Service
public class Stores {

  /** Chance that the shelf is enough over the lead time, where nobody chose one (shop rule). */
  static final double USUAL_LEVEL = 0.95;

  static final String LEVEL = "service-level";

  private static final int HALF_A_YEAR = 182;
  private static final int STEP_DAYS = 7;

  private final StoresMapper stores;
  private final ShelfMapper shelf;
  private final WetEndMapper wetEnds;
  private final BenchMapper bench;
  private final Sheets sheets;
  private final ShelfLives shelfLives;
  private final StockDemand demand;
  private final Clock clock;

  Stores(
      StoresMapper stores,
      ShelfMapper shelf,
      WetEndMapper wetEnds,
      BenchMapper bench,
      Sheets sheets,
      ShelfLives shelfLives,
      StockDemand demand,
      Clock clock) {
    this.stores = stores;
    this.shelf = shelf;
    this.wetEnds = wetEnds;
    this.bench = bench;
    this.sheets = sheets;
    this.shelfLives = shelfLives;
    this.demand = demand;
    this.clock = clock;
  }

  /** One kind of kit on the shelf. */
  private record Kind(String sheet, String kit, String material, String hardware) {}

  /** The whole shelf as of today. */
  @Transactional(readOnly = true)
  public StoresView view() {
    double level = shelf.setting(LEVEL).orElse(USUAL_LEVEL);
    List<LotRow> lots = shelf.all();
    Map<String, List<ReservationRow>> held =
        shelf.reservations().stream().collect(Collectors.groupingBy(ReservationRow::lot));
    Map<String, StockDemand.Asking> asking = demand.byKit();
    List<Shelf> shelves = new ArrayList<>();
    List<OrderLine> order = new ArrayList<>();
    for (Sheet sheet : sheets.newest()) {
      List<StockLine> lines = new ArrayList<>();
      for (Map.Entry<Kind, List<LotRow>> e : kinds(sheet, lots, asking).entrySet()) {
        StockLine line = line(sheet, e.getKey(), e.getValue(), held, asking, level);
        lines.add(line);
        order(sheet, line).ifPresent(order::add);
      }
      if (!lines.isEmpty()) {
        shelves.add(new Shelf(sheet.id(), sheet.title(), sheet.family().code(), lines));
      }
    }
    order.sort(Comparator.comparing(OrderLine::orderBy).thenComparing(OrderLine::title));
    return new StoresView(
        level,
        shelves,
        order,
        order.stream().mapToDouble(o -> o.count() * o.price()).sum(),
        overAge(lots),
        out(lots),
        shelf.kept().stream().map(Stores::kept).toList());
  }

  private Map<Kind, List<LotRow>> kinds(
      Sheet sheet, List<LotRow> lots, Map<String, StockDemand.Asking> asking) {
    Map<Kind, List<LotRow>> kinds = new LinkedHashMap<>();
    for (LotRow lot : lots) {
      if (lot.sheetId().equals(sheet.id())) {
        kinds
            .computeIfAbsent(
                new Kind(sheet.id(), lot.kit(), lot.material(), lot.hardware()),
                k -> new ArrayList<>())
            .add(lot);
      }
    }
    for (WetKitRow kit : wetEnds.kits(sheet.id())) {
      // A kit that some pump runs with belongs on the shelf even where none lies there.
      boolean known =
          kinds.keySet().stream()
              .anyMatch(k -> k.kit().equals(kit.kit()) && k.material().equals(kit.material()));
      if (!known && asking.containsKey(StockDemand.key(sheet.id(), kit.material()))) {
        kinds.put(
            new Kind(sheet.id(), kit.kit(), kit.material(), kit.hardware()), new ArrayList<>());
      }
    }
    return kinds;
  }

  private StockLine line(
      Sheet sheet,
      Kind kind,
      List<LotRow> lots,
      Map<String, List<ReservationRow>> held,
      Map<String, StockDemand.Asking> asking,
      double level) {
    LocalDate today = LocalDate.now(clock);
    int inDate = lots.stream().filter(l -> usable(l, today)).mapToInt(LotRow::quantity).sum();
    int reserved = lots.stream().mapToInt(l -> held.getOrDefault(l.id(), List.of()).size()).sum();
    Optional<Offer> offer = offer(sheet, kind);
    Optional<StockDemand.Asking> who =
        leading(sheet, kind)
            ? Optional.ofNullable(asking.get(StockDemand.key(sheet.id(), kind.material())))
            : Optional.empty();
    int lead = offer.map(Offer::leadDays).orElse(0);
    Optional<Demand> overLead = who.map(w -> w.within(lead));
    Optional<Integer> minimum = overLead.map(d -> d.enough(level));
    int free = inDate - reserved;
    Optional<Integer> enough = who.map(w -> enoughDays(w, free, level));
    return new StockLine(
        kind.kit(),
        title(sheet, kind),
        kind.material(),
        kind.hardware(),
        lots.stream().map(l -> lot(l, held.getOrDefault(l.id(), List.of()), today)).toList(),
        inDate,
        reserved,
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
        Words.count(lead, "day"),
        minimum.orElseThrow(),
        Math.round(100 * level),
        enough.orElseThrow() >= HALF_A_YEAR
            ? "What is free lasts half a year and more."
            : "What is free lasts " + Words.count(enough.get(), "day") + " at that level.");
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

  private record Offer(double price, int leadDays) {}

  private Optional<Offer> offer(Sheet sheet, Kind kind) {
    return wetEnds.kits(sheet.id()).stream()
        .filter(k -> k.kit().equals(kind.kit()) && k.material().equals(kind.material()))
        .filter(k -> kind.hardware().isEmpty() || k.hardware().equals(kind.hardware()))
        .findFirst()
        .map(k -> new Offer(k.price(), k.leadDays()))
        .or(
            () ->
                stores.offers(sheet.id()).stream()
                    .filter(o -> o.id().equals(kind.kit()))
                    .findFirst()
                    .map((OfferRow o) -> new Offer(o.price(), o.leadDays())));
  }

  /** Whether a kit holds the part whose life is forecast. */
  private boolean leading(Sheet sheet, Kind kind) {
    List<String> leading = wetEnds.leadingRoles(sheet.id());
    return sheet.kits().stream()
        .filter(k -> k.id().equals(kind.kit()))
        .flatMap(k -> k.parts().keySet().stream())
        .flatMap(p -> sheet.part(p).stream())
        .flatMap(p -> p.role().stream())
        .anyMatch(leading::contains);
  }

  private static String title(Sheet sheet, Kind kind) {
    return sheet.kits().stream()
        .filter(k -> k.id().equals(kind.kit()))
        .map(Sheet.Kit::title)
        .findFirst()
        .orElse(kind.kit());
  }

  private boolean usable(LotRow lot, LocalDate today) {
    return shelfLives.of(lot).on(today) != ShelfLife.Standing.OVER_AGE;
  }

  private ShelfLot lot(LotRow lot, List<ReservationRow> held, LocalDate today) {
    ShelfLife life = shelfLives.of(lot);
    ShelfLife.Standing standing = life.on(today);
    return new ShelfLot(
        lot.id(),
        lot.quantity(),
        Words.day(lot.cured()),
        life.useBy().map(LocalDate::toString),
        life.extendedBy().map(LocalDate::toString),
        standing.name().toLowerCase(Locale.ROOT).replace('_', '-'),
        switch (standing) {
          case IN_DATE -> life.useBy().map(d -> "use by " + Words.day(d)).orElse("does not age");
          case NEEDS_INSPECTION ->
              "past "
                  + life.useBy().map(Words::day).orElse("")
                  + ": inspect, then until "
                  + life.extendedBy().map(Words::day).orElse("");
          case OVER_AGE -> "over-age since " + life.extendedBy().map(Words::day).orElse("");
          case UNKNOWN -> "outside ISO 2230: the maker's date holds";
        },
        lot.place(),
        lot.price(),
        held.stream().map(h -> new Held(h.id(), h.pump(), h.who())).toList());
  }

  private Optional<OrderLine> order(Sheet sheet, StockLine line) {
    int free = line.inDate() - line.reserved();
    Optional<Integer> short0 = line.minimum().map(m -> m - free).filter(s -> s > 0);
    Optional<Offer> offer =
        offer(sheet, new Kind(sheet.id(), line.kit(), line.material(), line.hardware()));
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
            by.toString(),
            short0.isPresent() || !by.isAfter(today),
            line.because()));
  }

  /** Lots past a date, with what to do. */
  List<OverAge> overAge() {
    return overAge(shelf.all());
  }

  private List<OverAge> overAge(List<LotRow> lots) {
    LocalDate today = LocalDate.now(clock);
    List<OverAge> list = new ArrayList<>();
    for (LotRow l : lots) {
      ShelfLife life = shelfLives.of(l);
      ShelfLife.Standing standing = life.on(today);
      if (l.quantity() > 0 && standing == ShelfLife.Standing.OVER_AGE) {
        list.add(
            new OverAge(
                l.id(),
                l.title() + " " + l.material(),
                "over-age since " + life.extendedBy().map(Words::day).orElse(""),
                "It is not fitted any more: cut it up and scrap it, so that nobody takes it by"
                    + " mistake.",
                l.quantity()));
      } else if (l.quantity() > 0 && standing == ShelfLife.Standing.NEEDS_INSPECTION) {
        list.add(
            new OverAge(
                l.id(),
                l.title() + " " + l.material(),
                "past its first date " + life.useBy().map(Words::day).orElse(""),
                "Look for cracks, hardening and set by ISO 2230 and record it when it is fitted, until "
                    + life.extendedBy().map(Words::day).orElse("")
                    + ".",
                l.quantity()));
      }
    }
    return list;
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
        Words.day(k.keptAt().toLocalDate()));
  }

  /** What to order, as a table. */
  @Transactional(readOnly = true)
  public String purchaseCsv() {
    StringBuilder text = new StringBuilder();
    try (CSVPrinter out = new CSVPrinter(text, CSVFormat.RFC4180)) {
      out.printRecord(
          "order_by",
          "sheet",
          "kit",
          "title",
          "material",
          "count",
          "price",
          "lead_days",
          "because");
      for (OrderLine o : view().order()) {
        out.printRecord(
            o.orderBy(),
            o.sheetId(),
            o.kit(),
            o.title(),
            o.material(),
            o.count(),
            Words.digits(o.price()),
            o.leadDays(),
            o.because());
      }
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
    return text.toString();
  }
}
