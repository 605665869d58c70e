package isokinon.server.work.instruments;

import isokinon.core.counter.CounterLog;
import isokinon.core.rebuild.Rebuild;
import isokinon.core.sheet.Part;
import isokinon.core.sheet.Sheet;
import isokinon.core.value.Code;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.db.shop.GaugeRow;
import isokinon.server.gauge.Gauge;
import isokinon.server.gauge.SimulatedGauge;
import isokinon.server.gauge.SimulatedGauge.Condition;
import isokinon.server.work.pumps.PumpRegister;
import isokinon.server.work.rebuild.Job;
import isokinon.server.work.rebuild.Jobs;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.shared.Text;
import java.time.Clock;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Service;

/**
 * The shop's reading devices: which of them suits a reading, whether its calibration holds, and a
 * way to read it. Every device is a simulated stand-in here; a real one is another {@link Gauge}.
 */
@Service
public class Gauges {

  /** A tag for the simulated truth: a stand-in reads the same part alike every time. */
  private static final long SEED = 20260317;

  /**
   * A device as the screen shows it.
   *
   * @param suits whether it is meant for the reading that was asked about
   * @param condition what is the matter with the stand-in
   */
  public record GaugeView(
      String id,
      String kind,
      String title,
      String unit,
      double resolution,
      double uncertainty,
      String calibratedUntil,
      boolean overdue,
      String calibration,
      boolean suits,
      boolean simulated,
      Condition condition) {}

  private final GaugeRack rack;
  private final Jobs jobs;
  private final PumpRegister pumps;
  private final Clock clock;
  private final Map<String, Condition> conditions = new ConcurrentHashMap<>();

  Gauges(GaugeRack rack, Jobs jobs, PumpRegister pumps, Clock clock) {
    this.rack = rack;
    this.jobs = jobs;
    this.pumps = pumps;
    this.clock = clock;
  }

  /**
   * Devices that can read in a unit, those meant for the measure first.
   *
   * @param unit unit the sheet asks in; empty for all
   * @param measure what is measured, or the test; may be empty
   */
  public List<GaugeView> all(String unit, String measure) {
    return rack.all().stream()
        .filter(g -> unit.isEmpty() || g.unit().equals(unit))
        .map(g -> view(g, measure))
        .sorted(Comparator.comparing((GaugeView g) -> !g.suits()).thenComparing(GaugeView::id))
        .toList();
  }

  private GaugeView view(GaugeRow g, String measure) {
    boolean overdue = rack.overdue(g);
    return new GaugeView(
        g.id(),
        g.kind(),
        g.title(),
        g.unit(),
        g.resolution(),
        g.uncertainty(),
        g.calibratedUntil().toString(),
        overdue,
        overdue
            ? "out of calibration since " + Text.day(g.calibratedUntil())
            : "calibrated to " + Text.day(g.calibratedUntil()),
        measure.isEmpty()
            || g.measures().isEmpty()
            || Arrays.asList(g.measures().split("\\|")).contains(measure),
        true,
        conditions.getOrDefault(g.id(), Condition.OK));
  }

  /**
   * A device by its id.
   *
   * @throws RequestProblem where none is called so
   */
  public GaugeView gauge(String id) {
    return view(rack.gauge(id), "");
  }

  /** Sets what is the matter with a stand-in, to see what the bench does then. */
  public GaugeView pretend(String id, Condition wanted) {
    GaugeRow g = rack.gauge(id);
    conditions.put(id, wanted);
    return view(g, "");
  }

  /**
   * Opens a device at something on the bench.
   *
   * @param rebuild rebuild at which it is read
   * @param subject part, {@code proof}, or a step for a torque
   * @param measure measure of the part, or the test
   */
  public Gauge open(String id, long rebuild, String subject, String measure) {
    GaugeRow g = rack.gauge(id);
    Job job = jobs.job(rebuild);
    long again = job.rebuild().seq() * 31 + clock.millis();
    return new SimulatedGauge(
        new SimulatedGauge.Kind(g.unit(), g.resolution(), g.uncertainty()),
        truth(job, subject, measure),
        conditions.getOrDefault(id, Condition.OK),
        SEED + again);
  }

  /**
   * Opens a counter that hangs at a pump.
   *
   * @throws RequestProblem where it counts neither hours nor strokes
   */
  public Gauge openCounter(String id, String tag, String counts) {
    CounterLog.Kind counter =
        Code.parse(CounterLog.Kind.class, counts)
            .orElseThrow(
                () ->
                    RequestProblem.invalid(
                        "measure", "A counter counts " + Code.all(CounterLog.Kind.class) + "."));
    GaugeRow g = rack.gauge(id);
    PumpRow pump = pumps.pump(tag);
    double reads = counter == CounterLog.Kind.STROKES ? pump.strokes() : pump.runningHours();
    return new SimulatedGauge(
        new SimulatedGauge.Kind(g.unit(), g.resolution(), g.uncertainty()),
        reads,
        conditions.getOrDefault(id, Condition.OK),
        SEED);
  }

  /** What a perfect gauge would read: worn by the hours run, or as a sound pump runs after it. */
  private static double truth(Job job, String subject, String measure) {
    Rebuild rebuild = job.rebuild();
    PumpRow pump = job.pump();
    SplittableRandom random =
        new SplittableRandom(SEED + (pump.tag() + subject + measure).hashCode());
    Optional<Part.Limit> limit = rebuild.sheet().part(subject).flatMap(p -> p.limit(measure));
    if (limit.isPresent()) {
      double worn = pump.age() / pump.intervalHours() * (0.5 + 0.6 * random.nextDouble());
      Part.Edge edge = limit.get().above().orElse(limit.get().edge());
      double from = limit.get().asNew().orElse(2 * edge.watch() - edge.renew());
      double size = from + (edge.renew() - from) * Math.min(1.3, worn);
      return limit.get().eitherWay() && random.nextBoolean() ? -size : size;
    }
    Optional<Sheet.ProofTest> test = rebuild.sheet().proofTest(measure);
    if (test.isPresent()) {
      Sheet.ProofTest t = test.get();
      double repeats = t.runs().isPresent() ? 0.002 : 0.02;
      double middle =
          t.min().isPresent() && t.max().isPresent()
              ? (t.min().get() + t.max().get()) / 2
              : t.min().map(m -> m * 1.15).or(() -> t.max().map(m -> m * 0.5)).orElse(1.0);
      double run = rebuild.runs(t.id()).size();
      return middle * (1 + repeats * Math.sin(run * 2 + random.nextDouble() * 6));
    }
    return rebuild
        .sheet()
        .handling(subject)
        .flatMap(h -> h.fastening())
        .map(f -> f.targetNm() * (0.97 + 0.06 * random.nextDouble()))
        .orElseThrow(
            () ->
                RequestProblem.notNow("measure", "There is nothing to measure by that name here."));
  }
}
