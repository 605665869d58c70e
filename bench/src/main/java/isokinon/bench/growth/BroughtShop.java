package isokinon.bench.growth;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import isokinon.bench.shop.Shop;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;

/**
 * How long a workbook of 1 000 pumps and 100 000 past runs takes: seen first, stopped half-way,
 * brought, and brought again. Starts the packaged application with the demo mill, prints a line for
 * each, and stops.
 */
public final class BroughtShop {

  private static final int PUMPS = 1_000;
  private static final int RUNS_PER_PUMP = 100;
  private static final int DAYS_OF_A_RUN = 40;
  private static final LocalDate FIRST = LocalDate.of(2010, 1, 4);
  private static final String PUMP_COLUMNS =
      "Tag,Area,Construction,Description,Hours a day,Membrane,Age,Interval,Medium,Temp";
  private static final String RUN_COLUMNS =
      "Pump,Elastomer,Installed,Removed,Run hours,Outcome,Remark";

  private final Shop shop;
  private final byte[] file = workbook();

  private BroughtShop(Shop shop) {
    this.shop = shop;
  }

  /** Measures and prints. */
  public static void main(String[] args) throws Exception {
    String options = System.getProperty("options", "");
    List<String> plain = List.of("-XX:TieredStopAtLevel=1", "-XX:+UseSerialGC", "-Xmx2g");
    try (Shop shop = new Shop(options.isBlank() ? plain : List.of(options.split(" ")))) {
      shop.start();
      new BroughtShop(shop).run();
    }
  }

  private void run() throws Exception {
    System.out.printf(Locale.ROOT, "workbook of %.1f MB%n", file.length / 1e6);
    print("what it would do", bring(true, false));
    print("stopped half-way through the writing", bring(false, true));
    System.out.println("runs there after it was stopped: " + runs());
    print("brought", bring(false, false));
    System.out.println("runs there: " + runs());
    print("brought again", bring(false, false));
  }

  private int runs() throws IOException, InterruptedException {
    for (JsonNode table : shop.read("/api/v1/setup").path("tables")) {
      if (table.path("table").asText().equals("runs")) {
        return table.path("rows").asInt();
      }
    }
    throw new IllegalStateException("no table of runs");
  }

  /** An answer, the seconds it took, and how often progress was told meanwhile. */
  private record Done(HttpResponse<String> answer, double seconds, int told) {}

  private Done bring(boolean dryRun, boolean stop) throws Exception {
    String watch = UUID.randomUUID().toString();
    ObjectNode asked = Shop.JSON.createObjectNode();
    asked.put("file", file).put("dryRun", dryRun).put("watch", watch);
    String body = asked.toString();
    long from = System.nanoTime();
    CompletableFuture<HttpResponse<String>> answer =
        CompletableFuture.supplyAsync(() -> posted(body));
    int told = 0;
    String before = "";
    while (!answer.isDone()) {
      Thread.sleep(200);
      JsonNode now = shop.read("/api/v1/setup/brought/" + watch);
      told += now.toString().equals(before) ? 0 : 1;
      before = now.toString();
      if (stop
          && now.path("phase").asText().equals("writing")
          && now.path("done").asInt() > PUMPS * RUNS_PER_PUMP / 2) {
        shop.post("/api/v1/setup/brought/" + watch + "/stop", "{}");
      }
    }
    return new Done(answer.join(), (System.nanoTime() - from) / 1e9, told);
  }

  private HttpResponse<String> posted(String body) {
    try {
      return shop.post("/api/v1/setup/workbook", body);
    } catch (IOException e) {
      throw new IllegalStateException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  private static void print(String what, Done done) throws IOException {
    StringBuilder of = new StringBuilder();
    for (JsonNode sheet : Shop.JSON.readTree(done.answer().body()).path("sheets")) {
      JsonNode b = sheet.path("brought");
      of.append(", ").append(sheet.path("sheet").asText());
      of.append(" new ").append(b.path("fresh").asInt());
      of.append(" same ").append(b.path("same").asInt());
      of.append(" at fault ").append(b.path("wrong").asInt());
      if (b.path("wrong").asInt() > 0) {
        of.append(' ').append(b.path("faults").path(0));
      }
    }
    System.out.printf(
        Locale.ROOT,
        "%-38s %5.1f s, answer %d, progress told %d times%s%n",
        what,
        done.seconds(),
        done.answer().statusCode(),
        done.told(),
        of);
  }

  private static byte[] workbook() {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (Workbook book = new Workbook(bytes, "Isokinon", "1.0")) {
      Worksheet pumps = book.newWorksheet("Pumps");
      row(pumps, 0, (Object[]) PUMP_COLUMNS.split(","));
      Worksheet runs = book.newWorksheet("Past runs");
      row(runs, 0, (Object[]) RUN_COLUMNS.split(","));
      int line = 1;
      for (int p = 0; p < PUMPS; p++) {
        String tag = "N-" + p;
        row(
            pumps,
            p + 1,
            tag,
            "Hall " + p % 12,
            "aodd-bolted-plastic-25",
            "To vessel " + p,
            16,
            "EPDM",
            100 + p % 900,
            2500,
            "water",
            40);
        for (int r = 0; r < RUNS_PER_PUMP; r++) {
          LocalDate in = FIRST.plusDays((long) r * DAYS_OF_A_RUN);
          row(
              runs,
              line++,
              tag,
              r % 3 == 0 ? "NBR" : "EPDM",
              in.toString(),
              in.plusDays(DAYS_OF_A_RUN).toString(),
              400 + (p * 31 + r * 17) % 200,
              r % 4 == 0 ? "sound" : "failed",
              "taken from the book, page " + r);
        }
      }
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
    return bytes.toByteArray();
  }

  private static void row(Worksheet sheet, int line, Object... values) {
    for (int c = 0; c < values.length; c++) {
      if (values[c] instanceof Number n) {
        sheet.value(line, c, n);
      } else {
        sheet.value(line, c, values[c].toString());
      }
    }
  }
}
