package isokinon.core.plan.order;

import isokinon.core.plan.order.OrderProblem.Item;
import isokinon.core.plan.order.OrderProblem.Order;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * What order of the steps has the fewest pose changes, then the fewest tool changes?
 *
 * <p>Dynamic programming over the order ideals of the precedence graph: the state is the set of
 * steps done, the pose and the tool in the hand. A step that is ready and changes neither pose nor
 * tool is done at once, which by exchange never costs anything and keeps the number of states
 * small; steps that another one needs still undone are left out of that shortcut. Cost grows with
 * the number of ideals, about (n/w + 1)^w for n steps in w chains. Exact up to {@value #MOST_ITEMS}
 * steps and {@value #MOST_STATES} states, which take about a second; beyond either, {@link #solve}
 * gives nothing.
 */
final class IdealOrder {

  static final int MOST_ITEMS = 2 * Long.SIZE;
  static final int MOST_STATES = 1_000_000;

  private static final int UNKNOWN = -1;
  private static final int DEAD_END = Integer.MAX_VALUE;

  private final OrderProblem problem;
  private final int mostStates;
  private final int count;
  private final Ideal all;
  private final Ideal[] before;
  private final Ideal[][] anyBefore;
  private final Ideal[][] anyAfter;
  private final boolean[] mayJumpAhead;
  private final int tools;
  private final PairTable ideals = new PairTable();
  private final PairTable states = new PairTable();
  private int[] costs = new int[1024];
  private int known;

  /** A set of items, one bit each. */
  private record Ideal(long high, long low) {

    static final Ideal EMPTY = new Ideal(0, 0);

    static Ideal of(List<Integer> items) {
      Ideal set = EMPTY;
      for (int item : items) {
        set = set.with(item);
      }
      return set;
    }

    Ideal with(int item) {
      return item < Long.SIZE
          ? new Ideal(high, low | 1L << item)
          : new Ideal(high | 1L << (item - Long.SIZE), low);
    }

    boolean has(int item) {
      return ((item < Long.SIZE ? low >>> item : high >>> (item - Long.SIZE)) & 1) != 0;
    }

    boolean within(Ideal other) {
      return (high & ~other.high) == 0 && (low & ~other.low) == 0;
    }

    boolean meets(Ideal other) {
      return (high & other.high) != 0 || (low & other.low) != 0;
    }
  }

  private IdealOrder(OrderProblem problem, int mostStates) {
    this.problem = problem;
    this.mostStates = mostStates;
    List<Item> items = problem.items();
    count = items.size();
    all = Ideal.of(IntStream.range(0, count).boxed().toList());
    before = new Ideal[count];
    anyBefore = new Ideal[count][];
    anyAfter = new Ideal[count][];
    mayJumpAhead = new boolean[count];
    Arrays.fill(mayJumpAhead, true);
    int mostPose = problem.startPose();
    int mostTool = problem.startTool();
    for (int i = 0; i < count; i++) {
      Item item = items.get(i);
      before[i] = Ideal.of(item.before());
      anyBefore[i] = item.anyBefore().stream().map(Ideal::of).toArray(Ideal[]::new);
      anyAfter[i] = item.anyAfter().stream().map(Ideal::of).toArray(Ideal[]::new);
      item.anyAfter().forEach(group -> group.forEach(member -> mayJumpAhead[member] = false));
      mostPose = Math.max(mostPose, item.pose());
      mostTool = Math.max(mostTool, item.tool());
    }
    tools = mostTool + 2;
  }

  /** The best order; empty where the problem is too large to be sure, or has no order at all. */
  static Optional<Order> solve(OrderProblem problem) {
    return solve(problem, MOST_STATES);
  }

  /** The same within fewer states, for questions that are asked several times over. */
  static Optional<Order> solve(OrderProblem problem, int mostStates) {
    if (problem.items().size() > MOST_ITEMS) {
      return Optional.empty();
    }
    IdealOrder search = new IdealOrder(problem, mostStates);
    try {
      return search.order();
    } catch (TooManyStates e) {
      return Optional.empty();
    }
  }

  private Optional<Order> order() {
    Ideal done = Ideal.EMPTY;
    int pose = problem.startPose();
    int tool = problem.startTool();
    int best = toGo(done, pose, tool);
    if (best == DEAD_END) {
      return Optional.empty();
    }
    List<Integer> sequence = new ArrayList<>(count);
    int left = best;
    while (!done.equals(all)) {
      int next = firstKeeping(left, done, pose, tool);
      left -= problem.change(next, pose, tool);
      pose = problem.poseAfter(next, pose);
      tool = problem.toolAfter(next, tool);
      done = done.with(next);
      sequence.add(next);
    }
    return Optional.of(
        new Order(
            List.copyOf(sequence),
            best / OrderProblem.POSE,
            best % OrderProblem.POSE,
            best / OrderProblem.POSE,
            best % OrderProblem.POSE));
  }

  private int firstKeeping(int left, Ideal done, int pose, int tool) {
    for (int i = 0; i < count; i++) {
      if (ready(i, done)) {
        int rest = toGo(done.with(i), problem.poseAfter(i, pose), problem.toolAfter(i, tool));
        if (rest != DEAD_END && rest + problem.change(i, pose, tool) == left) {
          return i;
        }
      }
    }
    throw new IllegalStateException("no step keeps to the best cost");
  }

  private int toGo(Ideal done, int pose, int tool) {
    if (done.equals(all)) {
      return 0;
    }
    int cell = cell(done, pose, tool);
    if (costs[cell] == UNKNOWN) {
      int cost = cheapest(done, pose, tool);
      costs[cell] = cost;
    }
    return costs[cell];
  }

  private int cheapest(Ideal done, int pose, int tool) {
    for (int i = 0; i < count; i++) {
      if (mayJumpAhead[i] && problem.change(i, pose, tool) == 0 && ready(i, done)) {
        return toGo(done.with(i), pose, tool);
      }
    }
    int best = DEAD_END;
    for (int i = 0; i < count; i++) {
      if (ready(i, done)) {
        int rest = toGo(done.with(i), problem.poseAfter(i, pose), problem.toolAfter(i, tool));
        if (rest != DEAD_END) {
          best = Math.min(best, rest + problem.change(i, pose, tool));
        }
      }
    }
    return best;
  }

  /** Where the cost of a state stands; only states that are met take room. */
  private int cell(Ideal done, int pose, int tool) {
    long stance = (long) (pose + 1) * tools + tool + 1;
    int state = states.indexOf(ideals.indexOf(done.high, done.low), stance);
    if (state >= mostStates) {
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

  private boolean ready(int i, Ideal done) {
    return !done.has(i)
        && before[i].within(done)
        && (anyBefore[i].length == 0 || anyWithin(anyBefore[i], done))
        && (anyAfter[i].length == 0 || anyApart(anyAfter[i], done));
  }

  private static boolean anyWithin(Ideal[] groups, Ideal done) {
    for (Ideal group : groups) {
      if (group.within(done)) {
        return true;
      }
    }
    return false;
  }

  private static boolean anyApart(Ideal[] groups, Ideal done) {
    for (Ideal group : groups) {
      if (!group.meets(done)) {
        return true;
      }
    }
    return false;
  }

  private static final class TooManyStates extends RuntimeException {
    private static final long serialVersionUID = 1L;

    TooManyStates() {
      super(null, null, false, false);
    }
  }
}
