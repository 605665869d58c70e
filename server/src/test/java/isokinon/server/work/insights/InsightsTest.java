package isokinon.server.work.insights;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import isokinon.core.counter.Usage;
import isokinon.core.life.LifeGroups;
import isokinon.core.life.LifeGroups.WearRun;
import isokinon.core.life.Run;
import isokinon.server.db.DataVersions;
import isokinon.server.db.Topic;
import isokinon.server.db.findings.FindingMapper;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.work.library.ShopDiagnosis;
import isokinon.server.work.life.LifePage;
import isokinon.server.work.lives.Forecasts;
import isokinon.server.work.lives.LifeService;
import isokinon.server.work.lives.LifeSnapshot;
import isokinon.server.work.lives.LifeSnapshot.Prior;
import isokinon.server.work.lives.LifeSnapshot.PumpInService;
import isokinon.server.work.lives.SomePumps;
import isokinon.server.work.shared.ShopRules;
import isokinon.server.work.shared.ShopSettings;
import isokinon.server.work.stores.Stores;
import isokinon.server.work.wetends.Offers;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What is told unasked, and what is not. */
class InsightsTest {

  private static final Instant NOW = Instant.parse("2026-03-17T00:00:00Z");
  private static final LocalDate DAY = LocalDate.of(2026, 1, 1);

  private final LifeService lives = mock(LifeService.class);
  private final LifePage place = mock(LifePage.class);
  private final Forecasts forecasts = mock(Forecasts.class);
  private final Offers offers = mock(Offers.class);
  private final Stores stores = mock(Stores.class);
  private final FindingMapper findings = mock(FindingMapper.class);
  private final DataVersions versions = new DataVersions();
  private final ShopSettings settings = mock(ShopSettings.class);
  private final Insights finds =
      new Insights(
          lives,
          place,
          forecasts,
          offers,
          stores,
          findings,
          mock(ShopDiagnosis.class),
          settings,
          versions,
          Clock.fixed(NOW, ZoneOffset.UTC));

  @BeforeEach
  void nothingElseToTell() {
    when(settings.rules()).thenReturn(ShopRules.USUAL);
    when(place.habit(any(), any())).thenReturn(Optional.empty());
    when(forecasts.duty(anyString())).thenReturn("Sludge");
    when(offers.of(anyString())).thenReturn(Optional.empty());
    when(stores.overAge()).thenReturn(List.of());
    when(findings.causes(anyString())).thenReturn(List.of());
  }

  private static WearRun run(String pump, String material, double age, boolean failed) {
    return new WearRun(
        pump,
        "sheet",
        "diaphragm",
        material,
        "sludge",
        new Run(age, failed),
        Optional.empty(),
        DAY,
        Optional.of(DAY));
  }

  private static List<WearRun> runs(String pump, String material, double... failedAt) {
    List<WearRun> runs = new ArrayList<>();
    for (double age : failedAt) {
      runs.add(run(pump, material, age, true));
    }
    return runs;
  }

  private void inTheShop(List<WearRun> runs, PumpRow... pumps) {
    Map<String, PumpInService> standing = new java.util.LinkedHashMap<>();
    for (PumpRow p : pumps) {
      Usage usage = Usage.of(p.hoursPerDay(), List.of(), Optional.empty(), NOW, NOW);
      standing.put(p.tag(), new PumpInService(p, usage, "sludge", new Prior(3000, true, 2, 0.7)));
    }
    when(lives.now()).thenReturn(new LifeSnapshot(new LifeGroups(runs), standing));
  }

  private List<String> said() {
    return finds.all().stream()
        .map(f -> f.kind().code() + " " + f.state().code() + ": " + f.say())
        .toList();
  }

  @Test
  void aMaterialThatGivesOutSoonerIsNamedWithWhoStillRunsIt() {
    List<WearRun> runs = runs("A", "EPDM", 100, 120, 140, 160, 180, 200);
    runs.addAll(runs("A", "FKM", 1900, 2100, 2300, 2500, 2700, 2900));
    inTheShop(runs);
    assertThat(said())
        .containsExactly(
            "material sound: EPDM diaphragms in sludge give out sooner than those of FKM; none runs"
                + " any more.");
    runs.add(
        new WearRun(
            "B",
            "sheet",
            "diaphragm",
            "EPDM",
            "sludge",
            new Run(20, false),
            Optional.empty(),
            DAY,
            Optional.empty()));
    inTheShop(runs);
    assertThat(said())
        .containsExactly(
            "material renew: EPDM diaphragms in sludge give out sooner than those of FKM; B still"
                + " runs it.");
  }

  @Test
  void theMoreIsAskedTheSurerItHasToBe() {
    // Alone the two differ at the 5 % level; among many pairs that all look alike they do not.
    List<WearRun> runs = runs("A", "EPDM", 400, 600, 800, 1000, 1200, 1400);
    runs.addAll(runs("A", "FKM", 900, 1150, 1350, 1500, 1700, 1900));
    inTheShop(runs);
    assertThat(said()).hasSize(1);
    for (String other : new String[] {"NBR", "CSM", "TPV", "TPE", "CR", "PTFE"}) {
      runs.addAll(runs("A", other, 700, 850, 1050, 1200, 1400, 1600));
    }
    inTheShop(runs);
    assertThat(said()).isEmpty();
  }

  @Test
  void aPumpWhoseAgeSaysNothingIsNamedAndOneThatWearsIsNot() {
    PumpRow any = SomePumps.aged("EFF-02", 50);
    List<WearRun> early = new ArrayList<>();
    for (double age : new double[] {20, 60, 90, 300, 500, 900, 1500, 4000}) {
      early.add(inPump(any, age));
    }
    inTheShop(early, any);
    assertThat(said())
        .containsExactly(
            "no-age watch: EFF-02 fails at any age: no interval helps, something else does it.");
    List<WearRun> worn = new ArrayList<>();
    for (double age : new double[] {1800, 1900, 2000, 2050, 2100, 2200, 2300, 2400}) {
      worn.add(inPump(any, age));
    }
    inTheShop(worn, any);
    assertThat(said()).isEmpty();
  }

  private static WearRun inPump(PumpRow p, double age) {
    return new WearRun(
        p.tag(),
        p.sheet().orElseThrow(),
        p.role(),
        p.material(),
        "sludge",
        new Run(age, true),
        Optional.empty(),
        DAY,
        Optional.of(DAY));
  }

  @Test
  void itIsSearchedAgainOnlyWhenThatHasChangedWhichItComesFrom() {
    PumpRow any = SomePumps.aged("EFF-02", 50);
    inTheShop(runs("A", "EPDM", 100), any);
    finds.all();
    finds.all();
    verify(offers, times(1)).of("EFF-02");
    verify(place, times(1)).habit(any(), any());
    inTheShop(runs("A", "EPDM", 100, 120), any);
    finds.all();
    verify(place, times(2)).habit(any(), any());
    verify(offers, times(1)).of("EFF-02");
    versions.changed(List.of(Topic.SHELF));
    finds.all();
    verify(offers, times(2)).of("EFF-02");
  }
}
