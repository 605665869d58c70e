package isokinon.core.life;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Survival without a model: Kaplan-Meier at the ages of failure, with a 90 % band by Greenwood's
 * formula on the log-log scale. Parts taken out sound leave the count after the failures of their
 * age; parts that came with an age on them join it after that age.
 */
public final class KaplanMeier {

  /** Standard deviations either side of the mean within which 90 % of a normal lie, no unit. */
  public static final double Z90 = 1.6448536269514722;

  private KaplanMeier() {}

  /**
   * A step of the curve.
   *
   * @param age of failure
   * @param survival after it, 0 to 1
   * @param low lower end of the band; empty where nothing survives
   * @param high upper end
   */
  public record Step(double age, double survival, Optional<Double> low, Optional<Double> high) {}

  /** The curve of {@code runs}, one step at each age of failure. */
  public static List<Step> of(List<Run> runs) {
    List<Run> sorted = runs.stream().sorted(Comparator.comparingDouble(Run::age)).toList();
    double[] froms = runs.stream().mapToDouble(Run::from).sorted().toArray();
    List<Step> steps = new ArrayList<>();
    double survival = 1;
    double greenwood = 0;
    int entered = 0;
    int i = 0;
    while (i < sorted.size()) {
      double age = sorted.get(i).age();
      while (entered < froms.length && froms[entered] < age) {
        entered++;
      }
      int atRisk = entered - i;
      int failed = 0;
      while (i < sorted.size() && sorted.get(i).age() == age) {
        failed += sorted.get(i).failed() ? 1 : 0;
        i++;
      }
      if (failed > 0) {
        survival *= 1 - (double) failed / atRisk;
        greenwood += (double) failed / atRisk / (atRisk - failed);
        steps.add(step(age, survival, greenwood));
      }
    }
    return steps;
  }

  private static Step step(double age, double survival, double greenwood) {
    if (survival <= 0) {
      return new Step(age, 0, Optional.empty(), Optional.empty());
    }
    double width = Z90 * Math.sqrt(greenwood) / Math.abs(Math.log(survival));
    return new Step(
        age,
        survival,
        Optional.of(Math.pow(survival, Math.exp(width))),
        Optional.of(Math.pow(survival, Math.exp(-width))));
  }
}
