package isokinon.server.planning;

import ai.timefold.solver.core.api.domain.solution.PlanningEntityCollectionProperty;
import ai.timefold.solver.core.api.domain.solution.PlanningScore;
import ai.timefold.solver.core.api.domain.solution.PlanningSolution;
import ai.timefold.solver.core.api.domain.solution.ProblemFactCollectionProperty;
import ai.timefold.solver.core.api.domain.valuerange.ValueRangeProvider;
import ai.timefold.solver.core.api.score.buildin.hardsoftlong.HardSoftLongScore;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;

/** All jobs with the fixtures they share; the solver's own kind of object. */
@PlanningSolution
public class WorkPlan {

  /** A fixture and how many of it there are. */
  public record Fixture(String id, int pieces) {}

  // The solver reads these by itself.
  @PlanningEntityCollectionProperty private List<PlannedJob> jobs;

  @SuppressWarnings("UnusedVariable")
  @ProblemFactCollectionProperty
  private List<Fixture> fixtures;

  /** Every place that some job may stand in. One list for all: the solver keeps it once. */
  @SuppressWarnings("UnusedVariable")
  @ValueRangeProvider
  private List<Opening> openings;

  @PlanningScore private HardSoftLongScore score;

  /** For the solver. */
  public WorkPlan() {}

  public WorkPlan(List<PlannedJob> jobs, List<Fixture> fixtures) {
    this.jobs = jobs;
    this.fixtures = fixtures;
    this.openings =
        Stream.concat(
                jobs.stream().flatMap(j -> j.costs().keySet().stream()),
                jobs.stream().map(PlannedJob::opening).filter(Objects::nonNull))
            .distinct()
            .sorted(Comparator.comparingInt(Opening::start).thenComparing(Opening::person))
            .toList();
  }

  public List<PlannedJob> jobs() {
    return jobs;
  }

  public HardSoftLongScore score() {
    return score;
  }
}
