package isokinon.server.work.setup;

import isokinon.core.value.Fault;
import isokinon.server.access.SignedIn;
import isokinon.server.work.setup.file.TableFile;
import isokinon.server.work.setup.tables.SetupTable;
import isokinon.server.work.setup.tables.SetupTables;
import isokinon.server.work.setup.tables.ShopTable;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.shared.Turns;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Brings tables of the set-up in from spreadsheets: any headings in any order, matched by likeness
 * and as somebody says; a dry run first; then all at once or nothing. Rows are known by their key:
 * brought again they change what stands, and are not doubled.
 */
@Service
public class BringTable {

  /** Longest file, bytes. */
  public static final int MOST_BYTES = 24_000_000;

  /**
   * A table to bring.
   *
   * @param file the file as it is, base64
   * @param sheet which sheet of a workbook; the first where it is left out
   * @param columns heading that fills each column of ours, where somebody said so; an empty one
   *     leaves it out
   * @param words what words mean that are no name known here, by column of ours
   * @param monthFirst whether 03/01/2026 is the first of March
   * @param leaveOut whether rows at fault are left out, and the others brought
   * @param dryRun whether nothing is written
   */
  public record BringRequest(
      @NotNull @Size(max = MOST_BYTES) byte[] file,
      @Size(max = 100) String sheet,
      Map<String, String> columns,
      Map<String, Map<String, String>> words,
      Boolean monthFirst,
      Boolean leaveOut,
      Boolean dryRun) {}

  private final SetupTables tables;
  private final KnownHere here;
  private final SetupChanges changes;
  private final Turns turns;

  BringTable(SetupTables tables, KnownHere here, SetupChanges changes, Turns turns) {
    this.tables = tables;
    this.here = here;
    this.changes = changes;
    this.turns = turns;
  }

  /**
   * Brings a table, or says what it would do.
   *
   * @throws RequestProblem where it is no table; where it is to be written and has faults
   */
  @Transactional
  public BroughtView bring(SetupTable id, BringRequest q, SignedIn who) {
    boolean store = !Boolean.TRUE.equals(q.dryRun());
    if (store) {
      turns.take(Turns.Turn.SETUP);
    }
    TableFile file = TableFile.read(q.file(), q.sheet() == null ? "" : q.sheet());
    ShopTable table = tables.of(id);
    TableReading reading = TableReading.of(table, file, q, here.known());
    boolean leaveOut = Boolean.TRUE.equals(q.leaveOut());
    if (store && !reading.faults().isEmpty() && !leaveOut) {
      throw RequestProblem.invalid(
          reading.faults().stream()
              .map(f -> new Fault("file", f.cell() + ": " + f.message()))
              .toList());
    }
    if (store) {
      String batch = UUID.randomUUID().toString();
      for (TableReading.ReadRow row : reading.moving()) {
        table.write(row.values(), row.before(), who.initials());
        changes.written(table, row.before(), Optional.of(row.values()), who, batch);
      }
    }
    return reading.view(store);
  }
}
