package isokinon.server.work.stages;

import isokinon.core.plan.Plan;
import isokinon.server.work.stages.StageView.PlanView;
import java.util.List;

/** What is asked comes to: the plan, what it renews, the ways in, and the schools of the job. */
public record WaysView(
    PlanView plan, List<RenewLine> renew, List<RouteView> routes, List<SchoolView> schools) {

  /** A part that is renewed and why. */
  public record RenewLine(
      String part, String name, int count, Plan.Renewal.Reason reason, String because) {}

  /** A way in, the steps to avoid for it, and whether the plan goes it. */
  public record RouteView(
      String title, double minutes, List<String> steps, List<String> avoid, boolean followed) {}

  /** A question good technicians answer differently. */
  public record SchoolView(String id, String ask, List<WayView> ways) {}

  /** An answer: whether it is the standard one, whether the job follows it, and what it costs. */
  public record WayView(
      String id,
      String title,
      String say,
      boolean standard,
      boolean followed,
      double minutes,
      int parts,
      String risk) {}
}
