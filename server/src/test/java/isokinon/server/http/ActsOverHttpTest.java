package isokinon.server.http;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.server.ApiClient;
import isokinon.server.MillTest;
import isokinon.server.work.bench.AskedAct;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.beans.factory.annotation.Autowired;

/**
 * An act is one of the kinds there are, with what belongs to it; anything else is told at its
 * field.
 */
@MillTest
class ActsOverHttpTest {

  @Autowired private ApiClient desk;

  static List<String> kinds() {
    return AskedAct.kinds().stream().map(AskedAct::kind).toList();
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void everyKindIsKnownByItsWordAndNoneBreaksOnAnEmptyAct(String kind) {
    ApiClient.Reply reply = desk.job("SCR-07").tries(kind, Map.of());
    assertThat(reply.status()).as("%s", reply.body()).isIn(200, 400, 422);
    assertThat(reply.body().path("detail").asText()).doesNotContain("not of the kind");
  }

  @ParameterizedTest
  @CsvSource({
    "STEP_DONE, step, act.step",
    "JUDGED, part, act.part",
    "KIT_FITTED, lot, act.lot",
    "PROVED, test, act.test"
  })
  void whatAKindCannotDoWithoutIsAskedForAtItsField(String kind, String field, String path) {
    ApiClient.Reply missing = desk.job("SCR-07").tries(kind, Map.of());
    assertThat(missing.status()).isEqualTo(400);
    assertThat(missing.fault(path)).isNotNull();
    ApiClient.Reply twoLines = desk.job("SCR-07").tries(kind, Map.of(field, "a\nb"));
    assertThat(twoLines.fault(path)).contains("must be one line");
    ApiClient.Reply long1 = desk.job("SCR-07").tries(kind, Map.of(field, "x".repeat(81)));
    assertThat(long1.fault(path)).contains("80");
  }

  @Test
  void aKindThatThereIsNotIsRefusedAndNothingRecorded() {
    ApiClient.Job job = desk.job("SCR-07");
    long before = job.view().path("seq").asLong();
    assertThat(job.tries("DANCED", Map.of()).status()).isEqualTo(400);
    assertThat(desk.post("/api/v1/rebuilds/" + job.id() + "/acts", "{\"seen\": 1}").status())
        .isEqualTo(400);
    assertThat(job.elsewhere().view().path("seq").asLong()).isEqualTo(before);
  }

  @Test
  void aPairOfReadingsForACheckThatThereIsNotIsRefusedAtTheCheck() {
    Map<String, String> one = Map.of("typed", "1");
    ApiClient.Reply reply =
        desk.job("SCR-07")
            .tries("CHECKED", Map.of("step", "x", "check", "gaps", "reading", one, "right", one));
    assertThat(reply.status()).isEqualTo(422);
    assertThat(reply.fault("check")).isEqualTo("This step does not ask for gaps.");
  }

  @Test
  void signsAndCountersThatTheTablesDoNotKnowAreRefused() {
    ApiClient.Job job = desk.job("EFF-04").takesIn("inspect:stator").makesSafe().strips();
    assertThat(
            job.tries(
                    "JUDGED",
                    Map.of("part", "stator", "verdict", "renew", "signs", List.of("haunted")))
                .fault("signs"))
        .isEqualTo("No sign of wear is called haunted.");
    assertThat(
            job.tries(
                    "CAUSE_FOUND",
                    Map.of("part", "stator", "cause", "dry-run", "counters", List.of("prayer")))
                .fault("counters"))
        .isEqualTo("No counter-measure is called prayer.");
  }
}
