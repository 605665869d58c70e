package isokinon.core.life.frailty;

import isokinon.core.life.Survival;
import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleBinaryOperator;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.apache.commons.numbers.gamma.LogGamma;

/**
 * The life of the next set where shape and scale are not known exactly: a mixture of Weibull lives,
 * each with its weight. One evaluation of the survival costs one exponential for each of them.
 */
public final class WeibullMixture implements Survival {

  private static final int HALVINGS = 60;
  private static final double HARDLY = 20;
  private static final double HARDLY_BELIEVED = 2e-3;

  /** One Weibull life of the mixture. */
  record Atom(double shape, double logScale, double weight) {}

  /**
   * The lives that are mixed, each at an even step of ln scale of its shape. Mixtures of the same
   * lives with other weights share them.
   *
   * @param logScales for each shape, ln(scale / unit)
   * @param means mean life / unit
   * @param rates (scale / unit)^-shape
   */
  private record Lives(
      RenewalTable[] renewals,
      double[] shapes,
      double[][] logScales,
      double[][] means,
      double[][] rates) {

    static Lives of(RenewalTable[] renewals, double[] shapes, double[][] logScales) {
      double[][] means = new double[shapes.length][];
      double[][] rates = new double[shapes.length][];
      for (int i = 0; i < shapes.length; i++) {
        means[i] = new double[logScales[i].length];
        rates[i] = new double[logScales[i].length];
        for (int j = 0; j < rates[i].length; j++) {
          means[i][j] = renewals[i].mean() * Math.exp(logScales[i][j]);
          rates[i][j] = Math.exp(-shapes[i] * logScales[i][j]);
        }
      }
      return new Lives(renewals, shapes, logScales, means, rates);
    }
  }

  private final double unit;
  private final Lives lives;
  private final double[] shapes;
  private final double[][] logScales;
  private final double[][] rates;
  private final RenewalTable[] renewals;
  private final double[][] weights;
  private final double mean;
  private final double failures;
  private volatile LivedTable lived;
  private volatile ScaleQuantiles quantiles;

  /**
   * A mixture.
   *
   * @param unit what the scales are relative to, in the unit of the ages
   * @param renewals for each Weibull shape
   * @param shapes Weibull shapes
   * @param logScales for each shape, ln(scale / unit) at even steps
   * @param weights of them; they sum to 1
   */
  WeibullMixture(
      double unit,
      RenewalTable[] renewals,
      double[] shapes,
      double[][] logScales,
      double[][] weights) {
    this(unit, Lives.of(renewals, shapes, logScales), weights);
  }

  private WeibullMixture(double unit, Lives lives, double[][] weights) {
    this.unit = unit;
    this.lives = lives;
    this.shapes = lives.shapes();
    this.logScales = lives.logScales();
    this.rates = lives.rates();
    this.renewals = lives.renewals();
    this.weights = weights;
    double sum = 0;
    double often = 0;
    for (int i = 0; i < shapes.length; i++) {
      double[] means = lives.means()[i];
      for (int j = 0; j < means.length; j++) {
        sum += weights[i][j] * means[j];
        often += weights[i][j] / means[j];
      }
    }
    mean = sum * unit;
    failures = often / unit;
  }

  /** The same life where a unit of age wears {@code times} less: every age is so much longer. */
  public WeibullMixture longer(double times) {
    return new WeibullMixture(unit * times, lives, weights);
  }

  /**
   * The life as it was believed before one set of the pump had reached an age. What is said of that
   * set itself must not count its own age twice: the chance of it failing next, given that age, is
   * asked of this life.
   *
   * @param age that the set has reached, which is among the runs this comes from
   */
  public WeibullMixture before(double age) {
    // What is hardly believed now cannot have been believed much more before.
    return weighed((k, hazard) -> Math.exp(Math.min(HARDLY, hazard)), age);
  }

  /**
   * The life as it will be believed once a set of the pump has failed.
   *
   * @param age at which it failed, over 0
   */
  public WeibullMixture after(double age) {
    return weighed((k, hazard) -> k * hazard * Math.exp(-hazard), age);
  }

  /** Every life weighed anew by its shape and by the hazard that it has run through at an age. */
  private WeibullMixture weighed(DoubleBinaryOperator times, double age) {
    double[][] anew = new double[shapes.length][];
    double sum = 0;
    for (int i = 0; i < shapes.length; i++) {
      double power = Math.pow(Math.max(0, age) / unit, shapes[i]);
      anew[i] = new double[weights[i].length];
      for (int j = 0; j < weights[i].length; j++) {
        anew[i][j] = weights[i][j] * times.applyAsDouble(shapes[i], power * rates[i][j]);
        sum += anew[i][j];
      }
    }
    for (double[] row : anew) {
      for (int j = 0; j < row.length; j++) {
        row[j] /= sum;
      }
    }
    return new WeibullMixture(unit, lives, anew);
  }

  @Override
  public double survival(double age) {
    double relative = Math.max(0, age) / unit;
    double sum = 0;
    for (int i = 0; i < shapes.length; i++) {
      double power = Math.pow(relative, shapes[i]);
      double[] rate = rates[i];
      double[] weight = weights[i];
      for (int j = 0; j < rate.length; j++) {
        sum += weight[j] * Math.exp(-power * rate[j]);
      }
    }
    return sum;
  }

  @Override
  public double failureRate(double age) {
    return Double.isInfinite(age) ? failures : meanRate(age, RenewalTable::failures);
  }

  @Override
  public double renewalRate(double age) {
    return Double.isInfinite(age) ? 0 : meanRate(age, RenewalTable::renewals);
  }

  /** A rate of a table at a ln age. */
  private interface RateOf {
    double applyAsDouble(RenewalTable table, double logAge);
  }

  private double meanRate(double age, RateOf of) {
    double at = Math.log(age / unit);
    double sum = 0;
    for (int i = 0; i < shapes.length; i++) {
      for (int j = 0; j < weights[i].length; j++) {
        sum += weights[i][j] * of.applyAsDouble(renewals[i], at - logScales[i][j]);
      }
    }
    return sum / age;
  }

  @Override
  public double meanLife() {
    return mean;
  }

  @Override
  public double lived(double age) {
    LivedTable made = lived;
    if (made == null) {
      made = new LivedTable(this, inverse(LivedTable.BEYOND));
      lived = made;
    }
    return made.lived(age);
  }

  @Override
  public double quantile(double probability) {
    return inverse(1 - probability);
  }

  private double inverse(double survives) {
    double high = mean;
    while (survival(high) > survives) {
      high *= 2;
    }
    double low = high == mean ? 0 : high / 2;
    for (int i = 0; i < HALVINGS && high - low > 1e-9 * high; i++) {
      double middle = (low + high) / 2;
      if (survival(middle) > survives) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return (low + high) / 2;
  }

  /** Within what the mean life lies nine times in ten. */
  public Marginal meanBand() {
    return band(k -> -LogGamma.value(1 + 1 / k)).longer(unit);
  }

  /** Within what the Weibull scale lies nine times in ten. */
  public Marginal scaleBand() {
    return band(k -> 0).longer(unit);
  }

  /**
   * Within what the chance of reaching an age lies nine times in ten.
   *
   * @param age over 0
   */
  public Marginal survivalBand(double age) {
    double relative = Math.log(age / unit);
    DoubleUnaryOperator from = k -> relative;
    DoubleUnaryOperator by = k -> -1 / k;
    return new Marginal(
        Math.exp(-Math.exp(where(from, by, 0.05))),
        Math.exp(-Math.exp(where(from, by, 0.5))),
        Math.exp(-Math.exp(where(from, by, 0.95))));
  }

  /**
   * An age that goes with the scale, such as the best age for renewal, over what is believed.
   *
   * @param ofScaleOne that age of a Weibull life of scale 1 and a shape; it may be infinite
   * @param probability 0 to 1
   * @return infinite where so much of the belief has no such age
   */
  public double quantileOfAge(DoubleUnaryOperator ofScaleOne, double probability) {
    return unit * Math.exp(where(k -> -Math.log(ofScaleOne.applyAsDouble(k)), k -> 1, probability));
  }

  /**
   * The mean over what is believed of the hazard that sets have run through.
   *
   * @param ofShape sum over the sets of age^shape - from^shape, in the unit of the scales
   */
  double meanHazard(DoubleUnaryOperator ofShape) {
    double sum = 0;
    for (int i = 0; i < shapes.length; i++) {
      double passed = ofShape.applyAsDouble(shapes[i]) * Math.pow(unit, -shapes[i]);
      for (int j = 0; j < weights[i].length; j++) {
        sum += weights[i][j] * passed * rates[i][j];
      }
    }
    return sum;
  }

  /**
   * The mean over what is believed of a rate for each unit of age, which goes with 1/scale.
   *
   * @param ofScaleOne that rate of a Weibull life of scale 1 and a shape
   */
  public double meanOfRate(DoubleUnaryOperator ofScaleOne) {
    double sum = 0;
    for (int i = 0; i < shapes.length; i++) {
      double one = ofScaleOne.applyAsDouble(shapes[i]);
      for (int j = 0; j < weights[i].length; j++) {
        sum += weights[i][j] * one * Math.exp(-logScales[i][j]);
      }
    }
    return sum / unit;
  }

  private Marginal band(DoubleUnaryOperator from) {
    return new Marginal(
        Math.exp(where(from, k -> 1, 0.05)),
        Math.exp(where(from, k -> 1, 0.5)),
        Math.exp(where(from, k -> 1, 0.95)));
  }

  private double where(DoubleUnaryOperator from, DoubleUnaryOperator by, double probability) {
    ScaleQuantiles made = quantiles;
    if (made == null) {
      made = new ScaleQuantiles(shapes, logScales, weights);
      quantiles = made;
    }
    return made.where(from, by, probability);
  }

  /** The lives of the mixture, with their weights. */
  Stream<Atom> atoms() {
    return IntStream.range(0, shapes.length)
        .boxed()
        .flatMap(
            i ->
                IntStream.range(0, weights[i].length)
                    .mapToObj(j -> new Atom(shapes[i], logScales[i][j], weights[i][j])));
  }

  /** One of few Weibull lives that stand for the mixture, its scale in the unit of the ages. */
  public record Standing(double shape, double scale, double weight) {}

  /**
   * Few lives that stand for the mixture, their weights as they are: of each shape that is
   * believed, its scales in so many parts of the same weight, each by its mean of ln scale.
   */
  public List<Standing> few(int parts) {
    List<Standing> few = new ArrayList<>();
    for (int i = 0; i < shapes.length; i++) {
      double all = 0;
      for (double w : weights[i]) {
        all += w;
      }
      double sum = 0;
      double moment = 0;
      for (int j = 0; all > HARDLY_BELIEVED && j < weights[i].length; j++) {
        sum += weights[i][j];
        moment += weights[i][j] * logScales[i][j];
        boolean full = sum >= all / parts;
        if (sum > 0 && (full || j == weights[i].length - 1)) {
          few.add(new Standing(shapes[i], unit * Math.exp(moment / sum), sum));
          sum = 0;
          moment = 0;
        }
      }
    }
    return few;
  }

  /**
   * What is believed of the scale, in short.
   *
   * @param shape middle of the Weibull shape
   * @param logScale mean of ln scale, in the unit of the ages
   * @param spread standard deviation of ln scale
   */
  public record ScaleBelief(double shape, double logScale, double spread) {}

  /** What is believed of the scale, in short. */
  public ScaleBelief scaleBelief() {
    double logShape = 0;
    double sum = 0;
    double squares = 0;
    for (int i = 0; i < shapes.length; i++) {
      double log = Math.log(shapes[i]);
      for (int j = 0; j < weights[i].length; j++) {
        logShape += weights[i][j] * log;
        sum += weights[i][j] * logScales[i][j];
        squares += weights[i][j] * logScales[i][j] * logScales[i][j];
      }
    }
    return new ScaleBelief(
        Math.exp(logShape), Math.log(unit) + sum, Math.sqrt(Math.max(0, squares - sum * sum)));
  }
}
