package isokinon.core.material;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.core.material.FluidsInTurn.Turn;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class FluidsInTurnTest {

  private static final MaterialLibrary LIBRARY = ShippedLibrary.read();

  private static final List<Turn> POOL =
      List.of(
          new Turn("sodium-hypochlorite", 12),
          new Turn("sodium-bisulphite", 38),
          new Turn("acetic-acid", 60),
          new Turn("caustic-soda", 2),
          new Turn("hydrogen-peroxide", 35),
          new Turn("water", 100),
          new Turn("ethanol", 96));

  @Test
  void threePairsOfAFourFluidPumpMustNeverMeetAndTwoGapsAreLeft() {
    FluidsInTurn four = FluidsInTurn.of(POOL.subList(0, 4), LIBRARY);
    assertThat(four.meetings()).hasSize(3);
    assertThat(four.meetings()).allMatch(m -> m.one() < m.other() && m.other() < 3);
    // Caustic runs between the acid and hypochlorite.
    assertThat(four.order()).isEqualTo(new FluidsInTurn.Order(List.of(0, 1, 2, 3), 2));
    assertThat(
            FluidsInTurn.of(List.of(POOL.get(0), POOL.get(3), POOL.get(1), POOL.get(2)), LIBRARY)
                .order()
                .gaps())
        .isEqualTo(2);
  }

  @Test
  void whatNobodyKnowsMeetsNothing() {
    FluidsInTurn two =
        FluidsInTurn.of(List.of(new Turn("treacle", 100), new Turn("acetic-acid", 60)), LIBRARY);
    assertThat(two.meetings()).isEmpty();
    assertThat(two.order().gaps()).isZero();
  }

  /** Against every order there is, tried anew. */
  @Property(tries = 60)
  void noOrderLeavesFewerGaps(@ForAll @IntRange(min = 0, max = 10_000) int seed) {
    Random random = new Random(seed);
    List<Turn> turns = new ArrayList<>(POOL);
    Collections.shuffle(turns, random);
    turns = turns.subList(0, 3 + random.nextInt(3));
    FluidsInTurn asked = FluidsInTurn.of(turns, LIBRARY);
    FluidsInTurn.Order order = asked.order();
    assertThat(order.places()).hasSize(turns.size()).doesNotHaveDuplicates().startsWith(0);
    for (int i = 0; i < 200; i++) {
      List<Turn> other = new ArrayList<>(turns);
      Collections.shuffle(other, random);
      int gaps = 0;
      for (int j = 0; j < other.size(); j++) {
        Turn one = other.get(j);
        Turn next = other.get((j + 1) % other.size());
        gaps +=
            LIBRARY.meetings(one.fluid(), one.pct(), next.fluid(), next.pct()).isEmpty() ? 0 : 1;
      }
      assertThat(order.gaps()).isLessThanOrEqualTo(gaps);
    }
  }
}
