package isokinon.core.plan;

import java.util.List;

/**
 * What is asked of a plan.
 *
 * @param renew ids of parts to renew
 * @param inspect ids of parts to look at
 * @param done ids of strip steps already done, in the order they were done
 * @param avoid ids of strip steps to do without, where another way in is wanted
 * @param kitContents whether parts that lie open are renewed with the kit of an asked part
 */
public record PlanRequest(
    List<String> renew,
    List<String> inspect,
    List<String> done,
    List<String> avoid,
    boolean kitContents) {

  /** Copies its lists. */
  public PlanRequest {
    renew = List.copyOf(renew);
    inspect = List.copyOf(inspect);
    done = List.copyOf(done);
    avoid = List.copyOf(avoid);
  }

  /** A plan that may go any way and renews by finding. */
  public PlanRequest(List<String> renew, List<String> inspect, List<String> done) {
    this(renew, inspect, done, List.of(), false);
  }

  /** A plan from a pump that stands whole. */
  public static PlanRequest of(List<String> renew, List<String> inspect) {
    return new PlanRequest(renew, inspect, List.of());
  }
}
