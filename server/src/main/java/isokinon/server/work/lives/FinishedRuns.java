package isokinon.server.work.lives;

import isokinon.core.counter.WearCount;
import isokinon.core.life.LifeGroups;
import isokinon.core.life.LifeGroups.WearRun;
import isokinon.core.life.Run;
import isokinon.server.db.DataVersions;
import isokinon.server.db.Topic;
import isokinon.server.db.pumps.PumpMapper;
import isokinon.server.db.pumps.RunCount;
import isokinon.server.db.pumps.RunRow;
import isokinon.server.work.shared.Cached;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/**
 * The runs of the wear parts that came out, in groups. A run that is stored is never changed, so
 * after the first time only those are read that were added since.
 */
@Component
class FinishedRuns {

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

  private static List<WearRun> inGroups(List<RunRow> runs) {
    return runs.stream().map(FinishedRuns::run).toList();
  }

  private static WearRun run(RunRow r) {
    return new WearRun(
        r.pump(),
        r.construction(),
        r.role(),
        r.material(),
        r.dutyGroup(),
        new Run(r.cameHours(), r.age(), r.failed()),
        Optional.ofNullable(r.counts())
            .filter(c -> r.counted() != WearCount.HOURS)
            .map(c -> new Run(r.cameCount(), r.cameCount() + c, r.failed())),
        Optional.of(r.endedOn()));
  }
}
