package isokinon.core.life.frailty;

import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** What is believed of a group of pumps once its runs are known. */
public final class GroupPosterior {

  private final FrailtyPrior prior;
  private final List<String> pumps;
  private final Map<String, WeibullMixture> lives = new HashMap<>();
  private final Map<String, Marginal> wear = new HashMap<>();
  private final WeibullMixture fresh;
  private final Marginal freshWear;
  private final Marginal shape;
  private final Marginal between;
  private final int runs;
  private final int failures;
  private final JointLives joint;

  GroupPosterior(
      FrailtyPrior prior,
      List<String> pumps,
      List<WeibullMixture> lives,
      List<Marginal> wear,
      Marginal shape,
      Marginal between,
      int runs,
      int failures,
      JointLives joint) {
    this.joint = joint;
    this.prior = prior;
    this.pumps = List.copyOf(pumps);
    for (int p = 0; p < pumps.size(); p++) {
      this.lives.put(pumps.get(p), lives.get(p));
      this.wear.put(pumps.get(p), wear.get(p));
    }
    this.freshWear = wear.get(pumps.size());
    this.fresh = lives.get(pumps.size());
    this.shape = shape;
    this.between = between;
    this.runs = runs;
    this.failures = failures;
  }

  public FrailtyPrior prior() {
    return prior;
  }

  /** The pumps of the group, in the order they were given. */
  public List<String> pumps() {
    return pumps;
  }

  /** The life of the next set in a pump; one that is not in the group is a new one. */
  public WeibullMixture life(String pump) {
    return lives.getOrDefault(pump, fresh);
  }

  /** The life of a set in a new pump of the group. */
  public WeibullMixture newPump() {
    return fresh;
  }

  /**
   * How many times as fast a pump wears as an ordinary one of the group: the mean life of that by
   * the mean life of this.
   */
  public Marginal wear(String pump) {
    return wear.getOrDefault(pump, freshWear);
  }

  /** The Weibull shape, no unit. */
  public Marginal shape() {
    return shape;
  }

  /** Standard deviation of ln life between pumps. */
  public Marginal between() {
    return between;
  }

  /** What is believed of its pumps together, to draw their lives from. */
  public JointLives joint() {
    return joint;
  }

  /** How many runs it comes from, those that still run among them. */
  public int runs() {
    return runs;
  }

  /** How many of them failed. */
  public int failures() {
    return failures;
  }
}
