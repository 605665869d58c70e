package isokinon.core.plan;

import isokinon.core.sheet.Following;
import isokinon.core.sheet.Sheet;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.BiFunction;

/**
 * Plans made lately on one written sheet, so that the same question is not planned twice: a rebuild
 * and the rebuild after one more event mostly ask the same. May be shared between threads.
 */
public final class PlanMemo {

  /** So many plans are kept, those asked for last. */
  private static final int MOST = 16;

  private record Question(Following job, PlanRequest request) {}

  private final BiFunction<Sheet, PlanRequest, Plan> planner;
  private final Map<Question, Plan> plans =
      new LinkedHashMap<>(MOST, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Question, Plan> eldest) {
          return size() > MOST;
        }
      };

  /** An empty memo over the planner. */
  public PlanMemo() {
    this(new Planner()::plan);
  }

  /** An empty memo over another way to plan. */
  public PlanMemo(BiFunction<Sheet, PlanRequest, Plan> planner) {
    this.planner = planner;
  }

  /**
   * The plan of a request.
   *
   * @param sheet as the job follows it
   * @param job what it follows of it
   * @throws isokinon.core.plan.UnplannableRequest as the planner does
   */
  public synchronized Plan plan(Sheet sheet, Following job, PlanRequest request) {
    Question question = new Question(job, request);
    Plan known = plans.get(question);
    if (known == null) {
      known = planner.apply(sheet, request);
      plans.put(question, known);
    }
    return known;
  }
}
