package isokinon.server.papers;

import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.util.XRLog;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.web.util.HtmlUtils;

/** The house's paper: one style, and the few pieces its sheets are made of. */
@Component
class Paper {

  private static final String STYLE =
      """
      @page { size: A4; margin: 16mm 16mm 18mm 16mm;
        @bottom-right { content: counter(page) " / " counter(pages); font: 8pt Helvetica; } }
      body { font: 9.5pt/1.35 Helvetica; color: #1E2326; }
      h1 { font-size: 24pt; margin: 0; }
      h2 { font-size: 12pt; margin: 14pt 0 4pt; border-bottom: 1pt solid #1E2326;
        page-break-after: avoid; }
      p { margin: 2pt 0; }
      .soft { color: #5F6562; }
      table { width: 100%; border-collapse: collapse; }
      td, th { text-align: left; padding: 2pt 6pt 2pt 0; border-bottom: 0.4pt solid #C9C2B4;
        vertical-align: top; }
      th { font-weight: bold; }
      .number { font-family: Courier; white-space: nowrap; }
      .first { border: 1pt solid #1E2326; padding: 5pt 7pt; margin: 8pt 0; }
      tr { page-break-inside: avoid; }
      h2.page { page-break-before: always; }
      .tick { width: 16pt; height: 16pt; border: 1.2pt solid #1E2326; }
      .ticks td { padding: 4pt 6pt 4pt 0; font-size: 11pt; }
      .step { font-size: 12pt; font-weight: bold; }
      .hold { font-weight: bold; }
      .slot { border: 1pt solid #1E2326; height: 50pt; width: 25%; padding: 3pt 5pt; }
      .blank { border: 0.6pt solid #1E2326; width: 42pt; height: 22pt; font-size: 7.5pt;
        color: #5F6562; padding: 1pt 2pt; }
      .blanks { width: auto; margin: 3pt 0 6pt; }
      .log td { font-size: 7.5pt; padding: 1pt 6pt 1pt 0; }
      .log td:first-child, td.whole { white-space: nowrap; }
      """;

  Paper() {
    XRLog.setLoggingEnabled(false); // the renderer's own log tells of every page
  }

  /** {@code body}, which is XHTML, as a PDF. */
  byte[] pdf(String title, String body) {
    String html =
        "<html><head><title>%s</title><style>%s</style></head><body>%s</body></html>"
            .formatted(text(title), STYLE, body);
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try {
      new PdfRendererBuilder().withHtmlContent(html, null).toStream(out).run();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toByteArray();
  }

  static String section(String title, String content) {
    return "<h2>" + text(title) + "</h2>" + content;
  }

  static String list(List<String> lines, String none) {
    return lines.isEmpty()
        ? "<p class='soft'>" + text(none) + "</p>"
        : lines.stream().map(l -> "<p>" + text(l) + "</p>").collect(Collectors.joining());
  }

  static String table(List<String> heads, List<List<String>> rows) {
    return "<table><tr>"
        + heads.stream().map(h -> "<th>" + text(h) + "</th>").collect(Collectors.joining())
        + "</tr>"
        + rows.stream()
            .map(
                r ->
                    "<tr>"
                        + r.stream()
                            .map(
                                c ->
                                    (c.length() < 13 ? "<td class='whole'>" : "<td>")
                                        + text(c)
                                        + "</td>")
                            .collect(Collectors.joining())
                        + "</tr>")
            .collect(Collectors.joining())
        + "</table>";
  }

  /** Escaped for XML, and without the signs that the built-in fonts lack. */
  static String text(String raw) {
    String known =
        raw.replace("degC", "°C")
            .codePoints()
            .map(c -> c == 0x2009 || c == 0x202F ? 0xA0 : c)
            .filter(c -> c >= 0x20 && c < 0xD800)
            .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append)
            .toString();
    return HtmlUtils.htmlEscapeDecimal(known);
  }
}
