package isokinon.server.http.live;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.server.ApiClient;
import isokinon.server.MillTest;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.springframework.beans.factory.annotation.Autowired;

/** Whoever has a job open sees who else has, and what they do, at once. */
@MillTest
@Timeout(30)
class LiveApiTest {

  @Autowired private ApiClient desk;

  private final HttpClient client = HttpClient.newHttpClient();

  /** The stream of a job on the device of somebody. */
  private final class Stream implements AutoCloseable {
    private final InputStream in;
    private final BufferedReader lines;

    Stream(long job, String who) throws IOException, InterruptedException {
      HttpResponse<InputStream> response =
          client.send(
              HttpRequest.newBuilder(
                      URI.create(desk.address() + "/api/v1/rebuilds/" + job + "/live"))
                  .header("cookie", desk.as(who).cookie())
                  .build(),
              HttpResponse.BodyHandlers.ofInputStream());
      assertThat(response.statusCode()).isEqualTo(200);
      in = response.body();
      lines = new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8));
    }

    /** What is told next under a name. */
    String next(String name) throws IOException {
      String line = lines.readLine();
      while (!line.equals("event:" + name)) {
        line = lines.readLine();
      }
      return lines.readLine();
    }

    @Override
    public void close() throws IOException {
      in.close();
    }
  }

  @Test
  void whoeverHasAJobOpenSeesTheOtherAndWhatTheyDo() throws Exception {
    ApiClient.Job job = desk.job("EFF-05").takesIn("renew:diaphragm-a");
    try (Stream rt = new Stream(job.id(), "RT")) {
      assertThat(rt.next("people")).contains("\"RT\"").doesNotContain("\"KO\"");
      try (Stream ko = new Stream(job.id(), "KO")) {
        assertThat(rt.next("people")).contains("\"KO\"", "\"RT\"");
        assertThat(ko.next("people")).contains("\"KO\"", "\"RT\"");
        job.does("NOTED", Map.of("text", "strap comes off first"));
        String moved = "data:{\"seq\":" + job.view().path("seq") + "}";
        assertThat(rt.next("moved")).isEqualTo(moved);
        assertThat(ko.next("moved")).isEqualTo(moved);
      }
    }
    assertThat(desk.get("/api/v1/rebuilds/999999/live").status()).isEqualTo(404);
  }
}
