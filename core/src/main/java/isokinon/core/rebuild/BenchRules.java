package isokinon.core.rebuild;

import static isokinon.core.rebuild.StageRules.no;
import static isokinon.core.rebuild.StageRules.plain;
import static isokinon.core.rebuild.StageRules.say;
import static isokinon.core.rebuild.StageRules.unless;

import isokinon.core.sheet.Handling;
import isokinon.core.sheet.Handling.Check;
import isokinon.core.sheet.School;
import isokinon.core.sheet.Sheet;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * Which acts may be recorded in the state a rebuild is in, and the sentence for those that may not.
 */
final class BenchRules {

  /** Longest note or reason, characters. */
  static final int MOST_TEXT = 2_000;

  private final Rebuild rebuild;
  private final Sheet sheet;
  private final StageRules stages;
  private final TorqueRules torque;
  private final PartRules parts;
  private final ProofRules proof;

  BenchRules(Rebuild rebuild, Instant now) {
    this.rebuild = rebuild;
    this.stages = new StageRules(rebuild);
    this.torque = new TorqueRules(rebuild);
    this.parts = new PartRules(rebuild);
    this.proof = new ProofRules(rebuild, now);
    this.sheet = rebuild.sheet();
  }

  Optional<ActRefusal> refuse(Act act, boolean lead) {
    if (act.text().length() > MOST_TEXT) {
      return no(
          "text", "That is " + act.text().length() + " characters; at most " + MOST_TEXT + " fit.");
    }
    if (rebuild.stage() == Stage.CLOSED
        && act.kind() != Act.Kind.NOTED
        && act.kind() != Act.Kind.SETTLED) {
      return no("", "This rebuild is handed back; only notes can be added.");
    }
    if (rebuild.pause().isPresent()
        && act.kind() != Act.Kind.RESUMED
        && act.kind() != Act.Kind.NOTED) {
      return no("", "This job rests: take it up again first.");
    }
    return switch (act.kind()) {
      case TAKEN_IN -> takeIn(act);
      case WAY_CHOSEN -> wayChosen(act);
      case PLACED -> placed(act);
      case PAUSED -> paused(act);
      case RESUMED -> unless(rebuild.pause().isPresent(), "", "This job does not rest.");
      case PROVED_SAFE -> provedSafe(act);
      case CONFIRMED ->
          stages
              .in(Stage.MAKE_SAFE)
              .or(
                  () ->
                      unless(
                          Rebuild.CONFIRMATIONS.containsKey(act.subject()),
                          "subject",
                          "The gate does not ask for " + act.subject() + "."));
      case CHECKED -> checked(act);
      case TORQUE_READ -> torque.torqueRead(act);
      case PASS_DONE -> torque.passDone(act);
      case TORQUE_ACCEPTED -> torque.accepted(act, lead);
      case STEP_DONE -> stepDone(act);
      case STEP_UNDONE -> undone(act);
      case JUDGED -> parts.judged(act);
      case MATERIAL_CHOSEN ->
          stages
              .in(Stage.DECIDE)
              .or(
                  () ->
                      unless(
                          rebuild.rolesToChoose().contains(act.subject())
                              && act.items().size() == 1,
                          "subject",
                          "No renewed part has the role " + act.subject() + "."));
      case LOT_FITTED ->
          stages
              .in(Stage.DECIDE)
              .or(
                  () ->
                      unless(
                          !act.items().isEmpty() && rebuild.renewing().containsAll(act.items()),
                          "items",
                          "A lot goes into parts that are renewed."));
      case PROVED -> stages.in(Stage.PROVE).or(() -> proof.proved(act));
      case MEASURED -> parts.measured(act);
      case CAUSE_FOUND ->
          unless(
                  sheet.part(act.subject()).isPresent() && !act.items().isEmpty(),
                  "subject",
                  "Say which part, and why it wore.")
              .or(() -> stages.from(Stage.STRIP));
      case SYMPTOMS_TOLD ->
          stages
              .in(Stage.TAKE_IN)
              .or(() -> unless(!act.items().isEmpty(), "items", "Say what it does first."));
      case FAULT_FOUND ->
          stages
              .from(Stage.STRIP)
              .or(() -> unless(!act.subject().isBlank(), "subject", "Say what it was."));
      case CLOCK_STARTED -> stages.in(Stage.PROVE).or(() -> proof.clockStarted(act));
      case SENT_BACK -> stages.in(Stage.PROVE).or(() -> proof.sentBack(act));
      case SETTLED -> proof.settled(act);
      case STAGE_DONE -> stageDone(act);
      case NOTED -> unless(!act.text().isBlank(), "text", "The note is empty.");
      case HANDED_BACK -> stages.in(Stage.HAND_BACK);
    };
  }

  private Optional<ActRefusal> takeIn(Act act) {
    if (act.items().stream().noneMatch(i -> i.startsWith("renew:") || i.startsWith("inspect:"))) {
      return stages.in(Stage.TAKE_IN).or(() -> no("items", "Choose what to renew or look at."));
    }
    for (String item : act.items()) {
      String part = item.substring(item.indexOf(':') + 1);
      if (item.startsWith("way:") || item.startsWith("avoid:")) {
        Optional<ActRefusal> unknown = knownWayOrStep(item, part);
        if (unknown.isPresent()) {
          return unknown;
        }
        continue;
      }
      boolean comesOff = sheet.steps().stream().anyMatch(s -> s.opens().contains(part));
      if (!comesOff) {
        return no("items", "No step of the sheet takes off " + part + ".");
      }
    }
    return stages.in(Stage.TAKE_IN);
  }

  private Optional<ActRefusal> knownWayOrStep(String item, String id) {
    return item.startsWith("way:")
        ? unless(
            rebuild.ways().keySet().stream().anyMatch(s -> s.way(id).isPresent()),
            "items",
            "The sheet knows no way called " + id + ".")
        : unless(
            rebuild.written().step(id).isPresent(),
            "items",
            "The sheet knows no step called " + id + ".");
  }

  private Optional<ActRefusal> wayChosen(Act act) {
    Optional<School> school =
        rebuild.ways().keySet().stream().filter(s -> s.id().equals(act.subject())).findFirst();
    if (school.isEmpty()
        || act.items().size() != 1
        || school.get().way(act.items().get(0)).isEmpty()) {
      return no("subject", "The sheet asks no such question, or knows no such answer.");
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

  private Optional<ActRefusal> placed(Act act) {
    return stages
        .building(act.step())
        .or(
            () ->
                unless(
                    act.items().size() == 1
                        && MatchedParts.toPlace(rebuild, act.step()).contains(act.subject()),
                    "subject",
                    "This step has no such place."))
        .or(
            () ->
                MatchedParts.refusal(sheet, act.subject(), act.items().get(0))
                    .flatMap(why -> no("items", why)));
  }

  private Optional<ActRefusal> paused(Act act) {
    if (rebuild.stage() == Stage.TAKE_IN) {
      return no("", "Nothing is begun yet.");
    }
    return unless(!act.subject().isBlank(), "subject", "Say what the job waits for.");
  }

  private Optional<ActRefusal> provedSafe(Act act) {
    Optional<Sheet.Hazard> hazard =
        sheet.hazards().stream().filter(h -> h.id().equals(act.subject())).findFirst();
    if (hazard.isEmpty()) {
      return no("subject", "The sheet knows no hazard called " + act.subject() + ".");
    }
    Optional<ActRefusal> early = stages.in(Stage.MAKE_SAFE);
    if (early.isPresent() || hazard.get().kind() == Handling.Answer.CONFIRM) {
      return early;
    }
    if (act.value().isEmpty()) {
      return no("value", "Read the gauge: " + hazard.get().ask() + ".");
    }
    double max = hazard.get().max().orElse(Double.MAX_VALUE);
    return unless(
        act.value().get() <= max,
        "value",
        say(
            "%s %s is over the %s %s that counts as safe. It stays live until it reads under that.",
            plain(act.value().get()), hazard.get().unit(), plain(max), hazard.get().unit()));
  }

  private Optional<ActRefusal> checked(Act act) {
    Optional<Check> check =
        rebuild.checks(act.step()).stream().filter(c -> c.id().equals(act.subject())).findFirst();
    if (check.isEmpty()) {
      return no("subject", "This step does not ask for " + act.subject() + ".");
    }
    return stages
        .current(act.step())
        .or(
            () ->
                unless(
                    check.get().kind() == Handling.Answer.CONFIRM || act.value().isPresent(),
                    "value",
                    "A number in " + check.get().unit() + " is asked for."));
  }

  private Optional<ActRefusal> stepDone(Act act) {
    Optional<ActRefusal> no = stages.current(act.step());
    if (no.isPresent()) {
      return no;
    }
    Optional<ActRefusal> waits = proof.waits(act);
    if (waits.isPresent()) {
      return waits;
    }
    for (Check check : rebuild.checks(act.step())) {
      Optional<BenchEvent> answer = rebuild.answer(act.step(), check.id());
      if (answer.isEmpty()) {
        return no(check.id(), "Still to answer: " + check.ask() + ".");
      }
      if (check.kind() == Handling.Answer.NUMBER && !within(check, answer.get())) {
        return no(check.id(), "The reading misses its limit: " + check.ask() + ".");
      }
    }
    if (rebuild.stage() == Stage.BUILD) {
      for (String place : MatchedParts.toPlace(rebuild, act.step())) {
        if (!rebuild.placed().containsKey(place)) {
          return no("placed", MatchedParts.name(sheet, place) + " is not back in its place yet.");
        }
      }
      Optional<TorqueRound> round = rebuild.torque(act.step());
      if (round.isPresent() && !round.get().finished()) {
        return no("torque", "Torque is not finished: " + round.get().missing() + ".");
      }
    }
    return Optional.empty();
  }

  private static boolean within(Check check, BenchEvent answer) {
    double value = answer.act().value().orElse(Double.NaN);
    return check.min().map(m -> value >= m).orElse(true)
        && check.max().map(m -> value <= m).orElse(true);
  }

  private Optional<ActRefusal> undone(Act act) {
    List<String> done =
        switch (rebuild.stage()) {
          case STRIP, INSPECT, DECIDE -> rebuild.stripped();
          case BUILD, PROVE -> rebuild.built();
          default -> List.of();
        };
    return unless(
        !done.isEmpty() && done.get(done.size() - 1).equals(act.step()),
        "step",
        "Only the last step can be taken back.");
  }

  private Optional<ActRefusal> stageDone(Act act) {
    Stage stage = rebuild.stage();
    if (!stage.name().equals(act.subject())) {
      return no("subject", stage.title() + " is in hand.");
    }
    return switch (stage) {
      case MAKE_SAFE ->
          unless(
              rebuild.openGates().isEmpty(),
              "",
              "Strip stays locked: " + rebuild.openGates().size() + " still to prove.");
      case INSPECT -> firstUnjudged();
      case DECIDE -> decided();
      case PROVE -> proof.firstOpen();
      default -> no("subject", stage.title() + " ends by itself.");
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

  private Optional<ActRefusal> decided() {
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
