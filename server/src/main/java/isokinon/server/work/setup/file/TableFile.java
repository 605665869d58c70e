package isokinon.server.work.setup.file;

import isokinon.core.table.CsvTable;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.shared.Text;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.apache.commons.compress.archivers.zip.ZipArchiveEntry;
import org.apache.commons.compress.archivers.zip.ZipFile;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;
import org.dhatim.fastexcel.reader.Cell;
import org.dhatim.fastexcel.reader.CellType;
import org.dhatim.fastexcel.reader.ExcelReaderException;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.dhatim.fastexcel.reader.ReadingOptions;
import org.dhatim.fastexcel.reader.Row;
import org.dhatim.fastexcel.reader.Sheet;

/**
 * A table as a spreadsheet writes it: CSV with commas, semicolons or tabs, in UTF-8 or the usual
 * eight-bit set, or a workbook (XLSX), of which the first sheet counts unless one is named.
 *
 * @param sheet the sheet that was read; empty for CSV
 * @param sheets the sheets it has; none for CSV
 * @param headings its headings
 * @param lines its rows that are not empty
 */
public record TableFile(
    String sheet, List<String> sheets, List<String> headings, List<Line> lines) {

  /**
   * A row.
   *
   * @param number as a spreadsheet numbers it; the first is 1
   * @param values as many as there are headings
   */
  public record Line(int number, List<String> values) {}

  /** Most rows of one file. */
  public static final int MOST_ROWS = 200_000;

  private static final int MOST_COLUMNS = 200;
  private static final int MOST_TITLE = 31;
  private static final long MOST_UNPACKED = 300_000_000;
  private static final Charset EIGHT_BIT = Charset.forName("windows-1252");
  private static final byte[] ZIP = {'P', 'K'};

  /**
   * Reads a file.
   *
   * @param name of the sheet; empty for the first
   * @throws RequestProblem where it is no table
   */
  public static TableFile read(byte[] file, String name) {
    TableFile read = isZip(file) ? workbook(file, name) : csv(file);
    if (read.headings().isEmpty()) {
      throw RequestProblem.invalid("file", "There is no heading in it.");
    }
    requireFewRows(read);
    return read;
  }

  private static TableFile csv(byte[] file) {
    CsvTable table = CsvTable.readAny("file", decoded(file));
    if (!table.faults().isEmpty()) {
      throw RequestProblem.invalid("file", Text.wholeSentence(table.faults().get(0).message()));
    }
    return new TableFile(
        "",
        List.of(),
        table.headings(),
        table.rows().stream()
            .map(r -> new Line(r.line(), r.values(table.headings())))
            .filter(TableFile::says)
            .toList());
  }

  private static boolean says(Line line) {
    return line.values().stream().anyMatch(v -> !v.isEmpty());
  }

  private static String decoded(byte[] file) {
    try {
      return StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(file)).toString();
    } catch (CharacterCodingException e) {
      return new String(file, EIGHT_BIT);
    }
  }

  /** Whether a workbook says how its cells are formatted; not every program writes that. */
  private static boolean isFormatted(byte[] file) throws IOException {
    try (ZipFile zip = ZipFile.builder().setByteArray(file).get()) {
      return zip.getEntry("xl/styles.xml") != null;
    }
  }

  /** A workbook is a zip: one that would fill the memory is refused before it is read. */
  private static void requireOfASize(byte[] file) {
    byte[] buffer = new byte[1 << 16];
    long unpacked = 0;
    try (ZipFile zip = ZipFile.builder().setByteArray(file).get()) {
      for (ZipArchiveEntry entry : Collections.list(zip.getEntries())) {
        try (InputStream part = zip.getInputStream(entry)) {
          for (int n = part.read(buffer); n >= 0; n = part.read(buffer)) {
            unpacked += n;
            if (unpacked > MOST_UNPACKED) {
              throw RequestProblem.invalid(
                  "file", "It unpacks to more than 300 MB: bring it in parts.");
            }
          }
        }
      }
    } catch (IOException e) {
      throw noWorkbook();
    }
  }

  private static boolean isZip(byte[] file) {
    return file.length > 1 && file[0] == ZIP[0] && file[1] == ZIP[1];
  }

  private static TableFile workbook(byte[] file, String name) {
    try (ReadableWorkbook book = opened(file)) {
      List<String> names = book.getSheets().map(Sheet::getName).toList();
      Sheet sheet =
          name.isEmpty()
              ? book.getFirstSheet()
              : book.findSheet(name)
                  .orElseThrow(
                      () -> RequestProblem.invalid("sheet", "It has no sheet " + name + "."));
      return read(sheet, names);
    } catch (IOException | ExcelReaderException e) {
      throw noWorkbook();
    }
  }

  /**
   * Every sheet of a workbook that has a heading and rows under it.
   *
   * @throws RequestProblem where it is no workbook, or has too many rows
   */
  public static List<TableFile> sheets(byte[] file) {
    if (!isZip(file)) {
      throw RequestProblem.invalid(
          "file", "It is no workbook (XLSX): bring a single table at its own place.");
    }
    try (ReadableWorkbook book = opened(file)) {
      List<Sheet> sheets = book.getSheets().toList();
      List<String> names = sheets.stream().map(Sheet::getName).toList();
      List<TableFile> read = new ArrayList<>();
      for (Sheet sheet : sheets) {
        TableFile table = read(sheet, names);
        requireFewRows(table);
        if (!table.lines().isEmpty()) {
          read.add(table);
        }
      }
      return read;
    } catch (IOException | ExcelReaderException e) {
      throw noWorkbook();
    }
  }

  private static ReadableWorkbook opened(byte[] file) throws IOException {
    requireOfASize(file);
    return new ReadableWorkbook(
        new ByteArrayInputStream(file), new ReadingOptions(isFormatted(file), true));
  }

  private static RequestProblem noWorkbook() {
    return RequestProblem.invalid("file", "It is no workbook that can be read.");
  }

  private static TableFile read(Sheet sheet, List<String> names) throws IOException {
    List<String> headings = new ArrayList<>();
    List<Line> lines = new ArrayList<>();
    try (Stream<Row> read = sheet.openStream()) {
      for (Row row : (Iterable<Row>) read::iterator) {
        List<String> values = values(row, headings.size());
        if (headings.isEmpty()) {
          if (values.stream().filter(v -> !v.isEmpty()).count() > 1) {
            headings.addAll(values);
          }
        } else {
          Line line = new Line(row.getRowNum(), values.subList(0, headings.size()));
          if (says(line)) {
            lines.add(line);
          }
        }
        if (lines.size() > MOST_ROWS) {
          break;
        }
      }
    }
    return new TableFile(sheet.getName(), names, headings, lines);
  }

  private static void requireFewRows(TableFile table) {
    if (table.lines().size() > MOST_ROWS) {
      throw RequestProblem.invalid(
          "file", "It has more than " + MOST_ROWS + " rows: bring them in parts.");
    }
  }

  private static List<String> values(Row row, int atLeast) {
    List<String> values = new ArrayList<>();
    for (int i = 0; i < Math.min(row.getCellCount(), MOST_COLUMNS); i++) {
      values.add(row.getOptionalCell(i).map(TableFile::text).orElse("").strip());
    }
    while (values.size() < atLeast) {
      values.add("");
    }
    return values;
  }

  private static String text(Cell cell) {
    if (cell.getType() == CellType.NUMBER) {
      return dated(cell) ? day(cell) : plain(cell.asNumber());
    }
    if (cell.getType() == CellType.BOOLEAN) {
      return Boolean.TRUE.equals(cell.asBoolean()) ? "yes" : "no";
    }
    return cell.getType() == CellType.ERROR || cell.getValue() == null ? "" : cell.getText();
  }

  /** Whether a number is shown as a day or a time: by what its format has in it. */
  private static boolean dated(Cell cell) {
    String format = cell.getDataFormatString();
    return format != null
        && format
            .replaceAll("\"[^\"]*\"|\\[[^\\]]*\\]|\\\\.", "")
            .toLowerCase(Locale.ROOT)
            .matches(".*(d|y|h|m).*");
  }

  private static String day(Cell cell) {
    double value = cell.asNumber().doubleValue();
    if (value < 1) {
      return LocalTime.ofSecondOfDay(Math.min(86_399, Math.round(value * 86_400))).toString();
    }
    var at = cell.asDate();
    return at.toLocalTime().equals(LocalTime.MIDNIGHT)
        ? at.toLocalDate().toString()
        : at.toLocalDate() + " " + at.toLocalTime().withSecond(0).withNano(0);
  }

  private static String plain(BigDecimal number) {
    return number.stripTrailingZeros().toPlainString();
  }

  /** A table as CSV, safe to open in a spreadsheet. */
  public static byte[] csv(List<String> headings, List<List<String>> rows) {
    return CsvTable.written(headings, rows).getBytes(StandardCharsets.UTF_8);
  }

  /**
   * A sheet to write.
   *
   * @param title its name, clipped to what a sheet may be called
   * @param numbers which columns are numbers
   */
  public record Written(
      String title, List<String> headings, List<Boolean> numbers, List<List<String>> rows) {}

  /** Tables as a workbook, a sheet each. */
  public static byte[] xlsx(List<Written> tables) {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (Workbook book = new Workbook(bytes, "Isokinon", "1.0")) {
      for (Written table : tables) {
        write(book.newWorksheet(Text.clipped(table.title(), MOST_TITLE)), table);
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return bytes.toByteArray();
  }

  private static void write(Worksheet sheet, Written table) {
    for (int c = 0; c < table.headings().size(); c++) {
      sheet.value(0, c, table.headings().get(c));
      sheet.style(0, c).bold().set();
    }
    sheet.freezePane(0, 1);
    for (int r = 0; r < table.rows().size(); r++) {
      for (int c = 0; c < table.headings().size(); c++) {
        String value = table.rows().get(r).get(c);
        if (value.isEmpty()) {
          continue;
        }
        if (table.numbers().get(c)) {
          sheet.value(r + 1, c, Double.valueOf(value));
        } else {
          sheet.value(r + 1, c, value);
        }
      }
    }
  }
}
