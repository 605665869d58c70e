package isokinon.server.http.setup;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import isokinon.server.ApiClient;
import isokinon.server.ApiClient.Reply;
import isokinon.server.MillTest;
import isokinon.server.work.setup.tables.SetupTable;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Base64;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.springframework.beans.factory.annotation.Autowired;

/** A shop is filled in by forms and by the spreadsheets it has. */
@MillTest
class SetupApiTest {

  private static final String SETUP = "/api/v1/setup";
  private static final ObjectMapper JSON = new ObjectMapper();

  @Autowired private ApiClient desk;

  private static String tables(String table) {
    return SETUP + "/tables/" + table;
  }

  private Reply bring(String table, byte[] file, Map<String, ?> more) {
    ObjectNode asked = JSON.valueToTree(more);
    asked.put("file", Base64.getEncoder().encodeToString(file));
    return desk.post(tables(table) + "/bring", asked.toString());
  }

  private JsonNode dry(String table, String csv) {
    Reply reply = bring(table, csv.getBytes(StandardCharsets.UTF_8), Map.of("dryRun", true));
    assertThat(reply.status()).as(reply.body().toString()).isEqualTo(200);
    return reply.body();
  }

  private Reply puts(String table, String key, Map<String, String> seen, Map<String, String> row) {
    return desk.post(
        tables(table) + "/rows",
        JSON.valueToTree(Map.of("key", key, "seen", seen, "values", row)).toString());
  }

  private Reply retires(String table, String key) {
    return desk.post(tables(table) + "/retire", JSON.valueToTree(Map.of("key", key)).toString());
  }

  private static JsonNode row(JsonNode table, String key) {
    for (JsonNode row : table.path("rows")) {
      if (row.path("key").asText().equals(key)) {
        return row;
      }
    }
    throw new AssertionError(key + " is not in " + table.path("table"));
  }

  // ---- tables ----------------------------------------------------------------------------------

  @ParameterizedTest
  @EnumSource(SetupTable.class)
  void theExampleOfATemplateCanBeBroughtAsItStandsAndWhatIsTakenOutChangesNothing(SetupTable id) {
    String table = id.code();
    for (String kind : List.of("csv", "xlsx")) {
      Reply template = desk.get(tables(table) + "." + kind + "?template=true");
      JsonNode would = bring(table, template.bytes(), Map.of("dryRun", true)).body();
      assertThat(would.path("faults")).as(kind).isEmpty();
      assertThat(would.path("rows").asInt()).isEqualTo(1);
      assertThat(would.at("/fields/0/sure").asInt()).isEqualTo(100);

      Reply out = desk.get(tables(table) + "." + kind);
      JsonNode again = bring(table, out.bytes(), Map.of("dryRun", true)).body();
      JsonNode now = desk.get(tables(table)).body();
      if (now.path("rows").isEmpty()) {
        continue;
      }
      assertThat(again.path("faults")).as(kind).isEmpty();
      assertThat(again.path("same").asInt()).as(kind).isEqualTo(now.path("rows").size());
      assertThat(again.path("fresh").asInt() + again.path("changed").asInt()).isZero();
    }
  }

  @Test
  void aTableOfTheirOwnIsUnderstoodSettledAndBroughtOnceOnly() {
    String theirs =
        """
        Pos.-Nr.;Bereich;Bauart;Fabr.-Nr.;Beschreibung;Std/Tag;Membran;Age (h);Interval;Medium;Temp.
        SCR-40;Scour;aodd-bolted-plastic-25;DP25-0999;Liquor to bowl 4;16,5;TPC-ET;310,5;2500;Walkseife;40,0
        SCR-41;Scour;Bolted plastic double-diaphragm, 25 mm ports;;Liquor to bowl 5;26;EPDM;0;2500;Water;4O,0
        """;
    JsonNode would = dry("pumps", theirs);
    assertThat(would.path("headings").get(9).path("letter").asText()).isEqualTo("J");
    List<String> faults = new ArrayList<>();
    would.path("faults").forEach(f -> faults.add(f.path("cell").asText()));
    assertThat(faults).containsExactly("J2", "F3", "K3");
    JsonNode unknown = would.path("unknown").get(0);
    assertThat(unknown.path("word").asText()).isEqualTo("Walkseife");
    assertThat(unknown.path("rows").asInt()).isEqualTo(1);

    byte[] file = theirs.getBytes(StandardCharsets.UTF_8);
    Map<String, ?> settled =
        Map.of("words", Map.of("fluid", Map.of("Walkseife", "water")), "leaveOut", true);
    Reply refused = bring("pumps", file, Map.of());
    assertThat(refused.status()).isEqualTo(400);
    JsonNode done = bring("pumps", file, settled).body();
    assertThat(done.path("fresh").asInt()).isEqualTo(1);
    assertThat(done.path("wrong").asInt()).isEqualTo(1);
    JsonNode again = bring("pumps", file, settled).body();
    assertThat(again.path("same").asInt()).isEqualTo(1);
    assertThat(again.path("fresh").asInt()).isZero();

    JsonNode pump = desk.get("/api/v1/pumps/SCR-40").body();
    assertThat(pump.at("/strip/material").asText()).isEqualTo("TPC-ET");
    assertThat(pump.at("/strip/hours").asDouble()).isEqualTo(310.5);
    assertThat(desk.job("SCR-40").stage()).isEqualTo("TAKE_IN");
  }

  @Test
  void ofFiftyThousandRowsTheTwoHundredAtFaultAreNamed() {
    StringBuilder csv = new StringBuilder("name,position\n");
    for (int i = 0; i < 50_000; i++) {
      csv.append("Area ").append(i).append(i % 250 == 0 ? ",first\n" : "," + i % 1_000 + "\n");
    }
    JsonNode would = dry("areas", csv.toString());
    assertThat(would.path("rows").asInt()).isEqualTo(50_000);
    assertThat(would.path("wrong").asInt()).isEqualTo(200);
    assertThat(would.path("faults")).hasSize(200);
    assertThat(would.at("/faults/1/cell").asText()).isEqualTo("B252");
    assertThat(would.path("fresh").asInt()).isEqualTo(49_800);
  }

  @Test
  void whatCannotBeIsRefusedWithItsCellAndSentence() throws IOException {
    assertThat(
            dry(
                    "duties",
                    "pump,position,fluid,concentration_pct,temperature_c,share,kind\n"
                        + "SCR-03,1,water,100,60,0.7,process\n")
                .at("/faults/0/message")
                .asText())
        .startsWith("The shares of SCR-03 add up to");
    assertThat(
            dry("wrenches", "wrench,min_nm,max_nm,calibrated_until\nW-77,30,20,31.02.2027\n")
                .at("/faults/0/message")
                .asText())
        .isEqualTo("\"31.02.2027\" is no day, as 2026-03-01 is.");
    assertThat(dry("areas", "name,position\nDye,1\nDye,2\n").at("/faults/0/message").asText())
        .isEqualTo("It stands in row 2 already.");
    assertThat(dry("areas", "colour\nred\n").at("/faults/0/message").asText())
        .startsWith("No column is the Name");
    assertThat(bring("areas", new byte[] {'P', 'K', 3, 4, 9}, Map.of()).status()).isEqualTo(400);
    assertThat(bring("areas", zipOf(400_000_000), Map.of()).fault("file"))
        .startsWith("It unpacks to more than 300 MB");
    String nothing =
        "{\"key\": \"W-05\", \"seen\": {\"min_nm\": null}, \"values\": {\"to\": null}}";
    assertThat(desk.post(tables("wrenches") + "/rows", nothing).status()).isEqualTo(422);
  }

  @Test
  void peopleComeByTableAndTheOnlyLeadWhoCanSignInStaysOne() {
    JsonNode wrong = dry("people", "who,role\nMA,technician\nxy,technician\nJB,admiral\n");
    List<String> cells = new ArrayList<>();
    wrong.path("faults").forEach(f -> cells.add(f.path("cell").asText()));
    assertThat(cells).containsExactly("B2", "A3", "B4");
    assertThat(wrong.at("/faults/0/message").asText()).startsWith("MA is the only lead");
    assertThat(retires("people", "MA").status()).isEqualTo(422);

    byte[] file = "who,role,electrician\nJB,technician,yes\n".getBytes(StandardCharsets.UTF_8);
    assertThat(bring("people", file, Map.of()).body().path("fresh").asInt()).isEqualTo(1);
    JsonNode jb = row(desk.get(tables("people")).body(), "JB");
    assertThat(jb.at("/values/licensed_electrical").asText()).isEqualTo("yes");
    assertThat(desk.get("/api/v1/people").body().toString()).contains("JB");
    JsonNode last = desk.get(SETUP).body().path("last");
    desk.post(SETUP + "/undo", JSON.valueToTree(Map.of("batch", last.path("batch"))).toString());
    assertThat(desk.get(tables("people")).body().toString()).doesNotContain("JB");
  }

  @Test
  void oneRowThatDoesNotFitThoseThatStandIsRefusedByTheFormToo() {
    Map<String, String> half =
        Map.of(
            "pump",
            "SCR-05",
            "position",
            "7",
            "fluid",
            "water",
            "concentration_pct",
            "100",
            "temperature_c",
            "20",
            "share",
            "0.5",
            "kind",
            "process");
    assertThat(puts("duties", "", Map.of(), half).fault("pump"))
        .isEqualTo("The shares of SCR-05 add up to 1.5, not to 1.");
    Map<String, String> overlapping =
        Map.of(
            "tag",
            "SCR-05",
            "material",
            "EPDM",
            "fitted_on",
            "2026-03-01",
            "ended_on",
            "2026-03-10",
            "hours",
            "50",
            "ended",
            "sound");
    assertThat(puts("runs", "", Map.of(), overlapping).fault("tag"))
        .startsWith("Another part stood in SCR-05");
    String key = desk.get(tables("runs")).body().at("/rows/0/key").asText();
    assertThat(puts("runs", key, Map.of(), Map.of("cause", "other")).fault(""))
        .startsWith("What is recorded here stays");
    assertThat(retires("runs", key).status()).isEqualTo(422);
  }

  /** {@code docs/formats.md} is written by this test with {@code -Dformats.write=true}. */
  @Test
  void everyColumnStandsInTheDocument() throws IOException {
    Path document = Path.of("../docs/formats.md");
    String text = Files.readString(document);
    int from = text.indexOf(FROM) + FROM.length();
    String now = text.substring(0, from) + "\n" + columns();
    if (Boolean.getBoolean("formats.write")) {
      Files.writeString(document, now);
    }
    assertThat(Files.readString(document)).isEqualTo(now);
  }

  private static final String FROM = "<!-- the tables, from their declarations -->";
  private static final List<String> FEW =
      List.of("abrasion", "consequence", "fluid-use", "families");

  private String columns() {
    StringBuilder text = new StringBuilder();
    JsonNode names = desk.get(SETUP + "/names").body();
    for (SetupTable id : SetupTable.values()) {
      JsonNode table = desk.get(tables(id.code())).body();
      text.append("\n## ").append(table.path("title").asText()).append(" (`").append(id.code());
      text.append("`)\n\nKnown by: ");
      List<String> key = new ArrayList<>();
      table.path("key").forEach(k -> key.add("`" + k.asText() + "`"));
      text.append(String.join(", ", key)).append(".\n\n");
      text.append("| column | what | takes | unit | needed |\n|---|---|---|---|---|\n");
      for (JsonNode c : table.path("columns")) {
        text.append("| `").append(c.path("id").asText()).append("` | ");
        String says = c.path("says").asText();
        text.append(c.path("title").asText());
        text.append(says.isEmpty() ? "" : ": " + says.replace("|", "\\|"));
        text.append(" | ").append(holds(c, names)).append(" | ").append(c.path("unit").asText());
        boolean needed = c.path("needed").asBoolean();
        String ofNew = c.path("onlyNew").asBoolean() ? "of a new row" : "";
        text.append(" | ").append(needed ? "yes" : "");
        text.append(needed && !ofNew.isEmpty() ? ", " : "").append(ofNew).append(" |\n");
      }
    }
    return text.toString();
  }

  private static String holds(JsonNode column, JsonNode names) {
    String of = column.path("names").asText();
    if (!column.path("holds").asText().equals("name")) {
      return column.path("takes").asText();
    }
    if (!FEW.contains(of)) {
      return "a name of the " + of;
    }
    List<String> codes = new ArrayList<>();
    for (JsonNode kind : names) {
      if (kind.path("of").asText().equals(of)) {
        kind.path("names").forEach(n -> codes.add(n.path("code").asText()));
      }
    }
    return String.join(", ", codes);
  }

  private static byte[] zipOf(int zeros) throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
      zip.putNextEntry(new ZipEntry("xl/sharedStrings.xml"));
      byte[] block = new byte[1_000_000];
      for (int i = 0; i < zeros / block.length; i++) {
        zip.write(block);
      }
      zip.closeEntry();
    }
    return bytes.toByteArray();
  }

  // ---- forms -----------------------------------------------------------------------------------

  @Test
  void aRowIsAddedChangedAndTheLastChangeTakenBack() {
    Map<String, String> wrench =
        Map.of("wrench", "W-30", "min_nm", "20", "max_nm", "100", "calibrated_until", "2027-01-31");
    Reply wrong = puts("wrenches", "", Map.of(), Map.of("wrench", "W-30", "min_nm", "x"));
    assertThat(wrong.fault("min_nm")).isEqualTo("\"x\" is no number.");
    assertThat(wrong.fault("max_nm")).isEqualTo("To is missing.");
    Reply turned =
        puts(
            "wrenches",
            "",
            Map.of(),
            Map.of(
                "wrench",
                "W-30",
                "min_nm",
                "100",
                "max_nm",
                "20",
                "calibrated_until",
                "2027-01-31"));
    assertThat(turned.fault("min_nm")).contains("the least must be under the most");
    assertThat(puts("wrenches", "", Map.of(), wrench).status()).isEqualTo(200);
    assertThat(puts("wrenches", "", Map.of(), wrench).fault("wrench")).contains("there already");

    JsonNode seen = row(desk.get(tables("wrenches")).body(), "W-30").path("values");
    Map<String, String> first = JSON.convertValue(seen, Map.class);
    assertThat(puts("wrenches", "W-30", first, Map.of("max_nm", "120 N·m")).status())
        .isEqualTo(200);
    Reply second = puts("wrenches", "W-30", first, Map.of("max_nm", "90"));
    assertThat(second.fault("max_nm")).isEqualTo("Changed meanwhile from 100 to 120.");

    JsonNode last = desk.get(SETUP).body().path("last");
    assertThat(last.path("what").asText()).isEqualTo("W-30: to from 100 to 120");
    String batch = "{\"batch\": \"" + last.path("batch").asText() + "\"}";
    assertThat(desk.post(SETUP + "/undo", batch).status()).isEqualTo(200);
    assertThat(desk.post(SETUP + "/undo", batch).status()).isEqualTo(422);
    assertThat(row(desk.get(tables("wrenches")).body(), "W-30").at("/values/max_nm").asText())
        .isEqualTo("100");
  }

  @Test
  void aChangeLeavesWhatItSaysNothingOfAndANewPumpGoesWhenItIsTakenBack() {
    JsonNode duty = row(desk.get(tables("duties")).body(), "DYE-02 1").path("values");
    assertThat(duty.path("note").asText()).isNotEmpty();
    assertThat(puts("pumps", "DYE-02", Map.of(), Map.of("hours_per_day", "5")).status())
        .isEqualTo(200);
    assertThat(row(desk.get(tables("duties")).body(), "DYE-02 1").path("values")).isEqualTo(duty);

    // one without a sheet yet is changed as the others are
    assertThat(puts("pumps", "DYE-13", Map.of(), Map.of("hours_per_day", "5")).status())
        .isEqualTo(200);

    JsonNode before = desk.get(tables("pumps")).body().path("rows");
    byte[] template = desk.get(tables("pumps") + ".csv?template=true").bytes();
    assertThat(bring("pumps", template, Map.of()).body().path("fresh").asInt()).isEqualTo(1);
    assertThat(desk.get(SETUP).body().at("/tables/1/rows").asInt()).isEqualTo(before.size() + 1);
    String batch = desk.get(SETUP).body().at("/last/batch").asText();
    assertThat(desk.post(SETUP + "/undo", "{\"batch\": \"" + batch + "\"}").status())
        .isEqualTo(200);
    assertThat(desk.get(tables("pumps")).body().path("rows")).isEqualTo(before);
  }

  @Test
  void whatHasAHistoryIsRetiredAndStands() {
    ApiClient.Job job = desk.job("BLE-02");
    assertThat(retires("pumps", "BLE-02").fault(""))
        .isEqualTo("BLE-02 is at the bench: hand it back first.");
    assertThat(job.stage()).isEqualTo("TAKE_IN");
    assertThat(retires("pumps", "BLE-03").status()).isEqualTo(200);
    assertThat(row(desk.get(tables("pumps")).body(), "BLE-03").path("retired").asBoolean())
        .isTrue();
    assertThat(desk.get("/api/v1/floor").body().toString()).doesNotContain("\"BLE-03\"");
    JsonNode page = desk.get("/api/v1/pumps/BLE-03").body();
    assertThat(page.path("retired").asBoolean()).isTrue();
    assertThat(page.at("/strip/tag").asText()).isEqualTo("BLE-03");
    JsonNode runs = bring("runs", desk.get(tables("runs") + ".csv").bytes(), Map.of()).body();
    assertThat(runs.path("faults")).isEmpty();
    assertThat(runs.path("fresh").asInt()).isZero();
    assertThat(desk.post("/api/v1/pumps/BLE-03/rebuilds", "{\"reason\": \"due\"}").fault("tag"))
        .contains("is retired");
    JsonNode last = desk.get(SETUP).body().path("last");
    assertThat(last.path("what").asText()).isEqualTo("BLE-03 was retired");
    desk.post(SETUP + "/undo", "{\"batch\": \"" + last.path("batch").asText() + "\"}");
    assertThat(desk.get("/api/v1/floor").body().toString()).contains("\"BLE-03\"");
  }

  @Test
  void aUnitIsToldOfTheShelfAndGoesIntoAPumpOnItsPageOnly() {
    Map<String, String> unit =
        Map.of(
            "serial", "DP25-0970",
            "sheet", "aodd-bolted-plastic-25",
            "material", "NBR",
            "age_hours", "210",
            "wear", "ball=NBR,210;seat@inlet=PP,420,25200,S-7");
    assertThat(puts("units", "", Map.of(), without(unit, "material")).fault("material"))
        .contains("material of what wears");
    Reply wrong = puts("units", "", Map.of(), with(unit, "wear", "ball NBR"));
    assertThat(wrong.fault("wear")).contains("ball NBR");
    assertThat(puts("units", "", Map.of(), unit).status()).isEqualTo(200);
    JsonNode told = row(desk.get(tables("units")).body(), "DP25-0970").path("values");
    assertThat(told.path("wear").asText()).isEqualTo(unit.get("wear"));
    assertThat(told.path("hardware").asText()).isEqualTo("full-stroke");

    assertThat(puts("units", "DP25-0970", Map.of(), Map.of("pump", "EFF-02")).fault("pump"))
        .contains("on the page of EFF-02");
    assertThat(puts("pumps", "EFF-02", Map.of(), Map.of("serial", "DP25-0970")).fault("serial"))
        .contains("is on the shelf");
    assertThat(puts("pumps", "EFF-02", Map.of(), Map.of("serial", "DP25-0360")).fault("serial"))
        .isEqualTo("Unit DP25-0360 stands in BLE-06 already.");
    assertThat(puts("units", "DP25-0360", Map.of(), Map.of("place", "R2")).fault("place"))
        .contains("stands in a pump");
    assertThat(retires("units", "DP25-0360").fault("")).contains("stands in BLE-06");

    assertThat(retires("units", "DP25-0970").status()).isEqualTo(200);
    assertThat(desk.get("/api/v1/pumps/EFF-02").body().path("spares").toString())
        .contains("DP25-0372")
        .doesNotContain("DP25-0970");
  }

  private static Map<String, String> with(Map<String, String> row, String column, String value) {
    Map<String, String> other = new HashMap<>(row);
    other.put(column, value);
    return other;
  }

  private static Map<String, String> without(Map<String, String> row, String column) {
    return with(row, column, "");
  }

  @Test
  void theStorekeeperKeepsLotsAndALeadPricesAndPumps() {
    String row = "{\"key\": \"\", \"values\": {}}";
    assertThat(desk.as("SB").post(tables("kits") + "/rows", row).status()).isEqualTo(403);
    assertThat(desk.as("SB").post(tables("lots") + "/rows", row).status()).isEqualTo(400);
    assertThat(desk.as("RT").post(tables("lots") + "/rows", row).status()).isEqualTo(403);
  }

  @Test
  void whatAnHourCostsIsTheShopsToSay() {
    String form = "{\"name\": \"Skerrow Mill\", \"labourPerHour\": %s, \"overtimePerHour\": %s}";
    Reply wrong = desk.put(SETUP + "/shop", form.formatted("48", "40"));
    assertThat(wrong.fault("overtimePerHour")).contains("no less than a usual one");
    double before =
        desk.get("/api/v1/pumps/EFF-02/wet-ends").body().at("/kits/0/costPer1000h").asDouble();
    assertThat(desk.put(SETUP + "/shop", form.formatted("84", "126")).status()).isEqualTo(200);
    double after =
        desk.get("/api/v1/pumps/EFF-02/wet-ends").body().at("/kits/0/costPer1000h").asDouble();
    assertThat(after).isGreaterThan(before);
  }

  @Test
  void fromWhenOnAPumpIsMarkedIsTheShopsToSay() {
    String form =
        "{\"name\": \"Skerrow Mill\", \"labourPerHour\": 42, \"watchFromPct\": %s,"
            + " \"renewFromPct\": %s}";
    double risk = desk.get("/api/v1/pumps/EFF-02").body().at("/strip/risk30").asDouble();
    assertThat(desk.put(SETUP + "/shop", form.formatted("30", "20")).fault("renewFromPct"))
        .contains("not under that to watch from");
    double over = 100 * risk + 1;
    Reply said = desk.put(SETUP + "/shop", form.formatted(over, over + 1));
    assertThat(said.body().path("worthAYear").asDouble()).isEqualTo(100);
    assertThat(desk.get("/api/v1/pumps/EFF-02").body().at("/strip/state").asText())
        .isEqualTo("sound");
    desk.put(SETUP + "/shop", form.formatted(1, 50 * risk));
    assertThat(desk.get("/api/v1/pumps/EFF-02").body().at("/strip/state").asText())
        .isEqualTo("renew");
  }

  private static final String SHOWN =
      """
      {"name": "Skerrow Mill", "labourPerHour": 42, "currency": "%s", "zone": "%s",
       "dayOrder": "%s", "torque": "%s", "temperature": "%s", "pressure": "%s", "volume": "%s"}
      """;

  /** Screens and papers are in the shop's words; records, words of people and computing are not. */
  @Test
  void aShopIsShownItsOwnMoneyUnitsAndDays() throws IOException {
    String page = "/api/v1/pumps/EFF-02/wet-ends";
    String life = "{\"pump\": \"EFF-02\"}";
    String rate =
        """
        {"material": "NBR", "role": "diaphragm",
         "duty": {"exposures": [{"fluid": "acetic-acid", "concentrationPct": 60, "temperatureC": 60}]}}
        """;
    String computed = desk.post("/api/v1/compute/rate", rate).body().toString();
    assertThat(desk.get(page).body().toString()).contains("at 75 °C is 20 K past its last limit");
    Reply said =
        desk.put(
            SETUP + "/shop",
            SHOWN.formatted(
                "USD",
                "America/Chicago",
                "month-first",
                "pound-foot",
                "fahrenheit",
                "psi",
                "us-gallon"));
    assertThat(said.body().at("/shownIn/sign").asText()).isEqualTo("$");
    assertThat(said.body().path("overtimePerHour").asDouble()).isEqualTo(42);
    assertThat(desk.get(page).body().toString())
        .contains("at 167 °F is 36 °F past its last limit", "Effluent sludge with grit, 34 °C")
        .doesNotContain("at 75 °C");
    assertThat(desk.post("/api/v1/life", life).body().at("/terms/say").asText())
        .contains("at $42 an hour");
    assertThat(desk.post("/api/v1/compute/rate", rate).body()).hasToString(computed);
    Reply wrong =
        desk.put(
            SETUP + "/shop",
            SHOWN.formatted("XQX", "Mars/Olympus", "day-first", "bar", "celsius", "bar", "litre"));
    assertThat(wrong.status()).isEqualTo(400);
    for (String field : List.of("currency", "zone", "torque")) {
      assertThat(wrong.fault(field)).as(field).isNotEmpty();
    }
  }
}
