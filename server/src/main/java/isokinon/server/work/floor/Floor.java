package isokinon.server.work.floor;

import isokinon.core.act.Stage;
import isokinon.core.counter.WearCount;
import isokinon.core.life.LifeEstimate.Shown;
import isokinon.core.renewal.Policies.Way;
import isokinon.core.sheet.Family;
import isokinon.server.db.findings.FindingMapper;
import isokinon.server.db.findings.NextLookRow;
import isokinon.server.db.pumps.HistoryMapper;
import isokinon.server.db.pumps.PolicyRow;
import isokinon.server.db.pumps.PumpMapper;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.db.pumps.RunRow;
import isokinon.server.db.rebuilds.BenchMapper;
import isokinon.server.db.rebuilds.RebuildRow;
import isokinon.server.work.lives.DueDay;
import isokinon.server.work.lives.Forecast;
import isokinon.server.work.lives.Forecasts;
import isokinon.server.work.lives.LifeService;
import isokinon.server.work.lives.LifeSnapshot;
import isokinon.server.work.rebuild.Jobs;
import isokinon.server.work.rounds.RoundView;
import isokinon.server.work.rounds.Rounds;
import isokinon.server.work.shared.ShopSettings;
import isokinon.server.work.shared.StateMark;
import isokinon.server.work.shared.Text;
import java.time.Clock;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The floor: every pump with what happened to it, when it will run out, and what is planned. */
@Service
public class Floor {

  static final int DAYS_BACK = 365;

  static final int DAYS_AHEAD = 184;
  private static final int LENS_POINTS = 92;

  /** Rounds that fall due within so many days are told on the floor. */
  private static final int ROUNDS_AHEAD = 3;

  private static final int MOST_MARKS = 12;
  private static final double HIGH = 0.20;
  private static final double RAISED = 0.06;

  /**
   * All areas, the one with the worst pump first, and the worst pump first within each.
   *
   * @param site what the shop is called; empty where nobody said
   * @param rounds upkeep that is due within days, what is over first
   */
  public record FloorView(
      String site,
      String today,
      int daysBack,
      int daysAhead,
      List<Area> areas,
      List<OpenWaits.ClockView> clocks,
      List<RoundView> rounds) {}

  /** An area and one sentence on it. */
  public record Area(String name, String say, List<Strip> pumps) {}

  /**
   * A pump's running-out strip. Days count from today, past ones negative.
   *
   * @param hours on the set now, carried on from the last reading
   * @param counted what drives its wear, in words
   * @param counts the set's age in it now; 0 where hours drive it
   * @param paceRead whether hours a day come from counter readings
   * @param readDaysAgo days since its hours were read
   * @param way how it is kept: fixed, until-it-fails or look
   * @param everyHours age to renew at, or hours between looks
   * @param lens density of failing, per day, at even steps from today to the days ahead
   * @param shown which estimate the chance comes from: posterior or likelihood
   * @param shape its Weibull shape
   * @param runs runs it comes from, those that still run among them
   */
  public record Strip(
      String tag,
      Family family,
      String series,
      String dutyTitle,
      String dutyNote,
      String material,
      double hours,
      WearCount counted,
      double counts,
      String fittedOn,
      double hoursPerDay,
      boolean paceRead,
      Optional<Double> readDaysAgo,
      double intervalHours,
      Way way,
      Optional<Double> everyHours,
      StateMark state,
      List<Stop> stops,
      double fittedDays,
      double dueDays,
      String dueBecause,
      Optional<Double> planDays,
      double expectedDays,
      List<Double> lens,
      double risk30,
      String because,
      Shown shown,
      double shape,
      int runs,
      int failures,
      List<Double> failedAt,
      boolean hasSheet,
      Optional<Long> rebuild,
      Optional<String> rebuildStage) {}

  /** An earlier set: when it went in and how it ended, days from today. */
  public record Stop(
      double fittedDays,
      double days,
      boolean failed,
      double hours,
      String material,
      String cause) {}

  private final PumpMapper pumps;
  private final BenchMapper bench;
  private final Jobs jobs;
  private final OpenWaits clocks;
  private final Rounds rounds;
  private final FindingMapper findings;
  private final HistoryMapper history;
  private final LifeService lives;
  private final Forecasts forecasts;
  private final ShopSettings settings;
  private final Clock clock;

  Floor(
      PumpMapper pumps,
      BenchMapper bench,
      Jobs jobs,
      OpenWaits clocks,
      Rounds rounds,
      FindingMapper findings,
      HistoryMapper history,
      LifeService lives,
      Forecasts forecasts,
      ShopSettings settings,
      Clock clock) {
    this.pumps = pumps;
    this.bench = bench;
    this.jobs = jobs;
    this.clocks = clocks;
    this.rounds = rounds;
    this.findings = findings;
    this.history = history;
    this.lives = lives;
    this.forecasts = forecasts;
    this.settings = settings;
    this.clock = clock;
  }

  /** The whole floor as of today. */
  @Transactional(readOnly = true)
  public FloorView view() {
    Map<String, List<RunRow>> runsByPump =
        pumps.runsSince(LocalDate.now(clock).minusDays(DAYS_BACK)).stream()
            .collect(Collectors.groupingBy(RunRow::pump));
    LifeSnapshot shop = lives.now();
    Map<String, RebuildRow> open =
        bench.running().stream().collect(Collectors.toMap(RebuildRow::pump, r -> r, (a, b) -> a));
    Map<String, NextLookRow> looks =
        findings.nextLooks().stream().collect(Collectors.toMap(NextLookRow::pump, l -> l));
    Map<String, PolicyRow> kept =
        history.policies().stream().collect(Collectors.toMap(PolicyRow::pump, p -> p));
    Map<String, List<Strip>> areas = new LinkedHashMap<>();
    for (LifeSnapshot.PumpInService standing : shop.all()) {
      String tag = standing.pump().tag();
      areas
          .computeIfAbsent(standing.pump().area(), a -> new ArrayList<>())
          .add(
              strip(
                  shop.life(standing),
                  runsByPump.getOrDefault(tag, List.of()),
                  Optional.ofNullable(open.get(tag)),
                  Optional.ofNullable(looks.get(tag)),
                  Optional.ofNullable(kept.get(tag))));
    }
    return new FloorView(
        settings.name(),
        LocalDate.now(clock).toString(),
        DAYS_BACK,
        DAYS_AHEAD,
        areas.entrySet().stream()
            .sorted(Comparator.comparingDouble(e -> -worst(e.getValue())))
            .map(
                e ->
                    new Area(
                        e.getKey(),
                        say(e.getValue()),
                        e.getValue().stream()
                            .sorted(
                                Comparator.comparing((Strip s) -> s.rebuild().isEmpty())
                                    .thenComparing(s -> -s.risk30()))
                            .toList()))
            .toList(),
        clocks.all(),
        rounds.due(ROUNDS_AHEAD));
  }

  private static double worst(List<Strip> pumps) {
    return pumps.stream().mapToDouble(Strip::risk30).max().orElse(0);
  }

  /** One pump's strip. */
  @Transactional(readOnly = true)
  public Strip strip(PumpRow pump) {
    LifeSnapshot shop = lives.now();
    return strip(
        shop.life(shop.standing(pump.tag())),
        pumps.runs(pump.tag()),
        bench.runningOn(pump.tag()),
        findings.nextLook(pump.tag()),
        history.policy(pump.tag()));
  }

  private Strip strip(
      LifeSnapshot.Life life,
      List<RunRow> own,
      Optional<RebuildRow> rebuild,
      Optional<NextLookRow> look,
      Optional<PolicyRow> kept) {
    LifeSnapshot.PumpInService standing = life.standing();
    PumpRow pump = standing.pump();
    Forecast forecast = forecasts.of(life);
    double risk = forecast.risk(30);
    Optional<Stage> stage = rebuild.map(r -> jobs.job(r.id()).rebuild().stage());
    DueDay due = DueDay.of(standing, forecast, look, kept);
    return new Strip(
        pump.tag(),
        pump.family(),
        pump.series(),
        pump.dutyTitle(),
        pump.dutyNote(),
        pump.material(),
        pump.age(),
        standing.counted(),
        pump.countsPerHour() > 0 ? pump.countAge() : 0,
        pump.fittedOn().toString(),
        standing.usage().perDay(),
        standing.usage().read(),
        standing.usage().days(),
        pump.intervalHours(),
        kept.map(PolicyRow::way).orElse(Way.FIXED),
        kept.map(PolicyRow::everyHours).or(() -> Optional.of(pump.intervalHours())),
        stage.isPresent()
            ? StateMark.BENCH
            : life.known().finished() == 0
                ? StateMark.UNKNOWN
                : risk >= HIGH
                    ? StateMark.RENEW
                    : risk >= RAISED ? StateMark.WATCH : StateMark.SOUND,
        own.stream()
            .filter(r -> r.role().equals(pump.role()))
            .map(
                r ->
                    new Stop(
                        daysFromToday(r.fittedOn()),
                        daysFromToday(r.endedOn()),
                        r.failed(),
                        r.age(),
                        r.material(),
                        r.cause()))
            .toList(),
        daysFromToday(pump.fittedOn()),
        due.days(),
        due.because(),
        Optional.ofNullable(pump.planOn()).map(this::daysFromToday),
        forecast.expectedDays(),
        forecast.lens(DAYS_AHEAD, LENS_POINTS),
        risk,
        forecast.because(),
        life.estimate().shown(),
        life.estimate().shape(),
        life.estimate().runs(),
        life.estimate().failures(),
        spread(forecast.failedAt()),
        pump.sheetId() != null,
        rebuild.map(RebuildRow::id),
        stage.map(Stage::title));
  }

  /** At most a dozen of the ages, evenly picked: more marks on a ruler say nothing more. */
  private static List<Double> spread(List<Double> ages) {
    int step = Math.max(1, (ages.size() + MOST_MARKS - 1) / MOST_MARKS);
    return IntStream.range(0, ages.size()).filter(i -> i % step == 0).mapToObj(ages::get).toList();
  }

  private static String say(List<Strip> pumps) {
    Optional<Strip> onBench = pumps.stream().filter(s -> s.rebuild().isPresent()).findFirst();
    Optional<Strip> next =
        pumps.stream()
            .filter(s -> s.rebuild().isEmpty())
            .min(Comparator.comparingDouble(Strip::dueDays));
    String bench = onBench.map(s -> s.tag() + " is on the bench, ").orElse("");
    return bench
        + next.map(
                s -> {
                  long days = Math.round(s.dueDays());
                  String due =
                      days < 0
                          ? s.tag() + " is " + Text.count(-days, "day") + " past due"
                          : s.tag() + " is due in " + Text.count(days, "day");
                  return due + (s.planDays().isPresent() ? "" : " and has no plan");
                })
            .orElse("");
  }

  private double daysFromToday(LocalDate day) {
    return ChronoUnit.DAYS.between(LocalDate.now(clock), day);
  }
}
