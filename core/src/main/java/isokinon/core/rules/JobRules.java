package isokinon.core.rules;

import static isokinon.core.rules.StageRules.no;
import static isokinon.core.rules.StageRules.say;
import static isokinon.core.rules.StageRules.unless;
import static isokinon.core.value.Numbers.plain;

import isokinon.core.act.JobAct;
import isokinon.core.act.Stage;
import isokinon.core.rebuild.Rebuild;
import isokinon.core.sheet.Handling;
import isokinon.core.sheet.School;
import isokinon.core.sheet.Sheet;
import java.util.List;
import java.util.Optional;

/** When a pump may be taken in, proved safe and laid aside, and when a stage may end. */
final class JobRules {

  private final Rebuild rebuild;
  private final Sheet sheet;
  private final StageRules stages;
  private final ProofRules proof;

  JobRules(Rebuild rebuild, ProofRules proof) {
    this.rebuild = rebuild;
    this.sheet = rebuild.sheet();
    this.stages = new StageRules(rebuild);
    this.proof = proof;
  }

  Optional<ActRefusal> takenIn(JobAct.TakenIn act) {
    return unless(
            !act.renew().isEmpty() || !act.inspect().isEmpty(),
            "renew",
            "Choose what to renew or look at.")
        .or(() -> staysShut("renew", act.renew()))
        .or(() -> staysShut("inspect", act.inspect()))
        .or(() -> unknownWay(act.ways()))
        .or(() -> unknownStep(act.avoid()))
        .or(() -> stages.in(Stage.TAKE_IN));
  }

  private Optional<ActRefusal> staysShut(String path, List<String> parts) {
    return parts.stream()
        .filter(p -> sheet.steps().stream().noneMatch(s -> s.opens().contains(p)))
        .findFirst()
        .flatMap(p -> no(path, "No step of the sheet takes off " + p + "."));
  }

  private Optional<ActRefusal> unknownWay(List<String> ways) {
    return ways.stream()
        .filter(w -> rebuild.ways().keySet().stream().noneMatch(s -> s.way(w).isPresent()))
        .findFirst()
        .flatMap(w -> no("ways", "The sheet knows no way called " + w + "."));
  }

  private Optional<ActRefusal> unknownStep(List<String> steps) {
    return steps.stream()
        .filter(s -> rebuild.written().step(s).isEmpty())
        .findFirst()
        .flatMap(s -> no("avoid", "The sheet knows no step called " + s + "."));
  }

  Optional<ActRefusal> wayChosen(JobAct.WayChosen act) {
    Optional<School> school =
        rebuild.ways().keySet().stream().filter(s -> s.id().equals(act.school())).findFirst();
    if (school.isEmpty() || school.get().way(act.way()).isEmpty()) {
      return no("way", "The sheet asks no such question, or knows no such answer.");
    }
    if (rebuild.stage() == Stage.TAKE_IN) {
      return no("", "Take the pump in first.");
    }
    boolean changesSteps =
        school.get().ways().stream().anyMatch(w -> rebuild.written().hasSteps(w.id()));
    if (changesSteps && !rebuild.stripped().isEmpty()) {
      return no("", "The strip has begun: this question is settled for the job.");
    }
    boolean forAfterwards =
        school.get().ways().stream()
            .anyMatch(
                w ->
                    w.effect() == School.Effect.UNTIL_TEAR
                        || w.effect() == School.Effect.SCRAP_ALL);
    return unless(
        forAfterwards || rebuild.stage().compareTo(Stage.BUILD) < 0,
        "",
        "The build has begun: this question is settled for the job.");
  }

  Optional<ActRefusal> provedSafe(JobAct.ProvedSafe act, boolean licensed) {
    Optional<Sheet.Hazard> hazard =
        rebuild.hazards().stream().filter(h -> h.id().equals(act.hazard())).findFirst();
    if (hazard.isEmpty()) {
      return no("hazard", "The sheet knows no hazard called " + act.hazard() + ".");
    }
    Optional<ActRefusal> early =
        stages
            .in(Stage.MAKE_SAFE)
            .or(
                () ->
                    unless(
                        licensed || !hazard.get().electrical(),
                        "signer",
                        hazard.get().title()
                            + ": somebody licensed for electrical work signs for it."));
    if (early.isPresent() || hazard.get().kind() == Handling.Answer.CONFIRM) {
      return early;
    }
    if (act.reading().isEmpty()) {
      return hazard.get().orConfirm().isEmpty()
          ? no("value", "Read the gauge: " + hazard.get().ask() + ".")
          : Optional.empty();
    }
    return outside(hazard.get(), act.reading().get().value())
        .flatMap(
            beyond ->
                no(
                    "value",
                    say(
                        "%s %s is %s.",
                        plain(act.reading().get().value()), hazard.get().unit(), beyond)));
  }

  /** How a reading misses its limit, in words; empty where it passes. */
  private static Optional<String> outside(Sheet.Hazard hazard, double value) {
    if (hazard.passes(value)) {
      return Optional.empty();
    }
    boolean under = hazard.min().filter(m -> value < m).isPresent();
    return Optional.of(
        say(
            "%s the %s %s that counts as safe. It stays live until it reads no %s than that",
            under ? "under" : "over",
            plain((under ? hazard.min() : hazard.max()).orElse(Double.NaN)),
            hazard.unit(),
            under ? "less" : "more"));
  }

  Optional<ActRefusal> paused(JobAct.Paused act) {
    if (rebuild.stage() == Stage.TAKE_IN) {
      return no("", "Nothing is begun yet.");
    }
    return unless(!act.waitsFor().isBlank(), "waitsFor", "Say what the job waits for.");
  }

  Optional<ActRefusal> handedOver(JobAct.HandedOver act) {
    if (rebuild.stage() == Stage.TAKE_IN) {
      return no("", "Nothing is begun yet.");
    }
    int length = act.note().length();
    return unless(!act.note().isBlank(), "note", "Say how it stands, for whoever takes the job on.")
        .or(
            () ->
                unless(
                    length <= JobAct.HandedOver.MOST_NOTE,
                    "note",
                    "It is to fit on a card: "
                        + JobAct.HandedOver.MOST_NOTE
                        + " characters; that is "
                        + length
                        + "."));
  }

  Optional<ActRefusal> stageDone(JobAct.StageDone act) {
    Stage stage = rebuild.stage();
    if (stage != act.stage()) {
      return no("stage", stage.title() + " is in hand.");
    }
    return switch (stage) {
      case MAKE_SAFE ->
          unless(
              rebuild.openGates().isEmpty(),
              "",
              "Strip stays locked: " + rebuild.openGates().size() + " still to prove.");
      case INSPECT -> firstUnjudged();
      case DECIDE -> undecided();
      case PROVE -> proof.firstOpen();
      default -> no("stage", stage.title() + " ends by itself.");
    };
  }

  private Optional<ActRefusal> firstUnjudged() {
    List<String> open =
        rebuild.toInspect().stream().filter(p -> rebuild.verdict(p).isEmpty()).toList();
    return unless(
        open.isEmpty(),
        "",
        open.size()
            + " to look at yet, next the "
            + open.stream().findFirst().map(stages::name).orElse("")
            + ".");
  }

  private Optional<ActRefusal> undecided() {
    for (String role : rebuild.rolesToChoose()) {
      if (rebuild.material(role).isEmpty()) {
        return no("role", "Choose a material for the " + role + ".");
      }
    }
    for (String part : rebuild.renewing()) {
      if (rebuild.lot(part).isEmpty()) {
        return no("lot", "Book a lot for the " + stages.name(part) + ".");
      }
    }
    return Optional.empty();
  }
}
