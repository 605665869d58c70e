package isokinon.server;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * Someone at a desk: asks the server over HTTP as any program would, signed in as the lead of the
 * mill where nothing else is said. The journeys use it too, to bring a job quickly to the stage
 * they look at.
 */
public class ApiClient {

  /** The field of a request that only asks for its right. */
  static final String ASKS_ONLY = "x-asks-only";

  /** An answer: its status, what kind it is, and its body as JSON where it is. */
  public record Reply(int status, String kind, JsonNode body, byte[] bytes) {

    /** The message at a path of the {@code errors}; null where there is none. */
    public String fault(String path) {
      for (JsonNode error : body.path("errors")) {
        if (error.path("path").asText().equals(path)) {
          return error.path("message").asText();
        }
      }
      return null;
    }
  }

  private static final ObjectMapper JSON = new ObjectMapper();

  /** The people of the demo mill and the PINs that its sign-in page shows. */
  private static final Map<String, String> PINS =
      Map.of("RT", "1704", "KO", "2916", "MA", "3805", "SB", "4627", "WD", "5917");

  private static final String LEAD = "MA";
  private static final int NOT_SIGNED_IN = 401;

  private final HttpClient client;
  private final String address;
  private final String who;
  private final Map<String, String> cookies;

  /** A client of the server at {@code address}, without a slash at its end. */
  public ApiClient(String address) {
    this(HttpClient.newHttpClient(), address, LEAD, new ConcurrentHashMap<>());
  }

  private ApiClient(HttpClient client, String address, String who, Map<String, String> cookies) {
    this.client = client;
    this.address = address;
    this.who = who;
    this.cookies = cookies;
  }

  /** The same desk with somebody else at it. */
  public ApiClient as(String initials) {
    return new ApiClient(client, address, initials, cookies);
  }

  /** The same desk with nobody signed in. */
  public ApiClient asNobody() {
    return as("");
  }

  /** The PIN of somebody at the mill. */
  public static String pin(String initials) {
    return PINS.get(initials);
  }

  /** Asks for what is at {@code path}. */
  public Reply get(String path) {
    return send(HttpRequest.newBuilder().GET(), path);
  }

  /** Asks for what is at {@code path} in this kind, as in the Accept field. */
  public Reply get(String path, String kind) {
    return send(HttpRequest.newBuilder().header("accept", kind).GET(), path);
  }

  /** Sends JSON text. */
  public Reply post(String path, String json) {
    return post(path, json, "application/json");
  }

  /** Sends text of a kind. */
  public Reply post(String path, String text, String kind) {
    return send(
        HttpRequest.newBuilder()
            .header("content-type", kind)
            .POST(HttpRequest.BodyPublishers.ofString(text)),
        path);
  }

  /** Puts JSON text in the place of what is there. */
  public Reply put(String path, String json) {
    return send(
        HttpRequest.newBuilder()
            .header("content-type", "application/json")
            .PUT(HttpRequest.BodyPublishers.ofString(json)),
        path);
  }

  /** Takes what is there out. */
  public Reply delete(String path) {
    return send(HttpRequest.newBuilder().DELETE(), path);
  }

  /** Whether the operation is this person's: asked in any way, with nothing in it, and not done. */
  public Reply mayAsk(String method, String path, String kind) {
    return send(
        HttpRequest.newBuilder()
            .header(ASKS_ONLY, "")
            .header("content-type", kind)
            .method(
                method,
                method.equals("GET")
                    ? HttpRequest.BodyPublishers.noBody()
                    : HttpRequest.BodyPublishers.ofString("{}")),
        path);
  }

  /** Sends bytes of a kind. */
  public Reply post(String path, byte[] bytes, String kind) {
    return send(
        HttpRequest.newBuilder()
            .header("content-type", kind)
            .POST(HttpRequest.BodyPublishers.ofByteArray(bytes)),
        path);
  }

  private Reply send(HttpRequest.Builder request, String path) {
    request.uri(URI.create(address + path));
    try {
      HttpResponse<byte[]> response = signedIn(request);
      if (response.statusCode() == NOT_SIGNED_IN && !who.isEmpty()) {
        cookies.remove(who);
        response = signedIn(request);
      }
      String kind = response.headers().firstValue("content-type").orElse("");
      JsonNode body = kind.contains("json") ? JSON.readTree(response.body()) : JSON.nullNode();
      return new Reply(response.statusCode(), kind, body, response.body());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  private HttpResponse<byte[]> signedIn(HttpRequest.Builder request)
      throws IOException, InterruptedException {
    if (!who.isEmpty()) {
      request.setHeader("cookie", cookie());
    }
    return client.send(request.build(), HttpResponse.BodyHandlers.ofByteArray());
  }

  /** Where the application answers. */
  public String address() {
    return address;
  }

  /** What the device of this person holds, for what is asked without this client. */
  public String cookie() {
    return cookies.computeIfAbsent(who, this::cookie);
  }

  private String cookie(String initials) {
    HttpRequest signIn =
        HttpRequest.newBuilder(URI.create(address + "/api/v1/session"))
            .header("content-type", "application/json")
            .POST(
                HttpRequest.BodyPublishers.ofString(
                    "{\"initials\": \"%s\", \"pin\": \"%s\", \"device\": \"desk\"}"
                        .formatted(initials, pin(initials))))
            .build();
    try {
      HttpResponse<String> answer = client.send(signIn, HttpResponse.BodyHandlers.ofString());
      return answer
          .headers()
          .firstValue("set-cookie")
          .map(c -> c.replaceFirst(";.*", ""))
          .orElseThrow(() -> new AssertionError(answer.body()));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  /** Brings a pump to the bench. */
  public Job job(String tag) {
    Reply opened = as("RT").post("/api/v1/pumps/" + tag + "/rebuilds", "{\"reason\": \"due\"}");
    if (opened.status() != 200) {
      throw new AssertionError(opened);
    }
    return new Job(opened.body().path("id").asLong(), opened.body());
  }

  /** A job that is at the bench already, as it stands now. */
  public Job jobAtTheBench(long id) {
    return new Job(id, get("/api/v1/rebuilds/" + id).body());
  }

  /** What a take-in asks for, of {@code renew:part}, {@code inspect:part}, {@code way:way}. */
  public static Map<String, Object> askedFor(String... asked) {
    Map<String, Object> fields = new HashMap<>(Map.of("reason", "due"));
    Map.of("renew", "renew:", "inspect", "inspect:", "ways", "way:", "avoid", "avoid:")
        .forEach(
            (field, word) ->
                fields.put(
                    field,
                    Stream.of(asked)
                        .filter(a -> a.startsWith(word))
                        .map(a -> a.substring(word.length()))
                        .toList()));
    return fields;
  }

  /** A reading of a measure of a part. */
  public static Map<String, Object> measurement(String measure, String typed) {
    return Map.of("measure", measure, "reading", Map.of("typed", typed));
  }

  /** A rebuild as one device sees it. */
  public final class Job {
    private final long id;
    private JsonNode view;
    private int lastBytes;

    private Job(long id, JsonNode view) {
      this.id = id;
      this.view = lifted(view);
    }

    public long id() {
      return id;
    }

    /** What the bench shows: the head, and beside it what the stage in hand shows. */
    public JsonNode view() {
      return view;
    }

    /** How long the answer to the last act was, bytes. */
    public int lastBytes() {
      return lastBytes;
    }

    /** Everything that was done, in order. */
    public JsonNode log() {
      return get("/api/v1/rebuilds/" + id + "/log").body();
    }

    /** The drawing, as it was last made. */
    public JsonNode drawing() {
      return get("/api/v1/rebuilds/" + id + "/drawing").body();
    }

    /** The stage in hand beside the head, so that a test reads {@code /step/id}. */
    private JsonNode lifted(JsonNode answer) {
      if (answer.path("inHand").isObject()) {
        ObjectNode flat = answer.deepCopy();
        answer.path("inHand").fields().forEachRemaining(f -> flat.set(f.getKey(), f.getValue()));
        return flat;
      }
      return answer;
    }

    public String stage() {
      return view.path("stage").asText();
    }

    /** Another device that looks at the same rebuild now. */
    public Job elsewhere() {
      return jobAtTheBench(id);
    }

    /** Another device that last looked when {@code other} did. */
    public Job elsewhereOf(Job other) {
      return new Job(id, other.view);
    }

    /**
     * Tries an act, given as its fields; takes over the state it leads to. {@code seen} and {@code
     * signer} among them are those of the request, {@code who} is who is signed in, else RT.
     */
    public Reply tries(String kind, Map<String, ?> fields) {
      ObjectNode act = JSON.valueToTree(fields);
      ObjectNode request = JSON.createObjectNode();
      request.put("key", UUID.randomUUID().toString()).put("seen", view.path("seq").asLong());
      for (String field : List.of("seen", "signer")) {
        Optional.ofNullable(act.remove(field)).ifPresent(v -> request.set(field, v));
      }
      JsonNode by = act.remove("who");
      request.set("act", act.put("kind", kind));
      ApiClient hand = as(by == null ? "RT" : by.asText());
      Reply reply = hand.post("/api/v1/rebuilds/" + id + "/acts", request.toString());
      if (reply.status() == 200) {
        view = lifted(reply.body());
        lastBytes = reply.bytes().length;
      }
      return reply;
    }

    /** What taking in would lead to. */
    public Reply ways(String... asked) {
      ObjectNode act = JSON.valueToTree(askedFor(asked));
      return post("/api/v1/rebuilds/" + id + "/ways", act.put("kind", "TAKEN_IN").toString());
    }

    /** Does an act that must be recorded. */
    public Job does(String kind, Map<String, ?> fields) {
      Reply reply = tries(kind, fields);
      if (reply.status() != 200) {
        throw new AssertionError(kind + " " + fields + ": " + reply.body());
      }
      return this;
    }

    /** Takes the pump in, asking for {@code renew:part}, {@code inspect:part}, {@code way:way}. */
    public Job takesIn(String... asked) {
      return does("TAKEN_IN", askedFor(asked));
    }

    public Job makesSafe() {
      for (JsonNode gate : view.path("gates")) {
        if (gate.path("answered").asBoolean()) {
          continue;
        }
        String subject = gate.path("id").asText();
        if (gate.path("confirmation").asBoolean()) {
          does("CONFIRMED", Map.of("confirmation", subject));
        } else {
          does(
              "PROVED_SAFE",
              Map.of(
                  "who",
                  gate.path("electrical").asBoolean() ? "KO" : "RT",
                  "hazard",
                  subject,
                  "reading",
                  Map.of("typed", gate.path("kind").asText().equals("number") ? safe(gate) : "")));
        }
      }
      return does("STAGE_DONE", Map.of("stage", "MAKE_SAFE"));
    }

    /** A reading that counts as safe: none at all where that does, else the middle. */
    private static String safe(JsonNode gate) {
      double min = gate.path("min").asDouble(0);
      return min <= 0 ? "0" : Double.toString((min + gate.path("max").asDouble(min)) / 2);
    }

    public Job answersChecks() {
      String step = view.at("/step/id").asText();
      for (JsonNode place : view.at("/step/places")) {
        if (place.path("placed").isNull()) {
          String own = place.path("place").asText();
          does("PLACED", Map.of("step", step, "place", own, "piece", own));
        }
      }
      for (JsonNode check : view.at("/step/checks")) {
        if (!check.path("answered").asBoolean()) {
          does(
              "CHECKED",
              Map.of(
                  "step",
                  step,
                  "check",
                  check.path("id").asText(),
                  "reading",
                  Map.of("typed", within(check))));
        }
        if (check.path("second").asBoolean() && check.path("secondBy").asText().isEmpty()) {
          does("SECONDED", Map.of("step", step, "check", check.path("id").asText(), "who", "KO"));
        }
      }
      return this;
    }

    /** A reading within the limits of a check or test; nothing where it is only confirmed. */
    private static String within(JsonNode asked) {
      if (!asked.path("kind").asText().equals("number")) {
        return "";
      }
      return asked.path("min").isNumber()
          ? asked.path("min").asText()
          : asked.path("max").isNumber() ? asked.path("max").asText() : "1";
    }

    public Job strips() {
      while (stage().equals("STRIP")) {
        stripsOne();
      }
      return this;
    }

    private void stripsOne() {
      answersChecks();
      does("STEP_DONE", Map.of("step", view.at("/step/id").asText()));
    }

    /** Strips until the step whose sentence holds these words is in hand. */
    public Job stripsUpTo(String words) {
      while (!inHand(words)) {
        stripsOne();
      }
      return this;
    }

    private boolean inHand(String words) {
      return view.at("/step/sentence").asText().contains(words);
    }

    public Job inspects() {
      for (JsonNode item : view.path("inspect")) {
        if (!item.path("renewedAnyway").asBoolean()
            && item.path("state").asText().equals("unknown")) {
          does("JUDGED", Map.of("part", item.path("part").asText(), "verdict", "sound"));
        }
      }
      return does("STAGE_DONE", Map.of("stage", "INSPECT"));
    }

    /** One lot for what is renewed, one material for every role. */
    public Job decides(String lot, String material) {
      return decides(lot, role -> material);
    }

    /** Single parts for what is renewed, of the materials that were in it. */
    public Job decidesAsBefore() {
      return decides("single", role -> role.path("fitted").asText());
    }

    private Job decides(String lot, Function<JsonNode, String> material) {
      List<String> parts = new ArrayList<>();
      view.at("/decide/parts").forEach(p -> parts.add(p.path("part").asText()));
      if (!parts.isEmpty()) {
        does("KIT_FITTED", Map.of("lot", lot, "parts", parts, "note", "bag 77"));
      }
      for (JsonNode role : view.at("/decide/roles")) {
        does(
            "MATERIAL_CHOSEN",
            Map.of("role", role.path("role").asText(), "material", material.apply(role)));
      }
      return does("STAGE_DONE", Map.of("stage", "DECIDE"));
    }

    public Job torques() {
      JsonNode torque = view.at("/step/torque");
      while (torque.isObject() && !torque.path("finished").asBoolean()) {
        String step = view.at("/step/id").asText();
        int pass = torque.path("pass").asInt();
        if (pass == torque.path("fullPass").asInt()) {
          does(
              "TORQUE_READ",
              Map.of(
                  "step",
                  step,
                  "pass",
                  pass,
                  "fastener",
                  torque.path("nextFastener").asInt(),
                  "reading",
                  Map.of("typed", torque.path("targetNm").asText())));
        } else {
          does("PASS_DONE", Map.of("step", step, "pass", pass));
        }
        torque = view.at("/step/torque");
      }
      return this;
    }

    public Job builds() {
      while (stage().equals("BUILD")) {
        buildsOne();
      }
      return this;
    }

    private void buildsOne() {
      answersChecks();
      torques();
      does("STEP_DONE", Map.of("step", view.at("/step/id").asText()));
    }

    /** Builds until the step whose sentence holds these words is in hand. */
    public Job buildsUpTo(String words) {
      while (!inHand(words)) {
        buildsOne();
      }
      return this;
    }

    /** Does every test of the proof before the one that asks with these words. */
    public Job provesUpTo(String words) {
      for (JsonNode test : view.path("proof")) {
        if (test.path("ask").asText().contains(words)) {
          return this;
        }
        proves(test);
      }
      throw new AssertionError("no test asks " + words);
    }

    public Job proves() {
      view.path("proof").forEach(this::proves);
      return does("STAGE_DONE", Map.of("stage", "PROVE"));
    }

    private void proves(JsonNode test) {
      if (!test.path("passed").asBoolean()) {
        for (int run = 0; run < (test.path("calibration").asBoolean() ? 3 : 1); run++) {
          does(
              "PROVED",
              Map.of(
                  "test",
                  test.path("id").asText(),
                  "reading",
                  Map.of("typed", within(test)),
                  "timing",
                  "timed by a watch of our own"));
        }
      }
    }

    /** Signs off what was done, with a PIN. */
    public Job signsOff(String who) {
      return does(
          "SIGNED_OFF", Map.of("signer", Map.of("initials", who, "pin", pin(who)), "who", who));
    }

    public Job handsBack() {
      return signsOff("RT").does("HANDED_BACK", Map.of());
    }
  }
}
