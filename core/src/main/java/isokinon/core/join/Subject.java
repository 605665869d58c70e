package isokinon.core.join;

import isokinon.core.act.Act;
import isokinon.core.act.JobAct;
import isokinon.core.act.PartAct;
import isokinon.core.act.ProofAct;
import isokinon.core.act.StepAct;
import java.util.List;
import java.util.Optional;

/** What an act answers: two acts that answer the same are held against each other. */
final class Subject {

  private Subject() {}

  /** Ids of what is answered; empty for acts that stand beside each other, as notes do. */
  static Optional<List<Object>> of(Act act) {
    if (act instanceof JobAct.ProvedSafe a) {
      return of(JobAct.ProvedSafe.class, a.hazard());
    }
    if (act instanceof JobAct.Confirmed a) {
      return of(JobAct.Confirmed.class, a.confirmation());
    }
    if (act instanceof JobAct.StageDone a) {
      return of(JobAct.StageDone.class, a.stage());
    }
    if (act instanceof StepAct.Checked a) {
      return of(StepAct.Checked.class, a.step(), a.check());
    }
    if (act instanceof StepAct.Placed a) {
      return of(StepAct.Placed.class, a.step(), a.place());
    }
    if (act instanceof StepAct.TorqueRead a) {
      return of(StepAct.TorqueRead.class, a.step(), a.pass(), a.fastener());
    }
    if (act instanceof StepAct.PassDone a) {
      return of(StepAct.PassDone.class, a.step(), a.pass());
    }
    if (act instanceof StepAct.StepDone a) {
      return of(StepAct.StepDone.class, a.step());
    }
    if (act instanceof PartAct.Judged a) {
      return of(PartAct.Judged.class, a.part());
    }
    if (act instanceof PartAct.Measured a) {
      return of(PartAct.Measured.class, a.part(), a.measurement().measure());
    }
    if (act instanceof PartAct.KitFitted a) {
      return of(PartAct.KitFitted.class, a.parts());
    }
    if (act instanceof ProofAct.Proved a) {
      return of(ProofAct.Proved.class, a.test());
    }
    return act instanceof ProofAct.ClockStarted a
        ? of(ProofAct.ClockStarted.class, a.test())
        : Optional.empty();
  }

  private static Optional<List<Object>> of(Object... ids) {
    return Optional.of(List.of(ids));
  }

  /** Whether an act only says that something is done: done twice it is done. */
  static boolean saysOnlyDone(Act act) {
    return act instanceof JobAct.Confirmed
        || act instanceof JobAct.StageDone
        || act instanceof StepAct.PassDone
        || act instanceof StepAct.StepDone
        || act instanceof ProofAct.ClockStarted;
  }
}
