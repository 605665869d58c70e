package isokinon.server.work.consumables;

import isokinon.core.consumable.Consumable;
import isokinon.core.consumable.Use;
import isokinon.core.sheet.BuildOnlyStep;
import isokinon.core.sheet.Handling.AmountUnit;
import isokinon.core.sheet.Sheet;
import isokinon.core.sheet.Step;
import isokinon.core.stock.LotStatus;
import isokinon.server.db.DataVersions;
import isokinon.server.db.Topic;
import isokinon.server.db.pumps.PumpMapper;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.db.stores.ConsumableLotRow;
import isokinon.server.db.stores.ConsumableMapper;
import isokinon.server.db.stores.ConsumableOfferRow;
import isokinon.server.work.library.LotText;
import isokinon.server.work.library.Sheets;
import isokinon.server.work.shared.Cached;
import isokinon.server.work.shared.Text;
import java.time.Clock;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/**
 * The shelf of consumables: what is there in date, how much the largest job takes, what to order.
 */
@Component
public class ConsumableLines {

  /**
   * A consumable.
   *
   * @param inDate what of it may be used today, in the unit
   * @param minimum what the largest job of the pumps here takes, in the unit
   * @param pack how much one pack holds, in the unit
   * @param order packs to order; 0 where enough is there when an order would come
   * @param price of a pack, pounds; empty where nobody offers it
   * @param leadDays days an order takes; empty where nobody offers it
   * @param because why so much is kept, in one sentence
   */
  public record ConsumableLine(
      String consumable,
      String title,
      AmountUnit unit,
      double inDate,
      double minimum,
      double pack,
      int order,
      Optional<Double> price,
      Optional<Integer> leadDays,
      String because,
      List<ConsumableLotView> lots) {}

  /**
   * A lot of it.
   *
   * @param amount what is left, in the unit
   */
  public record ConsumableLotView(
      String id, double amount, LotStatus status, String say, String place, double price) {}

  private record Largest(double amount, boolean atLeast, String pump) {}

  private final ConsumableStock stock;
  private final ConsumableMapper store;
  private final PumpMapper pumps;
  private final Sheets sheets;
  private final Clock clock;
  private final Cached<Map<String, Largest>> largest;

  ConsumableLines(
      ConsumableStock stock,
      ConsumableMapper store,
      PumpMapper pumps,
      Sheets sheets,
      DataVersions versions,
      Clock clock) {
    this.largest =
        Cached.of(versions, EnumSet.of(Topic.PUMPS, Topic.FITTED, Topic.SHEETS), this::readLargest);
    this.stock = stock;
    this.store = store;
    this.pumps = pumps;
    this.sheets = sheets;
    this.clock = clock;
  }

  /** Every consumable that a pump here takes or that lies on the shelf. */
  public List<ConsumableLine> all() {
    Map<String, Largest> largest = this.largest.get();
    List<ConsumableOfferRow> offers = store.offers();
    return stock.table().all().stream()
        .filter(c -> largest.containsKey(c.id()) || !stock.lots(c).isEmpty())
        .map(
            c ->
                line(
                    c,
                    Optional.ofNullable(largest.get(c.id())),
                    offers.stream().filter(o -> o.consumable().equals(c.id())).findFirst()))
        .toList();
  }

  private ConsumableLine line(
      Consumable of, Optional<Largest> largest, Optional<ConsumableOfferRow> offer) {
    LocalDate today = LocalDate.now(clock);
    double minimum = largest.map(Largest::amount).orElse(0.0);
    // What goes out of date before an order comes does not count.
    double then =
        stock.inDate(of, today.plusDays(offer.map(ConsumableOfferRow::leadDays).orElse(0)));
    return new ConsumableLine(
        of.id(),
        of.title(),
        of.unit(),
        stock.inDate(of, today),
        minimum,
        of.pack(),
        (int) Math.ceil(Math.max(0, minimum - then) / of.pack()),
        offer.map(ConsumableOfferRow::price),
        offer.map(ConsumableOfferRow::leadDays),
        largest.map(l -> because(of, l)).orElse("No pump here takes any."),
        stock.lots(of).stream().map(l -> lot(l, today)).toList());
  }

  private static String because(Consumable of, Largest l) {
    return l.pump()
        + " takes "
        + (l.atLeast() ? "at least " : "")
        + ConsumableStock.amount(of, l.amount())
        + " where everything is opened: that much is kept.";
  }

  private static ConsumableLotView lot(ConsumableLotRow l, LocalDate today) {
    LotStatus status =
        l.amount() <= 0
            ? LotStatus.USED_UP
            : l.lot().inDate(today) ? LotStatus.IN_DATE : LotStatus.OVER_AGE;
    String say =
        l.bestBefore() == null || status == LotStatus.USED_UP
            ? status == LotStatus.USED_UP ? LotText.brief(status) : "does not age"
            : (status == LotStatus.OVER_AGE ? "over its date, " : "use by ")
                + Text.day(l.bestBefore());
    return new ConsumableLotView(l.id(), l.amount(), status, say, l.place(), l.price());
  }

  /** The pump that takes most of each consumable where all of it is opened. */
  private Map<String, Largest> readLargest() {
    Map<String, Largest> largest = new HashMap<>();
    for (PumpRow pump : pumps.all()) {
      for (Use use : uses(pump)) {
        largest.merge(
            use.of().id(),
            new Largest(use.amount(), use.atLeast(), pump.tag()),
            (one, other) -> other.amount() > one.amount() ? other : one);
      }
    }
    return largest;
  }

  private List<Use> uses(PumpRow pump) {
    return pump.sheet()
        .flatMap(s -> sheets.find(s, pump.madeBy()))
        .map(this::uses)
        .orElse(List.of());
  }

  private List<Use> uses(Sheet sheet) {
    return Use.of(
        sheet,
        Stream.concat(
                sheet.steps().stream().map(Step::id),
                sheet.buildOnly().stream().map(BuildOnlyStep::id))
            .toList(),
        stock.table());
  }
}
