package isokinon.core.rebuild;

import isokinon.core.plan.Plan;
import isokinon.core.plan.PlanMemo;
import isokinon.core.plan.PlanRequest;
import isokinon.core.sheet.Following;
import isokinon.core.sheet.Sheet;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;

/**
 * The plan of a job while its events are folded. Which steps are left, and which parts come off,
 * does not change while the planned steps are done one by one, so it is answered from the last
 * plan; only what widens the job plans again. The order of what is left is planned when it is asked
 * for.
 */
final class PlanInHand {

  private final PlanMemo memo;
  private final Supplier<Sheet> sheet;
  private final Supplier<Following> job;
  private Optional<Made> made = Optional.empty();

  private record Made(PlanRequest request, Plan plan, Set<String> route) {
    static Made of(PlanRequest request, Plan plan) {
      Set<String> route = new HashSet<>(request.done());
      route.addAll(plan.strip());
      return new Made(request, plan, route);
    }

    /**
     * Whether {@code now} asks the same of the same pump, some more or fewer planned steps done.
     */
    boolean asksTheSame(PlanRequest now) {
      return request.renew().equals(now.renew()) && sameWayIn(now);
    }

    /**
     * Whether the same steps lead to what {@code now} asks: nothing but parts that come off anyway
     * are to be renewed as well.
     */
    boolean sameRoute(PlanRequest now) {
      return sameWayIn(now)
          && (request.renew().equals(now.renew())
              || (!now.kitContents()
                  && now.renew().containsAll(request.renew())
                  && new HashSet<>(plan.freed()).containsAll(now.renew())));
    }

    private boolean sameWayIn(PlanRequest now) {
      return request.inspect().equals(now.inspect())
          && request.avoid().equals(now.avoid())
          && request.kitContents() == now.kitContents()
          && route.containsAll(now.done());
    }
  }

  PlanInHand(PlanMemo memo, Supplier<Sheet> sheet, Supplier<Following> job) {
    this.memo = memo;
    this.sheet = sheet;
    this.job = job;
  }

  /** The plan of a request, whatever was planned before. */
  Plan plan(PlanRequest request) {
    if (made.isEmpty() || !made.get().request().equals(request)) {
      made = Optional.of(Made.of(request, memo.plan(sheet.get(), job.get(), request)));
    }
    return made.get().plan();
  }

  /** The plan of a request that stands for itself, such as one side of the pump. */
  Plan aside(PlanRequest request) {
    return memo.plan(sheet.get(), job.get(), request);
  }

  /** Whether no strip step is left. */
  boolean stripped(PlanRequest now) {
    Set<String> left = new HashSet<>(onRoute(now).route());
    left.removeAll(now.done());
    return left.isEmpty();
  }

  /**
   * A plan whose steps lead to what is asked, whatever is done of them: its parts that come off.
   */
  Plan reaching(PlanRequest now) {
    return onRoute(now).plan();
  }

  /** A plan that builds what is asked now, whatever is done of it. */
  Plan building(PlanRequest now) {
    return made.filter(m -> m.asksTheSame(now)).map(Made::plan).orElseGet(() -> plan(now));
  }

  private Made onRoute(PlanRequest now) {
    if (made.filter(m -> m.sameRoute(now)).isEmpty()) {
      plan(now);
    }
    return made.orElseThrow();
  }

  /** Another way is followed: what was planned is of another sheet. */
  void forget() {
    made = Optional.empty();
  }
}
