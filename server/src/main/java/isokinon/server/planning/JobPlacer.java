package isokinon.server.planning;

import ai.timefold.solver.core.api.score.buildin.hardsoftlong.HardSoftLongScore;
import ai.timefold.solver.core.api.solver.SolutionManager;
import ai.timefold.solver.core.api.solver.SolverFactory;
import ai.timefold.solver.core.config.solver.EnvironmentMode;
import ai.timefold.solver.core.config.solver.SolverConfig;
import ai.timefold.solver.core.config.solver.termination.TerminationConfig;
import java.time.Duration;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** Places jobs: no rule broken, at least cost, around those that people have put somewhere. */
@Component
public class JobPlacer {

  private final SolverFactory<WorkPlan> factory;
  private final SolutionManager<WorkPlan, HardSoftLongScore> scores;

  /**
   * Searches as long as a person at the diary likes to wait.
   *
   * @param most longest search
   * @param unimproved longest search in which nothing better is found
   */
  public JobPlacer(
      @Value("${isokinon.diary.search:3500ms}") Duration most,
      @Value("${isokinon.diary.unimproved:1200ms}") Duration unimproved) {
    factory =
        SolverFactory.create(
            new SolverConfig()
                .withSolutionClass(WorkPlan.class)
                .withEntityClasses(PlannedJob.class)
                .withConstraintProviderClass(PlanRules.class)
                .withEnvironmentMode(EnvironmentMode.REPRODUCIBLE)
                .withTerminationConfig(
                    new TerminationConfig()
                        .withSpentLimit(most)
                        .withUnimprovedSpentLimit(unimproved)));
    scores = SolutionManager.create(factory);
  }

  /** What came out: the jobs with their openings, and whether every rule is kept. */
  public record Planned(List<PlannedJob> jobs, boolean kept) {}

  /** Places {@code jobs}. */
  public Planned plan(List<PlannedJob> jobs, List<WorkPlan.Fixture> fixtures) {
    if (jobs.isEmpty()) {
      return new Planned(jobs, true);
    }
    WorkPlan best = factory.buildSolver().solve(new WorkPlan(jobs, fixtures));
    Free free = new Free(best.jobs(), fixtures);
    free.takeOutWhatBreaksARule();
    boolean better = true;
    while (better) {
      better = false;
      for (PlannedJob j : best.jobs()) {
        better |= !j.isPinned() && free.improve(j);
      }
    }
    return new Planned(best.jobs(), scores.update(best).isFeasible());
  }

  /**
   * The last steps, which a search that is cut off by the clock may not have come to: no job that
   * could stand elsewhere breaks a rule, and none could be moved to a cheaper free time of its own.
   */
  private record Free(List<PlannedJob> jobs, List<WorkPlan.Fixture> fixtures) {

    /** The jobs that cost least to leave out are taken out first; the others then stand clear. */
    private void takeOutWhatBreaksARule() {
      jobs.stream()
          .filter(j -> !j.isPinned() && j.opening() != null)
          .sorted(Comparator.comparingLong(PlannedJob::unplacedCost))
          .filter(j -> !j.allowed() || !at(j, j.opening()))
          .forEach(j -> j.put(null));
    }

    private boolean improve(PlannedJob j) {
      Optional<Opening> cheaper =
          j.costs().entrySet().stream()
              .filter(e -> j.opening() == null || e.getValue() < j.cost())
              .sorted(Map.Entry.comparingByValue())
              .map(Map.Entry::getKey)
              .filter(o -> at(j, o))
              .findFirst();
      cheaper.ifPresent(j::put);
      return cheaper.isPresent();
    }

    private boolean at(PlannedJob j, Opening o) {
      PlannedJob moved = new PlannedJob(j.pump(), j.slots(), j.fixture(), j.pair(), 0, Map.of(), o);
      return jobs.stream()
          .filter(x -> x != j && x.opening() != null && x.shared(moved) > 0)
          .noneMatch(x -> x.person().equals(o.person()) || sameFixture(x, j) || pair(x, j));
    }

    private boolean sameFixture(PlannedJob x, PlannedJob j) {
      return !j.fixture().isEmpty()
          && x.fixture().equals(j.fixture())
          && fixtures.stream().anyMatch(f -> f.id().equals(j.fixture()) && f.pieces() < 2);
    }

    private static boolean pair(PlannedJob x, PlannedJob j) {
      return x.pair().equals(j.pump()) || j.pair().equals(x.pump());
    }
  }
}
