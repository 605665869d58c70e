package isokinon.core.plan;

import isokinon.core.plan.order.OrderProblem;
import isokinon.core.plan.order.OrderProblem.Item;
import isokinon.core.sheet.Handling;
import isokinon.core.sheet.Sheet;
import isokinon.core.sheet.Step;
import isokinon.core.sheet.StepOrder;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Stream;

/** The strip of a plan as steps to be put in order. */
final class StripProblem {

  private StripProblem() {}

  /**
   * @param toStrip indexes of the steps still to strip
   * @param done indexes of the steps already stripped
   * @param stance how the pump stands now
   */
  static OrderProblem of(
      Sheet sheet,
      RouteSearch search,
      List<Integer> toStrip,
      BitSet done,
      Stance stance,
      Names poses,
      Names tools) {
    Map<Integer, Integer> position = positions(toStrip);
    List<Item> items = new ArrayList<>();
    for (int i : toStrip) {
      Step step = sheet.steps().get(i);
      Handling how = step.how().during(true);
      List<List<Integer>> any = new ArrayList<>();
      boolean settled = step.afterAny().isEmpty();
      for (List<String> group : step.afterAny()) {
        List<Integer> left = new ArrayList<>();
        boolean whole = true;
        for (String id : group) {
          int member = search.indexOf(id);
          whole &= done.get(member) || position.containsKey(member);
          if (position.containsKey(member)) {
            left.add(position.get(member));
          }
        }
        settled |= whole && left.isEmpty();
        if (whole) {
          any.add(left);
        }
      }
      Set<Integer> before = new LinkedHashSet<>();
      Stream.concat(step.after().stream(), ordered(sheet, true, step.id()).stream())
          .map(id -> position.get(search.indexOf(id)))
          .filter(Objects::nonNull)
          .forEach(before::add);
      items.add(
          new Item(
              poses.of(how.pose()),
              tools.of(how.toolInHand().orElse("")),
              List.copyOf(before),
              settled ? List.of() : any,
              List.of(),
              step.stripMinutes(),
              0,
              0));
    }
    return new OrderProblem(items, stance.pose(), stance.tool());
  }

  /** Steps that an order of the sheet has before {@code step}, whether in the plan or not. */
  static Set<String> ordered(Sheet sheet, boolean stripping, String step) {
    Set<String> before = new LinkedHashSet<>();
    for (StepOrder order : sheet.orders()) {
      int at = order.stripping() == stripping ? order.steps().indexOf(step) : -1;
      before.addAll(order.steps().subList(0, Math.max(at, 0)));
    }
    return before;
  }

  static Map<Integer, Integer> positions(List<Integer> values) {
    Map<Integer, Integer> position = new HashMap<>();
    for (int i = 0; i < values.size(); i++) {
      position.put(values.get(i), i);
    }
    return position;
  }
}
