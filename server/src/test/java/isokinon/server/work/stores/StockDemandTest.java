package isokinon.server.work.stores;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import isokinon.core.counter.Usage;
import isokinon.core.life.LifeGroups;
import isokinon.core.renewal.Policies.Way;
import isokinon.server.db.DataVersions;
import isokinon.server.db.Topic;
import isokinon.server.db.materials.WetEndMapper;
import isokinon.server.db.materials.WetKitRow;
import isokinon.server.db.pumps.HistoryMapper;
import isokinon.server.db.pumps.PolicyRow;
import isokinon.server.db.pumps.WetEndRow;
import isokinon.server.work.library.Catalogue;
import isokinon.server.work.lives.LifeService;
import isokinon.server.work.lives.LifeSnapshot;
import isokinon.server.work.lives.LifeSnapshot.Prior;
import isokinon.server.work.lives.LifeSnapshot.PumpInService;
import isokinon.server.work.lives.SomePumps;
import isokinon.server.work.pumps.FittedWetEnds;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** How many kits the sets that run now will ask for. */
class StockDemandTest {

  private static final String SHEET = "aodd-bolted-plastic-25";

  private final LifeService lives = mock(LifeService.class);
  private final HistoryMapper history = mock(HistoryMapper.class);
  private final FittedWetEnds wetEnds = mock(FittedWetEnds.class);
  private final WetEndMapper store = mock(WetEndMapper.class);
  private final DataVersions versions = new DataVersions();
  private final StockDemand demand =
      new StockDemand(lives, history, wetEnds, new Catalogue(store, versions), versions);

  private static WetKitRow kit(String material, String hardware) {
    return new WetKitRow(SHEET, "wet-kit", material, hardware, "", 112, 9, "");
  }

  private void onPlates(String hardware) {
    when(wetEnds.of(anyString())).thenAnswer(q -> WetEndRow.of(q.getArgument(0), hardware, 0));
  }

  /** Sets of these ages, 20 h a day, renewed at 2 300 h. */
  private StockDemand.Asking asking(double... ages) {
    Map<String, PumpInService> standing = new LinkedHashMap<>();
    for (int i = 0; i < ages.length; i++) {
      standing.put(
          "P-" + i,
          new PumpInService(
              SomePumps.aged("P-" + i, ages[i]),
              new Usage(20, 0, Optional.empty(), false),
              "sludge",
              new Prior(90_000, true, 3, 0.7)));
    }
    when(lives.now()).thenReturn(new LifeSnapshot(new LifeGroups(List.of()), standing));
    when(store.allKits())
        .thenReturn(List.of(kit("NBR", "full-stroke"), kit("NBR", "short-stroke")));
    onPlates("full-stroke");
    return demand.byKit().get(kit("NBR", "full-stroke").id());
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
  void aSetAsksForTheKitThatFitsThePlatesUnderItAndForNoOther() {
    assertThat(asking(2200).pumps()).containsExactly("P-0");
    assertThat(demand.byKit()).containsOnlyKeys(kit("NBR", "full-stroke").id());
    onPlates("another");
    versions.changed(List.of(Topic.CATALOGUE));
    assertThat(demand.byKit()).isEmpty();
    onPlates("");
    versions.changed(List.of(Topic.CATALOGUE));
    assertThat(demand.byKit()).as("plates nobody wrote down: one stands for all").hasSize(1);
  }

  @Test
  void aSetThatWasRenewedComesToItsIntervalAgain() {
    // every 115 days: in a year about three
    assertThat(asking(0).within(365).mean()).isCloseTo(3, within(0.2));
  }

  @Test
  void whatRunsUntilItFailsAsksOnlyWhenItFails() {
    when(history.policies())
        .thenReturn(List.of(new PolicyRow("P-0", Way.UNTIL_IT_FAILS, null, "", "MA", null)));
    assertThat(asking(2200).within(30).mean()).isLessThan(0.05);
  }
}
