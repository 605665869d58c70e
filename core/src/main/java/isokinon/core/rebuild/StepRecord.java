package isokinon.core.rebuild;

import isokinon.core.act.BenchEvent;
import isokinon.core.act.StepAct;
import isokinon.core.sheet.Sheet;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * The steps that were done, with the answers to their checks, their torque and what was put back.
 */
final class StepRecord {

  private final List<String> stripped = new ArrayList<>();
  private final List<String> built = new ArrayList<>();
  private final List<String> earlierBuilt = new ArrayList<>();
  private final Map<String, Instant> builtAt = new LinkedHashMap<>();
  private final Map<String, BenchEvent<StepAct.Checked>> answers = new HashMap<>();
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
      rounds.remove(step);
      MatchedParts.places(sheet, step).forEach(placed::remove);
    }
    answers.keySet().removeIf(k -> k.startsWith(key(step, "", building)));
  }

  void answer(BenchEvent<StepAct.Checked> event, boolean building) {
    answers.put(key(event.act().step(), event.act().check(), building), event);
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
  void otherSide(List<String> stayOpen) {
    earlierBuilt.addAll(built);
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
