package isokinon.bench;

import isokinon.core.life.Run;
import isokinon.core.life.frailty.FrailtyModel;
import isokinon.core.life.frailty.FrailtyPrior;
import isokinon.core.life.frailty.GroupPosterior;
import isokinon.core.life.frailty.PumpRuns;
import isokinon.core.schedule.Slots;
import isokinon.core.year.Belief;
import isokinon.core.year.Keeping;
import isokinon.core.year.Year;
import isokinon.core.year.YearOutcome;
import isokinon.core.year.YearPlan;
import isokinon.core.year.YearPump;
import isokinon.core.year.YearPump.Cost;
import isokinon.core.year.YearPump.Job;
import isokinon.core.year.YearShop;
import isokinon.core.year.YearShop.Kit;
import isokinon.core.year.YearShop.Stretch;
import isokinon.core.year.YearShop.Window;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.SplittableRandom;
import java.util.stream.IntStream;

/**
 * A year of 1 000 pumps, played 1 000 times: how long one plan takes, and two beside each other.
 */
public final class YearBench {

  private static final int PUMPS = 1_000;
  private static final int YEARS = 1_000;
  private static final int GROUPS = 80;
  private static final int PEOPLE = 12;
  private static final int TIMES = 5;

  private YearBench() {}

  /** Measures and prints. */
  public static void main(String[] args) {
    SplittableRandom random = new SplittableRandom(11);
    List<Belief> beliefs = new ArrayList<>();
    for (int g = 0; g < GROUPS; g++) {
      beliefs.add(new Belief(group(random, g).joint(), g));
    }
    List<YearPump> pumps = IntStream.range(0, PUMPS).mapToObj(p -> pump(random, p)).toList();
    YearShop shop = shop(random);
    YearPlan today = plan(pumps, shop, beliefs, 3_500);
    YearPlan advised = plan(pumps, shop, beliefs, 2_200);
    double[] one = new double[TIMES];
    double[] two = new double[TIMES];
    YearOutcome out = null;
    YearOutcome other = null;
    for (int i = 0; i < TIMES; i++) {
      long from = System.nanoTime();
      out = Year.play(today, YEARS, 1, done -> true).orElseThrow();
      one[i] = (System.nanoTime() - from) / 1e9;
      other = Year.play(advised, YEARS, 1, done -> true).orElseThrow();
      two[i] = (System.nanoTime() - from) / 1e9;
    }
    Arrays.sort(one);
    Arrays.sort(two);
    System.out.printf(
        Locale.ROOT,
        "year of %d pumps, %d times, %d cores: %.1f s one plan, %.1f s two beside each other"
            + " (median of %d); %.0f failures and %.0f renewals a year,"
            + " %.0f and %.0f the other%n",
        PUMPS,
        YEARS,
        Runtime.getRuntime().availableProcessors(),
        one[TIMES / 2],
        two[TIMES / 2],
        TIMES,
        Arrays.stream(out.failures()).average().orElseThrow(),
        Arrays.stream(out.renewals()).average().orElseThrow(),
        Arrays.stream(other.failures()).average().orElseThrow(),
        Arrays.stream(other.renewals()).average().orElseThrow());
  }

  private static GroupPosterior group(SplittableRandom random, int group) {
    List<PumpRuns> pumps = new ArrayList<>();
    for (int p = 0; p * GROUPS + group < PUMPS; p++) {
      double own = 4_000 * Math.exp(0.3 * random.nextGaussian());
      List<Run> runs = new ArrayList<>();
      for (int i = 0; i < 5; i++) {
        double fails = own * Math.pow(-Math.log(1 - random.nextDouble()), 1 / 2.2);
        double renewed = 4_000 * (0.6 + random.nextDouble());
        runs.add(new Run(Math.min(fails, renewed), fails < renewed));
      }
      pumps.add(new PumpRuns("P-" + (p * GROUPS + group), runs));
    }
    return FrailtyModel.fit(FrailtyPrior.of(2, 4_000), pumps);
  }

  private static YearPump pump(SplittableRandom random, int p) {
    return new YearPump(
        "P-" + p,
        p % GROUPS,
        p / GROUPS,
        1,
        3_000 * random.nextDouble(),
        6 + 16 * random.nextDouble(),
        2_200,
        new Cost(300 + 400 * random.nextDouble(), 600 + 3_000 * random.nextDouble(), 30),
        new Job(
            60 + 180 * random.nextDouble(),
            20,
            p % GROUPS,
            p % 5 == 0 ? 0 : YearPump.NONE,
            p % 50 == 0 ? 0 : YearPump.NONE,
            p % 20 == 0 && p + 1 < PUMPS ? p + 1 : YearPump.NONE));
  }

  private static YearShop shop(SplittableRandom random) {
    List<Stretch> shift = Collections.nCopies(PEOPLE, new Stretch(14, 30, false));
    List<List<Stretch>> days = new ArrayList<>();
    List<Window> still = new ArrayList<>();
    for (int d = 0; d < YearOutcome.DAYS; d++) {
      days.add(d % 7 < 5 ? shift : List.of());
      still.add(d % 14 == 1 ? new Window(12, 28) : Window.NEVER);
    }
    return new YearShop(
        days,
        IntStream.range(0, GROUPS)
            .mapToObj(k -> new Kit("K-" + k, 2 + random.nextInt(4), 7 + random.nextInt(28)))
            .toList(),
        List.of(2),
        List.of(still),
        20 * Slots.MINUTES / 60.0);
  }

  private static YearPlan plan(
      List<YearPump> pumps, YearShop shop, List<Belief> beliefs, double age) {
    return new YearPlan(
        pumps,
        pumps.stream().map(p -> Keeping.atAge(age, p, p.cost().stop())).toList(),
        shop,
        beliefs);
  }
}
