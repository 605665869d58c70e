package isokinon.server.work.lives;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isokinon.core.counter.Usage;
import isokinon.core.life.LifeGroups;
import isokinon.core.renewal.Policies.Way;
import isokinon.server.db.findings.NextLookRow;
import isokinon.server.db.pumps.PolicyRow;
import isokinon.server.work.lives.LifeSnapshot.Prior;
import isokinon.server.work.lives.LifeSnapshot.PumpInService;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** When a pump is due by the way it is kept. */
class DueDayTest {

  private static final double AGE = 2100;

  private static DueDay due(Optional<NextLookRow> look, Optional<PolicyRow> kept) {
    return due(look, kept, Optional.empty());
  }

  private static DueDay due(
      Optional<NextLookRow> look, Optional<PolicyRow> kept, Optional<Double> calendar) {
    PumpInService s =
        new PumpInService(
            SomePumps.aged("EFF-02", AGE),
            new Usage(20, 0, Optional.empty(), false),
            "sludge",
            new Prior(4000, true, 2.5, 0.7),
            calendar,
            Optional.empty());
    LifeSnapshot lives = new LifeSnapshot(new LifeGroups(List.of()), Map.of("EFF-02", s));
    return DueDay.of(s, new Forecast(lives.life(s), "Sludge"), look, kept);
  }

  private static Optional<PolicyRow> kept(Way way, Double every) {
    return Optional.of(new PolicyRow("EFF-02", way, every, "", "MA", null));
  }

  @Test
  void thePlainIntervalGivesTheDueDay() {
    DueDay due = due(Optional.empty(), Optional.empty());
    assertThat(due.days()).isCloseTo((SomePumps.INTERVAL - AGE) / 20, within(1e-9));
    assertThat(due.because()).isEmpty();
    assertThat(due(Optional.empty(), kept(Way.FIXED, 2300.0))).isEqualTo(due);
  }

  @Test
  void aLookComesAroundAgain() {
    DueDay due = due(Optional.empty(), kept(Way.LOOK, 500.0));
    // 2100 h are four looks and 100 h
    assertThat(due.days()).isCloseTo(400 / 20.0, within(1e-9));
    assertThat(due.because()).isEqualTo("A look is due every 500 h.");
  }

  @Test
  void whatRunsUntilItFailsIsDueWhenHalfOfThemAreDone() {
    DueDay due = due(Optional.empty(), kept(Way.UNTIL_IT_FAILS, null));
    assertThat(due.days()).isGreaterThan(20);
    assertThat(due.because()).contains("half of such sets");
  }

  @Test
  void theCalendarComesFirstWhereItIsSooner() {
    DueDay yearly = due(Optional.empty(), Optional.empty(), Optional.of(-3.0));
    assertThat(yearly).isEqualTo(new DueDay(-3, "Renewed by the calendar, whatever it ran."));
    assertThat(due(Optional.empty(), Optional.empty(), Optional.of(900.0)).because()).isEmpty();
    double running = SomePumps.aged("EFF-02", AGE).runningHours();
    NextLookRow soon = new NextLookRow("EFF-02", running + 100, "Balls worn.");
    assertThat(due(Optional.of(soon), Optional.empty(), Optional.of(4.0)).days()).isEqualTo(4);
    assertThat(due(Optional.of(soon), Optional.empty(), Optional.of(8.0)).because())
        .isEqualTo("Balls worn.");
  }

  @Test
  void aWatchedPartIsLookedAtSooner() {
    double running = SomePumps.aged("EFF-02", AGE).runningHours();
    Optional<NextLookRow> soon =
        Optional.of(new NextLookRow("EFF-02", running + 100, "Balls worn."));
    assertThat(due(soon, Optional.empty())).isEqualTo(new DueDay(5, "Balls worn."));
    Optional<NextLookRow> late = Optional.of(new NextLookRow("EFF-02", running + 900, "late"));
    assertThat(due(late, Optional.empty()).because()).isEmpty();
  }
}
