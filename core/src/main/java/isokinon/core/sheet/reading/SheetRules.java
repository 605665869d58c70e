package isokinon.core.sheet.reading;

import isokinon.core.sheet.BuildOnlyStep;
import isokinon.core.sheet.CalledFor;
import isokinon.core.sheet.Handling;
import isokinon.core.sheet.Part;
import isokinon.core.sheet.Round;
import isokinon.core.sheet.School;
import isokinon.core.sheet.Sheet;
import isokinon.core.sheet.Sides;
import isokinon.core.sheet.Step;
import isokinon.core.sheet.StepOrder;
import isokinon.core.value.Fault;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.BiConsumer;
import java.util.stream.Stream;

/**
 * What must hold across a sheet: ids are unique and known, every part that can be renewed comes
 * off, every step can be reached. Reachability covers cycles in {@code after} and in {@code
 * afterAny} alike: a step that can never be done waits for itself.
 */
final class SheetRules {

  /** Most ways of a school, and most schools whose other ways are tried: keeps reading fast. */
  private static final int MOST_WAYS = 24;

  private final Sheet sheet;
  private final Fields root;
  private final List<Fault> faults;
  private final boolean strict;
  private final Map<String, Integer> lines = new HashMap<>();
  private final Set<String> parts = new LinkedHashSet<>();
  private final Set<String> steps = new LinkedHashSet<>();

  SheetRules(Sheet sheet, Fields root, List<Fault> faults, boolean strict) {
    this.sheet = sheet;
    this.root = root;
    this.faults = faults;
    this.strict = strict;
    for (String key :
        List.of(
            "lines",
            "parts",
            "steps",
            "buildOnly",
            "kits",
            "proof",
            "hazards",
            "schools",
            "variants",
            "order",
            "sides",
            "hardware",
            "rounds",
            "compared")) {
      List<Integer> starts = root.linesOf(key);
      for (int i = 0; i < starts.size(); i++) {
        lines.put(key + "[" + i + "]", starts.get(i));
      }
    }
  }

  void check() {
    unique("parts", sheet.parts().stream().map(Part::id).toList(), parts);
    unique("steps", sheet.steps().stream().map(Step::id).toList(), steps);
    Set<String> build = new LinkedHashSet<>(steps);
    unique("buildOnly", sheet.buildOnly().stream().map(BuildOnlyStep::id).toList(), build);
    Set<String> hazards = new HashSet<>();
    unique("hazards", sheet.hazards().stream().map(Sheet.Hazard::id).toList(), hazards);
    unique("proof", sheet.proof().stream().map(Sheet.ProofTest::id).toList(), new HashSet<>());
    unique("hardware", sheet.hardware().stream().map(Sheet.Hardware::id).toList(), new HashSet<>());
    for (int i = 0; i < sheet.hardware().size(); i++) {
      String path = "hardware[" + i + "].differs";
      sheet.hardware().get(i).differs().forEach(p -> known(path, p, parts, "part"));
    }
    checkRounds(hazards);
    checkCompared();
    unique("kits", sheet.kits().stream().map(Sheet.Kit::id).toList(), new HashSet<>());
    checkSides(build);
    checkSteps(build, hazards);
    checkOrders(build);
    checkMarks();
    checkParts();
    checkSchools();
    for (int i = 0; i < sheet.kits().size(); i++) {
      String path = "kits[" + i + "]";
      sheet.kits().get(i).parts().keySet().forEach(p -> known(path + ".parts", p, parts, "part"));
    }
    for (int i = 0; i < sheet.proof().size(); i++) {
      known("proof[" + i + "].backTo", sheet.proof().get(i).backTo(), build, "step");
      if (strict) {
        known("proof[" + i + "].hazards", sheet.proof().get(i).hazards(), hazards, "hazard");
      }
    }
    if (faults.isEmpty()) {
      waysOfWork().forEach(this::checkDoable);
    }
  }

  private void checkSchools() {
    Set<String> schoolIds = new HashSet<>();
    unique("schools", sheet.schools().stream().map(School::id).toList(), schoolIds);
    Set<String> taken = new HashSet<>();
    int plain = (int) sheet.schools().stream().filter(s -> !s.variant()).count();
    for (int i = 0; i < sheet.schools().size(); i++) {
      School school = sheet.schools().get(i);
      String path = school.variant() ? "variants[" + (i - plain) + "]" : "schools[" + i + "]";
      for (School.Way way : school.ways()) {
        if (!taken.add(way.id())) {
          fault(path + ".ways", "the way " + way.id() + " is taken");
        }
      }
      if (school.ways().size() < 2 || school.ways().size() > MOST_WAYS) {
        fault(path + ".ways", "a school has 2 to " + MOST_WAYS + " ways");
      }
      if (school.ways().stream().filter(School.Way::standard).count() != 1) {
        fault(path + ".ways", "exactly one way is the default");
      }
    }
    sheet.allSchools().forEach(s -> s.ways().forEach(w -> taken.add(w.id())));
    eachHandling(
        (path, how) ->
            Stream.of(
                    Stream.of(how.onlyFor()),
                    how.cautions().stream().map(Handling.Caution::onlyFor),
                    how.apply().stream().map(Handling.Apply::onlyFor),
                    how.checks().stream().map(Handling.Check::onlyFor),
                    how.fastenings().stream().map(Handling.Fastening::onlyFor))
                .flatMap(s -> s)
                .forEach(o -> knownWays(path, o.ways(), taken)));
    for (int i = 0; i < sheet.steps().size(); i++) {
      String path = "steps[" + i + "].byWay";
      sheet.steps().get(i).byWay().forEach(w -> knownWays(path, w.onlyFor().ways(), taken));
    }
    for (int i = 0; i < sheet.parts().size(); i++) {
      knownWays("parts[" + i + "]", sheet.parts().get(i).ways(), taken);
    }
    for (int i = 0; i < sheet.kits().size(); i++) {
      knownWays("kits[" + i + "]", sheet.kits().get(i).onlyFor().ways(), taken);
    }
    for (int i = 0; i < sheet.proof().size(); i++) {
      knownWays("proof[" + i + "]", sheet.proof().get(i).onlyFor().ways(), taken);
    }
    for (int i = 0; i < sheet.hazards().size(); i++) {
      knownWays("hazards[" + i + "]", sheet.hazards().get(i).onlyFor().ways(), taken);
    }
    for (int i = 0; i < sheet.orders().size(); i++) {
      knownWays("order[" + i + "]", sheet.orders().get(i).onlyFor().ways(), taken);
    }
  }

  private void knownWays(String path, Set<String> named, Set<String> ways) {
    named.forEach(w -> known(path + ".way", w, ways, "way"));
  }

  /** The standard way of work, and each that differs from it in one school. */
  private List<Sheet> waysOfWork() {
    List<Sheet> all = new ArrayList<>();
    all.add(sheet.by(List.of()));
    sheet.schools().stream()
        .flatMap(s -> s.ways().stream())
        .filter(w -> !w.standard())
        .limit(MOST_WAYS)
        .forEach(w -> all.add(sheet.by(List.of(w.id()))));
    return all;
  }

  private void checkDoable(Sheet followed) {
    if (faults.isEmpty()) {
      new OrderRules(sheet, followed, this::fault).check();
    }
    if (faults.isEmpty()) {
      checkFreed(followed);
      checkFastenings(followed);
    }
  }

  /** Also where another school is followed every part that can be renewed comes off. */
  private void checkFreed(Sheet followed) {
    Set<String> off = new HashSet<>();
    followed.steps().forEach(s -> off.addAll(s.opens()));
    for (int i = 0; i < sheet.parts().size(); i++) {
      Part part = sheet.parts().get(i);
      if (part.renew() != Part.Renew.KEEP
          && followed.part(part.id()).isPresent()
          && !off.contains(part.id())) {
        fault("parts[" + i + "]", "no step frees " + part.id() + " when another way is chosen");
      }
    }
  }

  /** A job closes a joint in one way. */
  private void checkFastenings(Sheet followed) {
    for (int i = 0; i < sheet.steps().size(); i++) {
      oneJoint("steps[" + i + "]", followed, sheet.steps().get(i).id());
    }
    for (int i = 0; i < sheet.buildOnly().size(); i++) {
      oneJoint("buildOnly[" + i + "]", followed, sheet.buildOnly().get(i).id());
    }
  }

  private void oneJoint(String path, Sheet followed, String id) {
    List<Handling.Fastening> joints =
        followed.handling(id).map(Handling::fastenings).orElse(List.of());
    boolean byMaterial = joints.stream().anyMatch(f -> !f.onlyFor().materials().isEmpty());
    if (joints.size() > 1 && !byMaterial) {
      fault(path + ".fastening", "two joints are closed at once: each needs a way of its own");
    }
  }

  private void checkCompared() {
    for (int i = 0; i < sheet.compared().size(); i++) {
      String path = "compared[" + i + "]";
      for (Part.Measured m : sheet.compared().get(i).of()) {
        known(path, m.part(), parts, "part");
        if (sheet.part(m.part()).filter(p -> p.limit(m.measure()).isEmpty()).isPresent()) {
          fault(path, m.part() + " has no limit of " + m.measure());
        }
      }
    }
  }

  private void checkRounds(Set<String> hazards) {
    unique("rounds", sheet.rounds().stream().map(Round::id).toList(), new HashSet<>());
    for (int i = 0; i < sheet.rounds().size(); i++) {
      String path = "rounds[" + i + "]";
      known(path + ".hazards", sheet.rounds().get(i).hazards(), hazards, "hazard");
      unique(
          path + ".checks",
          sheet.rounds().get(i).checks().stream().map(Handling.Check::id).toList(),
          new HashSet<>());
    }
  }

  private void checkSides(Set<String> build) {
    unique("sides", sheet.sides().stream().map(Sides::id).toList(), new HashSet<>());
    for (int i = 0; i < sheet.sides().size(); i++) {
      known("sides[" + i + "].a", sheet.sides().get(i).a(), build, "step");
      known("sides[" + i + "].b", sheet.sides().get(i).b(), build, "step");
    }
  }

  private void checkOrders(Set<String> build) {
    for (int i = 0; i < sheet.orders().size(); i++) {
      StepOrder order = sheet.orders().get(i);
      String path = "order[" + i + "]";
      known(path, order.steps(), order.stripping() ? steps : build, "step");
      if (!order.stripping()) {
        for (String id : order.steps()) {
          sheet.step(id).filter(Step::stripOnly).ifPresent(s -> fault(path, id + " is not built"));
        }
      }
    }
  }

  /** A mark that is made is met, at a step that is built, and what is met was made. */
  private void checkMarks() {
    Set<String> made = new HashSet<>();
    Set<String> met = new HashSet<>();
    eachHandling(
        (path, how) -> {
          for (Handling.Check c : how.checks()) {
            c.makes().ifPresent(made::add);
            if (!c.mark().isEmpty()) {
              met.add(c.mark());
            }
          }
        });
    eachHandling(
        (path, how) -> {
          for (Handling.Check c : how.checks()) {
            if (!c.mark().isEmpty() && !made.contains(c.mark())) {
              fault(path + ".meets", "no mark is called " + c.mark());
            }
            if (c.makes().filter(m -> !met.contains(m)).isPresent()) {
              fault(path + ".marks", "the mark of " + c.id() + " is never met");
            }
          }
        });
  }

  private void eachHandling(BiConsumer<String, Handling> look) {
    for (int i = 0; i < sheet.steps().size(); i++) {
      look.accept("steps[" + i + "]", sheet.steps().get(i).how());
    }
    for (int i = 0; i < sheet.buildOnly().size(); i++) {
      look.accept("buildOnly[" + i + "]", sheet.buildOnly().get(i).how());
    }
  }

  private void checkSteps(Set<String> build, Set<String> hazards) {
    Set<String> checkIds = new HashSet<>();
    Set<String> named = new HashSet<>(build);
    sheet.sides().forEach(side -> named.addAll(side.names()));
    for (int i = 0; i < sheet.steps().size(); i++) {
      Step step = sheet.steps().get(i);
      String path = "steps[" + i + "]";
      known(path + ".frees", step.frees(), parts, "part");
      known(path + ".disturbs", step.disturbs(), parts, "part");
      known(path + ".aside", step.aside(), parts, "part");
      known(path + ".after", step.after(), steps, "step");
      known(path + ".needs", step.needs(), steps, "step");
      known(path + ".excludes", step.excludes(), steps, "step");
      for (int g = 0; g < step.afterAny().size(); g++) {
        known(path + ".afterAny[" + g + "]", step.afterAny().get(g), steps, "step");
      }
      for (String id : step.disturbs()) {
        sheet
            .part(id)
            .filter(p -> !p.oneTime())
            .ifPresent(p -> fault(path + ".disturbs", id + " is not a one-time part"));
      }
      handling(path, step.how(), hazards, checkIds);
    }
    for (int i = 0; i < sheet.buildOnly().size(); i++) {
      BuildOnlyStep step = sheet.buildOnly().get(i);
      String path = "buildOnly[" + i + "]";
      known(path + ".after", step.after(), named, "step");
      known(path + ".before", step.before(), named, "step");
      CalledFor c = step.calledFor();
      known(path + ".with", c.renewed(), parts, "part");
      known(path + ".when.off", c.off(), parts, "part");
      known(path + ".when.back", c.back(), parts, "part");
      known(path + ".when.steps", c.steps(), named, "step");
      known(path + ".when.without", c.without(), named, "step");
      known(path + ".beside", step.beside(), parts, "part");
      handling(path, step.how(), hazards, checkIds);
    }
  }

  private void handling(String path, Handling how, Set<String> hazards, Set<String> checkIds) {
    if (strict) {
      known(path + ".hazards", how.hazards(), hazards, "hazard");
      known(path + ".hazards", how.stripping().hazards().orElse(List.of()), hazards, "hazard");
      known(path + ".hazards", how.building().hazards().orElse(List.of()), hazards, "hazard");
      how.apply().forEach(a -> known(path + ".apply", a.named(), parts, "part"));
    }
    for (Handling.Check check : how.checks()) {
      if (!checkIds.add(check.id())) {
        fault(path + ".checks", "two checks are called " + check.id());
      }
      if (check.kind() == Handling.Answer.NUMBER && check.unit().isEmpty()) {
        fault(path + ".checks", "check " + check.id() + " asks for a number without a unit");
      }
    }
  }

  private void checkParts() {
    Set<String> off = new HashSet<>();
    sheet.steps().forEach(s -> off.addAll(s.opens()));
    Set<String> lineIds = new HashSet<>();
    sheet.lines().forEach(l -> lineIds.add(l.id()));
    for (int i = 0; i < sheet.parts().size(); i++) {
      Part part = sheet.parts().get(i);
      if (part.renew() != Part.Renew.KEEP && !off.contains(part.id())) {
        fault("parts[" + i + "]", "no step frees " + part.id());
      }
      if (strict && part.matched() && part.because().isEmpty()) {
        fault("parts[" + i + "].because", "a matched part says why it returns to its place");
      }
      if (strict && part.place().isPresent() && !lineIds.contains(part.place().get().line())) {
        fault("parts[" + i + "].place", "no line is called " + part.place().get().line());
      }
    }
  }

  private void unique(String key, List<String> ids, Set<String> into) {
    for (int i = 0; i < ids.size(); i++) {
      if (!ids.get(i).isEmpty() && !into.add(ids.get(i))) {
        fault(key + "[" + i + "].id", "the id " + ids.get(i) + " is taken");
      }
    }
  }

  private void known(String path, List<String> ids, Set<String> all, String what) {
    for (int i = 0; i < ids.size(); i++) {
      known(path + "[" + i + "]", ids.get(i), all, what);
    }
  }

  private void known(String path, String id, Set<String> all, String what) {
    if (!all.contains(id)) {
      fault(path, "unknown " + what + " \"" + id + "\"");
    }
  }

  private void fault(String path, String message) {
    String head = path.contains("]") ? path.substring(0, path.indexOf(']') + 1) : path;
    faults.add(Fault.at(path, lines.getOrDefault(head, root.line()), message));
  }
}
