package isokinon.core.plan.order;

import isokinon.core.plan.order.OrderProblem.Order;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;

/**
 * A good order where the exact one is out of reach: always the ready step that changes least, and
 * among equals the one whose pose and tool serve most of the other ready steps. Never claims to be
 * optimal. Quadratic in the number of steps.
 */
final class GreedyOrder {

  private final OrderProblem problem;

  private GreedyOrder(OrderProblem problem) {
    this.problem = problem;
  }

  /** A possible order; empty where there is none. */
  static Optional<Order> solve(OrderProblem problem) {
    return new GreedyOrder(problem.settled()).order();
  }

  private Optional<Order> order() {
    int count = problem.items().size();
    BitSet done = new BitSet(count);
    List<Integer> sequence = new ArrayList<>(count);
    int pose = problem.startPose();
    int tool = problem.startTool();
    int poseChanges = 0;
    int toolChanges = 0;
    while (sequence.size() < count) {
      List<Integer> ready = ready(done);
      if (ready.isEmpty()) {
        return Optional.empty();
      }
      int next = choose(ready, pose, tool);
      poseChanges += problem.turns(next, pose) ? 1 : 0;
      toolChanges += problem.swaps(next, tool) ? 1 : 0;
      pose = problem.poseAfter(next, pose);
      tool = problem.toolAfter(next, tool);
      done.set(next);
      sequence.add(next);
    }
    return Optional.of(new Order(List.copyOf(sequence), poseChanges, toolChanges, false));
  }

  private List<Integer> ready(BitSet done) {
    List<Integer> ready = new ArrayList<>();
    for (int i = 0; i < problem.items().size(); i++) {
      OrderProblem.Item item = problem.items().get(i);
      if (!done.get(i)
          && item.before().stream().allMatch(done::get)
          && (item.anyBefore().isEmpty()
              || item.anyBefore().stream().anyMatch(g -> g.stream().allMatch(done::get)))) {
        ready.add(i);
      }
    }
    return ready;
  }

  private int choose(List<Integer> ready, int pose, int tool) {
    int best = ready.get(0);
    int bestScore = Integer.MAX_VALUE;
    for (int candidate : ready) {
      int served = 0;
      int poseThen = problem.poseAfter(candidate, pose);
      int toolThen = problem.toolAfter(candidate, tool);
      for (int other : ready) {
        served += problem.turns(other, poseThen) || problem.swaps(other, toolThen) ? 0 : 1;
      }
      int score =
          (problem.turns(candidate, pose) ? 10_000 : 0)
              + (problem.swaps(candidate, tool) ? 1_000 : 0)
              - served;
      if (score < bestScore) {
        bestScore = score;
        best = candidate;
      }
    }
    return best;
  }
}
