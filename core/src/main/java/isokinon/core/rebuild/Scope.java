package isokinon.core.rebuild;

import isokinon.core.plan.PlanRequest;
import isokinon.core.sheet.Part;
import isokinon.core.sheet.Sheet;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What a job is asked to reach. Where it does one side at a time, what is asked of side B waits
 * until side A is closed; joints that both sides need stay open meanwhile.
 */
final class Scope {

  private final Set<String> renew = new LinkedHashSet<>();
  private final Set<String> inspect = new LinkedHashSet<>();
  private final List<String> avoid = new ArrayList<>();
  private final Set<String> asked = new LinkedHashSet<>();
  private final Set<String> laterRenew = new LinkedHashSet<>();
  private final Set<String> laterInspect = new LinkedHashSet<>();
  private final List<String> stayOpen = new ArrayList<>();

  /** Somebody asked for a part to be renewed, at the take-in. */
  void askToRenew(String part) {
    renew.add(part);
    asked.add(part);
  }

  /** Somebody asked to look at a part, at the take-in. */
  void askToInspect(String part) {
    inspect.add(part);
  }

  /** Somebody asked to do without a step. */
  void askToAvoid(String step) {
    avoid.add(step);
  }

  /** A part was found bad. */
  void mustRenew(String part, Sheet sheet) {
    (sideToCome() && onSide(sheet, "B", part) ? laterRenew : renew).add(part);
  }

  /** A part was found good enough: it is renewed only where somebody asked for it. */
  void needNotRenew(String part) {
    if (!asked.contains(part)) {
      renew.remove(part);
    }
  }

  /** Whether a part was asked for at the take-in. */
  boolean asked(String part) {
    return asked.contains(part);
  }

  /** Leaves what is asked of side B for later, where something is asked of either side. */
  void oneSideFirst(Sheet sheet, PlanInHand plans) {
    List<String> both = Stream.concat(renew.stream(), inspect.stream()).toList();
    if (both.stream().noneMatch(p -> onSide(sheet, "B", p))
        || both.stream().noneMatch(p -> onSide(sheet, "A", p))) {
      return;
    }
    renew.stream().filter(p -> onSide(sheet, "B", p)).forEach(laterRenew::add);
    inspect.stream().filter(p -> onSide(sheet, "B", p)).forEach(laterInspect::add);
    renew.removeAll(laterRenew);
    inspect.removeAll(laterInspect);
    List<String> second = route(laterRenew, laterInspect, plans);
    route(renew, inspect, plans).stream().filter(second::contains).forEach(stayOpen::add);
  }

  private List<String> route(Set<String> toRenew, Set<String> toInspect, PlanInHand plans) {
    return plans
        .aside(
            new PlanRequest(List.copyOf(toRenew), List.copyOf(toInspect), List.of(), avoid, false))
        .strip();
  }

  private static boolean onSide(Sheet sheet, String side, String part) {
    return sheet.part(part).flatMap(Part::place).filter(p -> p.side().equals(side)).isPresent();
  }

  /** Asks of both sides at once again. */
  void bothSides() {
    renew.addAll(laterRenew);
    inspect.addAll(laterInspect);
    laterRenew.clear();
    laterInspect.clear();
    stayOpen.clear();
  }

  /** Whether side B is still to be opened once side A is closed. */
  boolean sideToCome() {
    return !laterRenew.isEmpty() || !laterInspect.isEmpty();
  }

  /** Strip steps that stay open for side B while side A is closed. */
  List<String> stayOpen() {
    return stayOpen;
  }

  /** Side A is closed: what was left for later is asked now. */
  void otherSide() {
    renew.clear();
    inspect.clear();
    bothSides();
  }

  /** Only these parts are to be looked at from now on. */
  void only(List<String> parts) {
    asked.clear();
    renew.clear();
    inspect.clear();
    inspect.addAll(parts);
  }

  /** What is asked now, with so many steps done. */
  PlanRequest request(List<String> done, boolean kitContents) {
    return new PlanRequest(List.copyOf(renew), List.copyOf(inspect), done, avoid, kitContents);
  }

  /** What is asked of both sides, from a pump that stands whole. */
  PlanRequest whole(boolean kitContents) {
    Set<String> allRenew = new LinkedHashSet<>(renew);
    allRenew.addAll(laterRenew);
    Set<String> allInspect = new LinkedHashSet<>(inspect);
    allInspect.addAll(laterInspect);
    return new PlanRequest(
        List.copyOf(allRenew), List.copyOf(allInspect), List.of(), avoid, kitContents);
  }
}
