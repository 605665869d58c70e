package isokinon.server.work.rebuild;

import isokinon.core.act.ActVisitor;
import isokinon.core.act.JobAct;
import isokinon.core.act.JobAct.CameIn;
import isokinon.core.act.NextDue;
import isokinon.core.act.PartAct;
import isokinon.core.act.ProofAct;
import isokinon.core.act.Reading;
import isokinon.core.act.StepAct;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Writes an act into the columns of its row. {@link ActLoader} reads them. */
final class ActWriter implements ActVisitor<ActColumns> {

  private static ActColumns columns(StoredKind kind, String subject) {
    return ActColumns.of(kind, "", subject);
  }

  // ---- the job ---------------------------------------------------------------------------------

  @Override
  public ActColumns takenIn(JobAct.TakenIn act) {
    return columns(StoredKind.TAKEN_IN, "")
        .saying(act.reason())
        .and(Items.RENEW, act.renew())
        .and(Items.INSPECT, act.inspect())
        .and(Items.WAY, act.ways())
        .and(Items.AVOID, act.avoid())
        .and(Items.WHY, act.why().stream().map(CameIn::code).toList());
  }

  @Override
  public ActColumns symptomsTold(JobAct.SymptomsTold act) {
    return columns(StoredKind.SYMPTOMS_TOLD, act.suspected().orElse(""))
        .and(act.observations().stream().map(o -> o.kind().code() + ":" + o.id()).toList());
  }

  @Override
  public ActColumns wayChosen(JobAct.WayChosen act) {
    return columns(StoredKind.WAY_CHOSEN, act.school()).and(List.of(act.way()));
  }

  @Override
  public ActColumns provedSafe(JobAct.ProvedSafe act) {
    return columns(StoredKind.PROVED_SAFE, act.hazard()).read(act.reading());
  }

  @Override
  public ActColumns confirmed(JobAct.Confirmed act) {
    return columns(StoredKind.CONFIRMED, act.confirmation());
  }

  @Override
  public ActColumns paused(JobAct.Paused act) {
    return columns(StoredKind.PAUSED, act.waitsFor()).saying(act.note());
  }

  @Override
  public ActColumns resumed(JobAct.Resumed act) {
    return columns(StoredKind.RESUMED, "").saying(act.note());
  }

  @Override
  public ActColumns handedOver(JobAct.HandedOver act) {
    return columns(StoredKind.HANDED_OVER, "").saying(act.note());
  }

  @Override
  public ActColumns takenOn(JobAct.TakenOn act) {
    return columns(StoredKind.TAKEN_ON, "");
  }

  @Override
  public ActColumns stageDone(JobAct.StageDone act) {
    return columns(StoredKind.STAGE_DONE, act.stage().name());
  }

  @Override
  public ActColumns faultFound(JobAct.FaultFound act) {
    return columns(StoredKind.FAULT_FOUND, act.fault().orElse(Items.OTHER)).saying(act.note());
  }

  @Override
  public ActColumns noted(JobAct.Noted act) {
    return columns(StoredKind.NOTED, "").saying(act.text());
  }

  @Override
  public ActColumns signedOff(JobAct.SignedOff act) {
    return columns(StoredKind.SIGNED_OFF, "");
  }

  @Override
  public ActColumns handedBack(JobAct.HandedBack act) {
    ActColumns handedBack = columns(StoredKind.HANDED_BACK, "");
    return act.due().map(d -> due(handedBack, d)).orElse(handedBack.saying(act.said()));
  }

  private static ActColumns due(ActColumns handedBack, NextDue due) {
    return handedBack
        .read(due.atHours().map(h -> new Reading(h, "h")))
        .saying(due.because())
        .and(Items.HOURS, List.of(Double.toString(due.hours())))
        .and(Items.PLANNED, List.of(Double.toString(due.plannedHours())))
        .and(Items.DAY, List.of(due.day().toString()));
  }

  // ---- a step ----------------------------------------------------------------------------------

  @Override
  public ActColumns checked(StepAct.Checked act) {
    return ActColumns.of(StoredKind.CHECKED, act.step(), act.check())
        .read(act.reading())
        .saying(act.note());
  }

  @Override
  public ActColumns placed(StepAct.Placed act) {
    return ActColumns.of(StoredKind.PLACED, act.step(), act.place()).and(List.of(act.piece()));
  }

  @Override
  public ActColumns torqueRead(StepAct.TorqueRead act) {
    return step(StoredKind.TORQUE_READ, act)
        .on(act.pass(), act.fastener())
        .read(Optional.of(new Reading(act.nm(), Items.NM)))
        .saying(act.clicked() ? Items.CLICKED : "")
        .with(act.gauge());
  }

  @Override
  public ActColumns passDone(StepAct.PassDone act) {
    return step(StoredKind.PASS_DONE, act).on(act.pass(), 0);
  }

  @Override
  public ActColumns torqueAccepted(StepAct.TorqueAccepted act) {
    return step(StoredKind.TORQUE_ACCEPTED, act).on(0, act.fastener()).saying(act.because());
  }

  @Override
  public ActColumns stepDone(StepAct.StepDone act) {
    return step(StoredKind.STEP_DONE, act).saying(act.because());
  }

  @Override
  public ActColumns stepUndone(StepAct.StepUndone act) {
    return step(StoredKind.STEP_UNDONE, act);
  }

  @Override
  public ActColumns checkLeft(StepAct.CheckLeft act) {
    return ActColumns.of(StoredKind.CHECK_LEFT, act.step(), act.check()).saying(act.because());
  }

  @Override
  public ActColumns seconded(StepAct.Seconded act) {
    return ActColumns.of(StoredKind.SECONDED, act.step(), act.check());
  }

  @Override
  public ActColumns foundImpossible(StepAct.FoundImpossible act) {
    return step(StoredKind.FOUND_IMPOSSIBLE, act).saying(act.because());
  }

  private static ActColumns step(StoredKind kind, StepAct act) {
    return ActColumns.of(kind, act.step(), "");
  }

  // ---- parts -----------------------------------------------------------------------------------

  @Override
  public ActColumns measured(PartAct.Measured act) {
    return columns(StoredKind.MEASURED, act.part()).measuring(List.of(act.measurement()));
  }

  @Override
  public ActColumns judged(PartAct.Judged act) {
    return columns(StoredKind.JUDGED, act.part())
        .saying(act.because())
        .and(List.of(act.verdict().code()))
        .and(Items.SIGN, act.signs())
        .measuring(act.measurements());
  }

  @Override
  public ActColumns causeFound(PartAct.CauseFound act) {
    return columns(StoredKind.CAUSE_FOUND, act.part())
        .saying(act.note())
        .and(List.of(act.cause().orElse(Items.UNKNOWN)))
        .and(Items.COUNTER, act.counters());
  }

  @Override
  public ActColumns materialChosen(PartAct.MaterialChosen act) {
    return columns(StoredKind.MATERIAL_CHOSEN, act.role())
        .saying(act.because())
        .and(List.of(act.material()));
  }

  @Override
  public ActColumns kitFitted(PartAct.KitFitted act) {
    List<String> materials = new ArrayList<>();
    act.materials().forEach((role, material) -> materials.add(role + "=" + material));
    return columns(StoredKind.LOT_FITTED, act.lot())
        .saying(act.note())
        .and(act.parts())
        .and(Items.MATERIAL, materials);
  }

  // ---- the proof -------------------------------------------------------------------------------

  @Override
  public ActColumns proved(ProofAct.Proved act) {
    return columns(StoredKind.PROVED, act.test())
        .read(act.reading())
        .saying(act.timing())
        .with(act.gauge());
  }

  @Override
  public ActColumns clockStarted(ProofAct.ClockStarted act) {
    return columns(StoredKind.CLOCK_STARTED, act.test());
  }

  @Override
  public ActColumns notMet(ProofAct.NotMet act) {
    return columns(StoredKind.NOT_MET, act.test()).saying(act.seen());
  }

  @Override
  public ActColumns sentBack(ProofAct.SentBack act) {
    return columns(StoredKind.SENT_BACK, act.test()).and(act.steps());
  }

  @Override
  public ActColumns settled(ProofAct.Settled act) {
    return columns(StoredKind.SETTLED, act.subject()).saying(act.because());
  }
}
