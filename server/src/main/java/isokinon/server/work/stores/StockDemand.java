package isokinon.server.work.stores;

import isokinon.core.life.Demand;
import isokinon.core.life.LifeGroups;
import isokinon.core.renewal.Policies.Way;
import isokinon.core.stock.KitId;
import isokinon.server.db.DataVersions;
import isokinon.server.db.Topic;
import isokinon.server.db.materials.WetKitRow;
import isokinon.server.db.pumps.HistoryMapper;
import isokinon.server.db.pumps.PolicyRow;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.work.library.Catalogue;
import isokinon.server.work.lives.LifeService;
import isokinon.server.work.lives.LifeSnapshot;
import isokinon.server.work.lives.LifeSnapshot.Life;
import isokinon.server.work.lives.LifeSnapshot.PumpInService;
import isokinon.server.work.pumps.FittedWetEnds;
import isokinon.server.work.shared.Cached;
import java.util.ArrayList;
import java.util.EnumSet;
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

  private final LifeService lives;
  private final HistoryMapper history;
  private final FittedWetEnds wetEnds;
  private final Catalogue catalogue;
  private final Cached<Map<KitId, Asking>> byKit;

  StockDemand(
      LifeService lives,
      HistoryMapper history,
      FittedWetEnds wetEnds,
      Catalogue catalogue,
      DataVersions versions) {
    this.lives = lives;
    this.history = history;
    this.wetEnds = wetEnds;
    this.catalogue = catalogue;
    this.byKit =
        Cached.by(
            lives::now, versions, EnumSet.of(Topic.POLICIES, Topic.CATALOGUE), this::reckoned);
  }

  /** The sets that ask for one kit, by the group whose life they share. */
  record Asking(
      Map<LifeGroups.GroupKey, List<Life>> groups,
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
                    group.stream()
                        .map(
                            l ->
                                new Demand.Running(
                                    l.estimate().life().scaleBelief(),
                                    l.age(),
                                    days * l.perDay(),
                                    renewAt(l)))
                        .toList()));
      }
      return demand;
    }

    /** The age at which a set is renewed sound, in the unit of its life. */
    private double renewAt(Life l) {
      PumpRow pump = l.standing().pump();
      PolicyRow way = kept.get(pump.tag());
      return way == null || way.way() == Way.FIXED
          ? pump.intervalHours() * l.perHour()
          : Double.POSITIVE_INFINITY;
    }
  }

  /** Who asks for which kit: each set for the one that renews it on the plates under it. */
  Map<KitId, Asking> byKit() {
    return byKit.get();
  }

  private Map<KitId, Asking> reckoned() {
    LifeSnapshot shop = lives.now();
    Map<String, PolicyRow> kept =
        history.policies().stream().collect(Collectors.toMap(PolicyRow::pump, Function.identity()));
    Map<KitId, Map<LifeGroups.GroupKey, List<Life>>> sets = new LinkedHashMap<>();
    for (PumpInService s : shop.all()) {
      Life life = shop.life(s);
      renewing(s)
          .ifPresent(
              kit ->
                  sets.computeIfAbsent(kit, k -> new LinkedHashMap<>())
                      .computeIfAbsent(life.group().of(), k -> new ArrayList<>())
                      .add(life));
    }
    return sets.entrySet().stream()
        .collect(
            Collectors.toMap(
                Map.Entry::getKey, e -> new Asking(e.getValue(), kept, new ConcurrentHashMap<>())));
  }

  private Optional<KitId> renewing(PumpInService s) {
    PumpRow pump = s.pump();
    return pump.sheet()
        .flatMap(
            sheet -> catalogue.renewing(sheet, pump.material(), wetEnds.of(pump.tag()).hardware()))
        .map(WetKitRow::id);
  }
}
