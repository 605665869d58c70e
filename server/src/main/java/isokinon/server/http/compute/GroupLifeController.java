package isokinon.server.http.compute;

import static isokinon.server.work.shared.Require.present;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import isokinon.core.life.Run;
import isokinon.core.life.frailty.FrailtyModel;
import isokinon.core.life.frailty.FrailtyPrior;
import isokinon.core.life.frailty.GroupPosterior;
import isokinon.core.life.frailty.Marginal;
import isokinon.core.life.frailty.PumpRuns;
import isokinon.core.life.frailty.WeibullMixture;
import isokinon.core.renewal.Interval;
import isokinon.core.value.Range;
import isokinon.server.access.Needs;
import isokinon.server.access.Right;
import isokinon.server.work.shared.RequestProblem;
import jakarta.validation.constraints.Size;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The stateless question of the lives of a group of pumps together. Its shape is fixed. */
@RestController
@RequestMapping("/api/v1/compute/life")
@Needs(Right.OPEN)
@Tag(name = "compute", description = "Stateless: everything needed is in the request")
class GroupLifeController {

  /** More pumps would take longer than an answer may. */
  private static final int MOST_PUMPS = 200;

  private static final int MOST_RUNS = 100_000;
  private static final double OLDEST = 1e12;

  /** Ages at which the survival of a pump is told. */
  private static final int POINTS = 24;

  private static final double DRAWN_TO = 0.97;

  record GroupRunQuestion(Double from, Double age, Boolean failed) {}

  record GroupPumpQuestion(String pump, @Size(max = MOST_RUNS) List<GroupRunQuestion> runs) {}

  record GroupAsk(String pump, Double age, Double within) {}

  record GroupQuestion(
      Double shape,
      Double shapeSpread,
      Double priorMean,
      Double priorSpread,
      @Size(max = MOST_PUMPS) List<GroupPumpQuestion> pumps,
      GroupAsk ask,
      Double plannedCost,
      Double failureCost) {}

  record GroupStep(double age, double survival, double low, double high) {}

  record GroupPumpAnswer(
      String pump,
      double meanLife,
      double meanLow,
      double meanHigh,
      Optional<Double> risk,
      Optional<Double> bestAge,
      Optional<Double> bestRate,
      double runToFailureRate,
      List<GroupStep> survival) {}

  record GroupAnswer(
      List<GroupPumpAnswer> pumps, Marginal shape, Marginal between, int runs, int failures) {}

  @PostMapping("/group")
  @Operation(summary = "Lives of a group of pumps together: Weibull with a frailty of the pump")
  GroupAnswer group(@RequestBody GroupQuestion q) {
    double shape = present("shape", q.shape());
    double mean = present("priorMean", q.priorMean());
    double planned = present("plannedCost", q.plannedCost());
    double failure = present("failureCost", q.failureCost());
    List<PumpRuns> pumps = pumps(present("pumps", q.pumps()));
    Optional<GroupAsk> ask = Optional.ofNullable(q.ask()).map(GroupLifeController::checked);
    FrailtyPrior prior =
        RequestProblem.answered(
            () ->
                new FrailtyPrior(
                    shape,
                    Optional.ofNullable(q.shapeSpread()).orElse(FrailtyPrior.SHAPE_SPREAD),
                    mean,
                    Optional.ofNullable(q.priorSpread()).orElse(FrailtyPrior.MEAN_SPREAD)));
    RequestProblem.answered(() -> Range.check("plannedCost", planned, 1e-9, OLDEST));
    RequestProblem.answered(() -> Range.check("failureCost", failure, 1e-9, OLDEST));
    GroupPosterior group = FrailtyModel.fit(prior, pumps);
    List<String> told = ask.map(a -> List.of(a.pump())).orElse(group.pumps());
    return new GroupAnswer(
        told.parallelStream().map(p -> told(p, group, ask, planned, failure)).toList(),
        group.shape(),
        group.between(),
        group.runs(),
        group.failures());
  }

  private static GroupAsk checked(GroupAsk ask) {
    present("ask.pump", ask.pump());
    double age = present("ask.age", ask.age());
    double within = present("ask.within", ask.within());
    RequestProblem.answered(() -> Range.check("ask.age", age, 0, OLDEST));
    RequestProblem.answered(() -> Range.check("ask.within", within, 0, OLDEST));
    return ask;
  }

  private static GroupPumpAnswer told(
      String pump, GroupPosterior group, Optional<GroupAsk> ask, double planned, double failure) {
    WeibullMixture life = group.life(pump);
    Marginal mean = life.meanBand();
    Interval interval = Interval.of(life, planned, failure, false);
    double reach = life.quantile(DRAWN_TO);
    return new GroupPumpAnswer(
        pump,
        life.meanLife(),
        mean.low(),
        mean.high(),
        ask.map(a -> life.risk(a.age(), a.within())),
        interval.bestAge(),
        interval.bestRate(),
        interval.runToFailureRate(),
        IntStream.rangeClosed(1, POINTS).mapToObj(i -> step(life, reach * i / POINTS)).toList());
  }

  private static GroupStep step(WeibullMixture life, double age) {
    Marginal band = life.survivalBand(age);
    return new GroupStep(age, life.survival(age), band.low(), band.high());
  }

  private static List<PumpRuns> pumps(List<GroupPumpQuestion> asked) {
    if (asked.size() > MOST_PUMPS) {
      throw RequestProblem.invalid("pumps", "At most " + MOST_PUMPS + " pumps.");
    }
    List<PumpRuns> pumps = new ArrayList<>();
    Set<String> names = new HashSet<>();
    for (int i = 0; i < asked.size(); i++) {
      String at = "pumps[" + i + "]";
      GroupPumpQuestion p = present(at, asked.get(i));
      String name = present(at + ".pump", p.pump());
      if (!names.add(name)) {
        throw RequestProblem.invalid(at + ".pump", "A pump stands in a group once.");
      }
      List<GroupRunQuestion> runs = p.runs() == null ? List.of() : p.runs();
      List<Run> read = new ArrayList<>();
      for (int j = 0; j < runs.size(); j++) {
        read.add(run(at + ".runs[" + j + "]", runs.get(j)));
      }
      pumps.add(new PumpRuns(name, read));
    }
    return pumps;
  }

  private static Run run(String at, GroupRunQuestion asked) {
    GroupRunQuestion r = present(at, asked);
    double age = present(at + ".age", r.age());
    double from = r.from() == null ? 0 : r.from();
    boolean failed = present(at + ".failed", r.failed());
    RequestProblem.answered(() -> Range.check(at + ".age", age, 1e-9, OLDEST));
    RequestProblem.answered(() -> Range.check(at + ".from", from, 0, OLDEST));
    if (from >= age) {
      throw RequestProblem.invalid(
          at + ".from", "A run is seen from an age under the one it ends at.");
    }
    return new Run(from, age, failed);
  }
}
