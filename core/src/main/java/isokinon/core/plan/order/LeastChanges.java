package isokinon.core.plan.order;

import isokinon.core.plan.order.OrderProblem.Item;
import isokinon.core.plan.order.OrderProblem.Order;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * How few changes any order of the steps could have.
 *
 * <p>Steps that are left out of an order never leave it with more changes. So the best order of
 * some of the steps has no more than the best of all: chains of steps that follow one another are
 * taken three at a time, as many as can be solved exactly, and the dearest of them is the bound.
 * Choices among groups are left out too, which only lowers it.
 *
 * @param poses no order has fewer pose changes
 * @param withThose no order that has so few pose changes has fewer tool changes
 * @param tools no order at all has fewer tool changes
 */
record LeastChanges(int poses, int withThose, int tools) {

  private static final int MOST_QUESTIONS = 6;
  private static final int MOST_STATES = 60_000;

  /** The bound of a problem. */
  static LeastChanges of(OrderProblem problem) {
    int poses = others(problem, false);
    int tools = others(problem, true);
    LeastChanges least = new LeastChanges(poses, tools, tools);
    BitSet[] before = allBefore(problem);
    List<BitSet> chains = chains(before);
    int asked = 0;
    for (int a = 0; a < chains.size(); a++) {
      for (int b = a + 1; b < Math.max(a + 2, chains.size()); b++) {
        for (int c = b + 1; c < Math.max(b + 2, chains.size()) && asked < MOST_QUESTIONS; c++) {
          asked++;
          BitSet some = (BitSet) chains.get(a).clone();
          for (int more : new int[] {b, c}) {
            if (more < chains.size()) {
              some.or(chains.get(more));
            }
          }
          Optional<Order> order = IdealOrder.solve(only(problem, before, some), MOST_STATES);
          least = order.map(least::raisedBy).orElse(least);
        }
      }
    }
    return least;
  }

  /** The fewest tool changes of an order with so many pose changes. */
  int tools(int poseChanges) {
    return poseChanges == poses ? withThose : tools;
  }

  private LeastChanges raisedBy(Order some) {
    return some.poseChanges() > poses
        ? new LeastChanges(some.poseChanges(), Math.max(tools, some.toolChanges()), tools)
        : some.poseChanges() == poses
            ? new LeastChanges(poses, Math.max(withThose, some.toolChanges()), tools)
            : this;
  }

  /** Poses, or tools, that are needed besides the one there is at first. */
  private static int others(OrderProblem problem, boolean tools) {
    return (int)
        problem.items().stream()
            .mapToInt(i -> tools ? i.tool() : i.pose())
            .filter(x -> x >= 0 && x != (tools ? problem.startTool() : problem.startPose()))
            .distinct()
            .count();
  }

  /** Steps that follow one another, the longest chain first; each step in one of them. */
  private static List<BitSet> chains(BitSet[] before) {
    BitSet left = new BitSet();
    left.set(0, before.length);
    List<BitSet> chains = new ArrayList<>();
    while (!left.isEmpty()) {
      BitSet chain = longest(before, left);
      left.andNot(chain);
      chains.add(chain);
    }
    return chains;
  }

  private static BitSet longest(BitSet[] before, BitSet left) {
    int[] length = new int[before.length];
    int[] previous = new int[before.length];
    int end = -1;
    List<Integer> order =
        left.stream()
            .boxed()
            .sorted(Comparator.comparingInt((Integer i) -> before[i].cardinality()))
            .toList();
    for (int i : order) {
      length[i] = 1;
      previous[i] = -1;
      for (int j = before[i].nextSetBit(0); j >= 0; j = before[i].nextSetBit(j + 1)) {
        if (left.get(j) && length[j] + 1 > length[i]) {
          length[i] = length[j] + 1;
          previous[i] = j;
        }
      }
      end = end < 0 || length[i] > length[end] ? i : end;
    }
    BitSet chain = new BitSet();
    for (int i = end; i >= 0; i = previous[i]) {
      chain.set(i);
    }
    return chain;
  }

  /** Every step that comes before each, over any number of others. */
  private static BitSet[] allBefore(OrderProblem problem) {
    int count = problem.items().size();
    BitSet[] before = new BitSet[count];
    for (int i = 0; i < count; i++) {
      before[i] = new BitSet();
      problem.items().get(i).before().forEach(before[i]::set);
    }
    for (int k = 0; k < count; k++) {
      for (int i = 0; i < count; i++) {
        if (before[i].get(k)) {
          before[i].or(before[k]);
        }
      }
    }
    return before;
  }

  private static OrderProblem only(OrderProblem problem, BitSet[] before, BitSet some) {
    int[] kept = some.stream().toArray();
    List<Item> items = new ArrayList<>();
    for (int i : kept) {
      List<Integer> earlier =
          IntStream.range(0, kept.length).filter(k -> before[i].get(kept[k])).boxed().toList();
      Item item = problem.items().get(i);
      items.add(new Item(item.pose(), item.tool(), earlier, List.of(), List.of(), 0, 0, 0));
    }
    return new OrderProblem(items, problem.startPose(), problem.startTool());
  }
}
