package isokinon.core.rules;

import static isokinon.core.rules.StageRules.no;
import static isokinon.core.rules.StageRules.say;
import static isokinon.core.rules.StageRules.unless;
import static isokinon.core.value.Numbers.plain;

import isokinon.core.act.Measurement;
import isokinon.core.act.PartAct;
import isokinon.core.act.PartReading;
import isokinon.core.act.Stage;
import isokinon.core.rebuild.Rebuild;
import isokinon.core.sheet.Part;
import isokinon.core.sheet.Sheet;
import isokinon.core.value.Code;
import java.util.Comparator;
import java.util.Optional;
import java.util.stream.Stream;

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

  Optional<ActRefusal> judged(PartAct.Judged act) {
    Optional<Part> part = sheet.part(act.part());
    boolean reached = rebuild.comesOff(act.part());
    if (part.isEmpty()) {
      return unknown(act.part());
    }
    if (rebuild.stage() != Stage.STRIP
        && rebuild.stage() != Stage.INSPECT
        && rebuild.stage() != Stage.DECIDE) {
      return no("", "Parts are judged between Strip and Build.");
    }
    if (!reached && act.verdict() != Part.Verdict.RENEW) {
      return no("part", part.get().name() + " is still in the pump.");
    }
    if (act.verdict() == Part.Verdict.WATCH && act.because().isBlank()) {
      return no("because", "Watch needs a reason: what was seen?");
    }
    for (Measurement m : act.measurements()) {
      Optional<ActRefusal> refused = noReading(part.get(), m);
      if (refused.isPresent()) {
        return refused;
      }
    }
    Optional<Part.Verdict> byLimit =
        part.get().limits().stream()
            .flatMap(l -> reading(act, l).map(l::judge).stream())
            .max(Comparator.naturalOrder());
    return unless(
        byLimit.isEmpty()
            || byLimit.get().compareTo(act.verdict()) <= 0
            || !act.because().isBlank(),
        "because",
        "The reading says "
            + byLimit.map(Code::code).orElse("")
            + "; to judge it better than that, give a reason.");
  }

  /** What a limit reads once {@code act} is recorded: its own value, else the last one read. */
  private Optional<Double> reading(PartAct.Judged act, Part.Limit limit) {
    return Stream.concat(
            act.measurements().stream(),
            rebuild.readings(act.part()).values().stream().map(PartReading::measurement))
        .filter(m -> m.measure().equals(limit.measure()))
        .map(m -> m.reading().value())
        .findFirst();
  }

  Optional<ActRefusal> measured(PartAct.Measured act) {
    Optional<Part> part = sheet.part(act.part());
    if (part.isEmpty()) {
      return unknown(act.part());
    }
    return stages
        .from(Stage.STRIP)
        .or(
            () ->
                unless(
                    rebuild.stage().compareTo(Stage.BUILD) < 0 && rebuild.comesOff(act.part()),
                    "part",
                    part.get().name() + " is in the pump: it is measured on the tray."))
        .or(() -> noReading(part.get(), act.measurement()));
  }

  /**
   * Why a measurement cannot stand. A reading far outside anything the limits speak of is a slip of
   * the finger or of a unit. The path is the measure, so that the sentence stands at its field.
   */
  private Optional<ActRefusal> noReading(Part part, Measurement m) {
    Optional<Part.Limit> limit = part.limit(m.measure());
    if (limit.isEmpty()) {
      return no(m.measure(), "The sheet has no such limit for the " + stages.name(part.id()) + ".");
    }
    Part.Limit l = limit.get();
    double value = m.reading().value();
    Part.Edge edge = l.toward(value);
    double reach = StageRules.ABSURD * Math.abs(edge.renew() - edge.watch());
    boolean lengthUnderNothing = !l.eitherWay() && value < 0;
    return unless(
        !lengthUnderNothing && Math.abs(value - edge.watch()) <= reach,
        m.measure(),
        say(
            "%s %s cannot be: watch is at %s, renew at %s %s. Look at the decimal mark and the"
                + " unit.",
            plain(value), l.unit(), plain(edge.watch()), plain(edge.renew()), l.unit()));
  }

  private static Optional<ActRefusal> unknown(String part) {
    return no("part", "The sheet knows no part called " + part + ".");
  }

  /** A material can be chosen only for a role that a renewed part has. */
  Optional<ActRefusal> roleToChoose(String role) {
    return unless(
        rebuild.rolesToChoose().contains(role),
        "role",
        "No renewed part has the role " + role + ".");
  }

  Optional<ActRefusal> kitFitted(PartAct.KitFitted act) {
    return unless(
            !act.parts().isEmpty() && rebuild.renewing().containsAll(act.parts()),
            "parts",
            "A lot goes into parts that are renewed.")
        .or(
            () ->
                act.materials().keySet().stream()
                    .flatMap(role -> roleToChoose(role).stream())
                    .findFirst())
        .or(
            () ->
                act.materials().values().stream()
                    .flatMap(material -> named(material).stream())
                    .findFirst());
  }

  /** A chosen material has a name: the record of one that has none could not be read again. */
  Optional<ActRefusal> named(String material) {
    return unless(!material.isBlank(), "material", "Say which material goes in.");
  }
}
