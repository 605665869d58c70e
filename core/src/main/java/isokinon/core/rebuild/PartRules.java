package isokinon.core.rebuild;

import static isokinon.core.rebuild.StageRules.no;
import static isokinon.core.rebuild.StageRules.plain;
import static isokinon.core.rebuild.StageRules.say;
import static isokinon.core.rebuild.StageRules.unless;

import isokinon.core.sheet.Part;
import isokinon.core.sheet.Sheet;
import isokinon.core.value.Code;
import java.util.Comparator;
import java.util.Optional;

/** Which judgements and readings of a part may be recorded. */
final class PartRules {

  private final Rebuild rebuild;
  private final Sheet sheet;
  private final StageRules stages;

  PartRules(Rebuild rebuild) {
    this.rebuild = rebuild;
    this.sheet = rebuild.sheet();
    this.stages = new StageRules(rebuild);
  }

  Optional<ActRefusal> judged(Act act) {
    Optional<Part> part = sheet.part(act.subject());
    boolean reached = rebuild.comesOff(act.subject());
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

  Optional<ActRefusal> measured(Act act) {
    Optional<Part> part = sheet.part(act.subject());
    if (part.isEmpty()) {
      return no("subject", "The sheet knows no part called " + act.subject() + ".");
    }
    if (part.get().limits().stream().noneMatch(l -> l.measure().equals(act.step()))) {
      return no(
          "measure", "The sheet has no such limit for the " + stages.name(act.subject()) + ".");
    }
    if (act.value().isEmpty()) {
      return no("value", "Type what the gauge shows.");
    }
    return stages
        .from(Stage.STRIP)
        .or(
            () ->
                unless(
                    rebuild.stage().compareTo(Stage.BUILD) < 0 && rebuild.comesOff(act.subject()),
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
      double reach = StageRules.ABSURD * Math.abs(l.renew() - l.watch());
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
}
