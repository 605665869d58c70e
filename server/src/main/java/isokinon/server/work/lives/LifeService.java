package isokinon.server.work.lives;

import isokinon.core.counter.Usage;
import isokinon.core.life.LifeGroups;
import isokinon.core.life.LifeGroups.WearRun;
import isokinon.core.life.Run;
import isokinon.server.db.DataVersions;
import isokinon.server.db.Topic;
import isokinon.server.db.materials.WetEndMapper;
import isokinon.server.db.pumps.CounterMapper;
import isokinon.server.db.pumps.CounterRow;
import isokinon.server.db.pumps.ExposureRow;
import isokinon.server.db.pumps.FailureModeRow;
import isokinon.server.db.pumps.FittedPartRow;
import isokinon.server.db.pumps.HistoryMapper;
import isokinon.server.db.pumps.PumpMapper;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.db.pumps.WetEndRow;
import isokinon.server.db.rebuilds.BenchMapper;
import isokinon.server.db.rebuilds.RebuildRow;
import isokinon.server.work.library.Sheets;
import isokinon.server.work.lives.LifeSnapshot.GroupEvidence;
import isokinon.server.work.lives.LifeSnapshot.PumpInService;
import isokinon.server.work.pumps.PastDuties;
import isokinon.server.work.pumps.PumpRegister;
import isokinon.server.work.shared.Cached;
import java.time.Clock;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/**
 * Reads the lives of the shop's wear parts: every run, finished or still running, and what the
 * library expects. Read once, and again when something has changed that they come from.
 */
@Component
public class LifeService {

  /** What a life comes from, but for the failure modes that people chose. */
  private static final Set<Topic> COME_FROM =
      EnumSet.of(
          Topic.PUMPS,
          Topic.PLANS,
          Topic.COUNTERS,
          Topic.DUTIES,
          Topic.FITTED,
          Topic.REBUILDS,
          Topic.SHEETS,
          Topic.MATERIALS);

  private final PumpMapper pumps;
  private final PumpRegister register;
  private final HistoryMapper history;
  private final CounterMapper counters;
  private final BenchMapper bench;
  private final WetEndMapper wetEnds;
  private final LibraryWord word;
  private final Sheets sheets;
  private final PastDuties pastDuties;
  private final Clock clock;
  private final FinishedRuns finished;
  private final Cached<Standing> standing;
  private final Cached<InService> inService;
  private final Cached<LifeSnapshot> read;
  private volatile KnownEvidence known;

  /** The pumps by the library alone, and what they run on. */
  private record Standing(
      Map<String, PumpInService> pumps,
      Map<String, List<ExposureRow>> exposures,
      Map<String, WetEndRow> wetEnds) {}

  /** The same with all runs, those of the parts in the pumps among them. */
  private record InService(LifeGroups groups, Standing standing) {}

  /** So many pumps of a duty tell what the library expects of a material in it. */
  private static final int TELLING_OF_A_DUTY = 8;

  /** Works out large groups while people go on by what was believed before. */
  private final ExecutorService beside =
      Executors.newSingleThreadExecutor(
          r -> {
            Thread thread = new Thread(r, "lives of large groups");
            thread.setDaemon(true);
            thread.setPriority(Thread.MIN_PRIORITY);
            return thread;
          });

  private record ModeKey(String role, String material, String duty) {}

  LifeService(
      PumpMapper pumps,
      PumpRegister register,
      HistoryMapper history,
      CounterMapper counters,
      BenchMapper bench,
      WetEndMapper wetEnds,
      LibraryWord word,
      Sheets sheets,
      PastDuties pastDuties,
      FinishedRuns finished,
      DataVersions versions,
      Clock clock) {
    this.pumps = pumps;
    this.finished = finished;
    this.register = register;
    this.history = history;
    this.counters = counters;
    this.bench = bench;
    this.wetEnds = wetEnds;
    this.word = word;
    this.sheets = sheets;
    this.pastDuties = pastDuties;
    this.clock = clock;
    this.known =
        new KnownEvidence(
            task ->
                beside.execute(
                    () -> {
                      task.run();
                      versions.changed(EnumSet.of(Topic.LIVES));
                    }));
    this.standing = Cached.by(() -> LocalDate.now(clock), versions, COME_FROM, this::readStanding);
    this.inService =
        Cached.by(this.standing::get, versions, EnumSet.of(Topic.RUNS), this::readInService);
    this.read =
        Cached.by(
            this.inService::get,
            versions,
            EnumSet.of(Topic.FAILURE_MODES, Topic.LIVES),
            this::readSnapshot);
  }

  /** The lives as they are now. */
  public LifeSnapshot now() {
    return read.get();
  }

  private LifeSnapshot readSnapshot() {
    InService now = inService.get();
    Map<ModeKey, Double> modes =
        history.failureModes().stream()
            .collect(
                Collectors.toMap(
                    m -> new ModeKey(m.role(), m.material(), m.dutyGroup()),
                    FailureModeRow::shape));
    Map<String, PumpInService> standing = new LinkedHashMap<>();
    now.standing()
        .pumps()
        .forEach(
            (tag, s) -> {
              ModeKey mode = new ModeKey(s.pump().role(), s.pump().material(), s.duty());
              standing.put(tag, modes.containsKey(mode) ? s.shaped(modes.get(mode)) : s);
            });
    known = known.later();
    return new LifeSnapshot(
        now.groups(),
        standing,
        (role, material, duty) -> expectedHours(now.standing(), role, material, duty),
        known);
  }

  private InService readInService() {
    Standing standing = this.standing.get();
    return new InService(finished.groups().and(running(standing.pumps())), standing);
  }

  /** What runs of a role and material in a duty say, those that still run among them. */
  public GroupEvidence like(String role, String material, String duty) {
    return now().like(role, material, duty, word.shape(role, material));
  }

  private Standing readStanding() {
    Map<String, List<ExposureRow>> exposures =
        pumps.allExposures().stream().collect(Collectors.groupingBy(ExposureRow::pump));
    Map<String, WetEndRow> known =
        wetEnds.wetEnds().stream().collect(Collectors.toMap(WetEndRow::pump, w -> w));
    Map<String, RebuildRow> onBench =
        bench.running().stream().collect(Collectors.toMap(RebuildRow::pump, r -> r, (a, b) -> a));
    Map<String, List<CounterRow>> readings =
        counters.hoursSince(OffsetDateTime.now(clock).minus(Usage.LOOK_BACK)).stream()
            .collect(Collectors.groupingBy(CounterRow::pump));
    Map<String, List<PastDuties.Past>> past = pastDuties.all();
    Map<String, PumpInService> all = new LinkedHashMap<>();
    for (PumpRow pump : pumps.all()) {
      Usage usage =
          register.usage(
              pump,
              readings.getOrDefault(pump.tag(), List.of()),
              Optional.ofNullable(onBench.get(pump.tag())));
      all.put(
          pump.tag(),
          standing(
              pump.after(usage.since()),
              usage,
              exposures.getOrDefault(pump.tag(), List.of()),
              known.getOrDefault(pump.tag(), WetEndRow.unknown(pump.tag())),
              past.getOrDefault(pump.tag(), List.of())));
    }
    return new Standing(all, exposures, known);
  }

  private PumpInService standing(
      PumpRow pump,
      Usage usage,
      List<ExposureRow> fluids,
      WetEndRow wetEnd,
      List<PastDuties.Past> past) {
    String duty = fluids.isEmpty() ? "" : fluids.get(0).fluid();
    return new PumpInService(
        pump,
        usage,
        duty,
        word.prior(pump, fluids, wetEnd),
        calendar(pump),
        word.earlier(pump, fluids, wetEnd, past));
  }

  /** A pump that is in service, or one that is retired, with its hours as they were read last. */
  public PumpInService standing(PumpRow pump) {
    return now()
        .find(pump.tag())
        .orElseGet(
            () ->
                standing(
                    pump,
                    register.usage(pump, List.of(), Optional.empty()),
                    pumps.exposures(pump.tag()),
                    wetEnds.wetEnd(pump.tag()).orElseGet(() -> WetEndRow.unknown(pump.tag())),
                    List.of()));
  }

  /** Days from today until a set is renewed whatever it ran, by the sheet of the pump. */
  private Optional<Double> calendar(PumpRow pump) {
    return pump.sheet().flatMap(sheets::find).stream()
        .flatMap(s -> s.parts().stream())
        .filter(p -> p.role().equals(Optional.of(pump.role())))
        .flatMap(p -> p.mostDays().stream())
        .min(Comparator.naturalOrder())
        .map(most -> most - ChronoUnit.DAYS.between(pump.fittedOn(), LocalDate.now(clock)));
  }

  /** What the library expects of a part in a duty, over some pumps that run on it. */
  private double expectedHours(Standing now, String role, String material, String duty) {
    return word.baseHours(role, material)
        * now.pumps().values().stream()
            .filter(s -> s.duty().equals(duty))
            .limit(TELLING_OF_A_DUTY)
            .map(s -> leaves(now, s.pump(), role, material))
            .mapToDouble(LibraryWord.Leaves::factor)
            .average()
            .orElse(1);
  }

  private LibraryWord.Leaves leaves(Standing now, PumpRow pump, String role, String material) {
    return word.leavesOrRuledOut(
        pump,
        role,
        material,
        now.exposures().getOrDefault(pump.tag(), List.of()),
        now.wetEnds().getOrDefault(pump.tag(), WetEndRow.unknown(pump.tag())));
  }

  /**
   * The share of the library's base life that a pump's duty leaves its wearing part.
   *
   * @param hotterK so much hotter than it is
   */
  public Optional<Double> factor(PumpRow pump, double hotterK) {
    List<ExposureRow> fluids =
        pumps.exposures(pump.tag()).stream().map(e -> e.hotter(hotterK)).toList();
    WetEndRow wetEnd = wetEnds.wetEnd(pump.tag()).orElseGet(() -> WetEndRow.unknown(pump.tag()));
    return word.leaves(pump, pump.role(), pump.material(), fluids, wetEnd)
        .map(LibraryWord.Leaves::factor);
  }

  /** The parts in the pumps, as runs that go on. */
  private List<WearRun> running(Map<String, PumpInService> standing) {
    List<WearRun> runs = new ArrayList<>();
    for (FittedPartRow f : pumps.allFitted()) {
      PumpInService s = standing.get(f.pump());
      if (f.hoursHere(s.pump()) > 0) {
        runs.add(running(f, s));
      }
    }
    return runs;
  }

  private static WearRun running(FittedPartRow f, PumpInService s) {
    PumpRow pump = s.pump();
    return new WearRun(
        pump.tag(),
        s.of().construction(),
        f.role(),
        f.material(),
        s.duty(),
        new Run(f.cameHours(), f.age(pump), false),
        pump.countsPerHour() > 0 && f.countsHere(pump) > 0
            ? Optional.of(new Run(f.cameCount(), f.countAge(pump), false))
            : Optional.empty(),
        f.fittedOn(),
        Optional.empty());
  }
}
