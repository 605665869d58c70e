package isokinon.core.rules;

import static isokinon.core.rules.StageRules.no;
import static isokinon.core.rules.StageRules.unless;

import isokinon.core.act.Stage;
import isokinon.core.act.StepAct;
import isokinon.core.rebuild.MatchedParts;
import isokinon.core.rebuild.Rebuild;
import isokinon.core.sheet.Handling;
import isokinon.core.sheet.Handling.Check;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/** When a step may be answered, done and taken back. */
final class StepRules {

  private static final Map<Rebuild.Open, String> OPEN =
      Map.of(
          Rebuild.Open.UNANSWERED, "Still to answer",
          Rebuild.Open.MISSED, "The reading misses its limit",
          Rebuild.Open.SECOND_PERSON, "A second person looks as well");

  private final Rebuild rebuild;
  private final StageRules stages;
  private final ProofRules proof;

  StepRules(Rebuild rebuild, ProofRules proof) {
    this.rebuild = rebuild;
    this.stages = new StageRules(rebuild);
    this.proof = proof;
  }

  Optional<ActRefusal> checked(StepAct.Checked act) {
    return ofCheck(
        act,
        act.check(),
        check ->
            unless(
                check.kind() == Handling.Answer.CONFIRM || act.reading().isPresent(),
                "value",
                "A number in " + check.unit() + " is asked for."));
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
      Optional<Rebuild.Open> open = rebuild.open(step, check);
      if (open.isPresent()) {
        return no(check.id(), OPEN.get(open.get()) + ": " + check.ask() + ".");
      }
    }
    return Optional.empty();
  }

  private Optional<Check> asked(StepAct act, String check) {
    return rebuild.checks(act.step()).stream().filter(c -> c.id().equals(check)).findFirst();
  }

  /** A check that the step asks for, of the step in hand, and then {@code rule}. */
  private Optional<ActRefusal> ofCheck(
      StepAct act, String id, Function<Check, Optional<ActRefusal>> rule) {
    Optional<Check> check = asked(act, id);
    return check.isEmpty()
        ? no("check", "This step does not ask for " + id + ".")
        : stages.current(act.step()).or(() -> rule.apply(check.get()));
  }

  Optional<ActRefusal> checkLeft(StepAct.CheckLeft act) {
    return ofCheck(
        act,
        act.check(),
        check ->
            unless(
                    !check.hold(),
                    act.check(),
                    "This is a hold point: the step waits for its answer.")
                .or(() -> unless(!act.because().isBlank(), "because", "Say why it is left.")));
  }

  /**
   * @param who initials of who says it
   */
  Optional<ActRefusal> seconded(StepAct.Seconded act, String who) {
    Optional<Check> check = asked(act, act.check());
    if (check.filter(Check::second).isEmpty()) {
      return no("check", "No second person is asked for here.");
    }
    return stages
        .current(act.step())
        .or(
            () ->
                unless(
                    rebuild.passed(act.step(), check.get()),
                    act.check(),
                    "It is answered first, then a second person looks."))
        .or(
            () ->
                unless(
                    rebuild
                        .answer(act.step(), act.check())
                        .filter(e -> e.who().equals(who))
                        .isEmpty(),
                    "who",
                    "The second person is another one than " + who + ", who answered it."));
  }

  Optional<ActRefusal> foundImpossible(StepAct.FoundImpossible act) {
    return stages
        .in(Stage.STRIP)
        .or(() -> stages.current(act.step()))
        .or(() -> unless(!act.because().isBlank(), "because", "Say what stands against it."));
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
