package isokinon.server.work.lives;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.core.counter.WearCount;
import isokinon.core.life.LifeGroups;
import isokinon.core.life.LifeGroups.WearRun;
import isokinon.core.life.Run;
import isokinon.core.life.Weibull;
import isokinon.core.table.CsvRow;
import isokinon.core.table.CsvTable;
import isokinon.server.MillTest;
import isokinon.server.db.pumps.RunRow;
import isokinon.server.demo.SimulatedHistory;
import isokinon.server.demo.SimulatedHistory.Era;
import isokinon.server.work.lives.LifeSnapshot.PumpInService;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.core.io.ClassPathResource;

/**
 * Forecasts against the hidden truth of the demo: many mills are drawn from it, each with three
 * years of history, and the chance that is forecast is held against the chance by the truth.
 */
@MillTest
class ForecastCalibrationTest {

  private static final int MILLS = 60;
  private static final double[] BINS = {0, 0.02, 0.05, 0.1, 0.2, 0.4, 1};
  private static final LocalDate TODAY = LocalDate.of(2026, 3, 17);

  @Autowired private LifeService lives;

  private static final class Bin {
    private int pumps;
    private double forecast;
    private double truth;
  }

  private static Map<String, List<Era>> truth() throws IOException {
    Map<String, List<Era>> truth = new HashMap<>();
    InputStreamReader table =
        new InputStreamReader(
            new ClassPathResource("library/demo/truth.csv").getInputStream(),
            StandardCharsets.UTF_8);
    for (CsvRow r : CsvTable.read("truth", table, List.of()).rowsOrThrow()) {
      truth
          .computeIfAbsent(r.get("tag"), t -> new ArrayList<>())
          .add(
              new Era(
                  Integer.parseInt(r.get("from_days_ago")),
                  r.get("material"),
                  r.number("shape"),
                  r.number("scale_h"),
                  r.number("interval_h"),
                  r.get("cause"),
                  r.get("cause_id")));
    }
    return truth;
  }

  /** A set as old as a set of this truth may be found on some day: fitted new, not yet out. */
  private static double age(SplittableRandom random, Era now) {
    while (true) {
      double age = random.nextDouble() * now.interval();
      if (random.nextDouble() < new Weibull(now.shape(), now.scale()).survival(age)) {
        return age;
      }
    }
  }

  private static LifeSnapshot mill(
      int n, List<PumpInService> pumps, Map<String, List<Era>> truth, Map<String, Double> ages) {
    SplittableRandom random = new SplittableRandom(n);
    List<WearRun> runs = new ArrayList<>();
    Map<String, PumpInService> standing = new LinkedHashMap<>();
    for (PumpInService s : pumps) {
      String tag = s.pump().tag();
      List<Era> eras = truth.get(tag);
      double age = age(random, eras.get(eras.size() - 1));
      ages.put(tag, age);
      double perDay = s.usage().perDay();
      SimulatedHistory history =
          SimulatedHistory.of(
              tag + "/" + n,
              new SimulatedHistory.Wearing(
                  s.pump().role(), s.duty(), "", s.of().construction(), WearCount.HOURS, 0),
              eras,
              perDay,
              age,
              TODAY);
      for (RunRow r : history.runs()) {
        runs.add(run(s, r.material(), new Run(r.hours(), r.failed()), false));
      }
      runs.add(run(s, s.pump().material(), new Run(age, false), true));
      standing.put(
          tag,
          new PumpInService(s.pump().after(age - s.pump().age()), s.usage(), s.duty(), s.prior()));
    }
    return new LifeSnapshot(new LifeGroups(runs), standing);
  }

  private static WearRun run(PumpInService s, String material, Run hours, boolean running) {
    return new WearRun(
        s.pump().tag(),
        s.of().construction(),
        s.pump().role(),
        material,
        s.duty(),
        hours,
        Optional.empty(),
        TODAY,
        running ? Optional.empty() : Optional.of(TODAY));
  }

  @Test
  void aForecastOfTenInAHundredIsTenInAHundred() throws IOException {
    Map<String, List<Era>> truth = truth();
    Bin[] bins = new Bin[BINS.length - 1];
    Bin all = new Bin();
    for (int i = 0; i < bins.length; i++) {
      bins[i] = new Bin();
    }
    List<PumpInService> pumps = lives.now().all();
    for (int n = 0; n < MILLS; n++) {
      Map<String, Double> ages = new HashMap<>();
      LifeSnapshot mill = mill(n, pumps, truth, ages);
      for (PumpInService s : mill.all()) {
        List<Era> eras = truth.get(s.pump().tag());
        Era now = eras.get(eras.size() - 1);
        double forecast = new Forecast(mill.life(s), "").risk(30);
        double true30 =
            new Weibull(now.shape(), now.scale())
                .risk(ages.get(s.pump().tag()), 30 * s.usage().perDay());
        int b = 0;
        while (forecast >= BINS[b + 1] && b < bins.length - 1) {
          b++;
        }
        for (Bin bin : List.of(bins[b], all)) {
          bin.pumps++;
          bin.forecast += forecast;
          bin.truth += true30;
        }
      }
    }
    System.out.printf("%nforecast of 30 days   pumps   forecast   truth%n");
    for (int b = 0; b < bins.length; b++) {
      System.out.printf(
          Locale.ROOT,
          "%3.0f to %3.0f %%       %8d     %5.1f %%  %5.1f %%%n",
          100 * BINS[b],
          100 * BINS[b + 1],
          bins[b].pumps,
          100 * bins[b].forecast / bins[b].pumps,
          100 * bins[b].truth / bins[b].pumps);
    }
    System.out.printf(
        Locale.ROOT,
        "all                %8d     %5.1f %%  %5.1f %%%n",
        all.pumps,
        100 * all.forecast / all.pumps,
        100 * all.truth / all.pumps);
    assertThat(all.forecast / all.truth).isBetween(0.8, 1.25);
    for (Bin bin : bins) {
      if (bin.pumps >= 100) {
        assertThat(bin.forecast / bin.truth).isBetween(0.6, 1.7);
      }
    }
  }
}
