package isokinon.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.core.sheet.Following;
import isokinon.core.sheet.Handling;
import isokinon.core.sheet.Sheet;
import isokinon.core.sheet.reading.SheetReader;
import isokinon.core.value.Fault;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What the second edition of the sheet language can say, and what it refuses. */
class SecondEditionTest {

  /** A cover over two sides, oil behind them, and a seal by variant. */
  private static final String HEAD =
      """
      id: head
      parts:
        - {id: lid}
        - {id: lid-ring, renew: one-time}
        - {id: cover-a}
        - {id: cover-b}
        - {id: filter}
        - {id: packing, way: packed}
        - {id: face-seal, way: mechanical}
      variants:
        - id: seal
          ask: What seals the shaft?
          ways:
            - {id: packed, title: Packing, say: It drips, default: true}
            - {id: mechanical, title: Face seal, say: It does not}
      sides:
        - {id: covers, a: [a-off], b: [b-off]}
      steps:
        - {id: lid-off, frees: [lid], disturbs: [lid-ring], stripMinutes: 1, buildMinutes: 1}
        - {id: drained, stripOnly: true, after: [lid-off], stripMinutes: 2}
        - id: a-off
          frees: [cover-a]
          after: [drained]
          stripping: {tools: [puller]}
          building: {tools: [press], turn: clockwise, seenFrom: the drive}
          stripMinutes: 3
          buildMinutes: 3
          byWay: [{way: mechanical, buildMinutes: 8}]
          checks: [{id: last-a, ask: Brim full, closes: closes-last}]
        - {id: b-off, frees: [cover-b], after: [drained], stripMinutes: 3, buildMinutes: 3}
        - {id: filter-out, frees: [filter], after: [lid-off], needs: [a-off], stripMinutes: 1}
        - {id: packing-out, frees: [packing], way: packed, excludes: [filter-out], stripMinutes: 1}
        - {id: seal-out, frees: [face-seal], way: mechanical, stripMinutes: 1}
      buildOnly:
        - {id: oil-in, when: {steps: [drained]}, after: [covers.closes-first], before: [covers.closes-last]}
        - {id: first-seen, when: {steps: [covers.closes-first]}, after: [covers.closes-first], before: [oil-in]}
        - {id: filter-washed, when: {back: [filter]}, before: [filter-out], waitMinutes: 60}
        - {id: b-not-open, when: {off: [cover-a], without: [covers.closes-first]}, before: [lid-off]}
      order:
        - {strip: [filter-out, a-off], because: it would fall in}
        - {build: [packing-out, lid-off]}
      """;

  private final Planner planner = new Planner();

  private static Sheet head() {
    return SheetReader.forComputing().read(HEAD).orThrow();
  }

  private Plan plan(List<String> ways, List<String> renew, List<String> inspect) {
    return planner.plan(head().by(new Following(ways, "", "")), PlanRequest.of(renew, inspect));
  }

  @Test
  void oilGoesInWhileTheSideThatClosesLastStandsOpenWhicheverItIs() {
    assertThat(plan(List.of(), List.of("cover-a", "cover-b"), List.of()).build())
        .containsExactly("a-off", "first-seen", "oil-in", "b-off", "lid-off");
    assertThat(plan(List.of(), List.of("cover-a"), List.of()).build())
        .containsExactly("oil-in", "a-off", "b-not-open", "lid-off");
    assertThat(plan(List.of(), List.of("cover-b"), List.of()).build())
        .containsExactly("oil-in", "b-off", "lid-off");
  }

  @Test
  void aStepThatIsOnlyStrippedHasNoTwinAndWhatLiesOverItIsStillBuiltLater() {
    Plan plan = plan(List.of(), List.of("cover-b"), List.of());
    assertThat(plan.strip()).containsExactly("lid-off", "drained", "b-off");
    assertThat(plan.minutes()).isEqualTo(2 + 2 + 6);
  }

  @Test
  void whatAStepNeedsComesAlongInAnyOrderAndAnOrderOfTheStripHolds() {
    Plan plan = plan(List.of(), List.of(), List.of("filter"));
    assertThat(plan.strip()).contains("a-off").contains("filter-out");
    assertThat(plan.strip().indexOf("filter-out")).isLessThan(plan.strip().indexOf("a-off"));
  }

  @Test
  void aWaitRunsWhileOtherHandsWorkAndIsCalledForOnlyByWhatGoesBack() {
    Plan back = plan(List.of(), List.of(), List.of("filter"));
    assertThat(back.build()).contains("filter-washed");
    assertThat(back.build().indexOf("filter-washed")).isZero();
    assertThat(back.clockMinutes())
        .as("strip 7, wash and wait 60, which the covers fill; then the filter and the lid")
        .isEqualTo(7 + 60 + 0 + 1);
    assertThat(plan(List.of(), List.of("filter"), List.of()).build())
        .doesNotContain("filter-washed");
  }

  @Test
  void aVariantHasPartsStepsAndMinutesOfItsOwn() {
    Sheet packed = head().by(List.of());
    Sheet mechanical = head().by(List.of("mechanical"));
    assertThat(packed.part("face-seal")).isEmpty();
    assertThat(mechanical.part("packing")).isEmpty();
    assertThat(mechanical.step("a-off").orElseThrow().buildMinutes()).isEqualTo(8);
    assertThat(packed.step("a-off").orElseThrow().buildMinutes()).isEqualTo(3);
    assertThat(head().schools().get(0).variant()).isTrue();
  }

  @Test
  void stripAndBuildHaveToolsAndTurnsOfTheirOwn() {
    Handling how = head().handling("a-off").orElseThrow();
    assertThat(how.during(true).tools()).containsExactly("puller");
    assertThat(how.during(false).tools()).containsExactly("press");
    assertThat(how.during(false).turn().orElseThrow().clockwise()).isTrue();
    assertThat(plan(List.of(), List.of("cover-a"), List.of()).tools())
        .containsExactly("puller", "press");
  }

  @Test
  void stepsThatExcludeEachOtherAreNeverInOnePlan() {
    org.assertj.core.api.Assertions.assertThatThrownBy(
            () -> plan(List.of(), List.of("filter", "packing"), List.of()))
        .isInstanceOf(UnplannableRequest.class);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "before: [filter-out], waitMinutes|before: [nowhere], waitMinutes|buildOnly[2].before[0]|unknown step",
        "{build: [packing-out, lid-off]}|{build: [lid-off, a-off]}|order[1]|other rules",
        "{build: [packing-out, lid-off]}|{build: [drained, lid-off]}|order[1]|not built",
        "{build: [packing-out, lid-off]}|{build: [lid-off]}|order[1].build|two steps",
        "{build: [packing-out, lid-off]}|{because: x}|order[1]|one of them only",
        "{strip: [filter-out, a-off]|{strip: [a-off, drained]|order[0]|other rules",
        "when: {back: [filter]}|when: {back: [filters]}|buildOnly[2].when.back[0]|unknown part",
        "a: [a-off]|a: [aa-off]|sides[0].a[0]|unknown step",
        "needs: [a-off], stripMinutes: 1|needs: [a-off], excludes: [a-off], stripMinutes: 1|steps[4].excludes|exclude each other",
        "packing, way: packed|packing, way: pack|parts[5].way|unknown way",
        "stripOnly: true, after|stripOnly: true, buildMinutes: 2, after|steps[1].buildMinutes|takes no time",
        "ask: Brim full|ask: Brim full, min: 3, max: 2|steps[2].checks[0].min|over max",
        "turn: clockwise|turn: left|steps[2].building.turn|not one of",
      })
  void whatIsWrongIsToldWithItsPath(String was, String is, String path, String message) {
    String bad = HEAD.replace(was, is);
    assertThat(bad).isNotEqualTo(HEAD);
    assertThat(SheetReader.forComputing().read(bad).faults())
        .anySatisfy(
            f -> {
              assertThat(f.path()).isEqualTo(path);
              assertThat(f.message()).contains(message);
              assertThat(f.line()).isGreaterThan(1);
            });
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "marks: [{id: line, make: Line drawn, meet: Lines meet}]|",
        "marks: [{id: line, make: Line drawn}]|never met",
        "meets: [{mark: line, ask: Lines meet}]|no mark is called",
        "marks: [{id: depth, make: Depth, meet: Depth, unit: mm, within: 0.5}]|",
        "marks: [{id: depth, make: Depth, meet: Depth, unit: mm}]|how far it may lie off",
        "power: [{why: x, clear: y}, {why: z, clear: w}]|",
        "'fastening: [{count: 2, minNm: 1, maxNm: 2}, {count: 2, minNm: 3, maxNm: 4}]'|two joints",
        "'fastening: {count: 2, until: washer flat, minNm: 3, maxNm: 4}'|by a sign",
        "'fastening: {count: 2, until: washer flat}'|",
        "'apply: [{what: oil, to: lid, ml: 2, g: 1}]'|not in both",
        "'apply: [{what: oil, to: [lid, filter], ml: 2}]'|",
      })
  void aStepMayHave(String field, String message) {
    String text = HEAD.replace("{id: lid-off,", "{id: lid-off, " + field + ",");
    List<String> told =
        SheetReader.forComputing().read(text).faults().stream().map(Fault::message).toList();
    if (message == null) {
      assertThat(told).isEmpty();
    } else {
      assertThat(told).anyMatch(m -> m.contains(message));
    }
  }
}
