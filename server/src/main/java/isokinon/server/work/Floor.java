package isokinon.server.work;

import isokinon.core.rebuild.Stage;
import isokinon.server.store.BenchMapper;
import isokinon.server.store.ExposureRow;
import isokinon.server.store.FindingMapper;
import isokinon.server.store.NextLookRow;
import isokinon.server.store.PumpMapper;
import isokinon.server.store.PumpRow;
import isokinon.server.store.RebuildRow;
import isokinon.server.store.RunRow;
import java.time.Clock;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
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
  private static final int MOST_MARKS = 12;
  private static final double HIGH = 0.20;
  private static final double RAISED = 0.06;

  /** All areas, the one with the worst pump first, and the worst pump first within each. */
  public record FloorView(
      String site,
      String today,
      int daysBack,
      int daysAhead,
      List<Area> areas,
      List<Clocks.ClockView> clocks) {}

  /** An area and one sentence on it. */
  public record Area(String name, String say, List<Strip> pumps) {}

  /** A pump's running-out strip. Days count from today, past ones negative. */
  public record Strip(
      String tag,
      String family,
      String series,
      String dutyTitle,
      String dutyNote,
      String material,
      double hours,
      double strokes,
      String fittedOn,
      double hoursPerDay,
      double intervalHours,
      String state,
      List<Stop> stops,
      double fittedDays,
      double dueDays,
      String dueBecause,
      Optional<Double> planDays,
      double expectedDays,
      List<LensPoint> lens,
      double risk30,
      String because,
      List<Double> failedAt,
      boolean hasSheet,
      Optional<Long> rebuild,
      Optional<String> rebuildStage) {}

  /** The end of an earlier set. */
  public record Stop(double days, boolean failed, double hours, String material, String cause) {}

  /** A point of the lens: days ahead and the density of failing then, per day. */
  public record LensPoint(double days, double density) {}

  private final PumpMapper pumps;
  private final BenchMapper bench;
  private final Bench jobs;
  private final Clocks clocks;
  private final FindingMapper findings;
  private final Clock clock;

  Floor(
      PumpMapper pumps,
      BenchMapper bench,
      Bench jobs,
      Clocks clocks,
      FindingMapper findings,
      Clock clock) {
    this.pumps = pumps;
    this.bench = bench;
    this.jobs = jobs;
    this.clocks = clocks;
    this.findings = findings;
    this.clock = clock;
  }

  /** The whole floor as of today. */
  @Transactional(readOnly = true)
  public FloorView view() {
    List<RunRow> runs = pumps.allRuns();
    Map<String, List<RunRow>> runsByPump =
        runs.stream().collect(Collectors.groupingBy(RunRow::pump));
    Map<String, List<RunRow>> runsByGroup =
        runs.stream()
            .collect(Collectors.groupingBy(r -> group(r.role(), r.material(), r.dutyGroup())));
    Map<String, RunGroup> groups = new HashMap<>();
    Map<String, String> mainFluid =
        pumps.allExposures().stream()
            .filter(e -> e.position() == 1)
            .collect(Collectors.toMap(ExposureRow::pump, ExposureRow::fluid));
    Map<String, RebuildRow> open =
        bench.running().stream().collect(Collectors.toMap(RebuildRow::pump, r -> r, (a, b) -> a));
    Map<String, NextLookRow> looks =
        findings.nextLooks().stream().collect(Collectors.toMap(NextLookRow::pump, l -> l));
    Map<String, List<Strip>> areas = new LinkedHashMap<>();
    for (PumpRow pump : pumps.all()) {
      String key = group(pump.role(), pump.material(), mainFluid.getOrDefault(pump.tag(), ""));
      areas
          .computeIfAbsent(pump.area(), a -> new ArrayList<>())
          .add(
              strip(
                  pump,
                  runsByPump.getOrDefault(pump.tag(), List.of()),
                  groups.computeIfAbsent(
                      key, k -> RunGroup.of(pump.role(), runsByGroup.getOrDefault(k, List.of()))),
                  Optional.ofNullable(open.get(pump.tag())),
                  Optional.ofNullable(looks.get(pump.tag()))));
    }
    return new FloorView(
        "Skerrow Mill",
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
        clocks.all());
  }

  private static double worst(List<Strip> pumps) {
    return pumps.stream().mapToDouble(Strip::risk30).max().orElse(0);
  }

  /** One pump's strip. */
  @Transactional(readOnly = true)
  public Strip strip(PumpRow pump) {
    List<ExposureRow> exposures = pumps.exposures(pump.tag());
    String fluid = exposures.isEmpty() ? "" : exposures.get(0).fluid();
    List<RunRow> group = pumps.runsLike(pump.role(), pump.material(), fluid);
    return strip(
        pump,
        pumps.runs(pump.tag()),
        RunGroup.of(pump.role(), group),
        bench.runningOn(pump.tag()),
        findings.nextLook(pump.tag()));
  }

  private Strip strip(
      PumpRow pump,
      List<RunRow> own,
      RunGroup group,
      Optional<RebuildRow> rebuild,
      Optional<NextLookRow> look) {
    Forecast forecast = new Forecast(pump, group);
    double risk = forecast.risk(30);
    Optional<Stage> stage = rebuild.map(r -> jobs.job(r.id()).rebuild().stage());
    return new Strip(
        pump.tag(),
        pump.family(),
        pump.series(),
        pump.dutyTitle(),
        pump.dutyNote(),
        pump.material(),
        pump.age(),
        pump.strokes(),
        pump.fittedOn().toString(),
        pump.hoursPerDay(),
        pump.intervalHours(),
        stage.isPresent()
            ? "bench"
            : group.runs() == 0
                ? "unknown"
                : risk >= HIGH ? "renew" : risk >= RAISED ? "watch" : "sound",
        own.stream()
            .map(
                r ->
                    new Stop(
                        daysFromToday(r.endedOn()), r.failed(), r.hours(), r.material(), r.cause()))
            .toList(),
        daysFromToday(pump.fittedOn()),
        look.map(l -> (l.atHours() - pump.runningHours()) / pump.hoursPerDay())
            .filter(days -> days < forecast.dueDays())
            .orElse(forecast.dueDays()),
        look.map(NextLookRow::because).orElse(""),
        Optional.ofNullable(pump.planOn()).map(this::daysFromToday),
        forecast.expectedDays(),
        forecast.lens(DAYS_AHEAD, LENS_POINTS),
        risk,
        forecast.because(),
        spread(group.failedAt()),
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
                          ? s.tag() + " is " + Words.count(-days, "day") + " past due"
                          : s.tag() + " is due in " + Words.count(days, "day");
                  return due + (s.planDays().isPresent() ? "" : " and has no plan");
                })
            .orElse("");
  }

  private double daysFromToday(LocalDate day) {
    return ChronoUnit.DAYS.between(LocalDate.now(clock), day);
  }

  private static String group(String role, String material, String fluid) {
    return role + "|" + material + "|" + fluid;
  }
}
