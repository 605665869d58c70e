package isokinon.core.table;

import isokinon.core.value.Fault;
import java.io.IOException;
import java.io.Reader;
import java.io.StringReader;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;

/**
 * A table with a heading, as spreadsheets write it: with or without a byte-order mark, its fields
 * parted by commas, semicolons or tabs. Empty lines are left out and spaces around a field fall
 * away. A line that does not fit the heading is a fault; the others are there all the same.
 *
 * @param headings names of the columns, in order; a column without a name has an empty one
 * @param rows the lines that can be read
 * @param faults what is wrong with the table, in the order of its lines
 */
public record CsvTable(List<String> headings, List<CsvRow> rows, List<Fault> faults) {

  private static final String BYTE_ORDER_MARK = "\uFEFF";

  /** No table of a shop has more columns; of more, somebody sent something else. */
  private static final int MOST_COLUMNS = 200;

  private static final int MOST_HEADING = 20_000;

  private static final CSVFormat FORMAT =
      CSVFormat.DEFAULT
          .builder()
          .setHeader()
          .setSkipHeaderRecord(true)
          .setIgnoreEmptyLines(true)
          .setAllowMissingColumnNames(true)
          .setTrim(true)
          .get();

  /** Copies its lists. */
  public CsvTable {
    headings = List.copyOf(headings);
    rows = List.copyOf(rows);
    faults = List.copyOf(faults);
  }

  /**
   * Reads a table of which every line must have as many fields as the heading.
   *
   * @param path what the faults stand at, for example the name of the table
   * @param columns that it must have; it may have others
   */
  public static CsvTable read(String path, String text, List<String> columns) {
    CsvTable any = readAny(path, text);
    List<Fault> faults = new ArrayList<>(any.faults());
    List<String> missing = columns.stream().filter(c -> !any.headings().contains(c)).toList();
    if (faults.isEmpty() && !missing.isEmpty()) {
      faults.add(Fault.at(path, 1, "columns missing: " + String.join(", ", missing)));
    }
    if (!faults.isEmpty()) {
      return new CsvTable(any.headings(), List.of(), faults);
    }
    List<CsvRow> whole = new ArrayList<>();
    for (CsvRow row : any.rows()) {
      if (row.fields() == any.headings().size()) {
        whole.add(row);
      } else {
        faults.add(
            Fault.at(
                path,
                row.line(),
                row.fields() + " fields where the heading has " + any.headings().size()));
      }
    }
    return new CsvTable(any.headings(), whole, faults);
  }

  /** The same, of a table that is open. It is read to its end and closed. */
  public static CsvTable read(String path, Reader text, List<String> columns) throws IOException {
    StringWriter all = new StringWriter();
    try (text) {
      text.transferTo(all);
    }
    return read(path, all.toString(), columns);
  }

  /** Reads a table with any heading; its lines may be shorter or longer than that. */
  public static CsvTable readAny(String path, String text) {
    String plain = text.startsWith(BYTE_ORDER_MARK) ? text.substring(1) : text;
    char delimiter = delimiter(plain);
    Optional<Fault> wide = tooWide(path, plain, delimiter);
    if (wide.isPresent()) {
      return new CsvTable(List.of(), List.of(), List.of(wide.get()));
    }
    CSVFormat format = FORMAT.builder().setDelimiter(delimiter).get();
    List<String> headings = new ArrayList<>();
    List<CsvRow> rows = new ArrayList<>();
    try (var parser = format.parse(new StringReader(plain))) {
      headings.addAll(parser.getHeaderNames());
      // A quoted field may run over several lines: a record begins behind the one before it.
      long line = parser.getCurrentLineNumber() + 1;
      for (CSVRecord row : parser) {
        rows.add(new CsvRow((int) line, row));
        line = parser.getCurrentLineNumber() + 1;
      }
    } catch (IOException | IllegalArgumentException | UncheckedIOException e) {
      return new CsvTable(
          headings,
          List.of(),
          List.of(Fault.at(path, 1, "not readable as CSV: " + e.getMessage())));
    }
    return new CsvTable(headings, rows, List.of());
  }

  /**
   * A table as CSV (RFC 4180), safe to open in a spreadsheet.
   *
   * @param rows as wide as the heading each; a value is written as its text
   */
  public static String written(List<String> headings, List<? extends List<?>> rows) {
    StringBuilder text = new StringBuilder();
    try (CSVPrinter out = new CSVPrinter(text, CSVFormat.RFC4180)) {
      out.printRecord(headings);
      for (List<?> row : rows) {
        out.printRecord(
            row.stream().map(v -> v == null ? "" : SpreadsheetCell.of(v.toString())).toList());
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return text.toString();
  }

  /**
   * Its rows, of a table that must be right because it ships with the program.
   *
   * @throws IllegalArgumentException with the first fault, where there is one
   */
  public List<CsvRow> rowsOrThrow() {
    if (!faults.isEmpty()) {
      throw new IllegalArgumentException(faults.get(0).said());
    }
    return rows;
  }

  private static Optional<Fault> tooWide(String path, String text, char delimiter) {
    int end = text.indexOf('\n');
    String head = end < 0 ? text : text.substring(0, end);
    return head.length() > MOST_HEADING
            || head.chars().filter(c -> c == delimiter).count() >= MOST_COLUMNS
        ? Optional.of(Fault.at(path, 1, "its heading names more than " + MOST_COLUMNS + " columns"))
        : Optional.empty();
  }

  /** What parts the fields, by the heading: a spreadsheet with decimal commas uses semicolons. */
  private static char delimiter(String text) {
    String head = text.lines().findFirst().orElse("");
    if (head.indexOf(',') >= 0) {
      return ',';
    }
    return head.indexOf(';') >= 0 ? ';' : head.indexOf('\t') >= 0 ? '\t' : ',';
  }
}
