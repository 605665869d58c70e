package isokinon.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import isokinon.core.sheet.Part;
import isokinon.core.sheet.Sheet;
import isokinon.core.sheet.ShippedSheet;
import isokinon.core.sheet.Step;
import isokinon.core.sheet.reading.SheetReader;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PlannerTest {

  private final Planner planner = new Planner();
  private final Sheet pump = ShippedSheet.boltedPlastic();

  private Plan renew(String... parts) {
    return planner.plan(pump, PlanRequest.of(List.of(parts), List.of()));
  }

  private List<String> kit(String id) {
    return pump.kits().stream()
        .filter(k -> k.id().equals(id))
        .flatMap(k -> k.parts().keySet().stream())
        .toList();
  }

  @Test
  void theWetKitOpensOnlyTheWetSide() {
    Plan plan = planner.plan(pump, PlanRequest.of(kit("wet-kit"), List.of()));
    assertThat(plan.strip())
        .containsExactlyInAnyOrder(
            "outlet-manifold-off",
            "outlet-valves-out",
            "inlet-manifold-off",
            "inlet-valves-out",
            "fluid-cap-a-off",
            "fluid-cap-b-off",
            "diaphragm-a-off",
            "diaphragm-b-off");
    assertThat(plan.minutes()).isEqualTo(4 + 7 + 2 + 4 + 5 + 7 + 2 + 4 + 2 * (5 + 9) + 2 * (4 + 8));
    assertThat(plan.poseChanges()).isEqualTo(4);
    assertThat(plan.optimal()).isTrue();
  }

  @Test
  void theAirKitLeavesTheWetSideShut() {
    Plan plan = planner.plan(pump, PlanRequest.of(kit("air-kit"), List.of()));
    assertThat(plan.poseChanges()).isZero();
    assertThat(plan.freed())
        .noneMatch(p -> pump.part(p).orElseThrow().section() == Part.Section.WET);
    assertThat(plan.renew()).extracting(Plan.Renewal::part).containsAll(kit("air-kit"));
  }

  @Test
  void aBallIsReachedThroughItsManifoldAlone() {
    Plan plan = renew("outlet-balls");
    assertThat(plan.strip()).containsExactly("outlet-manifold-off", "outlet-valves-out");
    assertThat(plan.minutes()).isEqualTo(17);
    assertThat(plan.renew())
        .extracting(Plan.Renewal::part)
        .containsExactly("outlet-manifold-orings", "outlet-balls", "outlet-seat-orings");
  }

  @Test
  void everyRenewalHasItsReason() {
    assertThat(renew("outlet-balls").renew())
        .extracting(Plan.Renewal::because)
        .containsExactly(
            "one-time part, its joint is opened: 8 nuts out, far side first, lift the"
                + " outlet manifold off",
            "asked for",
            "one-time part, its joint is opened: Lift out the top balls and seats with a plastic"
                + " hook, laid out by place");
  }

  @Test
  void lookingAtAPartDoesNotRenewIt() {
    Plan plan = planner.plan(pump, PlanRequest.of(List.of(), List.of("outlet-balls")));
    assertThat(plan.renew()).extracting(Plan.Renewal::part).doesNotContain("outlet-balls");
  }

  @Test
  void pressUpsAreWovenInOnlyWhereTheirPartsAreRenewed() {
    assertThat(renew("diaphragm-a").build()).contains("diaphragms-worked");
    assertThat(planner.plan(pump, PlanRequest.of(List.of(), List.of("diaphragm-a"))).build())
        .doesNotContain("diaphragms-worked");
    assertThat(renew("lip-seal-a").build())
        .containsSubsequence("captive-screws-in", "air-cap-a-off");
  }

  @Test
  void theBuildBeginsWhereTheStripEnded() {
    Plan plan = renew("diaphragm-b");
    Step last = pump.step(plan.strip().get(plan.strip().size() - 1)).orElseThrow();
    Step first =
        plan.build().stream().flatMap(id -> pump.step(id).stream()).findFirst().orElseThrow();
    assertThat(first.how().pose()).isEqualTo(last.how().pose());
  }

  @Test
  void aFindingWidensTheJobAndStepsDoneStayDone() {
    Plan first = renew("outlet-balls");
    Plan wider =
        planner.plan(
            pump,
            new PlanRequest(List.of("outlet-balls", "inlet-seats"), List.of(), first.strip()));
    assertThat(wider.strip()).containsExactly("inlet-manifold-off", "inlet-valves-out");
    assertThat(wider.minutes()).isEqualTo(17 + 18);
  }

  @Test
  void thePlanListsToolsLubricantsAndHazards() {
    Plan plan = planner.plan(pump, PlanRequest.of(kit("wet-kit"), List.of()));
    assertThat(plan.tools()).contains("socket-13", "seat-hook", "socket-27", "vice-soft-jaws");
    assertThat(plan.lubricants()).anyMatch(l -> l.contains("threadlocker high strength"));
    assertThat(plan.hazards()).contains("discharge-pressure", "fluid");
  }

  @Test
  void theCheaperOfTwoWaysInIsTaken() {
    Sheet sheet =
        SheetReader.forComputing()
            .read(
                """
                id: stator
                startPose: upright
                parts: [{id: stator}, {id: rotor}]
                steps:
                  - {id: pump-out, frees: [], stripMinutes: 20, buildMinutes: 20}
                  - {id: pair-out, frees: [rotor, stator], stripMinutes: 16, buildMinutes: 30}
                  - {id: stator-off, frees: [stator], afterAny: [[pump-out], [guard-off]], stripMinutes: 5, buildMinutes: 6}
                  - {id: guard-off, frees: [], stripMinutes: 8, buildMinutes: 10}
                """)
            .orThrow();
    assertThat(planner.plan(sheet, PlanRequest.of(List.of("stator"), List.of())).strip())
        .containsExactly("guard-off", "stator-off");
    assertThat(planner.plan(sheet, PlanRequest.of(List.of("stator", "rotor"), List.of())).strip())
        .containsExactly("pair-out");
  }

  @Test
  void tiesGoToTheOrderOfTheSheet() {
    Sheet sheet =
        SheetReader.forComputing()
            .read(
                "{id: tie, parts: [{id: a}, {id: b}], steps: [{id: second, frees: [b]},"
                    + " {id: first, frees: [a]}]}")
            .orThrow();
    assertThat(planner.plan(sheet, PlanRequest.of(List.of("a", "b"), List.of())).strip())
        .containsExactly("second", "first");
  }

  @Test
  void nothingAskedIsAnEmptyPlan() {
    Plan plan = renew();
    assertThat(plan.strip()).isEmpty();
    assertThat(plan.minutes()).isZero();
    assertThat(plan.optimal()).isTrue();
  }

  @ParameterizedTest
  @ValueSource(strings = {"no-such-part", "centre-block"})
  void aPartThatNoStepFreesIsRefusedBySaying(String part) {
    UnplannableRequest refused =
        catchThrowableOfType(UnplannableRequest.class, () -> renew("shaft", part));
    assertThat(refused.reasons())
        .singleElement()
        .satisfies(r -> assertThat(r.path()).isEqualTo("renew[1]"));
  }

  @Test
  void stepsThatCannotHaveBeenDoneAreRefused() {
    PlanRequest odd = new PlanRequest(List.of(), List.of(), List.of("outlet-valves-out"));
    UnplannableRequest refused =
        catchThrowableOfType(UnplannableRequest.class, () -> planner.plan(pump, odd));
    assertThat(refused.getMessage()).contains("cannot all have been done");
  }

  @Test
  void everyPartOfTheSheetCanBeReached() {
    assertThat(pump.parts())
        .filteredOn(p -> p.renew() != Part.Renew.KEEP)
        .allSatisfy(
            p -> {
              Plan plan = renew(p.id());
              assertThat(plan.freed()).contains(p.id());
              assertThat(plan.optimal()).isTrue();
            });
  }
}
