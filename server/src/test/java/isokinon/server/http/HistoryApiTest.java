package isokinon.server.http;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import isokinon.server.ApiClient;
import isokinon.server.MillTest;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Past runs in, every run out. */
@MillTest
class HistoryApiTest {

  private static final ObjectMapper JSON = new ObjectMapper();
  private static final String HEAD = "tag,material,fitted_on,ended_on,hours,ended\n";

  @Autowired private ApiClient desk;

  private ApiClient.Reply bring(String csv, boolean dryRun, Map<String, ?> more) {
    ObjectNode q = JSON.valueToTree(more);
    q.put("file", csv.getBytes(StandardCharsets.UTF_8)).put("dryRun", dryRun);
    return desk.post("/api/v1/setup/tables/runs/bring", q.toString());
  }

  private JsonNode look(String csv) {
    return bring(csv, true, Map.of()).body();
  }

  private List<String> faults(JsonNode report) {
    return StreamSupport.stream(report.path("faults").spliterator(), false)
        .map(f -> f.path("cell").asText() + ": " + f.path("message").asText())
        .toList();
  }

  private String csv() {
    return new String(desk.get("/api/v1/history.csv").bytes(), StandardCharsets.UTF_8);
  }

  @Test
  void whatGoesOutIsKnownWhenItComesIn() {
    String out = csv();
    JsonNode report = look(out);
    assertThat(faults(report)).isEmpty();
    assertThat(report.path("fresh").asInt()).isZero();
    assertThat(report.path("same").asInt()).isEqualTo(report.path("rows").asInt());
    bring(out, false, Map.of());
    assertThat(csv()).isEqualTo(out);
    assertThat(desk.get("/api/v1/history.json").body().size())
        .isEqualTo(report.path("rows").asInt());
  }

  @Test
  void aTableOfTheShopsOwnComesInByItsOwnHeadings() {
    String own =
        "Asset;Installed;Removed;Elastomer;Meter in;Meter out;Outcome;Serial;Weather\n"
            + "dye-09;3.2.2023;14.5.2023;alumina;10,5;410,5;burst;M-77;rain\n"
            + "BLE-03;20.5.2023;1.9.2023;SiC;0;500;ok;;\n"
            + "DYE-09;20.5.2023;30.6.2023;alumina;410,5;500,5;ok;M-78;\n";
    JsonNode look = look(own);
    assertThat(faults(look)).containsExactly("G2: Nothing here is called \"burst\".");
    assertThat(look.at("/unknown/0/word").asText()).isEqualTo("burst");
    Map<String, ?> said =
        Map.of(
            "words",
            Map.of("ended", Map.of("burst", "failed")),
            "columns",
            Map.of("note", "Weather"));
    JsonNode report = bring(own, false, said).body();
    assertThat(faults(report)).isEmpty();
    assertThat(report.path("fresh").asInt()).isEqualTo(3);
    assertThat(csv())
        .contains(
            "DYE-09,TM3-0006,M-77,,bushing,alumina,reactive-dye,mixer-levitated-3,2023-02-03,"
                + "2023-05-14,400,")
        .contains(",failed,,rain");
  }

  @Test
  void aPartThatMovesBringsItsHoursAlong() {
    String moved =
        "tag,material,fitted_on,ended_on,hours,ended,part_serial\n"
            + "SCR-09,NBR,2022-01-01,2022-03-01,300,sound,P-17\n"
            + "EFF-04,NBR,2022-03-05,2022-06-01,500,failed,P-17\n";
    assertThat(faults(bring(moved, false, Map.of()).body())).isEmpty();
    JsonNode second =
        StreamSupport.stream(desk.get("/api/v1/history.json").body().spliterator(), false)
            .filter(r -> r.path("part_serial").asText().equals("P-17"))
            .filter(r -> r.path("tag").asText().equals("EFF-04"))
            .findFirst()
            .orElseThrow();
    assertThat(second.path("came_hours").asDouble()).isEqualTo(300);
    assertThat(second.path("hours").asDouble()).isEqualTo(500);
    String again =
        "tag,material,fitted_on,ended_on,hours,ended,part_serial\n"
            + "SCR-01,NBR,2022-06-02,2022-06-10,100,sound,P-17\n";
    assertThat(faults(look(again)))
        .singleElement()
        .asString()
        .contains("cannot have gone in again");
  }

  @Test
  void everyFaultIsToldAndNothingIsStored() {
    String before = csv();
    String wrong =
        HEAD
            + "NOPE-1,NBR,2022-01-01,2022-02-01,100,failed\n"
            + "SCR-02,cheese,2022-01-01,2022-02-01,100,failed\n"
            + "SCR-02,NBR,yesterday,2022-02-01,100,failed\n"
            + "SCR-02,NBR,2022-03-01,2022-02-01,100,failed\n"
            + "SCR-02,NBR,2022-01-01,2022-01-02,100,failed\n"
            + "SCR-02,NBR,2022-01-01,2022-02-01,,failed\n"
            + "SCR-02,NBR,2022-01-01,2022-02-01,100,perhaps\n"
            + "SCR-02,NBR,2022-01-01,2022-02-01,100,failed\n"
            + "SCR-02,NBR,2022-01-20,2022-02-20,100,failed\n"
            + "SCR-02,NBR,2031-01-20,2031-02-20,100,failed\n";
    assertThat(faults(look(wrong)))
        .extracting(f -> f.split(":")[0])
        .containsExactly("A2", "B3", "C4", "D5", "E6", "E7", "F8", "D11", "10");
    ApiClient.Reply refused = bring(wrong, false, Map.of());
    assertThat(refused.status()).isEqualTo(400);
    assertThat(refused.body().path("errors")).hasSize(9);
    assertThat(csv()).isEqualTo(before);
    assertThat(faults(look("when,what\n1,2\n")))
        .containsExactly("1: No column is the Pump, the It went in.");
    assertThat(bring("", true, Map.of()).status()).isEqualTo(400);
  }

  @Test
  void aRunThatIsRecordedOtherwiseIsNotOverwritten() {
    String line = "SCR-06,FKM,2022-01-01,2022-02-01,100,sound\n";
    assertThat(bring(HEAD + line, false, Map.of()).body().path("fresh").asInt()).isEqualTo(1);
    assertThat(look(HEAD + line).path("same").asInt()).isEqualTo(1);
    assertThat(faults(look(HEAD + line.replace("sound", "failed"))))
        .containsExactly("F2: A run of these days is recorded as FKM, 100 h, sound.");
    assertThat(faults(look(HEAD + line + line))).containsExactly("A3: It stands in row 2 already.");
  }

  @Test
  void aSetThatStillRunsGoesIntoThePumpIfItIsTheLaterOne() {
    String head = "tag,material,fitted_on,hours\n";
    assertThat(faults(look(head + "EFF-05,CSM,2022-01-01,100\n")))
        .singleElement()
        .asString()
        .contains("cannot be in it");
    assertThat(bring(head + "EFF-05,FKM,2026-03-10,30\n", false, Map.of()).status()).isEqualTo(200);
    JsonNode pump = desk.get("/api/v1/pumps/EFF-05").body();
    assertThat(pump.at("/strip/material").asText()).isEqualTo("FKM");
    assertThat(pump.at("/strip/fittedOn").asText()).isEqualTo("2026-03-10");
    assertThat(pump.at("/strip/hours").asDouble()).isBetween(30.0, 60.0);
  }
}
