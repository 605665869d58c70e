package isokinon.server.planning;

import ai.timefold.solver.core.api.domain.entity.PlanningEntity;
import ai.timefold.solver.core.api.domain.entity.PlanningPin;
import ai.timefold.solver.core.api.domain.lookup.PlanningId;
import ai.timefold.solver.core.api.domain.variable.PlanningVariable;
import java.util.Map;

/**
 * A job to be placed. The solver's own kind of object: it sets {@code opening} and copies the job
 * by its setters.
 */
@PlanningEntity
public class PlannedJob {

  @PlanningId private String pump;
  private int slots;
  private String fixture;
  private String pair;
  private long unplacedCost;

  private Map<Opening, Long> costs;

  @PlanningVariable(allowsUnassigned = true)
  private Opening opening;

  @PlanningPin private boolean pinned;

  /** For the solver. */
  public PlannedJob() {}

  /**
   * A job.
   *
   * @param slots how long it takes
   * @param fixture it needs, or empty
   * @param pair pump that must not be out at the same time, or empty
   * @param unplacedCost what it costs not to do it at all within the diary, pence
   * @param costs where it may stand, and what it costs there, pence
   * @param pinned where a person put it; null where the solver may choose
   */
  public PlannedJob(
      String pump,
      int slots,
      String fixture,
      String pair,
      long unplacedCost,
      Map<Opening, Long> costs,
      Opening pinned) {
    this.pump = pump;
    this.slots = slots;
    this.fixture = fixture;
    this.pair = pair;
    this.unplacedCost = unplacedCost;
    this.costs = costs;
    this.opening = pinned;
    this.pinned = pinned != null;
  }

  public String pump() {
    return pump;
  }

  public int slots() {
    return slots;
  }

  public String fixture() {
    return fixture;
  }

  public String pair() {
    return pair;
  }

  public long unplacedCost() {
    return unplacedCost;
  }

  public Map<Opening, Long> costs() {
    return costs;
  }

  /** Whether it may stand where it does; where a person put it, it may. */
  public boolean allowed() {
    return pinned || costs.containsKey(opening);
  }

  /** What it costs where it stands, pence. */
  public long cost() {
    return costs.getOrDefault(opening, 0L);
  }

  public Opening opening() {
    return opening;
  }

  /** Moves it. */
  void put(Opening there) {
    opening = there;
  }

  boolean isPinned() {
    return pinned;
  }

  /** The slot behind its last one. */
  public int end() {
    return opening.start() + slots;
  }

  public String person() {
    return opening.person();
  }

  /** Slots that two placed jobs share. */
  public int shared(PlannedJob other) {
    return Math.max(
        0, Math.min(end(), other.end()) - Math.max(opening.start(), other.opening.start()));
  }
}
