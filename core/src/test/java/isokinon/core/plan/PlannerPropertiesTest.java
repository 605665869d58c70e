package isokinon.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.core.plan.order.BestOrder;
import isokinon.core.sheet.BuildOnlyStep;
import isokinon.core.sheet.Handling;
import isokinon.core.sheet.Sheet;
import isokinon.core.sheet.Step;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.function.BiPredicate;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.LongRange;

/** The planner against brute force on small random sheets, and what must hold on any. */
class PlannerPropertiesTest {

  private final Planner planner = new Planner();

  /** A plan; nothing where what is wished excludes itself, which brute force must find as well. */
  private Optional<Plan> planned(Sheet sheet, List<String> wished) {
    try {
      return Optional.of(planner.plan(sheet, PlanRequest.of(wished, List.of())));
    } catch (UnplannableRequest e) {
      assertThat(cheapestByForce(sheet, wished)).isInfinite();
      return Optional.empty();
    }
  }

  private static List<String> wishes(Sheet sheet, long seed) {
    Random random = new Random(seed * 31);
    List<String> freed =
        sheet.steps().stream().flatMap(s -> s.frees().stream()).distinct().sorted().toList();
    return IntStream.range(0, 1 + random.nextInt(3))
        .mapToObj(i -> freed.get(random.nextInt(freed.size())))
        .distinct()
        .toList();
  }

  @Property(tries = 400)
  void theRouteIsTheCheapestThereIs(
      @ForAll @LongRange(min = 0, max = 1_000_000) long seed,
      @ForAll @IntRange(min = 3, max = 9) int steps) {
    Sheet sheet = RandomSheets.of(seed, steps);
    List<String> wished = wishes(sheet, seed);
    planned(sheet, wished)
        .ifPresent(
            plan -> {
              assertThat(plan.optimal()).isTrue();
              assertThat(plan.minutes()).isEqualTo(cheapestByForce(sheet, wished));
              assertThat(plan.freed()).containsAll(wished);
            });
  }

  @Property(tries = 200)
  void everyOtherWayInIsTheCheapestWithoutTheStepItAvoids(
      @ForAll @LongRange(min = 0, max = 1_000_000) long seed,
      @ForAll @IntRange(min = 3, max = 8) int steps) {
    Sheet sheet = RandomSheets.of(seed, steps);
    List<String> wished = wishes(sheet, seed);
    if (planned(sheet, wished).isEmpty()) {
      return;
    }
    List<RouteOption> routes = planner.routes(sheet, PlanRequest.of(wished, List.of()));
    assertThat(routes.get(0).minutes()).isEqualTo(cheapestByForce(sheet, wished));
    assertThat(routes).extracting(RouteOption::steps).doesNotHaveDuplicates();
    for (RouteOption route : routes) {
      PlanRequest thatWay = new PlanRequest(wished, List.of(), List.of(), route.avoid(), false);
      assertThat(planner.plan(sheet, thatWay).strip())
          .containsExactlyInAnyOrderElementsOf(route.steps());
      assertThat(route.minutes())
          .isEqualTo(cheapestByForce(sheet, wished, Set.copyOf(route.avoid())));
    }
  }

  @Property(tries = 300)
  void theStripOrderHasTheFewestTurnsThenTools(
      @ForAll @LongRange(min = 0, max = 1_000_000) long seed,
      @ForAll @IntRange(min = 3, max = 7) int steps) {
    Sheet sheet = RandomSheets.of(seed, steps);
    planned(sheet, wishes(sheet, seed))
        .ifPresent(
            plan -> {
              Changes told = new Changes(plan.poseChanges(), plan.toolChanges());
              assertThat(changes(sheet, plan.strip(), sheet.startPose())).isEqualTo(told);
              assertThat(told).isEqualTo(Force.toStrip(sheet, plan).best());
            });
  }

  @Property(tries = 300)
  void soHasTheBuildOrderAndItKeepsToTheOrdersThatOnlyTheBuildHas(
      @ForAll @LongRange(min = 0, max = 1_000_000) long seed,
      @ForAll @IntRange(min = 3, max = 6) int steps) {
    Sheet sheet = RandomSheets.of(seed, steps);
    planned(sheet, wishes(sheet, seed))
        .filter(p -> p.strip().stream().allMatch(s -> afterAny(sheet, s).isEmpty()))
        .ifPresent(
            plan -> {
              Force force = Force.toBuild(sheet, plan);
              assertThat(force.mayBe(plan.build())).isTrue();
              assertThat(new Changes(plan.buildPoseChanges(), plan.buildToolChanges()))
                  .isEqualTo(changes(sheet, plan.build(), force.startPose))
                  .isEqualTo(force.best());
              assertThat(plan.clockMinutes())
                  .isBetween(
                      plan.minutes() + plan.buildOnlyMinutes(),
                      plan.minutes() + plan.buildOnlyMinutes() + plan.waitMinutes());
            });
  }

  private static List<List<String>> afterAny(Sheet sheet, String step) {
    return sheet.step(step).orElseThrow().afterAny();
  }

  @Property(tries = 300)
  void noStepComesBeforeWhatItNeeds(
      @ForAll @LongRange(min = 0, max = 1_000_000) long seed,
      @ForAll @IntRange(min = 3, max = 12) int steps) {
    Sheet sheet = RandomSheets.of(seed, steps);
    Optional<Plan> made = planned(sheet, wishes(sheet, seed));
    if (made.isEmpty()) {
      return;
    }
    Plan plan = made.get();
    assertThat(possible(sheet, plan.strip())).isTrue();
    assertThat(plan.build()).containsAll(plan.strip()).doesNotHaveDuplicates();
    List<String> backwards = new ArrayList<>(plan.build());
    backwards.removeIf(id -> sheet.step(id).isEmpty());
    java.util.Collections.reverse(backwards);
    assertThat(possible(sheet, backwards)).isTrue();
    for (BuildOnlyStep extra : sheet.buildOnly()) {
      if (plan.build().contains(extra.id())) {
        extra.before().stream()
            .filter(plan.build()::contains)
            .forEach(
                later ->
                    assertThat(plan.build().indexOf(extra.id()))
                        .isLessThan(plan.build().indexOf(later)));
      }
    }
  }

  @Property(tries = 200)
  void everyOneTimePartWhoseJointIsOpenedIsRenewed(
      @ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
    Sheet sheet = RandomSheets.of(seed, 8);
    if (planned(sheet, wishes(sheet, seed)).isEmpty()) {
      return;
    }
    Plan plan = planner.plan(sheet, PlanRequest.of(List.of(), wishes(sheet, seed)));
    Set<String> opened = new HashSet<>();
    for (String id : plan.strip()) {
      Step step = sheet.step(id).orElseThrow();
      opened.addAll(step.frees());
      opened.addAll(step.disturbs());
    }
    opened.removeIf(p -> !sheet.part(p).orElseThrow().oneTime());
    assertThat(plan.renew())
        .extracting(Plan.Renewal::part)
        .containsExactlyInAnyOrderElementsOf(opened);
  }

  @Property(tries = 200)
  void planningAgainHalfwayGoesOnFromWhatIsOff(
      @ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
    Sheet sheet = RandomSheets.of(seed, 9);
    List<String> wished = wishes(sheet, seed);
    Optional<Plan> made = planned(sheet, wished);
    if (made.isEmpty()) {
      return;
    }
    Plan whole = made.get();
    List<String> done = whole.strip().subList(0, whole.strip().size() / 2);
    Plan rest = planner.plan(sheet, new PlanRequest(wished, List.of(), done));
    assertThat(rest.strip()).noneMatch(done::contains);
    assertThat(rest.minutes()).isEqualTo(whole.minutes());
    assertThat(rest.build()).containsExactlyInAnyOrderElementsOf(whole.build());
    List<String> both = new ArrayList<>(done);
    both.addAll(rest.strip());
    assertThat(possible(sheet, both)).isTrue();
  }

  @Property(tries = 20)
  void beyondTheLimitTheOrderIsStillPossibleAndSaysHowFarOffItCanBe(
      @ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
    Sheet sheet = RandomSheets.firstEdition(seed, BestOrder.MOST_ITEMS + 100);
    List<String> all = sheet.steps().stream().map(s -> s.frees().get(0)).toList();
    Plan plan = planner.plan(sheet, PlanRequest.of(all, List.of()));
    assertThat(possible(sheet, plan.strip())).isTrue();
    assertThat(changes(sheet, plan.strip(), sheet.startPose()))
        .isEqualTo(new Changes(plan.poseChanges(), plan.toolChanges()));
    assertThat(plan.optimal()).isEqualTo(plan.mostPosesOff() == 0 && plan.mostToolsOff() == 0);
    assertThat(plan.mostPosesOff()).isBetween(0, plan.poseChanges() + plan.buildPoseChanges());
  }

  // ---- brute force ----------------------------------------------------------------------------

  private record Changes(int poses, int tools) implements Comparable<Changes> {
    @Override
    public int compareTo(Changes other) {
      return poses != other.poses ? poses - other.poses : tools - other.tools;
    }
  }

  private static double cheapestByForce(Sheet sheet, List<String> wished) {
    return cheapestByForce(sheet, wished, Set.of());
  }

  private static double cheapestByForce(Sheet sheet, List<String> wished, Set<String> without) {
    int n = sheet.steps().size();
    double best = Double.POSITIVE_INFINITY;
    for (int set = 0; set < 1 << n; set++) {
      List<String> ids = new ArrayList<>();
      double minutes = 0;
      Set<String> off = new HashSet<>();
      for (int i = 0; i < n; i++) {
        if ((set >> i & 1) == 1) {
          Step step = sheet.steps().get(i);
          ids.add(step.id());
          minutes += step.minutes();
          off.addAll(step.frees());
          off.addAll(step.disturbs());
        }
      }
      if (minutes < best
          && ids.stream().noneMatch(without::contains)
          && off.containsAll(wished)
          && goTogether(sheet, ids)
          && canAllBeDone(sheet, ids)) {
        best = minutes;
      }
    }
    return best;
  }

  private static boolean goTogether(Sheet sheet, List<String> ids) {
    return ids.stream()
        .map(id -> sheet.step(id).orElseThrow())
        .allMatch(
            s -> ids.containsAll(s.needs()) && s.excludes().stream().noneMatch(ids::contains));
  }

  private static boolean canAllBeDone(Sheet sheet, List<String> ids) {
    List<String> order = new ArrayList<>();
    List<String> left = new ArrayList<>(ids);
    boolean grew = true;
    while (grew) {
      grew = false;
      for (String id : List.copyOf(left)) {
        if (ready(sheet.step(id).orElseThrow(), order)) {
          order.add(id);
          left.remove(id);
          grew = true;
        }
      }
    }
    return left.isEmpty();
  }

  private static boolean ready(Step step, List<String> done) {
    return done.containsAll(step.after())
        && (step.afterAny().isEmpty() || step.afterAny().stream().anyMatch(done::containsAll));
  }

  private static boolean possible(Sheet sheet, List<String> order) {
    List<String> done = new ArrayList<>();
    for (String id : order) {
      if (!ready(sheet.step(id).orElseThrow(), done)) {
        return false;
      }
      done.add(id);
    }
    return true;
  }

  private static Changes changes(Sheet sheet, List<String> order, String startPose) {
    String pose = startPose;
    String tool = "";
    int poses = 0;
    int tools = 0;
    for (String id : order) {
      Handling how = sheet.handling(id).orElseThrow();
      if (!how.pose().isEmpty() && !how.pose().equals(pose)) {
        poses++;
        pose = how.pose();
      }
      if (how.toolInHand().isPresent() && !how.toolInHand().get().equals(tool)) {
        tools++;
        tool = how.toolInHand().get();
      }
    }
    return new Changes(poses, tools);
  }

  /** Every order there may be, tried one after the other. */
  private record Force(
      Sheet sheet, List<String> steps, String startPose, BiPredicate<String, List<String>> ready) {

    static Force toStrip(Sheet sheet, Plan plan) {
      return new Force(
          sheet,
          plan.strip(),
          sheet.startPose(),
          (id, done) ->
              PlannerPropertiesTest.ready(sheet.step(id).orElseThrow(), done)
                  && inOrder(sheet, true, id, done, plan.strip()));
    }

    static Force toBuild(Sheet sheet, Plan plan) {
      String pose = sheet.startPose();
      for (String id : plan.strip()) {
        String turned = sheet.handling(id).orElseThrow().pose();
        pose = turned.isEmpty() ? pose : turned;
      }
      return new Force(
          sheet,
          plan.build(),
          pose,
          (id, done) ->
              plan.build().stream().filter(o -> comesBefore(sheet, o, id)).allMatch(done::contains)
                  && inOrder(sheet, false, id, done, plan.build()));
    }

    /** Whether the build has {@code first} before {@code then}. */
    private static boolean comesBefore(Sheet sheet, String first, String then) {
      return sheet.step(first).filter(s -> s.after().contains(then)).isPresent()
          || sheet.buildOnlyStep(first).filter(b -> b.before().contains(then)).isPresent();
    }

    private static boolean inOrder(
        Sheet sheet, boolean stripping, String id, List<String> done, List<String> planned) {
      return sheet.orders().stream()
          .filter(o -> o.stripping() == stripping && o.steps().get(1).equals(id))
          .map(o -> o.steps().get(0))
          .filter(planned::contains)
          .allMatch(done::contains);
    }

    boolean mayBe(List<String> order) {
      for (int i = 0; i < order.size(); i++) {
        if (!ready.test(order.get(i), order.subList(0, i))) {
          return false;
        }
      }
      return true;
    }

    Changes best() {
      return search(new ArrayList<>(), new ArrayList<>(steps), new Changes(99, 99));
    }

    private Changes search(List<String> done, List<String> left, Changes best) {
      if (left.isEmpty()) {
        Changes made = changes(sheet, done, startPose);
        return made.compareTo(best) < 0 ? made : best;
      }
      Changes found = best;
      for (String id : List.copyOf(left)) {
        if (ready.test(id, done)) {
          left.remove(id);
          done.add(id);
          found = search(done, left, found);
          done.remove(done.size() - 1);
          left.add(id);
        }
      }
      return found;
    }
  }
}
