package isokinon.core.plan;

import isokinon.core.plan.OrderProblem.Item;
import isokinon.core.plan.OrderProblem.Order;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * What order of the steps has the fewest pose changes, then the fewest tool changes?
 *
 * <p>Dynamic programming over the order ideals of the precedence graph: the state is the set of
 * steps done, the pose and the tool in the hand. A step that is ready and changes neither pose nor
 * tool is done at once, which by exchange never costs anything and keeps the number of states
 * small; steps that another one needs still undone are left out of that shortcut. Cost grows with
 * the number of ideals, about (n/w + 1)^w for n steps in w chains. Exact up to {@value #MOST_ITEMS}
 * steps and {@value #MOST_STATES} states; beyond either, {@link #solve} gives nothing.
 */
final class IdealOrder {

  static final int MOST_ITEMS = 64;
  static final int MOST_STATES = 150_000;

  private static final int UNKNOWN = -1;
  private static final int DEAD_END = Integer.MAX_VALUE;
  private static final int POSE = 1 << 12;

  private final OrderProblem problem;
  private final int count;
  private final long all;
  private final long[] before;
  private final long[][] anyBefore;
  private final long[][] anyAfter;
  private final boolean[] mayJumpAhead;
  private final int poses;
  private final int tools;
  private final LongTable ideals = new LongTable();
  private final LongTable states = new LongTable();
  private int[] costs = new int[1024];
  private int known;

  private IdealOrder(OrderProblem problem) {
    this.problem = problem;
    List<Item> items = problem.items();
    count = items.size();
    all = count == 64 ? -1L : (1L << count) - 1;
    before = new long[count];
    anyBefore = new long[count][];
    anyAfter = new long[count][];
    mayJumpAhead = new boolean[count];
    Arrays.fill(mayJumpAhead, true);
    int mostPose = problem.startPose();
    int mostTool = problem.startTool();
    for (int i = 0; i < count; i++) {
      Item item = items.get(i);
      before[i] = mask(item.before());
      anyBefore[i] = item.anyBefore().stream().mapToLong(IdealOrder::mask).toArray();
      anyAfter[i] = item.anyAfter().stream().mapToLong(IdealOrder::mask).toArray();
      item.anyAfter().forEach(group -> group.forEach(member -> mayJumpAhead[member] = false));
      mostPose = Math.max(mostPose, item.pose());
      mostTool = Math.max(mostTool, item.tool());
    }
    poses = mostPose + 2;
    tools = mostTool + 2;
  }

  /** The best order; empty where the problem is too large to be sure, or has no order at all. */
  static Optional<Order> solve(OrderProblem problem) {
    if (problem.items().size() > MOST_ITEMS) {
      return Optional.empty();
    }
    IdealOrder search = new IdealOrder(problem);
    try {
      return search.order();
    } catch (TooManyStates e) {
      return Optional.empty();
    }
  }

  private Optional<Order> order() {
    long done = 0;
    int pose = problem.startPose();
    int tool = problem.startTool();
    int best = toGo(done, pose, tool);
    if (best == DEAD_END) {
      return Optional.empty();
    }
    List<Integer> sequence = new ArrayList<>(count);
    int left = best;
    while (done != all) {
      int next = firstKeeping(left, done, pose, tool);
      left -= change(next, pose, tool);
      pose = problem.poseAfter(next, pose);
      tool = problem.toolAfter(next, tool);
      done |= 1L << next;
      sequence.add(next);
    }
    return Optional.of(new Order(List.copyOf(sequence), best / POSE, best % POSE, true));
  }

  private int firstKeeping(int left, long done, int pose, int tool) {
    for (int i = 0; i < count; i++) {
      if (ready(i, done)) {
        int rest = toGo(done | 1L << i, problem.poseAfter(i, pose), problem.toolAfter(i, tool));
        if (rest != DEAD_END && rest + change(i, pose, tool) == left) {
          return i;
        }
      }
    }
    throw new IllegalStateException("no step keeps to the best cost");
  }

  private int toGo(long done, int pose, int tool) {
    if (done == all) {
      return 0;
    }
    int cell = cell(done, pose, tool);
    if (costs[cell] == UNKNOWN) {
      int cost = cheapest(done, pose, tool);
      costs[cell] = cost;
    }
    return costs[cell];
  }

  private int cheapest(long done, int pose, int tool) {
    for (int i = 0; i < count; i++) {
      if (mayJumpAhead[i] && change(i, pose, tool) == 0 && ready(i, done)) {
        return toGo(done | 1L << i, pose, tool);
      }
    }
    int best = DEAD_END;
    for (int i = 0; i < count; i++) {
      if (ready(i, done)) {
        int rest = toGo(done | 1L << i, problem.poseAfter(i, pose), problem.toolAfter(i, tool));
        if (rest != DEAD_END) {
          best = Math.min(best, rest + change(i, pose, tool));
        }
      }
    }
    return best;
  }

  /** Where the cost of a state stands; only states that are met take room. */
  private int cell(long done, int pose, int tool) {
    long stance = (long) (pose + 1) * tools + tool + 1;
    int state = states.indexOf((long) ideals.indexOf(done) * poses * tools + stance);
    if (state >= MOST_STATES) {
      throw new TooManyStates();
    }
    if (state >= known) {
      if (known == costs.length) {
        costs = Arrays.copyOf(costs, known * 2);
      }
      costs[known++] = UNKNOWN;
    }
    return state;
  }

  private int change(int item, int pose, int tool) {
    return (problem.turns(item, pose) ? POSE : 0) + (problem.swaps(item, tool) ? 1 : 0);
  }

  private boolean ready(int i, long done) {
    if ((done >>> i & 1) != 0 || (before[i] & ~done) != 0) {
      return false;
    }
    return anyHolds(anyBefore[i], ~done) && anyHolds(anyAfter[i], done);
  }

  /** True where there is no group, or one that shares nothing with {@code against}. */
  private static boolean anyHolds(long[] groups, long against) {
    if (groups.length == 0) {
      return true;
    }
    for (long group : groups) {
      if ((group & against) == 0) {
        return true;
      }
    }
    return false;
  }

  private static long mask(List<Integer> items) {
    long mask = 0;
    for (int item : items) {
      mask |= 1L << item;
    }
    return mask;
  }

  private static final class TooManyStates extends RuntimeException {
    private static final long serialVersionUID = 1L;

    TooManyStates() {
      super(null, null, false, false);
    }
  }
}
