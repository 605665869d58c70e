package isokinon.server.work.setup;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;

/**
 * What a table that is brought would do, or did.
 *
 * @param sheet the sheet of the workbook that was read; empty for CSV
 * @param sheets the sheets it has
 * @param headings its headings, with what stands first under them
 * @param fields what each column of ours is filled by
 * @param rows how many rows it has
 * @param fresh how many are new here
 * @param changed how many change what stands here
 * @param same how many stand here already as they are
 * @param wrong how many are at fault
 * @param changes what would change, the first of it
 * @param faults every fault with its cell, the first {@code 500}
 * @param unknown words that are no name known here, with what is nearest
 * @param stored whether it was written
 */
public record BroughtView(
    String sheet,
    List<String> sheets,
    List<Heading> headings,
    List<Field> fields,
    int rows,
    int fresh,
    int changed,
    int same,
    int wrong,
    List<Change> changes,
    List<CellFault> faults,
    List<UnknownWord> unknown,
    boolean stored) {

  /**
   * A heading of the table.
   *
   * @param letter the letter of its column in a spreadsheet
   * @param name the heading
   * @param examples what stands first under it
   */
  @Schema(name = "BroughtHeading")
  public record Heading(String letter, String name, List<String> examples) {}

  /**
   * A column of ours.
   *
   * @param id the column
   * @param title what it is called
   * @param needed whether every row must have it
   * @param heading the heading that fills it; empty where none does
   * @param sure how sure that is, 0 to 100; 100 where somebody said so
   */
  @Schema(name = "BroughtField")
  public record Field(String id, String title, boolean needed, String heading, int sure) {}

  /**
   * A value that would change.
   *
   * @param key the row
   * @param title the column
   * @param from what stands there
   * @param to what would stand there
   */
  @Schema(name = "BroughtChange")
  public record Change(String key, String title, String from, String to) {}

  /**
   * A fault.
   *
   * @param cell letter and row; the row alone where it is of the whole row
   * @param typed what stands in the cell
   * @param message what is wrong with it
   */
  @Schema(name = "BroughtFault")
  public record CellFault(String cell, String typed, String message) {}

  /**
   * A word that is no name known here.
   *
   * @param column the column of ours
   * @param word as it stands in the table
   * @param cells where, the first of them
   * @param rows in how many rows
   * @param near what is nearest by name and alias, the nearest first
   */
  @Schema(name = "BroughtWord")
  public record UnknownWord(
      String column, String word, List<String> cells, int rows, List<NearName> near) {}

  /**
   * A name that is like a word.
   *
   * @param code as it is kept
   * @param name as it is shown
   * @param like how like, 0 to 100
   */
  @Schema(name = "BroughtNearName")
  public record NearName(String code, String name, int like) {}
}
