package isokinon.server.http.ahead;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import isokinon.server.ApiClient;
import isokinon.server.ApiClient.Job;
import isokinon.server.ApiClient.Reply;
import isokinon.server.MillTest;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** A job worked out ahead, carried on without the server, and joined to it again. */
@MillTest
class AwayApiTest {

  private static final ObjectMapper JSON = new ObjectMapper();

  @Autowired private ApiClient desk;

  /** What a tablet keeps while the server is away. */
  private final class Tablet {
    private final Job job;
    private final long seen;
    private final JsonNode ahead;
    private final ArrayNode kept = JSON.createArrayNode();
    private int at;

    Tablet(Job job) {
      this.job = job;
      this.seen = job.view().path("seq").asLong();
      this.ahead = desk.as("RT").get("/api/v1/rebuilds/" + job.id() + "/ahead").body();
      assertThat(ahead.path("seq").asLong()).isEqualTo(seen);
    }

    private JsonNode situation() {
      return ahead.path("situations").path(at);
    }

    String stage() {
      return situation().at("/view/stage").asText();
    }

    /** An act in the order of the screen; an act is kept a minute after the one before. */
    Tablet keeps(ObjectNode act) {
      kept.forEach(k -> ((ObjectNode) k).put("secondsAgo", k.path("secondsAgo").asLong() + 60));
      kept.addObject()
          .put("key", UUID.randomUUID().toString())
          .put("secondsAgo", 0)
          .set("act", act);
      return this;
    }

    /** Goes on as usual until a stage is in hand, or until nothing can come. */
    Tablet goesOnTo(String stage) {
      while (!stage().equals(stage) && situation().path("may").size() > 0) {
        int then = at;
        for (JsonNode may : situation().path("may")) {
          if (!List.of("watch", "renew").contains(may.at("/of/verdict").asText())) {
            keeps(fitted(usual(may)));
            then = Math.max(then, may.path("then").asInt());
          }
        }
        at = then;
      }
      return this;
    }

    /** The parts and materials that a lot brings stand beside it on the screen. */
    private ObjectNode fitted(ObjectNode act) {
      for (JsonNode lot : situation().at("/view/inHand/decide/lots")) {
        if (lot.path("id").asText().equals(act.path("lot").asText())) {
          act.set("parts", lot.path("covers"));
          act.set("materials", lot.path("materials"));
        }
      }
      return act;
    }

    private static ObjectNode usual(JsonNode may) {
      ObjectNode act = JSON.createObjectNode().put("kind", may.path("kind").asText());
      may.path("of")
          .fields()
          .forEachRemaining(
              f -> {
                String value = f.getValue().asText();
                if (List.of("pass", "fastener").contains(f.getKey())) {
                  act.put(f.getKey(), Integer.parseInt(value));
                } else {
                  act.put(f.getKey(), value);
                }
              });
      for (JsonNode band : may.path("bands")) {
        boolean number = band.path("least").isNumber() || band.path("most").isNumber();
        if (number
            && band.path("measure").asText().isEmpty()
            && (band.path("outcome").asText().equals("goes-on")
                || band.path("unless").asText().equals("timing"))) {
          String typed =
              band.path("least").isNumber()
                  ? band.path("least").asText()
                  : band.path("most").asText();
          act.putObject("reading").put("typed", typed);
          break;
        }
      }
      if (act.path("kind").asText().equals("PROVED")) {
        act.put("timing", "by the watch on the wall");
      }
      return act;
    }

    Reply joins(boolean record, Map<String, String> decided) {
      ObjectNode story = JSON.createObjectNode().put("seen", seen).put("record", record);
      story.set("acts", kept);
      story.set("decided", JSON.valueToTree(decided));
      return desk.as("RT").post("/api/v1/rebuilds/" + job.id() + "/join", story.toString());
    }

    String lastKey() {
      return kept.path(kept.size() - 1).path("key").asText();
    }
  }

  private static ObjectNode judged(String part, String verdict, String because) {
    return JSON.createObjectNode()
        .put("kind", "JUDGED")
        .put("part", part)
        .put("verdict", verdict)
        .put("because", because);
  }

  private static List<String> fates(Reply reply) {
    List<String> fates = new ArrayList<>();
    reply.body().path("mine").forEach(m -> fates.add(m.path("fate").asText()));
    return fates;
  }

  @Test
  void aShiftWithoutTheServerBecomesOneRecordAndIsRecordedOnce() {
    Job job = desk.job("EFF-02").takesIn("inspect:outlet-seats").makesSafe();
    Tablet tablet = new Tablet(job).goesOnTo("HAND_BACK");
    assertThat(tablet.stage()).isEqualTo("HAND_BACK");
    assertThat(tablet.ahead.path("findings").size()).isPositive();
    assertThat(tablet.ahead.path("drawing").size()).isPositive();
    Reply looked = tablet.joins(false, Map.of());
    assertThat(looked.status()).as(looked.body().toString()).isEqualTo(200);
    assertThat(fates(looked)).as(looked.body().path("mine").toString()).containsOnly("goes-in");
    assertThat(looked.body().at("/view/stage").asText()).isEqualTo("STRIP");
    Reply joined = tablet.joins(true, Map.of());
    assertThat(joined.body().path("recorded").asBoolean()).isTrue();
    assertThat(joined.body().at("/view/stage").asText()).isEqualTo("HAND_BACK");
    long seq = joined.body().at("/view/seq").asLong();
    assertThat(seq).isEqualTo(job.view().path("seq").asLong() + tablet.kept.size());
    assertThat(tablet.joins(true, Map.of()).body().at("/view/seq").asLong()).isEqualTo(seq);
    JsonNode log = job.log();
    assertThat(log.path(log.size() - 1).path("who").asText()).isEqualTo("RT");
    JsonNode minutes = joined.body().at("/view/elapsedMinutes");
    assertThat(minutes.asDouble()).isBetween(tablet.kept.size() - 5.0, tablet.kept.size() + 5.0);
  }

  @Test
  void twoAnswersToOneQuestionWaitForADecisionAndBothStandInTheRecord() {
    Job job = desk.job("EFF-05").takesIn("inspect:outlet-balls").makesSafe().strips();
    Tablet tablet = new Tablet(job);
    JsonNode part = tablet.situation().at("/may/0/of/part");
    tablet.keeps(judged(part.asText(), "watch", "lip worn bright"));
    Job bench = job.elsewhere();
    bench.does("JUDGED", Map.of("who", "KO", "part", part.asText(), "verdict", "sound"));

    Reply looked = tablet.joins(true, Map.of());
    assertThat(looked.body().path("recorded").asBoolean()).isFalse();
    assertThat(looked.body().path("open").asInt()).isEqualTo(1);
    assertThat(fates(looked)).containsExactly("twice");
    assertThat(looked.body().at("/mine/0/against").asLong())
        .isEqualTo(looked.body().at("/theirs/0/seq").asLong());
    assertThat(looked.body().at("/theirs/0/who").asText()).isEqualTo("KO");

    Reply joined = tablet.joins(true, Map.of(tablet.lastKey(), "theirs"));
    assertThat(joined.body().path("recorded").asBoolean()).isTrue();
    JsonNode log = job.log();
    JsonNode last = log.path(log.size() - 1);
    assertThat(last.path("say").asText()).contains("Without the server", "watch", "KO's stands");
  }

  @Test
  void whatIsRefusedAfterwardsSaysWhyAndStaysInWords() {
    Job job = desk.job("SCR-06").takesIn("inspect:cover").makesSafe();
    Tablet tablet = new Tablet(job).goesOnTo("INSPECT");
    job.elsewhere().does("PAUSED", Map.of("who", "KO", "waitsFor", "a crane", "note", ""));
    Reply looked = tablet.joins(true, Map.of());
    assertThat(looked.body().path("recorded").asBoolean()).isFalse();
    assertThat(fates(looked)).containsOnly("refused");
    assertThat(looked.body().at("/mine/0/because").asText())
        .isEqualTo("This job is paused: carry on first.");
    job.elsewhere().does("RESUMED", Map.of("who", "KO", "note", ""));
    Reply joined = tablet.joins(true, Map.of());
    assertThat(fates(joined)).containsOnly("goes-in");
    assertThat(joined.body().at("/view/stage").asText()).isEqualTo("INSPECT");
  }
}
