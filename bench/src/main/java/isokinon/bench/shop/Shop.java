package isokinon.bench.shop;

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
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** The demo mill as a process of its own, on a folder and a port of its own. */
public final class Shop implements AutoCloseable {

  /** Reads and writes the answers. */
  public static final ObjectMapper JSON = new ObjectMapper();

  private static final String FOLDER = "isokinon-bench";
  private static final List<String> COMPILED_ONCE =
      List.of("-XX:TieredStopAtLevel=1", "-XX:+UseSerialGC");
  private static final int OK = 200;
  private static final int NOT_SIGNED_IN = 401;
  private static final Duration PATIENCE = Duration.ofSeconds(180);

  private final HttpClient client = HttpClient.newHttpClient();
  private final Path application;
  private final Path data;
  private final int port;
  private final List<String> options;
  private final boolean demo;
  private Process process;
  private volatile String cookie = "";

  /** The mill, in a folder of its own; compiled once, since it does not live long. */
  public Shop() throws IOException {
    this(Files.createTempDirectory(FOLDER));
  }

  /**
   * The same in a folder that is given.
   *
   * @param data where its data lie; thrown away at the end
   */
  public Shop(Path data) throws IOException {
    this(data, COMPILED_ONCE, true);
  }

  /** The mill in a folder of its own, with these options of the Java machine. */
  public Shop(List<String> options) throws IOException {
    this(Files.createTempDirectory(FOLDER), options, true);
  }

  private Shop(Path data, List<String> options, boolean demo) throws IOException {
    this.application =
        Path.of(System.getProperty("application", "../server/target/app")).toRealPath();
    this.data = data;
    this.options = options;
    this.demo = demo;
    try (ServerSocket free = new ServerSocket(0)) {
      port = free.getLocalPort();
    }
  }

  /** One without anything in it. */
  public static Shop empty() throws IOException {
    return new Shop(Files.createTempDirectory(FOLDER), COMPILED_ONCE, false);
  }

  /** Starts it; whether it answers is not waited for. */
  public void begin(String... settings) throws IOException {
    List<String> command = new ArrayList<>();
    command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
    command.addAll(options);
    command.add("-XX:SharedArchiveFile=" + application.resolve("isokinon.jsa"));
    command.addAll(List.of("-jar", application.resolve("isokinon-app.jar").toString()));
    command.addAll(
        List.of("--isokinon.demo=" + demo, "--isokinon.data=" + data, "--isokinon.port=" + port));
    command.addAll(List.of(settings));
    process =
        new ProcessBuilder(command)
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
  public double start(String... settings) throws IOException, InterruptedException {
    long before = System.nanoTime();
    begin(settings);
    while (System.nanoTime() - before < PATIENCE.toNanos()) {
      if (!process.isAlive()) {
        throw new IllegalStateException(
            "it ended with " + process.exitValue() + "; see " + data + ".log");
      }
      try {
        // the PINs of the mill are shown once everything of it is in
        HttpResponse<String> session =
            client.send(
                HttpRequest.newBuilder(at("/api/v1/session")).build(), BodyHandlers.ofString());
        if (session.statusCode() == 200 && (!demo || session.body().contains("\"SB\""))) {
          return (System.nanoTime() - before) / 1e9;
        }
      } catch (IOException e) {
        // it does not listen yet
      }
      Thread.sleep(50);
    }
    throw new IllegalStateException("it does not answer; see " + data + ".log");
  }

  /** Ends it at once, as the system does. */
  public void kill() throws InterruptedException {
    process.destroyForcibly();
    process.waitFor();
  }

  /** Asks it to end, and waits until it has. */
  public void stop() throws InterruptedException {
    process.destroy();
    process.waitFor();
  }

  /** Where its data lie. */
  public Path data() {
    return data;
  }

  /** Bytes of the database file. */
  public long bytes() throws IOException {
    Path file = data.resolve("isokinon.mv.db");
    return Files.exists(file) ? Files.size(file) : 0;
  }

  /** Its database, while it is stopped. */
  public Connection database() throws SQLException {
    return DriverManager.getConnection("jdbc:h2:file:" + data.resolve("isokinon"), "sa", "");
  }

  /** Time its threads have run on a processor. */
  public Duration processorTime() {
    return process.toHandle().info().totalCpuDuration().orElseThrow();
  }

  /** The number of its process. */
  public long pid() {
    return process.pid();
  }

  public HttpResponse<String> get(String path) throws IOException, InterruptedException {
    return send(HttpRequest.newBuilder(at(path)).timeout(PATIENCE));
  }

  /** Brings past runs from a table. */
  public HttpResponse<String> bringRuns(String csv) throws IOException, InterruptedException {
    byte[] file = csv.getBytes(StandardCharsets.UTF_8);
    return post(
        "/api/v1/setup/tables/runs/bring", JSON.createObjectNode().put("file", file).toString());
  }

  public HttpResponse<String> post(String path, String json)
      throws IOException, InterruptedException {
    return send("POST", path, json);
  }

  public HttpResponse<String> send(String method, String path, String json)
      throws IOException, InterruptedException {
    return send(
        HttpRequest.newBuilder(at(path))
            .timeout(PATIENCE)
            .header("content-type", "application/json")
            .method(method, HttpRequest.BodyPublishers.ofString(json)));
  }

  /** What a page answers, read. */
  public JsonNode read(String path) throws IOException, InterruptedException {
    return JSON.readTree(get(path).body());
  }

  private HttpResponse<String> send(HttpRequest.Builder request)
      throws IOException, InterruptedException {
    if (cookie.isEmpty()) {
      signIn();
    }
    HttpResponse<String> answer =
        client.send(request.setHeader("cookie", cookie).build(), BodyHandlers.ofString());
    if (answer.statusCode() != NOT_SIGNED_IN) {
      return answer;
    }
    signIn();
    return client.send(request.setHeader("cookie", cookie).build(), BodyHandlers.ofString());
  }

  /** As the lead of the mill; in a shop without anybody as its first lead, by the printed code. */
  private synchronized void signIn() throws IOException, InterruptedException {
    Matcher code =
        Pattern.compile("start code for the first one is (\\d{6})")
            .matcher(demo ? "" : Files.readString(Path.of(data + ".log")));
    String printed = "";
    while (code.find()) {
      printed = code.group(1);
    }
    HttpResponse<String> in = null;
    if (!printed.isEmpty()) {
      in = signIn("/api/v1/first-lead", "\"code\": \"" + printed + "\"");
    }
    if (in == null || in.statusCode() != OK) {
      in = signIn("/api/v1/session", "\"device\": \"bench\"");
    }
    cookie =
        in.headers().firstValue("set-cookie").map(c -> c.replaceFirst(";.*", "")).orElse("none=0");
  }

  private HttpResponse<String> signIn(String path, String field)
      throws IOException, InterruptedException {
    return client.send(
        HttpRequest.newBuilder(at(path))
            .timeout(PATIENCE)
            .header("content-type", "application/json")
            .POST(
                HttpRequest.BodyPublishers.ofString(
                    "{\"initials\": \"MA\", \"pin\": \"3805\", " + field + "}"))
            .build(),
        BodyHandlers.ofString());
  }

  private URI at(String path) {
    return URI.create("http://127.0.0.1:" + port + path);
  }

  @Override
  public void close() throws InterruptedException, IOException {
    if (process != null) {
      kill();
    }
    try (Stream<Path> files = Files.walk(data)) {
      files.sorted(Comparator.reverseOrder()).map(Path::toFile).forEach(File::delete);
    }
    Files.deleteIfExists(Path.of(data + ".log"));
  }
}
