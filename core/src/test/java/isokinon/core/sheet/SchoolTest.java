package isokinon.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.core.sheet.reading.SheetReader;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Questions good technicians answer differently, as the sheet and the job hold them. */
class SchoolTest {

  private static final String SHEET =
      """
      id: small
      title: Small
      family: peristaltic
      startPose: upright
      schools:
        - id: sides
          ask: One or both
          ways:
            - {id: one, title: One, say: Slow, default: true}
            - {id: both, title: Both, say: Quick}
      parts:
        - {id: cover, name: Cover, section: frame, renew: inspect, glyph: lid}
        - {id: tube, name: Tube, section: wet, renew: inspect, glyph: push-tube}
      steps:
        - {id: off, strip: Off, build: On, frees: [cover], stripMinutes: 1}
        - {id: spacers, strip: In, build: Out, after: [off], way: both, stripMinutes: 2}
        - id: out
          strip: Out
          build: In
          frees: [tube]
          after: [off, spacers]
          stripMinutes: 3
          cautions: [{say: Only with spacers, way: both}, {say: Always}]
      """;

  private static Sheet sheet() {
    return SheetReader.forLibrary().read(SHEET).orThrow();
  }

  @Test
  void whatBelongsToAnotherWayIsLeftOutWithEveryMentionOfIt() {
    Sheet standard = sheet().by(List.of());
    assertThat(standard.steps()).extracting(Step::id).containsExactly("off", "out");
    assertThat(standard.step("out").orElseThrow().after()).containsExactly("off");
    assertThat(standard.step("out").orElseThrow().how().cautions())
        .extracting(Handling.Caution::say)
        .containsExactly("Always");
    Sheet both = sheet().by(List.of("both"));
    assertThat(both.steps()).hasSize(3);
    assertThat(both.step("out").orElseThrow().how().cautions()).hasSize(2);
  }

  @Test
  void everySheetHasTheQuestionsOfTheHouseUnlessItAsksThemItself() {
    assertThat(sheet().allSchools())
        .extracting(School::id)
        .containsExactly("sides", "renewals", "interval", "retired");
    assertThat(sheet().has(School.Effect.KIT_CONTENTS, List.of())).isTrue();
    assertThat(sheet().has(School.Effect.KIT_CONTENTS, List.of("by-finding"))).isFalse();
    assertThat(School.OF_EVERY_SHEET)
        .allSatisfy(s -> assertThat(s.ways().stream().filter(School.Way::standard)).hasSize(1));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "default: true|default: false|exactly one way is the default",
        "{id: both, title: Both, say: Quick}|{id: one, title: Both, say: Quick}|is taken",
        "way: both, stripMinutes: 2|way: none-such, stripMinutes: 2|unknown way",
        "after: [off, spacers]|after: [off, out]|cycle",
      })
  void aSchoolThatCannotBeFollowedIsRefused(String was, String is, String why) {
    assertThat(SHEET).contains(was);
    assertThat(SheetReader.forLibrary().read(SHEET.replace(was, is)).faults())
        .anySatisfy(f -> assertThat(f.message()).contains(why));
  }

  @Test
  void aPartThatComesOffOnlyInOneWayIsRefused() {
    String bad = SHEET.replace("    stripMinutes: 3", "    way: both\n    stripMinutes: 3");
    assertThat(SheetReader.forLibrary().read(bad).faults())
        .anySatisfy(f -> assertThat(f.message()).contains("no step frees tube"));
  }

  @Test
  void aMarkAndPowerBecomeChecksThatCannotBeSkipped() {
    String marked =
        SHEET.replace(
            "    stripMinutes: 3",
            """
                marks: [{id: line, make: Line drawn, meet: Lines meet}]
                power: {why: It is jogged, clear: Hands out}
                stripMinutes: 3\
            """);
    Handling how = SheetReader.forLibrary().read(marked).orThrow().handling("out").orElseThrow();
    assertThat(how.checks())
        .extracting(Handling.Check::id)
        .containsExactly("out-clear", "out-isolated", "line-made", "line-met");
    assertThat(how.checks()).allMatch(Handling.Check::hold);
    assertThat(how.power()).containsExactly("It is jogged");
  }

  @Test
  void aMatchedPartMustSayWhy() {
    String bad = SHEET.replace("glyph: push-tube", "glyph: push-tube, care: [matched]");
    assertThat(SheetReader.forLibrary().read(bad).faults())
        .singleElement()
        .satisfies(f -> assertThat(f.path()).isEqualTo("parts[1].because"));
  }
}
