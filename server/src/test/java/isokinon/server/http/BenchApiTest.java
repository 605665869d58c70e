package isokinon.server.http;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import isokinon.server.ApiClient;
import isokinon.server.MillTest;
import isokinon.server.db.rebuilds.BenchMapper;
import isokinon.server.db.stores.StoresMapper;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;

@MillTest
class BenchApiTest {

  @Autowired private ApiClient desk;
  @Autowired private BenchMapper events;
  @Autowired private StoresMapper stores;

  @Test
  void aWholeRebuildFromTakeInToHandBack() {
    int before = stores.lot("L-0417").orElseThrow().quantity();
    ApiClient.Job job =
        desk.job("EFF-02")
            .takesIn(
                "renew:diaphragm-a", "renew:diaphragm-b", "renew:outlet-balls", "renew:inlet-balls")
            .makesSafe()
            .strips()
            .inspects()
            .decides("L-0417", "CSM")
            .builds()
            .proves();
    assertThat(job.stage()).isEqualTo("HAND_BACK");
    assertThat(job.tries("SIGNED_OFF", Map.of()).fault("signer"))
        .isEqualTo("Sign it off with your PIN.");
    job.signsOff("KO").does("HANDED_BACK", Map.of());
    assertThat(job.view().at("/handBack/signedOff/who").asText()).isEqualTo("KO");
    assertThat(job.stage()).isEqualTo("CLOSED");
    assertThat(job.view().at("/pump/fitted").asText()).endsWith("TPC-ET out, CSM in.");
    assertThat(job.view().at("/handBack/retorques")).hasSize(4);
    assertThat(job.view().at("/handBack/joints/2/readings").asText()).startsWith("1: 15; 2: 15");
    assertThat(stores.lot("L-0417").orElseThrow().quantity()).isEqualTo(before - 1);
    JsonNode pump = desk.get("/api/v1/pumps/EFF-02").body();
    assertThat(pump.at("/strip/material").asText()).isEqualTo("CSM");
    assertThat(pump.at("/strip/hours").asDouble()).isZero();
    JsonNode stops = pump.at("/strip/stops");
    JsonNode last = stops.get(stops.size() - 1);
    assertThat(last.path("material").asText()).isEqualTo("TPC-ET");
    assertThat(last.path("failed").asBoolean()).isFalse();
    assertThat(last.path("days").asDouble()).isZero();
    assertThat(pump.at("/strip/rebuild").isNull()).isTrue();
    assertThat(pump.at("/rebuilds/0/closed").asBoolean()).isTrue();
    assertThat(desk.get("/api/v1/rebuilds/" + job.id() + "/record.pdf").kind())
        .isEqualTo("application/pdf");
  }

  @Test
  void aPumpThatGaveOutEndsAFailedRunThoughNobodyLookedAtWhatCameOut() {
    for (String why : List.of("failed", "due")) {
      Map<String, Object> asked = new HashMap<>(ApiClient.askedFor("renew:tube"));
      asked.put("why", why);
      ApiClient.Job job = desk.job("DYE-06").does("TAKEN_IN", asked);
      assertThat(job.log().toString()).contains("taken in, " + why);
      job.makesSafe().strips().inspects().decides("single", "EPDM").builds().proves();
      job.handsBack();
      JsonNode stops = desk.get("/api/v1/pumps/DYE-06").body().at("/strip/stops");
      assertThat(stops.get(stops.size() - 1).path("failed").asBoolean())
          .as(why)
          .isEqualTo(why.equals("failed"));
    }
    assertThat(
            desk.job("DYE-01")
                .tries("TAKEN_IN", Map.of("renew", List.of("tube"), "why", "perhaps"))
                .status())
        .isEqualTo(400);
  }

  @Test
  void whatAJobPutsOnIsBookedFromTheLotThatGoesOutOfDateFirst() {
    ApiClient.Job job = desk.job("EFF-07").takesIn("renew:hose").makesSafe().strips().inspects();
    JsonNode lubricant = job.view().at("/decide/cover/consumables/0");
    assertThat(lubricant.path("say").asText()).endsWith("050 mL, G-142 F5, G-143 F5");
    job.decides("L-1120", "NR hose").builds().proves();
    // The kit brought its 2 L along.
    assertThat(job.view().at("/handBack/consumed/0").asText())
        .isEqualTo("Glycerine hose lubricant, 50 mL, G-142 F5");
    job.handsBack();
    assertThat(job.view().at("/handBack/consumed/0").asText())
        .isEqualTo("Glycerine hose lubricant, 50 mL, lot G-142");
    assertThat(desk.get("/api/v1/stores").body().findParents("amount"))
        .filteredOn(l -> l.path("id").asText().equals("G-142"))
        .singleElement()
        .satisfies(l -> assertThat(l.path("amount").asDouble()).isEqualTo(1450));
  }

  @Test
  void howAPumpIsMadeIsToldOnceAndKeptWithIt() {
    assertThat(partsOf("SCR-01")).contains("packing").doesNotContain("seal-rotating");
    Map<String, Object> asked = new HashMap<>(ApiClient.askedFor("renew:stator"));
    asked.put("ways", List.of("mechanical"));
    ApiClient.Job job = desk.job("SCR-01").does("TAKEN_IN", asked);
    assertThat(partsOf("SCR-01")).contains("seal-rotating").doesNotContain("packing");
    job.makesSafe().strips().inspects().decidesAsBefore().builds().proves().handsBack();
    JsonNode schools = desk.job("SCR-01").ways("renew:stator").body().path("schools");
    assertThat(schools.findParents("followed"))
        .filteredOn(w -> w.path("followed").asBoolean())
        .extracting(w -> w.path("id").asText())
        .contains("mechanical");
  }

  private List<String> partsOf(String tag) {
    return desk.get("/api/v1/pumps/" + tag).body().path("rails").findValuesAsText("id");
  }

  @Test
  void theGateNamesTheValveOfThisPositionAndSaysNothingWhereNobodyRecordedIt() {
    JsonNode gates = desk.job("SCR-05").takesIn("renew:tube").view().path("gates");
    assertThat(gates.findValuesAsText("here"))
        .contains(
            "isolator QS05, board S2 at the bowl stairs", "valves S05-V1 and S05-V2, drain S05-D1");
    JsonNode untold = desk.job("DYE-12").takesIn("renew:upper-washer").view().path("gates");
    assertThat(untold.findValues("here")).filteredOn(h -> !h.isNull()).hasSize(1);
  }

  @Test
  void openingTwiceGivesTheSameRebuild() {
    assertThat(desk.job("SCR-03").id()).isEqualTo(desk.job("SCR-03").id());
  }

  @Test
  void anActSentTwiceIsRecordedOnce() {
    ApiClient.Job job = desk.job("SCR-07").takesIn("renew:outlet-balls");
    String act =
        ("{\"key\": \"%s\", \"seen\": %d,"
                + " \"act\": {\"kind\": \"NOTED\", \"text\": \"wet floor\"}}")
            .formatted(UUID.randomUUID(), job.view().path("seq").asLong());
    String path = "/api/v1/rebuilds/" + job.id() + "/acts";
    ApiClient.Reply first = desk.post(path, act);
    ApiClient.Reply again = desk.post(path, act);
    assertThat(first.status()).isEqualTo(200);
    assertThat(again.status()).isEqualTo(200);
    assertThat(again.body().path("seq")).isEqualTo(first.body().path("seq"));
    assertThat(events.events(job.id())).filteredOn(e -> e.text().equals("wet floor")).hasSize(1);
  }

  @Test
  void theSecondToActOnAStaleStepIsToldAndShownTheNewState() {
    ApiClient.Job one = desk.job("DYE-04").takesIn("renew:outlet-balls").makesSafe();
    ApiClient.Job two = one.elsewhere();
    one.does("STEP_DONE", Map.of("step", "outlet-manifold-off"));
    ApiClient.Reply late =
        two.tries("STEP_DONE", Map.of("step", "outlet-manifold-off", "who", "KO"));
    assertThat(late.status()).isEqualTo(409);
    assertThat(late.body().path("detail").asText())
        .startsWith("RT was here first: done: 8 nuts out, far side first")
        .contains("nothing of theirs was changed");
    assertThat(late.body().at("/now/inHand/step/id").asText()).isEqualTo("outlet-valves-out");
    assertThat(events.events(one.id())).filteredOn(e -> e.kind().equals("STEP_DONE")).hasSize(1);
  }

  @Test
  void aDeviceThatSawMoreThanIsRecordedIsToldSo() {
    ApiClient.Job job = desk.job("EFF-05");
    ApiClient.Reply reply =
        job.tries("NOTED", Map.of("seen", 9_999, "text", "from a lost database"));
    assertThat(reply.status()).isEqualTo(409);
    assertThat(reply.body().path("detail").asText())
        .startsWith("This device saw entries that are not recorded here.");
  }

  @Test
  void ofManyAtOnceExactlyOneIsRecorded() throws Exception {
    ApiClient.Job job = desk.job("BLE-06").takesIn("renew:outlet-balls").makesSafe();
    ExecutorService crowd = Executors.newFixedThreadPool(8);
    List<Callable<Integer>> tries =
        IntStream.range(0, 8)
            .mapToObj(
                i ->
                    (Callable<Integer>)
                        () ->
                            job.elsewhereOf(job)
                                .tries("STEP_DONE", Map.of("step", "outlet-manifold-off"))
                                .status())
            .toList();
    List<Integer> statuses = crowd.invokeAll(tries).stream().map(BenchApiTest::value).toList();
    crowd.shutdown();
    assertThat(statuses).containsOnlyOnce(200).allMatch(s -> s == 200 || s == 409);
  }

  private static int value(Future<Integer> future) {
    try {
      return future.get();
    } catch (Exception e) {
      throw new AssertionError(e);
    }
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "abc||is not a number",
        "NaN||is not a number",
        "1.2.3||is not a number",
        "--4||is not a number",
        "1e999||too large",
        "15 mm||mm",
        "15|furlong|furlong",
        "400||times what this joint takes",
      })
  void aReadingThatIsNoneIsASentenceAtTheField(String typed, String unit, String words) {
    ApiClient.Job job = atTheFirstTorque();
    ApiClient.Reply reply =
        job.tries(
            "TORQUE_READ",
            Map.of(
                "step",
                "diaphragm-b-off",
                "pass",
                1,
                "fastener",
                1,
                "reading",
                Map.of("typed", typed, "unit", unit == null ? "" : unit)));
    assertThat(reply.status()).isIn(400, 422);
    assertThat(reply.fault("value")).contains(words);
    assertThat(job.elsewhere().view().path("seq")).isEqualTo(job.view().path("seq"));
  }

  @ParameterizedTest
  @CsvSource({"'29,5', , 29.5", "22 ft·lbf, , 29.8280", "22, ft·lbf, 29.8280", "' 30 ', N·m, 30"})
  void aReadingIsTakenAsPeopleTypeIt(String typed, String unit, double nm) {
    ApiClient.Job job = atTheFirstTorque();
    job.does(
        "TORQUE_READ",
        Map.of(
            "step",
            "diaphragm-b-off",
            "pass",
            1,
            "fastener",
            1,
            "reading",
            Map.of("typed", typed, "unit", unit == null ? "" : unit)));
    JsonNode readings = job.view().at("/step/torque/fasteners/0/readings");
    assertThat(readings.get(readings.size() - 1).asDouble())
        .isCloseTo(nm, org.assertj.core.api.Assertions.within(1e-4));
  }

  /** EFF-05 stands at its first joint with a torque; left there, so that every case finds it so. */
  private ApiClient.Job atTheFirstTorque() {
    ApiClient.Job job = desk.job("EFF-05");
    if (job.stage().equals("TAKE_IN")) {
      job.takesIn("renew:diaphragm-b").makesSafe().strips().inspects().decides("single", "CSM");
    }
    if (job.view().at("/step/id").asText().equals("diaphragms-worked")) {
      job.does("STEP_DONE", Map.of("step", "diaphragms-worked"));
    }
    return job.answersChecks();
  }

  @Test
  void aClickIsRecordedAsAClickNotAsAReading() {
    ApiClient.Job job = atTheFirstTorque();
    job.does(
        "TORQUE_READ",
        Map.of("step", "diaphragm-b-off", "pass", 1, "fastener", 1, "clicked", true));
    assertThat(job.view().at("/step/torque/fasteners/0/clicked").asBoolean()).isTrue();
    assertThat(job.log().findValuesAsText("say")).anyMatch(s -> s.endsWith("clicked at 30 N·m"));
  }

  @Test
  void overAgeLotsAreNotFitted() {
    ApiClient.Job job = desk.job("SCR-03");
    if (job.stage().equals("TAKE_IN")) {
      job.takesIn("renew:outlet-balls").makesSafe().strips().inspects();
    }
    Map<String, Object> nbr = Map.of("lot", "L-0120", "parts", List.of("outlet-balls"));
    ApiClient.Reply reply = job.tries("KIT_FITTED", nbr);
    assertThat(reply.status()).isEqualTo(422);
    assertThat(reply.fault("lot")).isEqualTo("Lot L-0120 is over-age: it is not fitted, scrap it.");
    assertThat(
            job.tries("KIT_FITTED", Map.of("lot", "L-9999", "parts", List.of("outlet-balls")))
                .fault("lot"))
        .isEqualTo("No lot is called L-9999.");
    assertThat(
            job.tries("KIT_FITTED", Map.of("lot", "single", "parts", List.of("outlet-balls")))
                .fault("note"))
        .contains("lot number from the bag");
  }

  @Test
  void strangersAndStrangeAddressesAreToldSo() {
    assertThat(desk.post("/api/v1/pumps/XXX-99/rebuilds", "{\"reason\": \"\"}").status())
        .isEqualTo(404);
    assertThat(desk.get("/api/v1/rebuilds/999999").body().path("detail").asText())
        .isEqualTo("No rebuild 999999.");
    assertThat(desk.get("/api/v1/rebuilds/seven").status()).isEqualTo(404);
  }

  @Test
  void textThatIsTooLongIsRefusedBySaying() {
    ApiClient.Job job = desk.job("SCR-07");
    ApiClient.Reply reply = job.tries("NOTED", Map.of("text", "x".repeat(3000)));
    assertThat(reply.status()).isEqualTo(400);
    assertThat(reply.fault("act.text")).contains("2000");
  }

  @Test
  void theWrenchForAnAdapterIsChosenFromTheCrib() {
    JsonNode choice =
        desk.get("/api/v1/wrenches/choice?targetNm=15&handleMm=300&adapterMm=50&angleDeg=0").body();
    assertThat(choice.path("settingNm").asDouble()).isEqualTo(15.0 * 300 / 350);
    assertThat(choice.path("wrench").asText()).isEqualTo("W-05");
    ApiClient.Reply bad =
        desk.get("/api/v1/wrenches/choice?targetNm=15&handleMm=long&adapterMm=50&angleDeg=0");
    assertThat(bad.status()).isEqualTo(400);
    assertThat(bad.fault("handleMm")).contains("\"long\" is not a number");
  }

  @Test
  void aJobThatIsHandedOverWaitsUntilSomebodyTookItOn() {
    ApiClient.Job job = desk.job("EFF-06");
    Map<String, String> note = Map.of("note", "Side B plates off. Waits for kit L-0417.");
    assertThat(job.tries("HANDED_OVER", note).fault("")).isEqualTo("Nothing is begun yet.");
    job.takesIn("renew:tube").makesSafe().strips();
    assertThat(job.tries("HANDED_OVER", Map.of("note", " ")).fault("note"))
        .contains("how it stands");
    assertThat(job.tries("TAKEN_ON", Map.of()).fault("")).contains("not handed over");
    assertThat(desk.get("/api/v1/rebuilds/" + job.id() + "/handover.pdf").status()).isEqualTo(422);
    job.does("HANDED_OVER", note);
    JsonNode handover = job.view().path("handover");
    assertThat(handover.path("who").asText()).isEqualTo("RT");
    assertThat(handover.path("note").asText()).isEqualTo(note.get("note"));
    assertThat(handover.path("off").asInt()).isPositive();
    assertThat(handover.path("locks"))
        .isNotEmpty()
        .anyMatch(l -> l.path("by").asText().equals("RT"));
    ApiClient.Reply card = desk.get("/api/v1/rebuilds/" + job.id() + "/handover.pdf");
    assertThat(card.kind()).isEqualTo("application/pdf");
    assertThat(job.tries("PAUSED", Map.of("waitsFor", "kit")).fault(""))
        .isEqualTo("RT hands this job over: read the note and take it on first.");
    job.does("NOTED", Map.of("text", "kit came")).does("TAKEN_ON", Map.of());
    assertThat(job.view().hasNonNull("handover")).isFalse();
    assertThat(job.log().toString()).contains("handed over: Side B plates off.", "taken on");
  }
}
