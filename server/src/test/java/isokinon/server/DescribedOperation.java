package isokinon.server;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** An operation as the API description has it. */
public record DescribedOperation(String method, String path, JsonNode described) {

  /** Every operation that a server describes. */
  public static List<DescribedOperation> all(ApiClient desk) {
    List<DescribedOperation> all = new ArrayList<>();
    JsonNode paths = desk.get("/api/openapi").body().path("paths");
    for (var path : paths.properties()) {
      for (var o : path.getValue().properties()) {
        all.add(
            new DescribedOperation(
                o.getKey().toUpperCase(Locale.ROOT), path.getKey(), o.getValue()));
      }
    }
    return all;
  }

  /** How it is called. */
  public String name() {
    return method + " " + path;
  }
}
