package isokinon.core.life;

import isokinon.core.value.Code;
import java.util.ArrayList;
import java.util.Comparator;
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

  private record Seen(Run run, boolean first) {}

  /** Compares {@code first} with {@code second}. */
  public static LogRank of(List<Run> first, List<Run> second) {
    List<Seen> sorted = new ArrayList<>();
    first.forEach(r -> sorted.add(new Seen(r, true)));
    second.forEach(r -> sorted.add(new Seen(r, false)));
    sorted.sort(Comparator.comparingDouble(s -> s.run().age()));
    double[] fromFirst = first.stream().mapToDouble(Run::from).sorted().toArray();
    double[] fromSecond = second.stream().mapToDouble(Run::from).sorted().toArray();
    double observed = 0;
    double expected = 0;
    double variance = 0;
    int failures = 0;
    int goneFirst = 0;
    int goneSecond = 0;
    int inFirst = 0;
    int inSecond = 0;
    int i = 0;
    while (i < sorted.size()) {
      double age = sorted.get(i).run().age();
      inFirst = entered(fromFirst, inFirst, age);
      inSecond = entered(fromSecond, inSecond, age);
      double atRiskFirst = inFirst - goneFirst;
      double atRisk = atRiskFirst + inSecond - goneSecond;
      int failed = 0;
      for (; i < sorted.size() && sorted.get(i).run().age() == age; i++) {
        Seen s = sorted.get(i);
        failed += s.run().failed() ? 1 : 0;
        observed += s.run().failed() && s.first() ? 1 : 0;
        goneFirst += s.first() ? 1 : 0;
        goneSecond += s.first() ? 0 : 1;
      }
      failures += failed;
      double share = atRiskFirst / atRisk;
      expected += failed * share;
      if (atRisk > 1) {
        variance += failed * share * (1 - share) * (atRisk - failed) / (atRisk - 1);
      }
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

  private static int entered(double[] froms, int already, double age) {
    int n = already;
    while (n < froms.length && froms[n] < age) {
      n++;
    }
    return n;
  }
}
