package isokinon.core.plan;

import java.util.List;

/**
 * What is asked of a plan.
 *
 * @param renew ids of parts to renew
 * @param inspect ids of parts to look at
 * @param done ids of strip steps already done, in the order they were done
 */
public record PlanRequest(List<String> renew, List<String> inspect, List<String> done) {

  /** Copies its lists. */
  public PlanRequest {
    renew = List.copyOf(renew);
    inspect = List.copyOf(inspect);
    done = List.copyOf(done);
  }

  /** A plan from a pump that stands whole. */
  public static PlanRequest of(List<String> renew, List<String> inspect) {
    return new PlanRequest(renew, inspect, List.of());
  }
}
