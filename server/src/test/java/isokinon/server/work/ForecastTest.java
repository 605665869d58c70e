package isokinon.server.work;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isokinon.server.store.PumpRow;
import isokinon.server.store.RunRow;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;

class ForecastTest {

  private static final LocalDate DAY = LocalDate.of(2026, 1, 1);

  private static PumpRow pump(double age) {
    return new PumpRow(
        "EFF-02",
        "Effluent",
        3,
        "air-diaphragm",
        "DP25",
        "1",
        null,
        "Sludge",
        "",
        "diaphragm",
        "TPC-ET",
        "PP",
        5000 + age,
        0,
        20,
        2300,
        "light",
        2,
        "normal",
        DAY,
        5000,
        null);
  }

  private static RunRow run(double hours, boolean failed) {
    return new RunRow(
        "EFF-02", "diaphragm", "TPC-ET", "sludge", DAY, DAY.plusDays(90), hours, failed, "");
  }

  @Test
  void thePlainIntervalGivesTheDueDay() {
    assertThat(new Forecast(pump(2100), RunGroup.of("diaphragm", List.of())).dueDays())
        .isEqualTo(10);
    assertThat(new Forecast(pump(2400), RunGroup.of("diaphragm", List.of())).dueDays())
        .isEqualTo(-5);
  }

  @Test
  void theOlderTheSetTheNearerItsEnd() {
    Forecast young = new Forecast(pump(500), RunGroup.of("diaphragm", List.of()));
    Forecast old = new Forecast(pump(3000), RunGroup.of("diaphragm", List.of()));
    assertThat(old.risk(30)).isGreaterThan(young.risk(30));
    assertThat(old.expectedDays()).isLessThan(young.expectedDays());
  }

  @Test
  void failuresHereBringTheEndNearer() {
    List<RunRow> failures = List.of(run(1180, true), run(1460, true), run(1660, true));
    assertThat(new Forecast(pump(1000), RunGroup.of("diaphragm", failures)).risk(30))
        .isGreaterThan(new Forecast(pump(1000), RunGroup.of("diaphragm", List.of())).risk(30));
  }

  @Test
  void theLensIsADensity() {
    var lens = new Forecast(pump(1000), RunGroup.of("diaphragm", List.of())).lens(184, 92);
    double step = lens.get(1).days();
    double within184 = lens.stream().limit(92).mapToDouble(l -> l.density() * step).sum();
    assertThat(within184)
        .isCloseTo(
            new Forecast(pump(1000), RunGroup.of("diaphragm", List.of())).risk(184), within(1e-9));
  }

  @Test
  void theReasonIsOneSentenceWithItsRuns() {
    assertThat(
            new Forecast(
                    pump(1000),
                    RunGroup.of(
                        "diaphragm", List.of(run(1180, true), run(2420, false), run(1660, true))))
                .because())
        .isEqualTo(
            "2 of 3 TPC-ET sets here gave out, between 1\u2009180 and 1\u2009660 h. This one is at 1\u2009000 h.");
    assertThat(
            new Forecast(pump(1000), RunGroup.of("diaphragm", List.of(run(2420, false)))).because())
        .startsWith("None of the 1 TPC-ET set finished here failed");
    assertThat(
            new Forecast(pump(900), RunGroup.of("diaphragm", List.of(run(1180, true)))).because())
        .contains("gave out, at 1\u2009180 h");
  }
}
