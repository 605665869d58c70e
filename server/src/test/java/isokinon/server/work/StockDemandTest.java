package isokinon.server.work;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import isokinon.core.counter.Usage;
import isokinon.core.life.LifeGroups;
import isokinon.server.store.HistoryMapper;
import isokinon.server.store.PolicyRow;
import isokinon.server.work.ShopLives.Prior;
import isokinon.server.work.ShopLives.Standing;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** How many kits the sets that run now will ask for. */
class StockDemandTest {

  private final Lives lives = mock(Lives.class);
  private final HistoryMapper history = mock(HistoryMapper.class);
  private final StockDemand demand = new StockDemand(lives, history);

  /** Sets of these ages, 20 h a day, renewed at 2 300 h. */
  private StockDemand.Asking asking(double... ages) {
    Map<String, Standing> standing = new LinkedHashMap<>();
    for (int i = 0; i < ages.length; i++) {
      standing.put(
          "P-" + i,
          new Standing(
              SomePumps.aged("P-" + i, ages[i]),
              new Usage(20, 0, Optional.empty(), false),
              "sludge",
              new Prior(90_000, true, 3)));
    }
    when(lives.now()).thenReturn(new ShopLives(new LifeGroups(List.of()), standing));
    return demand.byKit().get(StockDemand.key("aodd-bolted-plastic-25", "NBR"));
  }

  @Test
  void aSetComesToItsIntervalAndAsksForAKit() {
    // 2 300 h are reached in 5 and in 65 days; hardly one fails before.
    assertThat(asking(2200, 1000).within(7).mean()).isCloseTo(1, within(0.01));
    assertThat(asking(2200, 1000).within(70).mean()).isCloseTo(2, within(0.02));
    assertThat(asking(2200, 1000).within(0).enough(0.99)).isZero();
    assertThat(asking(2200, 1000).pumps()).containsExactly("P-0", "P-1");
  }

  @Test
  void aSetThatWasRenewedComesToItsIntervalAgain() {
    // every 115 days: in a year about three
    assertThat(asking(0).within(365).mean()).isCloseTo(3, within(0.2));
  }

  @Test
  void whatRunsUntilItFailsAsksOnlyWhenItFails() {
    when(history.policies())
        .thenReturn(List.of(new PolicyRow("P-0", Policy.UNTIL_IT_FAILS, null, "", "MA", null)));
    assertThat(asking(2200).within(30).mean()).isLessThan(0.05);
  }
}
