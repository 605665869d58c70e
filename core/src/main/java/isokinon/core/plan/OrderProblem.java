package isokinon.core.plan;

import java.util.ArrayList;
import java.util.List;

/**
 * Steps to be put in order with the fewest pose changes, and among those the fewest tool changes.
 *
 * @param items the steps, ties going to the earlier one
 * @param startPose pose before the first step; -1 for none in particular
 * @param startTool tool in the hand before the first step; -1 for an empty hand
 */
record OrderProblem(List<Item> items, int startPose, int startTool) {

  /**
   * A step to be ordered.
   *
   * @param pose how the pump stands; -1 leaves it
   * @param tool tool in the hand; -1 leaves the hand as it is
   * @param before indexes of items that come before
   * @param anyBefore groups of which at least one comes before, whole; empty for no such rule
   * @param anyAfter groups of which at least one comes after, whole; empty for no such rule
   */
  record Item(
      int pose,
      int tool,
      List<Integer> before,
      List<List<Integer>> anyBefore,
      List<List<Integer>> anyAfter) {}

  /**
   * An order.
   *
   * @param sequence indexes of the items
   * @param poseChanges pose changes along it
   * @param toolChanges tool changes along it
   * @param optimal whether no order has fewer
   */
  record Order(List<Integer> sequence, int poseChanges, int toolChanges, boolean optimal) {}

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
      settled.add(new Item(item.pose(), item.tool(), before.get(i), item.anyBefore(), List.of()));
    }
    return new OrderProblem(settled, startPose, startTool);
  }
}
