package isokinon.server.work.setup;

import io.swagger.v3.oas.annotations.media.Schema;
import isokinon.server.work.setup.names.Names;
import isokinon.server.work.setup.tables.SetupColumn.Holds;
import isokinon.server.work.setup.tables.SetupTable;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The set-up of the shop in short.
 *
 * @param tables every table, in the order in which a new shop needs them
 * @param last the last change that can be taken back; absent where there is none
 */
public record SetupView(List<InShort> tables, Optional<LastChange> last) {

  /**
   * A table in short.
   *
   * @param table which one
   * @param title what it is called
   * @param one what one row of it is
   * @param rows how many stand
   * @param retired how many are retired besides
   * @param needs what is missing while it is empty
   */
  @Schema(name = "SetupTableInShort")
  public record InShort(
      SetupTable table, String title, String one, int rows, int retired, String needs) {}

  /**
   * The last change.
   *
   * @param batch by which it is taken back
   * @param table of which table
   * @param who initials
   * @param at day and time of the shop
   * @param what what was changed, in words
   */
  @Schema(name = "LastSetupChange")
  public record LastChange(String batch, SetupTable table, String who, String at, String what) {}

  /**
   * A table with its rows.
   *
   * @param table which one
   * @param title what it is called
   * @param one what one row of it is
   * @param key columns by which a row is known
   * @param retires whether its rows are retired, and not taken out
   * @param recorded whether its rows are records, which are added and not changed
   * @param count how many rows it has
   * @param columns its columns, in the order of a form
   * @param rows its rows, the first {@code 2000}
   */
  @Schema(name = "SetupTableRows")
  public record TableView(
      SetupTable table,
      String title,
      String one,
      List<String> key,
      boolean retires,
      boolean recorded,
      int count,
      List<ColumnView> columns,
      List<RowView> rows) {}

  /**
   * A column.
   *
   * @param id its heading in our own tables
   * @param title what it is called on screen
   * @param says what it is, a few words
   * @param takes what may be typed: the bounds of a number, the length of a text
   * @param holds what it holds
   * @param unit unit of its number; empty where it has none
   * @param needed whether every row has it
   * @param first whether a form shows it at once
   * @param onlyNew whether it is asked of a new row only
   * @param names where its names come from
   */
  @Schema(name = "SetupColumnView")
  public record ColumnView(
      String id,
      String title,
      String says,
      String takes,
      Holds holds,
      String unit,
      boolean needed,
      boolean first,
      boolean onlyNew,
      Names names) {}

  /**
   * A row.
   *
   * @param key by which it is known
   * @param values its texts by column
   * @param retired whether it is retired
   */
  @Schema(name = "SetupRow")
  public record RowView(String key, Map<String, String> values, boolean retired) {}

  /**
   * The names of a kind.
   *
   * @param of which kind
   * @param names the names
   */
  @Schema(name = "SetupNames")
  public record NamesView(Names of, List<Name> names) {}

  /**
   * A name that a column may hold.
   *
   * @param code as it is kept
   * @param name as it is shown
   */
  @Schema(name = "SetupName")
  public record Name(String code, String name) {}
}
