package isokinon.bench.campaign;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import isokinon.bench.shop.Shop;
import java.net.URLEncoder;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;

/**
 * Requests as the API description has them, with one field or more wrong; never a fault of ours.
 */
final class Mutations {

  private static final JsonNodeFactory MAKE = JsonNodeFactory.instance;
  private static final int DEEPEST = 6;
  private static final int ROUNDS_IN_A_FOLDER = 20;
  private static final String[] WORDS = {
    "EFF-02",
    "RT",
    "CSM",
    "wet-kit",
    "aodd-bolted-plastic-25",
    "diaphragm",
    "water",
    "L-0417",
    "2026-10-01"
  };

  private final JsonNode api;
  private final Random random;

  private Mutations(JsonNode api, Random random) {
    this.api = api;
    this.random = random;
  }

  private record Operation(String method, String path, JsonNode body, JsonNode parameters) {}

  /**
   * So many requests in rounds of a hundred, on from those that were done; tells how many rounds
   * went wrong. After each write that was refused everything must be as it was before.
   */
  static int run(String campaign, int requests, long seed) throws Exception {
    Rounds rounds = new Rounds(campaign);
    Random random = rounds.random(seed);
    int wrong = 0;
    while (rounds.left(requests / 100)) {
      try (Shop shop = new Shop()) {
        shop.start(Kills.BRIEF);
        Mutations mutations = new Mutations(shop.read("/api/openapi"), random);
        // A folder is used for so long; what was taken in mistakes makes it grow.
        for (int i = 0; i < ROUNDS_IN_A_FOLDER && rounds.left(requests / 100); i++) {
          wrong += mutations.round(shop, rounds.next());
        }
      }
    }
    return wrong;
  }

  private int round(Shop shop, int round) throws Exception {
    Map<Integer, Integer> answers = new TreeMap<>();
    List<String> faults = new ArrayList<>();
    List<Operation> operations = operations();
    String state = state(shop);
    int compared = 0;
    for (int i = 0; i < 100; i++) {
      Operation o = operations.get(random.nextInt(operations.size()));
      String path = address(o);
      String body = o.body().isMissingNode() ? "" : value(o.body(), 0).toString();
      HttpResponse<String> answer = shop.send(o.method(), path, body);
      answers.merge(answer.statusCode() / 100 * 100, 1, Integer::sum);
      if (answer.statusCode() >= 500) {
        faults.add(o.method() + " " + path + " " + body);
      }
      if (!o.method().equals("GET") && !path.contains("/compute/")) {
        String now = state(shop);
        if (answer.statusCode() >= 400) {
          compared++;
          if (!now.equals(state)) {
            faults.add("refused and yet changed: " + o.method() + " " + path + " " + body);
          }
        }
        state = now;
      }
    }
    System.out.printf(
        "mutations %d: %s, %d refused writes compared%s%n",
        round * 100, answers, compared, faults.isEmpty() ? "" : " WRONG " + shortened(faults));
    return faults.isEmpty() ? 0 : 1;
  }

  private static String state(Shop shop) throws Exception {
    return shop.get("/api/v1/everything.json").body();
  }

  private static String shortened(List<String> faults) {
    String all = faults.toString();
    return all.length() > 1500 ? all.substring(0, 1500) : all;
  }

  private List<Operation> operations() {
    List<Operation> all = new ArrayList<>();
    api.path("paths")
        .fields()
        .forEachRemaining(
            path ->
                path.getValue()
                    .fields()
                    .forEachRemaining(
                        o -> {
                          String method = o.getKey().toUpperCase(java.util.Locale.ROOT);
                          JsonNode body =
                              o.getValue().at("/requestBody/content/application~1json/schema");
                          boolean restores = path.getKey().endsWith("everything.json");
                          if (List.of("POST", "PUT", "GET").contains(method)
                              && !restores
                              && !ofSigningIn(path.getKey())
                              && !path.getKey().contains("stream")) {
                            all.add(
                                new Operation(
                                    method, path.getKey(), body, o.getValue().path("parameters")));
                          }
                        }));
    return all;
  }

  /** Who asks must be able to go on asking: no PIN is changed, nobody retired, nothing locked. */
  private static boolean ofSigningIn(String path) {
    return path.contains("/session") || path.contains("/people/") || path.contains("/first-lead");
  }

  private String address(Operation o) {
    String path = o.path();
    StringBuilder query = new StringBuilder();
    for (JsonNode p : o.parameters()) {
      String value = random.nextInt(4) == 0 ? odd().asText() : WORDS[random.nextInt(WORDS.length)];
      String coded =
          URLEncoder.encode(
                  value.isEmpty() ? "x" : value.substring(0, Math.min(300, value.length())),
                  StandardCharsets.UTF_8)
              .replace("+", "%20");
      if (p.path("in").asText().equals("path")) {
        path = path.replace("{" + p.path("name").asText() + "}", coded);
      } else {
        query
            .append(query.isEmpty() ? "?" : "&")
            .append(p.path("name").asText())
            .append('=')
            .append(coded);
      }
    }
    return path + query;
  }

  private JsonNode value(JsonNode schema, int depth) {
    if (random.nextInt(12) == 0) {
      return odd();
    }
    String ref = schema.path("$ref").asText();
    if (!ref.isEmpty()) {
      return depth > DEEPEST ? MAKE.nullNode() : value(api.at(ref.substring(1)), depth + 1);
    }
    if (schema.has("oneOf")) {
      JsonNode kinds = schema.path("oneOf");
      return value(kinds.get(random.nextInt(kinds.size())), depth + 1);
    }
    if (schema.has("enum")) {
      return schema.path("enum").get(random.nextInt(schema.path("enum").size()));
    }
    return switch (schema.path("type").asText()) {
      case "string" ->
          MAKE.textNode(
              schema.path("format").asText().equals("uuid")
                  ? java.util.UUID.randomUUID().toString()
                  : WORDS[random.nextInt(WORDS.length)]);
      case "number" -> MAKE.numberNode(random.nextInt(4000) / 10.0);
      case "integer" -> MAKE.numberNode(random.nextInt(40));
      case "boolean" -> MAKE.booleanNode(random.nextBoolean());
      case "array" -> {
        ArrayNode list = MAKE.arrayNode();
        for (int i = random.nextInt(3); i > 0; i--) {
          list.add(value(schema.path("items"), depth + 1));
        }
        yield list;
      }
      default -> {
        ObjectNode object = MAKE.objectNode();
        JsonNode inherited = schema.path("allOf");
        for (JsonNode part : inherited) {
          if (value(part, depth + 1) instanceof ObjectNode more) {
            object.setAll(more);
          }
        }
        schema
            .path("properties")
            .fields()
            .forEachRemaining(
                f -> {
                  if (random.nextInt(10) > 0) {
                    object.set(f.getKey(), value(f.getValue(), depth + 1));
                  }
                });
        yield object;
      }
    };
  }

  /** What nobody sends. */
  private JsonNode odd() {
    return switch (random.nextInt(14)) {
      case 0 -> MAKE.nullNode();
      case 1 -> MAKE.textNode("x".repeat(1 + random.nextInt(5000)));
      case 2 -> MAKE.numberNode(1e308);
      case 3 -> MAKE.numberNode(-5);
      case 4 -> MAKE.numberNode(2.9);
      case 5 -> MAKE.textNode("NaN");
      case 6 -> MAKE.textNode("");
      case 7 -> MAKE.textNode("' or 1=1; drop table pump; --");
      case 8 -> MAKE.arrayNode().add(MAKE.nullNode());
      case 9 -> MAKE.objectNode().set("a", MAKE.nullNode());
      case 10 -> MAKE.numberNode(Long.MAX_VALUE);
      case 11 -> MAKE.textNode("\u0000\uD800\u202E");
      case 12 -> MAKE.booleanNode(true);
      default -> MAKE.textNode("7");
    };
  }
}
