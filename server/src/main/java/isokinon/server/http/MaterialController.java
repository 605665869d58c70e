package isokinon.server.http;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import isokinon.server.access.Needs;
import isokinon.server.access.Right;
import isokinon.server.access.SignedIn;
import isokinon.server.http.delivery.MostBytes;
import isokinon.server.http.security.Me;
import isokinon.server.papers.LibraryBook;
import isokinon.server.work.materials.MaterialView;
import isokinon.server.work.materials.Materials;
import isokinon.server.work.materials.OwnTables;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.shared.Require;
import java.util.List;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/**
 * What fluids do to materials: read, written over, taken in and out, held against what was seen.
 */
@RestController
@RequestMapping("/api/v1/materials")
@Needs(Right.SEE)
@Tag(name = "materials", description = "The material library and the shop's own rows over it")
class MaterialController {

  private final Materials materials;
  private final OwnTables ownTables;
  private final LibraryBook book;

  MaterialController(Materials materials, OwnTables ownTables, LibraryBook book) {
    this.materials = materials;
    this.ownTables = ownTables;
    this.book = book;
  }

  record Written(MaterialView.OwnResistance row) {}

  record Ended(Long id) {}

  @GetMapping
  MaterialView.LibraryView library() {
    return materials.view();
  }

  @GetMapping("/fluids/{fluid}")
  MaterialView.FluidSheet fluid(@PathVariable String fluid) {
    return materials.fluid(fluid);
  }

  @GetMapping(value = "/fluids/{fluid}.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
  @Operation(summary = "A fluid with every material, for the wall of the shop")
  byte[] fluidOnPaper(@PathVariable String fluid) {
    MaterialView.FluidSheet sheet = materials.fluid(fluid);
    return book.fluids(sheet.name(), List.of(sheet));
  }

  @GetMapping(value = "/sheets/{material}.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
  @Operation(summary = "A material with every fluid, for the wall of the shop")
  byte[] materialOnPaper(@PathVariable String material) {
    return book.material(materials.sheet(material));
  }

  @GetMapping(value = "/book.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
  @Operation(summary = "The whole library as a book, a fluid after the other")
  byte[] bookOfAll() {
    return book.fluids(
        "Materials and fluids",
        materials.view().fluids().stream().map(f -> materials.fluid(f.code())).toList());
  }

  @GetMapping("/pairs")
  @Operation(summary = "A material in a fluid: rows, what was seen here, where the two disagree")
  MaterialView.PairView pair(@RequestParam String fluid, @RequestParam String material) {
    return materials.pair(fluid, material);
  }

  @PostMapping("/findings")
  @Needs(Right.WORK)
  @Operation(summary = "Writes down what was seen of a material in a fluid")
  MaterialView.PairView find(@RequestBody MaterialView.FindingRequest finding, @Me SignedIn me) {
    return materials.add(finding, me.initials());
  }

  @PostMapping("/own")
  @Needs(Right.LEAD)
  @Operation(summary = "Writes an own row of resistance over the shipped ones")
  MaterialView.PairView write(@RequestBody Written written, @Me SignedIn me) {
    if (written.row() == null) {
      throw RequestProblem.invalid("row", "Missing: row must be given.");
    }
    return materials.write(written.row(), me.initials());
  }

  @PostMapping("/tables/{table}/ended")
  @Needs(Right.LEAD)
  @Operation(summary = "Ends an own row; the shipped ones count again")
  List<MaterialView.Change> end(
      @PathVariable String table, @RequestBody Ended ended, @Me SignedIn me) {
    ownTables.end(table, Require.present("id", ended.id()), me.initials());
    return ownTables.history(table);
  }

  @GetMapping("/tables/{table}/history")
  List<MaterialView.Change> history(@PathVariable String table) {
    return ownTables.history(table);
  }

  @GetMapping(value = "/tables/{table}", produces = "text/csv")
  @Operation(summary = "A table as CSV, the shop's rows over the shipped ones, or only the shop's")
  String export(@PathVariable String table, @RequestParam(defaultValue = "false") boolean own) {
    return ownTables.export(table, own);
  }

  @PostMapping(value = "/tables/{table}", consumes = "text/csv")
  @Needs(Right.LEAD)
  @MostBytes(16L << 20)
  @Operation(summary = "Takes a CSV table in over the shipped one, all of it or nothing")
  MaterialView.ImportReport bring(
      @PathVariable String table,
      @RequestParam(defaultValue = "false") boolean dryRun,
      @RequestBody String text,
      @Me SignedIn me) {
    return ownTables.importTable(table, text, me.initials(), dryRun);
  }
}
