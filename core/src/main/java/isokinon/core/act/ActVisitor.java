package isokinon.core.act;

/**
 * One answer for each kind of act.
 *
 * @param <R> what is answered
 */
public interface ActVisitor<R> {

  R takenIn(JobAct.TakenIn act);

  R symptomsTold(JobAct.SymptomsTold act);

  R wayChosen(JobAct.WayChosen act);

  R provedSafe(JobAct.ProvedSafe act);

  R confirmed(JobAct.Confirmed act);

  R paused(JobAct.Paused act);

  R resumed(JobAct.Resumed act);

  R handedOver(JobAct.HandedOver act);

  R takenOn(JobAct.TakenOn act);

  R stageDone(JobAct.StageDone act);

  R faultFound(JobAct.FaultFound act);

  R noted(JobAct.Noted act);

  R signedOff(JobAct.SignedOff act);

  R handedBack(JobAct.HandedBack act);

  R checked(StepAct.Checked act);

  R placed(StepAct.Placed act);

  R torqueRead(StepAct.TorqueRead act);

  R passDone(StepAct.PassDone act);

  R torqueAccepted(StepAct.TorqueAccepted act);

  R stepDone(StepAct.StepDone act);

  R stepUndone(StepAct.StepUndone act);

  R checkLeft(StepAct.CheckLeft act);

  R seconded(StepAct.Seconded act);

  R foundImpossible(StepAct.FoundImpossible act);

  R measured(PartAct.Measured act);

  R judged(PartAct.Judged act);

  R causeFound(PartAct.CauseFound act);

  R materialChosen(PartAct.MaterialChosen act);

  R kitFitted(PartAct.KitFitted act);

  R proved(ProofAct.Proved act);

  R clockStarted(ProofAct.ClockStarted act);

  R notMet(ProofAct.NotMet act);

  R sentBack(ProofAct.SentBack act);

  R settled(ProofAct.Settled act);
}
