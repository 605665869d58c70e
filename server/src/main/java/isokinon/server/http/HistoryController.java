package isokinon.server.http;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import isokinon.server.work.BackUp;
import isokinon.server.work.History;
import isokinon.server.work.HistoryTable;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The shop's history as tables, out and in, and everything at once. */
@RestController
@RequestMapping("/api/v1")
@Tag(name = "history", description = "Runs of wear parts, and everything the shop has recorded")
class HistoryController {

  private final History history;
  private final HistoryTable table;
  private final BackUp backUp;

  HistoryController(History history, HistoryTable table, BackUp backUp) {
    this.history = history;
    this.table = table;
    this.backUp = backUp;
  }

  @PostMapping("/history/import")
  @Operation(summary = "Takes a table of past runs in, or tells what it would do")
  History.HistoryReport bring(@RequestBody History.ImportRequest request) {
    return history.bring(request);
  }

  @GetMapping("/history/fields")
  @Operation(summary = "The columns that a table of past runs may have")
  List<History.KnownField> fields() {
    return History.fields();
  }

  @GetMapping(value = "/history.csv", produces = "text/csv")
  @Operation(summary = "Every run of a wear part as CSV, those that still run at the end")
  String csv() {
    return table.csv();
  }

  @GetMapping(value = "/history.json", produces = "application/json")
  @Operation(summary = "Every run of a wear part as JSON")
  List<Map<String, Object>> json() {
    return table.all();
  }

  @GetMapping(value = "/everything.zip", produces = "application/zip")
  @Operation(summary = "Every table of the shop as a zip of CSV files")
  byte[] zip() {
    return backUp.zip();
  }

  @GetMapping(value = "/everything.json", produces = "application/json")
  @Operation(summary = "Every table of the shop as JSON")
  Map<String, BackUp.StoredTable> everything() {
    return backUp.all();
  }

  @PostMapping("/everything.json")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  @Operation(summary = "Puts everything back into an empty shop")
  void restore(@RequestBody Map<String, BackUp.StoredTable> all) {
    backUp.restore(all);
  }
}
