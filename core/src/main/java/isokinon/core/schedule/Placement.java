package isokinon.core.schedule;

import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Jobs in their places: no rule is broken, and no job alone would stand cheaper elsewhere.
 *
 * @param jobs all of them
 * @param openings where each stands, by pump; what is left out is not in it
 * @param cost of all jobs, of those that are left out as well, pence
 * @param atLeast no placement at all costs less, pence
 * @param tried changes that the search looked at
 * @param cut whether the clock ended the search
 */
public record Placement(
    List<Job> jobs,
    Map<String, Opening> openings,
    long cost,
    long atLeast,
    long tried,
    boolean cut) {

  /** Where a job stands; empty where it is left out. */
  public Optional<Opening> of(Job job) {
    return Optional.ofNullable(openings.get(job.pump()));
  }

  /** So much of the cost the best placement could save at most, as a share. */
  public double gap() {
    return cost <= 0 ? 0 : Math.max(0, cost - atLeast) / (double) cost;
  }
}
