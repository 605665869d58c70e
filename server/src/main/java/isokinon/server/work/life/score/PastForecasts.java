package isokinon.server.work.life.score;

import isokinon.core.life.LifeEstimate;
import isokinon.core.life.LifeGroups.Group;
import isokinon.core.life.LifeGroups.GroupKey;
import isokinon.core.life.LifeGroups.Level;
import isokinon.core.life.LifeGroups.WearRun;
import isokinon.core.life.Run;
import isokinon.core.renewal.Policies;
import isokinon.core.renewal.Policies.Kept;
import isokinon.server.db.DataVersions;
import isokinon.server.db.Topic;
import isokinon.server.db.forecasts.ForecastMapper;
import isokinon.server.db.forecasts.ForecastRow;
import isokinon.server.db.pumps.PumpMapper;
import isokinon.server.db.pumps.RunRow;
import isokinon.server.work.life.score.ForecastBook.SetKey;
import isokinon.server.work.lives.LifeService;
import isokinon.server.work.lives.LifeSnapshot;
import isokinon.server.work.lives.LifeSnapshot.PumpInService;
import isokinon.server.work.lives.Renewals;
import isokinon.server.work.shared.Cached;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/**
 * Sets that came out, each with what was forecast of it: as it was kept when its date was set, or,
 * where nothing was kept, as it would have been from what was known on the day it went in.
 */
@Component
class PastForecasts {

  /** So many sets are looked at, the latest first: each asks for a fit of its own. */
  private static final int MOST = 200;

  /** Beside the runs of its own pump, so many of the others: the latest that were known then. */
  private static final int MOST_OTHERS = 40;

  private final LifeService lives;
  private final Renewals renewals;
  private final PumpMapper pumps;
  private final ForecastMapper store;
  private final Cached<List<Past>> all;

  /**
   * A set that came out.
   *
   * @param said chance of failing before its date, 0 to 1
   * @param due hours on it at which it was to be renewed
   * @param advised its best age then, h; empty where no age paid or a cost is not known
   * @param costs of a renewal and of a failure, pounds; empty where a cost is not known
   * @param kept whether the forecast was kept at the time
   */
  record Past(
      RunRow run,
      double said,
      double due,
      Optional<Double> advised,
      Optional<Costs> costs,
      boolean kept) {

    /** Sound sets that came out before this share of their date say nothing of it (shop rule). */
    private static final double NEARLY = 0.9;

    /** Whether it failed before its date. */
    boolean failed() {
      return run.failed() && run.age() <= due;
    }

    /** Age at which it came out sound, or was to come out when it failed, h. */
    double done() {
      return run.failed() ? Math.max(due, run.age()) : run.age();
    }

    /** Whether what was said can be held against it. */
    boolean scored() {
      return run.failed() || run.age() >= NEARLY * due;
    }
  }

  /** What a renewal and a failure cost, pounds. */
  record Costs(double planned, double failed) {}

  PastForecasts(
      LifeService lives,
      Renewals renewals,
      PumpMapper pumps,
      ForecastMapper store,
      DataVersions versions) {
    this.lives = lives;
    this.renewals = renewals;
    this.pumps = pumps;
    this.store = store;
    this.all =
        Cached.by(
            lives::now,
            versions,
            EnumSet.of(Topic.FORECASTS, Topic.CATALOGUE, Topic.POLICIES),
            this::read);
  }

  /** The latest first. */
  List<Past> all() {
    return all.get();
  }

  private List<Past> read() {
    LifeSnapshot shop = lives.now();
    Map<SetKey, ForecastRow> kept = new HashMap<>();
    store.all().forEach(r -> kept.put(SetKey.of(r), r));
    List<RunRow> latest =
        pumps.allRuns().stream()
            .sorted(Comparator.comparing(RunRow::endedOn).reversed())
            .limit(MOST)
            .toList();
    return latest.parallelStream().flatMap(r -> past(r, shop, kept).stream()).toList();
  }

  private Optional<Past> past(RunRow run, LifeSnapshot shop, Map<SetKey, ForecastRow> kept) {
    Optional<PumpInService> standing = shop.find(run.pump());
    Optional<Renewals.Renewal> renewal = standing.flatMap(s -> renewals.of(s.pump()));
    Optional<Costs> costs = renewal.flatMap(r -> r.planned().map(p -> new Costs(p, p + r.stop())));
    ForecastRow said = kept.get(new SetKey(run.pump(), run.role(), run.place(), run.fittedOn()));
    if (said != null) {
      return Optional.of(
          new Past(
              run,
              said.chance(),
              said.dueHours(),
              Optional.ofNullable(said.advisedHours()),
              costs,
              true));
    }
    return standing
        .filter(s -> s.pump().role().equals(run.role()))
        .filter(s -> s.pump().material().equals(run.material()))
        .map(s -> asThen(run, s, shop, renewal, costs));
  }

  private static Past asThen(
      RunRow run,
      PumpInService s,
      LifeSnapshot shop,
      Optional<Renewals.Renewal> renewal,
      Optional<Costs> costs) {
    Group now =
        shop.groups()
            .at(
                Level.DUTY,
                new GroupKey(run.pump(), "", run.role(), run.material(), run.dutyGroup()));
    Group then =
        new Group(
            now.level(),
            now.of(),
            Stream.concat(
                    before(run, now).filter(r -> r.pump().equals(run.pump())),
                    before(run, now)
                        .filter(r -> !r.pump().equals(run.pump()))
                        .sorted(Comparator.comparing(WearRun::fitted).reversed())
                        .limit(MOST_OTHERS))
                .map(r -> on(run.fittedOn(), r))
                .toList());
    double shape = s.prior().shape();
    LifeEstimate life =
        LifeEstimate.of(
            shop.fitted(then, false, shape),
            run.pump(),
            shop.expectedMean(run.pump(), then, false, shape));
    double due = s.pump().intervalHours();
    return new Past(
        run,
        life.life().risk(run.cameHours(), Math.max(0, due - run.cameHours())),
        due,
        renewal
            .flatMap(r -> r.terms(s.pump().harms(), 1))
            .flatMap(
                t -> Policies.of(life.life(), Policies.WARNING, t, OptionalDouble.empty()).fixed())
            .map(Kept::every),
        costs,
        false);
  }

  private static Stream<WearRun> before(RunRow run, Group group) {
    return group.runs().stream().filter(r -> r.fitted().isBefore(run.fittedOn()));
  }

  /** A run as it stood on a day: what ended later still ran. */
  private static WearRun on(LocalDate day, WearRun r) {
    if (r.ended().filter(e -> !e.isAfter(day)).isPresent()) {
      return r;
    }
    double all = Math.max(1, ChronoUnit.DAYS.between(r.fitted(), r.ended().orElse(day)));
    double share = Math.min(1, ChronoUnit.DAYS.between(r.fitted(), day) / all);
    Run whole = r.hours();
    return new WearRun(
        r.pump(),
        r.construction(),
        r.role(),
        r.material(),
        r.duty(),
        new Run(whole.from(), whole.from() + share * (whole.age() - whole.from()), false),
        Optional.empty(),
        r.fitted(),
        Optional.of(day));
  }
}
