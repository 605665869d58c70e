package isokinon.server.planning;

import static ai.timefold.solver.core.api.score.stream.Joiners.equal;
import static ai.timefold.solver.core.api.score.stream.Joiners.filtering;
import static ai.timefold.solver.core.api.score.stream.Joiners.lessThan;
import static ai.timefold.solver.core.api.score.stream.Joiners.overlapping;

import ai.timefold.solver.core.api.score.buildin.hardsoftlong.HardSoftLongScore;
import ai.timefold.solver.core.api.score.stream.Constraint;
import ai.timefold.solver.core.api.score.stream.ConstraintFactory;
import ai.timefold.solver.core.api.score.stream.ConstraintProvider;

/**
 * What a plan must keep, and what it costs. Shifts, kit arrivals and line stops are in the openings
 * already; here are the rules between jobs.
 */
public class PlanRules implements ConstraintProvider {

  @Override
  public Constraint[] defineConstraints(ConstraintFactory f) {
    return new Constraint[] {
      whereItMay(f), onePersonOneJob(f), fixtures(f), pairs(f), costOfWhen(f), costOfNotAtAll(f)
    };
  }

  private Constraint whereItMay(ConstraintFactory f) {
    return f.forEach(PlannedJob.class)
        .filter(j -> !j.allowed())
        .penalizeLong(HardSoftLongScore.ONE_HARD, PlannedJob::slots)
        .asConstraint("shift, kit, line");
  }

  private Constraint onePersonOneJob(ConstraintFactory f) {
    return f.forEach(PlannedJob.class)
        .join(
            PlannedJob.class,
            equal(PlannedJob::person),
            overlapping(j -> j.opening().start(), PlannedJob::end),
            lessThan(PlannedJob::pump))
        .penalizeLong(HardSoftLongScore.ONE_HARD, PlannedJob::shared)
        .asConstraint("one person, one job");
  }

  private Constraint fixtures(ConstraintFactory f) {
    return f.forEach(PlannedJob.class)
        .filter(j -> !j.fixture().isEmpty())
        .join(
            PlannedJob.class,
            equal(PlannedJob::fixture),
            overlapping(j -> j.opening().start(), PlannedJob::end),
            lessThan(PlannedJob::pump))
        .join(
            WorkPlan.Fixture.class,
            equal((a, b) -> a.fixture(), WorkPlan.Fixture::id),
            filtering((a, b, fixture) -> fixture.pieces() < 2))
        .penalizeLong(HardSoftLongScore.ONE_HARD, (a, b, fixture) -> a.shared(b))
        .asConstraint("one fixture, one job");
  }

  private Constraint pairs(ConstraintFactory f) {
    return f.forEach(PlannedJob.class)
        .filter(j -> !j.pair().isEmpty())
        .join(
            PlannedJob.class,
            equal(PlannedJob::pair, PlannedJob::pump),
            overlapping(j -> j.opening().start(), PlannedJob::end))
        .penalizeLong(HardSoftLongScore.ONE_HARD, PlannedJob::shared)
        .asConstraint("duty and standby never both out");
  }

  private Constraint costOfWhen(ConstraintFactory f) {
    return f.forEach(PlannedJob.class)
        .penalizeLong(HardSoftLongScore.ONE_SOFT, PlannedJob::cost)
        .asConstraint("failing while waiting, waste, overtime");
  }

  private Constraint costOfNotAtAll(ConstraintFactory f) {
    return f.forEachIncludingUnassigned(PlannedJob.class)
        .filter(j -> j.opening() == null)
        .penalizeLong(HardSoftLongScore.ONE_SOFT, PlannedJob::unplacedCost)
        .asConstraint("not done at all");
  }
}
