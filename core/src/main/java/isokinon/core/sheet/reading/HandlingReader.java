package isokinon.core.sheet.reading;

import isokinon.core.sheet.Handling;
import isokinon.core.sheet.Handling.About;
import isokinon.core.sheet.Handling.When;
import isokinon.core.sheet.OnlyFor;
import isokinon.core.sheet.Sides;
import isokinon.core.value.Code;
import isokinon.core.value.Source;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import java.util.function.Function;

/** Reads how a step is done: what is in the hand, what goes on what, what is asked. */
final class HandlingReader {

  private static final String LOCKED_AGAIN =
      "Drive isolated and locked again, tried dead, before hands go back in";

  private HandlingReader() {}

  /**
   * @param step id of the step
   */
  static Handling handling(Fields f, String step) {
    List<Power> power =
        f.oneOrEach("power", p -> new Power(p.required("why"), p.required("clear")));
    List<Mark> marks = f.each("marks", HandlingReader::mark);
    List<Handling.Check> checks = new ArrayList<>();
    checks.addAll(ofPower(power, step + "-clear", Power::clear));
    List<Handling.Check> own = f.each("checks", HandlingReader::check);
    if (power.isEmpty()) {
      marks.forEach(m -> checks.add(m.made()));
      checks.addAll(own);
    } else {
      // What is watched under power comes before the lock, a mark is made by hand after it.
      checks.addAll(own);
      checks.addAll(ofPower(power, step + "-isolated", p -> LOCKED_AGAIN));
      marks.forEach(m -> checks.add(m.made()));
    }
    marks.stream().filter(m -> !m.meet.isEmpty()).forEach(m -> checks.add(m.met()));
    checks.addAll(f.each("meets", m -> meet(m, step)));
    return new Handling(
        f.text("pose"),
        f.words("tools"),
        f.words("hazards"),
        f.each("cautions", HandlingReader::caution),
        f.oneOrEach("fastening", HandlingReader::fastening),
        f.each("apply", HandlingReader::apply),
        List.copyOf(checks),
        power.stream().map(Power::why).toList(),
        turn(f),
        onlyFor(f),
        apart(f, "stripping"),
        apart(f, "building"));
  }

  /** For which jobs something holds: {@code way}, {@code onlyFor} and {@code notFor}. */
  static OnlyFor onlyFor(Fields f) {
    return new OnlyFor(
        new TreeSet<>(f.wordOrWords("way")),
        new TreeSet<>(f.words("onlyFor")),
        new TreeSet<>(f.words("notFor")));
  }

  /** What differs in one direction. */
  static Handling.Apart apart(Fields f, String key) {
    return f.inner(
            key,
            a ->
                new Handling.Apart(
                    a.optional("pose"),
                    a.has("tools") ? Optional.of(a.words("tools")) : Optional.empty(),
                    a.has("hazards") ? Optional.of(a.words("hazards")) : Optional.empty(),
                    turn(a)))
        .orElse(Handling.Apart.NOTHING);
  }

  private static Optional<Handling.Turn> turn(Fields f) {
    String seenFrom = f.text("seenFrom");
    return f.has("turn")
        ? Optional.of(
            new Handling.Turn(
                f.code("turn", Rotation.class, Rotation.CLOCKWISE) == Rotation.CLOCKWISE, seenFrom))
        : Optional.empty();
  }

  /** The two words a direction of turning is written with. */
  private enum Rotation implements Code {
    CLOCKWISE,
    ANTICLOCKWISE
  }

  private static Handling.Caution caution(Fields f) {
    return new Handling.Caution(
        f.code("when", When.class, When.BOTH), f.required("say"), onlyFor(f), closes(f));
  }

  private static Optional<Sides.Closes> closes(Fields f) {
    return f.has("closes")
        ? Optional.of(f.code("closes", Sides.Closes.class, Sides.Closes.CLOSES_LAST))
        : Optional.empty();
  }

  private static Handling.Apply apply(Fields f) {
    List<String> to = f.wordOrWords("to");
    if (to.isEmpty()) {
      f.required("to");
    }
    return new Handling.Apply(f.required("what"), to, f.words("reaches"), amount(f), onlyFor(f));
  }

  static Handling.Supply supply(Fields f) {
    Optional<Handling.Amount> amount = amount(f);
    if (amount.isEmpty()) {
      f.fault("", "how much comes with the kit, in ml or in g");
    }
    return new Handling.Supply(
        f.required("what"), amount.orElse(new Handling.Amount(1, Handling.AmountUnit.ML)));
  }

  private static Optional<Handling.Amount> amount(Fields f) {
    Optional<Handling.Amount> ml =
        f.optionalNumber("ml", 0.01, 100_000)
            .map(v -> new Handling.Amount(v, Handling.AmountUnit.ML));
    Optional<Handling.Amount> g =
        f.optionalNumber("g", 0.01, 100_000)
            .map(v -> new Handling.Amount(v, Handling.AmountUnit.G));
    if (ml.isPresent() && g.isPresent()) {
      f.fault("g", "an amount is given in ml or in g, not in both");
    }
    return ml.or(() -> g);
  }

  private record Power(String why, String clear) {}

  /** A mark: made once, met once or more. */
  private record Mark(
      String id, String make, String meet, When when, String unit, Optional<Double> within) {

    private Handling.Answer kind() {
      return unit.isEmpty() ? Handling.Answer.CONFIRM : Handling.Answer.NUMBER;
    }

    Handling.Check made() {
      return ofMark(Handling.Check.making(id), make, kind(), when, unit, "", Optional.empty());
    }

    Handling.Check met() {
      return ofMark(id + "-met", meet, kind(), When.BUILD, unit, id, within);
    }
  }

  private static Mark mark(Fields f) {
    When when = f.code("when", When.class, When.STRIP);
    if (when == When.BOTH) {
      f.fault("when", "a mark is made while stripping or while building");
    }
    String unit = f.text("unit");
    Optional<Double> within = f.optionalNumber("within", 0, 1e6);
    if (within.isPresent() == unit.isEmpty()) {
      f.fault("within", "a mark with a reading has a unit and how far it may lie off");
    }
    return new Mark(f.required("id"), f.required("make"), f.text("meet"), when, unit, within);
  }

  private static Handling.Check meet(Fields f, String step) {
    String mark = f.required("mark");
    String id = f.has("id") ? f.text("id") : mark + "-met-at-" + step;
    String unit = f.text("unit");
    return ofMark(
        id,
        f.required("ask"),
        unit.isEmpty() ? Handling.Answer.CONFIRM : Handling.Answer.NUMBER,
        f.code("when", When.class, When.BUILD),
        unit,
        mark,
        f.optionalNumber("within", 0, 1e6));
  }

  private static Handling.Check ofMark(
      String id,
      String ask,
      Handling.Answer kind,
      When when,
      String unit,
      String mark,
      Optional<Double> within) {
    return held(id, ask, kind, when, unit, About.MARK, mark, within);
  }

  /** A hold point for each time under power; their ids are numbered where there are more. */
  private static List<Handling.Check> ofPower(
      List<Power> power, String id, Function<Power, String> ask) {
    List<Handling.Check> checks = new ArrayList<>();
    for (int i = 0; i < power.size(); i++) {
      checks.add(
          held(
              power.size() > 1 ? id + "-" + (i + 1) : id,
              ask.apply(power.get(i)),
              Handling.Answer.CONFIRM,
              When.BOTH,
              "",
              About.POWER,
              "",
              Optional.empty()));
    }
    return checks;
  }

  /** A hold point that the sheet does not write as a check. */
  private static Handling.Check held(
      String id,
      String ask,
      Handling.Answer kind,
      When when,
      String unit,
      About about,
      String mark,
      Optional<Double> within) {
    return new Handling.Check(
        id,
        ask,
        kind,
        when,
        true,
        false,
        unit,
        Optional.empty(),
        Optional.empty(),
        about,
        OnlyFor.EVERY_JOB,
        Optional.empty(),
        false,
        0,
        mark,
        within);
  }

  static Handling.Check check(Fields f) {
    Fields.Limits limits = f.limits();
    return new Handling.Check(
        f.required("id"),
        f.wanted("ask", ""),
        f.code("kind", Handling.Answer.class, Handling.Answer.CONFIRM),
        f.code("when", When.class, When.BUILD),
        f.flag("hold"),
        f.flag("second"),
        f.text("unit"),
        limits.min(),
        limits.max(),
        About.STEP,
        onlyFor(f),
        closes(f),
        f.flag("pair"),
        f.integer("clockSeconds", 0, 0, 1_000_000),
        "",
        Optional.empty());
  }

  private static Source source(Fields f) {
    boolean table = f.flag("guidance");
    if (table && f.has("page")) {
      f.fault("guidance", "a torque is the manual's or a table's, not both");
    }
    return table ? new Source(Source.Kind.TABLE, "") : f.source();
  }

  private static Handling.Fastening fastening(Fields f) {
    double min = f.number("minNm", 0, 0, 10_000);
    double max = f.number("maxNm", min, 0, 10_000);
    if (max < min) {
      f.fault("maxNm", "torque max " + max + " N·m is under min " + min + " N·m");
    }
    String until = f.text("until");
    if (!until.isEmpty() && max > 0) {
      f.fault("until", "a joint is tight by a torque or by a sign, not by both");
    }
    return new Handling.Fastening(
        f.integer("count", 1, 1, 200),
        f.code("layout", Handling.Layout.class, Handling.Layout.CIRCLE),
        f.text("thread"),
        min,
        max,
        f.text("threads"),
        f.text("locker"),
        f.number("retorqueHours", 0, 0, 1000),
        f.number("cureHours", Handling.Fastening.USUAL_CURE_HOURS, 0, 1000),
        f.text("across"),
        source(f),
        until,
        f.flag("leftHand"),
        onlyFor(f));
  }
}
