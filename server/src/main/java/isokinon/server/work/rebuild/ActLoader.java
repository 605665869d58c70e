package isokinon.server.work.rebuild;

import isokinon.core.act.Act;
import isokinon.core.act.JobAct;
import isokinon.core.act.JobAct.CameIn;
import isokinon.core.act.NextDue;
import isokinon.core.act.Observation;
import isokinon.core.act.PartAct;
import isokinon.core.act.ProofAct;
import isokinon.core.act.Reading;
import isokinon.core.act.Stage;
import isokinon.core.act.StepAct;
import isokinon.core.sheet.Part;
import isokinon.core.value.Code;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/** Reads an act from the columns of its row, as any version wrote them. */
final class ActLoader {

  private ActLoader() {}

  /**
   * The act in these columns.
   *
   * @throws IllegalStateException where they are of no act that was ever recorded
   */
  static Act act(ActColumns c) {
    return switch (c.kind()) {
      case TAKEN_IN -> takenIn(c);
      case SYMPTOMS_TOLD ->
          new JobAct.SymptomsTold(
              given(c.subject()), c.items().stream().map(ActLoader::observation).toList());
      case WAY_CHOSEN -> new JobAct.WayChosen(c.subject(), only(c));
      case PROVED_SAFE -> new JobAct.ProvedSafe(c.subject(), c.reading());
      case CONFIRMED -> new JobAct.Confirmed(c.subject());
      case PAUSED -> new JobAct.Paused(c.subject(), c.text());
      case RESUMED -> new JobAct.Resumed(c.text());
      case HANDED_OVER -> new JobAct.HandedOver(c.text());
      case TAKEN_ON -> new JobAct.TakenOn();
      case STAGE_DONE -> new JobAct.StageDone(Stage.valueOf(c.subject()));
      case FAULT_FOUND ->
          new JobAct.FaultFound(given(c.subject()).filter(f -> !f.equals(Items.OTHER)), c.text());
      case NOTED -> new JobAct.Noted(c.text());
      case SIGNED_OFF -> new JobAct.SignedOff();
      case HANDED_BACK -> handedBack(c);
      case CHECKED -> new StepAct.Checked(c.step(), c.subject(), c.reading(), c.text());
      case PLACED -> new StepAct.Placed(c.step(), c.subject(), only(c));
      case TORQUE_READ ->
          new StepAct.TorqueRead(
              c.step(),
              c.pass(),
              c.fastener(),
              c.reading().map(Reading::value).orElseThrow(() -> broken(c)),
              c.text().equals(Items.CLICKED),
              c.gauge());
      case PASS_DONE -> new StepAct.PassDone(c.step(), c.pass());
      case TORQUE_ACCEPTED -> new StepAct.TorqueAccepted(c.step(), c.fastener(), c.text());
      case STEP_DONE -> new StepAct.StepDone(c.step(), c.text());
      case STEP_UNDONE -> new StepAct.StepUndone(c.step());
      case CHECK_LEFT -> new StepAct.CheckLeft(c.step(), c.subject(), c.text());
      case SECONDED -> new StepAct.Seconded(c.step(), c.subject());
      case FOUND_IMPOSSIBLE -> new StepAct.FoundImpossible(c.step(), c.text());
      case MEASURED ->
          new PartAct.Measured(
              c.subject(), c.measurements().stream().findFirst().orElseThrow(() -> broken(c)));
      case JUDGED -> judged(c);
      case CAUSE_FOUND ->
          new PartAct.CauseFound(
              c.subject(),
              Optional.of(only(c)).filter(i -> !i.equals(Items.UNKNOWN)),
              c.after(Items.COUNTER),
              c.text());
      case MATERIAL_CHOSEN -> new PartAct.MaterialChosen(c.subject(), only(c), c.text());
      case LOT_FITTED -> kitFitted(c);
      case PROVED -> new ProofAct.Proved(c.subject(), c.reading(), c.gauge(), c.text());
      case CLOCK_STARTED -> new ProofAct.ClockStarted(c.subject());
      case NOT_MET -> new ProofAct.NotMet(c.subject(), c.text());
      case SENT_BACK -> new ProofAct.SentBack(c.subject(), c.items());
      case SETTLED -> new ProofAct.Settled(c.subject(), c.text());
    };
  }

  private static JobAct.TakenIn takenIn(ActColumns c) {
    return new JobAct.TakenIn(
        c.after(Items.RENEW),
        c.after(Items.INSPECT),
        c.after(Items.WAY),
        c.after(Items.AVOID),
        c.after(Items.WHY).stream().findFirst().flatMap(w -> Code.parse(CameIn.class, w)),
        c.text());
  }

  private static Observation observation(String item) {
    String kind = item.substring(0, item.indexOf(':'));
    return new Observation(
        Code.parse(Observation.Kind.class, kind)
            .orElseThrow(() -> new IllegalStateException("No observation is called " + kind)),
        item.substring(item.indexOf(':') + 1));
  }

  private static JobAct.HandedBack handedBack(ActColumns c) {
    Optional<NextDue> due =
        c.first(Items.DAY)
            .map(
                day ->
                    new NextDue(
                        c.reading().map(Reading::value),
                        number(c, Items.HOURS),
                        number(c, Items.PLANNED),
                        LocalDate.parse(day),
                        c.text()));
    String said =
        c.text().startsWith(Items.DUE) ? c.text().substring(Items.DUE.length()) : c.text();
    return new JobAct.HandedBack(due, due.isPresent() ? "" : said);
  }

  private static double number(ActColumns c, String word) {
    return c.first(word).map(Double::parseDouble).orElseThrow(() -> broken(c));
  }

  private static PartAct.Judged judged(ActColumns c) {
    return new PartAct.Judged(
        c.subject(),
        Code.parse(Part.Verdict.class, only(c)).orElseThrow(() -> broken(c)),
        c.measurements(),
        c.after(Items.SIGN),
        c.text());
  }

  private static PartAct.KitFitted kitFitted(ActColumns c) {
    Map<String, String> materials = new LinkedHashMap<>();
    for (String chosen : c.after(Items.MATERIAL)) {
      int cut = chosen.indexOf('=');
      materials.put(chosen.substring(0, cut), chosen.substring(cut + 1));
    }
    return new PartAct.KitFitted(
        c.subject(),
        c.items().stream().filter(i -> !i.startsWith(Items.MATERIAL)).toList(),
        materials,
        c.text());
  }

  /** The first item, of kinds that always have one. */
  private static String only(ActColumns c) {
    return c.items().stream().findFirst().orElseThrow(() -> broken(c));
  }

  private static Optional<String> given(String text) {
    return text.isEmpty() ? Optional.empty() : Optional.of(text);
  }

  private static IllegalStateException broken(ActColumns c) {
    return new IllegalStateException("This row is no act that was ever recorded: " + c);
  }
}
