package isokinon.core.rules;

import static isokinon.core.rules.StageRules.no;
import static isokinon.core.rules.StageRules.unless;

import isokinon.core.act.Reading;
import isokinon.core.act.Stage;
import isokinon.core.act.StepAct;
import isokinon.core.rebuild.MatchedParts;
import isokinon.core.rebuild.Rebuild;
import isokinon.core.sheet.Handling;
import isokinon.core.sheet.Handling.Check;
import java.util.Optional;

/** When a step may be answered, done and taken back. */
final class StepRules {

  private final Rebuild rebuild;
  private final StageRules stages;
  private final ProofRules proof;

  StepRules(Rebuild rebuild, ProofRules proof) {
    this.rebuild = rebuild;
    this.stages = new StageRules(rebuild);
    this.proof = proof;
  }

  Optional<ActRefusal> checked(StepAct.Checked act) {
    Optional<Check> check =
        rebuild.checks(act.step()).stream().filter(c -> c.id().equals(act.check())).findFirst();
    if (check.isEmpty()) {
      return no("check", "This step does not ask for " + act.check() + ".");
    }
    return stages
        .current(act.step())
        .or(
            () ->
                unless(
                    check.get().kind() == Handling.Answer.CONFIRM || act.reading().isPresent(),
                    "value",
                    "A number in " + check.get().unit() + " is asked for."));
  }

  Optional<ActRefusal> placed(StepAct.Placed act) {
    return stages
        .building(act.step())
        .or(
            () ->
                unless(
                    MatchedParts.toPlace(rebuild, act.step()).contains(act.place()),
                    "place",
                    "This step has no such place."))
        .or(
            () ->
                MatchedParts.refusal(rebuild.sheet(), act.place(), act.piece())
                    .flatMap(why -> no("piece", why)));
  }

  Optional<ActRefusal> stepDone(StepAct.StepDone act) {
    return stages
        .current(act.step())
        .or(() -> proof.waits(act))
        .or(() -> unanswered(act.step()))
        .or(() -> rebuild.stage() == Stage.BUILD ? unbuilt(act.step()) : Optional.empty());
  }

  private Optional<ActRefusal> unanswered(String step) {
    for (Check check : rebuild.checks(step)) {
      Optional<StepAct.Checked> answer = rebuild.answer(step, check.id()).map(e -> e.act());
      if (answer.isEmpty()) {
        return no(check.id(), "Still to answer: " + check.ask() + ".");
      }
      if (check.kind() == Handling.Answer.NUMBER && !within(check, answer.get())) {
        return no(check.id(), "The reading misses its limit: " + check.ask() + ".");
      }
    }
    return Optional.empty();
  }

  private static boolean within(Check check, StepAct.Checked answer) {
    return check.passes(answer.reading().map(Reading::value).orElse(Double.NaN));
  }

  private Optional<ActRefusal> unbuilt(String step) {
    for (String place : MatchedParts.toPlace(rebuild, step)) {
      if (!rebuild.placed().containsKey(place)) {
        return no(
            "placed", MatchedParts.name(rebuild.sheet(), place) + " is not back in its place yet.");
      }
    }
    return rebuild
        .torque(step)
        .filter(t -> !t.finished())
        .flatMap(t -> no("torque", "Torque is not finished: " + t.missing() + "."));
  }

  Optional<ActRefusal> stepUndone(StepAct.StepUndone act) {
    return unless(
        rebuild.lastStep().equals(Optional.of(act.step())),
        "step",
        "Only the last step can be taken back.");
  }
}
