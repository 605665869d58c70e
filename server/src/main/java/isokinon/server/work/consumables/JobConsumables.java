package isokinon.server.work.consumables;

import isokinon.core.consumable.Consumable;
import isokinon.core.consumable.ConsumableLot.Taken;
import isokinon.core.consumable.Use;
import isokinon.core.plan.Plan;
import isokinon.core.rebuild.Rebuild;
import isokinon.core.sheet.Handling;
import isokinon.core.sheet.Sheet;
import isokinon.core.stock.MovementKind;
import isokinon.server.db.stores.ConsumableLotRow;
import isokinon.server.db.stores.ConsumableMapper;
import isokinon.server.db.stores.ConsumableMovementRow;
import isokinon.server.db.stores.ConsumableOfferRow;
import isokinon.server.db.stores.LotRow;
import isokinon.server.db.stores.StoresMapper;
import isokinon.server.work.rebuild.Job;
import isokinon.server.work.shared.Text;
import java.time.Clock;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** What a job uses of consumables: planned, at hand, and booked when the pump goes back. */
@Component
public class JobConsumables {

  /**
   * What a job uses of one consumable.
   *
   * @param say how much, and from which lot or where it is to come from
   * @param missing whether the shelf does not hold enough of it in date
   * @param packs packs to buy; 0 where the shelf holds enough
   * @param price of them all, pounds; empty where nobody offers it
   * @param leadDays days until they come; empty where nobody offers it
   */
  public record ConsumableUse(
      String title,
      String say,
      boolean missing,
      int packs,
      Optional<Double> price,
      Optional<Integer> leadDays) {}

  private final ConsumableStock stock;
  private final ConsumableMapper store;
  private final StoresMapper stores;
  private final Clock clock;

  JobConsumables(ConsumableStock stock, ConsumableMapper store, StoresMapper stores, Clock clock) {
    this.stock = stock;
    this.store = store;
    this.stores = stores;
    this.clock = clock;
  }

  /** What the job takes from the shelf: what the kits it fits bring along is left out. */
  private List<Use> uses(Rebuild rebuild) {
    List<Handling.Supply> brought = brought(rebuild);
    return Use.of(rebuild.sheet(), steps(rebuild), stock.table()).stream()
        .map(u -> u.without(brought))
        .filter(u -> u.amount() > 0 || u.atLeast())
        .toList();
  }

  /** What is built already, of a side closed before as well, and what is still to be built. */
  private static Set<String> steps(Rebuild rebuild) {
    Set<String> steps = new LinkedHashSet<>(rebuild.everythingBuilt());
    rebuild.plan().map(Plan::build).ifPresent(steps::addAll);
    return steps;
  }

  private List<Handling.Supply> brought(Rebuild rebuild) {
    Set<String> kits =
        rebuild.renewedInAll().stream()
            .flatMap(p -> rebuild.lot(p).stream())
            .distinct()
            .flatMap(lot -> stores.lot(lot).stream())
            .map(LotRow::kit)
            .collect(Collectors.toSet());
    return rebuild.sheet().kits().stream()
        .filter(k -> kits.contains(k.id()))
        .map(Sheet.Kit::supplies)
        .flatMap(List::stream)
        .toList();
  }

  /** What the job uses, and whether the shelf holds it. */
  public List<ConsumableUse> of(Rebuild rebuild) {
    List<ConsumableOfferRow> offers = store.offers();
    return uses(rebuild).stream().map(u -> use(u, offers)).toList();
  }

  private ConsumableUse use(Use use, List<ConsumableOfferRow> offers) {
    Consumable of = use.of();
    double there = stock.inDate(of, LocalDate.now(clock));
    double missing = Math.max(0, use.amount() - there);
    int packs = (int) Math.ceil(missing / of.pack());
    Optional<ConsumableOfferRow> offer =
        offers.stream().filter(o -> o.consumable().equals(of.id())).findFirst();
    return new ConsumableUse(
        of.title(),
        much(use)
            + (missing > 0 ? ", " + ConsumableStock.amount(of, there) + " in date" : from(use)),
        missing > 0,
        packs,
        offer.map(o -> o.price() * packs),
        offer.map(ConsumableOfferRow::leadDays));
  }

  private static String much(Use use) {
    return use.amount() == 0
        ? "as much as it takes"
        : (use.atLeast() ? "at least " : "") + ConsumableStock.amount(use.of(), use.amount());
  }

  private String from(Use use) {
    List<String> lots =
        stock.take(use.of(), use.amount()).stream()
            .map(t -> (t.lot() + " " + stock.place(use.of(), t.lot())).strip())
            .toList();
    return lots.isEmpty() ? "" : ", " + String.join(", ", lots);
  }

  /** What a job used, or will have used once it is handed back: a line for each. */
  public List<String> lines(Job job) {
    if (job.row().closedAt() == null) {
      return uses(job.rebuild()).stream()
          .map(u -> u.of().title() + ", " + much(u) + from(u))
          .toList();
    }
    Map<String, String> consumables =
        store.lots().stream()
            .collect(Collectors.toMap(ConsumableLotRow::id, ConsumableLotRow::consumable));
    return store.usedBy(job.row().id()).stream()
        .map(row -> booked(row, stock.table().of(consumables.getOrDefault(row.lot(), ""))))
        .toList();
  }

  private static String booked(ConsumableMovementRow row, Optional<Consumable> of) {
    return of.map(c -> c.title() + ", " + ConsumableStock.amount(c, -row.change()))
            .orElse(Text.plain(-row.change()))
        + ", lot "
        + row.lot();
  }

  /**
   * Books what a job used; what the shelf does not hold was used all the same and is not booked.
   */
  public void book(Job job, String who, OffsetDateTime now) {
    for (Use use : uses(job.rebuild())) {
      for (Taken taken : stock.take(use.of(), use.amount())) {
        store
            .lock(taken.lot())
            .ifPresent(
                lot -> {
                  double part = Math.min(taken.amount(), lot.amount());
                  store.amount(lot.id(), lot.amount() - part);
                  store.move(
                      new ConsumableMovementRow(
                          lot.id(), -part, MovementKind.BOOKED, job.row().id(), who, now, ""));
                });
      }
    }
  }
}
