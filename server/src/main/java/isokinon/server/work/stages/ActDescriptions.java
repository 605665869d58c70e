package isokinon.server.work.stages;

import isokinon.core.act.Act;
import isokinon.core.act.ActVisitor;
import isokinon.core.act.BenchEvent;
import isokinon.core.act.GaugeUse;
import isokinon.core.act.JobAct;
import isokinon.core.act.Measurement;
import isokinon.core.act.NextDue;
import isokinon.core.act.PartAct;
import isokinon.core.act.ProofAct;
import isokinon.core.act.Reading;
import isokinon.core.act.StepAct;
import isokinon.core.rebuild.MatchedParts;
import isokinon.core.rebuild.Rebuild;
import isokinon.core.sheet.Handling;
import isokinon.core.sheet.School;
import isokinon.core.sheet.Sheet;
import isokinon.core.sheet.Step;
import isokinon.server.work.shared.Text;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What was done, as one line of the record. */
public final class ActDescriptions implements ActVisitor<String> {

  private final Sheet sheet;

  /** Strip steps that are done and not built again. */
  private final Set<String> undone = new HashSet<>();

  private ActDescriptions(Sheet sheet) {
    this.sheet = sheet;
  }

  /**
   * Acts in words, in the order they were done: whether a step took something off or put it on
   * follows from what was done before.
   */
  public static List<String> say(Sheet sheet, List<? extends Act> acts) {
    ActDescriptions words = new ActDescriptions(sheet);
    return acts.stream().map(a -> a.accept(words)).toList();
  }

  /** The last act of a job in words. */
  public static String last(Rebuild rebuild) {
    List<String> all =
        say(rebuild.sheet(), rebuild.events().stream().map(BenchEvent::act).toList());
    return all.get(all.size() - 1);
  }

  // ---- the job ---------------------------------------------------------------------------------

  @Override
  public String takenIn(JobAct.TakenIn act) {
    return "taken in" + act.why().map(w -> ", " + w.code()).orElse("") + ": " + act.reason();
  }

  @Override
  public String symptomsTold(JobAct.SymptomsTold act) {
    return "told: "
        + act.observations().stream()
            .map(o -> o.kind().code() + " " + Text.words(o.id()))
            .collect(Collectors.joining(", "));
  }

  @Override
  public String wayChosen(JobAct.WayChosen act) {
    return sheet.allSchools().stream()
        .filter(s -> s.id().equals(act.school()))
        .findFirst()
        .map(s -> s.ask() + ": " + s.way(act.way()).map(School.Way::title).orElse(""))
        .orElse(act.school());
  }

  @Override
  public String provedSafe(JobAct.ProvedSafe act) {
    return sheet.hazard(act.hazard()).map(Sheet.Hazard::title).orElse(act.hazard())
        + " proved safe"
        + after(", ", number(act.reading()));
  }

  @Override
  public String confirmed(JobAct.Confirmed act) {
    return Rebuild.CONFIRMATIONS.getOrDefault(act.confirmation(), act.confirmation());
  }

  @Override
  public String paused(JobAct.Paused act) {
    return "paused, waiting for " + act.waitsFor() + after(": ", act.note());
  }

  @Override
  public String resumed(JobAct.Resumed act) {
    return "taken up again" + after(": ", act.note());
  }

  @Override
  public String handedOver(JobAct.HandedOver act) {
    return "handed over: " + act.note();
  }

  @Override
  public String takenOn(JobAct.TakenOn act) {
    return "note read, taken on";
  }

  @Override
  public String stageDone(JobAct.StageDone act) {
    return act.stage().title() + " finished";
  }

  @Override
  public String faultFound(JobAct.FaultFound act) {
    return "it was: " + act.fault().map(Text::words).orElse("other") + after(", ", act.note());
  }

  @Override
  public String noted(JobAct.Noted act) {
    return "note: " + act.text();
  }

  @Override
  public String signedOff(JobAct.SignedOff act) {
    return "signed off";
  }

  @Override
  public String handedBack(JobAct.HandedBack act) {
    return "handed back" + after(": next due ", due(act));
  }

  /** When a pump that was handed back is due again; empty where its record does not say. */
  static String due(JobAct.HandedBack act) {
    return act.due().map(ActDescriptions::due).orElse(act.said());
  }

  /** When a pump is due again. */
  static String due(NextDue due) {
    return due.atHours()
        .map(
            hours ->
                "at "
                    + Text.plain(hours)
                    + " h, about "
                    + Text.day(due.day())
                    + (due.because().isEmpty()
                        ? ""
                        : ": "
                            + Text.plain(Math.rint(due.hours()))
                            + " h instead of "
                            + Text.plain(due.plannedHours())
                            + ". "
                            + due.because()))
        .orElse("when it tears; the kit lies ready");
  }

  // ---- a step ----------------------------------------------------------------------------------

  @Override
  public String checked(StepAct.Checked act) {
    return asks(act.step(), act.check())
        + after(": ", number(act.reading()))
        + after(", ", act.note());
  }

  @Override
  public String placed(StepAct.Placed act) {
    return MatchedParts.name(sheet, act.piece())
        + " put back in the place of "
        + MatchedParts.name(sheet, act.place());
  }

  @Override
  public String torqueRead(StepAct.TorqueRead act) {
    return bolt(act, act.fastener())
        + ", pass "
        + act.pass()
        + ": "
        + (act.clicked() ? "clicked at " : "measured ")
        + Text.plain(act.nm())
        + " N·m"
        + gauge(act.gauge());
  }

  @Override
  public String passDone(StepAct.PassDone act) {
    return sheet.stepSentence(act.step()) + ", pass " + act.pass() + " done";
  }

  @Override
  public String torqueAccepted(StepAct.TorqueAccepted act) {
    return bolt(act, act.fastener()) + " accepted: " + act.because();
  }

  private String bolt(StepAct act, int fastener) {
    return sheet.stepSentence(act.step()) + ", bolt " + fastener;
  }

  @Override
  public String stepDone(StepAct.StepDone act) {
    Optional<Step> step = sheet.step(act.step());
    boolean off = step.isPresent() && undone.add(act.step());
    if (!off) {
      undone.remove(act.step());
    }
    return "done: " + sentence(act, off) + after(", ", act.because());
  }

  @Override
  public String stepUndone(StepAct.StepUndone act) {
    boolean off = undone.remove(act.step());
    if (!off && sheet.step(act.step()).isPresent()) {
      undone.add(act.step());
    }
    return "taken back: " + sentence(act, off);
  }

  private String sentence(StepAct act, boolean off) {
    return sheet
        .step(act.step())
        .filter(s -> off)
        .map(Step::strip)
        .orElseGet(() -> sheet.stepSentence(act.step()));
  }

  @Override
  public String checkLeft(StepAct.CheckLeft act) {
    return "left: " + asks(act.step(), act.check()) + ", " + act.because();
  }

  @Override
  public String seconded(StepAct.Seconded act) {
    return "looked as well: " + asks(act.step(), act.check());
  }

  private String asks(String step, String check) {
    return sheet.handling(step).flatMap(h -> h.check(check)).map(Handling.Check::ask).orElse(check);
  }

  @Override
  public String foundImpossible(StepAct.FoundImpossible act) {
    return "cannot be done: "
        + sheet.step(act.step()).map(Step::strip).orElse(act.step())
        + ", "
        + act.because();
  }

  // ---- parts -----------------------------------------------------------------------------------

  @Override
  public String measured(PartAct.Measured act) {
    return sheet.partName(act.part()) + ": " + measurement(act.measurement());
  }

  /** A reading of a part: its measure, its number and the gauge. */
  static String measurement(Measurement m) {
    return Text.words(m.measure()) + " " + number(Optional.of(m.reading())) + gauge(m.gauge());
  }

  @Override
  public String judged(PartAct.Judged act) {
    List<String> seen =
        Stream.concat(
                act.signs().stream().map(s -> "sign " + Text.words(s)),
                act.measurements().stream().map(ActDescriptions::measurement))
            .toList();
    return sheet.partName(act.part())
        + " judged "
        + act.verdict().code()
        + after(", ", String.join(", ", seen))
        + after(": ", act.because());
  }

  @Override
  public String causeFound(PartAct.CauseFound act) {
    return sheet.partName(act.part())
        + " wore because: "
        + act.cause().map(Text::words).orElse("unknown")
        + act.counters().stream()
            .map(c -> ", counter " + Text.words(c))
            .collect(Collectors.joining())
        + after(". ", act.note());
  }

  @Override
  public String materialChosen(PartAct.MaterialChosen act) {
    return act.role() + " in " + act.material() + after(": ", act.because());
  }

  @Override
  public String kitFitted(PartAct.KitFitted act) {
    return "lot "
        + act.lot()
        + " booked for "
        + Text.count(act.parts().size(), "part")
        + act.materials().entrySet().stream()
            .map(m -> ", " + m.getKey() + " in " + m.getValue())
            .collect(Collectors.joining())
        + after(", ", act.note());
  }

  // ---- the proof -------------------------------------------------------------------------------

  @Override
  public String proved(ProofAct.Proved act) {
    return sheet.testOrStep(act.test())
        + after(": ", number(act.reading()))
        + gauge(act.gauge())
        + after(", ", act.timing());
  }

  @Override
  public String clockStarted(ProofAct.ClockStarted act) {
    return "clock started: " + sheet.testOrStep(act.test());
  }

  @Override
  public String notMet(ProofAct.NotMet act) {
    return "does not hold: " + sheet.testOrStep(act.test()) + after(", ", act.seen());
  }

  @Override
  public String sentBack(ProofAct.SentBack act) {
    return "sent back, because this failed: "
        + sheet.testOrStep(act.test())
        + after("; to ", String.join("; ", act.steps().stream().map(sheet::stepSentence).toList()));
  }

  @Override
  public String settled(ProofAct.Settled act) {
    return "done again: " + sheet.testOrStep(act.subject()) + after(", ", act.because());
  }

  // ---- words -----------------------------------------------------------------------------------

  private static String number(Optional<Reading> reading) {
    return reading.map(r -> Text.plain(r.value()) + " " + r.unit()).orElse("");
  }

  private static String gauge(Optional<GaugeUse> gauge) {
    return gauge
        .map(g -> " with " + g.id() + (g.overdue() ? ", out of calibration" : ""))
        .orElse("");
  }

  private static String after(String mark, String text) {
    return text.isBlank() ? "" : mark + text;
  }
}
