package isokinon.server.http.setup;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import isokinon.server.ApiClient;
import isokinon.server.ApiClient.Reply;
import isokinon.server.MillTest;
import isokinon.server.work.setup.file.TableFile;
import isokinon.server.work.setup.tables.SetupTable;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** A workbook of several tables goes out and comes in, all of it at once. */
@MillTest
class WorkbookApiTest {

  private static final String SETUP = "/api/v1/setup";
  private static final ObjectMapper JSON = new ObjectMapper();

  @Autowired private ApiClient desk;

  private Reply bring(byte[] file, Map<String, ?> more) {
    ObjectNode asked = JSON.valueToTree(more);
    asked.put("file", file);
    return desk.post(SETUP + "/workbook", asked.toString());
  }

  private String history() {
    return new String(desk.get("/api/v1/history.csv").bytes(), StandardCharsets.UTF_8);
  }

  private static TableFile.Written sheet(String title, String headings, String... rows) {
    List<String> of = List.of(headings.split(","));
    return new TableFile.Written(
        title,
        of,
        of.stream().map(h -> false).toList(),
        Arrays.stream(rows).map(r -> List.of(r.split(",", -1))).toList());
  }

  /** Runs first: the pumps they are of come after them in the workbook. */
  private static byte[] shop(String runOfTheSecond) {
    return TableFile.xlsx(
        List.of(
            sheet(
                "Past runs",
                "Pump,Elastomer,Installed,Removed,Run hours,Outcome",
                "SCR-60,TPC-ET,1.2.2024,1.6.2024,900,failed",
                runOfTheSecond),
            sheet(
                "pumps",
                "tag,area,sheet,title,hours_per_day,material,age_hours,interval_hours,fluid,temperature_c",
                "SCR-60,Scour,aodd-bolted-plastic-25,To bowl 4,16,TPC-ET,0,2500,water,40",
                "SCR-61,Scour,aodd-bolted-plastic-25,To bowl 5,16,TPC-ET,0,2500,water,40"),
            sheet("My notes", "what,when", "call the maker,soon")));
  }

  @Test
  void whatIsTakenOutAsAWorkbookStandsHereAlready() {
    byte[] out = desk.get(SETUP + "/workbook.xlsx").bytes();
    JsonNode would = bring(out, Map.of("dryRun", true)).body();
    int sheets = 0;
    for (JsonNode sheet : would.path("sheets")) {
      JsonNode brought = sheet.path("brought");
      assertThat(brought.path("faults")).as(sheet.path("sheet").asText()).isEmpty();
      assertThat(brought.path("same").asInt())
          .as(sheet.path("sheet").asText())
          .isEqualTo(brought.path("rows").asInt());
      sheets++;
    }
    assertThat(sheets).isGreaterThan(SetupTable.values().length / 2);
    assertThat(bring("a;b".getBytes(StandardCharsets.UTF_8), Map.of()).fault("file"))
        .startsWith("It is no workbook");
  }

  @Test
  void pumpsAndTheirRunsComeAtOnceOrNotAtAllAndAreTakenBackTogether() {
    byte[] wrong = shop("SCR-61,TPC-ET,1.2.2024,1.6.2024,900,burst");
    JsonNode would = bring(wrong, Map.of("dryRun", true)).body();
    assertThat(would.at("/sheets/0/table").asText()).isEqualTo("pumps");
    assertThat(would.at("/sheets/0/brought/fresh").asInt()).isEqualTo(2);
    assertThat(would.at("/sheets/1/brought/fresh").asInt()).isEqualTo(1);
    assertThat(would.at("/sheets/1/brought/faults/0/cell").asText()).isEqualTo("F3");
    assertThat(would.at("/sheets/2/table").isNull()).isTrue();
    Reply refused = bring(wrong, Map.of());
    assertThat(refused.status()).isEqualTo(400);
    assertThat(refused.fault("file")).startsWith("Past runs F3: ");
    assertThat(desk.get("/api/v1/pumps/SCR-60").status()).isEqualTo(404);

    Map<String, ?> said =
        Map.of(
            "sheets",
            Map.of("Past runs", Map.of("words", Map.of("ended", Map.of("burst", "failed")))));
    JsonNode done = bring(wrong, said).body();
    assertThat(done.at("/sheets/1/brought/fresh").asInt()).isEqualTo(2);
    assertThat(bring(wrong, said).body().at("/sheets/1/brought/same").asInt()).isEqualTo(2);
    assertThat(history()).contains("SCR-61");
    JsonNode last = desk.get(SETUP).body().path("last");
    assertThat(last.path("what").asText()).isEqualTo("4 rows of 2 tables");
    desk.post(SETUP + "/undo", JSON.valueToTree(Map.of("batch", last.path("batch"))).toString());
    assertThat(history()).doesNotContain("SCR-60");
    assertThat(desk.get("/api/v1/pumps/SCR-60").status()).isEqualTo(404);
  }

  @Test
  void aSheetIsTheTableSomebodySaysAndMayBeLeftOut() {
    byte[] file = TableFile.xlsx(List.of(sheet("Abteilungen", "Bereich,Order", "Yarn store,9")));
    assertThat(bring(file, Map.of("dryRun", true)).body().at("/sheets/0/table").isNull()).isTrue();
    Map<String, ?> said =
        Map.of("dryRun", true, "sheets", Map.of("Abteilungen", Map.of("table", "areas")));
    assertThat(bring(file, said).body().at("/sheets/0/brought/fresh").asInt()).isEqualTo(1);
  }
}
