package isokinon.server.work.history;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;

import isokinon.core.counter.WearCount;
import isokinon.core.table.CsvRow;
import isokinon.core.table.CsvTable;
import isokinon.core.value.Fault;
import isokinon.server.db.DataVersions;
import isokinon.server.db.materials.WetEndMapper;
import isokinon.server.db.pumps.RunRow;
import isokinon.server.work.library.ShopLibrary;
import isokinon.server.work.lives.SomePumps;
import java.time.LocalDate;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The lines of a table of runs. */
class HistoryLinesTest {

  private static final LocalDate TODAY = LocalDate.of(2026, 3, 17);
  private static final ShopLibrary LIBRARY =
      new ShopLibrary(mock(WetEndMapper.class), new DataVersions());

  private HistoryLines lines = lines(Set.of());

  private static HistoryLines lines(Set<String> failedWords) {
    Map<HistoryField, String> columns = new EnumMap<>(HistoryField.class);
    for (HistoryField f : HistoryField.values()) {
      columns.put(f, f.code());
    }
    return new HistoryLines(
        new HistoryLines.How(columns, failedWords, false),
        new HistoryLines.Against(
            Map.of("EFF-02", SomePumps.aged("EFF-02", 1000)),
            Map.of("EFF-02", "scour-liquor"),
            LIBRARY.materials(),
            TODAY));
  }

  private Optional<RunRow> read(String heading, String line) {
    CsvRow row = CsvTable.readAny("csv", heading + "\n" + line + "\n").rows().get(0);
    return lines.line(row).map(HistoryLines.Line::run);
  }

  private Optional<RunRow> plain(String hours, String ended) {
    return read(
        "tag,material,fitted_on,ended_on,hours,ended",
        "eff-02,nbr,2025-01-01,2025-06-01," + hours + "," + ended);
  }

  private List<String> faults() {
    return lines.faults().stream().map(Fault::message).toList();
  }

  @Test
  void whatALineLeavesOutIsThePumps() {
    RunRow run = plain("900", "failed").orElseThrow();
    assertThat(run.pump()).isEqualTo("EFF-02");
    assertThat(run.role()).isEqualTo("diaphragm");
    assertThat(run.material()).isEqualTo("NBR");
    assertThat(run.dutyGroup()).isEqualTo("scour-liquor");
    assertThat(run.construction()).isEqualTo("aodd-bolted-plastic-25");
    assertThat(run.unit()).isEqualTo("1");
    assertThat(run.counted()).isEqualTo(WearCount.STROKES);
    assertThat(run.counts()).isNull();
    assertThat(run.failed()).isTrue();
  }

  @ParameterizedTest
  @CsvSource({
    "failed, true", "Failure, true", "F, true", "yes, true", "1, true",
    "sound, false", "planned, false", "OK, false", "no, false", "0, false"
  })
  void theUsualWordsForAnOutcomeNeedNoExplaining(String word, boolean failed) {
    assertThat(plain("900", word).orElseThrow().failed()).isEqualTo(failed);
    assertThat(lines.otherOutcomes()).isEmpty();
  }

  @Test
  void wordsThatWereExplainedMeanFailedAndAllOthersSound() {
    lines = lines(Set.of("burst", "leaking"));
    assertThat(plain("900", "Burst").orElseThrow().failed()).isTrue();
    assertThat(plain("900", "renewed").orElseThrow().failed()).isFalse();
    assertThat(plain("900", "failed").orElseThrow().failed()).isFalse();
  }

  @Test
  void aWordThatNobodyExplainedIsAskedAbout() {
    assertThat(plain("900", "burst")).isEmpty();
    assertThat(plain("900", "")).isEmpty();
    assertThat(lines.otherOutcomes()).containsExactly("", "burst");
    assertThat(faults())
        .containsExactly(
            "\"burst\" may be failed or sound: say which words mean failed.",
            "It does not say whether it came out failed or sound.");
  }

  @Test
  void hoursMayComeFromTheCounter() {
    String heading = "tag,material,fitted_on,ended_on,counter_in,counter_out,ended";
    String line = "EFF-02,NBR,2025-01-01,2025-06-01,%s,%s,ok";
    assertThat(read(heading, line.formatted("1200", "2100.5")).orElseThrow().hours())
        .isEqualTo(900.5);
    assertThat(read(heading, line.formatted("2100", "1200"))).isEmpty();
    assertThat(read(heading, line.formatted("", "1200"))).isEmpty();
    assertThat(faults())
        .containsExactly(
            "The hour counter went back from 2\u2009100 to 1\u2009200: give the hours run.",
            "Give the hours run, or the hour counter at fitting and at removal.");
  }

  @Test
  void noPartRunsMoreThanTheClock() {
    assertThat(plain("4000", "ok")).isEmpty();
    assertThat(faults()).containsExactly("It would have run 4\u2009000 h in 152 days.");
  }

  @Test
  void aLineWithoutAnEndStillRuns() {
    RunRow run = read("tag,material,fitted_on,hours", "EFF-02,NBR,2026-03-01,200").orElseThrow();
    assertThat(run.endedOn()).isEqualTo(TODAY);
    assertThat(run.failed()).isFalse();
  }

  @Test
  void everythingThatIsWrongWithALineIsTold() {
    assertThat(
            read(
                "tag,role,material,duty,fitted_on,ended_on,hours,ended,counts",
                "EFF-02,wing,cheese,honey,soon,2025-06-01,many,ok,-4"))
        .isEmpty();
    assertThat(faults())
        .containsExactly(
            "\"wing\" is no wear part that the library knows.",
            "No material is called \"cheese\".",
            "No fluid is called \"honey\".",
            "\"soon\" is no day for the day it went in.",
            "\"many\" is no number of hours.",
            "\"-4\" is no number of counts.");
    lines = lines(Set.of());
    assertThat(read("tag,material", "NOPE,NBR")).isEmpty();
    assertThat(faults()).containsExactly("No pump is called \"NOPE\".");
  }

  @Test
  void fieldsAreFoundByOurNameFirstAndByOthersAfterIt() {
    assertThat(HistoryField.HOURS.among(List.of("Life", "hours"))).contains("hours");
    assertThat(HistoryField.HOURS.among(List.of("Life"))).contains("Life");
    assertThat(HistoryField.FITTED_ON.among(List.of("Fitted-On"))).contains("Fitted-On");
    assertThat(HistoryField.HOURS.among(List.of("weather"))).isEmpty();
  }
}
