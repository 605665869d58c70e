package isokinon.core.rebuild;

import isokinon.core.act.ActVisitor;
import isokinon.core.act.BenchEvent;
import isokinon.core.act.GateAnswer;
import isokinon.core.act.JobAct;
import isokinon.core.act.PartAct;
import isokinon.core.act.ProofAct;
import isokinon.core.act.StepAct;
import java.util.Optional;

/** Writes one act into the state of a rebuild. It answers whether the stage may be another now. */
final class ActFold implements ActVisitor<Boolean> {

  private static final boolean SAME_STAGE = false;
  private static final boolean OTHER_STAGE = true;

  private final EventFold fold;
  private final BenchEvent<?> event;

  ActFold(EventFold fold, BenchEvent<?> event) {
    this.fold = fold;
    this.event = event;
  }

  // ---- the job ---------------------------------------------------------------------------------

  @Override
  public Boolean takenIn(JobAct.TakenIn act) {
    fold.takeIn(act);
    return OTHER_STAGE;
  }

  @Override
  public Boolean symptomsTold(JobAct.SymptomsTold act) {
    fold.told(event.of(act));
    return SAME_STAGE;
  }

  @Override
  public Boolean wayChosen(JobAct.WayChosen act) {
    fold.choose(act);
    return OTHER_STAGE;
  }

  @Override
  public Boolean provedSafe(JobAct.ProvedSafe act) {
    fold.answerGate(act.hazard(), new GateAnswer(event.who(), event.at(), act.reading()));
    return SAME_STAGE;
  }

  @Override
  public Boolean confirmed(JobAct.Confirmed act) {
    fold.answerGate(act.confirmation(), new GateAnswer(event.who(), event.at(), Optional.empty()));
    return SAME_STAGE;
  }

  @Override
  public Boolean paused(JobAct.Paused act) {
    fold.pause(Optional.of(event.of(act)));
    return SAME_STAGE;
  }

  @Override
  public Boolean resumed(JobAct.Resumed act) {
    fold.pause(Optional.empty());
    return SAME_STAGE;
  }

  @Override
  public Boolean handedOver(JobAct.HandedOver act) {
    return SAME_STAGE;
  }

  @Override
  public Boolean takenOn(JobAct.TakenOn act) {
    return SAME_STAGE;
  }

  @Override
  public Boolean stageDone(JobAct.StageDone act) {
    fold.finish(act.stage());
    return OTHER_STAGE;
  }

  @Override
  public Boolean faultFound(JobAct.FaultFound act) {
    fold.found(event.of(act));
    return SAME_STAGE;
  }

  @Override
  public Boolean noted(JobAct.Noted act) {
    return SAME_STAGE;
  }

  @Override
  public Boolean signedOff(JobAct.SignedOff act) {
    fold.signOff(event.of(act));
    return SAME_STAGE;
  }

  @Override
  public Boolean handedBack(JobAct.HandedBack act) {
    fold.handBack(event.of(act));
    return OTHER_STAGE;
  }

  // ---- a step ----------------------------------------------------------------------------------

  @Override
  public Boolean checked(StepAct.Checked act) {
    fold.steps().answer(event.of(act), fold.building());
    return SAME_STAGE;
  }

  @Override
  public Boolean checkLeft(StepAct.CheckLeft act) {
    fold.steps().leave(event.of(act), fold.building());
    return SAME_STAGE;
  }

  @Override
  public Boolean seconded(StepAct.Seconded act) {
    fold.steps().second(event.of(act), fold.building());
    return SAME_STAGE;
  }

  @Override
  public Boolean foundImpossible(StepAct.FoundImpossible act) {
    fold.avoid(act.step());
    return OTHER_STAGE;
  }

  @Override
  public Boolean placed(StepAct.Placed act) {
    fold.steps().place(act.place(), act.piece());
    return SAME_STAGE;
  }

  @Override
  public Boolean torqueRead(StepAct.TorqueRead act) {
    round(act).ifPresent(r -> r.read(act.pass(), act.fastener(), act.nm(), act.clicked()));
    return SAME_STAGE;
  }

  @Override
  public Boolean passDone(StepAct.PassDone act) {
    round(act).ifPresent(r -> r.passDone(act.pass()));
    return SAME_STAGE;
  }

  @Override
  public Boolean torqueAccepted(StepAct.TorqueAccepted act) {
    round(act).ifPresent(r -> r.accept(act.fastener(), act.because()));
    return SAME_STAGE;
  }

  private Optional<TorqueRound> round(StepAct act) {
    return fold.steps().round(act.step(), fold.sheet());
  }

  @Override
  public Boolean stepDone(StepAct.StepDone act) {
    fold.stepDone(act.step(), event.at());
    return OTHER_STAGE;
  }

  @Override
  public Boolean stepUndone(StepAct.StepUndone act) {
    fold.steps().undo(act.step(), fold.building(), fold.sheet());
    return OTHER_STAGE;
  }

  // ---- parts -----------------------------------------------------------------------------------

  @Override
  public Boolean measured(PartAct.Measured act) {
    fold.parts().read(act.part(), event.who(), act.measurement());
    return SAME_STAGE;
  }

  @Override
  public Boolean judged(PartAct.Judged act) {
    fold.judge(event.of(act));
    return OTHER_STAGE;
  }

  @Override
  public Boolean causeFound(PartAct.CauseFound act) {
    fold.parts().cause(event.of(act));
    return SAME_STAGE;
  }

  @Override
  public Boolean materialChosen(PartAct.MaterialChosen act) {
    fold.renewals().choose(act.role(), act.material());
    fold.material();
    return SAME_STAGE;
  }

  @Override
  public Boolean kitFitted(PartAct.KitFitted act) {
    fold.renewals().book(act.lot(), act.parts());
    act.materials().forEach(fold.renewals()::choose);
    fold.material();
    return SAME_STAGE;
  }

  // ---- the proof -------------------------------------------------------------------------------

  @Override
  public Boolean proved(ProofAct.Proved act) {
    fold.proof().read(event.of(act));
    return SAME_STAGE;
  }

  @Override
  public Boolean clockStarted(ProofAct.ClockStarted act) {
    fold.proof().startClock(act.test(), event.at());
    return SAME_STAGE;
  }

  @Override
  public Boolean notMet(ProofAct.NotMet act) {
    fold.proof().miss(event.of(act));
    return SAME_STAGE;
  }

  @Override
  public Boolean sentBack(ProofAct.SentBack act) {
    fold.sendBack(act);
    return OTHER_STAGE;
  }

  @Override
  public Boolean settled(ProofAct.Settled act) {
    fold.proof().settle(act.subject(), event.at());
    return SAME_STAGE;
  }
}
