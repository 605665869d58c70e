package isokinon.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.core.sheet.BuildOnlyStep;
import isokinon.core.sheet.Following;
import isokinon.core.sheet.Part;
import isokinon.core.sheet.School;
import isokinon.core.sheet.Sheet;
import isokinon.core.sheet.ShippedSheet;
import isokinon.core.sheet.Step;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Every shipped construction planned for everything, for each kit and for each single part. */
class ShippedPlansTest {

  private final Planner planner = new Planner();

  static List<String> sheets() {
    return ShippedSheet.ids();
  }

  @Test
  void allConstructionsAreThere() {
    assertThat(sheets()).hasSize(18);
  }

  @ParameterizedTest
  @MethodSource("sheets")
  void everythingEachKitAndEachPartIsPlannedToTheBest(String id) {
    Sheet written = ShippedSheet.of(id);
    for (List<String> ways : waysOfWork(written)) {
      Sheet sheet = written.by(ways);
      Set<String> off = comesOff(sheet);
      List<List<String>> wishes = new ArrayList<>();
      wishes.add(List.copyOf(off));
      sheet.kits().forEach(k -> wishes.add(List.copyOf(k.parts().keySet())));
      off.forEach(part -> wishes.add(List.of(part)));
      for (List<String> wish : wishes) {
        Plan plan = planner.plan(sheet, PlanRequest.of(wish, List.of()));
        assertThat(plan.optimal()).as("%s for %s", id, wish).isTrue();
        assertThat(plan.freed()).containsAll(wish);
        assertBuildable(sheet, plan);
      }
    }
  }

  /** Whatever is freed comes off once what holds it is off, and goes on the other way round. */
  private static void assertBuildable(Sheet sheet, Plan plan) {
    assertThat(possible(sheet, plan.strip(), List.of())).isTrue();
    List<String> backwards = new ArrayList<>(plan.build());
    backwards.removeIf(step -> sheet.step(step).isEmpty());
    Collections.reverse(backwards);
    List<String> twins = new ArrayList<>(plan.strip());
    List<String> stripOnly =
        twins.stream().filter(s -> sheet.step(s).orElseThrow().stripOnly()).toList();
    twins.removeAll(stripOnly);
    assertThat(backwards).containsExactlyInAnyOrderElementsOf(twins);
    assertThat(possible(sheet, backwards, stripOnly)).isTrue();
    for (BuildOnlyStep extra : sheet.buildOnly()) {
      int at = plan.build().indexOf(extra.id());
      if (at >= 0) {
        extra.before().stream()
            .filter(plan.build()::contains)
            .forEach(later -> assertThat(plan.build().indexOf(later)).isGreaterThan(at));
        extra.after().stream()
            .filter(plan.build()::contains)
            .forEach(earlier -> assertThat(plan.build().indexOf(earlier)).isLessThan(at));
      }
    }
  }

  /** A press-up is made before the step that fits what was pressed up, whatever else is done. */
  @ParameterizedTest
  @MethodSource("sheets")
  void pressUpsComeBeforeWhatTheyGoInto(String id) {
    Sheet sheet = ShippedSheet.of(id).by(List.of());
    List<String> build = planner.plan(sheet, PlanRequest.of(all(sheet), List.of())).build();
    for (BuildOnlyStep press : sheet.buildOnly()) {
      if (!press.beside().isEmpty()) {
        assertThat(build).contains(press.id());
        sheet.steps().stream()
            .filter(s -> press.before().contains(s.id()))
            .forEach(s -> assertThat(build.indexOf(press.id())).isLessThan(build.indexOf(s.id())));
      }
    }
  }

  @Test
  void thePairOfTheQuickChangePumpIsPulledSoonerThanTheStatorAlone() {
    Sheet sheet = ShippedSheet.of("cavity-quick-change-40").by(List.of());
    List<RouteOption> routes = planner.routes(sheet, PlanRequest.of(List.of("stator"), List.of()));
    assertThat(routes)
        .extracting(RouteOption::title)
        .containsExactly("Pull the pair", "Stator alone, over the rotor");
    assertThat(routes.get(0).minutes()).isEqualTo(64);
    assertThat(routes.get(1).minutes()).isEqualTo(66);
  }

  @Test
  void theVesselDriveComesOffBothWays() {
    Sheet sheet = ShippedSheet.of("magnetic-vessel-drive-5").by(List.of());
    assertThat(planner.routes(sheet, PlanRequest.of(List.of("rotor"), List.of())))
        .extracting(RouteOption::title)
        .containsExactlyInAnyOrder(
            "Shaft unscrewed first", "Impellers and collar off, shaft left joined");
  }

  @Test
  void theDrivePinOfTheThreadedPumpIsReachedInTheWindowAlone() {
    Sheet sheet = ShippedSheet.of("cavity-threaded-stator-25").by(List.of());
    Plan plan = planner.plan(sheet, PlanRequest.of(List.of("drive-pin"), List.of()));
    assertThat(plan.strip()).containsExactly("collar-off");
  }

  @Test
  void theAirSideOfTheDoubleDiaphragmIsReachedWithoutOpeningTheWetSide() {
    Sheet sheet = ShippedSheet.boltedPlastic().by(List.of());
    Plan air = planner.plan(sheet, PlanRequest.of(List.of("spool", "ceramic-plate"), List.of()));
    assertThat(air.freed())
        .allSatisfy(
            p -> assertThat(sheet.part(p).orElseThrow().section()).isEqualTo(Part.Section.AIR));
  }

  @Test
  void bothSidesAtOnceAskForSpacersAndCostTheirMinutes() {
    Sheet written = ShippedSheet.of("linear-twin-diaphragm-80");
    PlanRequest both = PlanRequest.of(List.of("diaphragm-a", "diaphragm-b"), List.of());
    Plan one = planner.plan(written.by(List.of()), both);
    Plan spaced = planner.plan(written.by(List.of("both-sides")), both);
    assertThat(one.strip()).doesNotContain("spacers-in");
    assertThat(spaced.strip()).contains("spacers-in");
    assertThat(spaced.minutes()).isEqualTo(one.minutes() + 1);
  }

  @Test
  void theSmallestKitThatHoldsAnAskedPartIsRenewedWithIt() {
    Sheet sheet = ShippedSheet.of("tube-four-arm-16").by(List.of());
    PlanRequest tube =
        new PlanRequest(List.of("tube"), List.of("arm-1", "arm-2"), List.of(), List.of(), true);
    assertThat(planner.plan(sheet, tube).renew())
        .as("the tube comes as a kit of its own, the arms are only looked at")
        .extracting(Plan.Renewal::part)
        .containsExactly("tube");
    PlanRequest diaphragm =
        new PlanRequest(
            List.of("diaphragm-a"), List.of("diaphragm-b", "shaft"), List.of(), List.of(), true);
    Sheet rubber = ShippedSheet.boltedPlastic().by(new Following(List.of(), "EPDM", "EPDM"));
    assertThat(planner.plan(rubber, diaphragm).renew())
        .filteredOn(Plan.Renewal::byKit)
        .extracting(Plan.Renewal::part)
        .as("no backup behind rubber")
        .containsExactly("outlet-balls", "diaphragm-b", "inlet-balls");
  }

  private static List<List<String>> waysOfWork(Sheet sheet) {
    List<List<String>> ways = new ArrayList<>();
    ways.add(List.of());
    for (School school : sheet.schools()) {
      school.ways().stream().filter(w -> !w.standard()).forEach(w -> ways.add(List.of(w.id())));
    }
    return ways;
  }

  private static List<String> all(Sheet sheet) {
    return List.copyOf(comesOff(sheet));
  }

  private static Set<String> comesOff(Sheet sheet) {
    Set<String> off = new LinkedHashSet<>();
    for (Step step : sheet.steps()) {
      off.addAll(step.frees());
      off.addAll(step.disturbs());
    }
    return off;
  }

  /**
   * @param already steps that have no place in this order, and stand in no one's way
   */
  private static boolean possible(Sheet sheet, List<String> order, List<String> already) {
    Set<String> done = new HashSet<>(already);
    for (String id : order) {
      Step step = sheet.step(id).orElseThrow();
      boolean ready =
          done.containsAll(step.after())
              && (step.afterAny().isEmpty()
                  || step.afterAny().stream().anyMatch(done::containsAll));
      if (!ready) {
        return false;
      }
      done.add(id);
    }
    return true;
  }
}
