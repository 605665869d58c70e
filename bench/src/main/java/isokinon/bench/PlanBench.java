package isokinon.bench;

import isokinon.core.plan.Plan;
import isokinon.core.plan.PlanRequest;
import isokinon.core.plan.Planner;
import isokinon.core.sheet.Sheet;
import isokinon.core.sheet.Step;
import isokinon.core.sheet.reading.SheetReader;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Planning measured on every shipped sheet (renew everything) and on synthetic sheets of 40, 80 and
 * 120 steps in 2 to 5 chains with alternatives: median milliseconds, whether exact, and the same
 * question given to a general constraint solver beside it, once each.
 */
public final class PlanBench {

  private static final int RUNS = 101;
  private static final int WARM_UP = 150;

  /** With more steps the solver finds no order in its time. */
  private static final int MOST_STEPS_FOR_SOLVER = 80;

  private PlanBench() {}

  /** Prints the tables. */
  public static void main(String[] args) throws IOException {
    System.out.println(
        "renew everything           steps   median ms  exact   solver ms   ratio  proved");
    try (Stream<Path> files = Files.list(Path.of("../library/sheets"))) {
      for (Path file : files.filter(f -> f.toString().endsWith(".yaml")).sorted().toList()) {
        Sheet sheet = SheetReader.forLibrary().read(Files.readString(file)).orThrow().by(List.of());
        print(sheet.id(), sheet, comesOff(sheet));
      }
    }
    System.out.println();
    System.out.println(
        "synthetic: steps/chains    steps   median ms  exact   solver ms   ratio  proved");
    for (int steps : new int[] {40, 80, 120}) {
      for (int chains = 2; chains <= 5; chains++) {
        Sheet sheet = synthetic(steps, chains);
        print(steps + "/" + chains, sheet, comesOff(sheet));
      }
    }
  }

  private static void print(String name, Sheet sheet, List<String> asked) {
    PlanRequest request = PlanRequest.of(asked, List.of());
    Planner planner = new Planner();
    Plan plan = planner.plan(sheet, request);
    double ours = median(() -> planner.plan(sheet, request).minutes());
    String told =
        "strip %d/%d, build %d/%d, off by at most %d/%d"
            .formatted(
                plan.poseChanges(),
                plan.toolChanges(),
                plan.buildPoseChanges(),
                plan.buildToolChanges(),
                plan.mostPosesOff(),
                plan.mostToolsOff());
    int steps = sheet.steps().size();
    System.out.printf(
        Locale.ROOT,
        "%-26s %5d %11.2f  %-6s %s%n",
        name,
        steps,
        ours,
        plan.optimal(),
        steps > MOST_STEPS_FOR_SOLVER ? told : besideSolver(name, sheet, asked, plan, ours, told));
  }

  private static String besideSolver(
      String name, Sheet sheet, List<String> asked, Plan plan, double ours, String told) {
    WholeQuestion question =
        new WholeQuestion(
            sheet, asked, new Planner().orderQuestions(sheet, PlanRequest.of(asked, List.of())));
    long began = System.nanoTime();
    WholeQuestion.Answer found = question.solve();
    double solver = (System.nanoTime() - began) / 1e6;
    boolean proved = found.strip().proved() && found.build().proved();
    if (plan.optimal() && !same(plan, found, proved)) {
      throw new IllegalStateException(name + ": " + plan + " and the solver " + found);
    }
    return String.format(
        Locale.ROOT,
        "%10.1f %7.0f  %-6s  %s; solver %d/%d, %d/%d",
        solver,
        solver / ours,
        proved,
        told,
        found.strip().poses(),
        found.strip().tools(),
        found.build().poses(),
        found.build().tools());
  }

  /**
   * Whether a proved plan and the solver agree: to the change, or no worse than its best so far.
   */
  private static boolean same(Plan plan, WholeQuestion.Answer found, boolean proved) {
    int ours = changes(plan.poseChanges(), plan.toolChanges());
    int oursBack = changes(plan.buildPoseChanges(), plan.buildToolChanges());
    int theirs = changes(found.strip().poses(), found.strip().tools());
    int theirsBack = changes(found.build().poses(), found.build().tools());
    return Math.abs(found.minutes() - plan.minutes()) < 1e-6
        && (proved
            ? ours == theirs && oursBack == theirsBack
            : (theirs < 0 || ours <= theirs) && (theirsBack < 0 || oursBack <= theirsBack));
  }

  private static int changes(int poses, int tools) {
    return poses * 10_000 + tools;
  }

  private interface Work {
    double run();
  }

  /** Median of many runs, milliseconds; fewer where one takes long. */
  private static double median(Work work) {
    long once = time(work);
    int runs = (int) Math.max(5, Math.min(RUNS, 4_000_000_000L / Math.max(1, once)));
    for (int i = 0; i < Math.min(WARM_UP, runs); i++) {
      work.run();
    }
    double[] took = new double[runs];
    for (int i = 0; i < runs; i++) {
      took[i] = time(work) / 1e6;
    }
    Arrays.sort(took);
    return took[runs / 2];
  }

  private static long time(Work work) {
    long began = System.nanoTime();
    if (work.run() < 0) {
      throw new IllegalStateException("minutes under nothing");
    }
    return System.nanoTime() - began;
  }

  private static List<String> comesOff(Sheet sheet) {
    Set<String> off = new LinkedHashSet<>();
    for (Step step : sheet.steps()) {
      off.addAll(step.frees());
      off.addAll(step.disturbs());
    }
    return List.copyOf(off);
  }

  /**
   * Chains of steps, each with a tool and a pose, tied across now and then; every seventh part can
   * be freed by two steps, every ninth step has two groups to choose from.
   */
  static Sheet synthetic(int steps, int chains) {
    Random random = new Random(steps * 31L + chains);
    StringBuilder text = new StringBuilder("{id: synthetic, startPose: up, parts: [");
    for (int i = 0; i < steps; i++) {
      text.append("{id: p").append(i).append("},");
    }
    text.append("], steps: [");
    for (int i = 0; i < steps; i++) {
      List<String> after = new ArrayList<>();
      if (i >= chains) {
        after.add("s" + (i - chains));
      }
      if (i > chains && random.nextInt(6) == 0) {
        after.add("s" + random.nextInt(i));
      }
      String frees = "p" + i + (i % 7 == 3 ? ", p" + random.nextInt(steps) : "");
      String any =
          i % 9 == 8 ? "[[s" + random.nextInt(i) + "], [s" + random.nextInt(i) + "]]" : "[]";
      text.append(
          "{id: s%d, frees: [%s], after: [%s], afterAny: %s, tools: [t%d], pose: q%d, stripMinutes: %d},"
              .formatted(
                  i,
                  frees,
                  String.join(", ", new LinkedHashSet<>(after)),
                  any,
                  random.nextInt(6),
                  random.nextInt(3),
                  1 + random.nextInt(9)));
    }
    return SheetReader.forComputing().read(text.append("]}").toString()).orThrow();
  }
}
