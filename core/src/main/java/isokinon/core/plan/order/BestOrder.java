package isokinon.core.plan.order;

import isokinon.core.plan.order.OrderProblem.Order;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * The order with the fewest pose changes, then the fewest tool changes, and among those one that
 * begins long waits early and fills them with other work. The changes are exact within the limits
 * of {@link IdealOrder}, beyond them good ({@link BeamOrder}) and held against a bound; the time on
 * the clock is the best of the orders tried: for each of the longest waits the one that begins it
 * first, and the one that also puts off what waits for it.
 */
public final class BestOrder {

  /** Steps up to which the changes are exact. */
  public static final int MOST_ITEMS = IdealOrder.MOST_ITEMS;

  /** The longest waits for which orders are tried: each costs two searches. */
  private static final int MOST_WAITS = 3;

  private static final int MOST_STATES_FOR_A_WAIT = 150_000;

  private BestOrder() {}

  /** The order; empty where steps wait for each other. */
  public static Optional<Order> of(OrderProblem problem) {
    Optional<Order> plain = IdealOrder.solve(problem).or(() -> beyond(problem));
    return plain.map(p -> problem.mayShiftWaits() ? withWaitsFilled(problem, p) : p);
  }

  /** Where the exact order is out of reach: a good one, and how much better any could be. */
  private static Optional<Order> beyond(OrderProblem problem) {
    return BeamOrder.solve(problem)
        .map(
            found -> {
              LeastChanges least = LeastChanges.of(problem);
              return new Order(
                  found.sequence(),
                  found.poseChanges(),
                  found.toolChanges(),
                  least.poses(),
                  least.tools(found.poseChanges()));
            });
  }

  private static Order withWaitsFilled(OrderProblem problem, Order plain) {
    OrderProblem kept = problem;
    Order best = plain;
    double clock = problem.clockMinutes(plain.sequence());
    List<Integer> waits =
        IntStream.range(0, problem.items().size())
            .filter(i -> problem.items().get(i).waits())
            .boxed()
            .sorted(
                Comparator.comparingDouble(
                    i ->
                        -Math.max(
                            problem.items().get(i).waitMinutes(),
                            problem.items().get(i).cureMinutes())))
            .limit(MOST_WAITS)
            .toList();
    for (int wait : waits) {
      OrderProblem before = kept;
      for (boolean late : new boolean[] {false, true}) {
        OrderProblem tried = before.begunEarly(wait, late);
        Optional<Order> order = IdealOrder.solve(tried, MOST_STATES_FOR_A_WAIT);
        if (order.isPresent()
            && order.get().poseChanges() <= best.poseChanges()
            && order.get().toolChanges() <= best.toolChanges()
            && problem.clockMinutes(order.get().sequence()) < clock) {
          kept = tried;
          best = order.get();
          clock = problem.clockMinutes(best.sequence());
        }
      }
    }
    return best;
  }
}
