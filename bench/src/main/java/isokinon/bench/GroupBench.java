package isokinon.bench;

import isokinon.core.life.Run;
import isokinon.core.life.Survival;
import isokinon.core.life.Weibull;
import isokinon.core.life.WeibullFit;
import isokinon.core.life.WeibullPosterior;
import isokinon.core.life.frailty.FrailtyModel;
import isokinon.core.life.frailty.FrailtyPrior;
import isokinon.core.life.frailty.GroupPosterior;
import isokinon.core.life.frailty.Marginal;
import isokinon.core.life.frailty.PumpRuns;
import isokinon.core.life.frailty.WeibullMixture;
import isokinon.core.renewal.RenewalCost;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;

/**
 * Shops drawn at random whose truth is known: what the renewal age chosen from their runs costs
 * beyond the best one, how near the chances of failing come, and how often the bands hold the
 * truth. Beside each other: the lives of the group together, a fixed shape for all pumps as one
 * heap, the likelihood alone, and the switch between these two that stood here before.
 */
public final class GroupBench {

  private static final int SHOPS = 2_000;
  private static final int TIMES = 200;
  private static final double LIBRARY = 4_000;

  /** Every known way to judge a life, with what it came to. */
  private enum Way {
    TOGETHER("lives of the group together"),
    FIXED_SHAPE("fixed shape, one heap"),
    LIKELIHOOD("likelihood alone, one heap"),
    SWITCH("fixed shape, likelihood from five failures on");

    private final String say;

    Way(String say) {
      this.say = say;
    }
  }

  /**
   * A shop and what is true of it.
   *
   * @param shape the library's word
   * @param truth of the pump that is asked for
   * @param heap all runs as if of one pump
   */
  private record Shop(
      double shape,
      List<PumpRuns> pumps,
      List<Run> heap,
      Weibull truth,
      double trueShape,
      double trueBetween,
      double planned,
      double failed) {}

  private record Judged(double regret, double[] said) {}

  private GroupBench() {}

  /** Measures and prints. */
  public static void main(String[] args) {
    quality();
    speed();
  }

  private static Shop drawn(long seed) {
    SplittableRandom random = new SplittableRandom(seed);
    double[] shapes = {1.5, 2.0, 2.5};
    double library = shapes[random.nextInt(shapes.length)];
    double shape = library * Math.exp(0.35 * random.nextGaussian());
    double mean = LIBRARY * Math.exp(0.6 * random.nextGaussian());
    double between = 0.5 * random.nextDouble();
    double scale = mean / new Weibull(shape, 1).meanLife();
    int pumps = 1 + random.nextInt(6);
    List<PumpRuns> all = new ArrayList<>();
    List<Run> heap = new ArrayList<>();
    double asked = 0;
    for (int p = 0; p < pumps; p++) {
      double own = scale * Math.exp(between * random.nextGaussian());
      asked = p == 0 ? own : asked;
      // From half the mean, evenly in steps, to running until it fails.
      int habit = random.nextInt(4);
      double out = habit == 3 ? Double.POSITIVE_INFINITY : mean * (0.5 + 0.35 * habit);
      List<Run> runs = new ArrayList<>();
      int sets = 1 + random.nextInt(7);
      for (int i = 0; i < sets; i++) {
        double fails = own * Math.pow(-Math.log(1 - random.nextDouble()), 1 / shape);
        runs.add(new Run(Math.min(fails, out), fails <= out));
      }
      heap.addAll(runs);
      all.add(new PumpRuns("P-" + p, runs));
    }
    double planned = 300;
    return new Shop(
        library,
        all,
        heap,
        new Weibull(shape, asked),
        shape,
        between,
        planned,
        planned * (3 + 9 * random.nextDouble()));
  }

  private static Optional<Survival> judge(Way way, Shop s, WeibullMixture together) {
    return switch (way) {
      case TOGETHER -> Optional.of(together);
      case FIXED_SHAPE ->
          Optional.of(
              WeibullPosterior.of(s.shape(), LIBRARY, WeibullPosterior.LIBRARY_STRENGTH, s.heap()));
      case LIKELIHOOD -> likelihood(s.heap());
      case SWITCH ->
          Optional.of(
              excluding(s)
                  .map(f -> (Survival) new Weibull(f.shape(), f.scale()))
                  .orElseGet(
                      () ->
                          WeibullPosterior.of(
                              s.shape(), LIBRARY, WeibullPosterior.LIBRARY_STRENGTH, s.heap())));
    };
  }

  /** The likelihood of five failures or more that exclude the shape of the failure mode. */
  private static Optional<WeibullFit> excluding(Shop s) {
    return s.heap().stream().filter(Run::failed).count() < 5
        ? Optional.empty()
        : Optional.of(WeibullFit.of(s.heap()))
            .filter(f -> s.shape() < f.shapeLow() || s.shape() > f.shapeHigh());
  }

  private static Optional<Survival> likelihood(List<Run> heap) {
    try {
      WeibullFit fit = WeibullFit.of(heap);
      return Optional.of(new Weibull(fit.shape(), fit.scale()));
    } catch (WeibullFit.TooFew e) {
      return Optional.empty();
    }
  }

  private static void quality() {
    List<Shop> shops = IntStream.range(0, SHOPS).mapToObj(GroupBench::drawn).toList();
    List<GroupPosterior> groups =
        shops.parallelStream()
            .map(s -> FrailtyModel.fit(FrailtyPrior.of(s.shape(), LIBRARY), s.pumps()))
            .toList();
    System.out.printf(
        Locale.ROOT,
        "%d shops of 1 to 6 pumps, 1 to 7 sets each:%n" + "%-48s %8s %8s %8s %8s %8s%n",
        SHOPS,
        "",
        "judged",
        "regret",
        "9 in 10",
        "chances",
        "too low");
    for (Way way : Way.values()) {
      List<Judged> judged =
          IntStream.range(0, SHOPS)
              .parallel()
              .boxed()
              .flatMap(
                  i ->
                      judge(way, shops.get(i), groups.get(i).life("P-0"))
                          .map(l -> judged(l, shops.get(i)))
                          .stream())
              .toList();
      double[] regrets = judged.stream().mapToDouble(Judged::regret).sorted().toArray();
      double[] off = judged.stream().flatMapToDouble(j -> DoubleStream.of(j.said())).toArray();
      System.out.printf(
          Locale.ROOT,
          "%-48s %8d %7.1f%% %7.1f%% %8.3f %8.3f%n",
          way.say,
          judged.size(),
          100 * Arrays.stream(regrets).average().orElseThrow(),
          100 * regrets[(int) (0.9 * regrets.length)],
          Math.sqrt(Arrays.stream(off).map(v -> v * v).average().orElseThrow()),
          -Arrays.stream(off).average().orElseThrow());
    }
    covered(shops, groups);
    calibrated(shops, groups);
  }

  /**
   * What the age chosen by a life costs under the truth, and its chances of failing by six ages.
   */
  private static Judged judged(Survival life, Shop s) {
    double chosen = RenewalCost.best(life, s.planned(), s.failed()).age();
    double least = RenewalCost.best(s.truth(), s.planned(), s.failed()).rate();
    double paid = RenewalCost.at(chosen, s.truth(), s.planned(), s.failed());
    double[] off =
        DoubleStream.of(0.25, 0.5, 0.75, 1, 1.25, 1.5)
            .map(x -> x * s.truth().meanLife())
            .map(age -> s.truth().survival(age) - life.survival(age))
            .toArray();
    return new Judged(paid / least - 1, off);
  }

  private static void covered(List<Shop> shops, List<GroupPosterior> groups) {
    int mean = 0;
    int shape = 0;
    int reaches = 0;
    int between = 0;
    for (int i = 0; i < SHOPS; i++) {
      Shop s = shops.get(i);
      WeibullMixture life = groups.get(i).life("P-0");
      mean += holds(life.meanBand(), s.truth().meanLife());
      shape += holds(groups.get(i).shape(), s.trueShape());
      between += holds(groups.get(i).between(), s.trueBetween());
      double half = LIBRARY / 2;
      reaches += holds(life.survivalBand(half), s.truth().survival(half));
    }
    System.out.printf(
        Locale.ROOT,
        "the 90 %% bands hold the truth, of 100: mean life %.1f, reaching half of the library's mean"
            + " %.1f, shape %.1f, spread between pumps %.1f%n",
        100.0 * mean / SHOPS,
        100.0 * reaches / SHOPS,
        100.0 * shape / SHOPS,
        100.0 * between / SHOPS);
  }

  private static int holds(Marginal band, double truth) {
    return truth >= band.low() && truth <= band.high() ? 1 : 0;
  }

  /** What was said of the next set, and how often it came: one more set is drawn of each shop. */
  private static void calibrated(List<Shop> shops, List<GroupPosterior> groups) {
    double[] edges = {0, 0.1, 0.2, 0.4, 0.6, 0.8, 1};
    int[] said = new int[edges.length - 1];
    double[] sum = new double[edges.length - 1];
    int[] came = new int[edges.length - 1];
    for (int i = 0; i < SHOPS; i++) {
      SplittableRandom random = new SplittableRandom(1_000_003L * i + 7);
      Weibull truth = shops.get(i).truth();
      double age = LIBRARY * (0.2 + random.nextDouble());
      double chance = 1 - groups.get(i).life("P-0").survival(age);
      int bin = 0;
      while (bin < said.length - 1 && chance >= edges[bin + 1]) {
        bin++;
      }
      said[bin]++;
      sum[bin] += chance;
      came[bin] += truth.quantile(random.nextDouble()) <= age ? 1 : 0;
    }
    System.out.println("said to fail, and failed, of 100 sets:");
    for (int b = 0; b < said.length; b++) {
      System.out.printf(
          Locale.ROOT,
          "  %5.1f said, %5.1f came, of %d%n",
          100 * sum[b] / said[b],
          100.0 * came[b] / said[b],
          said[b]);
    }
  }

  private static void speed() {
    SplittableRandom random = new SplittableRandom(5);
    List<PumpRuns> pumps = new ArrayList<>();
    for (int p = 0; p < 6; p++) {
      double own = 3_000 * Math.exp(0.3 * random.nextGaussian());
      List<Run> runs = new ArrayList<>();
      for (int i = 0; i < 10; i++) {
        double fails = own * Math.pow(-Math.log(1 - random.nextDouble()), 1 / 2.2);
        runs.add(new Run(Math.min(fails, 3_500), fails < 3_500));
      }
      pumps.add(new PumpRuns("P-" + p, runs));
    }
    double[] ms = new double[TIMES];
    for (int t = -TIMES; t < TIMES; t++) {
      long before = System.nanoTime();
      GroupPosterior g = FrailtyModel.fit(FrailtyPrior.of(2.5, LIBRARY), pumps);
      double sum = 0;
      for (String p : g.pumps()) {
        sum += RenewalCost.best(g.life(p), 300, 1_500).age() + g.life(p).meanBand().high();
      }
      if (!(sum > 0)) {
        throw new IllegalStateException("nothing was chosen");
      }
      ms[Math.max(0, t)] = (System.nanoTime() - before) / 1e6;
    }
    Arrays.sort(ms);
    System.out.printf(
        Locale.ROOT,
        "a group of 6 pumps and 60 runs, with the best age of each: %.1f ms median, %.1f ms at most%n",
        ms[TIMES / 2],
        ms[TIMES - 1]);
  }
}
