package isokinon.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.core.sheet.Part;
import isokinon.core.sheet.Sheet;
import isokinon.core.sheet.ShippedSheet;
import isokinon.core.sheet.Step;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * A simulated pair of hands does every plan of every sheet. They know nothing of the orders a sheet
 * writes; they know, from {@code hands/}, which part stands in the way of which: it encloses it,
 * holds it, or sits on it. A part leaves only when nothing stands in its way any more, and goes
 * back only while nothing does.
 */
class HandsTest {

  private static final Path FOLDER = Path.of("src/test/resources/hands");

  static List<String> sheets() {
    return ShippedSheet.ids();
  }

  @ParameterizedTest
  @MethodSource("sheets")
  void canDoEveryPlanInBothDirections(String id) throws IOException {
    Sheet sheet = ShippedSheet.of(id);
    Map<String, Set<String>> inTheWay =
        facts(sheet, Files.readAllLines(FOLDER.resolve(id + ".txt")));
    Set<String> stuck = new LinkedHashSet<>();
    Set<String> moved = new HashSet<>();
    AskedPlans.of(sheet)
        .forEach(
            (asked, plan) -> {
              Hands hands = new Hands(asked.followed(), plan, inTheWay);
              hands.strip();
              hands.build();
              stuck.addAll(hands.stuck);
              moved.addAll(hands.moved);
            });
    assertThat(stuck).isEmpty();
    assertThat(moved)
        .as("every part the facts speak of is moved by some plan")
        .containsAll(inTheWay.keySet());
  }

  /** For each part those that stand in its way. */
  private static Map<String, Set<String>> facts(Sheet sheet, List<String> lines) {
    Map<String, Set<String>> inTheWay = new HashMap<>();
    for (String line : lines) {
      String[] chain = line.split(">");
      for (int i = 1; i < chain.length; i++) {
        for (String inner : words(chain[i])) {
          assertThat(sheet.part(inner)).as(inner).isPresent();
          for (String outer : words(chain[i - 1])) {
            assertThat(sheet.part(outer)).as(outer).isPresent();
            inTheWay.computeIfAbsent(inner, p -> new LinkedHashSet<>()).add(outer);
          }
        }
      }
    }
    return inTheWay;
  }

  private static List<String> words(String list) {
    return Arrays.stream(list.split(",")).map(String::strip).toList();
  }

  /** What stands where, and what could not be done. */
  private static final class Hands {
    private final Sheet sheet;
    private final Plan plan;
    private final Map<String, Set<String>> inTheWay;
    private final Set<String> away = new HashSet<>();
    private final Map<String, Integer> openings = new HashMap<>();
    private final List<String> stuck = new ArrayList<>();
    private final Set<String> moved = new HashSet<>();

    Hands(Sheet sheet, Plan plan, Map<String, Set<String>> inTheWay) {
      this.sheet = sheet;
      this.plan = plan;
      this.inTheWay = inTheWay;
    }

    void strip() {
      for (String id : plan.strip()) {
        Set<String> leaving = moves(id);
        leaving.forEach(
            part ->
                blockers(part)
                    .filter(b -> !away.contains(b) && !leaving.contains(b))
                    .forEach(b -> stuck.add(id + ": " + part + " cannot leave, " + b + " is on")));
        leaving.forEach(p -> openings.merge(p, 1, Integer::sum));
        away.addAll(leaving);
        moved.addAll(leaving);
      }
    }

    void build() {
      for (String id : plan.build()) {
        Set<String> returning = new LinkedHashSet<>();
        for (String part : moves(id)) {
          if (openings.merge(part, -1, Integer::sum) == 0) {
            returning.add(part);
          }
        }
        returning.forEach(
            part ->
                blockers(part)
                    .filter(b -> !away.contains(b) && !returning.contains(b))
                    .forEach(
                        b -> stuck.add(id + ": " + part + " cannot go back, " + b + " is on")));
        away.removeAll(returning);
      }
      if (sheet.steps().stream()
          .filter(s -> plan.strip().contains(s.id()))
          .noneMatch(Step::stripOnly)) {
        away.forEach(p -> stuck.add(p + " is left on the tray"));
      }
    }

    /** Parts that a step takes off or to one side. */
    private Set<String> moves(String step) {
      Optional<Step> known = sheet.step(step);
      return known
          .map(s -> Stream.concat(s.opens().stream(), s.aside().stream()))
          .orElse(Stream.of())
          .collect(Collectors.toCollection(LinkedHashSet::new));
    }

    private Stream<String> blockers(String part) {
      return inTheWay.getOrDefault(part, Set.of()).stream()
          .filter(b -> sheet.part(b).filter(p -> p.renew() != Part.Renew.KEEP).isPresent());
    }
  }
}
