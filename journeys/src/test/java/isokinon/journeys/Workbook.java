package isokinon.journeys;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;

/** The least workbook that a spreadsheet would write: one sheet of texts. */
final class Workbook {

  private static final String SHEETS = "http://schemas.openxmlformats.org/spreadsheetml/2006/main";
  private static final String OFFICE =
      "http://schemas.openxmlformats.org/officeDocument/2006/relationships";
  private static final String PACKAGE = "http://schemas.openxmlformats.org/package/2006/";
  private static final String TYPE = "application/vnd.openxmlformats-officedocument.spreadsheetml.";

  private Workbook() {}

  static byte[] of(String sheet, List<List<String>> rows) {
    StringBuilder data = new StringBuilder();
    for (int r = 0; r < rows.size(); r++) {
      data.append("<row r=\"").append(r + 1).append("\">");
      for (int c = 0; c < rows.get(r).size(); c++) {
        data.append("<c r=\"").append((char) ('A' + c)).append(r + 1);
        data.append("\" t=\"inlineStr\"><is><t>").append(rows.get(r).get(c));
        data.append("</t></is></c>");
      }
      data.append("</row>");
    }
    Map<String, String> parts =
        Map.of(
            "[Content_Types].xml",
            "<Types xmlns=\"%scontent-types\">".formatted(PACKAGE)
                + "<Default Extension=\"rels\" ContentType=\"application/vnd.openxmlformats-package"
                + ".relationships+xml\"/><Override PartName=\"/xl/workbook.xml\" ContentType=\""
                + TYPE
                + "sheet.main+xml\"/><Override PartName=\"/xl/worksheets/sheet1.xml\""
                + " ContentType=\""
                + TYPE
                + "worksheet+xml\"/></Types>",
            "_rels/.rels",
            relation("officeDocument", "xl/workbook.xml"),
            "xl/workbook.xml",
            "<workbook xmlns=\"%s\" xmlns:r=\"%s\"><sheets><sheet name=\"%s\" sheetId=\"1\" r:id=\"r1\"/></sheets></workbook>"
                .formatted(SHEETS, OFFICE, sheet),
            "xl/_rels/workbook.xml.rels",
            relation("worksheet", "worksheets/sheet1.xml"),
            "xl/worksheets/sheet1.xml",
            "<worksheet xmlns=\"%s\"><sheetData>%s</sheetData></worksheet>"
                .formatted(SHEETS, data));
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
      for (Map.Entry<String, String> part : parts.entrySet()) {
        zip.putNextEntry(new ZipEntry(part.getKey()));
        zip.write(part.getValue().getBytes(StandardCharsets.UTF_8));
        zip.closeEntry();
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return bytes.toByteArray();
  }

  private static String relation(String type, String target) {
    return "<Relationships xmlns=\"%srelationships\"><Relationship Id=\"r1\" Type=\"%s/%s\" Target=\"%s\"/></Relationships>"
        .formatted(PACKAGE, OFFICE, type, target);
  }
}
