package isokinon.core.torque;

import isokinon.core.sheet.Handling.Layout;
import isokinon.core.value.InvalidQuantity;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/**
 * In which order are the fasteners of one joint tightened, and in which passes?
 *
 * <p>Circle: the legacy star of bolted-joint practice. Even counts go by opposite pairs: the second
 * pair as near a right angle to the first as the count allows, each later pair the one farthest
 * from the pair just done, ties to the lower number; odd counts step by half the count, rounded
 * down. Rectangle: fasteners numbered clockwise along the two long sides, from the middle of the
 * long sides outwards, crosswise. Passes at 30, 60 and 100 %, then one circular round at 100 %.
 *
 * @param order fastener numbers from 1, each once
 * @param passes the rounds, the last one in circular order
 */
public record TighteningOrder(List<Integer> order, List<Pass> passes) {

  /** Most fasteners of one joint. */
  public static final int MOST = 200;

  /** One round over the joint: percent of the final torque, and the order. */
  public record Pass(int percent, List<Integer> order) {}

  /**
   * The order for {@code count} fasteners.
   *
   * @throws IllegalArgumentException where count is under 1 or over {@link #MOST}
   */
  public static TighteningOrder of(int count, Layout layout) {
    if (count < 1 || count > MOST) {
      throw new InvalidQuantity(
          "count", "A joint has 1 to " + MOST + " fasteners; " + count + " is outside that.");
    }
    List<Integer> order = layout == Layout.CIRCLE ? circle(count) : rectangle(count);
    List<Integer> round = IntStream.rangeClosed(1, count).boxed().toList();
    return new TighteningOrder(
        order,
        List.of(
            new Pass(30, order), new Pass(60, order), new Pass(100, order), new Pass(100, round)));
  }

  private static List<Integer> circle(int count) {
    if (count % 2 == 1) {
      int stride = Math.max(1, count / 2);
      return IntStream.range(0, count).mapToObj(i -> 1 + i * stride % count).toList();
    }
    return bothOfEach(starOfPairs(count / 2), count / 2);
  }

  private static List<Integer> starOfPairs(int pairs) {
    List<Integer> left = new ArrayList<>(IntStream.range(0, pairs).boxed().toList());
    List<Integer> order = new ArrayList<>();
    order.add(left.remove(0));
    while (!left.isEmpty()) {
      int last = order.get(order.size() - 1);
      Comparator<Integer> farthest =
          order.size() == 1
              ? Comparator.comparingDouble(p -> Math.abs(apart(p, last, pairs) - pairs / 2.0))
              : Comparator.comparingDouble(p -> -apart(p, last, pairs));
      order.add(left.remove(left.indexOf(left.stream().min(farthest).orElseThrow())));
    }
    return order;
  }

  private static int apart(int a, int b, int pairs) {
    int d = Math.abs(a - b);
    return Math.min(d, pairs - d);
  }

  private static List<Integer> rectangle(int count) {
    int half = count / 2;
    if (count % 2 == 0) {
      List<Integer> columns =
          IntStream.range(0, half)
              .boxed()
              .sorted(Comparator.comparingInt(c -> Math.abs(2 * c - (half - 1))))
              .toList();
      return bothOfEach(columns, half);
    }
    int top = half + 1;
    Comparator<Integer> fromTheMiddle =
        Comparator.comparingInt(
            f -> f <= top ? Math.abs(2 * (f - 1) - half) : Math.abs(2 * (f - top - 1) - half + 1));
    return IntStream.rangeClosed(1, count).boxed().sorted(fromTheMiddle).toList();
  }

  private static List<Integer> bothOfEach(List<Integer> pairs, int half) {
    return pairs.stream().flatMap(p -> IntStream.of(p + 1, p + 1 + half).boxed()).toList();
  }
}
