package isokinon.server.papers;

import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.util.XRLog;
import isokinon.server.work.BenchView;
import isokinon.server.work.Words;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.web.util.HtmlUtils;

/** The record that goes back with the pump: what was found, renewed, torqued and proved. */
@Component
public class HandBackRecord {

  private static final String STYLE =
      """
      @page { size: A4; margin: 16mm 16mm 18mm 16mm;
        @bottom-right { content: counter(page) " / " counter(pages); font: 8pt Helvetica; } }
      body { font: 9.5pt/1.35 Helvetica; color: #1E2326; }
      h1 { font-size: 24pt; margin: 0; }
      h2 { font-size: 12pt; margin: 14pt 0 4pt; border-bottom: 1pt solid #1E2326; }
      p { margin: 2pt 0; }
      .soft { color: #5F6562; }
      table { width: 100%; border-collapse: collapse; }
      td, th { text-align: left; padding: 2pt 6pt 2pt 0; border-bottom: 0.4pt solid #C9C2B4;
        vertical-align: top; }
      th { font-weight: bold; }
      .number { font-family: Courier; white-space: nowrap; }
      .first { border: 1pt solid #1E2326; padding: 5pt 7pt; margin: 8pt 0; }
      tr { page-break-inside: avoid; }
      .log td { font-size: 7.5pt; padding: 1pt 6pt 1pt 0; }
      .log td:first-child, td.whole { white-space: nowrap; }
      """;

  HandBackRecord() {
    XRLog.setLoggingEnabled(false); // the renderer's own log tells of every page
  }

  /** The record of {@code view} as a PDF. */
  public byte[] pdf(BenchView view) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try {
      new PdfRendererBuilder().withHtmlContent(html(view), null).toStream(out).run();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toByteArray();
  }

  private static String html(BenchView v) {
    return "<html><head><title>%s</title><style>%s</style></head><body>%s</body></html>"
        .formatted(text(v.pump().tag() + " rebuild " + v.id()), STYLE, body(v));
  }

  private static String body(BenchView v) {
    boolean open = !v.stage().equals("CLOSED");
    return "<h1>"
        + text(v.pump().tag())
        + "</h1><p>"
        + text(v.pump().duty())
        + "</p><p class='soft'>"
        + text(v.pump().fitted() + " " + v.pump().series())
        + "</p><p class='soft'>Rebuild "
        + v.id()
        + ", sheet "
        + text(v.sheet().id())
        + " revision "
        + v.sheet().revision()
        + ". "
        + text(v.sheet().note())
        + "</p>"
        + (open ? "<p><b>Not handed back yet: this is the record so far.</b></p>" : "")
        + "<p class='first'>The maker's manual and the site's own procedure come before this record"
        + " and its sheet. Electrical and pressure-retaining work belongs to people licensed for"
        + " it.</p>"
        + section("Made safe", table(List.of("Energy", "Proved by", "Reading", "Who"), gates(v)))
        + section("Found", table(List.of("Part", "Judged", "Measured and seen"), found(v)))
        + section("Renewed", table(List.of("Part", "Number", "Why", "Lot"), renewed(v)))
        + section("Torque, N·m", table(List.of("Joint", "Asked", "Read, bolt by bolt"), joints(v)))
        + section("Proved", table(List.of("Test", "Limit", "Reading", "Who"), proved(v)))
        + section("To do later", list(v.handBack().retorques(), "Nothing to retorque."))
        + section("Watch", list(v.handBack().watched(), "No part went back on watch."))
        + "<h2>Next due</h2><p>"
        + text(v.handBack().nextDue())
        + "</p><div class='log'>"
        + section("Everything that was done", table(List.of("When", "Who", "What"), done(v)))
        + "</div>";
  }

  private static List<List<String>> gates(BenchView v) {
    return v.gates().stream()
        .map(
            g ->
                List.of(
                    g.title(),
                    g.ask(),
                    g.value()
                        .map(x -> Words.plain(x) + " " + g.unit())
                        .orElse(g.answered() ? "confirmed" : "open"),
                    g.by() + " " + g.at()))
        .toList();
  }

  private static List<List<String>> found(BenchView v) {
    return v.inspect().stream()
        .map(i -> List.of(i.name(), i.state(), i.measured().isEmpty() ? i.because() : i.measured()))
        .toList();
  }

  private static List<List<String>> renewed(BenchView v) {
    return v.decide().parts().stream()
        .map(
            p ->
                List.of(
                    p.name(), Integer.toString(p.count()), p.because(), p.lot().orElse("no lot")))
        .toList();
  }

  private static List<List<String>> joints(BenchView v) {
    return v.handBack().joints().stream()
        .map(j -> List.of(j.step(), j.asked(), j.readings()))
        .toList();
  }

  private static List<List<String>> done(BenchView v) {
    return v.log().stream().map(l -> List.of(l.at(), l.who(), l.say())).toList();
  }

  private static List<List<String>> proved(BenchView v) {
    return v.proof().stream()
        .map(
            t ->
                List.of(
                    t.ask(),
                    limit(t),
                    t.value()
                            .map(x -> Words.plain(x) + " " + t.unit())
                            .orElse(t.answered() ? "confirmed" : "open")
                        + (t.answered() && !t.passed() ? ", missed" : ""),
                    t.by()))
        .toList();
  }

  private static String limit(BenchView.ProofView t) {
    String least = t.min().map(m -> "at least " + Words.plain(m)).orElse("");
    String most = t.max().map(m -> "at most " + Words.plain(m)).orElse("");
    return (least + " " + most).strip() + (t.unit().isEmpty() ? "" : " " + t.unit());
  }

  private static String section(String title, String content) {
    return "<h2>" + text(title) + "</h2>" + content;
  }

  private static String list(List<String> lines, String none) {
    return lines.isEmpty()
        ? "<p class='soft'>" + text(none) + "</p>"
        : lines.stream().map(l -> "<p>" + text(l) + "</p>").collect(Collectors.joining());
  }

  private static String table(List<String> heads, List<List<String>> rows) {
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
  private static String text(String raw) {
    String known =
        raw.replace("degC", "°C")
            .codePoints()
            .map(c -> c == 0x2009 || c == 0x202F ? ' ' : c)
            .filter(c -> c >= 0x20 && c < 0xD800)
            .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append)
            .toString();
    return HtmlUtils.htmlEscapeDecimal(known);
  }
}
