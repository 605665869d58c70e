package isokinon.bench;

import java.io.File;
import java.io.IOException;
import java.net.ConnectException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Arrays;
import java.util.Comparator;
import java.util.Locale;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * How soon is a bench action acknowledged, and the floor shown, in a shop of 1 000 pumps with 100
 * 000 events and 100 000 runs stored? Starts the packaged application on a loopback port over a
 * filled data folder, acts a bounded number of times, prints the percentiles, and stops.
 */
public final class BenchActLoad {

  private static final int PUMPS = 1_000;
  private static final int EVENTS = 100_000;
  private static final int RUNS = 100_000;
  private static final int EVENTS_PER_REBUILD = 150;
  private static final int WARM_UP = 100;
  private static final int ACTS = 400;
  private static final int FLOORS = 30;
  private static final int PLANS = 5;
  private static final Pattern SEQ = Pattern.compile("\"seq\":(\\d+),\"stage\"");

  private final HttpClient client = HttpClient.newHttpClient();
  private final Path data = Files.createTempDirectory("isokinon-load");
  private final int port = freePort();

  private BenchActLoad() throws IOException {}

  /** Fills, measures, prints. */
  public static void main(String[] args) throws Exception {
    BenchActLoad load = new BenchActLoad();
    try {
      load.run();
    } finally {
      try (Stream<Path> files = Files.walk(load.data)) {
        files.sorted(Comparator.reverseOrder()).map(Path::toFile).forEach(File::delete);
      }
    }
  }

  private void run() throws Exception {
    Process first = start();
    double[] plans = new double[PLANS];
    post("/api/v1/diary/plan?who=RT", "{}");
    for (int i = 0; i < PLANS; i++) {
      plans[i] = millis(() -> post("/api/v1/diary/plan?who=RT", "{}"));
    }
    print("work of the demo mill planned", plans);
    first.destroy();
    first.waitFor();
    fill();
    Process application = start();
    try {
      long rebuild = open();
      long seq = 0;
      double[] acts = new double[ACTS];
      for (int i = -WARM_UP; i < ACTS; i++) {
        long before = System.nanoTime();
        seq = note(rebuild, seq);
        if (i >= 0) {
          acts[i] = (System.nanoTime() - before) / 1e6;
        }
      }
      print("bench action acknowledged", acts);
      double[] floors = new double[FLOORS];
      for (int i = -5; i < FLOORS; i++) {
        long before = System.nanoTime();
        get("/api/v1/floor");
        if (i >= 0) {
          floors[i] = (System.nanoTime() - before) / 1e6;
        }
      }
      print("floor of " + PUMPS + " pumps and " + RUNS + " runs", floors);
      int turn = 0;
      double[] anew = new double[FLOORS / 3];
      for (int i = 0; i < anew.length; i++) {
        newLives(turn++);
        anew[i] = millis(() -> get("/api/v1/floor"));
      }
      print("the same with every life fitted again", anew);
      print(
          "what the records say, every duty asked anew",
          new double[] {millis(() -> get("/api/v1/life/finds"))});
      double[] says = new double[PLANS];
      double[] stores = new double[PLANS];
      for (int i = 0; i < PLANS; i++) {
        newLives(turn++);
        says[i] = millis(() -> get("/api/v1/life/finds"));
        stores[i] = millis(() -> get("/api/v1/stores"));
      }
      print("what the records say, lives fitted again", says);
      print("stores, lives fitted again", stores);
      double[] diary = new double[PLANS];
      for (int i = 0; i < PLANS; i++) {
        diary[i] = millis(() -> post("/api/v1/diary/plan?who=RT", "{}"));
      }
      print("work of all pumps planned", diary);
    } finally {
      application.destroy();
      application.waitFor();
    }
  }

  /** Another shape for one failure mode: every life that stands on it is fitted again. */
  private void newLives(int turn) throws IOException, InterruptedException {
    post(
        "/api/v1/life/mode",
        "{\"role\": \"diaphragm\", \"material\": \"CSM\", \"duty\": \"\", \"shape\": 2."
            + turn
            + ", \"who\": \"RT\"}");
  }

  private static double millis(Callable<?> asked) throws Exception {
    long before = System.nanoTime();
    asked.call();
    return (System.nanoTime() - before) / 1e6;
  }

  private Process start() throws IOException, InterruptedException {
    Process process =
        new ProcessBuilder(
                "java",
                "-jar",
                "../server/target/isokinon-app.jar",
                "--isokinon.demo=true",
                "--isokinon.data=" + data,
                "--isokinon.port=" + port)
            .redirectErrorStream(true)
            .redirectOutput(new File("target/load.log"))
            .start();
    for (int i = 0; i < 400; i++) {
      try {
        if (get("/api/v1/pumps/EFF-08").statusCode() == 200) {
          return process;
        }
      } catch (ConnectException e) {
        // not up yet
      }
      Thread.sleep(200);
    }
    process.destroy();
    throw new IllegalStateException("The application did not start; see bench/target/load.log.");
  }

  /** Copies of EFF-02 with rebuilds that were handed back, straight into the stopped database. */
  private void fill() throws SQLException {
    String url = "jdbc:h2:file:" + data.resolve("isokinon");
    try (Connection connection = DriverManager.getConnection(url, "sa", "");
        Statement statement = connection.createStatement()) {
      connection.setAutoCommit(false);
      statement.execute(
          "create local temporary table model as select * from pump where tag = 'EFF-02'");
      statement.execute(
          "create local temporary table seen as select * from exposure where pump = 'EFF-02'");
      for (int i = 0; i < PUMPS; i++) {
        String tag = "L-" + i;
        statement.addBatch("update model set tag = '" + tag + "'");
        statement.addBatch("insert into pump select * from model");
        statement.addBatch("update seen set pump = '" + tag + "'");
        statement.addBatch("insert into exposure select * from seen");
        statement.addBatch(
            "insert into run (pump, role, material, duty_group, fitted_on, ended_on, hours, failed,"
                + " cause) select '"
                + tag
                + "', role, material, duty_group, fitted_on, ended_on,"
                + " hours + n, failed, cause from run cross join system_range(1, "
                + RUNS / PUMPS
                + ") as t(n) where pump = 'EFF-02' limit "
                + RUNS / PUMPS);
      }
      statement.executeBatch();
      int rebuilds = EVENTS / EVENTS_PER_REBUILD;
      for (int r = 0; r < rebuilds; r++) {
        statement.addBatch(
            "insert into rebuild (pump, sheet_id, sheet_revision, opened_at, opened_by, reason,"
                + " fitted_material, hours_then, closed_at) values ('L-"
                + r % PUMPS
                + "',"
                + " 'aodd-bolted-plastic-25', 1, now(), 'RT', '', 'CSM', 0, now())");
      }
      statement.executeBatch();
      try (PreparedStatement event =
          connection.prepareStatement(
              "insert into bench_event values (?, ?, ?, now(), 'RT', false, 'NOTED', '', '', 0, 0,"
                  + " null, '', 'a note of the usual length about what was seen', '')")) {
        for (int e = 0; e < rebuilds * EVENTS_PER_REBUILD; e++) {
          event.setLong(1, 1 + e / EVENTS_PER_REBUILD);
          event.setLong(2, 1 + e % EVENTS_PER_REBUILD);
          event.setString(3, UUID.randomUUID().toString());
          event.addBatch();
          if (e % 5_000 == 4_999) {
            event.executeBatch();
          }
        }
        event.executeBatch();
      }
      connection.commit();
      System.out.printf(
          Locale.ROOT, "stored: %d pumps, %d events%n", PUMPS, rebuilds * EVENTS_PER_REBUILD);
    }
  }

  private long open() throws IOException, InterruptedException {
    String body = post("/api/v1/pumps/EFF-02/rebuilds", "{\"who\": \"RT\", \"reason\": \"load\"}");
    Matcher id = Pattern.compile("^\\{\"id\":(\\d+)").matcher(body);
    if (!id.find()) {
      throw new IllegalStateException(body);
    }
    return Long.parseLong(id.group(1));
  }

  private long note(long rebuild, long seen) throws IOException, InterruptedException {
    String body =
        post(
            "/api/v1/rebuilds/" + rebuild + "/acts",
            "{\"key\": \"%s\", \"seen\": %d, \"who\": \"RT\", \"kind\": \"NOTED\", \"text\": \"seen\"}"
                .formatted(UUID.randomUUID(), seen));
    Matcher seq = SEQ.matcher(body);
    if (!seq.find()) {
      throw new IllegalStateException(body);
    }
    return Long.parseLong(seq.group(1));
  }

  private HttpResponse<String> get(String path) throws IOException, InterruptedException {
    return client.send(
        HttpRequest.newBuilder(uri(path)).GET().build(), HttpResponse.BodyHandlers.ofString());
  }

  private String post(String path, String json) throws IOException, InterruptedException {
    return client
        .send(
            HttpRequest.newBuilder(uri(path))
                .header("content-type", "application/json")
                .POST(HttpRequest.BodyPublishers.ofString(json))
                .build(),
            HttpResponse.BodyHandlers.ofString())
        .body();
  }

  private URI uri(String path) {
    return URI.create("http://127.0.0.1:" + port + path);
  }

  private static int freePort() throws IOException {
    try (ServerSocket socket = new ServerSocket(0)) {
      return socket.getLocalPort();
    }
  }

  private static void print(String what, double[] millis) {
    Arrays.sort(millis);
    System.out.printf(
        Locale.ROOT,
        "%s: median %.1f ms, 95 %% %.1f ms, slowest %.1f ms of %d%n",
        what,
        millis[millis.length / 2],
        millis[(int) (millis.length * 0.95)],
        millis[millis.length - 1],
        millis.length);
  }
}
