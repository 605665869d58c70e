package isokinon.server.work.diary;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import isokinon.core.counter.Usage;
import isokinon.core.life.LifeGroups;
import isokinon.core.renewal.Policies.Way;
import isokinon.server.db.DataVersions;
import isokinon.server.db.diary.DiaryMapper;
import isokinon.server.db.findings.FindingMapper;
import isokinon.server.db.materials.WetEndMapper;
import isokinon.server.db.materials.WetKitRow;
import isokinon.server.db.pumps.HistoryMapper;
import isokinon.server.db.pumps.PolicyRow;
import isokinon.server.db.rebuilds.BenchMapper;
import isokinon.server.db.rebuilds.RebuildRow;
import isokinon.server.db.stores.LotRow;
import isokinon.server.db.stores.ReservationRow;
import isokinon.server.db.stores.ShelfMapper;
import isokinon.server.work.diary.WorkList.Work;
import isokinon.server.work.library.ShelfLifeService;
import isokinon.server.work.library.ShopLibrary;
import isokinon.server.work.lives.Forecasts;
import isokinon.server.work.lives.LifeService;
import isokinon.server.work.lives.LifeSnapshot;
import isokinon.server.work.lives.LifeSnapshot.Prior;
import isokinon.server.work.lives.LifeSnapshot.PumpInService;
import isokinon.server.work.lives.Renewals;
import isokinon.server.work.lives.SomePumps;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Which jobs are worth doing within the diary. */
class WorkListTest {

  private static final Clock NOW =
      Clock.fixed(Instant.parse("2026-03-17T08:00:00Z"), ZoneOffset.UTC);
  private static final WetKitRow KIT =
      new WetKitRow("aodd-bolted-plastic-25", "wet-kit", "NBR", "full-stroke", "", 112, 9, "");

  private final LifeService lives = mock(LifeService.class);
  private final Renewals renewals = mock(Renewals.class);
  private final HistoryMapper history = mock(HistoryMapper.class);
  private final BenchMapper bench = mock(BenchMapper.class);
  private final ShelfMapper shelf = mock(ShelfMapper.class);
  private final DiaryMapper diary = mock(DiaryMapper.class);
  private final ShopLibrary library = new ShopLibrary(mock(WetEndMapper.class), new DataVersions());
  private final WorkList list =
      new WorkList(
          lives,
          new Forecasts(lives, library),
          renewals,
          history,
          mock(FindingMapper.class),
          bench,
          shelf,
          new ShelfLifeService(library, NOW),
          diary);

  @BeforeEach
  void threePumpsRun() {
    Map<String, PumpInService> standing = new LinkedHashMap<>();
    standing.put("P-1", standing("P-1", 2200, 4000));
    standing.put("P-2", standing("P-2", 1900, 4000));
    standing.put("P-3", standing("P-3", 100, 4000));
    when(lives.now()).thenReturn(new LifeSnapshot(new LifeGroups(List.of()), standing));
    when(renewals.of(any()))
        .thenReturn(
            Optional.of(
                new Renewals.Renewal(
                    Optional.of(KIT), 87, 61, 60, Optional.of(173.0), 290, 42, Optional.empty())));
  }

  private static PumpInService standing(String tag, double age, double mean) {
    return new PumpInService(
        SomePumps.aged(tag, age),
        new Usage(20, 0, Optional.empty(), false),
        "sludge",
        new Prior(mean, true, 2.5, 0.7));
  }

  private static LotRow lot(int quantity, LocalDate cured) {
    return new LotRow(
        "L-1",
        "aodd-bolted-plastic-25",
        "wet-kit",
        "Kit",
        "NBR",
        cured,
        quantity,
        112,
        "B1",
        "full-stroke");
  }

  private List<Work> within() {
    return list.within(42, Set.of());
  }

  @Test
  void whatIsDueIsOnItTheSoonestFirst() {
    assertThat(within()).extracting(w -> w.pump().tag()).containsExactly("P-1", "P-2");
    assertThat(list.within(42, Set.of("P-3"))).hasSize(3);
  }

  @Test
  void whatIsLikelyToFailIsOnItThoughItIsNotDue() {
    when(lives.now())
        .thenReturn(
            new LifeSnapshot(new LifeGroups(List.of()), Map.of("P-3", standing("P-3", 1000, 700))));
    assertThat(within()).extracting(w -> w.pump().tag()).containsExactly("P-3");
  }

  @Test
  void whatIsOnTheBenchOrRunsUntilItFailsIsNot() {
    when(bench.running())
        .thenReturn(List.of(new RebuildRow(1, "P-1", "", 1, null, "RT", "", "", 0, null, "")));
    when(history.policies())
        .thenReturn(List.of(new PolicyRow("P-2", Way.UNTIL_IT_FAILS, null, "", "MA", null)));
    assertThat(within()).isEmpty();
  }

  @Test
  void theSoonestDueTakesTheKitOffTheShelfAndTheNextWaitsForAnOrder() {
    when(shelf.all()).thenReturn(List.of(lot(1, LocalDate.of(2025, 6, 1))));
    assertThat(within()).extracting(Work::kitDay).containsExactly(0, 9);
    assertThat(within().get(0).kit()).isEqualTo("A kit is on the shelf.");
    assertThat(within().get(1).kit()).contains("ordered today it is here in 9 days");
  }

  @Test
  void anOverAgeKitIsNoneAndAHeldOneIsForItsPump() {
    when(shelf.all()).thenReturn(List.of(lot(1, LocalDate.of(2010, 6, 1))));
    assertThat(within()).extracting(Work::kitDay).containsExactly(9, 9);
    when(shelf.all()).thenReturn(List.of(lot(1, LocalDate.of(2025, 6, 1))));
    when(shelf.reservations()).thenReturn(List.of(new ReservationRow(1, "L-1", "P-2", "SB", null)));
    assertThat(within()).extracting(Work::kitDay).containsExactly(9, 0);
    assertThat(within().get(1).kit()).isEqualTo("A kit is held for it.");
  }

  @Test
  void aKitOnOtherPlatesIsNoKitOfThisSet() {
    LotRow other = lot(5, LocalDate.of(2025, 6, 1));
    when(shelf.all())
        .thenReturn(
            List.of(
                new LotRow(
                    "L-2",
                    other.sheetId(),
                    other.kit(),
                    other.title(),
                    other.material(),
                    other.cured(),
                    5,
                    112,
                    "B1",
                    "short-stroke")));
    when(shelf.reservations()).thenReturn(List.of(new ReservationRow(1, "L-2", "P-2", "SB", null)));
    assertThat(within()).extracting(Work::kitDay).containsExactly(9, 9);
  }

  @Test
  void whatBindsAJobGoesWithIt() {
    when(diary.rules()).thenReturn(List.of(new DiaryMapper.PumpRuleRow("P-1", "Press", "P-2")));
    when(diary.fixtures())
        .thenReturn(
            List.of(new DiaryMapper.FixtureRow("press", "press", 1, "rotary-lobe;air-diaphragm")));
    Work first = within().get(0);
    assertThat(first.line()).isEqualTo("Press");
    assertThat(first.pair()).isEqualTo("P-2");
    assertThat(first.fixture().orElseThrow().id()).isEqualTo("press");
    assertThat(within().get(1).line()).isEmpty();
    assertThat(first.cost().ofFailing(10)).isPositive();
  }
}
