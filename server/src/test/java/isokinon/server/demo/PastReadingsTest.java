package isokinon.server.demo;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import isokinon.core.sheet.Family;
import isokinon.server.ApiClient;
import isokinon.server.MillTest;
import isokinon.server.db.findings.FindingMapper;
import isokinon.server.db.findings.ReadingRow;
import isokinon.server.db.shop.GaugeRow;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** The demo's readings are such as its gauges give, and its causes those of its stated truth. */
@MillTest
class PastReadingsTest {

  @Autowired private ApiClient desk;
  @Autowired private FindingMapper store;

  @Test
  void everyReadingIsOfAGaugeOfItsUnitAndInTheGaugesSteps() {
    Map<String, GaugeRow> gauges =
        store.gauges().stream().collect(Collectors.toMap(GaugeRow::id, Function.identity()));
    int read = 0;
    for (JsonNode area : desk.get("/api/v1/floor").body().path("areas")) {
      for (JsonNode pump : area.path("pumps")) {
        for (ReadingRow r : store.readings(pump.path("tag").asText())) {
          if (r.rebuild() != null || r.gauge().isEmpty()) {
            continue;
          }
          read++;
          GaugeRow g = gauges.get(r.gauge());
          assertThat(g.unit()).as(r.toString()).isEqualTo(r.unit());
          double steps = r.reading() / g.resolution();
          assertThat(Math.abs(steps - Math.rint(steps))).as(r.toString()).isLessThan(1e-6);
        }
      }
    }
    assertThat(read).isGreaterThan(200);
  }

  @Test
  void theDryRunnerIsOnRecordAsOneAndNothingWasDoneAboutIt() {
    assertThat(store.causes("EFF-04"))
        .filteredOn(c -> c.rebuild() == null)
        .isNotEmpty()
        .allMatch(c -> c.cause().equals("dry-run") && c.counters().isEmpty());
    assertThat(store.causeCounts(Family.PROGRESSING_CAVITY))
        .anyMatch(c -> c.id().equals("dry-run") && c.times() > 1);
  }

  @Test
  void partsThatOutlastSeveralSetsWearOneWay() {
    for (String tag : List.of("EFF-04", "SCR-01")) {
      Map<String, List<ReadingRow>> bySubject =
          store.readings(tag).stream()
              .filter(r -> r.rebuild() == null && !r.subject().equals(ReadingRow.PROOF))
              .collect(Collectors.groupingBy(ReadingRow::subject));
      assertThat(bySubject).isNotEmpty();
      bySubject.forEach(
          (part, rows) -> {
            double first = rows.get(0).reading();
            double last = rows.get(rows.size() - 1).reading();
            assertThat(rows.size() < 2 || first != last).as(part).isTrue();
          });
    }
  }
}
