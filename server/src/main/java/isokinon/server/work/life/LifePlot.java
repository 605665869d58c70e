package isokinon.server.work.life;

import isokinon.core.life.KaplanMeier;
import isokinon.core.life.LifeEstimate;
import isokinon.core.life.LifeGroups.WearRun;
import isokinon.core.life.Run;
import isokinon.core.life.Weibull;
import isokinon.core.life.WeibullFit;
import isokinon.core.life.frailty.FitCheck;
import isokinon.core.life.frailty.Marginal;
import isokinon.core.renewal.InspectRenew;
import isokinon.core.renewal.Policies;
import isokinon.core.renewal.Policies.Kept;
import isokinon.core.renewal.Policies.Terms;
import isokinon.core.renewal.RenewalCost;
import isokinon.server.work.life.LifeView.CostPoint;
import isokinon.server.work.life.LifeView.CurvePoint;
import isokinon.server.work.life.LifeView.EndedRun;
import isokinon.server.work.life.LifeView.FitStretch;
import isokinon.server.work.life.LifeView.RunningSet;
import isokinon.server.work.life.LifeView.SurvivalStep;
import isokinon.server.work.shared.StateMark;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** The curves and marks of the Life place's plots, in hours and pounds per 1000 h. */
final class LifePlot {

  private static final int POINTS = 96;

  private LifePlot() {}

  /** Kaplan-Meier's steps with their 90 % band. */
  static List<SurvivalStep> survival(GroupLife life) {
    return KaplanMeier.of(life.ages()).stream()
        .map(s -> new SurvivalStep(life.hours(s.age()), s.survival(), s.low(), s.high()))
        .toList();
  }

  /** How far the plots go, in the unit of ages: past the oldest run and nearly every failure. */
  static double reach(GroupLife life) {
    double oldest = life.ages().stream().mapToDouble(Run::age).max().orElse(0);
    return Math.max(oldest * 1.05, life.estimate().quantile(0.9));
  }

  static List<CurvePoint> curve(GroupLife life, double reach) {
    List<CurvePoint> curve = new ArrayList<>();
    Optional<Weibull> alone =
        WeibullFit.tried(life.ages().stream().filter(r -> r.age() > 0).toList())
            .map(f -> new Weibull(f.shape(), f.scale()));
    curve.add(new CurvePoint(0, 1, 1, 1, alone.map(a -> 1.0)));
    for (int i = 1; i <= POINTS; i++) {
      double age = reach * i / POINTS;
      Marginal band = life.estimate().life().survivalBand(age);
      curve.add(
          new CurvePoint(
              life.hours(age),
              life.estimate().survival(age),
              band.low(),
              band.high(),
              alone.map(a -> a.survival(age))));
    }
    return curve;
  }

  /** Failures beside those that the curve allows, by age. */
  static List<FitStretch> stretches(GroupLife life, List<FitCheck.Stretch> agreement) {
    return agreement.stream()
        .map(
            s ->
                new FitStretch(
                    life.hours(s.from() * life.libraryMean()),
                    Double.isInfinite(s.to())
                        ? Optional.empty()
                        : Optional.of(life.hours(s.to() * life.libraryMean())),
                    s.failed(),
                    s.low(),
                    s.high(),
                    s.agreement()))
        .toList();
  }

  static List<CostPoint> costs(GroupLife life, Terms t, double warning, double reach) {
    LifeEstimate estimate = life.estimate();
    Optional<InspectRenew.Costs> looks =
        t.look().isPresent()
            ? Optional.of(new InspectRenew.Costs(t.look().getAsDouble(), t.planned(), t.failed()))
            : Optional.empty();
    InspectRenew.Warning warns = Policies.warning(estimate.chosenBy(), warning);
    List<CostPoint> costs = new ArrayList<>();
    for (int i = 1; i <= POINTS; i++) {
      double age = reach * i / POINTS;
      costs.add(
          new CostPoint(
              life.hours(age),
              life.perThousandHours(
                  RenewalCost.at(age, estimate.chosenBy(), t.planned(), t.failed())),
              looks.map(c -> life.perThousandHours(InspectRenew.rate(age, warns, c)))));
    }
    return costs;
  }

  static List<EndedRun> ended(GroupLife life) {
    return life.group().runs().stream()
        .filter(r -> !r.running())
        .map(
            r -> {
              Run run = life.run(r);
              return new EndedRun(
                  r.pump(),
                  life.hours(run.from()),
                  life.hours(run.age()),
                  run.failed(),
                  r.ended().orElseThrow().toString());
            })
        .sorted(Comparator.comparingDouble(EndedRun::age))
        .toList();
  }

  static List<RunningSet> running(
      GroupLife life, Optional<Policies> policies, Optional<Terms> terms) {
    Optional<Kept> fixed = policies.flatMap(Policies::fixed);
    Optional<Double> to =
        fixed.map(f -> Policies.hardlyDearerTo(f, life.estimate().chosenBy(), terms.orElseThrow()));
    Stream<RunningSet> sets =
        life.running().isEmpty()
            ? life.group().runs().stream()
                .filter(WearRun::running)
                .map(r -> runningSet(r.pump(), r.hours().age(), life, fixed, to))
            : life.running().stream()
                .map(s -> runningSet(s.pump().tag(), life.age(s), life, fixed, to));
    return sets.sorted(Comparator.comparingDouble(RunningSet::age)).toList();
  }

  /**
   * A set by its age: short of the best age, inside the band that costs hardly more, or past it.
   */
  private static RunningSet runningSet(
      String tag, double age, GroupLife life, Optional<Kept> fixed, Optional<Double> to) {
    double hours = life.hours(age);
    if (fixed.isEmpty()) {
      return new RunningSet(tag, hours, StateMark.SOUND, "");
    }
    double best = fixed.get().every();
    if (age > to.orElseThrow()) {
      return new RunningSet(
          tag, hours, StateMark.RENEW, LifeText.h(life.hours(age - best)) + " past");
    }
    return age > best
        ? new RunningSet(
            tag,
            hours,
            StateMark.WATCH,
            "inside the band, " + LifeText.h(life.hours(to.get() - age)) + " left")
        : new RunningSet(
            tag, hours, StateMark.SOUND, LifeText.h(life.hours(best - age)) + " to go");
  }
}
