package isokinon.core.plan;

import isokinon.core.sheet.BuildOnlyStep;
import isokinon.core.sheet.CalledFor;
import isokinon.core.sheet.Family;
import isokinon.core.sheet.Handling;
import isokinon.core.sheet.OnlyFor;
import isokinon.core.sheet.Part;
import isokinon.core.sheet.Sheet;
import isokinon.core.sheet.Step;
import isokinon.core.sheet.StepOrder;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * Small random sheets with every feature the planner has to cope with: precedence, alternatives,
 * parts freed by more than one step, one-time parts, poses, tools and build-only steps, steps that
 * take others along or exclude them, and orders of one direction.
 */
final class RandomSheets {

  private static final List<String> POSES = List.of("", "upright", "on-side", "over");
  private static final List<String> TOOLS = List.of("", "socket", "key", "pick");

  private RandomSheets() {}

  /** With every feature. */
  static Sheet of(long seed, int steps) {
    return of(seed, steps, true);
  }

  /** Without steps that take others along or exclude them, and without orders of one direction. */
  static Sheet firstEdition(long seed, int steps) {
    return of(seed, steps, false);
  }

  private static Sheet of(long seed, int steps, boolean second) {
    Random random = new Random(seed);
    int partCount = steps + 2;
    List<Part> parts = IntStream.range(0, partCount).mapToObj(i -> part(i, random)).toList();
    List<Step> list = new ArrayList<>();
    for (int i = 0; i < steps; i++) {
      list.add(step(i, steps, random, parts, second));
    }
    List<BuildOnlyStep> buildOnly = new ArrayList<>();
    if (random.nextBoolean()) {
      buildOnly.add(
          new BuildOnlyStep(
              "press-up",
              "Press it up",
              List.of(),
              List.of("s" + random.nextInt(steps)),
              CalledFor.renewing(List.of()),
              List.of(),
              1,
              random.nextInt(2) * 30,
              handling(random)));
    }
    return new Sheet(
        "random-" + seed,
        "Random",
        Family.AIR_DIAPHRAGM,
        1,
        "",
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
        second ? orders(random, steps) : List.of(),
        List.of(),
        List.of(),
        List.of(),
        List.of(),
        Optional.empty(),
        Optional.empty());
  }

  /** Orders that agree with {@code after}, which only ever names steps of lower numbers. */
  private static List<StepOrder> orders(Random random, int steps) {
    List<StepOrder> orders = new ArrayList<>();
    for (int i = random.nextInt(3); i > 0; i--) {
      int low = random.nextInt(steps - 1);
      int high = low + 1 + random.nextInt(steps - 1 - low);
      boolean stripping = random.nextBoolean();
      List<String> chain =
          stripping ? List.of("s" + low, "s" + high) : List.of("s" + high, "s" + low);
      orders.add(new StepOrder(chain, stripping, "", OnlyFor.EVERY_JOB));
    }
    return orders;
  }

  private static Part part(int i, Random random) {
    return new Part(
        "p" + i,
        "Part " + i,
        1 + random.nextInt(3),
        Optional.empty(),
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
        Optional.empty(),
        Set.of(),
        Set.of(),
        "",
        "",
        Set.of(),
        "");
  }

  private static Step step(int i, int steps, Random random, List<Part> parts, boolean second) {
    List<String> frees = new ArrayList<>();
    frees.add("p" + i);
    if (random.nextInt(3) == 0) {
      frees.add("p" + random.nextInt(parts.size()));
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
        List.of(),
        disturbs,
        after,
        afterAny,
        second && random.nextInt(6) == 0 ? List.of("s" + random.nextInt(steps)) : List.of(),
        second && i > 0 && random.nextInt(8) == 0 ? List.of("s" + random.nextInt(i)) : List.of(),
        false,
        1 + random.nextInt(5),
        random.nextInt(4),
        0,
        "",
        List.of(),
        handling(random));
  }

  private static Handling handling(Random random) {
    String tool = TOOLS.get(random.nextInt(TOOLS.size()));
    return new Handling(
        POSES.get(random.nextInt(POSES.size())),
        tool.isEmpty() ? List.of() : List.of(tool),
        List.of(),
        List.of(),
        List.of(),
        List.of(),
        List.of(),
        List.of(),
        Optional.empty(),
        OnlyFor.EVERY_JOB,
        Handling.Apart.NOTHING,
        Handling.Apart.NOTHING);
  }
}
