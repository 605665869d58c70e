package isokinon.core.life;

import isokinon.core.value.Code;
import java.util.List;
import org.apache.commons.numbers.gamma.RegularizedGamma;

/**
 * Whether two groups of parts last alike: the log-rank test (Mantel, Cox), one degree of freedom,
 * with right censoring and delayed entry. At each age of failure the failures of the first group
 * are held against what its share of the parts at risk lets expect.
 *
 * @param observed failures of the first group
 * @param expected failures of it, if both lasted alike
 * @param chiSquare (observed - expected)² / variance
 * @param probability chance of a difference this large or larger if both last alike
 * @param failures of both together
 * @param detectable ratio of the failure rates, over 1, that as many failures would show four times
 *     in five at the 5 % level (Schoenfeld)
 */
public record LogRank(
    double observed,
    double expected,
    double chiSquare,
    double probability,
    int failures,
    double detectable) {

  /** Under so many failures in both together nothing is told (shop rule). */
  public static final int FEWEST = 6;

  /** At this chance and under, a difference is called one. */
  public static final double LEVEL = 0.05;

  /** Normal quantiles of 97.5 % and 80 %. */
  private static final double LEVEL_AND_POWER = 1.959963984540054 + 0.8416212335729143;

  /** What the test says. */
  public enum Verdict implements Code {
    /** Too few failures to ask. */
    NOT_ENOUGH,
    /** The runs are of one kind as far as they tell. */
    NO_DIFFERENCE,
    /** The first group fails sooner. */
    FIRST_SHORTER,
    /** The first group fails later. */
    FIRST_LONGER
  }

  /**
   * The runs of one group as the test goes through them, so that a group that is held against many
   * others is put in order once.
   *
   * @param entries ages at which they came under view, rising
   * @param ends ages at which they were seen last, rising
   * @param failures those of them that are failures, rising
   */
  public record Sample(double[] entries, double[] ends, double[] failures) {

    /** The runs in order. */
    public static Sample of(List<Run> runs) {
      return new Sample(
          runs.stream().mapToDouble(Run::from).sorted().toArray(),
          runs.stream().mapToDouble(Run::age).sorted().toArray(),
          runs.stream().filter(Run::failed).mapToDouble(Run::age).sorted().toArray());
    }
  }

  /** How far the test has come in a sample. */
  private static final class Walk {

    private final Sample sample;
    private int entered;
    private int gone;
    private int failed;

    Walk(Sample sample) {
      this.sample = sample;
    }

    double nextFailure() {
      return failed < sample.failures().length
          ? sample.failures()[failed]
          : Double.POSITIVE_INFINITY;
    }

    /** Parts that may fail at this age: under view before it, and not seen last before it. */
    double atRisk(double age) {
      entered = under(sample.entries(), entered, age);
      gone = under(sample.ends(), gone, age);
      return entered - gone;
    }

    int failuresAt(double age) {
      int before = failed;
      while (nextFailure() == age) {
        failed++;
      }
      return failed - before;
    }
  }

  /** Compares {@code first} with {@code second}. */
  public static LogRank of(List<Run> first, List<Run> second) {
    return of(Sample.of(first), Sample.of(second));
  }

  /** Compares {@code first} with {@code second}. */
  public static LogRank of(Sample first, Sample second) {
    Walk one = new Walk(first);
    Walk other = new Walk(second);
    double observed = 0;
    double expected = 0;
    double variance = 0;
    int failures = 0;
    double age = Math.min(one.nextFailure(), other.nextFailure());
    while (age < Double.POSITIVE_INFINITY) {
      double atRiskFirst = one.atRisk(age);
      double atRisk = atRiskFirst + other.atRisk(age);
      int ofFirst = one.failuresAt(age);
      int failed = ofFirst + other.failuresAt(age);
      observed += ofFirst;
      failures += failed;
      double share = atRiskFirst / atRisk;
      expected += failed * share;
      if (atRisk > 1) {
        variance += failed * share * (1 - share) * (atRisk - failed) / (atRisk - 1);
      }
      age = Math.min(one.nextFailure(), other.nextFailure());
    }
    double chiSquare = variance > 0 ? (observed - expected) * (observed - expected) / variance : 0;
    double half = Math.sqrt(variance);
    return new LogRank(
        observed,
        expected,
        chiSquare,
        RegularizedGamma.Q.value(0.5, chiSquare / 2),
        failures,
        variance > 0 ? Math.exp(LEVEL_AND_POWER / half) : Double.POSITIVE_INFINITY);
  }

  /** What it says, at the 5 % level. */
  public Verdict verdict() {
    if (failures < FEWEST || !Double.isFinite(detectable)) {
      return Verdict.NOT_ENOUGH;
    }
    if (probability > LEVEL) {
      return Verdict.NO_DIFFERENCE;
    }
    return observed > expected ? Verdict.FIRST_SHORTER : Verdict.FIRST_LONGER;
  }

  /** How many of rising ages lie under one, when so many are known to. */
  private static int under(double[] ages, int known, double age) {
    int n = known;
    while (n < ages.length && ages[n] < age) {
      n++;
    }
    return n;
  }
}
