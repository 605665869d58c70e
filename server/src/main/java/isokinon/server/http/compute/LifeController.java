package isokinon.server.http.compute;

import static isokinon.server.work.shared.Require.present;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import isokinon.core.life.KaplanMeier;
import isokinon.core.life.Run;
import isokinon.core.life.Survival;
import isokinon.core.life.Weibull;
import isokinon.core.life.WeibullFit;
import isokinon.core.life.WeibullPosterior;
import isokinon.core.renewal.Interval;
import isokinon.core.value.InvalidQuantity;
import isokinon.core.value.Range;
import isokinon.server.access.Needs;
import isokinon.server.access.Right;
import isokinon.server.work.shared.RequestProblem;
import jakarta.validation.constraints.Size;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/**
 * The stateless questions of life and interval. Their shapes are fixed; other programs call them.
 */
@RestController
@RequestMapping("/api/v1/compute/life")
@Needs(Right.OPEN)
@Tag(name = "compute", description = "Stateless: everything needed is in the request")
class LifeController {

  private static final int MOST_RUNS = 100_000;
  private static final double OLDEST = 1e12;

  record ObservationQuestion(Double age, Boolean failed) {}

  record LifeFitQuestion(@Size(max = MOST_RUNS) List<ObservationQuestion> observations) {}

  record StepAnswer(double age, double survival, Optional<Double> low, Optional<Double> high) {}

  record LifeFitAnswer(
      double shape,
      double scale,
      double logLikelihood,
      double shapeLow,
      double shapeHigh,
      double scaleLow,
      double scaleHigh,
      List<StepAnswer> survival,
      int runs,
      int failures) {}

  record PosteriorQuestion(
      Double shape,
      Double priorMean,
      Double priorStrength,
      @Size(max = MOST_RUNS) List<ObservationQuestion> observations) {}

  record PosteriorAnswer(
      double a,
      double b,
      double scaleLow,
      double scaleMedian,
      double scaleHigh,
      Optional<Double> meanLife,
      int runs,
      int failures) {}

  record RiskQuestion(Double shape, Double scale, Double a, Double b, Double age, Double within) {}

  record RiskAnswer(double probability) {}

  record IntervalQuestion(
      Double shape,
      Double scale,
      Double a,
      Double b,
      Double plannedCost,
      Double failureCost,
      String consequence) {}

  record IntervalAnswer(
      Optional<Double> bestAge,
      Optional<Double> bestRate,
      double runToFailureRate,
      String advice) {}

  @PostMapping("/fit")
  @Operation(summary = "Weibull by maximum likelihood, and survival without a model, 90 % bands")
  LifeFitAnswer fit(@RequestBody LifeFitQuestion q) {
    List<Run> runs = runs(present("observations", q.observations()));
    WeibullFit fit;
    try {
      fit = WeibullFit.of(runs);
    } catch (WeibullFit.TooFew e) {
      throw RequestProblem.notNow("observations", e.getMessage());
    }
    return new LifeFitAnswer(
        fit.shape(),
        fit.scale(),
        fit.logLikelihood(),
        fit.shapeLow(),
        fit.shapeHigh(),
        fit.scaleLow(),
        fit.scaleHigh(),
        KaplanMeier.of(runs).stream()
            .map(s -> new StepAnswer(s.age(), s.survival(), s.low(), s.high()))
            .toList(),
        runs.size(),
        failures(runs));
  }

  @PostMapping("/posterior")
  @Operation(summary = "Life from few failures: the library's mean life and this shop's runs")
  PosteriorAnswer posterior(@RequestBody PosteriorQuestion q) {
    double shape = present("shape", q.shape());
    double mean = present("priorMean", q.priorMean());
    double strength = present("priorStrength", q.priorStrength());
    List<Run> runs = q.observations() == null ? List.of() : runs(q.observations());
    WeibullPosterior p =
        RequestProblem.answered(
            () -> {
              Range.check("shape", shape, 0.01, 100);
              Range.check("priorMean", mean, 1e-9, OLDEST);
              Range.check("priorStrength", strength, 1e-9, 1e9);
              if (strength * shape <= 1) {
                throw new InvalidQuantity(
                    "priorStrength",
                    "priorStrength times shape must exceed 1; it is " + strength * shape + ".");
              }
              return WeibullPosterior.of(shape, mean, strength, runs);
            });
    return new PosteriorAnswer(
        p.a(),
        p.b(),
        p.scaleQuantile(0.05),
        p.scaleQuantile(0.5),
        p.scaleQuantile(0.95),
        p.a() * p.shape() > 1 ? Optional.of(p.meanLife()) : Optional.empty(),
        runs.size(),
        failures(runs));
  }

  @PostMapping("/risk")
  @Operation(summary = "Chance of failing within a time once an age has been reached")
  RiskAnswer risk(@RequestBody RiskQuestion q) {
    Survival life = life(q.shape(), q.scale(), q.a(), q.b());
    double age = present("age", q.age());
    double within = present("within", q.within());
    return new RiskAnswer(
        RequestProblem.answered(
            () -> {
              Range.check("age", age, 0, OLDEST);
              Range.check("within", within, 0, OLDEST);
              return life.risk(age, within);
            }));
  }

  @PostMapping("/interval")
  @Operation(summary = "Cheapest age to change a part at, and whether an age pays")
  IntervalAnswer interval(@RequestBody IntervalQuestion q) {
    Survival life = life(q.shape(), q.scale(), q.a(), q.b());
    double planned = present("plannedCost", q.plannedCost());
    double failure = present("failureCost", q.failureCost());
    String consequence = q.consequence() == null ? "low" : q.consequence();
    if (!List.of("low", "high").contains(consequence)) {
      throw RequestProblem.invalid(
          "consequence", "A consequence is low or high; \"" + consequence + "\" is not.");
    }
    Interval i =
        RequestProblem.answered(
            () -> Interval.of(life, planned, failure, consequence.equals("high")));
    return new IntervalAnswer(
        i.bestAge(),
        i.bestRate(),
        i.runToFailureRate(),
        i.advice().name().toLowerCase(Locale.ROOT).replace('_', '-'));
  }

  private static Survival life(Double shape, Double scale, Double a, Double b) {
    double k = present("shape", shape);
    if (a == null && b == null) {
      double known = present("scale", scale);
      return RequestProblem.answered(() -> new Weibull(k, known));
    }
    double givenA = present("a", a);
    double givenB = present("b", b);
    return RequestProblem.answered(
        () -> {
          Range.check("shape", k, 0.01, 100);
          Range.check("a", givenA, 1e-9, 1e9);
          Range.check("b", givenB, 1e-300, Double.MAX_VALUE);
          if (givenA * k <= 1) {
            throw new InvalidQuantity(
                "a", "a times shape must exceed 1 for a mean life; it is " + givenA * k + ".");
          }
          return new WeibullPosterior(k, givenA, givenB);
        });
  }

  private static List<Run> runs(List<ObservationQuestion> observations) {
    if (observations.size() > MOST_RUNS) {
      throw RequestProblem.invalid("observations", "At most " + MOST_RUNS + " observations.");
    }
    List<Run> runs = new ArrayList<>();
    for (int i = 0; i < observations.size(); i++) {
      String at = "observations[" + i + "]";
      ObservationQuestion o = present(at, observations.get(i));
      double age = present(at + ".age", o.age());
      RequestProblem.answered(() -> Range.check(at + ".age", age, 1e-9, OLDEST));
      runs.add(new Run(age, present(at + ".failed", o.failed())));
    }
    return runs;
  }

  private static int failures(List<Run> runs) {
    return (int) runs.stream().filter(Run::failed).count();
  }
}
