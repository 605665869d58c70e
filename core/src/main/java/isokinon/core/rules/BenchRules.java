package isokinon.core.rules;

import static isokinon.core.rules.StageRules.no;
import static isokinon.core.rules.StageRules.unless;

import isokinon.core.act.Act;
import isokinon.core.act.ActVisitor;
import isokinon.core.act.BenchEvent;
import isokinon.core.act.JobAct;
import isokinon.core.act.PartAct;
import isokinon.core.act.ProofAct;
import isokinon.core.act.Stage;
import isokinon.core.act.StepAct;
import isokinon.core.plan.UnplannableRequest;
import isokinon.core.rebuild.Rebuild;
import java.time.Instant;
import java.util.Optional;

/**
 * Which acts may be recorded in the state a rebuild is in, and the sentence for those that may not.
 */
public final class BenchRules implements ActVisitor<Optional<ActRefusal>> {

  /** Longest note or reason, characters. */
  public static final int MOST_TEXT = 2_000;

  private final Rebuild rebuild;
  private final Actor actor;
  private final StageRules stages;
  private final JobRules job;
  private final StepRules steps;
  private final TorqueRules torque;
  private final PartRules parts;
  private final ProofRules proof;

  private BenchRules(Rebuild rebuild, Actor actor, Instant now) {
    this.rebuild = rebuild;
    this.actor = actor;
    this.stages = new StageRules(rebuild);
    this.proof = new ProofRules(rebuild, now);
    this.job = new JobRules(rebuild, proof);
    this.steps = new StepRules(rebuild, proof);
    this.torque = new TorqueRules(rebuild);
    this.parts = new PartRules(rebuild);
  }

  /**
   * Why an act cannot be recorded; empty where it can.
   *
   * @param actor who acts
   * @param now the time of the act
   */
  public static Optional<ActRefusal> refuse(Rebuild rebuild, Act act, Actor actor, Instant now) {
    return new BenchRules(rebuild, actor, now).refuse(act).or(() -> unplannable(rebuild, act));
  }

  /** What is asked may leave no way in, where steps are avoided or another way is followed. */
  private static Optional<ActRefusal> unplannable(Rebuild rebuild, Act act) {
    boolean impossible = act instanceof StepAct.FoundImpossible;
    if (!(act instanceof JobAct.TakenIn) && !(act instanceof JobAct.WayChosen) && !impossible) {
      return Optional.empty();
    }
    try {
      BenchEvent<?> supposed = new BenchEvent<>(rebuild.seq() + 1, Instant.EPOCH, "", false, act);
      return unless(
          rebuild.plus(supposed).plan().isPresent(), "renew", "There is nothing to plan.");
    } catch (UnplannableRequest e) {
      return impossible
          ? no("step", "There is no other way in from here. " + e.getMessage())
          : no("renew", e.getMessage());
    }
  }

  private Optional<ActRefusal> refuse(Act act) {
    if (act.words().length() > MOST_TEXT) {
      return no(
          "text",
          "That is " + act.words().length() + " characters; at most " + MOST_TEXT + " fit.");
    }
    boolean note = act instanceof JobAct.Noted;
    if (rebuild.stage() == Stage.CLOSED && !note && !(act instanceof ProofAct.Settled)) {
      return no("", "This rebuild is handed back; only notes can be added.");
    }
    if (rebuild.pause().isPresent() && !note && !(act instanceof JobAct.Resumed)) {
      return no("", "This job is paused: carry on first.");
    }
    Optional<BenchEvent<JobAct.HandedOver>> handover = rebuild.handover();
    if (handover.isPresent() && !note && !(act instanceof JobAct.TakenOn)) {
      return no(
          "", handover.get().who() + " hands this job over: read the note and take it on first.");
    }
    return act.accept(this);
  }

  // ---- the job ---------------------------------------------------------------------------------

  @Override
  public Optional<ActRefusal> takenIn(JobAct.TakenIn act) {
    return job.takenIn(act);
  }

  @Override
  public Optional<ActRefusal> symptomsTold(JobAct.SymptomsTold act) {
    return stages
        .in(Stage.TAKE_IN)
        .or(() -> unless(!act.observations().isEmpty(), "observations", "Say what it does first."));
  }

  @Override
  public Optional<ActRefusal> wayChosen(JobAct.WayChosen act) {
    return job.wayChosen(act);
  }

  @Override
  public Optional<ActRefusal> provedSafe(JobAct.ProvedSafe act) {
    return job.provedSafe(act, actor.licensed());
  }

  @Override
  public Optional<ActRefusal> confirmed(JobAct.Confirmed act) {
    return stages
        .in(Stage.MAKE_SAFE)
        .or(
            () ->
                unless(
                    Rebuild.CONFIRMATIONS.containsKey(act.confirmation()),
                    "confirmation",
                    "The gate does not ask for " + act.confirmation() + "."));
  }

  @Override
  public Optional<ActRefusal> paused(JobAct.Paused act) {
    return job.paused(act);
  }

  @Override
  public Optional<ActRefusal> resumed(JobAct.Resumed act) {
    return unless(rebuild.pause().isPresent(), "", "This job does not rest.");
  }

  @Override
  public Optional<ActRefusal> handedOver(JobAct.HandedOver act) {
    return job.handedOver(act);
  }

  @Override
  public Optional<ActRefusal> takenOn(JobAct.TakenOn act) {
    return unless(rebuild.handover().isPresent(), "", "This job is not handed over.");
  }

  @Override
  public Optional<ActRefusal> stageDone(JobAct.StageDone act) {
    return job.stageDone(act);
  }

  @Override
  public Optional<ActRefusal> faultFound(JobAct.FaultFound act) {
    return stages.from(Stage.STRIP);
  }

  @Override
  public Optional<ActRefusal> noted(JobAct.Noted act) {
    return unless(!act.text().isBlank(), "text", "The note is empty.");
  }

  @Override
  public Optional<ActRefusal> signedOff(JobAct.SignedOff act) {
    return stages.in(Stage.HAND_BACK);
  }

  @Override
  public Optional<ActRefusal> handedBack(JobAct.HandedBack act) {
    return stages
        .in(Stage.HAND_BACK)
        .or(
            () ->
                unless(
                    rebuild.signedOff().isPresent(),
                    "signedOff",
                    "Somebody signs off what was done first."));
  }

  // ---- a step ----------------------------------------------------------------------------------

  @Override
  public Optional<ActRefusal> checked(StepAct.Checked act) {
    return steps.checked(act);
  }

  @Override
  public Optional<ActRefusal> placed(StepAct.Placed act) {
    return steps.placed(act);
  }

  @Override
  public Optional<ActRefusal> torqueRead(StepAct.TorqueRead act) {
    return torque.torqueRead(act);
  }

  @Override
  public Optional<ActRefusal> passDone(StepAct.PassDone act) {
    return torque.passDone(act);
  }

  @Override
  public Optional<ActRefusal> torqueAccepted(StepAct.TorqueAccepted act) {
    return torque.accepted(act, actor.lead());
  }

  @Override
  public Optional<ActRefusal> stepDone(StepAct.StepDone act) {
    return steps.stepDone(act);
  }

  @Override
  public Optional<ActRefusal> checkLeft(StepAct.CheckLeft act) {
    return steps.checkLeft(act);
  }

  @Override
  public Optional<ActRefusal> seconded(StepAct.Seconded act) {
    return steps.seconded(act, actor.initials());
  }

  @Override
  public Optional<ActRefusal> foundImpossible(StepAct.FoundImpossible act) {
    return steps.foundImpossible(act);
  }

  @Override
  public Optional<ActRefusal> stepUndone(StepAct.StepUndone act) {
    return steps.stepUndone(act);
  }

  // ---- parts -----------------------------------------------------------------------------------

  @Override
  public Optional<ActRefusal> measured(PartAct.Measured act) {
    return parts.measured(act);
  }

  @Override
  public Optional<ActRefusal> judged(PartAct.Judged act) {
    return parts.judged(act);
  }

  @Override
  public Optional<ActRefusal> causeFound(PartAct.CauseFound act) {
    return unless(
            rebuild.sheet().part(act.part()).isPresent(),
            "part",
            "Say which part it was that wore.")
        .or(() -> stages.from(Stage.STRIP));
  }

  @Override
  public Optional<ActRefusal> materialChosen(PartAct.MaterialChosen act) {
    return stages
        .in(Stage.DECIDE)
        .or(() -> parts.roleToChoose(act.role()))
        .or(() -> parts.named(act.material()));
  }

  @Override
  public Optional<ActRefusal> kitFitted(PartAct.KitFitted act) {
    return stages.in(Stage.DECIDE).or(() -> parts.kitFitted(act));
  }

  // ---- the proof -------------------------------------------------------------------------------

  @Override
  public Optional<ActRefusal> proved(ProofAct.Proved act) {
    return stages.in(Stage.PROVE).or(() -> proof.proved(act));
  }

  @Override
  public Optional<ActRefusal> clockStarted(ProofAct.ClockStarted act) {
    return stages.in(Stage.PROVE).or(() -> proof.clockStarted(act));
  }

  @Override
  public Optional<ActRefusal> notMet(ProofAct.NotMet act) {
    return stages.in(Stage.PROVE).or(() -> proof.notMet(act));
  }

  @Override
  public Optional<ActRefusal> sentBack(ProofAct.SentBack act) {
    return stages.in(Stage.PROVE).or(() -> proof.sentBack(act));
  }

  @Override
  public Optional<ActRefusal> settled(ProofAct.Settled act) {
    return proof.settled(act);
  }
}
