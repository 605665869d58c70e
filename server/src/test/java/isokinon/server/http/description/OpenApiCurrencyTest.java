package isokinon.server.http.description;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import isokinon.server.ApiClient;
import isokinon.server.DescribedOperation;
import isokinon.server.MillTest;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/**
 * The description that the screens' types are made from is the one the application serves. After a
 * change of the API run this with {@code -Dopenapi.write=true} and commit what it wrote.
 */
@MillTest
class OpenApiCurrencyTest {

  private static final Path STORED = Path.of("../ui/src/api/openapi.json");

  @Autowired private ApiClient desk;

  @Test
  void theStoredDescriptionIsTheServedOne() throws IOException {
    ObjectMapper json = new ObjectMapper();
    JsonNode served = desk.get("/api/openapi").body();
    if (Boolean.getBoolean("openapi.write")) {
      Files.writeString(
          STORED, json.writerWithDefaultPrettyPrinter().writeValueAsString(served) + "\n");
    }
    assertThat(json.readTree(STORED.toFile()).equals(served))
        .as("ui/src/api/openapi.json is out of date: run this test with -Dopenapi.write=true")
        .isTrue();
  }

  @Test
  void everyFieldAndParameterHasItsMeaningAndNoTermIsLeftOver() {
    JsonNode api = desk.get("/api/openapi").body();
    Set<String> used = new HashSet<>();
    List<String> silent = new ArrayList<>();
    api.at("/components/schemas")
        .fields()
        .forEachRemaining(
            schema ->
                schema
                    .getValue()
                    .path("properties")
                    .fields()
                    .forEachRemaining(
                        f -> {
                          used.add(f.getKey());
                          used.add(schema.getKey() + "." + f.getKey());
                          JsonNode named =
                              api.at(f.getValue().path("$ref").asText("#/none").substring(1));
                          if (f.getValue().path("description").asText().isBlank()
                              && named.path("description").asText().isBlank()) {
                            silent.add(schema.getKey() + "." + f.getKey());
                          }
                        }));
    for (JsonNode parameter : api.findValues("parameters").stream().flatMap(all()).toList()) {
      used.add(parameter.path("name").asText());
      if (parameter.path("description").asText().isBlank()) {
        silent.add(parameter.path("name").asText());
      }
    }
    assertThat(silent).isEmpty();
    assertThat(ApiTerms.shipped().names()).isSubsetOf(used);
  }

  private static Function<JsonNode, Stream<JsonNode>> all() {
    return list -> StreamSupport.stream(list.spliterator(), false);
  }

  @Test
  void everyOperationTellsHowItRefuses() {
    List<String> silent = new ArrayList<>();
    for (DescribedOperation o : DescribedOperation.all(desk)) {
      boolean refuses =
          o.described().path("responses").properties().stream()
              .anyMatch(code -> code.getKey().startsWith("4"));
      if (!refuses) {
        silent.add(o.name());
      }
    }
    assertThat(silent).isEmpty();
    assertThat(desk.get("/api/v1/floor", "image/png").status()).isEqualTo(406);
  }

  @Test
  void theFixedComputePathsAreDescribed() {
    JsonNode paths = desk.get("/api/openapi").body().path("paths");
    for (String path :
        ("plan kit-cover torque/order torque/setting life/fit life/posterior life/risk"
                + " life/interval wet-end/rate cavity/fit cavity/flow tube/gap tube/calibration"
                + " magnet/margin shelf-life")
            .split(" ")) {
      assertThat(paths.has("/api/v1/compute/" + path)).as(path).isTrue();
    }
  }

  @Test
  void everyFieldOfEveryRequestHasItsBounds() {
    JsonNode api = desk.get("/api/openapi").body();
    Set<String> open = new HashSet<>();
    Set<String> seen = new HashSet<>();
    for (JsonNode asked : api.path("paths").findValues("requestBody")) {
      unbounded("", asked, api, seen, open);
    }
    assertThat(seen).hasSizeGreaterThan(50);
    assertThat(open).isEmpty();
  }

  private static void unbounded(
      String name, JsonNode node, JsonNode api, Set<String> seen, Set<String> open) {
    String ref = node.path("$ref").asText();
    if (!ref.isEmpty()) {
      if (seen.add(ref)) {
        unbounded(ref, api.at(ref.substring(1)), api, seen, open);
      }
      return;
    }
    boolean bounded =
        switch (node.path("type").asText()) {
          case "string" -> node.has("maxLength") || node.has("enum") || node.has("format");
          case "number", "integer" -> node.has("maximum") && node.has("minimum");
          case "array" -> node.has("maxItems");
          default -> true;
        };
    if (!bounded) {
      open.add(name);
    }
    node.fields()
        .forEachRemaining(f -> unbounded(name + "/" + f.getKey(), f.getValue(), api, seen, open));
    node.forEach(
        inside -> {
          if (node.isArray()) {
            unbounded(name + "[]", inside, api, seen, open);
          }
        });
  }
}
