package isokinon.server.http;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import isokinon.core.sheet.Sheet;
import isokinon.server.access.Needs;
import isokinon.server.access.Right;
import isokinon.server.http.delivery.MostBytes;
import isokinon.server.work.library.Sheets;
import isokinon.server.work.shared.RequestProblem;
import java.util.List;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The sheets of the constructions. */
@RestController
@RequestMapping("/api/v1")
@Needs(Right.SEE)
@Tag(name = "sheets", description = "Sheets: reading, writing, drafts")
class SheetController {

  private final Sheets sheets;

  SheetController(Sheets sheets) {
    this.sheets = sheets;
  }

  @GetMapping("/sheets")
  List<Sheets.Listed> sheets() {
    return sheets.all();
  }

  @GetMapping(value = "/sheet-schema", produces = "application/schema+json")
  Resource sheetSchema() {
    return new ClassPathResource("library/sheets/sheet.schema.json");
  }

  @GetMapping(value = "/sheets/{id}", produces = "application/yaml")
  String sheet(@PathVariable String id) {
    return sheets
        .source(id)
        .orElseThrow(() -> RequestProblem.missing("No sheet is called " + id + "."));
  }

  @PostMapping(value = "/sheets/draft", consumes = "application/yaml")
  @Operation(summary = "Reads a sheet that is being written: faults, or drawing and plans")
  Sheets.Draft draft(@RequestBody String source) {
    return sheets.draft(source);
  }

  @GetMapping("/sheets/{id}/revisions")
  List<Sheets.Revision> revisions(@PathVariable String id) {
    return sheets.revisions(id);
  }

  @GetMapping(value = "/sheets/{id}/revisions/{revision}", produces = "application/yaml")
  String revision(@PathVariable String id, @PathVariable int revision) {
    return sheets
        .source(id, revision)
        .orElseThrow(
            () -> RequestProblem.missing("No sheet " + id + " at revision " + revision + "."));
  }

  @GetMapping(value = "/sheets.zip", produces = "application/zip")
  @Operation(summary = "The newest revision of every sheet as a zip of YAML files")
  byte[] zip() {
    return sheets.zip();
  }

  @PostMapping(value = "/sheets.zip", consumes = "application/zip")
  @Needs(Right.LEAD)
  @MostBytes(16L << 20)
  @Operation(summary = "Stores every sound, newer sheet of a zip; tells what is wrong with others")
  List<Sheets.Imported> importZip(@RequestBody byte[] zip) {
    return sheets.importZip(zip);
  }

  /** Under which name and revision a sheet was stored. */
  record StoredSheet(String id, int revision) {}

  @PostMapping(value = "/sheets", consumes = "application/yaml")
  @Needs(Right.LEAD)
  @ResponseStatus(HttpStatus.CREATED)
  StoredSheet store(@RequestBody String source) {
    Sheet sheet = sheets.store(source);
    return new StoredSheet(sheet.id(), sheet.revision());
  }
}
