package isokinon.server.work.floor;

import isokinon.core.counter.WearCount;
import isokinon.core.renewal.Policies.Way;
import isokinon.core.sheet.Family;
import isokinon.server.db.findings.FindingMapper;
import isokinon.server.db.pumps.HistoryMapper;
import isokinon.server.db.pumps.PolicyRow;
import isokinon.server.db.pumps.PumpMapper;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.db.pumps.RunRow;
import isokinon.server.work.floor.BenchStages.OnBench;
import isokinon.server.work.lives.DueDay;
import isokinon.server.work.lives.Forecast;
import isokinon.server.work.lives.Forecasts;
import isokinon.server.work.lives.LifeService;
import isokinon.server.work.lives.LifeSnapshot;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.shared.ShopSettings;
import isokinon.server.work.shared.StateMark;
import java.time.Clock;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The running-out strips: of each pump what happened to it, when it will run out, what is planned.
 */
@Service
public class Strips {

  /** So many are given at once: more than any window shows. */
  public static final int MOST = 100;

  private static final int LENS_POINTS = 92;
  private static final int MOST_MARKS = 12;

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
  private final BenchStages stages;
  private final FindingMapper findings;
  private final HistoryMapper history;
  private final LifeService lives;
  private final Forecasts forecasts;
  private final ShopSettings settings;
  private final Clock clock;

  Strips(
      PumpMapper pumps,
      BenchStages stages,
      FindingMapper findings,
      HistoryMapper history,
      LifeService lives,
      Forecasts forecasts,
      ShopSettings settings,
      Clock clock) {
    this.settings = settings;
    this.pumps = pumps;
    this.stages = stages;
    this.findings = findings;
    this.history = history;
    this.lives = lives;
    this.forecasts = forecasts;
    this.clock = clock;
  }

  /**
   * The strips of these pumps; one that stands here no more is left out.
   *
   * @throws RequestProblem where more are asked for than are given at once
   */
  @Transactional(readOnly = true)
  public List<Strip> of(List<String> tags) {
    if (tags.size() > MOST) {
      throw RequestProblem.invalid("tags", "At most " + MOST + " pumps at once.");
    }
    LifeSnapshot shop = lives.now();
    LocalDate shown = LocalDate.now(clock).minusDays(Floor.DAYS_BACK);
    return tags.stream()
        .distinct()
        .flatMap(t -> shop.find(t).stream())
        .map(s -> strip(shop, s, pumps.runsOfSince(s.pump().tag(), shown)))
        .toList();
  }

  /** One pump's strip, with every set that ever stood in it. */
  @Transactional(readOnly = true)
  public Strip of(PumpRow pump) {
    return strip(lives.now(), lives.standing(pump), pumps.runs(pump.tag()));
  }

  private Strip strip(LifeSnapshot shop, LifeSnapshot.PumpInService standing, List<RunRow> own) {
    PumpRow pump = standing.pump();
    LifeSnapshot.Life life = shop.life(standing);
    Optional<OnBench> rebuild = stages.on(pump.tag());
    Optional<PolicyRow> kept = history.policy(pump.tag());
    Forecast forecast = forecasts.of(life);
    double risk = forecast.risk(30);
    DueDay due = DueDay.of(standing, forecast, findings.nextLook(pump.tag()), kept);
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
        Floor.mark(settings.rules(), rebuild.isPresent(), life, risk),
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
        forecast.lens(Floor.DAYS_AHEAD, LENS_POINTS),
        risk,
        forecast.because(),
        life.estimate().shape().median(),
        life.estimate().runs(),
        life.estimate().failures(),
        spread(forecast.failedAt()),
        pump.sheetId() != null,
        rebuild.map(OnBench::rebuild),
        rebuild.map(OnBench::stage));
  }

  /** At most a dozen of the ages, evenly picked: more marks on a ruler say nothing more. */
  private static List<Double> spread(List<Double> ages) {
    int step = Math.max(1, (ages.size() + MOST_MARKS - 1) / MOST_MARKS);
    return IntStream.range(0, ages.size()).filter(i -> i % step == 0).mapToObj(ages::get).toList();
  }

  private double daysFromToday(LocalDate day) {
    return ChronoUnit.DAYS.between(LocalDate.now(clock), day);
  }
}
