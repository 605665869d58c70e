package isokinon.server.work.life;

import isokinon.core.life.LifeEstimate;
import isokinon.core.life.LifeGroups.WearRun;
import isokinon.core.life.Survival;
import isokinon.core.life.frailty.Marginal;
import isokinon.core.renewal.Policies;
import isokinon.core.renewal.Policies.Kept;
import isokinon.core.renewal.Policies.Terms;
import isokinon.server.work.life.LifeView.FreshPump;
import isokinon.server.work.life.LifeView.PumpInGroup;
import isokinon.server.work.lives.LifeSnapshot.PumpInService;
import isokinon.server.work.shared.StateMark;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/** The pumps of a group against each other: how fast each wears, and when to renew it. */
final class GroupPumps {

  /** More are not told one by one: those that wear fastest stand for them. */
  private static final int MOST = 24;

  private static final double DAYS = 30;

  /** A pump that wears less than so much faster is not worth a sentence (shop rule). */
  private static final double APART = 1.05;

  private GroupPumps() {}

  /** Each pump of the group, in the order of their tags. */
  static List<PumpInGroup> of(GroupLife life, Optional<Terms> terms, double warning) {
    Map<String, PumpInService> running = new HashMap<>();
    life.running().forEach(s -> running.put(s.pump().tag(), s));
    Map<String, int[]> counts = new HashMap<>();
    for (WearRun r : life.group().runs()) {
      int[] of = counts.computeIfAbsent(r.pump(), p -> new int[2]);
      of[0]++;
      of[1] += r.hours().failed() ? 1 : 0;
    }
    return life.lives().pumps().stream()
        .sorted(Comparator.comparingDouble((String p) -> -life.lives().wear(p).median()))
        .limit(MOST)
        .sorted()
        .map(p -> pump(p, life, counts.get(p), Optional.ofNullable(running.get(p)), terms, warning))
        .toList();
  }

  private static PumpInGroup pump(
      String tag,
      GroupLife life,
      int[] counts,
      Optional<PumpInService> runs,
      Optional<Terms> terms,
      double warning) {
    LifeEstimate estimate = life.ofPump().apply(tag);
    Marginal wear = life.lives().wear(tag);
    Optional<Double> best = best(estimate, terms, warning).map(Kept::every);
    Optional<Double> age = runs.map(life::age);
    return new PumpInGroup(
        tag,
        counts[0],
        counts[1],
        wear.median(),
        wear.low(),
        wear.high(),
        age.map(life::hours),
        best.map(life::hours),
        runs.map(s -> risk(estimate, s, life)),
        age.isEmpty() || best.isEmpty()
            ? StateMark.SOUND
            : age.get() > best.get() ? StateMark.WATCH : StateMark.SOUND,
        best.flatMap(b -> age.map(a -> say(life.hours(b - a)))).orElse(""));
  }

  private static double risk(LifeEstimate estimate, PumpInService s, GroupLife life) {
    Survival running =
        life.group().runs().stream().anyMatch(r -> r.running() && r.pump().equals(s.pump().tag()))
            ? estimate.life().before(life.age(s))
            : estimate.life();
    return running.risk(life.age(s), DAYS * s.usage().perDay() * life.perHour());
  }

  private static String say(double left) {
    return left < 0 ? LifeText.h(-left) + " past" : LifeText.h(left) + " left";
  }

  private static Optional<Kept> best(LifeEstimate estimate, Optional<Terms> terms, double warning) {
    return terms.flatMap(
        t -> Policies.of(estimate.chosenBy(), warning, t, OptionalDouble.empty()).fixed());
  }

  /** What a new pump of the group should expect. */
  static FreshPump fresh(GroupLife life, Optional<Terms> terms, double warning) {
    LifeEstimate estimate = life.ofPump().apply("");
    return new FreshPump(
        life.hours(estimate.quantile(0.5)),
        life.hours(estimate.quantile(0.05)),
        life.hours(estimate.quantile(0.95)),
        best(estimate, terms, warning).map(Kept::every).map(life::hours));
  }

  /** The pump that most surely wears faster than the others, as a sentence; empty where none. */
  static String apart(GroupLife life) {
    return life.lives().pumps().stream()
        .filter(p -> life.lives().pumps().size() > 1)
        .filter(p -> life.lives().wear(p).low() > APART)
        .max(Comparator.comparingDouble(p -> life.lives().wear(p).low()))
        .map(
            p -> {
              Marginal wear = life.lives().wear(p);
              return p
                  + String.format(
                      Locale.ROOT,
                      " wears %.1f times as fast as the others, nine in ten %.1f to %.1f.",
                      wear.median(),
                      wear.low(),
                      wear.high());
            })
        .orElse("");
  }
}
