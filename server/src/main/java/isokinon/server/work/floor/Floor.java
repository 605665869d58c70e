package isokinon.server.work.floor;

import isokinon.core.sheet.Family;
import isokinon.server.db.findings.FindingMapper;
import isokinon.server.db.findings.NextLookRow;
import isokinon.server.db.pumps.HistoryMapper;
import isokinon.server.db.pumps.PolicyRow;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.work.floor.BenchStages.OnBench;
import isokinon.server.work.lives.DueDay;
import isokinon.server.work.lives.Forecast;
import isokinon.server.work.lives.Forecasts;
import isokinon.server.work.lives.LifeService;
import isokinon.server.work.lives.LifeSnapshot;
import isokinon.server.work.rounds.RoundView;
import isokinon.server.work.rounds.Rounds;
import isokinon.server.work.shared.ShopRules;
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
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The floor: every pump in short, the worst first, and what waits or falls due. */
@Service
public class Floor {

  static final int DAYS_BACK = 365;
  static final int DAYS_AHEAD = 184;

  /** Rounds that fall due within so many days are told on the floor. */
  private static final int ROUNDS_AHEAD = 3;

  /** Thousands are sent at once: digits that nobody reads are left out. */
  private static final double CHANCE_DIGITS = 1e4;

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
  public record Area(String name, String say, List<Brief> pumps) {}

  /**
   * A pump in short: what it is found, ordered and marked by. Its strip is asked for when it comes
   * into view.
   *
   * @param hours on the set now
   * @param dueDays from today, negative when past
   * @param planDays from today
   * @param risk30 chance of failing within 30 days
   * @param rebuildStage where its rebuild stands; empty where none is open
   */
  public record Brief(
      String tag,
      Family family,
      String dutyTitle,
      String material,
      double hours,
      StateMark state,
      double risk30,
      double dueDays,
      Optional<Double> planDays,
      boolean hasSheet,
      Optional<Long> rebuild,
      Optional<String> rebuildStage) {}

  private final BenchStages stages;
  private final OpenWaits clocks;
  private final Rounds rounds;
  private final FindingMapper findings;
  private final HistoryMapper history;
  private final LifeService lives;
  private final Forecasts forecasts;
  private final ShopSettings settings;
  private final Clock clock;

  Floor(
      BenchStages stages,
      OpenWaits clocks,
      Rounds rounds,
      FindingMapper findings,
      HistoryMapper history,
      LifeService lives,
      Forecasts forecasts,
      ShopSettings settings,
      Clock clock) {
    this.stages = stages;
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
    LifeSnapshot shop = lives.now();
    Map<String, OnBench> open = stages.all();
    Map<String, NextLookRow> looks =
        findings.nextLooks().stream().collect(Collectors.toMap(NextLookRow::pump, l -> l));
    Map<String, PolicyRow> kept =
        history.policies().stream().collect(Collectors.toMap(PolicyRow::pump, p -> p));
    Map<String, List<Brief>> areas = new LinkedHashMap<>();
    for (LifeSnapshot.PumpInService standing : shop.all()) {
      String tag = standing.pump().tag();
      areas
          .computeIfAbsent(standing.pump().area(), a -> new ArrayList<>())
          .add(
              brief(
                  shop.life(standing),
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
                                Comparator.comparing((Brief s) -> s.rebuild().isEmpty())
                                    .thenComparing(s -> -s.risk30()))
                            .toList()))
            .toList(),
        clocks.all(),
        rounds.due(ROUNDS_AHEAD));
  }

  private static double worst(List<Brief> pumps) {
    return pumps.stream().mapToDouble(Brief::risk30).max().orElse(0);
  }

  private Brief brief(
      LifeSnapshot.Life life,
      Optional<OnBench> rebuild,
      Optional<NextLookRow> look,
      Optional<PolicyRow> kept) {
    PumpRow pump = life.standing().pump();
    Forecast forecast = forecasts.of(life);
    double risk = forecast.risk(30);
    return new Brief(
        pump.tag(),
        pump.family(),
        pump.dutyTitle(),
        pump.material(),
        Math.round(pump.age()),
        mark(settings.rules(), rebuild.isPresent(), life, risk),
        Math.round(risk * CHANCE_DIGITS) / CHANCE_DIGITS,
        Math.round(DueDay.of(life.standing(), forecast, look, kept).days() * 10) / 10.0,
        Optional.ofNullable(pump.planOn())
            .map(d -> (double) ChronoUnit.DAYS.between(LocalDate.now(clock), d)),
        pump.sheetId() != null,
        rebuild.map(OnBench::rebuild),
        rebuild.map(OnBench::stage));
  }

  /** How a pump is marked. */
  static StateMark mark(ShopRules rules, boolean onBench, LifeSnapshot.Life life, double risk30) {
    if (onBench) {
      return StateMark.BENCH;
    }
    if (life.known().finished() == 0) {
      return StateMark.UNKNOWN;
    }
    return rules.mark(risk30);
  }

  private static String say(List<Brief> pumps) {
    Optional<Brief> onBench = pumps.stream().filter(s -> s.rebuild().isPresent()).findFirst();
    Optional<Brief> next =
        pumps.stream()
            .filter(s -> s.rebuild().isEmpty())
            .min(Comparator.comparingDouble(Brief::dueDays));
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
}
