package isokinon.server.work.diary;

import isokinon.core.life.SurvivalTable;
import isokinon.core.renewal.Policies.Way;
import isokinon.core.schedule.WaitingCost;
import isokinon.core.stock.Availability;
import isokinon.core.stock.KitId;
import isokinon.server.db.diary.DiaryMapper;
import isokinon.server.db.diary.DiaryMapper.FixtureRow;
import isokinon.server.db.diary.DiaryMapper.PumpRuleRow;
import isokinon.server.db.findings.FindingMapper;
import isokinon.server.db.findings.NextLookRow;
import isokinon.server.db.materials.WetKitRow;
import isokinon.server.db.pumps.HistoryMapper;
import isokinon.server.db.pumps.PolicyRow;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.db.rebuilds.BenchMapper;
import isokinon.server.db.rebuilds.RebuildRow;
import isokinon.server.db.stores.LotRow;
import isokinon.server.db.stores.ReservationRow;
import isokinon.server.db.stores.ShelfMapper;
import isokinon.server.work.library.ShelfLifeService;
import isokinon.server.work.lives.DueDay;
import isokinon.server.work.lives.Forecasts;
import isokinon.server.work.lives.LifeService;
import isokinon.server.work.lives.LifeSnapshot;
import isokinon.server.work.lives.LifeSnapshot.Life;
import isokinon.server.work.lives.LifeSnapshot.PumpInService;
import isokinon.server.work.lives.Renewals;
import isokinon.server.work.shared.Text;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** The jobs that are worth doing within the diary, with all that decides when. */
@Component
class WorkList {

  /** A job is asked for its cost on many days: within so many the answers are made once. */
  private static final double DAYS_AHEAD = 60;

  private static final double LEAST_AHEAD = 1;

  /** A set that is so likely to fail within the diary is worth a job though it is not due. */
  private static final double LIKELY = 0.3;

  /**
   * A job to be placed.
   *
   * @param minutes at the bench
   * @param cost of every day it could be done on
   * @param kitDay day its kit is here, from today
   * @param kit what is said of that
   * @param fixture it needs, or empty
   * @param line that must stand still, or empty
   * @param pair pump that must not be out as well, or empty
   */
  record Work(
      PumpRow pump,
      double minutes,
      WaitingCost cost,
      DueDay due,
      int kitDay,
      String kit,
      Optional<FixtureRow> fixture,
      String line,
      String pair) {}

  private final LifeService lives;
  private final Forecasts forecasts;
  private final Renewals renewals;
  private final HistoryMapper history;
  private final FindingMapper findings;
  private final BenchMapper bench;
  private final ShelfMapper shelf;
  private final ShelfLifeService shelfLives;
  private final DiaryMapper diary;

  WorkList(
      LifeService lives,
      Forecasts forecasts,
      Renewals renewals,
      HistoryMapper history,
      FindingMapper findings,
      BenchMapper bench,
      ShelfMapper shelf,
      ShelfLifeService shelfLives,
      DiaryMapper diary) {
    this.lives = lives;
    this.forecasts = forecasts;
    this.renewals = renewals;
    this.history = history;
    this.findings = findings;
    this.bench = bench;
    this.shelf = shelf;
    this.shelfLives = shelfLives;
    this.diary = diary;
  }

  /** The jobs within {@code days}, the soonest due first, and those in {@code also}. */
  List<Work> within(int days, Set<String> also) {
    LifeSnapshot shop = lives.now();
    Map<String, PolicyRow> kept =
        history.policies().stream().collect(Collectors.toMap(PolicyRow::pump, p -> p));
    Map<String, NextLookRow> looks =
        findings.nextLooks().stream().collect(Collectors.toMap(NextLookRow::pump, l -> l));
    Map<String, PumpRuleRow> rules =
        diary.rules().stream().collect(Collectors.toMap(PumpRuleRow::pump, r -> r));
    Set<String> onBench =
        bench.running().stream().map(RebuildRow::pump).collect(Collectors.toSet());
    List<FixtureRow> fixtures = diary.fixtures();
    List<Work> list = new ArrayList<>();
    Map<String, WetKitRow> kits = new HashMap<>();
    for (PumpInService s : shop.all()) {
      String tag = s.pump().tag();
      Optional<PolicyRow> way = Optional.ofNullable(kept.get(tag));
      boolean toFailure = way.filter(w -> w.way() == Way.UNTIL_IT_FAILS).isPresent();
      Optional<Renewals.Renewal> renewal =
          onBench.contains(tag) ? Optional.empty() : renewals.of(s.pump());
      if (renewal.isEmpty() || (toFailure && !also.contains(tag))) {
        continue;
      }
      Life life = shop.life(s);
      DueDay due = DueDay.of(s, forecasts.of(life), Optional.ofNullable(looks.get(tag)), way);
      Work work = work(life, renewal.get(), due, Optional.ofNullable(rules.get(tag)), fixtures);
      if (also.contains(tag) || due.days() <= days || work.cost().risk(days) >= LIKELY) {
        list.add(work);
        renewal.get().kit().ifPresent(k -> kits.put(tag, k));
      }
    }
    list.sort(Comparator.comparingDouble(w -> w.due().days()));
    return withKits(list, kits);
  }

  private Work work(
      Life life,
      Renewals.Renewal renewal,
      DueDay due,
      Optional<PumpRuleRow> rule,
      List<FixtureRow> fixtures) {
    PumpRow pump = life.standing().pump();
    double planned = renewal.plannedOrLabour();
    double dueAge = life.age() + due.days() * life.perDay();
    return new Work(
        pump,
        renewal.minutes(),
        new WaitingCost(
            new SurvivalTable(
                life.ofRunning(),
                life.age(),
                life.age() + Math.max(LEAST_AHEAD, DAYS_AHEAD * life.perDay())),
            life.age(),
            life.perDay(),
            Math.max(dueAge, life.age() * 0.01),
            planned,
            renewal.weighedStop(pump.harms())),
        due,
        0,
        "",
        fixtures.stream().filter(f -> f.isFor(pump.family())).findFirst(),
        rule.map(PumpRuleRow::line).orElse(""),
        rule.map(PumpRuleRow::pair).orElse(""));
  }

  /** Each job takes a kit off the shelf, the soonest due first; the others wait for an order. */
  private List<Work> withKits(List<Work> list, Map<String, WetKitRow> kits) {
    List<ReservationRow> reservations = shelf.reservations();
    List<LotRow> lots = shelf.all();
    Availability there = shelfLives.available(lots, reservations);
    Map<String, KitId> kitOf = new HashMap<>();
    lots.forEach(l -> kitOf.put(l.id(), l.kitId()));
    Map<KitId, Integer> taken = new HashMap<>();
    List<Work> with = new ArrayList<>();
    for (Work w : list) {
      WetKitRow kit = kits.get(w.pump().tag());
      int day = 0;
      String say = "The catalogue has no kit of it, so when its parts are here is not known.";
      if (kit != null) {
        KitId id = kit.id();
        boolean held =
            reservations.stream()
                .filter(r -> r.pump().equals(w.pump().tag()) && there.fittable(r.lot()))
                .anyMatch(r -> id.equals(kitOf.get(r.lot())));
        if (held) {
          say = "A kit is held for it.";
        } else if (there.of(id).free() > taken.getOrDefault(id, 0)) {
          taken.merge(id, 1, Integer::sum);
          say = "A kit is on the shelf.";
        } else {
          day = kit.leadDays();
          say =
              "Its kit is not on the shelf: ordered today it is here in "
                  + Text.count(day, "day")
                  + ".";
        }
      }
      with.add(
          new Work(
              w.pump(), w.minutes(), w.cost(), w.due(), day, say, w.fixture(), w.line(), w.pair()));
    }
    return with;
  }
}
