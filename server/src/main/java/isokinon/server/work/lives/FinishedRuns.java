package isokinon.server.work.lives;

import isokinon.core.counter.WearCount;
import isokinon.core.life.FailureCause;
import isokinon.core.life.LifeGroups;
import isokinon.core.life.LifeGroups.WearRun;
import isokinon.core.life.Run;
import isokinon.server.db.DataVersions;
import isokinon.server.db.Topic;
import isokinon.server.db.pumps.PumpMapper;
import isokinon.server.db.pumps.RunCount;
import isokinon.server.db.pumps.RunRow;
import isokinon.server.work.shared.Cached;
import jakarta.annotation.PostConstruct;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * The runs of the wear parts that came out, in groups. A run that is stored is never changed, so
 * after the first time only those are read that were added since.
 */
@Component
class FinishedRuns {

  private static final Logger LOG = LoggerFactory.getLogger(FinishedRuns.class);

  private final PumpMapper pumps;
  private final Cached<LifeGroups> groups;
  private Read read = Read.NOTHING;

  /** What was read up to a run. */
  private record Read(RunCount upTo, LifeGroups groups) {

    static final Read NOTHING = new Read(new RunCount(0, 0), new LifeGroups(List.of()));
  }

  FinishedRuns(PumpMapper pumps, DataVersions versions) {
    this.pumps = pumps;
    this.groups = Cached.of(versions, EnumSet.of(Topic.RUNS), this::readMore);
  }

  /** Begins to read them while the application still starts. */
  @PostConstruct
  void readAhead() {
    Thread reader = new Thread(this::tryToRead, "finished runs");
    reader.setDaemon(true);
    reader.start();
  }

  private void tryToRead() {
    try {
      groups.get();
    } catch (RuntimeException e) {
      LOG.debug("the runs are read when they are first asked for", e);
    }
  }

  /** All of them, as they are now. */
  LifeGroups groups() {
    return groups.get();
  }

  private synchronized LifeGroups readMore() {
    RunCount there = pumps.countRuns();
    List<RunRow> added = pumps.runsBetween(read.upTo().last(), there.last());
    if (read.upTo().runs() + added.size() == there.runs()) {
      read = new Read(there, read.groups().and(inGroups(added)));
    } else {
      // One that was numbered before the last was stored after it, or the shop was put back.
      read = new Read(there, new LifeGroups(inGroups(pumps.runsBetween(0, there.last()))));
    }
    return read.groups();
  }

  /** Tags and materials come again in every row: each is kept once. */
  private static List<WearRun> inGroups(List<RunRow> runs) {
    Map<String, String> words = new HashMap<>();
    UnaryOperator<String> once = w -> words.computeIfAbsent(w, k -> k);
    Map<String, FailureCause> causes = new HashMap<>();
    return runs.stream()
        .map(r -> run(r, once, causes.computeIfAbsent(r.cause(), FailureCause::ofWords)))
        .toList();
  }

  private static WearRun run(RunRow r, UnaryOperator<String> once, FailureCause cause) {
    return new WearRun(
        once.apply(r.pump()),
        once.apply(r.construction()),
        once.apply(r.role()),
        once.apply(r.material()),
        once.apply(r.dutyGroup()),
        new Run(r.cameHours(), r.age(), r.failed()),
        Optional.ofNullable(r.counts())
            .filter(c -> r.counted() != WearCount.HOURS)
            .map(c -> new Run(r.cameCount(), r.cameCount() + c, r.failed())),
        r.fittedOn(),
        Optional.of(r.endedOn()),
        cause);
  }
}
