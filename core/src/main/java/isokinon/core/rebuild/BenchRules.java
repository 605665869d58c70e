package isokinon.core.rebuild;

import isokinon.core.sheet.Handling;
import isokinon.core.sheet.Handling.Check;
import isokinon.core.sheet.Part;
import isokinon.core.sheet.School;
import isokinon.core.sheet.Sheet;
import isokinon.core.torque.TorqueReading;
import isokinon.core.value.Code;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Which acts may be recorded in the state a rebuild is in, and the sentence for those that may not.
 */
final class BenchRules {

  /** So many times the way from watch to renew, or the limit of a test, no reading can lie off. */
  static final double ABSURD = 20;

  /** Longest note or reason, characters. */
  static final int MOST_TEXT = 2_000;

  private final Rebuild rebuild;
  private final Sheet sheet;
  private final ProofRules proof;

  BenchRules(Rebuild rebuild, Instant now) {
    this.rebuild = rebuild;
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
          in(Stage.MAKE_SAFE)
              .or(
                  () ->
                      unless(
                          Rebuild.CONFIRMATIONS.containsKey(act.subject()),
                          "subject",
                          "The gate does not ask for " + act.subject() + "."));
      case CHECKED -> checked(act);
      case TORQUE_READ -> torqueRead(act);
      case PASS_DONE -> passDone(act);
      case TORQUE_ACCEPTED -> accepted(act, lead);
      case STEP_DONE -> stepDone(act);
      case STEP_UNDONE -> undone(act);
      case JUDGED -> judged(act);
      case MATERIAL_CHOSEN ->
          in(Stage.DECIDE)
              .or(
                  () ->
                      unless(
                          rebuild.rolesToChoose().contains(act.subject())
                              && act.items().size() == 1,
                          "subject",
                          "No renewed part has the role " + act.subject() + "."));
      case LOT_FITTED ->
          in(Stage.DECIDE)
              .or(
                  () ->
                      unless(
                          !act.items().isEmpty() && rebuild.renewing().containsAll(act.items()),
                          "items",
                          "A lot goes into parts that are renewed."));
      case PROVED -> in(Stage.PROVE).or(() -> proof.proved(act));
      case MEASURED -> measured(act);
      case CAUSE_FOUND ->
          unless(
                  sheet.part(act.subject()).isPresent() && !act.items().isEmpty(),
                  "subject",
                  "Say which part, and why it wore.")
              .or(() -> from(Stage.STRIP));
      case SYMPTOMS_TOLD ->
          in(Stage.TAKE_IN)
              .or(() -> unless(!act.items().isEmpty(), "items", "Say what it does first."));
      case FAULT_FOUND ->
          from(Stage.STRIP)
              .or(() -> unless(!act.subject().isBlank(), "subject", "Say what it was."));
      case CLOCK_STARTED -> in(Stage.PROVE).or(() -> proof.clockStarted(act));
      case SENT_BACK -> in(Stage.PROVE).or(() -> proof.sentBack(act));
      case SETTLED -> proof.settled(act);
      case STAGE_DONE -> stageDone(act);
      case NOTED -> unless(!act.text().isBlank(), "text", "The note is empty.");
      case HANDED_BACK -> in(Stage.HAND_BACK);
    };
  }

  private Optional<ActRefusal> takeIn(Act act) {
    if (act.items().stream().noneMatch(i -> i.startsWith("renew:") || i.startsWith("inspect:"))) {
      return in(Stage.TAKE_IN).or(() -> no("items", "Choose what to renew or look at."));
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
      boolean comesOff =
          sheet.steps().stream()
              .anyMatch(s -> s.frees().contains(part) || s.disturbs().contains(part));
      if (!comesOff) {
        return no("items", "No step of the sheet takes off " + part + ".");
      }
    }
    return in(Stage.TAKE_IN);
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
    return in(Stage.BUILD)
        .or(() -> current(act.step()))
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
    Optional<ActRefusal> early = in(Stage.MAKE_SAFE);
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
    return current(act.step())
        .or(
            () ->
                unless(
                    check.get().kind() == Handling.Answer.CONFIRM || act.value().isPresent(),
                    "value",
                    "A number in " + check.get().unit() + " is asked for."));
  }

  private Optional<ActRefusal> torqueRead(Act act) {
    Optional<ActRefusal> no = joint(act);
    if (no.isPresent()) {
      return no;
    }
    TorqueRound round = rebuild.torque(act.step()).orElseThrow();
    Handling.Fastening joint = fastening(act.step()).orElseThrow();
    if (act.fastener() < 1 || act.fastener() > joint.count()) {
      return no("fastener", "This joint has fasteners 1 to " + joint.count() + ".");
    }
    if (act.value().isEmpty()) {
      return no("value", "Type what the wrench shows, in N·m.");
    }
    String absurd = TorqueReading.absurdity(joint, act.value().get());
    if (!absurd.isEmpty()) {
      return no("value", absurd);
    }
    return unless(
        act.pass() == round.pass()
            || (act.pass() == round.fullPass() && round.pass() >= act.pass()),
        "pass",
        "Pass " + round.pass() + " is in hand, not pass " + act.pass() + ".");
  }

  private Optional<ActRefusal> passDone(Act act) {
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

  private Optional<ActRefusal> accepted(Act act, boolean lead) {
    Optional<ActRefusal> no = joint(act);
    if (no.isPresent()) {
      return no;
    }
    if (!lead) {
      return no("who", "Only the lead can accept a reading out of range.");
    }
    if (act.text().isBlank()) {
      return no("text", "Say why the reading is accepted.");
    }
    return unless(
        rebuild.torque(act.step()).orElseThrow().fasteners().containsKey(act.fastener()),
        "fastener",
        "Bolt " + act.fastener() + " has no reading yet.");
  }

  private Optional<ActRefusal> joint(Act act) {
    return in(Stage.BUILD)
        .or(() -> current(act.step()))
        .or(
            () ->
                unless(
                    fastening(act.step()).isPresent(), "step", "This step has nothing to torque."));
  }

  private Optional<Handling.Fastening> fastening(String step) {
    return sheet.handling(step).flatMap(Handling::fastening);
  }

  private Optional<ActRefusal> stepDone(Act act) {
    Optional<ActRefusal> no = current(act.step());
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

  private Optional<ActRefusal> judged(Act act) {
    Optional<Part> part = sheet.part(act.subject());
    boolean reached = rebuild.plan().map(p -> p.freed().contains(act.subject())).orElse(false);
    if (part.isEmpty()) {
      return no("subject", "The sheet knows no part called " + act.subject() + ".");
    }
    Optional<Part.Verdict> verdict =
        act.items().stream().findFirst().flatMap(v -> Code.parse(Part.Verdict.class, v));
    if (verdict.isEmpty()) {
      return no("items", "A part is judged " + Code.all(Part.Verdict.class) + ".");
    }
    if (rebuild.stage() != Stage.STRIP
        && rebuild.stage() != Stage.INSPECT
        && rebuild.stage() != Stage.DECIDE) {
      return no("", "Parts are judged between Strip and Build.");
    }
    if (!reached && verdict.get() != Part.Verdict.RENEW) {
      return no("subject", part.get().name() + " is still in the pump.");
    }
    if (verdict.get() == Part.Verdict.WATCH && act.text().isBlank()) {
      return no("text", "Watch needs a reason: what was seen?");
    }
    Optional<ActRefusal> absurd = absurd(part.get(), act);
    if (absurd.isPresent()) {
      return absurd;
    }
    Optional<Part.Verdict> byLimit =
        part.get().limits().stream()
            .flatMap(l -> reading(act, l).map(l::judge).stream())
            .max(Comparator.naturalOrder());
    return unless(
        byLimit.isEmpty() || byLimit.get().compareTo(verdict.get()) <= 0 || !act.text().isBlank(),
        "text",
        "The reading says "
            + byLimit.map(Code::code).orElse("")
            + "; to judge it better than that, give a reason.");
  }

  /** What a limit reads once {@code act} is recorded: its own value, else the last one read. */
  private Optional<Double> reading(Act act, Part.Limit limit) {
    return act.step().equals(limit.measure()) && act.value().isPresent()
        ? act.value()
        : Optional.ofNullable(rebuild.readings(act.subject()).get(limit.measure()))
            .flatMap(e -> e.act().value());
  }

  private Optional<ActRefusal> measured(Act act) {
    Optional<Part> part = sheet.part(act.subject());
    if (part.isEmpty()) {
      return no("subject", "The sheet knows no part called " + act.subject() + ".");
    }
    if (part.get().limits().stream().noneMatch(l -> l.measure().equals(act.step()))) {
      return no("measure", "The sheet has no such limit for the " + name(act.subject()) + ".");
    }
    if (act.value().isEmpty()) {
      return no("value", "Type what the gauge shows.");
    }
    return from(Stage.STRIP)
        .or(
            () ->
                unless(
                    rebuild.stage().compareTo(Stage.BUILD) < 0
                        && rebuild.plan().map(p -> p.freed().contains(act.subject())).orElse(false),
                    "subject",
                    part.get().name() + " is in the pump: it is measured on the tray."))
        .or(() -> absurd(part.get(), act));
  }

  /** A reading far outside anything the limits speak of is a slip of the finger or of a unit. */
  private static Optional<ActRefusal> absurd(Part part, Act act) {
    for (Part.Limit l : part.limits()) {
      if (!l.measure().equals(act.step()) || act.value().isEmpty()) {
        continue;
      }
      double reach = ABSURD * Math.abs(l.renew() - l.watch());
      double v = act.value().get();
      boolean lengthUnderNothing = !l.eitherWay() && v < 0;
      if (lengthUnderNothing || Math.abs(v - l.watch()) > reach) {
        return no(
            "value",
            say(
                "%s %s cannot be: watch is at %s, renew at %s %s. Look at the decimal mark and the"
                    + " unit.",
                plain(v), l.unit(), plain(l.watch()), plain(l.renew()), l.unit()));
      }
    }
    return Optional.empty();
  }

  private Optional<ActRefusal> from(Stage stage) {
    return unless(
        rebuild.stage().compareTo(stage) >= 0 && rebuild.stage() != Stage.CLOSED,
        "",
        "That comes later: the rebuild is in " + rebuild.stage().title() + ".");
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
            + open.stream().findFirst().map(this::name).orElse("")
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
        return no("lot", "Book a lot for the " + name(part) + ".");
      }
    }
    return Optional.empty();
  }

  private String name(String part) {
    return sheet.part(part).map(p -> p.name().toLowerCase(Locale.ROOT)).orElse(part);
  }

  private Optional<ActRefusal> current(String step) {
    return unless(
        rebuild.currentStep().equals(Optional.of(step)),
        "step",
        rebuild
            .currentStep()
            .map(s -> "Another step is in hand now.")
            .orElse("No step is in hand in " + rebuild.stage().title() + "."));
  }

  private Optional<ActRefusal> in(Stage stage) {
    return unless(
        rebuild.stage() == stage,
        "",
        "This belongs to "
            + stage.title()
            + "; the rebuild is in "
            + rebuild.stage().title()
            + ".");
  }

  static Optional<ActRefusal> unless(boolean holds, String path, String message) {
    return holds ? Optional.empty() : no(path, message);
  }

  static Optional<ActRefusal> no(String path, String message) {
    return Optional.of(new ActRefusal(path, message));
  }

  static String say(String format, Object... values) {
    return String.format(Locale.ROOT, format, values);
  }

  static String plain(double value) {
    return value == Math.rint(value) ? Long.toString((long) value) : Double.toString(value);
  }
}
