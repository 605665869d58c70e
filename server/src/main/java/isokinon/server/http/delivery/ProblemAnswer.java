package isokinon.server.http.delivery;

import com.fasterxml.jackson.databind.ObjectMapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import java.util.Map;

/** A refusal that is answered before any operation is asked, in the shape of all others. */
public final class ProblemAnswer {

  private static final ObjectMapper JSON = new ObjectMapper();

  private ProblemAnswer() {}

  /** Writes a refusal: its HTTP status, its kind and one sentence. */
  public static void write(HttpServletResponse response, int status, String title, String sentence)
      throws IOException {
    response.setStatus(status);
    response.setContentType("application/problem+json");
    JSON.writeValue(
        response.getOutputStream(),
        Map.of(
            "status",
            status,
            "title",
            title,
            "detail",
            sentence,
            "errors",
            List.of(Map.of("path", "", "message", sentence))));
  }
}
