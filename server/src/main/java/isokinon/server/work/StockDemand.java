package isokinon.server.work;

import isokinon.core.life.Demand;
import isokinon.core.life.LifeGroups;
import isokinon.server.store.HistoryMapper;
import isokinon.server.store.PolicyRow;
import isokinon.server.store.PumpRow;
import isokinon.server.work.ShopLives.Life;
import isokinon.server.work.ShopLives.Standing;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** How many wet-end kits the sets that run now will ask for. */
@Component
class StockDemand {

  private final Lives lives;
  private final HistoryMapper history;
  private volatile Optional<AsAsked> asked = Optional.empty();

  /** Who asks, as lives and policies were then. */
  private record AsAsked(ShopLives shop, Map<String, PolicyRow> kept, Map<String, Asking> byKit) {}

  StockDemand(Lives lives, HistoryMapper history) {
    this.lives = lives;
    this.history = history;
  }

  /** The sets that ask for one kit, by the group whose life they share. */
  record Asking(
      Map<LifeGroups.Of, List<Life>> groups,
      Map<String, PolicyRow> kept,
      Map<Double, Demand> known) {

    List<String> pumps() {
      return groups.values().stream()
          .flatMap(List::stream)
          .map(l -> l.standing().pump().tag())
          .sorted()
          .toList();
    }

    /** What they ask for within {@code days}; reckoned once. */
    Demand within(double days) {
      return known.computeIfAbsent(days, this::reckoned);
    }

    private Demand reckoned(double days) {
      Demand demand = Demand.NONE;
      for (List<Life> group : groups.values()) {
        demand =
            demand.and(
                Demand.of(
                    group.get(0).estimate(),
                    group.stream()
                        .map(l -> new Demand.Running(l.age(), days * l.perDay(), renewAt(l)))
                        .toList()));
      }
      return demand;
    }

    /** The age at which a set is renewed sound, in the unit of its life. */
    private double renewAt(Life l) {
      PumpRow pump = l.standing().pump();
      PolicyRow way = kept.get(pump.tag());
      return way == null || way.way().equals(Policy.FIXED)
          ? pump.intervalHours() * l.perHour()
          : Double.POSITIVE_INFINITY;
    }
  }

  /** Who asks for which kit: pumps by sheet and material. */
  Map<String, Asking> byKit() {
    ShopLives shop = lives.now();
    Map<String, PolicyRow> kept =
        history.policies().stream().collect(Collectors.toMap(PolicyRow::pump, Function.identity()));
    Optional<AsAsked> before = asked.filter(a -> a.shop() == shop && a.kept().equals(kept));
    if (before.isPresent()) {
      return before.get().byKit();
    }
    Map<String, Map<LifeGroups.Of, List<Life>>> byKit = new LinkedHashMap<>();
    for (Standing s : shop.all()) {
      if (s.pump().sheet().isPresent()) {
        Life life = shop.life(s);
        byKit
            .computeIfAbsent(
                key(s.pump().sheetId(), s.pump().material()), k -> new LinkedHashMap<>())
            .computeIfAbsent(life.group().of(), k -> new ArrayList<>())
            .add(life);
      }
    }
    Map<String, Asking> asking =
        byKit.entrySet().stream()
            .collect(
                Collectors.toMap(
                    Map.Entry::getKey,
                    e -> new Asking(e.getValue(), kept, new ConcurrentHashMap<>())));
    asked = Optional.of(new AsAsked(shop, kept, asking));
    return asking;
  }

  static String key(String sheet, String material) {
    return sheet + "|" + material;
  }
}
