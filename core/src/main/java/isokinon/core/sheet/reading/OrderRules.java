package isokinon.core.sheet.reading;

import isokinon.core.sheet.BuildOnlyStep;
import isokinon.core.sheet.Sheet;
import isokinon.core.sheet.Sides;
import isokinon.core.sheet.Step;
import isokinon.core.sheet.StepOrder;
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
 * Whether the steps of a sheet, as one way of work has them, can be done in both directions: no
 * step waits for itself, and no order is forbidden by another rule. Where steps exclude each other,
 * or a side is open or not, every case is tried for itself.
 */
final class OrderRules {

  /** Most pairs that exclude each other whose cases are all tried: keeps reading fast. */
  private static final int MOST_PAIRS = 6;

  private final Sheet sheet;
  private final Sheet followed;
  private final BiConsumer<String, String> fault;
  private final Set<String> told = new HashSet<>();

  /**
   * @param sheet as it is written, whose places the faults name
   * @param followed as a way of work has it
   * @param fault takes the path and the sentence
   */
  OrderRules(Sheet sheet, Sheet followed, BiConsumer<String, String> fault) {
    this.sheet = sheet;
    this.followed = followed;
    this.fault = fault;
  }

  void check() {
    checkReachable();
    if (told.isEmpty()) {
      for (Set<String> there : cases()) {
        stripWaits(there);
        buildWaits(there);
      }
    }
  }

  /** Cycles in {@code after} and {@code afterAny} alike: a step that can never be done. */
  private void checkReachable() {
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
        tell("steps[" + i + "].after", "cycle: " + id + " can never be done, it waits for itself");
      }
      if (followed.step(id).isPresent()) {
        checkAlone(i, id);
      }
    }
  }

  /** What a step takes along must not exclude itself. */
  private void checkAlone(int i, String id) {
    Set<String> along = new LinkedHashSet<>();
    take(id, along);
    for (String one : along) {
      for (String other : followed.step(one).map(Step::excludes).orElse(List.of())) {
        if (along.contains(other)) {
          tell(
              "steps[" + i + "].excludes",
              id
                  + " can never be done: it takes along "
                  + one
                  + " and "
                  + other
                  + ", which exclude each other");
        }
      }
    }
  }

  private void take(String id, Set<String> along) {
    if (along.add(id)) {
      followed
          .step(id)
          .ifPresent(
              s -> {
                s.after().forEach(a -> take(a, along));
                s.needs().forEach(n -> take(n, along));
              });
    }
  }

  /**
   * Sets of steps that may be in one plan: with either of two that exclude each other, and so on.
   */
  private List<Set<String>> cases() {
    Set<String> all = new LinkedHashSet<>();
    followed.steps().forEach(s -> all.add(s.id()));
    List<Set<String>> cases = new ArrayList<>();
    cases.add(all);
    int pairs = 0;
    for (Step step : followed.steps()) {
      for (String other : step.excludes()) {
        if (pairs++ < MOST_PAIRS) {
          cases = without(cases, List.of(List.of(step.id()), List.of(other)));
        }
      }
    }
    for (Sides sides : followed.sides()) {
      cases = without(cases, List.of(List.of(), sides.a(), sides.b()));
    }
    return cases;
  }

  private List<Set<String>> without(List<Set<String>> cases, List<List<String>> groups) {
    Set<Set<String>> split = new LinkedHashSet<>();
    for (Set<String> there : cases) {
      for (List<String> group : groups) {
        Set<String> left = new LinkedHashSet<>(there);
        group.forEach(left::remove);
        while (left.removeIf(id -> !left.containsAll(followed.step(id).orElseThrow().after()))) {
          // what needs a step that is not there is not there either
        }
        split.add(left);
      }
    }
    return new ArrayList<>(split);
  }

  private void stripWaits(Set<String> there) {
    Map<String, Set<String>> before = new HashMap<>();
    there.forEach(id -> before.put(id, new HashSet<>(followed.step(id).orElseThrow().after())));
    pairs(true, there).forEach(p -> before.get(p.get(1)).add(p.get(0)));
    tellOrders(true, stuck(before), "strip");
  }

  private void buildWaits(Set<String> there) {
    Map<String, Set<String>> before = new HashMap<>();
    Set<String> built = new LinkedHashSet<>();
    there.stream().filter(id -> !followed.step(id).orElseThrow().stripOnly()).forEach(built::add);
    followed.buildOnly().forEach(b -> built.add(b.id()));
    built.forEach(id -> before.put(id, new HashSet<>()));
    for (String id : there) {
      if (built.contains(id)) {
        followed.builtAfter(followed.step(id).orElseThrow()).stream()
            .filter(built::contains)
            .forEach(over -> before.get(over).add(id));
      }
    }
    for (BuildOnlyStep b : followed.buildOnly()) {
      named(b.after(), there).filter(built::contains).forEach(id -> before.get(b.id()).add(id));
      named(b.before(), there).filter(built::contains).forEach(id -> before.get(id).add(b.id()));
    }
    pairs(false, built).forEach(p -> before.get(p.get(1)).add(p.get(0)));
    for (Sides sides : followed.sides()) {
      String first = closing(sides.steps(Sides.Closes.CLOSES_FIRST, there), built);
      String last = closing(sides.steps(Sides.Closes.CLOSES_LAST, there), built);
      if (!first.isEmpty() && !last.isEmpty()) {
        before.get(last).add(first);
      }
    }
    Set<String> stuck = stuck(before);
    for (int i = 0; i < sheet.buildOnly().size(); i++) {
      if (stuck.contains(sheet.buildOnly().get(i).id())) {
        tell(
            "buildOnly[" + i + "]",
            "cycle: " + sheet.buildOnly().get(i).id() + " can never be built, it waits for itself");
      }
    }
    tellOrders(false, stuck, "build");
  }

  /** The last step of a side that is there: the one that closes it. */
  private static String closing(List<String> side, Set<String> there) {
    return side.stream().filter(there::contains).reduce((a, b) -> b).orElse("");
  }

  private Stream<String> named(List<String> ids, Set<String> there) {
    return ids.stream().flatMap(id -> followed.named(id, there).stream());
  }

  private List<List<String>> pairs(boolean stripping, Set<String> there) {
    List<List<String>> pairs = new ArrayList<>();
    for (StepOrder order : followed.orders()) {
      if (order.stripping() == stripping) {
        List<String> steps = order.steps().stream().filter(there::contains).toList();
        for (int i = 1; i < steps.size(); i++) {
          pairs.add(List.of(steps.get(i - 1), steps.get(i)));
        }
      }
    }
    return pairs;
  }

  /** Steps that wait for themselves, over any number of others. */
  private static Set<String> stuck(Map<String, Set<String>> before) {
    Set<String> done = new HashSet<>();
    boolean grew = true;
    while (grew) {
      grew = false;
      for (Map.Entry<String, Set<String>> e : before.entrySet()) {
        grew |= done.containsAll(e.getValue()) && done.add(e.getKey());
      }
    }
    Set<String> stuck = new HashSet<>(before.keySet());
    stuck.removeAll(done);
    return stuck;
  }

  private void tellOrders(boolean stripping, Set<String> stuck, String direction) {
    for (int i = 0; i < sheet.orders().size(); i++) {
      StepOrder order = sheet.orders().get(i);
      if (order.stripping() == stripping && stuck.containsAll(order.steps())) {
        tell(
            "order[" + i + "]",
            "the "
                + direction
                + " cannot have this order: other rules have it the other way round");
      }
    }
  }

  private void tell(String path, String sentence) {
    if (told.add(path)) {
      fault.accept(path, sentence);
    }
  }
}
