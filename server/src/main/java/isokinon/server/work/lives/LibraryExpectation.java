package isokinon.server.work.lives;

import isokinon.core.life.FailureCause;
import isokinon.core.life.LifeGroups.Group;
import isokinon.core.life.LifeGroups.WearRun;
import isokinon.core.life.Run;
import isokinon.core.life.frailty.FrailtyPrior;
import isokinon.core.life.frailty.PumpRuns;
import isokinon.core.life.history.DutyHistory;
import isokinon.server.work.lives.LifeSnapshot.PumpInService;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What is expected of the pumps of a group before any run. Ages are told in mean lives of the
 * library, each in its own duty, so that a run in a hot pump and one in a cool pump say the same of
 * what they share.
 *
 * @param shape Weibull shape of the failure mode
 * @param spread standard deviation of ln mean life: how well the library knows it
 * @param mean mean life of an ordinary pump of the group, in hours or counts
 * @param ofPump mean life in each pump that runs with such a set now
 * @param earlier the duties before, of each pump that had others
 */
record LibraryExpectation(
    double shape,
    double spread,
    double mean,
    Map<String, Double> ofPump,
    Map<String, DutyHistory> earlier) {

  /** Mean lives of the library between failures that age does not bring (shop rule). */
  private static final double SELDOM = 3;

  private static final double SELDOM_SPREAD = 1.2;

  /**
   * Of the pumps that run with such a set.
   *
   * @param inCounts whether ages are counts: a set is worn by them, however fast its pump runs
   * @param shape of the failure mode
   * @param hours mean life where no pump runs with such a set, h
   */
  static LibraryExpectation of(
      List<PumpInService> members, boolean inCounts, double shape, double hours) {
    double perHour =
        inCounts
            ? members.stream()
                .mapToDouble(s -> s.pump().countsPerHour())
                .filter(c -> c > 0)
                .average()
                .orElse(1)
            : 1;
    Map<String, Double> ofPump = new HashMap<>();
    members.forEach(s -> ofPump.put(s.pump().tag(), s.prior().hours() * perHour));
    Map<String, DutyHistory> earlier = new HashMap<>();
    members.forEach(s -> s.earlier().ifPresent(e -> earlier.put(s.pump().tag(), e)));
    return new LibraryExpectation(
        shape,
        members.stream()
            .mapToDouble(s -> s.prior().spread())
            .max()
            .orElse(FrailtyPrior.MEAN_SPREAD),
        ofPump.values().stream().mapToDouble(m -> m).average().orElse(hours * perHour),
        ofPump,
        earlier);
  }

  /** Mean life in a pump, in hours or counts; that of an ordinary one where it runs with none. */
  double of(String pump) {
    return ofPump.getOrDefault(pump, mean);
  }

  /** The prior of a group whose ages are told in mean lives of the library. */
  FrailtyPrior prior() {
    return new FrailtyPrior(shape, FrailtyPrior.SHAPE_SPREAD, 1, spread);
  }

  /**
   * The prior of the life that one cause alone would end. What age does not bring comes at any age,
   * and how seldom the library does not know: three mean lives, spread 1.2 (shop rule).
   */
  FrailtyPrior prior(FailureCause cause) {
    return cause.byAge()
        ? prior()
        : new FrailtyPrior(1, FrailtyPrior.SHAPE_SPREAD, SELDOM, SELDOM_SPREAD);
  }

  /** How fast a set wore over its run, by how fast it would wear in the duty of its pump now. */
  double pace(WearRun r) {
    DutyHistory history = earlier.get(r.pump());
    return history == null ? 1 : history.pace(r.fitted(), r.ended());
  }

  /**
   * The runs of a group pump by pump, in mean lives of the library, each in the duty of its time.
   */
  List<PumpRuns> relative(Group group, boolean inCounts) {
    Map<String, List<Run>> byPump = new LinkedHashMap<>();
    for (WearRun r : group.runs()) {
      Run run = inCounts ? r.counts().orElseThrow() : r.hours();
      double mean = of(r.pump()) / pace(r);
      byPump
          .computeIfAbsent(r.pump(), p -> new ArrayList<>())
          .add(new Run(run.from() / mean, run.age() / mean, run.failed()));
    }
    return byPump.entrySet().stream().map(e -> new PumpRuns(e.getKey(), e.getValue())).toList();
  }
}
