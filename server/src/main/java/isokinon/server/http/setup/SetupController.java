package isokinon.server.http.setup;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import isokinon.server.access.Needs;
import isokinon.server.access.Right;
import isokinon.server.access.SignedIn;
import isokinon.server.http.delivery.MostBytes;
import isokinon.server.http.security.Me;
import isokinon.server.work.setup.BringProgressView;
import isokinon.server.work.setup.BringTable;
import isokinon.server.work.setup.Bringings;
import isokinon.server.work.setup.BroughtView;
import isokinon.server.work.setup.Setup;
import isokinon.server.work.setup.SetupView;
import isokinon.server.work.setup.ShopForm;
import isokinon.server.work.setup.WorkbookView;
import isokinon.server.work.setup.tables.SetupTable;
import isokinon.server.work.shared.ShopView;
import jakarta.validation.Valid;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What a shop is made of: pumps, people's hours, instruments, kits, and what it says of itself. */
@RestController
@RequestMapping("/api/v1/setup")
@Needs(Right.STOCK)
@Tag(name = "setup", description = "What a shop is made of; tables in and out")
class SetupController {

  private static final String XLSX =
      "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet";

  /**
   * A row as it is typed.
   *
   * @param key the row that is changed, as it was shown; empty for a new one
   * @param seen the row as it was shown; empty for a new one
   * @param values what is typed, by column; a column that is left out stays as it is
   */
  record RowForm(String key, Map<String, String> seen, Map<String, String> values) {}

  /**
   * A row that is retired, taken back or taken out.
   *
   * @param key the row, as it was shown
   * @param retired false takes a retired one back
   */
  record RetireForm(String key, Boolean retired) {}

  /**
   * A change that is taken back.
   *
   * @param batch as it was shown
   */
  record UndoForm(String batch) {}

  private final Setup setup;
  private final BringTable bring;
  private final Bringings bringings;

  SetupController(Setup setup, BringTable bring, Bringings bringings) {
    this.setup = setup;
    this.bring = bring;
    this.bringings = bringings;
  }

  /** What was typed; a column without a value says nothing. */
  private static Map<String, String> said(Map<String, String> given) {
    Map<String, String> said = new LinkedHashMap<>();
    if (given != null) {
      given.forEach((column, value) -> said.put(column, value == null ? "" : value));
    }
    return said;
  }

  @GetMapping
  @Needs(Right.SEE)
  @Operation(summary = "Every table of the set-up in short, and the last change")
  SetupView view() {
    return setup.view();
  }

  @GetMapping("/names")
  @Needs(Right.SEE)
  @Operation(summary = "The names that columns may hold")
  List<SetupView.NamesView> names() {
    return setup.names();
  }

  @GetMapping("/shop")
  @Needs(Right.SEE)
  @Operation(summary = "What the shop says of itself")
  ShopView shop() {
    return setup.shop();
  }

  @PutMapping("/shop")
  @Needs(Right.LEAD)
  @Operation(summary = "Says it anew")
  ShopView shop(@Valid @RequestBody ShopForm form, @Me SignedIn me) {
    return setup.shop(form, me);
  }

  @GetMapping("/tables/{table}")
  @Needs(Right.SEE)
  @Operation(summary = "A table: its columns and its rows")
  SetupView.TableView table(@PathVariable SetupTable table) {
    return setup.table(table);
  }

  @PostMapping("/tables/{table}/rows")
  @Operation(summary = "Adds a row, or changes one")
  SetupView.TableView put(
      @PathVariable SetupTable table, @RequestBody RowForm form, @Me SignedIn me) {
    me.requires(table.right());
    return setup.put(
        table, form.key() == null ? "" : form.key(), said(form.seen()), said(form.values()), me);
  }

  @PostMapping("/tables/{table}/retire")
  @Operation(summary = "Retires a row, takes it back, or takes it out where nothing hangs on it")
  SetupView.TableView retire(
      @PathVariable SetupTable table, @RequestBody RetireForm form, @Me SignedIn me) {
    me.requires(table.right());
    return setup.retire(
        table, form.key() == null ? "" : form.key(), !Boolean.FALSE.equals(form.retired()), me);
  }

  @PostMapping("/undo")
  @Needs(Right.LEAD)
  @Operation(summary = "Takes the last change back")
  SetupView undo(@RequestBody UndoForm form) {
    return setup.undo(form.batch() == null ? "" : form.batch());
  }

  @PostMapping("/tables/{table}/bring")
  @MostBytes(40_000_000)
  @Operation(summary = "Brings a table in, CSV or XLSX; a dry run says what it would do")
  BroughtView bring(
      @PathVariable SetupTable table,
      @Valid @RequestBody BringTable.BringRequest request,
      @Me SignedIn me) {
    me.requires(table.right());
    return bring.bring(table, request, me);
  }

  @PostMapping("/workbook")
  @MostBytes(40_000_000)
  @Operation(summary = "Brings the tables of a workbook in; a dry run says what it would do")
  WorkbookView workbook(@Valid @RequestBody BringTable.WorkbookRequest request, @Me SignedIn me) {
    return bring.bring(request, me);
  }

  @GetMapping("/brought/{watch}")
  @Operation(summary = "How far tables have come that are being brought")
  BringProgressView progress(@PathVariable String watch) {
    return bringings.progress(watch);
  }

  @PostMapping("/brought/{watch}/stop")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  @Operation(summary = "Stops what you are bringing: nothing of it is written")
  void stop(@PathVariable String watch, @Me SignedIn me) {
    bringings.stop(watch, me.initials());
  }

  @GetMapping(value = "/workbook.xlsx", produces = XLSX)
  @Needs(Right.SEE)
  @Operation(summary = "Every table as one workbook, or a template with an example row each")
  ResponseEntity<byte[]> workbook(@RequestParam(defaultValue = "false") boolean template) {
    return file("shop", template, "xlsx", XLSX, setup.workbook(template));
  }

  @GetMapping(value = "/tables/{table}.csv", produces = "text/csv")
  @Needs(Right.SEE)
  @Operation(summary = "A table as CSV, or a template with one example row")
  ResponseEntity<byte[]> csv(
      @PathVariable SetupTable table, @RequestParam(defaultValue = "false") boolean template) {
    return file(
        table.code(), template, "csv", "text/csv;charset=UTF-8", setup.csv(table, template));
  }

  @GetMapping(value = "/tables/{table}.xlsx", produces = XLSX)
  @Needs(Right.SEE)
  @Operation(summary = "A table as a workbook, or a template with one example row")
  ResponseEntity<byte[]> xlsx(
      @PathVariable SetupTable table, @RequestParam(defaultValue = "false") boolean template) {
    return file(table.code(), template, "xlsx", XLSX, setup.xlsx(table, template));
  }

  private static ResponseEntity<byte[]> file(
      String title, boolean template, String ending, String kind, byte[] bytes) {
    String name = title + (template ? "-template." : ".") + ending;
    return ResponseEntity.ok()
        .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + name + "\"")
        .contentType(MediaType.parseMediaType(kind))
        .body(bytes);
  }
}
