package isokinon.server.work.inspection;

import isokinon.core.act.Act;
import isokinon.core.act.BenchEvent;
import isokinon.core.act.GaugeUse;
import isokinon.core.act.JobAct;
import isokinon.core.act.Measurement;
import isokinon.core.act.PartAct;
import isokinon.core.act.ProofAct;
import isokinon.core.diagnosis.DiagnosisLibrary;
import isokinon.core.inspect.Outcome;
import isokinon.core.rebuild.Rebuild;
import isokinon.core.rules.ActRefusal;
import isokinon.core.sheet.Family;
import isokinon.core.sheet.Part;
import isokinon.server.db.findings.CauseRow;
import isokinon.server.db.findings.FindingMapper;
import isokinon.server.db.findings.NextLookRow;
import isokinon.server.db.findings.ReadingRow;
import isokinon.server.work.library.ShopDiagnosis;
import isokinon.server.work.rebuild.Job;
import isokinon.server.work.shared.Text;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.springframework.stereotype.Component;

/**
 * Keeps what was found beyond its rebuild: readings by pump and measure, causes with the history of
 * the part, what the fault was, when to look again.
 */
@Component
public class InspectionLog {

  private static final int MOST_BECAUSE = 400;

  private final FindingMapper store;
  private final ShopDiagnosis diagnosis;
  private final PartAssessment findings;
  private final NextLooks nextLooks;

  InspectionLog(
      FindingMapper store, ShopDiagnosis diagnosis, PartAssessment findings, NextLooks nextLooks) {
    this.store = store;
    this.diagnosis = diagnosis;
    this.findings = findings;
    this.nextLooks = nextLooks;
  }

  /** Why an act does not fit what the tables know; empty where it does. */
  public Optional<ActRefusal> refuse(Act act, Rebuild rebuild) {
    DiagnosisLibrary known = diagnosis.library();
    if (act instanceof PartAct.Judged judged) {
      return unknown("signs", "sign of wear", judged.signs(), known::signature)
          .or(() -> betterThanSeen(judged, rebuild));
    }
    if (act instanceof PartAct.CauseFound found) {
      return unknown("cause", "cause", found.cause().stream().toList(), known::cause)
          .or(() -> unknown("counters", "counter-measure", found.counters(), known::counter));
    }
    if (act instanceof JobAct.FaultFound found) {
      return unknown("fault", "fault", found.fault().stream().toList(), known::fault);
    }
    return Optional.empty();
  }

  private static Optional<ActRefusal> unknown(
      String path, String kind, List<String> ids, Function<String, Optional<?>> known) {
    return ids.stream()
        .filter(id -> known.apply(id).isEmpty())
        .findFirst()
        .map(id -> new ActRefusal(path, "No " + kind + " is called " + id + "."));
  }

  private Optional<ActRefusal> betterThanSeen(PartAct.Judged act, Rebuild rebuild) {
    Optional<Part> part = rebuild.sheet().part(act.part());
    if (part.isEmpty() || !act.because().isBlank()) {
      return Optional.empty();
    }
    Outcome outcome = findings.outcome(rebuild, part.get(), act);
    return outcome.verdict().compareTo(act.verdict()) > 0
        ? Optional.of(
            new ActRefusal(
                "because",
                outcome.because().get(0)
                    + " To judge it better than "
                    + outcome.verdict().code()
                    + ", give a reason."))
        : Optional.empty();
  }

  /** Keeps the readings of an act. */
  public void record(Job job, BenchEvent<?> event, OffsetDateTime at) {
    if (event.act() instanceof PartAct.Measured act) {
      keep(job, event.who(), at, act.part(), act.measurement());
    } else if (event.act() instanceof PartAct.Judged act) {
      act.measurements().forEach(m -> keep(job, event.who(), at, act.part(), m));
    } else if (event.act() instanceof ProofAct.Proved act && act.reading().isPresent()) {
      keep(
          job,
          event.who(),
          at,
          ReadingRow.PROOF,
          new Measurement(act.test(), act.reading().get(), act.gauge()));
    }
  }

  private void keep(Job job, String who, OffsetDateTime at, String subject, Measurement m) {
    store.addReading(
        new ReadingRow(
            job.pump().tag(),
            subject,
            m.measure(),
            m.reading().unit(),
            m.reading().value(),
            at,
            job.pump().runningHours(),
            who,
            m.gauge().map(GaugeUse::id).orElse(""),
            m.gauge().filter(GaugeUse::overdue).isPresent(),
            job.row().id(),
            false));
  }

  /** Keeps causes, the fault and the next look of a rebuild that is handed back. */
  public void close(Job job, OffsetDateTime at) {
    Rebuild rebuild = job.rebuild();
    String pump = job.pump().tag();
    Family family = job.pump().family();
    long id = job.row().id();
    rebuild.renewedInAll().forEach(p -> store.endLife(id, p));
    rebuild
        .causes()
        .values()
        .forEach(
            e -> e.act().cause().ifPresent(c -> store.addCause(causeRow(job, e.act(), c, at))));
    rebuild
        .fault()
        .flatMap(e -> e.act().fault())
        .ifPresent(f -> store.addFault(pump, family, f, at, id));
    store.clearNextLook(pump);
    FindingView.NextView next = nextLooks.next(job, Optional.empty());
    if (!next.because().isEmpty()) {
      store.addNextLook(
          new NextLookRow(
              pump,
              job.pump().runningHours() + next.hours(),
              Text.clipped(next.because(), MOST_BECAUSE)));
    }
  }

  private static CauseRow causeRow(
      Job job, PartAct.CauseFound found, String cause, OffsetDateTime at) {
    return new CauseRow(
        job.pump().tag(),
        job.pump().family(),
        found.part(),
        cause,
        String.join("|", found.counters()),
        found.note(),
        job.rebuild().fitted().material(),
        job.pump().age(),
        at,
        job.row().id());
  }
}
