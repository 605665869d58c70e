package isokinon.server.work.stages;

import isokinon.core.act.Observation;
import isokinon.core.diagnosis.DiagnosisLibrary;
import isokinon.core.rebuild.Rebuild;
import isokinon.core.rebuild.TorqueRound;
import isokinon.core.sheet.Part;
import isokinon.core.sheet.School;
import isokinon.core.sheet.Sheet;
import isokinon.server.work.consumables.JobConsumables;
import isokinon.server.work.inspection.NextLooks;
import isokinon.server.work.library.ShopDiagnosis;
import isokinon.server.work.rebuild.Job;
import isokinon.server.work.shared.Text;
import isokinon.server.work.stages.StageView.FaultChoice;
import isokinon.server.work.stages.StageView.FaultView;
import isokinon.server.work.stages.StageView.HandBackView;
import isokinon.server.work.stages.StageView.JointLine;
import isokinon.server.work.stages.StageView.Signature;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** What goes back with the pump, and what it was after all. */
@Component
public class HandBackViewer {

  private final ShopDiagnosis diagnosis;
  private final NextLooks nextLooks;
  private final JobConsumables consumables;
  private final Clock clock;

  HandBackViewer(
      ShopDiagnosis diagnosis, NextLooks nextLooks, JobConsumables consumables, Clock clock) {
    this.diagnosis = diagnosis;
    this.nextLooks = nextLooks;
    this.consumables = consumables;
    this.clock = clock;
  }

  HandBackView of(Job job) {
    Rebuild rebuild = job.rebuild();
    Sheet sheet = rebuild.sheet();
    return new HandBackView(
        rebuild.renewedInAll().stream().map(p -> sheet.partName(p)).toList(),
        sheet.parts().stream()
            .filter(p -> rebuild.verdict(p.id()).equals(Optional.of(Part.Verdict.WATCH)))
            .map(p -> p.name() + ": " + InspectViewer.measured(rebuild, p))
            .toList(),
        rebuild.retorques().entrySet().stream()
            .map(
                e ->
                    sheet.stepSentence(e.getKey())
                        + ": again after "
                        + Text.plain(e.getValue())
                        + " h, cold and unpressurised")
            .toList(),
        rebuild.everythingBuilt().stream().flatMap(s -> joint(rebuild, s).stream()).toList(),
        nextDue(job),
        retired(rebuild),
        consumables.lines(job),
        rebuild
            .signedOff()
            .map(e -> new Signature(e.who(), Text.minute(e.at().atZone(clock.getZone())))));
  }

  /** When the pump is due again: as it was recorded at the hand-back, or as it stands now. */
  private String nextDue(Job job) {
    return job.rebuild()
        .handedBack()
        .map(e -> ActDescriptions.due(e.act()))
        .filter(said -> !said.isEmpty())
        .orElseGet(
            () ->
                ActDescriptions.due(
                    nextLooks.due(
                        job,
                        job.row().closedAt() == null
                            ? LocalDate.now(clock)
                            : job.row().closedAt().toLocalDate())));
  }

  /** Parts that came out though nothing was found on them, and what becomes of them. */
  private static List<String> retired(Rebuild rebuild) {
    boolean scrap = rebuild.has(School.Effect.SCRAP_ALL);
    return rebuild.renewedInAll().stream()
        .flatMap(p -> rebuild.sheet().part(p).stream())
        .filter(p -> !rebuild.verdict(p.id()).equals(Optional.of(Part.Verdict.RENEW)))
        .map(
            p ->
                p.name()
                    + (p.oneTime()
                        ? ": one-time, scrapped"
                        : scrap ? ": scrapped" : ": kept with a tag, sound, its hours on it"))
        .toList();
  }

  private static Optional<JointLine> joint(Rebuild rebuild, String step) {
    return rebuild
        .sheet()
        .fastening(step)
        .map(
            f ->
                new JointLine(
                    rebuild.sheet().stepSentence(step),
                    Text.joint(f),
                    f.source(),
                    rebuild.torque(step).stream()
                        .flatMap(r -> r.fasteners().entrySet().stream())
                        .sorted(Map.Entry.comparingByKey())
                        .map(e -> e.getKey() + ": " + fastener(e.getValue()))
                        .collect(Collectors.joining("; "))));
  }

  private static String fastener(TorqueRound.Fastener f) {
    return f.readings().stream().map(Text::plain).collect(Collectors.joining(", then "))
        + (f.clicked() ? " clicked" : "")
        + f.acceptedBecause().map(why -> ", accepted: " + why).orElse("");
  }

  FaultView fault(Rebuild rebuild) {
    return new FaultView(
        rebuild.symptoms().stream()
            .flatMap(e -> e.act().observations().stream())
            .map(this::told)
            .toList(),
        rebuild.symptoms().flatMap(e -> e.act().suspected()).map(this::faultTitle).orElse(""),
        rebuild
            .fault()
            .map(e -> e.act().fault().map(this::faultTitle).orElse("Something else"))
            .orElse(""),
        diagnosis.library().faults(rebuild.sheet().family()).stream()
            .map(f -> new FaultChoice(f.id(), f.title()))
            .toList());
  }

  private String faultTitle(String id) {
    return diagnosis.library().fault(id).map(DiagnosisLibrary.Fault::title).orElse("");
  }

  /** An observation in the words of the tables. */
  private String told(Observation o) {
    DiagnosisLibrary known = diagnosis.library();
    return switch (o.kind()) {
      case SEEN -> symptom(known, o.id());
      case NOT -> symptom(known, o.id()) + ": not seen";
      case YES -> test(known, o.id(), DiagnosisLibrary.QuickTest::yes);
      case NO -> test(known, o.id(), DiagnosisLibrary.QuickTest::no);
    };
  }

  private static String symptom(DiagnosisLibrary known, String id) {
    return known.symptoms().stream()
        .filter(s -> s.id().equals(id))
        .map(DiagnosisLibrary.Symptom::title)
        .findFirst()
        .orElse(id);
  }

  private static String test(
      DiagnosisLibrary known, String id, Function<DiagnosisLibrary.QuickTest, String> answer) {
    return known.tests().stream()
        .filter(t -> t.id().equals(id))
        .map(t -> t.title() + ": " + answer.apply(t))
        .findFirst()
        .orElse(id);
  }
}
