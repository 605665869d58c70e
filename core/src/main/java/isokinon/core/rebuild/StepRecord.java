package isokinon.core.rebuild;

import isokinon.core.act.BenchEvent;
import isokinon.core.act.Reading;
import isokinon.core.act.StepAct;
import isokinon.core.sheet.Handling;
import isokinon.core.sheet.Sheet;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * The steps that were done, with the answers to their checks, their torque and what was put back.
 */
final class StepRecord {

  private final List<String> stripped = new ArrayList<>();
  private final List<String> built = new ArrayList<>();
  private final List<String> earlierBuilt = new ArrayList<>();
  private final Map<String, Instant> builtAt = new LinkedHashMap<>();
  private final Map<String, BenchEvent<StepAct.Checked>> answers = new HashMap<>();
  private final Map<String, BenchEvent<StepAct.CheckLeft>> left = new HashMap<>();
  private final Map<String, BenchEvent<StepAct.Seconded>> seconded = new HashMap<>();
  private final Map<String, TorqueRound> rounds = new HashMap<>();
  private final Map<String, String> placed = new LinkedHashMap<>();

  void done(String step, boolean building, Instant at) {
    (building ? built : stripped).add(step);
    if (building) {
      builtAt.put(step, at);
    }
  }

  void undo(String step, boolean building, Sheet sheet) {
    (building ? built : stripped).remove(step);
    if (building) {
      builtAt.remove(step);
      MatchedParts.places(sheet, step).forEach(placed::remove);
    }
    forget(step, building);
  }

  private void forget(String step, boolean building) {
    if (building) {
      rounds.remove(step);
    }
    Stream.of(answers, left, seconded)
        .forEach(m -> m.keySet().removeIf(k -> k.startsWith(key(step, "", building))));
  }

  void answer(BenchEvent<StepAct.Checked> event, boolean building) {
    String check = key(event.act().step(), event.act().check(), building);
    answers.put(check, event);
    left.remove(check);
    seconded.remove(check);
  }

  void leave(BenchEvent<StepAct.CheckLeft> event, boolean building) {
    left.put(key(event.act().step(), event.act().check(), building), event);
  }

  void second(BenchEvent<StepAct.Seconded> event, boolean building) {
    seconded.put(key(event.act().step(), event.act().check(), building), event);
  }

  Optional<BenchEvent<StepAct.CheckLeft>> leftBecause(String step, String check, boolean building) {
    return Optional.ofNullable(left.get(key(step, check, building)));
  }

  Optional<BenchEvent<StepAct.Seconded>> secondTo(String step, String check, boolean building) {
    return Optional.ofNullable(seconded.get(key(step, check, building)));
  }

  /** The reading a mark was made with, at whichever step; empty where it has none so far. */
  Optional<Double> readingOfMark(String mark) {
    return answers.values().stream()
        .filter(e -> e.act().check().equals(Handling.Check.making(mark)))
        .max(Comparator.comparingLong(BenchEvent::seq))
        .flatMap(e -> e.act().reading())
        .map(Reading::value);
  }

  Optional<BenchEvent<StepAct.Checked>> answerTo(String step, String check, boolean building) {
    return Optional.ofNullable(answers.get(key(step, check, building)));
  }

  private static String key(String step, String check, boolean building) {
    return (building ? "build/" : "strip/") + step + "/" + check;
  }

  /** The tightening of a step's joint, begun where it was not; empty where it has none. */
  Optional<TorqueRound> round(String step, Sheet sheet) {
    return sheet.fastening(step).map(f -> rounds.computeIfAbsent(step, s -> new TorqueRound(f)));
  }

  /** The tightening of a step's joint as recorded so far; empty where it has none. */
  Optional<TorqueRound> recorded(String step, Sheet sheet) {
    return sheet.fastening(step).map(f -> rounds.getOrDefault(step, new TorqueRound(f)));
  }

  void place(String place, String piece) {
    placed.put(place, piece);
  }

  /** Side A is closed: the pump is opened again but for what stayed open. */
  void otherSide(List<String> stayOpen, Sheet sheet) {
    earlierBuilt.addAll(built);
    // Steps that only building has are built once more with the other side, and asked once more.
    built.stream()
        .filter(step -> sheet.buildOnlyStep(step).isPresent())
        .forEach(step -> forget(step, true));
    stripped.retainAll(stayOpen);
    built.clear();
  }

  /** The pump is opened again from the whole. */
  void again() {
    earlierBuilt.addAll(built);
    stripped.clear();
    built.clear();
    rounds.clear();
    answers.clear();
    left.clear();
    seconded.clear();
    placed.clear();
  }

  List<String> stripped() {
    return stripped;
  }

  List<String> built() {
    return built;
  }

  List<String> everythingBuilt() {
    List<String> steps = new ArrayList<>(earlierBuilt);
    steps.addAll(built);
    return steps;
  }

  Map<String, Instant> builtAt() {
    return builtAt;
  }

  Map<String, String> placed() {
    return placed;
  }

  /** Parts undone, but still caught on a shaft or rod. */
  Set<String> aside(Sheet sheet) {
    Set<String> aside = new LinkedHashSet<>();
    for (String step : stripped) {
      if (!built.contains(step)) {
        sheet.step(step).ifPresent(s -> aside.addAll(s.aside()));
      }
    }
    aside.removeAll(off(sheet));
    return aside;
  }

  /** Parts off the pump now. */
  Set<String> off(Sheet sheet) {
    Set<String> off = new LinkedHashSet<>();
    for (String step : stripped) {
      if (!built.contains(step)) {
        sheet.step(step).ifPresent(s -> off.addAll(s.opens()));
      }
    }
    return off;
  }
}
