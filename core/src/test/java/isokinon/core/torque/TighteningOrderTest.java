package isokinon.core.torque;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import isokinon.core.sheet.Handling.Layout;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class TighteningOrderTest {

  private static List<Integer> numbers(String text) {
    return Stream.of(text.split("-")).map(Integer::valueOf).toList();
  }

  @ParameterizedTest
  @CsvSource({
    "1, 1",
    "2, 1-2",
    "3, 1-2-3",
    "4, 1-3-2-4",
    "5, 1-3-5-2-4",
    "8, 1-5-3-7-2-6-4-8",
    "12, 1-7-4-10-2-8-5-11-3-9-6-12",
  })
  void theStarOnACircle(int count, String order) {
    assertThat(TighteningOrder.of(count, Layout.CIRCLE).order()).isEqualTo(numbers(order));
  }

  @Test
  void theSecondPairOfSixIsAsNearARightAngleAsSixAllows() {
    List<Integer> order = TighteningOrder.of(6, Layout.CIRCLE).order();
    assertThat(order.subList(0, 2)).containsExactly(1, 4);
    assertThat(order.subList(2, 4)).containsExactly(2, 5);
  }

  @Test
  void aRectangleStartsInTheMiddleOfItsLongSides() {
    List<Integer> order = TighteningOrder.of(8, Layout.RECTANGLE).order();
    assertThat(order.subList(0, 4)).containsExactlyInAnyOrder(2, 3, 6, 7);
    assertThat(order.subList(4, 8)).containsExactlyInAnyOrder(1, 4, 5, 8);
  }

  @Test
  void passesRiseAndEndWithACircularRound() {
    TighteningOrder eight = TighteningOrder.of(8, Layout.CIRCLE);
    assertThat(eight.passes())
        .extracting(TighteningOrder.Pass::percent)
        .containsExactly(30, 60, 100, 100);
    assertThat(eight.passes().get(2).order()).isEqualTo(eight.order());
    assertThat(eight.passes().get(3).order()).isEqualTo(List.of(1, 2, 3, 4, 5, 6, 7, 8));
  }

  @Property
  void everyFastenerOnceAPass(
      @ForAll @IntRange(min = 1, max = TighteningOrder.MOST) int count, @ForAll Layout layout) {
    List<Integer> all = IntStream.rangeClosed(1, count).boxed().toList();
    TighteningOrder order = TighteningOrder.of(count, layout);
    assertThat(order.order()).containsExactlyInAnyOrderElementsOf(all);
    assertThat(order.passes())
        .allSatisfy(p -> assertThat(p.order()).containsExactlyInAnyOrderElementsOf(all));
  }

  @Property
  void evenCountsGoByOppositePairs(@ForAll @IntRange(min = 1, max = 100) int pairs) {
    List<Integer> order = TighteningOrder.of(2 * pairs, Layout.CIRCLE).order();
    for (int i = 0; i < order.size(); i += 2) {
      assertThat(order.get(i + 1) - order.get(i)).isEqualTo(pairs);
    }
  }

  /** Tightened bolts stay balanced: their directions never add up to more than one bolt's worth. */
  @Property
  void onACircleNoSideRunsAhead(@ForAll @IntRange(min = 2, max = 24) int pairs) {
    int count = 2 * pairs;
    double x = 0;
    double y = 0;
    for (int n : TighteningOrder.of(count, Layout.CIRCLE).order()) {
      x += Math.cos(2 * Math.PI * n / count);
      y += Math.sin(2 * Math.PI * n / count);
      assertThat(Math.hypot(x, y)).isLessThan(1 + 1e-9);
    }
  }

  @ParameterizedTest
  @ValueSource(ints = {0, -3, 201, Integer.MAX_VALUE})
  void aCountOutsideTheRangeIsRefusedBySaying(int count) {
    assertThatThrownBy(() -> TighteningOrder.of(count, Layout.CIRCLE))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("1 to 200")
        .hasMessageContaining(Integer.toString(count));
  }
}
