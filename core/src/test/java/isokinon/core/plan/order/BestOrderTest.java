package isokinon.core.plan.order;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.core.plan.order.OrderProblem.Item;
import isokinon.core.plan.order.OrderProblem.Order;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** Orders beyond those that can be proved. */
class BestOrderTest {

  /** Steps in chains, six tools, three poses, some tied across, some with a choice before them. */
  private static OrderProblem chains(int steps, int chains, long seed) {
    SplittableRandom random = new SplittableRandom(seed);
    List<Item> items = new ArrayList<>();
    for (int i = 0; i < steps; i++) {
      List<Integer> before = new ArrayList<>(i >= chains ? List.of(i - chains) : List.of());
      if (i > chains && random.nextInt(6) == 0) {
        before.add(random.nextInt(i));
      }
      List<List<Integer>> any =
          i % 9 == 8 ? List.of(List.of(random.nextInt(i)), List.of(random.nextInt(i))) : List.of();
      int pose = random.nextInt(4) - 1;
      int tool = random.nextInt(7) - 1;
      items.add(new Item(pose, tool, before, any, List.of(), 1, 0, 0));
    }
    return new OrderProblem(items, 0, -1);
  }

  private static void isAnOrder(OrderProblem problem, Order order) {
    List<Integer> done = new ArrayList<>();
    int poses = 0;
    int tools = 0;
    int pose = problem.startPose();
    int tool = problem.startTool();
    for (int i : order.sequence()) {
      Item item = problem.items().get(i);
      assertThat(done).containsAll(item.before());
      assertThat(
              item.anyBefore().isEmpty() || item.anyBefore().stream().anyMatch(done::containsAll))
          .isTrue();
      poses += problem.turns(i, pose) ? 1 : 0;
      tools += problem.swaps(i, tool) ? 1 : 0;
      pose = problem.poseAfter(i, pose);
      tool = problem.toolAfter(i, tool);
      done.add(i);
    }
    assertThat(done).doesNotHaveDuplicates().hasSameSizeAs(problem.items());
    assertThat(order.poseChanges()).isEqualTo(poses);
    assertThat(order.toolChanges()).isEqualTo(tools);
  }

  private static int rank(int poses, int tools) {
    return poses * 1000 + tools;
  }

  @Property(tries = 60)
  void theBeamIsAnOrderTheBestIsNoWorseAndTheBoundIsUnderBoth(
      @ForAll @IntRange(min = 1, max = 9_999) int seed) {
    OrderProblem problem = chains(24, 2 + seed % 3, seed);
    Order best = IdealOrder.solve(problem).orElseThrow();
    Order beam = BeamOrder.solve(problem).orElseThrow();
    isAnOrder(problem, best);
    isAnOrder(problem, beam);
    int least = rank(best.poseChanges(), best.toolChanges());
    assertThat(rank(beam.poseChanges(), beam.toolChanges())).isBetween(least, least + 1);
    LeastChanges bound = LeastChanges.of(problem);
    assertThat(rank(bound.poses(), bound.withThose())).isLessThanOrEqualTo(least);
    assertThat(bound.tools()).isLessThanOrEqualTo(best.toolChanges());
  }

  @Test
  void upToAMillionStatesTheOrderIsProvedAndBeyondItTellsHowFarOffItCanBe() {
    Order proved = BestOrder.of(chains(80, 4, 2512)).orElseThrow();
    assertThat(proved.optimal()).isTrue();
    OrderProblem large = chains(160, 8, 7);
    Order order = BestOrder.of(large).orElseThrow();
    isAnOrder(large, order);
    assertThat(order.optimal()).isFalse();
    assertThat(order.leastPoses()).isBetween(1, order.poseChanges());
    assertThat(order.leastTools()).isBetween(1, order.toolChanges());
  }
}
