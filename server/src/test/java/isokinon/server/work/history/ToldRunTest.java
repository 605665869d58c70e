package isokinon.server.work.history;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.core.life.history.RunEnd;
import isokinon.core.value.Fault;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A run as a line of somebody's book tells it. */
class ToldRunTest {

  private static final LocalDate TODAY = LocalDate.of(2026, 3, 17);

  /** A run of 152 days, with some of it told otherwise as column, value, column, value. */
  private static ToldRun run(String... otherwise) {
    Map<String, String> row =
        new HashMap<>(
            Map.of(
                "tag", "EFF-02",
                "role", "diaphragm",
                "material", "NBR",
                "place", "",
                "part_serial", "",
                "fitted_on", "2025-01-01",
                "ended_on", "2025-06-01",
                "ended", "failed",
                "hours", "",
                "counter_in", ""));
    row.put("counter_out", "");
    for (int i = 0; i < otherwise.length; i += 2) {
      row.put(otherwise[i], otherwise[i + 1]);
    }
    return new ToldRun(row);
  }

  @Test
  void hoursMayComeFromTheCounter() {
    ToldRun run = run("counter_in", "1200", "counter_out", "2100.5");
    assertThat(run.hours()).contains(900.5);
    assertThat(run.faults(TODAY)).isEmpty();
    assertThat(run.stint(3).hours()).isEqualTo(900.5);
  }

  @ParameterizedTest
  @CsvSource(
      quoteCharacter = '"',
      value = {
        "hours, 3649, ended, '', ended, It does not say whether it came out failed or sound.",
        "hours, 900, ended, running, ended_on, It came out; and is said to run still.",
        "hours, 900, ended_on, '', ended_on, It does not say on which day it came out.",
        "hours, 900, ended_on, 2024-12-31, ended_on, It came out on 2024-12-31; before it went in.",
        "hours, 9, ended_on, 2026-03-18, ended_on, It comes out on 2026-03-18; which lies ahead.",
        "hours, 3649, ended, failed, hours, It would have run 3\u2009649 h in 152 days.",
        "counter_in, 2100, counter_out, 1200, counter_out,"
            + " The hour counter went back from 2\u2009100 to 1\u2009200: give the hours run.",
        "counter_in, 2100, ended, sound, hours,"
            + " Give the hours run; or the hour counter at fitting and at removal.",
      })
  void whatCannotBeIsToldAtItsColumn(
      String one, String value, String other, String otherValue, String column, String sentence) {
    String plain = otherValue.equals("''") ? "" : otherValue;
    List<Fault> faults = run(one, value, other, plain).faults(TODAY);
    assertThat(faults)
        .contains(new Fault(column, sentence.replace(';', ','), faults.get(0).line()));
  }

  @Test
  void withoutADayItStillRuns() {
    ToldRun run = run("ended_on", "", "ended", "", "hours", "200");
    assertThat(run.end()).isEqualTo(RunEnd.RUNNING);
    assertThat(run.ended()).isEmpty();
    assertThat(run.faults(TODAY)).isEmpty();
    assertThat(
            run("ended_on", "", "ended", "", "hours", "9", "fitted_on", "2026-03-18").faults(TODAY))
        .extracting(Fault::path)
        .contains("fitted_on");
  }

  @Test
  void whatIsRecordedIsToldWhereALineSaysOtherwise() {
    ToldRun recorded = run("hours", "900");
    assertThat(run("hours", "900.4").otherThan(recorded)).isEmpty();
    assertThat(run("hours", "901").otherThan(recorded)).map(Fault::path).contains("hours");
    assertThat(run("hours", "900", "ended", "sound").otherThan(recorded))
        .map(Fault::path)
        .contains("ended");
    assertThat(run("hours", "900", "material", "FKM").otherThan(recorded))
        .map(Fault::path)
        .contains("material");
  }
}
