package isokinon.core.plan;

import isokinon.core.sheet.Sheet;
import isokinon.core.sheet.Step;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Which strip steps reach every asked part in the least minutes?
 *
 * <p>Depth-first branch and bound over the open choices: a part that several steps can free, and a
 * step with alternative groups before it. A set is closed under {@code after} and {@code needs} at
 * all times and holds no two steps that exclude each other. Once the branch through a step is
 * searched that step is barred from its sister branches, so no set is searched twice.
 *
 * <p>Bound: every open choice needs one of its options, so each step's minutes are split evenly
 * among the choices it could serve, and every choice costs at least its cheapest option at those
 * prices (a cost partition, which is a feasible solution of the dual of the covering programme).
 * The dearest single choice at full prices bounds as well; the larger of the two counts.
 *
 * <p>Among sets of equal minutes the one with fewer steps wins, then the one that comes first in
 * the sheet. Exact up to {@value #MOST_NODES} branchings, which sheets without alternatives never
 * use.
 */
final class RouteSearch {

  static final int MOST_NODES = 8_000;

  /**
   * A set of strip steps.
   *
   * @param steps indexes into the sheet's steps
   * @param minutes strip and build minutes of the set
   * @param exact whether no cheaper set exists
   */
  record Route(BitSet steps, double minutes, boolean exact) {}

  /**
   * A way to settle a choice.
   *
   * @param steps everything it needs, closed under {@code after}
   * @param key the step that stands for it: a set holds the option where it holds this step; -1
   *     where several do
   */
  private record Option(BitSet steps, int key) {}

  private record Node(BitSet steps, BitSet barred) {}

  private static final double SAME = 1e-9;

  private final List<Step> steps;
  private final Map<String, Integer> index = new HashMap<>();
  private final List<BitSet> after;
  private final List<BitSet> needs;
  private final List<BitSet> excludes = new ArrayList<>();
  private final List<BitSet> closure = new ArrayList<>();
  private final List<List<BitSet>> wholeGroups = new ArrayList<>();
  private final List<List<Option>> groups = new ArrayList<>();
  private final Map<String, List<Integer>> freedBy = new HashMap<>();
  private final double[] minutes;
  private final int[] serves;
  private final Set<Node> seen = new HashSet<>();
  private BitSet best = new BitSet();
  private double bestCost;
  private int nodes;

  RouteSearch(Sheet sheet) {
    steps = sheet.steps();
    minutes = steps.stream().mapToDouble(Step::minutes).toArray();
    serves = new int[steps.size()];
    for (int i = 0; i < steps.size(); i++) {
      index.put(steps.get(i).id(), i);
    }
    for (int i = 0; i < steps.size(); i++) {
      Set<String> off = new LinkedHashSet<>(steps.get(i).opens());
      for (String part : off) {
        freedBy.computeIfAbsent(part, p -> new ArrayList<>()).add(i);
      }
    }
    after = steps.stream().map(s -> bits(s.after())).toList();
    needs = steps.stream().map(s -> bits(s.needs())).toList();
    steps.forEach(s -> excludes.add(bits(s.excludes())));
    for (int i = 0; i < steps.size(); i++) {
      int self = i;
      bits(steps.get(i).excludes()).stream().forEach(other -> excludes.get(other).set(self));
    }
    for (int i = 0; i < steps.size(); i++) {
      closure.add(closureOf(bitOf(i)));
    }
    for (Step step : steps) {
      wholeGroups.add(step.afterAny().stream().map(this::bits).toList());
      groups.add(
          step.afterAny().stream()
              .map(g -> new Option(closureOf(bits(g)), g.size() == 1 ? index.get(g.get(0)) : -1))
              .toList());
    }
  }

  /** Whether any step frees or disturbs {@code part}. */
  boolean frees(String part) {
    return freedBy.containsKey(part);
  }

  /**
   * The cheapest route that frees {@code parts}, holds {@code done} and does without {@code avoid};
   * empty where there is none.
   */
  Optional<Route> cheapest(List<String> parts, BitSet done, BitSet avoid) {
    seen.clear();
    nodes = 0;
    best = new BitSet();
    bestCost = Double.POSITIVE_INFINITY;
    search(closureOf(done), avoid, parts.stream().map(this::waysToFree).toList());
    return bestCost == Double.POSITIVE_INFINITY
        ? Optional.empty()
        : Optional.of(new Route(best, bestCost, nodes <= MOST_NODES));
  }

  /**
   * Steps of {@code route} that were a choice: another step frees the same asked part, or another
   * group would have done.
   */
  List<Integer> choicesOf(BitSet route, List<String> parts) {
    Set<Integer> choices = new LinkedHashSet<>();
    for (String part : parts) {
      List<Integer> by = freedBy.get(part);
      by.stream().filter(s -> by.size() > 1 && route.get(s)).forEach(choices::add);
    }
    for (int i = route.nextSetBit(0); i >= 0; i = route.nextSetBit(i + 1)) {
      List<BitSet> any = wholeGroups.get(i);
      for (BitSet group : any) {
        if (any.size() > 1 && within(group, route)) {
          group.stream().forEach(choices::add);
        }
      }
    }
    return List.copyOf(choices);
  }

  /**
   * The order in which the steps of {@code set} become possible; shorter than it if some never do.
   */
  List<Integer> reachable(BitSet set) {
    BitSet done = new BitSet();
    List<Integer> order = new ArrayList<>();
    boolean grew = true;
    while (grew) {
      grew = false;
      for (int i = set.nextSetBit(0); i >= 0; i = set.nextSetBit(i + 1)) {
        if (!done.get(i) && possible(i, done)) {
          done.set(i);
          order.add(i);
          grew = true;
        }
      }
    }
    return order;
  }

  /** Whether step {@code i} can be done once {@code done} is. */
  boolean possible(int i, BitSet done) {
    return within(after.get(i), done)
        && (wholeGroups.get(i).isEmpty()
            || wholeGroups.get(i).stream().anyMatch(g -> within(g, done)));
  }

  int indexOf(String step) {
    return index.getOrDefault(step, -1);
  }

  /** A step whose needs hold all that another needs is never the cheaper way to the same part. */
  private List<Option> waysToFree(String part) {
    List<Integer> by = freedBy.get(part);
    return by.stream()
        .filter(
            s ->
                by.stream()
                    .noneMatch(
                        t -> !t.equals(s) && closure.get(s).get(t) && !closure.get(t).get(s)))
        .map(s -> new Option(closure.get(s), s))
        .toList();
  }

  private void search(BitSet set, BitSet barred, List<List<Option>> wanted) {
    double cost = cost(set);
    if (set.intersects(barred)
        || excludesItself(set)
        || cost > bestCost + SAME
        || !seen.add(new Node(set, barred))
        || ++nodes > MOST_NODES) {
      return;
    }
    List<List<Option>> open = openChoices(set, barred, wanted);
    if (open.isEmpty()) {
      keepIfBetter(set, cost);
      return;
    }
    if (cost + atLeast(set, open) > bestCost + SAME) {
      return;
    }
    BitSet tried = (BitSet) barred.clone();
    for (Option option : narrowest(set, open)) {
      search(union(set, option.steps), (BitSet) tried.clone(), wanted);
      if (option.key >= 0) {
        tried.set(option.key);
      }
    }
  }

  private boolean excludesItself(BitSet set) {
    for (int i = set.nextSetBit(0); i >= 0; i = set.nextSetBit(i + 1)) {
      if (excludes.get(i).intersects(set)) {
        return true;
      }
    }
    return false;
  }

  /** Options of the choice with fewest, cheapest first. */
  private List<Option> narrowest(BitSet set, List<List<Option>> open) {
    List<Option> fewest = open.get(0);
    for (List<Option> choice : open) {
      fewest = choice.size() < fewest.size() ? choice : fewest;
    }
    return fewest.stream().sorted(Comparator.comparingDouble(o -> extra(set, o.steps))).toList();
  }

  private double atLeast(BitSet set, List<List<Option>> open) {
    java.util.Arrays.fill(serves, 0);
    for (List<Option> choice : open) {
      BitSet any = new BitSet();
      choice.forEach(o -> any.or(o.steps));
      any.andNot(set);
      any.stream().forEach(i -> serves[i]++);
    }
    double dearest = 0;
    double shared = 0;
    for (List<Option> choice : open) {
      double least = Double.POSITIVE_INFINITY;
      double share = Double.POSITIVE_INFINITY;
      for (Option option : choice) {
        double full = 0;
        double split = 0;
        for (int i = option.steps.nextSetBit(0); i >= 0; i = option.steps.nextSetBit(i + 1)) {
          if (!set.get(i)) {
            full += minutes[i];
            split += minutes[i] / serves[i];
          }
        }
        least = Math.min(least, full);
        share = Math.min(share, split);
      }
      dearest = Math.max(dearest, least);
      shared += share;
    }
    return Math.max(dearest, shared);
  }

  /** Choices not settled by {@code set}, with the options that are left to each. */
  private List<List<Option>> openChoices(BitSet set, BitSet barred, List<List<Option>> wanted) {
    List<List<Option>> open = new ArrayList<>();
    for (List<Option> choice : wanted) {
      if (choice.stream().noneMatch(o -> set.get(o.key))) {
        open.add(left(choice, barred));
      }
    }
    for (int i = set.nextSetBit(0); i >= 0; i = set.nextSetBit(i + 1)) {
      List<Option> any = groups.get(i);
      if (!any.isEmpty() && any.stream().noneMatch(o -> within(o.steps, set))) {
        open.add(left(any, barred));
      }
    }
    if (open.isEmpty()) {
      List<Integer> order = reachable(set);
      if (order.size() < set.cardinality()) {
        open.add(left(waysOutOfAKnot(set, order), barred));
      }
    }
    return open;
  }

  private static List<Option> left(List<Option> options, BitSet barred) {
    return options.stream().filter(o -> !o.steps.intersects(barred)).toList();
  }

  /** Steps that wait for each other in a ring of alternatives: one needs another of its groups. */
  private List<Option> waysOutOfAKnot(BitSet set, List<Integer> order) {
    BitSet stuck = (BitSet) set.clone();
    order.forEach(stuck::clear);
    List<Option> ways = new ArrayList<>();
    for (int i = stuck.nextSetBit(0); i >= 0; i = stuck.nextSetBit(i + 1)) {
      for (Option group : groups.get(i)) {
        if (!within(group.steps, set)) {
          ways.add(group);
        }
      }
    }
    return ways;
  }

  private void keepIfBetter(BitSet set, double cost) {
    boolean better = cost < bestCost - SAME;
    if (!better && Math.abs(cost - bestCost) <= SAME) {
      int fewer = Integer.compare(set.cardinality(), best.cardinality());
      better = fewer < 0 || (fewer == 0 && comesFirst(set, best));
    }
    if (better) {
      best = set;
      bestCost = cost;
    }
  }

  private static boolean comesFirst(BitSet a, BitSet b) {
    BitSet differ = (BitSet) a.clone();
    differ.xor(b);
    int first = differ.nextSetBit(0);
    return first >= 0 && a.get(first);
  }

  /**
   * {@code set} with everything that must have been stripped before, or is done along with it, over
   * any number of steps.
   */
  private BitSet closureOf(BitSet set) {
    BitSet closed = new BitSet();
    java.util.ArrayDeque<Integer> toAdd = new java.util.ArrayDeque<>();
    set.stream().forEach(toAdd::add);
    while (!toAdd.isEmpty()) {
      int i = toAdd.pop();
      if (!closed.get(i)) {
        closed.set(i);
        after.get(i).stream().forEach(toAdd::add);
        needs.get(i).stream().forEach(toAdd::add);
      }
    }
    return closed;
  }

  private double cost(BitSet set) {
    return extra(new BitSet(), set);
  }

  private double extra(BitSet set, BitSet option) {
    double sum = 0;
    for (int i = option.nextSetBit(0); i >= 0; i = option.nextSetBit(i + 1)) {
      sum += set.get(i) ? 0 : minutes[i];
    }
    return sum;
  }

  private static BitSet union(BitSet a, BitSet b) {
    BitSet u = (BitSet) a.clone();
    u.or(b);
    return u;
  }

  private BitSet bits(List<String> ids) {
    BitSet set = new BitSet();
    ids.forEach(id -> set.set(index.get(id)));
    return set;
  }

  private static BitSet bitOf(int i) {
    BitSet set = new BitSet();
    set.set(i);
    return set;
  }

  private static boolean within(BitSet a, BitSet b) {
    for (int i = a.nextSetBit(0); i >= 0; i = a.nextSetBit(i + 1)) {
      if (!b.get(i)) {
        return false;
      }
    }
    return true;
  }
}
