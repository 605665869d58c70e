package isokinon.core.plan;

import isokinon.core.sheet.Following;
import isokinon.core.sheet.Sheet;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.BiFunction;

/**
 * Plans made lately on one written sheet, and that sheet as it was followed, so that neither is
 * made twice: a rebuild and the rebuild after one more event mostly ask the same. May be shared
 * between threads.
 */
public final class PlanMemo {

  /** So many plans and sheets are kept, those asked for last. */
  private static final int MOST = 64;

  private record Question(Following job, PlanRequest request) {}

  private final BiFunction<Sheet, PlanRequest, Plan> planner;
  private final Map<Question, Plan> plans = new Lately<>();
  private final Map<Following, Sheet> followed = new Lately<>();

  private static final class Lately<K, V> extends LinkedHashMap<K, V> {
    private static final long serialVersionUID = 1L;

    Lately() {
      super(MOST, 0.75f, true);
    }

    @Override
    protected boolean removeEldestEntry(Map.Entry<K, V> eldest) {
      return size() > MOST;
    }
  }

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

  /**
   * A sheet as a job follows it.
   *
   * @param written as it was written, with every way; the same for each question
   */
  public synchronized Sheet followed(Sheet written, Following job) {
    return followed.computeIfAbsent(job, written::by);
  }
}
