package isokinon.core.plan;

import isokinon.core.plan.order.OrderProblem;
import isokinon.core.plan.order.OrderProblem.Item;
import isokinon.core.sheet.BuildOnlyStep;
import isokinon.core.sheet.Handling;
import isokinon.core.sheet.Sheet;
import isokinon.core.sheet.Sides;
import isokinon.core.sheet.Step;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * The build of a plan as steps to be put in order: the strip turned round, the steps that only
 * building has, the orders that only the build has, and the side that closes first.
 */
final class BuildProblem {

  private final Sheet sheet;
  private final RouteSearch search;
  private final List<Step> steps;
  private final List<BuildOnlyStep> extras;
  private final Set<String> planned = new HashSet<>();
  private final Map<String, Integer> position = new HashMap<>();
  private final List<Set<Integer>> before = new ArrayList<>();
  private final List<List<List<Integer>>> anyAfter = new ArrayList<>();

  /**
   * @param stripped indexes of all steps of the plan, in the order they are stripped
   * @param extras steps that only building has
   */
  BuildProblem(
      Sheet sheet, RouteSearch search, List<Integer> stripped, List<BuildOnlyStep> extras) {
    this.sheet = sheet;
    this.search = search;
    this.extras = extras;
    this.steps =
        stripped.stream()
            .sorted()
            .map(i -> sheet.steps().get(i))
            .filter(s -> !s.stripOnly())
            .toList();
    stripped.forEach(i -> planned.add(sheet.steps().get(i).id()));
    extras.forEach(e -> planned.add(e.id()));
    for (int i = 0; i < steps.size() + extras.size(); i++) {
      position.put(id(i), i);
      before.add(new LinkedHashSet<>());
      anyAfter.add(List.of());
    }
    stripTurnedRound(stripped);
    extras.forEach(this::place);
    position.keySet().forEach(this::inItsOrders);
    sheet.sides().forEach(this::firstBeforeLast);
  }

  /** The id of the step at {@code position}. */
  String id(int position) {
    return position < steps.size()
        ? steps.get(position).id()
        : extras.get(position - steps.size()).id();
  }

  private void stripTurnedRound(List<Integer> stripped) {
    Map<Integer, Integer> strippedAt = StripProblem.positions(stripped);
    for (Step step : steps) {
      int self = position.get(step.id());
      sheet.builtAfter(step).forEach(id -> before.get(position.get(id)).add(self));
      int at = strippedAt.get(search.indexOf(step.id()));
      List<List<Integer>> used =
          step.afterAny().stream()
              .filter(
                  g ->
                      g.stream()
                          .map(search::indexOf)
                          .allMatch(m -> strippedAt.containsKey(m) && strippedAt.get(m) < at))
              .map(g -> g.stream().filter(position::containsKey).map(position::get).toList())
              .toList();
      if (used.size() == 1) {
        used.get(0).forEach(m -> before.get(m).add(self));
      } else {
        anyAfter.set(self, used);
      }
    }
  }

  private void place(BuildOnlyStep extra) {
    int self = position.get(extra.id());
    named(extra.after()).forEach(id -> before.get(self).add(id));
    named(extra.before()).forEach(id -> before.get(id).add(self));
  }

  private List<Integer> named(Collection<String> ids) {
    return ids.stream()
        .flatMap(id -> sheet.named(id, planned).stream())
        .filter(position::containsKey)
        .map(position::get)
        .toList();
  }

  private void inItsOrders(String id) {
    before.get(position.get(id)).addAll(named(StripProblem.ordered(sheet, false, id)));
  }

  private void firstBeforeLast(Sides sides) {
    List<Integer> first = named(sides.steps(Sides.Closes.CLOSES_FIRST, planned));
    List<Integer> last = named(sides.steps(Sides.Closes.CLOSES_LAST, planned));
    if (!first.isEmpty() && !last.isEmpty()) {
      before.get(last.get(last.size() - 1)).add(first.get(first.size() - 1));
    }
  }

  /**
   * @param startPose how the pump stands when the build begins
   */
  OrderProblem problem(int startPose, Names poses) {
    Names tools = new Names();
    List<Item> items = new ArrayList<>();
    for (int i = 0; i < before.size(); i++) {
      boolean extra = i >= steps.size();
      Handling how = sheet.handling(id(i)).orElse(Handling.PLAIN).during(false);
      double cureHours =
          how.fastening()
              .filter(Handling.Fastening::locked)
              .map(Handling.Fastening::cureHours)
              .orElse(0.0);
      items.add(
          new Item(
              poses.of(how.pose()),
              tools.of(how.toolInHand().orElse("")),
              List.copyOf(before.get(i)),
              List.of(),
              anyAfter.get(i),
              extra ? extras.get(i - steps.size()).buildMinutes() : steps.get(i).buildMinutes(),
              extra ? extras.get(i - steps.size()).waitMinutes() : 0,
              cureHours * 60));
    }
    return new OrderProblem(items, startPose, -1);
  }
}
