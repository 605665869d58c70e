package isokinon.core.rules;

import static isokinon.core.rules.StageRules.no;
import static isokinon.core.rules.StageRules.unless;

import isokinon.core.act.StepAct;
import isokinon.core.rebuild.Rebuild;
import isokinon.core.rebuild.TorqueRound;
import isokinon.core.sheet.Handling;
import isokinon.core.torque.TorqueReading;
import java.util.Optional;

/** Which readings and passes of a joint may be recorded. */
final class TorqueRules {

  private final Rebuild rebuild;
  private final StageRules stages;

  TorqueRules(Rebuild rebuild) {
    this.rebuild = rebuild;
    this.stages = new StageRules(rebuild);
  }

  Optional<ActRefusal> torqueRead(StepAct.TorqueRead act) {
    Optional<ActRefusal> no = joint(act);
    if (no.isPresent()) {
      return no;
    }
    TorqueRound round = rebuild.torque(act.step()).orElseThrow();
    Handling.Fastening joint = rebuild.sheet().fastening(act.step()).orElseThrow();
    if (act.fastener() < 1 || act.fastener() > joint.count()) {
      return no("fastener", "This joint has fasteners 1 to " + joint.count() + ".");
    }
    String absurd = TorqueReading.absurdity(joint, act.nm());
    if (!absurd.isEmpty()) {
      return no("value", absurd);
    }
    return unless(
        act.pass() == round.pass()
            || (act.pass() == round.fullPass() && round.pass() >= act.pass()),
        "pass",
        "Pass " + round.pass() + " is in hand, not pass " + act.pass() + ".");
  }

  Optional<ActRefusal> passDone(StepAct.PassDone act) {
    return joint(act)
        .or(
            () -> {
              TorqueRound round = rebuild.torque(act.step()).orElseThrow();
              return unless(
                  act.pass() == round.pass() && act.pass() != round.fullPass(),
                  "pass",
                  "Pass "
                      + act.pass()
                      + " cannot be closed now: "
                      + (round.finished()
                          ? "the joint is finished"
                          : round.missing() + " comes first")
                      + ".");
            });
  }

  Optional<ActRefusal> accepted(StepAct.TorqueAccepted act, boolean lead) {
    Optional<ActRefusal> no = joint(act);
    if (no.isPresent()) {
      return no;
    }
    if (!lead) {
      return no("who", "Only the lead can accept a reading out of range.");
    }
    if (act.because().isBlank()) {
      return no("because", "Say why the reading is accepted.");
    }
    return unless(
        rebuild.torque(act.step()).orElseThrow().fasteners().containsKey(act.fastener()),
        "fastener",
        "Bolt " + act.fastener() + " has no reading yet.");
  }

  private Optional<ActRefusal> joint(StepAct act) {
    return stages
        .building(act.step())
        .or(
            () ->
                unless(
                    rebuild.sheet().fastening(act.step()).isPresent(),
                    "step",
                    "This step has nothing to torque."));
  }
}
