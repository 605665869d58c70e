package isokinon.server.http;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import io.swagger.v3.oas.annotations.tags.Tag;
import isokinon.server.access.Needs;
import isokinon.server.access.People;
import isokinon.server.access.Right;
import isokinon.server.access.SignedIn;
import isokinon.server.http.delivery.MostBytes;
import isokinon.server.http.security.Me;
import isokinon.server.work.history.BackUp;
import isokinon.server.work.history.HistoryTable;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The shop's history as tables, out and in, and everything at once. */
@RestController
@RequestMapping("/api/v1")
@Needs(Right.SEE)
@Tag(name = "history", description = "Runs of wear parts, and everything the shop has recorded")
class HistoryController {

  /** Longest back-up, bytes. */
  private static final long MOST_BACK_UP = 1L << 30;

  private final HistoryTable table;
  private final BackUp backUp;
  private final People people;

  HistoryController(HistoryTable table, BackUp backUp, People people) {
    this.people = people;
    this.table = table;
    this.backUp = backUp;
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
  @Needs(Right.LEAD)
  @Operation(summary = "Every table of the shop as a zip of CSV files")
  @ApiResponse(
      responseCode = "200",
      content =
          @Content(
              mediaType = "application/zip",
              schema = @Schema(type = "string", format = "binary")))
  void zip(HttpServletResponse response) throws IOException {
    response.setContentType("application/zip");
    backUp.zip(response.getOutputStream());
  }

  @GetMapping(value = "/everything.json", produces = "application/json")
  @Needs(Right.LEAD)
  @Operation(summary = "Every table of the shop as JSON")
  @ApiResponse(
      responseCode = "200",
      content =
          @Content(
              mediaType = "application/json",
              schema = @Schema(implementation = BackUp.Everything.class)))
  void everything(HttpServletResponse response) throws IOException {
    response.setContentType("application/json;charset=UTF-8");
    backUp.json(response.getOutputStream());
  }

  @PostMapping(value = "/everything.json", consumes = "application/json")
  @Needs(Right.LEAD)
  @ResponseStatus(HttpStatus.NO_CONTENT)
  @MostBytes(MOST_BACK_UP)
  @Operation(summary = "Puts everything back into an empty shop")
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      content =
          @Content(
              mediaType = "application/json",
              schema = @Schema(implementation = BackUp.Everything.class)))
  void restore(@Parameter(hidden = true) InputStream body, @Me SignedIn me) throws IOException {
    Path file = Files.createTempFile("isokinon-restore", ".json");
    try {
      Files.copy(body, file, StandardCopyOption.REPLACE_EXISTING);
      backUp.restore(file);
      people.stays(me);
    } finally {
      Files.deleteIfExists(file);
    }
  }
}
