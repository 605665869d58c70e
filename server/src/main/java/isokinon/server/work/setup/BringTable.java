package isokinon.server.work.setup;

import isokinon.core.value.Code;
import isokinon.core.value.Fault;
import isokinon.server.access.SignedIn;
import isokinon.server.work.setup.BringProgress.Phase;
import isokinon.server.work.setup.TableReading.ReadRow;
import isokinon.server.work.setup.TableReading.Said;
import isokinon.server.work.setup.WorkbookView.SheetView;
import isokinon.server.work.setup.file.TableFile;
import isokinon.server.work.setup.tables.SetupTable;
import isokinon.server.work.setup.tables.SetupTables;
import isokinon.server.work.setup.tables.ShopTable;
import isokinon.server.work.setup.tables.ShopTable.Written;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.shared.Turns;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.interceptor.TransactionAspectSupport;

/**
 * Brings tables of the set-up in from spreadsheets: any headings in any order, matched by likeness
 * and as somebody says; a dry run first; then all at once or nothing. Rows are known by their key:
 * brought again they change what stands, and are not doubled. A workbook may hold several tables.
 */
@Service
public class BringTable {

  /** Longest file, bytes. */
  public static final int MOST_BYTES = 24_000_000;

  private static final int MOST_WORD = 60;

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
   * @param watch a word by which its progress is asked for; none where nobody asks
   */
  public record BringRequest(
      @NotNull @Size(max = MOST_BYTES) byte[] file,
      @Size(max = 100) String sheet,
      Map<String, String> columns,
      Map<String, Map<String, String>> words,
      Boolean monthFirst,
      Boolean leaveOut,
      Boolean dryRun,
      @Size(max = MOST_WORD) String watch) {}

  /**
   * What somebody said of a sheet.
   *
   * @param table the table it is taken for; {@code left-out} for none; where it is empty, its name
   *     decides
   * @param columns heading that fills each column of ours
   * @param words what words mean that are no name known here, by column of ours
   */
  public record SheetSaid(
      @Size(max = MOST_WORD) String table,
      Map<String, String> columns,
      Map<String, Map<String, String>> words) {}

  /**
   * A workbook of several tables to bring.
   *
   * @param file the file as it is, base64
   * @param sheets what somebody said of its sheets, by their names
   * @param monthFirst whether 03/01/2026 is the first of March
   * @param leaveOut whether rows at fault are left out, and the others brought
   * @param dryRun whether nothing is written
   * @param watch a word by which its progress is asked for; none where nobody asks
   */
  public record WorkbookRequest(
      @NotNull @Size(max = MOST_BYTES) byte[] file,
      Map<String, @Valid SheetSaid> sheets,
      Boolean monthFirst,
      Boolean leaveOut,
      Boolean dryRun,
      @Size(max = MOST_WORD) String watch) {}

  private final SetupTables tables;
  private final KnownHere here;
  private final SetupChanges changes;
  private final Bringings bringings;
  private final Turns turns;

  BringTable(
      SetupTables tables, KnownHere here, SetupChanges changes, Bringings bringings, Turns turns) {
    this.tables = tables;
    this.here = here;
    this.changes = changes;
    this.bringings = bringings;
    this.turns = turns;
  }

  /**
   * Brings a table, or says what it would do.
   *
   * @throws RequestProblem where it is no table; where it is to be written and has faults, or was
   *     stopped
   */
  @Transactional
  public BroughtView bring(SetupTable id, BringRequest q, SignedIn who) {
    return bringings.watched(
        q.watch(),
        who.initials(),
        progress -> {
          boolean store = !Boolean.TRUE.equals(q.dryRun());
          if (store) {
            turns.take(Turns.Turn.SETUP);
          }
          TableFile file = TableFile.read(q.file(), q.sheet() == null ? "" : q.sheet());
          ShopTable table = tables.of(id);
          Said said = Said.of(q.columns(), q.words(), q.monthFirst());
          TableReading reading = TableReading.of(table, file, said, here.known(), progress);
          if (store && !Boolean.TRUE.equals(q.leaveOut())) {
            refuse(faults(reading, ""));
          }
          if (store) {
            write(table, reading, who, UUID.randomUUID().toString(), progress);
          }
          return reading.view(store);
        });
  }

  /**
   * Brings the tables of a workbook, those that others hang on first; or says what it would do.
   *
   * @throws RequestProblem where it is no workbook; where it is to be written and has faults, or
   *     was stopped
   */
  @Transactional
  public WorkbookView bring(WorkbookRequest q, SignedIn who) {
    return bringings.watched(q.watch(), who.initials(), progress -> bring(q, who, progress));
  }

  private WorkbookView bring(WorkbookRequest q, SignedIn who, BringProgress progress) {
    boolean store = !Boolean.TRUE.equals(q.dryRun());
    turns.take(Turns.Turn.SETUP);
    Map<String, SheetSaid> said = q.sheets() == null ? Map.of() : q.sheets();
    List<TableFile> files = TableFile.sheets(q.file());
    List<Fault> faults = new ArrayList<>();
    List<SheetOf> sheets = inOrder(files, said);
    sheets.forEach(s -> who.requires(s.table().right()));
    List<SheetView> views = new ArrayList<>();
    String batch = UUID.randomUUID().toString();
    for (SheetOf sheet : sheets) {
      TableFile file = sheet.file();
      SetupTable id = sheet.table();
      ShopTable table = tables.of(id);
      Said of = said(said.get(file.sheet()), q.monthFirst());
      TableReading reading = TableReading.of(table, file, of, here.known(), progress);
      faults.addAll(faults(reading, file.sheet() + " "));
      // Tables that follow are read against what this one writes, so a dry run writes as well;
      // nothing hangs on records.
      if (store || !table.recorded()) {
        write(table, reading, who, batch, progress);
      }
      views.add(new SheetView(file.sheet(), Optional.of(id), Optional.of(reading.view(store))));
    }
    if (!store) {
      TransactionAspectSupport.currentTransactionStatus().setRollbackOnly();
    } else if (!Boolean.TRUE.equals(q.leaveOut())) {
      refuse(faults);
    }
    files.stream()
        .filter(f -> table(f.sheet(), said.get(f.sheet())).isEmpty())
        .forEach(f -> views.add(new SheetView(f.sheet(), Optional.empty(), Optional.empty())));
    return new WorkbookView(views, store);
  }

  /** A sheet and the table it is. */
  private record SheetOf(TableFile file, SetupTable table) {}

  /** The sheets that are tables, those that others hang on first. */
  private static List<SheetOf> inOrder(List<TableFile> files, Map<String, SheetSaid> said) {
    return files.stream()
        .flatMap(f -> table(f.sheet(), said.get(f.sheet())).map(t -> new SheetOf(f, t)).stream())
        .sorted(Comparator.comparing(SheetOf::table))
        .toList();
  }

  private static Said said(SheetSaid of, Boolean monthFirst) {
    return of == null
        ? Said.of(Map.of(), Map.of(), monthFirst)
        : Said.of(of.columns(), of.words(), monthFirst);
  }

  /** The table that a sheet is: as somebody says, else by its name. */
  private static Optional<SetupTable> table(String sheet, SheetSaid said) {
    if (said != null && said.table() != null && !said.table().isEmpty()) {
      return Code.parse(SetupTable.class, said.table());
    }
    return Arrays.stream(SetupTable.values())
        .filter(t -> Headings.isCalled(sheet, t.title()) || Headings.isCalled(sheet, t.code()))
        .findFirst();
  }

  private static List<Fault> faults(TableReading reading, String before) {
    return reading.faults().stream()
        .map(f -> new Fault("file", before + f.cell() + ": " + f.message()))
        .toList();
  }

  private static void refuse(List<Fault> faults) {
    if (!faults.isEmpty()) {
      throw RequestProblem.invalid(faults);
    }
  }

  private void write(
      ShopTable table, TableReading reading, SignedIn who, String batch, BringProgress progress) {
    List<ReadRow> moving = reading.moving();
    progress.begins(Phase.WRITING, table.id(), moving.size());
    table.writeAll(
        moving.stream().map(r -> new Written(r.values(), r.before())).toList(),
        who.initials(),
        written -> {
          changes.written(table, written.before(), Optional.of(written.row()), who, batch);
          progress.step();
        });
  }
}
