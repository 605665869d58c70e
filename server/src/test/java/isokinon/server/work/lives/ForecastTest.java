package isokinon.server.work.lives;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isokinon.core.counter.Usage;
import isokinon.core.life.LifeGroups;
import isokinon.core.life.LifeGroups.WearRun;
import isokinon.core.life.Run;
import isokinon.core.renewal.Consequence;
import isokinon.core.sheet.Family;
import isokinon.core.wetend.Duty.Abrasion;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.work.lives.LifeSnapshot.Prior;
import isokinon.server.work.lives.LifeSnapshot.PumpInService;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class ForecastTest {

  private static final LocalDate DAY = LocalDate.of(2026, 1, 1);
  private static final double STROKES_PER_HOUR = 4000;

  private static PumpInService standing(double age) {
    return new PumpInService(
        new PumpRow(
            "EFF-02",
            "Effluent",
            3,
            Family.AIR_DIAPHRAGM,
            "DP25",
            "1",
            null,
            "Sludge",
            "",
            "diaphragm",
            "TPC-ET",
            "PP",
            5000 + age,
            (5000 + age) * STROKES_PER_HOUR,
            20,
            2300,
            Abrasion.LIGHT,
            2,
            Consequence.NORMAL,
            DAY,
            5000,
            null,
            STROKES_PER_HOUR,
            null,
            "",
            0,
            0,
            5000 * STROKES_PER_HOUR,
            ""),
        new Usage(20, 0, Optional.empty(), false),
        "sludge",
        new Prior(3450, true, 2.5, 0.7));
  }

  /** Runs of other pumps in the same duty, which strike {@code perHour} times an hour. */
  private static Forecast forecast(double age, double perHour, double... ages) {
    List<WearRun> runs = new ArrayList<>();
    for (double a : ages) {
      Run hours = new Run(Math.abs(a), a > 0);
      runs.add(
          new WearRun(
              "EFF-09",
              "",
              "diaphragm",
              "TPC-ET",
              "sludge",
              hours,
              perHour > 0
                  ? Optional.of(new Run(hours.age() * perHour, hours.failed()))
                  : Optional.empty(),
              DAY,
              Optional.of(DAY)));
    }
    PumpInService s = standing(age);
    LifeSnapshot lives = new LifeSnapshot(new LifeGroups(runs), Map.of("EFF-02", s));
    return new Forecast(lives.life(s), "Effluent sludge");
  }

  @Test
  void theOlderTheSetTheNearerItsEnd() {
    assertThat(forecast(3000, 0).risk(30)).isGreaterThan(forecast(500, 0).risk(30));
    assertThat(forecast(3000, 0).expectedDays()).isLessThan(forecast(500, 0).expectedDays());
    assertThat(forecast(90_000, 0).expectedDays()).isGreaterThanOrEqualTo(1);
  }

  @Test
  void failuresHereBringTheEndNearer() {
    assertThat(forecast(1000, 0, 1180, 1460, 1660).risk(30))
        .isGreaterThan(forecast(1000, 0).risk(30));
  }

  @Test
  void theLensIsADensity() {
    List<Double> lens = forecast(1000, 0).lens(184, 92);
    double within184 = lens.stream().limit(92).mapToDouble(d -> d * 2).sum();
    assertThat(within184).isCloseTo(forecast(1000, 0).risk(184), within(1e-4));
  }

  /** Sets that struck twice as often failed at half the hours; the strokes are what counts. */
  @Test
  void theAgeIsCountedInWhatDrivesTheWear() {
    Forecast slow = forecast(1000, STROKES_PER_HOUR, 1200, 1400, 1600, 1800, 2000, -1500);
    Forecast fast = forecast(1000, 2 * STROKES_PER_HOUR, 600, 700, 800, 900, 1000, -750);
    assertThat(fast.risk(30)).isCloseTo(slow.risk(30), within(1e-9));
    assertThat(fast.failedAt()).containsExactly(1200.0, 1400.0, 1600.0, 1800.0, 2000.0);
    assertThat(forecast(1000, 0, 600, 700, 800, 900, 1000, -750).risk(30))
        .isGreaterThan(slow.risk(30));
  }

  @Test
  void theReasonIsOneSentenceWithItsRuns() {
    assertThat(forecast(1000, 0, 1180, -2420, 1660).because())
        .isEqualTo(
            "2 of 3 TPC-ET sets in effluent sludge gave out, between 1\u2009180 and 1\u2009660 h."
                + " This one is at 1\u2009000 h.");
    assertThat(forecast(1000, 0, -2420).because())
        .startsWith("None of 1 TPC-ET set in effluent sludge failed.");
    assertThat(forecast(900, 0, 1180).because()).contains("gave out, at 1\u2009180 h");
    assertThat(forecast(900, 0).because()).contains("The library expects a mean of 3\u2009450 h.");
    assertThat(forecast(900, 0).risk(false)).contains("fail before 2\u2009300 h (no run here yet)");
  }
}
