package isokinon.server.work.bench;

import isokinon.server.db.rebuilds.BenchMapper;
import isokinon.server.db.rebuilds.StepTimeRow;
import isokinon.server.work.consumables.JobConsumables;
import isokinon.server.work.inspection.InspectionLog;
import isokinon.server.work.inspection.NextLooks;
import isokinon.server.work.lives.PolicyService;
import isokinon.server.work.rebuild.Job;
import java.time.OffsetDateTime;
import org.springframework.stereotype.Component;

/** What is written down when a rebuild is handed back. */
@Component
class HandBack {

  private final BenchMapper store;
  private final InspectionLog findingLog;
  private final NextLooks nextLooks;
  private final PolicyService keeping;
  private final ChangedParts changed;
  private final JobConsumables consumables;

  HandBack(
      BenchMapper store,
      InspectionLog findingLog,
      NextLooks nextLooks,
      PolicyService keeping,
      ChangedParts changed,
      JobConsumables consumables) {
    this.store = store;
    this.findingLog = findingLog;
    this.nextLooks = nextLooks;
    this.keeping = keeping;
    this.changed = changed;
    this.consumables = consumables;
  }

  /** Closes a rebuild: findings, a shorter interval, minutes of the steps, runs, the shelf. */
  void close(Job job, OffsetDateTime now, String who) {
    store.close(job.row().id(), now);
    findingLog.close(job, now);
    nextLooks.shorter(job).ifPresent(s -> keeping.shorten(job.pump(), s.hours(), s.because(), who));
    job.rebuild()
        .stepTimes()
        .forEach(
            t ->
                store.addStepTime(
                    new StepTimeRow(
                        job.row().id(),
                        job.row().sheetId(),
                        t.step(),
                        t.building(),
                        t.minutes(),
                        now)));
    consumables.book(job, who, now);
    changed.handedBack(job, now.toLocalDate(), who);
  }
}
