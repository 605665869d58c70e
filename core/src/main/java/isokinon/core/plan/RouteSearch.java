package isokinon.core.plan;

import isokinon.core.sheet.Sheet;
import isokinon.core.sheet.Step;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Which strip steps reach every asked part in the least minutes?
 *
 * <p>Depth-first branch and bound over the open choices: a part that several steps can free, and a
 * step with alternative groups before it. A set is closed under {@code after} at all times; the
 * bound is the cost so far plus the dearest of the cheapest ways to settle one open choice. Among
 * sets of equal minutes the one with fewer steps wins, then the one that comes first in the sheet.
 * Exact up to {@value #MOST_NODES} branchings, which sheets without alternatives never use.
 */
final class RouteSearch {

  static final int MOST_NODES = 8_000;

  /**
   * A set of strip steps.
   *
   * @param steps indexes into the sheet's steps
   * @param exact whether no cheaper set exists
   */
  record Route(BitSet steps, boolean exact) {}

  private static final double SAME = 1e-9;

  private final List<Step> steps;
  private final Map<String, Integer> index = new HashMap<>();
  private final List<BitSet> after;
  private final List<BitSet> closure;
  private final List<List<BitSet>> wholeGroups = new ArrayList<>();
  private final List<List<BitSet>> groups = new ArrayList<>();
  private final Map<String, List<Integer>> freedBy = new HashMap<>();
  private final Set<BitSet> seen = new HashSet<>();
  private BitSet best = new BitSet();
  private double bestCost = Double.POSITIVE_INFINITY;
  private int nodes;

  RouteSearch(Sheet sheet) {
    steps = sheet.steps();
    for (int i = 0; i < steps.size(); i++) {
      index.put(steps.get(i).id(), i);
    }
    for (int i = 0; i < steps.size(); i++) {
      int step = i;
      for (String part : steps.get(i).frees()) {
        freedBy.computeIfAbsent(part, p -> new ArrayList<>()).add(step);
      }
      for (String part : steps.get(i).disturbs()) {
        List<Integer> by = freedBy.computeIfAbsent(part, p -> new ArrayList<>());
        if (!by.contains(step)) {
          by.add(step);
        }
      }
    }
    after = steps.stream().map(s -> bits(s.after())).toList();
    closure = steps.stream().map(this::closureOf).toList();
    for (Step step : steps) {
      wholeGroups.add(step.afterAny().stream().map(this::bits).toList());
      groups.add(step.afterAny().stream().map(this::closureOfAll).toList());
    }
  }

  /** Whether any step frees or disturbs {@code part}. */
  boolean frees(String part) {
    return freedBy.containsKey(part);
  }

  /** The cheapest route that frees {@code parts} and holds {@code done}. */
  Route cheapest(List<String> parts, BitSet done) {
    List<List<Integer>> wanted = parts.stream().map(freedBy::get).toList();
    search(done, wanted);
    if (bestCost == Double.POSITIVE_INFINITY) {
      throw new IllegalStateException("no route, though every step of the sheet can be reached");
    }
    return new Route(best, nodes <= MOST_NODES);
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

  private void search(BitSet set, List<List<Integer>> wanted) {
    double cost = cost(set);
    if (cost > bestCost + SAME || !seen.add(set) || ++nodes > MOST_NODES) {
      return;
    }
    List<List<BitSet>> open = openChoices(set, wanted);
    if (open.isEmpty()) {
      keepIfBetter(set, cost);
      return;
    }
    double atLeast = 0;
    List<BitSet> fewest = open.get(0);
    for (List<BitSet> choice : open) {
      double least = choice.stream().mapToDouble(o -> extra(set, o)).min().orElse(0);
      atLeast = Math.max(atLeast, least);
      fewest = choice.size() < fewest.size() ? choice : fewest;
    }
    if (cost + atLeast > bestCost + SAME) {
      return;
    }
    fewest.stream()
        .sorted(Comparator.comparingDouble(o -> extra(set, o)))
        .forEach(option -> search(union(set, option), wanted));
  }

  private List<List<BitSet>> openChoices(BitSet set, List<List<Integer>> wanted) {
    List<List<BitSet>> open = new ArrayList<>();
    for (List<Integer> by : wanted) {
      if (by.stream().noneMatch(set::get)) {
        open.add(by.stream().map(closure::get).toList());
      }
    }
    for (int i = set.nextSetBit(0); i >= 0; i = set.nextSetBit(i + 1)) {
      if (!groups.get(i).isEmpty() && groups.get(i).stream().noneMatch(g -> within(g, set))) {
        open.add(groups.get(i));
      }
    }
    if (open.isEmpty()) {
      List<Integer> order = reachable(set);
      if (order.size() < set.cardinality()) {
        open.add(waysOutOfAKnot(set, order));
      }
    }
    return open;
  }

  /** Steps that wait for each other in a ring of alternatives: one needs another of its groups. */
  private List<BitSet> waysOutOfAKnot(BitSet set, List<Integer> order) {
    BitSet stuck = (BitSet) set.clone();
    order.forEach(stuck::clear);
    List<BitSet> ways = new ArrayList<>();
    for (int i = stuck.nextSetBit(0); i >= 0; i = stuck.nextSetBit(i + 1)) {
      for (BitSet group : groups.get(i)) {
        if (!within(group, set)) {
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

  private BitSet closureOf(Step step) {
    BitSet set = new BitSet();
    addWithAfter(index.get(step.id()), set);
    return set;
  }

  private BitSet closureOfAll(List<String> ids) {
    BitSet set = new BitSet();
    ids.forEach(id -> addWithAfter(index.get(id), set));
    return set;
  }

  private void addWithAfter(int i, BitSet set) {
    if (!set.get(i)) {
      set.set(i);
      steps.get(i).after().forEach(id -> addWithAfter(index.get(id), set));
    }
  }

  private double cost(BitSet set) {
    return set.stream().mapToDouble(i -> steps.get(i).minutes()).sum();
  }

  private double extra(BitSet set, BitSet option) {
    double minutes = 0;
    for (int i = option.nextSetBit(0); i >= 0; i = option.nextSetBit(i + 1)) {
      minutes += set.get(i) ? 0 : steps.get(i).minutes();
    }
    return minutes;
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

  private static boolean within(BitSet a, BitSet b) {
    for (int i = a.nextSetBit(0); i >= 0; i = a.nextSetBit(i + 1)) {
      if (!b.get(i)) {
        return false;
      }
    }
    return true;
  }
}
