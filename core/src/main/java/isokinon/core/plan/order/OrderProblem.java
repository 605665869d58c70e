package isokinon.core.plan.order;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Deque;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/**
 * Steps to be put in order with the fewest pose changes, and among those the fewest tool changes.
 *
 * @param items the steps, ties going to the earlier one
 * @param startPose pose before the first step; -1 for none in particular
 * @param startTool tool in the hand before the first step; -1 for an empty hand
 */
public record OrderProblem(List<Item> items, int startPose, int startTool) {

  /**
   * A step to be ordered.
   *
   * @param pose how the pump stands; -1 leaves it
   * @param tool tool in the hand; -1 leaves the hand as it is
   * @param before indexes of items that come before
   * @param anyBefore groups of which at least one comes before, whole; empty for no such rule
   * @param anyAfter groups of which at least one comes after, whole; empty for no such rule
   * @param minutes time of hands it takes, minutes
   * @param waitMinutes time after it that those which come after it wait for, minutes
   * @param cureMinutes time after it that only the start of the pump waits for, minutes
   */
  public record Item(
      int pose,
      int tool,
      List<Integer> before,
      List<List<Integer>> anyBefore,
      List<List<Integer>> anyAfter,
      double minutes,
      double waitMinutes,
      double cureMinutes) {

    /** Whether something is waited for after it. */
    boolean waits() {
      return waitMinutes > 0 || cureMinutes > 0;
    }

    private Item after(List<Integer> others) {
      return new Item(
          pose, tool, List.copyOf(others), anyBefore, anyAfter, minutes, waitMinutes, cureMinutes);
    }
  }

  /**
   * An order.
   *
   * @param sequence indexes of the items
   * @param poseChanges pose changes along it
   * @param toolChanges tool changes along it
   * @param leastPoses no order has fewer pose changes
   * @param leastTools no order with so few pose changes has fewer tool changes
   */
  public record Order(
      List<Integer> sequence, int poseChanges, int toolChanges, int leastPoses, int leastTools) {

    /** Whether no order has fewer. */
    public boolean optimal() {
      return poseChanges == leastPoses && toolChanges == leastTools;
    }

    /** Whether it has fewer changes of pose than another, or as few and fewer of tool. */
    boolean betterThan(Order other) {
      return poseChanges != other.poseChanges
          ? poseChanges < other.poseChanges
          : toolChanges < other.toolChanges;
    }
  }

  /** A pose change outweighs every tool change. */
  static final int POSE = 1 << 12;

  /** What a step costs from this pose with this tool in the hand: {@link #POSE} and 1 at most. */
  int change(int item, int pose, int tool) {
    return (turns(item, pose) ? POSE : 0) + (swaps(item, tool) ? 1 : 0);
  }

  int poseAfter(int item, int pose) {
    return items.get(item).pose() < 0 ? pose : items.get(item).pose();
  }

  int toolAfter(int item, int tool) {
    return items.get(item).tool() < 0 ? tool : items.get(item).tool();
  }

  boolean turns(int item, int pose) {
    return poseAfter(item, pose) != pose;
  }

  boolean swaps(int item, int tool) {
    return toolAfter(item, tool) != tool;
  }

  /**
   * The same problem with every choice of what comes after settled for the first group. In a build
   * order that group was stripped before its step, so the strip order backwards always satisfies
   * it.
   */
  OrderProblem settled() {
    List<List<Integer>> before = new ArrayList<>();
    items.forEach(item -> before.add(new ArrayList<>(item.before())));
    for (int i = 0; i < items.size(); i++) {
      int self = i;
      items.get(i).anyAfter().stream()
          .limit(1)
          .flatMap(List::stream)
          .forEach(later -> before.get(later).add(self));
    }
    List<Item> settled = new ArrayList<>();
    for (int i = 0; i < items.size(); i++) {
      Item item = items.get(i);
      settled.add(
          new Item(
              item.pose(),
              item.tool(),
              before.get(i),
              item.anyBefore(),
              List.of(),
              item.minutes(),
              item.waitMinutes(),
              item.cureMinutes()));
    }
    return new OrderProblem(settled, startPose, startTool);
  }

  /** Whether it has waits that may be begun earlier: not where groups of steps are a choice. */
  boolean mayShiftWaits() {
    return items.stream().anyMatch(Item::waits)
        && items.stream().allMatch(i -> i.anyBefore().isEmpty() && i.anyAfter().isEmpty());
  }

  /**
   * The same problem with what {@code item} needs, and the item, before all the rest.
   *
   * @param late whether what waits for the item comes after all the rest, too
   */
  OrderProblem begunEarly(int item, boolean late) {
    BitSet ahead = reach(item, true);
    BitSet behind = reach(item, false);
    List<Item> items = new ArrayList<>();
    for (int i = 0; i < items().size(); i++) {
      Set<Integer> before = new LinkedHashSet<>(items().get(i).before());
      if (i != item && !ahead.get(i)) {
        before.add(item);
      }
      if (late && behind.get(i)) {
        for (int other = 0; other < items().size(); other++) {
          if (!behind.get(other)) {
            before.add(other);
          }
        }
      }
      items.add(items().get(i).after(List.copyOf(before)));
    }
    return new OrderProblem(items, startPose, startTool);
  }

  /** Items that come before {@code item}, or else after it, over any number of others. */
  private BitSet reach(int item, boolean backward) {
    BitSet reached = new BitSet();
    Deque<Integer> toLookAt = new ArrayDeque<>(List.of(item));
    while (!toLookAt.isEmpty()) {
      int at = toLookAt.pop();
      for (int i = 0; i < items.size(); i++) {
        boolean linked =
            backward ? items.get(at).before().contains(i) : items.get(i).before().contains(at);
        if (linked && !reached.get(i)) {
          reached.set(i);
          toLookAt.add(i);
        }
      }
    }
    return reached;
  }

  /**
   * Minutes from the first step of {@code sequence} until the pump may be started: one pair of
   * hands, and the waits that nothing else fills.
   */
  public double clockMinutes(List<Integer> sequence) {
    double[] free = new double[items.size()];
    double now = 0;
    double last = 0;
    for (int i : sequence) {
      Item item = items.get(i);
      for (int other : item.before()) {
        now = Math.max(now, free[other]);
      }
      now += item.minutes();
      free[i] = now + item.waitMinutes();
      last = Math.max(last, now + Math.max(item.waitMinutes(), item.cureMinutes()));
    }
    return last;
  }
}
