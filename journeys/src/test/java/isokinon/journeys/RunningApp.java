package isokinon.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.server.ApiClient;
import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.ConnectException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * The packaged application, unpacked by the build, as a process of its own, which can be killed and
 * started again.
 */
final class RunningApp implements AutoCloseable {

  private static final Path APPLICATION =
      Path.of("../server/target/app").toAbsolutePath().normalize();
  private static final Duration PATIENCE = Duration.ofSeconds(90);

  private final HttpClient client = HttpClient.newHttpClient();
  private final boolean demo;
  private final Path data;
  private final boolean lan;
  private final int port;
  private final int plainPort;
  private final ApiClient api;
  private Process process;

  private static RunningApp shared;

  private RunningApp(boolean demo, boolean lan) {
    this.demo = demo;
    this.lan = lan;
    try {
      data = Files.createTempDirectory("isokinon-journey");
      try (ServerSocket free = new ServerSocket(0);
          ServerSocket another = new ServerSocket(0)) {
        port = free.getLocalPort();
        plainPort = another.getLocalPort();
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    api = new ApiClient(address());
    start();
  }

  /** With Skerrow Mill in it. */
  static RunningApp demo() {
    return new RunningApp(true, false);
  }

  /** The one that the journeys of this process share; it ends with the last of them. */
  static synchronized RunningApp sharedDemo() {
    if (shared == null) {
      shared = demo();
      Runtime.getRuntime().addShutdownHook(new Thread(shared::close));
    }
    return shared;
  }

  /** A shop on its first day. */
  static RunningApp empty() {
    return new RunningApp(false, false);
  }

  /** The mill on a network: over TLS, with an authority of its own. */
  static RunningApp onTheNetwork() {
    return new RunningApp(true, true);
  }

  String address() {
    return (lan ? "https" : "http") + "://127.0.0.1:" + port;
  }

  /** Where it answers without TLS, on a network. */
  String plainAddress() {
    return "http://127.0.0.1:" + plainPort;
  }

  /** The certificate of its authority. */
  Path authority() {
    return data.resolve("tls/authority.crt");
  }

  /** Its own certificate. */
  Path certificate() {
    return data.resolve("tls/server.crt");
  }

  /** Asks it as a program would, to bring a job quickly to the stage that is looked at. */
  ApiClient api() {
    return api;
  }

  /** What it printed for the first lead. */
  String startCode() {
    try {
      Matcher code =
          Pattern.compile("start code for the first one is (\\d{6})")
              .matcher(Files.readString(log()));
      assertThat(code.find()).isTrue();
      return code.group(1);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** The log that it keeps with its data. */
  Path keptLog() {
    return data.resolve("logs/isokinon.log");
  }

  private Path log() {
    return Path.of("target/app-" + port + ".log");
  }

  /** How a second one on the same folder ends: its exit code, and the lines it says. */
  record Ended(int exitCode, List<String> lines) {}

  /** Starts a second one on the same folder. */
  Ended second() {
    return ended(command(0));
  }

  /** Starts a shop of somebody's own on the same folder. */
  Ended asAShop() {
    List<String> command = new ArrayList<>(command(0));
    command.remove("--isokinon.demo=true");
    return ended(command);
  }

  private static Ended ended(List<String> command) {
    try {
      Process second = new ProcessBuilder(command).redirectErrorStream(true).start();
      List<String> lines = second.inputReader().lines().toList();
      return new Ended(second.waitFor(), lines);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  /** Starts it on the same data and port, and waits until it answers. */
  void start() {
    try {
      process =
          new ProcessBuilder(command(port))
              .redirectErrorStream(true)
              .redirectOutput(log().toFile())
              .start();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    waitUntilItAnswers();
  }

  private List<String> command(int port) {
    List<String> command = new ArrayList<>();
    command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
    command.addAll(List.of("-XX:TieredStopAtLevel=1", "-XX:+UseSerialGC"));
    command.add("-XX:SharedArchiveFile=" + APPLICATION.resolve("isokinon.jsa"));
    command.addAll(List.of("-jar", APPLICATION.resolve("isokinon-app.jar").toString()));
    command.add("--isokinon.demo=" + demo);
    command.add("--isokinon.data=" + data);
    command.add("--isokinon.diary.search=500ms");
    command.add("--isokinon.port=" + port);
    if (lan) {
      command.addAll(List.of("--isokinon.lan=true", "--isokinon.plain-port=" + plainPort));
      command.add("--isokinon.watchers=192.0.2.7");
    }
    return command;
  }

  private void waitUntilItAnswers() {
    long until = System.nanoTime() + PATIENCE.toNanos();
    while (System.nanoTime() < until) {
      if (!process.isAlive()) {
        throw new AssertionError("the application ended; see journeys/target/app-" + port + ".log");
      }
      try {
        HttpRequest asked = HttpRequest.newBuilder(at("/api/v1/session")).build();
        // the PINs of the mill are shown once everything of it is in
        HttpResponse<String> session = client().send(asked, HttpResponse.BodyHandlers.ofString());
        if (session.statusCode() == 200 && (!demo || session.body().contains("\"SB\""))) {
          return;
        }
        Thread.sleep(200);
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        throw new IllegalStateException(e);
      } catch (ConnectException e) {
        pause();
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }
    throw new AssertionError("the application does not answer");
  }

  /** A client that trusts its authority where it has one. */
  HttpClient client() {
    return lan && Files.exists(authority())
        ? HttpClient.newBuilder().sslContext(Trust.of(authority())).build()
        : client;
  }

  private static void pause() {
    try {
      Thread.sleep(200);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  /** Ends it as {@code kill -9} does: no shutdown hook runs. */
  void kill() {
    process.destroyForcibly();
    try {
      process.waitFor();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  HttpResponse<String> get(String path) {
    return send(HttpRequest.newBuilder(at(path)).header("cookie", technician()).GET());
  }

  HttpResponse<String> post(String path, String json) {
    return send(
        HttpRequest.newBuilder(at(path))
            .header("cookie", technician())
            .header("content-type", "application/json")
            .POST(HttpRequest.BodyPublishers.ofString(json)));
  }

  private URI at(String path) {
    return URI.create(address() + path);
  }

  private String technician() {
    return api.as("RT").cookie();
  }

  private HttpResponse<String> send(HttpRequest.Builder request) {
    try {
      return client.send(request.build(), HttpResponse.BodyHandlers.ofString());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  @Override
  public void close() {
    kill();
    try (Stream<Path> files = Files.walk(data)) {
      files.sorted(Comparator.reverseOrder()).map(Path::toFile).forEach(File::delete);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
