package isokinon.journeys;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Map;
import org.dhatim.fastexcel.Worksheet;

/** A workbook as a shop's spreadsheet program would write it, every cell a text. */
final class Workbook {

  private Workbook() {}

  static byte[] of(String sheet, List<List<String>> rows) {
    return of(Map.of(sheet, rows));
  }

  /** One of several sheets, in the order of the map. */
  static byte[] of(Map<String, List<List<String>>> sheets) {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (var book = new org.dhatim.fastexcel.Workbook(bytes, "Spreadsheet", "1.0")) {
      sheets.forEach((name, rows) -> fill(book.newWorksheet(name), rows));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return bytes.toByteArray();
  }

  private static void fill(Worksheet sheet, List<List<String>> rows) {
    for (int r = 0; r < rows.size(); r++) {
      for (int c = 0; c < rows.get(r).size(); c++) {
        sheet.value(r, c, rows.get(r).get(c));
      }
    }
  }
}
