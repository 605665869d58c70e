package isokinon.core.plan.order;

import isokinon.core.plan.order.OrderProblem.Item;
import isokinon.core.plan.order.OrderProblem.Order;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A good order where the exact one is out of reach: of all ways to have done so many steps, the
 * {@value #WIDTH} are carried on that have the fewest changes behind them and, at the least, before
 * them; fewer of them beyond {@value #WIDE_TO} steps. A step that is ready and changes nothing is
 * done at once, which by exchange never costs anything. Cost grows with steps² × width × steps that
 * are ready.
 */
final class BeamOrder {

  static final int WIDTH = 300;
  static final int WIDE_TO = 128;
  private static final int NARROWEST = 16;

  private final OrderProblem problem;
  private final List<Item> items;
  private final int width;

  /** Steps that another one may need still undone. */
  private final BitSet awaited = new BitSet();

  private BeamOrder(OrderProblem problem) {
    this.problem = problem;
    this.items = problem.items();
    double narrower = Math.min(1, (double) WIDE_TO / Math.max(1, items.size()));
    width = (int) Math.max(NARROWEST, WIDTH * narrower * narrower);
    items.forEach(i -> i.anyAfter().forEach(group -> group.forEach(awaited::set)));
  }

  /** A possible order; empty where none was found. Whether it is the best is not known. */
  static Optional<Order> solve(OrderProblem problem) {
    Optional<Order> settled = new BeamOrder(problem.settled()).order();
    if (problem.items().stream().allMatch(i -> i.anyAfter().isEmpty())) {
      return settled;
    }
    Optional<Order> free = new BeamOrder(problem).order();
    return free.filter(f -> settled.isEmpty() || f.betterThan(settled.get())).or(() -> settled);
  }

  /** Steps done, the way they were done, and what stands and is in the hand after them. */
  private record Way(BitSet done, Way before, int last, int pose, int tool, int changes) {

    private record Place(BitSet done, int pose, int tool) {}

    Place place() {
      return new Place(done, pose, tool);
    }
  }

  private Optional<Order> order() {
    int count = items.size();
    List<Map<Way.Place, Way>> byDone = new ArrayList<>();
    for (int i = 0; i <= count; i++) {
      byDone.add(new HashMap<>());
    }
    keep(byDone, new Way(new BitSet(), null, -1, problem.startPose(), problem.startTool(), 0));
    for (int done = 0; done < count; done++) {
      for (Way way : best(byDone.get(done).values())) {
        carryOn(byDone, way);
      }
      byDone.get(done).clear();
    }
    return byDone.get(count).values().stream()
        .min(Comparator.comparingInt(Way::changes))
        .map(this::order);
  }

  private Order order(Way end) {
    LinkedList<Integer> sequence = new LinkedList<>();
    for (Way way = end; way.last() >= 0; way = way.before()) {
      sequence.addFirst(way.last());
    }
    return new Order(
        List.copyOf(sequence),
        end.changes() / OrderProblem.POSE,
        end.changes() % OrderProblem.POSE,
        0,
        0);
  }

  private List<Way> best(Collection<Way> ways) {
    if (ways.size() <= width) {
      return List.copyOf(ways);
    }
    record Ranked(Way way, int least) {}
    return ways.stream()
        .map(w -> new Ranked(w, w.changes() + ahead(w)))
        .sorted(Comparator.comparingInt(Ranked::least).thenComparingInt(r -> r.way().last()))
        .limit(width)
        .map(Ranked::way)
        .toList();
  }

  /** What the steps that are left take at the least: every other pose and tool of theirs once. */
  private int ahead(Way way) {
    BitSet poses = new BitSet();
    BitSet tools = new BitSet();
    for (int i = way.done().nextClearBit(0); i < items.size(); i = way.done().nextClearBit(i + 1)) {
      int pose = problem.poseAfter(i, way.pose());
      int tool = problem.toolAfter(i, way.tool());
      if (pose != way.pose()) {
        poses.set(pose);
      }
      if (tool != way.tool()) {
        tools.set(tool);
      }
    }
    return poses.cardinality() * OrderProblem.POSE + tools.cardinality();
  }

  private void carryOn(List<Map<Way.Place, Way>> byDone, Way way) {
    List<Integer> ready = new ArrayList<>();
    for (int i = way.done().nextClearBit(0); i < items.size(); i = way.done().nextClearBit(i + 1)) {
      if (ready(i, way.done())) {
        if (!awaited.get(i) && problem.change(i, way.pose(), way.tool()) == 0) {
          keep(byDone, after(way, i));
          return;
        }
        ready.add(i);
      }
    }
    ready.forEach(i -> keep(byDone, after(way, i)));
  }

  private Way after(Way way, int item) {
    BitSet done = (BitSet) way.done().clone();
    done.set(item);
    return new Way(
        done,
        way,
        item,
        problem.poseAfter(item, way.pose()),
        problem.toolAfter(item, way.tool()),
        way.changes() + problem.change(item, way.pose(), way.tool()));
  }

  private static void keep(List<Map<Way.Place, Way>> byDone, Way way) {
    byDone
        .get(way.done().cardinality())
        .merge(way.place(), way, (a, b) -> b.changes() < a.changes() ? b : a);
  }

  private boolean ready(int i, BitSet done) {
    Item item = items.get(i);
    return item.before().stream().allMatch(done::get)
        && (item.anyBefore().isEmpty()
            || item.anyBefore().stream().anyMatch(g -> g.stream().allMatch(done::get)))
        && (item.anyAfter().isEmpty()
            || item.anyAfter().stream().anyMatch(g -> g.stream().noneMatch(done::get)));
  }
}
