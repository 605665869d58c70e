package isokinon.server.work.rebuild;

import isokinon.core.act.BenchEvent;
import isokinon.core.plan.LearnedMinutes;
import isokinon.core.plan.PlanMemo;
import isokinon.core.rebuild.Fitted;
import isokinon.core.rebuild.Rebuild;
import isokinon.core.sheet.Sheet;
import isokinon.server.db.DataVersions;
import isokinon.server.db.Topic;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.db.pumps.Variants;
import isokinon.server.db.rebuilds.BenchMapper;
import isokinon.server.db.rebuilds.RebuildRow;
import isokinon.server.db.rebuilds.StepMedianRow;
import isokinon.server.work.library.Meetings;
import isokinon.server.work.library.Sheets;
import isokinon.server.work.pumps.PumpRegister;
import isokinon.server.work.shared.CachedByKey;
import isokinon.server.work.shared.RequestProblem;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/** Loads rebuilds and replays their events. */
@Component
public class Jobs {

  /** What stays of a rebuild between two looks at it: its sheet, and plans that were made on it. */
  private record Followed(Sheet sheet, PlanMemo plans) {}

  private final BenchMapper store;
  private final PumpRegister pumps;
  private final Sheets sheets;
  private final Meetings meetings;
  private final CachedByKey<RebuildRow, Followed> followed;

  public Jobs(
      BenchMapper store,
      PumpRegister pumps,
      Sheets sheets,
      Meetings meetings,
      DataVersions versions) {
    this.meetings = meetings;
    this.store = store;
    this.pumps = pumps;
    this.sheets = sheets;
    this.followed = new CachedByKey<>(versions, EnumSet.of(Topic.SHEETS, Topic.REBUILDS));
  }

  /**
   * A rebuild, replayed from its events.
   *
   * @throws RequestProblem where there is none of this number
   */
  public Job job(long id) {
    return replay(
        store.rebuild(id).orElseThrow(() -> RequestProblem.missing("No rebuild " + id + ".")));
  }

  /** The same, of a row that was read already. */
  public Job replay(RebuildRow row) {
    Followed job = followed.get(row, r -> new Followed(withMinutesOf(r), new PlanMemo()));
    List<BenchEvent<?>> events = new ArrayList<>();
    store.events(row.id()).forEach(e -> events.add(EventRows.event(e)));
    PumpRow pump = pumps.pump(row.pump());
    Fitted fitted =
        new Fitted(pump.role(), row.fittedMaterial(), Variants.list(row.fittedVariants()))
            .rinsedOf(meetings.residues(pumps.exposures(pump.tag())));
    return new Job(row, pump, Rebuild.replay(job.sheet(), fitted, events, job.plans()));
  }

  /** The sheet of a rebuild with the minutes this shop had recorded when it was opened. */
  private Sheet withMinutesOf(RebuildRow row) {
    Sheet written = sheets.at(row.sheetId(), row.sheetRevision());
    Map<String, LearnedMinutes.Recorded> recorded = recorded(row.sheetId(), row.openedAt());
    return recorded.isEmpty() ? written : LearnedMinutes.applied(written, recorded);
  }

  /** Minutes this shop recorded of a sheet's steps before {@code before}. */
  private Map<String, LearnedMinutes.Recorded> recorded(String sheetId, OffsetDateTime before) {
    Map<String, LearnedMinutes.Recorded> recorded = new HashMap<>();
    for (StepMedianRow r : store.stepMedians(sheetId, before)) {
      recorded.merge(
          r.step(),
          r.building()
              ? new LearnedMinutes.Recorded(0, 0, r.minutes(), r.jobs())
              : new LearnedMinutes.Recorded(r.minutes(), r.jobs(), 0, 0),
          LearnedMinutes.Recorded::with);
    }
    return recorded;
  }
}
