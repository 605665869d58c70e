package isokinon.server.work.stages;

import isokinon.core.rebuild.Act;
import isokinon.core.rebuild.MatchedParts;
import isokinon.core.rebuild.Rebuild;
import isokinon.core.sheet.Handling;
import isokinon.core.sheet.School;
import isokinon.core.sheet.Sheet;
import isokinon.server.work.inspection.PartAssessment;
import isokinon.server.work.shared.Text;
import java.util.stream.Stream;

/** What was done, as one line of the record. */
public final class ActDescriptions {

  private ActDescriptions() {}

  /** The act in words. */
  public static String say(Sheet sheet, Act act) {
    String reading = act.value().map(v -> Text.plain(v) + " " + act.unit()).orElse("");
    return switch (act.kind()) {
      case TAKEN_IN -> "taken in: " + act.text();
      case PROVED_SAFE -> hazard(sheet, act.subject()) + " proved safe" + after(", ", reading);
      case CONFIRMED -> Rebuild.CONFIRMATIONS.getOrDefault(act.subject(), act.subject());
      case CHECKED -> check(sheet, act) + after(": ", reading) + after(", ", act.text());
      case TORQUE_READ ->
          sheet.stepSentence(act.step())
              + ", bolt "
              + act.fastener()
              + ", pass "
              + act.pass()
              + ": "
              + (act.text().equals("clicked") ? "clicked at " : "measured ")
              + reading;
      case PASS_DONE -> sheet.stepSentence(act.step()) + ", pass " + act.pass() + " done";
      case TORQUE_ACCEPTED ->
          sheet.stepSentence(act.step()) + ", bolt " + act.fastener() + " accepted: " + act.text();
      case STEP_DONE -> "done: " + sheet.stepSentence(act.step());
      case STEP_UNDONE -> "taken back: " + sheet.stepSentence(act.step());
      case JUDGED ->
          sheet.partName(act.subject())
              + " judged "
              + String.join(
                  ", ",
                  act.items().stream()
                      .filter(
                          i ->
                              !i.startsWith(PartAssessment.GAUGE)
                                  && !i.equals(PartAssessment.OVERDUE))
                      .map(ActDescriptions::item)
                      .toList())
              + after(", ", act.step().isEmpty() ? "" : Text.words(act.step()) + " " + reading)
              + after(": ", act.text());
      case MATERIAL_CHOSEN ->
          act.subject() + " in " + String.join(", ", act.items()) + after(": ", act.text());
      case LOT_FITTED ->
          "lot "
              + act.subject()
              + " booked for "
              + Text.count(act.items().size(), "part")
              + after(", ", act.text());
      case PROVED ->
          sheet.testOrStep(act.subject())
              + after(": ", reading)
              + gauge(act)
              + after(", ", act.text());
      case MEASURED ->
          sheet.partName(act.subject())
              + ": "
              + Text.words(act.step())
              + " "
              + reading
              + gauge(act);
      case CAUSE_FOUND ->
          sheet.partName(act.subject())
              + " wore because: "
              + String.join(", ", act.items().stream().map(ActDescriptions::item).toList())
              + after(". ", act.text());
      case SYMPTOMS_TOLD ->
          "told: " + String.join(", ", act.items().stream().map(ActDescriptions::item).toList());
      case FAULT_FOUND -> "it was: " + Text.words(act.subject()) + after(", ", act.text());
      case CLOCK_STARTED -> "clock started: " + sheet.testOrStep(act.subject());
      case SENT_BACK -> "sent back, because this failed: " + sheet.testOrStep(act.subject());
      case SETTLED -> "done again: " + sheet.testOrStep(act.subject()) + after(", ", act.text());
      case STAGE_DONE ->
          Text.sentence(
                  Text.words(act.subject().toLowerCase(java.util.Locale.ROOT).replace('_', '-')))
              + " finished";
      case WAY_CHOSEN -> way(sheet, act);
      case PLACED ->
          act.items().stream().map(i -> MatchedParts.name(sheet, i)).findFirst().orElse("")
              + " put back in the place of "
              + MatchedParts.name(sheet, act.subject());
      case PAUSED -> "rests, waiting for " + act.subject() + after(": ", act.text());
      case RESUMED -> "taken up again" + after(": ", act.text());
      case NOTED -> "note: " + act.text();
      case HANDED_BACK -> "handed back" + after(": ", act.text());
    };
  }

  /** {@code seen:flow-down} as "seen flow down". */
  private static String item(String item) {
    return Text.words(item.replace(':', ' '));
  }

  /** The gauge of a reading as the record says it, and whether it was out of calibration. */
  static String gauge(Act act) {
    String id = PartAssessment.gauge(act);
    return (id.isEmpty() ? "" : " with " + id)
        + (act.items().contains(PartAssessment.OVERDUE) ? ", out of calibration" : "");
  }

  private static String way(Sheet sheet, Act act) {
    return sheet.allSchools().stream()
        .filter(s -> s.id().equals(act.subject()))
        .findFirst()
        .map(
            s ->
                s.ask()
                    + ": "
                    + act.items().stream()
                        .flatMap(w -> s.way(w).stream())
                        .map(School.Way::title)
                        .findFirst()
                        .orElse(""))
        .orElse(act.subject());
  }

  private static String hazard(Sheet sheet, String id) {
    return sheet.hazards().stream()
        .filter(h -> h.id().equals(id))
        .findFirst()
        .map(Sheet.Hazard::title)
        .orElse(id);
  }

  private static String check(Sheet sheet, Act act) {
    return Stream.of(act.step())
        .flatMap(s -> sheet.handling(s).stream())
        .flatMap(h -> h.checks().stream())
        .filter(c -> c.id().equals(act.subject()))
        .findFirst()
        .map(Handling.Check::ask)
        .orElse(act.subject());
  }

  private static String after(String mark, String text) {
    return text.isBlank() ? "" : mark + text;
  }
}
