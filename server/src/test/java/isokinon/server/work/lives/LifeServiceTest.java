package isokinon.server.work.lives;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import com.fasterxml.jackson.databind.ObjectMapper;
import isokinon.core.counter.CounterLog;
import isokinon.core.counter.WearCount;
import isokinon.core.life.LifeGroups.Level;
import isokinon.core.life.LifeGroups.WearRun;
import isokinon.core.material.Knowledge;
import isokinon.core.wetend.FluidUse;
import isokinon.server.db.DataVersions;
import isokinon.server.db.Topic;
import isokinon.server.db.materials.WetEndMapper;
import isokinon.server.db.pumps.CounterMapper;
import isokinon.server.db.pumps.CounterRow;
import isokinon.server.db.pumps.ExposureRow;
import isokinon.server.db.pumps.FailureModeRow;
import isokinon.server.db.pumps.FittedPartRow;
import isokinon.server.db.pumps.HistoryMapper;
import isokinon.server.db.pumps.PastDutyRow;
import isokinon.server.db.pumps.PumpMapper;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.db.pumps.RunCount;
import isokinon.server.db.pumps.RunRow;
import isokinon.server.db.pumps.WetEndRow;
import isokinon.server.db.rebuilds.BenchMapper;
import isokinon.server.db.rebuilds.RebuildRow;
import isokinon.server.work.library.Sheets;
import isokinon.server.work.library.ShopLibrary;
import isokinon.server.work.lives.LifeSnapshot.GroupEvidence;
import isokinon.server.work.lives.LifeSnapshot.PumpInService;
import isokinon.server.work.pumps.DutyForm;
import isokinon.server.work.pumps.PastDuties;
import isokinon.server.work.pumps.PumpRegister;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Every run of the shop, finished or running, and what the library expects. */
class LifeServiceTest {

  private static final Clock NOW =
      Clock.fixed(Instant.parse("2026-03-17T08:00:00Z"), ZoneOffset.UTC);
  private static final PumpRow PUMP = SomePumps.aged("EFF-02", 1000);

  private final PumpMapper pumps = mock(PumpMapper.class);
  private final HistoryMapper history = mock(HistoryMapper.class);
  private final CounterMapper counters = mock(CounterMapper.class);
  private final BenchMapper bench = mock(BenchMapper.class);
  private final WetEndMapper wetEnds = mock(WetEndMapper.class);
  private final DataVersions versions = new DataVersions();
  private final ShopLibrary library = new ShopLibrary(wetEnds, versions);
  private final PastDuties past = new PastDuties(pumps, library, new ObjectMapper(), NOW);
  private final LifeService lives =
      new LifeService(
          pumps,
          new PumpRegister(pumps, counters, bench, NOW),
          history,
          counters,
          bench,
          wetEnds,
          new LibraryWord(library, NOW),
          mock(Sheets.class),
          past,
          new FinishedRuns(pumps, versions),
          versions,
          NOW);

  @BeforeEach
  void aPumpStands() {
    store(List.of());
    when(pumps.all()).thenReturn(List.of(PUMP));
    when(pumps.allFitted()).thenReturn(List.of(PUMP.set()));
    when(pumps.byTag("EFF-02")).thenReturn(Optional.of(PUMP));
    when(pumps.allExposures()).thenReturn(List.of(exposure("scour-liquor", 40)));
  }

  private static ExposureRow exposure(String fluid, double degC) {
    return new ExposureRow("EFF-02", 1, fluid, 100, degC, 1, "", null, FluidUse.PROCESS);
  }

  private static RunRow run(double hours, boolean failed, Double counts, double came) {
    return run(hours, failed, counts, came, LocalDate.of(2025, 6, 1));
  }

  private static RunRow run(
      double hours, boolean failed, Double counts, double came, LocalDate ended) {
    return new RunRow(
        "EFF-02",
        "diaphragm",
        "NBR",
        "scour-liquor",
        LocalDate.of(2025, 1, 1),
        ended,
        hours,
        failed,
        "",
        "1",
        "",
        "",
        "aodd-bolted-plastic-25",
        came,
        WearCount.STROKES,
        0,
        counts,
        "");
  }

  private static CounterRow reading(int daysAgo, double hours) {
    OffsetDateTime at = OffsetDateTime.now(NOW).minusDays(daysAgo);
    return new CounterRow("EFF-02", CounterLog.Kind.HOURS, at, hours, "RT", at);
  }

  private void store(List<RunRow> runs) {
    when(pumps.countRuns()).thenReturn(new RunCount(runs.size(), runs.size()));
    when(pumps.runsBetween(anyLong(), anyLong()))
        .thenAnswer(
            q -> runs.subList((int) (long) q.getArgument(0), (int) (long) q.getArgument(1)));
  }

  private List<WearRun> runs() {
    LifeSnapshot shop = lives.now();
    return shop.groups().at(Level.DUTY, shop.standing("EFF-02").of()).runs();
  }

  @Test
  void whatRunsOfAMaterialInADutySayIsSummedUpWithTheLastSixOfThemByDay() {
    List<RunRow> ended = new ArrayList<>();
    for (int month = 12; month >= 1; month--) {
      ended.add(run(1000 + month, month == 2 || month == 9, null, 0, LocalDate.of(2025, month, 3)));
    }
    store(ended);
    GroupEvidence known = lives.like("diaphragm", "NBR", "scour-liquor");
    assertThat(known.finished()).isEqualTo(12);
    assertThat(known.lives().failures()).isEqualTo(2);
    assertThat(known.lastFailed()).containsExactly(false, false, true, false, false, false);
    assertThat(known.failedAt()).containsExactly(1002.0, 1009.0);
    assertThat(lives.like("diaphragm", "NBR", "scour-liquor")).isSameAs(known);
    assertThat(lives.like("diaphragm", "PTFE", "scour-liquor").lives().runs()).isZero();
  }

  @Test
  void theSetThatRunsIsARunWithoutAnEndCarriedOnFromItsReading() {
    store(List.of(run(1800, true, 7.2e6, 0)));
    when(counters.hoursSince(any())).thenReturn(List.of(reading(43, 5580), reading(3, 5980)));
    assertThat(runs()).hasSize(2);
    WearRun now = runs().get(1);
    assertThat(now.running()).isTrue();
    // 10 h a day by its counter, read three days ago
    assertThat(now.hours().age()).isCloseTo(1030, within(1e-6));
    assertThat(now.counts().orElseThrow().age()).isCloseTo(1030 * 4000.0, within(1e-3));
    assertThat(lives.now().standing("EFF-02").usage().perDay()).isCloseTo(10, within(1e-9));
    assertThat(lives.now().life(lives.now().standing("EFF-02")).counted())
        .isEqualTo(WearCount.STROKES);
  }

  /** 70 degC until January, 40 degC since: what ran hot is not blamed on the cooler duty. */
  @Test
  void aRunCountsByTheDutyOfItsTime() {
    store(List.of(run(1800, true, null, 0)));
    LifeSnapshot as = lives.now();
    double plain = as.life(as.standing("EFF-02")).estimate().meanLife();
    double age = as.life(as.standing("EFF-02")).age();
    LocalDate january = LocalDate.of(2026, 1, 10);
    List<PastDutyRow> kept = new ArrayList<>();
    doAnswer(q -> kept.add(q.getArgument(0))).when(pumps).keepDuty(any());
    DutyForm hot =
        DutyForm.of(
            PUMP, List.of(exposure("scour-liquor", 70)), WetEndRow.unknown("EFF-02"), library);
    past.keep("EFF-02", hot, hot.duty(library), "MA");
    assertThat(kept).as("the same duty is no change").isEmpty();
    DutyForm cool =
        DutyForm.of(
            PUMP, List.of(exposure("scour-liquor", 40)), WetEndRow.unknown("EFF-02"), library);
    past.keep("EFF-02", hot, cool.duty(library), "MA");
    assertThat(kept).hasSize(1);
    when(pumps.pastDuties())
        .thenReturn(List.of(new PastDutyRow("EFF-02", january, kept.get(0).duty(), "MA", null)));
    versions.changed(EnumSet.of(Topic.DUTIES));
    LifeSnapshot now = lives.now();
    PumpInService s = now.standing("EFF-02");
    double times = s.earlier().orElseThrow().earlier().get(0).times();
    assertThat(times).as("hotter is shorter").isBetween(0.2, 0.95);
    assertThat(now.life(s).estimate().meanLife()).isGreaterThan(1.1 * plain);
    assertThat(now.inEarlierDuties(now.life(s).group(), false, 2))
        .contains(1 / times)
        .as("the one that runs went in nine days before")
        .hasSize(2);
    assertThat(now.life(s).age()).isGreaterThan(age);
  }

  @Test
  void aPumpOnTheBenchStandsStill() {
    when(bench.running())
        .thenReturn(
            List.of(
                new RebuildRow(
                    1,
                    "EFF-02",
                    "x",
                    1,
                    OffsetDateTime.now(NOW).minusDays(2),
                    "RT",
                    "",
                    "NBR",
                    0,
                    null,
                    "")));
    // 20 h a day as stated, read on the 14th, at the bench since the 15th
    assertThat(lives.now().standing("EFF-02").pump().age()).isCloseTo(1020, within(1e-9));
  }

  @Test
  void aPartThatCameWithHoursCountsFromThem() {
    store(List.of(run(500, true, null, 300)));
    WearRun moved = runs().get(0);
    assertThat(moved.hours().from()).isEqualTo(300);
    assertThat(moved.hours().age()).isEqualTo(800);
    assertThat(moved.counts()).isEmpty();
    // One run was not counted, so the group goes by hours.
    assertThat(lives.now().life(lives.now().standing("EFF-02")).counted())
        .isEqualTo(WearCount.HOURS);
  }

  @Test
  void otherWearPartsRunAsWell() {
    when(pumps.allFitted())
        .thenReturn(
            List.of(
                PUMP.set(),
                new FittedPartRow(
                    "EFF-02",
                    "ball",
                    "",
                    "",
                    "NBR",
                    LocalDate.of(2025, 1, 1),
                    4000,
                    100,
                    4000 * SomePumps.STROKES_PER_HOUR,
                    9e5,
                    false)));
    LifeSnapshot shop = lives.now();
    assertThat(
            shop.groups()
                .at(
                    Level.DUTY,
                    new isokinon.core.life.LifeGroups.GroupKey(
                        "", "", "ball", "NBR", "scour-liquor"))
                .runs())
        .singleElement()
        .satisfies(
            r -> {
              assertThat(r.hours().age()).isCloseTo(100 + 2060, within(1e-6));
              assertThat(r.counts().orElseThrow().age())
                  .isCloseTo(9e5 + 2060 * SomePumps.STROKES_PER_HOUR, within(1.0));
            });
  }

  @Test
  void theLibraryExpectsItsBaseLifeLessWhatTheDutyTakes() {
    assertThat(lives.now().standing("EFF-02").prior().fromLibrary()).isTrue();
    double cool = lives.now().standing("EFF-02").prior().hours();
    when(pumps.allExposures()).thenReturn(List.of(exposure("scour-liquor", 75)));
    versions.changed(List.of(Topic.DUTIES));
    assertThat(lives.now().standing("EFF-02").prior().hours()).isLessThan(cool);
    when(pumps.allExposures()).thenReturn(List.of(exposure("acetic-acid", 40)));
    versions.changed(List.of(Topic.DUTIES));
    LifeSnapshot.Prior unsuited = lives.now().standing("EFF-02").prior();
    assertThat(unsuited.fromLibrary()).isFalse();
    assertThat(unsuited.hours()).isBetween(0.1 * cool, 0.5 * cool);
    assertThat(unsuited.spread()).isEqualTo(Knowledge.THIN.spread());
  }

  @Test
  void aFailureModeThatSomebodyChoseCounts() {
    when(history.failureModes())
        .thenReturn(List.of(new FailureModeRow("diaphragm", "NBR", "scour-liquor", 1.5)));
    assertThat(lives.now().standing("EFF-02").prior().shape()).isEqualTo(1.5);
  }

  @Test
  void theyAreReadAgainOnlyWhenSomethingChanged() {
    lives.now();
    lives.now();
    verify(pumps, times(1)).runsBetween(anyLong(), anyLong());
    versions.changed(List.of(Topic.SHELF));
    lives.now();
    verify(pumps, times(1)).runsBetween(anyLong(), anyLong());
    versions.changed(List.of(Topic.RUNS));
    lives.now();
    verify(pumps, times(2)).runsBetween(anyLong(), anyLong());
  }
}
