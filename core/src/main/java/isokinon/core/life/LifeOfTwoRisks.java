package isokinon.core.life;

import isokinon.core.life.frailty.WeibullMixture;
import isokinon.core.life.frailty.WeibullMixture.Standing;
import java.util.List;

/**
 * A life that age ends, or something else, whichever comes first: what wears out and what is torn
 * by a stone are risks of their own, and the set lives on with the product of their survivals. An
 * age to renew at is chosen by this where causes were told: renewal buys nothing against what age
 * does not bring.
 *
 * <p>The rates are means over what is believed of both, which few lives of each stand for, on even
 * steps of age. Cost: some 300 steps for each pair of them, once.
 */
public final class LifeOfTwoRisks implements Survival {

  private static final int STEPS = 320;

  /** No age beyond so many mean lives is looked at; hardly a set is left there. */
  private static final double REACH = 4.5;

  private static final int PARTS_BY_AGE = 2;
  private static final int PARTS_OTHER = 1;
  private static final int HALVINGS = 60;

  private final WeibullMixture byAge;
  private final WeibullMixture other;
  private final double step;
  private final double[] lived = new double[STEPS + 1];
  private final double[] renewals = new double[STEPS + 1];
  private final double[] failures = new double[STEPS + 1];
  private double untilItFails;

  /** A life of these two. */
  public LifeOfTwoRisks(WeibullMixture byAge, WeibullMixture other) {
    this.byAge = byAge;
    this.other = other;
    step = REACH * Math.min(byAge.meanLife(), other.meanLife()) / STEPS;
    for (int i = 1; i <= STEPS; i++) {
      lived[i] = lived[i - 1] + step / 2 * (survival((i - 1) * step) + survival(i * step));
    }
    List<Standing> ages = byAge.few(PARTS_BY_AGE);
    List<Standing> others = other.few(PARTS_OTHER);
    double[][] one = ages.stream().map(this::survivals).toArray(double[][]::new);
    double[][] two = others.stream().map(this::survivals).toArray(double[][]::new);
    // What is hardly believed is left out: the others stand for it.
    double all =
        ages.stream().mapToDouble(Standing::weight).sum()
            * others.stream().mapToDouble(Standing::weight).sum();
    for (int a = 0; a < one.length; a++) {
      for (int b = 0; b < two.length; b++) {
        add(one[a], two[b], ages.get(a).weight() * others.get(b).weight() / all);
      }
    }
  }

  private double[] survivals(Standing life) {
    double[] at = new double[STEPS + 1];
    for (int i = 0; i <= STEPS; i++) {
      at[i] = Math.exp(-Math.pow(i * step / life.scale(), life.shape()));
    }
    return at;
  }

  private void add(double[] one, double[] two, double weight) {
    double livedHere = 0;
    double before = 1;
    for (int i = 1; i <= STEPS; i++) {
      double here = one[i] * two[i];
      livedHere += step / 2 * (before + here);
      before = here;
      renewals[i] += weight * here / livedHere;
      failures[i] += weight * (1 - here) / livedHere;
    }
    untilItFails += weight / livedHere;
  }

  @Override
  public double survival(double age) {
    return byAge.survival(age) * other.survival(age);
  }

  @Override
  public double lived(double age) {
    return age >= STEPS * step ? lived[STEPS] : at(lived, age);
  }

  @Override
  public double meanLife() {
    return lived[STEPS];
  }

  @Override
  public double quantile(double probability) {
    double low = 0;
    double high = meanLife();
    while (survival(high) > 1 - probability) {
      high *= 2;
    }
    for (int i = 0; i < HALVINGS; i++) {
      double middle = (low + high) / 2;
      if (survival(middle) > 1 - probability) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return (low + high) / 2;
  }

  @Override
  public double failureRate(double age) {
    return age >= STEPS * step ? untilItFails : at(failures, Math.max(step, age));
  }

  @Override
  public double renewalRate(double age) {
    // Under the first step hardly anything fails, and nothing is chosen there.
    return age >= STEPS * step ? 0 : age < step ? renewals[1] * step / age : at(renewals, age);
  }

  private double at(double[] table, double age) {
    double place = age / step;
    int i = Math.min(STEPS - 1, (int) place);
    double share = place - i;
    return table[i] + share * (table[i + 1] - table[i]);
  }
}
