package isokinon.core.life;

import isokinon.core.life.frailty.FrailtyModel;
import isokinon.core.life.frailty.FrailtyPrior;
import isokinon.core.life.frailty.GroupPosterior;
import isokinon.core.life.frailty.Marginal;
import isokinon.core.life.frailty.PumpRuns;
import isokinon.core.life.frailty.WeibullMixture;
import java.util.List;
import java.util.function.Supplier;

/**
 * The life of the next set in one pump: the library's word, the runs of its group and its own runs
 * together.
 *
 * @param life of the next set
 * @param shape of the group, no unit
 * @param between standard deviation of ln life between the pumps of the group
 * @param runs of the group, those that still run among them
 * @param failures how many of them failed
 * @param chosenBy the life that an age is chosen by: the same, or, where causes were told that age
 *     does not bring, both risks together
 */
public record LifeEstimate(
    WeibullMixture life,
    Marginal shape,
    Marginal between,
    int runs,
    int failures,
    Survival chosenBy)
    implements Survival.AnsweredBy {

  /** Under so many failures the library's word carries the estimate. */
  private static final int FEWEST_FAILURES = 2;

  /**
   * Of a pump of a group whose lives are told in mean lives of the library.
   *
   * @param pump one that is not in the group is a new one
   * @param libraryMean the library's mean life in this pump, in the unit of the ages
   */
  public static LifeEstimate of(GroupPosterior group, String pump, double libraryMean) {
    WeibullMixture life = group.life(pump).longer(libraryMean);
    return new LifeEstimate(
        life, group.shape(), group.between(), group.runs(), group.failures(), life);
  }

  /**
   * The same where ages are chosen by another life.
   *
   * @param by worked out when it is first asked for
   */
  public LifeEstimate chosenBy(Supplier<Survival> by) {
    return new LifeEstimate(life, shape, between, runs, failures, new Later(by));
  }

  /** A life that is worked out when it is first asked for. */
  private static final class Later implements Survival.AnsweredBy {

    private final Supplier<Survival> by;
    private volatile Survival made;

    Later(Supplier<Survival> by) {
      this.by = by;
    }

    @Override
    public Survival life() {
      Survival now = made;
      if (now == null) {
        now = by.get();
        made = now;
      }
      return now;
    }
  }

  /** Of one pump by its own runs alone, in the unit of the library's mean life. */
  public static LifeEstimate of(double shape, double libraryMean, List<Run> runs) {
    return of(
        FrailtyModel.fit(FrailtyPrior.of(shape, libraryMean), List.of(new PumpRuns("", runs))),
        "",
        1);
  }

  /** Whether the runs tell enough to be gone by; else it is the library that speaks. */
  public boolean tells() {
    return failures >= FEWEST_FAILURES;
  }
}
