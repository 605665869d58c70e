package isokinon.server.work.setup;

import io.swagger.v3.oas.annotations.media.Schema;
import isokinon.server.work.setup.tables.SetupTable;
import java.util.List;
import java.util.Optional;

/**
 * What a workbook of several tables would do, or did.
 *
 * @param sheets its sheets, those that were read first, in the order in which they are brought
 * @param stored whether it was written
 */
public record WorkbookView(List<SheetView> sheets, boolean stored) {

  /**
   * A sheet.
   *
   * @param sheet its name
   * @param table the table it was taken for; absent where it was left out
   * @param brought what it would do; absent where it was left out
   */
  @Schema(name = "WorkbookSheet")
  public record SheetView(
      String sheet, Optional<SetupTable> table, Optional<BroughtView> brought) {}
}
