package isokinon.server.work.stages;

import isokinon.core.diagnosis.DiagnosisLibrary;
import isokinon.core.rebuild.Act;
import isokinon.core.rebuild.Rebuild;
import isokinon.core.rebuild.TorqueRound;
import isokinon.core.sheet.Part;
import isokinon.core.sheet.School;
import isokinon.core.sheet.Sheet;
import isokinon.server.db.PumpRow;
import isokinon.server.db.RebuildRow;
import isokinon.server.work.inspection.FindingView;
import isokinon.server.work.inspection.NextLooks;
import isokinon.server.work.library.ShopDiagnosis;
import isokinon.server.work.rebuild.Job;
import isokinon.server.work.shared.Text;
import isokinon.server.work.stages.StageView.FaultChoice;
import isokinon.server.work.stages.StageView.FaultView;
import isokinon.server.work.stages.StageView.HandBackView;
import isokinon.server.work.stages.StageView.JointLine;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** What goes back with the pump, and what it was after all. */
@Component
public class HandBackViewer {

  private final ShopDiagnosis diagnosis;
  private final NextLooks nextLooks;
  private final Clock clock;

  HandBackViewer(ShopDiagnosis diagnosis, NextLooks nextLooks, Clock clock) {
    this.diagnosis = diagnosis;
    this.nextLooks = nextLooks;
    this.clock = clock;
  }

  /** How a hand-back's text begins. */
  public static final String DUE = "next due ";

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
        retired(rebuild));
  }

  /** When the pump is due again: as it was recorded at the hand-back, or as it stands now. */
  public String nextDue(Job job) {
    Rebuild rebuild = job.rebuild();
    PumpRow pump = job.pump();
    RebuildRow row = job.row();
    Optional<String> recorded =
        rebuild.events().stream()
            .filter(e -> e.act().kind() == Act.Kind.HANDED_BACK && e.act().text().startsWith(DUE))
            .map(e -> e.act().text().substring(DUE.length()))
            .findFirst();
    if (recorded.isPresent()) {
      return recorded.get();
    }
    FindingView.NextView next = nextLooks.next(job, Optional.empty());
    if (rebuild.has(School.Effect.UNTIL_TEAR) && next.because().isEmpty()) {
      return "when it tears; the kit lies ready";
    }
    long days = Math.round(next.hours() / pump.hoursPerDay());
    LocalDate back = row.closedAt() == null ? LocalDate.now(clock) : row.closedAt().toLocalDate();
    return "at "
        + Text.plain(Math.rint(row.hoursThen() + next.hours()))
        + " h, about "
        + Text.day(back.plusDays(days))
        + (next.because().isEmpty()
            ? ""
            : ": "
                + Text.plain(Math.rint(next.hours()))
                + " h instead of "
                + Text.plain(next.planned())
                + ". "
                + next.because());
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
        rebuild
            .symptoms()
            .map(e -> e.act().items().stream().map(i -> told(i)).toList())
            .orElse(List.of()),
        rebuild.symptoms().map(e -> faultTitle(e.act().subject())).orElse(""),
        rebuild
            .fault()
            .map(
                e ->
                    e.act().subject().equals("other")
                        ? "Something else"
                        : faultTitle(e.act().subject()))
            .orElse(""),
        diagnosis.library().faults(rebuild.sheet().family()).stream()
            .map(f -> new FaultChoice(f.id(), f.title()))
            .toList());
  }

  private String faultTitle(String id) {
    return diagnosis.library().fault(id).map(DiagnosisLibrary.Fault::title).orElse("");
  }

  /** {@code seen:flow-down} or {@code yes:dead-head} in the words of the tables. */
  private String told(String item) {
    String id = item.substring(item.indexOf(':') + 1);
    String how = item.substring(0, item.indexOf(':'));
    DiagnosisLibrary known = diagnosis.library();
    return switch (how) {
      case "seen", "not" ->
          known.symptoms().stream()
                  .filter(s -> s.id().equals(id))
                  .map(DiagnosisLibrary.Symptom::title)
                  .findFirst()
                  .orElse(id)
              + (how.equals("seen") ? "" : ": not seen");
      default ->
          known.tests().stream()
              .filter(t -> t.id().equals(id))
              .map(t -> t.title() + ": " + (how.equals("yes") ? t.yes() : t.no()))
              .findFirst()
              .orElse(id);
    };
  }
}
