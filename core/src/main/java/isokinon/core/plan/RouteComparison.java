package isokinon.core.plan;

import isokinon.core.sheet.Sheet;
import isokinon.core.sheet.Step;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * The ways in beside each other: the cheapest, and for every choice it made the cheapest route that
 * does without that step.
 */
final class RouteComparison {

  private static final int MOST_CHOICES = 12;

  private final Sheet sheet;
  private final RouteSearch search;

  RouteComparison(Sheet sheet) {
    this.sheet = sheet;
    this.search = new RouteSearch(sheet);
  }

  /** At least the cheapest, cheapest first; routes that differ in no step stand once. */
  List<RouteOption> routes(List<String> parts, BitSet done) {
    BitSet cheapest = search.cheapest(parts, done, new BitSet()).orElseThrow().steps();
    Map<BitSet, BitSet> avoided = new LinkedHashMap<>();
    avoided.put(cheapest, new BitSet());
    search.choicesOf(cheapest, parts).stream()
        .filter(step -> !done.get(step))
        .limit(MOST_CHOICES)
        .forEach(
            step -> {
              BitSet without = new BitSet();
              without.set(step);
              search
                  .cheapest(parts, done, without)
                  .ifPresent(r -> avoided.putIfAbsent(r.steps(), without));
            });
    List<RouteOption> routes = new ArrayList<>();
    avoided.forEach(
        (steps, without) ->
            routes.add(
                new RouteOption(
                    title(steps, avoided.keySet()),
                    steps.stream().mapToDouble(i -> sheet.steps().get(i).minutes()).sum(),
                    ids(steps),
                    ids(without))));
    routes.sort(Comparator.comparingDouble(RouteOption::minutes));
    return List.copyOf(routes);
  }

  /** What this route does and another does not, by its own name where the sheet gives one. */
  private String title(BitSet steps, Set<BitSet> all) {
    Set<Integer> shared = new HashSet<>();
    steps.stream().filter(i -> all.stream().allMatch(r -> r.get(i))).forEach(shared::add);
    List<Step> own =
        steps.stream().filter(i -> !shared.contains(i)).mapToObj(sheet.steps()::get).toList();
    Set<String> named = new LinkedHashSet<>();
    own.stream().map(Step::route).filter(r -> !r.isEmpty()).forEach(named::add);
    return named.isEmpty()
        ? own.stream().findFirst().map(Step::strip).orElse("The only way in")
        : String.join(", ", named);
  }

  private List<String> ids(BitSet steps) {
    return steps.stream().mapToObj(i -> sheet.steps().get(i).id()).toList();
  }
}
