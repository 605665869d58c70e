package isokinon.server.work.inspection;

import isokinon.core.diagnosis.DiagnosisLibrary;
import isokinon.core.inspect.Outcome;
import isokinon.core.rebuild.Act;
import isokinon.core.rebuild.ActRefusal;
import isokinon.core.rebuild.BenchEvent;
import isokinon.core.rebuild.Rebuild;
import isokinon.core.sheet.Family;
import isokinon.core.sheet.Part;
import isokinon.core.sheet.Part.Verdict;
import isokinon.core.value.Code;
import isokinon.server.db.CauseRow;
import isokinon.server.db.EventRow;
import isokinon.server.db.FindingMapper;
import isokinon.server.db.NextLookRow;
import isokinon.server.db.ReadingRow;
import isokinon.server.work.instruments.GaugeRack;
import isokinon.server.work.library.ShopDiagnosis;
import isokinon.server.work.rebuild.Job;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.shared.Text;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
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
  private final GaugeRack rack;

  InspectionLog(
      FindingMapper store,
      ShopDiagnosis diagnosis,
      PartAssessment findings,
      NextLooks nextLooks,
      GaugeRack rack) {
    this.store = store;
    this.diagnosis = diagnosis;
    this.findings = findings;
    this.nextLooks = nextLooks;
    this.rack = rack;
  }

  /**
   * The items of an act as they are recorded: a gauge out of calibration is marked.
   *
   * @throws RequestProblem where a gauge is named that the shop does not have
   */
  public List<String> marked(List<String> items) {
    List<String> marked = new ArrayList<>(items);
    marked.remove(PartAssessment.OVERDUE);
    for (String item : items) {
      if (item.startsWith(PartAssessment.GAUGE)) {
        if (rack.overdue(rack.gauge(item.substring(PartAssessment.GAUGE.length())))) {
          marked.add(PartAssessment.OVERDUE);
        }
      }
    }
    return marked;
  }

  /** Why an act does not fit what the tables know; empty where it does. */
  public Optional<ActRefusal> refuse(Act act, Rebuild rebuild) {
    DiagnosisLibrary known = diagnosis.library();
    return switch (act.kind()) {
      case JUDGED -> betterThanSeen(act, rebuild);
      case CAUSE_FOUND ->
          act.items().stream()
                  .findFirst()
                  .filter(c -> c.equals(Causes.UNKNOWN) || known.cause(c).isPresent())
                  .isPresent()
              ? Optional.empty()
              : Optional.of(new ActRefusal("items", "No cause is called so."));
      case FAULT_FOUND ->
          act.subject().equals("other") || known.fault(act.subject()).isPresent()
              ? Optional.empty()
              : Optional.of(new ActRefusal("subject", "No fault is called so."));
      default -> Optional.empty();
    };
  }

  private Optional<ActRefusal> betterThanSeen(Act act, Rebuild rebuild) {
    Optional<Part> part = rebuild.sheet().part(act.subject());
    Optional<Verdict> said =
        act.items().stream().findFirst().flatMap(v -> Code.parse(Verdict.class, v));
    if (part.isEmpty() || said.isEmpty() || !act.text().isBlank()) {
      return Optional.empty();
    }
    Outcome outcome = findings.outcome(rebuild, part.get(), act.items());
    return outcome.verdict().compareTo(said.get()) > 0
        ? Optional.of(
            new ActRefusal(
                "text",
                outcome.because().get(0)
                    + " To judge it better than "
                    + outcome.verdict().code()
                    + ", give a reason."))
        : Optional.empty();
  }

  /** Keeps a reading. */
  public void record(Job job, EventRow event, Act act) {
    boolean ofPart = act.kind() == Act.Kind.MEASURED || act.kind() == Act.Kind.JUDGED;
    boolean ofProof = act.kind() == Act.Kind.PROVED;
    if (act.value().isEmpty() || !(ofPart || ofProof) || (ofPart && act.step().isEmpty())) {
      return;
    }
    store.addReading(
        new ReadingRow(
            job.pump().tag(),
            ofProof ? ReadingRow.PROOF : act.subject(),
            ofProof ? act.subject() : act.step(),
            act.unit(),
            act.value().get(),
            event.at(),
            job.pump().runningHours(),
            event.who(),
            PartAssessment.gauge(act),
            act.items().contains(PartAssessment.OVERDUE),
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
        .forEach(
            (part, event) -> {
              String cause = event.act().items().get(0);
              if (!cause.equals(Causes.UNKNOWN)) {
                store.addCause(causeRow(job, part, event, cause, at));
              }
            });
    rebuild
        .fault()
        .filter(e -> !e.act().subject().equals("other"))
        .ifPresent(e -> store.addFault(pump, family, e.act().subject(), at, id));
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
      Job job, String part, BenchEvent event, String cause, OffsetDateTime at) {
    return new CauseRow(
        job.pump().tag(),
        job.pump().family(),
        part,
        cause,
        event.act().items().stream()
            .filter(i -> i.startsWith(Causes.COUNTER))
            .map(i -> i.substring(Causes.COUNTER.length()))
            .collect(Collectors.joining("|")),
        event.act().text(),
        job.rebuild().fitted().material(),
        job.pump().age(),
        at,
        job.row().id());
  }
}
