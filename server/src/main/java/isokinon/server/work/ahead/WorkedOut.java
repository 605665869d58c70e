package isokinon.server.work.ahead;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import isokinon.core.act.Act;
import isokinon.core.act.PartAct;
import isokinon.core.act.Stage;
import isokinon.core.ahead.Ahead;
import isokinon.core.ahead.Possible;
import isokinon.core.ahead.Situation;
import isokinon.core.rebuild.Rebuild;
import isokinon.core.rules.Actor;
import isokinon.core.stock.LotStatus;
import isokinon.server.work.ahead.AheadView.MayView;
import isokinon.server.work.ahead.AheadView.SituationView;
import isokinon.server.work.bench.AskedAct;
import isokinon.server.work.drawing.RailViewer;
import isokinon.server.work.inspection.FindingView;
import isokinon.server.work.inspection.PartAssessment;
import isokinon.server.work.rebuild.Job;
import isokinon.server.work.rebuild.Jobs;
import isokinon.server.work.stages.BenchViewer;
import isokinon.server.work.stages.StageView;
import isokinon.server.work.stages.StageView.LotView;
import java.time.Clock;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.springframework.stereotype.Component;

/** Works a job out ahead and shows each situation as the bench would. */
@Component
public class WorkedOut {

  /** Fields of acts that say what is done to what; the others are what was read or said. */
  private static final Set<String> SUBJECTS =
      Set.of(
          "hazard",
          "confirmation",
          "stage",
          "step",
          "check",
          "place",
          "piece",
          "pass",
          "fastener",
          "part",
          "verdict",
          "test",
          "lot");

  private final Jobs jobs;
  private final BenchViewer viewer;
  private final PartAssessment parts;
  private final ObjectMapper json;
  private final Clock clock;

  WorkedOut(Jobs jobs, BenchViewer viewer, PartAssessment parts, ObjectMapper json, Clock clock) {
    this.jobs = jobs;
    this.viewer = viewer;
    this.parts = parts;
    this.json = json;
    this.clock = clock;
  }

  /** A job worked out ahead for whoever works at it. */
  public AheadView ahead(long id, Actor actor) {
    Job job = jobs.job(id);
    Instant now = clock.instant();
    List<Situation> situations =
        Ahead.of(job.rebuild(), actor, now, rebuild -> kit(at(job, rebuild)));
    return new AheadView(
        job.rebuild().seq(),
        now.toString(),
        RailViewer.rails(job.rebuild()),
        findings(job, situations),
        situations.stream()
            .map(
                s ->
                    new SituationView(
                        viewer.view(at(job, s.rebuild())),
                        s.possible().stream().map(this::may).toList(),
                        s.waits()))
            .toList());
  }

  private List<FindingView> findings(Job job, List<Situation> situations) {
    return situations.stream()
        .map(Situation::rebuild)
        .filter(r -> r.stage() == Stage.INSPECT)
        .findFirst()
        .map(
            r ->
                r.toInspect().stream()
                    .map(p -> new FindingView.FindingQuestion(p, List.of()))
                    .map(q -> parts.view(at(job, r), q, clock.getZone()))
                    .toList())
        .orElse(List.of());
  }

  private static Job at(Job job, Rebuild rebuild) {
    return new Job(job.row(), job.pump(), rebuild);
  }

  /**
   * The kit that would be fitted next: of those in date the one that brings most of what is open.
   */
  private Optional<Act> kit(Job job) {
    if (!(viewer.view(job).inHand() instanceof StageView.Decide decide)) {
      return Optional.empty();
    }
    Set<String> booked =
        Set.copyOf(
            job.rebuild().renewing().stream()
                .filter(p -> job.rebuild().lot(p).isPresent())
                .toList());
    return decide.decide().lots().stream()
        .filter(l -> l.status() == LotStatus.IN_DATE && l.quantity() > 0)
        .filter(l -> !booked.containsAll(l.covers()))
        .max(Comparator.comparingInt(l -> l.covers().size()))
        .map(WorkedOut::fitted);
  }

  private static Act fitted(LotView lot) {
    return new PartAct.KitFitted(lot.id(), lot.covers(), lot.materials(), "");
  }

  private MayView may(Possible possible) {
    JsonNode act = json.valueToTree(possible.act());
    Map<String, String> of = new TreeMap<>();
    act.fields()
        .forEachRemaining(
            f -> {
              if (SUBJECTS.contains(f.getKey())) {
                of.put(f.getKey(), f.getValue().asText());
              }
            });
    return new MayView(
        AskedAct.kind(possible.act().getClass()),
        of,
        possible.then(),
        possible.later(),
        possible.bands());
  }
}
