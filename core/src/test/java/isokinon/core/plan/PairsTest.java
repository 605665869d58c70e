package isokinon.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.core.sheet.Sheet;
import isokinon.core.sheet.ShippedSheet;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Steps that must come one before the other in every plan that has both, as experienced hands do
 * them: for whatever is renewed, by each way and variant. The pairs of a construction stand in
 * {@code pairs/}, a line each: {@code strip} or {@code build}, what comes first {@code <} what
 * comes later; {@code needs} has what else is in the plan. A line may hold only {@code with} or
 * {@code without} some steps.
 */
class PairsTest {

  private static final Path FOLDER = Path.of("src/test/resources/pairs");

  static Stream<String> constructions() throws IOException {
    try (Stream<Path> files = Files.list(FOLDER)) {
      return files
          .map(f -> f.getFileName().toString().replace(".txt", ""))
          .sorted()
          .toList()
          .stream();
    }
  }

  @ParameterizedTest
  @MethodSource("constructions")
  void holdInEveryPlanThatHasBoth(String id) throws IOException {
    Sheet sheet = ShippedSheet.of(id);
    List<Rule> rules = Rule.read(sheet, Files.readAllLines(FOLDER.resolve(id + ".txt")));
    Map<String, Plan> plans = new LinkedHashMap<>();
    AskedPlans.of(sheet).forEach((asked, plan) -> plans.put(asked.what(), plan));
    assertThat(plans).hasSizeGreaterThan(5);
    List<String> broken = new ArrayList<>();
    for (Rule rule : rules) {
      Set<String> met = new HashSet<>();
      plans.forEach((asked, plan) -> rule.hold(plan, asked, met, broken));
      assertThat(met).as("met by no plan at all: %s", rule).containsAll(rule.pairs());
    }
    assertThat(broken).isEmpty();
  }

  private enum Kind {
    STRIP,
    BUILD,
    NEEDS
  }

  /**
   * A line of the file.
   *
   * @param first steps of which each comes first, or calls for others
   * @param then steps that come later, or are called for
   */
  private record Rule(
      List<String> with, List<String> without, Kind kind, List<String> first, List<String> then) {

    static List<Rule> read(Sheet sheet, List<String> lines) {
      List<Rule> rules = new ArrayList<>();
      for (String line : lines) {
        String rest = line.strip();
        List<String> with = List.of();
        List<String> without = List.of();
        if (rest.startsWith("with ") || rest.startsWith("without ")) {
          int kind = rest.replaceFirst("(strip|build|needs):.*", "").length();
          String named = rest.substring(rest.indexOf(' '), kind);
          if (rest.startsWith("with ")) {
            with = words(named);
          } else {
            without = words(named);
          }
          rest = rest.substring(kind);
        }
        Kind kind =
            Kind.valueOf(rest.substring(0, rest.indexOf(':')).toUpperCase(java.util.Locale.ROOT));
        String[] sides = rest.substring(rest.indexOf(':') + 1).split("[<>]");
        Rule rule = new Rule(with, without, kind, words(sides[0]), words(sides[1]));
        Stream.of(with, without, rule.first, rule.then)
            .flatMap(List::stream)
            .forEach(s -> assertThat(sheet.handling(s)).as("%s in %s", s, line).isPresent());
        rules.add(rule);
      }
      return rules;
    }

    private static List<String> words(String text) {
      return Stream.of(text.split(",")).map(String::strip).filter(w -> !w.isEmpty()).toList();
    }

    List<String> pairs() {
      return first.stream().flatMap(a -> then.stream().map(b -> a + " " + b)).toList();
    }

    void hold(Plan plan, String asked, Set<String> met, List<String> broken) {
      Set<String> all = new HashSet<>(plan.strip());
      all.addAll(plan.build());
      if (!all.containsAll(with) || without.stream().anyMatch(all::contains)) {
        return;
      }
      List<String> order = kind == Kind.STRIP ? plan.strip() : plan.build();
      for (String a : first) {
        for (String b : then) {
          int at = order.indexOf(a);
          int later = order.indexOf(b);
          boolean both = at >= 0 && later >= 0;
          boolean called = kind == Kind.NEEDS && all.contains(a);
          if (both || called) {
            met.add(a + " " + b);
          }
          if (kind == Kind.NEEDS ? called && !all.contains(b) : both && at > later) {
            broken.add(this + " in the plan for " + asked + ": " + order);
          }
        }
      }
    }

    @Override
    public String toString() {
      return (kind + ": ").toLowerCase(java.util.Locale.ROOT)
          + String.join(", ", first)
          + (kind == Kind.NEEDS ? " > " : " < ")
          + String.join(", ", then);
    }
  }
}
