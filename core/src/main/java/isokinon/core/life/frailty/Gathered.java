package isokinon.core.life.frailty;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * What a walk over the posterior gathers: the weights of shape and spread, the life of each pump.
 */
final class Gathered {

  private final double[] byShape;
  private final double[] byBetween;
  private final double[][][] logScales;
  private final double[][][] weights;
  private final FrailtyHistogram[] frailties;
  private final JointLives.Gathering together = new JointLives.Gathering();

  /**
   * Nothing yet.
   *
   * @param pumps with the new one, which is the last
   */
  Gathered(int pumps, int shapes, int sigmas) {
    byShape = new double[shapes];
    byBetween = new double[sigmas];
    logScales = new double[pumps][shapes][];
    weights = new double[pumps][shapes][];
    frailties = new FrailtyHistogram[pumps];
    Arrays.setAll(frailties, p -> new FrailtyHistogram());
  }

  /** A point at ln scale {@code scale}. */
  void add(int shape, int sigma, double scale, double weight) {
    together.add(shape, sigma, scale, weight);
    byShape[shape] += weight;
    byBetween[sigma] += weight;
  }

  void frailty(int pump, double frailty, double weight) {
    frailties[pump].add(frailty, weight);
  }

  void put(int pump, int shape, double[][] atoms) {
    logScales[pump][shape] = atoms[0];
    weights[pump][shape] = atoms[1];
  }

  /**
   * What was gathered.
   *
   * @param failures of each pump
   * @param logAgeSums for each shape, ln of what the ages of each pump add up to
   * @param step of the integrals over the frailty, in widths of their summit
   */
  GroupPosterior posterior(
      FrailtyPrior prior,
      List<PumpRuns> pumps,
      int[] failures,
      double[][] logAgeSums,
      double[] logShapes,
      double[] sigmas,
      double step) {
    double[] shapes = Arrays.stream(logShapes).map(Math::exp).toArray();
    List<String> tags = pumps.stream().map(PumpRuns::pump).toList();
    RenewalTable[] renewals =
        Arrays.stream(shapes).mapToObj(RenewalTable::new).toArray(RenewalTable[]::new);
    List<WeibullMixture> lives = new ArrayList<>();
    for (int p = 0; p < logScales.length; p++) {
      double sum = Arrays.stream(weights[p]).flatMapToDouble(Arrays::stream).sum();
      double[][] shares =
          Arrays.stream(weights[p])
              .map(w -> Arrays.stream(w).map(v -> v / sum).toArray())
              .toArray(double[][]::new);
      lives.add(new WeibullMixture(prior.meanLife(), renewals, shapes, logScales[p], shares));
    }
    Marginal ofLog = Marginal.of(logShapes, shares(byShape));
    return new GroupPosterior(
        prior,
        tags,
        lives,
        Arrays.stream(frailties).map(FrailtyHistogram::wear).toList(),
        new Marginal(Math.exp(ofLog.low()), Math.exp(ofLog.median()), Math.exp(ofLog.high())),
        sigmas[0] == 0
            ? Marginal.ofPositive(sigmas, shares(byBetween))
            : Marginal.of(sigmas, shares(byBetween)),
        pumps.stream().mapToInt(p -> p.runs().size()).sum(),
        Arrays.stream(failures).sum(),
        together.made(tags, failures, shapes, logAgeSums, sigmas, prior.meanLife(), step));
  }

  private static double[] shares(double[] weights) {
    double sum = Arrays.stream(weights).sum();
    return Arrays.stream(weights).map(w -> w / sum).toArray();
  }
}
