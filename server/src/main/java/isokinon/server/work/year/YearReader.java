package isokinon.server.work.year;

import isokinon.core.life.frailty.GroupPosterior;
import isokinon.core.stock.Availability;
import isokinon.core.stock.KitId;
import isokinon.core.year.Belief;
import isokinon.core.year.YearPump;
import isokinon.core.year.YearShop;
import isokinon.core.year.YearShop.Kit;
import isokinon.server.db.diary.DiaryMapper;
import isokinon.server.db.diary.DiaryMapper.DiaryEntryRow;
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
import isokinon.server.db.stores.ShelfMapper;
import isokinon.server.work.library.Sheets;
import isokinon.server.work.library.ShelfLifeService;
import isokinon.server.work.lives.DueDay;
import isokinon.server.work.lives.LifeService;
import isokinon.server.work.lives.LifeSnapshot;
import isokinon.server.work.lives.LifeSnapshot.Life;
import isokinon.server.work.lives.LifeSnapshot.PumpInService;
import isokinon.server.work.lives.Renewals;
import isokinon.server.work.lives.Renewals.Renewal;
import isokinon.server.work.stores.Stores;
import isokinon.server.work.stores.StoresView;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Reads what a year is played from: the same lives, costs, kits, people and rules as the diary. */
@Component
class YearReader {

  private static final double DAY = Duration.ofDays(1).toSeconds();

  private final LifeService lives;
  private final Renewals renewals;
  private final HistoryMapper history;
  private final FindingMapper findings;
  private final BenchMapper bench;
  private final ShelfMapper shelf;
  private final ShelfLifeService shelfLives;
  private final Stores stores;
  private final Sheets sheets;
  private final DiaryMapper diary;
  private final BenchHours people;
  private final Clock clock;

  YearReader(
      LifeService lives,
      Renewals renewals,
      HistoryMapper history,
      FindingMapper findings,
      BenchMapper bench,
      ShelfMapper shelf,
      ShelfLifeService shelfLives,
      Stores stores,
      Sheets sheets,
      DiaryMapper diary,
      BenchHours people,
      Clock clock) {
    this.lives = lives;
    this.renewals = renewals;
    this.history = history;
    this.findings = findings;
    this.bench = bench;
    this.shelf = shelf;
    this.shelfLives = shelfLives;
    this.stores = stores;
    this.sheets = sheets;
    this.diary = diary;
    this.people = people;
    this.clock = clock;
  }

  /** What decides of the pumps how they are kept and what binds them; each by the pump's tag. */
  private record Kept(
      Map<String, PolicyRow> ways,
      Map<String, NextLookRow> looks,
      Map<String, Double> placed,
      Map<String, PumpRuleRow> rules,
      Set<String> onBench) {}

  /** The lives that are played, each group once. */
  private static final class Beliefs {

    private final Map<GroupPosterior, Integer> places = new IdentityHashMap<>();
    private final List<Belief> all = new ArrayList<>();

    int place(GroupPosterior of) {
      return places.computeIfAbsent(
          of,
          g -> {
            all.add(new Belief(g.joint(), all.size()));
            return all.size() - 1;
          });
    }
  }

  /** A pump that is in service with what renewing it takes. */
  private record InService(PumpInService standing, Renewal renewal) {}

  @Transactional(readOnly = true)
  YearGround read(ShelfLevel level, PeopleLevel with) {
    LifeSnapshot shop = lives.now();
    LocalDate from = LocalDate.now(clock);
    Kept kept = kept();
    List<InService> in = new ArrayList<>();
    for (PumpInService s : shop.all()) {
      renewals.of(s.pump()).ifPresent(r -> in.add(new InService(s, r)));
    }
    Map<String, Integer> places = new HashMap<>();
    Map<KitId, WetKitRow> kits = new LinkedHashMap<>();
    for (InService s : in) {
      places.put(s.standing().pump().tag(), places.size());
      s.renewal().kit().ifPresent(k -> kits.putIfAbsent(k.id(), k));
    }
    List<KitId> ids = List.copyOf(kits.keySet());
    List<FixtureRow> fixtures = diary.fixtures();
    List<String> lines =
        kept.rules().values().stream()
            .map(PumpRuleRow::line)
            .filter(l -> !l.isEmpty())
            .distinct()
            .toList();
    Beliefs beliefs = new Beliefs();
    List<YearSubject> subjects = new ArrayList<>();
    for (InService s : in) {
      Life life = shop.life(s.standing());
      Optional<PumpRuleRow> rule = Optional.ofNullable(kept.rules().get(s.standing().pump().tag()));
      YearPump.Job job =
          new YearPump.Job(
              s.renewal().minutes(),
              s.renewal().lookMinutes(),
              s.renewal().kit().map(k -> ids.indexOf(k.id())).orElse(YearPump.NONE),
              IntStream.range(0, fixtures.size())
                  .filter(f -> fixtures.get(f).isFor(s.standing().pump().family()))
                  .findFirst()
                  .orElse(YearPump.NONE),
              rule.map(r -> lines.indexOf(r.line())).orElse(YearPump.NONE),
              rule.map(r -> places.getOrDefault(r.pair(), YearPump.NONE)).orElse(YearPump.NONE));
      subjects.add(subject(s, life, kept, beliefs.place(life.known().lives()), job));
    }
    return new YearGround(
        from,
        best(subjects),
        ids,
        new YearShop(
            people.days(from, with),
            shelf(ids, kits, level),
            fixtures.stream().map(FixtureRow::pieces).toList(),
            people.still(lines, from, clock.getZone()),
            people.overtimePerHour()),
        beliefs.all,
        shop.all().size() - in.size(),
        (int) in.stream().filter(s -> s.renewal().planned().isEmpty()).count());
  }

  private Kept kept() {
    OffsetDateTime midnight = LocalDate.now(clock).atStartOfDay(clock.getZone()).toOffsetDateTime();
    Map<String, Double> placed = new HashMap<>();
    for (DiaryEntryRow e : diary.entries()) {
      if (!e.endsAt().isBefore(midnight)) {
        placed.merge(
            e.pump(), Duration.between(midnight, e.startsAt()).toSeconds() / DAY, Math::min);
      }
    }
    return new Kept(
        history.policies().stream().collect(Collectors.toMap(PolicyRow::pump, p -> p)),
        findings.nextLooks().stream().collect(Collectors.toMap(NextLookRow::pump, l -> l)),
        placed,
        diary.rules().stream().collect(Collectors.toMap(PumpRuleRow::pump, r -> r)),
        bench.running().stream().map(RebuildRow::pump).collect(Collectors.toSet()));
  }

  private static YearSubject subject(
      InService s, Life life, Kept kept, int belief, YearPump.Job job) {
    PumpRow pump = s.standing().pump();
    String tag = pump.tag();
    // What is at the bench comes back with a new set.
    boolean away = kept.onBench().contains(tag);
    YearPump played =
        new YearPump(
            tag,
            belief,
            life.known().lives().joint().place(tag),
            life.libraryMean(),
            away ? 0 : life.age(),
            life.perDay(),
            life.estimate().meanLife(),
            new YearPump.Cost(
                s.renewal().plannedOrLabour(), s.renewal().stop(), s.renewal().look()),
            job);
    return new YearSubject(
        played,
        life,
        s.renewal(),
        Optional.ofNullable(kept.ways().get(tag)),
        pump.intervalHours(),
        away
            ? Optional.empty()
            : DueDay.sooner(s.standing(), Optional.ofNullable(kept.looks().get(tag)))
                .map(DueDay::days),
        away ? Optional.empty() : Optional.ofNullable(kept.placed().get(tag)),
        Optional.empty());
  }

  /** The ways to keep each at their best are worked out on all cores: that takes longest. */
  private static List<YearSubject> best(List<YearSubject> all) {
    return all.parallelStream().map(YearSubject::atItsBest).toList();
  }

  private List<Kit> shelf(List<KitId> ids, Map<KitId, WetKitRow> kits, ShelfLevel level) {
    Availability there = shelfLives.available(shelf.all(), shelf.reservations());
    Map<KitId, Integer> advised =
        level == ShelfLevel.AS_ADVISED ? advised(stores.view()) : Map.of();
    return ids.stream()
        .map(
            id -> {
              int today = there.of(id).fittable();
              return new Kit(
                  name(id),
                  switch (level) {
                    case AS_IT_IS -> today;
                    case AS_ADVISED -> Math.max(today, advised.getOrDefault(id, 0));
                    case ONE_MORE -> today + 1;
                  },
                  kits.get(id).leadDays());
            })
        .toList();
  }

  private static Map<KitId, Integer> advised(StoresView view) {
    Map<KitId, Integer> advised = new HashMap<>();
    for (StoresView.Shelf s : view.shelves()) {
      for (StoresView.StockLine l : s.kits()) {
        l.minimum()
            .ifPresent(
                m -> advised.put(new KitId(s.sheetId(), l.kit(), l.material(), l.hardware()), m));
      }
    }
    return advised;
  }

  private String name(KitId id) {
    String title =
        sheets.find(id.sheet()).flatMap(s -> s.kit(id.kit())).map(k -> k.title()).orElse(id.kit());
    return id.material() + " " + title;
  }
}
