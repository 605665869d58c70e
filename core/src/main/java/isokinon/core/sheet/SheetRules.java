package isokinon.core.sheet;

import isokinon.core.value.Fault;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
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
            "hardware")) {
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
    unique("kits", sheet.kits().stream().map(Sheet.Kit::id).toList(), new HashSet<>());
    checkSteps(build, hazards);
    checkParts();
    checkSchools();
    for (int i = 0; i < sheet.kits().size(); i++) {
      String path = "kits[" + i + "]";
      sheet.kits().get(i).parts().keySet().forEach(p -> known(path + ".parts", p, parts, "part"));
    }
    for (int i = 0; i < sheet.proof().size(); i++) {
      String back = sheet.proof().get(i).backTo();
      if (!back.isEmpty()) {
        known("proof[" + i + "].backTo", back, build, "step");
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
    for (int i = 0; i < sheet.schools().size(); i++) {
      School school = sheet.schools().get(i);
      String path = "schools[" + i + "]";
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
    for (int i = 0; i < sheet.steps().size(); i++) {
      knownWays("steps[" + i + "]", sheet.steps().get(i).how(), taken);
    }
    for (int i = 0; i < sheet.buildOnly().size(); i++) {
      knownWays("buildOnly[" + i + "]", sheet.buildOnly().get(i).how(), taken);
    }
  }

  private void knownWays(String path, Handling how, Set<String> ways) {
    Stream.of(
            Stream.of(how.way()),
            how.cautions().stream().map(Handling.Caution::way),
            how.apply().stream().map(Handling.Apply::way),
            how.checks().stream().map(Handling.Check::way),
            how.fastening().stream().map(Handling.Fastening::way))
        .flatMap(s -> s)
        .filter(w -> !w.isEmpty())
        .forEach(w -> known(path + ".way", w, ways, "way"));
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
      checkReachable(followed);
      checkBuildable(followed);
    }
    if (faults.isEmpty()) {
      checkFreed(followed);
    }
  }

  /** Also where another school is followed every part that can be renewed comes off. */
  private void checkFreed(Sheet followed) {
    Set<String> off = new HashSet<>();
    followed.steps().forEach(s -> off.addAll(s.opens()));
    for (int i = 0; i < sheet.parts().size(); i++) {
      Part part = sheet.parts().get(i);
      if (part.renew() != Part.Renew.KEEP && !off.contains(part.id())) {
        fault("parts[" + i + "]", "no step frees " + part.id() + " when another way is chosen");
      }
    }
  }

  private void checkSteps(Set<String> build, Set<String> hazards) {
    Set<String> checkIds = new HashSet<>();
    for (int i = 0; i < sheet.steps().size(); i++) {
      Step step = sheet.steps().get(i);
      String path = "steps[" + i + "]";
      known(path + ".frees", step.frees(), parts, "part");
      known(path + ".disturbs", step.disturbs(), parts, "part");
      known(path + ".after", step.after(), steps, "step");
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
      known(path + ".after", step.after(), build, "step");
      known(path + ".before", step.before(), build, "step");
      known(path + ".with", step.with(), parts, "part");
      known(path + ".beside", step.beside(), parts, "part");
      handling(path, step.how(), hazards, checkIds);
    }
  }

  private void handling(String path, Handling how, Set<String> hazards, Set<String> checkIds) {
    if (strict) {
      known(path + ".hazards", how.hazards(), hazards, "hazard");
      how.apply().forEach(a -> known(path + ".apply", a.to(), parts, "part"));
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

  private void checkReachable(Sheet followed) {
    Set<String> done = new HashSet<>();
    boolean grew = true;
    while (grew) {
      grew = false;
      for (Step step : followed.steps()) {
        if (!done.contains(step.id())
            && done.containsAll(step.after())
            && (step.afterAny().isEmpty()
                || step.afterAny().stream().anyMatch(done::containsAll))) {
          grew |= done.add(step.id());
        }
      }
    }
    for (int i = 0; i < sheet.steps().size(); i++) {
      String id = sheet.steps().get(i).id();
      if (!done.contains(id) && followed.step(id).isPresent()) {
        fault("steps[" + i + "].after", "cycle: " + id + " can never be done, it waits for itself");
      }
    }
  }

  /** Build steps, with those that only building has, must not wait for each other either. */
  private void checkBuildable(Sheet followed) {
    Map<String, Set<String>> before = new HashMap<>();
    followed.steps().forEach(s -> before.put(s.id(), new HashSet<>()));
    followed.buildOnly().forEach(b -> before.put(b.id(), new HashSet<>(b.after())));
    followed.steps().forEach(s -> s.after().forEach(inner -> before.get(inner).add(s.id())));
    followed.buildOnly().forEach(b -> b.before().forEach(later -> before.get(later).add(b.id())));
    Set<String> built = new HashSet<>();
    while (before.entrySet().stream()
        .filter(e -> built.containsAll(e.getValue()))
        .map(e -> built.add(e.getKey()))
        .reduce(false, Boolean::logicalOr)) {
      // goes on as long as another step could be built
    }
    for (int i = 0; i < sheet.buildOnly().size(); i++) {
      String id = sheet.buildOnly().get(i).id();
      if (!built.contains(id) && followed.buildOnlyStep(id).isPresent()) {
        fault("buildOnly[" + i + "]", "cycle: " + id + " can never be built, it waits for itself");
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
