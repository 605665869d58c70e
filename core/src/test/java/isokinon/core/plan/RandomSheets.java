package isokinon.core.plan;

import isokinon.core.sheet.BuildOnlyStep;
import isokinon.core.sheet.Family;
import isokinon.core.sheet.Handling;
import isokinon.core.sheet.Part;
import isokinon.core.sheet.Sheet;
import isokinon.core.sheet.Step;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * Small random sheets with every feature the planner has to cope with: precedence, alternatives,
 * parts freed by more than one step, one-time parts, poses, tools and build-only steps.
 */
final class RandomSheets {

  private static final List<String> POSES = List.of("", "upright", "on-side", "over");
  private static final List<String> TOOLS = List.of("", "socket", "key", "pick");

  private RandomSheets() {}

  static Sheet of(long seed, int steps) {
    Random random = new Random(seed);
    int partCount = steps + 2;
    List<Part> parts = IntStream.range(0, partCount).mapToObj(i -> part(i, random)).toList();
    List<Step> list = new ArrayList<>();
    for (int i = 0; i < steps; i++) {
      list.add(step(i, partCount, random, parts));
    }
    List<BuildOnlyStep> buildOnly = new ArrayList<>();
    if (random.nextBoolean()) {
      buildOnly.add(
          new BuildOnlyStep(
              "press-up",
              "Press it up",
              List.of(),
              List.of("s" + random.nextInt(steps)),
              List.of(),
              List.of(),
              1,
              0,
              handling(random)));
    }
    return new Sheet(
        "random-" + seed,
        "Random",
        Family.AIR_DIAPHRAGM,
        1,
        "",
        "upright",
        List.of(),
        parts,
        list,
        buildOnly,
        List.of(),
        List.of(),
        List.of(),
        List.of(),
        List.of(),
        Optional.empty(),
        Optional.empty());
  }

  private static Part part(int i, Random random) {
    return new Part(
        "p" + i,
        "Part " + i,
        1 + random.nextInt(3),
        Optional.empty(),
        Part.Section.WET,
        random.nextInt(3) == 0 ? Part.Renew.ONE_TIME : Part.Renew.INSPECT,
        "",
        Optional.empty(),
        "",
        Set.of(),
        List.of(),
        List.of(),
        Optional.empty(),
        Set.of(),
        "",
        "",
        "");
  }

  private static Step step(int i, int partCount, Random random, List<Part> parts) {
    List<String> frees = new ArrayList<>();
    frees.add("p" + i);
    if (random.nextInt(3) == 0) {
      frees.add("p" + random.nextInt(partCount));
    }
    List<String> disturbs =
        parts.stream()
            .filter(Part::oneTime)
            .map(Part::id)
            .filter(p -> random.nextInt(4) == 0 && !frees.contains(p))
            .limit(1)
            .toList();
    List<String> after = new ArrayList<>();
    for (int j = 0; j < i; j++) {
      if (random.nextInt(4) == 0) {
        after.add("s" + j);
      }
    }
    List<List<String>> afterAny =
        i >= 2 && random.nextInt(3) == 0
            ? List.of(List.of("s" + random.nextInt(i)), List.of("s" + random.nextInt(i)))
            : List.of();
    return new Step(
        "s" + i,
        "Strip " + i,
        "Build " + i,
        frees.stream().distinct().toList(),
        disturbs,
        after,
        afterAny,
        1 + random.nextInt(5),
        random.nextInt(4),
        0,
        "",
        handling(random));
  }

  private static Handling handling(Random random) {
    String tool = TOOLS.get(random.nextInt(TOOLS.size()));
    return new Handling(
        POSES.get(random.nextInt(POSES.size())),
        tool.isEmpty() ? List.of() : List.of(tool),
        List.of(),
        List.of(),
        Optional.empty(),
        List.of(),
        List.of(),
        "",
        "");
  }
}
