package isokinon.server.http;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import isokinon.server.ApiClient;
import isokinon.server.MillTest;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;

/** The shop's own rows over the shipped library, tables in and out, and what was seen here. */
@MillTest
class MaterialApiTest {

  private static final String HEAD =
      "fluid,from_pct,to_pct,material,full_c,limited_c,effect,basis,source,date,note\n";
  private static final String TABLE = "/api/v1/materials/tables/resistance";

  @Autowired private ApiClient desk;

  private static List<JsonNode> list(JsonNode array) {
    return StreamSupport.stream(array.spliterator(), false).toList();
  }

  private JsonNode pair(String fluid, String material) {
    return desk.get(
            "/api/v1/materials/pairs?fluid=" + fluid + "&material=" + material.replace(" ", "%20"))
        .body();
  }

  private String verdict(String fluid, double pct, double t, String material) {
    return desk.post(
            "/api/v1/compute/wet-end/rate",
            """
            {"role": "diaphragm", "materials": ["%s"], "exposures": [
              {"fluid": "%s", "concentrationPct": %s, "temperatureC": %s, "share": 1}]}
            """
                .formatted(material, fluid, pct, t))
        .body()
        .at("/ratings/0/verdict")
        .asText();
  }

  private ApiClient.Reply bring(String csv, boolean dryRun) {
    return desk.post(TABLE + "?dryRun=" + dryRun, csv, "text/csv");
  }

  /** Ends the own row that counts now under a key. */
  private ApiClient.Reply end(String table, String key) {
    String path = "/api/v1/materials/tables/" + table;
    for (JsonNode change : desk.get(path + "/history").body()) {
      if (change.path("key").asText().equals(key) && change.path("endedBy").isNull()) {
        return desk.post(path + "/ended", "{\"id\": " + change.path("id") + "}");
      }
    }
    throw new AssertionError("no own row " + key);
  }

  @Test
  void aBandIsTheSameHoweverItsNumbersAreWrittenAndCanBeEnded() {
    String row = "xylene,%s,%s,FKM,20,30,swells,seen here,this shop,2026-01-05,%n";
    bring(HEAD + row.formatted("2.50", "7.50"), false);
    assertThat(bring(HEAD + row.formatted("2.5", "7.5"), false).body().path("unchanged").asInt())
        .isEqualTo(1);
    assertThat(
            bring(HEAD + row.formatted("2.5", "7.5") + row.formatted("2.50", "7.500"), true)
                .fault("resistance"))
        .contains("stands here twice");
    JsonNode own =
        list(pair("xylene", "FKM").path("rows")).stream()
            .filter(r -> r.path("ownRow").isNumber())
            .findFirst()
            .orElseThrow();
    ApiClient.Reply ended = desk.post(TABLE + "/ended", "{\"id\": " + own.path("ownRow") + "}");
    assertThat(ended.status()).isEqualTo(200);
    assertThat(list(pair("xylene", "FKM").path("rows")))
        .noneMatch(r -> r.path("ownRow").isNumber());
    assertThat(pair("xylene", "FKM").path("effects").size()).isEqualTo(13);
  }

  @Test
  void anOwnRowCountsAtOnceAndEndsAgain() {
    assertThat(verdict("glycerine", 80, 40, "CSM")).isEqualTo("suited");
    ApiClient.Reply written =
        desk.post(
            "/api/v1/materials/own",
            """
            {"row": {"fluid": "glycerine", "material": "CSM", "fromPct": 50, "toPct": 100,
             "fullC": null, "limitedC": null, "effect": "swells", "note": "two sets swelled"}}
            """);
    assertThat(written.status()).isEqualTo(200);
    assertThat(list(written.body().path("rows")))
        .hasSize(2)
        .anyMatch(r -> r.path("ownRow").isNumber());
    assertThat(verdict("glycerine", 80, 40, "CSM")).isEqualTo("unsuited");
    assertThat(verdict("glycerine", 20, 40, "CSM")).isEqualTo("suited");
    assertThat(written.body().path("history")).hasSize(1);
    end("resistance", "glycerine,50,100,CSM");
    assertThat(verdict("glycerine", 80, 40, "CSM")).isEqualTo("suited");
    assertThat(pair("glycerine", "CSM").at("/history/0/endedBy").asText()).isEqualTo("MA");
  }

  @Test
  void aTableWithFaultsIsToldLineByLineAndNothingOfItStored() {
    String before = text(TABLE + "?own=true");
    ApiClient.Reply reply =
        bring(
            HEAD
                + "water,0,100,NR,50,60,softens,seen here,this shop,2026-01-05,\n"
                + "treacle,0,100,NR,50,60,softens,seen here,this shop,2026-01-05,\n"
                + "water,0,130,EPDM,50,60,softens,seen here,this shop,2026-01-05,\n"
                + "water,0,100,unobtainium,50,60,softens,seen here,this shop,2026-01-05,\n"
                + "water,0,100,FKM,warm,60,softens,seen here,this shop,2026-01-05,\n",
            false);
    assertThat(reply.status()).isEqualTo(400);
    assertThat(reply.body().path("errors"))
        .extracting(e -> e.path("line").asInt() + " " + e.path("message").asText())
        .satisfiesExactly(
            e -> assertThat(e).isEqualTo("3 Unknown fluid treacle."),
            e -> assertThat(e).startsWith("4 To_pct 130"),
            e -> assertThat(e).isEqualTo("5 Unknown material unobtainium."),
            e -> assertThat(e).startsWith("6 Full_c \"warm\""));
    assertThat(text(TABLE + "?own=true")).isEqualTo(before);
    assertThat(bring("nonsense", false).status()).isEqualTo(400);
    assertThat(bring("", false).status()).isEqualTo(400);
  }

  @Test
  void aTableIsLookedAtBeforeItIsTakenIn() {
    String csv =
        HEAD
            + "diesel,0,100,NBR,40,60,swells,seen here,this shop,2026-01-05,\n"
            + "diesel,0,100,HNBR,90,120,swells,general engineering knowledge,starting"
            + " value,2026-11-25,\n"
            + "diesel,40,60,NBR,30,50,swells,seen here,this shop,2026-01-05,\"a note, with comma\"\n";
    JsonNode look = bring(csv, true).body();
    assertThat(look.path("added").asInt()).isEqualTo(1);
    assertThat(look.path("replaced").asInt()).isEqualTo(1);
    assertThat(look.path("unchanged").asInt()).isEqualTo(1);
    assertThat(verdict("diesel", 20, 65, "NBR")).isEqualTo("limited");
    assertThat(bring(csv, false).body().path("stored").asBoolean()).isTrue();
    assertThat(verdict("diesel", 20, 65, "NBR")).isEqualTo("unsuited");
    assertThat(bring(csv, false).body().path("unchanged").asInt()).isEqualTo(3);
    assertThat(text(TABLE + "?own=true")).contains("\"a note, with comma\"");
    for (String key : List.of("diesel,0,100,NBR", "diesel,40,60,NBR")) {
      end("resistance", key);
    }
  }

  @ParameterizedTest
  @CsvSource({"resistance", "materials", "fluids", "base-life"})
  void whatGoesOutComesInUnchanged(String table) {
    String path = "/api/v1/materials/tables/" + table;
    String out = text(path);
    JsonNode report = desk.post(path + "?dryRun=true", out, "text/csv").body();
    assertThat(report.path("unchanged").asInt()).isEqualTo(out.lines().toList().size() - 1);
    assertThat(report.path("added").asInt() + report.path("replaced").asInt()).isZero();
  }

  @Test
  void aShopsOwnFluidCanBeBuiltOnButNotTakenFromUnderItsRows() {
    String fluids = "/api/v1/materials/tables/fluids";
    String csv =
        "fluid,name,aliases,hurts,wear,spilt,flash_c,density,density_pct\n"
            + "felt-size,Felt size,size,slippery,Goggles,Bind with sand.,,1010,100\n";
    assertThat(desk.post(fluids + "", csv, "text/csv").status()).isEqualTo(200);
    bring(HEAD + "felt-size,0,100,NBR,40,60,swells,seen here,this shop,2026-01-05,\n", false);
    assertThat(verdict("size", 100, 30, "NBR")).isEqualTo("suited");
    assertThat(verdict("felt-size", 100, 30, "EPDM")).isEqualTo("unknown");
    ApiClient.Reply refused = end("fluids", "felt-size");
    assertThat(refused.status()).isEqualTo(400);
    assertThat(verdict("felt-size", 100, 30, "NBR")).isEqualTo("suited");
  }

  @Test
  void whatRunsSayAgainstTheLibraryIsFlaggedAndCanBecomeAnOwnRow() {
    JsonNode seen = pair("sodium-hypochlorite", "EPDM tube");
    assertThat(seen.path("runs").findValuesAsText("pump")).contains("BLE-02", "EFF-01");
    JsonNode told = seen.at("/contradictions/0");
    assertThat(told.path("sentence").asText())
        .contains("full resistance up to 35 °C")
        .contains("attacked until it failed");
    assertThat(told.at("/suggestion/limitedC").asDouble()).isLessThan(20);
  }

  @Test
  void aReadingAtTheBenchBecomesEvidenceOfThePair() {
    ApiClient.Job job =
        desk.job("EFF-05")
            .takesIn("renew:outlet-balls", "inspect:diaphragm-a")
            .makesSafe()
            .strips();
    job.does(
        "JUDGED",
        Map.of(
            "part",
            "diaphragm-a",
            "measurements",
            List.of(ApiClient.measurement("hardness-change", "-11")),
            "because",
            "soft",
            "verdict",
            "renew"));
    JsonNode pair = pair("sulphuric-acid", "CSM");
    assertThat(list(pair.path("seen")))
        .anySatisfy(
            s -> {
              assertThat(s.path("kind").asText()).isEqualTo("hardness");
              assertThat(s.path("reading").asDouble()).isEqualTo(-11);
              assertThat(s.path("pump").asText()).isEqualTo("EFF-05");
              assertThat(s.path("temperatureC").asDouble()).isEqualTo(30);
            });
    assertThat(pair.at("/contradictions/0/sentence").asText()).contains("11 Shore A softer");
  }

  @Test
  void aFindingIsTypedAndOneThatCannotBeIsRefused() {
    String finding =
        """
        {"fluid": "dye-slurry", "material": "NBR", "concentrationPct": 100, "temperatureC": 60,
         "kind": "swell", "reading": %s, "pump": "%s", "note": ""}
        """;
    JsonNode pair =
        desk.post("/api/v1/materials/findings", finding.formatted("4", "DYE-02")).body();
    assertThat(pair.at("/seen/0/reading").asDouble()).isEqualTo(4);
    ApiClient.Reply refused =
        desk.post("/api/v1/materials/findings", finding.formatted("900", "NOPE-1"));
    assertThat(refused.status()).isEqualTo(400);
    assertThat(refused.fault("reading")).contains("900");
    assertThat(refused.fault("pump")).contains("NOPE-1");
  }

  @Test
  void theLibraryIsListed() {
    JsonNode view = desk.get("/api/v1/materials").body();
    assertThat(view.path("fluids").size()).isGreaterThanOrEqualTo(60);
    JsonNode fluid = desk.get("/api/v1/materials/fluids/milk%20of%20lime").body();
    assertThat(fluid.isMissingNode()).isFalse();
    assertThat(desk.get("/api/v1/materials/fluids/treacle").status()).isEqualTo(404);
    assertThat(desk.get("/api/v1/materials/tables/prices").status()).isEqualTo(404);
  }

  private String text(String path) {
    return new String(desk.get(path).bytes(), StandardCharsets.UTF_8);
  }

  @Test
  void aFluidAMaterialAndTheWholeLibraryGoOnPaper() throws IOException {
    String fluid = paper("fluids/peracetic-acid.pdf");
    assertThat(fluid)
        .contains("Peracetic acid", "Ceiling, 0.5 to 16 %: heats itself up", "Never with an alkali")
        .contains("0 to 0.5 %", "10 to 16 %", "EPDM");
    assertThat(paper("sheets/PTFE-CD25.pdf"))
        .contains("Chromic acid", "never", "oxidises", "usual");
    assertThat(desk.get("/api/v1/materials/sheets/moonshine.pdf").status()).isEqualTo(404);
    String all = paper("book.pdf");
    desk.get("/api/v1/materials")
        .body()
        .path("fluids")
        .forEach(f -> assertThat(all).contains(f.path("name").asText()));
  }

  private String paper(String path) throws IOException {
    ApiClient.Reply reply = desk.get("/api/v1/materials/" + path);
    assertThat(reply.kind()).isEqualTo("application/pdf");
    try (PDDocument document = Loader.loadPDF(reply.bytes())) {
      return new PDFTextStripper().getText(document).replaceAll("[\\s\\u00a0]+", " ");
    }
  }
}
