package isokinon.server.http;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import isokinon.server.ApiClient;
import isokinon.server.MillTest;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
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
}
