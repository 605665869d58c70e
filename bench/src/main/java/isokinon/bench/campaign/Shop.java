package isokinon.bench.campaign;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.File;
import java.io.IOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/** The demo mill as a process of its own, on a folder and a port of its own. */
final class Shop implements AutoCloseable {

  private static final Path JAR = Path.of("../server/target/isokinon-app.jar");
  private static final Duration PATIENCE = Duration.ofSeconds(120);
  static final ObjectMapper JSON = new ObjectMapper();

  private final HttpClient client = HttpClient.newHttpClient();
  private final Path data = Files.createTempDirectory("isokinon-campaign");
  private final int port;
  private Process process;

  Shop() throws IOException {
    try (ServerSocket free = new ServerSocket(0)) {
      port = free.getLocalPort();
    }
  }

  /** Starts it; whether it answers is not waited for. */
  void begin() throws IOException {
    process =
        new ProcessBuilder(
                List.of(
                    Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                    "-XX:TieredStopAtLevel=1",
                    "-XX:+UseSerialGC",
                    "-jar",
                    JAR.toString(),
                    "--isokinon.demo=true",
                    "--isokinon.data=" + data,
                    "--isokinon.diary.unimproved=300ms",
                    "--isokinon.port=" + port))
            .redirectErrorStream(true)
            .redirectOutput(ProcessBuilder.Redirect.appendTo(new File(data + ".log")))
            .start();
  }

  /**
   * Starts it and waits until it answers.
   *
   * @return seconds it took
   * @throws IllegalStateException where it ends, or does not answer in time
   */
  double start() throws Exception {
    long before = System.nanoTime();
    begin();
    while (System.nanoTime() - before < PATIENCE.toNanos()) {
      if (!process.isAlive()) {
        throw new IllegalStateException(
            "it ended with " + process.exitValue() + "; see " + data + ".log");
      }
      try {
        if (get("/api/v1/pumps/EFF-08").statusCode() == 200) {
          return (System.nanoTime() - before) / 1e9;
        }
      } catch (IOException e) {
        // it does not listen yet
      }
      Thread.sleep(100);
    }
    throw new IllegalStateException("it does not answer; see " + data + ".log");
  }

  /** Ends it at once, as the system does. */
  void kill() throws InterruptedException {
    process.destroyForcibly();
    process.waitFor();
  }

  boolean alive() {
    return process.isAlive();
  }

  /** Bytes of the database file. */
  long bytes() throws IOException {
    Path file = data.resolve("isokinon.mv.db");
    return Files.exists(file) ? Files.size(file) : 0;
  }

  HttpResponse<String> get(String path) throws IOException, InterruptedException {
    return send(HttpRequest.newBuilder(at(path)).timeout(PATIENCE).build());
  }

  HttpResponse<String> post(String path, String json) throws IOException, InterruptedException {
    return send("POST", path, json);
  }

  HttpResponse<String> send(String method, String path, String json)
      throws IOException, InterruptedException {
    return send(
        HttpRequest.newBuilder(at(path))
            .timeout(PATIENCE)
            .header("content-type", "application/json")
            .method(method, HttpRequest.BodyPublishers.ofString(json))
            .build());
  }

  JsonNode read(String path) throws IOException, InterruptedException {
    return JSON.readTree(get(path).body());
  }

  private HttpResponse<String> send(HttpRequest request) throws IOException, InterruptedException {
    return client.send(request, BodyHandlers.ofString());
  }

  private URI at(String path) {
    return URI.create("http://127.0.0.1:" + port + path);
  }

  @Override
  public void close() throws Exception {
    if (process != null) {
      kill();
    }
    try (Stream<Path> files = Files.walk(data)) {
      files.sorted(Comparator.reverseOrder()).map(Path::toFile).forEach(File::delete);
    }
    Files.deleteIfExists(Path.of(data + ".log"));
  }
}
