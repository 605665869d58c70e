package isokinon.server.work.stores;

import isokinon.core.kit.KitCover;
import isokinon.core.kit.Offer;
import isokinon.core.plan.Plan;
import isokinon.core.rebuild.Rebuild;
import isokinon.core.sheet.Part;
import isokinon.core.sheet.Sheet;
import isokinon.core.stock.LotStatus;
import isokinon.server.db.stores.LotRow;
import isokinon.server.db.stores.OfferRow;
import isokinon.server.db.stores.StoresMapper;
import isokinon.server.work.consumables.JobConsumables;
import isokinon.server.work.consumables.JobConsumables.ConsumableUse;
import isokinon.server.work.library.ShelfLifeService;
import isokinon.server.work.shared.Text;
import isokinon.server.work.stores.CoverView.BuyLine;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** What to buy for a rebuild: the shelf first, then the cheapest kits and single parts. */
@Component
public class PurchaseProposal {

  private final StoresMapper stores;
  private final ShelfLifeService shelf;
  private final JobConsumables consumables;

  PurchaseProposal(StoresMapper stores, ShelfLifeService shelf, JobConsumables consumables) {
    this.stores = stores;
    this.shelf = shelf;
    this.consumables = consumables;
  }

  /** The cheapest cover of what {@code rebuild} renews in a pump. */
  public CoverView of(String pump, Rebuild rebuild) {
    Sheet sheet = rebuild.sheet();
    Map<String, Integer> need = new LinkedHashMap<>();
    for (Plan.Renewal r : rebuild.renewals()) {
      need.put(r.part(), r.count());
    }
    List<LotRow> lots = stores.lots(sheet.id(), pump);
    Map<String, Integer> onHand = onHand(sheet, lots, rebuild);
    List<OfferRow> offers = stores.offers(sheet.id());
    List<String> missing =
        need.keySet().stream()
            .filter(p -> need.get(p) > onHand.getOrDefault(p, 0))
            .filter(p -> offers.stream().noneMatch(o -> contents(sheet, o.id()).containsKey(p)))
            .toList();
    missing.forEach(need::remove);
    KitCover.Cover cheapest = cover(sheet, need, offers, onHand);
    int days = arrives(cheapest, offers);
    List<ConsumableUse> uses = consumables.of(rebuild);
    return new CoverView(
        need.keySet().stream()
            .filter(p -> onHand.getOrDefault(p, 0) >= need.get(p))
            .map(p -> sheet.partName(p))
            .toList(),
        cheapest.buy().stream()
            .map(b -> line(sheet, b, offers))
            .sorted(Comparator.comparingDouble(l -> -l.price() * l.count()))
            .toList(),
        cheapest.cost() + uses.stream().mapToDouble(u -> u.price().orElse(0.0)).sum(),
        cheapest.leftOver().entrySet().stream()
            .map(e -> e.getValue() + " " + sheet.partName(e.getKey()))
            .toList(),
        lots.stream()
            .filter(l -> shelf.status(l) == LotStatus.OVER_AGE)
            .map(l -> l.id() + ", " + l.title() + " " + l.material())
            .toList(),
        Math.max(days, arrives(uses)),
        cheapest.optimal(),
        quicker(sheet, need, offers, onHand, cheapest, days),
        missing.stream().map(p -> sheet.partName(p)).toList(),
        uses);
  }

  private static KitCover.Cover cover(
      Sheet sheet, Map<String, Integer> need, List<OfferRow> offers, Map<String, Integer> onHand) {
    return KitCover.cheapest(
        need,
        offers.stream().map(o -> new Offer(o.id(), o.price(), contents(sheet, o.id()))).toList(),
        onHand);
  }

  /** What would be there sooner for more money. */
  private static String quicker(
      Sheet sheet,
      Map<String, Integer> need,
      List<OfferRow> offers,
      Map<String, Integer> onHand,
      KitCover.Cover cheapest,
      int days) {
    List<OfferRow> sooner = offers.stream().filter(o -> o.leadDays() < days).toList();
    if (cheapest.buy().isEmpty()) {
      return "";
    }
    try {
      KitCover.Cover cover = cover(sheet, need, sooner, onHand);
      return "For \u00a4"
          + Text.plain(cover.cost() - cheapest.cost())
          + " more it is here in "
          + Text.count(arrives(cover, sooner), "day")
          + ": "
          + cover.buy().stream()
              .map(b -> line(sheet, b, sooner))
              .map(l -> (l.count() > 1 ? l.count() + " " : "") + l.title())
              .collect(Collectors.joining(", "))
          + ".";
    } catch (KitCover.Uncoverable e) {
      return "";
    }
  }

  private static int arrives(KitCover.Cover cover, List<OfferRow> offers) {
    return cover.buy().stream()
        .mapToInt(b -> offer(b.id(), offers).map(OfferRow::leadDays).orElse(0))
        .max()
        .orElse(0);
  }

  /** Days until the last of the consumables that must be bought is here. */
  private static int arrives(List<ConsumableUse> uses) {
    return uses.stream()
        .filter(ConsumableUse::missing)
        .mapToInt(u -> u.leadDays().orElse(0))
        .max()
        .orElse(0);
  }

  private static BuyLine line(Sheet sheet, KitCover.Bought bought, List<OfferRow> offers) {
    OfferRow offer = offer(bought.id(), offers).orElseThrow();
    String title =
        bought.id().startsWith(Offer.SINGLE)
            ? sheet.partName(bought.id().substring(Offer.SINGLE.length()))
            : sheet.kit(bought.id()).map(Sheet.Kit::title).orElse(bought.id());
    return new BuyLine(
        bought.id(), title, bought.count(), offer.price(), offer.leadDays(), offer.orderNumber());
  }

  private static Optional<OfferRow> offer(String id, List<OfferRow> offers) {
    return offers.stream().filter(o -> o.id().equals(id)).findFirst();
  }

  private static Map<String, Integer> contents(Sheet sheet, String offer) {
    return offer.startsWith(Offer.SINGLE)
        ? Map.of(offer.substring(Offer.SINGLE.length()), 1)
        : sheet.kit(offer).map(Sheet.Kit::parts).orElse(Map.of());
  }

  /**
   * Parts of lots that may be fitted. A lot of another material than the one that goes in does not
   * count; before a material is chosen the one that was in the pump stands in.
   */
  private Map<String, Integer> onHand(Sheet sheet, List<LotRow> lots, Rebuild rebuild) {
    Map<String, Integer> onHand = new HashMap<>();
    List<LotRow> fit = new ArrayList<>();
    for (LotRow lot : lots) {
      if (shelf.status(lot).fittable() && suits(sheet, lot, rebuild)) {
        fit.add(lot);
      }
    }
    for (LotRow lot : fit) {
      contents(sheet, lot.kit())
          .forEach((part, count) -> onHand.merge(part, count * lot.quantity(), Integer::sum));
    }
    return onHand;
  }

  private static boolean suits(Sheet sheet, LotRow lot, Rebuild rebuild) {
    boolean wearing =
        contents(sheet, lot.kit()).keySet().stream()
            .flatMap(p -> sheet.part(p).stream())
            .map(Part::role)
            .anyMatch(r -> r.equals(Optional.of(rebuild.fitted().role())));
    return !wearing || lot.material().equals(rebuild.goesIn());
  }
}
