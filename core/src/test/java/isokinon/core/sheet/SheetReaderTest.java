package isokinon.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import isokinon.core.sheet.reading.SheetReader;
import isokinon.core.sheet.reading.SheetReading;
import isokinon.core.value.Fault;
import isokinon.core.value.Source;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class SheetReaderTest {

  private static final String SMALL =
      """
      id: small
      title: Small pump
      family: air-diaphragm
      startPose: upright
      lines:
        - {id: main, rail: wet, title: Wet end}
      parts:
        - {id: cap, name: Cap, section: wet, renew: inspect, glyph: fluid-cap, place: {line: main, at: 1}}
        - {id: ring, name: Ring, section: wet, renew: one-time, glyph: o-rings}
      steps:
        - id: cap-off
          strip: Lift the cap off
          build: Set the cap on
          frees: [cap]
          disturbs: [ring]
          stripMinutes: 4
          buildMinutes: 6
          fastening: {count: 4, layout: circle, thread: M8, minNm: 11, maxNm: 14}
      """;

  private static List<Fault> faults(String text) {
    SheetReading reading = SheetReader.forLibrary().read(text);
    assertThat(reading.sheet()).isEmpty();
    return reading.faults();
  }

  private static Sheet read(String text) {
    return SheetReader.forLibrary().read(text).orThrow();
  }

  @Test
  void readsASmallSheet() {
    Sheet sheet = read(SMALL);
    assertThat(sheet.parts()).extracting(Part::id).containsExactly("cap", "ring");
    Step step = sheet.step("cap-off").orElseThrow();
    assertThat(step.minutes()).isEqualTo(10);
    assertThat(step.how().fastening().orElseThrow().targetNm()).isEqualTo(12.5);
    assertThat(sheet.part("ring").orElseThrow().oneTime()).isTrue();
  }

  @Test
  void readsTheSameSheetAsJson() {
    String json =
        """
        {"id": "small", "title": "Small pump", "family": "air-diaphragm", "startPose": "upright",
         "lines": [{"id": "main", "rail": "wet", "title": "Wet end"}],
         "parts": [
          {"id": "cap", "name": "Cap", "section": "wet", "renew": "inspect", "glyph": "fluid-cap",
           "place": {"line": "main", "at": 1}},
          {"id": "ring", "name": "Ring", "section": "wet", "renew": "one-time", "glyph": "o-rings"}],
         "steps": [{"id": "cap-off", "strip": "Lift the cap off", "build": "Set the cap on",
          "frees": ["cap"], "disturbs": ["ring"], "stripMinutes": 4, "buildMinutes": 6,
          "fastening": {"count": 4, "layout": "circle", "thread": "M8", "minNm": 11, "maxNm": 14}}]}
        """;
    assertThat(read(json)).isEqualTo(read(SMALL));
  }

  @Test
  void theShippedSheetIsWhole() {
    Sheet sheet = ShippedSheet.boltedPlastic();
    assertThat(sheet.kits())
        .extracting(Sheet.Kit::id)
        .containsExactly("wet-kit", "valve-kit", "pilot-kit");
    assertThat(sheet.proof()).extracting(Sheet.ProofTest::id).contains("dead-head", "leak");
    assertThat(sheet.parts())
        .filteredOn(p -> p.care().contains(Part.Care.MATCHED))
        .extracting(Part::id)
        .containsExactly("actuator-pins");
    Set<String> drawn =
        Set.copyOf(
            sheet.parts().stream().filter(p -> p.place().isPresent()).map(Part::id).toList());
    assertThat(drawn).hasSize(sheet.parts().size());
    assertThat(sheet.note()).contains("no maker's values");
  }

  @ParameterizedTest
  @CsvSource({
    "spool-way, Large end",
    "spool-lips, toward the middle",
    "insert-way, along the spool",
    "plate-way, Polished side",
    "radius-a, Radius",
    "outlet-seat-way, Square side",
    "outlet-seat-edge, without a scratch",
    "cap-a-line-met, ball-cage end",
    "captive-all, captive screws",
  })
  void theTrapsAreChecksAtTheStepWhereTheyBite(String check, String words) {
    Sheet sheet = ShippedSheet.boltedPlastic();
    List<Handling.Check> checks =
        java.util.stream.Stream.concat(
                sheet.steps().stream().map(Step::how),
                sheet.buildOnly().stream().map(BuildOnlyStep::how))
            .flatMap(h -> h.checks().stream())
            .toList();
    assertThat(checks)
        .filteredOn(c -> c.id().equals(check))
        .singleElement()
        .satisfies(c -> assertThat(c.ask()).contains(words));
  }

  @Test
  void jointsWithThreadlockerAreNeverRetorqued() {
    assertThat(ShippedSheet.boltedPlastic().steps())
        .flatExtracting(s -> s.how().fastening().stream().toList())
        .allSatisfy(
            f -> {
              if (f.locked()) {
                assertThat(f.retorqueHours()).isZero();
              }
            });
  }

  @Test
  void tellsEveryFaultAtOnceWithPathAndLine() {
    String bad =
        SMALL
            .replace("frees: [cap]", "frees: [lid]")
            .replace("minNm: 11", "minNm: 20")
            .replace("family: air-diaphragm", "family: steam-engine")
            .replace("renew: one-time", "renew: never")
            .replace("stripMinutes: 4", "stripMinutes: four");
    assertThat(faults(bad))
        .extracting(Fault::path, Fault::line)
        .contains(
            org.assertj.core.groups.Tuple.tuple("family", 3),
            org.assertj.core.groups.Tuple.tuple("steps[0].stripMinutes", 16));
    assertThat(faults(bad))
        .extracting(Fault::message)
        .anySatisfy(m -> assertThat(m).contains("unknown part \"lid\""))
        .anySatisfy(m -> assertThat(m).contains("no step frees cap"))
        .anySatisfy(m -> assertThat(m).contains("torque max 14.0 N·m is under min 20.0 N·m"))
        .anySatisfy(m -> assertThat(m).contains("\"never\" is not one of one-time, inspect, keep"));
  }

  @Test
  void findsACycleInAfter() {
    String bad =
        SMALL
            + """
              after: [inner]
            - {id: inner, strip: Pull the inner, build: Push it in, frees: [], after: [cap-off]}
            """
                .indent(2);
    assertThat(faults(bad.replace("\n    after", "\n    after")))
        .extracting(Fault::message)
        .anySatisfy(m -> assertThat(m).contains("cap-off can never be done, it waits for itself"));
  }

  @Test
  void findsBuildStepsThatWaitForEachOther() {
    String bad =
        SMALL
            + "buildOnly:\n"
            + "  - {id: press, build: Press, after: [cap-off], before: [fill]}\n"
            + "  - {id: fill, build: Fill, before: [cap-off]}\n";
    assertThat(faults(bad))
        .extracting(Fault::path)
        .containsExactlyInAnyOrder("buildOnly[0]", "buildOnly[1]");
  }

  @Test
  void findsAStepThatNoAlternativeReaches() {
    String bad =
        SMALL
            + "  - {id: deep, strip: Pull, build: Push, frees: [], afterAny: [[deeper]]}\n"
            + "  - {id: deeper, strip: Pull, build: Push, frees: [], after: [deep]}\n";
    assertThat(faults(bad)).hasSize(2).allSatisfy(f -> assertThat(f.message()).contains("cycle"));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "title: Small pump|colour: green|colour",
        "id: small|id: Small Pump|kebab-case",
        "count: 4,|count: 0,|count",
        "count: 4,|count: 4.5,|count",
        "maxNm: 14|maxNm: .nan|maxNm",
        "buildMinutes: 6|buildMinutes: -6|buildMinutes",
        "frees: [cap]|frees: cap|frees",
        "{line: main, at: 1}|{line: side, at: 1}|no line is called side",
        "disturbs: [ring]|disturbs: [cap]|not a one-time part",
        "strip: Lift the cap off|strip: ~|strip",
      })
  void refusesWhatDoesNotFit(String was, String is, String told) {
    String bad = SMALL.replace(was, is.replace("\\n", "\n"));
    assertThat(faults(bad))
        .extracting(f -> f.path() + ": " + f.message())
        .anySatisfy(m -> assertThat(m).contains(told));
  }

  @Test
  void aDuplicateKeyIsAFaultNotALastOneWins() {
    assertThat(
            faults(
                SMALL.replace("    stripMinutes: 4", "    stripMinutes: 4\n    stripMinutes: 9")))
        .extracting(Fault::message)
        .anySatisfy(m -> assertThat(m).contains("stripMinutes"));
  }

  @Test
  void twoStepsCannotShareAnId() {
    assertThat(faults(SMALL + "  - {id: cap-off, strip: Again, build: Again, frees: []}\n"))
        .extracting(Fault::message)
        .contains("the id cap-off is taken");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"", "   ", "just words", "- a\n- list", "{unclosed: [", "id: \"open", "\u0000"})
  void refusesWhatIsNoSheet(String text) {
    assertThat(faults(text)).isNotEmpty();
  }

  @Test
  void aliasesAreRefusedSoThatNothingCanGrow() {
    String bomb =
        """
        id: bomb
        parts: &a [x, x, x, x, x, x, x, x, x]
        steps: &b [*a, *a, *a, *a, *a, *a, *a, *a, *a]
        kits: &c [*b, *b, *b, *b, *b, *b, *b, *b, *b]
        proof: [*c, *c, *c, *c, *c, *c, *c, *c, *c]
        """;
    List<Fault> told =
        Assertions.assertTimeoutPreemptively(Duration.ofSeconds(5), () -> faults(bomb));
    assertThat(told).isNotEmpty();
  }

  @Test
  void fiveMegabytesAndDeepNestsAreRefusedAtOnce() {
    Assertions.assertTimeoutPreemptively(
        Duration.ofSeconds(5),
        () -> {
          assertThat(faults("id: " + "x".repeat(5_000_000)))
              .extracting(Fault::message)
              .containsExactly("longer than 1000000 characters");
          assertThat(faults("[".repeat(200_000))).isNotEmpty();
        });
  }

  @Test
  void moreStepsThanAnyPumpHasAreRefusedUnplanned() {
    StringBuilder many = new StringBuilder(SMALL);
    for (int i = 0; i < 600; i++) {
      many.append("  - {id: s").append(i).append(", strip: Pull, build: Push, frees: []}\n");
    }
    assertThat(faults(many.toString()))
        .extracting(Fault::message)
        .containsExactly("601 steps; at most 500 are read");
  }

  @Test
  void aSheetThatComesWithAQuestionNeedsOnlyStructure() {
    String bare =
        "{\"parts\": [{\"id\": \"a\"}], \"steps\": [{\"id\": \"s\", \"frees\": [\"a\"]}], \"id\": \"q\","
            + " \"more\": 1}";
    assertThat(SheetReader.forComputing().read(bare).sheet()).isPresent();
    assertThat(SheetReader.forLibrary().read(bare).faults()).isNotEmpty();
  }

  @Test
  void aPageOfTheNamedManualMakesAValueTheMakers() {
    String starting = ShippedSheet.source("aodd-bolted-plastic-25");
    String paged = starting.replaceFirst("layout: circle", "layout: circle, page: 23");
    assertThat(SheetReader.forLibrary().read(paged).faults())
        .extracting(Fault::path)
        .containsExactly("manual");
    Sheet sheet =
        SheetReader.forLibrary()
            .read(paged.replaceFirst("family:", "manual: DP25, issue 6\nfamily:"))
            .orThrow();
    assertThat(sheet.manual()).isEqualTo("DP25, issue 6");
    assertThat(sheet.says(Source.Kind.MANUAL)).isEqualTo(1);
    assertThat(sheet.says(Source.Kind.STARTING))
        .isEqualTo(
            SheetReader.forLibrary().read(starting).orThrow().says(Source.Kind.STARTING) - 1);
    assertThat(
            SheetReader.forLibrary()
                .read(paged.replaceFirst("page: 23", "page: 23, guidance: true"))
                .faults())
        .extracting(Fault::path)
        .anyMatch(p -> p.endsWith("fastening.guidance"));
  }

  @ParameterizedTest
  @CsvSource({
    "0.2, 0.5, 0.19, SOUND",
    "0.2, 0.5, 0.2, WATCH",
    "0.2, 0.5, 0.5, RENEW",
    "15.95, 15.90, 15.96, SOUND",
    "15.95, 15.90, 15.95, WATCH",
    "15.95, 15.90, 15.85, RENEW",
  })
  void aLimitJudgesBothWays(double watch, double renew, double read, Part.Verdict verdict) {
    assertThat(
            new Part.Limit(
                    "wear",
                    "mm",
                    new Part.Edge(watch, renew),
                    Optional.empty(),
                    Optional.empty(),
                    Source.STARTING)
                .judge(read))
        .isEqualTo(verdict);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "wear, watch: 46, renew: 40, above: {watch: 46, renew: 60} | above",
        "wear, watch: 40, renew: 46, above: {watch: 56, renew: 60} | above",
        "wear, watch: 46, renew: 40, above: {watch: 60, renew: 56} | above",
        "hardness-change, watch: -5, renew: -9, above: {watch: 5, renew: 9} | above",
        "wear, watch: 46, renew: 40, above: {watch: 56, renew: 60}, new: 58 | new",
      })
  void aLimitBadBelowAndAboveLeavesWhatIsSoundBetweenThem(String limit, String path) {
    String sheet =
        "{id: x, parts: [{id: a, limits: [{unit: ohm, measure: "
            + limit
            + "}]}], steps: [{id: s, frees: [a]}]}";
    assertThat(SheetReader.forComputing().read(sheet).faults())
        .extracting(Fault::path)
        .containsExactly("parts[0].limits[0]." + path);
  }

  @Test
  void aRefusedReadingSaysWhyWhenItsSheetIsAskedFor() {
    SheetReading reading = SheetReader.forLibrary().read("id: x");
    assertThatThrownBy(reading::orThrow).hasMessageContaining("parts");
  }
}
